<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Http\Resources\PlanResource;
use App\Models\Roast;
use Carbon\CarbonImmutable;
use Diatherm\Plan\Plan;
use Diatherm\Plan\PlannedDish;

/**
 * What was expected when the fire was lit, kept for the debrief: facts, and no sentence.
 *
 * @phpstan-import-type LightingRecord from Roast
 */
final class Lighting
{
    /** @return LightingRecord|null null for a roast that cannot be worked out: what was logged matters more */
    public static function record(Roast $stored): ?array
    {
        try {
            return self::of(Day::of(Told::log($stored, $now = CarbonImmutable::now()), $now)->plan);
        } catch (\Throwable $wrong) {
            report($wrong);

            return null;
        }
    }

    /** @return LightingRecord how long each dish takes and where it is pulled, its core's course, and how each cooker was set */
    public static function of(Plan $plan): array
    {
        $settings = [];
        foreach ($plan->fires as $fire) {
            $settings[$fire->plan->stove->equipment->kind->id] = $fire->plan->steps[0]->settings->values;
        }

        return [
            'dishes' => array_map(fn (PlannedDish $dish): array => [
                'cook_minutes' => PlanResource::spread($dish->forecast->cookMinutes),
                'pull_c' => round($dish->forecast->pullC, 3),
                'curve' => PlanResource::curve($dish->forecast->trace),
            ], $plan->dishes),
            'settings' => $settings,
        ];
    }
}
