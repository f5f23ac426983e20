<?php

declare(strict_types=1);

use Diatherm\Safety\DangerAccount;
use Diatherm\Safety\DangerBreach;
use Diatherm\Safety\FoodHazard;
use Diatherm\Safety\FoodHistory;

// The account of the danger zone, rule by rule: each limit kept by a little and passed by a little.

/**
 * A history from legs of minutes, air and the core at the end of each, looked at every minute. The core moves straight.
 *
 * @param  list<array{float, float, float}>  $legs  minutes, air °C, core °C at the end
 */
function lived(array $legs, ?float $offMinutes = null, float $rawHours = 0.0, float $fromC = 4.0): FoodHistory
{
    $moments = [];
    $at = 0.0;
    foreach ($legs as [$minutes, $airC, $toC]) {
        for ($i = 0; $i < $minutes; $i++) {
            $moments[] = [60.0 * ($at + $i), $fromC + ($toC - $fromC) * $i / $minutes, $airC];
        }
        $at += $minutes;
        $fromC = $toC;
    }
    $last = $legs[count($legs) - 1];
    $moments[] = [60.0 * $at, $last[2], $last[1]];

    return FoodHistory::of($moments, $offMinutes === null ? null : 60.0 * $offMinutes, $rawHours);
}

/** @return list<string> rules that are broken */
function broken(?FoodHazard $food, FoodHistory $history): array
{
    return array_map(fn (DangerBreach $breach): string => $breach->rule->value, DangerAccount::of($food, $history)->breaches);
}

function bird(): FoodHazard
{
    return FoodHazard::of('poultry', false, 74.0);
}

function roastOf(float $targetC = 65.0): FoodHazard
{
    return FoodHazard::of('whole', false, $targetC);
}

const ON_THE_HEAT = [90.0, 180.0, 76.0];

// Source: USDA FSIS, Danger Zone: two hours out of refrigeration, one above 32 °C.
it('allows two hours out of the refrigerator before it is done, one in hot air', function (float $minutes, float $airC, array $rules) {
    expect(broken(bird(), lived([[$minutes, $airC, 15.0], ON_THE_HEAT], $minutes + 90)))->toBe($rules)
        ->and(broken(roastOf(), lived([[$minutes, $airC, 15.0], ON_THE_HEAT], $minutes + 90)))->toBe($rules);
})->with([
    'two hours less a little' => [119, 21.0, []], 'two hours and a little' => [122, 21.0, ['out_of_refrigeration']],
    'one hour in the heat, less a little' => [59, 35.0, []], 'one hour in the heat and a little' => [62, 35.0, ['out_of_refrigeration']],
    'a cold yard' => [600, 3.0, []], 'a refrigerator that is too warm' => [180, 8.0, ['out_of_refrigeration']],
    'two days' => [2880, 21.0, ['out_of_refrigeration']],
]);

it('adds up every pause before it is done', function () {
    $pauses = fn (float $each): FoodHistory => lived([
        [$each, 21.0, 10.0], [20, 180.0, 30.0], [$each, 21.0, 34.0], [20, 180.0, 50.0], [$each, 21.0, 48.0], [60, 180.0, 76.0],
    ], 3 * $each + 100);
    expect(broken(bird(), $pauses(39)))->toBe([])->and(broken(bird(), $pauses(42)))->toBe(['out_of_refrigeration']);
});

it('takes a fire that has died for the room', function () {
    $died = fn (float $minutes): FoodHistory => lived([[60, 180.0, 45.0], [$minutes, 30.0, 32.0], [60, 180.0, 76.0]], 120 + $minutes);
    expect(broken(bird(), $died(115)))->toBe([])->and(broken(bird(), $died(130)))->toBe(['out_of_refrigeration']);
});

it('starts anew once it is done, and counts from 60 °C down', function () {
    // An hour and a half before, an hour and a half after: each is within its two hours.
    expect(broken(bird(), lived([[90, 21.0, 15.0], ON_THE_HEAT, [30, 21.0, 60.0], [90, 21.0, 35.0]], 180)))->toBe([])
        ->and(broken(bird(), lived([[90, 21.0, 15.0], ON_THE_HEAT, [30, 21.0, 60.0], [130, 21.0, 30.0]], 180)))->toBe(['out_of_refrigeration']);
});

it('does not start anew for what came off too soon', function () {
    expect(broken(bird(), lived([[70, 21.0, 15.0], [60, 180.0, 50.0], [70, 21.0, 45.0]], 130)))->toBe(['out_of_refrigeration'])
        // Beef that is eaten rare is done when it comes off.
        ->and(broken(roastOf(52.0), lived([[70, 21.0, 15.0], [60, 180.0, 50.0], [70, 21.0, 45.0]], 130)))->toBe([]);
});

it('counts nothing that is kept hot', function () {
    expect(broken(bird(), lived([ON_THE_HEAT, [600, 60.0, 60.0]], 90)))->toBe([]);
});

// Source: USDA FSIS, Appendix A, heating come-up time (from memory): 10 to 54 °C within six hours.
it('allows six hours from 10 to 54 °C', function (float $minutes, array $rules) {
    expect(broken(bird(), lived([[30, 100.0, 10.0], [$minutes, 100.0, 54.4], [60, 180.0, 76.0]], 90 + $minutes)))->toBe($rules);
})->with([[355, []], [370, ['come_up']]]);

// Source: FDA Food Code 2017, 3-501.14: from 57 to 21 °C in two hours, and to 5 °C in four more.
it('judges how fast it cools in the refrigerator', function (array $cooling, array $rules) {
    $off = 90;
    expect(broken(bird(), lived([ON_THE_HEAT, [1, 4.0, 57.0], ...$cooling, [60, 180.0, 76.0]], $off + 1 + array_sum(array_column($cooling, 0)) + 60)))
        ->toBe($rules);
})->with([
    'quick' => [[[110, 4.0, 20.0], [200, 4.0, 5.0]], []],
    'slow at first' => [[[150, 4.0, 21.0], [100, 4.0, 5.0]], ['cooling']],
    'slow at last' => [[[110, 4.0, 20.0], [300, 4.0, 7.0]], ['cooling']],
]);

// Source: FDA Food Code 2017, 3-401.14 (from memory).
it('lets only whole muscle be stored half cooked, heated briefly and cooked through at the end', function (FoodHazard $food, float $first, float $endsC, array $rules) {
    $stored = lived([[$first, 180.0, 20.0], [200, 4.0, 5.0], [90, 180.0, $endsC]], $first + 290);
    expect(broken($food, $stored))->toBe($rules);
})->with(fn (): array => [
    'a bird' => [bird(), 30, 76.0, ['part_cooked']],
    'minced meat' => [FoodHazard::of('ground', false, 71.0), 30, 76.0, ['part_cooked']],
    'a rolled roast' => [FoodHazard::of('whole', true, 65.0), 30, 76.0, ['part_cooked']],
    'a roast, heated briefly' => [roastOf(), 30, 76.0, []],
    'a roast, heated for long' => [roastOf(), 90, 76.0, ['part_cooked']],
    'a roast, eaten rare' => [roastOf(52.0), 30, 52.0, ['part_cooked']],
]);

it('takes a short time in the cold for a pause', function () {
    // A seared fillet is firmed up for an hour and baked rare. Common practice.
    expect(broken(roastOf(52.0), lived([[10, 220.0, 12.0], [20, 20.0, 14.0], [60, 4.0, 11.0], [35, 205.0, 50.0], [15, 20.0, 52.0]], 125)))->toBe([]);
});

// Source: FDA Food Code 2017, 3-403.11 (from memory): 74 °C within two hours, whatever it had before.
it('wants what was cooked and cold reheated to 74 °C', function (float $hottestC, float $minutes, array $rules) {
    $history = lived([[90, 180.0, 85.0], [1, 4.0, 57.0], [100, 4.0, 20.0], [200, 4.0, 5.0], [$minutes, 150.0, $hottestC]], 391 + $minutes);
    expect(broken(roastOf(), $history))->toBe($rules);
})->with([[75.0, 90, []], [66.0, 90, ['reheating']], [75.0, 160, ['reheating']]]);

// Source: FoodSafety.gov, Cold Food Storage Chart (from memory): poultry one to two days, roasts three to five.
it('keeps raw food no longer than the chart allows', function (FoodHazard $food, float $hours, array $rules) {
    expect(broken($food, lived([ON_THE_HEAT], 90, $hours)))->toBe($rules);
})->with(fn (): array => [[bird(), 48, []], [bird(), 60, ['kept_raw']], [roastOf(), 120, []], [roastOf(), 130, ['kept_raw']]]);

it('forgives nothing that is cooked on, and lets poultry be thrown away where whole muscle is cautioned of', function () {
    $history = lived([[240, 21.0, 18.0], ON_THE_HEAT], 330);
    $ofABird = DangerAccount::of(bird(), $history);
    expect($ofABird->fatalBy(60.0 * 330)?->rule->value)->toBe('out_of_refrigeration')
        ->and($ofABird->fatalBy(60.0 * 100))->toBeNull()
        ->and(DangerAccount::of(roastOf(), $history)->fatalBy(60.0 * 330))->toBeNull()
        ->and(DangerAccount::of(roastOf(), $history)->by(60.0 * 330))->toHaveCount(1);
});

it('tells when the time in the room will be over', function () {
    $history = lived([ON_THE_HEAT, [30, 21.0, 60.0], [200, 21.0, 30.0]], 90);
    expect(DangerAccount::of(bird(), $history)->outAfterS(60.0 * 130))->toEqualWithDelta(60.0 * 240, 0.01);
});

it('asks nothing of roots', function () {
    expect(FoodHazard::of('roots', false, 95.0))->toBeNull()->and(broken(null, lived([[2880, 21.0, 21.0]])))->toBe([]);
});

// The order of the legs and how finely they are looked at change nothing.
it('comes to the same however often it is looked at', function (int $seed) {
    mt_srand($seed);
    $legs = [];
    for ($i = 0; $i < 6; $i++) {
        $legs[] = [(float) mt_rand(10, 90), [4.0, 21.0, 180.0][mt_rand(0, 2)], (float) mt_rand(5, 70)];
    }
    $fine = lived($legs, array_sum(array_column($legs, 0)));
    $coarse = FoodHistory::of(array_values(array_filter(
        array_map(null, $fine->seconds, $fine->coreC, $fine->airC),
        fn (array $moment, int $i): bool => $i % 2 === 0 || $i === count($fine->seconds) - 1 || $fine->airC[$i] !== $fine->airC[$i - 1],
        ARRAY_FILTER_USE_BOTH,
    )), $fine->offS);
    foreach ([bird(), roastOf(), roastOf(52.0)] as $food) {
        [$a, $b] = [broken($food, $fine), broken($food, $coarse)];
        expect($b)->toBe($a, "seed $seed");
    }
})->with(range(1, 25));
