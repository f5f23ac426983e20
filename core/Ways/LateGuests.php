<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Day\Timing;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Unit;
use Diatherm\Roast\Roast;

/** The table is that much later: what is not on starts later, what is on is slowed, what is done is held hot. Common practice. */
final class LateGuests
{
    /** @return list<Way> */
    public static function ways(Question $question, Standing $standing, Prospect $prospect): array
    {
        $minutes = (float) $question->minutes;
        // What else is done by then is held hot meanwhile.
        $move = fn (Roast $roast): Roast => $roast->changed(serveAt: Timing::after($roast->serveAt, $minutes));
        $moved = $move($standing->roast());
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
                new Way(
                    'later',
                    Message::of('ways.later', minutes: $by),
                    Message::of('ways.later.how'),
                    Message::of('ways.price.none'),
                    $moved,
                ),
                ...$hold,
                ...Slower::by($minutes, 0, $standing, $prospect, $move),
            ];
        }
        $slowest = $standing->slowest();

        return [...($slowest === null ? [] : Slower::by($minutes, $slowest, $standing, $prospect, $move)), ...$hold];
    }
}
