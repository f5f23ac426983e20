<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\OpenFire;
use Diatherm\Cooker\OwnCooker;
use Diatherm\Fire\CoalBed;
use Diatherm\Fire\FireFloor;
use Diatherm\Fire\Fuel;
use Diatherm\Food\Part;
use Diatherm\Rig\JointSize;

/** What the way that fires are laid and fed, and what was learnt of cookers, does to the heat that dishes meet. */
final class LaidFires
{
    /** @param  array<string, OwnCooker>  $yard  the cook's own cookers, by name */
    public static function in(Roast $roast, array $yard): Roast
    {
        $dishes = [];
        foreach ($roast->dishes as $dish) {
            $dishes[] = $dish->through(array_map(function (Stage $stage) use ($dish, $roast, $yard): Stage {
                $wish = $roast->fires[$stage->cooker->id] ?? null;
                if ($wish === null) {
                    return $stage;
                }
                $own = $wish->own === null ? null : ($yard[$wish->own] ?? null);
                $own = $own?->equipment->kind->id === $wish->kind ? $own : null;
                $equipment = $own->equipment ?? Equipment::of($wish->kind);
                $cooker = $equipment->isOpen() ? $stage->cooker->exposing(self::fading($wish, $equipment) * self::reaching($wish, $equipment, $dish, $stage, $roast)) : $stage->cooker;

                return $stage->on($own === null ? $cooker : $cooker->recoveringIn($own->curve()->recoveryMinutes->likely));
            }, $dish->stages));
        }

        return $roast->with($dishes);
    }

    /**
     * Mean heat of an open fire over that of the same kind laid and fed in the usual way: how much of its flux a turning
     * joint takes, and how far its coals fade between two refuels.
     */
    public static function fading(FireWish $wish, Equipment $equipment): float
    {
        $taken = function (?string $fuel, ?string $layout, bool $steady) use ($equipment): float {
            $fire = self::open($equipment, $fuel, $layout);

            return $fire->floor(1.0)->turnShare(0.0, 0.0, $fire->heightM) * CoalBed::meanFade($fire->fuel, CoalBed::minutesToFade($fire->fuel, $equipment->renewAt($steady)));
        };

        return $taken($wish->fuel, $wish->layout, $wish->steady) / $taken(null, null, false);
    }

    /** The fuel that the cook asked for on that kind of cooker; null for the usual one. */
    public static function fuelAskedFor(Roast $roast, string $kind): ?Fuel
    {
        $fuel = $roast->fires[$kind]->fuel ?? null;

        return $fuel === null ? null : Fuel::named($fuel);
    }

    /**
     * Flux at the part that decides, over what it gets of as many coals laid in the usual way: coals moved under the thick
     * end of a joint have it done sooner.
     */
    private static function reaching(FireWish $wish, Equipment $equipment, Dish $dish, Stage $stage, Roast $roast): float
    {
        $x = self::thickestM($dish);
        $flux = function (FireWish $one) use ($equipment, $stage, $roast, $x): float {
            $fire = self::open($equipment, $one->fuel, $one->layout);
            $kg = $fire->settingsFor($stage->cookerC, $roast->weather())->get('coals_kg');
            $floor = $one->piles === null
                ? $fire->floor($kg)
                : FireFloor::of($fire->lengthM, $fire->widthM, false, $fire->fuel, FireLayout::piles($one, $equipment, $one->layout, $kg));

            return $floor->downWm2($x, 0.0, $fire->heightM);
        };

        return $flux($wish) / max(1.0, $flux(new FireWish($wish->kind)));
    }

    /** Where along the fire a dish is thickest, from its middle, m. */
    private static function thickestM(Dish $dish): float
    {
        $parts = Part::of($dish->cut);
        if ($parts === []) {
            return 0.0;
        }
        usort($parts, fn (Part $a, Part $b): int => $b->halfShare <=> $a->halfShare);
        $lengthM = ($dish->rig?->size() ?? JointSize::suggested($dish->cut, $dish->massKg))->lengthM;

        return (0.5 * ($parts[0]->from + $parts[0]->to) - 0.5) * $lengthM;
    }

    private static function open(Equipment $equipment, ?string $fuel, ?string $layout): OpenFire
    {
        $fire = $equipment->mechanism($fuel === null ? null : Fuel::named($fuel), $layout);
        assert($fire instanceof OpenFire);

        return $fire;
    }
}
