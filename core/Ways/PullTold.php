<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Measure\Message;

/** When a dish comes off: in words, and to be drawn. */
final readonly class PullTold
{
    /** @param  \DateTimeImmutable  $low  one in ten comes off sooner; $high one in ten later */
    public function __construct(
        public Message $words,
        public \DateTimeImmutable $low,
        public \DateTimeImmutable $likely,
        public \DateTimeImmutable $high,
    ) {
    }
}
