<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Plan\Course;
use Diatherm\Plan\Dish;

/** Plan against fact for one dish that came off the heat, and what the readings taught. */
final class Debrief
{
    /** Differences smaller than these are within what any day brings. Common practice. */
    private const TELLING_MINUTES = 8.0;

    private const TELLING_TRANSFER = 0.06;

    private const TELLING_THICKNESS = 0.03;

    private const TELLING_START_K = 1.5;

    /** Readings without which nothing is learnt of the heat. */
    private const FEWEST_READINGS = 3;

    /**
     * @param  float  $plannedMinutes  likely, at the lighting
     * @param  float  $plannedPullC  at the lighting
     * @param  float|null  $tableLateMinutes  carved after the serving hour; negative when early
     * @return list<Finding>
     */
    public static function of(Dish $dish, float $plannedMinutes, float $plannedPullC, LiveForecast $fact, Course $course, ?float $tableLateMinutes): array
    {
        $minutes = $fact->cookMinutes->likely;
        $late = $minutes - $plannedMinutes;
        $findings = [new Finding(
            'time', 'On the heat', self::duration($plannedMinutes), self::duration($minutes),
            abs($late) < self::TELLING_MINUTES ? 'As planned.' : sprintf('%s %s than planned.', self::duration(abs($late)), $late > 0 ? 'longer' : 'shorter'),
        )];
        $offC = $fact->trace->coreAt(60.0 * $minutes);
        $findings[] = new Finding('pull', 'Core at the pull', sprintf('%.0f °C', $plannedPullC), sprintf('%.0f °C', $offC), abs($offC - $plannedPullC) < 1.5 ? 'Pulled on the mark.' : ($offC > $plannedPullC ? 'Stayed on past the mark.' : 'Pulled before the mark.'));
        $findings[] = new Finding('peak', 'Core at its peak', sprintf('%.0f °C', $dish->targetC), sprintf('%.0f °C', $fact->peakC), abs($fact->peakC - $dish->targetC) < 1.5 ? 'It coasted to the target.' : sprintf('%.0f K %s the target.', abs($fact->peakC - $dish->targetC), $fact->peakC > $dish->targetC ? 'above' : 'below'));
        if ($tableLateMinutes !== null) {
            $findings[] = new Finding('table', 'At the table', 'on the hour', abs($tableLateMinutes) < 3.0 ? 'on the hour' : self::duration(abs($tableLateMinutes)).($tableLateMinutes > 0 ? ' late' : ' early'), $tableLateMinutes > 10.0 ? 'Allow more slack, or start the fire sooner.' : 'Nobody waited.');
        }

        return [...$findings, ...self::learnt($dish, $fact, $course)];
    }

    /** @return list<Finding> */
    private static function learnt(Dish $dish, LiveForecast $fact, Course $course): array
    {
        $counted = count(array_filter($fact->verdicts, fn (Verdict $verdict): bool => $verdict === Verdict::Counts));
        if ($counted < self::FEWEST_READINGS) {
            return [new Finding('learnt', 'Learnt of the heat', '', $counted === 1 ? '1 reading' : "$counted readings", 'Three readings or more would tell how strong the heat really was.')];
        }
        $findings = [];
        $guess = $fact->guess;
        $weaker = 1.0 - $guess->transfer;
        $findings[] = new Finding('heat', 'Heat that reached it', '100 %', sprintf('%.0f %%', 100 * $guess->transfer), abs($weaker) < self::TELLING_TRANSFER
            ? 'The '.$dish->stages[0]->cooker->short.' gave what it should.'
            : sprintf('The %s gave %s than its setting says: set it %s next time.', $dish->stages[0]->cooker->short, $weaker > 0 ? 'less' : 'more', $weaker > 0 ? 'higher' : 'lower'));
        if (abs($guess->thickness - 1.0) > self::TELLING_THICKNESS) {
            $half = 200.0 * $dish->shape()->halfThicknessM;
            $findings[] = new Finding('thickness', 'As thick, to the heat, as', sprintf('%.1f cm', $half), sprintf('%.1f cm', $half * $guess->thickness), 'Put a tape on it next time: thickness decides more than weight.');
        }
        if (abs($guess->warmerK) > self::TELLING_START_K) {
            $findings[] = new Finding('start', 'Went on at', sprintf('%.0f °C', $dish->startC), sprintf('%.0f °C', $dish->startC + $guess->warmerK), 'A reading before it goes on settles this.');
        }
        if ($course->cookerReadings !== []) {
            $mean = array_sum(array_column($course->cookerReadings, 1)) / count($course->cookerReadings);
            $set = $dish->stages[0]->cookerC;
            $findings[] = new Finding('cooker', 'Cooker, mean of its readings', sprintf('%.0f °C', $set), sprintf('%.0f °C', $mean), abs($mean - $set) < 6.0 ? 'Held well.' : sprintf('Ran %.0f K %s.', abs($mean - $set), $mean > $set ? 'hot' : 'cool'));
        }
        if ($course->lifts !== []) {
            $findings[] = new Finding('lifts', 'Lid off', '', sprintf('%s, %.0f min', count($course->lifts) === 1 ? 'once' : count($course->lifts).' times', array_sum(array_column($course->lifts, 1)) / 60.0), 'Counted in the course above.');
        }

        return $findings;
    }

    private static function duration(float $minutes): string
    {
        $whole = (int) round($minutes);

        return $whole < 60 ? "$whole min" : sprintf('%d h %02d', intdiv($whole, 60), $whole % 60);
    }
}
