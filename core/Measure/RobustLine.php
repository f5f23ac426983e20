<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/**
 * A straight line y = intercept + slope·x through scattered points, from what was held likely before and what the points
 * say. A stray point keeps its place in the list and loses its pull.
 *
 * Method: maximum a posteriori with Student's t for the scatter and a normal prior on both coefficients, by iteratively
 * reweighted least squares. Source: Lange, Little & Taylor 1989, Robust statistical modeling using the t distribution.
 */
final readonly class RobustLine
{
    /** Degrees of freedom of Student's t. Source: Lange, Little & Taylor 1989 advise 4. */
    public const FREEDOM = 4.0;

    private const ROUNDS = 100;

    /**
     * @param  array{float, float, float}  $covariance  of intercept and slope: aa, ab, bb
     * @param  list<float>  $weights  of each point, 1 for one that lies well, less for a stray
     */
    private function __construct(
        public float $intercept,
        public float $slope,
        public array $covariance,
        public float $scatter,
        public array $weights,
    ) {
    }

    /**
     * @param  list<float>  $x
     * @param  list<float>  $y  as many
     * @param  array{float, float}  $likely  intercept and slope before any point
     * @param  array{float, float}  $doubt  their standard deviations, above 0
     * @param  float  $scatter  of one point about the line, above 0
     */
    public static function through(array $x, array $y, array $likely, array $doubt, float $scatter): self
    {
        [$priorA, $priorB] = [1.0 / $doubt[0] ** 2, 1.0 / $doubt[1] ** 2];
        [$a, $b] = $likely;
        $weights = array_fill(0, count($x), 1.0);
        [$aa, $ab, $bb] = [$priorA, 0.0, $priorB];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            [$aa, $ab, $bb] = [$priorA, 0.0, $priorB];
            [$ya, $yb] = [$priorA * $likely[0], $priorB * $likely[1]];
            foreach ($x as $i => $at) {
                $weight = $weights[$i] / $scatter ** 2;
                $aa += $weight;
                $ab += $weight * $at;
                $bb += $weight * $at * $at;
                $ya += $weight * $y[$i];
                $yb += $weight * $at * $y[$i];
            }
            $whole = $aa * $bb - $ab * $ab;
            [$beforeA, $beforeB] = [$a, $b];
            $a = ($bb * $ya - $ab * $yb) / $whole;
            $b = ($aa * $yb - $ab * $ya) / $whole;
            foreach ($x as $i => $at) {
                $off = ($y[$i] - $a - $b * $at) / $scatter;
                $weights[$i] = (self::FREEDOM + 1.0) / (self::FREEDOM + $off * $off);
            }
            if (abs($a - $beforeA) + abs($b - $beforeB) < 1e-12) {
                break;
            }
        }
        $whole = $aa * $bb - $ab * $ab;

        return new self(
            $a,
            $b,
            [$bb / $whole, -$ab / $whole, $aa / $whole],
            $scatter,
            array_map(fn (float $weight): float => min(1.0, $weight / ((self::FREEDOM + 1.0) / self::FREEDOM)), array_values($weights)),
        );
    }

    public function valueAt(float $x): float
    {
        return $this->intercept + $this->slope * $x;
    }

    /** Standard deviation of the line itself at $x. */
    public function doubtAt(float $x): float
    {
        [$aa, $ab, $bb] = $this->covariance;

        return sqrt(max(0.0, $aa + 2.0 * $ab * $x + $bb * $x * $x));
    }
}
