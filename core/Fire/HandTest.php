<?php

declare(strict_types=1);

namespace Diatherm\Fire;

use Diatherm\Measure\Nature;
use Diatherm\Measure\OutOfRange;

/**
 * Seconds that a palm can be held at the meat's height, as a measurement of radiant flux.
 *
 * Source: API RP 521, time to pain threshold against flux, from Stoll & Greene 1959 (from memory); log–log between rows.
 */
final class HandTest
{
    /** seconds => kW/m² */
    private const ROWS = [2 => 19.87, 4 => 11.67, 6 => 9.46, 9 => 6.94, 16 => 4.73, 30 => 2.90, 40 => 2.33, 60 => 1.74];

    /**
     * @param  float  $seconds  2 to 60
     * @return float W/m²
     *
     * @throws OutOfRange
     */
    public static function fluxWm2(float $seconds): float
    {
        OutOfRange::check('hand test', $seconds, 2.0, 60.0, 's');
        $before = 2;
        foreach (self::ROWS as $row => $flux) {
            if ($seconds <= $row) {
                if ($row === $before) {
                    return 1000.0 * $flux;
                }
                $share = log($seconds / $before) / log($row / $before);

                return 1000.0 * self::ROWS[$before] * ($flux / self::ROWS[$before]) ** $share;
            }
            $before = $row;
        }

        return 1000.0 * self::ROWS[60];
    }

    /** Temperature of a black wall that fills the palm's view and gives the same flux, °C. */
    public static function wallC(float $seconds): float
    {
        return (self::fluxWm2($seconds) / Nature::STEFAN_BOLTZMANN) ** 0.25 - Nature::ZERO_C_IN_K;
    }
}
