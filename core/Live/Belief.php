<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Cooking\Course;
use Diatherm\Heat\Trace;

/**
 * What the core is and will be: at each reading what was read, between them and after the newest as the likely cook runs.
 *
 * Where readings and model agree, the small difference fades away after the newest reading. Where they do not, the
 * readings steer: the model lends its shape alone, run at the pace that the readings have. Off the heat a core is never
 * taken to climb further above what was read than may be counted on (Safety\Carryover).
 */
final readonly class Belief
{
    /** What a model of the cook, its probe and its placing explains, K. Common practice. */
    public const EXPLAINED_K = 4.0;

    /** Nor does it explain readings whose pace differs by more than such a factor from its own. Common practice. */
    private const EXPLAINED_PACE = 1.5;

    /** A small difference has faded to a third after so long, s. */
    private const FADES_S = 1200.0;

    /** No cook is taken to run so many times slower or quicker than its model. */
    private const MOST_PACE = 4.0;

    /** Two readings so far apart tell a pace of their own. */
    private const APART_S = 480.0;

    private const APART_K = 8.0;

    /** A pace told by readings is known to such a factor, one in ten to either side. Common practice. */
    private const PACE_DOUBT = 1.4;

    /** A core read so long before the pull is known at it, s. */
    private const READ_NEAR_S = 900.0;

    /** A core read so short a time before the pull is what it was at it, whatever is read off the heat, s. Common practice. */
    private const READ_AT_S = 300.0;

    /** The earliest that a model is taken to have begun to warm, s. */
    private const BEGUN_S = 60.0;

    /**
     * @param  Trace  $model  the likely cook, on the heat to $modelOffS and in the rest after it
     * @param  list<array{float, float}>  $offs  seconds and K, reading less model, in order
     * @param  list<array{float, float}>  $warp  seconds and the model's, through each reading on the heat, where the model
     *     cannot explain them; empty where it can
     * @param  list<array{float, float}>  $warpOffs  seconds and K: what was read less the model there, where it has no such core
     * @param  list<array{float, float}>  $resting  seconds and °C, from the pull through what was read after it
     * @param  bool  $steered  whether the readings steer
     * @param  float  $modelS  the model's time at which it is where the newest reading is
     * @param  array{float, float, float}  $pace  seconds for each of the model's: quick, likely and slow
     */
    private function __construct(
        private Trace $model,
        private float $modelOffS,
        private ?float $pulledS,
        private float $climbK,
        private array $offs,
        private array $warp,
        private array $warpOffs,
        private array $resting,
        public ?Reading $newest,
        public float $offK,
        public bool $steered,
        private float $modelS,
        private array $pace,
    ) {
    }

    /**
     * @param  list<Reading>  $readings  that count, in order of time
     * @param  float|null  $pulledS  when it came off; null while it is on
     * @param  float  $climbK  most that it climbs off the heat
     * @param  Course  $course  readings on either side of a time off the heat tell no pace
     */
    public static function of(
        Trace $model,
        float $modelOffS,
        array $readings,
        ?float $pulledS,
        float $climbK,
        Course $course = new Course,
    ): self {
        $off = fn (Reading $reading): float => $reading->celsius - $model->coreAt($reading->seconds);
        $newest = $readings[count($readings) - 1] ?? null;
        $offK = $newest === null ? 0.0 : $off($newest);
        $after = $pulledS === null
            ? []
            : array_values(array_filter($readings, fn (Reading $reading): bool => $reading->seconds > $pulledS));
        $on = array_slice($readings, 0, count($readings) - count($after));
        // A core that was read near the pull is what it was then, whatever is read off the heat.
        $isReadNear = $on !== [] && $pulledS !== null && $pulledS - $on[count($on) - 1]->seconds <= self::READ_AT_S;
        $offs = array_map(fn (Reading $reading): array => [$reading->seconds, $off($reading)], $isReadNear ? $on : $readings);
        [$modelS, $pace, $local] = $newest === null
            ? [0.0, [1.0, 1.0, 1.0], null]
            : self::pace($model, $modelOffS, $on === [] ? $after : $on, $on === [] ? $newest : $on[count($on) - 1], $course);
        $odd = abs($offK) > self::EXPLAINED_K || ($local !== null && abs(log($local)) > log(self::EXPLAINED_PACE));
        $warp = $odd ? self::warp($model, $modelOffS, $on, $isReadNear ? null : $after[0] ?? null, $pulledS) : [];
        $resting = [];
        foreach ($after as $reading) {
            $resting[] = [$reading->seconds, $reading->celsius];
        }

        return new self(
            $model,
            $modelOffS,
            $pulledS,
            $climbK,
            $offs,
            $warp,
            $warp === [] ? [] : self::warpOffs($model, $warp, $on),
            $resting,
            $newest,
            $offK,
            $odd && $after === [] && $newest !== null,
            $modelS,
            $pace,
        );
    }

    /** The same with fewer records of its model, small enough to be kept. */
    public function thinned(int $most): self
    {
        return new self(
            $this->model->thinned($most, [$this->modelOffS, $this->modelS])->withoutProfiles(), $this->modelOffS, $this->pulledS, $this->climbK,
            $this->offs, $this->warp, $this->warpOffs, $this->resting, $this->newest, $this->offK, $this->steered, $this->modelS, $this->pace,
        );
    }

    /**
     * @param  list<Reading>  $on  on the heat
     * @return list<array{float, float}> rising in both
     */
    private static function warp(Trace $model, float $modelOffS, array $on, ?Reading $after, ?float $pulledS): array
    {
        $points = array_map(fn (Reading $reading): array => [$reading->seconds, $reading->celsius], $on);
        if ($after !== null && $pulledS !== null) {
            // What it read off the heat it had, at the most, when it came off.
            $points[] = [$pulledS, $after->celsius];
        }
        $warp = [[0.0, 0.0]];
        foreach ($points as [$seconds, $celsius]) {
            [$lastS, $lastModelS] = $warp[count($warp) - 1];
            if ($seconds > $lastS) {
                $warp[] = [$seconds, max($lastModelS, min($modelOffS, $model->reachesNear($celsius, $seconds) ?? $modelOffS))];
            }
        }

        return $warp;
    }

    /**
     * What the model's shape leaves over: it does not sink while it is off the heat, and has an end.
     *
     * @param  list<array{float, float}>  $warp
     * @param  list<Reading>  $on  on the heat
     * @return list<array{float, float}>
     */
    private static function warpOffs(Trace $model, array $warp, array $on): array
    {
        $offs = [[0.0, 0.0]];
        foreach ($on as $reading) {
            if ($reading->seconds > $offs[count($offs) - 1][0]) {
                $offs[] = [$reading->seconds, $reading->celsius - $model->coreAt(self::between($warp, $reading->seconds))];
            }
        }

        return $offs;
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

    /** Whether model and readings are further apart than the model can explain, on the heat or off it. */
    public function disagrees(): bool
    {
        return abs($this->offK) > self::EXPLAINED_K;
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
        $from = $this->newest->seconds ?? 0.0;
        if ($this->newest !== null && $this->newest->celsius >= $celsius) {
            return $from;
        }
        if ($this->steered) {
            $at = $this->model->reaches($celsius);

            return $at === null ? null : $this->when($at);
        }
        $beforeS = $from;
        $before = $this->onTheHeatAt($from);
        foreach ($this->model->seconds as $seconds) {
            if ($seconds <= $from) {
                continue;
            }
            if ($seconds > $this->modelOffS + 1.0) {
                break;
            }
            $core = $this->onTheHeatAt($seconds);
            if ($core >= $celsius - 1e-6) {
                return $core <= $before ? $seconds : $beforeS + ($seconds - $beforeS) * max(0.0, $celsius - $before) / ($core - $before);
            }
            [$beforeS, $before] = [$seconds, $core];
        }

        return null;
    }

    /** When that moment of the model comes, for a moment after the newest reading; never before it. */
    public function when(float $modelS, int $end = 1): float
    {
        return $this->steered && $this->newest !== null
            ? $this->newest->seconds + max(0.0, $modelS - $this->modelS) * $this->pace[$end]
            : $modelS;
    }

    /** @return array{float, float} the quick and the slow end of when it gets to $celsius, where the readings steer */
    public function ends(float $celsius): array
    {
        $modelS = $this->model->reaches($celsius) ?? $this->modelOffS;

        return [$this->when($modelS, 0), $this->when($modelS, 2)];
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
        foreach ($this->moments($offS) as [$at, $modelS, $resting]) {
            $last = count($trace->seconds) - 1;
            if ($last >= 0 && $at <= $trace->seconds[$last]) {
                continue;
            }
            $core = match (true) {
                ! $resting => $this->onTheHeatAt($at),
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

    /**
     * @return list<array{float, float, bool}> moments of the believed course, those of the model that they look like, and
     *     whether it rests
     */
    private function moments(float $offS): array
    {
        $newestS = $this->newest->seconds ?? 0.0;
        $moments = [];
        $rest = [];
        foreach ($this->model->seconds as $modelS) {
            if ($modelS > $this->modelOffS) {
                $rest[] = [$modelS + $offS - $this->modelOffS, $modelS, true];

                continue;
            }
            // What has been is at its own time, what is to come at the pace of the readings.
            if (! $this->steered || $modelS <= $newestS) {
                $moments[] = [$modelS, $this->warp === [] ? $modelS : self::between($this->warp, $modelS), false];
            }
            if ($this->steered && $modelS > $this->modelS) {
                $rest[] = [$this->when($modelS), $modelS, false];
            }
        }
        $moments[] = [$offS, $this->modelOffS, false];
        $all = array_filter([...$moments, ...$rest], fn (array $one): bool => $one[2] || $one[0] <= $offS);
        usort($all, fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return $all;
    }

    private function onTheHeatAt(float $seconds): float
    {
        if ($this->newest === null || $seconds <= $this->newest->seconds) {
            return $this->warp === [] ? $this->model->coreAt($seconds) + $this->offAt($seconds) : $this->warpedAt($seconds);
        }
        if ($this->steered) {
            return $this->model->coreAt(min($this->modelOffS, $this->modelS + ($seconds - $this->newest->seconds) / $this->pace[1]))
                // A model that never gets so far has no shape to lend: it stays where it was read.
                + max(0.0, $this->newest->celsius - $this->model->coreAt($this->modelS));
        }

        return $this->model->coreAt($seconds) + $this->offK * exp(-($seconds - $this->newest->seconds) / self::FADES_S);
    }

    /** The model's shape at the pace that takes it through each reading. */
    private function warpedAt(float $seconds): float
    {
        $core = $this->model->coreAt(self::between($this->warp, $seconds)) + self::between($this->warpOffs, $seconds);

        // Beyond what the model reaches, as it was read; and never above the next reading.
        return $this->newest !== null && $seconds >= $this->newest->seconds - 1.0 && $this->resting === [] ? $this->newest->celsius : $core;
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

    /** Reading less model at a moment up to the newest reading: straight between readings, none when it went on. */
    private function offAt(float $seconds): float
    {
        $low = 0;
        $high = count($this->offs);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($this->offs[$middle][0] < $seconds) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }
        $after = $this->offs[$low] ?? null;
        if ($after === null) {
            return $this->offs === [] ? 0.0 : $this->offs[count($this->offs) - 1][1];
        }
        $before = $this->offs[$low - 1] ?? [0.0, 0.0];

        return $after[0] <= $before[0]
            ? $after[1]
            : $before[1] + ($after[1] - $before[1]) * ($seconds - $before[0]) / ($after[0] - $before[0]);
    }

    /**
     * @param  list<Reading>  $readings
     * @return array{float, array{float, float, float}, float|null} the model's time at the newest reading, the pace, and
     *     that of the latest readings alone where they are far enough apart
     */
    private static function pace(Trace $model, float $modelOffS, array $readings, Reading $newest, Course $course): array
    {
        $modelAt = fn (Reading $reading): float => max(
            self::BEGUN_S, min($modelOffS, $model->reachesNear($reading->celsius, $reading->seconds) ?? $modelOffS),
        );
        $bounded = fn (float $pace): float => min(self::MOST_PACE, max(1.0 / self::MOST_PACE, $pace));
        $at = $modelAt($newest);
        $paces = [$bounded($newest->seconds / $at)];
        $local = null;
        foreach (array_reverse($readings) as $before) {
            $modelBefore = $modelAt($before);
            $areApart = $newest->seconds - $before->seconds >= self::APART_S && $newest->celsius - $before->celsius >= self::APART_K;
            if ($course->wasOffBetween($before->seconds, $newest->seconds)) {
                break;
            }
            if ($areApart && $at - $modelBefore >= self::BEGUN_S) {
                $paces[] = $local = $bounded(($newest->seconds - $before->seconds) / ($at - $modelBefore));
                break;
            }
        }
        // What the latest readings say of the pace outranks the mean since it went on.
        $likely = $local ?? $paces[0];

        return [$at, [min($paces) / self::PACE_DOUBT, $likely, max($paces) * self::PACE_DOUBT], $local];
    }
}
