<?php

declare(strict_types=1);

namespace Diatherm\Roast;

use Diatherm\Food\Side;

/** A side as it was asked for: which, what it is called at this table, and how long it takes this cook. */
final readonly class SideDish
{
    /**
     * @param  float|null  $minutes  that it takes; null for as long as is usual
     * @param  int  $course  in which it is served, the first is 1
     * @param  int|null  $with  number of the dish that it shares a pot or pan with; null for a place of its own
     */
    public function __construct(
        public Side $side,
        public string $name,
        public ?float $minutes = null,
        public int $course = 1,
        public ?int $with = null,
    ) {
    }

    /** From when it goes on until it is done: what the cook knows, else the slow end of what is usual. */
    public function takesMinutes(): float
    {
        return $this->minutes ?? $this->side->mostMinutes;
    }

    /** For which it may stand done at the slow end, and still waits well at the quick one; below 0 where that is more than it bears. */
    public function patienceMinutes(): float
    {
        return $this->side->waitsMinutes - $this->looseMinutes();
    }

    /** By which it may be done sooner than that. */
    public function looseMinutes(): float
    {
        return $this->minutes === null ? $this->side->mostMinutes - $this->side->leastMinutes : 0.0;
    }
}
