<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Cooker\CampOven;
use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\GasGrill;
use Diatherm\Cooker\OpenFire;
use Diatherm\Cooker\OwnCooker;
use Diatherm\Cooker\OwnCurve;
use Diatherm\Cooker\Thermostat;
use Diatherm\Cooker\Weather;
use Diatherm\Fire\CoalBed;
use Diatherm\Fire\FireFloor;
use Diatherm\Fire\Fuel;
use Diatherm\Fire\HandTest;
use Diatherm\Fire\Pile;
use Diatherm\Measure\Mark;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Source;
use Diatherm\Measure\Spread;
use Diatherm\Rig\JointSize;
use Diatherm\Rig\PotRig;

/** How one cooker is lit, laid, set and fed for a roast. Minutes count from the moment that its first dish goes on it. */
final readonly class FirePlan
{
    /** Bought beyond what is planned: wind, damp and a late guest. Common practice. */
    public const MARGIN = 1.3;

    /** The fire is kept up this long past the slow end of the last cook, minutes. */
    private const IN_HAND_MINUTES = 10.0;

    /** A target that the cooker misses by no more than this is reached, K. */
    private const NEAR_K = 4.0;

    /** Smoke wood goes on early, while the meat is cool: so much for each hour of the first three. Common practice. */
    public const SMOKE_KG_PER_HOUR = 0.08;

    /**
     * @param  int  $dish  number of its first dish
     * @param  non-empty-list<int>  $dishes  all that are cooked on it
     * @param  \DateTimeImmutable  $startsAt  minute 0
     * @param  bool  $first  whether that dish begins on it, and does not come to it from another cooker
     * @param  string  $name  of the cook's own, or of the kind
     * @param  string|null  $layout  of the coals, or the camp oven's method
     * @param  non-empty-list<FireStep>  $steps
     * @param  list<Pile>  $piles  as they lie at first
     * @param  list<array{float, Spread}>  $course  minutes and °C
     */
    private function __construct(
        public int $dish,
        public array $dishes,
        public \DateTimeImmutable $startsAt,
        public bool $first,
        public string $name,
        public Equipment $equipment,
        public OwnCurve $curve,
        public Weather $weather,
        public ?Fuel $fuel,
        public ?string $layout,
        public array $steps,
        public FireRun $run,
        public array $piles,
        public array $course,
        public float $untilMinutes,
        public bool $buried,
        public bool $own,
        public bool $steady,
    ) {
    }

    /**
     * @param  list<Forecast>  $forecasts  one a dish, in order
     * @param  array<int, \DateTimeImmutable>  $ons  when each dish goes on
     * @param  array<string, OwnCooker>  $yard  the cook's own cookers, by name
     * @return list<self> one for each cooker that has a fire or a setting
     */
    public static function all(Roast $roast, array $forecasts, array $ons, array $yard): array
    {
        $plans = [];
        $onMinutes = array_map(fn (\DateTimeImmutable $on): float => $on->getTimestamp() / 60.0, $ons);
        foreach (self::heats($forecasts, $onMinutes) as $kind => $heats) {
            if (Equipment::has($kind)) {
                $plans[] = self::one($kind, $roast, $forecasts, $heats, $yard);
            }
        }

        return $plans;
    }

    /**
     * The roast with its fires as they are laid and fed, and its cookers as they were learnt, for the heat model to take up.
     *
     * @param  array<string, OwnCooker>  $yard  the cook's own cookers, by name
     */
    public static function laid(Roast $roast, array $yard): Roast
    {
        $dishes = [];
        foreach ($roast->dishes as $dish) {
            $dishes[] = $dish->through(array_map(function (Stage $stage) use ($roast, $yard): Stage {
                $wish = $roast->fires[$stage->cooker->id] ?? null;
                if ($wish === null) {
                    return $stage;
                }
                $own = $wish->own === null ? null : ($yard[$wish->own] ?? null);
                $cooker = Equipment::of($wish->kind)->isOpen() ? $stage->cooker->exposing(self::exposure($wish)) : $stage->cooker;

                return $stage->on($own?->equipment->kind->id === $wish->kind ? $cooker->recoveringIn($own->curve()->recoveryMinutes->likely) : $cooker);
            }, $dish->stages));
        }

        return $roast->with($dishes);
    }

    /**
     * Mean heat of an open fire over that of the same kind laid and fed in the usual way: how much of it a turning joint
     * sees, and how far its coals fade between two refuels.
     */
    public static function exposure(FireWish $wish): float
    {
        $equipment = Equipment::of($wish->kind);
        $seen = function (?string $fuel, ?string $layout, bool $steady) use ($equipment): float {
            $fire = $equipment->mechanism($fuel === null ? null : Fuel::named($fuel), $layout);
            assert($fire instanceof OpenFire);

            return $fire->floor(1.0)->turnShare(0.0, 0.0, $fire->heightM) * CoalBed::meanFade($fire->fuel, CoalBed::minutesToFade($fire->fuel, $equipment->renewAt($steady)));
        };

        return $seen($wish->fuel, $wish->layout, $wish->steady) / $seen(null, null, false);
    }

    /** The fuel that the cook asked for on that kind of cooker; null for the usual one. */
    public static function fuelAskedFor(Roast $roast, string $kind): ?Fuel
    {
        $fuel = $roast->fires[$kind]->fuel ?? null;

        return $fuel === null ? null : Fuel::named($fuel);
    }

    /** What is laid and added over the whole cook, kg as bought. */
    public function usedKg(): float
    {
        return $this->fuel === null ? 0.0 : $this->fuel->boughtKg($this->bedKg());
    }

    /** Coals laid and added in all. */
    public function bedKg(): float
    {
        return $this->run->startKg + array_sum(array_column($this->run->refuels, 'kg'));
    }

    public function buyKg(): float
    {
        return $this->isFed() ? self::MARGIN * $this->feedKg() : self::MARGIN * $this->usedKg();
    }

    /** Gas or pellets that pass through in all. */
    public function feedKg(): float
    {
        return $this->feed() === null ? 0.0 : $this->run->energyJ / $this->feed()->heatingValueJKg();
    }

    /** What a knob or an auger feeds, where no one adds fuel by hand. */
    public function feed(): ?Fuel
    {
        $fuel = $this->equipment->fuels()[0] ?? null;

        return $fuel !== null && in_array($fuel->use, ['gas', 'feed'], true) ? $fuel : null;
    }

    public function isFed(): bool
    {
        return $this->feed() !== null;
    }

    /** Smoke wood, for those who want it: laid on early. */
    public function smokeKg(): float
    {
        return $this->equipment->isVented() ? self::SMOKE_KG_PER_HOUR * min(3.0, $this->untilMinutes / 60.0) : 0.0;
    }

    /** @return array{over: int, under: int}|null coals of a camp oven, on the lid and below; null for any other cooker */
    public function count(): ?array
    {
        $settings = $this->steps[0]->settings;

        return $this->curve->mechanism instanceof CampOven && ! $this->buried ? ['over' => (int) $settings->get('over'), 'under' => (int) $settings->get('under')] : null;
    }

    /** The fire from above as it is first laid; null where there is none to see. */
    public function floor(): ?FireFloor
    {
        $floor = $this->equipment->floor();
        if ($floor === null) {
            return null;
        }
        $mechanism = $this->curve->mechanism;
        if ($mechanism instanceof GasGrill) {
            $bars = [];
            foreach ($mechanism->burnersW as $i => $watts) {
                $bars[] = [(($i + 0.5) / count($mechanism->burnersW) - 0.5) * $floor['length'], $watts * $this->steps[0]->settings->get('burner_'.($i + 1))];
            }

            return FireFloor::bars($floor['length'], $floor['width'], $bars);
        }

        return $this->fuel === null ? null : FireFloor::of($floor['length'], $floor['width'], $floor['round'], $this->fuel, $this->piles, $this->burning());
    }

    /** Share of the free burning that the lid lets a vented bed have at the first step; 1 in the open. */
    public function burning(): float
    {
        if (! $this->equipment->isVented() || $this->fuel === null || $this->run->startKg <= 0.0) {
            return 1.0;
        }
        $step = $this->steps[0];
        $free = $this->run->startKg * CoalBed::freshWKg($this->fuel);

        return min(1.0, $this->curve->mechanism->heatW($step->settings, $this->curve->modelC($step->steadyC->likely, $this->weather), $this->weather) / $free);
    }

    /**
     * Where the meat lies over the fire and how large it is, m: opposite to coals that are banked at one side, in the
     * middle of all others; over its own burner on a gas grill.
     *
     * @return array{x: float, y: float, length: float, width: float}
     */
    public function meat(Forecast $forecast): array
    {
        $dish = $forecast->dish;
        $size = $dish->rig?->size() ?? JointSize::suggested($dish->cut, $dish->massKg);
        $floor = $this->equipment->floor() ?? ['length' => 0.5, 'width' => 0.5];
        $mechanism = $this->curve->mechanism;
        if ($mechanism instanceof GasGrill) {
            return ['x' => (($mechanism->meatOver + 0.5) / count($mechanism->burnersW) - 0.5) * $floor['length'], 'y' => 0.0, 'length' => $size->widthM, 'width' => $size->lengthM];
        }
        $y = 0.0;
        if ($this->layout === 'one_side' && $this->piles !== []) {
            $middle = array_sum(array_map(fn (Pile $pile): float => $pile->yM * $pile->kg, $this->piles)) / max(1e-9, array_sum(array_column($this->piles, 'kg')));
            $y = max(-0.28, min(0.28, -$middle / $floor['width'])) * $floor['width'];
        }

        return ['x' => 0.0, 'y' => $y, 'length' => $size->lengthM, 'width' => $size->widthM];
    }

    /** @return list<Caution> of this fire, once each */
    public function cautions(): array
    {
        $cautions = [];
        if ($this->fuel !== null || $this->buried) {
            $cautions[] = new Caution('carbon_monoxide', 'Charcoal and wood burn outdoors only, never in a tent, garage or porch: carbon monoxide has no smell. Local fire bans and permits come first; drown, stir and feel the ashes when done.', Source::of(Mark::Common));
        }
        if ($this->fuel !== null && $this->fuel->caution !== '') {
            $cautions[] = new Caution('solvent', $this->fuel->caution, Source::of(Mark::Common));
        }
        if ($this->fuel?->coalsShare !== null) {
            $cautions[] = new Caution('wood', 'Clean, dry, untreated wood of a kind you know; no wet river stones round the fire, they burst.', Source::of(Mark::Common));
        }
        if ($this->curve->mechanism instanceof GasGrill) {
            $cautions[] = new Caution('gas', 'Lid open to light; leaks are found with soapy water. The maker’s manual and licensed fitters decide. A fat fire: burners off, lid down, never water.', Source::of(Mark::Common));
        }
        if ($this->curve->mechanism instanceof Thermostat && $this->feed() === null) {
            $cautions[] = new Caution('electric', 'Dry, grounded, on a circuit of its own, clear of walls; the maker’s manual decides.', Source::of(Mark::Common));
        }
        foreach ($this->steps as $step) {
            if (! $step->reached) {
                $cautions[] = new Caution('out_of_reach', sprintf('%s does not reach %.0f °C in this weather: it comes to about %.0f °C. Shelter it, or plan for less.', $this->name, $step->targetC, $step->steadyC->likely), Source::computed());
                break;
            }
        }

        return $cautions;
    }

    /** How far the temperature swings about what is set, to either side, K. */
    public function swingK(): float
    {
        $mechanism = $this->curve->mechanism;

        return $mechanism instanceof Thermostat ? $mechanism->swingAtK($this->steps[0]->targetC) : 0.0;
    }

    /** Seconds that a palm is held at the meat's height over the fresh fire; null where the fire is not in the open. */
    public function handSeconds(): ?float
    {
        return $this->equipment->isOpen() ? HandTest::seconds(HandTest::fluxOfWallWm2($this->steps[0]->steadyC->likely)) : null;
    }

    /** Minutes before the first dish goes on at which its fire is lit; below 0. */
    public function lightMinutes(): float
    {
        return -$this->equipment->kind->preheatMinutes - $this->equipment->kind->lightMinutes;
    }

    /**
     * @param  list<Forecast>  $forecasts
     * @param  non-empty-list<array{float, float, float, int}>  $heats  from, until, °C and dish, in order
     * @param  array<string, OwnCooker>  $yard
     */
    private static function one(string $kind, Roast $roast, array $forecasts, array $heats, array $yard): self
    {
        $wish = $roast->fires[$kind] ?? new FireWish($kind);
        $own = $wish->own === null ? null : ($yard[$wish->own] ?? null);
        $own = $own?->equipment->kind->id === $kind ? $own : null;
        $equipment = $own->equipment ?? Equipment::of($kind);
        [$first, $dish] = [$heats[0][0], $heats[0][3]];
        $rig = $forecasts[$dish]->dish->rig;
        if ($kind === 'camp-oven' && $rig instanceof PotRig && $own === null) {
            $equipment = Equipment::of($kind, ['diameter_cm' => min(50.0, max(18.0, 100.0 * $rig->pot->diameterM))]);
        }
        $buried = $forecasts[$dish]->dish->bed !== null && $kind === 'camp-oven';
        $fuel = $wish->fuel === null ? ($equipment->fuels()[0] ?? null) : Fuel::named($wish->fuel);
        $fuel = $fuel === null || $fuel->use !== 'bed' || $buried ? null : $fuel;
        $layout = $wish->layout ?? ($kind === 'camp-oven' ? 'roast' : array_key_first($equipment->layouts()));
        $mechanism = $equipment->mechanism($fuel, $layout);
        $curve = OwnCurve::of($equipment, $own->observations ?? [], $mechanism);
        $weather = $roast->weather();
        $steps = [];
        foreach ($heats as [$from, , $celsius]) {
            if ($steps === [] || $steps[count($steps) - 1]->targetC !== $celsius) {
                $steps[] = self::step($from - $first, $celsius, $curve, $weather);
            }
        }
        $until = max(array_column($heats, 1)) - $first + self::IN_HAND_MINUTES;
        $run = new FireRun($curve, $weather, $fuel, $steps, -$equipment->kind->preheatMinutes, $until, $equipment->renewAt($wish->steady));
        $bed = $forecasts[$dish]->dish->bed;
        $points = $buried ? array_map(fn (float $minutes): array => [$minutes, 0.0], range(0.0, $until, 3.0)) : $run->course;
        $course = array_map(fn (array $point): array => [$point[0], $buried && $bed !== null ? self::around($bed->celsius($point[0]), $curve, $weather) : $curve->ownC($point[1], $weather)], $points);

        return new self($dish, array_values(array_unique(array_column($heats, 3))), $roast->serveAt->setTimestamp((int) round(60.0 * $first)), $forecasts[$dish]->dish->stages[0]->cooker->id === $kind, $own->name ?? ucfirst($equipment->kind->short), $equipment, $curve, $weather, $fuel, $layout, $steps, $run, self::piles($wish, $equipment, $layout, $run->startKg), $course, $until, $buried, $own !== null, $wish->steady);
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

        return new FireStep($from, $celsius, $settings, $curve->steadyC($settings, $weather), abs($steady->likely - $celsius) <= self::NEAR_K, $curve->isExtrapolated($celsius, $weather));
    }

    /** @return list<Pile> the coals as they are laid: by hand, or by the layout */
    private static function piles(FireWish $wish, Equipment $equipment, ?string $layout, float $kg): array
    {
        $floor = $equipment->floor();
        if ($floor === null || $kg <= 0.0) {
            return [];
        }
        if ($wish->piles !== null) {
            $all = array_sum(array_column($wish->piles, 'kg'));

            return array_map(fn (Pile $pile): Pile => Pile::of($pile->xM, $pile->yM, $pile->kg / $all * $kg), $wish->piles);
        }

        return array_map(fn (array $at): Pile => Pile::of(0.5 * $at[0] * $floor['length'], 0.5 * $at[1] * $floor['width'], $at[2] * $kg), Equipment::pilesOf($layout ?? throw OutOfRange::unknown('layout', '')));
    }

    /**
     * When each kind of cooker is wanted at which heat, all dishes together; later dishes follow the first one's heat
     * until theirs begins.
     *
     * @param  list<Forecast>  $forecasts
     * @param  array<int, float>  $onMinutes
     * @return array<string, non-empty-list<array{float, float, float, int}>>
     */
    private static function heats(array $forecasts, array $onMinutes): array
    {
        $heats = [];
        foreach ($forecasts as $i => $forecast) {
            $slow = $forecast->cookMinutes->high / max(0.01, $forecast->cookMinutes->likely);
            foreach ($forecast->dish->stages as $j => $stage) {
                if (! $stage->cooker->isRest()) {
                    $from = $onMinutes[$i] + $forecast->stageStartMinutes[$j];
                    $until = $onMinutes[$i] + ($forecast->stageStartMinutes[$j + 1] ?? $forecast->cookMinutes->likely) * $slow;
                    $heats[$stage->cooker->id][] = [$from, $until, $stage->cookerC, $i];
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
