<?php

declare(strict_types=1);

namespace Diatherm\Day;

/** What is known of the core that a dish came off the heat with, and what that asks for before the knife. */
enum CameOff
{
    case AsRead;

    /** Worked out, and nothing against it. */
    case WorkedOut;

    /** Worked out, and short: it is read before anybody does anything about it. */
    case Unread;

    /** Read, and short: it goes back on the heat. */
    case TooSoon;

    /** Short, and off the heat too long for it to go back: it is not eaten. */
    case LeftOut;
}
