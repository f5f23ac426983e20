<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Measure\Unit;

/** One of the facts that describe a cooker: what is asked, and what is usual. */
final readonly class Fact
{
    public function __construct(
        public string $id,
        public string $name,
        public Unit $unit,
        public float $usual,
        public float $least,
        public float $most,
    ) {
    }

    public function isCount(): bool
    {
        return $this->unit === Unit::None;
    }
}
