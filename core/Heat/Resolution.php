<?php

declare(strict_types=1);

namespace Diatherm\Heat;

/**
 * How finely a roast is computed: cells, and the longest step in seconds and as a share of the body's own time
 * (Fourier number), since a fillet moves faster than a haunch. Figures of the error are in docs/numbers.md, made by `php
 * artisan diatherm:numbers`.
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

    /** @return array<int, float> faces from 0 to 1 */
    public function faces(): array
    {
        $cells = $this->cells;
        $widths = [];
        for ($i = 0; $i < $cells; $i++) {
            $widths[] = $this->grading ** $i;
        }
        // The core is read at the innermost cell, which stands for the very centre: it is made half as wide.
        $widths[0] *= 0.5;
        $sum = array_sum($widths);
        $faces = [0.0];
        $at = 0.0;
        foreach ($widths as $width) {
            $at += $width / $sum;
            $faces[] = $at;
        }
        $faces[$cells] = 1.0;

        return $faces;
    }

    /** @return list<float> distance of each cell's middle from the centre, as a share of the half-thickness */
    public function positions(): array
    {
        $faces = $this->faces();
        $positions = [];
        for ($i = 0; $i < $this->cells; $i++) {
            $positions[] = 0.5 * ($faces[$i] + $faces[$i + 1]);
        }
        $positions[0] = 0.0;

        return $positions;
    }
}
