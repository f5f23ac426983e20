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
        $lit = $day->stored->lighting['dishes'] ?? [];
        foreach ($day->plan->roast->dishes as $i => $dish) {
            $live = $day->live[$i] ?? null;
            $course = $day->diary->course($i);
            if ($live === null || $course === null || $course->pulledS === null) {
                $findings[] = [];

                continue;
            }
            $planned = $lit[$i] ?? null;
            $carved = $day->diary->carvedAt($i);
            $findings[] = Debrief::of(
                $dish,
                $planned['cook_minutes']['likely'] ?? $day->plan->forecast($i)->cookMinutes->likely,
                $planned['pull_c'] ?? $day->plan->forecast($i)->pullC,
                $live,
                $course,
                $day->diary->readings($i),
                $carved === null ? null : $day->stored->serve_at->diffInSeconds($carved) / 60.0,
            );
        }

        return $findings;
    }
}
