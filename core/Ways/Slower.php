<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\Roast;

/** One dish at a lower heat, so that it comes off so much later. */
final class Slower
{
    /**
     * @param  \Closure(Roast): Roast  $then  what else changes
     * @return list<Way> none where no lower heat is sound
     */
    public static function by(float $minutes, int $dish, Standing $standing, Prospect $prospect, \Closure $then): array
    {
        $on = $standing->isOn($dish);
        $stage = $standing->dish($dish)->stages[$on ? $standing->step($dish)[0] : 0];
        if ($stage->cooker->isRest() || $standing->dish($dish)->isBuried()) {
            return [];
        }
        $asItIs = $on ? $standing->minutesToPull($dish) : $standing->plan->forecast($dish)->cookMinutes->likely;
        $found = HeatFor::pullIn($asItIs + $minutes, $standing, $dish, $stage, $prospect, hotter: false);
        if ($found === null) {
            return [];
        }
        [$celsius, $roast, $begun] = $found;

        return [new Way(
            'slower',
            Message::of('ways.slower', cooker: $stage->cooker->short, heat: Quantity::celsius($celsius)),
            Message::of('ways.slower.how', dish: $standing->dish($dish)->name, heat: Quantity::celsius($celsius)),
            Message::of('ways.price.paler'),
            $then($roast),
            $begun,
        )];
    }
}
