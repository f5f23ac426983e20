<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Unit;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;
use Diatherm\Roast\SideDish;
use Diatherm\Roast\Stage;
use Diatherm\Roast\Wrapping;

/** More heat, a wrap, the kitchen oven, a shorter rest, a first dish before it, or a later table. Common practice. */
final class BehindTime
{
    /** A joint rests so long at the least, where its minimum asks for no more. Common practice. */
    private const SHORTEST_REST_MINUTES = 10.0;

    /** A joint that is behind goes into an oven no cooler than this, °C. Common practice. */
    private const OVEN_C = 190.0;

    private const MOST_COURSES = 4;

    /** Longer than this no first dish holds a table. Common practice. */
    private const LONGEST_FIRST_DISH_MINUTES = 60.0;

    /** Whether a dish on the heat keeps the table from its hour. */
    public static function is(Standing $standing): bool
    {
        $dish = $standing->slowest();

        return $dish !== null && ($standing->lateMinutes() >= 1.0 || $standing->isStuck($dish));
    }

    /** @return list<Way> none where it is on time */
    public static function ways(Standing $standing, Prospect $prospect): array
    {
        $late = $standing->lateMinutes();
        $dish = $standing->slowest();
        if ($dish === null || ! self::is($standing)) {
            return [];
        }
        $roast = $standing->roast();
        $later = new Way(
            'later',
            Message::of('ways.later_table', hour: $standing->tableAt()),
            Message::of('ways.later_table.how'),
            Message::of('ways.price.guests_wait', minutes: Quantity::of(round($late), Unit::Duration)),
            $roast->changed(serveAt: $standing->tableAt()),
        );
        $stage = $standing->dish($dish)->stages[$standing->step($dish)[0]];
        $ways = [];
        if (! $stage->cooker->isRest() && ! $standing->dish($dish)->isBuried()) {
            array_push($ways, ...self::hotter($late, $dish, $stage, $standing, $prospect), ...self::wrapped($dish, $stage, $standing));
        }
        array_push($ways, ...self::shorterRest($late, $dish, $standing), ...self::firstDish($late, $standing));
        $oven = $stage->cooker->id === 'oven' ? null : Indoors::way($standing, [$dish], self::OVEN_C, Message::of('ways.price.no_smoke'));
        // A later hour is none for what never gets there.
        $later = $standing->isStuck($dish) ? [] : [$later];

        return [...array_slice($ways, 0, 2), ...($oven === null ? [] : [$oven]), ...$later, ...array_slice($ways, 2)];
    }

    /** @return list<Way> */
    private static function hotter(float $late, int $dish, Stage $stage, Standing $standing, Prospect $prospect): array
    {
        $found = HeatFor::pullIn($standing->minutesToPull($dish) - $late, $standing, $dish, $stage, $prospect, hotter: true);
        if ($found === null) {
            return [];
        }
        [$celsius, $roast, $begun] = $found;

        return [new Way(
            'hotter',
            Message::of('ways.hotter', cooker: $stage->cooker->short, heat: Quantity::celsius($celsius)),
            Message::of('ways.hotter.how', dish: $standing->dish($dish)->name, heat: Quantity::celsius($celsius)),
            Message::of('ways.price.wider_rim'),
            $roast,
            $begun,
        )];
    }

    /** @return list<Way> for what stalls: a wrap ends it */
    private static function wrapped(int $dish, Stage $stage, Standing $standing): array
    {
        if (! $standing->dish($dish)->cut->tough || $stage->wrap !== null) {
            return [];
        }
        $inFoil = fn (Stage $one): Stage => FromNow::heated($one, wrap: $one->wrap ?? Wrapping::Foil);
        [$roast, $begun] = FromNow::change($standing, $dish, $inFoil);

        return [new Way(
            'wrap',
            Message::of('ways.wrap', dish: $standing->dish($dish)->name),
            Message::of('ways.wrap.how'),
            Message::of('ways.price.soft_crust'),
            $roast,
            $begun,
        )];
    }

    /** @return list<Way> */
    private static function shorterRest(float $late, int $dish, Standing $standing): array
    {
        $one = $standing->dish($dish);
        $least = max(self::SHORTEST_REST_MINUTES, $one->safeMinimum()->holdMinutes);
        $rest = max($least, $one->restMinutes - $late);

        return $one->restMinutes <= $rest ? [] : [new Way(
            'rest',
            Message::of('ways.shorter_rest', minutes: Quantity::of(round($rest), Unit::Minute)),
            Message::of('ways.shorter_rest.how'),
            Message::of('ways.price.juice'),
            FromNow::with($standing->roast(), $dish, $one->changed(restMinutes: round($rest))),
        )];
    }

    /** @return list<Way> */
    private static function firstDish(float $late, Standing $standing): array
    {
        $roast = $standing->roast();
        $courses = max(array_map(fn (Dish $dish): int => $dish->course, $roast->dishes));
        $minutes = 5.0 * ceil($late / 5.0);
        if ($courses > 1 || $minutes > self::LONGEST_FIRST_DISH_MINUTES) {
            return [];
        }

        return [new Way(
            'first_dish',
            Message::of('ways.first_dish', minutes: Quantity::of($minutes, Unit::Minute)),
            Message::of('ways.first_dish.how'),
            Message::of('ways.price.a_dish_more'),
            self::after($roast, $minutes),
        )];
    }

    /** Everything as a second course, so long after the first. */
    private static function after(Roast $roast, float $minutes): Roast
    {
        return $roast->changed(
            dishes: array_map(fn (Dish $dish): Dish => $dish->changed(course: 2), $roast->dishes),
            sides: array_map(
                fn (SideDish $side): SideDish => new SideDish(
                    $side->side, $side->name, $side->minutes, min(self::MOST_COURSES, $side->course + 1), $side->with, $side->on, $side->anchor,
                ),
                $roast->sides,
            ),
            courseMinutes: max(5.0, $minutes),
        );
    }
}
