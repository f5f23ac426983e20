<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

use Diatherm\Roast\Dish;
use Diatherm\Roast\Held;
use Diatherm\Roast\Stage;

/**
 * How far the inputs of a forecast may be off: each pair of ends holds eight outcomes in ten. Common practice.
 * A tape reading narrows the thickness.
 */
final class Uncertainty
{
    /** Heat transfer at a cooker's heat as it was set, the cooker's own doubt with it. */
    public const TRANSFER = 0.25;

    public const THICKNESS_BY_MASS = 0.08;

    public const THICKNESS_BY_TAPE = 0.04;

    public const START_K = 2.0;

    /** Standard deviations from the middle to the 10 % and 90 % points of a normal distribution. */
    public const DEVIATIONS = 1.2816;

    /** The same to the 5 % point. */
    public const DEVIATIONS_OF_ONE_IN_TWENTY = 1.6449;

    /** How the slow end of a band is shared between heat transfer and thickness: their shares of it, squared, make one. Common practice. */
    public const SLOW_BY_TRANSFER = 0.8;

    public const SLOW_BY_THICKNESS = 0.6;

    /** A cook at the slow end, one in ten. */
    public static function slowEnd(Dish $dish): Variation
    {
        return Variation::of(
            (1.0 + self::transfer($dish)) ** -self::SLOW_BY_TRANSFER,
            (1.0 + self::thickness($dish)) ** self::SLOW_BY_THICKNESS,
        );
    }

    /** Less where the cooker was read before: what was learnt of it is not open any more. */
    public static function transfer(Dish $dish): float
    {
        $heat = max(array_map(fn (Stage $stage): float => $stage->heatDoubt(), $dish->stages));

        return exp(sqrt(max(0.0, log(1.0 + self::TRANSFER) ** 2 - Held::AS_SET ** 2 + $heat ** 2))) - 1.0;
    }

    /** What the physics of its cookers' kinds leaves open, on the time: that of the least known. */
    public static function kind(Dish $dish): float
    {
        return max(array_map(fn (Stage $stage): float => $stage->cooker->doubt, $dish->stages));
    }

    public static function thickness(Dish $dish): float
    {
        return $dish->thicknessM === null && $dish->girthM === null ? self::THICKNESS_BY_MASS : self::THICKNESS_BY_TAPE;
    }
}
