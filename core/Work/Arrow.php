<?php

declare(strict_types=1);

namespace Diatherm\Work;

/** One piece of work begins at least, and at most, so long after another is over. */
final readonly class Arrow
{
    /** @param  float|null  $mostMinutes  null where it may wait as long as it likes */
    public function __construct(
        public string $before,
        public string $after,
        public float $leastMinutes = 0.0,
        public ?float $mostMinutes = null,
    ) {
    }
}
