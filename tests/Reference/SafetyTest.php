<?php

declare(strict_types=1);

use Diatherm\Cooking\Forecast;
use Diatherm\Safety\AtCarving;
use Diatherm\Safety\Clocks;
use Diatherm\Safety\Keeping;
use Diatherm\Safety\LethalityTable;
use Diatherm\Safety\SafeMinimum;
use Tests\Support\Samples;

// Holding times. Source: USDA FSIS, Appendix A (from memory).
it('counts the full reduction over each tabled holding time', function (string $table, float $celsius, float $seconds, float $log10) {
    $held = LethalityTable::named($table);
    expect($held->gathered([0.0, $seconds], [$celsius, $celsius]))->toEqualWithDelta($log10, 0.1 * $log10);
})->with([
    ['beef', 54.4, 112 * 60.0, 6.5], ['beef', 57.2, 36 * 60.0, 6.5], ['beef', 60.0, 12 * 60.0, 6.5], ['beef', 62.8, 4 * 60.0, 6.5], ['beef', 65.6, 67.0, 6.5],
    ['chicken', 60.0, 35 * 60.0, 7.0], ['chicken', 62.8, 13 * 60.0, 7.0], [
        'chicken', 65.6, 4.2 * 60.0, 7.0,
    ], ['chicken', 68.3, 54.0, 7.0], ['chicken', 71.1, 17.0, 7.0],
]);

// z of the beef rows, worked by hand from the first and last row: (65.6 − 54.4) / log10(6720 / 67) = 5.6 K a tenfold.
it('shortens the time tenfold every 5 to 6 K for beef', function () {
    $beef = LethalityTable::named('beef');
    $perTenfold = (65.6 - 54.4) / log10($beef->seconds(54.4) / $beef->seconds(65.6));
    expect($perTenfold)->toEqualWithDelta(5.6, 0.1);
});

it('counts nothing below the table and adds up along a course', function () {
    $beef = LethalityTable::named('beef');
    expect($beef->gathered([0.0, 36000.0], [50.0, 50.0]))->toBe(0.0);
    $half = $beef->gathered([0.0, 360.0], [60.0, 60.0]);
    expect($half)->toEqualWithDelta(3.25, 0.01)
        ->and($beef->gathered([0.0, 360.0, 720.0], [60.0, 60.0, 60.0]))->toEqualWithDelta(2 * $half, 0.01);
});

// Source: USDA FSIS, Safe Minimum Internal Temperature Chart.
it('states the safe minimums', function (string $class, float $celsius, float $rest) {
    $safe = SafeMinimum::of($class);
    expect($safe->coreC)->toBe($celsius)->and($safe->holdMinutes)->toBe($rest);
})->with([['poultry', 74.0, 0.0], ['whole', 63.0, 3.0], ['ground', 71.0, 0.0], ['fish', 63.0, 0.0], ['stuffing', 74.0, 0.0]]);

// Source: USDA FSIS, two-hour rule: one hour above 32 °C (90 °F).
it('halves the time out in hot air', function () {
    expect(Clocks::allowedMinutes(20.0))->toBe(120.0)
        ->and(Clocks::allowedMinutes(32.0))->toBe(120.0)
        ->and(Clocks::allowedMinutes(33.0))->toBe(60.0);
});

it('says once when a dish stays below its safe minimum, and is silent when it does not', function () {
    $ids = fn (array $dish): array => array_column(Forecast::of(Samples::dish($dish), 14.0)->cautions, 'id');
    $rare = ['cut' => 'beef-rib', 'mass_kg' => 3.0, 'taste' => 'rare'];
    expect(array_count_values($ids($rare))['below_safe_minimum'] ?? 0)->toBe(1)
        ->and($ids(['taste' => 'firm']))->not->toContain('below_safe_minimum');
});

// Source: USDA FSIS, Turkey Basics: roast in an oven at 325 °F (163 °C) or more.
it('says so when poultry goes into a cooler cooker than advised', function () {
    $ids = fn (int $celsius): array => array_column(
        Forecast::of(
            Samples::dish(
                [
                    'cut' => 'chicken',
                    'mass_kg' => 1.8,
                    'taste' => 'done',
                    'stages' => [['cooker' => 'oven', 'cooker_c' => $celsius, 'pull' => true]],
                ],
            ),
            14.0,
        )->cautions,
        'id',
    );
    expect($ids(140))->toContain('cool_for_poultry')->and($ids(165))->not->toContain('cool_for_poultry');
});

// Source of the minimums and the rest: USDA FSIS, Safe Minimum Internal Temperature Chart: whole cuts 63 °C and three minutes; poultry 74 °C.
it('judges a core at the very edge of its minimum and of its rest', function (string $class, array $course, bool $safe) {
    $judged = AtCarving::of(SafeMinimum::of($class), array_map(floatval(...), array_keys($course)), array_values($course));
    expect($judged->safe)->toBe($safe)
        ->and($judged->hottestC)->toBe(max($course))
        ->and($judged->coreC)->toBe($course[array_key_last($course)]);
})->with([
    'three minutes at it' => ['whole', [0 => 62.75, 180 => 63.5], true],
    'a second short of three minutes, as figures are shown' => ['whole', [0 => 62.75, 179 => 63.5], true],
    'two seconds short' => ['whole', [0 => 62.75, 178 => 63.5], false],
    'two spells of a minute and a half' => ['whole', [0 => 63.0, 90 => 64.0, 100 => 62.0, 110 => 63.0, 200 => 63.5], true],
    'the way up to it does not count' => ['whole', [0 => 60.0, 120 => 63.0, 240 => 64.0], false],
    'a quarter of a kelvin below is shown as it' => ['poultry', [0 => 73.75], true],
    'more is not' => ['poultry', [0 => 73.74], false],
    'it was there once, and has cooled since' => ['poultry', [0 => 74.0, 600 => 66.0], true],
    'never' => ['poultry', [0 => 70.0, 3600 => 73.0], false],
]);

it('counts time at temperature for what has happened, and for nothing that may', function () {
    // Source: USDA FSIS, Appendix A (from memory): beef at 60 °C takes 12 min for 6.5 log.
    $beef = SafeMinimum::of('whole');
    $judged = fn (float $to): float => (float) AtCarving::of($beef, [0.0, 360.0, 720.0, 1440.0], [60.0, 60.0, 60.0, 60.0], $to)->log10;
    expect($judged(720.0))->toEqualWithDelta(6.5, 0.05)
        ->and($judged(719.0))->toEqualWithDelta(3.25, 0.03)
        ->and($judged(0.0))->toBe(0.0)
        ->and($judged(-1.0))->toBe(0.0)
        ->and(AtCarving::of($beef, [0.0, 720.0], [60.0, 60.0])->log10)->toEqualWithDelta(6.5, 0.05);
});

// Source: USDA FSIS, Appendix A (from memory): chicken of 12 % fat 60 °C 35 min, 62.8 °C 13 min, 65.6 °C 4.2 min for 7 log; beef 54.4 °C 112 min.
it('adds up between its rows, beyond the last on its slope, and nothing below the first', function () {
    $beef = SafeMinimum::of('whole')->lethality;
    assert($beef !== null);
    expect($beef->seconds(54.3))->toBe(INF)
        ->and($beef->seconds(54.4))->toEqualWithDelta(6720.0, 30.0)
        ->and($beef->gathered([0.0, 36000.0], [54.0, 54.0]))->toBe(0.0)
        // Half of the time at each of two rows is half of each row's reduction: the trapezoid between them is their mean.
        ->and($beef->gathered([0.0, 60.0, 120.0], [60.0, 60.0, 62.8]))->toEqualWithDelta(
            $beef->log10 * (60.0 / $beef->seconds(60.0) + 30.0 / $beef->seconds(60.0) + 30.0 / $beef->seconds(62.8)), 1e-9,
        )
        // However hot and long, the sum ends where figures mean nothing more, at any length of the course.
        ->and($beef->gathered([0.0, 600.0], [90.0, 90.0]))->toBe($beef->gathered([0.0, 600.0, 1200.0], [90.0, 90.0, 20.0]))
        ->and($beef->seconds(75.0))->toBeGreaterThan(0.0)->toBeLessThan($beef->seconds(70.0));
});

// Source: FDA Food Code 2017, 3-501.14 and 3-501.16; USDA FSIS, two-hour rule, one hour above 32 °C (90 °F).
it('keeps the rules of the table by the air that it stands in', function (float $airC, string $minutes, bool $says) {
    $rules = Keeping::rules($airC);
    expect($rules)->toHaveCount(4)
        ->and(said($rules[0]->when))->toContain('57 °C')->and(said($rules[0]->then))->toContain('stays there')
        ->and(said($rules[1]->when))->toContain("$minutes min")->and(said($rules[1]->then))->toContain('4 °C and 60 °C')
        ->and(str_contains(said($rules[1]->then), 'over 32 °C'))->toBe($says)
        ->and(said($rules[2]->when))->toContain('21 °C in two hours')->and(said($rules[3]->when))->toContain('74 °C');
    foreach ($rules as $rule) {
        expect(said($rule->source->inWords()))->toContain('Published');
    }
})->with([[10.0, '120', false], [32.0, '120', false], [32.1, '60', true]]);
