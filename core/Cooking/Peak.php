<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

/** Where a core stops climbing. */
final readonly class Peak
{
    /** @param  float  $seconds  from the start of the course */
    public function __construct(
        public float $celsius,
        public float $seconds,
    ) {
    }
}
