<?php

declare(strict_types=1);

use Diatherm\Day\Entry;
use Diatherm\Day\Progress;
use Diatherm\Day\Station;
use Diatherm\Food\Side;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Table;
use Diatherm\Plan\Plan;
use Diatherm\Roast\RoastFile;
use Tests\Support\Matrix;
use Tests\Support\Samples;

// One pair of hands does one thing at a time; what it cannot do is said. Common practice.

const A_WEEK_BEFORE = '2031-09-27T09:00:00+02:00';

/** @param  array<string, mixed>  $file */
function handsOf(array $file): Plan
{
    return Plan::of(RoastFile::read($file), new DateTimeImmutable(A_WEEK_BEFORE));
}

/** @return list<Entry> lines that ask for hands */
function handwork(Plan $plan): array
{
    return array_values(array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->work !== null && $entry->work->minutes > 0.0));
}

/** Work in the kitchen that can be left for a minute and taken up again. */
function canBeLeft(Entry $entry): bool
{
    return in_array($entry->id->what, ['take_out', 'rig', 'carve', 'between', 'prepare'], true)
        || ($entry->id->what === 'side' && ($entry->id->parts[1] ?? '') === 'ready');
}

/**
 * By how many seconds more is asked of the hands than they have, in the stretch of the day in which it is worst, by lines that nobody
 * is warned of. What has to be done in one go counts where it lies; what can be left counts wherever its whole room lies within.
 *
 * @param  array<string, Entry>  $free  the day when hands do not matter
 */
function unsaid(Plan $plan, array $free): int
{
    $whole = [];
    $left = [];
    foreach (handwork($plan) as $entry) {
        if ($entry->clash !== null) {
            continue;
        }
        $seconds = (int) round(60.0 * (float) $entry->work?->minutes);
        $at = $entry->at->getTimestamp();
        canBeLeft($entry)
            ? $left[] = [$at, max($at, $free[$entry->id->text()]->at->getTimestamp()) + $seconds, $seconds]
            : $whole[] = [$at, $at + $seconds];
    }
    $worst = 0;
    $ends = array_unique(array_column([...$whole, ...$left], 1));
    foreach (array_unique(array_column([...$whole, ...$left], 0)) as $from) {
        foreach ($ends as $to) {
            if ($to <= $from || $to - $from > 4 * 3600) {
                continue;
            }
            $asked = array_sum(array_map(fn (array $one): int => max(0, min($to, $one[1]) - max($from, $one[0])), $whole))
                + array_sum(array_map(fn (array $one): int => $one[0] >= $from && $one[1] <= $to ? $one[2] : 0, $left));
            $worst = max($worst, $asked - $plan->roast->hands * ($to - $from));
        }
    }

    return $worst;
}

it('puts no two things into one hand at once unless it says so, whatever is cooked on what, and keeps each in its window', function () {
    mt_srand(20311004);
    $sides = array_keys(Side::all());
    $files = array_values(Matrix::sample(61));
    foreach ($files as $i => $file) {
        $other = $files[mt_rand(0, count($files) - 1)];
        $file['dishes'] = [...$file['dishes'], ...($i % 2 === 0 ? $other['dishes'] : [])];
        $file['sides'] = array_map(fn (): array => ['side' => $sides[mt_rand(0, count($sides) - 1)]], range(1, mt_rand(1, 5)));
        $file['hands'] = mt_rand(1, 2);
        try {
            $plan = handsOf($file);
        } catch (InvalidInput) {
            continue;
        }
        $alone = Plan::of(RoastFile::read(['hands' => 4] + $file), new DateTimeImmutable(A_WEEK_BEFORE));
        $free = entriesById($alone);
        // What is done in passing, three quarters of a minute, is not worth a word.
        $said = count(array_filter(handwork($plan), fn (Entry $entry): bool => $entry->clash !== null));
        expect(unsaid($plan, $free))->toBeLessThanOrEqual(46 * (1 + count($plan->roast->dishes) + $said), json_encode($file['dishes'], JSON_THROW_ON_ERROR));
        foreach (handwork($plan) as $entry) {
            // Two dishes on one cooker: with more hands the other one goes on first, and has it lit.
            if (in_array($entry->id->what, ['light', 'preheat'], true) && ! isset($free[$entry->id->text()])) {
                continue;
            }
            // Four pairs of hands do it at its own hour, and the last things of a course at once instead of one after another; one
            // pair moves it inside its window and no further.
            $moved = ($entry->at->getTimestamp() - $free[$entry->id->text()]->at->getTimestamp()) / 60.0;
            $room = (float) $entry->work?->earlierMinutes + (float) $entry->work?->laterMinutes;
            expect(abs($moved))->toBeLessThanOrEqual($room + 35.0 + (canBeLeft($entry) ? 60.0 : 0.0), $entry->id->text());
        }
        $pulls = array_filter(handwork($plan), fn (Entry $entry): bool => in_array($entry->id->what, ['on', 'pull', 'carve'], true));
        foreach ($pulls as $entry) {
            expect($entry->work?->earlierMinutes)->toBe(0.0)->and($entry->work?->laterMinutes)->toBe(0.0);
        }
    }
});

it('has one joint carved after the other, and both before the table', function () {
    $file = Samples::file();
    $file['dishes'][] = $file['dishes'][0];
    $sheet = entriesById(handsOf($file));
    [$first, $second] = [$sheet['d0.carve'], $sheet['d1.carve']];
    // Two minutes a kilogram, 3 kg each: six minutes and six.
    expect(abs($first->at->getTimestamp() - $second->at->getTimestamp()))->toBe(360)
        ->and(max($first->at, $second->at)->getTimestamp() + 360)->toBe($sheet['serve']->at->getTimestamp());
    $two = entriesById(handsOf(['hands' => 2] + $file));
    expect($two['d0.carve']->at)->toEqual($two['d1.carve']->at)
        ->and($two['d1.carve']->clash)->toBeNull();
});

it('says what hands are at when they are wanted twice, and is quiet with a second pair', function () {
    // Two sears at once, both stood by from the first minute to the last.
    $steak = ['cut' => 'beef-steak', 'mass_kg' => 0.5, 'start_c' => 6, 'taste' => 'medium_rare', 'stages' => [
        ['cooker' => 'oven', 'cooker_c' => 120, 'until_core_c' => 40], ['cooker' => 'open-grate', 'hand_s' => 3, 'minutes' => 4],
    ]];
    $file = Samples::file([], ['dishes' => [['name' => 'A'] + $steak, ['name' => 'B', 'mass_kg' => 0.52] + $steak], 'sides' => [['side' => 'flat-bread', 'minutes' => 4]]]);
    $clashes = array_filter(handwork(handsOf($file)), fn (Entry $entry): bool => $entry->clash !== null);
    expect($clashes)->not->toBe([])
        ->and(said(reset($clashes)->clash))->toContain('One pair of hands is at “')->toContain('ask for another pair');
    expect(count(array_filter(handwork(handsOf(['hands' => 3] + $file)), fn (Entry $entry): bool => $entry->clash !== null)))
        ->toBeLessThan(count($clashes));
});

it('lifts a lid once for two things that are near each other', function () {
    $chores = [['do' => 'baste', 'every_minutes' => 0, 'from_minutes' => 40], ['do' => 'stock', 'every_minutes' => 0, 'from_minutes' => 43]];
    $file = Samples::file(['stages' => [['cooker' => 'oven', 'cooker_c' => 163, 'pull' => true, 'chores' => $chores]]]);
    $sheet = entriesById(handsOf($file));
    [$baste, $stock] = [$sheet['d0.chore.0.0.0'], $sheet['d0.chore.0.1.0']];
    expect($baste->work?->lid)->toBe('oven')->and($stock->work?->lid)->toBe('oven')
        // Two minutes of basting, and the stock at once after it, or before.
        ->and($stock->at->getTimestamp() - $baste->at->getTimestamp())->toBeIn([120, -60]);
});

it('knows for every line what it asks of hands and where', function () {
    $rows = Table::named('hands')['tasks'];
    foreach (Matrix::sample(43) as $file) {
        try {
            $plan = handsOf(['sides' => [['side' => 'rice'], ['side' => 'diced-potatoes']]] + $file);
        } catch (InvalidInput) {
            continue;
        }
        foreach ($plan->runSheet->entries as $entry) {
            $rests = in_array($entry->id->what, ['rest', 'serve', 'course'], true);
            // What is done only if a cook is slow has no hands kept for it: then everything after it is later too.
            $perhaps = $entry->title->id === 'fire_task.if_it_is_late';
            expect($entry->work)->not->toBeNull()->and($entry->work?->minutes > 0.0)->toBe(! $rests && ! $perhaps, $entry->id->text());
        }
    }
    foreach ($rows as $row) {
        expect(Station::tryFrom($row['place']))->not->toBeNull()->and($row['minutes'])->toBeGreaterThan(0);
    }
});

it('serves courses one after another: what belongs to the second is on the table twenty minutes later', function () {
    $soup = ['cut' => 'fish-fillet', 'mass_kg' => 0.9, 'start_c' => 5, 'taste' => 'flaking', 'stages' => [['cooker' => 'griddle', 'cooker_c' => 220, 'pull' => true]]];
    $file = Samples::file(['course' => 2], ['sides' => [['side' => 'greens', 'course' => 2], ['side' => 'flat-bread']]]);
    $file['dishes'][] = $soup;
    $one = entriesById(handsOf(Samples::file([], ['sides' => [['side' => 'greens']]])));
    $two = handsOf($file);
    $sheet = entriesById($two);
    $later = fn (string $id): int => intdiv($sheet[$id]->at->getTimestamp() - $one[$id]->at->getTimestamp(), 60);
    expect($later('d0.carve'))->toBe(20)->and($later('d0.on'))->toBe(20)->and($later('side.greens.off'))->toBe(20)
        ->and($sheet['serve']->at)->toEqual($one['serve']->at)
        ->and($sheet['d1.carve']->at < $sheet['serve']->at)->toBeTrue()
        ->and($two->roast->tableAt(2))->toEqual($two->roast->serveAt->modify('+20 minutes'));
    $far = handsOf(['course_minutes' => 45] + $file);
    expect(entriesById($far)['d0.carve']->at)->toEqual($sheet['d0.carve']->at->modify('+25 minutes'))
        ->and(RoastFile::read(RoastFile::write($far->roast)))->toEqual($far->roast);
});

it('moves everything with the table, and back', function () {
    $file = Samples::file([], ['sides' => [['side' => 'greens'], ['side' => 'pan-gravy'], ['side' => 'buttered-loaf']]]);
    $file['dishes'][] = ['cut' => 'chicken', 'mass_kg' => 1.8, 'start_c' => 5, 'taste' => 'done', 'stages' => [['cooker' => 'gas', 'cooker_c' => 180, 'pull' => true]]];
    $hours = fn (string $serve, int $less): array => array_map(
        fn (Entry $entry): int => $entry->at->getTimestamp() - $less,
        entriesById(handsOf(['serve_at' => $serve] + $file)),
    );
    $usual = $hours('2031-10-04T18:45:00+02:00', 0);
    expect($hours('2031-10-04T19:25:00+02:00', 40 * 60))->toBe($usual)->and($hours('2031-10-04T18:45:00+02:00', 0))->toBe($usual);
});

it('has all of a course wait for the slowest joint, and says so; a quick one moves nothing', function () {
    $file = Samples::file([], ['sides' => [['side' => 'greens'], ['side' => 'rice', 'course' => 2]]]);
    $file['dishes'][] = ['cut' => 'potatoes', 'mass_kg' => 0.2, 'start_c' => 15, 'taste' => 'soft', 'stages' => [['cooker' => 'oven', 'cooker_c' => 200, 'pull' => true]]];
    $roast = RoastFile::read($file);
    $table = $roast->serveAt;
    $planned = entriesById(Plan::of($roast, $table->modify('-4 hours')));
    $later = function (int $minutes) use ($roast, $planned): array {
        $on = $planned['d0.on']->at->modify("$minutes minutes");

        return entriesById(Plan::of($roast, $on, [new Progress(onAt: $on)]));
    };
    // An hour late on the heat: the slow end was spent in the rest, so the table is late by less than that, and everything by the same.
    $late = $later(60);
    $by = intdiv($late['serve']->at->getTimestamp() - $table->getTimestamp(), 60);
    expect($by)->toBeGreaterThan(10)->toBeLessThan(60)->and($by % 5)->toBe(0)
        ->and(said($late['serve']->detail))->toContain('asked for 18:45')
        ->and($late['side.greens.off']->at)->toEqual($planned['side.greens.off']->at->modify("+$by minutes"))
        ->and($late['d1.on']->at)->toEqual($planned['d1.on']->at->modify("+$by minutes"))
        ->and($late['side.rice.off']->at)->toEqual($planned['side.rice.off']->at->modify("+$by minutes"));
    $quick = $later(-30);
    expect($quick['serve']->at)->toEqual($table)->and($quick['side.greens.off']->at)->toEqual($planned['side.greens.off']->at)
        ->and(said($quick['serve']->detail))->toBe('9 to feed');
});

it('takes what shares a pot with a dish out with it, where it can wait from then on', function () {
    $side = fn (array $more): array => entriesById(handsOf(Samples::file(['cut' => 'lamb-rack', 'mass_kg' => 0.8, 'taste' => 'medium', 'rest_minutes' => 8, 'stages' => [['cooker' => 'camp-oven', 'cooker_c' => 200, 'pull' => true]]], ['sides' => [['side' => 'roots-in-stock', 'minutes' => 60] + $more]])));
    $with = $side(['with' => 0]);
    // Two minutes for the joint, then they follow: one lid, lifted once.
    expect($with['side.roots-in-stock.off']->at)->toEqual($with['d0.pull']->at->modify('+2 minutes'))->and($with['side.roots-in-stock.off']->clash)->toBeNull()
        ->and(said($with['side.roots-in-stock.on']->title))->toBe('Roots in stock in, before Rack of lamb')
        ->and(said($side([])['side.roots-in-stock.on']->title))->toBe('Roots in stock on');
    // A joint that rests for an hour cannot have them wait for it.
    $long = entriesById(handsOf(Samples::file(['rest_minutes' => 60], ['sides' => [['side' => 'roots-in-stock', 'minutes' => 60, 'with' => 0]]])));
    expect($long['side.roots-in-stock.off']->at > $long['d0.pull']->at->modify('+30 minutes'))->toBeTrue();
    expect(fn () => RoastFile::read(Samples::file([], ['sides' => [['side' => 'rice', 'with' => 1]]])))->toThrow(InvalidInput::class);
});

it('does handwork between two steps where it belongs, and what it lays round the meat slows what comes after alone', function () {
    $fillet = ['cut' => 'beef-fillet', 'mass_kg' => 1.4, 'start_c' => 6, 'taste' => 'medium_rare', 'preparations' => [], 'stages' => [
        ['cooker' => 'griddle', 'cooker_c' => 230, 'minutes' => 6],
        ['cooker' => 'fridge', 'minutes' => 120],
        ['cooker' => 'oven', 'cooker_c' => 200, 'pull' => true, 'preparations' => ['mushrooms', 'pastry']],
    ]];
    $plan = handsOf(Samples::file($fillet));
    $sheet = entriesById($plan);
    $baked = $sheet['d0.stage.2']->at;
    // Pastry takes 24 minutes of hands (data/preparations.json), and five more for the greens or the oven that come between at the
    // most; mushrooms ten before it.
    $rolled = intdiv($baked->getTimestamp() - $sheet['d0.between.2.pastry']->at->getTimestamp(), 60);
    expect($rolled)->toBeGreaterThanOrEqual(24)->toBeLessThanOrEqual(29)
        ->and(intdiv($sheet['d0.between.2.pastry']->at->getTimestamp() - $sheet['d0.between.2.mushrooms']->at->getTimestamp(), 60))->toBe(10)
        ->and(said($sheet['d0.stage.1']->title))->toBe('Fillet of beef, whole into the refrigerator')
        ->and(said($sheet['d0.stage.1']->detail))->toContain('under 21 °C within two hours')
        ->and(RoastFile::read(RoastFile::write($plan->roast)))->toEqual($plan->roast);
    $bare = handsOf(Samples::file(['stages' => [$fillet['stages'][0], $fillet['stages'][1], ['preparations' => []] + $fillet['stages'][2]]] + $fillet));
    $bake = fn (Plan $one): float => $one->forecast(0)->cookMinutes->likely - $one->forecast(0)->stageStartMinutes[2];
    $lined = handsOf(Samples::file(['stages' => [$fillet['stages'][0], $fillet['stages'][1], ['preparations' => ['mushrooms']] + $fillet['stages'][2]]] + $fillet));
    // Pastry keeps the water in as well, which quickens it about as much as its layer slows it; mushrooms only slow it.
    expect($bake($plan))->toBeGreaterThan(0.97 * $bake($bare))->and($bake($lined))->toBeGreaterThan(1.04 * $bake($bare))
        // It is chilled for the two hours that were asked for, and longer by the 34 minutes of handwork (10 and 24).
        ->and($plan->forecast(0)->stageStartMinutes[2])->toEqualWithDelta($bare->forecast(0)->stageStartMinutes[2] + 34.2, 0.3)
        // Chilled, its middle is colder than it was after the sear.
        ->and($plan->forecast(0)->trace->coreAt(60.0 * $plan->forecast(0)->stageStartMinutes[2]))->toBeLessThan(12.0);
    foreach (['rub', 'marinate_oil', 'spread', 'stuff', 'thaw_water'] as $id) {
        $stages = $fillet['stages'];
        $stages[2]['preparations'] = [$id];
        $takes = $id === 'spread';
        $read = fn () => RoastFile::read(Samples::file(['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => 'done', 'stages' => $stages]));
        $takes ? expect($read()->dishes[0]->stages[2]->preparations[0]->id)->toBe('spread') : expect($read)->toThrow(InvalidInput::class);
    }
});

it('ends a step when it is brown, by the clock in its forecast and by the eye on the sheet', function () {
    $file = Samples::file(['stages' => [['cooker' => 'kettle', 'cooker_c' => 150, 'until_core_c' => 55], ['cooker' => 'kettle', 'cooker_c' => 230, 'until_brown' => 12]]]);
    $plan = handsOf($file);
    $sheet = entriesById($plan);
    expect(intdiv($sheet['d0.pull']->at->getTimestamp() - $sheet['d0.stage.1']->at->getTimestamp(), 60))->toBe(12)
        ->and(said($sheet['d0.pull']->detail))->toStartWith('When it is brown, after about 12 min')
        ->and(RoastFile::read(RoastFile::write($plan->roast)))->toEqual($plan->roast);
});
