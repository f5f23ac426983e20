<?php

declare(strict_types=1);

namespace Diatherm\Tending;

use Diatherm\Measure\Message;

/** A refuel on the run sheet that nobody has ticked yet. */
final readonly class DueRefuel
{
    /** @param  float  $minutes  until it is due; negative when it is late */
    public function __construct(public Message $words, public float $minutes)
    {
    }
}
