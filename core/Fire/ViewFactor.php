<?php

declare(strict_types=1);

namespace Diatherm\Fire;

/**
 * How much of what one surface gives off another sees: closed forms. Source: Howell, A Catalog of Radiation Configuration
 * Factors; Incropera & DeWitt, chapter 13.
 */
final class ViewFactor
{
    /**
     * Between two aligned parallel rectangles (catalog C-11).
     *
     * @param  float  $apart  same unit as the sides, above 0
     */
    public static function parallelRectangles(float $long, float $wide, float $apart): float
    {
        $x = $long / $apart;
        $y = $wide / $apart;
        $x1 = sqrt(1.0 + $x * $x);
        $y1 = sqrt(1.0 + $y * $y);

        return 2.0 / (M_PI * $x * $y) * (
            log(
                $x1 * $y1 / sqrt(1.0 + $x * $x + $y * $y),
            ) + $x * $y1 * atan($x / $y1) + $y * $x1 * atan($y / $x1) - $x * atan($x) - $y * atan($y)
        );
    }

    /**
     * From a small surface to a rectangle parallel to it, wherever it lies (catalog B-4, by superposition of corners).
     *
     * @param  float  $x  of the small surface, and $y, in the rectangle's own plane, its corner at 0, 0
     * @param  float  $apart  above 0
     */
    public static function pointToRectangle(float $x, float $y, float $long, float $wide, float $apart): float
    {
        $corner = static function (float $a, float $b) use ($apart): float {
            $a /= $apart;
            $b /= $apart;
            $a1 = sqrt(1.0 + $a * $a);
            $b1 = sqrt(1.0 + $b * $b);

            return ($a / $a1 * atan($b / $a1) + $b / $b1 * atan($a / $b1)) / (2.0 * M_PI);
        };

        // Each corner function is odd in both arguments, so the four add up for points inside and outside alike.
        return $corner($long - $x, $wide - $y) + $corner($x, $wide - $y) + $corner($long - $x, $y) + $corner($x, $y);
    }
}
