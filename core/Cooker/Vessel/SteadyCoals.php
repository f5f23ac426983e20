<?php

declare(strict_types=1);

namespace Diatherm\Cooker\Vessel;

/** Coals below and on the lid, renewed as they fade: what holds the empty pot at its heat, whatever is in it. */
final class SteadyCoals implements Source
{
    public function __construct(private readonly float $watts)
    {
    }

    public function warm(float $givenW, float $holdsWK, float $seconds): array
    {
        return [($givenW + $this->watts) / $holdsWK, $this->watts];
    }
}
