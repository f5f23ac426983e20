<?php

declare(strict_types=1);

namespace Diatherm\Live;

/**
 * Where readings put normal inputs of which they are linear. A stray reading loses its pull (Student's t, by reweighing).
 * Source: Gelman et al., Bayesian Data Analysis, chapter 17 (t by reweighing).
 */
final class NormalEquations
{
    /** Scatter of a reading: the probe, and what the model leaves out, K. Common practice. */
    private const SCATTER_K = 1.0;

    /** Degrees of freedom of Student's t. */
    private const FREEDOM = 4.0;

    private const REWEIGHINGS = 4;

    /**
     * Where readings put the inputs: the normal equations, solved anew as strays lose their pull.
     *
     * @param  array<int, array<int, float>>  $precision  beforehand
     * @param  array<int, float>  $prior  mean beforehand
     * @param  array<int, float>  $base  about which the slopes hold
     * @param  array<int, array<int, float>>  $slopes  of each reading with each input
     * @param  array<int, float>  $said  readings less what the run at $base says
     * @param  array<int, float>  $share  of a full reading that each one counts for
     * @return array{array<int, float>, array<int, array<int, float>>, float} mean, covariance, and how well all of it fits (log)
     */
    public static function settle(array $precision, array $prior, array $base, array $slopes, array $said, array $share): array
    {
        $count = count($base);
        $mean = $prior;
        $covariance = self::inverse($precision);
        $rest = $said;
        $told = array_map(
            fn (array $row): float => array_sum(array_map(fn (float $p, float $m): float => $p * $m, $row, $prior)),
            $precision,
        );
        for ($round = 0; $round <= ($said === [] ? 0 : self::REWEIGHINGS); $round++) {
            foreach ($said as $i => $off) {
                $rest[$i] = $off;
                foreach ($slopes as $k => $slope) {
                    $rest[$i] -= $slope[$i] * ($mean[$k] - $base[$k]);
                }
            }
            if ($round === self::REWEIGHINGS || $said === []) {
                break;
            }
            [$left, $right] = [$precision, $told];
            foreach ($said as $i => $off) {
                $weight = $share[$i] * (self::FREEDOM + 1.0) / (self::FREEDOM + ($rest[$i] / self::SCATTER_K) ** 2) / self::SCATTER_K ** 2;
                foreach ($slopes as $k => $slope) {
                    $off += $slope[$i] * $base[$k];
                }
                for ($a = 0; $a < $count; $a++) {
                    $w = $weight * $slopes[$a][$i];
                    if ($w !== 0.0) {
                        $right[$a] += $w * $off;
                        for ($b = 0; $b < $count; $b++) {
                            $left[$a][$b] += $w * $slopes[$b][$i];
                        }
                    }
                }
            }
            $covariance = self::inverse($left);
            $mean = array_map(
                fn (array $row): float => array_sum(array_map(fn (float $c, float $r): float => $c * $r, $row, $right)),
                $covariance,
            );
        }
        $fit = 0.0;
        foreach ($rest as $i => $off) {
            $fit -= $share[$i] * 0.5 * (self::FREEDOM + 1.0) * log1p(($off / self::SCATTER_K) ** 2 / self::FREEDOM);
        }
        foreach ($precision as $a => $row) {
            foreach ($row as $b => $one) {
                $fit -= 0.5 * $one * ($mean[$a] - $prior[$a]) * ($mean[$b] - $prior[$b]);
            }
        }

        return [$mean, $covariance, $fit];
    }

    /**
     * Of a symmetric matrix that is positive definite, by Gauss and Jordan.
     *
     * @param  array<int, array<int, float>>  $matrix
     * @return array<int, array<int, float>>
     */
    private static function inverse(array $matrix): array
    {
        $count = count($matrix);
        $inverse = [];
        for ($a = 0; $a < $count; $a++) {
            $inverse[$a] = array_fill(0, $count, 0.0);
            $inverse[$a][$a] = 1.0;
        }
        for ($a = 0; $a < $count; $a++) {
            $pivot = $matrix[$a][$a];
            for ($b = 0; $b < $count; $b++) {
                $matrix[$a][$b] /= $pivot;
                $inverse[$a][$b] /= $pivot;
            }
            for ($i = 0; $i < $count; $i++) {
                if ($i !== $a && $matrix[$i][$a] !== 0.0) {
                    $factor = $matrix[$i][$a];
                    for ($b = 0; $b < $count; $b++) {
                        $matrix[$i][$b] -= $factor * $matrix[$a][$b];
                        $inverse[$i][$b] -= $factor * $inverse[$a][$b];
                    }
                }
            }
        }

        return $inverse;
    }
}
