<?php

declare(strict_types=1);

namespace Diatherm\Rig;

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

    public function inWords(): string
    {
        return match ($this) {
            self::AsItIs => 'It fits, even with a leg loose.',
            self::Tied => 'It fits when it is tied; a loose leg would touch.',
            self::Folded => 'It fits when neck and back are folded in, or the shanks cut and tied.',
            self::TooWide => 'It does not turn: too wide for the room round the spit.',
            self::TooLong => 'It does not go between the forks, even folded.',
        };
    }
}
