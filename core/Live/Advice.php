<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Measure\Message;

/** The one thing that the core's temperature asks of the cook now. */
final readonly class Advice
{
    /**
     * @param  float|null  $minutes  that it takes; null where that is not known or not asked
     */
    public function __construct(
        public AdviceAct $act,
        public Message $words,
        public Message $why,
        public ?float $minutes = null,
    ) {
    }
}
