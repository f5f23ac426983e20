<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Measure\InvalidInput;
use Diatherm\Roast\Roast;

/** Works a changed roast out to its end, from what has really happened to it. */
interface Prospect
{
    /**
     * @param  array<int, int>  $begun  step that begins now, by number of the dish
     *
     * @throws InvalidInput where a dish does not get there
     */
    public function standing(Roast $roast, array $begun): Standing;

    /**
     * One dish alone, which is quicker.
     *
     * @param  array<int, int>  $begun
     * @return float|null from now until it comes off, likely; null where it does not get there
     */
    public function minutesToPull(Roast $roast, array $begun, int $dish): ?float;
}
