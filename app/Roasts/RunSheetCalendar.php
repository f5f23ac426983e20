<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Words\Voice;
use Carbon\CarbonImmutable;
use Diatherm\Day\Act;
use Diatherm\Day\Entry;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;

/**
 * A run sheet as a calendar (RFC 5545): one event a line, under ids that stay while the plan moves, so that taking it in again moves
 * what is there. What hands have to do rings; what is done already, or only goes on, does not.
 */
final class RunSheetCalendar
{
    /** A line that says no end takes so long on a calendar. */
    private const USUAL_MINUTES = 5;

    /** What wants a moment to get up and go. */
    private const AHEAD_MINUTES = 5;

    /** They go on by themselves, or are an hour and no act. */
    private const SILENT = [Act::Rest, Act::FirstLook];

    private const SOON = [Act::Read, Act::Pull, Act::On, Act::Light, Act::Carve, Act::Serve];

    public static function of(Day $day, Voice $voice, CarbonImmutable $now): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Diatherm//Diatherm//EN', 'METHOD' => 'PUBLISH']);
        if ($day->stored->name !== '') {
            $calendar->add('NAME', $day->stored->name);
        }
        foreach ($day->plan->runSheet->entries as $entry) {
            self::add($calendar, $entry, $day, $voice, $now);
        }

        return (string) $calendar->serialize();
    }

    private static function add(VCalendar $calendar, Entry $entry, Day $day, Voice $voice, CarbonImmutable $now): void
    {
        $start = CarbonImmutable::instance($entry->at)->utc();
        $lasts = $entry->until !== null && $entry->until > $entry->at;
        $end = $lasts ? CarbonImmutable::instance($entry->until)->utc() : $start->addMinutes(self::USUAL_MINUTES);
        /** @var VEvent $event */
        $event = $calendar->add('VEVENT', [
            'UID' => "{$day->stored->id}.{$entry->id->text()}@diatherm",
            'DTSTAMP' => $now->utc(),
            'SEQUENCE' => $day->stored->version,
            'DTSTART' => $start,
            'DTEND' => $end,
            'SUMMARY' => $voice->say($entry->title),
            'CATEGORIES' => $entry->act->value,
            'TRANSP' => 'TRANSPARENT',
        ]);
        if ($entry->detail !== null) {
            $event->add('DESCRIPTION', $voice->say($entry->detail));
        }
        if (! $entry->done && ! in_array($entry->act, self::SILENT, true)) {
            $event->add('VALARM', [
                'ACTION' => 'DISPLAY',
                'DESCRIPTION' => $voice->say($entry->title),
                'TRIGGER' => in_array($entry->act, self::SOON, true) ? '-PT'.self::AHEAD_MINUTES.'M' : 'PT0S',
            ]);
        }
    }
}
