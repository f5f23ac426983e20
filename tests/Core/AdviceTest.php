<?php

declare(strict_types=1);

use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Live\Advice;
use Diatherm\Live\LiveForecast;
use Diatherm\Live\Reading;
use Diatherm\Roast\Dish;
use Tests\Support\Samples;

// What a cook is told to do, by what was read and done: each case as a careful cook would have it.

const RACK_ON_A_KETTLE = [];
const WELL_DONE_LEG = ['cut' => 'lamb-leg', 'mass_kg' => 2.2, 'taste' => 'well', 'stages' => [['cooker' => 'gas', 'cooker_c' => 175, 'pull' => true]]];
const RARE_RIB = ['cut' => 'beef-rib', 'mass_kg' => 3, 'taste' => 'rare', 'stages' => [['cooker' => 'oven', 'cooker_c' => 140, 'pull' => true]]];
const A_BIRD = ['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => null, 'target_c' => 76, 'stages' => [['cooker' => 'gas', 'cooker_c' => 180, 'pull' => true]]];
const A_SHOULDER = ['cut' => 'pork-shoulder', 'mass_kg' => 2.5, 'taste' => 'tender', 'stages' => [['cooker' => 'pellet', 'cooker_c' => 121, 'until_tender' => true]]];
const TWO_HEATS = ['cut' => 'beef-rib', 'mass_kg' => 3, 'taste' => 'medium', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 130, 'until_core_c' => 40], ['cooker' => 'kettle', 'cooker_c' => 200, 'pull' => true]]];

const SEARED_RIB = ['cut' => 'beef-rib', 'mass_kg' => 2.6, 'taste' => 'medium_rare', 'stages' => [['cooker' => 'gas', 'cooker_c' => 120, 'until_core_c' => 45], ['cooker' => 'rest', 'minutes' => 10], ['cooker' => 'gas-direct', 'cooker_c' => 230, 'minutes' => 5]]];
const BROWNED_LEGS = ['cut' => 'chicken-legs', 'mass_kg' => 0.3, 'pieces' => 4, 'taste' => null, 'target_c' => 79, 'stages' => [['cooker' => 'kettle-direct', 'cooker_c' => 230, 'minutes' => 8], ['cooker' => 'kettle', 'cooker_c' => 170, 'pull' => true]]];
const LEGS_BY_THE_CLOCK = ['cut' => 'chicken-legs', 'mass_kg' => 0.3, 'pieces' => 4, 'taste' => null, 'target_c' => 79, 'stages' => [['cooker' => 'gas', 'cooker_c' => 190, 'minutes' => 60]]];

/**
 * @param  list<array{float, float}>  $read  minutes before now and °C
 * @param  array{pulled?: float, carved?: float, stage?: float}  $did  minutes before now
 */
function advised(Dish $dish, float $nowMinutes, array $read, array $did = []): ?Advice
{
    $now = 60.0 * $nowMinutes;
    $readings = array_map(fn (array $one, int $i): Reading => Reading::of("r$i", $now - 60.0 * $one[0], 'core', $one[1]), $read, array_keys($read));
    $ago = fn (string $what): ?float => isset($did[$what]) ? $now - 60.0 * $did[$what] : null;
    $course = new Course([[600.0, $dish->stages[0]->cookerC]], [], isset($did['stage']) ? [1 => (float) $ago('stage')] : [], $ago('pulled'), $now, $ago('carved'));

    return LiveForecast::of($dish, 14.0, $course, $readings, Forecast::of($dish, 14.0)->pullC)->advice;
}

/** Readings that rise to one that is just read, as the dish's own course does. @return list<array{float, float}> */
function risingTo(Dish $dish, float $coreC): array
{
    $trace = Forecast::of($dish, 14.0)->trace;
    $at = (float) $trace->reaches($coreC);

    return array_map(fn (float $ago): array => [$ago, $trace->coreAt(max(0.0, $at - 60.0 * $ago))], [40.0, 20.0, 1.0]);
}

/** @param  list<array{float, float}>  $read  minutes before now and °C */
function followedTo(Dish $dish, float $nowMinutes, array $read, ?float $pulledMinutes = null): LiveForecast
{
    $now = 60.0 * $nowMinutes;
    $readings = array_map(fn (array $one, int $i): Reading => Reading::of("r$i", $now - 60.0 * $one[0], 'core', $one[1]), $read, array_keys($read));
    $course = new Course([[600.0, $dish->stages[0]->cookerC]], [], [], $pulledMinutes === null ? null : 60.0 * $pulledMinutes, $now);

    return LiveForecast::of($dish, 14.0, $course, $readings, $dish->targetC);
}

function minutesTo(Dish $dish, float $coreC): float
{
    return (float) Forecast::of($dish, 14.0)->trace->reaches($coreC) / 60.0;
}

it('says what to do while it is on', function (array $asked, ?float $coreC, ?string $act) {
    $dish = Samples::dish($asked);
    // What cooks until it pulls apart hardly warms by then: its moment is sure a few minutes after it was read.
    $later = $coreC === null ? 5.0 : 0.0;
    $coreC ??= Forecast::of($dish, 14.0)->pullC;
    expect(advised($dish, minutesTo($dish, $coreC) + $later, risingTo($dish, $coreC))?->act->value)->toBe($act);
})->with([
    'half way, as planned' => [RACK_ON_A_KETTLE, 35.0, null],
    'the rack at its pull' => [RACK_ON_A_KETTLE, 61.5, 'take_off'],
    'the bird a little short of its number' => [A_BIRD, 72.0, null],
    // A minute ago it read half a degree less.
    'the bird that has not quite read it' => [A_BIRD, 76.0, 'read'],
    'the rib, rare' => [RARE_RIB, 48.0, 'take_off'],
    'the shoulder where it should pull apart' => [A_SHOULDER, null, 'read'],
    'the shoulder half way' => [A_SHOULDER, 60.0, null],
    'the first of two heats, done' => [TWO_HEATS, 41.0, 'next_stage'],
    'the first of two heats, under way' => [TWO_HEATS, 30.0, null],
]);

// Would I serve this to children? Half done and left standing is not made good by cooking it on.
// Source: USDA FSIS, Danger Zone: two hours, one above 32 °C.
it('has poultry that lay half done too long thrown away and cautions of whole muscle, off the heat and on it again', function (array $asked, float $coreC, bool $isThrownAway) {
    $dish = Samples::dish($asked);
    $plan = Forecast::of($dish, 14.0);
    $atS = (float) $plan->trace->reaches($coreC);
    $read = [Reading::of('a', $atS - 1200.0, 'core', $plan->trace->coreAt($atS - 1200.0)), Reading::of('b', $atS - 30.0, 'core', $coreC - 0.2)];
    $after = fn (float $airC, float $minutes, bool $isBack): LiveForecast => LiveForecast::of($dish, $airC, $isBack
        ? new Course([[600.0, $dish->stages[0]->cookerC]], nowS: $atS + 60.0 * $minutes + 60.0, offs: [[$atS, 60.0 * $minutes]])
        : new Course([[600.0, $dish->stages[0]->cookerC]], pulledS: $atS, nowS: $atS + 60.0 * $minutes), $read, $plan->pullC);
    $cautions = fn (LiveForecast $live): array => array_column($live->cautions, 'id');
    foreach ([[14.0, 20.0, 200.0], [36.0, 10.0, 130.0]] as [$airC, $short, $long]) {
        expect($after($airC, $short, false)->advice?->act->value)->toBe('back_on')
            ->and(said($after($airC, $short, false)->advice?->why))->toContain('Back on within')
            ->and($after($airC, $short, true)->advice?->act->value)->not->toBe('discard')
            ->and($cautions($after($airC, $short, true)))->not->toContain('out_of_refrigeration');
        foreach ([true, false] as $isBack) {
            expect($cautions($after($airC, $long, $isBack)))->toContain('out_of_refrigeration')
                ->and($after($airC, $long, $isBack)->advice?->act->value === 'discard')->toBe($isThrownAway);
        }
    }
})->with([
    'bird' => [A_BIRD, 48.0, true], 'rack' => [RACK_ON_A_KETTLE, 40.0, false], 'rib' => [RARE_RIB, 30.0, false],
    'a loin that was opened, filled and rolled by quick hands' => [
        ['cut' => 'pork-loin', 'mass_kg' => 1.5, 'taste' => null, 'target_c' => 74, 'form' => 'rolled', 'preparations' => array_map(
            fn (string $id): array => ['do' => $id, 'minutes' => 1], ['open', 'pound', 'fill', 'roll'],
        ), 'stages' => [['cooker' => 'oven', 'cooker_c' => 180, 'pull' => true]]],
        45.0, true,
    ],
]);

it('never takes off by what was worked out: it is read first', function (array $asked) {
    $dish = Samples::dish($asked);
    expect(advised($dish, 1.3 * Forecast::of($dish, 14.0)->cookMinutes->likely, [])?->act->value)->toBe('read')
        // Nor by what was read long ago.
        ->and(advised($dish, minutesTo($dish, 45.0) + 200.0, [[200.0, 45.0]])?->act->value)->not->toBe('take_off');
})->with([[RACK_ON_A_KETTLE], [A_BIRD], [RARE_RIB], [WELL_DONE_LEG]]);

it('says once it is off whether it will do, and how long it goes back', function (array $asked, float $coreC, ?string $act, array $minutes) {
    $dish = Samples::dish($asked);
    $read = array_map(fn (array $one): array => [$one[0] + 2.0, $one[1]], risingTo($dish, $coreC));
    $advice = advised($dish, minutesTo($dish, $coreC) + 2.0, $read, ['pulled' => 2.0]);
    expect($advice?->act->value)->toBe($act);
    if ($minutes !== []) {
        expect($advice?->minutes)->toBeGreaterThanOrEqual($minutes[0])->toBeLessThanOrEqual($minutes[1]);
    }
    // Carved, it is nobody's to put back, and nothing is asked of it.
    expect(advised($dish, minutesTo($dish, $coreC) + 5.0, array_map(fn (array $one): array => [$one[0] + 3.0, $one[1]], $read), ['pulled' => 5.0, 'carved' => 1.0]))
        ->toBeNull();
})->with([
    // Source of the minimums: USDA FSIS, Safe Minimum Internal Temperature Chart: poultry 74 °C; roasts 63 °C and three minutes.
    'the bird, done' => [A_BIRD, 76.0, null, []],
    'the bird at 60' => [A_BIRD, 60.0, 'back_on', [10.0, 60.0]],
    'the bird at 40' => [A_BIRD, 40.0, 'back_on', [30.0, 120.0]],
    'the rack, at its pull' => [RACK_ON_A_KETTLE, 61.0, null, []],
    'the rack at 45' => [RACK_ON_A_KETTLE, 45.0, 'back_on', [15.0, 90.0]],
    'the leg for well done, at medium' => [WELL_DONE_LEG, 65.0, null, []],
    'the rib, rare as it was chosen' => [RARE_RIB, 49.0, null, []],
    'the rib, raw' => [RARE_RIB, 30.0, 'back_on', [15.0, 120.0]],
]);

// Time at temperature: what the table asks for at that core, less what it has had, and a minute for the reading of the clock.
// Source of the times: USDA FSIS, Appendix A (data/lethality.json), held against the publication in tests/Reference/SafetyTest.php.
it('tells how long a core that is short would have to be kept as it is', function (array $asked, float $coreC, bool $isTold) {
    $dish = Samples::dish($asked);
    $at = minutesTo($dish, $coreC) + 2.0;
    $live = followedTo($dish, $at, array_map(fn (array $one): array => [$one[0] + 2.0, $one[1]], risingTo($dish, $coreC)), $at - 2.0);
    $table = $live->atCarving->minimum->lethality;
    $minutes = (1.0 - (float) $live->atCarving->log10 / (float) $table?->log10) * (float) $table?->seconds($live->coreNowC->likely) / 60.0;
    $words = said($live->advice?->why);
    expect($live->advice?->act->value)->toBe('back_on')->and(str_contains($words, (string) $table?->name))->toBe($isTold);
    match (true) {
        ! $isTold => expect($minutes)->toBeGreaterThan(90.0),
        // It came there slowly enough to have had it all.
        $minutes <= 0.0 => expect($words)->toContain('it has had as much already'),
        default => expect($words)->toContain(ceil($minutes + 1.0).' min'),
    };
})->with(['bird at 64' => [A_BIRD, 64.0, true], 'bird at 67' => [A_BIRD, 67.0, true], 'bird at 50' => [A_BIRD, 50.0, false]]);

it('says that it does not get there as long as it was not read there, and no longer', function () {
    // At 90 °C drying holds a shoulder some kelvin lower: a core of 88 is not promised, and is taken where it was read.
    $dish = Samples::dish(['cut' => 'pork-shoulder', 'mass_kg' => 2, 'taste' => null, 'target_c' => 88, 'stages' => [['cooker' => 'pellet', 'cooker_c' => 90, 'pull' => true]]]);
    $short = followedTo($dish, 900.0, [[60.0, 60.0], [30.0, 62.0], [2.0, 63.0]]);
    expect($short->getsThere)->toBeFalse()->and($short->advice?->act->value)->toBeIn(['hotter', 'read_cooker']);
    $there = followedTo($dish, 900.0, [[120.0, 82.0], [60.0, 84.5], [2.0, 88.4]]);
    expect($there->getsThere)->toBeTrue()->and($there->advice?->act->value)->toBe('take_off');
});

// A step by the clock is over when it is over; but nobody takes off a bird that is not done because five minutes have passed.
it('says when the minutes of a step are over, and takes nothing off that is not done', function (array $asked, array $stageStarts, float $now, ?float $read, ?string $act, string $words) {
    $dish = Samples::dish($asked);
    $readings = $read === null ? [] : [Reading::of('a', 60.0 * ($now - 2.0), 'core', $read)];
    $course = new Course([[600.0, $dish->stages[0]->cookerC]], [], array_map(fn (int $minutes): float => 60.0 * $minutes, $stageStarts), nowS: 60.0 * $now);
    $advice = LiveForecast::of($dish, 14.0, $course, $readings, $dish->targetC)->advice;
    expect($advice?->act->value)->toBe($act)->and(said($advice?->words).' '.said($advice?->why))->toContain($words);
})->with([
    'the sear of a rib, under way' => [SEARED_RIB, [1 => 100, 2 => 110], 114.0, 48.0, null, ''],
    'and over' => [SEARED_RIB, [1 => 100, 2 => 110], 115.5, 49.0, 'take_off', 'This step was to take 5 min'],
    'its rest is over' => [SEARED_RIB, [1 => 100], 110.5, 47.0, 'next_stage', 'This step was to take 10 min'],
    'legs browned first' => [BROWNED_LEGS, [], 8.5, null, 'next_stage', 'This step was to take 8 min'],
    'legs by the clock, done' => [LEGS_BY_THE_CLOCK, [], 61.0, 76.0, 'take_off', 'This step was to take 60 min'],
    'legs by the clock, read and not done' => [LEGS_BY_THE_CLOCK, [], 61.0, 66.0, 'wait', 'It reads 66 °C; poultry should have 74 °C'],
    'legs by a short clock that nobody read' => [['stages' => [['cooker' => 'gas', 'cooker_c' => 190, 'minutes' => 25]]] + LEGS_BY_THE_CLOCK, [], 26.0, null, 'read', 'Its time is over: read it'],
]);
