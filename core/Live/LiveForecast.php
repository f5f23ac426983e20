<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Heat\Resolution;
use Diatherm\Heat\Trace;
use Diatherm\Measure\Spread;
use Diatherm\Plan\Caution;
use Diatherm\Plan\Cautions;
use Diatherm\Plan\Coast;
use Diatherm\Plan\Cook;
use Diatherm\Plan\Course;
use Diatherm\Plan\Dish;
use Diatherm\Plan\StageEnd;
use Diatherm\Safety\SafeMinimum;

/** What the readings so far make of a cook that is under way. Minutes count from the moment the dish went on. */
final readonly class LiveForecast
{
    /** The first round runs this far past the planned pull, since the pull is set anew by what was learnt. */
    private const PAST_PULL_K = 4.0;

    private const BAND_POINTS = 60;

    /**
     * @param  Spread  $cookMinutes  from on to the pull; exact once it was pulled
     * @param  float  $pullC  core at which to pull, or at which it was pulled
     * @param  float  $peakC  likely
     * @param  array<string, Verdict>  $verdicts  by id of the reading
     * @param  list<array{float, Spread}>  $band  minutes and core, from on to the slow end of the pull or on through the rest
     * @param  Guess  $guess  in the middle of the weight
     * @param  Trace  $trace  of the likely cook and its rest
     * @param  list<Caution>  $cautions  of what has happened: nothing before the pull, which the plan speaks of
     */
    private function __construct(
        public Spread $cookMinutes,
        public float $pullC,
        public Spread $coreNowC,
        public float $peakC,
        public float $peakMinutes,
        public array $verdicts,
        public array $band,
        public Guess $guess,
        public Trace $trace,
        public array $cautions,
    ) {
    }

    /** @param  list<Reading>  $readings in order of time, sound or not */
    public static function of(Dish $dish, float $airC, Course $course, array $readings, float $plannedPullC): self
    {
        $verdicts = Sieve::judge($readings, $dish, $course);
        $counting = array_values(array_filter($readings, fn (Reading $reading): bool => $verdicts[$reading->id] === Verdict::Counts));
        $ensemble = Ensemble::of($dish, $airC, $course, $counting, $plannedPullC + self::PAST_PULL_K);
        $guess = $ensemble->middle($dish);
        $begin = fn (Resolution $resolution): Cook => Cook::of($dish, $airC, $resolution, $course, $guess->transfer, $guess->thickness, $guess->warmerK);

        $pullC = min($plannedPullC + self::PAST_PULL_K, $course->pulledS === null ? Coast::pullC($dish, $begin) : $plannedPullC);
        $likely = $begin(Resolution::fine());
        $trace = $likely->body->record();
        $likely->toPull($pullC);
        $offS = $likely->body->elapsedS();
        $offC = $likely->body->coreC();
        $cookMinutes = $course->pulledS === null
            ? self::around($offS, self::minutesTo($pullC, $ensemble, $dish, $course), $course)
            : Spread::exactly($course->pulledS / 60.0);
        $likely->rest(max(60.0 * $dish->restMinutes, $course->nowS - $offS) + Coast::FOLLOWED_REST_S);
        [$peakC, $peakS] = Coast::peak($trace, $offS);

        return new self(
            $cookMinutes,
            $course->pulledS === null && $dish->lastStage()->end !== StageEnd::Minutes ? $pullC : $offC,
            self::coreAt($course->nowS, $ensemble),
            $peakC,
            $peakS / 60.0,
            $verdicts,
            self::band($ensemble, $course->pulledS === null ? 60.0 * $cookMinutes->high : $course->pulledS + Coast::FOLLOWED_REST_S),
            $guess,
            $trace,
            $course->pulledS === null ? [] : self::cautions($dish, $peakC, $trace, $course->pulledS),
        );
    }

    /** @return list<Caution> */
    private static function cautions(Dish $dish, float $peakC, Trace $trace, float $pulledS): array
    {
        $lethality = SafeMinimum::of($dish->safetyClass())->lethality?->gathered(...$trace->upTo($pulledS + 60.0 * $dish->restMinutes));
        $caution = Cautions::belowSafeMinimum($dish, $peakC, $lethality);

        return $caution === null ? [] : [$caution];
    }

    /** The ensemble's band, laid about the fine run that is drawn: coarse runs are a little quick or slow, all alike. */
    private static function around(float $offS, Spread $coarse, Course $course): Spread
    {
        $likely = max($offS, $course->nowS) / 60.0;
        $band = $coarse->plus($likely - $coarse->likely);

        return Spread::of(min($likely, max($band->low, $course->nowS / 60.0)), $likely, $band->high);
    }

    private static function minutesTo(float $pullC, Ensemble $ensemble, Dish $dish, Course $course): Spread
    {
        $minutes = array_map(function (Trace $trace) use ($pullC, $dish, $course): float {
            $at = $dish->lastStage()->end === StageEnd::Minutes ? $trace->endS() : ($trace->reaches($pullC) ?? $trace->endS());

            return max($at, $course->nowS) / 60.0;
        }, $ensemble->traces);

        return Weighed::spread($minutes, $ensemble->weights);
    }

    private static function coreAt(float $seconds, Ensemble $ensemble): Spread
    {
        return Weighed::spread(array_map(fn (Trace $trace): float => $trace->coreAt($seconds), $ensemble->traces), $ensemble->weights);
    }

    /** @return list<array{float, Spread}> */
    private static function band(Ensemble $ensemble, float $untilS): array
    {
        $band = [];
        for ($i = 0; $i <= self::BAND_POINTS; $i++) {
            $seconds = $untilS * $i / self::BAND_POINTS;
            $band[] = [$seconds / 60.0, self::coreAt($seconds, $ensemble)];
        }

        return $band;
    }
}
