<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** A long series of points in time made short, so that what is computed from it does not grow with it. */
final class Thinned
{
    /**
     * Means of as many even spans as are wanted, the last point kept as it is; short series as they are.
     *
     * @param  list<array{float, float}>  $points  time and value, in order
     * @param  int  $most  2 or more
     * @return list<array{float, float}> at most so many
     */
    public static function points(array $points, int $most): array
    {
        $count = count($points);
        if ($count <= $most) {
            return $points;
        }
        $last = $points[$count - 1];
        $from = $points[0][0];
        $width = max(1e-9, ($last[0] - $from) / ($most - 1));
        $sums = [];
        for ($i = 0; $i < $count - 1; $i++) {
            $span = min($most - 2, (int) floor(($points[$i][0] - $from) / $width));
            $sums[$span] ??= [0.0, 0.0, 0];
            $sums[$span] = [$sums[$span][0] + $points[$i][0], $sums[$span][1] + $points[$i][1], $sums[$span][2] + 1];
        }

        return [...array_map(fn (array $sum): array => [$sum[0] / $sum[2], $sum[1] / $sum[2]], array_values($sums)), $last];
    }
}
