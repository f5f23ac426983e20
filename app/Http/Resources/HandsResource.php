<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Roast;
use Carbon\CarbonImmutable;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Illuminate\Http\JsonResponse;

/** What a second pair of hands sees of a roast: its name, its hour, its tasks. */
final class HandsResource
{
    public static function of(Roast $roast): JsonResponse
    {
        $told = RoastAnswer::brief($roast);
        if (! isset($told->plan)) {
            throw InvalidInput::atField('roast', Message::of('roasts.something_in_it_leads'));
        }

        return new JsonResponse([
            'name' => $roast->name,
            'status' => $told->status,
            'now' => PlanResource::time(CarbonImmutable::now()->setTimezone($roast->time_zone)),
            'serve_at' => $told->plan->serve_at,
            'time_zone' => $roast->time_zone,
            'units' => ['temperature_unit' => $roast->user->temperature_unit, 'mass_unit' => $roast->user->mass_unit,
                'clock_hours' => $roast->user->clock_hours],
            'run_sheet' => $told->plan->run_sheet,
        ]);
    }
}
