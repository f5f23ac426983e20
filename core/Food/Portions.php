<?php

declare(strict_types=1);

namespace Diatherm\Food;

/** Whom several dishes feed together: each takes its share of every eater. Vegetables are beside the meat, not in its place. */
final class Portions
{
    /**
     * @param  list<array{Cut, float}>  $dishes  cut and raw mass in all, kg
     * @return array{int, int} how many hungry and how many modest eaters
     */
    public static function table(array $dishes): array
    {
        $hungry = $modest = 0.0;
        foreach ($dishes as [$cut, $kg]) {
            if ($cut->isPerishable()) {
                $hungry += 1000.0 * $kg / $cut->perPersonG[1];
                $modest += 1000.0 * $kg / $cut->perPersonG[0];
            }
        }

        return [(int) floor($hungry + 1e-9), (int) floor($modest + 1e-9)];
    }
}
