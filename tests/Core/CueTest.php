<?php

declare(strict_types=1);

use Diatherm\Cooking\Course;
use Diatherm\Cooking\CueState;
use Diatherm\Cooking\Forecast;
use Diatherm\Day\Act;
use Diatherm\Day\Entry;
use Diatherm\Day\Progress;
use Diatherm\Food\Larder;
use Diatherm\Live\LiveForecast;
use Diatherm\Live\Reading;
use Diatherm\Plan\Plan;
use Diatherm\Roast\RoastFile;
use Tests\Support\Matrix;
use Tests\Support\Samples;

// The order to take it off follows the meat: no line says so while the newest reading that counts lies under the number.

const ONE_BIRD = ['cut' => 'chicken', 'mass_kg' => 1.8, 'start_c' => 5, 'taste' => 'done', 'stages' => [['cooker' => 'oven', 'cooker_c' => 180, 'pull' => true]]];
const SEARED_LAST = ['cut' => 'beef-tri-tip', 'mass_kg' => 1.0, 'start_c' => 5, 'taste' => null, 'target_c' => 55, 'stages' => [
    ['cooker' => 'kettle', 'cooker_c' => 121, 'until_core_c' => 48], ['cooker' => 'kettle-direct', 'cooker_c' => 260, 'minutes' => 4],
]];

/** @param  list<array{float, float, 2?: string}>  $readings  minutes since it went on, °C and place */
function onFor(array $asked, float $minutes, array $readings): LiveForecast
{
    $dish = Samples::dish($asked);
    $read = array_map(fn (array $one, int $i): Reading => Reading::of("r$i", 60.0 * $one[0], $one[2] ?? 'core', $one[1]), $readings, array_keys($readings));

    return LiveForecast::of($dish, 14.0, new Course(nowS: 60.0 * $minutes), $read, Forecast::of($dish, 14.0)->pullC);
}

/** @return list<Entry> lines of the sheet that are about the end of a step, with the dish on for so long */
function endsOf(array $asked, float $minutes, array $readings): array
{
    $now = new DateTimeImmutable('2031-10-04T16:00:00+02:00');
    $live = onFor($asked, $minutes, $readings);
    $on = $now->modify(sprintf('-%d seconds', (int) (60 * $minutes)));
    $progress = new Progress(
        $on, cookMinutes: $live->getsThere ? $live->cookMinutes : null, pullC: $live->pullC, stageMinutes: $live->stageStartMinutes, cue: $live->cue,
    );
    $plan = Plan::of(RoastFile::read(['serve_at' => '2031-10-04T19:00:00+02:00', 'people' => 4, 'air_c' => 14, 'dishes' => [$asked]]), $now, [$progress]);

    return array_values(array_filter(
        $plan->runSheet->entries, fn (Entry $entry): bool => in_array($entry->act, [Act::Read, Act::Pull, Act::Stage, Act::Rest, Act::Carve], true),
    ));
}

/** @return list<string> */
function actsOf(array $entries): array
{
    return array_map(fn (Entry $entry): string => $entry->act->value, $entries);
}

it('asks for a reading in place of a pull until it reads its number', function (float $minutes, array $readings, array $acts) {
    expect(actsOf(endsOf(ONE_BIRD, $minutes, $readings)))->toBe($acts);
})->with([
    'nothing read yet' => [30.0, [], ['read', 'rest', 'carve']],
    'on its way' => [60.0, [[40.0, 30.0], [59.0, 48.0]], ['read', 'rest', 'carve']],
    'at its number' => [95.0, [[60.0, 48.0], [94.0, 75.0]], ['pull', 'rest', 'carve']],
    'at its number, but long ago' => [140.0, [[60.0, 48.0], [94.0, 75.0]], ['read', 'rest', 'carve']],
    'long over its time, never read' => [200.0, [], ['read', 'rest', 'carve']],
]);

// A chicken on for 90 minutes that reads 45, 40, 38: its fire has died.
it('says no pull, no hour and no rest of a bird that sinks on the heat, and says what to do first', function () {
    $readings = [[60.0, 45.0], [75.0, 40.0], [89.0, 38.0]];
    $live = onFor(ONE_BIRD, 90.0, $readings);
    $entries = endsOf(ONE_BIRD, 90.0, $readings);
    expect($live->cue?->state)->not->toBe(CueState::Due)
        ->and(actsOf($entries))->not->toContain('pull')
        ->and($live->advice?->act->value)->toBeIn(['read_cooker', 'hotter', 'read']);
});

it('says what a reading should show, and never more than the number', function (float $minutes, array $readings) {
    $cue = onFor(ONE_BIRD, $minutes, $readings)->cue;
    expect($cue)->not->toBeNull();
    expect($cue->nearC)->toBeLessThanOrEqual($cue->endC + 0.01)->toBeGreaterThan($cue->endC - 10.0)
        ->and($cue->readMinutes)->toBeGreaterThanOrEqual($minutes);
})->with([[10.0, []], [60.0, [[59.0, 48.0]]], [85.0, [[60.0, 48.0], [84.0, 68.0]]]]);

it('ends a step that the core ends by a reading as well', function () {
    expect(actsOf(endsOf(SEARED_LAST, 20.0, [])))->toBe(['read', 'pull', 'rest', 'carve'])
        ->and(actsOf(endsOf(SEARED_LAST, 40.0, [[39.0, 49.0]])))->toBe(['stage', 'pull', 'rest', 'carve']);
});

// Source of the minimum: USDA FSIS, Safe Minimum Internal Temperature Chart: poultry 74 °C.
it('ends a last step by the clock with a reading where the clock would end it short', function () {
    $asked = fn (float $minutes): array => ['stages' => [['cooker' => 'oven', 'cooker_c' => 180, 'minutes' => $minutes]]] + ONE_BIRD;
    expect(actsOf(endsOf($asked(40.0), 20.0, [])))->toBe(['read', 'rest', 'carve'])
        ->and(actsOf(endsOf($asked(120.0), 20.0, [])))->toBe(['pull', 'rest', 'carve']);
});

// A bird's thigh, an animal's leg and the middle of a joint are done last. Common practice.
it('asks for the place that decides where only a warm one was read', function (array $asked, string $warm, string $decides) {
    $dish = Samples::dish($asked);
    $plan = Forecast::of($dish, 14.0);
    $at = $plan->cookMinutes->likely;
    $alone = onFor($asked, $at, [[$at - 20.0, $plan->pullC - 9.0, $warm], [$at - 1.0, $plan->pullC + 1.0, $warm]]);
    expect($alone->cue?->state)->toBe(CueState::ReadFirst)->and($alone->advice?->act->value)->toBe('read');
    $both = onFor($asked, $at, [[$at - 20.0, $plan->pullC - 9.0, $warm], [$at - 1.0, $plan->pullC + 2.0, $warm], [$at - 0.5, $plan->pullC + 1.0, $decides]]);
    expect($both->cue?->state)->toBe(CueState::Due)->and($both->advice?->act->value)->toBe('take_off');
})->with([
    'a bird' => [ONE_BIRD, 'breast', 'thigh'],
    'a rack' => [['cut' => 'pork-rack', 'mass_kg' => 2.4, 'start_c' => 5, 'taste' => null, 'stages' => [['cooker' => 'oven', 'cooker_c' => 160, 'pull' => true]]], 'thin_end', 'core'],
    'a lamb' => [['cut' => 'lamb-whole', 'mass_kg' => 16, 'start_c' => 5, 'taste' => null, 'target_c' => 63, 'stages' => [['cooker' => 'open-spit', 'cooker_c' => 360, 'pull' => true]]], 'saddle', 'leg'],
]);

// 158 °F in the middle, then 166 °F in the thick end some minutes later.
it('does not let a warmer place that is read later outdo a colder one', function (float $laterMinutes) {
    $asked = ['cut' => 'turkey-breast', 'mass_kg' => 2.5, 'start_c' => 5, 'taste' => 'done', 'stages' => [['cooker' => 'oven', 'cooker_c' => 170, 'pull' => true]]];
    $at = Forecast::of(Samples::dish($asked), 14.0)->cookMinutes->likely;
    $live = onFor($asked, $at + $laterMinutes, [[$at - 20.0, 62.0], [$at, 70.0], [$at + $laterMinutes, 74.4, 'thick_end']]);
    expect($live->belief->newest?->celsius)->toBe(70.0)->and($live->cue?->state)->toBe(CueState::ReadFirst)
        ->and($live->advice?->act->value)->not->toBe('take_off');
})->with([1.0, 4.0, 6.0, 10.0]);

// The matrix that would have found the whole family: every cut, read short at the hour of its pull, is never told to come off.
it('never orders off what reads under its number', function (string $name, array $file) {
    $asked = $file['dishes'][0];
    $dish = Samples::dish($asked);
    $plan = Forecast::of($dish, 14.0);
    $at = $plan->cookMinutes->likely;
    foreach ([[], [[$at - 30.0, $plan->pullC - 25.0], [$at - 1.0, $plan->pullC - 3.0]], [[$at - 16.0, $plan->pullC + 1.0]]] as $readings) {
        $acts = actsOf(endsOf($asked, $at, array_values(array_filter($readings, fn (array $one): bool => $one[0] > 0.0 && $one[1] > 6.0))));
        expect($acts)->not->toContain('pull', "$name with ".json_encode($readings));
    }
})->with(function (): array {
    $files = array_filter(Matrix::sample(61), fn (array $file): bool => count($file['dishes'][0]['stages']) === 1 && ! isset($file['dishes'][0]['rig'])
        && Larder::cut($file['dishes'][0]['cut'])->isPerishable());

    return array_map(fn (string $name): array => [$name, $files[$name]], array_keys($files));
});

it('has handwork between two steps after the reading that ends the first, in the order in which it is done', function (float $minutes) {
    $asked = ['cut' => 'chicken-legs', 'mass_kg' => 0.16, 'pieces' => 8, 'start_c' => 6, 'taste' => 'done', 'stages' => [
        ['cooker' => 'gas', 'cooker_c' => 195, 'until_core_c' => 71],
        ['cooker' => 'gas-direct', 'cooker_c' => 230, 'until_brown' => 5, 'preparations' => ['dip']],
    ]];
    $now = new DateTimeImmutable('2031-10-04T16:00:00+02:00');
    $live = onFor($asked, $minutes, []);
    $progress = new Progress(
        $now->modify(sprintf('-%d seconds', (int) (60 * $minutes))), cookMinutes: $live->cookMinutes, pullC: $live->pullC, stageMinutes: $live->stageStartMinutes, cue: $live->cue,
    );
    $plan = Plan::of(RoastFile::read(['serve_at' => '2031-10-04T19:00:00+02:00', 'people' => 4, 'air_c' => 14, 'dishes' => [$asked]]), $now, [$progress]);
    $lines = array_filter($plan->runSheet->entries, fn (Entry $one): bool => in_array($one->id->what, ['read', 'between', 'chore', 'pull'], true));
    expect(array_values(array_map(fn (Entry $one): string => $one->id->what, $lines)))->toBe(['read', 'between', 'pull']);
})->with([2.0, 10.0, 18.0, 30.0]);

it('counts what sank and does not climb again as out of the refrigerator, though nobody read the cooker', function (array $later, bool $isOver) {
    $live = onFor(ONE_BIRD, 270.0, [[30.0, 24.0], [60.0, 45.0], ...$later]);
    expect(in_array('out_of_refrigeration', array_column($live->cautions, 'id'), true))->toBe($isOver)
        ->and($live->advice?->act->value === 'discard')->toBe($isOver);
})->with([
    'stands at what it sank to' => [[[90.0, 38.0], [130.0, 36.0], [170.0, 37.0], [210.0, 36.5], [268.0, 36.0]], true],
    'climbs at once' => [[[75.0, 40.0], [95.0, 52.0], [120.0, 63.0], [150.0, 72.0], [180.0, 74.5], [268.0, 75.0]], false],
]);
