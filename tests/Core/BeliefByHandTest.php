<?php

declare(strict_types=1);

use Diatherm\Cooking\Course;
use Diatherm\Heat\Trace;
use Diatherm\Live\Belief;
use Diatherm\Live\Reading;

// A model that warms by a kelvin a minute from 5 °C, comes off at 75 °C after 70 minutes, climbs by two kelvin in ten minutes and then
// falls by a kelvin in ten: what is believed beside any readings can be reckoned in the head.

const OFF_S = 4200.0;

function straight(): Trace
{
    $trace = new Trace;
    for ($minute = 0; $minute <= 140; $minute++) {
        $trace->seconds[] = 60.0 * $minute;
        $trace->coreC[] = $minute <= 70 ? 5.0 + $minute : ($minute <= 80 ? 75.0 + 0.2 * ($minute - 70) : 77.0 - 0.1 * ($minute - 80));
        $trace->surfaceC[] = 80.0;
        $trace->airC[] = $minute <= 70 ? 150.0 : 17.0;
    }

    return $trace;
}

/**
 * @param  list<array{float, float}>  $points  minutes and °C
 * @param  float|null  $pulled  minutes
 */
function believed(array $points, ?float $pulled = null, float $climbK = 2.0, Course $course = new Course): Belief
{
    $readings = array_map(fn (array $point, int $i): Reading => Reading::of("r$i", 60.0 * $point[0], 'core', $point[1]), $points, array_keys($points));

    return Belief::of(straight(), OFF_S, $readings, $pulled === null ? null : 60.0 * $pulled, $climbK, $course);
}

it('lets a small difference fade, and lies on the line between two readings', function () {
    // Read 2 K above at twenty minutes and 1 K below at forty.
    $belief = believed([[20.0, 27.0], [40.0, 44.0]]);
    expect($belief->steered)->toBeFalse()->and($belief->disagrees())->toBeFalse()->and($belief->offK)->toEqualWithDelta(-1.0, 1e-9)
        ->and($belief->coreAt(60.0 * 20))->toEqualWithDelta(27.0, 1e-9)
        // Half way from the start to the first 1 K above; a quarter of the way between them 1.25, half way 0.5.
        ->and($belief->coreAt(60.0 * 10))->toEqualWithDelta(16.0, 1e-9)
        ->and($belief->coreAt(60.0 * 25))->toEqualWithDelta(31.25, 1e-9)
        ->and($belief->coreAt(60.0 * 30))->toEqualWithDelta(35.5, 1e-9)
        // After the newest it fades to a third in twenty minutes.
        ->and($belief->coreAt(60.0 * 60))->toEqualWithDelta(65.0 - M_E ** -1.0, 1e-9)
        ->and($belief->when(1234.5))->toBe(1234.5);
    // 50 °C: the model's at 45 minutes and a little, as the difference has faded to 0.78.
    expect($belief->reaches(50.0) / 60.0)->toEqualWithDelta(45.77, 0.03)
        // What was read already is reached now; what the model does not come to is not reached.
        ->and($belief->reaches(44.0))->toEqualWithDelta(2400.0, 1e-6)
        ->and($belief->reaches(40.0))->toEqualWithDelta(2400.0, 1e-6)
        ->and($belief->reaches(75.1))->toBeNull();
});

it('believes two readings of one moment by the later of them', function () {
    $belief = believed([[30.0, 34.0], [30.0, 36.0]]);
    expect($belief->coreAt(1800.0))->toEqualWithDelta(34.0, 1e-9)->and($belief->coreAt(1800.1))->toEqualWithDelta(36.0, 1e-2)
        ->and($belief->offK)->toEqualWithDelta(1.0, 1e-9);
    // One read as it went on, 3 K warmer than planned.
    expect(believed([[0.0, 8.0], [30.0, 35.0]])->coreAt(900.0))->toEqualWithDelta(21.5, 1e-9);
});

it('is steered by what is more than four kelvin off, or half as quick again', function (array $points, bool $steered) {
    expect(believed($points)->steered)->toBe($steered);
})->with([
    'four off' => [[[30.0, 39.0]], false], 'a little more' => [[[30.0, 39.1]], true], 'four below' => [[[30.0, 31.0]], false], 'a little more below' => [[[30.0, 30.9]], true],
    // Twelve kelvin in eight minutes, a little less and a little more; eight in twelve minutes, and in a little longer.
    'hardly one and a half times its pace' => [[[30.0, 32.05], [38.0, 44.0]], false], 'quicker' => [[[30.0, 31.9], [38.0, 44.0]], true],
    'at two thirds of it' => [[[30.0, 36.0], [42.0, 44.0]], false], 'slower' => [[[30.0, 36.0], [42.1, 44.0]], true],
    // What is less than eight minutes or eight kelvin apart tells no pace.
    'too near in time' => [[[30.0, 31.5], [37.9, 44.0]], false], 'too near in degrees' => [[[30.0, 38.0], [43.0, 45.9]], false],
]);

it('runs on at the pace of the latest readings, and at both ends by all that the paces leave open', function () {
    // Thirty degrees of the model's thirty minutes took sixty: half as quick. The last ten took thirty: a third.
    $belief = believed([[30.0, 25.0], [60.0, 35.0]]);
    // 35 °C is the model's at 30 minutes; from there to 60 °C 25 minutes of its own, three times as long.
    expect($belief->steered)->toBeTrue()->and($belief->disagrees())->toBeTrue()
        ->and($belief->reaches(60.0) / 60.0)->toEqualWithDelta(60.0 + 25.0 * 3.0, 1e-6)
        ->and($belief->coreAt(60.0 * 75))->toEqualWithDelta(40.0, 1e-6)
        ->and($belief->when(60.0 * 40) / 60.0)->toEqualWithDelta(90.0, 1e-6)
        // Never before the newest.
        ->and($belief->when(60.0 * 20) / 60.0)->toEqualWithDelta(60.0, 1e-6);
    [$quick, $slow] = $belief->ends(60.0);
    // Since it went on 2, of late 3; either known to a factor of 1.4.
    expect($quick / 60.0)->toEqualWithDelta(60.0 + 25.0 * 2.0 / 1.4, 1e-6)->and($slow / 60.0)->toEqualWithDelta(60.0 + 25.0 * 3.0 * 1.4, 1e-6);
    // And the other way round: 2.67 since it went on, 1.6 of late.
    [$quick, $slow] = believed([[72.0, 25.0], [80.0, 35.0]])->ends(60.0);
    expect($quick / 60.0)->toEqualWithDelta(80.0 + 25.0 * 0.8 / 1.4, 1e-6)->and($slow / 60.0)->toEqualWithDelta(80.0 + 25.0 * 80.0 / 30.0 * 1.4, 1e-6);
    // What the model does not come to is asked of its end.
    expect($belief->reaches(76.0) / 60.0)->toEqualWithDelta(60.0 + 45.0 * 3.0, 1e-6);
});

it('takes no cook to run more than four times slower or quicker than its model', function () {
    expect(believed([[150.0, 35.0]])->reaches(45.0) / 60.0)->toEqualWithDelta(150.0 + 10.0 * 4.0, 1e-6)
        ->and(believed([[5.0, 65.0]])->reaches(69.0) / 60.0)->toEqualWithDelta(5.0 + 4.0 / 4.0, 1e-6)
        // Nor to have begun to warm within its first minute.
        ->and(believed([[3.0, 5.1]])->steered)->toBeFalse()
        ->and(believed([[30.0, 5.5]])->reaches(15.5) / 60.0)->toEqualWithDelta(30.0 + 4.0 * 9.5, 1e-6);
});

it('takes no pace from readings on either side of a time off the heat', function () {
    $off = new Course(nowS: 3600.0, offs: [[2000.0, 900.0]]);
    // 25 and 35 °C half an hour apart, a quarter of it off the heat: no third of the pace, but half, as since it went on.
    expect(believed([[30.0, 25.0], [60.0, 35.0]], course: $off)->reaches(60.0) / 60.0)->toEqualWithDelta(60.0 + 25.0 * 2.0, 1e-6)
        ->and(believed([[30.0, 25.0], [60.0, 35.0]])->reaches(60.0) / 60.0)->toEqualWithDelta(135.0, 1e-6);
});

it('goes through what was read before, at the pace that it takes', function () {
    $belief = believed([[30.0, 25.0], [60.0, 35.0]]);
    // The model's first twenty minutes took thirty, its next ten took thirty.
    expect($belief->coreAt(60.0 * 15))->toEqualWithDelta(15.0, 1e-6)->and($belief->coreAt(60.0 * 30))->toEqualWithDelta(25.0, 1e-6)
        ->and($belief->coreAt(60.0 * 45))->toEqualWithDelta(30.0, 1e-6)->and($belief->coreAt(60.0 * 60))->toEqualWithDelta(35.0, 1e-6);
    $trace = $belief->trace(60.0 * 135);
    expect($trace->reaches(60.0) / 60.0)->toEqualWithDelta(135.0, 0.1)->and($trace->coreAt(60.0 * 45))->toEqualWithDelta(30.0, 0.1)
        // In the rest it climbs by what may be counted on, and no more.
        ->and(max($trace->coreC))->toEqualWithDelta(62.0, 0.1)->and($trace->coreAt(60.0 * 145))->toEqualWithDelta(62.0, 0.1);
});

it('stays where it was read when that is beyond what the model comes to', function () {
    $belief = believed([[60.0, 80.0]]);
    expect($belief->steered)->toBeTrue()->and($belief->coreAt(60.0 * 60))->toEqualWithDelta(80.0, 1e-6)
        ->and($belief->coreAt(60.0 * 90))->toEqualWithDelta(80.0, 1e-6)->and($belief->reaches(78.0) / 60.0)->toEqualWithDelta(60.0, 1e-6);
});

it('knows the core at the pull by what was read a quarter of an hour before it, and not sooner', function () {
    $belief = believed([[30.0, 35.0]]);
    expect($belief->wasReadBy(60.0 * 45))->toBeTrue()->and($belief->wasReadBy(60.0 * 45 + 1.0))->toBeFalse()->and($belief->wasReadBy(60.0 * 10))->toBeTrue()
        ->and(believed([])->wasReadBy(0.0))->toBeFalse();
});

it('climbs in the rest by what the model does, no further than may be counted on, and falls in proportion to the air', function () {
    $belief = believed([[70.0, 75.0]], pulled: 70.0, climbK: 1.0);
    expect($belief->coreAt(60.0 * 75))->toEqualWithDelta(76.0, 1e-6)
        // 2 K at the peak, of which one is counted.
        ->and($belief->coreAt(60.0 * 80))->toEqualWithDelta(76.0, 1e-6)
        // At 140 minutes the model has fallen to 71 °C: a read core of 75 falls as far.
        ->and($belief->coreAt(60.0 * 140))->toEqualWithDelta(17.0 + 58.0 * (71.0 - 17.0) / (75.0 - 17.0), 1e-6);
    // Read in the rest at the model's peak, 3 K lower: from there it falls in proportion to how far it is above 17 °C.
    $read = believed([[60.0, 65.0], [80.0, 74.0]], pulled: 70.0);
    expect($read->coreAt(60.0 * 80))->toEqualWithDelta(74.0, 1e-6)
        ->and($read->coreAt(60.0 * 140))->toEqualWithDelta(17.0 + 57.0 * (71.0 - 17.0) / (77.0 - 17.0), 1e-6)
        // Half way from no difference to 3 K it came off at 75 °C less 1.5; from there to 74 on the line.
        ->and($read->coreAt(60.0 * 70))->toEqualWithDelta(73.5, 1e-6)->and($read->coreAt(60.0 * 75))->toEqualWithDelta(73.75, 1e-6);
});
