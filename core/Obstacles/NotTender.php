<?php

declare(strict_types=1);

namespace Diatherm\Obstacles;

use Diatherm\Measure\Message;
use Diatherm\Roast\StageEnd;
use Diatherm\Safety\Caution;
use Diatherm\Ways\FromNow;
use Diatherm\Ways\Standing;

/** A tough cut that is at its number before it pulls apart. */
final class NotTender implements Check
{
    public static function of(Standing $standing): array
    {
        $obstacles = [];
        foreach ($standing->plan->dishes as $number => $planned) {
            $told = array_filter($planned->forecast->cautions, fn (Caution $caution): bool => $caution->id === 'not_tender_yet');
            if ($told === []) {
                continue;
            }
            $dish = $standing->dish($number);
            $stages = [...array_slice($dish->stages, 0, -1), $dish->lastStage()->until(StageEnd::Tender)];
            $obstacles[] = new Obstacle('not_tender', Message::of('obstacle.not_tender', dish: $dish->name), $number, [new WayOut(
                Message::of('obstacle.until_tender'), FromNow::with($standing->roast(), $number, $dish->changed(stages: $stages)),
            )]);
        }

        return $obstacles;
    }
}
