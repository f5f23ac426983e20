<?php

declare(strict_types=1);

namespace Diatherm\Obstacles;

use Diatherm\Cooking\PartForecast;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Plan\PlannedFire;
use Diatherm\Roast\FireWish;
use Diatherm\Ways\Standing;

/** Parts of a whole animal that are not done together: a saddle is dry by the time its legs are done. */
final class UnevenParts implements Check
{
    /** Parts that are pulled this far apart are not one dish, K. Common practice. */
    private const APART_K = 18.0;

    public static function of(Standing $standing): array
    {
        $obstacles = [];
        foreach ($standing->plan->dishes as $number => $planned) {
            $parts = $planned->parts;
            if ($parts === []) {
                continue;
            }
            usort($parts, fn (PartForecast $a, PartForecast $b): int => $a->atPullC <=> $b->atPullC);
            [$cold, $hot] = [$parts[0], $parts[count($parts) - 1]];
            if ($hot->atPullC - $cold->atPullC > self::APART_K) {
                $obstacles[] = new Obstacle('uneven', Message::of(
                    'obstacle.uneven',
                    cold: $cold->part->name,
                    cold_at: Quantity::celsius($cold->atPullC),
                    hot: $hot->part->name,
                    hot_at: Quantity::celsius($hot->atPullC),
                ), $number, self::banked($standing, $number));
            }
        }

        return $obstacles;
    }

    /** @return list<WayOut> coals shared out along the joint, where there are coals */
    private static function banked(Standing $standing, int $number): array
    {
        $fires = array_values(array_filter(
            $standing->plan->fires, fn (PlannedFire $fire): bool => $fire->plan->use->dish === $number && $fire->banking !== null,
        ));
        if ($fires === [] || $fires[0]->banking === null) {
            return [];
        }
        $roast = $standing->roast();
        $kind = $fires[0]->plan->stove->equipment->kind->id;
        $wish = ($roast->fires[$kind] ?? new FireWish($kind))->laidAs($fires[0]->banking->piles);

        return [new WayOut(Message::of('obstacle.bank_the_coals'), $roast->changed(fires: [$kind => $wish] + $roast->fires))];
    }
}
