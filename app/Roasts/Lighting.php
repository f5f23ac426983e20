<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Http\Resources\PlanResource;
use App\Models\Roast;
use Carbon\CarbonImmutable;

/** What was expected when the fire was lit, kept for the debrief. */
final class Lighting
{
    /** @return array<string, mixed>|null null for a roast that cannot be worked out: what was logged matters more */
    public static function record(Roast $stored): ?array
    {
        try {
            return PlanResource::atLighting(Day::of($stored->load(['dishes.stages', 'readings', 'events']), CarbonImmutable::now())->plan);
        } catch (\Throwable $wrong) {
            report($wrong);

            return null;
        }
    }
}
