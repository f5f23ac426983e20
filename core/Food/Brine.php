<?php

declare(strict_types=1);

namespace Diatherm\Food;

use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/** How much salt, in how much water, for how long. */
final class Brine
{
    /** Salt that seasons meat right through, share of its mass. Common practice. */
    public const SEASONED = 0.0125;

    /** Water that covers a joint, litres a kilogram. Common practice. */
    public const WATER_L_PER_KG = 1.0;

    /** Salt spreads by diffusion, so its time grows with the square of the way: hours for a way of one centimetre. Common practice. */
    private const DRY_HOURS_PER_CM2 = 1.5;

    private const WET_HOURS_PER_CM2 = 0.6;

    private const SHORTEST_HOURS = 2.0;

    private const LONGEST_DRY_HOURS = 72.0;

    private const LONGEST_WET_HOURS = 24.0;

    /** Salt for a dry brine, kg. */
    public static function drySaltKg(float $massKg): float
    {
        return self::SEASONED * OutOfRange::check('mass', $massKg, 0.0, 100.0, Unit::Kilogram);
    }

    /**
     * Salt for a wet brine that, once even throughout, leaves the meat seasoned and never too salt: salt over meat and
     * water together.
     *
     * @return float kg
     */
    public static function wetSaltKg(float $massKg, float $waterL): float
    {
        return self::SEASONED * (
            OutOfRange::check('mass', $massKg, 0.0, 100.0, Unit::Kilogram) + OutOfRange::check('water', $waterL, 0.0, 200.0, Unit::Litre)
        );
    }

    public static function dry(float $halfThicknessM): PreparationWindow
    {
        $best = self::within(self::DRY_HOURS_PER_CM2 * (100.0 * $halfThicknessM) ** 2, self::LONGEST_DRY_HOURS);

        return new PreparationWindow(min($best, max(self::SHORTEST_HOURS, 0.3 * $best)), $best, self::LONGEST_DRY_HOURS);
    }

    public static function wet(float $halfThicknessM): PreparationWindow
    {
        $best = self::within(self::WET_HOURS_PER_CM2 * (100.0 * $halfThicknessM) ** 2, self::LONGEST_WET_HOURS);

        return new PreparationWindow(min($best, max(self::SHORTEST_HOURS, 0.4 * $best)), $best, self::LONGEST_WET_HOURS);
    }

    private static function within(float $hours, float $longest): float
    {
        return min($longest, max(self::SHORTEST_HOURS, $hours));
    }
}
