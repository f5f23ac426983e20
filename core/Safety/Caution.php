<?php

declare(strict_types=1);

namespace Diatherm\Safety;

use Diatherm\Measure\Message;
use Diatherm\Measure\Source;

/** Something the cook should know once, where it matters. */
final readonly class Caution
{
    public function __construct(
        public string $id,
        public Message $words,
        public Source $source,
    ) {
    }
}
