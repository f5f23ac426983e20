<?php

declare(strict_types=1);

use Diatherm\Cooker\CookerShed;
use Diatherm\Cooker\Vessel\Element;
use Diatherm\Cooker\Vessel\SteadyCoals;
use Diatherm\Cooker\Vessel\Vessel;
use Diatherm\Cooker\Vessel\VesselKind;
use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Variation;
use Diatherm\Heat\Resolution;
use Diatherm\Heat\Surroundings;
use Tests\Support\Samples;

/** @param  array<string, mixed>  $dish */
function potted(array $dish, float $minutes, float $transfer = 1.0): Cook
{
    $cook = Cook::of(
        Samples::dish($dish + ['start_c' => 5, 'taste' => null, 'target_c' => 74]),
        12.0,
        Resolution::fine(),
        new Course(pulledS: 60.0 * $minutes),
        Variation::of($transfer),
    );
    $cook->toPull(74.0);

    return $cook;
}

/** Iron of 3 kJ/K that loses 7 W/K, as tight as a pot with its lid on. */
function anEmptyPot(?float $mostW, float $liquidKg, float $wallC = 20.0, float $leakKgSPa = 4e-10): Vessel
{
    $kind = new VesselKind(3000.0, 0.25, 0.07, $leakKgSPa, 7.0, $mostW, $liquidKg);

    return new Vessel($kind, $mostW === null ? new SteadyCoals(7.0 * 150.0) : new Element(121.0, $mostW), 20.0, 100.0, 0.1, $wallC);
}

// By hand: 1050 W over 7 W/K hold 150 K over the air; the way there has the time constant 3000/7 = 429 s.
it('warms an empty pot as one lump does', function () {
    $pot = anEmptyPot(null, 0.0);
    for ($s = 0; $s < 429; $s += 1) {
        $pot->gave(1.0, 0.0, 0.0);
    }
    expect($pot->wallC())->toEqualWithDelta(20.0 + 150.0 * (1.0 - exp(-1.0)), 0.3);
    for ($s = 0; $s < 6000; $s += 10) {
        $pot->gave(10.0, 0.0, 0.0);
    }
    expect($pot->wallC())->toEqualWithDelta(170.0, 0.01)->and($pot->energyGap())->toBeLessThan(1e-9);
});

// By hand: with 1450 W at most, 1 kg of water and the iron (7200 J/K) take the better part of ten minutes to the boil, and
// then boil off what the element can spare.
it('brings water to the boil by the heat that it gets and no sooner, and never beyond', function () {
    $pot = anEmptyPot(1450.0, 1.0);
    $boilsAt = null;
    for ($s = 0; $s < 7200; $s += 10) {
        $pot->gave(10.0, 0.0, 0.0);
        $boilsAt ??= $pot->liquidC() >= 99.9 ? $s : null;
        expect($pot->liquidC())->toBeLessThanOrEqual(100.0);
    }
    expect($boilsAt)->toBeGreaterThan(7200.0 * 80.0 / 1450.0)->toBeLessThan(1200)
        ->and($pot->liquidKg())->toBeLessThan(1.0)->toBeGreaterThanOrEqual(0.0);
});

it('starts dry where nothing wet is in it', function () {
    $pot = anEmptyPot(null, 0.0, 170.0);
    $there = Surroundings::of(170.0, 170.0, 6.0, 0.85, 10.0);
    // What a cold joint meets has no more vapour than the open air.
    expect($pot->around($there, 5.0)->vapourPa)->toEqualWithDelta($there->vapourPa, 1.0)
        ->and($pot->around($there, 5.0)->airC)->toBeLessThan(170.0)->toBeGreaterThan(5.0);
});

it('hands no more dew to the food than there was water', function (array $dish, float $atMostKg) {
    foreach ([5, 20, 60, 120] as $minutes) {
        $cook = potted($dish, $minutes);
        $dew = -$cook->body->driedKgM2() * Samples::dish($dish + ['taste' => null, 'target_c' => 74, 'start_c' => 5])->surfaceM2();
        $heat = $cook->body->tookJM2();
        // Dew drips back and comes again, so that it is bounded by the heat that boils it: no more than the element gives.
        expect($dew)->toBeLessThan($atMostKg + 1450.0 * 60.0 * $minutes / 2.3e6)->and($heat)->toBeGreaterThan(0.0);
    }
})->with([
    'rack, dry' => [
        ['cut' => 'lamb-rack', 'mass_kg' => 0.8, 'stages' => [['cooker' => 'camp-oven', 'cooker_c' => 165, 'pull' => true]]],
        0.0,
    ],
    'bird in a roaster' => [
        ['cut' => 'turkey', 'mass_kg' => 6.35, 'stages' => [['cooker' => 'lidded-roaster', 'cooker_c' => 121, 'pull' => true]]],
        0.2,
    ],
]);

// Its own drippings boil off the floor and meet it again: some twenty grams on 0.07 m², where dew from nowhere was forty and more.
it('lets a rack in a dry pot gain next to no water', function () {
    foreach ([3, 8, 15, 30, 60] as $minutes) {
        expect(
            potted(
                ['cut' => 'lamb-rack', 'mass_kg' => 0.8, 'stages' => [['cooker' => 'camp-oven', 'cooker_c' => 165, 'pull' => true]]],
                $minutes,
            )->body->driedKgM2(),
        )->toBeGreaterThan(-0.35);
    }
});

it('closes the balance of its wall in every vessel', function (array $dish) {
    expect(potted($dish, 90)->vessel?->energyGap())->toBeLessThan(0.001);
})->with([
    'camp oven' => [['cut' => 'chicken', 'mass_kg' => 1.8, 'stages' => [['cooker' => 'camp-oven', 'cooker_c' => 175, 'pull' => true]]]],
    'roaster' => [['cut' => 'turkey', 'mass_kg' => 6.35, 'stages' => [['cooker' => 'lidded-roaster', 'cooker_c' => 121, 'pull' => true]]]],
    'buried' => [
        [
            'cut' => 'turkey-breast',
            'mass_kg' => 2.95,
            'rig' => ['kind' => 'buried_pot', 'pot_cm' => 35.6, 'ground' => 'wet'],
            'stages' => [['cooker' => 'camp-oven']],
        ],
    ],
]);

// Common practice: a dial that says more cooks sooner; a sealed pot with liquid in it ends near 98 °C.
it('answers to its setting', function () {
    $core = fn (float $celsius): float => potted(
        ['cut' => 'turkey', 'mass_kg' => 6.35, 'stages' => [['cooker' => 'lidded-roaster', 'cooker_c' => $celsius, 'pull' => true]]],
        120,
    )->body->coreC();
    expect($core(121.0))->toBeGreaterThan($core(95.0) + 10.0)->and($core(163.0))->toBeGreaterThan($core(121.0) + 3.0);
});

it('is no sooner done in wetter ground, nor with less of a glow', function () {
    $core = fn (string $ground, float $transfer = 1.0): float => potted(
        [
            'cut' => 'turkey-breast',
            'mass_kg' => 2.95,
            'rig' => ['kind' => 'buried_pot', 'pot_cm' => 35.6, 'ground' => $ground],
            'stages' => [['cooker' => 'camp-oven']],
        ],
        100,
        $transfer,
    )->body->coreC();
    expect($core('wet'))->toBeLessThan($core('dry'))
        ->and($core('dry', 0.8))->toBeLessThan($core('dry') - 5.0)
        ->and($core('dry', 1.2))->toBeGreaterThan($core('dry'));
});

it('has a wider pot of more iron, and a buried one that loses nothing but by its coals', function () {
    $kind = CookerShed::kind('camp-oven')->vessel;
    assert($kind !== null);
    expect($kind->wide(0.6)->storageJK)->toEqualWithDelta(4.0 * $kind->storageJK, 1e-6)
        ->and($kind->wide(0.6)->leakKgSPa)->toEqualWithDelta(2.0 * $kind->leakKgSPa, 1e-15)
        ->and($kind->buried()->lossWK)->toBe(0.0)->and($kind->buried()->leakKgSPa)->toBeLessThan($kind->leakKgSPa);
});
