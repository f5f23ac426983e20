<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Cooking\Course;
use Diatherm\Fire\HandTest;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
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
            'time',
            Message::of('debrief.on_the_heat'),
            self::lasting($plannedMinutes),
            self::lasting($minutes),
            'read',
            abs($late) < max(self::TELLING_LEAST_MINUTES, self::TELLING_SHARE * $plannedMinutes)
                ? Message::of('debrief.as_planned')
                : Message::of($late > 0 ? 'debrief.longer' : 'debrief.shorter', duration: Quantity::duration(abs($late))),
        )];
        $counted = array_values(array_filter($readings, fn (Reading $one): bool => $fact->verdicts[$one->id]->isCounted()));
        $findings[] = self::atThePull($plannedPullC, $fact, $counted);
        $findings[] = self::atItsPeak($dish, $fact, $counted);
        $safe = $fact->atCarving->minimum;
        if ($safe->coreC !== null) {
            $findings[] = new Finding(
                'safe',
                Message::of('debrief.safe_minimum_by_the_carving'),
                Message::of('words.figure', figure: Quantity::celsius($safe->coreC)),
                Message::of($fact->atCarving->safe ? 'debrief.reached' : 'debrief.not_reached'),
                self::basis($counted, 60.0 * $minutes) === 'read' ? 'read' : 'computed',
                $fact->atCarving->safe
                    ? ($safe->holdMinutes > 0 ? Message::of('debrief.with', hold: Quantity::minutes($safe->holdMinutes)) : null)
                    : Message::of(
                        self::basis($counted, 60.0 * $minutes) === 'read'
                            ? 'debrief.got_to'
                            : 'debrief.got_to_by_its_low_end',
                        hottest: Quantity::celsius(floor($fact->atCarving->hottestC)),
                    ),
            );
        }
        if ($tableLateMinutes !== null) {
            $findings[] = new Finding(
                'table',
                Message::of('debrief.at_the_table'),
                Message::of('debrief.on_the_hour'),
                abs($tableLateMinutes) < 3.0
                    ? Message::of('debrief.on_the_hour')
                    : Message::of(
                        $tableLateMinutes > 0 ? 'debrief.late' : 'debrief.early',
                        duration: Quantity::duration(abs($tableLateMinutes)),
                    ),
                'read',
                $tableLateMinutes > 10.0 ? Message::of('debrief.allow_more_slack_or_start') : Message::of('debrief.nobody_waited'),
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

        return new Finding(
            'pull',
            Message::of('debrief.core_at_the_pull'),
            Message::of('words.figure', figure: Quantity::celsius($plannedPullC)),
            Message::of($basis === 'computed' ? 'words.about' : 'words.figure', figure: Quantity::celsius($offC)),
            $basis,
            match (true) {
                $basis === 'computed' && $counted === [] => Message::of('debrief.nothing_was_read_this'),
                abs($offC - $plannedPullC) < self::TELLING_K => Message::of('debrief.pulled_on_the_mark'),
                default => $offC > $plannedPullC
                    ? Message::of('debrief.stayed_on_past_the_mark')
                    : Message::of('debrief.pulled_before_the_mark'),
            },
        );
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
            $basis === 'read' ? Message::of('debrief.highest_read_in_the_rest') : Message::of('debrief.core_at_its_peak'),
            Message::of('words.figure', figure: Quantity::celsius($dish->targetC)),
            Message::of($basis === 'computed' ? 'words.about' : 'words.figure', figure: Quantity::celsius($peakC)),
            $basis,
            abs($off) < self::TELLING_K
                ? Message::of('debrief.on_the_target')
                : Message::of($off > 0.0 ? 'debrief.above_the_target' : 'debrief.below_the_target', off: Quantity::kelvin(abs($off))),
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
        $counted = count(array_filter($fact->verdicts, fn (Verdict $verdict): bool => $verdict->isCounted()));
        if ($counted < self::FEWEST_READINGS) {
            return [
                new Finding(
                    'learnt',
                    Message::of('debrief.learnt_of_the_heat'),
                    null,
                    Message::of('debrief.readings', counted: $counted),
                    'read',
                    Message::of('debrief.three_readings_or_more_would'),
                ),
            ];
        }
        $findings = [];
        $guess = $fact->guess;
        $reached = $guess->reached(60.0 * $fact->cookMinutes->likely);
        $weaker = 1.0 - $reached;
        $findings[] = new Finding(
            'heat',
            Message::of('debrief.heat_that_reached'),
            Message::of('words.figure', figure: Quantity::percent(100.0)),
            Message::of('words.figure', figure: Quantity::percent(100 * $reached)),
            'computed',
            abs($weaker) < self::TELLING_TRANSFER
            ? Message::of('debrief.gave_what_it_should', cooker: $dish->stages[0]->cooker->short)
            : Message::of(
                $weaker > 0
                    ? 'debrief.gave_less'
                    : 'debrief.gave_more',
                cooker: $dish->stages[0]->cooker->short,
            ),
        );
        if (abs($guess->thickness - 1.0) > self::TELLING_THICKNESS) {
            $half = 200.0 * $dish->shape()->halfThicknessM;
            $findings[] = new Finding(
                'thickness',
                Message::of('debrief.as_thick_to_the_heat'),
                Message::of('words.figure', figure: Quantity::cm($half, 1)),
                Message::of('words.figure', figure: Quantity::cm($half * $guess->thickness, 1)),
                'computed',
                Message::of('debrief.put_a_tape'),
            );
        }
        if (abs($guess->warmerK) > self::TELLING_START_K) {
            $findings[] = new Finding(
                'start',
                Message::of('debrief.went'),
                Message::of('words.figure', figure: Quantity::celsius($dish->startC)),
                Message::of('words.figure', figure: Quantity::celsius($dish->startC + $guess->warmerK)),
                'computed',
                Message::of('debrief.a_reading_before_it_goes'),
            );
        }
        if ($course->cookerReadings !== []) {
            $mean = array_sum(array_column($course->cookerReadings, 1)) / count($course->cookerReadings);
            $set = $dish->stages[0]->cookerC;
            $open = $dish->stages[0]->cooker->isOpenFire();
            $heat = fn (float $celsius): Message => $open
                ? HandTest::inWords(HandTest::secondsOfWall($celsius))
                : Message::of('words.figure', figure: Quantity::celsius($celsius));
            $findings[] = new Finding(
                'cooker',
                $open ? Message::of('debrief.fire_when_freshly_made_up') : Message::of('debrief.cooker_mean_of_its_readings'),
                $heat($set),
                $heat($mean),
                'read',
                match (true) {
                    abs($mean - $set) < ($open ? self::HELD_OPEN_K : self::HELD_K) => Message::of('debrief.held_well'),
                    $open => $mean > $set ? Message::of('debrief.ran_hot') : Message::of('debrief.ran_cool'),
                    default => Message::of(
                        $mean > $set ? 'debrief.ran_hot_by' : 'debrief.ran_cool_by',
                        off: Quantity::kelvin(abs($mean - $set)),
                    ),
                },
            );
        }
        if ($course->lifts !== []) {
            $findings[] = new Finding(
                'lifts',
                Message::of('debrief.lid_off'),
                null,
                Message::of(
                    'debrief.lifts',
                    lifts: count($course->lifts),
                    open: Quantity::minutes(array_sum(array_column($course->lifts, 1)) / 60.0),
                ),
                'read',
                Message::of('debrief.counted_in_the_course_above'),
            );
        }

        return $findings;
    }

    private static function lasting(float $minutes): Message
    {
        return Message::of('words.figure', figure: Quantity::duration($minutes));
    }
}
