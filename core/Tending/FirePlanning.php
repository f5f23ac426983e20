<?php

declare(strict_types=1);

namespace Diatherm\Tending;

use Diatherm\Cooker\Cooker;
use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\OpenFire;
use Diatherm\Cooker\OwnCooker;
use Diatherm\Cooker\OwnCurve;
use Diatherm\Cooker\Settings;
use Diatherm\Cooker\Settling;
use Diatherm\Cooker\Weather;
use Diatherm\Cooking\Forecast;
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

    /** Where a dish is seared in the open. */
    private const SEARS = 'open-grate';

    /** Coals that are there, raked together, do for a sear when they are such a share of a fire of its own. Common practice. */
    private const LENT_SHARE = 0.4;

    /** A target that the cooker misses by no more than this is reached, K. */
    private const NEAR_K = 4.0;

    /**
     * @param  list<Forecast>  $forecasts  one a dish, in order
     * @param  array<int, \DateTimeImmutable>  $ons  when each dish goes on
     * @param  array<string, OwnCooker>  $yard  the cook's own cookers, by name
     * @return list<FirePlan> one for each cooker that has a fire or a setting
     */
    public static function all(Roast $roast, array $forecasts, array $ons, array $yard): array
    {
        $plans = [];
        $onMinutes = array_map(fn (\DateTimeImmutable $on): float => $on->getTimestamp() / 60.0, $ons);
        foreach (self::heats($forecasts, $onMinutes) as $kind => $heats) {
            if (Equipment::has($kind)) {
                $plans[] = self::one($kind, $roast, $forecasts, $heats, $yard, $plans);
            }
        }

        return $plans;
    }

    /**
     * @param  list<Forecast>  $forecasts
     * @param  non-empty-list<array{float, float, float, int, float}>  $heats  from, until, °C and dish, in order; then when
     *     it is likely to be free
     * @param  array<string, OwnCooker>  $yard
     * @param  list<FirePlan>  $before  plans of the cookers that come before it
     */
    private static function one(string $kind, Roast $roast, array $forecasts, array $heats, array $yard, array $before): FirePlan
    {
        $wish = $roast->fires[$kind] ?? new FireWish($kind);
        $own = OwnCooker::wished($wish->own, $kind, $yard);
        $equipment = $own->equipment ?? Equipment::of($kind);
        [$first, $dish] = [$heats[0][0], $heats[0][3]];
        $rig = $forecasts[$dish]->dish->rig;
        if ($kind === 'camp-oven' && $rig instanceof PotRig && $own === null) {
            $equipment = Equipment::of($kind, ['diameter_cm' => min(50.0, max(18.0, 100.0 * $rig->pot->diameterM))]);
        }
        $buried = $forecasts[$dish]->dish->bed !== null && $kind === 'camp-oven';
        $fuel = $wish->burns($equipment);
        $fuel = $fuel === null || $fuel->use !== 'bed' || $buried ? null : $fuel;
        $layout = $wish->layout ?? ($kind === 'camp-oven' ? 'roast' : array_key_first($equipment->layouts()));
        $mechanism = $equipment->mechanism($fuel, $layout, $wish->piles);
        $curve = OwnCurve::of($equipment, $own->observations ?? [], $mechanism);
        $weather = $roast->weather();
        $steps = self::steps($heats, $wish, $curve, $weather);
        // In the open coals are shovelled as they are needed, one refuel in hand; elsewhere they are laid for the slow end.
        $until = max(array_column($heats, $equipment->isOpen() ? 4 : 1)) - $first + self::IN_HAND_MINUTES;
        $preheat = self::firstOn($forecasts[$dish]->dish, $kind)->preheatMinutes;
        $run = new FireRun($curve, $weather, $fuel, $steps, -$preheat, $until, $equipment->renewAt($wish->steady));
        $bed = $forecasts[$dish]->dish->bed;
        $points = $buried ? array_map(fn (float $minutes): array => [$minutes, 0.0], range(0.0, $until, 3.0)) : $run->course;
        $course = array_map(
            fn (array $point): array => [
                $point[0],
                $buried && $bed !== null ? self::around($bed->celsius($point[0]), $curve, $weather) : $curve->ownC($point[1], $weather),
            ],
            $points,
        );

        [$lender, $topUpKg] = self::lender($kind, $forecasts[$dish]->dish, $before, $first, $run->startKg);

        return new FirePlan(
            $dish,
            array_values(array_unique(array_column($heats, 3))),
            $roast->serveAt->setTimestamp((int) round(60.0 * $first)),
            $forecasts[$dish]->dish->stages[0]->cooker->id === $kind,
            $own->name ?? ucfirst($equipment->kind->short),
            $equipment,
            $curve,
            $weather,
            $fuel,
            $layout,
            $steps,
            $run,
            FireLayout::piles($wish, $equipment, $layout, $run->startKg),
            $course,
            $preheat,
            $until,
            $buried,
            $own !== null,
            $wish,
            $lender,
            $topUpKg,
        );
    }

    /**
     * The cooker whose coals a sear in the open takes over, lid off and pan out: the one that the dish comes from, when
     * enough is left in it. Null when a fire of its own is lit.
     *
     * @param  list<FirePlan>  $before
     * @param  float  $firstMinutes  when the dish comes to it
     * @return array{string|null, float} its short name, and coals to be added, kg
     */
    private static function lender(string $kind, Dish $dish, array $before, float $firstMinutes, float $needsKg): array
    {
        $from = null;
        foreach ($dish->stages as $stage) {
            if ($stage->cooker->id === $kind) {
                break;
            }
            $from = $stage->cooker->isRest() ? $from : $stage->cooker->id;
        }
        foreach ($kind === self::SEARS ? $before : [] as $plan) {
            $at = $firstMinutes - $plan->startsAt->getTimestamp() / 60.0;
            $left = 0.0;
            foreach ($plan->run->left as [$minutes, $kg]) {
                $left = $minutes <= $at ? $kg : $left;
            }
            if ($plan->equipment->kind->id === $from && $plan->equipment->isVented() && $plan->fuel !== null && $left > 0.0) {
                return [$plan->equipment->kind->short, max(0.0, self::LENT_SHARE * $needsKg - $left)];
            }
        }

        return [null, 0.0];
    }

    /**
     * From one heat to the next; a cooker that stands empty in between is set early enough to be there.
     *
     * @param  non-empty-list<array{float, float, float, int, float}>  $heats  as above
     * @return non-empty-list<FireStep>
     */
    private static function steps(array $heats, FireWish $wish, OwnCurve $curve, Weather $weather): array
    {
        [$first, , $firstC] = $heats[0];
        $laidKg = $curve->mechanism instanceof OpenFire ? $wish->laidKg() : null;
        $steps = [];
        $free = $first;
        foreach ($heats as [$from, , $celsius, , $likely]) {
            $before = $steps === [] ? $celsius : $steps[count($steps) - 1]->targetC;
            if ($steps === [] || $before !== $celsius) {
                $takes = Settling::between($curve, $weather, $before, $celsius)?->doneMinutes() ?? 0.0;
                $begins = $from - min(max(0.0, $from - $free), $takes) - $first;
                $steps[] = $laidKg === null
                    ? self::step($begins, $celsius, $curve, $weather)
                    : self::laidByHand($begins, $celsius, $firstC, $laidKg, $curve, $weather);
            }
            $free = max($free, $likely);
        }

        return $steps;
    }

    /** The cooker as the dish first meets it. */
    private static function firstOn(Dish $dish, string $kind): Cooker
    {
        foreach ($dish->stages as $stage) {
            if ($stage->cooker->id === $kind) {
                return $stage->cooker;
            }
        }

        throw OutOfRange::unknown('cooker', $kind);
    }

    private static function around(float $celsius, OwnCurve $curve, Weather $weather): Spread
    {
        $doubt = 1.5 * $curve->mechanism->doubt() * ($celsius - $weather->airC);

        return Spread::of($celsius - $doubt, $celsius, $celsius + $doubt);
    }

    private static function step(float $from, float $celsius, OwnCurve $curve, Weather $weather): FireStep
    {
        $settings = $curve->settingsFor($celsius, $weather)->rounded($curve->mechanism->controls());
        $steady = $curve->steadyC($curve->settingsFor($celsius, $weather), $weather);

        return new FireStep(
            $from,
            $celsius,
            $settings,
            $curve->steadyC($settings, $weather),
            abs($steady->likely - $celsius) <= self::NEAR_K,
            $curve->isExtrapolated($celsius, $weather),
        );
    }

    /** Coals in the open as the cook laid them, whatever they come to; later heats ask for more or less of them. */
    private static function laidByHand(
        float $from,
        float $celsius,
        float $firstC,
        float $laidKg,
        OwnCurve $curve,
        Weather $weather,
    ): FireStep {
        $kg = fn (float $targetC): float => $curve->settingsFor($targetC, $weather)->get('coals_kg');
        $settings = Settings::of(['coals_kg' => $laidKg * $kg($celsius) / max(0.05, $kg($firstC))]);

        return new FireStep(
            $from,
            $celsius,
            $settings,
            $curve->steadyC($settings, $weather),
            true,
            $curve->isExtrapolated($celsius, $weather),
        );
    }

    /**
     * When each kind of cooker is wanted at which heat, all dishes together; later dishes follow the first one's heat
     * until theirs begins.
     *
     * @param  list<Forecast>  $forecasts
     * @param  array<int, float>  $onMinutes
     * @return array<string, non-empty-list<array{float, float, float, int, float}>>
     */
    private static function heats(array $forecasts, array $onMinutes): array
    {
        $heats = [];
        foreach ($forecasts as $i => $forecast) {
            $slow = $forecast->cookMinutes->high / max(0.01, $forecast->cookMinutes->likely);
            foreach ($forecast->dish->stages as $j => $stage) {
                if (! $stage->cooker->isRest()) {
                    $from = $onMinutes[$i] + $forecast->stageStartMinutes[$j];
                    $ends = $forecast->stageStartMinutes[$j + 1] ?? $forecast->cookMinutes->likely;
                    $heats[$stage->cooker->id][] = [$from, $onMinutes[$i] + $ends * $slow, $stage->cookerC, $i, $onMinutes[$i] + $ends];
                }
            }
        }
        foreach ($heats as $kind => $list) {
            usort($list, fn (array $a, array $b): int => $a[0] <=> $b[0]);
            $heats[$kind] = $list;
        }

        return $heats;
    }
}
