<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** How far a figure can be trusted. */
enum Mark: string
{
    case Published = 'published';
    case Memory = 'memory';
    case Common = 'common';
    case Computed = 'computed';

    public function inWords(): string
    {
        return match ($this) {
            self::Published => 'Published',
            self::Memory => 'Published; value given from memory',
            self::Common => 'Common practice',
            self::Computed => 'Computed here',
        };
    }
}
