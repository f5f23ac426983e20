<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** Figures in prose. */
final class Figure
{
    /** Closer to a whole degree than this, it is one. */
    private const WHOLE_K = 0.04;

    /**
     * A temperature that someone set or typed, “150 °C”. One that was typed in another unit keeps two decimals, by which
     * the reader's side knows that it is exact and rounds it in the unit that it was typed in: 350 °F stays 350 °F.
     */
    public static function celsius(float $celsius): string
    {
        return abs($celsius - round($celsius)) < self::WHOLE_K ? sprintf('%.0f °C', $celsius) : sprintf('%.2f °C', $celsius);
    }
}
