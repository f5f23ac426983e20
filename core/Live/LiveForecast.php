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
use Diatherm\Cooking\Uncertainty;
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
    /** Runs go this far past the target, so that a pull set anew by what was learnt is still met. */
    private const PAST_TARGET_K = 1.0;

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
    private const MOST_FITTED = 60;

    /** What a probe and its placing leave open at the moment that it is read, one in ten to either side, K. Common practice. */
    private const PROBE_K = 1.0;

    /** Where readings steer, such a share of what was carried forward since the newest is in doubt. */
    private const CARRIED_DOUBT = 0.4;

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
     * @param  Variation  $guess  the inputs as they are likely
     * @param  Trace  $trace  of the cook and its rest as they are believed, through what was read
     * @param  AtCarving  $atCarving  once it was pulled: the core at the knife, by its low end where it was not read
     * @param  list<Caution>  $cautions  of what has happened; a safe minimum is the plan's to speak of before the pull
     * @param  DangerAccount  $danger  from out of the refrigerator until now, or to the knife
     * @param  float|null  $outLimitS  when its time out of the refrigerator is over as it is likely to go on; null where that is not in sight
     * @param  Advice|null  $advice  what the core asks for now
     * @param  bool  $getsThere  whether the likely cook comes to its pull at the heat that it has; the hours mean nothing where it does not
     * @param  StepCue|null  $cue  whether the step that is under way may end; null where the clock decides that
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
        public Trace $trace,
        public Belief $belief,
        public AtCarving $atCarving,
        public array $cautions,
        public DangerAccount $danger,
        public ?float $outLimitS,
        public ?Advice $advice,
        public bool $getsThere,
        public ?StepCue $cue,
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
        $untilC = max($dish->targetC, $plannedPullC) + self::PAST_TARGET_K;
        $posterior = Posterior::of($dish, $airC, $course, self::fitted($counting), $untilC, $plannedPullC);
        $guess = $posterior->middle();
        $pullC = $plannedPullC;
        if ($course->pulledS === null && $dish->lastStage()->end !== StageEnd::Tender) {
            $slow = Cook::of($dish, $airC, Resolution::coarse(), $course, $posterior->slowEnd($plannedPullC));
            $slow->body->record(false);
            $pullC = Coast::pullC($dish, $slow);
        }
        $likely = Cook::of($dish, $airC, Resolution::fine(), $course, $guess);
        $model = $likely->body->record();
        $stuckAt = $likely->toPull($pullC);
        $modelOffS = $likely->body->elapsedS();
        $likely->rest(max(60.0 * $dish->leastRestMinutes(), $course->nowS - $modelOffS) + Coast::FOLLOWED_REST_S);

        $model = Coast::held($dish, $model, $likely->stageStartsS, $modelOffS);
        $belief = Belief::of($model, $modelOffS, $counting, $course->pulledS, $dish->carryover()->climbK, $course);
        $starts = self::stageStarts($dish, $likely->stageStartsS, $belief, $course);
        $cookMinutes = self::cookMinutes($dish, $course, $belief, $posterior, $modelOffS, $pullC, $starts, $leastMinutes);
        $offS = 60.0 * $cookMinutes->likely;
        $trace = $belief->trace($offS);
        $nowC = $belief->coreAt($course->nowS);
        $peak = Coast::peak($trace, $offS);
        $now = self::coreNow($course, $belief, $posterior, $nowC);
        $offC = $trace->coreAt($offS);
        $atCarving = self::judged($dish, $course, $belief, $trace, $offS, $now);
        $isThere = $belief->newest !== null && $belief->newest->celsius >= $pullC;
        // Readings may stretch an hour, but not to one that nobody can promise: then somebody looks first.
        $tells = ($belief->newest === null || $offS <= self::TELLING * self::usualS($dish, $airC, $course, $pullC))
            && ($belief->steered || $posterior->comesTo($pullC));
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
                $posterior->fallen(),
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
            self::band($belief, $posterior, $trace, $untilS, min($airC, $dish->startC)),
            $guess,
            ($getsThere ? $trace : $trace->until($untilS))->thinned(self::RECORDS, [...$starts, $offS, $course->nowS]),
            $belief->thinned(self::RECORDS),
            $atCarving,
            $caution === null ? $cautions : [...$cautions, $caution],
            $danger,
            $ahead->outLimitS(),
            $advice,
            $getsThere,
            $cueing->cue($trace, $starts, $offS, $getsThere),
        );
    }

    /** How long it is known to stay at 57 °C or more after the pull: no longer than it is followed. */
    public function knownHotMinutes(): float
    {
        return min($this->hotMinutes, $this->trace->endS() / 60.0 - $this->cookMinutes->likely);
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

    /** How long it would take through what was logged of its cooker, had nothing been read in the meat; never less than it took so far. */
    private static function usualS(Dish $dish, float $airC, Course $course, float $pullC): float
    {
        $cook = Cook::of($dish, $airC, Resolution::coarse(), $course, Variation::none());
        $cook->toPull($pullC);

        return max($course->nowS, $cook->body->elapsedS());
    }

    /** @param  list<Reading>  $counting */
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
    private static function fitted(array $counting): array
    {
        $points = Thinned::points(
            array_map(fn (Reading $reading): array => [$reading->seconds, $reading->celsius], $counting),
            self::MOST_FITTED,
        );

        return array_map(fn (array $point): Reading => Reading::of('', $point[0], '', $point[1]), $points);
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
        Posterior $posterior,
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
            $begun = count($starts) === 1 || isset($course->stageStarts[count($starts) - 1]);
            $likely = max($now, $starts[count($starts) - 1] / 60.0 + (float) $last->value);

            return $begun ? Spread::exactly($likely) : self::around($likely, self::endOfSteps($dish, $posterior, $likely), $now);
        }
        $untilC = $last->end === StageEnd::Core ? (float) $last->value : $pullC;
        $least = $belief->newest !== null && $belief->newest->celsius >= $untilC ? $now : max($now, $leastMinutes);
        $likely = max($least, ($belief->reaches($untilC) ?? $belief->when($modelOffS)) / 60.0);
        if ($belief->steered) {
            [$quick, $slow] = $belief->ends($untilC);

            return Spread::of(min($likely, max($least, $quick / 60.0)), $likely, max($likely, $slow / 60.0));
        }

        $spread = self::inMinutes($posterior->reaches($untilC));
        // What the kind's physics leaves open is open for what is still to come.
        $kind = Uncertainty::kind($dish) * max(0.0, $spread->likely - $now);
        $spread = Spread::of(
            $spread->likely - hypot($kind, $spread->likely - $spread->low),
            $spread->likely,
            $spread->likely + hypot($kind, $spread->high - $spread->likely),
        );

        return self::around($likely, $spread, $least);
    }

    /** The end of a last step by the clock: as uncertain as the last step before it that ends with the core. */
    private static function endOfSteps(Dish $dish, Posterior $posterior, float $likely): Spread
    {
        $cores = array_values(array_filter($dish->stages, fn (Stage $stage): bool => $stage->end === StageEnd::Core));
        if ($cores === []) {
            return Spread::exactly($likely);
        }
        $before = self::inMinutes($posterior->reaches((float) $cores[count($cores) - 1]->value));

        return $before->plus($likely - $before->likely);
    }

    private static function inMinutes(Spread $seconds): Spread
    {
        return Spread::of($seconds->low / 60.0, $seconds->likely / 60.0, $seconds->high / 60.0);
    }

    /** The band, laid about the moment that is shown: coarse runs are a little quick or slow, all alike. */
    private static function around(float $likely, Spread $coarse, float $least): Spread
    {
        $band = $coarse->plus($likely - $coarse->likely);

        // A climb flattens toward its end: the same doubt costs more time on the slow side, never less.
        return Spread::of(min($likely, max($band->low, $least)), $likely, max($band->high, 2.0 * $likely - $band->low));
    }

    private static function coreNow(Course $course, Belief $belief, Posterior $posterior, float $nowC): Spread
    {
        $computed = $posterior->coreAt($course->nowS);
        if ($belief->newest === null) {
            return Spread::of(min($nowC, $computed->low), $nowC, max($nowC, $computed->high));
        }
        $carried = abs($nowC - $belief->newest->celsius);
        $doubt = $belief->disagrees() ? self::CARRIED_DOUBT * $carried : min(0.5 * $computed->width(), $carried);

        return Spread::of($nowC - self::PROBE_K - $doubt, $nowC, $nowC + self::PROBE_K + $doubt);
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
     * @return list<array{float, Spread}> the posterior's width, laid about what is believed; where readings and model
     *     disagree, by what was carried forward
     */
    private static function band(Belief $belief, Posterior $posterior, Trace $trace, float $untilS, float $coldestC): array
    {
        $band = [];
        for ($i = 0; $i <= self::BAND_POINTS; $i++) {
            $seconds = $untilS * $i / self::BAND_POINTS;
            $spread = $posterior->coreAt($seconds);
            $likely = $trace->coreAt($seconds);
            $carried = $belief->newest !== null && $belief->disagrees()
                ? self::CARRIED_DOUBT * abs($likely - $belief->newest->celsius)
                : null;
            $low = $likely - ($carried ?? $spread->likely - $spread->low);
            $band[] = [
                $seconds / 60.0,
                Spread::of(min($likely, max($coldestC, $low)), $likely, $likely + ($carried ?? $spread->high - $spread->likely)),
            ];
        }

        return $band;
    }
}
