<?php

declare(strict_types=1);

namespace Diatherm\Live;

/** How far the newest reading is off what the plan and the readings before it let expect. */
final readonly class Surprise
{
    /** What a probe and its placing explain, K. Common practice. */
    private const EXPLAINED_K = 4.0;

    /** Nor is it a surprise within so many deviations of what was expected. */
    private const DEVIATIONS = 1.7;

    private function __construct(
        public float $offK,
        private float $deviationK,
    ) {
    }

    /**
     * @param  list<CourseFit>  $fits  of courses that the newest reading has not thinned yet
     * @param  float  $precision  how much that tells, 1/K²
     */
    public static function of(array $fits, float $precision): self
    {
        $before = array_map(fn (CourseFit $one): float => $one->fit + 0.5 * $precision * $one->offK ** 2, $fits);
        $best = $before === [] ? 0.0 : max($before);
        $sum = $mean = $square = 0.0;
        foreach ($fits as $n => $one) {
            $weight = exp($before[$n] - $best);
            $sum += $weight;
            $mean += $weight * $one->offK;
            $square += $weight * $one->offK ** 2;
        }
        $mean /= max(1e-300, $sum);

        return new self($mean, sqrt(max(0.0, $square / max(1e-300, $sum) - $mean ** 2) + 1.0 / $precision));
    }

    public function isOdd(): bool
    {
        return abs($this->offK) > max(self::EXPLAINED_K, self::DEVIATIONS * $this->deviationK);
    }
}
