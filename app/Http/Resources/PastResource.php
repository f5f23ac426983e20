<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Roast;
use App\Roasts\Diary;
use App\Roasts\Shelf;
use Carbon\CarbonImmutable;

/** A roast that is over, for a list: as it was planned at the lighting and what became of it. Nothing is computed anew. */
final class PastResource
{
    /** What the list's contract asks of a plan that was kept before it asked so much. */
    private const SINCE = ['fires' => [], 'wind_ms' => 1.5];

    private const DISH_SINCE = ['hot_minutes' => 0, 'credit_k' => 0, 'cooker_sense_c' => null];

    /** @return array<string, mixed>|null null while a dish is not carved, or where no plan was kept */
    public static function of(Roast $stored, CarbonImmutable $now): ?array
    {
        $plan = $stored->plan_at_lighting;
        $kept = $plan['dishes'] ?? null;
        if ($plan === null || ! is_array($kept) || count($kept) !== $stored->dishes->count()) {
            return null;
        }
        $diary = new Diary($stored, Shelf::take($stored), $now);
        $time = fn (?CarbonImmutable $at): ?string => $at === null ? null : PlanResource::time($at->setTimezone($stored->time_zone));
        $dishes = [];
        foreach (array_values($kept) as $i => $dish) {
            if ($diary->carvedAt($i) === null || ! is_array($dish)) {
                return null;
            }
            $dishes[] = ['status' => 'carved', 'on_at' => $time($diary->onAt($i)), 'pulled_at' => $time($diary->pulledAt($i)), 'carved_at' => $time($diary->carvedAt($i)), 'live' => null] + $dish + self::DISH_SINCE;
        }
        unset($plan['curves'], $plan['settings']);

        return [
            'id' => $stored->id,
            'name' => $stored->name,
            'status' => 'done',
            'trouble' => null,
            'now' => PlanResource::time($now->setTimezone($stored->time_zone)),
            'note' => $stored->debrief_note,
            'file' => Shelf::file($stored),
            'plan' => ['dishes' => $dishes] + $plan + self::SINCE + ['time_zone' => $stored->time_zone],
            'tending' => [],
        ];
    }
}
