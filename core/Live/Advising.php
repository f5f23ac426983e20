<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Variation;
use Diatherm\Heat\Resolution;
use Diatherm\Roast\Dish;
use Diatherm\Roast\StageEnd;
use Diatherm\Safety\AtCarving;

/** What to do about the core now: from what was read; from what was computed only that it be read. */
final class Advising
{
    /** A reading so old no longer tells of now, s. Common practice. */
    private const FRESH_S = 900.0;

    /** As likely as not is not enough to send a cook to look. */
    private const LIKELY_FALLEN = 0.6;

    /** A cooker that was read so lately needs no look, s. */
    private const COOKER_FRESH_S = 1200.0;

    /** So near its number it is there, K. */
    private const AT_K = 0.05;

    /** The surface has cooled when a joint goes back on: so much longer, and in steps of. Common practice. */
    private const BACK_ON_MINUTES = 3.0;

    private const STEP_MINUTES = 5.0;

    private const LONGEST_BACK_MINUTES = 240.0;

    /** No one stands at a fire holding a joint for longer than this. */
    private const LONGEST_HOLD_MINUTES = 90.0;

    /**
     * @param  float  $pullC  at which it comes off
     * @param  Reading|null  $questioned  the newest reading, where it waits for another to agree with it
     * @param  float  $fallen  how likely it is that the cooker has fallen unread, 0 to 1
     * @param  float|null  $stuckC  the core that it comes to and no further at the heat that it has; null where it gets there
     */
    public static function of(
        Dish $dish,
        float $airC,
        Course $course,
        Belief $belief,
        Variation $guess,
        float $pullC,
        float $coreNowC,
        AtCarving $atCarving,
        ?Reading $questioned,
        ?float $stuckC = null,
        float $fallen = 0.0,
    ): ?Advice {
        if ($course->carvedS !== null) {
            return null;
        }
        if ($questioned !== null && $course->nowS - $questioned->seconds <= self::FRESH_S) {
            return new Advice(
                'disagree',
                'Read it again, in the same place',
                sprintf(
                    '%.0f °C does not follow from what was read before. Two readings that agree count; until then the earlier ones do.',
                    $questioned->celsius,
                ),
            );
        }
        if ($course->pulledS !== null) {
            return self::resting($dish, $airC, $course, $belief, $guess, $coreNowC, $atCarving);
        }
        $read = $belief->newest !== null && $course->nowS - $belief->newest->seconds <= self::FRESH_S;
        $number = self::stageNow($course);
        $stage = $dish->stages[$number];
        $last = $number === count($dish->stages) - 1;
        $dueC = match (true) {
            $last && $stage->end === StageEnd::Minutes => $dish->targetC,
            $last => $pullC,
            $stage->end === StageEnd::Core => (float) $stage->value,
            default => INF,
        };
        if ($coreNowC >= $dueC - self::AT_K) {
            return match (true) {
                ! $read => new Advice(
                    'read',
                    'It should be there: read it',
                    sprintf('Worked out, not read: about %.0f °C. The thermometer decides.', $coreNowC),
                ),
                $last && $stage->end === StageEnd::Tender => new Advice(
                    'read',
                    'Try it with a fork',
                    sprintf(
                        'It reads %.0f °C, where it should pull apart. A fork decides; if it holds, give it half an hour more.',
                        $belief->newest->celsius,
                    ),
                ),
                $last => new Advice(
                    'take_off',
                    'Take it off',
                    sprintf('It reads %.0f °C; its number is %.0f °C.', $belief->newest->celsius, $dueC),
                ),
                default => new Advice(
                    'next_stage',
                    'On to the next step',
                    sprintf('It reads %.0f °C; this step ends at %.0f °C.', $belief->newest->celsius, $dueC),
                ),
            };
        }

        if ($fallen > self::LIKELY_FALLEN && $read && ! $dish->isBuried() && self::unreadS($course) > self::COOKER_FRESH_S) {
            return new Advice(
                'read_cooker',
                'The cooker seems to have fallen: read it',
                sprintf(
                    'The core warms more slowly than at %.0f °C it should. What the cooker shows settles it, and the hours follow.',
                    $stage->cookerC,
                ),
            );
        }
        if ($stuckC !== null) {
            return new Advice(
                'hotter',
                'It will not get there at this heat',
                sprintf(
                    'As the cooker runs, the core comes to about %.0f °C and no further; its number is %.0f °C. More heat, or another cooker.',
                    max($stuckC, $coreNowC),
                    is_finite($dueC) ? $dueC : $pullC,
                ),
            );
        }

        return $read && $belief->disagrees() ? self::disagreeing($belief, $belief->newest) : null;
    }

    /** How long the cooker has not been read, s. */
    private static function unreadS(Course $course): float
    {
        $last = $course->cookerReadings === [] ? null : $course->cookerReadings[count($course->cookerReadings) - 1];

        return $last === null ? INF : $course->nowS - $last[0];
    }

    private static function disagreeing(Belief $belief, Reading $newest): Advice
    {
        return new Advice('disagree', 'Read it once more, in another place', sprintf(
            'It reads %.0f °C where about %.0f °C was expected. The thermometer counts: the hours below follow it, and are less sure for it.', $newest->celsius, $newest->celsius - $belief->offK,
        ));
    }

    /** Short of what it should have by the carving: back on, or held, with the minutes. */
    private static function resting(
        Dish $dish,
        float $airC,
        Course $course,
        Belief $belief,
        Variation $guess,
        float $coreNowC,
        AtCarving $atCarving,
    ): ?Advice {
        $safe = $atCarving->minimum;
        if ($atCarving->safe || $safe->coreC === null || $dish->targetC < $safe->coreC - 0.5) {
            return null;
        }
        if ($atCarving->hottestC >= $safe->coreC - 0.25) {
            return new Advice(
                'wait',
                sprintf('Not yet: %.0f min at it belong to it', $safe->holdMinutes),
                sprintf('%s: %.0f °C and %.0f min of rest before the knife.', ucfirst($safe->name), $safe->coreC, $safe->holdMinutes),
                $safe->holdMinutes,
            );
        }
        $minutes = self::backOnMinutes($dish, $airC, $guess, $coreNowC, $safe->coreC);
        $hold = $safe->lethality === null || $atCarving->log10 === null
            ? INF
            : (1.0 - min(1.0, $atCarving->log10 / $safe->lethality->log10)) * $safe->lethality->seconds($coreNowC) / 60.0;
        $held = match (true) {
            $hold > self::LONGEST_HOLD_MINUTES || $safe->lethality === null => '',
            $hold <= 0.0 => sprintf(
                ' By time at temperature (the table for %s), as it was read, it has had as much already. For the old, the young and the ill, back on.',
                $safe->lethality->name,
            ),
            default => sprintf(
                ' Or keep it at %.0f °C, read, for %.0f min from now: by time at temperature (the table for %s) that is as much. For the old, the young and the ill, back on.',
                floor($coreNowC),
                ceil($hold + 1.0),
                $safe->lethality->name,
            ),
        };
        $what = $belief->newest !== null && $belief->newest->seconds >= ($course->pulledS ?? 0.0) - self::FRESH_S
            ? 'It reads'
            : 'Worked out, not read: it has';

        return new Advice('back_on', $minutes === null ? 'Back on the heat' : sprintf('Back on the heat: about %.0f min', $minutes), sprintf(
            '%s %.0f °C; %s should have %.0f °C by the carving, and off the heat it will not get there.%s', $what, floor($coreNowC), $safe->name, $safe->coreC, $held,
        ), $minutes);
    }

    /**
     * On its last cooker from one core temperature to another, as the likely cook runs, the cooled surface allowed for; null
     * when it takes for ever.
     */
    private static function backOnMinutes(Dish $dish, float $airC, Variation $guess, float $fromC, float $toC): ?float
    {
        $cook = Cook::of(
            $dish->through([$dish->lastStage()->onToTheCore()]),
            $airC,
            Resolution::coarse(),
            Course::asPlanned(),
            $guess->held(),
        );
        $trace = $cook->body->record(false);
        $cook->toPull($toC);
        $to = $trace->reaches($toC);
        if ($to === null) {
            return null;
        }
        $minutes = self::STEP_MINUTES * ceil(
            (($to - ($trace->reaches($fromC) ?? 0.0)) / 60.0 + self::BACK_ON_MINUTES) / self::STEP_MINUTES,
        );

        return $minutes > self::LONGEST_BACK_MINUTES ? null : $minutes;
    }

    /** Number of the stage that was begun last. */
    private static function stageNow(Course $course): int
    {
        return $course->stageStarts === [] ? 0 : max(array_keys($course->stageStarts));
    }
}
