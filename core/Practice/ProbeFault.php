<?php

declare(strict_types=1);

namespace Diatherm\Practice;

/** What a probe does that it should not. */
enum ProbeFault: string
{
    case None = 'none';
    /** It works its way out and hangs in the cooker's air. */
    case SlipsOut = 'slips';
    /** Its tip lies on bone, which heat runs along. */
    case TouchesBone = 'bone';
    /** Its radio is not heard for minutes on end. */
    case DropsOut = 'drops';
}
