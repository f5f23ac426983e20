<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Day\Timing;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Unit;

/** The table is that much later: what is not on starts later, what is on is slowed, what is done is held hot. Common practice. */
final class LateGuests
{
    /** @return list<Way> */
    public static function ways(Question $question, Standing $standing, Prospect $prospect): array
    {
        $minutes = (float) $question->minutes;
        $moved = $standing->roast()->changed(serveAt: Timing::after($standing->roast()->serveAt, $minutes));
        $by = Quantity::of($minutes, Unit::Duration);
        $begun = $standing->hasBegun();
        $hold = ! Holding::bears($standing, $minutes) ? [] : [new Way(
            'hold',
            Message::of('ways.hold', minutes: $by),
            Holding::how(),
            Message::of('ways.price.softer_outside'),
            Holding::longer($moved, $standing, $minutes, ! $begun),
        )];
        if (! $begun) {
            return [
                new Way('later', Message::of('ways.later', minutes: $by), Message::of('ways.later.how'), Message::of('ways.price.none'), $moved),
                ...$hold,
                ...self::slower($minutes, 0, $standing, $prospect),
            ];
        }
        $slowest = $standing->slowest();

        return [...($slowest === null ? [] : self::slower($minutes, $slowest, $standing, $prospect)), ...$hold];
    }

    /** @return list<Way> */
    private static function slower(float $minutes, int $dish, Standing $standing, Prospect $prospect): array
    {
        $stage = $standing->isOn($dish) ? $standing->dish($dish)->stages[$standing->step($dish)[0]] : $standing->dish($dish)->stages[0];
        if ($stage->cooker->isRest() || $standing->dish($dish)->isBuried()) {
            return [];
        }
        $asItIs = $standing->isOn($dish)
            ? ($standing->pullAt($dish)->getTimestamp() - $standing->now->getTimestamp()) / 60.0
            : $standing->plan->forecast($dish)->cookMinutes->likely;
        $found = HeatFor::pullIn($asItIs + $minutes, $standing, $dish, $stage, $prospect, hotter: false);
        if ($found === null) {
            return [];
        }
        [$celsius, $roast, $begun] = $found;
        // What else is done by then is held hot meanwhile.
        $moved = $roast->changed(serveAt: Timing::after($roast->serveAt, $minutes));

        return [new Way(
            'slower',
            Message::of('ways.slower', cooker: $stage->cooker->short, heat: Quantity::celsius($celsius)),
            Message::of('ways.slower.how', dish: $standing->dish($dish)->name, heat: Quantity::celsius($celsius)),
            Message::of('ways.price.paler'),
            $moved,
            $begun,
        )];
    }
}
