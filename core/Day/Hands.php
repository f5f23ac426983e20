<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Measure\Message;
use Diatherm\Roast\Roast;

/**
 * One thing after another, for as many pairs of hands as there are. What has an hour keeps it; what may be done sooner or later gives
 * way inside its window, the tightest first; what is left stands beside what it would have to be done with.
 */
final class Hands
{
    /** Two things at one lid are done together when they are no further apart, minutes: it is lifted once. Common practice. */
    private const ONE_LIFT_MINUTES = 4.0;

    /** Work that can be left and taken up again is begun no sooner than so long before its hour. Common practice. */
    private const LONGEST_AHEAD_MINUTES = 60;

    /** It is laid round other work in pieces so long, s. */
    private const PIECE_S = 30;

    /** What overlaps by less is done in passing, s. */
    private const IN_PASSING_S = 45;

    /** A day in seconds is cut into buckets so long, so that what lies near a moment is found at once. */
    private const BUCKET_S = 1800;

    /** @var list<array{int, int, int, Station, string|null}> what hands do: from and to, s, line, where, and at which lid */
    private array $busy = [];

    /** @var array<int, list<int>> numbers of it by bucket */
    private array $buckets = [];

    private function __construct(private readonly int $pairs)
    {
    }

    /**
     * @param  list<Entry>  $entries
     * @return list<Entry> in the same order, each with its work, at the moment that there are hands for it
     */
    public static function arrange(array $entries, Roast $roast): array
    {
        $works = array_map(fn (Entry $entry): Work => Work::of($entry, $roast), $entries);
        $order = array_keys(array_filter($works, fn (Work $work): bool => $work->minutes > 0.0));
        $slack = fn (int $i): float => $works[$i]->earlierMinutes + $works[$i]->laterMinutes;
        usort(
            $order,
            fn (int $a, int $b): int => [$slack($a), $entries[$a]->at, $a] <=> [$slack($b), $entries[$b]->at, $b],
        );
        $hands = new self($roast->hands);
        $at = $overBy = [];
        $handwork = self::handwork($entries, $works);
        foreach (array_diff($order, array_merge(...$handwork)) as $i) {
            $planned = $entries[$i]->at->getTimestamp();
            $at[$i] = $hands->take($i, $planned, $works[$i], $planned + (int) round(60.0 * $works[$i]->laterMinutes));
        }
        foreach ($handwork as $lines) {
            $by = INF;
            foreach ($lines as $i) {
                $planned = $entries[$i]->at->getTimestamp();
                $over = $planned + (int) round(60.0 * $works[$i]->minutes);
                $waits = self::leastWaitS($entries[$i]);
                $overBy[$i] = $by;
                $by = $at[$i] = $waits === null
                    ? $hands->takeBefore($i, (int) min($by, $over), $entries[$i], $works[$i])
                    : $hands->take($i, (int) min($planned, $by - $waits), $works[$i], (int) min($by - $waits, $planned + 60.0 * $works[$i]->laterMinutes));
            }
        }
        $clashes = $hands->clashes();

        return array_map(
            fn (int $i): Entry => $entries[$i]->worked(
                $works[$i],
                isset($at[$i]) ? $entries[$i]->at->setTimestamp($at[$i]) : $entries[$i]->at,
                self::until($entries[$i], $overBy[$i] ?? INF),
                isset($clashes[$i]) ? Message::of('hands.clash', pairs: $roast->hands, other: $entries[$clashes[$i]]->title) : null,
            ),
            array_keys($entries),
        );
    }

    /** When it is over: by what follows it at the latest. */
    private static function until(Entry $entry, float $by): ?\DateTimeImmutable
    {
        return $entry->until !== null && $entry->until->getTimestamp() > $by ? $entry->until->setTimestamp((int) $by) : $entry->until;
    }

    /** What is begun and then waits: how long at the least, s; null for what hands are at all the time. */
    private static function leastWaitS(Entry $entry): ?int
    {
        return $entry->id->what !== 'prepare' || $entry->minutes !== null || $entry->until === null || $entry->latest === null
            ? null
            : $entry->until->getTimestamp() - $entry->latest->getTimestamp();
    }

    /**
     * Work in the kitchen that is done in one go before something goes on, and that can be left for a minute when the fire calls; with
     * what waits between.
     *
     * @param  list<Entry>  $entries
     * @param  array<int, Work>  $works
     * @return list<list<int>> the lines of each such piece of work, the last one first
     */
    private static function handwork(array $entries, array $works): array
    {
        $before = [];
        foreach ($entries as $i => $entry) {
            $what = $entry->id->what;
            $of = match (true) {
                $works[$i]->minutes <= 0.0 => null,
                in_array($what, ['take_out', 'rig', 'prepare'], true) => "on.$entry->dish",
                $what === 'carve' => "carve.$entry->dish",
                $what === 'between' => "stage.$entry->dish.".$entry->id->parts[0],
                $what === 'side' && $entry->id->parts[1] === 'ready' => 'side.'.$entry->id->parts[0],
                default => null,
            };
            if ($of !== null) {
                $before[$of][] = $i;
            }
        }

        return array_values(array_map(function (array $lines) use ($entries): array {
            usort($lines, fn (int $a, int $b): int => [$entries[$b]->at, $b] <=> [$entries[$a]->at, $a]);

            return $lines;
        }, $before));
    }

    /**
     * As late as it can be begun to be done by then, round what else these hands have to do meanwhile.
     *
     * @return int when it is begun, s
     */
    private function takeBefore(int $line, int $by, Entry $entry, Work $work): int
    {
        $need = (int) round(60.0 * $work->minutes);
        $planned = max($entry->earliest?->getTimestamp() ?? 0, min($entry->at->getTimestamp(), $by - $need));
        $earliest = max($planned - 60 * self::LONGEST_AHEAD_MINUTES, $entry->earliest?->getTimestamp() ?? 0);
        $near = $this->near($earliest, $by);
        $pieces = [];
        $at = $by;
        $left = $need;
        while ($left > 0 && $at > $earliest) {
            $piece = min(self::PIECE_S, $left);
            $at -= $piece;
            if ($this->overbooked($at, $at + $piece, $near) === 0) {
                $left -= $piece;
                $pieces[] = $at;
            }
        }
        if ($left > 0) {
            $this->book($line, $planned, $planned + $need, $work);

            return $planned;
        }
        // Pieces that follow each other are one.
        $end = null;
        foreach ($pieces as $k => $from) {
            $end ??= $from + self::PIECE_S;
            if (($pieces[$k + 1] ?? null) !== $from - self::PIECE_S) {
                $this->book($line, $from, min($end, $by), $work);
                $end = null;
            }
        }

        return $at;
    }

    /**
     * @param  int  $last  the latest moment, s
     * @return int the moment at which it is done, s
     */
    private function take(int $line, int $wanted, Work $work, int $last): int
    {
        $long = (int) round(60.0 * $work->minutes);
        $first = $wanted - (int) round(60.0 * $work->earlierMinutes);
        $near = $this->near($first, $last + $long);
        $best = $wanted;
        $least = INF;
        $walk = (int) round(60.0 * Work::walkMinutes());
        $moments = [$wanted, $first, $last];
        foreach ($first === $last ? [] : $near as [$from, $to, , $station]) {
            $walks = $station === $work->station ? 0 : $walk;
            array_push($moments, $to, $to + $walks, $from - $long, $from - $long - $walks);
        }
        foreach ($moments as $moment) {
            if ($moment < $first || $moment > $last) {
                continue;
            }
            $price = $this->price($moment, $moment + $long, $wanted, $work, $near, $walk);
            if ($price < $least) {
                [$best, $least] = [$moment, $price];
            }
        }
        $this->book($line, $best, $best + $long, $work);

        return $best;
    }

    /**
     * What a moment costs: first of all hands that are not there, then a walk with none to spare, then being off its hour; a lid that
     * is open already is worth some of that.
     *
     * @param  list<array{int, int, int, Station, string|null}>  $near
     */
    private function price(int $from, int $to, int $wanted, Work $work, array $near, int $walk): float
    {
        $over = $this->overbooked($from, $to, $near);
        $price = 100.0 * ($over > self::IN_PASSING_S ? $over : 0) + abs($from - $wanted);
        foreach ($near as [$begins, $ends, , $station, $lid]) {
            $beside = min(abs($begins - $to), abs($from - $ends));
            if ($beside === 0 && $lid !== null && $lid === $work->lid && abs($from - $wanted) <= 60.0 * self::ONE_LIFT_MINUTES) {
                $price -= 60.0 * self::ONE_LIFT_MINUTES;
            }
            $price += $this->pairs === 1 && $station !== $work->station && $beside < $walk ? 60.0 : 0.0;
        }

        return $price;
    }

    /**
     * For how long, s, more would be done at once than there are hands.
     *
     * @param  array<array{int, int, int, Station, string|null}>  $near
     */
    private function overbooked(int $from, int $to, array $near): int
    {
        $turns = [];
        foreach ($near as [$begins, $ends]) {
            if ($begins < $to && $ends > $from) {
                $turns[] = [max($from, $begins), 1];
                $turns[] = [min($to, $ends), -1];
            }
        }
        usort($turns, fn (array $a, array $b): int => $a <=> $b);
        [$over, $at, $busy] = [0, $from, 0];
        foreach ($turns as [$moment, $more]) {
            $over += $busy >= $this->pairs ? $moment - $at : 0;
            [$at, $busy] = [$moment, $busy + $more];
        }

        return $over;
    }

    /** @return array<int, int> for each line that hands are short for, what they are doing then */
    private function clashes(): array
    {
        $clashes = [];
        foreach ($this->busy as [$from, $to, $line]) {
            // Said at what begins later: whoever is at something by then stays at it.
            $begun = array_filter(
                $this->near($from, $to),
                fn (array $one): bool => $one[2] !== $line && [$one[0], $one[2]] < [$from, $line],
            );
            if ($this->overbooked($from, $to, $begun) <= self::IN_PASSING_S) {
                continue;
            }
            foreach ($begun as [$begins, $ends, $other]) {
                if (min($to, $ends) - max($from, $begins) > self::IN_PASSING_S) {
                    $clashes[$line] = $other;
                }
            }
        }

        return $clashes;
    }

    private function book(int $line, int $from, int $to, Work $work): void
    {
        $number = count($this->busy);
        $this->busy[] = [$from, $to, $line, $work->station, $work->lid];
        for ($bucket = intdiv($from, self::BUCKET_S); $bucket <= intdiv($to, self::BUCKET_S); $bucket++) {
            $this->buckets[$bucket][] = $number;
        }
    }

    /** @return list<array{int, int, int, Station, string|null}> what hands do between two moments, some minutes on either side */
    private function near(int $from, int $to): array
    {
        $numbers = [];
        for ($bucket = intdiv($from, self::BUCKET_S) - 1; $bucket <= intdiv($to, self::BUCKET_S) + 1; $bucket++) {
            foreach ($this->buckets[$bucket] ?? [] as $number) {
                $numbers[$number] = true;
            }
        }

        return array_map(fn (int $number): array => $this->busy[$number], array_keys($numbers));
    }
}
