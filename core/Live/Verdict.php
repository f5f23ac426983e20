<?php

declare(strict_types=1);

namespace Diatherm\Live;

/** What a reading is good for. Every reading is kept; only those that count move the forecast. */
enum Verdict: string
{
    case Counts = 'counts';
    case AboveTheAir = 'above_the_air';
    case FallsTooFast = 'falls_too_fast';
    case RisesTooFast = 'rises_too_fast';
    case NotTheColdest = 'not_the_coldest';
    case NotOnTheHeat = 'not_on_the_heat';

    public function inWords(): string
    {
        return match ($this) {
            self::Counts => 'Counts',
            self::AboveTheAir => 'Left out: hotter than the air around the meat. Is the probe touching metal?',
            self::FallsTooFast => 'Left out: meat cannot cool that fast. Is the probe still in?',
            self::RisesTooFast => 'Left out: heat cannot get to the core that fast. Near a bone or the surface?',
            self::NotTheColdest => 'Left out: another place was colder, and the coldest decides.',
            self::NotOnTheHeat => 'Left out: taken before the dish went on.',
        };
    }
}
