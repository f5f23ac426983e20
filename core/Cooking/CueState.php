<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

/** Whether the step that is under way may end. */
enum CueState
{
    /** It reads its number: now. */
    case Due;

    /** Nothing was read lately, or less than its number: a reading comes first. */
    case ReadFirst;

    /** As the cooker runs it does not come to its number: no hour can be told. */
    case OutOfReach;
}
