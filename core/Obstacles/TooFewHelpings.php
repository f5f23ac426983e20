<?php

declare(strict_types=1);

namespace Diatherm\Obstacles;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\Dish;
use Diatherm\Ways\Standing;

/** A table that more people sit at than it feeds. */
final class TooFewHelpings implements Check
{
    public static function of(Standing $standing): array
    {
        $roast = $standing->roast();
        $feeds = $standing->plan->feeds[1];
        if ($roast->eatMeat() <= $feeds) {
            return [];
        }
        /** @var non-empty-list<Dish> $dishes */
        $dishes = array_map(fn (Dish $dish): Dish => self::grown($dish, $roast->eatMeat() / max(1, $feeds)), $roast->dishes);

        return [new Obstacle(
            'too_few',
            Message::of('obstacle.too_few', people: $roast->eatMeat(), feeds: $feeds),
            waysOut: [new WayOut(Message::of('words.list', parts: array_map(fn (Dish $dish): Message => Message::of(
                'obstacle.so_much_of',
                dish: $dish->name,
                pieces: $dish->pieces,
                each: Quantity::kg($dish->massKg, $dish->massKg < 1.0 ? 2 : 1),
            ), $dishes)), $roast->changed(dishes: $dishes))],
        )];
    }

    /** More pieces where there are several, or where one would be larger than they come; else one that is larger. */
    private static function grown(Dish $dish, float $factor): Dish
    {
        $mass = ceil(10.0 * $factor * $dish->massKg) / 10.0;

        return $dish->pieces === 1 && $mass <= $dish->cut->mostMassKg && $dish->rig?->size() === null
            ? $dish->changed(massKg: $mass)
            : $dish->changed(pieces: (int) ceil($factor * $dish->pieces));
    }
}
