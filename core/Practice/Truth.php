<?php

declare(strict_types=1);

namespace Diatherm\Practice;

/** A course of a core that is known, whatever any model thinks of it. */
interface Truth
{
    /** @return float °C where a probe sits, so long after it went on; $share of the half-thickness off the core */
    public function at(float $seconds, float $share): float;
}
