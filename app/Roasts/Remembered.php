<?php

declare(strict_types=1);

namespace App\Roasts;

use Diatherm\Measure\InvalidInput;
use Diatherm\Plan\Plan;
use Diatherm\Plan\PlannedDish;
use Diatherm\Tending\LaidRoast;
use Illuminate\Support\Facades\Cache;

/** What the heat model said of a dish, kept by all that it depends on: the dish as it is laid, and the air. */
final class Remembered
{
    private const KEPT_S = 7 * 86_400;

    /**
     * @return non-empty-list<PlannedDish>
     *
     * @throws InvalidInput at the stage that cannot reach its core temperature
     */
    public static function dishes(LaidRoast $laid): array
    {
        $keys = array_map(fn ($dish): string => 'dish.'.hash('xxh128', serialize([$dish, $laid->asked->airC])), $laid->dishes);
        $kept = Cache::many($keys);
        $dishes = [];
        foreach ($keys as $number => $key) {
            $found = $kept[$key] ?? null;
            if (! $found instanceof PlannedDish) {
                $found = Plan::dish($laid, $number);
                Cache::put($key, $found, self::KEPT_S);
            }
            $dishes[] = $found;
        }

        return $dishes;
    }
}
