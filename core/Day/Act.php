<?php

declare(strict_types=1);

namespace Diatherm\Day;

/** What a run sheet entry asks for; the order is that of the work. */
enum Act: string
{
    case Prepare = 'prepare';
    case TakeOut = 'take_out';
    case Rig = 'rig';
    case Light = 'light';
    case Preheat = 'preheat';
    case On = 'on';
    case Cover = 'cover';
    case FirstLook = 'first_look';
    case Chore = 'chore';
    case Fire = 'fire';
    case Stage = 'stage';
    case Side = 'side';
    /** A reading before a step that the core decides may end. */
    case Read = 'read';
    case Pull = 'pull';
    case Rest = 'rest';
    case Hold = 'hold';
    case Carve = 'carve';
    case Serve = 'serve';
    case After = 'after';
}
