<?php

declare(strict_types=1);

namespace Diatherm\Live;

/** What a reading is good for. Every reading is kept; only those that count move the forecast. */
enum Verdict: string
{
    case Counts = 'counts';
    case AboveTheAir = 'above_the_air';
    case AboveBoiling = 'above_boiling';
    case FallsTooFast = 'falls_too_fast';
    case RisesTooFast = 'rises_too_fast';
    case Outvoted = 'outvoted';
    case NotTheColdest = 'not_the_coldest';
    case NotOnTheHeat = 'not_on_the_heat';
    case OddForTheCooker = 'odd_for_the_cooker';

    public function inWords(): string
    {
        return match ($this) {
            self::Counts => 'Counts',
            self::AboveTheAir => 'Left out: hotter than the air around the meat. Is the probe touching metal?',
            self::AboveBoiling => 'Left out: no core is hotter than boiling water. Is the probe in the meat?',
            self::FallsTooFast => 'Not counted yet: meat cannot cool that fast. Read it again: two that agree count.',
            self::RisesTooFast => 'Not counted yet: heat cannot get to the core that fast. Read it again: two that agree count.',
            self::Outvoted => 'Left out: later readings agree with each other and not with this one.',
            self::NotTheColdest => 'Left out: another place was colder, and the coldest decides.',
            self::NotOnTheHeat => 'Left out: taken before the dish went on.',
            self::OddForTheCooker => 'Left out: far from anything that this cooker was at. Was it the core?',
        };
    }
}
