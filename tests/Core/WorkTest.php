<?php

declare(strict_types=1);

use Diatherm\Work\Arrow;
use Diatherm\Work\CircularWork;
use Diatherm\Work\Network;
use Diatherm\Work\Piece;
use Diatherm\Work\Schedule;
use Diatherm\Work\WakingHours;

/** @param  array<string, float>  $minutes  of hands @param  list<string>  $arrows  “A>B” */
function network(array $minutes, array $arrows): Network
{
    return Network::of(
        array_map(fn (string $id, float $hands): Piece => Piece::of($id, $hands), array_keys($minutes), array_values($minutes)),
        array_map(fn (string $arrow): Arrow => new Arrow(...explode('>', $arrow)), $arrows),
    );
}

// The critical path method on a network of eight, worked by hand: the longest chain is A-B-D-G-H, 19 long; C, E and F have 4, 5 and 7
// to spare (earliest 3, 5, 5). Method: J. E. Kelley, M. R. Walker, Critical-Path Planning and Scheduling, 1959.
it('finds the latest starts of a textbook network', function () {
    $network = network(
        ['A' => 3, 'B' => 4, 'C' => 2, 'D' => 5, 'E' => 1, 'F' => 2, 'G' => 4, 'H' => 3, 'end' => 0],
        ['A>B', 'A>C', 'B>D', 'C>E', 'C>F', 'D>G', 'E>G', 'F>H', 'G>H', 'H>end'],
    );
    expect($network->latestStarts(['end' => 19.0], 1.0))->toEqualCanonicalizing(
        ['A' => 0.0, 'B' => 3.0, 'C' => 9.0, 'D' => 7.0, 'E' => 11.0, 'F' => 14.0, 'G' => 12.0, 'H' => 16.0, 'end' => 19.0],
    );
    // Hands for all at once change nothing.
    expect(Schedule::backwards($network, ['end' => 19.0], pairs: 3)->starts())->toEqualCanonicalizing($network->latestStarts(['end' => 19.0], 1.0));
});

it('keeps the least and the most that may lie between two pieces', function () {
    $network = Network::of(
        [Piece::of('marinate', 10, 360, 1080, 1080), Piece::of('out', 2), Piece::of('stuff', 15), Piece::of('on', 2)],
        [new Arrow('marinate', 'out', 0, 0), new Arrow('out', 'on', 25), new Arrow('stuff', 'on', 0, 30), new Arrow('out', 'stuff')],
    );
    foreach ([-3000.0, -900.0, -600.0, -450.0] as $now) {
        $at = Schedule::backwards($network, ['on' => 0.0], $now)->starts();
        $waits = $at['out'] - $at['marinate'] - 10;
        expect($waits)->toBeGreaterThanOrEqual(360.0)->toBeLessThanOrEqual(1080.0)
            ->and($at['out'])->toBeLessThanOrEqual(-27.0)
            ->and($at['stuff'] + 15)->toBeGreaterThanOrEqual(-30.0)->toBeLessThanOrEqual(0.0)
            ->and($at['marinate'])->toBeGreaterThanOrEqual($now);
    }
    // No time for the least: it is laid out all the same, and says so by where it begins.
    $late = Schedule::backwards($network, ['on' => 0.0], -200.0);
    expect($late->isCramped())->toBeTrue()->and($late->starts()['marinate'])->toBeLessThan(-200.0);
});

it('names the pieces that wait for each other, and no others', function () {
    expect(fn () => network(['A' => 1, 'B' => 1, 'C' => 1, 'D' => 1], ['A>B', 'B>C', 'C>B', 'C>D']))->toThrow(
        fn (CircularWork $wrong) => expect($wrong->getMessage())->toBe('B > C'),
    );
});

it('lays random networks out so that no hands are in two places and nothing comes before what it waits for', function () {
    mt_srand(28);
    for ($round = 0; $round < 300; $round++) {
        $count = mt_rand(2, 9);
        $minutes = $arrows = [];
        for ($i = 0; $i < $count; $i++) {
            $minutes["p$i"] = (float) mt_rand(1, 30);
            for ($j = 0; $j < $i; $j++) {
                if (mt_rand(0, 3) === 0) {
                    $arrows[] = "p$j>p$i";
                }
            }
            $arrows[] = "p$i>end";
        }
        $pairs = mt_rand(1, 2);
        $at = Schedule::backwards(network($minutes + ['end' => 0.0], $arrows), ['end' => 0.0], pairs: $pairs)->starts();
        foreach ($arrows as $arrow) {
            [$before, $after] = explode('>', $arrow);
            expect($at[$before] + ($minutes[$before] ?? 0.0))->toBeLessThanOrEqual($at[$after] + 1e-6, "$round $arrow");
        }
        foreach ($minutes as $id => $long) {
            // Every moment at which something begins: no more at once than there are hands.
            $busy = array_filter($minutes, fn (float $other, string $one): bool => $at[$one] <= $at[$id] + 1e-6 && $at[$one] + $other > $at[$id] + 1e-6, ARRAY_FILTER_USE_BOTH);
            expect(count($busy))->toBeLessThanOrEqual($pairs, "$round $id");
        }
        if ($pairs === 1) {
            // One pair that never idles between the first and the last is as quick as can be: all of it, one after another.
            expect(-min($at))->toEqualWithDelta(array_sum($minutes), 1e-6, "$round");
        }
    }
});

// Against every order that the arrows allow, for two pairs of hands and up to six pieces. The bound of any list schedule on two machines:
// 2 − 1/2. Source: R. L. Graham, Bounds on Multiprocessing Timing Anomalies, 1969.
it('comes near the best of all orders for two pairs of hands', function () {
    mt_srand(2028);
    $best = $ours = 0.0;
    for ($round = 0; $round < 60; $round++) {
        $count = mt_rand(3, 6);
        $minutes = $before = $arrows = [];
        for ($i = 0; $i < $count; $i++) {
            $minutes["p$i"] = (float) mt_rand(1, 20);
            $before["p$i"] = array_values(array_filter(array_map(fn (int $j): string => "p$j", $i === 0 ? [] : range(0, $i - 1)), fn (): bool => mt_rand(0, 3) === 0));
            $arrows = [...$arrows, "p$i>end", ...array_map(fn (string $one): string => "$one>p$i", $before["p$i"])];
        }
        $found = -min(Schedule::backwards(network($minutes + ['end' => 0.0], $arrows), ['end' => 0.0], pairs: 2)->starts());
        $least = leastOfAllOrders($minutes, $before);
        expect($found)->toBeGreaterThanOrEqual($least - 1e-6, "$round")->toBeLessThanOrEqual(1.5 * $least, "$round");
        $best += $least;
        $ours += $found;
    }
    expect($ours / $best)->toBeLessThan(1.1);
});

/** @param  array<string, float>  $minutes @param  array<string, list<string>>  $before */
function leastOfAllOrders(array $minutes, array $before, array $done = [], array $free = [0.0, 0.0]): float
{
    if (count($done) === count($minutes)) {
        return max($done);
    }
    $least = INF;
    foreach ($minutes as $id => $long) {
        if (isset($done[$id]) || array_diff($before[$id], array_keys($done)) !== []) {
            continue;
        }
        sort($free);
        foreach ([0, 1] as $pair) {
            $start = max($free[$pair], ...array_map(fn (string $one): float => $done[$one], $before[$id]), ...[0.0]);
            $least = min($least, leastOfAllOrders($minutes, $before, $done + [$id => $start + $long], [$pair => $start + $long] + $free));
        }
    }

    return $least;
}

it('begins nothing at night that could begin in the evening or the morning, in any zone', function (string $on) {
    $zero = new DateTimeImmutable($on);
    mt_srand(7);
    for ($round = 0; $round < 60; $round++) {
        $hands = (float) mt_rand(0, 60);
        $best = (float) mt_rand(4 * 60, 30 * 60);
        $network = Network::of(
            [Piece::of('wait', $hands, 0.4 * $best, $best, 2.2 * $best), Piece::of('on', 0)],
            [new Arrow('wait', 'on', 0, 0)],
        );
        $schedule = Schedule::backwards($network, ['on' => 0.0], waking: new WakingHours($zero));
        $begins = $zero->setTimestamp($zero->getTimestamp() + (int) round(60 * $schedule->starts()['wait']));
        $over = $begins->setTimestamp($begins->getTimestamp() + (int) round(60 * $hands));
        if ($schedule->short() === []) {
            expect((int) $begins->format('G'))->toBeGreaterThanOrEqual(7, "$round")->toBeLessThan(22, "$round")
                ->and($over <= $begins->setTime(22, 0))->toBeTrue();
        }
        // From 0.4 to 2.2 times as long there is always a waking hour.
        expect($schedule->short())->toBe($best < 8 * 60 ? $schedule->short() : []);
    }
})->with(['2031-10-04T18:45:00+02:00', '2031-10-26T03:30:00 Europe/Oslo', '2031-03-30T12:00:00 Europe/Oslo', '2031-07-01T19:00:00 Pacific/Auckland', '2031-07-01T06:10:00 America/Denver']);
