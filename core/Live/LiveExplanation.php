<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Measure\Source;
use Diatherm\Measure\Working;
use Diatherm\Plan\Dish;

/** Why the numbers of a live forecast are what they are. */
final class LiveExplanation
{
    /** @return list<Working> */
    public static function of(LiveForecast $live, Dish $dish): array
    {
        $counted = count(array_filter($live->verdicts, fn (Verdict $verdict): bool => $verdict === Verdict::Counts));
        $learnt = [
            'Readings that count' => sprintf('%d of %d', $counted, count($live->verdicts)),
            'Heat that reaches it' => sprintf('%.0f %% of the plan', 100.0 * $live->guess->transfer),
            'Thickness' => sprintf('%.0f %% of the plan', 100.0 * $live->guess->thickness),
            'Went on at' => sprintf('%.1f °C', $dish->startC + $live->guess->warmerK),
        ];

        return [
            new Working('live.pull_at', 'Some two hundred cooks are computed, each with heat, thickness and start a little different, through the cooker temperatures and lids that were logged. Each counts by how well it meets the readings. One in ten of their weight is quicker than the band, one in ten slower.', $learnt, Source::computed()),
            new Working('live.core_now_c', 'What the weighed cooks say of the coldest point at this moment: the last reading carried forward.', ['Low' => sprintf('%.1f °C', $live->coreNowC->low), 'Likely' => sprintf('%.1f °C', $live->coreNowC->likely), 'High' => sprintf('%.1f °C', $live->coreNowC->high)], Source::computed()),
            new Working('live.pull_c', 'The core temperature from which this cook, as the readings have it, coasts to the target.', ['Target' => sprintf('%.0f °C', $dish->targetC), 'Climbs in the rest' => sprintf('%.1f K', $live->peakC - $live->pullC)] + $learnt, Source::computed()),
            new Working('live.peak_c', 'The likely cook, followed on a board in the open air until its core stops climbing.', ['Pulled at' => sprintf('%.1f °C', $live->pullC), 'Peaks after' => sprintf('%.0f min of rest', $live->peakMinutes - $live->cookMinutes->likely)], Source::computed()),
        ];
    }
}
