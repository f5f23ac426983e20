<?php

declare(strict_types=1);

namespace Diatherm\Fire;

use Diatherm\Measure\Message;
use Diatherm\Measure\Nature;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

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
        OutOfRange::check('hand_test', $seconds, 2.0, 60.0, Unit::Second);
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

    /**
     * How long a palm can be held in so much flux: the same curve, read the other way.
     *
     * @param  float  $fluxWm2  1.74 to 19.87 kW/m²; beyond, the nearer end
     * @return float seconds, 2 to 60
     */
    public static function seconds(float $fluxWm2): float
    {
        $flux = $fluxWm2 / 1000.0;
        $before = 2;
        foreach (self::ROWS as $row => $at) {
            if ($flux >= $at) {
                return $row === $before
                    ? 2.0
                    : $before * ($row / $before) ** (log($flux / self::ROWS[$before]) / log($at / self::ROWS[$before]));
            }
            $before = $row;
        }

        return 60.0;
    }

    /** Flux that a black wall of this temperature gives to what sees nothing else, W/m². */
    public static function fluxOfWallWm2(float $celsius): float
    {
        return Nature::STEFAN_BOLTZMANN * ($celsius + Nature::ZERO_C_IN_K) ** 4;
    }

    /** Temperature of a black wall that fills the view and gives this flux, °C. */
    public static function wallOfFluxC(float $fluxWm2): float
    {
        return (max(0.0, $fluxWm2) / Nature::STEFAN_BOLTZMANN) ** 0.25 - Nature::ZERO_C_IN_K;
    }

    /** Seconds in which a palm feels what a black wall of this temperature gives. */
    public static function secondsOfWall(float $celsius): float
    {
        return self::seconds(self::fluxOfWallWm2($celsius));
    }

    /** A fire in a cook's words: “an 8 s hand”. */
    public static function inWords(float $seconds): Message
    {
        return Message::of('words.hand', count: (int) round($seconds));
    }

    /** Temperature of a black wall that fills the palm's view and gives the same flux, °C. */
    public static function wallC(float $seconds): float
    {
        return self::wallOfFluxC(self::fluxWm2($seconds));
    }
}
