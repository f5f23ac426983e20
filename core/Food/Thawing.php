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

    /** @return array{float, float, float} hours: least, best, most. A day more in the refrigerator does no harm. */
    public static function fridgeHours(float $massKg): array
    {
        $slow = 24.0 * $massKg / self::FRIDGE_KG_PER_DAY[0];

        return [24.0 * $massKg / self::FRIDGE_KG_PER_DAY[1], $slow, $slow + 24.0];
    }

    /** @return array{float, float, float} hours: least, best, most, all alike, since it is cooked at once */
    public static function coldWaterHours(float $massKg): array
    {
        $hours = self::WATER_HOURS_PER_POUND * $massKg / Nature::POUND_KG;

        return [$hours, $hours, $hours];
    }
}
