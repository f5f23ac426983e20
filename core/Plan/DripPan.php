<?php

declare(strict_types=1);

namespace Diatherm\Plan;

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

    private const LEWIS_K_PA = 0.015;

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
        $air = $stage->cooker->surroundings($stage->cookerC, $forecast->airC, Shape::of(self::PAN_HALF_M, 0.0));
        // Walls at the air's temperature add about as much again as emissivity says: taken with a coefficient of 7 W/m²K.
        $takes = fn (float $water): float => ($air->convectionWm2K + 7.0) * ($air->airC - $water);
        $gives = fn (float $water): float => self::LEWIS_K_PA * $air->convectionWm2K * (Vapour::saturationPa($water) - $air->vapourPa);
        $water = Bisection::root(fn (float $c): float => $takes($c) - $gives($c), 5.0, 99.0, 0.05);
        $kgPerM2S = max(0.0, $gives($water)) / Vapour::LATENT_J_KG;

        return new self($length, $width, self::MARGIN * $kgPerM2S * $length * $width * 60.0 * $forecast->cookMinutes->high);
    }
}
