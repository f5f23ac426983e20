<?php

declare(strict_types=1);

namespace App\Weather;

use Carbon\CarbonImmutable;

/** Whoever knows the weather of the next days by the hour. */
interface WeatherService
{
    /** Further ahead nobody is asked. */
    public const MOST_DAYS = 10;

    public const MOST_HOURS = 72;

    /** @return list<Hour> from the full hour before $from to the one after $until */
    public function hours(float $latitude, float $longitude, CarbonImmutable $from, CarbonImmutable $until): array;
}
