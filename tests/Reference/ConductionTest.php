<?php

declare(strict_types=1);

use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Food\Shape;
use Diatherm\Heat\Resolution;
use Diatherm\Heat\Roasting;
use Diatherm\Heat\SeriesSolution;
use Diatherm\Heat\Substance;
use Diatherm\Heat\Surroundings;
use Tests\Support\Samples;

// Roots ζ₁ and coefficients C₁ of the one-term solution. Source: Incropera & DeWitt, Table 5.1 (from memory).
it('finds the tabled roots and coefficients of the exact series', function (int $exponent, float $biot, float $root, float $coefficient) {
    $found = SeriesSolution::root($exponent, $biot, 0);
    expect($found)->toEqualWithDelta($root, 1e-4)
        ->and(SeriesSolution::coefficient($exponent, $found))->toEqualWithDelta($coefficient, 1e-4);
})->with([
    'slab, Bi 1' => [0, 1.0, 0.8603, 1.1191],
    'cylinder, Bi 1' => [1, 1.0, 1.2558, 1.2071],
    'sphere, Bi 1' => [2, 1.0, 1.5708, 1.2732],
]);

it('sums to one at the very start', function (int $exponent) {
    expect(SeriesSolution::left($exponent, 1.0, 0.002))->toEqualWithDelta(1.0, 1e-3);
})->with([0, 1, 2]);

// Source: the exact series, Incropera & DeWitt, sections 5.5 and 5.6; the tolerance is half a per cent of the first difference.
it('agrees with the exact series in slab, cylinder and sphere', function (int $exponent, float $biot, float $fourier) {
    [$radius, $k, $capacity, $startC, $airC] = [0.05, 0.45, 3.5e6, 5.0, 150.0];
    $seconds = $fourier * $radius ** 2 * $capacity / $k;
    $body = Roasting::of(Shape::of($radius, $exponent), Substance::constant($k, $capacity), $startC, Resolution::of(40, $seconds / 600));
    $body->in(Surroundings::convection($airC, $biot * $k / $radius), $seconds);
    $exact = $airC + ($startC - $airC) * SeriesSolution::left($exponent, $biot, $fourier);
    expect(abs($body->coreC() - $exact) / ($airC - $startC))->toBeLessThan(0.005);
    $surface = $airC + ($startC - $airC) * SeriesSolution::left($exponent, $biot, $fourier, 1.0);
    expect(abs($body->surfaceC() - $surface) / ($airC - $startC))->toBeLessThan(0.005);
})->with([0, 1, 2])->with([0.3, 1.0, 3.0, 12.0])->with([0.1, 0.3, 0.8]);

// A plate alone is a boundary of the third kind like any film: the same series holds. Source: Incropera & DeWitt, section 5.5.
it('takes heat from a plate as from a film of the same coefficient', function (int $exponent) {
    [$radius, $k, $capacity, $startC, $plateC] = [0.0125, 0.45, 3.5e6, 5.0, 220.0];
    $seconds = 0.3 * $radius ** 2 * $capacity / $k;
    $body = Roasting::of(Shape::of($radius, $exponent), Substance::constant($k, $capacity), $startC, Resolution::of(40, $seconds / 600));
    $body->in(Surroundings::convection(20.0, 0.0)->touching($plateC, 3.0 * $k / $radius), $seconds);
    $exact = $plateC + ($startC - $plateC) * SeriesSolution::left($exponent, 3.0, 0.3);
    expect(abs($body->coreC() - $exact) / ($plateC - $startC))->toBeLessThan(0.005);
})->with([0, 1, 2]);

// A plate and air together act as one film at their weighed mean. Worked by hand: (30·200 + 10·80)/40 = 170 °C at 40 W/m²K.
it('adds a plate to the air', function () {
    $core = function (Surroundings $there): float {
        $body = Roasting::of(Shape::of(0.02, 0.0), Substance::constant(0.45, 3.5e6), 5.0, Resolution::fine());
        $body->in($there, 900.0);

        return $body->coreC();
    };
    expect(
        $core(Surroundings::convection(80.0, 10.0)->touching(200.0, 30.0)),
    )->toEqualWithDelta($core(Surroundings::convection(170.0, 40.0)), 1e-6);
});

// Psychrometer: e = e_s(T_w) − A·p·(T − T_w) with A = 6.62e-4 K⁻¹ for a well aired wet bulb. Source: WMO Guide to Instruments and
// Methods of Observation, on psychrometers; it holds a wet surface at any height. Pressures: US Standard Atmosphere 1976, tables.
it('holds a wet surface at the wet bulb, at sea level and in the mountains', function (float $pressurePa) {
    $there = Surroundings::of(90.0, 90.0, 12.0, 0.0, 30.0)->underPressure($pressurePa);
    expect($there->convectionWm2K / $there->evaporationWm2Pa)->toEqualWithDelta(6.62e-4 * $pressurePa, 0.015 * 6.62e-4 * $pressurePa);
})->with([[101_325.0], [89_875.0], [79_495.0], [61_640.0]]);

// At 3000 m water boils at 90 °C and at 4000 m at 86.5 °C: a wet pot is slower there, and no core gets hotter than that.
it('cooks more slowly up a mountain, and not beyond where water boils there', function (string $cooker, float $celsius) {
    $minutes = fn (float $metres, float $targetC): float => Diatherm\Plan\Plan::of(
        Samples::roast(
            [
                'cut' => 'potatoes',
                'mass_kg' => 0.2,
                'taste' => null,
                'target_c' => $targetC,
                'stages' => [['cooker' => $cooker, 'cooker_c' => $celsius, 'pull' => true]],
            ],
            ['altitude_m' => $metres],
        ),
        new DateTimeImmutable('2031-10-04T01:00:00+02:00'),
    )->forecast(0)->cookMinutes->likely;
    expect($minutes(3000.0, 84.0))->toBeGreaterThan($minutes(1500.0, 84.0))
        ->and($minutes(1500.0, 84.0))->toBeGreaterThan($minutes(0.0, 84.0))
        ->and(fn () => $minutes(4000.0, 95.0))->toRefuse('water boils at 86 °C')
        ->and(fn () => $minutes(3000.0, 92.0))->toRefuse('water boils at 90 °C');
})->with([['camp-oven', 165.0], ['oven', 200.0], ['kettle', 180.0]]);

it('holds half a per cent at the resolution that is shown', function (int $exponent, float $biot) {
    [$radius, $k, $capacity] = [0.05, 0.45, 3.5e6];
    $seconds = 0.3 * $radius ** 2 * $capacity / $k;
    $body = Roasting::of(Shape::of($radius, $exponent), Substance::constant($k, $capacity), 5.0, Resolution::fine());
    $body->in(Surroundings::convection(150.0, $biot * $k / $radius), $seconds);
    $exact = 150.0 - 145.0 * SeriesSolution::left($exponent, $biot, 0.3);
    expect(abs($body->coreC() - $exact) / 145.0)->toBeLessThan(0.005);
})->with([0, 1, 2])->with([0.5, 1.5, 4.0]);

it('converges as cells and steps are made finer', function () {
    $minutes = function (Resolution $resolution): float {
        $cook = Cook::of(Samples::dish(), 14.0, $resolution, Course::asPlanned());
        $cook->toPull(57.0);

        return $cook->body->elapsedS() / 60.0;
    };
    $best = $minutes(Resolution::of(80, 2.0));
    $errors = array_map(fn (array $grid): float => abs($minutes(Resolution::of(...$grid)) - $best), [[10, 120.0], [20, 30.0], [40, 8.0]]);
    expect($errors[1])->toBeLessThan($errors[0])->and($errors[2])->toBeLessThan($errors[1])->and($errors[2] / $best)->toBeLessThan(0.002);
});

it('closes its energy balance to a tenth of a per cent', function (string $cooker, float $celsius) {
    $cook = Cook::of(
        Samples::dish(['stages' => [['cooker' => $cooker, 'cooker_c' => $celsius, 'pull' => true]]]),
        14.0,
        Resolution::fine(),
        Course::asPlanned(),
    );
    $cook->body->keepBooks();
    $cook->toPull(60.0);
    $cook->rest(1800.0);
    expect($cook->body->energyGap())->toBeLessThan(0.001);
})->with([['kettle', 150.0], ['lidded-roaster', 121.0], ['countertop-rotisserie', 190.0], ['open-grate', 450.0], ['griddle', 220.0]]);

it('closes its water balance, by drying at the surface and boiling inside', function (string $cooker, float $celsius) {
    $cook = Cook::of(
        Samples::dish(['stages' => [['cooker' => $cooker, 'cooker_c' => $celsius, 'pull' => true]]]),
        14.0,
        Resolution::fine(),
        Course::asPlanned(),
    );
    $had = $cook->body->holdsKgM2();
    $cook->toPull(60.0);
    $cook->rest(1800.0);
    // What is pressed to a surface that is wet already runs off it as juice: a few hundredths, and never the other way.
    $juice = $had - $cook->body->holdsKgM2() - $cook->body->driedKgM2();
    expect($cook->body->driedKgM2())->toBeGreaterThan(0.5)
        ->and($juice)->toBeGreaterThan(-0.005 * $cook->body->driedKgM2())->toBeLessThan(0.06 * $cook->body->driedKgM2());
})->with([['kettle', 150.0], ['oven', 163.0], ['countertop-rotisserie', 190.0], ['open-grate', 450.0], ['griddle', 220.0]]);

// Facts of the trade and of physics: the direction in which a cook moves. Common practice.
it('moves the way that heat moves', function () {
    $minutes = fn (array $dish): float => Diatherm\Cooking\Forecast::of(Samples::dish($dish), 14.0)->cookMinutes->likely;
    $plain = $minutes([]);
    expect($minutes(['thickness_cm' => 12]))->toBeGreaterThan($minutes(['thickness_cm' => 10]))
        ->and($minutes(['start_c' => 15]))->toBeLessThan($plain)
        ->and($minutes(['taste' => 'well']))->toBeGreaterThan($plain)
        ->and($minutes(['stages' => [['cooker' => 'kettle', 'cooker_c' => 180, 'pull' => true]]]))->toBeLessThan($plain)
        ->and(
            $minutes(['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => 'done', 'form' => 'opened_flat']),
        )->toBeLessThan($minutes(['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => 'done']));
});

it('never cooks a heavier joint of the same cut sooner', function (string $cut, string $taste) {
    $before = 0.0;
    foreach ([0.6, 0.8, 1.0, 1.2, 1.5] as $share) {
        $typical = Diatherm\Food\Larder::cut($cut)->typicalMassKg;
        $minutes = Diatherm\Cooking\Forecast::of(
            Samples::dish(['cut' => $cut, 'mass_kg' => $share * $typical, 'taste' => $taste]),
            14.0,
        )->cookMinutes->likely;
        expect($minutes)->toBeGreaterThanOrEqual($before);
        $before = $minutes;
    }
})->with([['chicken', 'done'], ['lamb-leg', 'medium'], ['pork-rack', 'juicy'], ['beef-rib', 'medium_rare'], ['fish-whole', 'flaking'], ['potatoes', 'soft']]);
