<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Measure\Message;

/** One line of a debrief: what was planned beside what happened, and what it means for the next time. */
final readonly class Finding
{
    /** @param  string  $basis  of the fact: read, or computed between readings */
    public function __construct(
        public string $id,
        public Message $what,
        public ?Message $planned,
        public Message $fact,
        public string $basis,
        public ?Message $lesson,
    ) {
    }
}
