<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Measure\Source;
use Diatherm\Measure\Working;
use Diatherm\Roast\Dish;
use Diatherm\Safety\Carryover;

/** Why the numbers of a live forecast are what they are. */
final class LiveExplanation
{
    /** @return list<Working> */
    public static function of(LiveForecast $live, Dish $dish): array
    {
        $counted = count(array_filter($live->verdicts, fn (Verdict $verdict): bool => $verdict === Verdict::Counts));
        $learnt = [
            'Readings that count' => sprintf('%d of %d', $counted, count($live->verdicts)),
            'Heat that reaches it' => sprintf('%.0f %% of the plan', 100.0 * $live->guess->reached(60.0 * $live->cookMinutes->likely)),
            'Thickness' => sprintf('%.0f %% of the plan', 100.0 * $live->guess->thickness),
            'Went on at' => sprintf('%.1f °C', $dish->startC + $live->guess->warmerK),
        ];

        return [
            new Working(
                'live.pull_at',
                'Some two hundred cooks are computed, each with heat, thickness and start a little different, through the cooker temperatures and lids that were logged. Each counts by how well it meets the readings. One in ten of their weight is quicker than the band, one in ten slower.',
                $learnt,
                Source::computed(),
            ),
            new Working('live.core_now_c', match (true) {
                $live->belief->newest === null => 'What the weighed cooks say of the coldest point at this moment. Nothing was read yet.',
                $live->belief->steered => 'The newest reading, carried forward at the pace that the readings have: it is further from the model than the model can explain, and the thermometer is right until shown wrong.',
                default => 'The newest reading that counts, carried forward as the likely cook runs.',
            }, ($live->belief->newest === null ? [] : ['Read' => sprintf('%.1f °C', $live->belief->newest->celsius), 'The model had then' => sprintf('%.1f °C', $live->belief->newest->celsius - $live->belief->offK)]) + ['Low' => sprintf('%.1f °C', $live->coreNowC->low), 'Likely' => sprintf('%.1f °C', $live->coreNowC->likely), 'High' => sprintf('%.1f °C', $live->coreNowC->high)], Source::computed()),
            new Working(
                'live.pull_c',
                'The core temperature at which to take it off: the target, less what has climbed by the carving at the slow end of what the readings leave open, and never more than may be counted on.',
                [
                    'Target' => sprintf('%.0f °C', $dish->targetC),
                    'Counted on at most' => sprintf('%.0f K', $dish->carryover()->creditK),
                ] + $learnt,
                Carryover::source(),
            ),
            new Working(
                'live.peak_c',
                $dish->carryover()->climbK <= 0.0
                    ? 'No climb off the heat is counted for this: it is as hot as it was read or came off.'
                    : sprintf(
                        'The likely cook, followed on a board in the open air until its core stops climbing, through what was read; never more than %.0f K above the pull.',
                        $dish->carryover()->climbK,
                    ),
                [
                    'Pulled at' => sprintf('%.1f °C', $live->pullC),
                    'Peaks after' => sprintf('%.0f min of rest', max(0.0, $live->peakMinutes - $live->cookMinutes->likely)),
                ],
                Source::computed(),
            ),
        ];
    }
}
