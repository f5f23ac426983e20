<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Variation;
use Diatherm\Food\Tenderness;
use Diatherm\Heat\Resolution;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Stage;
use Diatherm\Roast\StageEnd;
use Diatherm\Safety\AtCarving;
use Diatherm\Safety\DangerAccount;
use Diatherm\Safety\DangerBreach;
use Diatherm\Safety\DangerRule;

/** What to do about the core now: from what was read; from what was computed only that it be read. */
final class Advising
{
    /** As likely as not is not enough to send a cook to look. */
    private const LIKELY_FALLEN = 0.6;

    /** What takes so many times as long as planned, nine in ten, lies on a cooker that is not at its heat. Common practice. */
    private const FAR_SLOWER = 1.2;

    /** A cooker that was read so lately needs no look, s. */
    private const COOKER_FRESH_S = 1200.0;

    /** The surface has cooled when a joint goes back on: so much longer, and in steps of. Common practice. */
    private const BACK_ON_MINUTES = 3.0;

    private const STEP_MINUTES = 5.0;

    /** A whole step of doneness short, K. Common practice. */
    private const SHORT_K = 5.0;

    /** Worked out to be so near its minimum it had the time that it takes, K. Common practice. */
    private const NEARLY_DONE_K = 3.0;

    /** Of what a tough cut takes to pull apart, enough to be eaten. Common practice. */
    private const TENDER_ENOUGH = 0.6;

    private const LONGEST_BACK_MINUTES = 240.0;

    /** No one stands at a fire holding a joint for longer than this. */
    private const LONGEST_HOLD_MINUTES = 90.0;

    /**
     * @param  float  $pullC  at which it comes off
     * @param  Cueing  $cueing  whether it was read at its number
     * @param  Reading|null  $questioned  the newest reading, where it waits for another to agree with it
     * @param  float  $fallen  how likely it is that the cooker has fallen unread, 0 to 1
     * @param  float  $surelySlower  how many times as long as planned it takes, nine in ten
     * @param  float|null  $stuckC  the core that it comes to and no further at the heat that it has; null where it gets there
     * @param  bool  $tells  whether an hour can be told from what was read
     * @param  bool  $isFillingUnread  of a stuffed dish
     */
    public static function of(
        Dish $dish,
        float $airC,
        Course $course,
        Belief $belief,
        Variation $guess,
        Cueing $cueing,
        float $pullC,
        float $coreNowC,
        AtCarving $atCarving,
        ?Reading $questioned,
        ?float $stuckC = null,
        float $fallen = 0.0,
        float $surelySlower = 1.0,
        bool $tells = true,
        bool $isFillingUnread = false,
    ): ?Advice {
        if ($course->carvedS !== null) {
            return null;
        }
        if ($questioned !== null && $course->nowS - $questioned->seconds <= Cueing::FRESH_S) {
            return new Advice(
                AdviceAct::Disagree,
                Message::of('advice.read_it_again'),
                Message::of('advice.does_not_follow_from_what', questioned: Quantity::celsius($questioned->celsius)),
            );
        }
        if ($course->pulledS !== null) {
            return self::resting($dish, $airC, $course, $belief, $guess, $coreNowC, $atCarving)
                ?? ($isFillingUnread ? self::readFirst(Message::of('advice.the_filling_was_not_read', hot: Quantity::celsius((float) $dish->safeMinimum()->coreC))) : null);
        }
        $newest = $belief->newest;
        $read = $newest !== null && $cueing->isFresh();
        $number = Cueing::stageNow($course);
        $stage = $dish->stages[$number];
        $last = $number === count($dish->stages) - 1;
        $dueC = match (true) {
            $last && $stage->end->isTimed() => $dish->targetC,
            $last => $pullC,
            $stage->end === StageEnd::Core => (float) $stage->value,
            default => INF,
        };
        $isThere = $cueing->reads($dueC);
        if ($isThere || $coreNowC >= $dueC - Cueing::AT_K) {
            return match (true) {
                ! $read => new Advice(
                    AdviceAct::Read,
                    Message::of('advice.it_should_be_there_read'),
                    Message::of('advice.worked_out_not_read_about', core_now: Quantity::celsius($coreNowC)),
                ),
                ! $isThere && $newest->celsius >= $dueC - Cueing::AT_K => self::readWhereItDecides($dish, $newest, $cueing->unread),
                ! $isThere => new Advice(
                    AdviceAct::Read,
                    Message::of('advice.it_should_be_there_read'),
                    Message::of(
                        'advice.it_read_a_while_ago',
                        newest: Quantity::celsius($newest->celsius),
                        due: Quantity::celsius($dueC),
                    ),
                ),
                $last && $stage->end === StageEnd::Tender => new Advice(
                    AdviceAct::Read,
                    Message::of('advice.try_it_with_a_fork'),
                    Message::of('advice.it_reads_where_it_should', newest: Quantity::celsius($newest->celsius)),
                ),
                $last => new Advice(
                    AdviceAct::TakeOff,
                    Message::of('advice.take_it_off'),
                    Message::of(
                        'advice.it_reads_its_number',
                        newest: Quantity::celsius($newest->celsius),
                        due: Quantity::celsius($dueC),
                    ),
                ),
                default => new Advice(
                    AdviceAct::NextStage,
                    Message::of('advice.on_to_the_next_step'),
                    Message::of(
                        'advice.it_reads_this_step_ends',
                        newest: Quantity::celsius($newest->celsius),
                        due: Quantity::celsius($dueC),
                    ),
                ),
            };
        }

        $begunS = $course->stageStarts[$number] ?? 0.0;
        if ($stage->end->isTimed() && $course->nowS >= $begunS + 60.0 * $dish->stepMinutes($number)) {
            return self::overItsTime($dish, $stage, $last, $read, $coreNowC);
        }
        if ($stuckC !== null) {
            return new Advice(
                AdviceAct::Hotter,
                Message::of('advice.it_will_not_get_there'),
                Message::of(
                    'advice.as_the_cooker_runs',
                    stuck: Quantity::celsius(max($stuckC, $coreNowC)),
                    due: Quantity::celsius(is_finite($dueC) ? $dueC : $pullC),
                ),
            );
        }
        if ($read && $belief->disagrees()) {
            return self::disagreeing($belief, $newest);
        }
        if (($fallen > self::LIKELY_FALLEN || $surelySlower > self::FAR_SLOWER) && $read && ! $dish->isBuried() && self::unreadS($course) > self::COOKER_FRESH_S) {
            return new Advice(
                AdviceAct::ReadCooker,
                Message::of('advice.the_cooker_seems_to_have'),
                Message::of('advice.the_core_warms_more_slowly', heat: Quantity::celsius($stage->cookerC)),
            );
        }

        return $tells
            ? null
            : new Advice(AdviceAct::Read, Message::of('advice.read_it_once_more'), Message::of('advice.readings_tell_no_hour'));
    }

    /** A step by the clock whose minutes are over: on with it, unless it is the last one and leaves food that is not done. */
    private static function overItsTime(Dish $dish, Stage $stage, bool $isLast, bool $read, float $coreNowC): Advice
    {
        $over = Message::of('advice.this_step_was_to_take', minutes: Quantity::minutes((float) $stage->value));
        if (! $isLast) {
            return new Advice(AdviceAct::NextStage, Message::of('advice.on_to_the_next_step'), $over);
        }
        $safe = $dish->safeMinimum();
        $isMeant = $safe->coreC !== null && $dish->targetC >= $safe->coreC - 0.5;
        if (! $isMeant || $coreNowC >= $safe->coreC - $dish->carryover()->creditK - Cueing::AT_K) {
            return new Advice(AdviceAct::TakeOff, Message::of('advice.take_it_off'), $over);
        }

        return $read
            ? new Advice(AdviceAct::Wait, Message::of('advice.not_done_leave_it_on'), Message::of(
                'advice.it_reads_should_have',
                core_now: Quantity::celsius(floor($coreNowC)), safe: $safe->name, core: Quantity::celsius($safe->coreC),
            ))
            : new Advice(AdviceAct::Read, Message::of('advice.its_time_is_over_read'), Message::sentences(
                $over, Message::of('advice.worked_out_not_read_about', core_now: Quantity::celsius($coreNowC)),
            ));
    }

    /**
     * A warm place alone tells nothing of the coldest one, and one piece nothing of another.
     *
     * @param  list<int>  $unread  pieces
     */
    private static function readWhereItDecides(Dish $dish, Reading $newest, array $unread): Advice
    {
        if (! ProbeMap::isWarm($dish, $newest->place) && $dish->pieces > 1) {
            $numbers = array_map(fn (int $piece): Message => Message::of('reading_place.piece', piece: $piece), $unread);

            return new Advice(
                AdviceAct::Read,
                Message::of('advice.read_the_other_pieces', pieces: $numbers),
                Message::of('advice.one_piece_is_there', newest: Quantity::celsius($newest->celsius), piece: $newest->piece),
            );
        }
        $place = Message::of('reading_place.'.ProbeMap::decisive($dish));

        return new Advice(
            AdviceAct::Read,
            Message::of('advice.read_where_it_decides', place: $place),
            Message::of(
                'advice.a_warm_place', newest: Quantity::celsius($newest->celsius), place: Spot::words($newest->place, $newest->piece, $dish->pieces),
            ),
        );
    }

    /** How long the cooker has not been read, s. */
    private static function unreadS(Course $course): float
    {
        $last = $course->cookerReadings === [] ? null : $course->cookerReadings[count($course->cookerReadings) - 1];

        return $last === null ? INF : $course->nowS - $last[0];
    }

    private static function disagreeing(Belief $belief, Reading $newest): Advice
    {
        return new Advice(
            AdviceAct::Disagree,
            Message::of('advice.read_it_once_more'),
            Message::of(
                'advice.it_reads_where_about_was',
                newest: Quantity::celsius($newest->celsius),
                expected: Quantity::celsius($newest->celsius - $belief->offK),
            ),
        );
    }

    /**
     * What was too long in the danger zone is not made good by cooking it on.
     *
     * @param  Advice|null  $said  what is asked for otherwise
     * @param  DangerAccount  $danger  until now
     * @param  DangerAccount  $ahead  as it is likely to go on
     */
    public static function unlessDangerous(
        ?Advice $said,
        DangerAccount $danger,
        DangerAccount $ahead,
        Course $course,
        Belief $belief,
    ): ?Advice {
        $fatal = $course->carvedS !== null ? null : $danger->fatalBy($course->nowS);
        if ($fatal !== null) {
            return self::isKnown($fatal, $course, $belief)
                ? new Advice(AdviceAct::Discard, Message::of('advice.not_to_be_eaten'), $fatal->words())
                : new Advice(AdviceAct::Read, Message::of('advice.read_it_before_anyone_eats_it'), Message::sentences(
                    Message::of('advice.nothing_was_read'), $fatal->fact,
                ));
        }
        $passedS = $ahead->outAfterS($course->nowS);
        if ($said?->act !== AdviceAct::BackOn || $passedS === null) {
            return $said;
        }
        $left = Quantity::minutes(max(1.0, floor(($passedS - $course->nowS) / 60.0)));

        return new Advice(
            $said->act, $said->words, Message::sentences($said->why, Message::of('advice.back_on_within', left: $left)), $said->minutes,
        );
    }

    /** Whether a breach is told by what was read or logged; what was only worked out is read first. */
    private static function isKnown(DangerBreach $breach, Course $course, Belief $belief): bool
    {
        return match (true) {
            $breach->isServed => $belief->newest !== null && $belief->newest->seconds >= ($course->pulledS ?? 0.0),
            $breach->rule === DangerRule::ComeUp => $belief->newest !== null,
            default => true,
        };
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
        $read = $belief->wasReadBy($course->pulledS ?? 0.0);
        if ($atCarving->safe || $safe->coreC === null || $dish->targetC < $safe->coreC - 0.5) {
            // Safe for all, or chosen below that: but what was chosen it should have.
            $short = fn (string $id): Message => Message::sentences(
                Message::of($id, core_now: Quantity::celsius(floor($coreNowC)), target: Quantity::celsius($dish->targetC)),
                $atCarving->safe && $dish->cut->tough ? Message::of('advice.safe_but_tough') : null,
            );

            return match (true) {
                $atCarving->hottestC >= $dish->targetC - self::SHORT_K || self::canBeEaten($dish, $course, $belief, $atCarving) => null,
                ! $read => self::readFirst($short('advice.short_of_its_target_as_computed')),
                default => self::backOn(
                    self::backOnMinutes($dish, $airC, $guess, $coreNowC, $dish->targetC), $short('advice.short_of_its_target_as_read'),
                ),
            };
        }
        if ($atCarving->hottestC >= $safe->coreC - 0.25) {
            return new Advice(
                AdviceAct::Wait,
                Message::of('advice.not_yet_at_it_belong', hold: Quantity::minutes($safe->holdMinutes)),
                Message::of(
                    'advice.and_of_rest_before',
                    safe: ucfirst($safe->name),
                    core: Quantity::celsius($safe->coreC),
                    hold: Quantity::minutes($safe->holdMinutes),
                ),
                $safe->holdMinutes,
            );
        }
        $minutes = self::backOnMinutes($dish, $airC, $guess, $coreNowC, $safe->coreC);
        $short = fn (string $id): Message => Message::of(
            $id, core_now: Quantity::celsius(floor($coreNowC)), safe: $safe->name, core: Quantity::celsius($safe->coreC),
        );
        if (! $read && max($coreNowC, $belief->coreAt($course->pulledS ?? 0.0)) >= $safe->coreC - self::NEARLY_DONE_K) {
            return self::readFirst(Message::of('advice.probably_done', place: Message::of('reading_place.'.ProbeMap::decisive($dish))));
        }
        if (! $read) {
            return self::readFirst(Message::sentences(
                $short('advice.short_as_computed'),
                $minutes === null ? null : Message::of('advice.where_nothing_reads_it', minutes: Quantity::minutes($minutes)),
            ));
        }
        $table = $safe->lethality;
        $hold = $table === null ? INF : (1.0 - min(1.0, (float) $atCarving->log10 / $table->log10)) * $table->seconds($coreNowC) / 60.0;
        $held = match (true) {
            $table === null || $hold > self::LONGEST_HOLD_MINUTES => null,
            $hold <= 0.0 => Message::of('advice.by_time_at_temperature', lethality: $table->name),
            default => Message::of(
                'advice.or_keep_it_at_read',
                core_now: Quantity::celsius(floor($coreNowC)),
                hold: Quantity::minutes(ceil($hold + 1.0)),
                lethality: $table->name,
            ),
        };

        return self::backOn($minutes, Message::sentences($short('advice.short_as_read'), $held));
    }

    /** Whether safe meat can be eaten though it was to have more; a tough cut that is tough still, or what has no minimum, is not done. */
    private static function canBeEaten(Dish $dish, Course $course, Belief $belief, AtCarving $atCarving): bool
    {
        if (! $dish->cut->tough) {
            return $atCarving->safe && $atCarving->minimum->coreC !== null;
        }

        return $atCarving->safe
            && Tenderness::share(...$belief->trace($course->pulledS ?? 0.0)->upTo($course->nowS)) >= self::TENDER_ENOUGH;
    }

    /** What is only worked out is read before it is carved, or put back for nothing. */
    private static function readFirst(Message $why): Advice
    {
        return new Advice(AdviceAct::Read, Message::of('advice.read_it_before_it_is_carved'), $why);
    }

    private static function backOn(?float $minutes, Message $why): Advice
    {
        return new Advice(
            AdviceAct::BackOn,
            $minutes === null
                ? Message::of('advice.back_on_the_heat')
                : Message::of('advice.back_on_the_heat_about', minutes: Quantity::minutes($minutes)),
            $why,
            $minutes,
        );
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
}
