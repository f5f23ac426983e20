<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Heat\Substance;
use Diatherm\Roast\Dish;

/** How far a core can get from one reading to the next in the same place. What lies beyond is asked about before it counts. */
final readonly class ReadingLimits
{
    /** A probe's own scatter, with its placing, K. Common practice. */
    public const SLACK_K = 3.0;

    /** A core that falls faster than this did not fall: the probe came out, K/min. Common practice. */
    public const FALL_K_MIN = 2.0;

    /** The wet surface of meat goes little above this while its inside is still raw, °C. Common practice. */
    public const HOTTEST_SURFACE_C = 110.0;

    /**
     * First eigenvalue π² of a sphere whose surface is held: no body's centre follows its surface faster. Source: Incropera
     * & DeWitt, section 5.6.
     */
    private const QUICKEST_MODE = M_PI ** 2;

    private const TYPICAL_C = 40.0;

    private const MARGIN = 1.5;

    /** @param  float  $risePerMin  share of the way to the hottest surface that a core can go in a minute, as a rate */
    private function __construct(public float $risePerMin)
    {
    }

    public static function of(Dish $dish): self
    {
        $substance = Substance::from($dish->cut->composition);
        $diffusivity = $substance->conductivityWmK(self::TYPICAL_C) / (
            $substance->densityKgM3(self::TYPICAL_C) * $substance->specificHeatJKgK(self::TYPICAL_C)
        );

        return new self(60.0 * self::MARGIN * self::QUICKEST_MODE * $diffusivity / $dish->shape()->halfThicknessM ** 2);
    }

    /** Least that follows a core of $fromC after so many minutes, °C. */
    public function leastC(float $fromC, float $minutes): float
    {
        return $fromC - self::SLACK_K - self::FALL_K_MIN * $minutes;
    }

    /** Most that follows it, °C. */
    public function mostC(float $fromC, float $minutes): float
    {
        return $fromC + self::SLACK_K + (self::HOTTEST_SURFACE_C - $fromC) * (1.0 - exp(-$this->risePerMin * $minutes));
    }
}
