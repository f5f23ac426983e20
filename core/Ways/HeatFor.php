<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Cooker\Cooker;
use Diatherm\Cooking\Cautions;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;
use Diatherm\Roast\Stage;

/** The heat, in fives, at which a dish comes off at a wished moment. */
final class HeatFor
{
    /** A cook sets a fire to five degrees. Common practice. */
    private const STEP_C = 5.0;

    /** Nearer than this to its moment it is there, minutes. */
    private const NEAR_MINUTES = 4.0;

    /** Nothing in the danger zone for hours: no cooler, °C. Common practice. */
    private const COOLEST_C = 105.0;

    /** Hotter than this the outside is burnt before the middle is done, °C. Common practice. */
    public const HOTTEST_C = 230.0;

    /** No fire is brought up by more at once, K. Common practice. */
    private const MOST_HOTTER_K = 60.0;

    private const TRIES = 5;

    /**
     * @param  float  $minutes  from now
     * @param  Stage  $stage  that is under way
     * @return array{float, Roast, array<int, int>}|null the hottest where even that is too slow; null where there is no other heat
     */
    public static function pullIn(
        float $minutes,
        Standing $standing,
        int $dish,
        Stage $stage,
        Prospect $prospect,
        bool $hotter,
    ): ?array {
        $cooker = $stage->cooker;
        [$low, $high] = $hotter
            ? [$stage->cookerC, min($cooker->mostC, $stage->cookerC + self::MOST_HOTTER_K, max(self::HOTTEST_C, $stage->cookerC))]
            : [self::coolestC($standing->dish($dish), $stage), $stage->cookerC];
        if ($cooker->isOpenFire() || $high - $low < self::STEP_C) {
            return null;
        }
        $found = null;
        for ($try = 0; $try < self::TRIES && $high - $low >= self::STEP_C; $try++) {
            $celsius = self::STEP_C * round(0.5 * ($low + $high) / self::STEP_C);
            if ($celsius <= $low || $celsius >= $high) {
                $celsius = $hotter ? $high : $low;
            }
            [$roast, $begun] = self::at($standing, $dish, $cooker, $celsius);
            $takes = $prospect->minutesToPull($roast, $begun, $dish);
            $tooSlow = $takes === null || $takes > $minutes + self::NEAR_MINUTES;
            // A heat that is too slow is none for one who is behind; one that is too quick still waits for late guests.
            if ($takes !== null && ($hotter ? ! $tooSlow : $takes <= $minutes + self::NEAR_MINUTES)) {
                $found = [$celsius, $roast, $begun];
            }
            if ($takes !== null && abs($takes - $minutes) <= self::NEAR_MINUTES) {
                break;
            }
            [$low, $high] = $tooSlow ? [$celsius, $high] : [$low, $celsius];
        }

        if ($found === null && $hotter) {
            $celsius = self::STEP_C * floor($high / self::STEP_C);
            $found = [$celsius, ...self::at($standing, $dish, $cooker, $celsius)];
        }

        return $found === null || abs($found[0] - $stage->cookerC) < self::STEP_C ? null : $found;
    }

    /** No way is cooler than this: nothing lies in the danger zone for hours, poultry and stuffing at no less than is advised for them. */
    public static function coolestC(Dish $dish, Stage $stage): float
    {
        $advised = in_array($dish->safetyClass(), ['poultry', 'stuffing'], true) ? Cautions::COOLEST_FOR_POULTRY_C : self::COOLEST_C;
        $step = self::STEP_C * ceil(max($stage->cooker->leastC, $advised) / self::STEP_C);

        return min($stage->cookerC, $step);
    }

    /** @return array{Roast, array<int, int>} */
    private static function at(Standing $standing, int $dish, Cooker $cooker, float $celsius): array
    {
        return FromNow::change(
            $standing,
            $dish,
            fn (Stage $stage): Stage => $stage->cooker->id === $cooker->id ? FromNow::heated($stage, celsius: $celsius) : $stage,
        );
    }
}
