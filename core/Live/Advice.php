<?php

declare(strict_types=1);

namespace Diatherm\Live;

/** The one thing that the core's temperature asks of the cook now. */
final readonly class Advice
{
    /**
     * @param  string  $act  take_off, next_stage, read, read_cooker, hotter, back_on, wait or disagree
     * @param  float|null  $minutes  that it takes; null where that is not known or not asked
     */
    public function __construct(
        public string $act,
        public string $words,
        public string $why,
        public ?float $minutes = null,
    ) {
    }
}
