<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Observed\Counters;
use Carbon\CarbonImmutable;
use Diatherm\Measure\InvalidInput;
use Diatherm\Plan\Plan;
use Diatherm\Plan\PlannedDish;
use Diatherm\Tending\LaidRoast;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** What the heat model said of a dish, kept by all that it depends on: the dish as it is laid, and the air. */
final class Remembered
{
    private const KEPT_S = 2 * 86_400;

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
     * @param  bool  $keep  whether what is new is kept: what a cook only tries out is not
     * @return non-empty-list<PlannedDish>
     *
     * @throws InvalidInput at the stage that cannot reach its core temperature
     */
    public static function dishes(LaidRoast $laid, bool $keep = true): array
    {
        $keys = array_map(fn ($dish): string => 'dish.'.hash('xxh128', serialize([$dish, $laid->asked->airC])), $laid->dishes);
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
