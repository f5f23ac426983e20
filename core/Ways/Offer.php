<?php

declare(strict_types=1);

namespace Diatherm\Ways;

/** A way and what comes of it. */
final readonly class Offer
{
    public function __construct(
        public Way $way,
        public Outcome $outcome,
    ) {
    }
}
