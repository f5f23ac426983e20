<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;
use Diatherm\Safety\Clocks;

/** What is done waits hot: wrapped in a warm box or in a low oven, never on an open board. */
final class Holding
{
    /** A roast's file has no longer rest. */
    private const LONGEST_MINUTES = 240.0;

    /** Warm enough to wait in, too cool to cook on, °C. Common practice. */
    private const OVEN_C = 75.0;

    /** Dishes that are not carved yet rest so much longer. */
    public static function longer(Roast $roast, Standing $standing, float $minutes, bool $waitingToo): Roast
    {
        $dishes = array_map(
            // Roots go on later, not longer.
            fn (Dish $dish, int $i): Dish => $standing->isCarved($i)
                || ($standing->isWaiting($i) && ! ($waitingToo && $dish->cut->isPerishable()))
                ? $dish
                : $dish->changed(restMinutes: min(self::LONGEST_MINUTES, $dish->leastRestMinutes() + $minutes)),
            $roast->dishes,
            array_keys($roast->dishes),
        );

        return $roast->changed(dishes: $dishes);
    }

    /** Whether all of it is hot enough to be held: what comes off cooler has its two hours, and no more. */
    public static function bears(Standing $standing, float $minutes): bool
    {
        $roast = $standing->roast();
        foreach ($roast->dishes as $i => $dish) {
            $peakC = $standing->live[$i]->peakC ?? $standing->plan->forecast($i)->peakC;
            $waits = $dish->leastRestMinutes() + $minutes;
            $isTooLong = $peakC < Clocks::HOT_C && $waits > Clocks::allowedMinutes($roast->airC);
            if ($isTooLong && $dish->cut->isPerishable() && ! $standing->isCarved($i)) {
                return false;
            }
        }

        return true;
    }

    public static function how(): Message
    {
        return Message::of('ways.hold.how', oven: Quantity::celsius(self::OVEN_C));
    }
}
