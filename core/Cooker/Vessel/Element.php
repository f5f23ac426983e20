<?php

declare(strict_types=1);

namespace Diatherm\Cooker\Vessel;

/** An electric element with a thermostat on the wall. */
final class Element implements Source
{
    public function __construct(private readonly float $setC, private readonly float $mostW)
    {
    }

    public function warm(float $givenW, float $holdsWK, float $seconds): array
    {
        $watts = min($this->mostW, max(0.0, $holdsWK * $this->setC - $givenW));

        return [($givenW + $watts) / $holdsWK, $watts];
    }
}
