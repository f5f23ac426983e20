<?php

declare(strict_types=1);

use Diatherm\Cooker\Control;
use Diatherm\Cooker\Cooker;
use Diatherm\Cooker\CookerShed;
use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\GasGrill;
use Diatherm\Cooker\Observation;
use Diatherm\Cooker\OwnCurve;
use Diatherm\Cooker\Phase;
use Diatherm\Cooker\Settings;
use Diatherm\Cooker\Warmth;
use Diatherm\Cooker\Weather;
use Diatherm\Cooking\Forecast;
use Diatherm\Fire\CoalBed;
use Diatherm\Fire\Fuel;
use Diatherm\Fire\HandTest;
use Diatherm\Plan\Plan;
use Diatherm\Practice\FireCase;
use Diatherm\Tending\FirePlan;
use Tests\Support\Samples;

function fireFor(array $dish, array $roast = []): FirePlan
{
    return Plan::of(Samples::roast($dish, $roast), new DateTimeImmutable('2031-10-04T01:00:00+02:00'))->fires[0]->plan;
}

// Common practice, each as a range: rows of data/fire-practice.json.
it('does what practice says of its fires', function (FireCase $case) {
    expect($case->computed())->toBeGreaterThanOrEqual($case->least)->toBeLessThanOrEqual($case->most);
})->with(fn () => array_combine(array_column(FireCase::all(), 'id'), array_map(fn (FireCase $case): array => [$case], FireCase::all())));

it('needs no second load for an hour at 135 °C', function () {
    expect(
        fireFor(
            [
                'cut' => 'beef-tri-tip',
                'mass_kg' => 0.9,
                'taste' => 'medium_rare',
                'stages' => [['cooker' => 'kettle', 'cooker_c' => 135, 'minutes' => 60]],
            ],
            ['air_c' => 20, 'wind_ms' => 0],
        )->run->refuels,
    )->toBe([]);
});

// Common practice: a 57 cm kettle loses about 15 W/K.
it('loses heat as a kettle of that size does', function () {
    $kettle = Equipment::of('kettle', ['leaks_cm2' => 0.0])->mechanism();
    $closed = Settings::of(['intake_mm' => 0.0, 'exhaust_mm' => 0.0]);
    expect($kettle->lossW($closed, 120.0, Weather::of(20.0)) / 100.0)->toEqualWithDelta(15.0, 0.2)
        ->and(
            Equipment::of('kettle', ['diameter_cm' => 40.3])->mechanism()->lossW($closed, 120.0, Weather::of(20.0)) / 100.0,
        )->toEqualWithDelta(7.5, 0.3);
});

// Common practice: opened wide it climbs past 200 °C; heavy walls hold their heat, so that it takes far longer to come down.
// Common practice: slots wide open and burners full on the way up; a set point or a count of coals is left as it is.
it('climbs with all that it has, and never slower for it', function (string $kind, float $celsius) {
    $weather = Weather::of(12.0, 2.0);
    $curve = OwnCurve::of(Equipment::of($kind));
    $hold = $curve->settingsFor($celsius, $weather);
    $hurried = $curve->mechanism->hurried($hold);
    foreach ($curve->mechanism->controls() as $control) {
        expect($hurried->get($control->id))->toBeGreaterThanOrEqual($hold->get($control->id))->toBeLessThanOrEqual($control->most);
    }
    $after = function (Settings $settings) use ($curve, $weather): float {
        $warmth = new Warmth($curve, $weather, null);
        $warmth->through($settings, 300.0);

        return $warmth->celsius();
    };
    expect($after($hurried))->toBeGreaterThanOrEqual($after($hold));
})->with([['kettle', 150.0], ['ceramic', 180.0], ['gas', 180.0], ['grill-rotisserie', 195.0], ['pellet', 120.0], ['griddle', 220.0], ['oven', 163.0], ['camp-oven', 170.0]]);

// What a bed's glow gives back is what it held: no heat is made by opening and closing. Worked from the balance of the coals burnt.
it('gives off no more in the end than its coals held', function () {
    $weather = Weather::of(15.0);
    $curve = OwnCurve::of(Equipment::of('kettle'));
    $fuel = Fuel::named('lump');
    $bed = CoalBed::of($fuel, 0.0);
    $bed->add(1.0, true);
    $warmth = new Warmth($curve, $weather, $bed);
    $hold = $curve->settingsFor(150.0, $weather);
    $lostJ = 0.0;
    for ($i = 0; $i < 900; $i++) {
        $settings = intdiv($i, 60) % 2 === 0 ? $curve->mechanism->hurried($hold) : $hold;
        $lostJ += 20.0 * $curve->mechanism->lossW($settings, $warmth->modelC(), $weather);
        $warmth->through($settings, 20.0);
    }
    $storedJ = $curve->mechanism->storageJK() * ($warmth->modelC() - 15.0);
    $burntJ = (1.0 - $bed->leftKg()) * $fuel->bedJKg();
    // Coals come in aglow, which is the chimney's heat: 0.3 MJ for a kilogram.
    expect($lostJ + $storedJ)->toEqualWithDelta($burntJ + 0.3e6, 0.06 * $burntJ);
});

// Common practice: closed in late, a kettle runs past its target by some tens of kelvin; heavy walls take the same coals for little.
it('overshoots when it is closed in late, a light cooker more than a heavy one', function () {
    $past = function (string $kind, float $celsius): float {
        $weather = Weather::of(15.0);
        $curve = OwnCurve::of(Equipment::of($kind));
        $hold = $curve->settingsFor($celsius, $weather);
        $bed = CoalBed::of(Fuel::named('lump'), 0.0);
        $bed->add(1.5, true);
        $warmth = new Warmth($curve, $weather, $bed);
        for ($late = 0; $warmth->celsius() < $celsius && $late < 500; $late++) {
            $warmth->through($curve->mechanism->hurried($hold), 20.0);
        }
        $most = 0.0;
        for ($i = 0; $i < 45; $i++) {
            $warmth->through($hold, 20.0);
            $most = max($most, $warmth->celsius() - $celsius);
        }

        return $most;
    };
    expect($past('kettle', 150.0))->toBeGreaterThan(15.0)->toBeLessThan(70.0)
        ->and($past('ceramic', 150.0))->toBeLessThan(0.5 * $past('kettle', 150.0));
});

it('climbs fast and comes down slowly in a ceramic oven, and says so', function () {
    $weather = Weather::of(20.0);
    $minutes = function (float $from, float $to, float $coalsKg, float $intake, float $exhaust) use ($weather): int {
        $bed = CoalBed::of(Fuel::named('lump'));
        $bed->add($coalsKg, true);
        $warmth = new Warmth(OwnCurve::of(Equipment::of('ceramic')), $weather, $bed, $from);
        for ($minutes = 0; $minutes < 600 && ($warmth->celsius() - $to) * ($from - $to) > 0.0; $minutes++) {
            $warmth->through(Settings::of(['intake_mm' => $intake, 'exhaust_mm' => $exhaust]), 60.0);
        }

        return $minutes;
    };
    expect($minutes(200.0, 170.0, 0.0, 0.0, 0.0))->toBeGreaterThan(3 * $minutes(170.0, 200.0, 1.2, 75.0, 60.0))->toBeLessThan(120)
        ->and(Equipment::of('ceramic')->note())->toContain('slow');
});

it('turns off the burner under the meat first, wherever the meat lies', function (int $over) {
    $gas = Equipment::of('gas', ['burners' => 4.0, 'meat_over' => (float) $over])->mechanism();
    assert($gas instanceof GasGrill);
    $settings = $gas->settingsFor(150.0, Weather::of(15.0));
    expect($settings->get("burner_$over"))->toBe(0.0)->and($settings->get('burner_'.($over % 4 + 1)))->toBeGreaterThan(0.2);
})->with([1, 2, 3, 4]);

// A turning joint takes a third of the flux over a bed as wide as it is far (1/π and a little more), and coals that are renewed at
// half have three quarters of their first heat on average: the spit's row in data/cookers.json is their product.
it('has the heat of a spit from its turning and its fading', function () {
    $equipment = Equipment::of('open-spit');
    $fuel = $equipment->fuels()[0];
    $fire = $equipment->mechanism($fuel, 'even');
    assert($fire instanceof Diatherm\Cooker\OpenFire);
    $mean = CoalBed::meanFade(
        $fuel,
        CoalBed::minutesToFade($fuel, $equipment->renewAt()),
    ) * $fire->floor(3.0)->turnShare(0.0, 0.0, $fire->heightM);
    $row = CookerShed::kind('open-spit');
    $shape = Samples::dish()->shape();
    // A black wall of the same mean flux is what the row comes to.
    [$seen, $wall, $out] = array_map(
        HandTest::fluxOfWallWm2(...),
        [$row->inside->surroundings(400.0, -20.0, $shape)->radiantC, 400.0, -20.0],
    );
    expect(($seen - $out) / ($wall - $out))->toEqualWithDelta($mean, 0.03);
});

// Line plume over a long fire: 7.1·Q'^⅔/z. Source: Lee & Emmons 1961 (from memory). Worked by hand: 15 kW/m of gas, 0.4 m up: 108 K.
it('lets hot gas rise with the heat of a fire, and wind take it', function () {
    $fire = Equipment::of('open-spit')->mechanism();
    assert($fire instanceof Diatherm\Cooker\OpenFire);
    $kg = 15_000.0 * $fire->lengthM / (1.0 - $fire->fuel->radiantShare) / CoalBed::freshWKg($fire->fuel);
    expect($fire->plumeK($kg, 0.0))->toEqualWithDelta(7.1 * 15.0 ** (2.0 / 3.0) / $fire->heightM, 0.5)
        ->and($fire->plumeK($kg, 1.2))->toEqualWithDelta(0.5 * $fire->plumeK($kg, 0.0), 0.1)
        ->and($fire->fluxWm2($kg, 3.0))->toBeLessThan($fire->fluxWm2($kg, 0.0));
});

// Source: ASHRAE Handbook—Fundamentals, ventilation by wind; NFPA 54 on gas at altitude (from memory): 4 % for each 300 m above 600 m.
it('burns hotter where wind blows into it, and weaker in thin air', function () {
    $kettle = Equipment::of('kettle')->mechanism();
    $open = Settings::of(['intake_mm' => 8.0, 'exhaust_mm' => 8.0]);
    expect($kettle->heatW($open, 150.0, Weather::of(20.0, 8.0)))->toBeGreaterThan(1.05 * $kettle->heatW($open, 150.0, Weather::of(20.0)));
    $gas = Equipment::of('gas')->mechanism();
    $full = $gas->hurried($gas->settingsFor(150.0, Weather::of(20.0)));
    expect(
        $gas->heatW($full, 150.0, Weather::of(20.0, 0.0, false, 2100.0)) / $gas->heatW($full, 150.0, Weather::of(20.0)),
    )->toEqualWithDelta(0.8, 1e-9);
});

// Common practice: a buried pot is left alone for half an hour a pound, an hour a kilogram, and more in cold or wet ground.
it('leaves a buried bird alone for the slow end of practice', function (float $pounds, string $ground) {
    $forecast = Forecast::of(Samples::dish(['cut' => 'turkey-breast', 'mass_kg' => $pounds * 0.45359237, 'start_c' => 5, 'taste' => 'done', 'coast' => false,
        'rig' => ['kind' => 'buried_pot', 'pot_cm' => 35.6, 'ground' => $ground], 'stages' => [['cooker' => 'camp-oven', 'pull' => true]]]), 15.0);
    expect($forecast->pullC)->toBeGreaterThan(73.9)
        ->and($forecast->cookMinutes->likely)->toBeGreaterThan(27.0 * $pounds)->toBeLessThan(45.0 * $pounds);
})->with([[4.0, 'dry'], [6.0, 'cold'], [8.0, 'wet'], [12.0, 'dry']]);

dataset(
    'everything that is set',
    array_map(
        fn (string $kind): array => [$kind],
        [
            'kettle', 'ceramic', 'gas', 'grill-rotisserie', 'pellet', 'lidded-roaster', 'oven', 'open-grate',
            'open-spit', 'trench', 'camp-oven',
        ],
    ),
);

it('comes back from a temperature to its settings and again', function (string $kind) {
    $mechanism = Equipment::of($kind)->mechanism();
    $row = CookerShed::kind($kind);
    foreach ([Weather::of(20.0), Weather::of(2.0, 4.0, true), Weather::of(10.0, 1.0, false, 1500.0)] as $weather) {
        foreach ([0.0, 0.3, 0.6] as $share) {
            $target = max($row->leastC, 110.0) + $share * (min($row->mostC, $row->defaultC + 50.0) - max($row->leastC, 110.0));
            $settings = $mechanism->settingsFor($target, $weather);
            $reached = $mechanism->steadyC($settings, $weather);
            $full = array_filter(
                $mechanism->controls(),
                fn (Control $control): bool => $settings->get($control->id) < $control->most - 1e-6,
            );
            // Out of reach only with everything wide open.
            $full === [] ? expect($reached)->toBeLessThan($target + 1.0) : expect($reached)->toEqualWithDelta($target, 0.7);
        }
    }
})->with('everything that is set');

it('never gets colder for a control opened further', function (string $kind) {
    $mechanism = Equipment::of($kind)->mechanism();
    foreach ($mechanism->controls() as $control) {
        foreach ([0.1, 0.5] as $others) {
            $last = -INF;
            for ($i = 0; $i <= 8; $i++) {
                $values = [];
                foreach ($mechanism->controls() as $other) {
                    $values[$other->id] = $other->least + (
                        $other === $control || $other->id === $control->id ? $i / 8 : $others
                    ) * ($other->most - $other->least);
                }
                $celsius = $mechanism->steadyC(Settings::of($values), Weather::of(12.0, 2.0));
                expect($celsius)->toBeGreaterThanOrEqual($last - 0.06);
                $last = $celsius;
            }
        }
    }
})->with('everything that is set');

it('asks for no less in wind, rain and cold', function (string $kind) {
    $mechanism = Equipment::of($kind)->mechanism();
    $target = $kind === 'ceramic' ? 150.0 : CookerShed::kind($kind)->defaultC;
    $opening = fn (Weather $weather): float => array_sum($mechanism->settingsFor($target, $weather)->values);
    $still = $opening(Weather::of(20.0));
    expect($opening(Weather::of(20.0, 5.0)))->toBeGreaterThanOrEqual($still - 1e-4)
        ->and($opening(Weather::of(20.0, 0.0, true)))->toBeGreaterThanOrEqual($still - 1e-4)
        ->and($opening(Weather::of(-5.0)))->toBeGreaterThanOrEqual($still - 1e-3);
})->with('everything that is set');

it('opens wider where the air is thin', function () {
    $kettle = Equipment::of('kettle')->mechanism();
    expect(
        $kettle->settingsFor(150.0, Weather::of(15.0, 0.0, false, 2500.0))->get('intake_mm'),
    )->toBeGreaterThan(1.08 * $kettle->settingsFor(150.0, Weather::of(15.0))->get('intake_mm'));
});

it('returns the points that it was fitted to', function (float $level, float $steepness) {
    $equipment = Equipment::of('kettle');
    $weather = Weather::of(15.0, 1.0);
    $points = [];
    for ($mm = 2.0; $mm <= 14.0; $mm += 1.0) {
        $settings = Settings::of(['intake_mm' => $mm, 'exhaust_mm' => $mm]);
        $rise = $equipment->mechanism()->steadyC($settings, $weather) - 15.0;
        $points[] = Observation::of($settings, $weather, 15.0 + $level * 120.0 * ($rise / 120.0) ** $steepness);
    }
    $curve = OwnCurve::of($equipment, $points);
    foreach ($points as $point) {
        expect($curve->steadyC($point->settings, $weather)->likely)->toEqualWithDelta(
            $point->celsius,
            0.012 * ($point->celsius - 15.0) + 0.3,
        );
    }
    // There and back by the fitted curve.
    foreach ([100.0, 135.0, 180.0] as $target) {
        expect($curve->steadyC($curve->settingsFor($target, $weather), $weather)->likely)->toEqualWithDelta($target, 0.3);
    }
})->with([[1.0, 1.0], [0.9, 0.95], [1.15, 1.05]]);

it('learns from a few points, is not broken by many, and narrows its band', function () {
    $equipment = Equipment::of('kettle');
    $weather = Weather::of(15.0, 1.0);
    $read = fn (float $mm, float $celsius): Observation => Observation::of(
        Settings::of(['intake_mm' => $mm, 'exhaust_mm' => $mm]),
        $weather,
        $celsius,
    );
    $at = Settings::of(['intake_mm' => 6.0, 'exhaust_mm' => 6.0]);
    $none = OwnCurve::of($equipment);
    $cold = 15.0 + 0.85 * ($none->steadyC($at, $weather)->likely - 15.0);
    $few = OwnCurve::of($equipment, [$read(6.0, $cold), $read(6.0, $cold + 2.0)]);
    $many = OwnCurve::of($equipment, array_fill(0, 300, $read(6.0, $cold)));
    expect($few->steadyC($at, $weather)->likely)->toBeLessThan($none->steadyC($at, $weather)->likely - 8.0)
        ->and($many->steadyC($at, $weather)->likely)->toEqualWithDelta($cold, 0.5)
        ->and($few->steadyC($at, $weather)->width())->toBeLessThan($none->steadyC($at, $weather)->width())
        ->and($many->steadyC($at, $weather)->width())->toBeLessThan($few->steadyC($at, $weather)->width());
});

it('keeps a stray point and weighs it down', function () {
    $equipment = Equipment::of('kettle');
    $weather = Weather::of(15.0, 1.0);
    $model = fn (float $mm): float => $equipment->mechanism()->steadyC(Settings::of(['intake_mm' => $mm, 'exhaust_mm' => $mm]), $weather);
    $points = array_map(
        fn (float $mm): Observation => Observation::of(Settings::of(['intake_mm' => $mm, 'exhaust_mm' => $mm]), $weather, $model($mm)),
        [4.0, 5.0, 6.0, 7.0, 8.0, 9.0],
    );
    $stray = Observation::of(Settings::of(['intake_mm' => 6.0, 'exhaust_mm' => 6.0]), $weather, 60.0);
    $curve = OwnCurve::of($equipment, [...$points, $stray]);
    expect($curve->weights)->toHaveCount(7)
        ->and($curve->weights[6])->toBeLessThan(0.1)
        ->and(min(array_slice($curve->weights, 0, 6)))->toBeGreaterThan(0.9)
        ->and($curve->steadyC($stray->settings, $weather)->likely)->toEqualWithDelta($model(6.0), 2.5);
});

it('says when it is asked beyond what was seen', function () {
    $weather = Weather::of(15.0);
    $settings = Settings::of(['intake_mm' => 6.0, 'exhaust_mm' => 6.0]);
    $curve = OwnCurve::of(
        Equipment::of('kettle'),
        [Observation::of($settings, $weather, 120.0), Observation::of($settings, $weather, 150.0)],
    );
    expect($curve->isExtrapolated(135.0, $weather))->toBeFalse()
        ->and($curve->isExtrapolated(220.0, $weather))->toBeTrue()
        ->and($curve->isExtrapolated(80.0, $weather))->toBeTrue()
        ->and(OwnCurve::of(Equipment::of('kettle'))->isExtrapolated(135.0, $weather))->toBeTrue();
});

it('keeps a curve rising whatever was read', function () {
    $weather = Weather::of(15.0);
    $read = fn (float $mm, float $celsius): Observation => Observation::of(
        Settings::of(['intake_mm' => $mm, 'exhaust_mm' => $mm]),
        $weather,
        $celsius,
    );
    $curve = OwnCurve::of(
        Equipment::of('kettle'),
        [$read(3.0, 240.0), $read(4.0, 220.0), $read(8.0, 150.0), $read(12.0, 110.0), $read(14.0, 100.0)],
    );
    $last = 0.0;
    for ($mm = 1.0; $mm <= 20.0; $mm++) {
        $celsius = $curve->steadyC(Settings::of(['intake_mm' => $mm, 'exhaust_mm' => $mm]), $weather)->likely;
        expect($celsius)->toBeGreaterThan($last);
        $last = $celsius;
    }
});

it('learns how fast it warms and how fast it recovers', function () {
    $equipment = Equipment::of('oven');
    $weather = Weather::of(20.0);
    $settings = Settings::of(['set_c' => 160.0]);
    $kind = OwnCurve::of($equipment)->paceMinutes(160.0, $weather);
    $warm = fn (float $tau): array => array_map(
        fn (float $m): Observation => Observation::of($settings, $weather, 160.0 - 140.0 * exp(-$m / $tau), Phase::Warming, $m),
        [0.3 * $tau, 0.8 * $tau, 1.4 * $tau, 2.0 * $tau],
    );
    $slow = OwnCurve::of($equipment, $warm(1.8 * $kind));
    // 95 % of the way back after so many minutes.
    $open = 20.0 + Cooker::OPEN_SHARE * 140.0;
    $lid = array_map(
        fn (float $m): Observation => Observation::of(
            $settings,
            $weather,
            160.0 - (160.0 - $open) * exp(-$m * -log(0.05) / 9.0),
            Phase::AfterLid,
            $m,
        ),
        [1.0, 2.0, 4.0, 6.0],
    );
    expect($slow->paceMinutes(160.0, $weather))->toEqualWithDelta(1.8 * $kind, 0.15 * $kind)
        ->and(OwnCurve::of($equipment, $lid)->recoveryMinutes->likely)->toEqualWithDelta(9.0, 0.8)
        ->and(OwnCurve::of($equipment)->recoveryMinutes->likely)->toEqualWithDelta(4.0, 1e-6);
});

it('swings twice as far in a pellet grill’s smoke range, and cannot pass its element', function () {
    $pellet = Equipment::of('pellet')->mechanism();
    assert($pellet instanceof Diatherm\Cooker\Thermostat);
    $roaster = Equipment::of('lidded-roaster')->mechanism();
    expect($pellet->swingAtK(90.0))->toBe(2.0 * $pellet->swingAtK(150.0))
        ->and(said($pellet->inWords(Settings::of(['set_c' => 90.0]))))->toContain('smoke')
        ->and($roaster->steadyC(Settings::of(['set_c' => 230.0]), Weather::of(-10.0, 8.0, true)))->toBeLessThan(225.0)
        ->and($roaster->steadyC(Settings::of(['set_c' => 121.0]), Weather::of(20.0)))->toEqualWithDelta(121.0, 1e-6)
        ->and(Equipment::of('countertop-rotisserie')->mechanism()->controls())->toBe([]);
});

// A cooker whose kind is wrong in shape (its rise bends away by a tenth at both ends of what was read): fifty readings must not make
// the curve surer than it is. Readings scatter by 4 %, seeded.
it('is not too sure of a cooker that bends otherwise than its kind', function (string $kind, float $bend) {
    $equipment = Equipment::of($kind);
    $dice = new Diatherm\Practice\Dice(77);
    $weather = Weather::of(15.0, 1.0);
    $truth = function (float $modelC) use ($weather, $bend): float {
        $x = log(($modelC - $weather->airC) / 120.0);

        return $weather->airC + ($modelC - $weather->airC) * exp($bend * ($x * $x - 0.08));
    };
    $mechanism = $equipment->mechanism();
    $points = array_map(function (int $i) use ($mechanism, $weather, $truth, $dice): Observation {
        $settings = $mechanism->settingsFor(100.0 + 3.0 * $i, $weather);
        $own = $truth($mechanism->steadyC($settings, $weather));

        return Observation::of($settings, $weather, $weather->airC + ($own - $weather->airC) * exp(0.04 * $dice->normal()));
    }, range(0, 49));
    $curve = OwnCurve::of($equipment, $points);
    $held = 0;
    for ($c = 105.0; $c <= 240.0; $c += 5.0) {
        $band = $curve->ownC($mechanism->steadyC($mechanism->settingsFor($c, $weather), $weather), $weather);
        $real = $truth($mechanism->steadyC($mechanism->settingsFor($c, $weather), $weather));
        $held += $real >= $band->low && $real <= $band->high ? 1 : 0;
    }
    expect($held / 28.0)->toBeGreaterThanOrEqual(0.75);
})->with([['kettle', 0.35], ['kettle', -0.35], ['ceramic', 0.3], ['kettle', 0.0]]);
