<?php

declare(strict_types=1);

use Diatherm\Cooker\Equipment;
use Diatherm\Day\Entry;
use Diatherm\Plan\Plan;
use Diatherm\Roast\Beginning;
use Diatherm\Roast\RoastFile;

// Ways of cooking to begin with: sound as they stand, and as long as they take those who cook so. Common practice throughout.

function begun(string $id): Plan
{
    return Plan::of(Beginning::all()[$id]->at(new DateTimeImmutable('2031-10-04T18:45:00+02:00')), new DateTimeImmutable('2031-09-30T09:00:00+02:00'));
}

it('takes as long as it takes those who cook so', function (string $id, float $least, float $most) {
    $cook = begun($id)->forecast(0)->cookMinutes;
    // The band meets what is practised, and its middle is no further off than a fifth.
    expect($cook->low)->toBeLessThan($most)->and($cook->high)->toBeGreaterThan($least)
        ->and($cook->likely)->toBeGreaterThanOrEqual(0.8 * $least)->toBeLessThanOrEqual(1.2 * $most);
})->with([
    'a lamb on a charcoal spit' => ['spit-lamb', 300, 480],
    'a bird turned by an element' => ['element-turkey', 75, 100],
    'a bird on a can' => ['can-chicken', 70, 85],
    'filled breasts and their finish' => ['ceramic-breasts', 45, 60],
    'thighs in a pan, then charred' => ['char-thighs', 35, 45],
    'fish in a double parcel' => ['parcel-fish', 18, 25],
    'small fish over coals' => ['direct-fish', 8, 12],
    'a chicken on a spit' => ['spit-chicken', 75, 90],
    // 20 min a pound of 2.7 kg.
    'a leg before the rear burner' => ['spit-leg', 100, 130],
    'a bird in a lidded roaster' => ['roaster-turkey', 140, 190],
    'a rack in a camp oven' => ['camp-rack', 60, 75],
    'a scored fish' => ['scored-fish', 18, 22],
    // 45 min low, 15 min off, a sear.
    'a triangle on a kettle' => ['kettle-triangle', 60, 70],
    'a lamb over a trench' => ['trench-lamb', 240, 300],
    // An hour for two pounds of six and a half.
    'a breast in the ground' => ['buried-breast', 180, 220],
    'an opened chicken' => ['flat-chicken', 45, 60],
    'scored breasts beside coals' => ['kettle-breasts', 38, 55],
    // 12 to 16 h at 107 °C for 3 to 4.5 kg, 9 to 12 h at 121 °C: wrapped at the stall it is quicker.
    'a shoulder to pull' => ['kettle-shoulder', 540, 720],
    // 2½ to 3 h at 177 °C.
    'a duck whose fat runs' => ['kettle-duck', 150, 180],
]);

it('is pulled where those pull it who cook so', function (string $id, float $least, float $most) {
    expect(begun($id)->forecast(0)->pullC)->toBeGreaterThanOrEqual($least)->toBeLessThanOrEqual($most);
})->with([
    ['spit-lamb', 58, 66], ['element-turkey', 66, 74], ['char-thighs', 71, 80], ['spit-chicken', 74, 80],
    ['pastry-fillet', 49, 53], ['kettle-triangle', 47, 52], ['pellet-brisket', 88, 95], ['kettle-shoulder', 86, 95],
]);

it('begins with a table that one pair of hands lays, on cookers that have the room and one heat', function (string $id) {
    $plan = begun($id);
    $clashes = array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->clash !== null);
    expect(array_map(fn (Entry $entry): string => $entry->id->text(), $clashes))->toBe([])
        ->and($plan->places)->toBe([])
        ->and(RoastFile::read(RoastFile::write($plan->roast)))->toEqual($plan->roast)
        // Whom it is for are fed.
        ->and($plan->feeds[1])->toBeGreaterThanOrEqual($plan->roast->people);
})->with(fn () => array_keys(Beginning::all()));

it('says how long it takes from the first thing to do, so that its table is at an hour that can be met', function (string $id) {
    $beginning = Beginning::all()[$id];
    $now = new DateTimeImmutable('2031-10-01T09:00:00+02:00');
    $plan = Plan::of($beginning->at(new DateTimeImmutable('2031-10-04T18:45:00+02:00')), $now);
    $hours = ($plan->runSheet->earliestServeAt->getTimestamp() - $now->getTimestamp()) / 3600.0;
    expect($beginning->leadHours)->toBeGreaterThanOrEqual($hours)->toBeLessThan($hours + 1.1);
})->with(fn (): array => array_map(fn (string $id): array => [$id], array_keys(Beginning::all())));

// Common practice: the rack has a head start of a quarter of an hour or so before potatoes go in beside it.
it('gives the rack in the camp oven its head start', function () {
    $sheet = entriesById(begun('camp-rack'));
    $minutes = ($sheet['side.diced-potatoes.on']->at->getTimestamp() - $sheet['d0.on']->at->getTimestamp()) / 60.0;
    expect($minutes)->toBeGreaterThan(10.0)->toBeLessThan(30.0);
});

it('has a beginning for every cooker that is lit or switched on', function () {
    $used = [];
    foreach (Beginning::all() as $beginning) {
        foreach ($beginning->file['dishes'] as $dish) {
            array_push($used, ...array_column($dish['stages'], 'cooker'));
        }
    }
    expect(array_values(array_diff(Equipment::kinds(), $used)))->toBe([])
        ->and(count(Beginning::all()))->toBeGreaterThanOrEqual(20);
});

it('begins with nothing that lies too long in the danger zone', function (string $id) {
    foreach (begun($id)->dishes as $planned) {
        expect($planned->forecast->danger->breaches)->toBe([], "$id, {$planned->forecast->dish->name}");
    }
})->with(fn (): array => array_map(fn (string $id): array => [$id], array_keys(Beginning::all())));
