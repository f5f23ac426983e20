<?php

declare(strict_types=1);

use Diatherm\Cooker\CampOven;
use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\OwnCurve;
use Diatherm\Cooker\Settings;
use Diatherm\Cooker\Settling;
use Diatherm\Cooker\Warmth;
use Diatherm\Cooker\Weather;
use Diatherm\Fire\BuriedBed;
use Diatherm\Fire\CampOvenCount;
use Diatherm\Fire\CoalBed;
use Diatherm\Fire\FireFloor;
use Diatherm\Fire\Fuel;
use Diatherm\Fire\HandTest;
use Diatherm\Fire\Pile;
use Diatherm\Fire\Stack;
use Diatherm\Fire\ViewFactor;
use Diatherm\Measure\Nature;
use Diatherm\Measure\NonNegative;
use Diatherm\Measure\RobustLine;
use Diatherm\Rig\Pit;
use Diatherm\Rig\Pot;

// Lower heating values, MJ/kg: charcoal 29–30, briquettes 22–27, dry hardwood 14–15, propane 46.4. Source: fuel handbooks (from memory).
it('has heating values as the handbooks give them', function (string $fuel, float $least, float $most) {
    expect(Fuel::named($fuel)->heatingValueJKg() / 1e6)->toBeGreaterThanOrEqual($least)->toBeLessThanOrEqual($most);
})->with([['lump', 29, 30], ['briquettes', 22, 27], ['hardwood', 14, 15], ['propane', 46.3, 46.5], ['pellets', 16.5, 17.5]]);

// Source: Huggett 1980: 13.1 MJ for each kilogram of oxygen, within 5 % for most organic fuels; chars and woods stray a little further.
it('gives the heat of the oxygen that a fuel takes', function (string $fuel) {
    $one = Fuel::named($fuel);
    $perOxygen = $one->withMoisture(0.0)->heatingValueJKg() / ($one->stoichiometricAirKgKg() * Fuel::OXYGEN_IN_AIR);
    expect($perOxygen / Fuel::HEAT_OF_OXYGEN_J_KG)->toBeGreaterThan(0.9)->toBeLessThan(1.1);
})->with(['briquettes', 'lump', 'quick-light', 'hardwood', 'pellets', 'propane']);

// Stoichiometric air, kg/kg: propane 15.7, dry wood about 6, carbon 11.5. Source: combustion textbooks, e.g. Turns, An
// Introduction to Combustion (from memory).
it('takes the air that the balance of its atoms asks for', function () {
    expect(Fuel::named('propane')->stoichiometricAirKgKg())->toEqualWithDelta(15.7, 0.1)
        ->and(Fuel::named('hardwood')->stoichiometricAirKgKg())->toEqualWithDelta(6.0, 0.2)
        ->and(Fuel::named('lump')->stoichiometricAirKgKg())->toBeLessThan(11.5)->toBeGreaterThan(9.5);
});

it('loses heat to the water in wet wood, and twice over', function () {
    $wood = Fuel::named('hardwood');
    // Worked by hand: 18.3·0.7 − 2.44·0.3 = 12.078 MJ/kg.
    expect($wood->withMoisture(0.3)->heatingValueJKg())->toEqualWithDelta(12.078e6, 1e3);
});

// Common practice: a chimney holds 80 to 100 briquettes of 22 to 28 g, 2.2 to 2.7 kg.
it('fills a chimney with as many briquettes as practice does', function () {
    $count = Fuel::chimneyKg() / Fuel::named('briquettes')->pieceKg;
    expect($count)->toBeGreaterThan(80)->toBeLessThan(100);
});

// Common practice: 15 to 20 min to ash over, then 45 to 60 useful minutes.
it('is grey and useful as long as practice says', function () {
    $briquettes = Fuel::named('briquettes');
    expect($briquettes->ashOverMinutes)->toBeGreaterThanOrEqual(15)->toBeLessThanOrEqual(20)
        ->and(CoalBed::minutesToFade($briquettes, 0.5))->toBeGreaterThan(45)->toBeLessThan(60);
});

it('gives off no more and no less than the coals hold', function () {
    $bed = CoalBed::of(Fuel::named('lump'));
    $bed->add(2.0, true);
    $joules = 0.0;
    for ($i = 0; $i < 4000; $i++) {
        $joules += 10.0 * $bed->burn(10.0);
    }
    expect($joules / (2.0 * Fuel::named('lump')->bedJKg()))->toEqualWithDelta(1.0, 0.002)->and($bed->leftKg())->toBeLessThan(0.01);
});

// The shrinking particle in closed form: power (1 − t/T)², mass (1 − t/T)³. Source: Levenspiel, Chemical Reaction Engineering.
it('fades as the shrinking particle does', function (float $share) {
    $fuel = Fuel::named('briquettes');
    $bed = CoalBed::of($fuel);
    $bed->add(1.0, true);
    $fresh = $bed->freePowerW();
    for ($t = 0.0; $t < $share * 60 * $fuel->burnOutMinutes; $t += 5.0) {
        $bed->burn(5.0);
    }
    expect($bed->freePowerW() / $fresh)->toEqualWithDelta((1 - $share) ** 2, 0.004)
        ->and($bed->leftKg())->toEqualWithDelta((1 - $share) ** 3, 0.004)
        ->and(CoalBed::fade($fuel, $share * $fuel->burnOutMinutes))->toEqualWithDelta((1 - $share) ** 2, 1e-9);
})->with([0.1, 0.3, 0.5, 0.8]);

it('means its fading as the integral does', function (float $minutes) {
    $fuel = Fuel::named('hardwood');
    $sum = 0.0;
    for ($i = 0; $i < 2000; $i++) {
        $sum += CoalBed::fade($fuel, $minutes * ($i + 0.5) / 2000) / 2000;
    }
    expect(CoalBed::meanFade($fuel, $minutes))->toEqualWithDelta($sum, 1e-4);
})->with([5.0, 45.0, 100.0, 200.0]);

it('never burns longer for wind, nor colder for more coal', function (float $wind, float $kg) {
    $left = function (float $wind, float $kg): array {
        $bed = CoalBed::of(Fuel::named('lump'), $wind);
        $bed->add($kg, true);
        for ($i = 0; $i < 30; $i++) {
            $bed->burn(60.0);
        }

        return [$bed->leftKg(), $bed->freePowerW()];
    };
    expect($left($wind + 1.0, $kg)[0])->toBeLessThan($left($wind, $kg)[0])
        ->and($left($wind, $kg * 1.2)[1])->toBeGreaterThan($left($wind, $kg)[1])
        ->and(
            CoalBed::minutesToFade(Fuel::named('lump'), 0.4, $wind + 1.0),
        )->toBeLessThan(CoalBed::minutesToFade(Fuel::named('lump'), 0.4, $wind));
})->with([[0.0, 0.5], [2.0, 1.0], [5.0, 4.0], [9.0, 0.1]]);

it('lasts longer under a lid that lets in less air', function () {
    $minutes = function (float $capW): int {
        $bed = CoalBed::of(Fuel::named('briquettes'));
        $bed->add(1.0, true);
        for ($m = 0; $bed->freePowerW() > 1500.0; $m++) {
            $bed->burn(60.0, $capW);
        }

        return $m;
    };
    expect($minutes(1800.0))->toBeGreaterThan($minutes(3000.0))->and($minutes(3000.0))->toBeGreaterThan($minutes(INF));
});

// Aligned unit squares one side apart: 0.1998. Source: Incropera & DeWitt, chapter 13; Howell, A Catalog of Radiation
// Configuration Factors, C-11.
it('sees between parallel rectangles what the closed form gives', function () {
    expect(ViewFactor::parallelRectangles(1.0, 1.0, 1.0))->toEqualWithDelta(0.1998, 5e-5)
        ->and(ViewFactor::parallelRectangles(1.0, 1.0, 1e-3))->toEqualWithDelta(1.0, 0.005)
        ->and(ViewFactor::parallelRectangles(2.0, 3.0, 4.0))->toEqualWithDelta(ViewFactor::parallelRectangles(3.0, 2.0, 4.0), 1e-12);
});

it('adds up over a rectangle to the factor between two', function () {
    $sum = 0.0;
    $n = 60;
    for ($i = 0; $i < $n; $i++) {
        for ($j = 0; $j < $n; $j++) {
            $sum += ViewFactor::pointToRectangle(($i + 0.5) / $n, ($j + 0.5) / $n, 1.0, 1.0, 1.0) / $n ** 2;
        }
    }
    expect($sum)->toEqualWithDelta(0.1998, 1e-4);
});

// The sum over squares of coal against the closed form for a small surface over a rectangle (Howell, B-4).
it('sums the flux of a bed as the closed form has it', function (float $x, float $y, float $height) {
    $fuel = Fuel::named('briquettes');
    // Piles of the layer's own depth side by side make an even bed.
    $piles = [];
    for ($i = 0; $i < 10; $i++) {
        for ($j = 0; $j < 4; $j++) {
            $piles[] = Pile::of(($i - 4.5) * 0.1, ($j - 1.5) * 0.1, Pile::LAYER_KG_M2 * 0.01);
        }
    }
    $floor = FireFloor::of(1.0, 0.4, false, $fuel, $piles);
    $emitted = array_sum(array_column($floor->squares, 2)) / 0.4;
    $exact = $emitted * ViewFactor::pointToRectangle($x + 0.5, $y + 0.2, 1.0, 0.4, $height);
    expect($floor->downWm2($x, $y, $height) / $exact)->toEqualWithDelta(1.0, 0.01);
})->with([[0.0, 0.0, 0.5], [0.3, 0.1, 0.4], [0.6, 0.0, 0.5], [0.0, 0.5, 0.3], [-0.5, -0.2, 0.6]]);

// The same view-factor sum between two parallel unit squares, against the published 0.1998.
it('exchanges 0.1998 between unit squares one side apart', function () {
    $piles = [];
    for ($i = 0; $i < 10; $i++) {
        for ($j = 0; $j < 10; $j++) {
            $piles[] = Pile::of(($i - 4.5) * 0.1, ($j - 4.5) * 0.1, Pile::LAYER_KG_M2 * 0.01);
        }
    }
    $floor = FireFloor::of(1.0, 1.0, false, Fuel::named('lump'), $piles);
    $arrives = array_sum(array_map(array_sum(...), $floor->field(30, 30, 1.0))) / 900;
    expect($arrives / array_sum(array_column($floor->squares, 2)))->toEqualWithDelta(0.1998, 0.001);
});

// Common practice: a cylinder over a narrow bed sees on average 1/π of the flux that looks down; more over a wide one.
it('turns a joint through 1/π of the flux of a narrow bed, and more over a wide one', function () {
    $share = fn (float $width): float => FireFloor::of(
        2.0,
        $width,
        false,
        Fuel::named('lump'),
        array_map(fn (int $i): Pile => Pile::of(0.0, $width * ($i / 10 - 0.5), 0.2), range(0, 10)),
    )->turnShare(0.0, 0.0, 0.5);
    expect($share(0.1))->toEqualWithDelta(1 / M_PI, 0.005)
        ->and($share(1.5))->toBeGreaterThan($share(0.8))
        ->and($share(0.8))->toBeGreaterThan($share(0.1));
});

it('never gets colder for more coal, nearer coal or another pile', function (float $x, float $y) {
    $floor = fn (float $kg, array $more = []): FireFloor => FireFloor::of(
        1.2,
        0.6,
        false,
        Fuel::named('lump'),
        [Pile::of($x, $y, $kg), ...$more],
    );
    for ($kg = 0.2; $kg < 8.0; $kg *= 1.7) {
        expect($floor($kg * 1.3)->downWm2(0.1, 0.05, 0.4))->toBeGreaterThan($floor($kg)->downWm2(0.1, 0.05, 0.4))
            ->and($floor($kg, [Pile::of(0.2, 0.1, 0.5)])->downWm2(0.1, 0.05, 0.4))->toBeGreaterThan($floor($kg)->downWm2(0.1, 0.05, 0.4))
            ->and($floor($kg)->downWm2($x, $y, 0.3))->toBeGreaterThan($floor($kg)->downWm2($x, $y, 0.5));
    }
})->with([[0.0, 0.0], [-0.5, 0.2], [0.55, -0.28]]);

it('loses no coal at the edge of the floor', function () {
    $sum = fn (float $x, float $y): float => array_sum(
        array_column(FireFloor::of(1.0, 0.5, false, Fuel::named('lump'), [Pile::of($x, $y, 0.02)])->squares, 2),
    );
    expect($sum(0.5, 0.25))->toBeGreaterThan(0.8 * $sum(0.0, 0.0))->and($sum(0.9, 0.9))->toBeGreaterThan(0.0);
});

// Blackbody: 500 °C gives 20.3 kW/m², 800 K gives 23.2 kW/m². Source: σT⁴, CODATA 2018, worked by hand.
it('gives the flux of a black wall', function () {
    expect(HandTest::fluxOfWallWm2(500.0))->toEqualWithDelta(20_262, 15)
        ->and(HandTest::fluxOfWallWm2(800.0 - Nature::ZERO_C_IN_K))->toEqualWithDelta(23_226, 15);
});

// Time to pain against flux. Source: API RP 521, from Stoll & Greene 1959 (from memory).
it('reads the hand both ways', function (float $seconds, float $kw) {
    expect(HandTest::fluxWm2($seconds) / 1000.0)->toEqualWithDelta($kw, 1e-6)
        ->and(HandTest::seconds(1000.0 * $kw))->toEqualWithDelta($seconds, 1e-6);
})->with([[60, 1.74], [40, 2.33], [30, 2.90], [16, 4.73], [9, 6.94], [6, 9.46], [4, 11.67], [2, 19.87]]);

it('comes back from flux to seconds between the rows too', function () {
    for ($s = 2.0; $s <= 60.0; $s += 0.7) {
        expect(HandTest::seconds(HandTest::fluxWm2($s)))->toEqualWithDelta($s, 1e-6);
    }
});

// Stack effect. Source: ASHRAE Handbook—Fundamentals: Q = C·A·√(2·g·H·(Ti − To)/Ti). Worked by hand for 20 cm², 0.5 m, 140 and 20 °C:
// √(2·9.80665·0.5·120/413.15) = 1.6878 m/s; ·0.65·0.002 = 2.194e-3 m³/s; ·1.2041 kg/m³ = 2.642e-3 kg/s.
it('draws what the stack formula gives', function () {
    expect(Stack::flowKgS(0.002, 0.5, 140.0, 20.0))->toEqualWithDelta(2.642e-3, 2e-6)
        ->and(Stack::inSeriesM2(3.0, 4.0))->toEqualWithDelta(2.4, 1e-12)
        ->and(Stack::flowKgS(0.002, 0.5, 20.0, 20.0))->toBe(0.0);
});

// Source: US Standard Atmosphere 1976, table of pressure against geopotential height.
it('has the pressure of the standard atmosphere', function (float $metres, float $pa) {
    expect(Nature::airPa($metres))->toEqualWithDelta($pa, 3e-4 * $pa);
})->with([[0.0, 101_325.0], [1000.0, 89_874.6], [2000.0, 79_495.2], [3000.0, 70_108.5], [4000.0, 61_640.2]]);

// Air at sea level and 20 °C: 1.204 kg/m³; at 2000 m about a fifth less. Source: US Standard Atmosphere 1976.
it('thins the air with height', function () {
    expect(Stack::airDensityKgM3(20.0, 0.0))->toEqualWithDelta(1.2041, 5e-4)
        ->and(Stack::airDensityKgM3(2.0, 2000.0))->toEqualWithDelta(1.006, 0.015);
});

// What a lumped body does: T = Ts + (T0 − Ts)·exp(−t/τ). A thermostat without power cools so.
it('cools a cooker along its exponential', function (string $kind) {
    $weather = Weather::of(10.0);
    $equipment = Equipment::of($kind);
    $curve = OwnCurve::of($equipment);
    $off = Settings::of($kind === 'gas' ? ['burner_1' => 0.0, 'burner_2' => 0.0, 'burner_3' => 0.0] : ['set_c' => 0.0]);
    $warmth = new Warmth($curve, $weather, null, 160.0);
    $lossWK = ($curve->mechanism->lossW($off, 11.0, $weather));
    $tau = $curve->mechanism->storageJK() / $lossWK;
    if ($kind === 'gas') {
        // Its draught is no straight line: only the direction is held here.
        $warmth->through($off, 600.0);
        expect($warmth->celsius())->toBeLessThan(160.0)->toBeGreaterThan(10.0);

        return;
    }
    foreach ([0.25, 0.5, 1.0, 2.0] as $share) {
        $warmth = new Warmth($curve, $weather, null, 160.0);
        $warmth->through(Settings::of(['set_c' => -1000.0]), $share * $tau);
        expect(($warmth->celsius() - 10.0) / 150.0)->toEqualWithDelta(exp(-$share), 0.01);
    }
})->with(['oven', 'pellet', 'lidded-roaster', 'gas']);

// The same exponential on the way from one heat to a lower one: T = Ta + (T₀ − Ta)·exp(−t/τ) until it is there.
it('settles to a lower heat as a body without power cools', function (string $kind) {
    $curve = OwnCurve::of(Equipment::of($kind));
    $weather = Weather::of(10.0);
    $tau = $curve->mechanism->storageJK() / $curve->mechanism->lossW(Settings::of(['set_c' => 0.0]), 11.0, $weather);
    $settling = Settling::between($curve, $weather, 200.0, 120.0) ?? throw new LogicException('It does not settle.');
    $there = $tau * log((200.0 - 10.0) / (130.0 - 10.0)) / 60.0;
    foreach ([0.0, 0.25, 0.5, 0.75, 1.0] as $share) {
        expect($settling->celsius($share * $there))->toEqualWithDelta(10.0 + 190.0 * exp(-$share * $there * 60.0 / $tau), 3.5);
    }
    expect($settling->celsius($settling->doneMinutes()))->toEqualWithDelta(120.0, 4.0)
        ->and($settling->ahead(5.0)?->celsius(2.0))->toBe($settling->celsius(7.0))
        ->and($settling->ahead($settling->doneMinutes()))->toBeNull();
})->with(['oven', 'pellet', 'lidded-roaster', 'griddle']);

// Common practice: heavy walls come down in hours and not in minutes; gas answers at once beside them; coals are raked apart.
it('knows which cookers follow and which do not', function () {
    $takes = fn (string $kind, float $from, float $to): float => Settling::between(
        OwnCurve::of(Equipment::of($kind)),
        Weather::of(15.0),
        $from,
        $to,
    )?->doneMinutes() ?? 0.0;
    expect($takes('ceramic', 260.0, 110.0))->toBeGreaterThan(120.0)
        ->and($takes('ceramic', 110.0, 260.0))->toBeGreaterThan(15.0)->toBeLessThan(75.0)
        ->and($takes('gas', 150.0, 230.0))->toBeLessThan(15.0)
        ->and($takes('gas', 250.0, 150.0))->toBeLessThan(30.0)
        ->and($takes('kettle', 220.0, 120.0))->toBeLessThan(0.5 * $takes('ceramic', 220.0, 120.0))
        ->and($takes('open-spit', 300.0, 400.0))->toBe(0.0)
        ->and($takes('oven', 160.0, 163.0))->toBe(0.0);
});

// Source: SciPy 1.10, by tests/Reference/fits/make.py.
it('finds the line that a reference library finds', function (string $name) {
    $set = json_decode((string) file_get_contents(__DIR__.'/fits/lines.json'), true)[$name];
    $line = RobustLine::through($set['x'], $set['y'], $set['likely'], $set['doubt'], $set['scatter']);
    expect($line->intercept)->toEqualWithDelta($set['robust'][0], 1e-6)->and($line->slope)->toEqualWithDelta($set['robust'][1], 1e-6);
})->with(['few', 'season', 'strays', 'none']);

it('comes to plain least squares when nothing was thought before and nothing strays', function () {
    $set = json_decode((string) file_get_contents(__DIR__.'/fits/lines.json'), true)['season'];
    $line = RobustLine::through($set['x'], $set['y'], [0.0, 0.0], [1e6, 1e6], 1e3);
    expect($line->intercept)->toEqualWithDelta($set['plain'][0], 1e-5)->and($line->slope)->toEqualWithDelta($set['plain'][1], 1e-5);
});

it('solves least squares without negatives as the conditions of Kuhn and Tucker ask', function () {
    $a = [[1.0, 0.4, 0.1], [0.4, 1.0, 0.4], [0.1, 0.4, 1.0], [0.0, 0.2, 0.7]];
    $b = [2.0, 0.3, 1.0, 0.9];
    $x = NonNegative::solve($a, $b, 20_000);
    foreach ($x as $j => $value) {
        $gradient = 0.0;
        foreach ($a as $i => $row) {
            $gradient += $row[$j] * (array_sum(array_map(fn (float $p, float $q): float => $p * $q, $row, $x)) - $b[$i]);
        }
        expect($value)->toBeGreaterThanOrEqual(0.0)
            ->and($value * $gradient)->toEqualWithDelta(0.0, 1e-3)
            ->and($gradient)->toBeGreaterThan(-1e-3);
    }
});

// Common practice: twice the diameter in inches for 165 to 175 °C; “diameter + 3 on top, − 3 below” is the same total.
it('counts coals by both schools alike', function (int $inches) {
    $count = CampOvenCount::for($inches * CampOvenCount::INCH_M, 170.0, 'roast', 20.0, 0.0);
    $other = CampOvenCount::otherSchool($inches * CampOvenCount::INCH_M);
    expect($count->total)->toBe(2 * $inches)
        ->and($other['over'] + $other['under'])->toBe($count->total)
        ->and($other['over'])->toBe($inches + 3)
        ->and($count->over)->toBe($count->under);
})->with([8, 10, 12]);

// Common practice: a wide pot takes more than twice its inches, and a small one gets by with one more for each 14 K.
it('counts for wide and small pots as practice does, and never fewer for a wider or a hotter one', function () {
    $count = fn (float $inches, float $c): float => CampOvenCount::exact($inches * CampOvenCount::INCH_M, $c, 20.0, 0.0);
    expect($count(14, 163.0))->toEqualWithDelta(30.0, 1.0)->and($count(16, 163.0))->toEqualWithDelta(37.0, 1.0)->and($count(8, 232.0))->toEqualWithDelta(20.0, 1.0);
    for ($inches = 6.0; $inches <= 23.0; $inches += 0.5) {
        for ($c = 60.0; $c <= 280.0; $c += 10.0) {
            expect($count($inches + 0.5, $c))->toBeGreaterThan($count($inches, $c))->and($count($inches, $c + 10.0))->toBeGreaterThan($count($inches, $c));
        }
    }
});

// Common practice: every two more are some 13 K; two thirds on the lid for baking, below for simmering; wind and cold ask for more.
it('moves the count with target, method and weather', function () {
    $count = fn (
        float $c,
        string $method = 'roast',
        float $air = 20.0,
        float $wind = 0.0,
    ): CampOvenCount => CampOvenCount::for(0.3048, $c, $method, $air, $wind);
    expect($count(183.0)->total - $count(170.0)->total)->toBe(2)
        ->and($count(170.0, 'bake')->over)->toBe(16)
        ->and($count(170.0, 'simmer')->under)->toBe(16)
        ->and($count(170.0, 'roast', 0.0)->total)->toBeGreaterThan($count(170.0)->total)
        ->and($count(170.0, 'roast', 20.0, 5.0)->total)->toBeGreaterThan($count(170.0)->total);
});

// Common practice: refreshed at 45 to 60 min, sooner in wind.
it('renews the coals when practice does', function () {
    expect(CampOvenCount::refreshMinutes(0.0))->toBeGreaterThan(45)->toBeLessThan(60)
        ->and(CampOvenCount::refreshMinutes(6.0))->toBeLessThan(CampOvenCount::refreshMinutes(0.0));
});

// Common practice: coals of wood or lump are counted as big as briquettes; they are lighter, and are renewed sooner. Worked by hand:
// a briquette of 25 g gives 3 × 0.9 × 24.5 MJ/kg × 0.025 kg / 180 min = 153 W when freshly grey.
it('has shovelled coals give what as many briquettes do', function (string $id) {
    $fuel = Fuel::named($id);
    expect(CampOvenCount::kgOfOne($fuel) * CoalBed::freshWKg($fuel))->toEqualWithDelta(153.1, 0.5)
        ->and(CampOvenCount::kgOfOne($fuel))->toBeLessThan(0.025)
        ->and(CampOvenCount::refreshMinutes(0.0, $fuel))->toBeLessThan(CampOvenCount::refreshMinutes(0.0))->toBeGreaterThan(25.0);
})->with(['lump', 'hardwood']);

// Common practice: a 30 cm camp oven takes about 0.3 of the coals' heat; worked by hand, 24 briquettes at their mean then
// give it 0.9 to 1.5 kW,
// and a cast pot of that size at 150 K over the air loses 6 to 10 W/K.
it('gives a camp oven as much as an iron pot loses', function () {
    $pot = new CampOven(0.3048, 'roast');
    $watts = $pot->heatW(Settings::of(['over' => 12.0, 'under' => 12.0]), 170.0, Weather::of(20.0));
    expect($watts / 150.0)->toBeGreaterThan(5.0)->toBeLessThan(11.0);
});

it('warms a buried pot and lets it cool again, less in wet ground', function () {
    $bed = fn (string $ground): BuriedBed => BuriedBed::of(Pit::for(Pot::usual(0.356), $ground), 10.0);
    $course = array_map(fn (int $minutes): float => $bed('dry')->celsius($minutes), [0, 15, 30, 60, 120, 240, 480, 900, 1440]);
    $hottest = (int) array_search(max($course), $course, true);
    expect($course[0])->toEqualWithDelta(10.0, 0.01)
        ->and($hottest)->toBeGreaterThan(1)->toBeLessThan(6)
        ->and(max($course))->toBeLessThan(500.0);
    for ($i = $hottest; $i < 8; $i++) {
        expect($course[$i + 1])->toBeLessThan($course[$i]);
    }
    // Wet ground gets one more shovel of coals, and still is no hotter; coals are found alive next morning.
    foreach ([120, 300, 600] as $minutes) {
        expect($bed('wet')->celsius($minutes))->toBeLessThan($bed('dry')->celsius($minutes));
    }
    expect($bed('dry')->celsius(900))->toBeGreaterThan(40.0);
});
