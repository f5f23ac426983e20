<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

use Diatherm\Cooker\Cooker;

/**
 * What really happened to a dish's cooker so far, in seconds since the dish went on: temperatures that were read, lids
 * that were lifted, stages that were begun, the pull. A plan has an empty course.
 */
final readonly class Course
{
    /**
     * @param  list<array{float, float}>  $cookerReadings  seconds and °C, in order
     * @param  list<array{float, float}>  $lifts  seconds at which the lid came off and for how long, in order
     * @param  array<int, float>  $stageStarts  stage number => seconds, for stages after the first that were begun by hand
     * @param  float  $nowS  the cook is at least this far
     * @param  float|null  $carvedS  null while it is not carved
     * @param  list<array{float, float}>  $offs  seconds at which it came off and for how long, before it went on again, in order
     * @param  ColdChain|null  $chain  how it was kept before and after the heat, as logged; null for as planned
     */
    public function __construct(
        public array $cookerReadings = [],
        public array $lifts = [],
        public array $stageStarts = [],
        public ?float $pulledS = null,
        public float $nowS = 0.0,
        public ?float $carvedS = null,
        public array $offs = [],
        public ?ColdChain $chain = null,
    ) {
    }

    public static function asPlanned(): self
    {
        return new self;
    }

    /** The same log at another moment. */
    public function at(float $nowS): self
    {
        return new self(
            $this->cookerReadings, $this->lifts, $this->stageStarts, $this->pulledS, $nowS, $this->carvedS, $this->offs, $this->chain,
        );
    }

    /** @param  list<array{float, float}>  $readings  later than those that it has */
    public function withCookerReadings(array $readings): self
    {
        return new self(
            [...$this->cookerReadings, ...$readings], $this->lifts, $this->stageStarts, $this->pulledS, $this->nowS, $this->carvedS, $this->offs,
            $this->chain,
        );
    }

    /** @param  array{float, float}  $lift */
    public function withLift(array $lift): self
    {
        return new self(
            $this->cookerReadings, [...$this->lifts, $lift], $this->stageStarts, $this->pulledS, $this->nowS, $this->carvedS, $this->offs,
            $this->chain,
        );
    }

    /** Whether it was off the heat at some moment between two. */
    public function wasOffBetween(float $fromS, float $toS): bool
    {
        foreach ($this->offs as [$off, $for]) {
            if ($off < $toS && $off + $for > $fromS) {
                return true;
            }
        }

        return false;
    }

    public function isEmpty(): bool
    {
        return $this->cookerReadings === [] && $this->lifts === [] && $this->offs === [];
    }

    /** First moment after $afterS at which the cooker's course bends; INF when it no longer does. */
    public function nextBend(float $afterS, float $recoveryS): float
    {
        $next = $this->cookerReadings[$this->firstAfter($afterS + 1.0)][0] ?? INF;
        foreach ([...$this->lifts, ...$this->offs] as [$at, $for]) {
            foreach ([$at, $at + $for, $at + $for + $recoveryS] as $bend) {
                if ($bend > $afterS + 1.0) {
                    $next = min($next, $bend);
                }
            }
        }

        return $next;
    }

    /**
     * Cooker temperature at a moment, taken just inside the span that $insideS lies in, so that jumps keep their side.
     */
    public function cookerC(float $atS, float $insideS, float $setC, float $stageStartS, float $outsideC, float $recoveryS): float
    {
        return $outsideC + $this->closedShare($atS, $insideS, $recoveryS) * (($this->readC($atS, $stageStartS) ?? $setC) - $outsideC);
    }

    /**
     * What was read of the cooker: straight between readings; before the first of a stage and after the last it stays. Null
     * when none was.
     */
    public function readC(float $atS, float $stageStartS): ?float
    {
        $i = $this->firstAfter($atS);
        $before = $this->cookerReadings[$i - 1] ?? null;
        $before = $before !== null && $before[0] >= $stageStartS ? $before : null;
        $after = $this->cookerReadings[$i] ?? null;

        return match (true) {
            $before === null => $after === null || $after[0] < $stageStartS ? null : $after[1],
            $after === null => $before[1],
            default => $before[1] + ($after[1] - $before[1]) * ($atS - $before[0]) / max(1.0, $after[0] - $before[0]),
        };
    }

    /** How much of its heat the meat meets: 0 off it, less while and after its lid is lifted, 1 when nothing was. */
    public function closedShare(float $atS, float $insideS, float $recoveryS): float
    {
        $share = 1.0;
        foreach ($this->offs as [$off, $for]) {
            if ($insideS >= $off && $insideS < $off + $for) {
                return 0.0;
            }
        }
        foreach ($this->lifts as [$lift, $for]) {
            if ($insideS >= $lift && $insideS < $lift + $for) {
                $share = min($share, Cooker::OPEN_SHARE);
            } elseif ($insideS >= $lift + $for && $insideS < $lift + $for + $recoveryS) {
                $share = min($share, Cooker::OPEN_SHARE + (1.0 - Cooker::OPEN_SHARE) * ($atS - $lift - $for) / $recoveryS);
            }
        }

        return max(0.0, $share);
    }

    /** Number of the first cooker reading later than $seconds; their count when there is none. */
    private function firstAfter(float $seconds): int
    {
        $low = 0;
        $high = count($this->cookerReadings);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($this->cookerReadings[$middle][0] > $seconds) {
                $high = $middle;
            } else {
                $low = $middle + 1;
            }
        }

        return $low;
    }
}
