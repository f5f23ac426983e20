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
}
