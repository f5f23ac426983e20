<?php

declare(strict_types=1);

namespace Diatherm\Obstacles;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Safety\Clocks;
use Diatherm\Ways\FromNow;
use Diatherm\Ways\Standing;

/** A dish that is too long between cold and hot as it is planned. */
final class NotSafe implements Check
{
    public static function of(Standing $standing): array
    {
        $obstacles = [];
        foreach ($standing->plan->dishes as $number => $planned) {
            if ($planned->forecast->danger->breaches === [] && ! $planned->forecast->tempering->isTooLong()) {
                continue;
            }
            $dish = $standing->dish($number);
            $fromTheCold = $dish->startC <= Clocks::REFRIGERATOR_C ? [] : [new WayOut(
                Message::of('obstacle.from_the_cold', cold: Quantity::celsius(Clocks::REFRIGERATOR_C)),
                FromNow::with($standing->roast(), $number, $dish->changed(startC: Clocks::REFRIGERATOR_C)),
            )];
            $obstacles[] = new Obstacle('not_safe', Message::of('obstacle.not_safe', dish: $dish->name), $number, [
                ...$fromTheCold, ...ShorterRest::of($standing, $number),
            ]);
        }

        return $obstacles;
    }
}
