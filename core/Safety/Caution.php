<?php

declare(strict_types=1);

namespace Diatherm\Safety;

use Diatherm\Measure\Message;
use Diatherm\Measure\Source;

/** Something the cook should know once, where it matters. */
final readonly class Caution
{
    /** @param  bool  $isFatal  whether the food is not to be eaten */
    public function __construct(
        public string $id,
        public Message $words,
        public Source $source,
        public bool $isFatal = false,
    ) {
    }
}
