<?php

declare(strict_types=1);

namespace Diatherm\Tending;

/** Fuel to add while it cooks. Minutes count from the first dish going on. */
final readonly class Refuel
{
    /**
     * @param  float  $kg  of the bed: coals, where the fuel is wood
     * @param  float  $lightMinutes  when it has to be lit so that it is grey by then
     */
    public function __construct(
        public float $minutes,
        public float $kg,
        public float $lightMinutes,
    ) {
    }
}
