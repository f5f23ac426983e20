<?php

declare(strict_types=1);

namespace Diatherm\Obstacles;

use Diatherm\Day\Entry;
use Diatherm\Measure\Message;
use Diatherm\Roast\Roast;
use Diatherm\Ways\Standing;

/** Work that the same hands would have to do at one moment. */
final class HandsInTwoPlaces implements Check
{
    public static function of(Standing $standing): array
    {
        $clashes = array_values(array_filter($standing->plan->runSheet->entries, fn (Entry $entry): bool => $entry->clash !== null));
        if ($clashes === []) {
            return [];
        }
        $roast = $standing->roast();

        return [new Obstacle(
            'hands',
            Message::of('obstacle.hands', work: $clashes[0]->title, at: $clashes[0]->at, more: count($clashes) - 1),
            $clashes[0]->dish,
            $roast->hands >= Roast::MOST_HANDS
                ? []
                : [new WayOut(Message::of('obstacle.more_hands', hands: $roast->hands + 1), $roast->changed(hands: $roast->hands + 1))],
        )];
    }
}
