<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

use Diatherm\Heat\Trace;
use Diatherm\Roast\Dish;
use Diatherm\Roast\StageEnd;

/** How far the core climbs after the pull, what of it may be counted on (Safety\Carryover), and so when to pull. */
final class Coast
{
    /** A rest is followed this long past the least rest, to see the peak and the cooling. */
    public const FOLLOWED_REST_S = 5400.0;

    private const ROUNDS = 3;

    private const NEAR_ENOUGH_K = 0.1;

    /**
     * The core temperature at which to pull so that the target is reached by the carving, at the slow end of the band;
     * the target itself for a dish that is cooked to the number or whose last stage ends otherwise.
     *
     * @param  Cook  $slow  the slow end of the same cook, recorded; where it is needed it is gone through to the earliest pull
     */
    public static function pullC(Dish $dish, Cook $slow): float
    {
        $carryover = $dish->carryover();
        if ($dish->lastStage()->end !== StageEnd::Pull) {
            return $dish->lastStage()->end === StageEnd::Core ? (float) $dish->lastStage()->value : $dish->targetC;
        }
        if ($carryover->creditK <= 0.0) {
            return $dish->targetC;
        }
        $credit = $carryover->creditK;
        $slow->toPull(max($dish->startC + 1.0, $dish->targetC - $credit));
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $cook = $slow->fork();
            if ($cook->toPull(max($dish->startC + 1.0, $dish->targetC - $credit)) !== null) {
                return $dish->targetC;
            }
            $offS = $cook->body->elapsedS();
            $offC = $cook->body->coreC();
            $cook->rest(60.0 * $dish->leastRestMinutes());
            $next = $carryover->credited(self::happenedK($dish, $cook->body->recorded(), $offS, $offC));
            if (abs($next - $credit) < self::NEAR_ENOUGH_K) {
                return $dish->targetC - min($next, $credit);
            }
            $credit = $next;
        }

        return $dish->targetC - $credit;
    }

    /** The highest core from $fromS on. */
    public static function peak(Trace $trace, float $fromS): Peak
    {
        $peak = -INF;
        $at = $fromS;
        foreach ($trace->seconds as $i => $seconds) {
            if ($seconds >= $fromS - 0.5 && $trace->coreC[$i] > $peak + 1e-9) {
                $peak = $trace->coreC[$i];
                $at = $seconds;
            }
        }

        return new Peak($peak, $at);
    }

    /** When the resting core is under $celsius, s: at the pull where it never comes to it; INF where it has not been followed so far. */
    public static function underS(Trace $trace, float $offS, float $celsius): float
    {
        $peak = self::peak($trace, $offS);

        return $peak->celsius < $celsius ? $offS : $trace->falls($celsius, max($offS, $peak->seconds));
    }

    /**
     * A cook's trace with the climbs of its rests as they are taken for: the last one, and those between two heats. What
     * was capped between two heats is not there in a last step by the clock either; one that ends with the core ends there.
     *
     * @param  list<float>  $stageStartsS
     * @param  bool  $judged  to judge what is safe: nothing climbs between two heats, and at last no more than is counted on
     */
    public static function held(Dish $dish, Trace $trace, array $stageStartsS, float $offS, bool $judged = false): Trace
    {
        $carryover = $dish->carryover();
        $climbK = $judged ? 0.0 : $carryover->climbK;
        $trace = $trace->cappedBetween(-INF, INF, $dish->lastStage()->cooker->inside->boilingC());
        foreach ($dish->stages as $i => $stage) {
            $to = $stageStartsS[$i + 1] ?? null;
            if (! $stage->cooker->isRest() || $to === null) {
                continue;
            }
            $from = $stageStartsS[$i];
            // It climbs by what it brings along; towards the room that it lies in it warms besides.
            $mostC = max($trace->coreAt($from) + $climbK, $stage->cookerC);
            $excess = $trace->coreAt($to) - min($trace->coreAt($to), $mostC);
            $trace = $trace->cappedBetween($from, $to, $mostC);
            if ($excess > 0.0 && $dish->lastStage()->end->isTimed()) {
                $trace = $trace->loweredBetween($to, INF, $excess);
            }
        }

        return $trace->cappedBetween($offS, INF, $trace->coreAt($offS) + ($judged ? $carryover->creditK : $carryover->climbK));
    }

    /** Climb by the carving, K; where a rest at the safe minimum belongs to it, the climb that is there when that rest begins and stays. */
    private static function happenedK(Dish $dish, Trace $trace, float $offS, float $offC): float
    {
        $safe = $dish->safeMinimum();
        $carveS = $offS + 60.0 * $dish->leastRestMinutes();
        if ($safe->coreC !== null && $safe->holdMinutes > 0.0 && $dish->targetC >= $safe->coreC) {
            return min($trace->coreAt($carveS - 60.0 * $safe->holdMinutes), $trace->coreAt($carveS)) - $offC;
        }

        return self::peak($trace, $offS)->celsius - $offC;
    }
}
