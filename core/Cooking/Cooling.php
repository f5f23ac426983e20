<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

use Diatherm\Heat\SeriesSolution;
use Diatherm\Heat\Substance;
use Diatherm\Roast\Dish;
use Diatherm\Safety\Clocks;

/** How long a whole piece of a dish takes to cool in a refrigerator, by the exact series for its shape. */
final class Cooling
{
    /** Still air and radiation in a refrigerator, W/(m²·K). Source: Incropera & DeWitt, chapter 9, free convection; radiation at 10 to 50 °C. */
    private const TRANSFER_WM2K = 10.0;

    private const REFRIGERATOR_C = 4.0;

    /** Mean of what it cools through, °C. */
    private const MEAN_C = 35.0;

    /** Minutes in which its middle comes from hot holding to 21 °C, the first of the two limits. */
    public static function minutesToCool(Dish $dish): float
    {
        $shape = $dish->shape();
        $substance = Substance::from($dish->cut->composition);
        $conductivity = $substance->conductivityWmK(self::MEAN_C);
        $diffusivity = $conductivity / ($substance->densityKgM3(self::MEAN_C) * $substance->specificHeatJKgK(self::MEAN_C));
        /** @var 0|1|2 $exponent the textbook shape that is nearest */
        $exponent = (int) max(0.0, min(2.0, round($shape->exponent)));
        $root = SeriesSolution::root($exponent, self::TRANSFER_WM2K * $shape->halfThicknessM / $conductivity, 0);
        $left = (Clocks::COOLED_C - self::REFRIGERATOR_C) / (Clocks::HOLD_C - self::REFRIGERATOR_C);
        $fourier = log(SeriesSolution::coefficient($exponent, $root) / $left) / $root ** 2;

        return max(0.0, $fourier) * $shape->halfThicknessM ** 2 / $diffusivity / 60.0;
    }
}
