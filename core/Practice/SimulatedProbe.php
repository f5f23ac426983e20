<?php

declare(strict_types=1);

namespace Diatherm\Practice;

/** One probe of a simulated thermometer: where its tip is, and what it does that it should not. */
final readonly class SimulatedProbe
{
    /**
     * @param  int  $channel  from 1
     * @param  float|null  $share  of the half-thickness that its tip is off the middle; null for one in the cooker's air
     * @param  float  $faultAtS  from when on, seconds from when the dish went on
     */
    public function __construct(
        public int $channel,
        public ?float $share,
        public ProbeFault $fault = ProbeFault::None,
        public float $faultAtS = 0.0,
    ) {
    }
}
