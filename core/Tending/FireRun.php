<?php

declare(strict_types=1);

namespace Diatherm\Tending;

/** How a fire went from the preheating to the end. Made by FireSimulation. */
final readonly class FireRun
{
    /**
     * @param  float  $startKg  coals laid at first
     * @param  list<Refuel>  $refuels
     * @param  list<array{float, float}>  $course  minutes and the kind's own °C
     * @param  list<array{float, float}>  $left  minutes and kilograms
     * @param  float  $energyJ  heat given off by knobs and elements
     * @param  float  $leftKg  at the end
     * @param  float|null  $closedInMinutes  when a vented cooker is first so near its target that it is closed in; null for never
     * @param  float|null  $closedInC  temperature that it shows then
     */
    public function __construct(
        public float $startKg,
        public array $refuels,
        public array $course,
        public array $left,
        public float $energyJ,
        public float $leftKg,
        public ?float $closedInMinutes,
        public ?float $closedInC,
    ) {
    }
}
