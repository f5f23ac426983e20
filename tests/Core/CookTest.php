<?php

declare(strict_types=1);

use Diatherm\Cooker\CookerShed;
use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Food\Larder;
use Diatherm\Food\Shape;
use Diatherm\Heat\Resolution;
use Diatherm\Heat\Surroundings;
use Diatherm\Measure\OutOfRange;
use Diatherm\Plan\Plan;
use Tests\Support\Samples;

function cookerAt(Course $course, float $seconds, float $set = 150.0, float $outside = 15.0): float
{
    return $course->cookerC($seconds, $seconds + 1.0, $set, 0.0, $outside, 240.0);
}

it('runs straight between a cooker’s readings and stays after the last', function () {
    $course = new Course([[600.0, 140.0], [1200.0, 160.0]]);
    expect(cookerAt($course, 900.0))->toEqualWithDelta(150.0, 1e-9)
        ->and(cookerAt($course, 3000.0))->toBe(160.0)
        ->and(cookerAt($course, 100.0))->toBe(140.0);
});

it('forgets a reading of the stage before', function () {
    $course = new Course([[600.0, 110.0]]);
    expect($course->cookerC(2000.0, 2001.0, 450.0, 1800.0, 15.0, 60.0))->toBe(450.0);
});

it('lets the air out while the lid is off, and back in over the recovery', function () {
    $course = new Course([], [[1000.0, 120.0]]);
    $open = cookerAt($course, 1060.0);
    expect($open)->toBeLessThan(80.0)->toBeGreaterThan(15.0)
        ->and(cookerAt($course, 1120.0 + 120.0))->toBeGreaterThan($open)->toBeLessThan(150.0)
        ->and(cookerAt($course, 1120.0 + 240.0))->toEqualWithDelta(150.0, 1e-9)
        ->and(cookerAt($course, 900.0))->toBe(150.0);
});

it('names the next bend of a course, and none after the last', function () {
    $course = new Course([[600.0, 140.0]], [[1000.0, 120.0]]);
    expect($course->nextBend(0.0, 240.0))->toBe(600.0)
        ->and($course->nextBend(600.0, 240.0))->toBe(1000.0)
        ->and($course->nextBend(1000.0, 240.0))->toBe(1120.0)
        ->and($course->nextBend(1120.0, 240.0))->toBe(1360.0)->and($course->nextBend(1360.0, 240.0))->toBe(INF);
});

it('costs more the longer the lid is off', function () {
    $minutes = function (float $off): float {
        $cook = Cook::of(Samples::dish(), 15.0, Resolution::coarse(), $off > 0.0 ? new Course([], [[2400.0, $off]]) : Course::asPlanned());
        $cook->toPull(57.0);

        return $cook->body->elapsedS() / 60.0;
    };
    expect($minutes(120.0))->toBeGreaterThan($minutes(0.0))->and($minutes(600.0))->toBeGreaterThan($minutes(120.0) + 3.0);
});

it('takes the pull and the stages from the hand that did them', function () {
    $dish = Samples::dish(
        ['stages' => [['cooker' => 'pellet', 'cooker_c' => 110, 'until_core_c' => 45], ['cooker' => 'kettle', 'cooker_c' => 200, 'pull' => true]]],
    );
    $cook = Cook::of($dish, 15.0, Resolution::coarse(), new Course([], [], [1 => 1800.0], 3600.0));
    $cook->toPull(90.0);
    expect($cook->stageStartsS)->toBe([0.0, 1800.0])->and($cook->body->elapsedS())->toEqualWithDelta(3600.0, 1.0);
});

it('meets a cooker that is still on its way to its next heat', function () {
    $stages = fn (array $between): array => [
        ['cooker' => 'ceramic', 'cooker_c' => 110, 'until_core_c' => 40],
        ...$between,
        ['cooker' => 'ceramic', 'cooker_c' => 260, 'minutes' => 10],
    ];
    $plan = fn (array $between): Forecast => Plan::of(
        Samples::roast(['taste' => 'firm', 'coast' => false, 'stages' => $stages($between)]),
        new DateTimeImmutable('2031-10-04T01:00:00+02:00'),
    )->forecast(0);
    [$straight, $hurried, $alone] = [
        $plan([]),
        $plan([['cooker' => 'rest', 'minutes' => 15]]),
        $plan([['cooker' => 'rest', 'minutes' => 60]]),
    ];
    $air = fn (Forecast $forecast, int $stage, float $minutes): float => $forecast->trace->airAt(
        60.0 * ($forecast->stageStartMinutes[$stage] + $minutes),
    );
    expect($air($straight, 1, 0.5))->toBeLessThan(130.0)
        ->and($air($straight, 1, 9.0))->toBeGreaterThan($air($straight, 1, 4.0))->toBeLessThan(240.0)
        ->and($air($hurried, 2, 0.5))->toBeGreaterThan($air($straight, 1, 9.0))->toBeLessThan(230.0)
        ->and($air($alone, 2, 1.0))->toEqualWithDelta(260.0, 0.5)
        ->and(array_column($straight->cautions, 'id'))->toContain('still_on_its_way')
        ->and(array_column($alone->cautions, 'id'))->not->toContain('still_on_its_way');
});

it('lets a reading of the cooker overrule how it was thought to come to its heat', function () {
    $dish = Plan::of(
        Samples::roast(
            ['stages' => [['cooker' => 'oven', 'cooker_c' => 220, 'minutes' => 20], ['cooker' => 'oven', 'cooker_c' => 120, 'pull' => true]]],
        ),
        new DateTimeImmutable('2031-10-04T01:00:00+02:00'),
    )->forecast(0)->dish;
    $core = function (array $readings) use ($dish): float {
        $cook = Cook::of($dish, 15.0, Resolution::coarse(), new Course($readings, [], [], 2400.0));
        $cook->toPull(90.0);

        return $cook->body->coreC();
    };
    expect($core([[1260.0, 218.0], [2340.0, 215.0]]))->toBeGreaterThan($core([[1260.0, 130.0], [2340.0, 122.0]]));
});

it('never cooks sooner on a cooler setting, on any cooker', function (string $id) {
    $kind = CookerShed::kind($id);
    $before = INF;
    foreach ([0.25, 0.5, 0.75, 1.0] as $share) {
        $minutes = Forecast::of(
            Samples::dish(
                [
                    'cut' => 'chicken',
                    'mass_kg' => 1.6,
                    'taste' => 'done',
                    'coast' => false,
                    'stages' => [['cooker' => $id, 'cooker_c' => $kind->leastC + $share * ($kind->mostC - $kind->leastC), 'pull' => true]],
                ],
            ),
            15.0,
        )->cookMinutes->likely;
        // A pot that boils dry the sooner has the less steam for it: within two per cent there. Beyond what it can give,
        // more asks for nothing.
        expect($minutes)->toBeLessThanOrEqual($kind->vessel === null ? $before + 0.01 : 1.02 * $before);
        $before = $minutes;
    }
})->with(fn () => array_values(array_diff(array_keys(CookerShed::kinds()), ['rest', 'fridge'])));

it('refuses a setting that a cooker does not have', function () {
    expect(fn () => CookerShed::kind('kettle')->check(400.0))->toThrow(OutOfRange::class)
        ->and(CookerShed::kind('kettle')->check(150.0))->toBe(150.0);
});

it('convects better over small bodies', function () {
    $oven = CookerShed::kind('oven');
    expect(
        $oven->inside->surroundings(163.0, 20.0, Shape::of(0.02, 1.0))->convectionWm2K,
    )->toBeGreaterThan($oven->inside->surroundings(163.0, 20.0, Shape::of(0.07, 1.0))->convectionWm2K);
});

it('passes less heat behind a thicker layer, and all of it behind none', function () {
    $air = Surroundings::of(150.0, 150.0, 10.0, 0.85, 45.0);
    expect($air->behind(0.0))->toEqual($air)
        ->and($air->behind(0.01)->convectionWm2K)->toBeLessThan(10.0)
        ->and($air->behind(0.02)->convectionWm2K)->toBeLessThan($air->behind(0.01)->convectionWm2K);
    expect(fn () => $air->behind(-0.1))->toThrow(OutOfRange::class);
});

// A body keeps its volume: what the tape says it lacks in thickness, it has in width and length, and is more of a slab.
it('makes a joint that measures thinner more of a slab, and quicker', function (string $cut) {
    $mass = Larder::cut($cut)->typicalMassKg;
    $usual = Larder::cut($cut)->shape->usualThicknessM($mass);
    $rule = Larder::cut($cut)->shape;
    [$thin, $thick] = [$rule->measured($mass, 0.8 * $usual, null, 1.0), $rule->measured($mass, 1.1 * $usual, null, 1.0)];
    expect($thin->halfThicknessM)->toBeLessThan($thick->halfThicknessM)->and($thin->exponent)->toBeLessThan($thick->exponent)
        ->and($rule->measured($mass, $usual, null, 1.0)->halfThicknessM)->toEqualWithDelta($rule->byMass($mass, 1.0)->halfThicknessM, 1e-9);
})->with(['beef-rib', 'pork-loin', 'lamb-leg', 'turkey', 'salmon-side', 'venison-haunch']);

it('reads a girth as it reads a thickness', function () {
    $rule = Larder::cut('pork-loin')->shape;
    $round = $rule->measured(2.0, null, 0.30, 1.0);
    expect($rule->measured(2.0, null, 0.34, 1.0)->halfThicknessM)->toBeGreaterThan($round->halfThicknessM)
        ->and($rule->measured(2.0, 0.085, 0.32, 1.0)->exponent)->toBeLessThanOrEqual(2.0);
});

it('comes to a core temperature in whichever step that is, as soon as the whole cook passes it, and not where it does not', function (string $cut, array $stages) {
    $dish = Samples::dish(['cut' => $cut, 'mass_kg' => Larder::cut($cut)->typicalMassKg, 'taste' => null, 'target_c' => 62, 'stages' => $stages]);
    $begin = fn (): Cook => Cook::of($dish, 14.0, Resolution::coarse(), new Course(pulledS: 6 * 3600.0));
    $whole = $begin();
    $trace = $whole->body->record(false);
    $whole->toPull(62.0);
    foreach ([12.0, 30.0, 45.0, 58.0] as $celsius) {
        $cook = $begin();
        expect($cook->toCore($celsius))->toBeTrue()
            ->and($cook->body->elapsedS())->toEqualWithDelta((float) $trace->reaches($celsius), 20.0)
            ->and($cook->body->coreC())->toEqualWithDelta($celsius, 0.3);
    }
    $cold = $begin();
    expect($cold->toCore(140.0))->toBeFalse()->and($cold->body->elapsedS())->toEqualWithDelta(6 * 3600.0, 1.0);
})->with([
    'one step' => ['beef-rib', [['cooker' => 'kettle', 'cooker_c' => 150, 'pull' => true]]],
    'three' => ['beef-rib', [['cooker' => 'pellet', 'cooker_c' => 110, 'until_core_c' => 40], ['cooker' => 'rest', 'minutes' => 10], ['cooker' => 'gas', 'cooker_c' => 200, 'pull' => true]]],
    'in a pot' => ['turkey-breast', [['cooker' => 'lidded-roaster', 'cooker_c' => 163, 'pull' => true]]],
]);
