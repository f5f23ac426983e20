<?php

declare(strict_types=1);

use Diatherm\Cooking\Forecast;
use Diatherm\Safety\Clocks;
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
