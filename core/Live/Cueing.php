<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Cooking\Course;
use Diatherm\Cooking\CueState;
use Diatherm\Cooking\StepCue;
use Diatherm\Heat\Trace;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Stage;
use Diatherm\Roast\StageEnd;

/** When a step ends that the core decides: by what was read, never by the clock alone. */
final readonly class Cueing
{
    /** A reading so old no longer tells of now, s. Common practice. */
    public const FRESH_S = 900.0;

    /** So near its number it is there, K. */
    public const AT_K = 0.05;

    /** It is read so long before its hour, and sooner still in a short cook. Common practice. */
    private const AHEAD_S = 300.0;

    private const AHEAD_SHARE = 0.1;

    /**
     * @param  float  $pullC  at which it comes off
     * @param  list<int>  $unread  pieces still to be read in a place that decides
     */
    public function __construct(
        private Dish $dish,
        private Course $course,
        private Belief $belief,
        private float $pullC,
        public array $unread,
    ) {
    }

    /** Number of the step that was begun last. */
    public static function stageNow(Course $course): int
    {
        return $course->stageStarts === [] ? 0 : max(array_keys($course->stageStarts));
    }

    /** Whether the newest reading that counts is young enough to tell of now. */
    public function isFresh(): bool
    {
        return $this->belief->newest !== null && $this->course->nowS - $this->belief->newest->seconds <= self::FRESH_S;
    }

    /** Whether it was read, lately and where it counts, at $celsius or more. */
    public function reads(float $celsius): bool
    {
        return $this->isFresh() && $this->unread === [] && $this->belief->newest !== null && $this->belief->newest->celsius >= $celsius - self::AT_K;
    }

    /**
     * @param  Trace  $trace  of the core as it is believed
     * @param  list<float>  $startsS  of the steps
     * @param  float  $offS  when it is likely to come off
     * @param  bool  $getsThere  whether it comes to its number as the cooker runs
     * @return StepCue|null null where the clock decides, or nobody can look
     */
    public function cue(Trace $trace, array $startsS, float $offS, bool $getsThere): ?StepCue
    {
        $number = self::stageNow($this->course);
        $isLast = $number === count($this->dish->stages) - 1;
        $stage = $this->dish->stages[$number];
        $endsS = $isLast ? $offS : $startsS[$number + 1] ?? $offS;
        $endC = $this->endC($stage, $isLast, $trace->coreAt($endsS));
        if ($endC === null || $this->course->pulledS !== null || $this->dish->isBuried() || ! $this->dish->cut->isPerishable()) {
            return null;
        }
        $readS = max($this->course->nowS, $endsS - min(self::AHEAD_S, self::AHEAD_SHARE * $endsS));
        $state = match (true) {
            $this->reads($endC) => CueState::Due,
            ! $getsThere && ! $stage->end->isTimed() => CueState::OutOfReach,
            default => CueState::ReadFirst,
        };

        $isNow = $state === CueState::OutOfReach;

        return new StepCue($number, $state, ($isNow ? $this->course->nowS : $readS) / 60.0, min($endC, $trace->coreAt($readS)), $endC);
    }

    /** Core at which a step ends; of a last step by the clock the safe minimum, where the clock would end it short of that. */
    private function endC(Stage $stage, bool $isLast, float $coreAtEndC): ?float
    {
        if (! $stage->end->isTimed()) {
            return $stage->end === StageEnd::Core && ! $isLast ? (float) $stage->value : ($isLast ? $this->pullC : null);
        }
        $safe = $this->dish->safeMinimum()->coreC;
        $isMeant = $isLast && $safe !== null && $this->dish->targetC >= $safe - 0.5;
        $wantedC = $isMeant ? $safe - $this->dish->carryover()->creditK : -INF;

        return $coreAtEndC < $wantedC - self::AT_K ? $wantedC : null;
    }
}
