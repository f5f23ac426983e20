<?php

declare(strict_types=1);

namespace App\Console;

use App\Words\Voice;
use Diatherm\Day\Entry;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Spread;
use Diatherm\Plan\Plan;
use Diatherm\Plan\PlannedDish;

/** A plan as plain text, to be read or printed. */
final class RunSheetText
{
    public static function of(Plan $plan, Voice $voice): string
    {
        $roast = $plan->roast;
        $sheet = $plan->runSheet;
        $lines = [$voice->say(Message::of(
            $roast->name === '' ? 'paper.heading_unnamed' : 'paper.heading',
            roast: $roast->name,
            hour: $roast->serveAt,
            day: $roast->serveAt->format('Y-m-d'),
            people: $roast->people,
        )), ''];
        foreach ($plan->dishes as $planned) {
            $lines[] = $voice->say(self::dish($planned));
            foreach ($planned->forecast->cautions as $caution) {
                $lines[] = '  ! '.$voice->say($caution->words);
            }
        }
        $lines[] = '';
        $day = '';
        foreach ($sheet->entries as $entry) {
            if ($entry->at->format('Y-m-d') !== $day) {
                $day = $entry->at->format('Y-m-d');
                $lines[] = $day;
            }
            $lines[] = '  '.$voice->say(Message::of('paper.line', hour: $entry->at, what: self::line($entry)));
        }
        if ($sheet->isTooLate()) {
            array_push($lines, '', $voice->say(Message::of(
                'paper.too_late',
                hour: $sheet->earliestServeAt,
                day: $sheet->earliestServeAt->format('Y-m-d'),
            )));
        }

        return implode("\n", $lines);
    }

    private static function dish(PlannedDish $planned): Message
    {
        $forecast = $planned->forecast;
        $facts = [
            'dish' => $forecast->dish->name,
            'minutes' => self::minutes($forecast->cookMinutes),
            'pull' => Quantity::celsius($forecast->pullC),
            'peak' => Quantity::celsius($forecast->peakC),
        ];

        return $forecast->rule === null
            ? Message::of('paper.dish', ...$facts)
            : Message::of(
                'paper.dish_and_rule',
                ...$facts,
                least: Quantity::minutes($forecast->rule->leastMinutes),
                most: Quantity::minutes($forecast->rule->mostMinutes),
            );
    }

    private static function line(Entry $entry): Message
    {
        $title = $entry->earliest !== null && $entry->latest !== null
            ? Message::of('paper.window', title: $entry->title, earliest: $entry->earliest, latest: $entry->latest)
            : $entry->title;

        return Message::note($title, $entry->detail);
    }

    private static function minutes(Spread $spread): Message
    {
        return Message::of(
            'paper.minutes',
            likely: Quantity::minutes($spread->likely),
            low: Quantity::number($spread->low),
            high: Quantity::number($spread->high),
        );
    }
}
