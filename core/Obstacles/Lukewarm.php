<?php

declare(strict_types=1);

namespace Diatherm\Obstacles;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
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
                    ShorterRest::of($standing, $number),
                );
            }
        }

        return $obstacles;
    }
}
