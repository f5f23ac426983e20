<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Cooker\Equipment;
use Diatherm\Cooking\Course;
use Diatherm\Fire\HandTest;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Stage;

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

    /** A reading so near a moment says what the core was at it, s. */
    private const AT_S = 120.0;

    /** Figures are shown whole, K. */
    private const ROUNDING_K = 0.25;

    /** More pieces that were not read are not named one by one. */
    private const MOST_NAMED = 6;

    private const REFRIGERATOR = 'fridge';

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
        [$plannedHeat, $heat] = [$plannedMinutes - self::storedMinutes($dish, null), $minutes - self::storedMinutes($dish, $fact)];
        $late = $heat - $plannedHeat;
        $findings = [new Finding(
            'time',
            Message::of('debrief.on_the_heat'),
            self::lasting($plannedHeat),
            self::lasting($heat),
            'read',
            match (true) {
                abs($late) < 1.0 => Message::of('debrief.as_planned'),
                abs($late) < max(self::TELLING_LEAST_MINUTES, self::TELLING_SHARE * $plannedHeat) => Message::of('debrief.about_as_planned'),
                default => Message::of($late > 0 ? 'debrief.longer' : 'debrief.shorter', duration: Quantity::duration(abs($late))),
            },
        )];
        $counted = array_values(array_filter($readings, fn (Reading $one): bool => $fact->verdicts[$one->id]->isCounted()));
        $findings[] = self::atThePull($dish, $plannedPullC, $fact, $counted);
        if (! $dish->isBuried()) {
            $findings[] = self::atItsPeak($dish, $fact, $counted);
        }
        array_push($findings, ...self::safe($dish, $fact, $counted, self::unread($dish, $readings)), ...self::pieces($dish, $readings));
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

    /**
     * Which of several pieces were read: what was read of one says nothing of another.
     *
     * @param  list<Reading>  $readings
     * @return list<Finding>
     */
    private static function pieces(Dish $dish, array $readings): array
    {
        if ($dish->pieces === 1 || $readings === []) {
            return [];
        }
        $unread = self::unread($dish, $readings);
        $named = array_map(
            fn (int $piece): Message => Message::of('reading_place.piece', piece: $piece), array_slice($unread, 0, self::MOST_NAMED),
        );

        return [new Finding(
            'pieces',
            Message::of('debrief.pieces_read'),
            null,
            Message::of('debrief.so_many_pieces', read: $dish->pieces - count($unread), all: $dish->pieces),
            'read',
            $unread === [] ? null : Message::of('debrief.pieces_not_read', pieces: $named),
        )];
    }

    /**
     * @param  list<Reading>  $readings
     * @return list<int> pieces that were never read
     */
    private static function unread(Dish $dish, array $readings): array
    {
        return array_values(array_diff(range(1, $dish->pieces), array_map(fn (Reading $one): int => $one->piece, $readings)));
    }

    /** Minutes in the refrigerator between two steps, as planned or as they were. */
    private static function storedMinutes(Dish $dish, ?LiveForecast $fact): float
    {
        $minutes = 0.0;
        foreach ($dish->stages as $i => $stage) {
            if ($stage->cooker->id !== self::REFRIGERATOR) {
                continue;
            }
            $minutes += $fact === null
                ? $dish->stepMinutes($i)
                : ($fact->stageStartMinutes[$i + 1] ?? $fact->cookMinutes->likely) - ($fact->stageStartMinutes[$i] ?? 0.0);
        }

        return $minutes;
    }

    /**
     * The safe minimum, where it was meant to be reached: what was chosen below it is not held against anybody.
     *
     * @param  list<Reading>  $counted
     * @param  list<int>  $unread  pieces
     * @return list<Finding>
     */
    private static function safe(Dish $dish, LiveForecast $fact, array $counted, array $unread): array
    {
        $safe = $fact->atCarving->minimum;
        if ($safe->coreC === null || $dish->targetC < $safe->coreC - 0.5) {
            return [];
        }
        $hottest = $counted === [] ? -INF : max(array_map(fn (Reading $one): float => $one->celsius, $counted));
        $wasRead = $fact->atCarving->safe ? $hottest >= $safe->coreC - self::ROUNDING_K : self::readAt($counted, $fact) !== null;

        return [new Finding(
            'safe',
            Message::of('debrief.safe_minimum_by_the_carving'),
            Message::of('words.figure', figure: Quantity::celsius($safe->coreC)),
            Message::of($fact->atCarving->safe ? 'debrief.reached' : 'debrief.not_reached'),
            $wasRead && $unread === [] && ! ProbeMap::isFillingUnread($dish, $counted) ? 'read' : 'computed',
            match (true) {
                $fact->atCarving->safe => $safe->holdMinutes > 0 ? Message::of('debrief.with', hold: Quantity::minutes($safe->holdMinutes)) : null,
                default => Message::of(
                    $wasRead ? 'debrief.got_to' : 'debrief.got_to_by_its_low_end', hottest: Quantity::celsius(floor($fact->atCarving->hottestC)),
                ),
            },
        )];
    }

    /** @param  list<Reading>  $counted */
    private static function atThePull(Dish $dish, float $plannedPullC, LiveForecast $fact, array $counted): Finding
    {
        $read = self::readAt($counted, $fact);
        $offC = $read->celsius ?? $fact->trace->coreAt(60.0 * $fact->cookMinutes->likely);

        return new Finding(
            'pull',
            Message::of('debrief.core_at_the_pull'),
            Message::of($dish->isBuried() ? 'debrief.at_least' : 'words.figure', figure: Quantity::celsius($plannedPullC)),
            Message::of($read === null ? 'words.about' : 'words.figure', figure: Quantity::celsius($offC)),
            $read === null ? 'computed' : 'read',
            match (true) {
                $read === null && $counted === [] => Message::of('debrief.nothing_was_read_this'),
                // A buried pot is left for hours past its number.
                $dish->isBuried() && $offC >= $plannedPullC - self::TELLING_K => null,
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
        $hottest = $counted === [] ? -INF : max(array_map(fn (Reading $one): float => $one->celsius, $counted));
        // The first readings off the heat may be lower than the last one on it.
        $isRead = $resting !== [] || $hottest >= $fact->peakC;
        $peakC = $isRead ? $hottest : $fact->peakC;
        $off = $peakC - $dish->targetC;

        return new Finding(
            'peak',
            Message::of($isRead ? 'debrief.highest_read' : 'debrief.core_at_its_peak'),
            Message::of('words.figure', figure: Quantity::celsius($dish->targetC)),
            Message::of($isRead ? 'words.figure' : 'words.about', figure: Quantity::celsius($peakC)),
            $isRead ? 'read' : 'computed',
            abs($off) < self::TELLING_K
                ? Message::of('debrief.on_the_target')
                : Message::of($off > 0.0 ? 'debrief.above_the_target' : 'debrief.below_the_target', off: Quantity::kelvin(abs($off))),
        );
    }

    /**
     * The reading that says what the core was as it came off; null where it was only worked out.
     *
     * @param  list<Reading>  $counted
     */
    private static function readAt(array $counted, LiveForecast $fact): ?Reading
    {
        $offS = 60.0 * $fact->cookMinutes->likely;
        $nearest = null;
        foreach ($counted as $reading) {
            $isNearer = $nearest === null || abs($reading->seconds - $offS) < abs($nearest->seconds - $offS);
            $nearest = abs($reading->seconds - $offS) <= self::AT_S && $isNearer ? $reading : $nearest;
        }

        return $nearest;
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
        $reached = $fact->heatReached();
        $weaker = 1.0 - $reached;
        $findings[] = new Finding(
            'heat',
            Message::of('debrief.heat_that_reached'),
            Message::of('words.figure', figure: Quantity::percent(100.0)),
            Message::of('words.figure', figure: Quantity::percent(100 * $reached)),
            'computed',
            self::heatLesson($dish, $weaker, $course->cookerReadings !== []),
        );
        array_push($findings, ...self::cookers($dish, $fact, $course));
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

    /** What the heat that reached it says: of one cooker that was not read, of its setting; else of no setting. */
    private static function heatLesson(Dish $dish, float $weaker, bool $wasRead): Message
    {
        $cookers = array_unique(array_map(
            fn (Stage $stage): string => $stage->cooker->short,
            array_filter($dish->stages, fn (Stage $stage): bool => ! $stage->cooker->isRest()),
        ));
        $cooker = count($cookers) === 1 ? array_values($cookers)[0] : null;
        $isFixed = $cooker !== null && ! $wasRead && Equipment::has($dish->mainStage()->cooker->id)
            && Equipment::of($dish->mainStage()->cooker->id)->isFixed();

        return match (true) {
            abs($weaker) < self::TELLING_TRANSFER => Message::of('debrief.heat_as_planned'),
            $isFixed => Message::of($weaker > 0 ? 'debrief.gave_less_one_heat' : 'debrief.gave_more_one_heat', cooker: $cooker),
            $wasRead || $cooker === null => Message::of($weaker > 0 ? 'debrief.less_heat_than_read' : 'debrief.more_heat_than_read'),
            default => Message::of($weaker > 0 ? 'debrief.gave_less' : 'debrief.gave_more', cooker: $cooker),
        };
    }

    /**
     * How each cooker that was read held its heat, step by step: one is not judged by what another was read at.
     *
     * @return list<Finding>
     */
    private static function cookers(Dish $dish, LiveForecast $fact, Course $course): array
    {
        /** @var array<string, list<array{float, float}>> $read by kind of cooker: what was read, and what it was set for then */
        $read = [];
        $open = $names = [];
        foreach ($dish->stages as $i => $stage) {
            $fromS = 60.0 * ($fact->stageStartMinutes[$i] ?? INF);
            $toS = 60.0 * ($fact->stageStartMinutes[$i + 1] ?? $fact->cookMinutes->likely);
            if ($stage->cooker->isRest()) {
                continue;
            }
            foreach ($course->cookerReadings as [$seconds, $celsius]) {
                if ($seconds >= $fromS && $seconds <= $toS) {
                    $read[$stage->cooker->id][] = [$celsius, $stage->cookerC];
                    $open[$stage->cooker->id] = $stage->cooker->isOpenFire();
                    $names[$stage->cooker->id] = $stage->cooker->short;
                }
            }
        }
        $findings = [];
        foreach ($read as $kind => $pairs) {
            $mean = array_sum(array_column($pairs, 0)) / count($pairs);
            $set = array_sum(array_column($pairs, 1)) / count($pairs);
            $heat = fn (float $celsius): Message => $open[$kind]
                ? HandTest::inWords(HandTest::secondsOfWall($celsius))
                : Message::of('words.figure', figure: Quantity::celsius($celsius));
            $findings[] = new Finding(
                $findings === [] ? 'cooker' : "cooker.$kind",
                Message::of($open[$kind] ? 'debrief.fire_when_freshly_made_up' : 'debrief.cooker_mean_of_its_readings', cooker: $names[$kind]),
                $heat($set),
                $heat($mean),
                'read',
                match (true) {
                    abs($mean - $set) < ($open[$kind] ? self::HELD_OPEN_K : self::HELD_K) => Message::of('debrief.held_well'),
                    $open[$kind] => $mean > $set ? Message::of('debrief.ran_hot') : Message::of('debrief.ran_cool'),
                    default => Message::of($mean > $set ? 'debrief.ran_hot_by' : 'debrief.ran_cool_by', off: Quantity::kelvin(abs($mean - $set))),
                },
            );
        }

        return $findings;
    }

    private static function lasting(float $minutes): Message
    {
        return Message::of('words.figure', figure: Quantity::duration($minutes));
    }
}
