<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Day\Timing;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Unit;
use Diatherm\Roast\Roast;

/** A fire that is ahead: pull and hold, slow it, or call the guests sooner. Common practice. */
final class AheadOfTime
{
    /** Less is spent in the rest. Common practice. */
    private const TELLING_MINUTES = 10.0;

    /** What waits long is cooked nearer to its number, which takes about so much of the wait. Common practice. */
    private const NEARER_MINUTES = 15.0;

    /** So long a joint is held or slowed at the most. Common practice. */
    private const LONGEST_MINUTES = 180.0;

    /** Said by itself where even the slow end leaves so much. Common practice: nobody minds twenty minutes more of rest. */
    private const WORTH_A_WORD_MINUTES = 20.0;

    /** Whether the slowest dish would wait long for the table even if it is slow. */
    public static function is(Standing $standing): bool
    {
        $dish = $standing->slowest();
        $latest = $dish === null ? null : $standing->entry("d$dish.pull")?->latest;

        if ($dish === null || $latest === null || $standing->isStuck($dish)) {
            return false;
        }
        $slow = ($latest->getTimestamp() - $standing->pullAt($dish)->getTimestamp()) / 60.0;

        return self::slackMinutes($standing, $dish) - $slow >= self::WORTH_A_WORD_MINUTES;
    }

    /** @return list<Way> none where it is not ahead */
    public static function ways(Standing $standing, Prospect $prospect): array
    {
        $dish = $standing->slowest();
        $slack = $dish === null ? 0.0 : self::slackMinutes($standing, $dish);
        if ($dish === null || $slack < self::TELLING_MINUTES || $standing->isStuck($dish)) {
            return [];
        }
        $roast = $standing->roast();
        $by = Quantity::of(round($slack), Unit::Duration);
        $ways = [];
        // Nobody holds a joint for half a day, nor slows it by as much.
        if ($slack <= self::LONGEST_MINUTES) {
            $longer = $standing->dish($dish)->changed(
                restMinutes: round($standing->dish($dish)->leastRestMinutes() + max(0.0, $slack - self::NEARER_MINUTES)),
            );
            $ways = [
                ...(! Holding::bears($standing, $slack) ? [] : [new Way(
                    'hold', Message::of('ways.hold', minutes: $by), Holding::how(), Message::of('ways.price.softer_outside'),
                    FromNow::with($roast, $dish, $longer),
                )]),
                ...Slower::by($slack, $dish, $standing, $prospect, fn (Roast $slowed): Roast => $slowed),
            ];
        }
        $sooner = Timing::after($roast->serveAt, -5.0 * floor($slack / 5.0));
        $ways[] = new Way(
            'sooner',
            Message::of('ways.sooner', hour: $sooner),
            Message::of('ways.sooner.how'),
            Message::of('ways.price.guests_sooner'),
            $roast->changed(serveAt: $sooner),
        );

        return $ways;
    }

    /** Between its rest and the hour at which it has to be carved, likely. */
    private static function slackMinutes(Standing $standing, int $dish): float
    {
        $carve = $standing->entry("d$dish.carve")->at ?? $standing->roast()->serveAt;

        return ($carve->getTimestamp() - $standing->pullAt($dish)->getTimestamp()) / 60.0 - $standing->dish($dish)->leastRestMinutes();
    }
}
