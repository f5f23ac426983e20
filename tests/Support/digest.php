<?php

declare(strict_types=1);

// Works out many plans one after another and prints what came of them, for comparison between two ways to run PHP.

use Diatherm\Plan\Plan;
use Diatherm\Practice\FireCase;
use Diatherm\Practice\TradeCase;
use Diatherm\Tending\Banking;
use Tests\Support\Samples;

require __DIR__.'/../../vendor/autoload.php';

$lamb = fn (array $fire): array => [
    [
        'cut' => 'lamb-whole',
        'mass_kg' => 16,
        'taste' => 'medium',
        'stages' => [['cooker' => 'open-spit', 'cooker_c' => 360, 'pull' => true]],
    ],
    ['fires' => [['cooker' => 'open-spit'] + $fire]],
];
$on = fn (string $kind, float $celsius): array => [
    ['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => 'done', 'stages' => [['cooker' => $kind, 'cooker_c' => $celsius, 'pull' => true]]],
    [],
];
$pile = fn (float $x, float $y, float $kg): array => ['x_cm' => $x, 'y_cm' => $y, 'kg' => $kg];
$plans = [
    $on('kettle', 150), $on('ceramic', 180), $on('gas', 165), $on('pellet', 120), $on('griddle', 220), $on('oven', 163), $on('camp-oven', 170),
    $lamb([]), $lamb(['layout' => 'even']), $lamb(['layout' => 'ends', 'fuel' => 'lump']), $lamb(['steady' => true]),
    $lamb(['layout' => 'even', 'piles' => [$pile(-56, 0, 2), $pile(-19, 20, 1.2), $pile(19, 0, 1), $pile(56, 0, 1.6)]]),
    [
        [
            'cut' => 'beef-fillet',
            'mass_kg' => 2.0,
            'taste' => 'medium_rare',
            'stages' => [['cooker' => 'open-grate', 'cooker_c' => 400, 'pull' => true]],
        ],
        [],
    ],
    [
        [
            'cut' => 'pork-shoulder',
            'mass_kg' => 3.5,
            'target_c' => 88,
            'taste' => null,
            'stages' => [['cooker' => 'kettle', 'cooker_c' => 135, 'pull' => true]],
        ],
        ['air_c' => 2, 'wind_ms' => 6],
    ],
    [['rig' => ['kind' => 'buried_pot', 'pot_cm' => 36], 'stages' => [['cooker' => 'camp-oven', 'pull' => true]]], []],
];
$said = [];
for ($round = 0; $round < 3; $round++) {
    foreach ($plans as [$dish, $roast]) {
        $plan = Plan::of(Samples::roast($dish, $roast), new DateTimeImmutable('2031-10-04T01:00:00+02:00'));
        $fire = $plan->fires[0]->plan;
        $banking = Banking::of($fire, $plan->forecast(0));
        $said[] = [
            $plan->forecast(0)
                ->cookMinutes->low, $plan->forecast(0)
                ->cookMinutes->likely, $plan->forecast(0)
                ->cookMinutes->high, $plan->forecast(0)
                ->pullC, $plan->forecast(0)
                ->peakC,
            $fire->run->startKg, array_column($fire->run->refuels, 'kg'), $fire->run->leftKg, $fire->run->energyJ, $fire->handSeconds(), $fire->steps[0]->steadyC->likely,
            $banking === null ? null : [$banking->kg, array_map(fn ($part): float => $part->bankedMinutes, $banking->parts)],
        ];
    }
    foreach (TradeCase::all() as $case) {
        $said[] = $case->forecast()->cookMinutes->likely;
    }
    foreach (FireCase::all() as $case) {
        $said[] = $case->computed();
    }
}
echo json_encode($said, JSON_THROW_ON_ERROR), "\n";
