<?php

declare(strict_types=1);

namespace Diatherm\Food;

use Diatherm\Measure\Nature;

/** How long a frozen joint takes to thaw. Source: USDA FSIS, The Big Thaw. */
final class Thawing
{
    /** In the refrigerator 24 hours thaw four to five pounds. */
    private const FRIDGE_KG_PER_DAY = [1.814, 2.268];

    private const WATER_HOURS_PER_POUND = 0.5;

    /** However small it is. Source: USDA FSIS, The Big Thaw: a full day in the refrigerator, an hour or less in cold water. */
    private const LEAST_FRIDGE_HOURS = 18.0;

    private const SMALL_FRIDGE_HOURS = 24.0;

    private const SMALL_WATER_HOURS = 1.0;

    /** A day more in the refrigerator does no harm. */
    public static function fridge(float $massKg): PreparationWindow
    {
        $slow = max(self::SMALL_FRIDGE_HOURS, 24.0 * $massKg / self::FRIDGE_KG_PER_DAY[0]);

        return new PreparationWindow(max(self::LEAST_FRIDGE_HOURS, 24.0 * $massKg / self::FRIDGE_KG_PER_DAY[1]), $slow, $slow + 24.0);
    }

    /** Least, best and most are alike, since it is cooked at once. */
    public static function coldWater(float $massKg): PreparationWindow
    {
        $hours = max(self::SMALL_WATER_HOURS, self::WATER_HOURS_PER_POUND * $massKg / Nature::POUND_KG);

        return new PreparationWindow($hours, $hours, $hours);
    }
}
