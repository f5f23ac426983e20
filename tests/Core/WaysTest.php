<?php

declare(strict_types=1);

use Diatherm\Cooker\CookerShed;
use Diatherm\Day\Entry;
use Diatherm\Day\Progress;
use Diatherm\Measure\InvalidInput;
use Diatherm\Plan\Plan;
use Diatherm\Roast\Roast;
use Diatherm\Roast\RoastFile;
use Diatherm\Roast\Stage;
use Diatherm\Ways\FromNow;
use Diatherm\Ways\Offer;
use Diatherm\Ways\PlannedProspect;
use Diatherm\Ways\Question;
use Diatherm\Ways\Standing;
use Diatherm\Ways\Turn;
use Diatherm\Ways\Ways;
use Tests\Support\AsPlanned;
use Tests\Support\Matrix;
use Tests\Support\Samples;

// What to do when something comes between. What each way costs is common practice; what comes of it is worked out.

const THAT_MORNING = '2031-10-04T09:00:00+02:00';

/** @return array<string, Offer> by id */
function waysOut(Turn $turn, Standing $standing, PlannedProspect|AsPlanned $prospect, mixed ...$more): array
{
    $offers = Ways::out(Question::of($turn, ...$more), $standing, $prospect);

    return array_combine(array_map(fn (Offer $offer): string => $offer->way->id, $offers), $offers);
}

/** @param  array<string, mixed>  $file */
function plannedStanding(array $file): Standing
{
    $now = new DateTimeImmutable(THAT_MORNING);

    return (new PlannedProspect($now))->standing(RoastFile::read($file), []);
}

/** The first dish on for so many minutes, of which nothing was read. @return array{Standing, AsPlanned} */
function underWay(Roast $roast, float $minutes, float $lateMinutes = 0.0): array
{
    $on = entriesById(Plan::of($roast, new DateTimeImmutable(THAT_MORNING)))['d0.on']->at->modify(sprintf('%+d seconds', (int) (60 * $lateMinutes)));
    $now = $on->modify(sprintf('+%d seconds', (int) (60 * $minutes)));
    $prospect = new AsPlanned($now, [0 => new Progress(onAt: $on)]);

    return [$prospect->standing($roast, []), $prospect];
}

it('offers for every turn, whatever is cooked on what, ways that a file can hold and that end', function () {
    mt_srand(26112026);
    $offered = 0;
    foreach (array_values(Matrix::sample(331)) as $file) {
        try {
            $standing = plannedStanding($file);
        } catch (InvalidInput) {
            continue;
        }
        $prospect = new PlannedProspect(new DateTimeImmutable(THAT_MORNING));
        $kind = $standing->dish(0)->stages[0]->cooker->id;
        foreach (Turn::cases() as $turn) {
            foreach (waysOut($turn, $standing, $prospect, minutes: mt_rand(5, 180), people: mt_rand(1, 9), cooker: $kind, own: ['gas', 'ceramic']) as $id => $offer) {
                $offered++;
                $where = json_encode([$turn, $id, $file['dishes']], JSON_THROW_ON_ERROR);
                expect(RoastFile::read(RoastFile::write($offer->way->roast)))->toEqual($offer->way->roast, $where)
                    ->and(RoastFile::write($offer->way->roast))->not->toBe(RoastFile::write($standing->roast()), $where)
                    ->and($offer->way->begun)->toBe([])
                    ->and(said($offer->way->title))->not->toBe('')
                    ->and($offer->outcome->dishes)->toHaveCount(count($offer->way->roast->dishes), $where);
            }
        }
    }
    expect($offered)->toBeGreaterThan(50);
});

it('has as many ways as one can hold against each other', function (Turn $turn, int $least) {
    $file = Samples::file([], ['people' => 8]);
    $file['dishes'][] = ['cut' => 'potatoes', 'pieces' => 8, 'mass_kg' => 0.2, 'start_c' => 15, 'taste' => 'soft', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 200, 'pull' => true]]];
    $ways = waysOut($turn, plannedStanding($file), new PlannedProspect(new DateTimeImmutable(THAT_MORNING)), cooker: 'kettle', own: ['gas']);
    expect(count($ways))->toBeGreaterThanOrEqual($least)->toBeLessThanOrEqual(4);
})->with([
    [Turn::GuestsLate, 2], [Turn::Rain, 2], [Turn::NoFuel, 3], [Turn::OneMore, 3], [Turn::Shared, 3], [Turn::Compare, 4],
    // Nothing is on: nobody is behind or ahead.
    [Turn::Behind, 0], [Turn::Ahead, 0],
]);

// A step that is cut in two at a moment and goes on as before is the same step.
it('changes nothing by cutting a step in two, whatever is cooked on what', function () {
    $cut = 0;
    foreach (array_values(Matrix::sample(101)) as $file) {
        try {
            $roast = RoastFile::read($file);
            $planned = Plan::of($roast, new DateTimeImmutable(THAT_MORNING))->forecast(0);
            [$standing] = underWay($roast, min(25.0, 0.4 * ($planned->stageStartMinutes[1] ?? $planned->cookMinutes->likely)));
            [$changed, $begun] = FromNow::change($standing, 0, fn (Stage $stage): Stage => $stage);
            $then = Plan::of(RoastFile::read(RoastFile::write($changed)), new DateTimeImmutable(THAT_MORNING));
        } catch (InvalidInput) {
            continue;
        }
        $before = $standing->plan->forecast(0);
        if ($before->dish->isBuried() || $begun === []) {
            continue;
        }
        $cut++;
        $what = json_encode($file['dishes'], JSON_THROW_ON_ERROR);
        expect($then->forecast(0)->cookMinutes->likely)->toEqualWithDelta($before->cookMinutes->likely, 0.5 + 0.01 * $before->cookMinutes->likely, $what)
            ->and($then->forecast(0)->pullC)->toEqualWithDelta($before->pullC, 0.5, $what)
            ->and(count($changed->dishes[0]->stages))->toBe(count($roast->dishes[0]->stages) + 1)
            ->and($begun)->toBe([0 => $standing->step(0)[0] + 1]);
    }
    expect($cut)->toBeGreaterThan(6);
});

it('takes what is done every so often on into the step that begins now', function () {
    $chores = [['do' => 'baste', 'every_minutes' => 20, 'from_minutes' => 15], ['do' => 'turn', 'from_minutes' => 30], ['do' => 'stock', 'from_minutes' => 70]];
    $roast = RoastFile::read(Samples::file(['stages' => [['cooker' => 'oven', 'cooker_c' => 163, 'pull' => true, 'chores' => $chores]]]));
    [$standing] = underWay($roast, 40.0);
    [$changed] = FromNow::change($standing, 0, fn (Stage $stage): Stage => FromNow::heated($stage, celsius: 200.0));
    [$done, $now] = $changed->dishes[0]->stages;
    $from = fn (Stage $stage): array => array_map(fn ($chore): array => [$chore->kind, $chore->fromMinutes], $stage->chores);
    expect($done->value)->toBe(40.0)->and($done->cookerC)->toBe(163.0)->and($now->cookerC)->toBe(200.0)
        ->and($from($done))->toBe([['baste', 15.0], ['turn', 30.0]])
        // Basted at 15 and 35: next at 55. Turned for good. The stock at 70.
        ->and($from($now))->toBe([['baste', 15.0], ['stock', 30.0]]);
});

it('is later by so much and by nothing else when nothing is on', function () {
    $file = Samples::file([], ['sides' => [['side' => 'greens'], ['side' => 'pan-gravy']]]);
    $standing = plannedStanding($file);
    $now = new DateTimeImmutable(THAT_MORNING);
    $later = waysOut(Turn::GuestsLate, $standing, new PlannedProspect($now), minutes: 40)['later'];
    $moved = array_map(fn (Entry $entry): int => $entry->at->getTimestamp(), entriesById(Plan::of($later->way->roast, $now)));
    $was = array_map(fn (Entry $entry): int => $entry->at->getTimestamp() + 2400, entriesById($standing->plan));
    expect($moved)->toBe($was)->and($later->outcome->laterMinutes)->toBe(40.0)->and($later->outcome->cautions)->toBe([])
        ->and(said($later->outcome->table))->toBe('19:25, 40 min later');
});

// 3 kg at 135 °C and 1.6 kg at 200 °C: (405 + 320) / 4.6 is 157.6, set to 160. Both are then what they are alone at 160 °C.
it('finds a common heat by mass, and works both dishes out at it', function () {
    $potatoes = ['cut' => 'potatoes', 'pieces' => 8, 'mass_kg' => 0.2, 'start_c' => 15, 'taste' => 'soft', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 200, 'pull' => true]]];
    $file = Samples::file(['mass_kg' => 3.0, 'rest_minutes' => 5, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 135, 'pull' => true]]]);
    $joint = $file['dishes'][0];
    $standing = plannedStanding(['dishes' => [$joint, $potatoes]] + $file);
    expect($standing->plan->places)->toHaveCount(1)
        ->and(said($standing->plan->places[0]->words))->toContain('wants 135 °C')->toContain('200 °C of the kettle');
    $now = new DateTimeImmutable(THAT_MORNING);
    $ways = waysOut(Turn::Shared, $standing, new PlannedProspect($now), cooker: 'kettle');
    $together = $ways['together_160']->way->roast;
    $at160 = fn (array $dish): float => Plan::of(
        RoastFile::read(['dishes' => [['stages' => [['cooker' => 'kettle', 'cooker_c' => 160, 'pull' => true]]] + $dish]] + $file),
        $now,
    )->forecast(0)->cookMinutes->likely;
    $plan = Plan::of($together, $now);
    expect($plan->places)->toBe([])
        ->and($plan->forecast(0)->cookMinutes->likely)->toEqualWithDelta($at160($joint), 0.5)
        ->and($plan->forecast(1)->cookMinutes->likely)->toEqualWithDelta($at160($potatoes), 0.5);
    // In turn: the joint is off before the potatoes go on, and nobody asks for two heats any more.
    $turn = entriesById(Plan::of($ways['in_turn']->way->roast, $now));
    expect($turn['d0.pull']->at)->toBeLessThan($turn['d1.on']->at)
        ->and(Plan::of($ways['cooker_oven']->way->roast, $now)->places)->toBe([]);
});

// One cooker cannot lie under two dishes in two ways: each way out leaves it to one at a time, and no common heat makes one of two ways.
it('parts two dishes that want one cooker in two ways', function (string $one, string $other) {
    $now = new DateTimeImmutable(THAT_MORNING);
    foreach ([[$one, $other], [$other, $one]] as [$first, $second]) {
        $file = Samples::file(['cut' => 'pork-loin', 'mass_kg' => 1.8, 'taste' => 'juicy', 'stages' => [['cooker' => $first, 'cooker_c' => 180, 'pull' => true]]]);
        $file['dishes'][] = ['cut' => 'chicken-legs', 'name' => 'Legs', 'mass_kg' => 0.3, 'pieces' => 4, 'start_c' => 5, 'taste' => null, 'target_c' => 76, 'stages' => [['cooker' => $second, 'cooker_c' => 180, 'pull' => true]]];
        $standing = plannedStanding($file);
        expect(array_map(fn ($place): string => $place->words->id, $standing->plan->places))->toContain('place.two_ways');
        $ways = waysOut(Turn::Shared, $standing, new PlannedProspect($now), cooker: $standing->plan->places[0]->kind, own: ['ceramic', $first, $second]);
        expect(array_keys($ways))->toContain('cooker_ceramic');
        foreach ($ways as $id => $offer) {
            $left = array_map(fn ($place): string => $place->words->id, Plan::of($offer->way->roast, $now)->places);
            expect($id)->not->toStartWith('together')->and($left)->not->toContain('place.two_ways')->not->toContain('place.heat');
        }
    }
})->with([['kettle', 'kettle-direct'], ['gas', 'gas-direct'], ['oven', 'oven-grill'], ['pellet', 'griddle']]);

it('takes two that a cook calls by two names for two', function () {
    $told = function (?string $one, ?string $other): bool {
        $file = Samples::file(['cut' => 'pork-loin', 'mass_kg' => 1.8, 'taste' => 'juicy', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 150, 'pull' => true]]], [
            'fires' => [['cooker' => 'kettle', 'own' => $one], ['cooker' => 'kettle-direct', 'own' => $other]],
        ]);
        $file['dishes'][] = ['cut' => 'chicken-legs', 'name' => 'Legs', 'mass_kg' => 0.3, 'pieces' => 4, 'start_c' => 5, 'taste' => null, 'target_c' => 76, 'stages' => [['cooker' => 'kettle-direct', 'cooker_c' => 220, 'pull' => true]]];

        // What goes on it in turn is as much one cooker as what meets.
        $apart = ['rest_minutes' => 60] + $file['dishes'][0];
        $inTurn = Plan::of(RoastFile::read(['dishes' => [$apart, $file['dishes'][1]]] + $file), new DateTimeImmutable(THAT_MORNING));
        $plan = Plan::of(RoastFile::read($file), new DateTimeImmutable(THAT_MORNING));
        expect($inTurn->fires[1]->plan->lent->isSame)->toBe($plan->places !== []);

        return $plan->places !== [];
    };
    expect($told(null, null))->toBeTrue()->and($told('Old kettle', null))->toBeTrue()->and($told('Old kettle', 'Old kettle'))->toBeTrue()
        ->and($told('Old kettle', 'New kettle'))->toBeFalse();
});

it('tells of a grate that is too small, and of none that is not', function () {
    $many = fn (int $pieces): Plan => Plan::of(
        RoastFile::read(Samples::file(['cut' => 'chicken', 'mass_kg' => 1.8, 'pieces' => $pieces, 'taste' => 'done', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 180, 'pull' => true]]], ['people' => 4 * $pieces])),
        new DateTimeImmutable(THAT_MORNING),
    );
    // Two chickens beside the coals of a 57 cm kettle, and no six: common practice.
    expect($many(2)->places)->toBe([])
        ->and($many(6)->places)->toHaveCount(1)
        ->and(said($many(6)->places[0]->words))->toStartWith('What lies on the kettle');
});

// 25 minutes late: a first dish at the asked hour, the roast 25 minutes after it. And by a hotter fire the pull itself is 25 minutes sooner.
it('finds its hour again when it is behind', function () {
    $roast = RoastFile::read(Samples::file([], ['sides' => [['side' => 'greens']]]));
    [$standing, $prospect] = underWay($roast, 60.0, lateMinutes: 60.0);
    $late = $standing->lateMinutes();
    expect($late)->toBeGreaterThan(15.0)->and($late)->toBeLessThan(60.0);
    $ways = waysOut(Turn::Behind, $standing, $prospect);
    expect(array_keys($ways))->toContain('hotter')->toContain('later')->toContain('oven');
    $sooner = ($standing->pullAt(0)->getTimestamp() - $prospect->standing($ways['hotter']->way->roast, $ways['hotter']->way->begun)->pullAt(0)->getTimestamp()) / 60.0;
    expect($sooner)->toBeGreaterThan(0.35 * $late)
        ->and($ways['hotter']->outcome->laterMinutes)->toBeLessThan($late - 0.4 * $sooner)
        ->and($ways['later']->outcome->tableAt)->toEqual($standing->tableAt())
        ->and($ways['hotter']->way->begun)->toBe([0 => 1])
        // What was cooked so far stays what it was.
        ->and($ways['hotter']->way->roast->dishes[0]->stages[0]->cookerC)->toBe($roast->dishes[0]->stages[0]->cookerC)
        ->and($ways['hotter']->way->roast->dishes[0]->stages[0]->value)->toBe(60.0);
});

it('slows what is on for guests who are late, and holds what is done', function () {
    $roast = RoastFile::read(Samples::file(['stages' => [['cooker' => 'oven', 'cooker_c' => 180, 'pull' => true]]]));
    [$standing, $prospect] = underWay($roast, 40.0);
    $ways = waysOut(Turn::GuestsLate, $standing, $prospect, minutes: 40);
    $pull = fn (string $id): float => ($prospect->standing($ways[$id]->way->roast, $ways[$id]->way->begun)->pullAt(0)->getTimestamp() - $standing->pullAt(0)->getTimestamp()) / 60.0;
    expect($pull('slower'))->toBeGreaterThan(15.0)->toBeLessThanOrEqual(45.0)
        // What waits longer has stopped climbing by the knife, so it is cooked nearer to its number.
        ->and(abs($pull('hold')))->toBeLessThan(15.0)
        ->and($ways['hold']->way->roast->dishes[0]->restMinutes)->toBe($roast->dishes[0]->leastRestMinutes() + 40.0)
        ->and($ways['hold']->outcome->laterMinutes)->toEqualWithDelta(40.0, 5.0);
});

it('carries what is on into the kitchen out of the rain, and says what staying costs', function () {
    $roast = RoastFile::read(Samples::file());
    [$standing, $prospect] = underWay($roast, 50.0);
    $ways = waysOut(Turn::Rain, $standing, $prospect, own: ['gas']);
    expect(array_keys($ways))->toBe(['stay', 'oven', 'gas'])
        ->and($ways['stay']->way->roast->rain)->toBeTrue()
        ->and(said($ways['stay']->outcome->fuel[0]))->toContain('more: Briquettes')
        ->and($ways['oven']->way->roast->dishes[0]->stages[1]->cooker->id)->toBe('oven')
        ->and($ways['oven']->way->roast->dishes[0]->lastStage()->cookerC)->toBe($roast->dishes[0]->stages[0]->cookerC);
    // One cooker has one heat, wherever two dishes go together.
    $file = Samples::file();
    $potatoes = ['cut' => 'potatoes', 'pieces' => 8, 'mass_kg' => 0.2, 'start_c' => 15, 'taste' => 'soft'];
    $file['dishes'][] = $potatoes + ['stages' => [['cooker' => 'ceramic', 'cooker_c' => 200, 'pull' => true]]];
    $both = waysOut(Turn::Rain, plannedStanding($file), new PlannedProspect(new DateTimeImmutable(THAT_MORNING)), own: ['gas']);
    foreach (['oven', 'gas'] as $id) {
        expect(Plan::of($both[$id]->way->roast, new DateTimeImmutable(THAT_MORNING))->places)->toBe([]);
    }
    // One that is in the kitchen already, or in a hole in the ground, has nowhere to go.
    [$inside, $same] = underWay(RoastFile::read(Samples::file(['stages' => [['cooker' => 'oven', 'cooker_c' => 163, 'pull' => true]]])), 30.0);
    expect(array_keys(waysOut(Turn::Rain, $inside, $same)))->toBe(['stay']);
});

it('burns another fuel, or none, when the bag is empty', function () {
    [$standing, $prospect] = underWay(RoastFile::read(Samples::file()), 30.0);
    $ways = waysOut(Turn::NoFuel, $standing, $prospect, own: ['gas']);
    expect(array_keys($ways))->toBe(['fuel_lump', 'fuel_quick-light', 'oven', 'cooker_gas'])
        ->and($ways['fuel_lump']->way->roast->fires['kettle']->fuel)->toBe('lump')
        ->and($ways['cooker_gas']->way->roast->dishes[0]->stages[1]->cooker->id)->toBe('gas');
});

// 3 kg among eight are 375 g, among ten 300 g.
it('shares among more, or cooks more while it still can', function () {
    $roast = RoastFile::read(Samples::file(['mass_kg' => 3.0], ['people' => 8]));
    $waiting = waysOut(Turn::OneMore, plannedStanding(RoastFile::write($roast)), new PlannedProspect(new DateTimeImmutable(THAT_MORNING)), people: 2);
    expect(said($waiting['share']->way->how))->toBe('375 g of raw weight each becomes 300 g')
        ->and($waiting['more']->way->roast->dishes[0]->massKg)->toBe(3.75)
        ->and($waiting['more']->way->roast->people)->toBe(10)
        ->and($waiting['side']->way->roast->sides)->toHaveCount(1);
    [$standing, $prospect] = underWay($roast, 30.0);
    expect(array_keys(waysOut(Turn::OneMore, $standing, $prospect, people: 2)))->toBe(['share', 'side']);
});

it('holds or slows what is ahead, or calls the guests, and says nothing of either for half a day', function () {
    $roast = RoastFile::read(Samples::file(['stages' => [['cooker' => 'oven', 'cooker_c' => 180, 'pull' => true]]]));
    [$standing, $prospect] = underWay($roast, 20.0, lateMinutes: -100.0);
    $ways = waysOut(Turn::Ahead, $standing, $prospect);
    expect(array_keys($ways))->toBe(['hold', 'slower', 'sooner'])
        ->and($ways['slower']->way->roast->dishes[0]->lastStage()->cookerC)->toBeLessThan(180.0)
        ->and($ways['sooner']->outcome->laterMinutes)->toBeLessThanOrEqual(-60.0)
        ->and($ways['hold']->outcome->laterMinutes)->toEqualWithDelta(0.0, 5.0);
    [$early, $same] = underWay($roast, 20.0, lateMinutes: -720.0);
    expect(array_keys(waysOut(Turn::Ahead, $early, $same)))->toBe(['sooner']);
    // On its hour there is nothing to do.
    [$punctual, $as] = underWay($roast, 20.0);
    expect(waysOut(Turn::Behind, $punctual, $as))->toBe([]);
});

// Source: USDA FSIS, Turkey Basics: poultry at 325 °F or more; two hours in the danger zone at the most.
it('slows no bird below what is advised for it, and holds nothing that came off cool', function () {
    $now = new DateTimeImmutable(THAT_MORNING);
    foreach ([160.0, 165.0, 190.0, 220.0] as $heat) {
        foreach ([['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => 'done'], ['cut' => 'turkey', 'mass_kg' => 5.9, 'taste' => 'done', 'preparations' => ['stuff']]] as $bird) {
            $roast = RoastFile::read(Samples::file(['stages' => [['cooker' => 'kettle', 'cooker_c' => $heat, 'pull' => true]]] + $bird));
            [$standing, $prospect] = underWay($roast, 30.0);
            $ways = [...waysOut(Turn::GuestsLate, $standing, $prospect, minutes: 120), ...waysOut(Turn::Compare, plannedStanding(RoastFile::write($roast)), new PlannedProspect($now))];
            foreach (array_intersect_key($ways, ['slower' => 1, 'cooler' => 1]) as $way) {
                expect($way->way->roast->dishes[0]->lastStage()->cookerC)->toBeGreaterThanOrEqual(162.0);
            }
        }
    }
    $steak = RoastFile::read(Samples::file(['cut' => 'beef-steak', 'mass_kg' => 0.4, 'start_c' => 4, 'taste' => 'rare', 'stages' => [['cooker' => 'open-grate', 'hand_s' => 2, 'pull' => true]]]));
    expect(array_keys(waysOut(Turn::GuestsLate, plannedStanding(RoastFile::write($steak)), new PlannedProspect($now), minutes: 120)))->toBe(['later']);
    // A caution that gets worse is told, though one of its kind was there.
    $low = plannedStanding(Samples::file(['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => 'done', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 160, 'pull' => true]]]));
    $cooler = RoastFile::read(Samples::file(['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => 'done', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 110, 'pull' => true]]]));
    $outcome = Diatherm\Ways\Outcome::of((new PlannedProspect($now))->standing($cooler, []), $low);
    expect(implode(' ', array_map(said(...), $outcome->cautions)))->toContain('at 110 °C');
});

it('carries nothing where it does not go, and takes off its spit what no longer turns', function () {
    $lamb = plannedStanding(Samples::file(['cut' => 'lamb-whole', 'mass_kg' => 15, 'taste' => null, 'target_c' => 63, 'stages' => [['cooker' => 'open-spit', 'hand_s' => 6, 'pull' => true]]], ['people' => 25]));
    $planned = new PlannedProspect(new DateTimeImmutable(THAT_MORNING));
    expect(array_keys(waysOut(Turn::Rain, $lamb, $planned, own: ['gas'])))->toBe(['stay'])
        ->and(array_keys(waysOut(Turn::Compare, $lamb, $planned)))->toBe(['hotter', 'cooler'])
        ->and(array_keys(waysOut(Turn::NoFuel, $lamb, $planned, own: ['gas'])))->toBe(['fuel_lump', 'fuel_briquettes']);
    $bird = plannedStanding(Samples::file(['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => 'done', 'rig' => ['kind' => 'spit', 'room_cm' => 17], 'stages' => [['cooker' => 'grill-rotisserie', 'cooker_c' => 195, 'pull' => true]]]));
    $oven = waysOut(Turn::Rain, $bird, $planned)['oven']->way->roast->dishes[0];
    expect($bird->dish(0)->rig)->not->toBeNull()->and($oven->rig)->toBeNull()->and($oven->lastStage()->cooker->id)->toBe('oven');
});

it('leaves alone what is not its own', function () {
    // A buried pot is not opened, an open fire is told by the hand, a resting joint is not heated.
    $buried = RoastFile::read(Samples::file(['cut' => 'turkey-breast', 'mass_kg' => 2.9, 'taste' => null, 'rig' => ['kind' => 'buried_pot'], 'stages' => [['cooker' => 'camp-oven', 'pull' => true]]]));
    [$standing, $prospect] = underWay($buried, 60.0);
    expect(array_keys(waysOut(Turn::GuestsLate, $standing, $prospect)))->toBe(['hold'])
        ->and(array_keys(waysOut(Turn::NoFuel, $standing, $prospect, cooker: 'camp-oven')))->not->toContain('oven')
        ->and(waysOut(Turn::Compare, $standing, $prospect))->toBe([]);
    $pulled = RoastFile::read(Samples::file());
    $on = new DateTimeImmutable('2031-10-04T15:00:00+02:00');
    $done = new AsPlanned($on->modify('+3 hours'), [0 => new Progress(onAt: $on, pulledAt: $on->modify('+150 minutes'))]);
    expect(array_keys(waysOut(Turn::GuestsLate, $done->standing($pulled, []), $done)))->toBe(['hold'])
        ->and(array_keys(waysOut(Turn::Rain, $done->standing($pulled, []), $done)))->toBe(['stay']);
    expect(CookerShed::kind('open-grate')->isOpenFire())->toBeTrue();
});

// Common practice: what browns too soon is shaded, cooled or taken indoors; none of it is sooner done than as it is by more than the oven lets it.
it('has ways out of a skin that is ready before the core, none of them hotter', function () {
    [$standing, $prospect] = underWay(RoastFile::read(Samples::file()), 60.0);
    $ways = waysOut(Turn::SkinAhead, $standing, $prospect);
    expect(array_keys($ways))->toContain('cover', 'cooler');
    $now = $standing->roast()->dishes[0]->stages[0]->cookerC;
    $heat = fn (Offer $offer): float => max(array_map(fn (Stage $stage): float => $stage->cooker->isRest() ? 0.0 : $stage->cookerC, $offer->way->roast->dishes[0]->stages));
    expect($heat($ways['cover']))->toBe($now)->and($heat($ways['cooler']))->toBe($now)
        ->and($ways['cooler']->way->roast->dishes[0]->lastStage()->cookerC)->toBeLessThan($now)
        ->and($ways['cooler']->outcome->laterMinutes)->toBeGreaterThanOrEqual($ways['cover']->outcome->laterMinutes);
});

it('cools no bird below what is advised for it, whatever its skin does', function () {
    foreach (['chicken' => 1.8, 'turkey' => 5.0, 'duck' => 2.2] as $cut => $kg) {
        foreach (['oven' => 170, 'kettle' => 175, 'gas' => 190] as $kind => $celsius) {
            $dish = ['cut' => $cut, 'mass_kg' => $kg, 'taste' => null, 'target_c' => 75, 'stages' => [['cooker' => $kind, 'cooker_c' => $celsius, 'pull' => true]]];
            [$standing, $prospect] = underWay(RoastFile::read(Samples::file($dish)), 20.0);
            foreach (waysOut(Turn::SkinAhead, $standing, $prospect) as $id => $offer) {
                foreach ($offer->way->roast->dishes[0]->stages as $stage) {
                    // USDA FSIS: no oven below 325 °F for poultry, 162.8 °C.
                    expect($stage->cooker->isRest() || $stage->cookerC >= 162.0)->toBeTrue("$cut on $kind: $id at $stage->cookerC");
                }
            }
        }
    }
});

// Common practice, of a shoulder at 110 °C: a wrap or a hotter fire ends the stall sooner than waiting.
it('has three ways out of a stall, of which waiting is the slowest', function () {
    $shoulder = ['cut' => 'pork-shoulder', 'mass_kg' => 3.5, 'taste' => null, 'target_c' => 92, 'stages' => [['cooker' => 'pellet', 'cooker_c' => 110, 'pull' => true]]];
    [$standing, $prospect] = underWay(RoastFile::read(Samples::file($shoulder, ['serve_at' => '2031-10-05T12:00:00+02:00'])), 360.0);
    $ways = waysOut(Turn::Stalled, $standing, $prospect);
    expect(array_keys($ways))->toBe(['wait', 'wrap', 'hotter']);
    $done = fn (string $id): float => $ways[$id]->outcome->laterMinutes;
    expect($done('wrap'))->toBeLessThanOrEqual($done('wait'))->and($done('hotter'))->toBeLessThanOrEqual($done('wait'));
});

it('has something for a flare-up wherever fat can burn, and takes it aside where there is a side', function () {
    // What puts it out: no air where there are slots, no gas, no current; in the open the coals go apart.
    $outs = ['kettle-direct' => 'slots', 'kettle' => 'slots', 'ceramic' => 'slots', 'gas-direct' => 'Burners off', 'gas' => 'Burners off', 'oven' => 'Switch off', 'pellet' => 'Switch off', 'open-grate' => 'rake', 'camp-oven' => 'Lid on'];
    foreach ($outs as $kind => $out) {
        $aside = in_array($kind, ['kettle-direct', 'gas-direct'], true);
        $dish = ['cut' => 'beef-steak', 'mass_kg' => 0.5, 'taste' => null, 'target_c' => 57, 'stages' => [['cooker' => $kind, 'pull' => true]]];
        [$standing, $prospect] = underWay(RoastFile::read(Samples::file($dish)), 3.0);
        $ways = waysOut(Turn::FlareUp, $standing, $prospect);
        expect(array_key_exists('starve', $ways))->toBeTrue($kind)->and(array_key_exists('aside', $ways))->toBe($aside, $kind)
            ->and(said($ways['starve']->way->title))->toContain($out)->and(said($ways['starve']->way->how))->not->toBe('');
    }
});

it('names the heat that the other cooker is set to now, whatever comes after it', function (array $stages, float $minutes, int $celsius) {
    [$standing, $prospect] = underWay(RoastFile::read(Samples::file(['cut' => 'beef-rib', 'mass_kg' => 2.6, 'taste' => 'medium_rare', 'stages' => $stages])), $minutes);
    $offer = waysOut(Turn::Rain, $standing, $prospect, own: ['oven'])['oven'];
    $now = $offer->way->begun[0] ?? $standing->step(0)[0];
    $begins = array_values(array_filter(array_slice($offer->way->roast->dishes[0]->stages, $now), fn (Stage $stage): bool => ! $stage->cooker->isRest()))[0];
    expect($begins->cooker->id)->toBe('oven')->and($begins->cookerC)->toBe((float) $celsius)
        ->and(said($offer->way->title))->toBe("To the kitchen oven at $celsius °C");
})->with([
    'slow, then hot' => [[['cooker' => 'gas', 'cooker_c' => 120, 'until_core_c' => 45], ['cooker' => 'rest', 'minutes' => 10], ['cooker' => 'gas-direct', 'cooker_c' => 230, 'minutes' => 5]], 30.0, 120],
    'hardly begun' => [[['cooker' => 'kettle', 'cooker_c' => 130, 'until_core_c' => 45], ['cooker' => 'kettle', 'cooker_c' => 200, 'pull' => true]], 1.0, 130],
    'hot, then slow' => [[['cooker' => 'kettle-direct', 'cooker_c' => 230, 'minutes' => 20], ['cooker' => 'kettle', 'cooker_c' => 140, 'pull' => true]], 6.0, 230],
    'in its second step' => [[['cooker' => 'kettle-direct', 'cooker_c' => 230, 'minutes' => 8], ['cooker' => 'kettle', 'cooker_c' => 140, 'pull' => true]], 25.0, 140],
]);
