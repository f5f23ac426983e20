<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

/** A cooker of the cook's own: what it is, and what was logged on it. */
final readonly class OwnCooker
{
    public const LONGEST_NAME = 80;

    /** @param  list<Observation>  $observations */
    public function __construct(
        public string $name,
        public Equipment $equipment,
        public array $observations,
    ) {
    }

    public function curve(?Mechanism $mechanism = null): OwnCurve
    {
        return OwnCurve::of($this->equipment, $this->observations, $mechanism);
    }
}
