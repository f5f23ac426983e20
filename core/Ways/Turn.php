<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Measure\Message;

/** What makes a cook ask for another way: something that came between on the day, or a doubt at the planning. */
enum Turn: string
{
    case GuestsLate = 'guests_late';
    case Behind = 'behind';
    case Ahead = 'ahead';
    /** Its outside is as it should be, and its middle is not. */
    case SkinAhead = 'skin_ahead';
    /** A tough cut whose core moves no more. */
    case Stalled = 'stalled';
    case FlareUp = 'flare_up';
    case Rain = 'rain';
    case NoFuel = 'no_fuel';
    case OneMore = 'one_more';
    /** Two dishes want two heats of one cooker at the same time, or more room than it has. */
    case Shared = 'shared';
    /** Nothing happened: how else could it be cooked? */
    case Compare = 'compare';

    public function inWords(): Message
    {
        return Message::of("turn.$this->value");
    }
}
