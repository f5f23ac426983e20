<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Heat\Substance;
use Diatherm\Plan\Course;
use Diatherm\Plan\Dish;

/** Parts readings that can be the core from those that cannot. */
final class Sieve
{
    /** Readings of different places this close together are one round of probing. Common practice. */
    private const ROUND_S = 300.0;

    /** A probe's own scatter, with its placing. Common practice. */
    private const SLACK_K = 3.0;

    /** A core that falls faster than this did not fall: the probe came out. Common practice. */
    private const FASTEST_FALL_K_MIN = 2.0;

    /** First eigenvalue π² of a sphere whose surface is held: no body's centre follows its surface faster. Source: Incropera & DeWitt, section 5.6. */
    private const QUICKEST_MODE = M_PI ** 2;

    /** The wet surface of meat goes little above this while its inside is still raw, °C. Common practice. */
    private const HOTTEST_SURFACE_C = 110.0;

    private const TYPICAL_C = 40.0;

    private const MARGIN = 1.5;

    /**
     * @param  list<Reading>  $readings  in order of time
     * @return array<string, Verdict> by id of the reading
     */
    public static function judge(array $readings, Dish $dish, Course $course): array
    {
        $verdicts = [];
        /** @var array<string, Reading> $last the last sound reading of each place */
        $last = [];
        /** @var array<string, string> $colder place => a place that was found colder */
        $colder = [];
        foreach ($readings as $reading) {
            $verdict = self::alone($reading, $last[$reading->place] ?? null, $dish, $course);
            $verdicts[$reading->id] = $verdict;
            if ($verdict !== Verdict::Counts) {
                continue;
            }
            foreach ($last as $place => $other) {
                if ($place === $reading->place || $reading->seconds - $other->seconds > self::ROUND_S) {
                    continue;
                }
                if ($reading->celsius < $other->celsius) {
                    $colder[$place] = $reading->place;
                    unset($colder[$reading->place]);
                    $verdicts[$other->id] = Verdict::NotTheColdest;
                } else {
                    $colder[$reading->place] = $place;
                }
            }
            if (isset($colder[$reading->place])) {
                $verdicts[$reading->id] = Verdict::NotTheColdest;
            }
            $before = $last[$reading->place] ?? null;
            if ($before !== null && $course->pulledS === null && $reading->celsius < $before->celsius - self::SLACK_K) {
                // It sank slowly while on the heat: the earlier one was not at the core, the colder one decides.
                $verdicts[$before->id] = Verdict::NotTheColdest;
            }
            $last[$reading->place] = $reading;
        }

        return $verdicts;
    }

    private static function alone(Reading $reading, ?Reading $before, Dish $dish, Course $course): Verdict
    {
        if ($reading->seconds < 0.0) {
            return Verdict::NotOnTheHeat;
        }
        if ($course->pulledS === null && $reading->celsius > self::airC($reading->seconds, $dish, $course)) {
            return Verdict::AboveTheAir;
        }
        $fromC = $before->celsius ?? $dish->startC;
        $minutes = max(0.0, $reading->seconds - ($before->seconds ?? 0.0)) / 60.0;
        $change = $reading->celsius - $fromC;
        if ($change < -self::SLACK_K && -$change - self::SLACK_K > self::FASTEST_FALL_K_MIN * $minutes) {
            return Verdict::FallsTooFast;
        }
        if ($change > self::SLACK_K + self::quickestRise($fromC, $minutes, $dish)) {
            return Verdict::RisesTooFast;
        }

        return Verdict::Counts;
    }

    /** No core gains more than this in $minutes, K. */
    private static function quickestRise(float $fromC, float $minutes, Dish $dish): float
    {
        $substance = Substance::from($dish->cut->composition);
        $diffusivity = $substance->conductivityWmK(self::TYPICAL_C) / ($substance->densityKgM3(self::TYPICAL_C) * $substance->specificHeatJKgK(self::TYPICAL_C));
        $rate = self::MARGIN * self::QUICKEST_MODE * $diffusivity / $dish->shape()->halfThicknessM ** 2;

        return (self::HOTTEST_SURFACE_C - $fromC) * (1.0 - exp(-$rate * 60.0 * $minutes));
    }

    private static function airC(float $seconds, Dish $dish, Course $course): float
    {
        $hottest = max($dish->bed?->celsius(0.0) ?? 0.0, ...array_map(fn ($stage): float => $stage->cookerC, $dish->stages));
        foreach ($course->cookerReadings as [$at, $celsius]) {
            if ($at <= $seconds) {
                $hottest = max($hottest, $celsius);
            }
        }

        return $hottest;
    }
}
