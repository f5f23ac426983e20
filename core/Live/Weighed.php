<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Measure\Spread;

/** Weighed outcomes, and the points below which a given share of the weight lies. */
final class Weighed
{
    /**
     * @param  non-empty-list<float>  $values
     * @param  list<float>  $weights  as many, adding up to 1
     * @return Spread 10, 50 and 90 %
     */
    public static function spread(array $values, array $weights): Spread
    {
        [$low, $likely, $high] = self::quantiles($values, $weights, [0.1, 0.5, 0.9]);

        return Spread::of(min($low, $likely), $likely, max($likely, $high));
    }

    /**
     * @param  non-empty-list<float>  $values
     * @param  list<float>  $weights
     * @param  array{float, float, float}  $shares  rising
     * @return array{float, float, float}
     */
    private static function quantiles(array $values, array $weights, array $shares): array
    {
        $order = array_keys($values);
        usort($order, fn (int $a, int $b): int => $values[$a] <=> $values[$b]);
        $found = [];
        $sum = 0.0;
        $before = $values[$order[0]];
        foreach ($order as $i) {
            $middle = $sum + 0.5 * $weights[$i];
            while (isset($shares[count($found)]) && $middle >= $shares[count($found)]) {
                $share = $shares[count($found)];
                $span = max(1e-300, $middle - ($lastMiddle ?? 0.0));
                $found[] = $before + ($values[$i] - $before) * min(1.0, ($share - ($lastMiddle ?? 0.0)) / $span);
            }
            $sum += $weights[$i];
            $before = $values[$i];
            $lastMiddle = $middle;
        }
        while (count($found) < 3) {
            $found[] = $before;
        }

        return [$found[0], $found[1], $found[2]];
    }
}
