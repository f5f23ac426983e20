<?php

declare(strict_types=1);

use Diatherm\Cooking\ColdChain;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Live\LiveForecast;
use Diatherm\Live\Reading;
use Diatherm\Measure\InvalidInput;
use Diatherm\Roast\Dish;
use Tests\Support\DangerOracle;
use Tests\Support\Samples;

// A seeded search through chains, pauses, storage, dead fires and cooks that were read, misread or not read at all. The plan and the live
// view are held against an oracle that was written apart from the product's rules and has a body of its own.
// `bin/test matrix` takes thirty times as many.

const FOODS = [
    ['cut' => 'chicken', 'kg' => [1.3, 2.6], 'target' => 74.0, 'safe' => 74.0, 'inside' => true],
    ['cut' => 'turkey-breast', 'kg' => [1.5, 4.0], 'target' => 74.0, 'safe' => 74.0, 'inside' => true],
    ['cut' => 'pork-loin', 'kg' => [1.0, 3.0], 'target' => 66.0, 'safe' => 63.0, 'inside' => false],
    ['cut' => 'beef-rib', 'kg' => [2.0, 5.0], 'target' => 54.0, 'safe' => 63.0, 'inside' => false],
    ['cut' => 'lamb-leg-boned', 'kg' => [1.2, 2.5], 'target' => 70.0, 'safe' => 63.0, 'inside' => true],
];

const ROOM_H = 9.0;

const OVEN_H = 15.0;

/** Told of by the plan or the live view: what the account says, not what else is cautioned of. */
const TOLD = ['out_of_refrigeration', 'come_up', 'part_cooked', 'cooling', 'reheating', 'kept_raw'];

function seeds(int $each): array
{
    $count = getenv('MATRIX') === 'whole' ? 30 * $each : $each;

    return array_map(fn (array $part): array => [$part], array_chunk(range(1, $count), 20));
}

/** @return array{food: array<string, mixed>, kg: float} */
function aFood(): array
{
    $food = FOODS[mt_rand(0, count(FOODS) - 1)];

    return ['food' => $food, 'kg' => round($food['kg'][0] + ($food['kg'][1] - $food['kg'][0]) * mt_rand() / mt_getrandmax(), 2)];
}

/** @param  list<array<string, mixed>>  $stages */
function aDish(array $food, float $kg, array $stages, int $pieces = 1): Dish
{
    return Samples::dish([
        'cut' => $food['cut'], 'mass_kg' => $kg, 'pieces' => $pieces, 'start_c' => 4, 'taste' => null, 'target_c' => $food['target'],
        'coast' => false, 'stages' => $stages,
    ]);
}

$tally = (object) ['danger' => 0, 'untold' => [], 'safe' => 0, 'needless' => []];

it('tells of danger in a plan, and cries no wolf', function (array $seeds) use ($tally) {
    foreach ($seeds as $seed) {
        mt_srand($seed);
        ['food' => $food, 'kg' => $kg] = aFood();
        $roomC = [14.0, 21.0, 27.0, 36.0][mt_rand(0, 3)];
        $first = [0, 0, mt_rand(5, 300)][mt_rand(0, 2)];
        $heat = mt_rand(10, 50);
        $pause = [mt_rand(5, 60), mt_rand(60, 600)][mt_rand(0, 1)];
        $isCold = mt_rand(0, 2) === 0;
        $oven = mt_rand(150, 200);
        $stages = [
            ...($first > 0 ? [['cooker' => 'rest', 'cooker_c' => $roomC, 'minutes' => $first]] : []),
            ['cooker' => 'oven', 'cooker_c' => $oven, 'minutes' => $heat],
            $isCold ? ['cooker' => 'fridge', 'cooker_c' => 4, 'minutes' => $pause] : ['cooker' => 'rest', 'cooker_c' => $roomC, 'minutes' => $pause],
            ['cooker' => 'oven', 'cooker_c' => $oven, 'pull' => true],
        ];
        try {
            $dish = aDish($food, $kg, $stages);
            $plan = Forecast::of($dish, $roomC);
        } catch (InvalidInput) {
            continue;
        }
        $last = (int) ceil($plan->cookMinutes->likely - $first - $heat - $pause);
        $legs = [[$first, $roomC, ROOM_H], [$heat, $oven, OVEN_H], [$pause, $isCold ? 4.0 : $roomC, ROOM_H], [max(1, $last), $oven, OVEN_H], [15, $roomC, ROOM_H]];
        $course = DangerOracle::course($kg, $legs);
        $shares = DangerOracle::shares(
            $course, $first + $heat + $pause + max(1, $last), $food['safe'], $food['inside'], $food['target'] < $food['safe'], 25.0, $roomC,
        );
        // Storage of whole muscle has rules of its own, which are checked rule by rule.
        if ($isCold && ! $food['inside'] && $pause >= 100) {
            continue;
        }
        $told = array_intersect(array_column($plan->cautions, 'id'), TOLD);
        $isFatal = array_filter($plan->cautions, fn ($caution): bool => $caution->isFatal) !== [];
        $case = "seed $seed: {$food['cut']} $kg kg, room $roomC, first $first, heat $heat, pause $pause ".($isCold ? 'cold' : 'in the room').' '.json_encode(array_map(fn ($x) => round($x, 2), $shares));
        match (DangerOracle::verdict($shares)) {
            true => [$tally->danger++, $told === [] || ($food['inside'] && ! $isFatal) ? $tally->untold[] = $case : null],
            false => [$tally->safe++, $told !== [] ? $tally->needless[] = $case.' '.implode(' ', $told) : null],
            default => null,
        };
    }
    expect($tally->untold)->toBe([]);
})->with(fn (): array => seeds(80));

/**
 * One cook as it was lived: what was true of it, and what of that was read and logged.
 *
 * @return array{case: string, dish: Dish, plan: Forecast, course: Course, readings: list<Reading>, shares: array<string, float>, inside: bool}|null
 */
function livedCook(int $seed): ?array
{
    mt_srand(1000 + $seed);
    ['food' => $food, 'kg' => $kg] = aFood();
    $roomC = [14.0, 21.0, 36.0][mt_rand(0, 2)];
    $oven = (float) mt_rand(150, 200);
    $isRead = mt_rand(0, 4) > 0;
    $isMisread = mt_rand(0, 5) === 0;
    $before = [20, 30, 60, 150, 400][mt_rand(0, 4)];
    // A fire that dies is known by what is read alone.
    $kind = ['through', 'pause', $isRead ? 'dead' : 'through', 'waits'][mt_rand(0, 3)];
    $gap = [mt_rand(10, 60), mt_rand(150, 500)][mt_rand(0, 1)];
    $h = OVEN_H * [0.85, 1.0, 1.2][mt_rand(0, 2)];
    // Of a fire that dies: near the room, or with embers that keep it warm.
    $deadC = [$roomC + 8.0, 42.0][crc32("dead $seed") % 2];
    // A second piece that is so much warmer, K; the colder one is what the oracle follows.
    $warmerK = [0.0, 0.0, 2.0, 6.0][crc32("pair $seed") % 4];
    try {
        $dish = aDish($food, $kg, [['cooker' => 'oven', 'cooker_c' => $oven, 'pull' => true]], $warmerK > 0.0 ? 2 : 1);
        $plan = Forecast::of($dish, $roomC);
    } catch (InvalidInput) {
        return null;
    }
    $away = (int) round(0.4 * $plan->cookMinutes->likely);
    $legs = $kind === 'through' || $kind === 'waits'
        ? [[2000, $oven, $h]]
        : [[$away, $oven, $h], [$gap, $kind === 'dead' ? $deadC : $roomC, $kind === 'dead' ? 7.0 : ROOM_H], [2000, $oven, $h]];
    $course = DangerOracle::course($kg, $legs);
    $off = 0;
    foreach ($course as $minute => [$core]) {
        if ($core >= $food['target'] + 1.0 && $minute > ($kind === 'pause' || $kind === 'dead' ? $away + $gap : 0)) {
            $off = $minute;
            break;
        }
    }
    if ($off === 0) {
        return null;
    }
    $rest = $kind === 'waits' ? $gap : 12;
    $legs[count($legs) - 1][0] = $off - array_sum(array_column(array_slice($legs, 0, -1), 0));
    $course = DangerOracle::course($kg, [...$legs, [$rest, $roomC, ROOM_H]]);
    $end = $off + $rest;
    $readings = $cooker = [];
    for ($minute = 15; $isRead && $minute <= $end; $minute += mt_rand(12, 22)) {
        $readings[] = Reading::of("r$minute", 60.0 * $minute, 'core', round($course[$minute][0] + mt_rand(-8, 8) / 10.0, 1));
        // A fire that dies is read each time; else now and then.
        if ($minute < $off && $kind !== 'pause' && ($kind === 'dead' || mt_rand(0, 1) === 0)) {
            $cooker[] = [60.0 * $minute, $course[$minute][1]];
        }
    }
    if ($isRead) {
        $readings[] = Reading::of('off', 60.0 * $off, 'core', round($course[$off][0], 1));
        $readings[] = Reading::of('end', 60.0 * $end, 'core', round($course[$end][0], 1));
        $readings = [...$readings, ...ofAWarmerPiece($readings, $warmerK)];
        usort($readings, fn (Reading $a, Reading $b): int => $a->seconds <=> $b->seconds);
    }
    if ($isRead && $isMisread && count($readings) > 6) {
        $stray = $readings[3];
        $readings[3] = Reading::of($stray->id, $stray->seconds, 'core', min(95.0, $stray->celsius + 38.0), piece: $stray->piece);
    }
    $as = new Course(
        $cooker, [], [], 60.0 * $off, 60.0 * $end, null, $kind === 'pause' ? [[60.0 * $away, 60.0 * $gap]] : [], new ColdChain((float) $before),
    );
    if ($kind === 'dead' && $gap < 100) {
        // Too short to be seen in the readings.
        return null;
    }
    $shares = DangerOracle::shares($course, $off, $food['safe'], $food['inside'], $food['target'] < $food['safe'], (float) $before, $roomC);
    $case = "seed $seed: {$food['cut']} $kg kg, room $roomC, before $before, $kind $gap, second piece $warmerK, ".($isRead ? ($isMisread ? 'misread' : 'read') : 'unread').' '.json_encode(array_map(fn ($x) => round($x, 2), $shares));

    return ['case' => $case, 'dish' => $dish, 'plan' => $plan, 'course' => $as, 'readings' => $readings, 'shares' => $shares, 'inside' => $food['inside'], 'air' => $roomC, 'read' => $isRead];
}

/**
 * What was read of a second piece, here half a minute before the first and there a while after it.
 *
 * @param  list<Reading>  $readings  of the first
 * @return list<Reading>
 */
function ofAWarmerPiece(array $readings, float $byK): array
{
    return $byK === 0.0 ? [] : array_map(fn (Reading $one, int $i): Reading => Reading::of(
        "$one->id.2", max(0.0, $one->seconds + [-30.0, 45.0, 400.0][$i % 3]), 'core', min(98.0, $one->celsius + $byK), piece: 2,
    ), $readings, array_keys($readings));
}

$lived = (object) ['danger' => 0, 'untold' => [], 'safe' => 0, 'needless' => []];

it('tells of danger in a cook as it was lived, and cries no wolf', function (array $seeds) use ($lived) {
    foreach ($seeds as $seed) {
        $cook = livedCook($seed);
        if ($cook === null) {
            continue;
        }
        $live = LiveForecast::of($cook['dish'], $cook['air'], $cook['course'], $cook['readings'], $cook['plan']->pullC);
        $told = array_intersect(array_column($live->cautions, 'id'), TOLD);
        $act = $live->advice?->act->value;
        $isTold = $cook['inside'] ? $act === 'discard' || (! $cook['read'] && $act === 'read') : $told !== [];
        $isNeedless = $cook['inside'] ? $act === 'discard' : $told !== [];
        $case = $cook['case'].' '.($act ?? 'none').' '.implode(' ', $told);
        match (DangerOracle::verdict($cook['shares'])) {
            true => [$lived->danger++, $isTold ? null : $lived->untold[] = $case],
            false => [$lived->safe++, $isNeedless ? $lived->needless[] = $case : null],
            default => null,
        };
    }
    expect($lived->untold)->toBe([]);
})->with(fn (): array => seeds(80));

it('met danger often enough to know, and alarmed needlessly in fewer than five of a hundred', function () use ($tally, $lived) {
    foreach (['planned' => $tally, 'lived' => $lived] as $what => $one) {
        fwrite(STDERR, sprintf("  %s: %d dangerous, %d untold, %d safe, %d needless\n", $what, $one->danger, count($one->untold), $one->safe, count($one->needless)));
        expect($one->danger)->toBeGreaterThan(15, $what)->and($one->safe)->toBeGreaterThan(15, $what)
            ->and(count($one->needless) / $one->safe)->toBeLessThan(0.05, implode("\n", $one->needless));
    }
});
