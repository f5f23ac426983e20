<?php

declare(strict_types=1);

namespace Diatherm\Roast;

use Diatherm\Food\Side;

/** A side as it was asked for: which, what it is called at this table, and how long it takes this cook. */
final readonly class SideDish
{
    private const ITS_OWN_C = 75.0;

    private const SLOWEST = 2.0;

    private const QUICKEST = 0.6;

    /** Above the most that it is given, it is black outside first. Common practice. */
    private const SCORCHES_K = 40.0;

    /**
     * @param  float|null  $minutes  that it takes; null for as long as is usual
     * @param  int  $course  in which it is served, the first is 1
     * @param  int|null  $with  number of the dish that it shares a pot or pan with; null for a place of its own
     * @param  Anchor|null  $anchor  the moment of a dish that it hangs on; null for as near to the table as it waits well
     * @param  string|null  $on  kind of the cooker, one of this roast's, that it lies on; null for a place of its own
     */
    public function __construct(
        public Side $side,
        public string $name,
        public ?float $minutes = null,
        public int $course = 1,
        public ?int $with = null,
        public ?string $on = null,
        public ?Anchor $anchor = null,
    ) {
    }

    /** In a place of its own. */
    public function alone(): self
    {
        return new self($this->side, $this->name, $this->minutes, $this->course, anchor: $this->anchor);
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

    /**
     * How much longer it takes at another heat than it is usually given, as a factor: what is baked and browned stands near 75 °C meanwhile,
     * and takes its heat from what the cooker has above that. Common practice: potatoes that take an hour at 180 take two at 120.
     */
    public function slowness(?float $cookerC): float
    {
        [$least, $most] = [$this->side->leastC, $this->side->mostC];
        if ($cookerC === null || $least === null || $most === null) {
            return 1.0;
        }
        $usualC = min($most, max($least, $cookerC));
        $slowness = ($usualC - self::ITS_OWN_C) / max(1.0, $cookerC - self::ITS_OWN_C);

        return min(self::SLOWEST, max(self::QUICKEST, $slowness));
    }

    /**
     * Whether it can be done at that heat at all: neither dried out before it browns, nor burnt before it is done; straight over the fire
     * no more than it is ever given.
     */
    public function bears(float $cookerC, bool $overFire = false): bool
    {
        return $this->side->leastC === null || $this->side->mostC === null
            || ($this->slowness($cookerC) < self::SLOWEST && $cookerC <= $this->side->mostC + ($overFire ? 0.0 : self::SCORCHES_K));
    }
}
