<?php

declare(strict_types=1);

namespace Diatherm\Tending;

use Diatherm\Cooker\CampOven;
use Diatherm\Cooker\Mechanism;
use Diatherm\Cooker\OpenFire;
use Diatherm\Cooker\VentedCooker;
use Diatherm\Cooker\Warmth;
use Diatherm\Fire\CampOvenCount;
use Diatherm\Fire\CoalBed;
use Diatherm\Fire\Fuel;
use Diatherm\Measure\Bisection;

/**
 * Runs one fire from the preheating to the end, minute by minute, and adds fuel whenever the bed would no longer hold the
 * target: as much at a time, and so as seldom, as the fire bears without running away.
 */
final class FireSimulation
{
    /** A vented bed may give up to so many times what is needed: more, and every lid lift makes it roar. Common practice. */
    private const HEADROOM = 3.0;

    /** It is fed when it can give only so much more than is needed. */
    private const FED_AT = 1.06;

    /** Not worth a refuel: so near to the end, minutes. */
    private const ENDING_MINUTES = 12.0;

    /** On the open, a fire need not be renewed when less than this share of its interval is left to go. */
    private const SHORT_SHARE = 0.35;

    private const MOST_REFUELS = 60;

    private const POINT_EVERY_MINUTES = 3;

    private const LOOKS_A_MINUTE = 3;

    private const LEAST_CLOSE_IN_K = 6.0;

    /** No cook closes in sooner. Common practice. */
    public const MOST_CLOSE_IN_K = 40.0;

    private readonly Mechanism $mechanism;

    private readonly float $renewAt;

    /** @var list<Refuel> */
    private array $refuels = [];

    /** @param  non-empty-list<FireStep>  $steps */
    private function __construct(
        private readonly Stove $stove,
        private readonly array $steps,
        private readonly float $fromMinutes,
        private readonly float $untilMinutes,
        private readonly ?float $startC,
    ) {
        $this->mechanism = $stove->curve->mechanism;
        $this->renewAt = $stove->equipment->renewAt($stove->wish->steady);
    }

    /**
     * @param  non-empty-list<FireStep>  $steps
     * @param  float  $fromMinutes  before 0: when the coals go in, or the knob is turned
     * @param  float|null  $startC  what it stands at by then; null for cold
     */
    public static function run(Stove $stove, array $steps, float $fromMinutes, float $untilMinutes, ?float $startC = null): FireRun
    {
        return (new self($stove, $steps, $fromMinutes, $untilMinutes, $startC))->burn();
    }

    private function burn(): FireRun
    {
        [$fuel, $weather] = [$this->stove->fuel, $this->stove->weather];
        $bed = $fuel === null ? null : CoalBed::of($fuel, $this->mechanism instanceof VentedCooker ? 0.0 : $weather->groundWindMs());
        $startKg = $fuel === null ? 0.0 : $this->firstKg($fuel);
        $bed?->add($startKg, true);
        $warmth = new Warmth($this->stove->curve, $weather, $bed, $this->startC);
        $minutes = (int) ceil($this->untilMinutes - $this->fromMinutes);
        [$course, $left, $energyJ, $closedInMinutes, $closedInC, $current] = [[], [], 0.0, null, null, -1];
        for ($m = 0; $m <= $minutes; $m++) {
            $at = $this->fromMinutes + $m;
            $number = $this->stepAt($at);
            $step = $this->steps[$number];
            if ($bed !== null && $fuel !== null && $at > $this->fromMinutes) {
                $this->feed($bed, $fuel, $step, $at, $current !== $number && $current >= 0, $warmth->modelC());
            }
            $current = $number;
            if ($m % self::POINT_EVERY_MINUTES === 0 || $m === $minutes) {
                $course[] = [$at, $warmth->modelC()];
                $left[] = [$at, $bed?->leftKg() ?? 0.0];
            }
            for ($look = 0; $look < self::LOOKS_A_MINUTE; $look++) {
                $closeInC = $step->targetC - $this->closeInK($bed, $step);
                $near = $warmth->celsius() >= $closeInC;
                if ($near && $closedInMinutes === null) {
                    [$closedInMinutes, $closedInC] = [$at, $closeInC];
                }
                $settings = $near ? $step->settings : $this->mechanism->hurried($step->settings);
                $warmth->through($settings, 60.0 / self::LOOKS_A_MINUTE);
                $energyJ += 60.0 / self::LOOKS_A_MINUTE * $this->mechanism->heatW($settings, $warmth->modelC(), $weather);
            }
        }

        return new FireRun($startKg, $this->refuels, $course, $left, $energyJ, $bed?->leftKg() ?? 0.0, $closedInMinutes, $closedInC);
    }

    private function stepAt(float $minutes): int
    {
        $number = 0;
        foreach ($this->steps as $i => $step) {
            $number = $step->fromMinutes <= $minutes + 1e-6 ? $i : $number;
        }

        return $number;
    }

    private function firstKg(Fuel $fuel): float
    {
        $step = $this->steps[0];
        if ($this->mechanism instanceof OpenFire) {
            return self::asCounted($fuel, $step->settings->get('coals_kg'));
        }
        if ($this->mechanism instanceof CampOven) {
            return ($step->settings->get('over') + $step->settings->get('under')) * CampOvenCount::kgOfOne($fuel);
        }
        $need = $this->need($step);
        $airC = $this->stove->weather->airC;
        $startC = $this->startC === null ? $airC : $this->stove->curve->modelC($this->startC, $this->stove->weather);
        $warming = $this->warmingKg($fuel, $step, $startC);

        return self::asCounted($fuel, min(
            self::HEADROOM * $need / CoalBed::freshWKg($fuel) + $warming,
            self::lastingKg($fuel, $need, $need * 60.0 * ($this->untilMinutes - $this->fromMinutes) / $fuel->bedJKg() + $warming),
        ));
    }

    /** Adds fuel where it is due. */
    private function feed(CoalBed $bed, Fuel $fuel, FireStep $step, float $at, bool $newStep, float $nowC): void
    {
        $free = $bed->freePowerW();
        $rest = $this->wantedUntil($at, $free, $fuel) - $at;
        if (count($this->refuels) >= self::MOST_REFUELS || $rest < self::ENDING_MINUTES) {
            return;
        }
        $fresh = CoalBed::freshWKg($fuel);
        if ($this->mechanism instanceof VentedCooker) {
            $need = $this->need($step);
            if ($free >= self::FED_AT * $need) {
                return;
            }
            $more = min(
                (self::HEADROOM * $need - $free) / $fresh,
                max(
                    0.02,
                    self::lastingKg(
                        $fuel,
                        $need,
                        60.0 * $need * $rest / $fuel->bedJKg() + $this->warmingKg($fuel, $step, $nowC),
                    ) - $bed->leftKg(),
                ),
            );
        } else {
            $whole = $this->wholeW($step, $fuel);
            $interval = CoalBed::minutesToFade($fuel, $this->renewAt, $this->stove->weather->groundWindMs());
            $due = $free < $this->renewAt * $whole && $rest > self::SHORT_SHARE * $interval;
            if (! $due && ! ($newStep && $free < 0.9 * $whole)) {
                return;
            }
            $more = ($whole - $free) / $fresh;
        }
        $more = $this->mechanism instanceof CampOven
            ? CampOvenCount::kgOfOne($fuel) * ceil($more / CampOvenCount::kgOfOne($fuel) - 0.02)
            : self::asCounted($fuel, $more);
        if ($more > 0.0) {
            $bed->add($more, true);
            $this->refuels[] = new Refuel($at, $more, $at - $fuel->ashOverMinutes);
        }
    }

    /** What the coals of a step give when they are fresh, where they lie as they are counted or weighed. */
    private function wholeW(FireStep $step, Fuel $fuel): float
    {
        return CoalBed::freshWKg($fuel) * ($this->mechanism instanceof OpenFire
            ? $step->settings->get('coals_kg')
            : ($step->settings->get('over') + $step->settings->get('under')) * CampOvenCount::kgOfOne($fuel));
    }

    /** Until when the fire is wanted as it is, minutes: the end, or a step that can do with what there is. */
    private function wantedUntil(float $at, float $freeW, Fuel $fuel): float
    {
        $next = $this->mechanism instanceof VentedCooker ? null : $this->steps[$this->stepAt($at) + 1] ?? null;

        return $next !== null && $freeW >= $this->wholeW($next, $fuel) ? $next->fromMinutes : $this->untilMinutes;
    }

    /** How far short of a step's target the slots are closed in: what the coals' glow still brings then. */
    private function closeInK(?CoalBed $bed, FireStep $step): float
    {
        if ($bed === null || ! $this->mechanism instanceof VentedCooker) {
            return self::LEAST_CLOSE_IN_K;
        }
        $held = $bed->glowJ(1.0) - $bed->glowJ($this->need($step) / max(1.0, $bed->freePowerW()));

        return min(self::MOST_CLOSE_IN_K, max(self::LEAST_CLOSE_IN_K, $held / $this->mechanism->storageJK()));
    }

    /** Coals that warm its walls from there to a step's target. */
    private function warmingKg(Fuel $fuel, FireStep $step, float $fromModelC): float
    {
        return $this->mechanism->storageJK() * $this->stove->curve->warmUpFactor->likely * max(
            0.0,
            $this->stove->curve->modelC($step->targetC, $this->stove->weather) - $fromModelC,
        ) / $fuel->bedJKg();
    }

    /** Heat that holds a step's target, W. */
    private function need(FireStep $step): float
    {
        return max(
            1.0,
            $this->mechanism->lossW(
                $step->settings,
                $this->stove->curve->modelC($step->targetC, $this->stove->weather),
                $this->stove->weather,
            ),
        );
    }

    /** The bed that still gives $needW after $usedKg of it have burnt. */
    private static function lastingKg(Fuel $fuel, float $needW, float $usedKg): float
    {
        $fresh = CoalBed::freshWKg($fuel);

        return Bisection::root(
            fn (float $kg): float => $kg <= $usedKg ? -$needW : $fresh * $kg * (1.0 - $usedKg / $kg) ** (2.0 / 3.0) - self::FED_AT * $needW,
            $usedKg,
            $usedKg + 2.0 * $needW / $fresh + 1.0,
            1e-3,
        );
    }

    /** Up to whole pieces, or to tenths of a kilogram. */
    private static function asCounted(Fuel $fuel, float $kg): float
    {
        $unit = $fuel->pieceKg ?? 0.1;

        // Piles that were weighed to a tenth of a gram must not grow each time that they are counted.
        return $unit * ceil($kg / $unit - 0.02);
    }
}
