<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

use Diatherm\Heat\Resolution;
use Diatherm\Roast\Dish;

/** How many coals a buried pot needs, so that a slow cook of what is in it comes to its number. */
final class PotBed
{
    /** Beds that are tried, as a factor on the usual one. More does not fit round a pot. Common practice. */
    private const TRIED = [1.1, 1.2, 1.3, 1.4, 1.5, 1.7, 2.0];

    /** @return float|null kg; null where twice the usual bed is not enough */
    public static function coalsKgFor(Dish $dish, float $pullC): ?float
    {
        if ($dish->bed === null) {
            return null;
        }
        foreach (self::TRIED as $factor) {
            $bed = $dish->bed->larger($factor);
            $larger = $dish->buriedIn($bed);
            $cook = Cook::of($larger, $bed->groundC, Resolution::coarse(), Course::asPlanned(), Uncertainty::slowEnd($larger));
            if (RunTime::of($cook, $pullC) !== null) {
                return $bed->coalsKg;
            }
        }

        return null;
    }
}
