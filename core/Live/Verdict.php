<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Measure\Message;

/** What a reading is good for. Every reading is kept; only those that count move the forecast. */
enum Verdict: string
{
    case Counts = 'counts';
    case AboveTheAir = 'above_the_air';
    case AboveBoiling = 'above_boiling';
    case ColderThanAny = 'colder_than_any';
    case FallsTooFast = 'falls_too_fast';
    case RisesTooFast = 'rises_too_fast';
    case Outvoted = 'outvoted';
    case NotTheColdest = 'not_the_coldest';
    /** Right when it was read; the core has sunk since, so the newer one counts. */
    case SankSince = 'sank_since';
    case LessAColder = 'less_a_colder';
    case NotOnTheHeat = 'not_on_the_heat';
    case OddForTheCooker = 'odd_for_the_cooker';

    /** Whether it moves the forecast. */
    public function isCounted(): bool
    {
        return $this === self::Counts || $this === self::LessAColder;
    }

    public function inWords(): Message
    {
        return Message::of('verdict.'.$this->value);
    }
}
