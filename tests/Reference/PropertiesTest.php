<?php

declare(strict_types=1);

use Diatherm\Fire\HandTest;
use Diatherm\Food\Composition;
use Diatherm\Food\Shape;
use Diatherm\Heat\Substance;
use Diatherm\Heat\Vapour;

// Water, 20 °C. Source: steam tables, as in Incropera & DeWitt, Table A.6 (from memory): k 0.598 W/mK, ρ 998 kg/m³, cp 4.18 kJ/kgK.
it('gives water the properties of water', function () {
    $water = Substance::from(Composition::of(1.0, 0.0, 0.0, ash: 0.0));
    expect($water->conductivityWmK(20.0))->toEqualWithDelta(0.598, 0.012)
        ->and($water->densityKgM3(20.0))->toEqualWithDelta(998.0, 5.0)
        ->and($water->specificHeatJKgK(20.0))->toEqualWithDelta(4180.0, 60.0);
});

// Lean beef near 5 °C. Source: ASHRAE Handbook—Refrigeration, "Thermal Properties of Foods", measured values tabled there
// for lean beef (from memory): conductivity across the grain about 0.43 to 0.50 W/mK, density about 1050 to 1090 kg/m³,
// specific heat about 3.4 to 3.6 kJ/kgK.
it('gives lean beef its measured properties', function () {
    $beef = Substance::from(Composition::of(0.735, 0.215, 0.04, ash: 0.011));
    expect($beef->conductivityWmK(5.0))->toBeGreaterThan(0.42)->toBeLessThan(0.51)
        ->and($beef->densityKgM3(5.0))->toBeGreaterThan(1045.0)->toBeLessThan(1095.0)
        ->and($beef->specificHeatJKgK(5.0))->toBeGreaterThan(3400.0)->toBeLessThan(3650.0);
});

// Choi & Okos polynomials at 0 °C are their constants. Source: Choi & Okos 1986, as printed in the ASHRAE Handbook—Refrigeration.
it('prints the constants of the pure components at 0 °C', function (array $parts, float $k, float $rho, float $cp) {
    $pure = Substance::from(Composition::of(...$parts, ash: 0.0));
    expect($pure->conductivityWmK(0.0))->toEqualWithDelta($k, 1e-5)
        ->and($pure->densityKgM3(0.0))->toEqualWithDelta($rho, 0.01)
        ->and($pure->specificHeatJKgK(0.0))->toEqualWithDelta($cp, 0.01);
})->with([
    'protein' => [[0.0, 1.0, 0.0], 0.17881, 1329.9, 2008.2],
    'fat' => [[0.0, 0.0, 1.0], 0.18071, 925.59, 1984.2],
]);

it('fits the inner loop’s quadratics to the correlations within half a per cent', function () {
    $meat = Substance::from(Composition::of(0.67, 0.2, 0.12));
    [$k0, $k1, $k2] = $meat->conductivityFit;
    foreach ([0, 20, 40, 60, 80, 100] as $c) {
        expect($k0 + $c * ($k1 + $c * $k2))->toEqualWithDelta(
            $meat->conductivityWmK((float) $c),
            0.005 * $meat->conductivityWmK((float) $c),
        );
    }
});

// Saturation pressure of water. Source: steam tables, as in Incropera & DeWitt, Table A.6 (from memory), kPa.
it('gives the saturation pressure of the steam tables', function (float $celsius, float $kPa, float $share) {
    expect(Vapour::saturationPa($celsius) / 1000.0)->toEqualWithDelta($kPa, $share * $kPa);
})->with([[20.0, 2.339, 0.01], [60.0, 19.94, 0.01], [100.0, 101.3, 0.03]]);

// Cleland & Earle 1982: equivalent heat transfer dimensionality is 1 for a slab, 2 for a long cylinder, 3 for a sphere, where the
// surface is held (a large Biot number); where it is not, R·A/V decides: 1.5 for a flat ellipsoid (3/4 · 2, worked by hand),
// 3π/4 = 2.36 for a long one, 3 for a sphere.
it('gives slab, cylinder and sphere their exponents, thick and thin', function () {
    expect(Shape::exponentOf(1e5, 1e5, 1e4))->toEqualWithDelta(0.0, 1e-3)
        ->and(Shape::exponentOf(1.0, 1e5, 1e4))->toEqualWithDelta(1.0, 1e-3)
        ->and(Shape::exponentOf(1.0, 1.0, 0.05))->toEqualWithDelta(2.0, 1e-9)
        ->and(Shape::exponentOf(1e5, 1e5, 1e-6))->toEqualWithDelta(0.5, 0.02)
        ->and(Shape::exponentOf(1.0, 1e5, 1e-6))->toEqualWithDelta(3.0 * M_PI / 4.0 - 1.0, 0.03);
});

// Time to pain against radiant flux. Source: API RP 521, from Stoll & Greene 1959 (from memory).
it('reads the hand test as the published flux', function (float $seconds, float $kW) {
    expect(HandTest::fluxWm2($seconds))->toEqualWithDelta(1000.0 * $kW, 1.0);
})->with([[60.0, 1.74], [40.0, 2.33], [30.0, 2.90], [16.0, 4.73], [9.0, 6.94], [6.0, 9.46], [4.0, 11.67], [2.0, 19.87]]);

// A black wall's flux is σT⁴ (Stefan & Boltzmann): 430 °C gives 13.8 kW/m², worked by hand.
it('turns a hand test into the black wall of the same flux', function () {
    $wall = HandTest::wallC(6.5) + 273.15;
    expect(5.670374e-8 * $wall ** 4)->toEqualWithDelta(HandTest::fluxWm2(6.5), 1.0)
        ->and(5.670374e-8 * (430.0 + 273.15) ** 4)->toEqualWithDelta(13_861.0, 20.0);
});

// Where water boils. Source: US Standard Atmosphere 1976 for the pressures, steam tables for the boiling points (from memory).
it('boils water at its pressure', function (float $metres, float $celsius) {
    expect(Vapour::boilingC(Diatherm\Measure\Nature::airPa($metres)))->toEqualWithDelta($celsius, 0.3);
})->with([[0.0, 100.0], [1500.0, 95.0], [3000.0, 90.0], [4000.0, 86.6]]);
