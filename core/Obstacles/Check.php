<?php

declare(strict_types=1);

namespace Diatherm\Obstacles;

use Diatherm\Ways\Standing;

/** One question that a plan is asked before it is kept. */
interface Check
{
    /** @return list<Obstacle> */
    public static function of(Standing $standing): array;
}
