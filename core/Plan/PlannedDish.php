<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Cooking\DripPan;
use Diatherm\Cooking\Forecast;
use Diatherm\Cooking\PartForecast;
use Diatherm\Measure\Working;
use Diatherm\Rig\PotRig;

/** All that a plan says of one dish: it depends on the dish and its fires alone, and on nothing that happens on the day. */
final readonly class PlannedDish
{
    /**
     * @param  list<PartForecast>  $parts  of a whole animal
     * @param  DripPan|null  $dripPan  where something drips on coals or a floor
     * @param  list<Working>  $workings
     */
    private function __construct(
        public Forecast $forecast,
        public array $parts,
        public ?DripPan $dripPan,
        public array $workings,
    ) {
    }

    /** @param  array<string, float>  $partHeats  at each part of a whole animal over the heat that decides, by id */
    public static function of(Forecast $forecast, array $partHeats = []): self
    {
        $dish = $forecast->dish;
        $drips = $dish->cut->isPerishable() && $dish->stages[0]->cooker->lid && ! $dish->rig instanceof PotRig;

        return new self($forecast, PartForecast::all($forecast, $partHeats), $drips ? DripPan::for($forecast) : null, Explanation::of($forecast));
    }
}
