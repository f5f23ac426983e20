<?php

declare(strict_types=1);

namespace Diatherm\Obstacles;

use Diatherm\Food\Side;
use Diatherm\Measure\Message;
use Diatherm\Roast\Dish;
use Diatherm\Roast\SideDish;
use Diatherm\Ways\Standing;

/** Guests who eat no meat, and nothing on the table that is a meal for them. */
final class NothingWithoutMeat implements Check
{
    /** Sides that are offered. */
    private const OFFERED = ['filled-peppers', 'potato-salad'];

    public static function of(Standing $standing): array
    {
        $roast = $standing->roast();
        // In the pan or pot of a joint it is no longer without meat.
        $isMeal = fn (SideDish $side): bool => $side->side->isMeal && $side->with === null;
        $isRoots = fn (Dish $dish): bool => $dish->cut->kind === 'roots';
        if ($roast->withoutMeat === 0 || array_filter($roast->sides, $isMeal) !== [] || array_filter($roast->dishes, $isRoots) !== []) {
            return [];
        }

        return [new Obstacle(
            'nothing_without_meat',
            Message::of('obstacle.nothing_without_meat', people: $roast->withoutMeat),
            waysOut: array_map(function (string $id) use ($roast): WayOut {
                $side = Side::all()[$id];

                return new WayOut(
                    Message::of('obstacle.add_side', side: $side->name),
                    $roast->changed(sides: [...$roast->sides, new SideDish($side, $side->name)]),
                );
            }, self::OFFERED),
        )];
    }
}
