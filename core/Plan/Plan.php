<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\OwnCooker;
use Diatherm\Cooking\Cooling;
use Diatherm\Cooking\Forecast;
use Diatherm\Day\CourseHours;
use Diatherm\Day\Finishing;
use Diatherm\Day\HeatSpan;
use Diatherm\Day\Kit;
use Diatherm\Day\KitItem;
use Diatherm\Day\Moments;
use Diatherm\Day\Progress;
use Diatherm\Day\Purchase;
use Diatherm\Day\RunSheet;
use Diatherm\Day\Shopping;
use Diatherm\Day\SideTimes;
use Diatherm\Day\Timing;
use Diatherm\Day\Wait;
use Diatherm\Food\Portions;
use Diatherm\Measure\InvalidInput;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;
use Diatherm\Roast\Stage;
use Diatherm\Safety\Clocks;
use Diatherm\Safety\Keeping;
use Diatherm\Tending\FirePlan;
use Diatherm\Tending\FirePlanning;
use Diatherm\Tending\HeatWanted;
use Diatherm\Tending\LaidFires;
use Diatherm\Tending\LaidRoast;

/** A roast, worked out: all that a screen, a file or a sheet of paper says of it. */
final readonly class Plan
{
    /**
     * @param  Roast  $roast  as it was asked for
     * @param  non-empty-list<PlannedDish>  $dishes
     * @param  list<PlannedFire>  $fires
     * @param  list<KitItem>  $kit
     * @param  list<Purchase>  $shopping
     * @param  list<Keeping>  $keeping
     * @param  list<Wait>  $waits  of each dish from the pull to the plate
     * @param  list<PlaceClash>  $places  cookers that more is asked of than they have
     * @param  array{int, int}  $feeds  how many the whole table feeds, hungry and modest
     */
    private function __construct(
        public Roast $roast,
        private LaidRoast $laid,
        public array $dishes,
        public array $fires,
        public RunSheet $runSheet,
        public array $kit,
        public array $shopping,
        public array $keeping,
        public array $feeds,
        public array $places,
        public array $waits,
    ) {
    }

    /**
     * @param  array<int, Progress>  $progress  by number of dish
     * @param  array<string, OwnCooker>  $yard  the cook's own cookers, by name
     *
     * @throws InvalidInput at the stage that cannot reach its core temperature
     */
    public static function of(Roast $roast, \DateTimeImmutable $now, array $progress = [], array $yard = []): self
    {
        $laid = LaidFires::lay($roast, $yard);

        return self::from($laid, self::dishes($laid), $now, $progress);
    }

    /**
     * What the heat model expects of each dish.
     *
     * @return non-empty-list<PlannedDish>
     *
     * @throws InvalidInput at the stage that cannot reach its core temperature
     */
    public static function dishes(LaidRoast $laid): array
    {
        return array_map(fn (int $number): PlannedDish => self::dish($laid, $number), array_keys($laid->dishes));
    }

    /**
     * What the heat model expects of one dish: it depends on the dish as it is laid and on the air, and on nothing that happens on the day.
     *
     * @throws InvalidInput at the stage that cannot reach its core temperature
     */
    public static function dish(LaidRoast $laid, int $number): PlannedDish
    {
        return PlannedDish::of(
            Forecast::of($laid->dishes[$number], $laid->asked->airC, "dishes.$number"),
            $laid->partHeats[$number],
        );
    }

    /**
     * The day laid out round dishes that are worked out already.
     *
     * @param  non-empty-list<PlannedDish>  $dishes
     * @param  array<int, Progress>  $progress
     */
    public static function from(LaidRoast $laid, array $dishes, \DateTimeImmutable $now, array $progress): self
    {
        $roast = $laid->asked;
        $zone = $roast->serveAt->getTimezone();
        $now = $now->setTimezone($zone);
        $progress = array_map(fn (Progress $made): Progress => $made->inZone($zone), $progress);
        $forecasts = array_map(fn (PlannedDish $dish): Forecast => $dish->forecast, $dishes);
        $finishing = Finishing::of($roast);
        $timings = [];
        foreach ($forecasts as $i => $forecast) {
            $timings[$i] = Timing::of(
                $forecast->dish,
                $forecast,
                $progress[$i]->cookMinutes ?? $forecast->cookMinutes,
                self::lightMinutes($roast, $forecast->dish->stages[0]),
            );
        }
        $hours = CourseHours::of($roast, $forecasts, $timings, $finishing, $progress);
        $ons = array_map(
            fn (Forecast $forecast, int $i): \DateTimeImmutable => $progress[$i]->onAt
                ?? Timing::after($hours->at($forecast->dish->course), -$timings[$i]->serve - $finishing->dishes[$i]),
            $forecasts,
            array_keys($forecasts),
        );
        $pulls = array_map(fn (int $i): \DateTimeImmutable => $progress[$i]->pulledAt
            ?? Timing::after($ons[$i], $timings[$i]->pull->likely), array_keys($forecasts));
        $spans = HeatSpan::all($forecasts, $ons);
        $carves = array_map(fn (Forecast $forecast, int $i): \DateTimeImmutable => $progress[$i]->carvedAt ?? Timing::after(
            $hours->at($forecast->dish->course), -$finishing->dishes[$i] - Timing::carveMinutes($forecast->dish),
        ), $forecasts, array_keys($forecasts));
        $moments = Moments::of($forecasts, $ons, $pulls, $carves);
        $sides = SideTimes::asBegun(
            SideTimes::of($roast, $finishing, $hours, $pulls, $ons, $spans, $moments, $now), array_merge(...array_column($progress, 'done')),
        );
        $timings = self::litForSides($forecasts, $timings, $sides);
        $fires = FirePlanning::all($roast, $forecasts, $ons, $laid->yard, self::heatsOfSides($roast, $sides, $spans));
        $sheet = RunSheet::of($roast, $forecasts, $timings, $ons, $fires, $sides, $finishing, $hours, $now, $progress);

        return new self(
            $roast,
            $laid,
            $dishes,
            array_map(fn (FirePlan $fire): PlannedFire => PlannedFire::of($fire, $forecasts[$fire->use->dish]), $fires),
            $sheet,
            Kit::of($roast, $sheet),
            Shopping::of($roast, $fires),
            [...self::leftWhole($roast), ...Keeping::rules($roast->airC)],
            Portions::table(array_map(fn (Dish $dish): array => [$dish->cut, $dish->massKg * $dish->pieces], $roast->dishes)),
            PlaceClash::all($roast, $spans, $sides),
            array_map(
                fn (Forecast $forecast, int $i): Wait => Wait::of(
                    $forecast, ($carves[$i]->getTimestamp() - $pulls[$i]->getTimestamp()) / 60.0,
                ),
                $forecasts,
                array_keys($forecasts),
            ),
        );
    }

    /**
     * The same forecasts with the day's facts in the fires and the run sheet.
     *
     * @param  array<int, Progress>  $progress
     */
    public function followedBy(array $progress, \DateTimeImmutable $now): self
    {
        return self::from($this->laid, $this->dishes, $now, $progress);
    }

    public function forecast(int $dish): Forecast
    {
        return $this->dishes[$dish]->forecast;
    }

    /**
     * What is on before any dish wants that cooker's first heat from then on; what is on after them, its own; what outlasts them, the heat
     * that it has.
     *
     * @param  list<SideTimes>  $sides
     * @param  list<HeatSpan>  $spans
     * @return array<string, list<HeatWanted>> by kind of cooker
     */
    private static function heatsOfSides(Roast $roast, array $sides, array $spans): array
    {
        $heats = [];
        foreach ($sides as $side) {
            [$from, $until] = [$side->onAt->getTimestamp() / 60.0, $side->offAt->getTimestamp() / 60.0];
            if ($side->cooker !== null && $side->cookerC !== null && $side->after !== null) {
                $heats[$side->cooker][] = new HeatWanted($from, $until, $until, $side->cookerC, $side->after);

                continue;
            }
            if ($side->before !== null) {
                $hot = $side->before->from->getTimestamp() / 60.0;
                $heats[$side->before->cooker][] = new HeatWanted($from, $hot, $hot, $side->before->celsius, $side->before->dish);
            }
            $last = null;
            foreach ($spans as $span) {
                $isIts = $side->cooker !== null && $roast->isOneCooker($span->cooker, $side->cooker);
                $last = $isIts && ($last === null || $span->until > $last->until) ? $span : $last;
            }
            $left = $last === null ? INF : $last->until->getTimestamp() / 60.0;
            if ($last !== null && $left > $from && $left < $until) {
                $heats[$last->cooker][] = new HeatWanted($left, $until, $until, $last->celsius, $last->dish);
            }
        }

        return $heats;
    }

    /**
     * A cooker is hot for the first that goes onto it, be it a side.
     *
     * @param  list<Forecast>  $forecasts
     * @param  array<int, Timing>  $timings
     * @param  list<SideTimes>  $sides
     * @return array<int, Timing>
     */
    private static function litForSides(array $forecasts, array $timings, array $sides): array
    {
        $sooner = [];
        foreach ($sides as $side) {
            $first = $side->before;
            if ($first !== null && $forecasts[$first->dish]->dish->stages[0]->cooker->id === $first->cooker) {
                $minutes = ($first->from->getTimestamp() - $side->onAt->getTimestamp()) / 60.0;
                $sooner[$first->dish] = max($sooner[$first->dish] ?? 0.0, $minutes);
            }
        }
        foreach ($sooner as $dish => $minutes) {
            $timings[$dish] = $timings[$dish]->litSooner($minutes);
        }

        return $timings;
    }

    /** @return list<Keeping> for each joint that a refrigerator does not cool in time */
    private static function leftWhole(Roast $roast): array
    {
        $rules = [];
        foreach ($roast->dishes as $dish) {
            $minutes = $dish->cut->isPerishable() ? Cooling::minutesToCool($dish) : 0.0;
            if ($minutes > Clocks::COOLING_MINUTES) {
                $rules[] = Keeping::cutUpFirst($dish->name, $minutes);
            }
        }

        return $rules;
    }

    /** Null for a cooker whose fire nobody asked anything of. */
    private static function lightMinutes(Roast $roast, Stage $stage): ?float
    {
        $kind = $stage->cooker->id;

        return isset($roast->fires[$kind]) ? $roast->fires[$kind]->lightMinutes(Equipment::of($kind)) : null;
    }
}
