<?php

declare(strict_types=1);

namespace Diatherm\Obstacles;

use Diatherm\Measure\Message;
use Diatherm\Roast\Roast;

/** One press that takes an obstacle away. */
final readonly class WayOut
{
    /** @param  Roast  $roast  as it is then */
    public function __construct(
        public Message $words,
        public Roast $roast,
    ) {
    }
}
