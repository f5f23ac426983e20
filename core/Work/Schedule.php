<?php

declare(strict_types=1);

namespace Diatherm\Work;

/**
 * When each piece of work begins: as late as its followers let it, one after another from the last to the first, while hands are up and
 * free. A serial scheme with the latest start as its priority; laid backwards, it leaves nothing to wait that could begin later
 * (right-justified). Source: Neumann, Schwindt, Zimmermann, Project Scheduling with Time Windows and Scarce Resources, chapter 2.
 */
final class Schedule
{
    /** Halvings of the share between least and best: to a thousandth. */
    private const HALVINGS = 10;

    /** @var array<string, float> starts, minutes, by id */
    private array $starts;

    /** @var list<array{float, float}> when hands are at work */
    private array $busy = [];

    /** @var list<string> pieces for which there were no hands, or no waking hour, where they have to be */
    private array $short = [];

    /** @param  non-empty-array<string, float>  $fixed */
    private function __construct(
        private readonly Network $network,
        private readonly array $fixed,
        private readonly float $now,
        private readonly float $share,
        private readonly ?WakingHours $waking,
        private readonly int $pairs,
    ) {
        $this->starts = $fixed;
    }

    /**
     * @param  non-empty-array<string, float>  $fixed  starts of what has its hour, minutes, by id
     * @param  float  $now  nothing begins before it that can be shortened to its least instead
     * @param  WakingHours|null  $waking  null where the night does not matter
     * @param  int  $pairs  of hands
     */
    public static function backwards(Network $network, array $fixed, float $now = -INF, ?WakingHours $waking = null, int $pairs = 1): self
    {
        $schedule = new self($network, $fixed, $now, self::share($network, $fixed, $now), $waking, $pairs);
        foreach ($network->pieces as $id => $piece) {
            if (isset($fixed[$id])) {
                $schedule->busy[] = [$fixed[$id], $fixed[$id] + $piece->handsMinutes];
            }
        }
        $order = $network->latestStarts($fixed, $schedule->share);
        // By latest start, the last one first; of two at once, the one that the other waits for comes later.
        $position = array_flip(array_keys($network->pieces));
        uksort($order, fn (string $a, string $b): int => [$order[$b], $position[$b]] <=> [$order[$a], $position[$a]]);
        foreach (array_keys(array_diff_key($order, $fixed)) as $id) {
            $schedule->place($network->pieces[$id]);
        }

        return $schedule;
    }

    /** @return array<string, float> minutes, by id */
    public function starts(): array
    {
        return $this->starts;
    }

    /** @return list<string> ids of what there were no hands for, or no waking hour, where it has to be */
    public function short(): array
    {
        return $this->short;
    }

    /** Whether there is less time from now on than everything wants at its best. */
    public function isCramped(): bool
    {
        return $this->share < 1.0;
    }

    /**
     * How far from the least to the best there is time for.
     *
     * @param  non-empty-array<string, float>  $fixed
     */
    private static function share(Network $network, array $fixed, float $now): float
    {
        $fits = fn (float $share): bool => min(array_diff_key($network->latestStarts($fixed, $share), $fixed) ?: [INF]) >= $now;
        if ($fits(1.0)) {
            return 1.0;
        }
        [$low, $high] = [0.0, 1.0];
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = 0.5 * ($low + $high);
            [$low, $high] = $fits($middle) ? [$middle, $high] : [$low, $middle];
        }

        return $low;
    }

    private function place(Piece $piece): void
    {
        $by = INF;
        $from = -INF;
        foreach ($this->network->arrowsFrom($piece->id) as $arrow) {
            $start = $this->starts[$arrow->after];
            $by = min($by, $start - $arrow->leastMinutes);
            if ($arrow->mostMinutes !== null) {
                $from = max($from, $start - $arrow->mostMinutes - $piece->mostMinutes - $piece->handsMinutes);
            }
        }
        $by = is_infinite($by) ? max($this->fixed) + $piece->takesMinutes($this->share) : $by;
        $latest = $by - $piece->takesMinutes(0.0);
        $wanted = $by - $piece->takesMinutes($this->share);
        $start = $this->nearest($piece, $wanted, $from, $latest);
        if ($start === null) {
            $this->short[] = $piece->id;
        }
        $this->starts[$piece->id] = $start ?? $wanted;
        if ($piece->handsMinutes > 0.0) {
            $this->busy[] = [$this->starts[$piece->id], $this->starts[$piece->id] + $piece->handsMinutes];
        }
    }

    /** The nearest moment before the one that is wanted, else after it, at which hands are up and free; null where there is none. */
    private function nearest(Piece $piece, float $wanted, float $from, float $latest): ?float
    {
        $moments = [$wanted];
        foreach ($this->busy as [$begins, $ends]) {
            array_push($moments, $begins - $piece->handsMinutes, $ends);
        }
        $hours = $this->waking === null ? [] : array_map(fn (float $moment): array => [
            $this->waking->eveningBefore($moment, $piece->handsMinutes), $this->waking->morningAfter($moment),
        ], $moments);
        $moments = array_merge($moments, ...$hours);
        usort($moments, fn (float $a, float $b): int => [$a > $wanted, abs($a - $wanted)] <=> [$b > $wanted, abs($b - $wanted)]);
        foreach ($moments as $moment) {
            $isInTime = $moment >= $from && $moment <= $latest && ($moment >= $this->now || $moment >= $wanted);
            $end = $moment + $piece->handsMinutes;
            if ($isInTime && ($this->waking === null || $this->waking->are($moment, $end)) && $this->isFree($moment, $end)) {
                return $moment;
            }
        }

        return null;
    }

    private function isFree(float $from, float $until): bool
    {
        if ($until <= $from) {
            return true;
        }
        $turns = [];
        foreach ($this->busy as [$begins, $ends]) {
            if ($begins < $until - 1e-6 && $ends > $from + 1e-6) {
                array_push($turns, [$begins, 1], [$ends, -1]);
            }
        }
        sort($turns);
        $busy = 0;
        foreach ($turns as [, $more]) {
            $busy += $more;
            if ($busy >= $this->pairs) {
                return false;
            }
        }

        return true;
    }
}
