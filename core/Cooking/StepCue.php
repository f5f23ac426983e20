<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

/** What the live state says about the end of the step that is under way, where the core decides it and not the clock. */
final readonly class StepCue
{
    /**
     * @param  int  $stage  number of the step
     * @param  float  $readMinutes  from on: when the next reading is worth taking
     * @param  float  $nearC  what it should read then
     * @param  float  $endC  core at which the step ends
     */
    public function __construct(
        public int $stage,
        public CueState $state,
        public float $readMinutes,
        public float $nearC,
        public float $endC,
    ) {
    }
}
