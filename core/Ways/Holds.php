<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Rig\FrameRig;
use Diatherm\Rig\SpitRig;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Stage;

/** What goes into a cooker that it was not planned for: nobody carries a whole lamb into the kitchen. */
final class Holds
{
    /** So much of a joint goes into each, kg. Common practice; what is not named has no lid. */
    private const MOST_KG = [
        'oven' => 9.0, 'oven-grill' => 4.0, 'kettle' => 9.0, 'kettle-direct' => 9.0, 'gas' => 11.0, 'gas-direct' => 11.0, 'ceramic' => 8.0,
        'pellet' => 11.0, 'griddle' => 6.0, 'lidded-roaster' => 10.0, 'countertop-rotisserie' => 7.0, 'grill-rotisserie' => 9.0,
        'camp-oven' => 5.0,
    ];

    public static function fits(string $kind, Dish $dish): bool
    {
        return $dish->massKg * $dish->pieces <= (self::MOST_KG[$kind] ?? INF);
    }

    /** Off its spit or frame where nothing turns it any more. */
    public static function rigged(Dish $dish): Dish
    {
        $turns = array_filter($dish->stages, fn (Stage $stage): bool => $stage->cooker->turns() || $stage->cooker->id === 'trench');

        return $turns === [] && ($dish->rig instanceof SpitRig || $dish->rig instanceof FrameRig) ? $dish->unrigged() : $dish;
    }
}
