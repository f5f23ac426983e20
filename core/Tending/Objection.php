<?php

declare(strict_types=1);

namespace Diatherm\Tending;

use Diatherm\Measure\Message;

/** What the readings of the meat say against leaving its cooker as it is. */
final readonly class Objection
{
    public function __construct(public Message $words, public Message $why)
    {
    }
}
