<?php

declare(strict_types=1);

namespace Diatherm\Tending;

use Diatherm\Cooker\Cooker;
use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\OpenFire;
use Diatherm\Cooker\OwnCooker;
use Diatherm\Cooker\Settings;
use Diatherm\Cooker\Settling;
use Diatherm\Cooking\Forecast;
use Diatherm\Fire\BuriedBed;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Spread;
use Diatherm\Rig\PotRig;
use Diatherm\Roast\Dish;
use Diatherm\Roast\FireWish;
use Diatherm\Roast\Roast;

/** From a roast and its forecasts to a plan for each fire. */
final class FirePlanning
{
    /** The fire is kept up this long past the slow end of the last cook, minutes. */
    private const IN_HAND_MINUTES = 10.0;

    private const BURIED_EVERY_MINUTES = 3.0;

    /** Where a dish is seared in the open. */
    private const SEARS = 'open-grate';

    /** Coals that are there, raked together, do for a sear when they are such a share of a fire of its own. Common practice. */
    private const LENT_SHARE = 0.4;

    /** So few more are not worth a match: what glows there does. Common practice. */
    private const LEAST_MORE_KG = 0.1;

    /** Coals are raked together so soon after what they were for came off. */
    private const LENT_FROM_MINUTES = 2.0;

    /** One cooker for two dishes that meet on it for no longer: the one is taken off before the other goes on. Common practice. */
    private const IN_TURN_MINUTES = 5.0;

    /** A cooker that nothing is on is kept hot for what comes so soon; later it is lit anew. Common practice. */
    private const KEPT_HOT_MINUTES = 60.0;

    /** A target that the cooker misses by no more than this is reached, K. */
    private const NEAR_K = 4.0;

    /**
     * @param  list<Forecast>  $forecasts  one a dish, in order
     * @param  array<int, \DateTimeImmutable>  $ons  when each dish goes on
     * @param  array<string, OwnCooker>  $yard  the cook's own cookers, by name
     * @param  array<string, list<HeatWanted>>  $besides  what else wants a heat of a cooker, by its kind
     * @return list<FirePlan> one for each cooker that has a fire or a setting
     */
    public static function all(Roast $roast, array $forecasts, array $ons, array $yard, array $besides = []): array
    {
        $plans = [];
        $onMinutes = array_map(fn (\DateTimeImmutable $on): float => $on->getTimestamp() / 60.0, $ons);
        $all = self::heats($roast, $forecasts, $onMinutes, $besides);
        $kinds = array_values(array_filter(array_keys($all), Equipment::has(...)));
        // What a fire takes over was burning before it, whichever dish comes first on the ticket.
        $inTime = $kinds;
        usort($inTime, fn (string $a, string $b): int => $all[$a][0]->fromMinutes <=> $all[$b][0]->fromMinutes);
        foreach ($inTime as $kind) {
            $plans[$kind] = self::one($kind, $roast, $forecasts, $all, $yard, array_values($plans));
        }

        return array_map(fn (string $kind): FirePlan => $plans[$kind], $kinds);
    }

    /**
     * @param  list<Forecast>  $forecasts
     * @param  array<string, non-empty-list<HeatWanted>>  $all  in order, by kind of cooker
     * @param  array<string, OwnCooker>  $yard
     * @param  list<FirePlan>  $before  plans of the cookers that come before it
     */
    private static function one(string $kind, Roast $roast, array $forecasts, array $all, array $yard, array $before): FirePlan
    {
        $heats = $all[$kind];
        $served = self::kindsOf($kind, $roast);
        $wish = $roast->fires[$kind] ?? new FireWish($kind, fuel: self::fuelWished($served, $roast));
        $own = OwnCooker::wished($wish->own, $kind, $yard);
        $equipment = $own->equipment ?? Equipment::of($kind);
        [$first, $dish] = [$heats[0]->fromMinutes, $heats[0]->dish];
        $rig = $forecasts[$dish]->dish->rig;
        if ($kind === 'camp-oven' && $rig instanceof PotRig && $own === null) {
            $equipment = Equipment::of($kind, ['diameter_cm' => min(50.0, max(18.0, 100.0 * $rig->pot->diameterM))]);
        }
        $buried = $forecasts[$dish]->dish->bed !== null && $kind === 'camp-oven';
        $stove = Stove::of($equipment, $own, $wish, $roast->weather(), $buried);
        $steps = self::steps($heats, $stove);
        // In the open coals are shovelled as they are needed, one refuel in hand; elsewhere they are laid for the slow end.
        $ends = array_map(fn (HeatWanted $heat): float => $equipment->isOpen() ? $heat->freeMinutes : $heat->untilMinutes, $heats);
        $lender = self::lender($kind, $roast, $forecasts[$dish]->dish, $before, $first, $all);
        $isSame = $lender !== null && $roast->isOneCooker($lender->stove->equipment->kind->id, $kind);
        $standsC = $isSame ? $lender->steps[count($lender->steps) - 1]->targetC : null;
        $use = new FireUse(
            $dish,
            array_values(array_unique(array_map(fn (HeatWanted $heat): int => $heat->dish, $heats))),
            $roast->serveAt->setTimestamp((int) round(60.0 * $first)),
            $standsC === null
                ? self::firstOn($forecasts[$dish]->dish, $served)->preheatMinutes
                : min(
                    max(0.0, $first - self::freeMinutes($lender, $all)),
                    Settling::between($stove->curve, $stove->weather, $standsC, $heats[0]->celsius)?->doneMinutes() ?? 0.0,
                ),
            max($ends) - $first + self::IN_HAND_MINUTES,
            in_array($forecasts[$dish]->dish->stages[0]->cooker->id, $served, true),
            $buried,
            $served,
        );
        $run = FireSimulation::run($stove, $steps, -$use->preheatMinutes, $use->untilMinutes, $standsC);

        return new FirePlan(
            $stove,
            $use,
            $steps,
            $run,
            self::course($stove, $run, $buried ? $forecasts[$dish]->dish->bed : null, $use->untilMinutes),
            FireLayout::piles($wish, $equipment, $stove->layout, $run->startKg),
            $lender === null ? Lent::none() : self::lent($lender, $isSame, $first, $run->startKg),
        );
    }

    /** @return list<array{float, Spread}> minutes and °C, as this cooker has them */
    private static function course(Stove $stove, FireRun $run, ?BuriedBed $bed, float $untilMinutes): array
    {
        if ($bed !== null) {
            return array_map(
                fn (float $minutes): array => [$minutes, self::around($bed->celsius($minutes), $stove)],
                range(0.0, $untilMinutes, self::BURIED_EVERY_MINUTES),
            );
        }

        return array_map(fn (array $point): array => [$point[0], $stove->curve->ownC($point[1], $stove->weather)], $run->course);
    }

    /**
     * What nothing else wants from then on: the cooker itself, laid or set another way, that this dish or another has left; or the one that
     * the dish comes from, whose coals do for a sear in the open, lid off and pan out. None where a fire of its own is lit.
     *
     * @param  list<FirePlan>  $before
     * @param  float  $firstMinutes  when the dish comes to it
     * @param  array<string, non-empty-list<HeatWanted>>  $all
     */
    private static function lender(string $kind, Roast $roast, Dish $dish, array $before, float $firstMinutes, array $all): ?FirePlan
    {
        $from = null;
        foreach ($dish->stages as $stage) {
            if ($stage->cooker->id === $kind) {
                break;
            }
            $from = $stage->cooker->isRest() ? $from : $stage->cooker->id;
        }
        foreach ($before as $plan) {
            $its = $plan->stove->equipment;
            $stands = $firstMinutes - self::freeMinutes($plan, $all);
            $isIts = $its->kind->id === $from;
            $isSame = $roast->isOneCooker($its->kind->id, $kind) && $stands >= -self::IN_TURN_MINUTES
                && ($isIts || $stands <= self::KEPT_HOT_MINUTES);
            $hasCoals = $kind === self::SEARS && $its->isVented() && $plan->stove->fuel !== null
                && self::leftKg($plan, $firstMinutes) > 0.0;
            if ($isSame || ($isIts && $hasCoals && $stands >= -self::LENT_FROM_MINUTES)) {
                return $plan;
            }
        }

        return null;
    }

    private static function lent(FirePlan $lender, bool $isSame, float $firstMinutes, float $needsKg): Lent
    {
        $moreKg = ($isSame ? 1.0 : self::LENT_SHARE) * $needsKg - self::leftKg($lender, $firstMinutes);

        return new Lent($lender->stove->equipment->kind->short, $moreKg < self::LEAST_MORE_KG ? 0.0 : $moreKg, $isSame);
    }

    /**
     * When nothing is on it any more.
     *
     * @param  array<string, non-empty-list<HeatWanted>>  $all
     */
    private static function freeMinutes(FirePlan $plan, array $all): float
    {
        return max(array_map(fn (HeatWanted $heat): float => $heat->freeMinutes, $all[$plan->stove->equipment->kind->id]));
    }

    /** Coals that are left in it by then; past the end of what was reckoned they burn down as they did last. */
    private static function leftKg(FirePlan $plan, float $atMinutes): float
    {
        $at = $atMinutes - $plan->use->startsAt->getTimestamp() / 60.0;
        $last = [0.0, 0.0];
        $burns = 0.0;
        foreach ($plan->run->left as [$minutes, $kg]) {
            if ($minutes > $at) {
                return $last[1];
            }
            // Not over a refuel, where there is more than before.
            $burns = $kg < $last[1] && $minutes > $last[0] ? ($last[1] - $kg) / ($minutes - $last[0]) : $burns;
            $last = [$minutes, $kg];
        }

        return max(0.0, $last[1] - $burns * max(0.0, $at - $last[0]));
    }

    /**
     * From one heat to the next; a cooker that stands empty in between is set early enough to be there.
     *
     * @param  non-empty-list<HeatWanted>  $heats  in order
     * @return non-empty-list<FireStep>
     */
    private static function steps(array $heats, Stove $stove): array
    {
        $first = $heats[0]->fromMinutes;
        $laidKg = $stove->curve->mechanism instanceof OpenFire ? $stove->wish->laidKg() : null;
        $steps = [];
        $free = $first;
        foreach ($heats as $heat) {
            $before = $steps === [] ? $heat->celsius : $steps[count($steps) - 1]->targetC;
            if ($steps === [] || $before !== $heat->celsius) {
                $takes = Settling::between($stove->curve, $stove->weather, $before, $heat->celsius)?->doneMinutes() ?? 0.0;
                $begins = $heat->fromMinutes - min(max(0.0, $heat->fromMinutes - $free), $takes) - $first;
                $steps[] = $laidKg === null
                    ? self::step($begins, $heat->celsius, $stove)
                    : self::laidByHand($begins, $heat->celsius, $heats[0]->celsius, $laidKg, $stove);
            }
            $free = max($free, $heat->freeMinutes);
        }

        return $steps;
    }

    /**
     * The cooker as the dish first meets it.
     *
     * @param  non-empty-list<string>  $kinds
     */
    private static function firstOn(Dish $dish, array $kinds): Cooker
    {
        foreach ($dish->stages as $stage) {
            if (in_array($stage->cooker->id, $kinds, true)) {
                return $stage->cooker;
            }
        }

        throw OutOfRange::unknown('cooker', $kinds[0]);
    }

    /** @return non-empty-list<string> the kinds that a fire serves, its own first */
    private static function kindsOf(string $fire, Roast $roast): array
    {
        $kinds = [$fire];
        foreach ($roast->dishes as $dish) {
            foreach ($dish->stages as $stage) {
                if (! in_array($stage->cooker->id, $kinds, true) && $roast->fireOf($stage->cooker->id) === $fire) {
                    $kinds[] = $stage->cooker->id;
                }
            }
        }

        return $kinds;
    }

    /** @param  non-empty-list<string>  $kinds */
    private static function fuelWished(array $kinds, Roast $roast): ?string
    {
        foreach ($kinds as $kind) {
            if (isset($roast->fires[$kind]->fuel)) {
                return $roast->fires[$kind]->fuel;
            }
        }

        return null;
    }

    private static function around(float $celsius, Stove $stove): Spread
    {
        $doubt = 1.5 * $stove->curve->mechanism->doubt() * ($celsius - $stove->weather->airC);

        return Spread::of($celsius - $doubt, $celsius, $celsius + $doubt);
    }

    private static function step(float $from, float $celsius, Stove $stove): FireStep
    {
        $exactly = $stove->curve->settingsFor($celsius, $stove->weather);
        $settings = $exactly->rounded($stove->curve->mechanism->controls());
        $reached = abs($stove->curve->steadyC($exactly, $stove->weather)->likely - $celsius) <= self::NEAR_K;

        return self::set($from, $celsius, $settings, $reached, $stove);
    }

    /** Coals in the open as the cook laid them, whatever they come to; later heats ask for more or less of them. */
    private static function laidByHand(float $from, float $celsius, float $firstC, float $laidKg, Stove $stove): FireStep
    {
        $kg = fn (float $targetC): float => $stove->curve->settingsFor($targetC, $stove->weather)->get('coals_kg');
        $settings = Settings::of(['coals_kg' => $laidKg * $kg($celsius) / max(0.05, $kg($firstC))]);

        return self::set($from, $celsius, $settings, true, $stove);
    }

    private static function set(float $from, float $celsius, Settings $settings, bool $reached, Stove $stove): FireStep
    {
        $steadyC = $stove->curve->steadyC($settings, $stove->weather);

        return new FireStep($from, $celsius, $settings, $steadyC, $reached, $stove->curve->isExtrapolated($celsius, $stove->weather));
    }

    /**
     * When each kind of cooker is wanted at which heat, all dishes together; later dishes follow the first one's heat
     * until theirs begins.
     *
     * @param  list<Forecast>  $forecasts
     * @param  array<int, float>  $onMinutes
     * @param  array<string, list<HeatWanted>>  $besides  on a cooker that a dish was on: what it is lit for stays the dish
     * @return array<string, non-empty-list<HeatWanted>>
     */
    private static function heats(Roast $roast, array $forecasts, array $onMinutes, array $besides): array
    {
        $heats = [];
        foreach ($forecasts as $i => $forecast) {
            $slow = $forecast->cookMinutes->high / max(0.01, $forecast->cookMinutes->likely);
            foreach ($forecast->dish->stages as $j => $stage) {
                if (! $stage->cooker->isRest()) {
                    $from = $onMinutes[$i] + $forecast->stageStartMinutes[$j];
                    $ends = $forecast->stageStartMinutes[$j + 1] ?? $forecast->cookMinutes->likely;
                    $heats[$roast->fireOf($stage->cooker->id)][] = new HeatWanted(
                        $from,
                        $onMinutes[$i] + $ends * $slow,
                        $onMinutes[$i] + $ends,
                        $stage->cookerC,
                        $i,
                    );
                }
            }
        }
        $alsoAt = [];
        foreach ($besides as $kind => $list) {
            $fire = $roast->fireOf($kind);
            $alsoAt[$fire] = [...$alsoAt[$fire] ?? [], ...$list];
        }
        foreach ($heats as $kind => $list) {
            $list = [...$list, ...$alsoAt[$kind] ?? []];
            usort($list, fn (HeatWanted $a, HeatWanted $b): int => $a->fromMinutes <=> $b->fromMinutes);
            $heats[$kind] = $list;
        }

        return $heats;
    }
}
