<?php

declare(strict_types=1);

namespace Diatherm\Heat;

use Diatherm\Measure\Nature;

/**
 * Saturation over water. Source: WMO Guide to Instruments and Methods of Observation, Magnus form, −45 to 60 °C; extended
 * here to 100 °C, where it is 2.5 % above the steam tables.
 */
final class Vapour
{
    public const MAGNUS_PA = 611.2;

    public const MAGNUS_FACTOR = 17.62;

    public const MAGNUS_OFFSET_C = 243.12;

    /** Latent heat of evaporation near a roast's wet surface, 60 °C, J/kg. Source: steam tables. */
    public const LATENT_J_KG = 2.358e6;

    /** @return float Pa */
    public static function saturationPa(float $celsius): float
    {
        return self::MAGNUS_PA * exp(self::MAGNUS_FACTOR * $celsius / (self::MAGNUS_OFFSET_C + $celsius));
    }

    /**
     * Where water boils. Source: Clausius and Clapeyron from 100 °C at sea level, with 40.66 kJ/mol (steam tables).
     *
     * @param  float  $pa  30 to 110 kPa
     */
    public static function boilingC(float $pa): float
    {
        return 1.0 / (1.0 / 373.15 - 8.314 / 40_660.0 * log($pa / Nature::AIR_PA)) - Nature::ZERO_C_IN_K;
    }
}
