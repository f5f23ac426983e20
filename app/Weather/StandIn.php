<?php

declare(strict_types=1);

namespace App\Weather;

use Carbon\CarbonImmutable;
use Diatherm\Practice\SimulatedWeather;

/** Ships with the kitchen and asks nobody: an invented weather, for practice and for want of a service. */
final class StandIn implements WeatherService
{
    public function hours(float $latitude, float $longitude, CarbonImmutable $from, CarbonImmutable $until): array
    {
        $hours = [];
        for ($at = $from->startOfHour(); $at < $until->addHour() && count($hours) < self::MOST_HOURS; $at = $at->addHour()) {
            $hours[] = new Hour($at, SimulatedWeather::at($latitude, $longitude, $at));
        }

        return $hours;
    }
}
