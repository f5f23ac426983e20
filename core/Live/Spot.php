<?php

declare(strict_types=1);

namespace Diatherm\Live;

/** A place of a dish where a probe goes in, and what was read there lately. */
final readonly class Spot
{
    /**
     * @param  string  $place  as a reading names it
     * @param  float|null  $celsius  null where it was not read in this round
     * @param  bool  $decides  whether it is the coldest of those that were read
     */
    public function __construct(
        public string $place,
        public ?float $celsius,
        public ?float $secondsAgo,
        public bool $decides,
    ) {
    }
}
