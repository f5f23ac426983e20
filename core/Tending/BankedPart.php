<?php

declare(strict_types=1);

namespace Diatherm\Tending;

/** One part of a long joint over an open bed. */
final readonly class BankedPart
{
    /**
     * @param  float  $from  along the joint, 0 to 1
     * @param  float  $fluxWm2  that it gets of the fire as it lies
     * @param  float  $minutes  to the target, of the fire as it lies
     * @param  float  $evenMinutes  over the same coals laid evenly
     * @param  float  $bankedMinutes  over the coals shared out as advised
     */
    public function __construct(
        public string $id,
        public string $name,
        public float $from,
        public float $to,
        public float $fluxWm2,
        public float $minutes,
        public float $evenMinutes,
        public float $bankedMinutes,
    ) {
    }
}
