<?php

declare(strict_types=1);

namespace Diatherm\Live;

/**
 * A normal distribution of three variables, from which evenly spread draws are taken: no randomness, so that the same
 * readings always give the same forecast.
 */
final readonly class Normal
{
    /** Bases of the Halton sequence. Source: Halton 1960, Numerische Mathematik 2. */
    private const BASES = [2, 3, 5];

    /** Added to the diagonal so that a direction that the readings have settled keeps some width. */
    private const LEAST_VARIANCE = 0.01;

    /**
     * @param  array{float, float, float}  $mean
     * @param  array{array{float, float, float}, array{float, float, float}, array{float, float, float}}  $root  lower Cholesky factor
     */
    private function __construct(
        private array $mean,
        private array $root,
    ) {
    }

    public static function standard(): self
    {
        return new self([0.0, 0.0, 0.0], [[1.0, 0.0, 0.0], [0.0, 1.0, 0.0], [0.0, 0.0, 1.0]]);
    }

    /**
     * The normal with the mean and covariance of weighed points, widened by $wider.
     *
     * @param  list<array{float, float, float}>  $points
     * @param  list<float>  $weights  adding up to 1
     */
    public static function like(array $points, array $weights, float $wider): self
    {
        $mean = [0.0, 0.0, 0.0];
        foreach ($points as $i => $point) {
            for ($a = 0; $a < 3; $a++) {
                $mean[$a] += $weights[$i] * $point[$a];
            }
        }
        $c = [[0.0, 0.0, 0.0], [0.0, 0.0, 0.0], [0.0, 0.0, 0.0]];
        foreach ($points as $i => $point) {
            for ($a = 0; $a < 3; $a++) {
                for ($b = 0; $b <= $a; $b++) {
                    $c[$a][$b] += $wider * $wider * $weights[$i] * ($point[$a] - $mean[$a]) * ($point[$b] - $mean[$b]);
                }
            }
        }
        $l00 = sqrt($c[0][0] + self::LEAST_VARIANCE);
        $l10 = $c[1][0] / $l00;
        $l11 = sqrt($c[1][1] + self::LEAST_VARIANCE - $l10 ** 2);
        $l20 = $c[2][0] / $l00;
        $l21 = ($c[2][1] - $l20 * $l10) / $l11;
        $l22 = sqrt($c[2][2] + self::LEAST_VARIANCE - $l20 ** 2 - $l21 ** 2);

        return new self([$mean[0], $mean[1], $mean[2]], [[$l00, 0.0, 0.0], [$l10, $l11, 0.0], [$l20, $l21, $l22]]);
    }

    /** @return list<array{float, float, float}> $count evenly spread draws */
    public function draws(int $count): array
    {
        $draws = [];
        for ($i = 1; $i <= $count; $i++) {
            $z = array_map(fn (int $base): float => self::quantile(self::halton($i, $base)), self::BASES);
            $draws[] = [
                $this->mean[0] + $this->root[0][0] * $z[0],
                $this->mean[1] + $this->root[1][0] * $z[0] + $this->root[1][1] * $z[1],
                $this->mean[2] + $this->root[2][0] * $z[0] + $this->root[2][1] * $z[1] + $this->root[2][2] * $z[2],
            ];
        }

        return $draws;
    }

    /**
     * Log-density but for the constant that all normals of three variables share.
     *
     * @param  array{float, float, float}  $point
     */
    public function logDensity(array $point): float
    {
        $l = $this->root;
        $a = ($point[0] - $this->mean[0]) / $l[0][0];
        $b = ($point[1] - $this->mean[1] - $l[1][0] * $a) / $l[1][1];
        $c = ($point[2] - $this->mean[2] - $l[2][0] * $a - $l[2][1] * $b) / $l[2][2];

        return -0.5 * ($a * $a + $b * $b + $c * $c) - log($l[0][0] * $l[1][1] * $l[2][2]);
    }

    /** Quantile of the standard normal, to 4.5e-4. Source: Abramowitz & Stegun 26.2.23. */
    public static function quantile(float $share): float
    {
        $tail = min($share, 1.0 - $share);
        $t = sqrt(-2.0 * log($tail));
        $z = $t - (2.515517 + $t * (0.802853 + $t * 0.010328)) / (1.0 + $t * (1.432788 + $t * (0.189269 + $t * 0.001308)));

        return $share < 0.5 ? -$z : $z;
    }

    private static function halton(int $index, int $base): float
    {
        $share = 0.0;
        $digit = 1.0;
        while ($index > 0) {
            $digit /= $base;
            $share += $digit * ($index % $base);
            $index = intdiv($index, $base);
        }

        return $share;
    }
}
