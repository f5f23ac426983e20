<?php

declare(strict_types=1);

namespace Diatherm\Obstacles;

use Diatherm\Plan\PlaceClash;
use Diatherm\Ways\Standing;

/** A cooker that more is asked of than it has: heat or room. */
final class OneCookerForTwo implements Check
{
    public static function of(Standing $standing): array
    {
        return array_map(
            fn (PlaceClash $clash): Obstacle => new Obstacle('one_cooker', $clash->words, $clash->dishes[0] ?? null, cooker: $clash->kind),
            $standing->plan->places,
        );
    }
}
