<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\Roast;

/** The lines of a run sheet that the sides ask for. */
final class SideTasks
{
    private const MOST_TURNS = 40;

    /**
     * @param  list<SideTimes>  $sides
     * @return list<Entry>
     */
    public static function entries(Roast $roast, array $sides): array
    {
        // Called by what they are, not by their place: one that is taken out leaves the ticks of the others alone.
        $seen = [];
        $entries = [];
        foreach ($sides as $times) {
            $id = $times->dish->side->id;
            $seen[$id] = ($seen[$id] ?? 0) + 1;
            array_push($entries, ...self::one($roast, $seen[$id] === 1 ? $id : "$id-$seen[$id]", $times));
        }

        return $entries;
    }

    /** @return list<Entry> */
    private static function one(Roast $roast, string $key, SideTimes $times): array
    {
        $side = $times->dish->side;
        $name = $times->dish->name;
        $entry = fn (
            string $what,
            \DateTimeImmutable $at,
            Message $title,
            ?Message $detail = null,
            ?\DateTimeImmutable $until = null,
            int ...$turn,
        ): Entry => new Entry(
            EntryId::of('side', null, $key, $what, ...$turn),
            null,
            Act::Side,
            $at,
            $title,
            $detail,
            until: $until,
            minutes: match ($what) {
                'ready' => $side->readyMinutes,
                'off' => $side->doneMinutes,
                default => null,
            },
        );
        $entries = [
            $entry(
                'ready',
                $times->readyAt,
                Message::of('side.make_ready', side: $name),
                $side->how === '' ? null : Message::of('words.text', text: $side->how),
                $times->waterAt ?? $times->onAt,
            ),
        ];
        if ($times->waterAt !== null) {
            $entries[] = $entry('water', $times->waterAt, Message::of('side.water', side: $name), until: $times->onAt);
        }
        $entries[] = $entry(
            'on',
            $times->onAt,
            $times->dish->with !== null && isset($roast->dishes[$times->dish->with])
                ? Message::of('side.on_with', side: $name, dish: $roast->dishes[$times->dish->with]->name)
                : Message::of($side->isMadeAhead() ? 'side.begin' : 'side.on', side: $name),
            $times->dish->minutes === null
                ? Message::of(
                    'side.takes_about',
                    least: $side->mostMinutes < 60.0 ? Quantity::number($side->leastMinutes) : Quantity::duration($side->leastMinutes),
                    most: Quantity::duration($side->mostMinutes),
                )
                : Message::of('side.takes', minutes: Quantity::duration($times->dish->minutes)),
            $times->offAt,
        );
        $long = ($times->offAt->getTimestamp() - $times->onAt->getTimestamp()) / 60.0;
        for ($k = 1; $side->stirMinutes !== null && $k <= self::MOST_TURNS && $k * $side->stirMinutes < $long - 1.0; $k++) {
            $at = Timing::after($times->onAt, $k * $side->stirMinutes);
            $entries[] = $entry('stir', $at, Message::of('side.stir', side: $name), null, Timing::after($at, $side->stirMinutes), $k);
        }
        $entries[] = $entry(
            'off',
            $times->offAt,
            Message::of($side->isMadeAhead() ? 'side.done' : 'side.off', side: $name),
            Message::notes(
                $side->afterMinutes > 0.0 ? Message::of('side.stands', minutes: Quantity::minutes($side->afterMinutes)) : null,
                $side->isMadeAhead() ? Message::of('side.keeps_cold') : Message::of(
                    $times->isKeptTooLong() ? 'side.waits_too_long' : 'side.waits',
                    waits: Quantity::minutes($times->waitsMinutes),
                    well: Quantity::duration($side->waitsMinutes),
                ),
            ),
            $times->doneAt,
        );

        return $entries;
    }
}
