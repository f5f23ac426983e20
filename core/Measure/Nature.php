<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** Constants of nature and of the calendar of units, in SI. */
final class Nature
{
    /** W/(m²·K⁴). Source: CODATA 2018. */
    public const STEFAN_BOLTZMANN = 5.670374e-8;

    /** Source: NIST SP 811, appendix B. */
    public const ZERO_C_IN_K = 273.15;

    /** Standard gravity, m/s². Source: NIST SP 811, appendix B. */
    public const GRAVITY = 9.80665;

    /** Source: NIST SP 811, appendix B. */
    public const POUND_KG = 0.45359237;

    /** At sea level, Pa. Source: US Standard Atmosphere 1976. */
    public const AIR_PA = 101_325.0;

    /**
     * Pressure of the standard atmosphere, Pa. Source: US Standard Atmosphere 1976, its lowest layer: p₀·(1 − 6.5 K/km·z/288.15 K)^5.2559.
     *
     * @param  float  $altitudeM  0 to 11 000 m
     */
    public static function airPa(float $altitudeM): float
    {
        return self::AIR_PA * (1.0 - 0.0065 * $altitudeM / 288.15) ** 5.2559;
    }
}
