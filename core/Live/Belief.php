<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Heat\Trace;

/**
 * What the core is and will be: at each reading what was read, between them with the model's shape, and after the newest as the weighed
 * courses go on from there. The model lends what lies around the core. Off the heat a core is never taken to climb further above what
 * was read than may be counted on (Safety\Carryover).
 */
final readonly class Belief
{
    /** What a probe, its placing and the courses explain, K. Common practice. */
    private const EXPLAINED_K = 4.0;

    /** A core read so long before the pull is known at it, s. */
    private const READ_NEAR_S = 900.0;

    /** A number is reached within this, K. */
    private const ROUNDING_K = 1e-3;

    /** A core read so short a time before the pull is what it was at it, whatever is read off the heat, s. Common practice. */
    private const READ_AT_S = 300.0;

    /**
     * @param  Trace  $model  the likely cook, on the heat to $modelOffS and in the rest after it
     * @param  list<array{float, float}>  $points  seconds and °C, through each reading on the heat and ahead of the newest; empty where
     *     nothing was read
     * @param  list<array{float, float}>  $warp  seconds and the model's, through them
     * @param  list<array{float, float}>  $offs  seconds and K: what the model lacks there
     * @param  list<array{float, float}>  $resting  seconds and °C, from the pull through what was read after it
     * @param  float  $offK  newest reading less what was expected there
     * @param  bool  $disagrees  whether that is more than can be explained
     */
    private function __construct(
        private Trace $model,
        private float $modelOffS,
        private ?float $pulledS,
        private float $climbK,
        private array $points,
        private array $warp,
        private array $offs,
        private array $resting,
        public ?Reading $newest,
        public float $offK,
        private bool $disagrees,
    ) {
    }

    /**
     * @param  list<Reading>  $readings  that count, in order of time
     * @param  float|null  $pulledS  when it came off; null while it is on
     * @param  float  $climbK  most that it climbs off the heat
     * @param  list<array{float, float}>  $ahead  seconds and °C: how the courses go on, from the newest reading on the heat or from its start
     * @param  float  $untilC  where they are there: by then they have taken the newest reading in
     * @param  Surprise|null  $surprise  of the newest reading
     */
    public static function of(
        Trace $model,
        float $modelOffS,
        array $readings,
        ?float $pulledS,
        float $climbK,
        array $ahead,
        float $untilC,
        ?Surprise $surprise = null,
    ): self {
        $newest = $readings[count($readings) - 1] ?? null;
        if ($newest === null) {
            return new self($model, $modelOffS, $pulledS, $climbK, [], [], [], [], null, 0.0, false);
        }
        $on = array_values(array_filter($readings, fn (Reading $one): bool => $pulledS === null || $one->seconds <= $pulledS));
        $after = array_slice($readings, count($on));
        $last = $on[count($on) - 1] ?? null;
        $points = [[0.0, $model->coreAt(0.0)]];
        foreach ($on as $reading) {
            if ($reading->seconds > $points[count($points) - 1][0]) {
                $points[] = [$reading->seconds, $reading->celsius];
            } else {
                // Two readings of one moment are believed by the later of them.
                $points[count($points) - 1] = [$points[count($points) - 1][0], $reading->celsius];
            }
        }
        $expectedK = $last === null || $ahead === [] ? 0.0 : $last->celsius - $ahead[0][1];
        $isThere = $last !== null && $last->celsius >= $untilC;
        foreach ($ahead as [$seconds, $celsius]) {
            if ($seconds > $points[count($points) - 1][0]) {
                $left = ($untilC - $celsius) / max(1.0, $untilC - $ahead[0][1]);
                $points[] = [$seconds, $isThere ? $last->celsius + $celsius - $ahead[0][1] : $celsius + $expectedK * min(1.0, max(0.0, $left))];
            }
        }
        // A core that was read near the pull is what it was then, whatever is read off the heat.
        $isReadNear = $last !== null && $pulledS !== null && $pulledS - $last->seconds <= self::READ_AT_S;
        if ($after !== [] && $pulledS !== null && ! $isReadNear) {
            // What it read off the heat it had, at the most, when it came off.
            $points = self::comingTo($points, $pulledS, self::hadAtMost($points, $pulledS, $after[0]->celsius, $climbK));
        }
        [$warp, $offs] = self::warp($model, $modelOffS, $points);

        return new self(
            $model,
            $modelOffS,
            $pulledS,
            $climbK,
            $points,
            $warp,
            $offs,
            array_map(fn (Reading $one): array => [$one->seconds, $one->celsius], $after),
            $newest,
            $after === [] ? $surprise->offK ?? 0.0 : $newest->celsius - $model->coreAt($newest->seconds),
            $after === [] ? $surprise !== null && $surprise->isOdd() : abs($newest->celsius - $model->coreAt($newest->seconds)) > self::EXPLAINED_K,
        );
    }

    /** The same with fewer records of its model, small enough to be kept. */
    public function thinned(int $most): self
    {
        return new self(
            $this->model->thinned($most, [$this->modelOffS])->withoutProfiles(), $this->modelOffS, $this->pulledS, $this->climbK,
            $this->points, $this->warp, $this->offs, $this->resting, $this->newest, $this->offK, $this->disagrees,
        );
    }

    /**
     * The model's moments at which it has each of the points, and what it lacks where it has no such core.
     *
     * @param  list<array{float, float}>  $points
     * @return array{list<array{float, float}>, list<array{float, float}>}
     */
    private static function warp(Trace $model, float $modelOffS, array $points): array
    {
        $warp = $offs = [];
        $lastS = 0.0;
        foreach ($points as [$seconds, $celsius]) {
            $lastS = max($lastS, min($modelOffS, $model->reachesNear($celsius, $seconds) ?? $modelOffS));
            $warp[] = [$seconds, $seconds <= 0.0 ? $lastS = 0.0 : $lastS];
            $offs[] = [$seconds, $celsius - $model->coreAt($lastS)];
        }

        return [$warp, $offs];
    }

    /** @param  list<array{float, float}>  $points  rising */
    private static function between(array $points, float $at): float
    {
        $low = 0;
        $high = count($points) - 1;
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            if ($points[$middle][0] <= $at) {
                $low = $middle;
            } else {
                $high = $middle - 1;
            }
        }
        [$x, $y] = $points[$low];
        $next = $points[$low + 1] ?? null;

        return $next === null || $at <= $x ? $y : $y + ($next[1] - $y) * ($at - $x) / max(1e-9, $next[0] - $x);
    }

    /** Whether the newest reading is further from what the courses expect than they can explain, on the heat or off it. */
    public function disagrees(): bool
    {
        return $this->disagrees;
    }

    /** Whether the core was read so near a moment, or after it, that it is known there and not only worked out. */
    public function wasReadBy(float $seconds): bool
    {
        return $this->newest !== null && $this->newest->seconds >= $seconds - self::READ_NEAR_S;
    }

    /** The hottest that was read off the heat, °C; −INF where nothing was. */
    public function hottestResting(): float
    {
        return $this->resting === [] ? -INF : max(array_column($this->resting, 1));
    }

    public function coreAt(float $seconds): float
    {
        if ($this->pulledS !== null && $seconds > $this->pulledS) {
            return $this->restingAt($seconds);
        }

        return $this->onTheHeatAt($seconds);
    }

    /** When it first is at $celsius from the newest reading on, as if it stayed on the heat; null when it does not get there. */
    public function reaches(float $celsius): ?float
    {
        if ($this->newest === null) {
            $at = $this->model->reaches($celsius - self::ROUNDING_K);

            return $at === null || $at > $this->modelOffS + 1.0 ? null : $at;
        }
        $from = $this->newest->seconds;
        if ($this->newest->celsius >= $celsius) {
            return $from;
        }
        $before = [$from, $this->newest->celsius];
        foreach ($this->points as [$seconds, $core]) {
            if ($seconds > $from) {
                if ($core >= $celsius - self::ROUNDING_K) {
                    return $before[0] + ($seconds - $before[0]) * min(1.0, max(0.0, $celsius - $before[1]) / max(1e-9, $core - $before[1]));
                }
                $before = [$seconds, $core];
            }
        }

        return null;
    }

    /** When that moment of the model comes. */
    public function when(float $modelS): float
    {
        return $this->warp === [] ? $modelS : self::between(array_map(fn (array $one): array => [$one[1], $one[0]], $this->warp), $modelS);
    }

    /**
     * The whole course as it is believed: to the pull, and through the rest after it.
     *
     * @param  float  $offS  when it comes off, or came
     */
    public function trace(float $offS): Trace
    {
        $trace = new Trace;
        $offC = $this->onTheHeatAt($offS);
        foreach ($this->moments($offS) as [$at, $modelS]) {
            $last = count($trace->seconds) - 1;
            if ($last >= 0 && $at <= $trace->seconds[$last]) {
                continue;
            }
            $core = match (true) {
                $at <= $offS => $this->onTheHeatAt($at),
                $this->pulledS !== null => $this->restingAt($at),
                default => min($offC + $this->climbK, $this->rested($offC, $this->modelOffS, $modelS)),
            };
            $record = $this->model->recordAt($modelS);
            $trace->seconds[] = $at;
            $trace->coreC[] = $core;
            $trace->surfaceC[] = $this->model->surfaceAt($modelS);
            $trace->airC[] = $this->model->airAt($modelS);
            if (isset($this->model->profilesC[$record])) {
                $trace->profilesC[] = Trace::bent($this->model->profilesC[$record], $core - $this->model->coreC[$record]);
            }
        }

        return $trace;
    }

    /** @return list<array{float, float}> moments of the believed course, and those of the model that they look like */
    private function moments(float $offS): array
    {
        $moments = [[$offS, $this->warp === [] ? $this->modelOffS : min($this->modelOffS, self::between($this->warp, $offS))]];
        foreach ($this->model->seconds as $modelS) {
            if ($modelS > $this->modelOffS) {
                $moments[] = [$modelS + $offS - $this->modelOffS, $modelS];
            } elseif ($this->warp === [] && $modelS < $offS) {
                $moments[] = [$modelS, $modelS];
            } elseif ($this->warp !== []) {
                $seconds = $modelS * $offS / max(1.0, $this->modelOffS);
                $moments[] = [$seconds, self::between($this->warp, $seconds)];
            }
        }
        foreach ($this->warp as [$seconds, $modelS]) {
            if ($seconds < $offS) {
                $moments[] = [$seconds, $modelS];
            }
        }
        usort($moments, fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return $moments;
    }

    private function onTheHeatAt(float $seconds): float
    {
        if ($this->warp === []) {
            return $this->model->coreAt(min($seconds, $this->modelOffS));
        }

        return $this->model->coreAt(self::between($this->warp, $seconds)) + self::between($this->offs, $seconds);
    }

    private function restingAt(float $seconds): float
    {
        assert($this->pulledS !== null);
        if ($this->newest !== null && $this->newest->seconds >= $this->pulledS) {
            if ($seconds <= $this->newest->seconds) {
                return self::between([[$this->pulledS, $this->onTheHeatAt($this->pulledS)], ...$this->resting], $seconds);
            }
            $ceiling = max($this->newest->celsius, $this->climbK <= 0.0 ? -INF : $this->onTheHeatAt($this->pulledS) + $this->climbK);

            return min($ceiling, $this->rested($this->newest->celsius, $this->newest->seconds, $seconds));
        }
        $offC = $this->onTheHeatAt($this->pulledS);

        return min($offC + $this->climbK, $this->rested($offC, $this->pulledS, $seconds));
    }

    /**
     * Off the heat, from one moment of the model to another: what the model climbs is added, what it falls is in proportion
     * to how far it is above the air.
     */
    private function rested(float $fromC, float $fromModelS, float $toModelS): float
    {
        $from = $this->model->coreAt($fromModelS);
        $to = $this->model->coreAt($toModelS);
        $air = $this->model->airAt($toModelS);
        if ($to >= $from || $from <= $air) {
            return $fromC + $to - $from;
        }

        return $fromC <= $air ? $fromC : $air + ($fromC - $air) * max(0.0, $to - $air) / ($from - $air);
    }

    /**
     * What it had when it came off, where it was first read off the heat, °C.
     *
     * @param  list<array{float, float}>  $points
     */
    private static function hadAtMost(array $points, float $pulledS, float $readC, float $climbK): float
    {
        $believedC = self::between($points, $pulledS);

        return $readC < $believedC - self::EXPLAINED_K || $readC > $believedC + $climbK + self::EXPLAINED_K ? $readC : min($believedC, $readC);
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}> those before a moment, and the core at it
     */
    private static function comingTo(array $points, float $seconds, float $celsius): array
    {
        $kept = array_values(array_filter($points, fn (array $one): bool => $one[0] < $seconds && $one[1] <= $celsius));

        return [...$kept, [$seconds, $celsius]];
    }
}
