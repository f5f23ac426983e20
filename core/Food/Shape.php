<?php

declare(strict_types=1);

namespace Diatherm\Food;

use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

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

    /** Film and radiation of a usual cooker over the conductivity of meat: 22 W/(m²·K) over 0.48 W/(m·K), 1/m. */
    private const USUAL_BIOT_PER_M = 46.0;

    private const THROUGH_GAPS = 0.5;

    /** Exponent of Thomsen's formula for the surface of an ellipsoid. */
    private const THOMSEN = 1.6075;

    private function __construct(
        public float $halfThicknessM,
        public float $exponent,
    ) {
    }

    /** @throws OutOfRange for R outside 2 mm to 30 cm, n outside 0 to 2 */
    public static function of(float $halfThicknessM, float $exponent): self
    {
        return new self(
            OutOfRange::check('half_thickness', $halfThicknessM, self::THINNEST_M, self::THICKEST_M, Unit::Metre),
            OutOfRange::check('shape_exponent', $exponent, 0.0, 2.0, Unit::None),
        );
    }

    /**
     * The exponent of an ellipsoid from its proportions to the shortest axis. A thick joint feels its shape near the core,
     * a thin one the whole of its surface: between the two ends by its Biot number.
     *
     * Source: Lin, Cleland, Serrallach & Cleland 1996, as in the ASHRAE Handbook—Refrigeration, "Cooling and Freezing Times
     * of Foods": E = (Bi^4/3 + 1.85)/(Bi^4/3/E∞ + 1.85/E0) (from memory), with E∞ = 1 + Σ1/β² (Cleland & Earle 1982) and
     * E0 = R·A/V, the surface of an ellipsoid by Thomsen's formula.
     *
     * @param  float  $width  second axis over the shortest, ≥ 1
     * @param  float  $length  longest axis over the shortest, ≥ 1
     */
    public static function exponentOf(float $width, float $length, float $halfThicknessM): float
    {
        [$width, $length] = [max(1.0, $width), max(1.0, $length)];
        $core = 1.0 + 1.0 / $width ** 2 + 1.0 / $length ** 2;
        $p = self::THOMSEN;
        $whole = 3.0 * (($width ** $p + $length ** $p + ($width * $length) ** $p) / 3.0) ** (1.0 / $p) / ($width * $length);
        $biot = (self::USUAL_BIOT_PER_M * $halfThicknessM) ** (4.0 / 3.0);

        return min(2.0, ($biot + 1.85) / ($biot / $core + 1.85 / $whole) - 1.0);
    }

    /**
     * The same piece in a layer of so many that touch: of its other two axes, each reaches as far as the layer does; heat finds
     * half of the way back in through the gaps. Common practice: a crowded pan takes about a quarter longer.
     *
     * @param  int  $pieces  1 upwards
     */
    public function crowded(int $pieces): self
    {
        return self::of(
            $this->halfThicknessM,
            self::THROUGH_GAPS * $this->exponent + (1.0 - self::THROUGH_GAPS) * $this->exponent / max(1, $pieces),
        );
    }

    public function scaled(float $factor): self
    {
        return self::of($this->halfThicknessM * $factor, $this->exponent);
    }
}
