<?php

declare(strict_types=1);

namespace Diatherm\Obstacles;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Ways\FromNow;
use Diatherm\Ways\Standing;

/** A dish that rests for as long as its cut needs, and no longer. */
final class ShorterRest
{
    /** @return list<WayOut> none where no longer rest was asked for */
    public static function of(Standing $standing, int $number): array
    {
        $dish = $standing->dish($number);
        $rest = max($dish->cut->restMinutes, $dish->safeMinimum()->holdMinutes);

        return $dish->leastRestMinutes() <= $rest ? [] : [new WayOut(
            Message::of('obstacle.shorter_rest', rest: Quantity::minutes($rest)),
            FromNow::with($standing->roast(), $number, $dish->changed(restMinutes: $rest)),
        )];
    }
}
