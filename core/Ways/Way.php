<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Measure\Message;
use Diatherm\Roast\Roast;

/** One way to go on: what is done now, what it asks of the food, and the roast as it is from then on. */
final readonly class Way
{
    /**
     * @param  Message  $title  what is done
     * @param  Message  $how  by hand, now
     * @param  Message  $price  what it costs the food or the table
     * @param  array<int, int>  $begun  step that begins now, by number of the dish
     */
    public function __construct(
        public string $id,
        public Message $title,
        public Message $how,
        public Message $price,
        public Roast $roast,
        public array $begun = [],
    ) {
    }
}
