<?php

declare(strict_types=1);

namespace App\Roasts;

use Diatherm\Live\Reading;
use Diatherm\Measure\Thinned;

/** What the core of a dish did on its day beside what was expected of it at the lighting, in few enough points for a list. */
final class Trail
{
    private const MOST_POINTS = 24;

    /** @return array{planned: list<array{float, float}>, read: list<array{float, float}>} minutes since it went on and °C, as read */
    public static function of(Day $day, int $dish): array
    {
        $lit = $day->stored->lighting['dishes'][$dish] ?? null;
        $planned = [];
        foreach ($lit['curve']['minutes'] ?? [] as $i => $minutes) {
            if ($minutes <= $lit['cook_minutes']['likely'] + $day->plan->roast->dishes[$dish]->restMinutes) {
                $planned[] = [(float) $minutes, (float) $lit['curve']['core_c'][$i]];
            }
        }
        $read = array_map(
            fn (Reading $reading): array => [$reading->seconds / 60.0, $reading->celsius],
            array_values(array_filter($day->diary->readings($dish), fn (Reading $reading): bool => $reading->seconds >= 0.0)),
        );

        return ['planned' => self::short($planned), 'read' => self::short($read)];
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function short(array $points): array
    {
        return array_map(
            fn (array $point): array => [round($point[0], 1), round($point[1], 1)], Thinned::points($points, self::MOST_POINTS),
        );
    }
}
