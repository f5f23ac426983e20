<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Cooking\Course;
use Diatherm\Fire\HandTest;
use Diatherm\Roast\Dish;

/** Plan against fact for one dish that came off the heat, and what the readings taught. */
final class Debrief
{
    /** A cooker that was so near to its setting on average held it, K; an open fire, as a black wall. Common practice. */
    private const HELD_K = 6.0;

    private const HELD_OPEN_K = 15.0;

    /** Differences smaller than these are within what any day brings. Common practice. */
    private const TELLING_SHARE = 0.08;

    private const TELLING_LEAST_MINUTES = 1.0;

    private const TELLING_K = 1.5;

    private const TELLING_TRANSFER = 0.06;

    private const TELLING_THICKNESS = 0.03;

    private const TELLING_START_K = 1.5;

    /** A reading so near a moment says what the core was at it, s. */
    private const AT_S = 120.0;

    /** Readings without which nothing is learnt of the heat. */
    private const FEWEST_READINGS = 3;

    /**
     * @param  float  $plannedMinutes  likely, at the lighting
     * @param  float  $plannedPullC  at the lighting
     * @param  list<Reading>  $readings  of the dish
     * @param  float|null  $tableLateMinutes  carved after the serving hour; negative when early
     * @return list<Finding>
     */
    public static function of(
        Dish $dish,
        float $plannedMinutes,
        float $plannedPullC,
        LiveForecast $fact,
        Course $course,
        array $readings,
        ?float $tableLateMinutes,
    ): array {
        $minutes = $fact->cookMinutes->likely;
        $late = $minutes - $plannedMinutes;
        $findings = [new Finding(
            'time', 'On the heat', self::duration($plannedMinutes), self::duration($minutes), 'read',
            abs($late) < max(self::TELLING_LEAST_MINUTES, self::TELLING_SHARE * $plannedMinutes)
                ? 'As planned.'
                : sprintf('%s %s than planned.', self::duration(abs($late)), $late > 0 ? 'longer' : 'shorter'),
        )];
        $counted = array_values(array_filter($readings, fn (Reading $one): bool => $fact->verdicts[$one->id] === Verdict::Counts));
        $findings[] = self::atThePull($plannedPullC, $fact, $counted);
        $findings[] = self::atItsPeak($dish, $fact, $counted);
        $safe = $fact->atCarving->minimum;
        if ($safe->coreC !== null) {
            $findings[] = new Finding(
                'safe',
                'Safe minimum, by the carving',
                sprintf('%.0f °C', $safe->coreC),
                $fact->atCarving->safe ? 'reached' : 'not reached',
                self::basis($counted, 60.0 * $minutes) === 'read' ? 'read' : 'computed',
                $fact->atCarving->safe
                    ? ($safe->holdMinutes > 0 ? sprintf('With %.0f min at it.', $safe->holdMinutes) : '')
                    : sprintf(
                        self::basis($counted, 60.0 * $minutes) === 'read'
                            ? 'It got to %.0f °C.'
                            : 'By its low end it got to %.0f °C; it was not read near the pull.',
                        floor($fact->atCarving->hottestC),
                    ),
            );
        }
        if ($tableLateMinutes !== null) {
            $findings[] = new Finding(
                'table',
                'At the table',
                'on the hour',
                abs($tableLateMinutes) < 3.0
                    ? 'on the hour'
                    : self::duration(abs($tableLateMinutes)).($tableLateMinutes > 0 ? ' late' : ' early'),
                'read',
                $tableLateMinutes > 10.0 ? 'Allow more slack, or start the fire sooner.' : 'Nobody waited.',
            );
        }

        return [...$findings, ...self::learnt($dish, $fact, $course)];
    }

    /** @param  list<Reading>  $counted */
    private static function atThePull(float $plannedPullC, LiveForecast $fact, array $counted): Finding
    {
        $offS = 60.0 * $fact->cookMinutes->likely;
        $basis = self::basis($counted, $offS);
        $offC = $fact->trace->coreAt($offS);

        return new Finding('pull', 'Core at the pull', sprintf('%.0f °C', $plannedPullC), ($basis === 'computed' ? 'about ' : '').sprintf('%.0f °C', $offC), $basis, match (true) {
            $basis === 'computed' && $counted === [] => 'Nothing was read: this is worked out.',
            abs($offC - $plannedPullC) < self::TELLING_K => 'Pulled on the mark.',
            default => $offC > $plannedPullC ? 'Stayed on past the mark.' : 'Pulled before the mark.',
        });
    }

    /** @param  list<Reading>  $counted */
    private static function atItsPeak(Dish $dish, LiveForecast $fact, array $counted): Finding
    {
        $offS = 60.0 * $fact->cookMinutes->likely;
        $resting = array_filter($counted, fn (Reading $one): bool => $one->seconds >= $offS);
        $basis = $resting === [] ? 'computed' : 'read';
        $peakC = $resting === [] ? $fact->peakC : max(array_map(fn (Reading $one): float => $one->celsius, $resting));
        $off = $peakC - $dish->targetC;

        return new Finding(
            'peak',
            $basis === 'read' ? 'Highest read in the rest' : 'Core at its peak',
            sprintf('%.0f °C', $dish->targetC),
            ($basis === 'computed' ? 'about ' : '').sprintf('%.0f °C', $peakC),
            $basis,
            abs($off) < self::TELLING_K ? 'On the target.' : sprintf('%.0f K %s the target.', abs($off), $off > 0.0 ? 'above' : 'below'),
        );
    }

    /**
     * Whether the core at a moment was read or computed between readings.
     *
     * @param  list<Reading>  $counted
     */
    private static function basis(array $counted, float $seconds): string
    {
        foreach ($counted as $reading) {
            if (abs($reading->seconds - $seconds) <= self::AT_S) {
                return 'read';
            }
        }

        return 'computed';
    }

    /** @return list<Finding> */
    private static function learnt(Dish $dish, LiveForecast $fact, Course $course): array
    {
        $counted = count(array_filter($fact->verdicts, fn (Verdict $verdict): bool => $verdict === Verdict::Counts));
        if ($counted < self::FEWEST_READINGS) {
            return [
                new Finding(
                    'learnt',
                    'Learnt of the heat',
                    '',
                    $counted === 1 ? '1 reading' : "$counted readings",
                    'read',
                    'Three readings or more would tell how strong the heat really was.',
                ),
            ];
        }
        $findings = [];
        $guess = $fact->guess;
        $reached = $guess->reached(60.0 * $fact->cookMinutes->likely);
        $weaker = 1.0 - $reached;
        $findings[] = new Finding('heat', 'Heat that reached it', '100 %', sprintf('%.0f %%', 100 * $reached), 'computed', abs($weaker) < self::TELLING_TRANSFER
            ? 'The '.$dish->stages[0]->cooker->short.' gave what it should.'
            : sprintf('The %s gave %s than its setting says: set it %s next time.', $dish->stages[0]->cooker->short, $weaker > 0 ? 'less' : 'more', $weaker > 0 ? 'higher' : 'lower'));
        if (abs($guess->thickness - 1.0) > self::TELLING_THICKNESS) {
            $half = 200.0 * $dish->shape()->halfThicknessM;
            $findings[] = new Finding(
                'thickness',
                'As thick, to the heat, as',
                sprintf('%.1f cm', $half),
                sprintf('%.1f cm', $half * $guess->thickness),
                'computed',
                'Put a tape on it next time: thickness decides more than weight.',
            );
        }
        if (abs($guess->warmerK) > self::TELLING_START_K) {
            $findings[] = new Finding(
                'start',
                'Went on at',
                sprintf('%.0f °C', $dish->startC),
                sprintf('%.0f °C', $dish->startC + $guess->warmerK),
                'computed',
                'A reading before it goes on settles this.',
            );
        }
        if ($course->cookerReadings !== []) {
            $mean = array_sum(array_column($course->cookerReadings, 1)) / count($course->cookerReadings);
            $set = $dish->stages[0]->cookerC;
            $open = $dish->stages[0]->cooker->isOpenFire();
            $heat = fn (float $celsius): string => $open
                ? HandTest::inWords(HandTest::secondsOfWall($celsius))
                : sprintf('%.0f °C', $celsius);
            $findings[] = new Finding('cooker', $open ? 'Fire when freshly made up, mean of what hands told' : 'Cooker, mean of its readings', $heat($set), $heat($mean), 'read', match (true) {
                abs($mean - $set) < ($open ? self::HELD_OPEN_K : self::HELD_K) => 'Held well.',
                $open => $mean > $set ? 'Ran hot.' : 'Ran cool.',
                default => sprintf('Ran %.0f K %s.', abs($mean - $set), $mean > $set ? 'hot' : 'cool'),
            });
        }
        if ($course->lifts !== []) {
            $findings[] = new Finding(
                'lifts',
                'Lid off',
                '',
                sprintf(
                    '%s, %.0f min',
                    count($course->lifts) === 1 ? 'once' : count($course->lifts).' times',
                    array_sum(array_column($course->lifts, 1)) / 60.0,
                ),
                'read',
                'Counted in the course above.',
            );
        }

        return $findings;
    }

    private static function duration(float $minutes): string
    {
        $whole = (int) round($minutes);

        return $whole < 60 ? "$whole min" : sprintf('%d h %02d', intdiv($whole, 60), $whole % 60);
    }
}
