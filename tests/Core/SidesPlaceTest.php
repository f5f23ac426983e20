<?php

declare(strict_types=1);

use Diatherm\Food\Side;
use Diatherm\Measure\InvalidInput;
use Diatherm\Plan\PlaceClash;
use Diatherm\Plan\Plan;
use Diatherm\Roast\RoastFile;
use Diatherm\Roast\SideDish;
use Diatherm\Ways\PlannedProspect;
use Diatherm\Ways\Question;
use Diatherm\Ways\Turn;
use Diatherm\Ways\Ways;
use Tests\Support\Samples;

// Where a side lies: with a dish, on a dish's cooker, or in a place of its own.

const THE_MORNING = '2031-10-04T06:00:00+02:00';

/** Kinds that a side can be laid on, with a heat of the middle of their range. */
const LAID_ON = ['kettle', 'gas', 'ceramic', 'pellet', 'griddle', 'lidded-roaster', 'oven', 'camp-oven', 'open-grate', 'trench'];

/** @param  array<string, mixed>  $roast */
function sidePlan(array $sides, array $dish = [], array $roast = []): Plan
{
    return Plan::of(Samples::roast($dish, $roast + ['sides' => $sides]), new DateTimeImmutable(THE_MORNING));
}

/** @return list<string> */
function clashes(Plan $plan): array
{
    return array_map(fn (PlaceClash $clash): string => $clash->words->id, $plan->places);
}

// Common practice: diced potatoes take 45 to 60 minutes at 180 °C, and about twice that in a slow cooker at 120 °C.
it('gives a side longer where it is cooler, never shorter, and its usual time at its usual heat', function () {
    $potatoes = new SideDish(Side::named('diced-potatoes'), 'Potatoes');
    expect($potatoes->slowness(180.0))->toBe(1.0)->and($potatoes->slowness(null))->toBe(1.0)
        ->and($potatoes->slowness(120.0))->toEqualWithDelta(1.9, 0.15)
        ->and($potatoes->bears(120.0))->toBeTrue()->and($potatoes->bears(100.0))->toBeFalse()->and($potatoes->bears(320.0))->toBeFalse()
        // Under a lid a little more than it is ever given browns it; straight over coals it burns.
        ->and($potatoes->bears(250.0))->toBeTrue()->and($potatoes->bears(250.0, overFire: true))->toBeFalse();
    // A loaf at 200 °C: in an oven at 120 °C it dries before it browns.
    $loaf = new SideDish(Side::named('buttered-loaf'), 'Loaf');
    expect($loaf->bears(120.0))->toBeFalse()->and($loaf->bears(160.0))->toBeTrue()->and($loaf->bears(200.0))->toBeTrue();
    foreach (Side::all() as $id => $side) {
        $one = new SideDish($side, $id);
        $before = INF;
        for ($c = 20.0; $c <= 400.0; $c += 5.0) {
            expect($one->slowness($c))->toBeLessThanOrEqual($before + 1e-9, "$id at $c")->toBeGreaterThanOrEqual(0.6);
            $before = $one->slowness($c);
        }
        expect($side->leastC === null)->toBe($side->mostC === null)
            ->and($side->leastC === null || $one->bears($side->leastC) && $one->bears((float) $side->mostC))->toBeTrue($id);
    }
});

it('lies on every cooker, before and after the joint is off, at a heat that it is told of, or says that it cannot', function () {
    foreach (LAID_ON as $kind) {
        // What is made ahead has its own hour.
        foreach (array_filter(Side::all(), fn (Side $side): bool => $side->leastC !== null && ! $side->isMadeAhead()) as $id => $side) {
            foreach ([20, 90] as $rest) {
                $dish = ['rest_minutes' => $rest, 'mass_kg' => 1.6, 'stages' => [['cooker' => $kind, 'pull' => true]]];
                $plan = sidePlan([['side' => $id, 'on' => $kind]], $dish, ['people' => 4]);
                [$times] = $plan->runSheet->sides;
                $name = "$id on $kind, rest of $rest";
                expect($times->cooker)->toBe($kind, $name)->and($times->cookerC)->not->toBeNull()
                    ->and($times->doneAt <= $plan->roast->serveAt)->toBeTrue($name)
                    ->and($times->takesMinutes())->toEqualWithDelta($times->slowness * $side->mostMinutes, 0.6, $name);
                $isTold = in_array('place.side_heat', clashes($plan), true);
                expect($isTold)->toBe($times->after === null && ! $times->bearsItsPlace(), $name);
                if ($times->after !== null) {
                    expect($times->cookerC)->toBeGreaterThanOrEqual($side->leastC, $name)->toBeLessThanOrEqual($side->mostC, $name);
                }
            }
        }
    }
});

it('brings a cooker to the heat that a side wants once the joint is off it, and keeps its fire up until then', function () {
    $dish = fn (string $kind): array => ['rest_minutes' => 75, 'stages' => [['cooker' => $kind, 'cooker_c' => 130, 'pull' => true]]];
    foreach (['kettle', 'gas', 'ceramic', 'camp-oven', 'oven', 'pellet'] as $kind) {
        $alone = sidePlan([], $dish($kind));
        $plan = sidePlan([['side' => 'buttered-loaf', 'on' => $kind]], $dish($kind));
        [$times] = $plan->runSheet->sides;
        $steps = $plan->fires[0]->plan->steps;
        $until = Diatherm\Day\Timing::after($plan->fires[0]->plan->use->startsAt, $plan->fires[0]->plan->use->untilMinutes);
        expect($times->after)->toBe(0, $kind)->and($times->slowness)->toBe(1.0)
            ->and(end($steps)->targetC)->toBe(180.0, $kind)
            ->and(count($steps))->toBe(count($alone->fires[0]->plan->steps) + 1, $kind)
            ->and($until >= $times->offAt)->toBeTrue($kind)
            ->and($plan->fires[0]->plan->usedKg())->toBeGreaterThan($alone->fires[0]->plan->usedKg() - 1e-6, $kind);
    }
});

it('never asks for a buried pot to be dug up for what lies in it', function () {
    $dish = ['cut' => 'lamb-shoulder', 'mass_kg' => 2.2, 'taste' => null, 'target_c' => 90,
        'rig' => ['kind' => 'buried_pot', 'pot_cm' => 36, 'ground' => 'dry'],
        'stages' => [['cooker' => 'camp-oven', 'minutes' => 300]]];
    foreach (['diced-potatoes', 'roots-in-stock', 'beans-in-drippings'] as $id) {
        $plan = sidePlan([['side' => $id, 'with' => 0]], $dish, ['people' => 4]);
        [$times] = $plan->runSheet->sides;
        $sheet = entriesById($plan);
        expect($times->isBuried)->toBeTrue()->and($times->onAt)->toEqual($sheet['d0.on']->at)->and($times->offAt <= $sheet['d0.carve']->at)->toBeTrue()
            ->and(array_filter(array_keys($sheet), fn (string $line): bool => str_contains($line, 'stir')))->toBe([])
            ->and(said($sheet["side.$id.on"]->detail))->toContain('soft');
    }
    expect(fn () => sidePlan([['side' => 'buttered-loaf', 'on' => 'camp-oven']], $dish))->toThrow(InvalidInput::class);
});

// 2 kg of potatoes are some 3 l, a shoulder of 2.2 kg two: a pot of 30 cm and 11 cm depth holds 7.9 l. Worked by hand.
it('has a pot hold what it holds, and a grate what lies on it and under it', function () {
    $dish = ['cut' => 'lamb-shoulder', 'mass_kg' => 2.2, 'taste' => null, 'target_c' => 85, 'stages' => [['cooker' => 'camp-oven', 'cooker_c' => 170, 'pull' => true]]];
    $with = fn (int $people): array => clashes(sidePlan([['side' => 'diced-potatoes', 'with' => 0]], $dish, ['people' => $people]));
    expect($with(6))->not->toContain('place.pot')->and($with(16))->toContain('place.pot')
        ->and(clashes(sidePlan([['side' => 'diced-potatoes', 'with' => 0], ['side' => 'roots-in-stock', 'with' => 0]], $dish, ['people' => 12])))->toContain('place.pot');
    $kettle = ['mass_kg' => 2.0, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 180, 'pull' => true]]];
    $pan = fn (int $people, string $where): array => clashes(sidePlan([['side' => 'diced-potatoes'] + ($where === 'with' ? ['with' => 0] : ['on' => 'kettle'])], $kettle, ['people' => $people]));
    expect($pan(4, 'with'))->toBe([])->and($pan(4, 'on'))->toBe([])->and($pan(40, 'with'))->toContain('place.room')->and($pan(40, 'on'))->toContain('place.room');
    // Under the joint they share its ground: whoever has room beside it has room under it.
    for ($people = 2; $people <= 40; $people += 2) {
        expect(in_array('place.room', $pan($people, 'with'), true) && ! in_array('place.room', $pan($people, 'on'), true))->toBeFalse((string) $people);
    }
});

it('has a way out of every heat that a side does not bear, and each is one', function () {
    $asked = 0;
    foreach (['kettle', 'oven', 'gas', 'pellet', 'ceramic'] as $kind) {
        $file = Samples::file(['rest_minutes' => 5, 'stages' => [['cooker' => $kind, 'cooker_c' => 115, 'minutes' => 200]]],
            ['sides' => [['side' => 'camp-bread', 'on' => $kind]], 'people' => 4]);
        $prospect = new PlannedProspect(new DateTimeImmutable(THE_MORNING));
        $standing = $prospect->standing(RoastFile::read($file), []);
        if ($standing->plan->runSheet->sides[0]->after !== null) {
            // The joint is off in time, and the bread has the heat that it wants.
            continue;
        }
        $asked++;
        expect(in_array('place.side_heat', clashes($standing->plan), true))->toBeTrue($kind);
        $offers = Ways::out(Question::of(Turn::Shared, cooker: $kind), $standing, $prospect);
        expect(count($offers))->toBeGreaterThanOrEqual(2, $kind);
        foreach ($offers as $offer) {
            $left = clashes($prospect->standing($offer->way->roast, [])->plan);
            expect(in_array('place.side_heat', $left, true))->toBeFalse("$kind: {$offer->way->id}");
        }
    }
    expect($asked)->toBeGreaterThanOrEqual(3);
});

it('leaves no side on a cooker that its dish has left', function () {
    $roast = Samples::roast([], ['sides' => [['side' => 'buttered-loaf', 'on' => 'kettle']]]);
    $oven = Diatherm\Cooker\CookerShed::kind('oven');
    $moved = $roast->changed(dishes: [$roast->dishes[0]->through([Diatherm\Ways\FromNow::heated($roast->dishes[0]->stages[0], $oven)])]);
    expect($moved->housed()->sides[0]->on)->toBeNull()->and($roast->housed()->sides[0]->on)->toBe('kettle')
        ->and(fn () => RoastFile::read(RoastFile::write($moved)))->toThrow(InvalidInput::class)
        ->and(RoastFile::read(RoastFile::write($roast)))->toEqual($roast);
});

it('says at the field what is no place for a side', function (array $side, string $field) {
    expect(fn () => Samples::roast([], ['sides' => [$side]]))->toThrow(function (InvalidInput $wrong) use ($field): void {
        expect(array_keys($wrong->messages))->toContain($field);
    });
})->with([
    [['side' => 'buttered-loaf', 'on' => 'oven'], 'sides.0.on'],
    [['side' => 'buttered-loaf', 'on' => 'moon'], 'sides.0.on'],
    [['side' => 'buttered-loaf', 'on' => 7], 'sides.0.on'],
    [['side' => 'diced-potatoes', 'on' => 'kettle', 'with' => 0], 'sides.0.on'],
]);

// Would I do this? Potatoes do not lie in a cold pot for half an hour: it is hot for the first that goes in, whatever that is.
it('has every cooker hot for what goes onto it first', function (string $kind, array $dish, array $course) {
    $first = 0;
    foreach (array_filter(Side::all(), fn (Side $side): bool => ! $side->isMadeAhead()) as $id => $side) {
        foreach ([['with' => 0], ['on' => $kind]] as $where) {
            foreach ([10, 60, 180] as $minutes) {
                $name = "$id for $minutes ".json_encode($where, JSON_THROW_ON_ERROR);
                try {
                    $plan = sidePlan([['side' => $id, 'minutes' => $minutes] + $where], $dish + ['stages' => [['cooker' => $kind, 'pull' => true]]], $course);
                } catch (InvalidInput) {
                    continue;
                }
                [$times] = $plan->runSheet->sides;
                $lines = entriesById($plan);
                $isFirst = $times->cooker !== null && $times->onAt < $lines['d0.on']->at;
                $first += $isFirst ? 1 : 0;
                $goesOn = $isFirst ? $times->onAt : $lines['d0.on']->at;
                // Hands may begin with it sooner, so that it is hot in good time; and no cooker waits for anything empty.
                expect($lines['d0.preheat']->until <= $goesOn->modify('+1 second'))->toBeTrue($name)
                    ->and($lines['d0.preheat']->at < $goesOn)->toBeTrue($name)
                    ->and(abs($plan->fires[0]->plan->use->startsAt->getTimestamp() - $goesOn->getTimestamp()))->toBeLessThan(2, $name)
                    ->and(isset($lines['d0.light']) && $lines['d0.light']->at > $lines['d0.preheat']->at)->toBeFalse($name);
            }
        }
    }
    expect($first)->toBeGreaterThan(4);
})->with([
    'camp oven' => ['camp-oven', ['cut' => 'lamb-rack', 'mass_kg' => 1.2, 'taste' => 'medium'], []],
    'gas' => ['gas', ['cut' => 'lamb-rack', 'mass_kg' => 1.2, 'taste' => 'medium'], []],
    'kettle' => ['kettle', ['cut' => 'beef-fillet', 'mass_kg' => 0.8, 'taste' => 'medium_rare'], []],
    'ceramic' => ['ceramic', ['cut' => 'lamb-rack', 'mass_kg' => 0.8, 'taste' => 'medium'], []],
    'oven' => ['oven', ['cut' => 'fish-fillet', 'mass_kg' => 0.8, 'taste' => null, 'target_c' => 63], []],
    'a course before it' => ['kettle', ['course' => 2, 'cut' => 'beef-steak', 'mass_kg' => 0.3, 'taste' => null, 'target_c' => 55], ['course_minutes' => 90, 'people' => 2]],
]);

it('has a grate hold no more once the joint is off it', function () {
    $dish = ['mass_kg' => 2.0, 'rest_minutes' => 120, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 180, 'pull' => true]]];
    foreach ([['with' => 0], ['on' => 'kettle']] as $where) {
        foreach ([4 => false, 40 => true] as $people => $told) {
            $plan = sidePlan([['side' => 'diced-potatoes'] + $where], $dish, ['people' => $people]);
            expect($plan->runSheet->sides[0]->after)->toBe(0)
                ->and(in_array('place.room', clashes($plan), true))->toBe($told, json_encode([$where, $people], JSON_THROW_ON_ERROR));
        }
    }
});

it('keeps the fire up for whatever is on it, until it is off, however long the joint rests meanwhile', function (string $kind, int $celsius) {
    $outlasting = 0;
    foreach ([0, 10, 20, 30, 35, 40, 45, 50, 55, 60, 70, 90] as $rest) {
        $plan = sidePlan([['side' => 'diced-potatoes', 'on' => $kind]], ['rest_minutes' => $rest, 'stages' => [['cooker' => $kind, 'cooker_c' => $celsius, 'pull' => true]]]);
        $fire = $plan->fires[0]->plan;
        $ends = $fire->use->startsAt->getTimestamp() + 60.0 * $fire->use->untilMinutes;
        foreach ($plan->runSheet->sides as $side) {
            $off = $side->offAt->getTimestamp();
            expect($side->cooker)->toBe($kind)->and($ends)->toBeGreaterThanOrEqual($off);
            $pull = entriesById($plan)['d0.pull']->at->getTimestamp();
            $outlasting += $side->onAt->getTimestamp() < $pull - 200 && $off > $pull + 600 ? 1 : 0;
            // And as hot as it stands on the ticket.
            $minutes = ($off - $fire->use->startsAt->getTimestamp()) / 60.0;
            $stands = array_values(array_filter($fire->course, fn (array $at): bool => $at[0] <= $minutes));
            expect($stands[count($stands) - 1][1]->likely)->toEqualWithDelta((float) $side->cookerC, 25.0, "$rest min: {$side->dish->name}");
        }
    }
    expect($outlasting)->toBeGreaterThan(2);
})->with([['kettle', 180], ['ceramic', 190], ['gas', 180], ['oven', 180]]);
