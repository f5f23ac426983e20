<?php

declare(strict_types=1);

namespace Diatherm\Live;

/** One line of a debrief: what was planned beside what happened, and what it means for the next time. */
final readonly class Finding
{
    /** @param  string  $basis  of the fact: read, or computed between readings */
    public function __construct(
        public string $id,
        public string $what,
        public string $planned,
        public string $fact,
        public string $basis,
        public string $lesson,
    ) {
    }
}
