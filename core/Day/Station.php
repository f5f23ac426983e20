<?php

declare(strict_types=1);

namespace Diatherm\Day;

/** Where hands are wanted. */
enum Station: string
{
    case Kitchen = 'kitchen';
    case Fire = 'fire';
    case Table = 'table';
}
