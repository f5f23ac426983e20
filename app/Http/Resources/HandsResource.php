<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Roast;
use App\Roasts\Day;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;

/** What a second pair of hands sees of a roast: its name, its hour, its tasks. */
final class HandsResource
{
    public static function of(Roast $roast): JsonResponse
    {
        $now = CarbonImmutable::now();
        $day = Day::of($roast->load(['readings', 'events', 'user']), $now);

        return new JsonResponse([
            'name' => $roast->name,
            'status' => $day->status(),
            'now' => PlanResource::time($now->setTimezone($roast->time_zone)),
            'serve_at' => PlanResource::time($day->plan->roast->serveAt),
            'time_zone' => $roast->time_zone,
            'units' => ['temperature_unit' => $roast->user->temperature_unit, 'mass_unit' => $roast->user->mass_unit,
                'clock_hours' => $roast->user->clock_hours],
            'run_sheet' => array_map(PlanResource::entry(...), $day->plan->runSheet->entries),
        ]);
    }
}
