<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

/** What a cooker was doing when it was read. */
enum Phase: string
{
    case Settled = 'settled';
    case Warming = 'warming';
    case AfterLid = 'after_lid';

    public function inWords(): string
    {
        return match ($this) {
            self::Settled => 'Settled',
            self::Warming => 'Warming up',
            self::AfterLid => 'After a lid lift',
        };
    }
}
