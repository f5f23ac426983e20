<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Heat\Resolution;
use Diatherm\Heat\Trace;

/** How far the core climbs after the pull, and so when to pull. */
final class Coast
{
    /** A rest is followed this long past the least rest, to see the peak and the cooling. */
    public const FOLLOWED_REST_S = 5400.0;

    private const ROUNDS = 3;

    private const FIRST_GUESS_K = 2.0;

    private const NEAR_ENOUGH_K = 0.15;

    /**
     * The core temperature at which to pull so that the rest carries it to the target; the target itself for a dish
     * that is cooked to the number or whose last stage ends otherwise.
     *
     * @param  \Closure(Resolution): Cook  $begin  the same cook, from its start, each time it is called
     */
    public static function pullC(Dish $dish, \Closure $begin): float
    {
        if ($dish->lastStage()->end !== StageEnd::Pull || ! $dish->coast) {
            return $dish->lastStage()->end === StageEnd::Core ? (float) $dish->lastStage()->value : $dish->targetC;
        }
        $pull = $dish->targetC - self::FIRST_GUESS_K;
        for ($round = 0; $round < self::ROUNDS; $round++) {
            // The first round need only come near.
            $cook = $begin($round === 0 ? Resolution::coarse() : Resolution::fine());
            if ($cook->toPull($pull) !== null) {
                return $pull;
            }
            $off = $cook->body->elapsedS();
            $trace = $cook->body->record(false);
            $cook->rest(self::FOLLOWED_REST_S);
            $next = max($dish->startC + 1.0, $dish->targetC - (self::peak($trace, $off)[0] - $trace->coreC[0]));
            if ($round > 0 && abs($next - $pull) < self::NEAR_ENOUGH_K) {
                return $next;
            }
            $pull = $next;
        }

        return $pull;
    }

    /** @return array{float, float} the highest core from $fromS on, °C, and when, s */
    public static function peak(Trace $trace, float $fromS): array
    {
        $peak = -INF;
        $at = $fromS;
        foreach ($trace->seconds as $i => $seconds) {
            if ($seconds >= $fromS - 0.5 && $trace->coreC[$i] > $peak) {
                $peak = $trace->coreC[$i];
                $at = $seconds;
            }
        }

        return [$peak, $at];
    }
}
