<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Measure\Message;

/** Something for hands to do: what, and how. */
final readonly class Task
{
    public function __construct(
        public Message $title,
        public ?Message $detail = null,
    ) {
    }
}
