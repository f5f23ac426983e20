<?php

declare(strict_types=1);

use Diatherm\Cooking\Course;
use Diatherm\Cooking\CueState;
use Diatherm\Cooking\Forecast;
use Diatherm\Live\AdviceAct;
use Diatherm\Live\Debrief;
use Diatherm\Live\Finding;
use Diatherm\Live\LiveForecast;
use Diatherm\Live\ProbeMap;
use Diatherm\Live\Reading;
use Diatherm\Live\Spot;
use Tests\Support\Samples;

// Several pieces of one dish are read one by one, and so is the filling of a stuffed one: the coldest decides, and what was not read is named.

/** @return array<string, mixed> */
function alike(string $cut, int $pieces): array
{
    $kg = ['duck' => 2.2, 'chicken' => 1.6, 'chicken-legs' => 0.3, 'pork-loin' => 1.2, 'lamb-leg' => 2.0, 'turkey' => 5.0, 'fish-whole' => 2.0][$cut];

    return ['cut' => $cut, 'mass_kg' => $kg, 'pieces' => $pieces, 'start_c' => 5, 'taste' => null, 'target_c' => 74, 'stages' => [['cooker' => 'oven', 'cooker_c' => 180, 'pull' => true]]];
}

/** @param  list<array{float, float, int, 3?: string}>  $read  minutes before now, K above the pull, piece, place */
function ofPieces(array $asked, array $read, float $nowMinutes = 0.0): array
{
    $dish = Samples::dish($asked);
    $plan = Forecast::of($dish, 14.0);
    $now = 60.0 * ($nowMinutes > 0.0 ? $nowMinutes : $plan->cookMinutes->likely);
    $readings = [];
    foreach ($read as $i => [$ago, $above, $piece]) {
        $readings[] = Reading::of("r$i", $now - 60.0 * $ago, $read[$i][3] ?? ProbeMap::decisive($dish), $plan->pullC + $above, sure: true, piece: $piece);
    }

    return [LiveForecast::of($dish, 14.0, new Course(nowS: $now), $readings, $plan->pullC), $dish, $readings, $now];
}

it('comes off when each of a few pieces reads its number, and not before', function (string $cut, int $pieces) {
    for ($read = 1; $read <= $pieces; $read++) {
        [$live] = ofPieces(alike($cut, $pieces), array_map(fn (int $piece): array => [1.0, 0.4 + 0.1 * $piece, $piece], range(1, $read)));
        $isAll = $read === $pieces;
        expect($live->cue?->state === CueState::Due)->toBe($isAll, "$read of $pieces")
            ->and($live->advice?->act)->toBe($isAll ? AdviceAct::TakeOff : AdviceAct::Read, "$read of $pieces");
        foreach ($isAll ? [] : range($read + 1, $pieces) as $unread) {
            expect(said($live->advice->words))->toContain("no. $unread");
        }
    }
})->with(['duck', 'chicken', 'chicken-legs', 'pork-loin', 'lamb-leg'])->with([2, 3, 4]);

it('takes four of a dozen for all of them', function () {
    $read = fn (int $many): LiveForecast => ofPieces(alike('chicken-legs', 12), array_map(fn (int $piece): array => [1.0, 0.5, 3 * $piece], range(1, $many)))[0];
    expect($read(3)->cue?->state)->not->toBe(CueState::Due)->and($read(4)->cue?->state)->toBe(CueState::Due);
});

it('has the coldest piece decide, in whatever order they were read', function (string $cut) {
    mt_srand(20311201);
    for ($round = 0; $round < 12; $round++) {
        $above = [mt_rand(5, 40) / 10.0, mt_rand(5, 40) / 10.0, -mt_rand(25, 90) / 10.0];
        shuffle($above);
        $order = [1, 2, 3];
        shuffle($order);
        // Up to a quarter of an hour between two of them.
        $ago = [mt_rand(20, 150) / 10.0, mt_rand(5, 19) / 10.0, 0.2];
        $read = array_map(fn (int $i, float $minutes): array => [$minutes, $above[$i - 1], $i], $order, $ago);
        [$live, $dish, $readings, $now] = ofPieces(alike($cut, 3), $read);
        $coldest = array_search(min($above), $above, true) + 1;
        $map = ProbeMap::of($dish, $readings, $live->verdicts, $now, false);
        $deciding = array_values(array_filter($map->pieces, fn (Spot $spot): bool => $spot->decides));
        expect($live->cue?->state)->not->toBe(CueState::Due)
            ->and($live->advice?->act)->not->toBe(AdviceAct::TakeOff)
            ->and($deciding[0]->piece)->toBe($coldest)
            ->and($map->unread)->toBe([]);
    }
})->with(['duck', 'chicken-legs', 'pork-loin']);

it('does not take a warm piece for all, once another was found colder, until that one is read again', function () {
    // Half an hour ago the second was 12 K behind; only the first was read since.
    $read = [[31.0, -14.0, 1], [30.0, -26.0, 2], [1.0, 1.0, 1]];
    [$live, $dish, $readings, $now] = ofPieces(alike('duck', 2), $read, 130.0);
    expect($live->cue?->state)->not->toBe(CueState::Due)
        ->and(ProbeMap::of($dish, $readings, $live->verdicts, $now, false)->next->piece)->toBe(2)
        ->and($live->verdicts['r2']->isCounted())->toBeFalse();
    [$again] = ofPieces(alike('duck', 2), [...$read, [0.2, 0.8, 2]], 130.0);
    expect($again->cue?->state)->toBe(CueState::Due);
});

it('takes what was read warmer before for no core, when another piece reads less after it', function (float $apart) {
    [$live] = ofPieces(alike('duck', 2), [[$apart + 0.5, 1.0, 1], [0.5, -12.0, 2]], 120.0);
    expect($live->verdicts['r0']->isCounted())->toBeFalse()
        ->and($live->belief->newest?->piece)->toBe(2)
        ->and($live->cue?->state)->not->toBe(CueState::Due);
})->with([1.0, 4.0, 6.0, 14.0]);

it('says to change the places of pieces that are not heated alike', function () {
    [$live, $dish, $readings, $now] = ofPieces(alike('duck', 3), [[1.0, -30.0, 1], [0.8, -20.0, 2], [0.5, -17.0, 3]]);
    expect(said(ProbeMap::of($dish, $readings, $live->verdicts, $now, false)->uneven))->toBe('No. 1 is 13 °C behind no. 3: change their places over the heat');
});

it('says at the debrief which pieces were never read', function () {
    [$live, $dish, $readings] = ofPieces(alike('duck', 3), [[2.0, 0.5, 1], [1.0, 0.7, 3]]);
    $off = 60.0 * $live->cookMinutes->likely;
    $course = new Course(nowS: $off + 3600.0, pulledS: $off, carvedS: $off + 1800.0);
    $fact = LiveForecast::of($dish, 14.0, $course, $readings, $live->pullC);
    $findings = Debrief::of($dish, 100.0, $live->pullC, $fact, $course, $readings, 0.0);
    $pieces = array_values(array_filter($findings, fn (Finding $one): bool => $one->id === 'pieces'))[0];
    expect(said($pieces->fact))->toBe('2 of 3')->and(said($pieces->lesson))->toBe('Not read: no. 2.')
        ->and(array_values(array_filter($findings, fn (Finding $one): bool => $one->id === 'safe'))[0]->basis)->toBe('computed');
});

// The stuffing is in the cavity: it warms after the meat round it. Source: USDA FSIS, Turkey Basics: Stuffing: 74 °C in its middle.
it('asks for the middle of the filling of a stuffed dish, whatever its meat reads', function (string $cut, string $elsewhere) {
    $asked = ['preparations' => ['stuff']] + alike($cut, 1);
    [$thigh, $dish, $readings, $now] = ofPieces($asked, [[6.0, -2.0, 1, $elsewhere], [1.0, 2.0, 1, $elsewhere]]);
    expect(ProbeMap::decisive($dish))->toBe('filling')
        ->and($thigh->cue?->state)->not->toBe(CueState::Due)
        ->and(said($thigh->advice?->words))->toBe('Read here too: Middle of the filling');
    [$both] = ofPieces($asked, [[6.0, -2.0, 1, $elsewhere], [1.0, 2.0, 1, $elsewhere], [0.5, 0.4, 1, 'filling']]);
    expect($both->cue?->state)->toBe(CueState::Due)->and($both->advice?->act)->toBe(AdviceAct::TakeOff);
    [$colder] = ofPieces($asked, [[6.0, -2.0, 1, $elsewhere], [1.0, 2.0, 1, $elsewhere], [0.5, -8.0, 1, 'filling']]);
    expect($colder->cue?->state)->not->toBe(CueState::Due)->and($colder->advice?->act)->not->toBe(AdviceAct::TakeOff);

    // Off all the same: nobody eats it before its filling is read.
    $off = static fn (array $more): LiveForecast => LiveForecast::of(
        $dish, 14.0, new Course(nowS: $now + 600.0, pulledS: $now), [...$readings, ...$more], $thigh->pullC,
    );
    expect($off([])->advice?->act)->toBe(AdviceAct::Read)
        ->and($off([Reading::of('f', $now - 20.0, 'filling', $thigh->pullC + 0.5)])->advice)->toBeNull();
})->with([['duck', 'thigh'], ['chicken', 'thigh'], ['turkey', 'breast'], ['fish-whole', 'thick_end']]);
