<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\WeatherRequest;
use App\Weather\Hour;
use App\Weather\WeatherService;
use Illuminate\Http\JsonResponse;

/** The weather of some hours to come, from whoever knows it. */
final class WeatherController
{
    public function __invoke(WeatherRequest $request, WeatherService $service): JsonResponse
    {
        $hours = $service->hours(
            $request->float('latitude'), $request->float('longitude'), $request->moment('from'), $request->moment('until'),
        );

        return new JsonResponse(['hours' => array_map(fn (Hour $hour): array => [
            'at' => $hour->at->toIso8601ZuluString(),
            'air_c' => $hour->weather->airC,
            'wind_ms' => $hour->weather->windMs,
            'rain' => $hour->weather->rain,
        ], $hours)]);
    }
}
