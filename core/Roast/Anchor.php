<?php

declare(strict_types=1);

namespace Diatherm\Roast;

/** That a side begins, or ends, so long after a moment of a dish. */
final readonly class Anchor
{
    /**
     * @param  int  $dish  its number
     * @param  bool  $ends  whether the side comes off then; it goes on then otherwise
     * @param  float  $afterMinutes  below 0 for before it
     */
    public function __construct(
        public int $dish,
        public Moment $moment,
        public bool $ends,
        public float $afterMinutes,
    ) {
    }
}
