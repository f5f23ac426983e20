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
    /** When it is brown: by the eye, about so many minutes. */
    case Brown = 'until_brown';

    /** Whether a clock tells when it is over, and not the core. */
    public function isTimed(): bool
    {
        return $this === self::Minutes || $this === self::Brown;
    }
}
