<?php

declare(strict_types=1);

namespace Diatherm\Roast;

/** What ends a stage. */
enum StageEnd: string
{
    case Minutes = 'minutes';
    case Core = 'until_core_c';
    case Pull = 'pull';
    /** When a tough cut pulls apart. */
    case Tender = 'until_tender';
}
