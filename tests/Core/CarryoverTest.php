<?php

declare(strict_types=1);

use Diatherm\Cooking\Forecast;
use Diatherm\Food\Larder;
use Diatherm\Plan\Explanation;
use Diatherm\Safety\AtCarving;
use Diatherm\Safety\Carryover;
use Diatherm\Safety\SafeMinimum;
use Tests\Support\Matrix;
use Tests\Support\Samples;

// Common practice: 1–4 K after a fire of 125 °C or less, 3–6 K from a roaster or closed grill, 5–8 K from a fierce fire;
// nothing is counted for poultry, stuffed
// and minced dishes and buried pots unless the cook asks.
it('counts no more than practice sees, and nothing where a few kelvin harm', function (string $class, bool $unseen, ?bool $asked, float $fireC, float $credit, float $halfM = 0.06) {
    $policy = Carryover::of($class, $unseen, $asked, $fireC, $halfM);
    expect($policy->creditK)->toBe($credit)->and($policy->climbK)->toBeGreaterThanOrEqual($policy->creditK)->toBeLessThanOrEqual(8.0);
})->with([
    ['whole', false, null, 163.0, 4.5], ['whole', false, true, 163.0, 4.5], ['whole', false, false, 163.0, 0.0],
    [
        'whole', false, null, 125.0, 2.5,
    ], ['whole', false, null, 107.0, 2.5], ['whole', false, null, 126.0, 4.5], ['whole', false, null, 360.0, 6.5],
    // A fillet or another thin piece climbs 2 to 3 K, whatever it comes off.
    ['whole', false, null, 204.0, 2.5, 0.032], ['fish', false, null, 360.0, 2.5, 0.02], ['whole', false, null, 204.0, 6.5, 0.036],
    ['fish', false, null, 230.0, 6.5], ['game', false, null, 120.0, 2.5],
    ['poultry', false, null, 190.0, 0.0], ['poultry', false, true, 190.0, 4.5], ['poultry', false, true, 110.0, 2.5], [
        'poultry', false, false, 190.0, 0.0,
    ],
    ['stuffing', false, null, 190.0, 0.0], ['ground', false, null, 190.0, 0.0],
    ['whole', true, null, 165.0, 0.0], ['whole', true, true, 165.0, 0.0], ['poultry', true, true, 165.0, 0.0],
]);

it('credits what has happened and no more, and never less than nothing', function () {
    $policy = Carryover::of('whole', false, null, 190.0, 0.06);
    expect($policy->credited(3.2))->toBe(3.2)->and($policy->credited(25.0))->toBe(4.5)->and($policy->credited(-2.0))->toBe(0.0)
        ->and($policy->climbK)->toBe(6.0)->and(Carryover::of('poultry', false, null, 190.0, 0.06)->climbK)->toBe(0.0);
});

// Source of the minimum: USDA FSIS, Safe Minimum Internal Temperature Chart: whole cuts 63 °C and 3 min rest, poultry 74 °C.
it('judges the minimum with the rest that belongs to it', function (string $class, array $seconds, array $coreC, bool $safe) {
    expect(AtCarving::of(SafeMinimum::of($class), $seconds, $coreC)->safe)->toBe($safe);
})->with([
    'reached and held' => ['whole', [0.0, 100.0, 280.0], [60.0, 63.0, 63.4], true],
    'reached at the knife' => ['whole', [0.0, 100.0, 280.0], [60.0, 62.0, 63.4], false],
    'held two minutes' => ['whole', [0.0, 100.0, 220.0], [60.0, 63.1, 63.4], false],
    'never reached' => ['whole', [0.0, 600.0], [50.0, 62.0], false],
    'poultry for a moment' => ['poultry', [0.0, 600.0, 660.0], [50.0, 74.1, 70.0], true],
    'poultry at 73' => ['poultry', [0.0, 600.0], [50.0, 73.0], false],
    'roots have none' => ['roots', [0.0, 600.0], [20.0, 40.0], true],
]);

// Row by row what was reported harmful: each was pulled at 16 to 66 °C.
it('no longer pulls a bird or a rib by what the model makes of a fierce fire', function (string $cut, string $cooker, float $leastPullC) {
    $forecast = Forecast::of(
        Samples::dish(
            [
                'cut' => $cut, 'mass_kg' => Larder::cut($cut)->typicalMassKg, 'taste' => null,
                'stages' => [['cooker' => $cooker, 'pull' => true]],
            ],
        ),
        14.0,
    );
    expect($forecast->pullC)->toBeGreaterThanOrEqual($leastPullC);
})->with([['turkey', 'countertop-rotisserie', 74.0], ['beef-rib', 'countertop-rotisserie', 47.0], ['chicken', 'open-spit', 79.0], ['goose', 'camp-oven', 74.0], ['turkey-breast', 'lidded-roaster', 74.0]]);

it('is carved with what it counted on, at the slow end, over every cut that coasts', function () {
    foreach (Matrix::sample(23) as $name => $file) {
        if (Matrix::refusal($file) !== null) {
            continue;
        }
        $dish = Diatherm\Roast\RoastFile::read($file)->dishes[0];
        try {
            $forecast = Forecast::of($dish, 14.0);
        } catch (Diatherm\Measure\InvalidInput) {
            continue;
        }
        if ($dish->lastStage()->end === Diatherm\Roast\StageEnd::Pull && $dish->targetC - $forecast->pullC > 0.5) {
            expect($forecast->atCarving->hottestC)->toBeGreaterThan($dish->targetC - 0.5, $name);
        }
    }
});

it('cannot be undercut by a rest of nothing', function () {
    foreach (['pork-loin', 'lamb-rack', 'beef-steak'] as $cut) {
        $forecast = Forecast::of(
            Samples::dish(
                [
                    'cut' => $cut, 'mass_kg' => Larder::cut($cut)->typicalMassKg, 'taste' => null,
                    'target_c' => 63, 'rest_minutes' => 0,
                    'stages' => [['cooker' => 'gas', 'cooker_c' => 200, 'pull' => true]],
                ],
            ),
            14.0,
        );
        expect($forecast->dish->leastRestMinutes())->toBe(3.0)
            ->and($forecast->atCarving->safe)->toBeTrue($cut)
            ->and($forecast->pullC)->toBeGreaterThan(62.4);
    }
});

it('makes a long rest a hot hold with its two hours', function () {
    $sheet = fn (array $dish, array $roast = []): array => entriesById(
        Diatherm\Plan\Plan::of(Samples::roast($dish, $roast), new DateTimeImmutable('2031-10-01T12:00:00Z')),
    );
    $long = $sheet(['rest_minutes' => 180]);
    expect($long)->toHaveKey('d0.hold')
        ->and(said($long['d0.hold']->detail))->toContain('57 °C or more')->toMatch('/two hours count, to \d\d:\d\d/')
        ->and($long['d0.rest']->until->getTimestamp())->toBe($long['d0.hold']->at->getTimestamp())
        // Rare meat was never hot: it waits in a box that gives no heat, which would cook it on, and is told its clock.
        ->and($sheet(['cut' => 'beef-rib', 'taste' => 'rare', 'rest_minutes' => 20]))->not->toHaveKey('d0.hold')
        ->and(said($sheet(['cut' => 'beef-rib', 'taste' => 'rare', 'rest_minutes' => 20])['d0.rest']->detail))
        ->toContain('no other heat')->toContain('eaten or cold by');
});

it('leaves a buried pot alone, covers it by steps, and looks at it once', function (string $ground) {
    $roast = Samples::roast(
        [
            'cut' => 'turkey-breast',
            'mass_kg' => 2.95,
            'taste' => null,
            'rig' => ['kind' => 'buried_pot', 'ground' => $ground],
            'stages' => [['cooker' => 'camp-oven', 'pull' => true, 'chores' => [['do' => 'rotate', 'every_minutes' => 20]]]],
        ],
        ['wind_ms' => 7, 'air_c' => 4],
    );
    $plan = Diatherm\Plan\Plan::of($roast, new DateTimeImmutable('2031-10-01T12:00:00Z'));
    $acts = array_map(fn ($entry): string => $entry->act->value, $plan->runSheet->entries);
    $words = sheetText($plan);
    // Common practice: an hour for each kilogram and more in wet ground; 6½ lb took 3 h 20 in cold wet ground.
    expect($plan->forecast(0)->cookMinutes->likely)->toBeGreaterThanOrEqual(($ground === 'wet' ? 68 : 60) * 2.95)
        ->and($plan->forecast(0)->pullC)->toBe(74.0)
        ->and($acts)->not->toContain('first_look')->not->toContain('chore')
        ->and(array_count_values($acts)['cover'])->toBe(3)
        ->and($words)->toContain('Foil')->toContain('earth')->toContain('smoke')->toContain('low barrier')->toContain('Dig up');
})->with(['dry', 'cold', 'wet']);

it('says what is cool for a bird on every cooker, what is cool for long, and refuses to smoke stuffing', function () {
    $ids = fn (array $dish): array => array_column(Forecast::of(Samples::dish($dish), 14.0)->cautions, 'id');
    foreach (['oven', 'kettle', 'pellet', 'ceramic', 'gas', 'lidded-roaster', 'camp-oven'] as $cooker) {
        $on = fn (int $celsius): array => [
            'cut' => 'chicken',
            'mass_kg' => 1.8,
            'taste' => 'done',
            'stages' => [['cooker' => $cooker, 'cooker_c' => $celsius, 'pull' => true]],
        ];
        expect($ids($on(130)))->toContain('cool_for_poultry')->and($ids($on(175)))->not->toContain('cool_for_poultry');
    }
    expect(
        $ids(
            [
                'cut' => 'turkey',
                'mass_kg' => 11,
                'taste' => 'done',
                'stages' => [['cooker' => 'pellet', 'cooker_c' => 110, 'pull' => true]],
            ],
        ),
    )->toContain('cool_for_long')
        ->and(
            $ids(
                [
                    'cut' => 'lamb-leg-boned',
                    'mass_kg' => 3.5,
                    'taste' => 'well',
                    'stages' => [['cooker' => 'pellet', 'cooker_c' => 80, 'pull' => true]],
                ],
            ),
        )->toContain('cool_for_long')
        ->and(
            Matrix::refusal(
                Samples::file(
                    [
                        'cut' => 'turkey',
                        'mass_kg' => 6,
                        'taste' => null,
                        'preparations' => ['stuff'],
                        'stages' => [['cooker' => 'pellet', 'cooker_c' => 110, 'pull' => true]],
                    ],
                ),
            ),
        )->toContain('Stuffing')
        ->and(
            Matrix::refusal(
                Samples::file(
                    [
                        'cut' => 'chicken-breast',
                        'mass_kg' => 0.3,
                        'taste' => null,
                        'preparations' => ['fill'],
                        'stages' => [
                            ['cooker' => 'ceramic', 'cooker_c' => 150, 'minutes' => 15],
                            ['cooker' => 'ceramic', 'cooker_c' => 170, 'pull' => true],
                        ],
                    ],
                ),
            ),
        )->toBeNull();
});

// A table of one animal says nothing of another. Source of the tables: USDA FSIS, Appendix A: beef, and chicken.
it('credits time at temperature to an animal with a table of its own and to no other', function (string $cut, bool $isCredited) {
    $row = Larder::cut($cut);
    $forecast = Forecast::of(Samples::dish([
        'cut' => $cut, 'mass_kg' => $row->typicalMassKg, 'taste' => null, 'target_c' => 78,
        'stages' => [['cooker' => 'oven', 'cooker_c' => 180, 'pull' => true]],
    ]), 14.0);
    expect($forecast->lethalityLog10 !== null)->toBe($isCredited)
        ->and(in_array('lethality_log10', array_column(Explanation::of($forecast), 'of'), true))->toBe($isCredited);
})->with([
    ['chicken', true], ['chicken-breast', true], ['beef-rib', true],
    ['turkey', false], ['duck', false], ['goose', false], ['guinea-fowl', false], ['lamb-leg', false], ['pork-loin', false],
    ['venison-saddle', false], ['fish-whole', false],
]);

it('keeps the climb between two heats within what is seen, and counts none of it for safe', function () {
    $forecast = Forecast::of(Samples::dish(['cut' => 'beef-tri-tip', 'mass_kg' => 1, 'taste' => 'medium_rare', 'stages' => [
        ['cooker' => 'countertop-rotisserie', 'until_core_c' => 49], ['cooker' => 'rest', 'minutes' => 30], [
            'cooker' => 'open-grate',
            'cooker_c' => 450,
            'minutes' => 4,
        ],
    ]]), 14.0);
    $rest = [60.0 * $forecast->stageStartMinutes[1], 60.0 * $forecast->stageStartMinutes[2]];
    expect($forecast->trace->coreAt($rest[1]))->toBeLessThanOrEqual($forecast->trace->coreAt($rest[0]) + 8.01)
        ->and(array_column($forecast->cautions, 'id'))->toContain('below_safe_minimum');
});
