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

    /** A day more in the refrigerator does no harm. */
    public static function fridge(float $massKg): PreparationWindow
    {
        $slow = 24.0 * $massKg / self::FRIDGE_KG_PER_DAY[0];

        return new PreparationWindow(24.0 * $massKg / self::FRIDGE_KG_PER_DAY[1], $slow, $slow + 24.0);
    }

    /** Least, best and most are alike, since it is cooked at once. */
    public static function coldWater(float $massKg): PreparationWindow
    {
        $hours = self::WATER_HOURS_PER_POUND * $massKg / Nature::POUND_KG;

        return new PreparationWindow($hours, $hours, $hours);
    }
}
