<?php

declare(strict_types=1);

namespace Diatherm\Obstacles;

use Diatherm\Fire\Fuel;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\FireWish;
use Diatherm\Roast\Roast;
use Diatherm\Tending\FirePlan;
use Diatherm\Tending\FireSimulation;
use Diatherm\Tending\Stove;
use Diatherm\Ways\Standing;

/** A fire that wants fuel more often than its cook can be at it. */
final class TooManyRefuels implements Check
{
    /** Shortest time between two refuels for one pair of hands that also makes dinner, minutes. Common practice. */
    private const LEAST_BETWEEN_MINUTES = 25.0;

    /** Up to this many refuels are fine, however close. */
    private const FEW = 3;

    public static function of(Standing $standing): array
    {
        $obstacles = [];
        $hands = $standing->roast()->hands;
        foreach ($standing->plan->fires as $fire) {
            $many = count($fire->plan->refuels());
            if (self::isTooMany($many, $fire->plan->use->untilMinutes, $hands)) {
                $obstacles[] = new Obstacle('refuels', Message::of(
                    'obstacle.refuels',
                    cooker: $fire->plan->stove->name,
                    times: $many,
                    every: Quantity::minutes(round($fire->plan->use->untilMinutes / ($many + 1))),
                    hands: $hands,
                ), $fire->plan->use->dish, self::waysOut($standing, $fire->plan, $many));
            }
        }

        return $obstacles;
    }

    private static function isTooMany(int $refuels, float $minutes, int $hands): bool
    {
        return $refuels > self::FEW && $minutes / ($refuels + 1) * $hands < self::LEAST_BETWEEN_MINUTES;
    }

    /** @return list<WayOut> what makes it the fewest: fed only when it is low, another fuel, a second pair of hands */
    private static function waysOut(Standing $standing, FirePlan $fire, int $many): array
    {
        $wish = $fire->stove->wish;
        $tried = [
            ...($wish->steady ? [[Message::of('obstacle.feed_when_low'), $wish->fedWhenLow()]] : []),
            ...array_map(
                fn (Fuel $fuel): array => [Message::of('obstacle.burn', fuel: $fuel->name), $wish->burning($fuel->id)],
                array_filter(
                    $fire->stove->equipment->fuels(),
                    fn (Fuel $fuel): bool => $fuel->use === 'bed' && $fuel->id !== $fire->stove->fuel?->id,
                ),
            ),
        ];
        $best = null;
        foreach ($tried as [$words, $other]) {
            $refuels = self::refuels($fire, $other);
            if ($refuels < ($best[0] ?? $many)) {
                $best = [$refuels, Message::of('obstacle.refuels_then', what: $words, times: $refuels), $other];
            }
        }
        $roast = $standing->roast();
        $kind = $fire->stove->equipment->kind->id;
        $hands = self::isTooMany($many, $fire->use->untilMinutes, $roast->hands + 1) || $roast->hands >= Roast::MOST_HANDS
            ? []
            : [new WayOut(Message::of('obstacle.more_hands', hands: $roast->hands + 1), $roast->changed(hands: $roast->hands + 1))];

        return $best === null || self::isTooMany($best[0], $fire->use->untilMinutes, $roast->hands)
            ? $hands
            : [new WayOut($best[1], $roast->changed(fires: [$kind => $best[2]] + $roast->fires)), ...$hands];
    }

    private static function refuels(FirePlan $fire, FireWish $wish): int
    {
        $stove = Stove::of($fire->stove->equipment, null, $wish, $fire->stove->weather, $fire->use->buried);

        return count(FireSimulation::run($stove, $fire->steps, -$fire->use->preheatMinutes, $fire->use->untilMinutes)->refuels);
    }
}
