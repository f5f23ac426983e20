<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** Root of a function that changes sign once between two ends. */
final class Bisection
{
    /**
     * @param  \Closure(float): float  $f
     * @return float the root to within $tolerance, or the end nearer to zero when the sign does not change
     */
    public static function root(\Closure $f, float $low, float $high, float $tolerance): float
    {
        $atLow = $f($low);
        $atHigh = $f($high);
        if ($atLow * $atHigh > 0) {
            return abs($atLow) < abs($atHigh) ? $low : $high;
        }
        while ($high - $low > $tolerance) {
            $middle = 0.5 * ($low + $high);
            $atMiddle = $f($middle);
            if ($atLow * $atMiddle > 0) {
                $low = $middle;
                $atLow = $atMiddle;
            } else {
                $high = $middle;
            }
        }

        return 0.5 * ($low + $high);
    }
}
