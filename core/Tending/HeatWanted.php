<?php

declare(strict_types=1);

namespace Diatherm\Tending;

/** A heat that a dish wants of a cooker, by the minute of the day. */
final readonly class HeatWanted
{
    /**
     * @param  float  $untilMinutes  at the slow end
     * @param  float  $freeMinutes  when the cooker is likely to be free of it
     * @param  int  $dish  its number
     */
    public function __construct(
        public float $fromMinutes,
        public float $untilMinutes,
        public float $freeMinutes,
        public float $celsius,
        public int $dish,
    ) {
    }
}
