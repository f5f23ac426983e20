<?php

declare(strict_types=1);

namespace Diatherm\Food;

/** How long a preparation wants: less than the least does not help, more than the most gains nothing. Hours. */
final readonly class PreparationWindow
{
    public function __construct(
        public float $leastHours,
        public float $bestHours,
        public float $mostHours,
    ) {
    }

    /** Between the least (0) and the best (1). */
    public function hours(float $share): float
    {
        return $this->leastHours + max(0.0, min(1.0, $share)) * ($this->bestHours - $this->leastHours);
    }
}
