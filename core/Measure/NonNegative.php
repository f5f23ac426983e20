<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** Least squares where no unknown may be negative. */
final class NonNegative
{
    /**
     * Multiplicative updates x ← x·Aᵀb / AᵀAx: every step stays non-negative and lowers the sum of squares.
     * Source: Lee & Seung 2001; image space reconstruction algorithm, Daube-Witherspoon & Muehllehner 1986.
     *
     * @param  non-empty-list<non-empty-list<float>>  $a  rows, none negative
     * @param  non-empty-list<float>  $b  wanted, none negative, as many as rows
     * @return list<float> one for each column
     */
    public static function solve(array $a, array $b, int $rounds = 2000): array
    {
        $columns = count($a[0]);
        $x = array_fill(0, $columns, 1.0);
        $atb = array_fill(0, $columns, 0.0);
        $ata = [];
        for ($j = 0; $j < $columns; $j++) {
            foreach ($a as $i => $row) {
                $atb[$j] += $row[$j] * $b[$i];
            }
            for ($k = 0; $k < $columns; $k++) {
                $ata[$j][$k] = 0.0;
                foreach ($a as $row) {
                    $ata[$j][$k] += $row[$j] * $row[$k];
                }
            }
        }
        for ($round = 0; $round < $rounds; $round++) {
            $change = 0.0;
            $next = [];
            for ($j = 0; $j < $columns; $j++) {
                $sum = 1e-300;
                foreach ($x as $k => $value) {
                    $sum += $ata[$j][$k] * $value;
                }
                $next[$j] = $x[$j] * $atb[$j] / $sum;
                $change = max($change, abs($next[$j] - $x[$j]) / max(1e-12, $x[$j]));
            }
            $x = $next;
            if ($change < 1e-7) {
                break;
            }
        }

        return array_values($x);
    }
}
