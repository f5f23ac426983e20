<?php

declare(strict_types=1);

namespace Diatherm\Live;

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

    /** A small difference has faded to a third after so long, s. */
    private const FADES_S = 1200.0;

    /** No cook is taken to run so many times slower or quicker than its model. */
    private const MOST_PACE = 4.0;

    /** Two readings so far apart tell a pace of their own. */
    private const APART_S = 480.0;

    private const APART_K = 3.0;

    /** A pace told by readings is known to such a factor, one in ten to either side. Common practice. */
    private const PACE_DOUBT = 1.4;

    /** The earliest that a model is taken to have begun to warm, s. */
    private const BEGUN_S = 60.0;

    /**
     * @param  Trace  $model  the likely cook, on the heat to $modelOffS and in the rest after it
     * @param  list<array{float, float}>  $offs  seconds and K, reading less model, in order
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
     */
    public static function of(Trace $model, float $modelOffS, array $readings, ?float $pulledS, float $climbK): self
    {
        $offs = array_map(fn (Reading $reading): array => [$reading->seconds, $reading->celsius - $model->coreAt($reading->seconds)], $readings);
        $newest = $readings[count($readings) - 1] ?? null;
        $offK = $offs === [] ? 0.0 : $offs[count($offs) - 1][1];
        $resting = $pulledS !== null && $newest !== null && $newest->seconds >= $pulledS;
        $steered = abs($offK) > self::EXPLAINED_K && ! $resting;
        [$modelS, $pace] = $newest === null || ! $steered ? [0.0, [1.0, 1.0, 1.0]] : self::pace($model, $modelOffS, $readings, $newest);

        return new self($model, $modelOffS, $pulledS, $climbK, $offs, $newest, $offK, $steered, $modelS, $pace);
    }

    /** Whether model and readings are further apart than the model can explain, on the heat or off it. */
    public function disagrees(): bool
    {
        return abs($this->offK) > self::EXPLAINED_K;
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
        return $this->steered && $this->newest !== null ? $this->newest->seconds + max(0.0, $modelS - $this->modelS) * $this->pace[$end] : $modelS;
    }

    /** @return array{float, float} the quick and the slow end of a moment of the model, where the readings steer */
    public function ends(float $modelS): array
    {
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
        $shift = $offS - $this->modelOffS;
        $offC = $this->onTheHeatAt($offS);
        foreach ($this->model->seconds as $i => $modelS) {
            $resting = $modelS > $this->modelOffS;
            $at = $resting ? $modelS + $shift : ($this->steered && $modelS > $this->modelS && $this->newest !== null ? $this->when($modelS) : $modelS);
            $last = count($trace->seconds) - 1;
            if ((! $resting && $at > $offS) || ($last >= 0 && $at <= $trace->seconds[$last])) {
                continue;
            }
            $core = match (true) {
                ! $resting => $this->onTheHeatAt($at),
                $this->pulledS !== null => $this->restingAt($at),
                default => min($offC + $this->climbK, $offC + $this->model->coreC[$i] - $this->model->coreAt($this->modelOffS)),
            };
            $trace->seconds[] = $at;
            $trace->coreC[] = $core;
            $trace->surfaceC[] = $this->model->surfaceC[$i];
            $trace->airC[] = $this->model->airC[$i];
            if (isset($this->model->profilesC[$i])) {
                $trace->profilesC[] = Trace::bent($this->model->profilesC[$i], $core - $this->model->coreC[$i]);
            }
        }

        return $trace;
    }

    private function onTheHeatAt(float $seconds): float
    {
        if ($this->newest === null || $seconds <= $this->newest->seconds) {
            return $this->model->coreAt($seconds) + $this->offAt($seconds);
        }
        if ($this->steered) {
            return $this->model->coreAt(min($this->modelOffS, $this->modelS + ($seconds - $this->newest->seconds) / $this->pace[1]))
                // A model that never gets so far has no shape to lend: it stays where it was read.
                + max(0.0, $this->newest->celsius - $this->model->coreAt($this->modelS));
        }

        return $this->model->coreAt($seconds) + $this->offK * exp(-($seconds - $this->newest->seconds) / self::FADES_S);
    }

    private function restingAt(float $seconds): float
    {
        assert($this->pulledS !== null);
        if ($this->newest !== null && $this->newest->seconds >= $this->pulledS) {
            if ($seconds <= $this->newest->seconds) {
                return $this->model->coreAt($seconds) + $this->offAt($seconds);
            }
            $ceiling = max($this->newest->celsius, $this->climbK <= 0.0 ? -INF : $this->onTheHeatAt($this->pulledS) + $this->climbK);

            return min($ceiling, $this->newest->celsius + $this->model->coreAt($seconds) - $this->model->coreAt($this->newest->seconds));
        }
        $offC = $this->onTheHeatAt($this->pulledS);

        return min($offC + $this->climbK, $offC + $this->model->coreAt($seconds) - $this->model->coreAt($this->pulledS));
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
            return $this->offK;
        }
        $before = $this->offs[$low - 1] ?? [0.0, 0.0];

        return $after[0] <= $before[0] ? $after[1] : $before[1] + ($after[1] - $before[1]) * ($seconds - $before[0]) / ($after[0] - $before[0]);
    }

    /**
     * @param  list<Reading>  $readings
     * @return array{float, array{float, float, float}} the model's time at the newest reading, and the pace
     */
    private static function pace(Trace $model, float $modelOffS, array $readings, Reading $newest): array
    {
        $modelAt = fn (float $celsius): float => max(self::BEGUN_S, min($modelOffS, $model->reaches($celsius) ?? $modelOffS));
        $bounded = fn (float $pace): float => min(self::MOST_PACE, max(1.0 / self::MOST_PACE, $pace));
        $at = $modelAt($newest->celsius);
        $paces = [$bounded($newest->seconds / $at)];
        foreach (array_reverse($readings) as $before) {
            $modelBefore = $modelAt($before->celsius);
            if ($newest->seconds - $before->seconds >= self::APART_S && $newest->celsius - $before->celsius >= self::APART_K && $at - $modelBefore >= self::BEGUN_S) {
                $paces[] = $bounded(($newest->seconds - $before->seconds) / ($at - $modelBefore));
                break;
            }
        }
        $likely = array_product($paces) ** (1.0 / count($paces));

        return [$at, [min($paces) / self::PACE_DOUBT, $likely, max($paces) * self::PACE_DOUBT]];
    }
}
