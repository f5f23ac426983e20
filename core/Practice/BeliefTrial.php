<?php

declare(strict_types=1);

namespace Diatherm\Practice;

use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Live\LiveForecast;
use Diatherm\Roast\Dish;

/** How often the live band holds the hour that came, and how far off the likely hour was, over simulated cooks. */
final readonly class BeliefTrial
{
    /** Shares of the cook at which it is asked. */
    public const AT = [25, 40, 60, 80];

    private const AIR_C = 18.0;

    /** From one reading to the next, and the first one, over the cook. */
    private const EVERY = 0.06;

    private const FIRST = 0.12;

    /**
     * @param  array<int, float>  $held  share of cooks by per cent of the cook that had passed
     * @param  array<int, float>  $offs  median of the error, as a share of the cook
     */
    private function __construct(
        public int $cooks,
        public array $held,
        public array $offs,
    ) {
    }

    /** @param  non-empty-list<Dish>  $dishes */
    public static function of(array $dishes, int $each, int $seed, bool $off, bool $wanders, bool $falls): self
    {
        $dice = new Dice($seed);
        $held = array_fill_keys(self::AT, 0);
        $offs = array_fill_keys(self::AT, []);
        $cooks = 0;
        foreach ($dishes as $dish) {
            $plan = Forecast::of($dish, self::AIR_C);
            $planS = 60.0 * $plan->cookMinutes->likely;
            for ($n = 0; $n < $each; $n++) {
                $cook = SimulatedCook::of(
                    $dish,
                    self::AIR_C,
                    $planS,
                    $plan->pullC + 0.01,
                    $dice,
                    $off,
                    $wanders,
                    $falls ? $dice->between(0.1, 0.3) * $planS : null,
                );
                $realS = $cook->trace->reaches($plan->pullC);
                if ($realS === null) {
                    continue;
                }
                $cooks++;
                foreach (self::AT as $at) {
                    $nowS = 0.01 * $at * $realS;
                    $minutes = LiveForecast::of(
                        $dish,
                        self::AIR_C,
                        new Course(nowS: $nowS),
                        $cook->readings(self::FIRST * $realS, $nowS, self::EVERY * $realS),
                        $plan->pullC,
                    )->cookMinutes;
                    $held[$at] += $minutes->low <= $realS / 60.0 && $minutes->high >= $realS / 60.0 ? 1 : 0;
                    $offs[$at][] = abs(60.0 * $minutes->likely / $realS - 1.0);
                }
            }
        }

        return new self(
            $cooks,
            array_map(fn (int $count): float => $count / max(1, $cooks), $held),
            array_map(function (array $all): float {
                sort($all);

                return $all[intdiv(count($all), 2)] ?? 0.0;
            }, $offs),
        );
    }
}
