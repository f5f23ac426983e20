<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Measure\Input;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
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
        $counted = count(array_filter($live->verdicts, fn (Verdict $verdict): bool => $verdict->isCounted()));
        $learnt = [
            Input::of('readings_that_count', Message::of('why_live.of', counted: $counted, all: count($live->verdicts))),
            Input::of('time_that_it_takes', Message::of('why_live.of_the_plan', share: Quantity::percent(100.0 * $live->pace))),
        ];

        return [
            new Working(
                'live.pull_at',
                Message::of('why_live.thousands_of_courses'),
                $learnt,
                Source::computed(),
            ),
            new Working('live.core_now_c', $live->belief->newest === null
                ? Message::of('why_live.what_the_weighed_cooks_say')
                : Message::of('why_live.the_newest_reading_that_counts'), [
                    ...($live->belief->newest === null
                        ? []
                        : [
                            Input::of('read', Quantity::celsius($live->belief->newest->celsius, 1)),
                            Input::of('the_courses_had_then', Quantity::celsius($live->belief->newest->celsius - $live->belief->offK, 1)),
                        ]),
                    Input::of('low', Quantity::celsius($live->coreNowC->low, 1)),
                    Input::of('likely', Quantity::celsius($live->coreNowC->likely, 1)),
                    Input::of('high', Quantity::celsius($live->coreNowC->high, 1)),
                ], Source::computed()),
            new Working(
                'live.pull_c',
                Message::of('why_live.the_core_temperature_at_which'),
                [
                    Input::of('target', Quantity::celsius($dish->targetC)),
                    Input::of('counted_on_at_most', Quantity::kelvin($dish->carryover()->creditK)),
                    ...$learnt,
                ],
                Carryover::source(),
            ),
            new Working(
                'live.peak_c',
                $dish->carryover()->climbK <= 0.0
                    ? Message::of('why_live.no_climb_off_the_heat')
                    : Message::of('why_live.the_likely_cook_followed', climb: Quantity::kelvin($dish->carryover()->climbK)),
                [
                    Input::of('pulled_at', Quantity::celsius($live->pullC, 1)),
                    Input::of(
                        'peaks_after',
                        Message::of(
                            'why_live.of_rest',
                            minutes: Quantity::minutes(max(0.0, $live->peakMinutes - $live->cookMinutes->likely)),
                        ),
                    ),
                ],
                Source::computed(),
            ),
        ];
    }
}
