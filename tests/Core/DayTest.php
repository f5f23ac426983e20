<?php

declare(strict_types=1);

use Diatherm\Day\Act;
use Diatherm\Day\Entry;
use Diatherm\Day\HeatSpan;
use Diatherm\Day\KitItem;
use Diatherm\Day\PreparationPlan;
use Diatherm\Day\Progress;
use Diatherm\Day\Timing;
use Diatherm\Food\Larder;
use Diatherm\Food\Preparation;
use Diatherm\Measure\InvalidInput;
use Diatherm\Plan\Plan;
use Diatherm\Roast\RoastFile;
use Tests\Support\Matrix;
use Tests\Support\Samples;

// The day worked out by hand: every hour follows from the table's, and none is left out.

const MORNING = '2031-10-04T05:00:00+02:00';

/** @param  array<string, mixed>  $file  @return Plan|null null for a cook that cannot be */
function planOf(array $file): ?Plan
{
    try {
        return Plan::of(RoastFile::read($file), new DateTimeImmutable('2031-09-20T06:00:00Z'));
    } catch (InvalidInput) {
        return null;
    }
}

/** @return array<string, float> minutes before the table at which each thing of the first dish is due, by act */
function beforeTable(Plan $plan): array
{
    $table = $plan->roast->serveAt->getTimestamp();
    $minutes = [];
    foreach (array_reverse($plan->runSheet->entries) as $entry) {
        $minutes[$entry->act->value] = ($table - $entry->at->getTimestamp()) / 60.0;
    }

    return $minutes;
}

// Worked by hand for a rack of 3 kg with 15 min of rest: carving 2 min a kilogram, 6 min; before that the rest; before that the
// slow end of the cook; the rig 15 min before it goes on; the coals lit and grey before that.
it('counts back from the table: carving, rest, the slow end, rig, fire', function () {
    $plan = Plan::of(Samples::roast(['rest_minutes' => 15]), new DateTimeImmutable(MORNING));
    $forecast = $plan->forecast(0);
    $before = beforeTable($plan);
    $cooker = $forecast->dish->stages[0]->cooker;
    $on = $forecast->cookMinutes->high + 15.0 + 6.0;
    expect(Timing::carveMinutes($forecast->dish))->toBe(6.0)
        ->and($before['serve'])->toBe(0.0)
        // What the cook is quicker than its slow end is spent in the rest: the knife waits for the table.
        ->and($before['carve'])->toEqualWithDelta(6.0, 0.1)
        ->and($before['pull'])->toEqualWithDelta($on - $forecast->cookMinutes->likely, 0.2)
        ->and($before['on'])->toEqualWithDelta($on, 0.1)
        ->and($before['rig'])->toEqualWithDelta($on + 15.0, 0.1)
        ->and($before['preheat'])->toEqualWithDelta($on + $cooker->preheatMinutes, 0.1)
        ->and($before['light'])->toEqualWithDelta($on + $cooker->preheatMinutes + $cooker->lightMinutes, 0.1)
        // Pat dry and season, ten minutes, before it is rigged: it is out of the cold no sooner than that, where it need not warm.
        ->and($before['take_out'])->toBeGreaterThanOrEqual($on + 25.0 - 0.1);
});

// Common practice: two minutes a kilogram, no less than five, no more than half an hour.
it('carves as long as a joint is big', function (string $cut, float $kg, int $pieces, float $minutes) {
    $dish = Samples::dish(['cut' => $cut, 'mass_kg' => $kg, 'pieces' => $pieces, 'taste' => null, 'target_c' => 75]);
    expect(Timing::carveMinutes($dish))->toBe($minutes);
})->with([['chicken', 1.8, 1, 5.0], ['chicken', 1.8, 3, 11.0], ['turkey', 8.0, 1, 16.0], ['lamb-whole', 18.0, 1, 30.0], ['potatoes', 0.2, 20, 2.0]]);

it('has everything ready before the table at the slow end, whatever is cooked on what', function () {
    foreach (Matrix::sample(97) as $name => $file) {
        $plan = planOf($file);
        if ($plan === null) {
            continue;
        }
        $entries = $plan->runSheet->entries;
        $times = array_map(fn (Entry $entry): int => $entry->at->getTimestamp(), $entries);
        $sorted = $times;
        sort($sorted);
        expect($times)->toBe($sorted, $name)
            ->and(count(entriesById($plan)))->toBe(count($entries), $name);
        $forecast = $plan->forecast(0);
        $before = beforeTable($plan);
        $needs = $forecast->cookMinutes->high + $forecast->dish->leastRestMinutes() + Timing::carveMinutes($forecast->dish);
        expect($before['on'])->toEqualWithDelta($needs, 0.1, $name)
            ->and($before['carve'])->toBeGreaterThanOrEqual(Timing::carveMinutes($forecast->dish) - 0.1, $name);
    }
});

it('lists the kit in the order that it is needed in, each thing once, and nothing after its need', function () {
    foreach (Matrix::sample(151) as $name => $file) {
        $plan = planOf($file + ['dark_at' => '19:00']);
        if ($plan === null) {
            continue;
        }
        $needs = array_map(fn (KitItem $item): int => $item->neededBy?->getTimestamp() ?? 0, $plan->kit);
        $sorted = $needs;
        sort($sorted);
        expect($needs)->toBe($sorted, $name)
            ->and(count(array_unique(array_column($plan->kit, 'id'))))->toBe(count($plan->kit), $name);
    }
});

it('sorts the kit of several dishes into one list, whichever goes on first', function () {
    $late = ['cut' => 'fish-whole', 'mass_kg' => 1.2, 'taste' => 'flaking', 'preparations' => ['stuff', 'sew'], 'stages' => [['cooker' => 'gas', 'cooker_c' => 200, 'pull' => true]]];
    $early = ['cut' => 'pork-shoulder', 'mass_kg' => 3.5, 'taste' => null, 'target_c' => 92, 'rig' => ['kind' => 'pot'], 'stages' => [['cooker' => 'camp-oven', 'cooker_c' => 150, 'pull' => true]]];
    foreach ([[$late, $early], [$early, $late]] as $dishes) {
        $kit = Plan::of(RoastFile::read(['dark_at' => '12:00', 'dishes' => $dishes] + Samples::file()), new DateTimeImmutable('2031-10-03T06:00:00+02:00'))->kit;
        $needs = array_map(fn (KitItem $item): int => $item->neededBy?->getTimestamp() ?? 0, $kit);
        $sorted = $needs;
        sort($sorted);
        expect($needs)->toBe($sorted)->and(array_column($kit, 'id'))->toContain('needle', 'lifter', 'headlamp', 'gas');
    }
});

it('packs for what burns: wood for a pot on coals of wood, a chimney where charcoal is laid', function (?string $fuel, array $has, array $not) {
    $lamb = ['cut' => 'lamb-leg', 'mass_kg' => 2.2, 'taste' => 'medium', 'stages' => [['cooker' => 'camp-oven', 'cooker_c' => 175, 'pull' => true]]];
    $fires = $fuel === null ? [] : ['fires' => [['cooker' => 'camp-oven', 'fuel' => $fuel]]];
    $kit = array_column(Plan::of(Samples::roast($lamb, $fires), new DateTimeImmutable(MORNING))->kit, 'id');
    expect(array_intersect($kit, $has))->toHaveCount(count($has))->and(array_intersect($kit, $not))->toBe([]);
})->with([['hardwood', ['wood', 'shovel'], ['charcoal', 'chimney']], ['lump', ['charcoal'], ['wood', 'shovel']], [null, ['charcoal'], ['wood', 'shovel']]]);

it('promises the earliest hour that the slow end and every task before it allow', function () {
    $now = new DateTimeImmutable('2031-10-04T18:00:00+02:00');
    $plan = Plan::of(Samples::roast(), $now);
    $forecast = $plan->forecast(0);
    $cooker = $forecast->dish->stages[0]->cooker;
    $slow = $forecast->cookMinutes->high + $forecast->dish->leastRestMinutes() + Timing::carveMinutes($forecast->dish);
    $least = $slow + max(25.0, $cooker->preheatMinutes + $cooker->lightMinutes);
    $promised = ($plan->runSheet->earliestServeAt->getTimestamp() - $now->getTimestamp()) / 60.0;
    expect($plan->runSheet->isTooLate())->toBeTrue()
        ->and($promised)->toBeGreaterThanOrEqual($least - 0.1)->toBeLessThan($least + Diatherm\Safety\Clocks::allowedMinutes(14.0))
        ->and(fmod($plan->runSheet->earliestServeAt->getTimestamp(), 300.0))->toBe(0.0);
    // Once it is on, only what is still to come counts: it went on an hour ago.
    $begun = $plan->followedBy([new Progress(onAt: $now->modify('-60 minutes'))], $now);
    expect(($begun->runSheet->earliestServeAt->getTimestamp() - $now->getTimestamp()) / 60.0)->toEqualWithDelta($slow - 60.0, 5.1)
        ->and(($begun->runSheet->readyAt->getTimestamp() - $now->getTimestamp()) / 60.0)
        ->toEqualWithDelta($forecast->cookMinutes->likely - 60.0 + $forecast->dish->leastRestMinutes() + Timing::carveMinutes($forecast->dish), 0.2);
});

it('calls a thing late two minutes after its hour, and never a chore or a look', function () {
    $roast = Samples::roast(['stages' => [['cooker' => 'kettle', 'cooker_c' => 150, 'pull' => true, 'chores' => [['do' => 'baste', 'every_minutes' => 30]]]]]);
    $plan = Plan::of($roast, new DateTimeImmutable(MORNING));
    $on = array_values(array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->act === Act::On))[0];
    $late = function (int $seconds) use ($roast, $on): bool {
        $sheet = Plan::of($roast, $on->at->modify("+$seconds seconds"))->runSheet;

        return array_values(array_filter($sheet->entries, fn (Entry $entry): bool => $entry->act === Act::On))[0]->late;
    };
    expect($late(0))->toBeFalse()->and($late(115))->toBeFalse()->and($late(130))->toBeTrue();
});

// What comes before is done one after another, each as long as it helps, and the hands' work last; no longer than there is time.
it('lays preparations out before the cook, in order, within what helps', function (string $cut, array $ids) {
    foreach ([72.0, 30.0, 6.0] as $hours) {
        $file = Samples::file(['cut' => $cut, 'mass_kg' => Larder::cut($cut)->typicalMassKg, 'taste' => null, 'target_c' => 75, 'preparations' => $ids]);
        $roast = RoastFile::read($file);
        $plan = Plan::of($roast, $roast->serveAt->modify(sprintf('-%d minutes', (int) (60 * $hours))));
        $windows = array_values(array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->id->what === 'prepare'));
        $on = array_values(array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->act === Act::On))[0]->at;
        foreach ($windows as $i => $entry) {
            $named = (string) $entry->id->parts[0];
            $work = array_column($roast->dishes[0]->work(), null, 'id');
            [$least, , $most] = array_values((array) $roast->dishes[0]->windowOf($work[$named]));
            // Handwork may be left for the fire and taken up again.
            $left = $entry->work?->minutes > 0.0 && 60.0 * $most <= 60.0 ? 60.0 : 1.0;
            $minutes = (($entry->until?->getTimestamp() ?? 0) - $entry->at->getTimestamp()) / 60.0;
            expect($entry->until)->toBeLessThanOrEqual($on)
                ->and($minutes)->toBeGreaterThanOrEqual(60.0 * $least - 1.0)->toBeLessThanOrEqual(60.0 * $most + $left)
                ->and($entry->latest)->toBeGreaterThanOrEqual($entry->at);
            if (isset($windows[$i + 1])) {
                expect($entry->until)->toBeLessThanOrEqual($windows[$i + 1]->at->modify('+1 minute'));
            }
        }
        expect(array_diff($ids, array_map(fn (Entry $entry): string => (string) $entry->id->parts[0], $windows)))->toBe([])
            ->and(PreparationPlan::leastMinutes($roast->dishes[0]))->toBeGreaterThan(0.0);
    }
})->with([['turkey', ['dry_brine', 'dry_skin', 'truss']], ['lamb-leg', ['marinate_yoghurt', 'truss']], ['fish-whole', ['marinate_fish', 'stuff']], ['pork-loin', ['wet_brine', 'rub']]]);

// Nobody gets up at half past three for a marinade: oil and herbs want 2 to 8 hours and bear 24, yoghurt 6 to 18 (data/preparations.json).
it('begins nothing between ten in the evening and seven in the morning that can begin at another hour', function (string $what, string $ends, float $hoursThere, string $begins) {
    $dish = Samples::dish(['cut' => 'lamb-leg', 'mass_kg' => 2.2, 'taste' => 'medium', 'preparations' => [['do' => $what, 'mix' => 'none']]]);
    $end = new DateTimeImmutable("2031-10-04T$ends:00+02:00");
    // It comes out of the cold an hour before it goes on.
    $on = $end->modify('+60 minutes');
    $plan = PreparationPlan::of($dish, -60.0, -15.0, -60.0 - 60.0 * $hoursThere, $on);
    expect(Timing::after($on, $plan->windows[0][1])->format('D H:i'))->toBe($begins)
        ->and($plan->windows[0][2])->toBe(-60.0);
})->with([
    'at seven sharp' => ['marinate_oil', '15:00', 100.0, 'Sat 07:00'],
    'a minute before seven: the evening before' => ['marinate_oil', '14:59', 100.0, 'Fri 21:00'],
    'a minute before ten' => ['marinate_oil', '05:59', 100.0, 'Fri 21:59'],
    'at ten: at nine' => ['marinate_oil', '06:00', 100.0, 'Fri 21:00'],
    'past midnight, and the evening before gains nothing more: in the morning' => ['marinate_yoghurt', '17:00', 100.0, 'Sat 07:00'],
    'at ten, and nine is just as long as it helps' => ['marinate_yoghurt', '15:00', 18.0, 'Fri 21:00'],
    'a minute longer than it helps: in the morning' => ['marinate_yoghurt', '15:01', 17.0, 'Sat 07:00'],
    'from what is left of the day, and seven is just early enough' => ['marinate_yoghurt', '13:00', 15.0, 'Sat 07:00'],
    'or a minute too late: at once, by night' => ['marinate_yoghurt', '12:59', 14.0, 'Fri 22:59'],
]);

it('tells what helps at the least in minutes where hours would round it away', function (string $cut, string $what, ?string $words) {
    $dish = Samples::dish(['cut' => $cut, 'mass_kg' => Larder::cut($cut)->typicalMassKg, 'taste' => null, 'target_c' => 63, 'preparations' => [$what]]);
    $limit = PreparationPlan::limit(Preparation::named($what), $dish);
    expect($limit === null ? null : said($limit))->toBe($words);
})->with([
    ['fish-whole', 'marinate_fish', '30 min at the least, no more gain after 1 h'], ['beef-steak', 'rub', '20 min at the least, no more gain after 2 h'],
    ['lamb-leg', 'marinate_oil', '2 h at the least, no more gain after 24 h'], ['turkey', 'dry_skin', '8 h at the least, no more gain after 48 h'],
    // Handwork is done in one go.
    ['turkey', 'truss', null], ['lamb-leg', 'pockets', null],
]);

it('has spice rubbed in with ten minutes of hands, and leaves it to itself', function () {
    $sheet = entriesById(Plan::of(Samples::roast(['cut' => 'beef-steak', 'mass_kg' => 0.45, 'taste' => 'medium_rare', 'preparations' => ['rub'], 'stages' => [['cooker' => 'gas-direct', 'pull' => true]]]), new DateTimeImmutable(MORNING)));
    expect($sheet['d0.prepare.rub']->work?->minutes)->toBe(10.0)
        ->and($sheet['d0.prepare.rub']->until)->toEqual($sheet['d0.take_out']->at)
        ->and(($sheet['d0.take_out']->at->getTimestamp() - $sheet['d0.prepare.rub']->at->getTimestamp()) / 60.0)->toEqualWithDelta(30.0, 0.1);
});

// The first look is worth a line where a lid is shut until then. Over coals in the open anybody looks; who bastes has looked.
it('tells when to look first only where nothing was opened before, whatever is cooked on what', function () {
    $told = 0;
    $chores = [[], [['do' => 'baste', 'every_minutes' => 25]], [['do' => 'rotate', 'every_minutes' => 40]]];
    foreach (array_values(Matrix::sample(23)) as $i => $file) {
        $file['dishes'][0]['stages'][0]['chores'] = $chores[$i % 3];
        $plan = planOf(['hands' => 1 + $i % 2] + $file);
        foreach ($plan === null ? [] : $plan->runSheet->entries as $look) {
            if ($look->act !== Act::FirstLook || $plan === null) {
                continue;
            }
            $told++;
            $cooker = $plan->forecast((int) $look->dish)->dish->stages[0]->cooker;
            $on = entriesById($plan)["d$look->dish.on"]->at;
            $opened = array_filter($plan->runSheet->entries, fn (Entry $one): bool => $one->work?->lid === $cooker->id && $one->at > $on && $one->at < $look->at);
            expect($opened)->toBe([])->and($cooker->isOpenFire())->toBeFalse()->and($cooker->lid || $cooker->turns())->toBeTrue();
        }
    }
    expect($told)->toBeGreaterThan(5);
});

it('has each step of each dish on its cooker from the one before to the one after, and no longer', function () {
    foreach (Matrix::sample(41) as $name => $file) {
        $plan = planOf($file);
        if ($plan === null) {
            continue;
        }
        $forecast = $plan->forecast(0);
        $on = new DateTimeImmutable('2031-10-04T12:00:00+02:00');
        $spans = HeatSpan::all([$forecast], [$on]);
        $hot = array_filter($forecast->dish->stages, fn ($stage): bool => ! $stage->cooker->isRest());
        expect($spans)->toHaveCount($forecast->dish->isBuried() ? 0 : count($hot), $name);
        foreach ($spans as $k => $span) {
            $i = array_keys($hot)[$k];
            $ends = [...array_slice($forecast->stageStartMinutes, 1), $forecast->cookMinutes->likely][$i];
            expect($span->from)->toEqual(Timing::after($on, $forecast->stageStartMinutes[$i]))->and($span->until)->toEqual(Timing::after($on, $ends))
                ->and($span->meetsMinutes($span->from, $span->until))->toEqualWithDelta($ends - $forecast->stageStartMinutes[$i], 0.02)
                ->and($span->meetsMinutes($span->until, $span->until->modify('+1 hour')))->toBe(0.0);
        }
    }
});

it('turns what is turned no later than a minute before its step ends', function (int $minutes, array $at) {
    $plan = planOf(Samples::file(['cut' => 'beef-steak', 'mass_kg' => 0.5, 'taste' => 'medium_rare', 'stages' => [
        ['cooker' => 'open-grate', 'cooker_c' => 450, 'minutes' => $minutes, 'chores' => [['do' => 'turn', 'every_minutes' => 4]]],
    ]]));
    expect($plan)->not->toBeNull();
    $on = $plan === null ? 0 : entriesById($plan)['d0.on']->at->getTimestamp();
    $turns = array_filter($plan === null ? [] : $plan->runSheet->entries, fn (Entry $entry): bool => $entry->act === Act::Chore);
    expect(array_map(fn (Entry $entry): int => intdiv($entry->at->getTimestamp() - $on, 60), array_values($turns)))->toBe($at);
})->with([[4, []], [5, []], [6, [4]], [9, [4]], [10, [4, 8]]]);

it('forgets a chore of the dish that is off, and a look whose hour is past, and of no other', function () {
    $stages = fn (string $cooker): array => [['cooker' => $cooker, 'cooker_c' => 170, 'pull' => true, 'chores' => [['do' => 'rotate', 'every_minutes' => 40]]]];
    $file = Samples::file(['stages' => $stages('kettle')]);
    $file['dishes'][] = ['cut' => 'chicken', 'mass_kg' => 1.8, 'start_c' => 5, 'taste' => null, 'target_c' => 79, 'stages' => $stages('gas')];
    $now = new DateTimeImmutable('2031-10-04T18:00:00+02:00');
    $on = $now->modify('-50 minutes');
    $ids = fn (Progress ...$made): array => array_keys(entriesById(Plan::of(RoastFile::read($file), $now, array_values($made))));
    // Both have been on for fifty minutes; at forty there was a turn that comes round again at eighty.
    expect($ids(new Progress($on), new Progress($on)))->toContain('d0.chore.0.0.0', 'd1.chore.0.0.0')
        ->and($ids(new Progress($on), new Progress($on, pulledAt: $now->modify('-2 minutes'))))->toContain('d0.chore.0.0.0')->not->toContain('d1.chore.0.0.0')
        ->and($ids(new Progress($on, pulledAt: $now->modify('-2 minutes')), new Progress($on)))->toContain('d1.chore.0.0.0')->not->toContain('d0.chore.0.0.0');
    $look = entriesById(Plan::of(RoastFile::read($file), $on, [new Progress($on), new Progress($on)]))['d0.first_look']->at;
    $then = fn (int $minutes): array => array_keys(entriesById(Plan::of(RoastFile::read($file), $look->modify("$minutes minutes"), [new Progress($on), new Progress($on)])));
    expect($then(1))->toContain('d0.first_look')->and($then(3))->not->toContain('d0.first_look');
});

it('asks for nothing at a fire that its dishes have left', function () {
    $stages = [['cooker' => 'kettle', 'cooker_c' => 120, 'until_core_c' => 45], ['cooker' => 'rest', 'minutes' => 10], ['cooker' => 'gas', 'cooker_c' => 200, 'pull' => true]];
    $roast = Samples::roast(['cut' => 'beef-rib', 'mass_kg' => 4, 'taste' => 'medium', 'stages' => $stages]);
    $on = entriesById(Plan::of($roast, new DateTimeImmutable(MORNING)))['d0.on']->at;
    $kinds = function (int $minutes, array $starts) use ($roast, $on): array {
        $made = new Progress($on, stageStarts: array_map(fn (int $at): DateTimeImmutable => $on->modify("$at minutes"), $starts));
        $lines = Plan::of($roast, $on->modify("$minutes minutes"), [$made])->runSheet->entries;

        return array_values(array_unique(array_map(fn (Entry $entry): string => (string) $entry->id->parts[0], array_filter($lines, fn (Entry $entry): bool => $entry->id->what === 'fire'))));
    };
    // On the first, both have their lines; once it rests, or is on the second, the first has none.
    expect($kinds(10, []))->toBe(['kettle', 'gas'])
        ->and($kinds(170, [1 => 165]))->toBe(['gas'])
        ->and($kinds(190, [1 => 165, 2 => 180]))->not->toContain('kettle');
});

// Source of the two hours and the 57 °C: Safety\Clocks. Nobody leaves a joint on a board from four in the morning until noon.
it('has whatever rests for longer than it is known to stay hot kept hot, or tells its two hours, whatever its size', function () {
    $kept = 0;
    foreach (['pork-leg' => 9.0, 'beef-brisket-whole' => 6.0, 'turkey' => 12.0, 'lamb-leg' => 2.0, 'chicken' => 1.5, 'suckling-pig' => 12.0] as $cut => $kg) {
        foreach ([60, 120, 240, 480] as $rest) {
            foreach ([68, 85] as $target) {
                $plan = planOf(Samples::file(['cut' => $cut, 'mass_kg' => $kg, 'taste' => null, 'target_c' => $target, 'rest_minutes' => $rest, 'stages' => [['cooker' => 'oven', 'cooker_c' => 163, 'pull' => true]]]));
                if ($plan === null) {
                    continue;
                }
                $sheet = entriesById($plan);
                $minutes = ($sheet['d0.carve']->at->getTimestamp() - $sheet['d0.pull']->at->getTimestamp()) / 60.0;
                $hot = $plan->forecast(0)->knownHotMinutes();
                expect($hot)->toBeFloat()->toBeLessThan(24 * 60.0);
                // Nobody warms a box for the last ten minutes. Common practice.
                if ($minutes > $hot + 10.0 && $hot > 0.0) {
                    $kept++;
                    expect($sheet)->toHaveKey('d0.hold')
                        ->and($sheet['d0.hold']->at <= $sheet['d0.pull']->at->modify(sprintf('+%d seconds', (int) (60 * $hot))))->toBeTrue("$cut, $rest min");
                }
                // Eight hours are more than anything stays hot on a board.
                expect($rest < 480 || isset($sheet['d0.hold']) || $hot <= 0.0)->toBeTrue("$cut at $target");
            }
        }
    }
    expect($kept)->toBeGreaterThan(15);
});
