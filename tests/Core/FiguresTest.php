<?php

declare(strict_types=1);

use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Cooking\PartForecast;
use Diatherm\Live\CookerSense;
use Diatherm\Live\Debrief;
use Diatherm\Live\LiveForecast;
use Diatherm\Live\ProbeMap;
use Diatherm\Live\Reading;
use Diatherm\Measure\Message;
use Diatherm\Plan\Plan;
use Diatherm\Plan\PlannedFire;
use Diatherm\Tending\Correction;
use Diatherm\Tending\DueRefuel;
use Diatherm\Tending\FirePlan;
use Diatherm\Tending\LaidFires;
use Tests\Support\Figures;
use Tests\Support\Samples;

// Everything that a few fires, cooks and afternoons come to, kept in tests/Core/figures. That a figure is true others show (tests/Reference):
// here one that moves is seen, whichever it is, to be answered for. FIGURES=write writes them anew, to be read through.

/** As they are asked for: dish, roast. */
const COOKED = [
    'rack on a kettle' => [[], ['wind_ms' => 4, 'air_c' => 3]],
    'chicken in a ceramic' => [['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => 'done', 'stages' => [['cooker' => 'ceramic', 'cooker_c' => 180, 'pull' => true]]], []],
    'ducks on a spit on gas' => [['cut' => 'duck', 'mass_kg' => 2.2, 'pieces' => 2, 'taste' => 'done', 'stages' => [['cooker' => 'grill-rotisserie', 'cooker_c' => 180, 'pull' => true]]], ['altitude_m' => 900]],
    'lamb over wood' => [['cut' => 'lamb-whole', 'mass_kg' => 15, 'taste' => 'medium', 'stages' => [['cooker' => 'open-spit', 'hand_s' => 6, 'pull' => true]]], ['wind_ms' => 3, 'fires' => [['cooker' => 'open-spit', 'layout' => 'ends', 'fuel' => 'lump']]]],
    'leg in a camp oven' => [['cut' => 'lamb-leg', 'mass_kg' => 2.5, 'taste' => 'medium', 'stages' => [['cooker' => 'camp-oven', 'cooker_c' => 170, 'pull' => true]]], ['fires' => [['cooker' => 'camp-oven', 'fuel' => 'hardwood', 'layout' => 'bake']]]],
    'breast in the ground' => [['cut' => 'turkey-breast', 'mass_kg' => 2.95, 'taste' => null, 'rig' => ['kind' => 'buried_pot'], 'stages' => [['cooker' => 'camp-oven', 'pull' => true]]], ['wind_ms' => 7]],
    'shoulder, wrapped' => [['cut' => 'pork-shoulder', 'mass_kg' => 3, 'taste' => 'tender', 'stages' => [['cooker' => 'pellet', 'cooker_c' => 110, 'until_core_c' => 68], ['cooker' => 'pellet', 'cooker_c' => 120, 'until_tender' => true, 'wrap' => 'paper']]], []],
    'rib, seared last' => [['cut' => 'beef-rib', 'mass_kg' => 3, 'taste' => 'medium_rare', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 110, 'until_core_c' => 46], ['cooker' => 'rest', 'minutes' => 15], ['cooker' => 'open-grate', 'cooker_c' => 450, 'minutes' => 6]]], []],
    'fish on a griddle' => [['cut' => 'fish-fillet', 'mass_kg' => 0.8, 'taste' => null, 'target_c' => 63, 'stages' => [['cooker' => 'griddle', 'cooker_c' => 200, 'pull' => true]]], []],
    'turkey in a roaster' => [['cut' => 'turkey', 'mass_kg' => 6.4, 'taste' => 'done', 'start_c' => 3, 'stages' => [['cooker' => 'lidded-roaster', 'cooker_c' => 163, 'pull' => true]]], []],
];

/** Fires that are asked for in another way. */
const FIRED = [
    'two on one kettle, an hour apart' => [[], ['dishes' => [
        ['cut' => 'pork-rack', 'mass_kg' => 3, 'start_c' => 6, 'taste' => 'juicy', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 150, 'pull' => true]]],
        ['cut' => 'chicken', 'mass_kg' => 1.8, 'start_c' => 5, 'taste' => 'done', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 200, 'pull' => true]]],
    ]]],
    'three on two fires, one seared on neither' => [[], ['dishes' => [
        ['cut' => 'chicken', 'mass_kg' => 1.8, 'start_c' => 5, 'taste' => 'done', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 180, 'pull' => true]]],
        ['cut' => 'pork-rack', 'mass_kg' => 3, 'start_c' => 6, 'taste' => 'juicy', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 150, 'pull' => true]]],
        ['cut' => 'beef-sirloin', 'mass_kg' => 1.6, 'start_c' => 6, 'taste' => 'medium_rare', 'stages' => [
            ['cooker' => 'pellet', 'cooker_c' => 110, 'until_core_c' => 47], ['cooker' => 'open-grate', 'cooker_c' => 450, 'minutes' => 5],
        ]],
    ]]],
    'gas in a storm' => [['cut' => 'beef-rib', 'mass_kg' => 2.5, 'taste' => 'medium', 'stages' => [['cooker' => 'gas', 'cooker_c' => 250, 'pull' => true]]], ['wind_ms' => 14, 'air_c' => -5]],
    'kettle kept low' => [['cut' => 'pork-shoulder', 'mass_kg' => 2.5, 'taste' => null, 'target_c' => 80, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 90, 'pull' => true]]], ['air_c' => 30, 'wind_ms' => 0]],
    'lamb over coals laid by hand' => [['cut' => 'lamb-whole', 'mass_kg' => 14, 'taste' => 'medium', 'stages' => [['cooker' => 'open-spit', 'cooker_c' => 360, 'pull' => true]]], ['fires' => [['cooker' => 'open-spit', 'layout' => 'even', 'piles' => [['x_cm' => -56, 'y_cm' => 0, 'kg' => 2], ['x_cm' => 19, 'y_cm' => 10, 'kg' => 3]]]]]],
    'steaks on a grate, wood' => [['cut' => 'beef-fillet', 'mass_kg' => 2, 'taste' => 'medium_rare', 'stages' => [['cooker' => 'open-grate', 'cooker_c' => 400, 'pull' => true]]], ['fires' => [['cooker' => 'open-grate', 'fuel' => 'hardwood']]]],
    'pot on a wide rig' => [['cut' => 'lamb-leg', 'mass_kg' => 2.5, 'taste' => 'medium', 'rig' => ['kind' => 'pot', 'pot_cm' => 60], 'stages' => [['cooker' => 'camp-oven', 'cooker_c' => 200, 'until_core_c' => 40], ['cooker' => 'camp-oven', 'cooker_c' => 150, 'pull' => true]]], []],
];

/** And with something to be said against it. */
const CAUTIONED = [
    'duck hardly done' => [['cut' => 'duck', 'mass_kg' => 2.2, 'taste' => null, 'target_c' => 74, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 160, 'pull' => true]]], []],
    'turkey on a smoker' => [['cut' => 'turkey', 'mass_kg' => 9, 'taste' => 'done', 'coast' => true, 'stages' => [['cooker' => 'pellet', 'cooker_c' => 110, 'pull' => true]]], ['air_c' => -2]],
    'shoulder by its number' => [['cut' => 'pork-shoulder', 'mass_kg' => 1.2, 'taste' => null, 'target_c' => 90, 'stages' => [['cooker' => 'gas', 'cooker_c' => 200, 'pull' => true]]], []],
    'shoulder in a pot, till tender' => [['cut' => 'pork-shoulder', 'mass_kg' => 2, 'taste' => 'tender', 'stages' => [['cooker' => 'lidded-roaster', 'cooker_c' => 140, 'until_tender' => true]]], []],
    'rare rib, rested for three hours' => [['cut' => 'beef-rib', 'mass_kg' => 3, 'taste' => 'rare', 'rest_minutes' => 180, 'stages' => [['cooker' => 'oven', 'cooker_c' => 120, 'pull' => true]]], []],
    'leg that was out all morning' => [['cut' => 'lamb-leg', 'mass_kg' => 3, 'taste' => 'medium', 'start_c' => 19, 'stages' => [['cooker' => 'gas', 'cooker_c' => 180, 'pull' => true]]], ['air_c' => 24]],
    'breast browned in haste' => [['cut' => 'duck-breast', 'mass_kg' => 0.4, 'taste' => null, 'target_c' => 58, 'stages' => [['cooker' => 'ceramic', 'cooker_c' => 110, 'until_core_c' => 50], ['cooker' => 'ceramic', 'cooker_c' => 280, 'minutes' => 5]]], []],
    'loin cooked to its number' => [['cut' => 'pork-loin', 'mass_kg' => 1.6, 'taste' => 'juicy', 'coast' => false, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 140, 'until_core_c' => 55], ['cooker' => 'kettle', 'cooker_c' => 220, 'until_brown' => 8]]], []],
];

/** Readings of a cooker, minutes from now and K off its heat; minutes since it was touched; whether coals are due. */
const CORRECTED = [
    'cold' => [[[-20, -22], [-10, -24], [0, -25]], INF, false], 'cold, coals due' => [[[-20, -22], [-10, -24], [0, -25]], INF, true],
    'hot' => [[[-20, 18], [-10, 22], [0, 26]], 40.0, false], 'just touched' => [[[-2, -20], [0, -14]], 4.0, false],
    'falling' => [[[-40, 6], [-25, 0], [-10, -6], [0, -9]], INF, false], 'near' => [[[-5, 3]], INF, false],
];

function kept(string $name, mixed $what): void
{
    $file = __DIR__.'/figures/'.str_replace([' ', ','], ['-', ''], $name).'.txt';
    $text = Figures::text($what);
    if (getenv('FIGURES') === 'write') {
        file_put_contents($file, $text);
    }
    expect($text)->toBe((string) file_get_contents($file));
}

function cooked(string $name): Plan
{
    return Plan::of(Samples::roast(...(COOKED + FIRED)[$name]), new DateTimeImmutable('2031-10-03T06:00:00+02:00'));
}

it('forecasts as it is kept', function (string $name) {
    $asked = Samples::roast(...(COOKED + CAUTIONED)[$name]);
    $forecast = Forecast::of(LaidFires::lay($asked, [])->dishes[0], $asked->airC);
    kept("cook of $name", [$forecast, PartForecast::all($forecast), $forecast->rule?->minutes()]);
})->with(array_keys(COOKED + CAUTIONED));

it('tends fires as it is kept', function (string $name) {
    $corrections = fn (FirePlan $fire): array => $fire->use->buried ? [] : array_map(fn (array $case): ?Correction => Correction::of(
        $fire->stove->curve, $fire->stove->weather, $fire->steps[0]->targetC, $fire->steps[0]->settings,
        array_map(fn (array $one): array => [(float) $one[0], $fire->steps[0]->targetC + $one[1]], $case[0]),
        $case[1], $case[2] ? new DueRefuel(Message::of('words.text', text: 'coals'), 5.0) : null,
    ), CORRECTED);
    kept("fires of $name", array_map(fn (PlannedFire $fire): array => [
        'fire' => $fire, 'corrected' => $corrections($fire->plan), 'count' => $fire->plan->count(),
        'kg' => [
            $fire->plan->usedKg(), $fire->plan->litKg(), $fire->plan->buyKg(), $fire->plan->inHandKg(), $fire->plan->feedKg(), $fire->plan->smokeKg(),
        ],
        'more' => [$fire->plan->swingK(), $fire->plan->handSeconds(), $fire->plan->closeInC(), $fire->plan->lightMinutes()],
    ], cooked($name)->fires));
})->with(array_keys(COOKED + FIRED));

/** Shares of the plan's time and how far off the plan each reading is; when it was pulled and carved. */
const AFTERNOONS = [
    'as planned' => [[[0.3, 0.0], [0.5, 0.5], [0.7, -0.4]], null, null], 'slow' => [[[0.3, -4.0], [0.5, -7.0], [0.8, -12.0]], null, null],
    'quick' => [[[0.4, 6.0], [0.6, 9.0]], null, null], 'one that cannot be' => [[[0.4, 0.0], [0.5, 0.0], [0.51, 40.0]], null, null],
    'off and rested' => [[[0.5, 0.0], [0.9, -1.0], [1.02, 0.0], [1.1, 2.0]], 1.0, 1.15], 'off too soon' => [[[0.4, -8.0], [0.6, -14.0]], 0.62, null],
];

it('follows as it is kept', function (string $name) {
    $dish = LaidFires::lay(Samples::roast(...COOKED[$name]), [])->dishes[0];
    $plan = Forecast::of($dish, 14.0);
    $minutes = $plan->cookMinutes->likely;
    $heat = $dish->stages[0]->cookerC;
    $all = array_map(function (array $case) use ($dish, $plan, $minutes, $heat): array {
        [$read, $pulled, $carved] = $case;
        $readings = array_map(fn (array $one, int $i): Reading => Reading::of(
            "r$i", 60.0 * $one[0] * $minutes, 'core', $plan->trace->coreAt(60.0 * $one[0] * $minutes) + $one[1],
        ), $read, array_keys($read));
        $now = 60.0 * $minutes * max(array_column($read, 0)) + 120.0;
        $course = new Course(
            [[600.0, $heat], [0.4 * $now, $heat - 8.0]], [[0.3 * $now, 120.0]], [], $pulled === null ? null : 60.0 * $pulled * $minutes,
            max($now, 60.0 * ($carved ?? 0.0) * $minutes), $carved === null ? null : 60.0 * $carved * $minutes,
        );
        $live = LiveForecast::of($dish, 14.0, $course, $readings, $plan->pullC, $dish->isBuried() ? $minutes : 0.0);

        return [
            'hours' => [$live->cookMinutes, $live->stageStartMinutes, $live->peakMinutes, $live->under60Minutes, $live->hotMinutes],
            'core' => [$live->pullC, $live->coreNowC, $live->peakC, $live->getsThere, $live->verdicts, $live->guess],
            'course' => [$live->band, $live->trace], 'said' => [$live->atCarving, $live->cautions, $live->advice],
            'map' => ProbeMap::of($dish, $readings, $live->verdicts, $now, true),
            'debrief' => $carved === null ? null : Debrief::of($dish, $minutes, $plan->pullC, $live, $course, $readings, 12.0),
        ];
    }, AFTERNOONS);
    kept("afternoon of $name", [$all, CookerSense::of($dish, $dish->stages[0]->cooker->id, 14.0)]);
})->with(['rack on a kettle', 'ducks on a spit on gas', 'lamb over wood', 'breast in the ground', 'shoulder, wrapped', 'rib, seared last']);

it('keeps no figures that nobody works out', function () {
    expect(glob(__DIR__.'/figures/*.txt'))->toHaveCount(2 * count(COOKED) + count(CAUTIONED) + count(FIRED) + 6);
});
