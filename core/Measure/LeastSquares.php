<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/**
 * Normal equations of a weighted least-squares problem, solved by Cholesky's decomposition. Every unknown has a prior, so that they can
 * always be solved.
 *
 * Source: Golub & Van Loan, Matrix Computations, chapter 4 (from memory).
 */
final class LeastSquares
{
    /** @var array<int, array<int, float>> lower triangle */
    private array $matrix = [];

    /** @var array<int, float> */
    private array $right = [];

    /** @param  list<array{float, float}>  $priors  for each unknown: its value and one deviation, above 0 */
    public function __construct(array $priors)
    {
        foreach ($priors as $i => [$value, $deviation]) {
            $this->matrix[$i] = array_fill(0, $i + 1, 0.0);
            $this->matrix[$i][$i] = 1.0 / $deviation ** 2;
            $this->right[] = $value / $deviation ** 2;
        }
    }

    /**
     * What was observed is a sum of the unknowns, each with its slope.
     *
     * @param  array<int, float>  $slopes  by number of the unknown; others are 0
     * @param  float  $weight  one over the variance of what was observed
     */
    public function observe(array $slopes, float $observed, float $weight): void
    {
        foreach ($slopes as $i => $slope) {
            $this->right[$i] += $weight * $slope * $observed;
            foreach ($slopes as $j => $other) {
                if ($j <= $i) {
                    $this->matrix[$i][$j] += $weight * $slope * $other;
                }
            }
        }
    }

    /** @return list<float> the unknowns */
    public function solve(): array
    {
        $count = count($this->right);
        $root = $this->matrix;
        for ($i = 0; $i < $count; $i++) {
            for ($j = 0; $j <= $i; $j++) {
                $sum = $root[$i][$j];
                for ($k = 0; $k < $j; $k++) {
                    $sum -= $root[$i][$k] * $root[$j][$k];
                }
                $root[$i][$j] = $i === $j ? sqrt($sum) : $sum / $root[$j][$j];
            }
        }
        $unknowns = $this->right;
        for ($i = 0; $i < $count; $i++) {
            for ($k = 0; $k < $i; $k++) {
                $unknowns[$i] -= $root[$i][$k] * $unknowns[$k];
            }
            $unknowns[$i] /= $root[$i][$i];
        }
        for ($i = $count - 1; $i >= 0; $i--) {
            for ($k = $i + 1; $k < $count; $k++) {
                $unknowns[$i] -= $root[$k][$i] * $unknowns[$k];
            }
            $unknowns[$i] /= $root[$i][$i];
        }

        return array_values($unknowns);
    }
}
