<?php

declare(strict_types=1);

namespace Diatherm\Tending;

use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\OpenFire;
use Diatherm\Cooker\OwnCooker;
use Diatherm\Cooker\OwnCurve;
use Diatherm\Cooker\Settling;
use Diatherm\Cooker\Weather;
use Diatherm\Fire\BuriedBed;
use Diatherm\Fire\CoalBed;
use Diatherm\Fire\FireFloor;
use Diatherm\Food\Part;
use Diatherm\Rig\JointSize;
use Diatherm\Rig\PotRig;
use Diatherm\Roast\Dish;
use Diatherm\Roast\FireWish;
use Diatherm\Roast\Held;
use Diatherm\Roast\Roast;
use Diatherm\Roast\Stage;

/** What the way that fires are laid and fed, what was learnt of cookers, and the place do to the heat that dishes meet. */
final class LaidFires
{
    /** Nearer than this it is there, K. */
    private const THERE_K = 0.5;

    /** Its pot is what is buried. */
    private const BURIED = 'camp-oven';

    /** What is shown as a buried fire's heat is that of so long after the pot went in, minutes. */
    private const BURIED_AFTER_MINUTES = 60.0;

    /** Least and most heat of a part, as a share of the heat that decides. Common practice. */
    private const LEAST_PART_HEAT = 0.05;

    private const MOST_PART_HEAT = 8.0;

    /** What is not hot by then never will be, minutes. */
    private const LONGEST_PREHEAT = 45.0;

    /** @param  array<string, OwnCooker>  $yard  the cook's own cookers, by name */
    public static function lay(Roast $roast, array $yard): LaidRoast
    {
        $dishes = array_map(function (Dish $dish) use ($roast, $yard): Dish {
            $dish = self::buried($dish, $roast->airC);
            $stages = [];
            $left = [];
            foreach ($dish->stages as $stage) {
                $body = $stage->cooker->body;
                $stages[] = self::laid($stage, $left[$body] ?? null, $dish, $roast, $yard);
                $left = array_map(
                    fn (array $one): array => [$one[0], $one[1] + ($stage->end->isTimed() ? (float) $stage->value : INF)],
                    $left,
                );
                $left[$body] = [$stage->cookerC, 0.0];
            }

            return $dish->through($stages);
        }, $roast->dishes);

        $partHeats = array_map(fn (Dish $dish): array => self::partHeats($dish, $roast, $yard), $roast->dishes);

        return new LaidRoast($roast, $dishes, $partHeats, $yard);
    }

    /**
     * @param  array<string, OwnCooker>  $yard
     * @return array<string, float> flux at each part over the flux that the forecast counts on, by id; none where all parts get the same
     */
    private static function partHeats(Dish $dish, Roast $roast, array $yard): array
    {
        $stage = $dish->mainStage();
        $kind = $stage->cooker->id;
        $parts = Part::of($dish->cut);
        if ($parts === [] || ! Equipment::has($kind)) {
            return [];
        }
        $wish = $roast->fires[$kind] ?? new FireWish($kind);
        $equipment = OwnCooker::wished($wish->own, $kind, $yard)->equipment ?? Equipment::of($kind);
        if (! $equipment->isOpen()) {
            return [];
        }
        [$fire, $floor] = self::floor($wish, $equipment, $stage, $roast->weather());
        $decides = max(1.0, self::decidingWm2($floor, $fire->heightM, $dish));
        $lengthM = self::lengthM($dish);

        return array_combine(
            array_column($parts, 'id'),
            array_map(fn (Part $part): float => min(self::MOST_PART_HEAT, max(
                self::LEAST_PART_HEAT, $floor->downWm2($part->middleM($lengthM), 0.0, $fire->heightM) / $decides,
            )), $parts),
        );
    }

    /** @return array{OpenFire, FireFloor} a fire as it is laid, and its coals as they lie for a step */
    private static function floor(FireWish $wish, Equipment $equipment, Stage $stage, Weather $weather): array
    {
        $fire = self::open($equipment, $wish);

        return [$fire, $fire->floor($wish->laidKg() ?? $fire->settingsFor($stage->cookerC, $weather)->get('coals_kg'))];
    }

    /** A dish whose pot goes into the ground, with the coals round it; any other as it is. */
    private static function buried(Dish $dish, float $airC): Dish
    {
        $pit = $dish->rig instanceof PotRig ? $dish->rig->pit() : null;
        if ($pit === null) {
            return $dish;
        }
        $bed = BuriedBed::of($pit, $airC);

        return $dish->buriedIn($bed)->through(
            array_map(
                fn (Stage $stage): Stage => $stage->cooker->id === self::BURIED ? $stage->heatedTo(
                    $stage->cooker->clampC($bed->celsius(self::BURIED_AFTER_MINUTES)),
                ) : $stage,
                $dish->stages,
            ),
        );
    }

    /**
     * @param  array{float, float}|null  $left  heat at which the dish left that cooker earlier, and for how many minutes;
     *     null when it has not been on it
     * @param  array<string, OwnCooker>  $yard
     */
    private static function laid(Stage $stage, ?array $left, Dish $dish, Roast $roast, array $yard): Stage
    {
        $kind = $stage->cooker->id;
        if (! Equipment::has($kind)) {
            return $stage;
        }
        $wish = $roast->fires[$kind] ?? null;
        $own = OwnCooker::wished($wish?->own, $kind, $yard);
        $equipment = $own->equipment ?? Equipment::of($kind);
        $inside = $stage->cooker->inside->atAltitude($roast->altitudeM);
        if ($wish !== null && $equipment->isOpen()) {
            $inside = $inside->exposing(
                self::fading($wish, $equipment) * self::reaching($wish, $equipment, $dish, $stage, $roast->weather()),
            );
        }
        if ($equipment->isOpen()) {
            $inside = $inside->airedBy(OpenFire::staysInWind($roast->weather()->groundWindMs()));
        }
        $cooker = $stage->cooker->withInside($inside);
        if ($left === null) {
            $cooker = $cooker->preheatingIn(self::preheatMinutes($stage, $equipment, $own, $roast->weather()));
        }
        $goesOn = $left !== null && $left[0] !== $stage->cookerC && $left[1] < INF;
        $curve = OwnCurve::of($equipment, $own->observations ?? []);

        return $stage->cookedOn(
            $own === null ? $cooker : $cooker->recoveringIn($curve->recoveryMinutes->likely),
            self::held($stage, $curve, $dish, $roast->weather()),
            $goesOn ? Settling::between($curve, $roast->weather(), $left[0], $stage->cookerC)?->ahead($left[1]) : null,
        );
    }

    /** What the cooker comes to and how well that is known: coals in the open are laid until the hand says that they do. */
    private static function held(Stage $stage, OwnCurve $curve, Dish $dish, Weather $weather): Held
    {
        if ($curve->mechanism instanceof OpenFire || ($dish->bed !== null && $stage->cooker->vessel?->takesCoals() === true)) {
            return Held::asSet();
        }
        $comesTo = $curve->steadyC($curve->settingsFor($stage->cookerC, $weather), $weather)->likely;

        return new Held(
            abs($comesTo - $stage->cookerC) > self::THERE_K ? $comesTo : null,
            $curve->settled === 0 ? Held::AS_SET : min(Held::AS_SET, $curve->doubtAt($stage->cookerC, $weather)),
        );
    }

    /** A knob or a set point takes its time to a great heat on a cold day; coals are given what warms the walls to begin with. */
    private static function preheatMinutes(Stage $stage, Equipment $equipment, ?OwnCooker $own, Weather $weather): float
    {
        $usual = $stage->cooker->preheatMinutes;
        if ($usual <= 0.0 || $equipment->burnsCoals()) {
            return $usual;
        }
        $takes = Settling::between(
            OwnCurve::of($equipment, $own->observations ?? []),
            $weather,
            $weather->airC,
            $stage->cookerC,
        )?->doneMinutes() ?? 0.0;

        return min(self::LONGEST_PREHEAT, max($usual, 5.0 * ceil($takes / 5.0)));
    }

    /**
     * Mean heat of an open fire over that of the same kind laid and fed in the usual way: how much of its flux a turning
     * joint takes, and how far its coals fade between two refuels.
     */
    public static function fading(FireWish $wish, Equipment $equipment): float
    {
        $taken = function (FireWish $one) use ($equipment): float {
            // As it is laid out; coals that are raked to and fro under one part are seen by `reaching`.
            $fire = self::open($equipment, new FireWish($one->kind, fuel: $one->fuel, layout: $one->layout));

            return $fire->floor(1.0)->turnShare(0.0, 0.0, $fire->heightM) * CoalBed::meanFade(
                $fire->fuel,
                CoalBed::minutesToFade($fire->fuel, $equipment->renewAt($one->steady)),
            );
        };

        return $taken($wish) / $taken(new FireWish($wish->kind));
    }

    /**
     * Flux where it decides when a dish is done, W/m²: at the part that gets the least for its thickness. Thick parts ask
     * for more, about as their thickness; Banking works it out part by part.
     */
    public static function decidingWm2(FireFloor $floor, float $heightM, Dish $dish): float
    {
        $lengthM = self::lengthM($dish);

        return min(
            array_map(
                fn (Part $part): float => $floor->downWm2($part->middleM($lengthM), 0.0, $heightM) / $part->halfShare,
                Part::along($dish->cut),
            ),
        );
    }

    /** What a dish meets of that heat over a fire laid in the usual way, where it decides; W/m². */
    public static function usualWm2(Equipment $equipment, Dish $dish, float $celsius, Weather $weather): float
    {
        $fire = self::open($equipment, new FireWish($equipment->kind->id));

        return self::decidingWm2($fire->floor($fire->settingsFor($celsius, $weather)->get('coals_kg')), $fire->heightM, $dish);
    }

    /** Length along the fire, m. */
    public static function lengthM(Dish $dish): float
    {
        return ($dish->rig?->size() ?? JointSize::suggested($dish->cut, $dish->massKg))->lengthM;
    }

    /** What it meets of this fire over what it would meet of the usual one: coals moved under the thick end have it done sooner. */
    private static function reaching(FireWish $wish, Equipment $equipment, Dish $dish, Stage $stage, Weather $weather): float
    {
        [$fire, $floor] = self::floor($wish, $equipment, $stage, $weather);

        return self::decidingWm2($floor, $fire->heightM, $dish) / max(1.0, self::usualWm2($equipment, $dish, $stage->cookerC, $weather));
    }

    private static function open(Equipment $equipment, FireWish $wish): OpenFire
    {
        $fire = $equipment->mechanism($wish->burns($equipment), $wish->layout, $wish->piles);
        assert($fire instanceof OpenFire);

        return $fire;
    }
}
