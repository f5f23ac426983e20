<?php

declare(strict_types=1);

namespace Diatherm\Heat;

/**
 * How finely a roast is computed: cells, and the longest step in seconds and as a share of the body's own time
 * (Fourier number), since a fillet moves faster than a haunch. Figures of the error are in docs/numbers.md, made by `php artisan diatherm:numbers`.
 */
final readonly class Resolution
{
    private function __construct(
        public int $cells,
        public float $longestStepS,
        public float $longestStepFo,
        public float $grading,
    ) {
    }

    /** For one forecast that is shown. */
    public static function fine(): self
    {
        return new self(24, 30.0, 8e-4, 0.9);
    }

    /** For ensembles of hundreds of runs. */
    public static function coarse(): self
    {
        return new self(9, 150.0, 6e-3, 0.75);
    }

    /** For convergence studies. */
    public static function of(int $cells, float $longestStepS): self
    {
        return new self(max(3, $cells), max(0.1, $longestStepS), INF, 0.9);
    }
}
