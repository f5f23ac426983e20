<?php

declare(strict_types=1);

namespace App\Roasts;

use Diatherm\Live\Debrief;
use Diatherm\Live\Finding;

/** The debrief of a day: for each dish that came off, what was planned at the lighting against what happened. */
final class Review
{
    /** @return list<list<Finding>> one list a dish; empty for a dish that is not off the heat */
    public static function of(Day $day): array
    {
        $findings = [];
        foreach ($day->plan->roast->dishes as $i => $dish) {
            $live = $day->live[$i] ?? null;
            $course = $day->diary->course($i);
            if ($live === null || $course === null || $course->pulledS === null) {
                $findings[] = [];

                continue;
            }
            /** @var array{cook_minutes: array{likely: float}, pull_c: float}|null $planned */
            $planned = $day->stored->plan_at_lighting['dishes'][$i] ?? null;
            $carved = $day->diary->carvedAt($i);
            $findings[] = Debrief::of(
                $dish,
                (float) ($planned['cook_minutes']['likely'] ?? $day->plan->forecasts[$i]->cookMinutes->likely),
                (float) ($planned['pull_c'] ?? $day->plan->forecasts[$i]->pullC),
                $live,
                $course,
                $carved === null ? null : $day->stored->serve_at->diffInSeconds($carved) / 60.0,
            );
        }

        return $findings;
    }
}
