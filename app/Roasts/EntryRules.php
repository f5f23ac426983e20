<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Models\ReadingPlace;
use App\Models\Roast;
use App\Words\Voice;
use Carbon\CarbonImmutable;
use Diatherm\Measure\Fields;
use Diatherm\Measure\Message;
use Diatherm\Measure\Unit;

/** What every entry of a log keeps to that comes in a file: a table of readings, or a whole kitchen. */
final class EntryRules
{
    /** Clocks of two devices differ by no more. */
    private const SLACK_MINUTES = 15;

    /** A table is planned two years ahead at the most, and an entry is given for a month ago. */
    private const LONGEST_BEFORE_DAYS = 2 * 366 + 31;

    /** No probe in food or over a fire shows less or more. */
    private const LEAST_C = -30.0;

    private const MOST_IN_MEAT_C = 400.0;

    private const MOST_IN_A_COOKER_C = 700.0;

    /** The moment of an entry; now where there is none, which is refused. */
    public static function moment(Fields $one, string $key, Roast $roast): CarbonImmutable
    {
        $now = CarbonImmutable::now();
        $given = $one->time($key, 'time');
        $at = $given === null ? $now : CarbonImmutable::instance($given)->utc();
        if ($at > $now->addMinutes(self::SLACK_MINUTES)) {
            $one->refuse($key, Message::of('log.this_time_has_not_come'));
        } elseif ($at < $roast->serve_at->subDays(self::LONGEST_BEFORE_DAYS)) {
            $one->refuse($key, Message::of('log.years_before_its_table'));
        }

        return $at;
    }

    public static function celsius(Fields $one, string $key, ?ReadingPlace $place): float
    {
        $most = $place === ReadingPlace::Cooker ? self::MOST_IN_A_COOKER_C : self::MOST_IN_MEAT_C;

        return $one->number($key, 'temperature', self::LEAST_C, $most, Unit::Celsius);
    }

    /**
     * A sentence that is kept as its id and values: one that the screens know, with all that stands in it.
     *
     * @return array<string, mixed>|null
     */
    public static function words(Fields $one, string $key): ?array
    {
        $words = $one->raw($key);
        if (! is_array($words) || ! self::isSaid($words)) {
            $one->refuse($key, Message::of('log.no_such_words'));

            return null;
        }

        return $words;
    }

    private static function isSaid(mixed $words, int $depth = 0): bool
    {
        if (! is_array($words) || ! is_string($words['id'] ?? null) || ! is_array($words['values'] ?? null) || $depth > 4) {
            return false;
        }
        $sentence = Voice::sentences()[$words['id']] ?? null;
        if ($sentence === null) {
            return false;
        }
        preg_match_all('/\{(\w+)\s*[,}]/', $sentence, $named);
        foreach ($words['values'] as $value) {
            if (is_array($value) && isset($value['id']) && ! self::isSaid($value, $depth + 1)) {
                return false;
            }
        }

        return array_diff($named[1], array_keys($words['values'])) === [];
    }
}
