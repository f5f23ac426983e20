<?php

declare(strict_types=1);

namespace Diatherm\Food;

use Diatherm\Measure\Source;

/** A taste, and the core temperature that it means when the roast is eaten. */
final readonly class Doneness
{
    public function __construct(
        public string $id,
        public string $name,
        public float $coreC,
        public Source $source,
    ) {
    }
}
