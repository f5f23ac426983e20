<?php

declare(strict_types=1);

use Diatherm\Day\Act;
use Diatherm\Day\Entry;
use Diatherm\Food\Larder;
use Diatherm\Food\OrderOfWork;
use Diatherm\Food\Preparation;
use Diatherm\Measure\InvalidInput;
use Diatherm\Plan\Plan;
use Diatherm\Roast\Beginning;
use Diatherm\Roast\RoastFile;
use Tests\Support\Samples;

// In which order food is worked on, against the practice of those who do it. Common practice throughout.

const DAYS_BEFORE = '2031-09-28T09:00:00+02:00';

/** @return list<string> what is done to the first dish, as it stands on the sheet, its step where it is done between two */
function orderOn(Plan $plan): array
{
    $lines = array_filter(
        $plan->runSheet->entries,
        fn (Entry $entry): bool => $entry->dish === 0 && in_array($entry->id->what, ['prepare', 'take_out', 'rig', 'on', 'between', 'stage', 'pull', 'carve', 'marinade', 'make'], true),
    );

    return array_values(array_map(fn (Entry $entry): string => match ($entry->id->what) {
        'prepare' => (string) $entry->id->parts[0],
        'between' => (string) $entry->id->parts[1],
        'stage' => 'step '.$entry->id->parts[0],
        default => $entry->id->what,
    }, $lines));
}

it('has the work of each way in the order in which its cooks do it', function (string $id, string $order) {
    expect(implode(' > ', orderOn(Plan::of(Beginning::all()[$id]->at(new DateTimeImmutable('2031-10-04T18:45:00+02:00')), new DateTimeImmutable(DAYS_BEFORE)))))->toBe($order);
})->with([
    // Tied before it is filled, sewn once it is, the paste before the rub.
    'a lamb on a spit' => [
        'spit-lamb', 'make-rub > fold > salt_inside > aromatics > sew > spread > rub > take_out > rig > on > make > pull > carve',
    ],
    'a bird by the element' => ['element-turkey', 'giblets > dry_skin > take_out > truss > rig > on > pull > carve'],
    'a bird on a can' => ['can-chicken', 'make-rub > salt_inside > rub > take_out > stand > rig > on > pull > carve'],
    'filled breasts' => [
        'ceramic-breasts', 'make-fill > pound > salt_inside > fill > roll > bard > pins > rest_cold > take_out > rig > on > step 1 > step 2 > pull > carve',
    ],
    'thighs in yoghurt' => ['char-thighs', 'make-marinate_yoghurt > marinate_yoghurt > take_out > make > rig > on > dip > step 1 > pull > carve'],
    'a parcel of fish' => ['parcel-fish', 'make-dressing > dressing > parcel > rest_cold > take_out > rig > on > pull > carve'],
    'small whole fish' => ['direct-fish', 'take_out > clean > salt_inside > oil > rig > on > pull > carve'],
    'a chicken on a spit' => ['spit-chicken', 'make-rub > giblets > truss > spread > rub > take_out > rig > on > make > pull > carve'],
    'a leg before the burner' => [
        'spit-leg', 'make-marinate_oil > pockets > marinate_oil > take_out > truss > rig > on > marinade > pull > carve',
    ],
    'a bird in the roaster' => [
        'roaster-turkey', 'make-butter > take_out > giblets > butter > salt_inside > aromatics > truss > rig > on > pull > carve',
    ],
    'a fillet in pastry' => [
        'pastry-fillet', 'take_out > rig > on > step 1 > step 2 > spread > mushrooms > step 3 > pastry > step 4 > own-1 > step 5 > pull > carve',
    ],
    'a rack in a camp oven' => ['camp-rack', 'take_out > crowd > rig > on > pull > carve'],
    'a scored fish' => [
        'scored-fish', 'make-marinate_fish > clean > score > marinate_fish > take_out > aromatics > rig > marinade > on > pull > carve',
    ],
    'a triangular roast' => ['kettle-triangle', 'make-rub > trim > rub > take_out > rig > on > step 1 > step 2 > pull > carve'],
    'a frame over a trench' => ['trench-lamb', 'take_out > own-1 > salt_inside > rig > on > pull > carve'],
    'a pot in the ground' => ['buried-breast', 'make-butter > take_out > butter > bard > rig > on > pull > carve'],
    'an opened bird' => ['flat-chicken', 'make-butter > take_out > giblets > backbone > butter > rig > on > pull > carve'],
    'scored breasts' => ['kettle-breasts', 'make-rub > score > rub > take_out > crumbs > rig > on > pull > carve'],
]);

// Each line: what comes first, and what does not.
it('has what nature has first before the other, however they were asked for', function (string $cut, string $first, string $then) {
    $ask = fn (array $ids): array => array_column(RoastFile::read(Samples::file([
        'cut' => $cut, 'mass_kg' => Larder::cut($cut)->typicalMassKg, 'taste' => null, 'target_c' => 75, 'preparations' => $ids,
    ]))->dishes[0]->preparations, 'id');
    expect($ask([$first, $then]))->toBe([$first, $then])->and($ask([$then, $first]))->toBe([$first, $then]);
})->with([
    'thawed before anything' => ['turkey', 'thaw_fridge', 'giblets'], 'pounded before it is wrapped' => ['chicken-breast', 'pound', 'bard'],
    'filled before it is rolled' => ['chicken-breast', 'fill', 'roll'], 'wrapped before it is pinned' => ['chicken-breast', 'bard', 'pins'],
    'herbs in before the parcel is closed' => ['fish-whole', 'aromatics', 'parcel'], 'butter in before the legs are tied' => ['chicken', 'butter', 'truss'],
    'filled before the legs are tied' => ['turkey', 'stuff', 'truss'], 'filled before it is sewn' => ['turkey', 'stuff', 'sew'],
    'tied to fit before it is filled' => ['lamb-whole', 'fold', 'aromatics'],
    'rubbed before it is stuffed' => ['turkey', 'rub', 'stuff'],
    'brined before it is dried' => ['chicken', 'wet_brine', 'dry_skin'], 'mustard under the mushrooms' => ['beef-fillet', 'spread', 'mushrooms'],
    'mushrooms under the pastry' => ['beef-fillet', 'mushrooms', 'pastry'], 'scored before the salt' => ['pork-belly', 'score', 'dry_brine'],
    'slits before the marinade' => ['lamb-leg', 'pockets', 'marinate_oil'], 'salt inside before it is closed' => ['fish-whole', 'salt_inside', 'sew'],
]);

// Stuffed just before it is cooked, never the night before. Source: USDA FSIS, Turkey Basics: Stuffing.
it('lays no wait between the stuffing and the heat', function (string $cut) {
    foreach (array_keys(Preparation::all()) as $id) {
        if (! Preparation::named($id)->suits(Larder::cut($cut)) || in_array($id, ['stuff', 'pastry'], true)) {
            continue;
        }
        $plan = Plan::of(Samples::roast([
            'cut' => $cut, 'mass_kg' => Larder::cut($cut)->typicalMassKg, 'taste' => null, 'target_c' => 75, 'preparations' => ['stuff', 'sew', $id === 'sew' ? 'oil' : $id],
            'stages' => [['cooker' => 'oven', 'cooker_c' => 180, 'pull' => true]],
        ]), new DateTimeImmutable(DAYS_BEFORE));
        $at = [];
        foreach ($plan->runSheet->entries as $entry) {
            $at[$entry->id->text()] = $entry->at->getTimestamp();
        }
        expect(($at['d0.on'] - $at['d0.prepare.stuff']) / 60.0)->toBeLessThan(110.0, "$cut $id");
    }
    expect(fn () => Samples::roast([
        'cut' => $cut, 'mass_kg' => Larder::cut($cut)->typicalMassKg, 'taste' => null, 'target_c' => 75, 'preparations' => ['stuff', ['own' => 'Leave it overnight', 'hours' => 10, 'cold' => true]],
    ]))->toThrow(InvalidInput::class);
})->with(['chicken', 'turkey', 'duck', 'fish-whole']);

it('leaves the order to the cook where nature has none', function () {
    $ask = fn (array $ids): array => array_column(RoastFile::read(Samples::file([
        'cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => 'done', 'preparations' => $ids,
    ]))->dishes[0]->preparations, 'id');
    foreach ([['rub', 'butter'], ['truss', 'dry_skin'], ['aromatics', 'butter'], ['oil', 'rub']] as $pair) {
        expect($ask($pair))->toBe($pair)->and($ask(array_reverse($pair)))->toBe(array_reverse($pair));
    }
});

/** @return list<string> that suit a cut and go together */
function someWork(string $cut): array
{
    $suiting = array_values(array_filter(Preparation::all(), fn (Preparation $one): bool => $one->suits(Larder::cut($cut))));
    shuffle($suiting);

    return array_column(array_slice($suiting, 0, mt_rand(1, min(14, count($suiting)))), 'id');
}

it('orders any work of any cut once, before what waits for it, and the same again', function () {
    mt_srand(2801);
    foreach (array_keys(Larder::cuts()) as $cut) {
        for ($round = 0; $round < 12; $round++) {
            $ids = someWork($cut);
            $ordered = OrderOfWork::of(array_map(Preparation::named(...), $ids));
            expect(array_column($ordered, 'id'))->toEqualCanonicalizing($ids)->and(OrderOfWork::of($ordered))->toBe($ordered);
            foreach ($ordered as $i => $one) {
                foreach (array_slice($ordered, $i + 1) as $later) {
                    expect(OrderOfWork::precedes($later, $one))->toBeFalse("$cut: $later->id before $one->id");
                }
            }
        }
    }
});

it('needs nothing that waits for itself, over the whole table', function () {
    $left = Preparation::all();
    while ($left !== []) {
        $free = array_filter($left, fn (Preparation $one): bool => array_intersect(OrderOfWork::before($one), array_keys($left)) === []);
        expect($free)->not->toBe([], implode(', ', array_keys($left)));
        $left = array_diff_key($left, $free);
    }
});

// Random meals: nothing is done before what it needs, none of it is worked on from the fire on, and nothing is out of the order of its dish.
it('has no work on a sheet before what it needs', function () {
    mt_srand(2802);
    $laid = 0;
    for ($round = 0; $round < 120; $round++) {
        $dishes = array_map(function (): array {
            $cut = array_rand(Larder::cuts());

            return [
                'cut' => $cut, 'mass_kg' => Larder::cut($cut)->typicalMassKg, 'taste' => null, 'target_c' => 75, 'preparations' => someWork($cut),
                'form' => 'whole', 'stages' => [['cooker' => ['kettle', 'oven', 'gas'][mt_rand(0, 2)], 'cooker_c' => 190, 'pull' => true]],
            ];
        }, range(1, mt_rand(1, 3)));
        try {
            $plan = Plan::of(RoastFile::read(Samples::file([], ['dishes' => $dishes])), new DateTimeImmutable(DAYS_BEFORE));
        } catch (InvalidInput) {
            continue;
        }
        $laid++;
        foreach ($plan->dishes as $number => $planned) {
            $at = [];
            foreach ($plan->runSheet->entries as $entry) {
                if ($entry->dish === $number && in_array($entry->act, [Act::Prepare, Act::TakeOut, Act::Rig, Act::On], true)) {
                    $at[$entry->id->what === 'prepare' ? $entry->id->parts[0] : $entry->id->what] = $entry->at->getTimestamp();
                }
            }
            $work = array_column($planned->forecast->dish->work(), 'id');
            foreach (array_slice($work, 1) as $i => $id) {
                expect($at[$id])->toBeGreaterThanOrEqual($at[$work[$i]], "$round.$number: $id before $work[$i]");
            }
            foreach ($work as $id) {
                expect($at[$id])->toBeLessThanOrEqual($at['rig'], "$round.$number: $id after the rig");
            }
        }
    }
    expect($laid)->toBeGreaterThan(50);
});

it('takes the time that the cook says, and a step of their own in its place', function () {
    $plan = Plan::of(Samples::roast(['cut' => 'chicken-legs', 'mass_kg' => 0.16, 'pieces' => 8, 'taste' => 'done', 'preparations' => [
        ['do' => 'marinate_yoghurt', 'hours' => 18], ['own' => 'Wipe off the marinade', 'minutes' => 7], ['own' => 'Air them in the cold', 'hours' => 1.5, 'cold' => true], 'oil',
    ]]), new DateTimeImmutable(DAYS_BEFORE));
    $lines = array_values(array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->id->what === 'prepare'));
    $long = fn (Entry $line): float => ($line->until->getTimestamp() - $line->at->getTimestamp()) / 3600.0;
    expect(array_map(fn (Entry $line): string => (string) $line->id->parts[0], $lines))->toBe(['make-marinate_yoghurt', 'marinate_yoghurt', 'own-1', 'own-2', 'oil'])
        // Eighteen hours, to a fifth, for the sake of the night.
        ->and($long($lines[1]))->toBeGreaterThan(14.3)->toBeLessThan(21.7)
        ->and(60.0 * $long($lines[2]))->toEqualWithDelta(7.0, 0.1)->and($long($lines[3]))->toEqualWithDelta(1.5, 0.01)
        ->and(said($lines[2]->title))->toContain('Wipe off the marinade');
    $written = RoastFile::write($plan->roast);
    expect(RoastFile::read($written))->toEqual($plan->roast)->and($written['dishes'][0]['preparations'])->toBe([
        ['do' => 'marinate_yoghurt', 'hours' => 18.0], ['own' => 'Wipe off the marinade', 'minutes' => 7.0],
        ['own' => 'Air them in the cold', 'hours' => 1.5, 'cold' => true], 'oil',
    ]);
});

// Perishable food is out for two hours at the most. Source: USDA FSIS, Danger Zone (40 °F – 140 °F).
it('counts a step of the cook’s own in the room against the two hours, and one in the cold not', function () {
    $breaches = fn (bool $cold): array => Plan::of(
        Samples::roast(['preparations' => [['own' => 'Leave it', 'hours' => 2.5, 'cold' => $cold]]]), new DateTimeImmutable(DAYS_BEFORE),
    )->forecast(0)->danger->breaches;
    expect($breaches(false))->not->toBe([])->and($breaches(true))->toBe([]);
});

it('refuses handwork that does not suit the cut, or a time that is none, at its field', function (mixed $one, string $path) {
    try {
        RoastFile::read(Samples::file(['cut' => 'beef-fillet', 'mass_kg' => 1.4, 'taste' => 'medium_rare', 'preparations' => ['trim', $one]]));
        $refused = [];
    } catch (InvalidInput $wrong) {
        $refused = array_keys($wrong->messages);
    }
    expect($refused)->toContain("dishes.0.preparations.1$path");
})->with([
    'nothing ties a fillet’s legs' => ['fold', ''], 'no butter under a skin that is not there' => ['butter', ''], 'unknown' => [['do' => 'sing'], ''],
    'hours of hands' => [['do' => 'truss', 'hours' => 2], '.hours'], 'minutes of waiting' => [['do' => 'rub', 'minutes' => 2], '.minutes'],
    'a year' => [['do' => 'rub', 'hours' => 8760], '.hours'], 'none of its own words' => [['own' => ' ', 'minutes' => 2], '.own'],
    'both' => [['own' => 'Sing', 'minutes' => 2, 'hours' => 1], '.minutes'], 'no such mix' => [['do' => 'rub', 'mix' => 'gold'], '.mix'],
    'a mix without items' => [['do' => 'rub', 'mix' => ['name' => 'Empty', 'items' => []]], '.mix.items'], 'a misspelt key' => [['do' => 'rub', 'hrs' => 3], '.hrs'],
]);

it('leaves out of an older file what does not suit its cut, and calls by its new name what had another', function () {
    $read = fn (int $version): array => array_column(RoastFile::read(
        ['version' => $version] + Samples::file(['cut' => 'lamb-whole', 'mass_kg' => 15, 'taste' => null, 'target_c' => 63, 'preparations' => ['truss', 'sew', 'butter']]),
    )->dishes[0]->preparations, 'id');
    expect($read(2))->toBe(['fold', 'sew'])->and(fn () => $read(3))->toThrow(InvalidInput::class);
});
