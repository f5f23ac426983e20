<?php

declare(strict_types=1);

namespace Diatherm\Safety;

/**
 * A core's course to the knife, held against the safe minimum of its food: the one judgement that plan, live view, table
 * and debrief share. Given the slow end of a band, it is that of the slow end.
 */
final readonly class AtCarving
{
    /** A core so little below the minimum is at it: figures are shown whole. */
    private const ROUNDING_K = 0.25;

    /**
     * @param  float  $coreC  at the carving
     * @param  float  $hottestC  that the core got by then
     * @param  bool  $safe  whether the minimum was reached, and its rest kept at it
     * @param  float|null  $log10  gathered by then; null where no table applies
     */
    private function __construct(
        public SafeMinimum $minimum,
        public float $coreC,
        public float $hottestC,
        public bool $safe,
        public ?float $log10,
    ) {
    }

    /**
     * @param  list<float>  $seconds  rising, not empty
     * @param  list<float>  $coreC  as many; the last is the core at the carving
     * @param  float  $countedToS  time at temperature is counted so far and no further: what has happened, not what may
     */
    public static function of(SafeMinimum $minimum, array $seconds, array $coreC, float $countedToS = INF): self
    {
        $held = 0.0;
        $least = $minimum->coreC === null ? -INF : $minimum->coreC - self::ROUNDING_K;
        $reached = false;
        foreach ($coreC as $i => $celsius) {
            if ($celsius >= $least) {
                $reached = true;
                $held += $i > 0 && $coreC[$i - 1] >= $least ? $seconds[$i] - $seconds[$i - 1] : 0.0;
            }
        }

        return new self(
            $minimum,
            $coreC[count($coreC) - 1] ?? 0.0,
            $coreC === [] ? 0.0 : max($coreC),
            $minimum->coreC === null || ($reached && $held >= 60.0 * $minimum->holdMinutes - 1.0),
            $minimum->lethality?->gathered(...self::upTo($seconds, $coreC, $countedToS)),
        );
    }

    /**
     * @param  list<float>  $seconds
     * @param  list<float>  $coreC
     * @return array{list<float>, list<float>}
     */
    private static function upTo(array $seconds, array $coreC, float $untilS): array
    {
        $count = count(array_filter($seconds, fn (float $at): bool => $at <= $untilS));

        return [array_slice($seconds, 0, $count), array_slice($coreC, 0, $count)];
    }
}
