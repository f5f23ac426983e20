<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Food\Side;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\Dish;
use Diatherm\Roast\SideDish;

/** Smaller shares, more meat while it can still go on, or something beside it that fills. Common practice. */
final class MoreGuests
{
    /** What fills a table, quickest first. */
    private const FILLING = ['flat-bread', 'buttered-loaf', 'rice', 'diced-potatoes'];

    /** @return list<Way> */
    public static function ways(Question $question, Standing $standing): array
    {
        $roast = $standing->roast();
        $people = $roast->people + $question->people;
        $each = fn (int $among): Quantity => Quantity::g(1000.0 * self::meatKg($standing) / $among);
        $ways = [new Way(
            'share',
            Message::of('ways.share', people: $people),
            Message::of('ways.share.how', before: $each($roast->people), then: $each($people)),
            Message::of('ways.price.smaller_shares'),
            $roast->changed(people: $people),
        )];
        $waiting = array_filter(array_keys($roast->dishes), fn (int $dish): bool => $standing->isWaiting($dish));
        if ($waiting !== []) {
            $dishes = array_map(
                fn (Dish $dish, int $i): Dish => in_array($i, $waiting, true) ? self::more($dish, $people / $roast->people) : $dish,
                $roast->dishes,
                array_keys($roast->dishes),
            );
            $ways[] = new Way(
                'more',
                Message::of('ways.more_meat', mass: Quantity::kg(self::kg($dishes) - self::kg($roast->dishes), 1)),
                Message::of('ways.more_meat.how'),
                Message::of('ways.price.more_to_buy'),
                $roast->changed(dishes: $dishes, people: $people),
            );
        }
        $there = array_map(fn (SideDish $side): string => $side->side->id, $roast->sides);
        foreach (array_diff(self::FILLING, $there) as $id) {
            $side = Side::named($id);
            $ways[] = new Way(
                'side',
                Message::of('ways.a_side_more', side: $side->name),
                Message::of('ways.a_side_more.how'),
                Message::of('ways.price.work_beside'),
                $roast->changed(people: $people, sides: [...$roast->sides, new SideDish($side, $side->name)]),
            );
            break;
        }

        return $ways;
    }

    /** A large joint grows, of several there is one more. */
    private static function more(Dish $dish, float $share): Dish
    {
        return $dish->pieces === 1
            ? $dish->changed(massKg: round($dish->massKg * $share, 2))
            : $dish->changed(pieces: (int) ceil($dish->pieces * $share));
    }

    /** @param  list<Dish>  $dishes */
    private static function kg(array $dishes): float
    {
        return array_sum(array_map(fn (Dish $dish): float => $dish->massKg * $dish->pieces, $dishes));
    }

    private static function meatKg(Standing $standing): float
    {
        return self::kg(array_values(array_filter($standing->roast()->dishes, fn (Dish $dish): bool => $dish->cut->isPerishable())));
    }
}
