<?php

declare(strict_types=1);

use Diatherm\Day\Act;
use Diatherm\Day\CourseHours;
use Diatherm\Day\Entry;
use Diatherm\Day\Finishing;
use Diatherm\Day\Moments;
use Diatherm\Day\Purchase;
use Diatherm\Day\SideTimes;
use Diatherm\Day\Timing;
use Diatherm\Food\Side;
use Diatherm\Measure\InvalidInput;
use Diatherm\Plan\Plan;
use Diatherm\Roast\RoastFile;
use Tests\Support\Samples;

// Things that go by the clock: they have a time and a patience, and no core temperature.

const BEFORE_THE_DAY = '2031-10-01T09:00:00+02:00';

/** @param  list<array<string, mixed>>  $sides */
function withSides(array $sides, array $dish = [], string $now = BEFORE_THE_DAY): Plan
{
    return Plan::of(Samples::roast($dish, ['sides' => $sides]), new DateTimeImmutable($now));
}

function minutesBetween(DateTimeImmutable $from, DateTimeImmutable $to): float
{
    return ($to->getTimestamp() - $from->getTimestamp()) / 60.0;
}

// Common practice: each side's minutes, and for how long it waits well.
it('knows how long a side takes and how long it waits', function (string $id, float $least, float $most, float $waits) {
    $side = Side::named($id);
    expect([$side->leastMinutes, $side->mostMinutes, $side->waitsMinutes])->toBe([$least, $most, $waits]);
})->with([
    ['greens', 5.0, 10.0, 5.0], ['diced-potatoes', 45.0, 60.0, 20.0], ['roots-in-stock', 55.0, 70.0, 20.0],
    ['beans-in-drippings', 40.0, 50.0, 15.0], ['rice', 15.0, 20.0, 20.0], ['buttered-loaf', 10.0, 14.0, 10.0],
    ['camp-bread', 30.0, 40.0, 20.0], ['pan-gravy', 10.0, 15.0, 60.0],
]);

it('has sound rows: found by other names too, in order of time, with hands for each', function () {
    foreach (Side::all() as $id => $side) {
        expect($side->id)->toBe($id)->and($side->called)->not->toContain(ucfirst($side->name))
            ->and($side->leastMinutes)->toBeLessThanOrEqual($side->mostMinutes)->toBeGreaterThan(0.0)
            ->and($side->waitsMinutes)->toBeGreaterThan(0.0)
            ->and($side->readyMinutes)->toBeGreaterThan(0.0)
            ->and($side->needs)->toBeIn([null, 'pot', 'foil', 'cloth', 'flask']);
        if ($side->stirMinutes !== null) {
            expect($side->stirMinutes)->toBeLessThan($side->mostMinutes);
        }
    }
    expect(fn () => Side::named('trifle'))->toThrow(Diatherm\Measure\OutOfRange::class);
});

it('has each done before the table by no more than it waits, alone, over every cut that is carved', function () {
    foreach (['pork-rack' => 3.0, 'turkey' => 7.0, 'fish-fillet' => 1.0, 'potatoes' => 0.2, 'lamb-whole' => 15.0] as $cut => $kg) {
        foreach (Side::all() as $id => $side) {
            $dish = ['cut' => $cut, 'mass_kg' => $kg, 'taste' => null, 'target_c' => 75, 'start_c' => 5];
            $plan = withSides([['side' => $id]], $cut === 'lamb-whole' ? $dish + ['stages' => [['cooker' => 'open-spit', 'pull' => true]]] : $dish);
            [$times] = $plan->runSheet->sides;
            $serve = $plan->roast->serveAt;
            expect($times->doneAt <= $serve)->toBeTrue("$id with $cut")
                ->and(minutesBetween($times->doneAt, $serve))->toBeLessThanOrEqual($side->waitsMinutes + 0.01, "$id with $cut")
                ->and($times->doneAt->format('Y-m-d') < $serve->format('Y-m-d'))->toBe($side->isMadeAhead())
                ->and(minutesBetween($times->onAt, $times->offAt))->toEqualWithDelta($side->mostMinutes, 0.01)
                ->and($times->isKeptTooLong())->toBeFalse("$id with $cut")
                ->and(minutesBetween($times->waterAt ?? $times->onAt, $times->onAt))->toEqualWithDelta($side->boilMinutes, 0.01);
        }
    }
});

it('has all of a course finished by one pair of hands, one thing after another, over four hundred tables', function () {
    mt_srand(20311004);
    $sides = array_keys(Side::all());
    $cuts = ['pork-rack' => 3.0, 'chicken' => 1.8, 'potatoes' => 0.2, 'beef-steak' => 0.4, 'turkey' => 7.0];
    for ($table = 0; $table < 400; $table++) {
        $roast = RoastFile::read(Samples::file([], [
            'hands' => mt_rand(1, 2),
            'dishes' => array_map(function () use ($cuts): array {
                $cut = array_rand($cuts);

                return ['cut' => $cut, 'mass_kg' => $cuts[$cut], 'target_c' => 75, 'course' => mt_rand(1, 2), 'stages' => [['cooker' => 'oven', 'pull' => true]]];
            }, range(1, mt_rand(1, 3))),
            'sides' => array_map(
                fn (): array => ['side' => $sides[mt_rand(0, count($sides) - 1)], 'course' => mt_rand(1, 2)] + (mt_rand(0, 3) === 0 ? ['minutes' => mt_rand(1, 300)] : []),
                range(1, mt_rand(1, 8)),
            ),
        ]));
        $finishing = Finishing::of($roast);
        $times = SideTimes::of($roast, $finishing, CourseHours::of($roast, [], [], $finishing, []), [], [], [], Moments::of([], [], [], []), $roast->serveAt->modify('-3 hours'));
        foreach ($times as $i => $one) {
            expect($one->dish)->toBe($roast->sides[$i])->and($one->doneAt <= $roast->tableAt($one->dish->course))->toBeTrue();
            // Whatever waits longer than it waits well says so.
            expect($one->isKeptTooLong())->toBe($one->waitsMinutes > $one->dish->side->waitsMinutes + 0.5);
        }
        foreach ([1, 2] as $course) {
            $work = [];
            foreach ($roast->dishes as $i => $dish) {
                $work = $dish->course === $course ? [...$work, [$finishing->dishes[$i], Timing::carveMinutes($dish), $dish->cut->isPerishable() ? 10.0 : 20.0]] : $work;
            }
            foreach ($roast->sides as $i => $side) {
                $work = $side->course === $course && ! $side->side->isMadeAhead() ? [...$work, [$finishing->sides[$i], $side->side->doneMinutes, $side->patienceMinutes()]] : $work;
            }
            sort($work);
            $most = max(array_map(
                fn (float $minute): int => count(array_filter($work, fn (array $one): bool => $one[0] < $minute && $minute < $one[0] + $one[1])),
                range(0.25, 120.0, 0.5),
            ));
            expect($most)->toBeLessThanOrEqual($roast->hands);
            // Nothing that another order would have had in time waits too long: of two that follow each other neither swap helps.
            foreach ($roast->hands === 1 ? $work : [] as $i => [$before, $minutes, $patience]) {
                [, $nextMinutes, $nextPatience] = $work[$i + 1] ?? [0.0, 0.0, INF];
                $worst = max($before - $patience, $before + $minutes - $nextPatience);
                expect($worst)->toBeLessThanOrEqual(max($before + $nextMinutes - $patience, $before - $nextPatience) + 0.01);
            }
        }
    }
});

it('moves with the table, and back', function () {
    $sides = [['side' => 'greens'], ['side' => 'buttered-loaf'], ['side' => 'diced-potatoes']];
    $sheet = fn (string $serve): array => array_map(
        fn (Entry $entry): int => $entry->at->getTimestamp(),
        array_filter(
            entriesById(Plan::of(Samples::roast([], ['sides' => $sides, 'serve_at' => $serve]), new DateTimeImmutable(BEFORE_THE_DAY))),
            fn (Entry $entry): bool => $entry->act === Act::Side,
        ),
    );
    $usual = $sheet('2031-10-04T18:45:00+02:00');
    $late = $sheet('2031-10-04T19:25:00+02:00');
    expect(array_map(fn (int $at): int => $at - 40 * 60, $late))->toBe($usual)->and($sheet('2031-10-04T18:45:00+02:00'))->toBe($usual);
});

it('says what to do by the clock, in order, and what is wanted for it', function () {
    $plan = withSides([['side' => 'rice', 'name' => 'Saffron rice'], ['side' => 'buttered-loaf', 'minutes' => 12], ['side' => 'diced-potatoes']]);
    $sheet = entriesById($plan);
    expect(said($sheet['side.rice.water']->title))->toBe('Water to the boil for Saffron rice')
        ->and(said($sheet['side.rice.on']->title))->toBe('Saffron rice on')
        ->and(said($sheet['side.rice.off']->detail))->toContain('10 min off the heat belong to it')->toContain('waits well for 20 min')
        ->and(said($sheet['side.buttered-loaf.on']->detail))->toBe('12 min')
        ->and(said($sheet['side.diced-potatoes.on']->detail))->toBe('45 min to 1 h')
        ->and(minutesBetween($sheet['side.diced-potatoes.on']->at, $sheet['side.diced-potatoes.stir.1']->at))->toEqualWithDelta(20.0, 3.0)
        ->and(array_column($plan->kit, 'id'))->toContain('pot', 'foil');
    $times = array_map(fn (Entry $entry): int => $entry->at->getTimestamp(), $plan->runSheet->entries);
    $sorted = $times;
    sort($sorted);
    expect($times)->toBe($sorted);
});

it('calls its lines by what the side is, so that one taken out leaves the ticks of the others alone', function () {
    $ids = fn (array $sides): array => array_values(array_filter(array_keys(entriesById(withSides($sides))), fn (string $id): bool => str_starts_with($id, 'side.')));
    $all = $ids([['side' => 'rice'], ['side' => 'greens'], ['side' => 'greens', 'name' => 'Kale'], ['side' => 'buttered-loaf']]);
    $fewer = $ids([['side' => 'greens'], ['side' => 'buttered-loaf']]);
    expect(array_diff($fewer, $all))->toBe([])->and($all)->toContain('side.greens.on', 'side.greens-2.on')
        ->and(count(array_unique($all)))->toBe(count($all));
});

it('forgets a stir that was overtaken, and never what was not put on', function () {
    $now = '2031-10-04T18:40:00+02:00';
    $sheet = entriesById(withSides([['side' => 'diced-potatoes']], now: $now));
    expect($sheet)->toHaveKey('side.diced-potatoes.on')->not->toHaveKey('side.diced-potatoes.stir.1')
        ->and($sheet['side.diced-potatoes.on']->late)->toBeTrue();
});

it('writes sides into the file and reads them back, and says at the field what is wrong', function () {
    $file = Samples::file([], ['sides' => [['side' => 'greens'], ['side' => 'rice', 'name' => 'Pilaf', 'minutes' => 22.5]]]);
    $roast = RoastFile::read($file);
    expect($roast->sides)->toHaveCount(2)->and($roast->sides[0]->name)->toBe('Greens')->and($roast->sides[1]->takesMinutes())->toBe(22.5)
        ->and(RoastFile::read(RoastFile::write($roast))->sides)->toEqual($roast->sides)
        ->and(RoastFile::write(RoastFile::read(Samples::file())))->not->toHaveKey('sides')
        ->and($roast->changed(dishes: $roast->dishes)->sides)->toBe($roast->sides);
    foreach ([
        'sides.0.side' => [['side' => 'trifle']], 'sides.0.minutes' => [['side' => 'rice', 'minutes' => 0]], 'sides.0.brand' => [['side' => 'rice', 'brand' => 'x']],
        'sides' => array_fill(0, 13, ['side' => 'rice']), 'sides.1.side' => [['side' => 'rice'], []],
    ] as $path => $sides) {
        expect(fn () => RoastFile::read(Samples::file([], ['sides' => $sides])))->toThrow(function (InvalidInput $wrong) use ($path): void {
            expect($wrong->messages)->toHaveKey($path);
        });
    }
});

it('lists what has to be bought, aisle by aisle, as much as the plan takes', function () {
    $plan = Plan::of(
        Samples::roast(
            ['preparations' => ['dry_brine']],
            ['sides' => [['side' => 'greens'], ['side' => 'buttered-loaf'], ['side' => 'pan-gravy']], 'fires' => [['cooker' => 'kettle', 'fuel' => 'lump']]],
        ),
        new DateTimeImmutable(BEFORE_THE_DAY),
    );
    $list = array_map(fn (Purchase $one): string => said($one->aisleInWords()).': '.said($one->what).', '.said($one->amount), $plan->shopping);
    // 1.25 % of 3 kg is 37.5 g of salt; gravy comes from the roast and is bought nowhere.
    expect($list[0])->toBe('At the butcher’s: Rack of pork, 3.0 kg')
        ->and($list)->toContain('At the greengrocer’s: Greens, 1.6 kg', 'At the baker’s: Loaf, for Buttered loaf, 725 g', 'At the grocer’s: Salt, for Rack of pork, 38 g')
        ->and(implode(' ', $list))->not->toContain('gravy')
        // Butter is on the greens and in the loaf: bought once, 5 and 15 g a head.
        ->and($list)->toContain('At the grocer’s: Butter, for Greens, Buttered loaf, 180 g')
        ->and(array_values(preg_grep('/^For the fire: Lump charcoal, for Kettle, /', $list)))->toHaveCount(1)
        ->and(array_column($plan->shopping, 'aisle'))->toBe(['butcher', 'greengrocer', 'greengrocer', 'baker', 'grocer', 'grocer', 'fuel']);
});

it('has what is bought for every fire and every dish of the matrix', function () {
    foreach (Tests\Support\Matrix::sample(97) as $name => $file) {
        try {
            $plan = Plan::of(RoastFile::read($file), new DateTimeImmutable(BEFORE_THE_DAY));
        } catch (InvalidInput) {
            continue;
        }
        $list = $plan->shopping;
        $fed = array_filter($plan->fires, fn ($fire): bool => $fire->plan->buyKg() > 0.0 && ($fire->plan->stove->fuel !== null || $fire->plan->feed() !== null));
        // Each fuel once, for all the fires that burn it.
        $fuels = array_unique(array_map(fn ($fire): ?string => $fire->plan->feed()->boughtAs ?? $fire->plan->stove->fuel?->boughtAs, $fed));
        expect(count(array_filter($list, fn (Purchase $one): bool => $one->aisle === 'fuel')))->toBe(count($fuels), $name)
            ->and(count(array_filter($list, fn (Purchase $one): bool => in_array($one->aisle, ['butcher', 'fishmonger', 'greengrocer'], true))))->toBe(count($plan->roast->dishes), $name);
        foreach ($list as $one) {
            expect(said($one->what).said($one->amount))->not->toMatch('/NAN|INF|(?<![\d.])0 k?g\b/');
        }
    }
});

it('has a side that no table has go by its own clock, and keeps all that its cook said of it', function () {
    $corn = ['side' => 'own', 'name' => 'Corn in the husk', 'minutes' => 25, 'own' => [
        'how' => 'Soaked for an hour, over the coals', 'waits_minutes' => 15, 'ready_minutes' => 6, 'done_minutes' => 3, 'stir_minutes' => 8, 'aisle' => 'greengrocer',
    ]];
    $roast = RoastFile::read(Samples::file([], ['sides' => [['side' => 'greens'], $corn, ['side' => 'own', 'name' => 'Plum cake', 'minutes' => 50]]]));
    expect(RoastFile::read(RoastFile::write($roast)))->toEqual($roast);
    $plan = Plan::of($roast, new DateTimeImmutable('2031-10-04T06:00:00+02:00'));
    $sheet = entriesById($plan);
    $minutes = fn (string $from, string $to): float => ($sheet[$to]->at->getTimestamp() - $sheet[$from]->at->getTimestamp()) / 60.0;
    expect($minutes('side.own.on', 'side.own.off'))->toEqualWithDelta(25.0, 2.0)
        ->and($minutes('side.own.off', 'serve'))->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual(15.0)
        ->and($sheet['side.own.ready']->work?->minutes)->toBe(6.0)
        ->and(said($sheet['side.own.ready']->detail))->toContain('Soaked for an hour')
        ->and(said($sheet['side.own-2.on']->title))->toBe('Plum cake on')
        ->and(array_filter($plan->shopping, fn ($one): bool => $one->aisle === 'greengrocer' && said($one->what) === 'Corn in the husk'))->toHaveCount(1);
    $side = Diatherm\Roast\OwnSideFile::read(Diatherm\Roast\OwnSideFile::write($roast->sides[1]->side));
    expect($side)->toEqual($roast->sides[1]->side);
    // Both files are as their schemas say.
    $valid = fn (string $schema, mixed $file): bool => (new Opis\JsonSchema\Validator)->validate(
        json_decode((string) json_encode($file)), json_decode((string) file_get_contents(__DIR__."/../../docs/$schema.schema.json")),
    )->isValid();
    expect($valid('side', Diatherm\Roast\OwnSideFile::write($side)))->toBeTrue()
        ->and($valid('roast', RoastFile::write($roast)))->toBeTrue()
        ->and($valid('side', ['name' => 'Corn', 'minutes' => 0]))->toBeFalse();
});

it('refuses what nothing can be cooked by', function (array $side, string $field) {
    expect(fn () => RoastFile::read(Samples::file([], ['sides' => [$side]])))->toThrow(function (InvalidInput $wrong) use ($field): void {
        expect(array_keys($wrong->messages))->toContain($field);
    });
})->with([
    [['side' => 'own', 'name' => 'Corn'], 'sides.0.minutes'],
    [['side' => 'own', 'minutes' => 20], 'sides.0.name'],
    [['side' => 'own', 'name' => 'Corn', 'minutes' => 20, 'own' => ['waits_minutes' => -1]], 'sides.0.own.waits_minutes'],
    [['side' => 'own', 'name' => 'Corn', 'minutes' => 20, 'own' => ['aisle' => 'moon']], 'sides.0.own.aisle'],
    [['side' => 'own', 'name' => 'Corn', 'minutes' => 20, 'own' => ['colour' => 'gold']], 'sides.0.own.colour'],
    [['side' => 'greens', 'own' => ['waits_minutes' => 90]], 'sides.0.own'],
]);
