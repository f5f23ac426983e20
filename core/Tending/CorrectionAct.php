<?php

declare(strict_types=1);

namespace Diatherm\Tending;

/** What can be done to a fire now. */
enum CorrectionAct: string
{
    case Hold = 'hold';
    case Wait = 'wait';
    case Set = 'set';
    case Fuel = 'fuel';
    case Shelter = 'shelter';
}
