<?php

declare(strict_types=1);

namespace Diatherm\Roast;

use Diatherm\Heat\Surroundings;

/** What a joint is wrapped in for a step, to get it past its stall. */
enum Wrapping: string
{
    case Foil = 'foil';
    case Paper = 'paper';

    /** Share of its water that butcher's paper still lets out. Common practice: it breathes. */
    private const BREATHES = 0.05;

    /**
     * Emissivity of foil that was crumpled round fat and has been in smoke. Source: Incropera & DeWitt, Table A.11, oxidised
     * aluminium 0.2 to 0.4 (from memory).
     */
    private const SMOKED_FOIL = 0.35;

    public function round(Surroundings $there): Surroundings
    {
        return match ($this) {
            self::Foil => $there->sealed(true, self::SMOKED_FOIL),
            self::Paper => $there->throughSkin($there->skin * self::BREATHES),
        };
    }
}
