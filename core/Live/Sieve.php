<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Cooking\Course;
use Diatherm\Roast\Dish;

/**
 * Parts readings that can be the core from those that cannot. The thermometer is right until shown wrong: by physics, by
 * a colder place, or by readings that agree with each other and not with it. Work grows with the readings and no faster.
 */
final class Sieve
{
    /** Readings of different places this close together are one round of probing. Common practice. */
    private const ROUND_S = 300.0;

    /** A place that was not read for so long is read no more: a round of probing comes sooner. Common practice. */
    private const HEARD_S = 900.0;

    /** Places that differ by how deep they lie, and by nothing else. */
    private const ONE_MUSCLE = ['core', 'thick_end', 'thin_end', 'bone'];

    /** Two probes side by side differ by less. Common practice. */
    private const SCATTER_K = 1.5;

    /** What lies between two depths grows with what both have gained, to about the middle of a cook; no further. Common practice. */
    private const MOST_GROWN = 2.0;

    /** What went back on sinks on until the heat has reached its middle again, s. Common practice. */
    private const SINKS_ON_S = 1800.0;

    /** Water boils at 100 °C at most where people cook; a probe may be off by this much. */
    private const BOILING_C = 103.0;

    /** Thawed meat is no colder than −5 °C anywhere; a probe may be off by as much as it is slack. Common practice. */
    private const COLDEST_C = -8.0;

    /**
     * So many readings that agree overturn what was trusted before; so many are needed against several that were lower.
     * Common practice.
     */
    private const AGREE = 2;

    private const AGREE_AGAINST_COLDER = 4;

    /**
     * @param  list<Reading>  $readings  in order of time
     */
    public static function judge(array $readings, Dish $dish, Course $course): Sifted
    {
        $verdicts = [];
        $spots = [];
        foreach ($readings as $reading) {
            $verdicts[$reading->id] = self::alone($reading, $dish, $course);
            if ($verdicts[$reading->id] === Verdict::Counts) {
                $spots[$reading->spot()][] = $reading;
            }
        }
        foreach ($spots as $spot) {
            $verdicts = array_replace($verdicts, self::together($spot, ReadingLimits::of($dish), $dish->startC));
        }

        $trusted = array_values(array_filter($readings, fn (Reading $reading): bool => $verdicts[$reading->id] === Verdict::Counts));

        [$colder, $lessK] = self::coldest($trusted, $course, $dish->startC);
        $verdicts = array_replace($verdicts, $colder);
        $counting = [];
        foreach ($readings as $reading) {
            if ($verdicts[$reading->id]->isCounted()) {
                $counting[] = isset($lessK[$reading->id]) ? $reading->less($lessK[$reading->id]) : $reading;
            }
        }

        return new Sifted($verdicts, $counting);
    }

    /** What can be said of one reading by itself. */
    private static function alone(Reading $reading, Dish $dish, Course $course): Verdict
    {
        return match (true) {
            $reading->seconds < 0.0 => Verdict::NotOnTheHeat,
            $reading->celsius > self::BOILING_C => Verdict::AboveBoiling,
            $reading->celsius < self::COLDEST_C => Verdict::ColderThanAny,
            (
                $course->pulledS === null || $reading->seconds < $course->pulledS
            ) && $reading->celsius > self::airC($reading->seconds, $dish, $course) + ReadingLimits::SLACK_K => Verdict::AboveTheAir,
            default => Verdict::Counts,
        };
    }

    /**
     * Readings of one place: those that follow from each other are trusted; one that does not waits until another agrees
     * with it. Two that agree outvote one, and several that were hotter; against several that were colder it takes more.
     *
     * @param  list<Reading>  $readings  in order of time
     * @return array<string, Verdict>
     */
    private static function together(array $readings, ReadingLimits $limits, float $startC): array
    {
        $verdicts = [];
        $trusted = [];
        $waiting = [];
        foreach ($readings as $reading) {
            $last = $trusted[count($trusted) - 1] ?? null;
            $verdicts[$reading->id] = self::follows($last, $reading, $limits, $startC);
            $before = $waiting[count($waiting) - 1] ?? null;
            $agrees = $before !== null && self::follows($before, $reading, $limits, $startC) === Verdict::Counts;
            $colder = $last !== null && $reading->celsius < $last->celsius;
            if ($verdicts[$reading->id] === Verdict::Counts && ! ($agrees && $colder)) {
                $trusted[] = $reading;
                $waiting = [];

                continue;
            }
            $waiting = $agrees ? [...$waiting, $reading] : [$reading];
            // The cook was asked, and said that it is right.
            if (! $reading->sure && ! self::overturns(count($waiting), count($trusted), $colder)) {
                continue;
            }
            while ($trusted !== [] && (self::follows($trusted[count($trusted) - 1], $waiting[0], $limits, $startC) !== Verdict::Counts)) {
                $verdicts[array_pop($trusted)->id] = Verdict::Outvoted;
            }
            foreach ($waiting as $one) {
                $verdicts[$one->id] = Verdict::Counts;
                $trusted[] = $one;
            }
            $waiting = [];
        }

        return $verdicts;
    }

    private static function overturns(int $waiting, int $trusted, bool $colder): bool
    {
        return match (true) {
            // One against one: the colder is believed, which can only cost time.
            $colder && $trusted === 1 => true,
            $colder, $trusted <= 1 => $waiting >= self::AGREE,
            default => $waiting >= self::AGREE_AGAINST_COLDER,
        };
    }

    /** Whether a core that was at one reading, or at its start, can be at the next. */
    private static function follows(?Reading $before, Reading $reading, ReadingLimits $limits, float $startC): Verdict
    {
        $fromC = $before->celsius ?? $startC;
        $minutes = max(0.0, $reading->seconds - ($before->seconds ?? 0.0)) / 60.0;

        return match (true) {
            $reading->celsius < $limits->leastC($fromC, $minutes) => Verdict::FallsTooFast,
            $reading->celsius > $limits->mostC($fromC, $minutes) => Verdict::RisesTooFast,
            default => Verdict::Counts,
        };
    }

    /**
     * Of several places and pieces, and of what sank while on the heat, the colder decides. Places are held against each other at one moment, however
     * fast they climb and in whatever order their readings came. Once the colder place of one muscle is read no more, as when its probe
     * slipped out, the warmer one counts again, less what was between them, which grows as they warm. A thigh is no breast, and one
     * piece is not another: what was colder there has to be read there again.
     *
     * @param  list<Reading>  $readings  trusted ones, in order of time
     * @return array{array<string, Verdict>, array<string, float>} by id of the reading: verdicts, and what is taken off it, K
     */
    private static function coldest(array $readings, Course $course, float $startC): array
    {
        $verdicts = [];
        $lessK = [];
        /** @var array<string, Reading> $last the last reading of each spot */
        $last = [];
        /** @var array<string, array<string, array{lessK: float, at: float}>> $colder spot => those that were colder, by how much, and at what */
        $colder = [];
        foreach ($readings as $reading) {
            $here = $reading->spot();
            $before = $last[$here] ?? null;
            $changed = [$reading];
            foreach ($last as $there => $other) {
                $apartS = $reading->seconds - $other->seconds;
                // A colder place that was read a while ago is not outdone by a warmer one: it has to be read again.
                $isHeld = $apartS <= self::HEARD_S && $reading->celsius > $other->celsius;
                if ($there === $here || ($apartS > self::ROUND_S && ! $isHeld && ! self::sank($other, $reading, $course))) {
                    continue;
                }
                if ($before !== null && $before->seconds >= $other->seconds) {
                    // That place was not read since: what was found between them stands.
                    continue;
                }
                $warmerK = self::interpolatedC($other->seconds, $before, $reading) - $other->celsius;
                unset($colder[$here][$there], $colder[$there][$here]);
                if ($warmerK > 0.0) {
                    $colder[$here][$there] = ['lessK' => $warmerK, 'at' => $other->celsius + $warmerK];
                } elseif ($warmerK < 0.0) {
                    $colder[$there][$here] = ['lessK' => -$warmerK, 'at' => $other->celsius];
                }
                $changed[] = $other;
            }
            $last[$here] = $reading;
            foreach ($changed as $one) {
                unset($verdicts[$one->id], $lessK[$one->id]);
                $found = $colder[$one->spot()] ?? [];
                if ($found === []) {
                    continue;
                }
                $less = self::lessLost($one, $found, $last, $startC);
                $verdicts[$one->id] = $less === null ? Verdict::NotTheColdest : Verdict::LessAColder;
                if ($less !== null) {
                    $lessK[$one->id] = $less;
                }
            }
            if ($before !== null && self::sank($before, $reading, $course)) {
                $verdicts[$before->id] = Verdict::SankSince;
            }
        }

        return [$verdicts, $lessK];
    }

    /**
     * Whether one reads less than another before it, and was on the heat all the time. Then the earlier one was not at the coldest spot, or
     * the fire has died: the colder one decides.
     */
    private static function sank(Reading $before, Reading $reading, Course $course): bool
    {
        return $reading->celsius < $before->celsius - ReadingLimits::SLACK_K
            && ($course->pulledS === null || $reading->seconds < $course->pulledS)
            && ! $course->wasOffBetween($before->seconds - self::SINKS_ON_S, $reading->seconds);
    }

    /**
     * What is taken off a reading for colder spots that are read no more, K; null where one of them is still read, or has to be.
     *
     * @param  non-empty-array<string, array{lessK: float, at: float}>  $colder  by spot
     * @param  array<string, Reading>  $last
     */
    private static function lessLost(Reading $reading, array $colder, array $last, float $startC): ?float
    {
        $less = 0.0;
        foreach ($colder as $spot => $found) {
            $other = $last[$spot];
            $isLost = $reading->seconds - $other->seconds > self::HEARD_S && $reading->piece === $other->piece
                && in_array($reading->place, self::ONE_MUSCLE, true) && in_array($other->place, self::ONE_MUSCLE, true);
            if (! $isLost) {
                return null;
            }
            $warmed = ($reading->celsius - $startC) / max(1.0, $found['at'] - $startC);
            // What probes scatter does not grow.
            $grown = $found['lessK'] < self::SCATTER_K ? 1.0 : min(self::MOST_GROWN, max(1.0, $warmed));
            $less = max($less, $found['lessK'] * $grown);
        }

        return $less;
    }

    /** What a spot had at a moment from its reading before to this one, °C; what it has now where it was not read before. */
    private static function interpolatedC(float $seconds, ?Reading $before, Reading $reading): float
    {
        if ($before === null || $reading->seconds <= $before->seconds) {
            return $reading->celsius;
        }
        $share = ($seconds - $before->seconds) / ($reading->seconds - $before->seconds);

        return $before->celsius + $share * ($reading->celsius - $before->celsius);
    }

    private static function airC(float $seconds, Dish $dish, Course $course): float
    {
        $hottest = max($dish->bed?->celsius(0.0) ?? 0.0, ...array_map(fn ($stage): float => $stage->cookerC, $dish->stages));
        foreach ($course->cookerReadings as [$at, $celsius]) {
            if ($at > $seconds) {
                break;
            }
            $hottest = max($hottest, $celsius);
        }

        return $hottest;
    }
}
