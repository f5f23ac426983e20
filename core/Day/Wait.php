<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Cooking\Forecast;
use Diatherm\Safety\Clocks;

/** What a dish does between the pull and the plate: it rests for as long as it needs, is held hot for what is left, and is cut. */
final readonly class Wait
{
    /** Heat that moist meat stores, J/m³·K: 1050 kg/m³ of 3450 J/kg·K. Common values. */
    public const HEAT_J_M3K = 3.6e6;

    /** A rest that goes on for no longer than this is still a rest. Common practice. */
    private const SOON_CARVED_MINUTES = 10.0;

    /** What was cooked until it pulls apart steams off for so long, then rests in its hold. Common practice. */
    private const STEAMS_OFF_MINUTES = 15.0;

    /** Slices on a warm dish lie this thick; heat that such a heap gives off uncovered, most of it as steam. Common practice. */
    private const HEAP_M = 0.03;

    private const HEAP_W_M2K = 30.0;

    /** From the dish to the plate, minutes; a dish that fills for longer is sent to the table as it is. Common practice. */
    private const TO_THE_PLATE_MINUTES = 3.0;

    private const FILLS_MINUTES = 8.0;

    /**
     * @param  float  $restMinutes  on the board
     * @param  float  $holdMinutes  held hot after it
     * @param  Hold|null  $hold  null where nothing is held
     */
    private function __construct(
        public Forecast $forecast,
        public float $restMinutes,
        public float $holdMinutes,
        public ?Hold $hold,
    ) {
    }

    /** @param  float  $minutes  from the pull to the knife */
    public static function of(Forecast $forecast, float $minutes): self
    {
        $dish = $forecast->dish;
        // A longer rest than the joint needs is a wait: it is held, and not left on the board.
        $rest = min($dish->leastRestMinutes(), max($dish->cut->restMinutes, $dish->safeMinimum()->holdMinutes));
        $isHeld = $dish->cut->isPerishable() && $minutes > $rest + self::SOON_CARVED_MINUTES;

        if (! $isHeld) {
            return new self($forecast, max(0.0, $minutes), 0.0, null);
        }
        $onTheBoard = $forecast->tenderShare === null || $forecast->pullC < Clocks::HOT_C ? $rest : min($rest, self::STEAMS_OFF_MINUTES);

        return new self($forecast, $onTheBoard, $minutes - $onTheBoard, Hold::of($forecast));
    }

    /** The mean temperature once it has rested, °C. */
    public function restedC(): float
    {
        return $this->forecast->trace->meanAt(60.0 * ($this->forecast->cookMinutes->likely + $this->restMinutes));
    }

    /** The mean temperature of a helping as it comes to the plate, °C: the slices cool while the rest is cut. */
    public function plateC(): float
    {
        $forecast = $this->forecast;
        $rested = $this->restedC();
        $held = $this->hold?->afterC($forecast->dish, $rested, $this->holdMinutes, $forecast->airC) ?? $rested;
        $cools = min(self::FILLS_MINUTES, 0.5 * Timing::carveMinutes($forecast->dish)) + self::TO_THE_PLATE_MINUTES;

        return $forecast->airC
            + ($held - $forecast->airC) * exp(-60.0 * $cools * self::HEAP_W_M2K / (self::HEAP_M * self::HEAT_J_M3K));
    }
}
