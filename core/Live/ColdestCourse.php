<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Cooking\Course;
use Diatherm\Heat\Trace;

/**
 * The coldest point of a dish for the account of the danger zone: as it was read where it was read, as it is believed elsewhere.
 *
 * A forecast lends the readings a model's shape, and leaves out what a core was before it sank. The account takes what was read as it
 * was: straight from one reading to the next. A core that sinks lies on a dead fire.
 */
final readonly class ColdestCourse
{
    /** Readings that lie this far apart have moved; less is scatter, K. Common practice. */
    private const SCATTER_K = 3.0;

    /** What went back on sinks on for so long until the heat reaches its middle, s. Common practice. */
    private const SINKS_ON_S = 1800.0;

    /** No core climbs so far above the readings before and after it, K. Common practice. */
    private const SPIKE_K = 8.0;

    /** What such a reading says of its own place is believed. */
    private const BELIEVED = [Verdict::Counts, Verdict::LessAColder, Verdict::NotTheColdest, Verdict::SankSince];

    /**
     * @param  Trace  $trace  of the coldest point
     * @param  list<array{float, float}>  $sinksS  spans in which it sank on the heat, seconds
     */
    private function __construct(
        public Trace $trace,
        public array $sinksS,
    ) {
    }

    /**
     * @param  Trace  $believed  the course as it is believed, through what counts
     * @param  list<Reading>  $readings  in order of time, sound or not
     */
    public static function of(Trace $believed, array $readings, Sifted $sifted, Course $course, float $startC): self
    {
        $sank = array_filter($readings, fn (Reading $one): bool => $sifted->verdicts[$one->id] === Verdict::SankSince);
        $sinks = self::sinks($readings, $sifted, $course);
        if ($sifted->counting === []) {
            return new self($believed, $sinks);
        }
        $points = array_map(fn (Reading $one): array => [$one->seconds, $one->celsius], [...$sifted->counting, ...$sank]);
        usort($points, fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return new self(self::through(self::withoutSpikes([[0.0, $startC], ...$points]), $believed), $sinks);
    }

    /**
     * One reading far above both its neighbours is the oven's, the bone's or a slip of the thumb: nothing is taken for cooked by it.
     *
     * @param  non-empty-list<array{float, float}>  $points  rising
     * @return non-empty-list<array{float, float}>
     */
    private static function withoutSpikes(array $points): array
    {
        $kept = [$points[0]];
        for ($i = 1, $last = count($points) - 1; $i <= $last; $i++) {
            $isSpike = $i < $last && $points[$i][1] > max($kept[count($kept) - 1][1], $points[$i + 1][1]) + self::SPIKE_K;
            if (! $isSpike) {
                $kept[] = $points[$i];
            }
        }

        return $kept;
    }

    /**
     * Straight between what was read, and as believed after the newest.
     *
     * @param  non-empty-list<array{float, float}>  $points  rising
     */
    private static function through(array $points, Trace $believed): Trace
    {
        $trace = new Trace;
        foreach ($points as [$seconds, $celsius]) {
            if ($trace->seconds === [] || $seconds > $trace->seconds[count($trace->seconds) - 1]) {
                $trace->seconds[] = $seconds;
                $trace->coreC[] = $celsius;
            }
        }
        $newestS = $trace->seconds[count($trace->seconds) - 1];
        foreach ($believed->seconds as $i => $seconds) {
            if ($seconds > $newestS) {
                $trace->seconds[] = $seconds;
                $trace->coreC[] = $believed->coreC[$i];
            }
        }

        return $trace;
    }

    /**
     * @param  list<Reading>  $readings
     * @return list<array{float, float}>
     */
    private static function sinks(array $readings, Sifted $sifted, Course $course): array
    {
        $sinks = [];
        /** @var array<string, Reading> $peaks the last reading of each spot before it sank */
        $peaks = [];
        /** @var array<string, Reading> $lows the coldest reading of each spot since it sank: until it climbs again its fire is dead */
        $lows = [];
        /** @var array<string, float> $since the last reading of each spot that sank, s */
        $since = [];
        foreach ($readings as $reading) {
            $isOn = $reading->seconds >= 0.0 && ($course->pulledS === null || $reading->seconds < $course->pulledS);
            if (! $isOn || ! in_array($sifted->verdicts[$reading->id], self::BELIEVED, true)) {
                continue;
            }
            $spot = $reading->spot();
            [$peak, $low] = [$peaks[$spot] ?? null, $lows[$spot] ?? null];
            $climbs = $low === null ? $reading->celsius >= ($peak->celsius ?? -INF) : $reading->celsius > $low->celsius + self::SCATTER_K;
            if ($peak === null || $climbs || $course->wasOffBetween($peak->seconds - self::SINKS_ON_S, $reading->seconds)) {
                $peaks[$spot] = $reading;
                unset($lows[$spot], $since[$spot]);
            } elseif ($low !== null || $reading->celsius < $peak->celsius - self::SCATTER_K) {
                $sinks[] = [$since[$spot] ?? $peak->seconds, $reading->seconds];
                $lows[$spot] = $low !== null && $low->celsius <= $reading->celsius ? $low : $reading;
                $since[$spot] = $reading->seconds;
            }
        }

        return $sinks;
    }
}
