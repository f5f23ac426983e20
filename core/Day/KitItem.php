<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Measure\Message;

/** One thing to have ready. */
final readonly class KitItem
{
    public function __construct(
        public string $id,
        public Message $name,
        public Message $why,
        public ?\DateTimeImmutable $neededBy,
    ) {
    }
}
