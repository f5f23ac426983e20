<?php

declare(strict_types=1);

use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Cooking\Uncertainty;
use Diatherm\Heat\Resolution;
use Diatherm\Live\Debrief;
use Diatherm\Live\Finding;
use Diatherm\Live\LiveForecast;
use Diatherm\Live\Reading;
use Diatherm\Measure\InvalidInput;
use Diatherm\Plan\Plan;
use Diatherm\Roast\RoastFile;
use Diatherm\Tending\LaidFires;
use Tests\Support\Matrix;
use Tests\Support\Samples;

// The mistakes at the end of a cook: what was not read, what is said of it later, and hours that are none.

const THE_BIRD = ['cut' => 'chicken', 'mass_kg' => 1.8, 'start_c' => 5, 'taste' => 'done', 'stages' => [['cooker' => 'oven', 'cooker_c' => 180, 'pull' => true]]];

/** @param  list<array{float, float}>  $readings  minutes after the pull, °C */
function pulled(array $asked, float $share, array $readings, float $afterMinutes = 5.0, ?Course $as = null): LiveForecast
{
    $dish = Samples::dish($asked);
    $plan = Forecast::of($dish, 14.0);
    $offS = 60.0 * $share * $plan->cookMinutes->likely;
    $read = array_map(fn (array $one, int $i): Reading => Reading::of("r$i", $offS + 60.0 * $one[0], 'core', $one[1]), $readings, array_keys($readings));

    return LiveForecast::of($dish, 14.0, new Course(pulledS: $offS, nowS: $offS + 60.0 * $afterMinutes), $read, $plan->pullC);
}

/** @return array<string, Finding> */
function debriefed(array $asked, LiveForecast $live, array $readings = [], ?Course $course = null): array
{
    $dish = Samples::dish($asked);
    $plan = Forecast::of($dish, 14.0);
    $course ??= new Course(pulledS: 60.0 * $live->cookMinutes->likely, nowS: 60.0 * $live->cookMinutes->likely + 600.0);

    return array_column(Debrief::of($dish, $plan->cookMinutes->likely, $plan->pullC, $live, $course, $readings, null), null, 'id');
}

it('says of a bird that nobody read, and that had its time, that it is probably done and how to make sure', function (float $share, bool $isProbablyDone) {
    $advice = pulled(THE_BIRD, $share, [])->advice;
    expect($advice?->act->value)->toBe('read')->and($advice?->minutes)->toBeNull()
        ->and(str_contains(said($advice?->why), 'probably done'))->toBe($isProbablyDone);
    if ($isProbablyDone) {
        expect(said($advice?->why))->not->toContain('back on the heat')->toContain('Thigh')->toContain('no proof');
    }
})->with([[1.05, true], [1.2, true], [0.6, false]]);

it('tells a bird that was read what was read', function () {
    expect(said(pulled(THE_BIRD, 1.05, [[-1.0, 61.0]])->advice?->why))->toContain('It reads 6');
});

// 165 and 169 °F read, pulled, 156 °F a minute later.
it('does not rewrite a pull that was read by what is read off the heat', function (array $after) {
    $live = pulled(THE_BIRD, 1.0, [[-8.0, 69.0], [-4.0, 73.9], [-1.0, 76.1], ...$after]);
    expect($live->pullC)->toBeGreaterThan(75.0)->and($live->atCarving->safe)->toBeTrue()->and($live->peakC)->toBeGreaterThanOrEqual(76.1);
})->with([[[[1.0, 68.9]]], [[[2.0, 72.5]]], [[[1.0, 71.0], [4.0, 70.0]]]]);

it('reproaches nobody with a minimum that the meat was never meant to reach', function (float $targetC, bool $isJudged) {
    $asked = ['cut' => 'beef-rib', 'mass_kg' => 3.0, 'start_c' => 5, 'taste' => null, 'target_c' => $targetC, 'stages' => [['cooker' => 'oven', 'cooker_c' => 150, 'pull' => true]]];
    expect(array_key_exists('safe', debriefed($asked, pulled($asked, 1.0, [[-1.0, $targetC - 4.0]]))))->toBe($isJudged);
})->with([[52.0, false], [56.0, false], [63.0, true], [68.0, true]]);

it('calls reached only what was read at it', function (array $readings, string $basis) {
    $live = pulled(THE_BIRD, 1.5, $readings);
    $offS = 60.0 * $live->cookMinutes->likely;
    $read = array_map(fn (array $one, int $i): Reading => Reading::of("r$i", $offS + 60.0 * $one[0], 'core', $one[1]), $readings, array_keys($readings));
    $findings = debriefed(THE_BIRD, $live, $read);
    expect(said($findings['safe']->fact))->toBe('reached')->and($findings['safe']->basis)->toBe($basis);
})->with(['read at it' => [[[-1.0, 76.0]], 'read'], 'read short of it, long before' => [[[-60.0, 70.0]], 'computed']]);

it('never shows a peak below what was read', function () {
    $readings = [[-1.0, 77.0], [2.0, 74.0]];
    $live = pulled(THE_BIRD, 1.0, $readings);
    $offS = 60.0 * $live->cookMinutes->likely;
    $read = array_map(fn (array $one, int $i): Reading => Reading::of("r$i", $offS + 60.0 * $one[0], 'core', $one[1]), $readings, array_keys($readings));
    expect(said(debriefed(THE_BIRD, $live, $read)['peak']->fact))->toBe('77 °C');
});

it('counts no cold storage as time on the heat, and blames no cooker for what another was read at', function () {
    $asked = ['cut' => 'pork-loin', 'mass_kg' => 1.5, 'start_c' => 5, 'taste' => null, 'target_c' => 68, 'stages' => [
        ['cooker' => 'gas', 'cooker_c' => 230, 'minutes' => 15], ['cooker' => 'fridge', 'minutes' => 600], ['cooker' => 'oven', 'cooker_c' => 150, 'pull' => true],
    ]];
    $dish = Samples::dish($asked);
    $plan = Forecast::of($dish, 14.0);
    $offS = 60.0 * $plan->cookMinutes->likely;
    $starts = [1 => 900.0, 2 => 36900.0];
    $course = new Course([[300.0, 228.0], [38000.0, 150.0], [39000.0, 151.0]], [], $starts, $offS, $offS + 600.0);
    $at = fn (float $minutes): Reading => Reading::of("c$minutes", 36900.0 + 60.0 * $minutes, 'core', $plan->trace->coreAt(36900.0 + 60.0 * $minutes));
    $read = [$at(10.0), $at(20.0), $at(30.0)];
    $live = LiveForecast::of($dish, 14.0, $course, $read, $plan->pullC);
    $findings = debriefed($asked, $live, $read, $course);
    expect(said($findings['time']->fact))->not->toContain('12 h')->not->toContain('11 h')->not->toContain('10 h')
        ->and(said($findings['cooker']->lesson))->toBe('Held well.')->and(said($findings['cooker.oven']->lesson))->toBe('Held well.')
        ->and(said($findings['cooker.oven']->what))->toContain('oven');
});

it('digs a pot up when it is done at the slow end and hot at the quick end, or says that its bed is too small', function (string $cut, float $kg, string $ground) {
    try {
        $dish = LaidFires::lay(RoastFile::read(Matrix::file(Diatherm\Food\Larder::cut($cut), [['cooker' => 'camp-oven', 'pull' => true]], [
            'mass_kg' => $kg, 'rig' => ['kind' => 'buried_pot', 'ground' => $ground],
        ])), [])->dishes[0];
        $plan = Forecast::of($dish, 14.0);
    } catch (InvalidInput) {
        return;
    }
    $hourS = 60.0 * $plan->cookMinutes->likely;
    $isTooSmall = in_array('bed_too_small', array_column($plan->cautions, 'id'), true);
    $cook = Cook::of($dish, 14.0, Resolution::coarse(), new Course(pulledS: $hourS), Uncertainty::slowEnd($dish));
    $slow = $cook->body->record(false);
    $cook->toPull(200.0);
    expect($slow->coreAt($hourS))->toBeGreaterThan(60.0)->and($plan->cookMinutes->likely)->toBeLessThan(20 * 60.0);
    if (! $isTooSmall) {
        expect((float) max($slow->coreC))->toBeGreaterThan($dish->targetC - 0.5);
    }
})->with(['pork-shoulder', 'turkey-breast', 'lamb-shoulder', 'beef-chuck'])->with([1.5, 2.5, 3.5, 4.5])->with(['dry', 'cold', 'wet']);

it('says how large a bed has to be that is too small', function () {
    $dish = LaidFires::lay(RoastFile::read(Matrix::file(Diatherm\Food\Larder::cut('pork-shoulder'), [['cooker' => 'camp-oven', 'pull' => true]], [
        'mass_kg' => 3.5, 'rig' => ['kind' => 'buried_pot', 'ground' => 'wet'],
    ])), [])->dishes[0];
    $words = said(array_column(Forecast::of($dish, 14.0)->cautions, 'words', 'id')['bed_too_small']);
    expect($words)->toContain('too small')->toMatch('/Lay [\d.]+ kg more/');
});

it('plans no hour that is a limit of the simulation', function (array $files) {
    foreach ($files as $name => $file) {
        try {
            $dish = LaidFires::lay(RoastFile::read($file), [])->dishes[0];
            $plan = Forecast::of($dish, 14.0);
        } catch (InvalidInput) {
            continue;
        }
        expect($plan->cookMinutes->high)->toBeLessThan(0.95 * Cook::LONGEST_S / 60.0, $name);
    }
})->with(fn (): array => array_map(fn (array $part): array => [$part], array_chunk(Matrix::sample(43), 12, true)));

it('says on the carving line that a bird planned to lie half cooked in the room is not to be eaten', function (int $restMinutes, bool $isFatal) {
    $plan = Plan::of(RoastFile::read([
        'serve_at' => '2031-10-04T19:00:00+02:00', 'people' => 4, 'air_c' => 20,
        'dishes' => [[
            'cut' => 'chicken', 'mass_kg' => 1.8, 'start_c' => 5, 'taste' => 'done', 'stages' => [
                ['cooker' => 'gas', 'cooker_c' => 170, 'minutes' => 25], ['cooker' => 'rest', 'minutes' => $restMinutes],
                ['cooker' => 'gas', 'cooker_c' => 180, 'pull' => true],
            ],
        ]],
    ]), new DateTimeImmutable('2031-10-01T12:00:00Z'));
    $carving = array_values(array_filter($plan->runSheet->entries, fn ($entry): bool => $entry->id->isThe('carve', 0)))[0];
    expect(str_contains((string) json_encode($carving->detail), 'danger.not_to_be_eaten'))->toBe($isFatal)
        ->and(in_array(true, array_column($plan->dishes[0]->forecast->cautions, 'isFatal'), true))->toBe($isFatal);
})->with(['ten minutes' => [10, false], 'five hours' => [300, true]]);

it('keeps how done it was before it cooled between two steps', function (int $restMinutes, bool $cools) {
    $dish = Samples::dish(['cut' => 'beef-rib', 'mass_kg' => 2.5, 'start_c' => 5, 'taste' => null, 'target_c' => 56, 'stages' => [
        ['cooker' => 'kettle', 'cooker_c' => 121, 'until_core_c' => 54], ['cooker' => 'rest', 'cooker_c' => 20, 'minutes' => $restMinutes],
        ['cooker' => 'kettle-direct', 'cooker_c' => 260, 'minutes' => 3],
    ]]);
    $plan = Forecast::of($dish, 14.0);
    expect($plan->hottestC)->toBeGreaterThanOrEqual($plan->peakC)->toBeGreaterThan(54.0)
        ->and($plan->hottestC > $plan->peakC + 1.0)->toBe($cools);
})->with(['ten minutes' => [10, false], 'an hour' => [60, true]]);
