<?php

declare(strict_types=1);

namespace App\Console;

use Diatherm\Day\Entry;
use Diatherm\Measure\Spread;
use Diatherm\Plan\Plan;

/** A plan as plain text, to be read or printed. */
final class RunSheetText
{
    public static function of(Plan $plan): string
    {
        $roast = $plan->roast;
        $lines = [
            (
                $roast->name === '' ? 'Roast' : $roast->name
            ).', table at '.$roast->serveAt->format('H:i, l j F Y').", {$roast->people} to feed",
            '',
        ];
        foreach ($plan->dishes as $planned) {
            $forecast = $planned->forecast;
            $lines[] = sprintf(
                '%s: %s on the heat, pull at %.0f °C, peaks at %.0f °C%s',
                $forecast->dish->name, self::minutes($forecast->cookMinutes), $forecast->pullC, $forecast->peakC,
                $forecast->rule === null
                    ? ''
                    : sprintf('; by weight %.0f to %.0f min', $forecast->rule->leastMinutes, $forecast->rule->mostMinutes),
            );
            foreach ($forecast->cautions as $caution) {
                $lines[] = '  ! '.$caution->words;
            }
        }
        $lines[] = '';
        $day = '';
        foreach ($plan->runSheet->entries as $entry) {
            if ($entry->at->format('Y-m-d') !== $day) {
                $day = $entry->at->format('Y-m-d');
                $lines[] = $entry->at->format('l j F');
            }
            $lines[] = self::line($entry);
        }
        if ($plan->runSheet->isTooLate()) {
            $lines[] = '';
            $lines[] = 'Too late for that hour. The earliest that can be promised: '
                .$plan->runSheet->earliestServeAt->format('H:i, l j F')
                .'.';
        }

        // Two decimals mark what was typed in another unit; on paper it is shown whole.
        return (string) preg_replace_callback(
            '/(\d+\.\d\d) °C/',
            fn (array $exact): string => round((float) $exact[1]).' °C',
            implode("\n", $lines),
        );
    }

    private static function line(Entry $entry): string
    {
        $window = $entry->earliest !== null && $entry->latest !== null
            ? ' ('.$entry->earliest->format('H:i').'–'.$entry->latest->format('H:i').')'
            : '';

        return '  '.$entry->at->format('H:i').'  '.$entry->title.$window.($entry->detail === '' ? '' : ': '.lcfirst($entry->detail));
    }

    private static function minutes(Spread $spread): string
    {
        return sprintf('%.0f min (%.0f to %.0f)', $spread->likely, $spread->low, $spread->high);
    }
}
