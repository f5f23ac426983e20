<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

use Diatherm\Food\Shape;
use Diatherm\Heat\Vapour;
use Diatherm\Measure\Bisection;
use Diatherm\Rig\JointSize;

/**
 * A pan under a joint: as large as what drips, and as much water as leaves it while the joint cooks.
 *
 * The water stands where what it takes from air and walls leaves as vapour: h(T_a − T_w) + ε_rσ(…) = 0.015·h(p_sat − p_air),
 * the Lewis relation as for the meat itself.
 */
final readonly class DripPan
{
    /** Beyond the joint on every side, m. Common practice. */
    private const BEYOND_M = 0.04;

    /**
     * Radiation as a coefficient between warm water and walls of 150 °C, emissivity 0.6 for a pan half under its joint: 0.6
     * × 4σT³ at 380 K, worked by hand, W/m²K.
     */
    private const RADIATION_WM2K = 7.5;

    private const MARGIN = 1.3;

    private const PAN_HALF_M = 0.05;

    private function __construct(
        public float $lengthM,
        public float $widthM,
        public float $waterL,
    ) {
    }

    public static function for(Forecast $forecast): self
    {
        $dish = $forecast->dish;
        $size = $dish->rig?->size() ?? JointSize::suggested($dish->cut, $dish->massKg);
        $length = $size->lengthM + 2.0 * self::BEYOND_M;
        $width = $size->widthM + 2.0 * self::BEYOND_M;
        $stage = $dish->stages[0];
        $air = $stage->cooker->inside->surroundings($stage->cookerC, $forecast->airC, Shape::of(self::PAN_HALF_M, 0.0));
        $takes = fn (float $water): float => ($air->convectionWm2K + self::RADIATION_WM2K) * ($air->airC - $water);
        $gives = fn (float $water): float => $air->evaporationWm2Pa * (Vapour::saturationPa($water) - $air->vapourPa);
        $water = Bisection::root(fn (float $c): float => $takes($c) - $gives($c), 5.0, 99.0, 0.05);
        $kgPerM2S = max(0.0, $gives($water)) / Vapour::LATENT_J_KG;

        return new self($length, $width, self::MARGIN * $kgPerM2S * $length * $width * 60.0 * $forecast->cookMinutes->high);
    }
}
