<?php

declare(strict_types=1);

namespace Diatherm\Food;

use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/** What a food is made of, as mass fractions from 0 to 1 that add up to one. */
final readonly class Composition
{
    private const LARGEST_GAP = 0.03;

    private function __construct(
        public float $water,
        public float $protein,
        public float $fat,
        public float $carbohydrate,
        public float $fibre,
        public float $ash,
    ) {
    }

    /**
     * Fractions as tables print them: rounding leaves a small gap, which is spread over all.
     *
     * @throws OutOfRange when a fraction is negative or the sum is off by more than 3 %
     */
    public static function of(
        float $water,
        float $protein,
        float $fat,
        float $carbohydrate = 0.0,
        float $fibre = 0.0,
        float $ash = 0.01,
    ): self {
        $sum = 0.0;
        foreach ([$water, $protein, $fat, $carbohydrate, $fibre, $ash] as $fraction) {
            $sum += OutOfRange::check('mass_fraction', $fraction, 0.0, 1.0, Unit::None);
        }
        OutOfRange::check('sum_of_mass_fractions', $sum, 1.0 - self::LARGEST_GAP, 1.0 + self::LARGEST_GAP, Unit::None);

        return new self($water / $sum, $protein / $sum, $fat / $sum, $carbohydrate / $sum, $fibre / $sum, $ash / $sum);
    }
}
