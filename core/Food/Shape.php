<?php

declare(strict_types=1);

namespace Diatherm\Food;

use Diatherm\Measure\OutOfRange;

/**
 * A joint as heat sees it: the distance from its coldest point to the nearest surface, and how many sides help.
 *
 * The exponent n is that of the surface's growth with radius: slab 0, long cylinder 1, sphere 2, real joints between;
 * volume over surface is R/(n+1).
 * Source: Cleland & Earle 1982, equivalent heat transfer dimensionality (E = n + 1).
 */
final readonly class Shape
{
    public const THINNEST_M = 0.002;

    public const THICKEST_M = 0.30;

    private function __construct(
        public float $halfThicknessM,
        public float $exponent,
    ) {
    }

    /** @throws OutOfRange for R outside 2 mm to 30 cm, n outside 0 to 2 */
    public static function of(float $halfThicknessM, float $exponent): self
    {
        return new self(
            OutOfRange::check('half-thickness', $halfThicknessM, self::THINNEST_M, self::THICKEST_M, 'm'),
            OutOfRange::check('shape exponent', $exponent, 0.0, 2.0, ''),
        );
    }

    /**
     * The exponent of an ellipsoid from its proportions to the shortest axis.
     *
     * Source: Cleland & Earle 1982 in the limit of a well-conducting surface: each further axis adds 1/β².
     *
     * @param  float  $width  second axis over the shortest, ≥ 1
     * @param  float  $length  longest axis over the shortest, ≥ 1
     */
    public static function exponentOf(float $width, float $length): float
    {
        return 1.0 / max(1.0, $width) ** 2 + 1.0 / max(1.0, $length) ** 2;
    }

    public function scaled(float $factor): self
    {
        return self::of($this->halfThicknessM * $factor, $this->exponent);
    }
}
