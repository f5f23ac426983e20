<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** Least squares where no unknown may be negative. */
final class NonNegative
{
    /** No unknown moves by more than this share of the largest in a round: found. */
    private const STILL = 1e-9;

    /**
     * One unknown after another goes to where it serves best, or to none: every step lowers the sum of squares.
     * Source: Franc, Hlaváč & Navara 2005, sequential coordinate-wise algorithm.
     *
     * @param  non-empty-list<non-empty-list<float>>  $a  rows
     * @param  non-empty-list<float>  $b  wanted, as many as rows
     * @return list<float> one for each column
     */
    public static function solve(array $a, array $b, int $rounds = 5000): array
    {
        $columns = count($a[0]);
        $x = array_fill(0, $columns, 0.0);
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
            $moved = 0.0;
            for ($j = 0; $j < $columns; $j++) {
                $slope = -$atb[$j];
                foreach ($x as $k => $value) {
                    $slope += $ata[$j][$k] * $value;
                }
                $next = max(0.0, $x[$j] - $slope / max(1e-300, $ata[$j][$j]));
                $moved = max($moved, abs($next - $x[$j]));
                $x[$j] = $next;
            }
            if ($moved <= self::STILL * max($x)) {
                break;
            }
        }

        return array_values($x);
    }
}
