<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\OwnCooker;
use Diatherm\Measure\InvalidInput;
use Diatherm\Plan\Fire\FirePlan;
use Diatherm\Plan\Fire\FirePlanning;
use Diatherm\Plan\Fire\LaidFires;
use Diatherm\Safety\Clocks;

/** A roast, worked out: a forecast for each dish, a plan for each fire, and one run sheet. */
final readonly class Plan
{
    /**
     * @param  non-empty-list<Forecast>  $forecasts
     * @param  list<FirePlan>  $fires
     * @param  array<string, OwnCooker>  $yard
     */
    private function __construct(
        public Roast $roast,
        public array $forecasts,
        public array $fires,
        public RunSheet $runSheet,
        private array $yard,
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
        $laid = LaidFires::in($roast, $yard);

        return self::from($laid, self::forecasts($laid), $now, $progress, $yard);
    }

    /**
     * What the heat model expects of each dish: it depends on nothing that happens on the day.
     *
     * @param  Roast  $laid  with its fires laid
     * @return non-empty-list<Forecast>
     *
     * @throws InvalidInput at the stage that cannot reach its core temperature
     */
    public static function forecasts(Roast $laid): array
    {
        return array_map(fn (int $i, Dish $dish): Forecast => Forecast::of($dish, $laid->airC, "dishes.$i"), array_keys($laid->dishes), $laid->dishes);
    }

    /** Null for a cooker whose fire nobody asked anything of. */
    private static function lightMinutes(Roast $roast, Stage $stage): ?float
    {
        $kind = $stage->cooker->id;

        return isset($roast->fires[$kind]) ? $roast->fires[$kind]->lightMinutes(Equipment::of($kind)) : null;
    }

    /**
     * The day laid out from forecasts that are there already.
     *
     * @param  Roast  $roast  with its fires laid
     * @param  non-empty-list<Forecast>  $forecasts
     * @param  array<int, Progress>  $progress
     * @param  array<string, OwnCooker>  $yard
     */
    public static function from(Roast $roast, array $forecasts, \DateTimeImmutable $now, array $progress, array $yard): self
    {
        $zone = $roast->serveAt->getTimezone();
        $now = $now->setTimezone($zone);
        $progress = array_map(fn (Progress $made): Progress => $made->inZone($zone), $progress);
        $allowed = Clocks::allowedMinutes($roast->airC);
        $timings = [];
        $ons = [];
        foreach ($forecasts as $i => $forecast) {
            $timings[$i] = Timing::of($forecast->dish, $forecast, $progress[$i]->cookMinutes ?? $forecast->cookMinutes, $allowed, self::lightMinutes($roast, $forecast->dish->stages[0]));
            $ons[$i] = $progress[$i]->onAt ?? $roast->serveAt->setTimestamp($roast->serveAt->getTimestamp() - (int) round(60.0 * $timings[$i]->serve));
        }
        $fires = FirePlanning::all($roast, $forecasts, $ons, $yard);

        return new self($roast, $forecasts, $fires, RunSheet::of($roast, $forecasts, $timings, $ons, $fires, $now, $progress), $yard);
    }

    /**
     * The same forecasts with the day's facts in the fires and the run sheet.
     *
     * @param  array<int, Progress>  $progress
     */
    public function with(array $progress, \DateTimeImmutable $now): self
    {
        return self::from($this->roast, $this->forecasts, $now, $progress, $this->yard);
    }
}
