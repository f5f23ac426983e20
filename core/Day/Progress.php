<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Cooking\CueState;
use Diatherm\Cooking\StepCue;
use Diatherm\Measure\Spread;

/** How far a dish has really come: the moments that the cook logged, and what the readings make of the rest. */
final readonly class Progress
{
    /**
     * @param  array<int, \DateTimeImmutable>  $stageStarts  stages after the first that were begun by hand
     * @param  Spread|null  $cookMinutes  from on to the pull, as the readings have it
     * @param  float|null  $pullC  core at which to pull; once it was, what it came off with
     * @param  float|null  $hotMinutes  how long it stays at 57 °C or more after the pull that was logged, as the readings have it
     * @param  CameOff|null  $cameOff  how that is known, and whether it will do; null while it is on, and where nobody followed it
     * @param  array<int, float>|null  $stageMinutes  from on to each stage, as the readings have it
     * @param  StepCue|null  $cue  whether the step that is under way may end; null where the clock decides that, or nobody followed it
     * @param  array<string, \DateTimeImmutable>  $done  ids of run sheet entries that were ticked
     */
    public function __construct(
        public ?\DateTimeImmutable $onAt = null,
        public array $stageStarts = [],
        public ?\DateTimeImmutable $pulledAt = null,
        public ?\DateTimeImmutable $carvedAt = null,
        public ?Spread $cookMinutes = null,
        public ?float $pullC = null,
        public array $done = [],
        public ?array $stageMinutes = null,
        public ?float $hotMinutes = null,
        public ?CameOff $cameOff = null,
        public ?StepCue $cue = null,
    ) {
    }

    /** What asks for a reading before a step ends; null where it may end, or the clock ends it. */
    public function readFirst(int $stage): ?StepCue
    {
        return $this->cue !== null && $this->cue->stage === $stage && $this->cue->state !== CueState::Due ? $this->cue : null;
    }

    /** Whether no hour can be told of what comes after the step that is under way. */
    public function isOutOfReach(): bool
    {
        return $this->pulledAt === null && $this->cue?->state === CueState::OutOfReach;
    }

    /** The same moments by the table's clock. */
    public function inZone(\DateTimeZone $zone): self
    {
        $there = fn (\DateTimeImmutable $at): \DateTimeImmutable => \DateTimeImmutable::createFromInterface($at)->setTimezone($zone);

        return new self(
            $this->onAt === null ? null : $there($this->onAt),
            array_map($there, $this->stageStarts),
            $this->pulledAt === null ? null : $there($this->pulledAt),
            $this->carvedAt === null ? null : $there($this->carvedAt),
            $this->cookMinutes, $this->pullC, array_map($there, $this->done), $this->stageMinutes,
            $this->hotMinutes, $this->cameOff, $this->cue,
        );
    }
}
