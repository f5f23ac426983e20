<?php

declare(strict_types=1);

namespace Diatherm\Obstacles;

use Diatherm\Measure\Message;

/** Something that stands in the way of a roast as it is planned, and the ways out of it. */
final readonly class Obstacle
{
    /**
     * @param  string  $id  what kind of thing it is
     * @param  int|null  $dish  number of the dish that it is about
     * @param  list<WayOut>  $waysOut  the best first
     * @param  string|null  $cooker  that more is asked of than it has: further ways are worked out when they are asked for
     */
    public function __construct(
        public string $id,
        public Message $words,
        public ?int $dish = null,
        public array $waysOut = [],
        public ?string $cooker = null,
    ) {
    }
}
