<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Heat\Trace;

/**
 * How far a cook is that something befell: the moment at which the same cook, left alone, would have the same core. Lids, times off the
 * heat and a cooker that is not at its heat set it back or forward. A cook that takes longer altogether has a pace of its own: twice
 * that of the plan takes twice as long.
 */
final readonly class CookClock
{
    private const MOMENTS = 96;

    /** A core is there within this, K. */
    private const ROUNDING_K = 0.02;

    /**
     * @param  list<list<float>>  $behindS  by pace and even moment: how much it is behind one that was left alone, s
     * @param  list<float>  $paces  rising
     */
    private function __construct(
        public float $spanS,
        private array $paces,
        private array $behindS,
    ) {
    }

    public static function undisturbed(float $spanS): self
    {
        return new self($spanS, [], []);
    }

    /**
     * @param  Trace  $alone  of the cook that was left alone, on the heat
     * @param  float  $untilC  what both are followed to
     * @param  non-empty-list<array{float, Trace}>  $runs  paces, rising, and the cook as it went and is likely to go on
     */
    public static function of(Trace $alone, float $untilC, array $runs, float $spanS): self
    {
        $left = self::rising($alone);
        $paces = $behind = [];
        foreach ($runs as [$pace, $run]) {
            $isThere = $run->reaches($untilC - self::ROUNDING_K) !== null;
            $endS = $run->endS();
            $paces[] = $pace;
            $behind[] = array_map(function (float $seconds) use ($run, $left, $pace, $endS, $isThere): float {
                $within = min($seconds, $endS);
                $behindS = $within - $pace * self::whenAt($left, $run->coreAt($within));

                // Past its end it goes on at its pace, unless that was a core that gets no further.
                return $isThere ? $behindS : $behindS + $seconds - $within;
            }, self::moments($spanS));
        }

        return new self($spanS, $paces, $behind);
    }

    /** The same, set back by as much as one run is behind another of the same pace. */
    public function setBack(self $as, self $than): self
    {
        $paces = $this->paces === [] ? [1.0] : $this->paces;

        return new self($this->spanS, $paces, array_map(fn (float $pace): array => array_map(
            fn (float $seconds): float => $this->behind($seconds, $pace) + $as->behind($seconds, 1.0) - $than->behind($seconds, 1.0),
            self::moments($this->spanS),
        ), $paces));
    }

    /** How much of a cook of that pace, left alone, it has gone through by a moment, s. */
    public function at(float $seconds, float $pace): float
    {
        return $seconds - $this->behind($seconds, $pace);
    }

    /** When it has gone through so much of a cook of that pace, s; null where it does not within what is followed. */
    public function when(float $goneS, float $pace): ?float
    {
        if ($this->paces === []) {
            return $goneS <= $this->spanS ? $goneS : null;
        }
        $before = 0.0;
        for ($i = 1; $i <= self::MOMENTS; $i++) {
            $seconds = $this->spanS * $i / self::MOMENTS;
            $at = $this->at($seconds, $pace);
            if ($at >= $goneS) {
                $stepS = $this->spanS / self::MOMENTS;

                return $seconds - $stepS * min(1.0, ($at - $goneS) / max(1e-9, $at - $before));
            }
            $before = $at;
        }

        return null;
    }

    private function behind(float $seconds, float $pace): float
    {
        if ($this->paces === []) {
            return 0.0;
        }
        $at = min((float) self::MOMENTS, max(0.0, $seconds) / $this->spanS * self::MOMENTS);
        $i = (int) min(self::MOMENTS - 1, $at);
        $row = fn (int $k): float => $this->behindS[$k][$i] + ($at - $i) * ($this->behindS[$k][$i + 1] - $this->behindS[$k][$i]);
        $slower = 0;
        while ($slower < count($this->paces) && $this->paces[$slower] < $pace) {
            $slower++;
        }
        if ($slower === 0 || $slower === count($this->paces)) {
            return $row($slower === 0 ? 0 : $slower - 1);
        }
        $share = log($pace / $this->paces[$slower - 1]) / log($this->paces[$slower] / $this->paces[$slower - 1]);

        return $row($slower - 1) + $share * ($row($slower) - $row($slower - 1));
    }

    /** @return list<float> even moments, s */
    private static function moments(float $spanS): array
    {
        return array_map(fn (int $i): float => $spanS * $i / self::MOMENTS, range(0, self::MOMENTS));
    }

    /** @return list<array{float, float}> core and seconds, where the core is hotter than ever before */
    private static function rising(Trace $trace): array
    {
        $rising = [];
        $most = -INF;
        foreach ($trace->coreC as $i => $core) {
            if ($core > $most) {
                $rising[] = [$core, $trace->seconds[$i]];
                $most = $core;
            }
        }

        return $rising;
    }

    /** @param  list<array{float, float}>  $rising */
    private static function whenAt(array $rising, float $celsius): float
    {
        $low = 0;
        $high = count($rising);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $rising[$middle][0] < $celsius ? $low = $middle + 1 : $high = $middle;
        }
        $after = $rising[$low] ?? null;
        $before = $rising[$low - 1] ?? null;

        return match (true) {
            $after === null => $before[1] ?? 0.0,
            $before === null => $after[1],
            default => $before[1] + ($after[1] - $before[1]) * ($celsius - $before[0]) / ($after[0] - $before[0]),
        };
    }
}
