<?php

declare(strict_types=1);

namespace Diatherm\Heat;

/** What was recorded of a roasting, step by step. Times in seconds from the start, temperatures in °C. */
final class Trace
{
    /** @var list<float> */
    public array $seconds = [];

    /** @var list<float> */
    public array $coreC = [];

    /** @var list<float> */
    public array $surfaceC = [];

    /** @var list<float> air that the joint met */
    public array $airC = [];

    /** @var list<float> at a quarter of the half-thickness from the core, as far off as a probe is placed */
    public array $nearC = [];

    /** @var list<float> averaged over the volume */
    public array $meanC = [];

    /** @var list<list<float>> temperatures of the cells from the centre outwards */
    public array $profilesC = [];

    public function coreAt(float $seconds): float
    {
        return $this->interpolate($this->coreC, $seconds);
    }

    public function nearAt(float $seconds): float
    {
        return $this->interpolate($this->nearC, $seconds);
    }

    public function surfaceAt(float $seconds): float
    {
        return $this->interpolate($this->surfaceC, $seconds);
    }

    public function meanAt(float $seconds): float
    {
        return $this->interpolate($this->meanC, $seconds);
    }

    public function airAt(float $seconds): float
    {
        return $this->interpolate($this->airC, $seconds);
    }

    /** Time at which the core first reaches $celsius, or null. */
    public function reaches(float $celsius): ?float
    {
        foreach ($this->coreC as $i => $core) {
            if ($core >= $celsius) {
                return $this->crosses($celsius, $i);
            }
        }

        return null;
    }

    /** Of the times at which it rises to $celsius the one nearest to a moment: it sinks where it was off the heat for a while. */
    public function reachesNear(float $celsius, float $seconds): ?float
    {
        $nearest = null;
        foreach ($this->coreC as $i => $core) {
            if ($core >= $celsius && ($i === 0 || $this->coreC[$i - 1] < $celsius)) {
                $at = $this->crosses($celsius, $i);
                $nearest = $nearest === null || abs($at - $seconds) < abs($nearest - $seconds) ? $at : $nearest;
            }
        }

        return $nearest;
    }

    /** When it came through $celsius on its way to a record. */
    private function crosses(float $celsius, int $record): float
    {
        if ($record < 1) {
            return $this->seconds[0];
        }
        $share = ($celsius - $this->coreC[$record - 1]) / max(1e-12, $this->coreC[$record] - $this->coreC[$record - 1]);

        return $this->seconds[$record - 1] + $share * ($this->seconds[$record] - $this->seconds[$record - 1]);
    }

    /** From a moment on, when the core first is below $celsius, s; INF when it has not been followed so far. */
    public function falls(float $celsius, float $fromS): float
    {
        foreach ($this->seconds as $i => $seconds) {
            if ($seconds >= $fromS && $this->coreC[$i] < $celsius) {
                $before = $i > 0 ? $this->coreC[$i - 1] : $celsius;
                $share = $before > $celsius ? ($before - $celsius) / ($before - $this->coreC[$i]) : 0.0;

                return max($fromS, $i === 0 ? $seconds : $this->seconds[$i - 1] + $share * ($seconds - $this->seconds[$i - 1]));
            }
        }

        return INF;
    }

    /** How long the core is under $celsius between two moments, s. */
    public function underBetween(float $celsius, float $fromS, float $toS): float
    {
        $under = 0.0;
        foreach ($this->seconds as $i => $seconds) {
            $last = $i > 0 ? $this->seconds[$i - 1] : $seconds;
            $within = min($seconds, $toS) - max($last, $fromS);
            $under += $within > 0.0 && $this->coreC[$i] < $celsius ? $within : 0.0;
        }

        return $under;
    }

    /** The same up to a moment. */
    public function until(float $seconds): self
    {
        $count = $this->recordAt($seconds) + 1;
        $cut = clone $this;
        [$cut->seconds, $cut->coreC, $cut->surfaceC, $cut->airC, $cut->profilesC] = array_map(
            fn (array $all): array => array_slice($all, 0, $count),
            [$this->seconds, $this->coreC, $this->surfaceC, $this->airC, $this->profilesC],
        );

        return $cut;
    }

    /**
     * The same with fewer records, even in time, and those about given moments: enough to be shown, and small enough to be kept.
     *
     * @param  int  $most  spans between them
     * @param  list<float>  $momentsS  where it bends
     */
    public function thinned(int $most, array $momentsS = []): self
    {
        $keep = [];
        for ($k = 0; $k <= $most; $k++) {
            $keep[$this->recordAt($this->endS() * $k / $most)] = true;
        }
        foreach ($momentsS as $moment) {
            $at = $this->recordAt($moment);
            foreach ([$at - 1, $at, $at + 1] as $i) {
                $keep[max(0, min(count($this->seconds) - 1, $i))] = true;
            }
        }
        ksort($keep);
        $thin = new self;
        foreach (array_keys($keep) as $i) {
            $thin->seconds[] = $this->seconds[$i];
            $thin->coreC[] = $this->coreC[$i];
            $thin->surfaceC[] = $this->surfaceC[$i];
            $thin->airC[] = $this->airC[$i];
            if (isset($this->nearC[$i])) {
                $thin->nearC[] = $this->nearC[$i];
            }
            if (isset($this->meanC[$i])) {
                $thin->meanC[] = $this->meanC[$i];
            }
            if (isset($this->profilesC[$i])) {
                $thin->profilesC[] = $this->profilesC[$i];
            }
        }

        return $thin;
    }

    /** The same without what was recorded inside the meat. */
    public function withoutProfiles(): self
    {
        $plain = clone $this;
        $plain->profilesC = [];

        return $plain;
    }

    /** Between two moments the core is taken to get no hotter than $mostC, and its inside with it. */
    public function cappedBetween(float $fromS, float $toS, float $mostC): self
    {
        $capped = clone $this;
        $cores = $this->coreC;
        foreach ($this->seconds as $i => $seconds) {
            if ($seconds > $fromS && $seconds <= $toS && $this->coreC[$i] > $mostC) {
                $cores[$i] = $mostC;
                if (isset($this->profilesC[$i])) {
                    $capped->profilesC[$i] = self::bent($this->profilesC[$i], $mostC - $this->coreC[$i]);
                }
            }
        }

        $capped->coreC = array_values($cores);

        return $capped;
    }

    /** From one moment to another the core is lower by so much, and its inside with it. */
    public function loweredBetween(float $fromS, float $toS, float $byK): self
    {
        $lower = clone $this;
        $cores = $this->coreC;
        foreach ($this->seconds as $i => $seconds) {
            if ($seconds > $fromS && $seconds <= $toS) {
                $cores[$i] = $this->coreC[$i] - $byK;
                if (isset($this->profilesC[$i])) {
                    $lower->profilesC[$i] = self::bent($this->profilesC[$i], -$byK);
                }
            }
        }
        $lower->coreC = array_values($cores);

        return $lower;
    }

    /**
     * The same profile with its centre moved by so much, and the rest by less towards the surface.
     *
     * @param  list<float>  $cellsC
     * @return list<float>
     */
    public static function bent(array $cellsC, float $byK): array
    {
        $count = count($cellsC);

        return array_map(fn (int $i, float $celsius): float => $celsius + $byK * (1.0 - ($i / $count) ** 2), array_keys($cellsC), $cellsC);
    }

    /** @return array{list<float>, list<float>} seconds and core from the start to a moment */
    public function upTo(float $seconds): array
    {
        $count = $this->recordAt($seconds) + 1;
        $times = array_slice($this->seconds, 0, $count);
        $cores = array_slice($this->coreC, 0, $count);
        if (isset($this->seconds[$count]) && $seconds > $this->seconds[$count - 1]) {
            $times[] = $seconds;
            $cores[] = $this->coreAt($seconds);
        }

        return [$times, $cores];
    }

    public function endS(): float
    {
        return $this->seconds === [] ? 0.0 : $this->seconds[count($this->seconds) - 1];
    }

    /** Number of the last record not later than $seconds. */
    public function recordAt(float $seconds): int
    {
        $low = 0;
        $high = count($this->seconds) - 1;
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            if ($this->seconds[$middle] <= $seconds) {
                $low = $middle;
            } else {
                $high = $middle - 1;
            }
        }

        return $low;
    }

    /** @param  list<float>  $series */
    private function interpolate(array $series, float $seconds): float
    {
        $i = $this->recordAt($seconds);
        if (! isset($this->seconds[$i + 1]) || $seconds <= $this->seconds[$i]) {
            return $series[$i];
        }
        $share = ($seconds - $this->seconds[$i]) / max(1e-9, $this->seconds[$i + 1] - $this->seconds[$i]);

        return $series[$i] + $share * ($series[$i + 1] - $series[$i]);
    }
}
