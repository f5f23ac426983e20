<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Cooking\Forecast;
use Diatherm\Rig\PotRig;
use Diatherm\Roast\Dish;
use Diatherm\Safety\Clocks;

/** How a dish that has rested is kept hot until the knife. Common practice. */
enum Hold: string
{
    /** In a closed box that was warmed with hot water, wrapped. */
    case Box = 'box';

    /** In foil and blankets: no box takes it. */
    case Blankets = 'blankets';

    /** Open in an oven or a closed cooker, so that skin, rind or pastry stays crisp. */
    case Oven = 'oven';

    /** In the pot that it was cooked in, the lid on. */
    case Pot = 'pot';

    /** The warm oven, and what the wet food in it comes to, °C. Common practice. */
    public const OVEN_C = 75.0;

    private const IN_THE_OVEN_C = 65.0;

    /** No household box takes a joint that is heavier, kg. Common practice. */
    private const BOX_KG = 8.0;

    public static function of(Forecast $forecast): self
    {
        $dish = $forecast->dish;

        return match (true) {
            $dish->rig instanceof PotRig => self::Pot,
            $dish->massKg > self::BOX_KG => self::Blankets,
            self::hasCrust($dish) && $forecast->peakC >= Clocks::HOT_C || self::isInPastry($dish) => self::Oven,
            default => self::Box,
        };
    }

    /** Skin or rind that goes soft in foil. */
    private static function hasCrust(Dish $dish): bool
    {
        return $dish->cut->kind === 'poultry' || $dish->cut->crackling;
    }

    private static function isInPastry(Dish $dish): bool
    {
        return $dish->lastStage()->seals && ! $dish->lastStage()->foil;
    }

    /**
     * The mean temperature of what was held for so long, °C: one body with the heat that gets through to its surroundings.
     *
     * @param  float  $meanC  as the hold begins
     */
    public function afterC(Dish $dish, float $meanC, float $minutes, float $airC): float
    {
        $aroundC = $this === self::Oven ? self::IN_THE_OVEN_C : $airC;
        $shape = $dish->shape();
        $areaPerM3 = ($shape->exponent + 1.0) / $shape->halfThicknessM;

        return $aroundC + ($meanC - $aroundC) * exp(-60.0 * $minutes * $this->passesWm2K() * $areaPerM3 / Wait::HEAT_J_M3K);
    }

    /** Heat that gets through, W/m²·K: 4 cm of towel or foam at 0.05 W/m·K for a box. Worked by hand from common practice. */
    private function passesWm2K(): float
    {
        return match ($this) {
            self::Box => 1.3,
            self::Blankets => 2.5,
            self::Pot => 4.0,
            self::Oven => 10.0,
        };
    }
}
