<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Plan\Dish;
use Diatherm\Plan\Uncertainty;

/** One possible truth about the uncertain inputs, in standard deviations from what was planned. */
final readonly class Guess
{
    /** @param  array{float, float, float}  $deviations heat transfer, thickness, start temperature */
    private function __construct(
        public array $deviations,
        public float $transfer,
        public float $thickness,
        public float $warmerK,
    ) {
    }

    /** @param  array{float, float, float}  $deviations heat transfer, thickness, start temperature */
    public static function of(array $deviations, Dish $dish): self
    {
        $one = 1.0 / Uncertainty::DEVIATIONS;

        return new self(
            $deviations,
            exp($deviations[0] * $one * log(1.0 + Uncertainty::TRANSFER)),
            exp($deviations[1] * $one * log(1.0 + Uncertainty::thickness($dish))),
            max($deviations[2] * $one * Uncertainty::START_K, -4.5 - $dish->startC),
        );
    }

    /** Log-density before any reading, but for a constant. */
    public function logPrior(): float
    {
        [$a, $b, $c] = $this->deviations;

        return -0.5 * ($a * $a + $b * $b + $c * $c);
    }
}
