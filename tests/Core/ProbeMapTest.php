<?php

declare(strict_types=1);

use Diatherm\Food\Larder;
use Diatherm\Live\ProbeMap;
use Diatherm\Live\Reading;
use Diatherm\Live\Spot;
use Diatherm\Live\Verdict;
use Tests\Support\Samples;

// Where a dish was read in one round: the lowest decides, the map says where to look next, and whether its fire is uneven.

/** @param  array<string, array{float, float}>  $read  place => minutes ago and °C */
function probeMap(array $dish, array $read, bool $movable = false): ProbeMap
{
    $readings = [];
    foreach ($read as $place => [$ago, $celsius]) {
        $readings[] = Reading::of($place, 6000.0 - 60.0 * $ago, $place, $celsius);
    }
    usort($readings, fn (Reading $a, Reading $b): int => $a->seconds <=> $b->seconds);

    return ProbeMap::of(Samples::dish($dish), $readings, [], 6000.0, $movable);
}

const TURKEY = ['cut' => 'turkey', 'mass_kg' => 5.0, 'taste' => null, 'target_c' => 74];
const LAMB = ['cut' => 'lamb-whole', 'mass_kg' => 15.0, 'taste' => null, 'target_c' => 70, 'stages' => [['cooker' => 'open-spit', 'pull' => true]]];

it('has the places of a bird, a whole animal, a joint and a slice', function () {
    expect(array_column(probeMap(TURKEY, [])->spots, 'place'))->toBe(['thigh', 'breast'])
        ->and(array_column(probeMap(LAMB, [])->spots, 'place'))->toBe(['leg', 'shoulder', 'saddle'])
        ->and(array_column(probeMap([], [])->spots, 'place'))->toBe(['core', 'thick_end', 'bone', 'thin_end'])
        ->and(array_column(probeMap(['cut' => 'fish-fillet', 'mass_kg' => 0.3, 'taste' => null, 'target_c' => 55], [])->spots, 'place'))->toBe(['core', 'thick_end']);
});

it('has the lowest decide, of every cut, whatever was read in whatever order', function () {
    mt_srand(20311127);
    foreach (Larder::cuts() as $cut) {
        $dish = Samples::dish([
            'cut' => $cut->id, 'mass_kg' => sqrt($cut->leastMassKg * $cut->mostMassKg), 'taste' => null, 'target_c' => 70, 'start_c' => 8,
            'stages' => [['cooker' => 'oven', 'cooker_c' => 160, 'pull' => true]],
        ]);
        $places = ProbeMap::places($dish);
        for ($round = 0; $round < 6; $round++) {
            shuffle($places);
            $read = array_slice($places, 0, mt_rand(0, count($places)));
            $readings = array_map(fn (string $place, int $i): Reading => Reading::of($place, 5400.0 + 40.0 * $i, $place, mt_rand(20, 70) + 0.1 * $i), $read, array_keys($read));
            $map = ProbeMap::of($dish, $readings, [], 6000.0, false);
            $deciding = array_values(array_filter($map->spots, fn (Spot $spot): bool => $spot->decides));
            expect($deciding)->toHaveCount($read === [] ? 0 : 1, $cut->id)
                ->and($read === [] || $deciding[0]->celsius === min(array_map(fn (Reading $one): float => $one->celsius, $readings)))->toBeTrue()
                // It looks where it has not, and once it has everywhere, at the coldest again.
                ->and(in_array($map->next->place, $read, true))->toBe(count($read) === count($places), $cut->id)
                ->and(count($read) < count($places) || $map->next->place === $deciding[0]->place)->toBeTrue();
        }
    }
});

it('looks first where it is usually coldest', function () {
    expect(probeMap(TURKEY, [])->next->place)->toBe('thigh')->and(probeMap(TURKEY, ['thigh' => [2, 60]])->next->place)->toBe('breast')
        ->and(probeMap([], ['core' => [2, 40]])->next->place)->toBe('thick_end')->and(probeMap(LAMB, ['leg' => [1, 40]])->next->place)->toBe('shoulder');
});

it('forgets what was read in an earlier round', function () {
    $map = probeMap([], ['core' => [20, 30], 'bone' => [3, 42]]);
    expect($map->spots[0]->celsius)->toBeNull()->and($map->next->place)->toBe('core')
        ->and(array_values(array_filter($map->spots, fn (Spot $spot): bool => $spot->decides))[0]->place)->toBe('bone');
});

it('says that a fire is uneven, towards which end, and what helps where', function () {
    $words = fn (?Diatherm\Measure\Message $message): string => said($message);
    expect($words(probeMap(LAMB, ['leg' => [2, 50], 'shoulder' => [1, 62]], true)->uneven))->toBe('Leg is 12 °C behind Shoulder: move coals towards it')
        ->and($words(probeMap([], ['thick_end' => [2, 52], 'thin_end' => [1, 43]])->uneven))->toBe('Thin end is 9 °C behind Thick end: turn it, so that this end is nearer the heat')
        ->and(probeMap([], ['thick_end' => [2, 52], 'thin_end' => [1, 46]])->uneven)->toBeNull()
        // A breast runs ahead of a thigh, and a bone of the middle: no fire’s doing.
        ->and(probeMap(TURKEY, ['thigh' => [2, 50], 'breast' => [1, 64]])->uneven)->toBeNull();
});

it('takes no reading that cannot be the meat', function () {
    $map = ProbeMap::of(
        Samples::dish(), [Reading::of('a', 5900.0, 'core', 40.0), Reading::of('b', 5950.0, 'bone', 12.0)], ['a' => Verdict::Counts, 'b' => Verdict::FallsTooFast], 6000.0, false,
    );
    expect($map->spots[0]->decides)->toBeTrue()->and($map->spots[2]->celsius)->toBeNull();
});
