<?php

declare(strict_types=1);

namespace Diatherm\Heat;

/** Saturation over water. Source: WMO Guide to Instruments and Methods of Observation, Magnus form, −45 to 60 °C; extended here to 100 °C, where it is 2.5 % above the steam tables. */
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
}
