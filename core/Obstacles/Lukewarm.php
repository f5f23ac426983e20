<?php

declare(strict_types=1);

namespace Diatherm\Obstacles;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Ways\FromNow;
use Diatherm\Ways\Standing;

/** A dish that is no longer hot when it comes to the plate. */
final class Lukewarm implements Check
{
    /** Food is eaten as hot from here on, °C. Common practice. */
    private const HOT_C = 45.0;

    public static function of(Standing $standing): array
    {
        $obstacles = [];
        foreach ($standing->plan->waits as $number => $wait) {
            $dish = $standing->dish($number);
            if ($dish->cut->isPerishable() && $wait->plateC() < self::HOT_C) {
                $obstacles[] = new Obstacle(
                    'lukewarm', Message::of('obstacle.lukewarm', dish: $dish->name, plate: Quantity::celsius($wait->plateC())), $number,
                    self::shorter($standing, $number),
                );
            }
        }

        return $obstacles;
    }

    /** @return list<WayOut> as long a rest as the cut needs, where a longer one was asked for */
    private static function shorter(Standing $standing, int $number): array
    {
        $dish = $standing->dish($number);
        $rest = max($dish->cut->restMinutes, $dish->safeMinimum()->holdMinutes);
        $spared = $dish->leastRestMinutes() - $rest;

        return $spared <= 0.0 ? [] : [new WayOut(
            Message::of('obstacle.shorter_rest', rest: Quantity::minutes($rest)),
            FromNow::with($standing->roast(), $number, $dish->changed(restMinutes: $rest)),
        )];
    }
}
