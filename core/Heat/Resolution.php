<?php

declare(strict_types=1);

namespace Diatherm\Heat;

/** How finely a roast is computed. Figures of the error are in docs/numbers.md, made by `bin/bench`. */
final readonly class Resolution
{
    private function __construct(
        public int $cells,
        public float $longestStepS,
    ) {
    }

    /** For one forecast that is shown. */
    public static function fine(): self
    {
        return new self(20, 40.0);
    }

    /** For ensembles of hundreds of runs. */
    public static function coarse(): self
    {
        return new self(9, 150.0);
    }

    /** For convergence studies. */
    public static function of(int $cells, float $longestStepS): self
    {
        return new self(max(3, $cells), max(0.1, $longestStepS));
    }
}
