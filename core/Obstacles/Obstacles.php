<?php

declare(strict_types=1);

namespace Diatherm\Obstacles;

use Diatherm\Plan\Plan;
use Diatherm\Ways\Standing;

/** All that stands in the way of a plan that nobody has begun, what weighs most first. */
final class Obstacles
{
    /** @var list<class-string<Check>> */
    private const CHECKS = [
        NotSafe::class, TooNear::class, NoFit::class, OutOfReach::class, OneCookerForTwo::class, UnevenParts::class, TooManyRefuels::class,
        HandsInTwoPlaces::class, Lukewarm::class, NotTender::class, TooFewHelpings::class, NothingWithoutMeat::class,
    ];

    /** @return list<Obstacle> */
    public static function of(Plan $plan, \DateTimeImmutable $now): array
    {
        $standing = new Standing($plan, $now);

        return array_merge(...array_map(fn (string $check): array => $check::of($standing), self::CHECKS));
    }
}
