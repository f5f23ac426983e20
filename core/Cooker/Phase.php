<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Measure\Message;

/** What a cooker was doing when it was read. */
enum Phase: string
{
    case Settled = 'settled';
    case Warming = 'warming';
    case AfterLid = 'after_lid';

    public function inWords(): Message
    {
        return Message::of('phase.'.$this->value);
    }
}
