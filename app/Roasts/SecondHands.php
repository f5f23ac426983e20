<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Http\Requests\EventRequest;
use App\Models\EventKind;
use App\Models\Roast;
use Carbon\CarbonImmutable;
use Diatherm\Day\Act;
use Diatherm\Day\Entry;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Diatherm\Roast\Roast as CoreRoast;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** A link for a second pair of hands: who has it sees one roast's tasks and ticks them, and nothing else. */
final class SecondHands
{
    private const KEY_LETTERS = 40;

    private const BY_CHORE = [
        'baste' => EventKind::Basted, 'spray' => EventKind::Basted, 'turn' => EventKind::Turned, 'rotate' => EventKind::Turned,
        'fuel' => EventKind::Fuel,
    ];

    /** A new link; an older one no longer opens anything. @return string its key, which is kept nowhere */
    public static function link(Roast $roast): string
    {
        $key = Str::random(self::KEY_LETTERS);
        self::keep($roast, hash('sha256', $key));

        return $key;
    }

    public static function close(Roast $roast): void
    {
        self::keep($roast, null);
    }

    public static function find(string $key): ?Roast
    {
        return Roast::query()->where('hands_key', hash('sha256', $key))->first();
    }

    /**
     * Ticks a line of the run sheet as the cook would.
     *
     * @throws InvalidInput when there is no such line, or what has to come before it has not
     */
    public static function tick(Roast $roast, string $line, string $id, CarbonImmutable $at): void
    {
        $day = Day::of(Told::log($roast, $now = CarbonImmutable::now()), $now);
        foreach ($day->plan->runSheet->entries as $entry) {
            if ($entry->id->text() === $line && ! in_array($entry->act, [Act::Rest, Act::Serve, Act::Read], true)) {
                $kind = self::kind($entry, $day->plan->roast);
                EventRequest::insistOnOrder($roast, $kind, $entry->dish, $at, $id);
                Logbook::add($roast, $roast->events(), $id, [
                    'dish' => $entry->dish, 'at' => $at, 'kind' => $kind, 'entry' => $line,
                    'stage' => $kind === EventKind::Stage ? (int) $entry->id->parts[0] : null, 'by_hands' => true,
                ], Roast::MOST_EVENTS);

                return;
            }
        }
        throw InvalidInput::atField('entry', Message::of('hands.no_such_line'));
    }

    private static function kind(Entry $entry, CoreRoast $roast): EventKind
    {
        $chore = $entry->act === Act::Chore && $entry->dish !== null
            ? ($roast->dishes[$entry->dish]->stages[(int) $entry->id->parts[0]]->chores[(int) ($entry->id->parts[1] ?? 0)] ?? null)
            : null;

        return match ($entry->act) {
            Act::On => EventKind::On,
            Act::Pull => EventKind::Pulled,
            Act::Carve => EventKind::Carved,
            Act::Stage => EventKind::Stage,
            Act::Fire => ($entry->id->parts[1] ?? '') === 'refuel' ? EventKind::Fuel : EventKind::Tick,
            default => self::BY_CHORE[$chore->kind ?? ''] ?? EventKind::Tick,
        };
    }

    private static function keep(Roast $roast, ?string $hashed): void
    {
        DB::transaction(function () use ($roast, $hashed): void {
            $row = $roast->held();
            $row->hands_key = $hashed;
            // What the answer says of the link changes with it.
            $row->version++;
            $row->save();
        });
        $roast->refresh();
    }
}
