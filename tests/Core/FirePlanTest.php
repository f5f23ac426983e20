<?php

declare(strict_types=1);

use Diatherm\Cooker\CookerFile;
use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\Observation;
use Diatherm\Cooker\OwnCooker;
use Diatherm\Cooker\Settings;
use Diatherm\Cooker\Weather;
use Diatherm\Day\Act;
use Diatherm\Day\Entry;
use Diatherm\Day\FireTasks;
use Diatherm\Day\Progress;
use Diatherm\Fire\HandTest;
use Diatherm\Fire\Pile;
use Diatherm\Measure\InvalidInput;
use Diatherm\Plan\FireExplanation;
use Diatherm\Plan\PlaceClash;
use Diatherm\Plan\Plan;
use Diatherm\Roast\FireWish;
use Diatherm\Roast\RoastFile;
use Diatherm\Tending\Banking;
use Diatherm\Tending\FireCautions;
use Diatherm\Tending\FireLayout;
use Diatherm\Tending\LaidFires;
use Diatherm\Tending\Rhythm;
use Tests\Support\Matrix;
use Tests\Support\Samples;

const DAWN = '2031-10-04T01:00:00+02:00';
const LAMB = [
    'cut' => 'lamb-whole',
    'mass_kg' => 16,
    'taste' => 'medium',
    'stages' => [['cooker' => 'open-spit', 'cooker_c' => 357, 'pull' => true]],
];
const SHOULDER = [
    'cut' => 'pork-shoulder',
    'mass_kg' => 3.5,
    'target_c' => 88,
    'taste' => null,
    'stages' => [['cooker' => 'kettle', 'cooker_c' => 135, 'pull' => true]],
];

/**
 * @param  list<Pile>  $piles
 * @return list<array<string, float>>
 */
function laidSo(array $piles): array
{
    return array_map(
        fn (Pile $pile): array => ['x_cm' => 100 * $pile->xM, 'y_cm' => 100 * $pile->yM, 'kg' => max(0.01, $pile->kg)],
        $piles,
    );
}

function planned(array $dish = [], array $roast = [], array $yard = []): Plan
{
    return Plan::of(Samples::roast($dish, $roast), new DateTimeImmutable(DAWN), [], $yard);
}

/** @return list<Entry> */
function fireEntries(Plan $plan): array
{
    return array_values(array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->id->what === 'fire'));
}

it('keeps a kettle within ten kelvin of its target for the whole cook', function (array $dish, float $target) {
    $fire = planned($dish, ['wind_ms' => 2])->fires[0]->plan;
    foreach ($fire->course as [$minutes, $celsius]) {
        if ($minutes > 8.0) {
            expect($celsius->likely)->toEqualWithDelta($target, 10.0)
                ->and($celsius->low)->toBeLessThan($celsius->likely)
                ->and($celsius->high)->toBeGreaterThan($celsius->likely);
        }
    }
    expect($fire->use->untilMinutes)->toBeGreaterThan(60.0);
})->with(['rack' => [[], 150.0], 'shoulder' => [SHOULDER, 135.0]]);

it('refuels as seldom as it can, each time in time to be grey', function () {
    $fire = planned(SHOULDER)->fires[0]->plan;
    expect(count($fire->run->refuels))->toBeGreaterThan(0)->toBeLessThan(5);
    $last = 0.0;
    foreach ($fire->run->refuels as $refuel) {
        expect($refuel->minutes - $refuel->lightMinutes)->toBe($fire->stove->fuel?->ashOverMinutes)
            ->and($refuel->minutes)->toBeGreaterThan($last + 40.0)
            ->and($refuel->kg)->toBeGreaterThan(0.0);
        $last = $refuel->minutes;
    }
    expect($fire->buyKg())->toBeGreaterThan(1.2 * $fire->usedKg());
});

it('burns what it says: laid and added is burnt and left', function (array $dish) {
    $fire = planned($dish)->fires[0]->plan;
    $left = array_column($fire->run->left, 1);
    $drops = 0.0;
    for ($i = 1; $i < count($left); $i++) {
        $drops += max(0.0, $left[$i - 1] - $left[$i]);
    }
    expect($fire->bedKg() - $fire->run->leftKg)->toBeGreaterThan(0.0)->and($fire->run->leftKg)->toBeGreaterThan(0.0)
        ->and($drops)->toBeLessThan($fire->bedKg());
})->with([[[]], [SHOULDER], [LAMB]]);

it('asks for more fuel for a longer cook, a colder day and more wind', function () {
    $kg = fn (array $dish, array $roast = []): float => planned($dish, $roast)->fires[0]->plan->usedKg();
    expect($kg(SHOULDER))->toBeGreaterThan($kg([]))
        ->and($kg([], ['air_c' => -5]))->toBeGreaterThan($kg([], ['air_c' => 20]))
        ->and($kg([], ['wind_ms' => 6]))->toBeGreaterThan($kg([], ['wind_ms' => 0]));
});

it('puts the fire into the run sheet by the clock', function () {
    $plan = planned(SHOULDER);
    $entries = array_values(array_filter(fireEntries($plan), fn (Entry $entry): bool => ! $entry->id->isOfFire('kettle', 'close')));
    $light = array_values(array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->act === Act::Light))[0];
    $bring = array_values(array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->act === Act::Preheat))[0];
    expect(said($light->title))->toMatch('/^Light \d+ briquettes for the kettle$/')
        ->and(said($light->detail))->toContain('chimney')->toContain('carbon monoxide')
        ->and(said($bring->detail))->toContain('Banked at one side')->toContain('mm')
        ->and(said($entries[0]->title))->toMatch('/^Light \d+ briquettes more$/')
        ->and(said($entries[1]->title))->toMatch('/^Add \d+ briquettes$/')
        ->and($entries[1]->at->getTimestamp() - $entries[0]->at->getTimestamp())->toBe(18 * 60);
});

it('takes the place of the chore to see to the fire', function () {
    $plan = planned(
        ['stages' => [['cooker' => 'kettle', 'cooker_c' => 150, 'pull' => true, 'chores' => [['do' => 'fuel', 'every_minutes' => 45], ['do' => 'baste', 'every_minutes' => 40]]]]],
    );
    $titles = array_map(said(...), array_column($plan->runSheet->entries, 'title'));
    expect($titles)->not->toContain('See to the fire: Rack of pork')->toContain('Baste: Rack of pork');
});

it('feeds a spit from a second fire', function () {
    $plan = planned(LAMB);
    $fire = $plan->fires[0]->plan;
    $entries = fireEntries($plan);
    $titles = implode('; ', array_map(said(...), array_column($entries, 'title')));
    expect(said($entries[0]->title))->toContain('Feed the second fire')
        ->and($titles)->toContain('Rake in')
        ->and($fire->usedKg())->toBeGreaterThan(4.0 * $fire->bedKg())
        // Common practice: a hand is held 5 to 8 s over the fire for a lamb.
        ->and($fire->handSeconds())->toBeGreaterThan(5.0)->toBeLessThan(8.0);
});

it('counts the coals of a camp oven, renews them and turns the pot', function () {
    $plan = planned(
        [
            'cut' => 'lamb-leg',
            'mass_kg' => 2.5,
            'taste' => 'medium',
            'stages' => [['cooker' => 'camp-oven', 'cooker_c' => 170, 'pull' => true]],
        ],
        ['air_c' => 20, 'wind_ms' => 0],
    );
    $fire = $plan->fires[0]->plan;
    $titles = array_map(said(...), array_column(fireEntries($plan), 'title'));
    expect($fire->count())->toBe(['over' => 12, 'under' => 12])
        ->and($titles)->toContain('Quarter turn of pot and lid');
    $turns = array_values(array_filter(fireEntries($plan), fn (Entry $entry): bool => $entry->id->isOfFire('camp-oven', 'quarter')));
    // Common practice: every 15 to 20 min; renewed at 45 to 60.
    expect(($turns[1]->at->getTimestamp() - $turns[0]->at->getTimestamp()) / 60)->toBeGreaterThanOrEqual(15)->toBeLessThanOrEqual(20)
        ->and($fire->run->refuels[0]->minutes + 10.0)->toBeGreaterThanOrEqual(45)->toBeLessThanOrEqual(62);
});

it('moves the vents when a later stage asks for more', function () {
    $plan = planned(
        [
            'cut' => 'beef-rib',
            'mass_kg' => 3.5,
            'taste' => 'medium_rare',
            'stages' => [
                ['cooker' => 'kettle', 'cooker_c' => 110, 'until_core_c' => 46],
                ['cooker' => 'kettle', 'cooker_c' => 220, 'pull' => true],
            ],
        ],
    );
    $fire = $plan->fires[0]->plan;
    expect($fire->steps)->toHaveCount(2)
        ->and($fire->steps[1]->settings->get('intake_mm'))->toBeGreaterThan($fire->steps[0]->settings->get('intake_mm'))
        ->and(array_map(said(...), array_column(fireEntries($plan), 'title')))->toContain('Kettle to 220 °C');
});

it('leaves alone what has no fire to tend', function () {
    $plan = planned(['stages' => [['cooker' => 'oven', 'cooker_c' => 160, 'pull' => true]]]);
    expect(fireEntries($plan))->toBe([])->and($plan->fires[0]->plan->stove->fuel)->toBeNull()->and($plan->fires[0]->plan->buyKg())->toBe(0.0);
});

it('counts gas and pellets too', function (string $cooker, float $least, float $most) {
    $fire = planned(['stages' => [['cooker' => $cooker, 'cooker_c' => 150, 'pull' => true]]])->fires[0]->plan;
    // Common practice: a grill takes some 0.3 to 0.7 kg of propane an hour, a pellet grill about 0.4 to 1 kg of pellets.
    expect($fire->feedKg() / ($fire->use->untilMinutes / 60.0))->toBeGreaterThan($least)->toBeLessThan($most);
})->with([['gas', 0.25, 0.8], ['pellet', 0.3, 1.1]]);

it('gathers the coals where the meat is thick, so that all parts are done together', function () {
    $plan = planned(LAMB);
    $banking = Banking::of($plan->fires[0]->plan, $plan->forecast(0));
    assert($banking !== null);
    $minutes = fn (string $of): array => array_map(fn ($part): float => $part->{$of}, $banking->parts);
    $apart = fn (array $minutes): float => max($minutes) - min($minutes);
    [$legs] = array_values(array_filter($banking->piles, fn ($pile): bool => $pile->xM < -0.4));
    $loin = array_values(array_filter($banking->piles, fn ($pile): bool => abs($pile->xM) < 0.2));
    expect($apart($minutes('bankedMinutes')))->toBeLessThan(0.1 * $apart($minutes('evenMinutes')))
        ->and($legs->kg)->toBeGreaterThan(2.0 * max(array_column($loin, 'kg')))
        ->and(max($minutes('bankedMinutes')))->toEqualWithDelta($banking->togetherMinutes, 0.03 * $banking->togetherMinutes)
        // The legs decide, and so they are what the forecast is of.
        ->and($banking->parts[0]->minutes)->toEqualWithDelta(
            $plan->forecast(0)->cookMinutes->likely,
            0.03 * $plan->forecast(0)->cookMinutes->likely,
        );
    // Its own piles, laid, do what it says.
    $laid = planned(LAMB, ['fires' => [['cooker' => 'open-spit', 'piles' => laidSo($banking->piles)]]]);
    expect(Banking::of($laid->fires[0]->plan, $laid->forecast(0))?->apartMinutes())->toBeLessThan(0.25 * $banking->apartMinutes())
        ->and($laid->fires[0]->plan->run->startKg)->toEqualWithDelta($banking->kg, 0.05 * count($banking->piles) + 0.01)
        ->and(said(FireTasks::lay($laid->fires[0]->plan)->detail))->toContain('picture')->not->toContain('Both sides');
});

it('burns what was laid by hand in the open, and is the sooner done for more of it', function () {
    $even = fn (float $kg): Plan => planned(
        LAMB,
        ['fires' => [['cooker' => 'open-spit', 'layout' => 'even', 'piles' => array_map(fn (int $x): array => ['x_cm' => $x, 'y_cm' => 0, 'kg' => $kg / 4], [-56, -19, 19, 56])]]],
    );
    [$little, $much] = [$even(5.0), $even(8.0)];
    expect($much->fires[0]->plan->run->startKg)->toEqualWithDelta(8.0, 1e-6)
        ->and($much->fires[0]->plan->handSeconds())->toBeLessThan($little->fires[0]->plan->handSeconds())
        ->and($much->forecast(0)->cookMinutes->likely)->toBeLessThan(0.85 * $little->forecast(0)->cookMinutes->likely)
        ->and($much->fires[0]->plan->steps[0]->reached)->toBeTrue();
    // All of it at one end leaves the other raw.
    $heaped = fn (int $x): array => ['cooker' => 'open-spit', 'layout' => 'even', 'piles' => [['x_cm' => $x, 'y_cm' => 0, 'kg' => 9]]];
    expect(
        planned(LAMB, ['fires' => [$heaped(-30)]])->forecast(0)->cookMinutes->likely,
    )->toBeGreaterThan($much->forecast(0)->cookMinutes->likely);
});

it('gives even ends to an even joint over a short bed', function () {
    $plan = planned(
        [
            'cut' => 'beef-fillet',
            'mass_kg' => 2.0,
            'taste' => 'medium_rare',
            'stages' => [['cooker' => 'open-grate', 'cooker_c' => 400, 'pull' => true]],
        ],
    );
    $banking = Banking::of($plan->fires[0]->plan, $plan->forecast(0));
    expect($banking?->parts[0]->bankedMinutes)->toEqualWithDelta($banking?->parts[2]->bankedMinutes ?? 0.0, 1.0)
        ->and($banking?->parts[0]->name)->toBe('Left end');
});

it('cooks slower over a fire that fades further', function () {
    $minutes = fn (array $fires): float => planned(LAMB, ['fires' => $fires])->forecast(0)->cookMinutes->likely;
    expect($minutes([['cooker' => 'open-spit', 'fuel' => 'hardwood', 'layout' => 'two_sides']]))->toEqualWithDelta($minutes([]), 0.5)
        ->and(
            LaidFires::fading(
                Samples::roast(LAMB, ['fires' => [['cooker' => 'open-spit', 'layout' => 'even']]])->fires['open-spit'],
                Equipment::of('open-spit'),
            ),
        )->toBeLessThan(1.0);
});

// Common practice: a quarter to a fifth of dry wood is left as coals; green wood is half water, and burns down slowly.
it('asks for more wood, and more time, of wood that is wetter', function () {
    $fire = function (array $water): array {
        $fire = planned(LAMB, ['fires' => [['cooker' => 'open-spit'] + $water]])->fires[0]->plan;

        return [$fire->buyKg(), -$fire->lightMinutes(), $fire->run->startKg];
    };
    [$dry, $usual, $green] = [$fire(['moisture_percent' => 10]), $fire([]), $fire(['moisture_percent' => 45])];
    expect($dry[0])->toBeLessThan($usual[0])->and($green[0] / $usual[0])->toEqualWithDelta(0.82 / 0.55, 0.1)
        ->and($dry[1])->toBeLessThanOrEqual($usual[1])->and($green[1])->toBeGreaterThan($usual[1] + 20.0)
        ->and($green[2])->toEqualWithDelta($usual[2], 1e-9);
});

// Common practice: food goes on once the cooker is hot; in the cold, and for a great heat, that takes longer.
it('has every cooker hot when its dish goes on', function (string $kind, float $celsius) {
    foreach ([25.0, 2.0] as $airC) {
        $fire = planned(
            [
                'cut' => 'chicken',
                'mass_kg' => 1.8,
                'taste' => 'done',
                'stages' => [['cooker' => $kind, 'cooker_c' => $celsius, 'pull' => true]],
            ],
            ['air_c' => $airC],
        )->fires[0]->plan;
        $at = array_values(array_filter($fire->course, fn (array $point): bool => $point[0] >= 0.0))[0][1]->likely;
        expect($at)->toBeGreaterThan(min($celsius, $fire->steps[0]->steadyC->likely) - 10.0)
            ->and($fire->use->preheatMinutes)->toBeGreaterThanOrEqual($fire->stove->equipment->kind->preheatMinutes);
    }
})->with([['kettle', 150], ['kettle', 220], ['ceramic', 110], ['ceramic', 260], ['gas', 165], ['gas', 220], ['grill-rotisserie', 195], ['pellet', 120], ['pellet', 230], ['griddle', 220], ['lidded-roaster', 121], ['oven', 163], ['oven', 230]]);

it('brings a cooker to its next heat while the meat rests off it, with the coals that its walls ask for', function () {
    $plan = planned(
        [
            'cut' => 'beef-rib',
            'mass_kg' => 3.2,
            'taste' => 'medium_rare',
            'stages' => [
                ['cooker' => 'ceramic', 'cooker_c' => 110, 'until_core_c' => 48],
                ['cooker' => 'rest', 'minutes' => 30],
                ['cooker' => 'ceramic', 'cooker_c' => 250, 'minutes' => 8],
            ],
        ],
    );
    $fire = $plan->fires[0]->plan;
    [, $off, $back] = $plan->forecast(0)->stageStartMinutes;
    $at = fn (float $minutes): float => array_values(
        array_filter($fire->course, fn (array $point): bool => $point[0] >= $minutes),
    )[0][1]->likely;
    expect($fire->steps[1]->fromMinutes)->toEqualWithDelta($off, 0.5)
        ->and($at($off - 5.0))->toBeLessThan(120.0)
        ->and($at($back))->toBeGreaterThan(225.0);
});

it('puts smoke wood on early, by the piece', function () {
    $plan = planned(SHOULDER, ['fires' => [['cooker' => 'kettle', 'smoke' => true]]]);
    $fire = $plan->fires[0]->plan;
    expect($fire->smokeKg())->toBeGreaterThan(0.1)->toBeLessThan(0.4)
        ->and(said($fire->smokeWords()))->toMatch('/^[2-5] chunks, or \d+ handfuls of chips$/')
        ->and(planned(['stages' => [['cooker' => 'oven', 'cooker_c' => 160]]])->fires[0]->plan->smokeWords())->toBeNull()
        // None that nobody asked for, and a line for each time.
        ->and(planned(SHOULDER)->fires[0]->plan->smokeKg())->toBe(0.0)
        ->and(array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->id->isOfFire('kettle', 'smoke')))->toHaveCount(3);
});

it('follows the cook’s own cooker', function () {
    $equipment = Equipment::of('kettle');
    $weather = Weather::of(12.0);
    $cold = array_map(
        fn (float $mm): Observation => Observation::of(
            Settings::of(['intake_mm' => $mm, 'exhaust_mm' => $mm]),
            $weather,
            12.0 + 0.8 * ($equipment->mechanism()->steadyC(Settings::of(['intake_mm' => $mm, 'exhaust_mm' => $mm]), $weather) - 12.0),
        ),
        [4.0, 6.0, 8.0, 10.0],
    );
    $yard = ['Weir kettle' => new OwnCooker('Weir kettle', $equipment, $cold)];
    $wish = ['fires' => [['cooker' => 'kettle', 'own' => 'Weir kettle']]];
    $own = planned([], $wish, $yard)->fires[0]->plan;
    $usual = planned()->fires[0]->plan;
    expect($own->stove->name)->toBe('Weir kettle')
        ->and($own->steps[0]->settings->get('intake_mm'))->toBeGreaterThan($usual->steps[0]->settings->get('intake_mm') + 0.4)
        // A cooker that is not in the yard is no reason to refuse: its kind answers.
        ->and(planned([], $wish)->fires[0]->plan->steps[0]->settings->values)->toBe($usual->steps[0]->settings->values);
});

it('says at the field what is wrong with a fire', function (array $fire, string $path, string $words) {
    try {
        Samples::roast([], ['fires' => [$fire]]);
        $this->fail('It was taken.');
    } catch (InvalidInput $wrong) {
        expect($wrong->messages)->toHaveKey($path)->and(said($wrong->messages[$path][0]))->toContain($words);
    }
})->with([
    'no such cooker' => [['cooker' => 'volcano'], 'fires.0.cooker', 'A fire belongs to'],
    'no cooker' => [['fuel' => 'lump'], 'fires.0.cooker', 'Give the cooker'],
    'fuel of another' => [['cooker' => 'gas', 'fuel' => 'lump'], 'fires.0.fuel', 'propane'],
    'layout of another' => [['cooker' => 'kettle', 'layout' => 'ends'], 'fires.0.layout', 'one_side'],
    'no layout at all' => [['cooker' => 'oven', 'layout' => 'ends'], 'fires.0.layout', 'cannot be laid'],
    'a pile of text' => [
        ['cooker' => 'kettle', 'piles' => [['x_cm' => 'left', 'y_cm' => 0, 'kg' => 1]]],
        'fires.0.piles.0.x_cm',
        'must be a number',
    ],
    'a pile too far' => [
        ['cooker' => 'kettle', 'piles' => [['x_cm' => 900, 'y_cm' => 0, 'kg' => 1]]],
        'fires.0.piles.0.x_cm',
        'between −300 cm and 300 cm',
    ],
    'less than nothing' => [
        ['cooker' => 'kettle', 'piles' => [['x_cm' => 0, 'y_cm' => 0, 'kg' => -1]]],
        'fires.0.piles.0.kg',
        'between 0 kg and 60 kg',
    ],
    'no coals in any' => [
        ['cooker' => 'kettle', 'piles' => [['x_cm' => 0, 'y_cm' => 0, 'kg' => 0]]],
        'fires.0.piles',
        'There must be coals',
    ],
    'more than a floor holds' => [
        ['cooker' => 'open-spit', 'piles' => [['x_cm' => -20, 'y_cm' => 0, 'kg' => 50], ['x_cm' => 20, 'y_cm' => 0, 'kg' => 50]]],
        'fires.0.piles',
        'at most 60 kg',
    ],
    'water in charcoal' => [['cooker' => 'open-spit', 'fuel' => 'lump', 'moisture_percent' => 20], 'fires.0.moisture_percent', 'Only wood'],
    'water in no fuel' => [['cooker' => 'oven', 'moisture_percent' => 20], 'fires.0.moisture_percent', 'Only wood'],
    'a wet log' => [['cooker' => 'open-spit', 'moisture_percent' => 80], 'fires.0.moisture_percent', 'between 0 % and 60 %'],
    'what nobody knows' => [['cooker' => 'kettle', 'brand' => 'x'], 'fires.0.brand', 'not known here'],
]);

it('takes one fire a cooker, and weather within the weather there is', function () {
    $messages = function (array $roast): array {
        try {
            Samples::roast([], $roast);
        } catch (InvalidInput $wrong) {
            return array_keys($wrong->messages);
        }

        return [];
    };
    expect($messages(['fires' => [['cooker' => 'kettle'], ['cooker' => 'kettle']]]))->toBe(['fires.1.cooker'])
        ->and($messages(['wind_ms' => 60]))->toBe(['wind_ms'])
        ->and($messages(['rain' => 'yes']))->toBe(['rain'])
        ->and($messages(['altitude_m' => -3]))->toBe(['altitude_m']);
});

it('writes what it read of fires and weather', function () {
    $roast = Samples::roast(
        [],
        [
            'wind_ms' => 3.5,
            'rain' => true,
            'altitude_m' => 400,
            'fires' => [
                [
                    'cooker' => 'kettle', 'own' => 'Weir kettle', 'fuel' => 'lump', 'layout' => 'two_sides',
                    'piles' => [['x_cm' => -12.5, 'y_cm' => 4, 'kg' => 0.6]],
                ],
                ['cooker' => 'open-spit', 'steady' => true, 'moisture_percent' => 31.5],
            ],
        ],
    );
    $again = RoastFile::read(RoastFile::write($roast));
    expect($again->fires)->toEqual($roast->fires)->and([$again->windMs, $again->rain, $again->altitudeM])->toBe([3.5, true, 400.0]);
});

it('reads and writes a cooker with its log, without loss', function () {
    $file = ['format' => 'diatherm.cooker', 'version' => 1, 'name' => 'Weir kettle', 'kind' => 'kettle', 'facts' => ['diameter_cm' => 47], 'observations' => [
        [
            'at' => '2031-06-01T17:00:00+02:00', 'settings' => ['intake_mm' => 5, 'exhaust_mm' => 5], 'air_c' => 18,
            'wind_ms' => 1, 'celsius' => 122,
        ],
        ['settings' => ['intake_mm' => 20, 'exhaust_mm' => 20], 'air_c' => 18, 'celsius' => 90, 'phase' => 'warming', 'minutes' => 6],
    ]];
    $cooker = CookerFile::read($file);
    expect($cooker->observations)->toHaveCount(2)
        ->and($cooker->equipment->facts['diameter_cm'])->toBe(47.0)
        ->and(CookerFile::write(CookerFile::read(CookerFile::write($cooker))))->toBe(CookerFile::write($cooker));
});

it('says at the field what is wrong with a cooker', function (array $file, string $path) {
    try {
        CookerFile::read($file + ['name' => 'Kettle', 'kind' => 'kettle']);
        $this->fail('It was taken.');
    } catch (InvalidInput $wrong) {
        expect($wrong->messages)->toHaveKey($path);
    }
})->with([
    'no name' => [['name' => ''], 'name'],
    'a long name' => [['name' => str_repeat('x', 81)], 'name'],
    'no such kind' => [['kind' => 'rest'], 'kind'],
    'another format' => [['format' => 'text'], 'format'],
    'a size in metres' => [['facts' => ['diameter_cm' => 0.57]], 'facts.diameter_cm'],
    'text' => [['facts' => ['diameter_cm' => 'big']], 'facts.diameter_cm'],
    'half a burner' => [['kind' => 'gas', 'facts' => ['burners' => 2.5]], 'facts.burners'],
    'meat beside the burners' => [['kind' => 'gas', 'facts' => ['burners' => 2, 'meat_over' => 3]], 'facts.meat_over'],
    'a fact of another kind' => [['facts' => ['burners' => 3]], 'facts.burners'],
    'not set' => [['observations' => [['celsius' => 120]]], 'observations.0.settings'],
    'set beyond its slot' => [
        ['observations' => [['settings' => ['intake_mm' => 900], 'celsius' => 120]]],
        'observations.0.settings.intake_mm',
    ],
    'not a number' => [['observations' => [['settings' => ['intake_mm' => 5], 'celsius' => 'hot']]], 'observations.0.celsius'],
    'hotter than any' => [['observations' => [['settings' => ['intake_mm' => 5], 'celsius' => 1e9]]], 'observations.0.celsius'],
    'warming since never' => [
        ['observations' => [['settings' => ['intake_mm' => 5], 'celsius' => 80, 'phase' => 'warming']]],
        'observations.0.minutes',
    ],
    'no such phase' => [
        ['observations' => [['settings' => ['intake_mm' => 5], 'celsius' => 80, 'phase' => 'simmering']]],
        'observations.0.phase',
    ],
]);

it('refuses a cooker file that is too large or no JSON', function () {
    expect(fn () => CookerFile::readJson('{'))->toRefuse('not JSON')
        ->and(fn () => CookerFile::readJson(str_repeat(' ', CookerFile::MOST_BYTES + 1)))->toRefuse('too large');
});

it('knows the hand over its open fires', function () {
    $fire = planned(
        [
            'cut' => 'beef-steak',
            'mass_kg' => 0.6,
            'taste' => 'medium',
            'stages' => [['cooker' => 'open-grate', 'cooker_c' => round(HandTest::wallC(4.0)), 'pull' => true]],
        ],
    )->fires[0]->plan;
    expect($fire->handSeconds())->toEqualWithDelta(4.0, 0.5)->and(planned()->fires[0]->plan->handSeconds())->toBeNull();
});

// Common practice: with the pot beside a big fire, coals on the lid alone can be enough.
it('puts coals on the lid alone beside a fire, and finds its way back', function () {
    $plan = planned(
        [
            'cut' => 'lamb-leg',
            'mass_kg' => 2.5,
            'taste' => 'medium',
            'stages' => [['cooker' => 'camp-oven', 'cooker_c' => 170, 'pull' => true]],
        ],
        ['air_c' => 20, 'wind_ms' => 0, 'fires' => [['cooker' => 'camp-oven', 'layout' => 'beside']]],
    );
    $fire = $plan->fires[0]->plan;
    expect($fire->count())->toBe(['over' => 12, 'under' => 0])
        ->and($fire->steps[0]->steadyC->likely)->toEqualWithDelta(170.0, 7.0)
        ->and(said($fire->stove->curve->mechanism->inWords($fire->steps[0]->settings)))->toContain('the fire at its side');
    foreach ($fire->course as [$minutes, $celsius]) {
        if ($minutes > 20.0 && $minutes < 90.0) {
            expect($celsius->likely)->toBeGreaterThan(130.0)->toBeLessThan(205.0);
        }
    }
});

it('lays a camp oven with every fuel and by every method, to the same heat and the same hour', function (string $fuel, string $layout) {
    $lamb = [
        'cut' => 'lamb-leg',
        'mass_kg' => 2.5,
        'taste' => 'medium',
        'stages' => [['cooker' => 'camp-oven', 'cooker_c' => 170, 'pull' => true]],
    ];
    $of = fn (string $fuel): Plan => planned(
        $lamb,
        ['air_c' => 12, 'wind_ms' => 3, 'fires' => [['cooker' => 'camp-oven', 'layout' => $layout, 'fuel' => $fuel]]],
    );
    [$usual, $plan] = [$of('briquettes'), $of($fuel)];
    $fire = $plan->fires[0]->plan;
    expect($fire->count())->toBe($usual->fires[0]->plan->count())
        ->and($plan->forecast(0)->cookMinutes)->toEqual($usual->forecast(0)->cookMinutes)
        ->and($fire->steps[0]->steadyC)->toEqual($usual->fires[0]->plan->steps[0]->steadyC)
        ->and(count($fire->run->refuels))->toBeGreaterThanOrEqual(count($usual->fires[0]->plan->run->refuels))
        ->and($fire->buyKg())->toBeGreaterThan($fire->usedKg());
    $words = implode(' | ', array_map(fn (Entry $entry): string => said($entry->title).': '.said($entry->detail), fireEntries($plan)));
    expect($words)->not->toContain('0 kg of wood')->not->toContain('0 coals')
        ->and(
            str_contains(said($fire->stove->curve->mechanism->inWords($fire->steps[0]->settings)), 'shovel'),
        )->toBe(in_array($fuel, ['lump', 'hardwood'], true));
})->with(['briquettes', 'quick-light', 'lump', 'hardwood'])->with(['roast', 'bake', 'simmer', 'beside']);

it('counts with what a cooker comes to, and never with what it was asked for', function (string $cooker, float $asked) {
    $chicken = fn (float $celsius): array => [
        'cut' => 'chicken',
        'mass_kg' => 1.8,
        'taste' => null,
        'target_c' => 76,
        'coast' => false,
        'stages' => [['cooker' => $cooker, 'cooker_c' => $celsius, 'pull' => true]],
    ];
    $storm = ['air_c' => -12, 'wind_ms' => 11];
    $plan = planned($chicken($asked), $storm);
    $stage = $plan->forecast(0)->dish->stages[0];
    expect($plan->fires[0]->plan->steps[0]->reached)->toBe(abs($stage->steadyC() - $asked) < 4.5)
        ->and($stage->steadyC())->toEqualWithDelta($plan->fires[0]->plan->steps[0]->steadyC->likely, 4.5);
    if (! $plan->fires[0]->plan->steps[0]->reached && $stage->steadyC() > 110.0) {
        $honest = planned($chicken(round($stage->steadyC())), $storm)->forecast(0)->cookMinutes->likely;
        expect($plan->forecast(0)->cookMinutes->likely)->toEqualWithDelta($honest, 0.01 * $honest)
            ->and(array_column(FireCautions::of($plan->fires[0]->plan), 'id'))->toContain('out_of_reach');
    }
})->with([['gas', 280.0], ['gas', 160.0], ['grill-rotisserie', 280.0], ['kettle', 250.0], ['kettle', 120.0], ['ceramic', 300.0], ['pellet', 250.0], ['lidded-roaster', 230.0], ['oven', 260.0], ['griddle', 250.0], ['camp-oven', 230.0]]);

it('plans with what was learnt of a cooker of one’s own: its heat, and a narrower band', function () {
    $chicken = [
        'cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => null, 'target_c' => 76, 'coast' => false,
        'stages' => [['cooker' => 'countertop-rotisserie', 'pull' => true]],
    ];
    $equipment = Equipment::of('countertop-rotisserie');
    $mine = fn (int $count, float $celsius): Plan => planned(
        $chicken,
        ['air_c' => 20, 'fires' => [['cooker' => 'countertop-rotisserie', 'own' => 'Mine']]],
        yard: [
            'Mine' => new OwnCooker(
                'Mine',
                $equipment,
                array_map(fn (): Observation => Observation::of(Settings::of([]), Weather::of(20.0), $celsius), array_fill(0, $count, 0)),
            ),
        ],
    );
    $fixedC = $equipment->kind->defaultC;
    [$unread, $cool, $true] = [$mine(0, $fixedC), $mine(12, $fixedC - 25.0), $mine(12, $fixedC)];
    $width = fn (Plan $plan): float => $plan->forecast(0)->cookMinutes->width() / $plan->forecast(0)->cookMinutes->likely;
    expect($cool->forecast(0)->cookMinutes->likely)->toBeGreaterThan(1.08 * $unread->forecast(0)->cookMinutes->likely)
        ->and($true->forecast(0)->cookMinutes->likely)->toEqualWithDelta($unread->forecast(0)->cookMinutes->likely, 0.1)
        ->and($width($true))->toBeLessThan($width($unread));
});

// Worked by hand: a bed of lump is gone after 140 min, so 30 min after it was made up it gives (1 − 30/140)² = 0.617 of its coals' heat.
it('holds what a hand tells between two refuels against what the fire should be by then', function (string $kind) {
    $weather = Weather::of(15.0);
    $rhythm = Rhythm::of(new FireWish($kind, fuel: 'lump'), Equipment::of($kind), $weather);
    expect($rhythm)->not->toBeNull();
    assert($rhythm !== null);
    $around = HandTest::fluxOfWallWm2(15.0);
    $faded = HandTest::wallOfFluxC($around + 0.6173 * (HandTest::fluxWm2(6.0) - $around));
    expect($rhythm->freshC($faded, 30.0))->toEqualWithDelta(HandTest::wallC(6.0), 0.1)
        ->and($rhythm->freshC($faded, 0.0))->toEqualWithDelta($faded, 1e-6)
        // One that is due is taken to be made up as planned: 140·(1 − √0.5) = 41 min, unless it is fed otherwise.
        ->and($rhythm->freshC($faded, 2000.0))->toBeLessThan(HandTest::wallC(6.0) + 40.0)
        // A bed that a hand does not feel was not there when it was fresh either.
        ->and($rhythm->freshC(10.0, 30.0))->toEqualWithDelta(15.0, 0.01);
})->with(['open-spit', 'open-grate']);

it('has no rhythm where a lid or a knob holds the heat', function (string $kind) {
    expect(Rhythm::of(new FireWish($kind), Equipment::of($kind), Weather::of(15.0)))->toBeNull();
})->with(['kettle', 'gas', 'oven', 'camp-oven', 'pellet', 'griddle']);

it('says when to close the slots in, until the dish is on', function () {
    $close = fn (Plan $plan): array => array_values(
        array_filter(fireEntries($plan), fn (Entry $entry): bool => $entry->id->isOfFire('kettle', 'close')),
    );
    $plan = planned();
    [$entry] = $close($plan);
    expect($entry->at->getTimestamp())->toBeLessThan($plan->fires[0]->plan->use->startsAt->getTimestamp())
        ->and(said($entry->title))->toContain('slots')
        ->and(said($entry->detail))->toContain(sprintf('%.0f °C', $plan->fires[0]->plan->closeInC()))
        // Common practice: some 10 to 40 K short of the target, for the coals bring the rest.
        ->and(
            $plan->fires[0]->plan->steps[0]->targetC - (float) $plan->fires[0]->plan->closeInC(),
        )->toBeGreaterThan(10.0)->toBeLessThan(40.5);
    $on = new DateTimeImmutable('2031-10-04T16:00:00+02:00');
    expect($close($plan->followedBy([new Progress($on)], $on->modify('+10 minutes'))))->toBe([]);
});

it('forgets a refuel that was overtaken by the next', function () {
    $plan = planned(SHOULDER);
    $on = new DateTimeImmutable('2031-10-04T09:00:00+02:00');
    $ids = fn (float $minutes): array => array_keys(
        entriesById($plan->followedBy([new Progress($on)], $on->modify(sprintf('+%.0f minutes', $minutes)))),
    );
    [$first, $second] = $plan->fires[0]->plan->run->refuels;
    expect($ids($first->minutes + 20.0))->toContain('fire.kettle.refuel.0')->not->toContain('fire.kettle.ready.0')
        ->and($ids($second->minutes + 20.0))->not->toContain('fire.kettle.refuel.0')->toContain('fire.kettle.refuel.1');
});

it('keeps an open fire steadier when it is fed little and often, and has the meat done sooner', function () {
    $low = planned(LAMB);
    $steady = planned(LAMB, ['fires' => [['cooker' => 'open-spit', 'steady' => true]]]);
    $least = fn (Plan $plan): float => min(
        array_map(
            fn (array $point): float => $point[0] > 5.0 && $point[0] < 300.0 ? $point[1]->likely : INF,
            $plan->fires[0]->plan->course,
        ),
    );
    expect($least($steady))->toBeGreaterThan($least($low) + 20.0)
        ->and(count($steady->fires[0]->plan->run->refuels))->toBeGreaterThan(count($low->fires[0]->plan->run->refuels))
        ->and($steady->forecast(0)->cookMinutes->likely)->toBeLessThan(0.95 * $low->forecast(0)->cookMinutes->likely)
        ->and(
            LaidFires::fading(
                Samples::roast(LAMB, ['fires' => [['cooker' => 'open-spit', 'steady' => true]]])->fires['open-spit'],
                Equipment::of('open-spit'),
            ),
        )->toBeGreaterThan(1.08);
});

it('says each danger of a fire once, and what is out of reach', function () {
    $ids = fn (array $dish, array $roast = []): array => array_column(FireCautions::of(planned($dish, $roast)->fires[0]->plan), 'id');
    expect($ids([]))->toBe(['carbon_monoxide'])
        ->and($ids([], ['fires' => [['cooker' => 'kettle', 'fuel' => 'quick-light']]]))->toBe(['carbon_monoxide', 'solvent'])
        ->and($ids(LAMB))->toBe(['carbon_monoxide', 'wood', 'flare'])
        ->and($ids(['stages' => [['cooker' => 'camp-oven', 'cooker_c' => 170]]]))->toBe(['carbon_monoxide', 'steam'])
        ->and($ids(['stages' => [['cooker' => 'gas', 'cooker_c' => 160]]]))->toBe(['gas'])
        ->and(
            $ids(['stages' => [['cooker' => 'gas', 'cooker_c' => 290]]], ['wind_ms' => 12, 'air_c' => -10]),
        )->toBe(['gas', 'out_of_reach'])
        ->and($ids(['stages' => [['cooker' => 'oven', 'cooker_c' => 160]]]))->toBe(['electric']);
});

it('lays the meat away from coals at one side, and over its own burner', function () {
    $plan = planned();
    $meat = (new FireLayout($plan->fires[0]->plan))->meat($plan->forecast(0));
    expect($meat['y'])->toBeLessThan(-0.05)
        ->and(array_sum(array_map(fn ($pile): float => $pile->yM, $plan->fires[0]->plan->piles)))->toBeGreaterThan(0.0);
    $gas = planned(['stages' => [['cooker' => 'gas', 'cooker_c' => 160]]]);
    expect((new FireLayout($gas->fires[0]->plan))->meat($gas->forecast(0))['x'])->toEqualWithDelta(0.0, 1e-9)
        ->and((new FireLayout($gas->fires[0]->plan))->floor()?->downWm2(0.0, 0.0, 0.14))->toBeLessThan(
            (new FireLayout($gas->fires[0]->plan))->floor()?->downWm2(-0.23, 0.0, 0.14),
        );
    // Over the first of three burners: a third of the grate to the left of the middle.
    $equipment = Equipment::of('gas', ['burners' => 3, 'meat_over' => 1]);
    $left = planned(
        ['stages' => [['cooker' => 'gas', 'cooker_c' => 160]]],
        ['fires' => [['cooker' => 'gas', 'own' => 'Wide gas']]],
        ['Wide gas' => new OwnCooker('Wide gas', $equipment, [])],
    );
    expect((new FireLayout($left->fires[0]->plan))->meat($left->forecast(0))['x'])
        ->toEqualWithDelta(-($equipment->floor()['length'] ?? 0.0) / 3, 1e-9);
});

it('explains every figure of a fire', function (array $dish, array $of) {
    $plan = planned($dish);
    $workings = array_column(
        FireExplanation::of($plan->fires[0]->plan, Banking::of($plan->fires[0]->plan, $plan->forecast(0))),
        null,
        'of',
    );
    expect(array_keys($workings))->toBe($of);
    foreach ($workings as $working) {
        expect(said($working->rule))->not->toBe('');
    }
})->with([
    'kettle' => [[], ['fire.settings', 'fire.course', 'fire.start', 'fire.refuels', 'fire.buy', 'fire.flux', 'fire.close']],
    'gas' => [['stages' => [['cooker' => 'gas', 'cooker_c' => 160]]], ['fire.settings', 'fire.course', 'fire.buy', 'fire.flux']],
    'spit' => [
        LAMB,
        ['fire.settings', 'fire.course', 'fire.start', 'fire.refuels', 'fire.buy', 'fire.hand', 'fire.flux', 'fire.turn', 'fire.banking'],
    ],
    'camp oven' => [
        ['stages' => [['cooker' => 'camp-oven', 'cooker_c' => 170]]],
        ['fire.settings', 'fire.course', 'fire.start', 'fire.refuels', 'fire.buy', 'fire.count'],
    ],
    'oven' => [['stages' => [['cooker' => 'oven', 'cooker_c' => 160]]], ['fire.settings', 'fire.course']],
]);

it('tells one fire for two dishes on one cooker, from the first on to the last off', function () {
    $two = Samples::file();
    $two['dishes'][] = [
        'cut' => 'potatoes', 'mass_kg' => 0.2, 'pieces' => 10, 'start_c' => 15,
        'stages' => [['cooker' => 'kettle', 'cooker_c' => 190]],
    ];
    $plan = Plan::of(RoastFile::read($two), new DateTimeImmutable(DAWN));
    expect($plan->fires)->toHaveCount(1)
        ->and($plan->fires[0]->plan->use->dishes)->toBe([0, 1])
        ->and($plan->fires[0]->plan->steps)->toHaveCount(2)
        ->and($plan->fires[0]->plan->steps[1]->targetC)->toBe(190.0);
});

it('lights what a later stage comes to in time', function () {
    $plan = planned(
        [
            'cut' => 'beef-sirloin',
            'mass_kg' => 1.6,
            'taste' => 'medium_rare',
            'stages' => [
                ['cooker' => 'pellet', 'cooker_c' => 110, 'until_core_c' => 47],
                ['cooker' => 'open-grate', 'cooker_c' => 480, 'minutes' => 5],
            ],
        ],
    );
    $at = array_map(fn (Entry $entry): int => $entry->at->getTimestamp(), entriesById($plan));
    expect($at['fire.open-grate.light'])->toBeLessThan($at['fire.open-grate.lay'])
        ->and($at['fire.open-grate.lay'])->toBeLessThan($at['d0.stage.1'])
        ->and($at['d0.stage.1'] - $at['fire.open-grate.light'])->toBe(25 * 60);
});

it('has the meat done sooner for coals moved under its thick end, and later for coals moved away', function () {
    $minutes = fn (array $piles): float => planned(
        LAMB,
        ['fires' => [['cooker' => 'open-spit', 'layout' => 'even', 'piles' => $piles]]],
    )->forecast(0)->cookMinutes->likely;
    $even = planned(LAMB, ['fires' => [['cooker' => 'open-spit', 'layout' => 'even']]])->forecast(0)->cookMinutes->likely;
    expect($minutes([['x_cm' => -40, 'y_cm' => 0, 'kg' => 3], ['x_cm' => 40, 'y_cm' => 0, 'kg' => 2]]))->toBeLessThan($even - 20.0)
        ->and(
            $minutes([['x_cm' => -15, 'y_cm' => 22, 'kg' => 3], ['x_cm' => 30, 'y_cm' => -22, 'kg' => 2]]),
        )->toBeGreaterThan($even + 15.0);
    expect(fn () => $minutes([['x_cm' => 70, 'y_cm' => 25, 'kg' => 3]]))->toRefuse('As its fire is laid');
});

it('draws as many pieces as there are', function () {
    $block = planned(
        [
            'cut' => 'potatoes', 'mass_kg' => 0.2, 'pieces' => 9, 'start_c' => 15, 'taste' => 'soft',
            'stages' => [['cooker' => 'kettle', 'cooker_c' => 190]],
        ],
    );
    $one = planned(
        [
            'cut' => 'potatoes', 'mass_kg' => 0.2, 'pieces' => 1, 'start_c' => 15, 'taste' => 'soft',
            'stages' => [['cooker' => 'kettle', 'cooker_c' => 190]],
        ],
    );
    $size = fn (Plan $plan): array => (new FireLayout($plan->fires[0]->plan))->meat($plan->forecast(0));
    expect($size($block)['length'])->toEqualWithDelta(3 * $size($one)['length'], 1e-9)
        ->and($size($block)['width'])->toEqualWithDelta(3 * $size($one)['width'], 1e-9);
});

it('buys for a sear what is laid on the coals that it takes over, and nothing where they do', function (int $celsius, int $searC, bool $buys) {
    $plan = planned(['cut' => 'beef-tri-tip', 'mass_kg' => 1.1, 'taste' => 'medium_rare', 'stages' => [
        ['cooker' => 'kettle', 'cooker_c' => $celsius, 'until_core_c' => 44], ['cooker' => 'rest', 'minutes' => 8], ['cooker' => 'open-grate', 'cooker_c' => $searC, 'minutes' => 3],
    ]]);
    $sear = array_values(array_filter($plan->fires, fn ($fire): bool => $fire->plan->stove->equipment->kind->id === 'open-grate'))[0]->plan;
    $bought = array_filter($plan->shopping, fn ($one): bool => $one->aisle === 'fuel' && str_contains(said($one->what), 'Open grate'));
    expect($sear->lent->from)->toBe('kettle')->and($sear->lent->topUpKg > 0.0)->toBe($buys)
        ->and($sear->buyKg())->toEqualWithDelta($sear->stove->fuel?->boughtKg($sear->lent->topUpKg), 1e-9)->and($bought)->toHaveCount($buys ? 1 : 0);
})->with([[110, 540, true], [110, 450, false], [230, 330, false]]);

// One grill, used two ways: nobody lights it twice.
it('takes over the same cooker as it stands, laid or set another way', function (string $from, int $fromC, string $to, int $toC, float $rest) {
    $dish = fn (string $second): array => ['cut' => 'beef-rib', 'mass_kg' => 2.5, 'taste' => 'medium', 'stages' => [
        ['cooker' => $from, 'cooker_c' => $fromC, 'until_core_c' => 35], ...($rest > 0.0 ? [['cooker' => 'rest', 'minutes' => $rest]] : []),
        ['cooker' => $second, 'cooker_c' => $toC, 'pull' => true],
    ]];
    $plan = planned($dish($to));
    $sheet = entriesById($plan);
    [$first, $second] = [$plan->fires[0]->plan, $plan->fires[1]->plan];
    $turned = $sheet["fire.$to.turn"];
    $moves = $sheet['d0.stage.'.($rest > 0.0 ? 2 : 1)];
    expect($second->lent->isSame)->toBeTrue()->and($second->lent->from)->toBe($first->stove->equipment->kind->short)
        ->and(isset($sheet["fire.$to.light"]))->toBe($second->lent->topUpKg > 0.0)
        // Not while the meat is still on it for the heat before, but for the minutes that it takes to turn or rake; in time for the next.
        ->and($turned->at >= $sheet['d0.stage.1']->at->modify('-4 minutes'))->toBeTrue()->and($turned->at <= $moves->at)->toBeTrue()
        ->and($turned->clash)->toBeNull()
        ->and(said($turned->detail))->not->toContain('All burners full')
        // It begins where it stood.
        ->and($second->course[0][1]->likely)->toEqualWithDelta($fromC, 25.0);
    $when = fn (float $minutes): float => array_reduce($second->course, fn (float $c, array $at): float => $at[0] <= $minutes ? $at[1]->likely : $c, 0.0);
    if ($rest >= 40.0) {
        expect($when(1.0))->toEqualWithDelta(min($toC, $second->steps[0]->steadyC->likely), 12.0);
    }
    if ($second->stove->fuel !== null) {
        $alone = planned(['cut' => 'beef-rib', 'mass_kg' => 2.5, 'taste' => 'medium', 'stages' => [['cooker' => 'oven', 'cooker_c' => $fromC, 'until_core_c' => 35], ['cooker' => $to, 'cooker_c' => $toC, 'pull' => true]]])->fires[1]->plan;
        expect($second->buyKg())->toBeLessThan($alone->buyKg());
    }
})->with([
    ['gas', 120, 'gas-direct', 250, 0.0], ['gas', 120, 'gas-direct', 250, 40.0], ['gas-direct', 250, 'gas', 150, 0.0], ['kettle', 120, 'kettle-direct', 250, 45.0],
    ['kettle-direct', 220, 'kettle', 150, 0.0], ['oven', 140, 'oven-grill', 220, 0.0], ['oven', 140, 'oven-grill', 220, 40.0], ['pellet', 120, 'griddle', 220, 45.0], ['grill-rotisserie', 180, 'gas', 220, 0.0],
]);

it('lights another fire where the first is wanted for something else, or is not that one', function () {
    $dish = ['cut' => 'beef-rib', 'mass_kg' => 2.5, 'taste' => 'medium', 'stages' => [['cooker' => 'gas', 'cooker_c' => 130, 'until_core_c' => 40], ['cooker' => 'gas-direct', 'cooker_c' => 250, 'pull' => true]]];
    $long = ['cut' => 'potatoes', 'mass_kg' => 0.2, 'pieces' => 8, 'start_c' => 15, 'taste' => 'soft', 'stages' => [['cooker' => 'gas', 'cooker_c' => 130, 'pull' => true]]];
    $file = Samples::file($dish);
    $kept = Plan::of(RoastFile::read(['dishes' => [$file['dishes'][0], ['course' => 3] + $long]] + $file), new DateTimeImmutable(DAWN));
    $direct = fn (Plan $plan) => array_values(array_filter($plan->fires, fn ($fire): bool => $fire->plan->stove->equipment->kind->id === 'gas-direct'))[0]->plan;
    expect($direct($kept)->lent->from)->toBeNull()->and($direct(planned($dish))->lent->isSame)->toBeTrue();
    $other = planned(['stages' => [['cooker' => 'pellet', 'cooker_c' => 130, 'until_core_c' => 40], ['cooker' => 'gas-direct', 'cooker_c' => 250, 'pull' => true]]]);
    expect($direct($other)->lent->from)->toBeNull()->and(entriesById($other))->toHaveKey('fire.gas-direct.light');
});

// Two dishes, one cooker used two ways: told that they meet on it, or taken over as it stands, or an hour and more apart; never lit twice unsaid.
it('lights one cooker once for two dishes, or says that both want it at once', function (string $one, int $oneC, string $other, int $otherC) {
    $meets = ['told' => 0, 'taken over' => 0, 'lit anew' => 0];
    foreach ([0, 15, 40, 75, 150, 230] as $rest) {
        foreach ([[$one, $oneC, $other, $otherC], [$other, $otherC, $one, $oneC]] as [$first, $firstC, $second, $secondC]) {
            $joint = ['cut' => 'pork-loin', 'mass_kg' => 1.6, 'taste' => 'juicy', 'rest_minutes' => $rest, 'stages' => [['cooker' => $first, 'cooker_c' => $firstC, 'pull' => true]]];
            $legs = ['cut' => 'chicken-legs', 'name' => 'Legs', 'mass_kg' => 0.3, 'pieces' => 4, 'start_c' => 5, 'taste' => null, 'target_c' => 76, 'stages' => [['cooker' => $second, 'cooker_c' => $secondC, 'pull' => true]]];
            foreach ([[$joint, $legs], [$legs, $joint]] as $order => $dishes) {
                $file = Samples::file($dishes[0]);
                $file['dishes'][] = $dishes[1];
                $plan = Plan::of(RoastFile::read($file), new DateTimeImmutable(DAWN));
                $what = json_encode([$first, $second, $rest, $order], JSON_THROW_ON_ERROR);
                $sheet = entriesById($plan);
                $lit = array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->act === Act::Light);
                $told = array_filter($plan->places, fn (PlaceClash $clash): bool => $clash->words->id === 'place.two_ways');
                $laterDish = 1 - $order;
                $later = array_values(array_filter($plan->fires, fn ($fire): bool => $fire->plan->stove->equipment->kind->id === $second))[0]->plan;
                $apart = ($sheet["d$laterDish.on"]->at->getTimestamp() - $sheet["d$order.pull"]->at->getTimestamp()) / 60.0;
                if ($apart < -5.0) {
                    $meets['told']++;
                    expect($told)->not->toBe([], $what)->and($told[array_key_first($told)]->dishes)->toEqualCanonicalizing([0, 1]);
                } elseif ($apart <= 60.0) {
                    $meets['taken over']++;
                    $turn = $sheet["fire.$second.turn"];
                    expect($told)->toBe([], $what)->and($later->lent->isSame)->toBeTrue($what)->and($lit)->toHaveCount(1, $what)
                        ->and(isset($sheet["d$laterDish.preheat"]))->toBeFalse($what)
                        // Once the one is off, and before the other goes on; within two minutes one pair of hands does both in turn.
                        ->and($turn->at <= $sheet["d$laterDish.on"]->at->modify($apart < 5.0 ? '+3 minutes' : '+0 minutes'))->toBeTrue($what)
                        ->and($turn->at >= $sheet["d$order.pull"]->at->modify('-9 minutes'))->toBeTrue($what)
                        ->and(said($turn->detail))->not->toContain('on a board');
                } else {
                    $meets['lit anew']++;
                    expect($told)->toBe([], $what)->and($later->lent->from)->toBeNull($what)->and(isset($sheet["d$laterDish.preheat"]) || isset($sheet["d$laterDish.light"]))->toBeTrue($what);
                }
            }
        }
    }
    expect(min($meets))->toBeGreaterThan(0, json_encode($meets, JSON_THROW_ON_ERROR));
})->with([
    ['kettle', 150, 'kettle-direct', 220], ['gas', 150, 'gas-direct', 220], ['oven', 150, 'oven-grill', 220], ['gas', 150, 'grill-rotisserie', 190], ['pellet', 130, 'griddle', 200],
]);

it('has the meat on the grate, however much of it there is and wherever the coals lie', function (string $cooker) {
    foreach ([['chicken-legs', 0.3, [1, 4, 9, 16]], ['turkey', 9.0, [1]], ['potatoes', 0.3, [2, 12, 30]], ['beef-brisket-whole', 6.0, [1, 2]]] as [$cut, $kg, $counts]) {
        foreach ($counts as $pieces) {
            $plan = Plan::of(
                Samples::roast(['cut' => $cut, 'mass_kg' => $kg, 'pieces' => $pieces, 'taste' => null, 'target_c' => 82, 'stages' => [['cooker' => $cooker, 'pull' => true]]]),
                new DateTimeImmutable(DAWN),
            );
            $floor = $plan->fires[0]->plan->stove->equipment->floor() ?? throw new LogicException("$cooker has no floor.");
            ['x' => $x, 'y' => $y, 'length' => $length, 'width' => $width] = (new FireLayout($plan->fires[0]->plan))->meat($plan->forecast(0));
            expect($length)->toBeGreaterThan(0.02)->and($width)->toBeGreaterThan(0.02)->and(abs($y) + $width / 2)->toBeLessThanOrEqual($floor['width'] / 2 + 1e-9);
            // Along its middle, where it is longest.
            $half = $floor['round'] ? sqrt(($floor['length'] / 2) ** 2 - $y ** 2) : $floor['length'] / 2;
            expect($floor['round'] ? abs($x) + $length / 2 : $length / 2)->toBeLessThanOrEqual($half + 1e-9, "$pieces of $cut");
        }
    }
})->with(['kettle', 'kettle-direct', 'ceramic', 'gas', 'gas-direct', 'open-grate', 'open-spit', 'trench']);

/** @return list<array<string, mixed>> steps over and beside one cooker's fire, each till it is time for the next; the last to the pull */
function moved(string $body, string $order): array
{
    $stages = [];
    foreach ($letters = str_split($order) as $i => $letter) {
        $stages[] = ($letter === 'r' ? ['cooker' => 'rest'] : ['cooker' => $letter === 'o' ? "$body-direct" : $body, 'cooker_c' => $letter === 'o' ? 230 : 160])
            + ($i === count($letters) - 1 ? ['pull' => true] : ['minutes' => $letter === 'b' ? 12 : 5]);
    }

    return $stages;
}

// Common practice: coals at one side, or one burner off, and the food goes over them, beside them and over them again.
it('has one fire at one side for what goes over it, beside it and back', function (string $body, string $order, string $wished) {
    $legs = ['cut' => 'chicken-legs', 'mass_kg' => 0.3, 'pieces' => 8, 'start_c' => 5, 'taste' => null, 'target_c' => 79, 'stages' => moved($body, $order)];
    $fuel = $body === 'kettle' ? ['fires' => [['cooker' => $wished, 'fuel' => 'lump']]] : [];
    $plan = Plan::of(Samples::roast($legs, $fuel), new DateTimeImmutable(DAWN));
    $fire = $plan->fires[0]->plan;
    $sheet = entriesById($plan);
    $heats = array_values(array_map(fn (array $stage): int => $stage['cooker_c'], array_filter($legs['stages'], fn (array $stage): bool => $stage['cooker'] !== 'rest')));
    $changes = array_values(array_filter($heats, fn (int $celsius, int $i): bool => $i === 0 || $celsius !== $heats[$i - 1], ARRAY_FILTER_USE_BOTH));
    expect($plan->fires)->toHaveCount(1)->and($plan->places)->toBe([])
        ->and($fire->stove->equipment->kind->id)->toBe($body)->and($fire->use->kinds)->toEqualCanonicalizing([$body, "$body-direct"])
        ->and($fire->use->first)->toBeTrue()->and($fire->lent->from)->toBeNull()
        ->and($fire->stove->fuel?->id)->toBe($body === 'kettle' ? 'lump' : null)
        ->and(array_map(fn ($step): int => (int) $step->targetC, $fire->steps))->toBe($changes)
        ->and(array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->act === Act::Light))->toHaveCount(1);
    // It is turned up or down about as the food is moved.
    $moves = array_map(fn (Entry $entry): int => $entry->at->getTimestamp(), array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->act === Act::Stage));
    foreach (array_keys(array_slice($fire->steps, 1)) as $i) {
        $at = $sheet["fire.$body.step.$i"]->at->getTimestamp();
        expect(min(array_map(fn (int $move): int => abs($move - $at), $moves)))->toBeLessThanOrEqual(300, "$order, step $i");
    }
    // On its way nothing of it is due twice, and once it is carved nothing is due at all.
    $on = $sheet['d0.on']->at;
    $later = Plan::of($plan->roast, $on->modify('+7 minutes'), [0 => new Progress(onAt: $on, stageStarts: [1 => $on->modify('+6 minutes')])]);
    expect(array_filter($later->runSheet->entries, fn (Entry $entry): bool => $entry->act === Act::Light && ! $entry->done))->toBe([])
        ->and(entriesById($later))->toHaveKey("fire.$body.step.0");
})->with([
    ['kettle', 'obo', 'kettle'], ['kettle', 'obo', 'kettle-direct'], ['kettle', 'bob', 'kettle-direct'], ['kettle', 'obro', 'kettle'], ['kettle', 'obob', 'kettle'],
    ['gas', 'obo', 'gas'], ['gas', 'bob', 'gas'], ['gas', 'obrob', 'gas'],
]);

it('has two fires for what two cookers share, and takes over what goes from the one to the other but once', function () {
    $legs = fn (string $order, array $stages = []): array => ['cut' => 'chicken-legs', 'mass_kg' => 0.3, 'pieces' => 8, 'start_c' => 5, 'taste' => null, 'target_c' => 79, 'stages' => $stages ?: moved('kettle', $order)];
    foreach (['ob', 'bo', 'bro'] as $order) {
        $plan = Plan::of(Samples::roast($legs($order)), new DateTimeImmutable(DAWN));
        expect($plan->fires)->toHaveCount(2)->and($plan->fires[1]->plan->lent->isSame)->toBeTrue();
    }
    $named = [['cooker' => 'kettle', 'own' => 'Large one'], ['cooker' => 'kettle-direct', 'own' => 'Small one']];
    expect(Samples::roast($legs('obo'), ['fires' => $named])->fireOf('kettle-direct'))->toBe('kettle-direct')
        ->and(Samples::roast($legs('obo'))->fireOf('kettle-direct'))->toBe('kettle')
        ->and(Samples::roast($legs('obo'))->fireOf('gas'))->toBe('gas');
});

it('says of a cooker that it is one, where another use of it comes in between', function (string $one, int $oneC, string $other, int $otherC) {
    $dish = fn (string $cut, float $kg, int $course, string $cooker, int $celsius): array => [
        'cut' => $cut, 'mass_kg' => $kg, 'start_c' => 5, 'course' => $course, 'stages' => [['cooker' => $cooker, 'cooker_c' => $celsius, 'pull' => true]],
    ];
    $plan = fn (string $last): Plan => Plan::of(RoastFile::read(['course_minutes' => 50, 'dishes' => [
        $dish('pork-loin', 1.2, 1, $one, $oneC), $dish('chicken-breast', 0.2, 2, $other, $otherC), $dish('salmon-side', 1.0, 3, $last, max($oneC, 140)),
    ]] + Samples::file()), new DateTimeImmutable(DAWN));
    $told = array_values(array_filter($plan($one)->places, fn (PlaceClash $clash): bool => $clash->words->id === 'place.in_between'));
    expect($told)->toHaveCount(1)->and($told[0]->dishes)->toBe([0, 1, 2])
        ->and(array_filter($plan($one === 'oven' ? 'pellet' : 'oven')->places, fn (PlaceClash $clash): bool => $clash->words->id === 'place.in_between'))->toBe([]);
})->with([
    ['kettle', 150, 'kettle-direct', 220], ['gas', 150, 'gas-direct', 220], ['oven', 150, 'oven-grill', 220], ['pellet', 130, 'griddle', 200],
]);

it('burns down what lies an hour under a closed lid, and lays more on it', function () {
    $more = [];
    foreach ([20, 40, 65] as $rest) {
        $file = Samples::file(['cut' => 'pork-loin', 'mass_kg' => 1.6, 'taste' => 'juicy', 'rest_minutes' => $rest, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 150, 'pull' => true]]]);
        $file['dishes'][] = ['cut' => 'beef-steak', 'name' => 'Steaks', 'mass_kg' => 0.35, 'pieces' => 4, 'start_c' => 5, 'taste' => 'medium', 'stages' => [['cooker' => 'kettle-direct', 'cooker_c' => 240, 'pull' => true]]];
        $direct = array_values(array_filter(Plan::of(RoastFile::read($file), new DateTimeImmutable(DAWN))->fires, fn ($fire): bool => $fire->plan->stove->equipment->kind->id === 'kettle-direct'))[0]->plan;
        expect($direct->lent->isSame)->toBeTrue((string) $rest);
        $more[] = $direct->lent->topUpKg;
    }
    expect($more[0])->toBeLessThan($more[1])->and($more[1])->toBeLessThan($more[2])->and($more[2])->toBeLessThanOrEqual($direct->run->startKg);
});

// Lit for what comes to it from another cooker, it is lit once for what begins on it later.
it('lights no cooker again that is lit for what came to it before', function () {
    $file = Samples::file(['cut' => 'beef-rib', 'mass_kg' => 2.5, 'taste' => 'medium', 'rest_minutes' => 60, 'stages' => [['cooker' => 'oven', 'cooker_c' => 120, 'until_core_c' => 45], ['cooker' => 'gas-direct', 'cooker_c' => 250, 'pull' => true]]]);
    $file['dishes'][] = ['cut' => 'beef-steak', 'name' => 'Steaks', 'mass_kg' => 0.35, 'pieces' => 4, 'start_c' => 5, 'taste' => 'medium', 'stages' => [['cooker' => 'gas-direct', 'cooker_c' => 250, 'pull' => true]]];
    $sheet = entriesById(Plan::of(RoastFile::read($file), new DateTimeImmutable(DAWN)));
    expect($sheet)->toHaveKey('fire.gas-direct.light')->not->toHaveKey('d1.light')->not->toHaveKey('d1.preheat')
        ->and($sheet['fire.gas-direct.light']->at)->toBeLessThan($sheet['d1.on']->at);
});

it('packs no pan for what lies over its fire', function (string $cooker, bool $pan) {
    $plan = planned(['stages' => [['cooker' => $cooker, 'pull' => true]]]);
    expect(in_array('drip_pan', array_column($plan->kit, 'id'), true))->toBe($pan)
        ->and(str_contains(said(entriesById($plan)['d0.rig']->detail), 'drip pan'))->toBe($pan);
})->with([['kettle', true], ['gas', true], ['kettle-direct', false], ['gas-direct', false], ['open-grate', false], ['oven', true]]);

it('feeds no fire that is to be cooler in a moment, and every one that is not', function () {
    foreach (['open-grate' => ['fuel' => 'hardwood'], 'camp-oven' => ['fuel' => 'briquettes', 'layout' => 'roast']] as $kind => $fire) {
        foreach ([5, 12, 18, 25, 40, 60] as $minutes) {
            $stages = fn (array ...$last): array => ['cut' => 'lamb-leg', 'mass_kg' => 2.2, 'taste' => null, 'target_c' => 70, 'stages' => [
                ['cooker' => $kind, 'cooker_c' => $kind === 'camp-oven' ? 230 : 420, 'minutes' => $minutes], ...$last,
            ]];
            $plan = planned($stages(['cooker' => $kind, 'cooker_c' => $kind === 'camp-oven' ? 130 : 250, 'pull' => true]), ['fires' => [['cooker' => $kind] + $fire]]);
            $fires = $plan->fires[0]->plan;
            $cooler = $fires->steps[1]->fromMinutes;
            foreach ($fires->run->refuels as $refuel) {
                expect($refuel->minutes < $cooler - 11.9 || $refuel->minutes >= $cooler)->toBeTrue("$kind, $refuel->minutes before $cooler");
            }
            // It is as hot as it should be until then all the same: by no less than a fire is let fade.
            $least = min(array_map(fn (array $at): float => $at[0] > 0.0 && $at[0] < $cooler ? $at[1]->likely : INF, $fires->course));
            expect($least)->toBeGreaterThan(0.75 * $fires->steps[0]->targetC);
        }
    }
});

it('asks for nothing on a fire after its last dish is off, but what a slow one would want', function () {
    foreach (Matrix::sample(29) as $name => $file) {
        try {
            $plan = Plan::of(RoastFile::read(['sides' => []] + $file), new DateTimeImmutable('2031-10-01T06:00:00Z'));
        } catch (Diatherm\Measure\InvalidInput) {
            continue;
        }
        $stages = $plan->forecast(0)->dish->stages;
        foreach (fireEntries($plan) as $entry) {
            if ($entry->id->what !== 'fire' || in_array($entry->id->parts[1], ['light', 'lay', 'close'], true)) {
                continue;
            }
            $last = max(array_keys(array_filter($stages, fn ($stage): bool => $stage->cooker->id === $entry->id->parts[0])));
            $sheet = entriesById($plan);
            $off = ($sheet['d0.stage.'.($last + 1)] ?? $sheet['d0.pull'])->at;
            $perhaps = $entry->title->id === 'fire_task.if_it_is_late';
            // A lid may be lifted a few minutes sooner or later, so that it is lifted once.
            expect($perhaps || $entry->at <= $off->modify('+5 minutes'))->toBeTrue($name.' '.$entry->id->text())
                ->and($perhaps && ($entry->work?->minutes ?? 0.0) > 0.0)->toBeFalse();
        }
    }
});

it('says how much of a chimney coals fill, to the nearest part that an eye can tell', function () {
    $parts = ['a few' => 0.1, 'about a quarter' => 0.25, 'about a third' => 1 / 3, 'about half' => 0.5, 'about three quarters' => 0.75, 'a full chimney' => 1.0];
    $heard = [];
    foreach ([100, 130, 150, 180, 220, 260] as $celsius) {
        foreach ([0, 8] as $wind) {
            foreach (['kettle', 'ceramic', 'kettle-direct'] as $kind) {
                $plan = planned(['stages' => [['cooker' => $kind, 'cooker_c' => $celsius === 100 && $kind === 'kettle-direct' ? 120 : $celsius, 'pull' => true]]], ['wind_ms' => $wind]);
                $fire = $plan->fires[0]->plan;
                $share = Diatherm\Fire\Fuel::chimneys($fire->run->startKg);
                $words = strtolower(said(FireTasks::light($fire)->detail));
                $told = array_filter($parts, fn (string $part): bool => str_starts_with($words, $part), ARRAY_FILTER_USE_KEY);
                if ($told === []) {
                    expect($share)->toBeGreaterThanOrEqual(1.15)->and($words)->toContain(round($share, 1).' chimneys');

                    continue;
                }
                $heard += $told;
                $nearest = min(array_map(fn (float $part): float => abs($part - $share), $parts));
                expect(abs(array_values($told)[0] - $share))->toBeLessThanOrEqual($nearest + 0.02, "$share: $words");
            }
        }
    }
    expect(count($heard))->toBeGreaterThanOrEqual(5);
});

it('rakes in what a second fire makes for an open one, and adds to any other', function (string $kind, string $fuel, string $words) {
    $plan = planned(['cut' => 'lamb-leg', 'mass_kg' => 2.4, 'taste' => 'well', 'stages' => [['cooker' => $kind, 'pull' => true]]], ['fires' => [['cooker' => $kind, 'fuel' => $fuel]]]);
    $titles = array_map(fn (Entry $entry): string => said($entry->title), array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->id->isOfFire($kind, 'refuel')));
    expect($titles)->not->toBe([])->and(array_filter($titles, fn (string $title): bool => ! str_starts_with($title, $words)))->toBe([]);
})->with([['open-spit', 'hardwood', 'Rake in'], ['open-spit', 'lump', 'Add'], ['camp-oven', 'hardwood', 'Add'], ['camp-oven', 'briquettes', 'Add'], ['kettle', 'briquettes', 'Add']]);
