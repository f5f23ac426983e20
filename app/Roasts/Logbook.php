<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Http\Requests\EventRequest;
use App\Models\Event;
use App\Models\EventKind;
use App\Models\Reading;
use App\Models\Roast;
use App\Words\Voice;
use Carbon\CarbonImmutable;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/**
 * The log of one roast. Each entry carries an id made by the device that took it: sent twice, it is logged once; sent with other
 * words, it is a conflict. Writes to one roast follow one another, so that two devices cannot both be the first.
 */
final class Logbook
{
    /** Two devices that log the same act within so long mean one act. */
    private const SAME_ACT_MINUTES = 10;

    /** A time ahead of the server's clock is taken for now, so that it differs when it is sent again. */
    private const SAME_ENTRY_MINUTES = 15;

    /**
     * @param  HasMany<Reading, Roast>|HasMany<Event, Roast>  $log
     * @param  array<string, mixed>  $row
     *
     * @throws InvalidInput when it holds no more
     * @throws ConflictHttpException when something else was logged under that id
     */
    public static function add(Roast $roast, HasMany $log, string $id, array $row, int $most): void
    {
        self::locked($roast, function (Roast $roast) use ($log, $id, $row, $most): void {
            $there = (clone $log)->where('client_id', $id)->first();
            if ($there !== null) {
                self::insistOnSame($there, $row);

                return;
            }
            if (self::isLoggedAlready($roast, $row)) {
                return;
            }
            if ((clone $log)->count() >= $most) {
                throw InvalidInput::atField(
                    'id',
                    Message::of('log.the_log_of_this_roast', most: $most),
                );
            }
            if (($row['kind'] ?? null) === EventKind::On && $roast->lighting === null) {
                $roast->lighting = Lighting::record($roast);
            }
            (clone $log)->create(['client_id' => $id] + $row);
        });
    }

    /** @param  HasMany<Reading, Roast>|HasMany<Event, Roast>  $log */
    public static function move(Roast $roast, HasMany $log, string $id, CarbonImmutable $at): void
    {
        self::locked($roast, function (Roast $roast) use ($log, $id, $at): void {
            $entry = (clone $log)->where('client_id', $id)->firstOrFail();
            if ($entry instanceof Event) {
                EventRequest::insistOnOrder($roast, $entry->kind, $entry->dish, $at, $id);
            }
            $entry->update(['at' => $at]);
        });
    }

    public static function removeReading(Roast $roast, string $id): void
    {
        self::locked($roast, fn (Roast $roast) => $roast->readings()->where('client_id', $id)->delete());
    }

    public static function removeEvent(Roast $roast, string $id): void
    {
        self::locked($roast, function (Roast $roast) use ($id): void {
            $event = $roast->events()->where('client_id', $id)->first();
            if ($event?->kind === EventKind::Way) {
                ChangedPlan::undo($roast, $event);
            }
            $event?->delete();
            if ($roast->lighting !== null && $roast->events()->where('kind', EventKind::On)->doesntExist()) {
                $roast->lighting = null;
            }
        });
    }

    /** @param  \Closure(Roast): void  $write  to the roast, whose row is held */
    private static function locked(Roast $roast, \Closure $write): void
    {
        DB::transaction(function () use ($roast, $write): void {
            $row = $roast->held();
            $write($row);
            $row->logged();
        });
        $roast->refresh()->unsetRelations();
    }

    /** @param  array<string, mixed>  $row */
    private static function insistOnSame(Reading|Event $there, array $row): void
    {
        $same = true;
        foreach (array_diff_key($row, ['at' => 0]) as $key => $value) {
            $same = $same && json_encode($there->getAttribute($key)) === json_encode($value);
        }
        $at = $row['at'] ?? null;
        if (! $same || ! $at instanceof CarbonImmutable || abs($there->at->diffInSeconds($at)) > 60.0 * self::SAME_ENTRY_MINUTES) {
            throw new ConflictHttpException(Voice::ofTheReader()->say(Message::of('log.something_else_was_logged_under')));
        }
    }

    /**
     * What happens once to a dish and is logged by two devices at once is one.
     *
     * @param  array<string, mixed>  $row
     */
    private static function isLoggedAlready(Roast $roast, array $row): bool
    {
        $kind = $row['kind'] ?? null;
        if (! $kind instanceof EventKind || ! $kind->isOnce()) {
            $line = $row['entry'] ?? null;

            // A line that two hands tick is done once.
            return $line !== null && $roast->events()->where('entry', $line)->where('kind', $kind)->exists();
        }
        $same = Event::standing($roast->steps(), $kind, $row['dish']);
        if ($same === null) {
            return false;
        }
        $at = $row['at'];
        if ($at instanceof CarbonImmutable && abs($same->at->diffInSeconds($at)) <= 60.0 * self::SAME_ACT_MINUTES) {
            return true;
        }
        throw new ConflictHttpException(
            Voice::ofTheReader()->say(Message::of('log.that_is_logged_already', hour: $same->at->setTimezone($roast->time_zone))),
        );
    }
}
