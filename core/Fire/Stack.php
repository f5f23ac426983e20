<?php

declare(strict_types=1);

namespace Diatherm\Fire;

use Diatherm\Measure\Nature;

/**
 * Air that hot gas draws through an intake and an exhaust. Source: ASHRAE Handbook—Fundamentals, stack effect: Q =
 * C·A·√(2·g·H·(Ti − To)/Ti).
 */
final class Stack
{
    /** Discharge coefficient of a sharp-edged opening. Source: ASHRAE Handbook—Fundamentals (0.65). */
    public const DISCHARGE = 0.65;

    /**
     * Air that wind drives through openings, over the wind and their area. Source: ASHRAE Handbook—Fundamentals, ventilation
     * by wind: 0.25 to 0.35 for wind askew.
     */
    private const WIND_THROUGH = 0.3;

    /** Gas constant of dry air, J/(kg·K). Source: US Standard Atmosphere 1976. */
    private const AIR_J_KG_K = 287.05;

    /** Openings one behind the other act as one: 1/A² adds up. */
    public static function inSeriesM2(float $intakeM2, float $exhaustM2): float
    {
        return $intakeM2 <= 0.0 || $exhaustM2 <= 0.0 ? 0.0 : 1.0 / sqrt(1.0 / $intakeM2 ** 2 + 1.0 / $exhaustM2 ** 2);
    }

    /** Density of the outside air, kg/m³. */
    public static function airDensityKgM3(float $celsius, float $altitudeM): float
    {
        return Nature::airPa($altitudeM) / (self::AIR_J_KG_K * ($celsius + Nature::ZERO_C_IN_K));
    }

    /**
     * @param  float  $openM2  effective opening
     * @param  float  $heightM  intake to exhaust
     * @param  float  $windMs  at the openings, from no side in particular; it adds to the stack as the root of the sum of squares
     * @return float kg/s of air drawn in; none when it is no hotter inside
     */
    public static function flowKgS(
        float $openM2,
        float $heightM,
        float $insideC,
        float $outsideC,
        float $altitudeM = 0.0,
        float $windMs = 0.0,
    ): float {
        $rise = $insideC - $outsideC;
        if ($rise <= 0.0) {
            return 0.0;
        }

        return self::airDensityKgM3($outsideC, $altitudeM) * $openM2 * sqrt(
            self::DISCHARGE ** 2 * 2.0 * Nature::GRAVITY * $heightM * $rise / (
                $insideC + Nature::ZERO_C_IN_K
            ) + (self::WIND_THROUGH * $windMs) ** 2,
        );
    }
}
