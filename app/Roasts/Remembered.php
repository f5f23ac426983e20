<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Models\Roast as RoastModel;
use App\Observed\Counters;
use Carbon\CarbonImmutable;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Live\LiveForecast;
use Diatherm\Live\Reading;
use Diatherm\Measure\InvalidInput;
use Diatherm\Plan\Plan;
use Diatherm\Plan\PlannedDish;
use Diatherm\Roast\Dish;
use Diatherm\Tending\LaidRoast;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** What the heat model said of a dish, kept by all that it depends on: the dish as it is laid, and the air. */
final class Remembered
{
    private const KEPT_S = 2 * 86_400;

    /** A belief without new readings is worked out again after so long: between them the clock moves along its curve, s. */
    private const STANDS_S = 300.0;

    /** One in so many that are kept sweeps up what has run out, so that the table does not grow. */
    private const SWEPT_IN = 50;

    private const SWEPT_AT_ONCE = 500;

    private static function keep(string $key, PlannedDish $dish): void
    {
        Cache::put($key, $dish, self::KEPT_S);
        if (random_int(1, self::SWEPT_IN) === 1) {
            self::sweep();
        }
    }

    /** Takes away what has run out: the database does not do it by itself. */
    public static function sweep(): void
    {
        if (config('cache.default') === 'database') {
            DB::table('cache')->where('expiration', '<', CarbonImmutable::now()->getTimestamp())->limit(self::SWEPT_AT_ONCE)->delete();
        }
    }

    /**
     * What the readings make of a dish, kept by that dish's own log: what else is logged cooks nothing.
     *
     * @param  list<Reading>  $readings
     * @param  bool  $keep  whether what is new is kept: what a cook only tries out is not
     */
    public static function live(
        RoastModel $stored, int $number, Dish $dish, float $airC, Course $course, array $readings, Forecast $planned, bool $keep,
    ): LiveForecast {
        $key = self::liveKey($stored, $number);
        $log = hash('xxh128', serialize([$dish, $airC, $course->at(0.0), $readings, $planned->pullC, $planned->cookMinutes]));
        $kept = Cache::get($key);
        if (is_array($kept) && $kept['log'] === $log && $course->nowS >= $kept['live']->nowS && $course->nowS < $kept['until_s']) {
            Counters::add('diatherm_beliefs_total', ['from' => 'cache']);

            return $kept['live'];
        }
        Counters::add('diatherm_beliefs_total', ['from' => 'computed']);
        $live = LiveForecast::of(
            $dish, $airC, $course, $readings, $planned->pullC, $dish->isBuried() ? $planned->cookMinutes->likely : 0.0,
        );
        if ($keep) {
            $untilS = $live->nowS + min(self::STANDS_S, $live->standsS());
            Cache::put($key, ['log' => $log, 'until_s' => $untilS, 'live' => $live], self::KEPT_S);
        }

        return $live;
    }

    /** Of a roast that is deleted. */
    public static function forget(RoastModel $stored): void
    {
        foreach (array_keys($stored->cuts()) as $number) {
            Cache::forget(self::liveKey($stored, $number));
        }
    }

    private static function liveKey(RoastModel $stored, int $number): string
    {
        return "live.$stored->id.$number";
    }

    /**
     * @param  bool  $keep  whether what is new is kept: what a cook only tries out is not
     * @return non-empty-list<PlannedDish>
     *
     * @throws InvalidInput at the stage that cannot reach its core temperature
     */
    public static function dishes(LaidRoast $laid, bool $keep = true): array
    {
        $keys = array_map(
            fn (Dish $dish, array $partHeats): string => 'dish.'.hash('xxh128', serialize([$dish, $partHeats, $laid->asked->airC])),
            $laid->dishes,
            $laid->partHeats,
        );
        $kept = Cache::many($keys);
        $dishes = [];
        foreach ($keys as $number => $key) {
            $found = $kept[$key] ?? null;
            if (! $found instanceof PlannedDish) {
                Counters::add('diatherm_forecasts_total', ['from' => 'computed']);
                $found = Plan::dish($laid, $number);
                if ($keep) {
                    self::keep($key, $found);
                }
            }
            $dishes[] = $found;
        }
        $remembered = count(array_filter($kept, fn (mixed $one): bool => $one instanceof PlannedDish));
        Counters::add('diatherm_forecasts_total', ['from' => 'cache'], $remembered);

        return $dishes;
    }
}
