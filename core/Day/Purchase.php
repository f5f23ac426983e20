<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Measure\Message;

/** One thing to buy. */
final readonly class Purchase
{
    /** @param  string  $aisle  butcher, fishmonger, greengrocer, grocer, baker or fuel */
    public function __construct(
        public string $aisle,
        public Message $what,
        public ?Message $amount,
    ) {
    }

    public function aisleInWords(): Message
    {
        return Message::of('aisle.'.$this->aisle);
    }
}
