<?php

declare(strict_types=1);

namespace Diatherm\Day;

/** One thing to have ready. */
final readonly class KitItem
{
    public function __construct(
        public string $id,
        public string $name,
        public string $why,
        public ?\DateTimeImmutable $neededBy,
    ) {
    }
}
