<?php

declare(strict_types=1);

namespace Diatherm\Live;

/**
 * What sets readings off from a course that is right on the whole: scatter, a thermometer that is off, and a course that is off in the
 * same way for a while (an Ornstein–Uhlenbeck process). How much each new reading tells does not depend on what it reads, so that it is
 * worked out once for all courses.
 * Sources: Kalman 1960; Kennedy & O'Hagan 2001 (a discrepancy of the model, beside noise).
 */
final readonly class Drift
{
    /** Scatter of one reading, K. Common practice. */
    private const SCATTER_K = 0.5;

    /** A thermometer is off by so much, one deviation, K. Common practice. */
    private const OFFSET_K = 1.0;

    /** A course is off by so much, one deviation, K; and at first by as much as a start is misjudged. Common practice. */
    private const COURSE_K = 0.8;

    private const START_K = 2.0;

    /** It forgets that it was off over such a share of the cook, and the start sooner or later. */
    private const FORGETS = 0.15;

    private const START_FORGETS = 0.5;

    /** @param  list<array{float, float, float, float}>  $gains  by reading: what is kept of the drift since the last one, what drift and offset learn, and precision */
    private function __construct(public array $gains)
    {
    }

    /**
     * @param  list<Reading>  $readings  in order of time
     * @param  float  $lengthS  of the cook, as it was planned
     */
    public static function through(array $readings, float $lengthS): self
    {
        $drift = self::COURSE_K ** 2;
        $offset = self::OFFSET_K ** 2;
        $both = 0.0;
        $gains = [];
        $last = null;
        foreach ($readings as $reading) {
            $seconds = max(0.0, $reading->seconds);
            $keeps = $last === null ? 0.0 : exp(-($seconds - $last) / (self::FORGETS * $lengthS));
            $drift = $last === null
                ? hypot(self::COURSE_K, self::START_K * exp(-$seconds / (self::START_FORGETS * $lengthS))) ** 2
                : $keeps ** 2 * $drift + self::COURSE_K ** 2 * (1.0 - $keeps ** 2);
            $both *= $keeps;
            $variance = $drift + 2.0 * $both + $offset + self::SCATTER_K ** 2;
            [$toDrift, $toOffset] = [($drift + $both) / $variance, ($both + $offset) / $variance];
            $gains[] = [$keeps, $toDrift, $toOffset, 1.0 / $variance];
            [$drift, $both, $offset] = [
                $drift - $toDrift * ($drift + $both),
                $both - $toDrift * ($both + $offset),
                $offset - $toOffset * ($both + $offset),
            ];
            $last = $seconds;
        }

        return new self($gains);
    }
}
