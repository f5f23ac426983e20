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

    /** Less does not reach into the meat. Common practice. */
    private const SHORTEST_DRY_HOURS = 2.0;

    private const SHORTEST_WET_HOURS = 0.25;

    /** Poultry and fish turn ham-like beyond two days, which is as long as they keep raw; other meat beyond three. Common practice. */
    private const LONGEST_DRY_HOURS = ['poultry' => 48.0, 'fish' => 48.0];

    private const LONGEST_DRY_HOURS_ELSE = 72.0;

    private const LONGEST_WET_HOURS = 24.0;

    /** In brine a fish fillet has enough within the hour: it is open to salt on its cut side. Common practice. */
    private const FISH_WET_SHARE = 0.5;

    /** A thin piece that has enough within so many hours gets too firm by more than so much past its best. Common practice. */
    private const THIN_HOURS = 3.0;

    private const MOST_OF_BEST = 1.25;

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

    /** @param  string  $kind  of food, as a cut has it */
    public static function dry(float $halfThicknessM, string $kind): PreparationWindow
    {
        $most = self::LONGEST_DRY_HOURS[$kind] ?? self::LONGEST_DRY_HOURS_ELSE;
        $best = min($most, max(self::SHORTEST_DRY_HOURS, self::DRY_HOURS_PER_CM2 * (100.0 * $halfThicknessM) ** 2));

        return new PreparationWindow(min($best, max(self::SHORTEST_DRY_HOURS, 0.3 * $best)), $best, $most);
    }

    /** @param  string  $kind  of food, as a cut has it */
    public static function wet(float $halfThicknessM, string $kind): PreparationWindow
    {
        $share = $kind === 'fish' ? self::FISH_WET_SHARE : 1.0;
        $best = min(self::LONGEST_WET_HOURS, max(self::SHORTEST_WET_HOURS, $share * self::WET_HOURS_PER_CM2 * (100.0 * $halfThicknessM) ** 2));

        return new PreparationWindow(
            min($best, max(self::SHORTEST_WET_HOURS, 0.4 * $best)),
            $best,
            $best < self::THIN_HOURS ? self::MOST_OF_BEST * $best : self::LONGEST_WET_HOURS,
        );
    }
}
