<?php

declare(strict_types=1);

namespace Diatherm\Live;

/** What the core's temperature can ask of a cook. */
enum AdviceAct: string
{
    case TakeOff = 'take_off';
    case NextStage = 'next_stage';
    case Read = 'read';
    case ReadCooker = 'read_cooker';
    case Hotter = 'hotter';
    case BackOn = 'back_on';
    case Discard = 'discard';
    case Wait = 'wait';
    case Disagree = 'disagree';
}
