<?php

declare(strict_types=1);

namespace Diatherm\Rig;

use Diatherm\Measure\Message;

/** Whether a joint goes on a spit, and what it takes. */
enum Fit: string
{
    case AsItIs = 'as_it_is';
    case Tied = 'tied';
    case Folded = 'folded';
    case TooWide = 'too_wide';
    case TooLong = 'too_long';

    public function fits(): bool
    {
        return $this !== self::TooWide && $this !== self::TooLong;
    }

    public function inWords(): Message
    {
        return Message::of('fit.'.$this->value);
    }
}
