<?php

declare(strict_types=1);

namespace Diatherm\Cooker\Vessel;

/** What warms a vessel's wall. */
interface Source
{
    /**
     * Over a step: the wall comes to (given + heat)/holds.
     *
     * @param  float  $givenW  all that comes to the wall otherwise, its own storage included, as if it stood at 0 °C
     * @param  float  $holdsWK  what it gives on for each kelvin, its own storage included
     * @return array{float, float} where the wall stands at the end, °C; the heat that it was given, W
     */
    public function warm(float $givenW, float $holdsWK, float $seconds): array;
}
