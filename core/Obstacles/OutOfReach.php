<?php

declare(strict_types=1);

namespace Diatherm\Obstacles;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Plan\PlannedFire;
use Diatherm\Roast\Roast;
use Diatherm\Roast\Stage;
use Diatherm\Tending\FireStep;
use Diatherm\Ways\FromNow;
use Diatherm\Ways\Standing;

/** A heat that its cooker does not come to, or does not go down to. */
final class OutOfReach implements Check
{
    /** Heats are set so finely, K. */
    private const STEP_C = 5.0;

    public static function of(Standing $standing): array
    {
        $obstacles = [];
        foreach ($standing->plan->fires as $fire) {
            foreach ($fire->plan->steps as $step) {
                if (! $step->reached) {
                    $obstacles[] = self::told($standing, $fire, $step);
                    break;
                }
            }
        }

        return $obstacles;
    }

    private static function told(Standing $standing, PlannedFire $fire, FireStep $step): Obstacle
    {
        $comesTo = $step->steadyC->likely;
        $isTooCool = $comesTo < $step->targetC;
        $heat = self::STEP_C * ($isTooCool ? floor($comesTo / self::STEP_C) : ceil($comesTo / self::STEP_C));
        $roast = self::heated($standing->roast(), $fire, $step->targetC, $heat);

        return new Obstacle(
            'out_of_reach',
            Message::of(
                $isTooCool ? 'obstacle.does_not_reach' : 'obstacle.does_not_go_so_low',
                cooker: $fire->plan->stove->name,
                target: Quantity::celsius($step->targetC),
                steady: Quantity::celsius($comesTo),
            ),
            $fire->plan->use->dish,
            [
                ...($roast === null ? [] : [new WayOut(Message::of('obstacle.count_on', heat: Quantity::celsius($heat)), $roast)]),
                ...($isTooCool ? Move::toUsual($standing, $fire->plan->use->dishes, $step->targetC) : []),
            ],
        );
    }

    /** Every step at that heat of that fire at another; null where the cooker's own range does not have it. */
    private static function heated(Roast $roast, PlannedFire $fire, float $fromC, float $toC): ?Roast
    {
        foreach ($fire->plan->use->dishes as $number) {
            $dish = $roast->dishes[$number];
            $isMeant = fn (Stage $stage): bool => $fire->plan->use->serves($stage->cooker->id) && abs($stage->cookerC - $fromC) < 1.0;
            $meant = array_filter($dish->stages, $isMeant);
            if (array_filter($meant, fn (Stage $stage): bool => $stage->cooker->clampC($toC) !== $toC) !== []) {
                return null;
            }
            $roast = FromNow::with($roast, $number, $dish->changed(stages: array_map(
                fn (Stage $stage): Stage => $isMeant($stage) ? FromNow::heated($stage, celsius: $toC) : $stage, $dish->stages,
            )));
        }

        return $roast;
    }
}
