<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Cooking\Cautions;
use Diatherm\Cooking\Coast;
use Diatherm\Cooking\ColdChain;
use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\DangerHistory;
use Diatherm\Cooking\StepCue;
use Diatherm\Cooking\Variation;
use Diatherm\Heat\Resolution;
use Diatherm\Heat\Trace;
use Diatherm\Measure\Spread;
use Diatherm\Measure\Thinned;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Stage;
use Diatherm\Roast\StageEnd;
use Diatherm\Safety\AtCarving;
use Diatherm\Safety\Caution;
use Diatherm\Safety\Clocks;
use Diatherm\Safety\DangerAccount;
use Diatherm\Safety\DangerBreach;

/** What the readings so far make of a cook that is under way. Minutes count from the moment the dish went on. */
final readonly class LiveForecast
{
    /** A finish so many times later than a cook that nothing was read of is none: look first. Common practice. */
    private const TELLING = 2.5;

    /** Where it never gets there, so much of what is to come is shown, s. */
    private const AHEAD_S = 3 * 3600.0;

    /** What lies in the room is followed so far ahead, to say when its time there is over, s. */
    private const OUT_AHEAD_S = 60.0 * Clocks::MINUTES + 600.0;

    private const BAND_POINTS = 60;

    /** Records of its course that are kept: a line between two is off by less than a tenth of a kelvin. */
    private const RECORDS = 240;

    /** So many readings, evenly through the cook, tell all that more would. */
    private const MOST_FITTED = 16;

    /** One so far off the line between its neighbours is no core, K; or so far as a share of what lies between them. Common practice. */
    private const STRAY_K = 4.0;

    private const STRAY_SHARE = 0.4;

    /** What a probe and its placing leave open at the moment that it is read, one in ten to either side, K. Common practice. */
    private const PROBE_K = 1.0;

    /**
     * @param  float  $nowS  the moment that it is worked out for, since it went on
     * @param  Spread  $cookMinutes  from on to the pull; exact once it was pulled
     * @param  list<float>  $stageStartMinutes  when each stage began or is likely to begin
     * @param  float  $pullC  core at which to pull, or what it was believed to be when it was pulled
     * @param  float  $peakC  likely
     * @param  float  $under60Minutes  when the resting core is below 60 °C: at the pull where it never comes to that, INF when it has not
     *     been followed so far
     * @param  float  $hotMinutes  how long after the pull the core stays at 57 °C or more on an open board; 0 when it comes off cooler
     * @param  array<string, Verdict>  $verdicts  by id of the reading
     * @param  list<array{float, Spread}>  $band  minutes and core, from on to the slow end of the pull or on through the rest
     * @param  Variation  $guess  the same body at the pace that it has
     * @param  float  $pace  how many times as long as planned it takes, what befell it left aside
     * @param  Trace  $trace  of the cook and its rest as they are believed, through what was read
     * @param  AtCarving  $atCarving  once it was pulled: the core at the knife, by its low end where it was not read
     * @param  list<Caution>  $cautions  of what has happened; a safe minimum is the plan's to speak of before the pull
     * @param  DangerAccount  $danger  from out of the refrigerator until now, or to the knife
     * @param  float|null  $outLimitS  when its time out of the refrigerator is over as it is likely to go on; null where that is not in sight
     * @param  Advice|null  $advice  what the core asks for now
     * @param  bool  $getsThere  whether the likely cook comes to its pull at the heat that it has; the hours mean nothing where it does not
     * @param  StepCue|null  $cue  whether the step that is under way may end; null where the clock decides that
     * @param  Fork|null  $fork  where it is open whether the cooker has fallen
     * @param  Spread|null  $putRightMinutes  the same as the cook's minutes with a cooker that was read off its heat put right now
     */
    private function __construct(
        public float $nowS,
        public Spread $cookMinutes,
        public array $stageStartMinutes,
        public float $pullC,
        public Spread $coreNowC,
        public float $peakC,
        public float $peakMinutes,
        public float $under60Minutes,
        public float $hotMinutes,
        public array $verdicts,
        public array $band,
        public Variation $guess,
        public float $pace,
        public Trace $trace,
        public Belief $belief,
        public AtCarving $atCarving,
        public array $cautions,
        public DangerAccount $danger,
        public ?float $outLimitS,
        public ?Advice $advice,
        public bool $getsThere,
        public ?StepCue $cue,
        public ?Fork $fork,
        public ?Spread $putRightMinutes,
    ) {
    }

    /**
     * @param  list<Reading>  $readings in order of time, sound or not
     * @param  float  $leastMinutes  before which nobody looks, as into a buried pot
     */
    public static function of(
        Dish $dish,
        float $airC,
        Course $course,
        array $readings,
        float $plannedPullC,
        float $leastMinutes = 0.0,
    ): self {
        $sifted = Sieve::judge($readings, $dish, $course);
        [$verdicts, $counting] = [$sifted->verdicts, $sifted->counting];
        $isOver = $course->pulledS !== null;
        $fitted = self::fitted($counting, $course);
        $untilC = self::untilC($dish, $plannedPullC);
        $weighing = Weighing::of($dish, $airC, $course, $fitted, $untilC);
        $courses = $weighing->courses;
        $pace = $counting === [] ? 1.0 : $courses->pace()->likely;
        $guess = Weighing::as($pace);
        $pullC = $isOver || $dish->lastStage()->end === StageEnd::Tender ? $plannedPullC : Coast::pullC($dish, $weighing->slowEnd());
        $likely = Cook::of($dish, $airC, Resolution::fine(), $course, $guess);
        $model = $likely->body->record();
        $stuckAt = $likely->toPull($pullC);
        $modelOffS = $likely->body->elapsedS();
        $likely->rest(max(60.0 * $dish->leastRestMinutes(), $course->nowS - $modelOffS) + Coast::FOLLOWED_REST_S);

        $model = Coast::held($dish, $model, $likely->stageStartsS, $modelOffS)->thinned(2 * self::RECORDS, [...$likely->stageStartsS, $modelOffS]);
        $belief = self::belief(
            $dish, $course, $model, $modelOffS, $counting, $courses, $untilC,
            // A core that sinks on the heat is no slip of the probe: its fire is asked about.
            in_array(Verdict::SankSince, $verdicts, true) ? null : $courses->surprise,
        );
        $starts = self::stageStarts($dish, $likely->stageStartsS, $belief, $course);
        $cookMinutes = self::cookMinutes($dish, $course, $belief, $courses, $modelOffS, $pullC, $starts, $leastMinutes);
        $offS = 60.0 * $cookMinutes->likely;
        $trace = $belief->trace($offS);
        $nowC = $belief->coreAt($course->nowS);
        $peak = Coast::peak($trace, $offS);
        $now = self::coreNow($course, $belief, $courses, $nowC);
        $offC = $trace->coreAt($offS);
        $atCarving = self::judged($dish, $course, $belief, $trace, $offS, $now);
        $isThere = $belief->newest !== null && $belief->newest->celsius >= $pullC;
        // Readings may stretch an hour, but not to one that nobody can promise: then somebody looks first.
        $tells = $courses->comesToIt()
            && ($belief->newest === null || $offS <= self::TELLING * max($course->nowS, $weighing->usualS()));
        $getsThere = $course->pulledS !== null || $isThere || ($stuckAt === null && $tells);
        $untilS = match (true) {
            $course->pulledS !== null => $course->pulledS + Coast::FOLLOWED_REST_S,
            $getsThere => 60.0 * $cookMinutes->high,
            default => $course->nowS + self::AHEAD_S,
        };
        $coldest = ColdestCourse::of($trace, $readings, $sifted, $course, $dish->startC);
        $chain = $course->chain ?? ColdChain::asPlanned($dish, 0.0);
        $history = new DangerHistory($dish, $course, $chain, $airC, $starts, $course->pulledS ?? ($getsThere ? $offS : null));
        $pastS = min($course->nowS, $course->carvedS ?? INF);
        $danger = DangerAccount::of($dish->hazard(), $history->along($coldest->trace, $pastS, $coldest->sinksS));
        $aheadS = max($coldest->trace->endS(), ($course->carvedS ?? $course->nowS) + self::OUT_AHEAD_S);
        $ahead = DangerAccount::of($dish->hazard(), $history->along($coldest->trace, $aheadS, $coldest->sinksS));
        $cueing = new Cueing($dish, $course, $belief, $pullC, ProbeMap::unread($dish, $readings, $verdicts, $course->nowS));
        $advice = Advising::unlessDangerous(
            Advising::of(
                $dish,
                $airC,
                $course,
                $belief,
                $guess,
                $cueing,
                $pullC,
                $nowC,
                $atCarving,
                self::questioned($readings, $verdicts),
                $stuckAt === null || $isThere ? null : $model->coreAt($modelOffS),
                $courses->fallen,
                $counting === [] ? 1.0 : $courses->pace()->low,
                $tells,
                ProbeMap::isFillingUnread($dish, $readings),
            ),
            $danger,
            $ahead,
            $course,
            $belief,
        );
        // Whom it is not for, where it is for anybody.
        $caution = $course->pulledS === null || $advice?->act === AdviceAct::Discard
            ? null
            : Cautions::belowSafeMinimum($dish, $atCarving, $course->carvedS === null ? 'live' : 'carved');
        $cautions = array_map(fn (DangerBreach $breach): Caution => $breach->ofACook(), $danger->breaches);

        return new self(
            $course->nowS,
            $cookMinutes,
            array_map(fn (float $seconds): float => $seconds / 60.0, $starts),
            $course->pulledS === null && ! $dish->lastStage()->end->isTimed() ? $pullC : $offC,
            $now,
            max($peak->celsius, $offC, $course->pulledS === null ? -INF : self::hottest($counting), $course->pulledS === null && ! $dish->lastStage()->end->isTimed() ? $pullC : -INF),
            $peak->seconds / 60.0,
            Coast::underS($trace, $offS, Clocks::HOT_C) / 60.0,
            (Coast::underS($trace, $offS, Clocks::HOLD_C) - $offS) / 60.0,
            $verdicts,
            self::band($belief, $courses, $trace, $course->pulledS, $untilS, min($airC, $dish->startC)),
            $guess,
            $pace,
            ($getsThere ? $trace : $trace->until($untilS))->thinned(self::RECORDS, [...$starts, $offS, $course->nowS]),
            $belief->thinned(self::RECORDS),
            $atCarving,
            $caution === null ? $cautions : [...$cautions, $caution],
            $danger,
            $ahead->outLimitS(),
            $advice,
            $getsThere,
            $cueing->cue($trace, $starts, $offS, $getsThere),
            $isOver ? null : Fork::of($courses, $cookMinutes, $course->nowS / 60.0),
            self::putRight($weighing, $cookMinutes, $course->nowS / 60.0),
        );
    }

    /** How long it is known to stay at 57 °C or more after the pull: no longer than it is followed. */
    public function knownHotMinutes(): float
    {
        return min($this->hotMinutes, $this->trace->endS() / 60.0 - $this->cookMinutes->likely);
    }

    /** Heat that reached it over what was planned, as its pace tells: all else is taken to be as it was measured. */
    public function heatReached(): float
    {
        return $this->pace ** (-1.0 / Courses::BY_TRANSFER);
    }

    /** How long it says the same if nothing is logged: until a step or a reading is due, or what was read is too old, s. */
    public function standsS(): float
    {
        $turns = [
            ...array_map(fn (float $minutes): float => 60.0 * $minutes, [...$this->stageStartMinutes, $this->cookMinutes->likely]),
            $this->cue === null ? INF : 60.0 * $this->cue->readMinutes,
            $this->belief->newest === null ? INF : $this->belief->newest->seconds + Cueing::FRESH_S,
            $this->outLimitS ?? INF,
        ];

        return min(INF, ...array_map(fn (float $at): float => $at > $this->nowS ? $at - $this->nowS : INF, $turns));
    }

    /** The core that the courses are weighed to: where it comes off, or where its last step before one by the clock ends. */
    private static function untilC(Dish $dish, float $plannedPullC): float
    {
        $cores = array_values(array_filter($dish->stages, fn (Stage $stage): bool => $stage->end === StageEnd::Core));

        return match (true) {
            ! $dish->lastStage()->end->isTimed() && $dish->lastStage()->end !== StageEnd::Core => $plannedPullC,
            $cores !== [] => (float) $cores[count($cores) - 1]->value,
            default => max($plannedPullC, $dish->targetC),
        };
    }

    /** @param  list<Reading>  $counting */
    private static function belief(
        Dish $dish,
        Course $course,
        Trace $model,
        float $modelOffS,
        array $counting,
        Courses $courses,
        float $untilC,
        ?Surprise $surprise,
    ): Belief {
        $on = array_filter($counting, fn (Reading $one): bool => $course->pulledS === null || $one->seconds <= $course->pulledS);
        $fromS = $on === [] ? 0.0 : $on[array_key_last($on)]->seconds;
        $toS = $course->pulledS ?? max($course->nowS, $courses->arrives()->high) + self::AHEAD_S;
        if ($counting === [] || $toS <= $fromS) {
            return Belief::of($model, $modelOffS, $counting, $course->pulledS, $dish->carryover()->climbK, [], $untilC, $surprise);
        }
        // It may have cooled again in a step by the clock.
        $thereC = $on !== [] && self::hottest($on) >= $untilC ? $on[array_key_last($on)]->celsius : null;
        $ahead = $dish->lastStage()->end->isTimed() && count($dish->stages) > 1
            ? self::stepsByTheClock($model, $courses, $fromS, $toS, $untilC, $thereC)
            : $courses->ahead($fromS, $toS);

        return Belief::of($model, $modelOffS, $counting, $course->pulledS, $dish->carryover()->climbK, $ahead, $untilC, $surprise);
    }

    /**
     * As the courses go on until they are there, and through the steps by the clock as the model goes through them.
     *
     * @param  float|null  $thereC  what was read last of one that has been there; null of one that has not
     * @return list<array{float, float}>
     */
    private static function stepsByTheClock(Trace $model, Courses $courses, float $fromS, float $toS, float $untilC, ?float $thereC): array
    {
        $isThere = $thereC !== null;
        $modelThereS = $isThere ? $fromS : $model->reaches($untilC - Cueing::AT_K) ?? $model->endS();
        $thereS = $isThere ? $fromS : max($fromS, $courses->arrives()->likely);
        $ahead = $isThere ? [] : array_values(array_filter($courses->ahead($fromS, $toS), fn (array $one): bool => $one[0] < $thereS));
        $ahead[] = [$thereS, $thereC ?? $untilC];
        foreach ($model->seconds as $i => $seconds) {
            if ($seconds > $modelThereS) {
                $ahead[] = [$thereS + $seconds - $modelThereS, ($thereC ?? $untilC) + $model->coreC[$i] - $model->coreAt($modelThereS)];
            }
        }

        return $ahead;
    }

    /** @param  array<Reading>  $counting */
    private static function hottest(array $counting): float
    {
        return $counting === [] ? -INF : max(array_map(fn (Reading $one): float => $one->celsius, $counting));
    }

    /**
     * @param  list<Reading>  $readings
     * @param  array<string, Verdict>  $verdicts
     */
    private static function questioned(array $readings, array $verdicts): ?Reading
    {
        $newest = $readings[count($readings) - 1] ?? null;

        return $newest !== null && in_array($verdicts[$newest->id], [Verdict::RisesTooFast, Verdict::FallsTooFast], true) ? $newest : null;
    }

    /**
     * @param  list<Reading>  $counting
     * @return list<Reading> as many as tell all that more would
     */
    private static function fitted(array $counting, Course $course): array
    {
        $points = Thinned::points(
            array_map(fn (Reading $reading): array => [$reading->seconds, $reading->celsius], self::withoutStrays($counting, $course)),
            self::MOST_FITTED,
        );

        return array_map(fn (array $point): Reading => Reading::of('', $point[0], '', $point[1]), $points);
    }

    /**
     * One reading far off the line from the one before it to the one after it is a slip: no core leaps there and back while it is on.
     *
     * @param  list<Reading>  $counting
     * @return list<Reading>
     */
    private static function withoutStrays(array $counting, Course $course): array
    {
        $kept = [];
        foreach ($counting as $i => $reading) {
            $before = $kept[count($kept) - 1] ?? null;
            $after = $counting[$i + 1] ?? null;
            if ($before !== null && $after !== null && $after->seconds > $before->seconds && ! $course->wasOffBetween($before->seconds, $after->seconds)) {
                $riseK = $after->celsius - $before->celsius;
                $lineC = $before->celsius + $riseK * ($reading->seconds - $before->seconds) / ($after->seconds - $before->seconds);
                if (abs($reading->celsius - $lineC) > max(self::STRAY_K, self::STRAY_SHARE * abs($riseK))) {
                    continue;
                }
            }
            $kept[] = $reading;
        }

        return $kept;
    }

    /**
     * @param  list<float>  $modelStartsS
     * @return list<float> when each stage began, or is likely to, s
     */
    private static function stageStarts(Dish $dish, array $modelStartsS, Belief $belief, Course $course): array
    {
        $starts = [0.0];
        $begins = 0.0;
        for ($i = 1; $i < count($dish->stages); $i++) {
            $before = $dish->stages[$i - 1];
            $due = $before->end->isTimed()
                ? $begins + 60.0 * (float) $before->value
                : $belief->reaches((float) $before->value) ?? $belief->when($modelStartsS[$i] ?? 0.0);
            // What was not begun yet begins now at the earliest; what the cook never logged began when it should have.
            $begins = $course->stageStarts[$i] ?? max($begins, $course->pulledS === null ? max($due, $course->nowS) : $due);
            $starts[] = $begins;
        }

        return $starts;
    }

    /** @param  list<float>  $starts of the stages, s */
    private static function cookMinutes(
        Dish $dish,
        Course $course,
        Belief $belief,
        Courses $courses,
        float $modelOffS,
        float $pullC,
        array $starts,
        float $leastMinutes,
    ): Spread {
        if ($course->pulledS !== null) {
            return Spread::exactly($course->pulledS / 60.0);
        }
        $now = $course->nowS / 60.0;
        $last = $dish->lastStage();
        if ($last->end->isTimed()) {
            $hasBegun = count($starts) === 1 || isset($course->stageStarts[count($starts) - 1]);
            $likely = max($now, $starts[count($starts) - 1] / 60.0 + (float) $last->value);
            $isByClock = $hasBegun || array_filter($dish->stages, fn (Stage $stage): bool => $stage->end === StageEnd::Core) === [];

            return $isByClock ? Spread::exactly($likely) : self::around($likely, $courses->arrives(), $now);
        }
        $untilC = $last->end === StageEnd::Core ? (float) $last->value : $pullC;
        $least = $belief->newest !== null && $belief->newest->celsius >= $untilC ? $now : max($now, $leastMinutes);

        return self::around(max($least, ($belief->reaches($untilC) ?? $belief->when($modelOffS)) / 60.0), $courses->arrives(), $least);
    }

    /**
     * The courses' band, laid about the moment that is shown, minutes.
     *
     * @param  Spread  $arrives  seconds
     */
    private static function around(float $likely, Spread $arrives, float $least): Spread
    {
        return Spread::of(
            min($likely, max($least, $likely - ($arrives->likely - $arrives->low) / 60.0)),
            $likely,
            $likely + ($arrives->high - $arrives->likely) / 60.0,
        );
    }

    private static function putRight(Weighing $weighing, Spread $cookMinutes, float $now): ?Spread
    {
        $arrives = $weighing->putRight();
        if ($arrives === null) {
            return null;
        }
        $likely = max($now, $cookMinutes->likely + ($arrives->likely - $weighing->courses->arrives(false)->likely) / 60.0);

        return self::around($likely, $arrives, $now);
    }

    private static function coreNow(Course $course, Belief $belief, Courses $courses, float $nowC): Spread
    {
        $seconds = min($course->nowS, $course->pulledS ?? INF);
        $drawn = $courses->way($seconds, $seconds, 0)[0][1];
        [$below, $above] = [$drawn->likely - $drawn->low, $drawn->high - $drawn->likely];
        if ($belief->newest !== null) {
            // What was read since it came off is known as well as it was read.
            $isRead = $belief->newest->seconds >= $seconds;
            [$below, $above] = $isRead ? [self::PROBE_K, self::PROBE_K] : [max(self::PROBE_K, $below), max(self::PROBE_K, $above)];
        }

        return Spread::of($nowC - $below, $nowC, $nowC + $above);
    }

    /** The core at the knife: as read where it was read near the pull or after it, else by the low end of what was computed. */
    private static function judged(Dish $dish, Course $course, Belief $belief, Trace $trace, float $offS, Spread $now): AtCarving
    {
        $carveS = $course->carvedS ?? $offS + 60.0 * $dish->leastRestMinutes();
        [$seconds, $coreC] = $trace->upTo($carveS);
        // What was read is judged as it is, what was worked out by its low end.
        $lower = $belief->wasReadBy($offS) ? 0.0 : $now->likely - $now->low;
        // Of a climb that was not read, no more than may be counted on.
        $most = max($belief->hottestResting(), $trace->coreAt($offS) + $dish->carryover()->creditK);

        return AtCarving::of(
            $dish->safeMinimum(),
            $seconds,
            array_map(fn (float $at, float $celsius): float => ($at > $offS ? min($most, $celsius) : $celsius) - $lower, $seconds, $coreC),
            $course->nowS,
        );
    }

    /**
     * @param  float  $coldestC  of the air and the dish: no core falls below both
     * @return list<array{float, Spread}> the courses' width, laid about what is believed; as narrow as a probe where it was read
     */
    private static function band(Belief $belief, Courses $courses, Trace $trace, ?float $pulledS, float $untilS, float $coldestC): array
    {
        $drawn = $courses->way(0.0, $untilS, self::BAND_POINTS);
        $atPull = $pulledS === null ? null : $courses->way($pulledS, $pulledS, 0)[0][1];
        $band = [];
        foreach ($drawn as [$seconds, $spread]) {
            $spread = $atPull !== null && $seconds > $pulledS ? $atPull : $spread;
            $likely = $trace->coreAt($seconds);
            [$below, $above] = [$spread->likely - $spread->low, $spread->high - $spread->likely];
            if ($belief->newest !== null) {
                $isRead = $seconds <= $belief->newest->seconds;
                [$below, $above] = $isRead
                    ? [min(self::PROBE_K, $below), min(self::PROBE_K, $above)]
                    : [max(self::PROBE_K, $below), max(self::PROBE_K, $above)];
            }
            $band[] = [$seconds / 60.0, Spread::of(min($likely, max($coldestC, $likely - $below)), $likely, $likely + $above)];
        }

        return $band;
    }
}
