<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Cooker\CookerShed;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\Roast;

/** The lines of a run sheet that the sides ask for. */
final class SideTasks
{
    private const MOST_TURNS = 40;

    /** Said where it takes so much longer, or less, than is usual. */
    private const TELLING = 0.1;

    /**
     * @param  list<SideTimes>  $sides
     * @return list<Entry>
     */
    public static function entries(Roast $roast, array $sides): array
    {
        // Called by what they are, not by their place: one that is taken out leaves the ticks of the others alone.
        $keys = SideTimes::keys($sides);
        $entries = [];
        foreach ($sides as $i => $times) {
            array_push($entries, ...self::one($roast, $keys[$i], $times));
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
                'off', 'done' => $side->doneMinutes,
                default => null,
            },
        );
        $with = $roast->dishes[$times->dish->with ?? -1] ?? null;
        $isBefore = $times->before !== null && $times->after === null;
        $entries = [
            $entry(
                'ready',
                $times->readyAt,
                Message::of($side->isCold ? 'side.make' : 'side.make_ready', side: $name),
                Message::notes(
                    Ingredients::inWords($side->mix?->forDish(0.0, $roast->people) ?? []),
                    $side->how === '' ? null : Message::of('words.text', text: $side->how),
                    $side->isCold ? Message::of('side.keeps_in_the_cold') : null,
                ),
                $times->waterAt ?? $times->onAt,
            ),
        ];
        if ($side->isCold) {
            return $entries;
        }
        if ($times->waterAt !== null) {
            $entries[] = $entry('water', $times->waterAt, Message::of('side.water', side: $name), until: $times->onAt);
        }
        $entries[] = $entry(
            'on',
            $times->onAt,
            match (true) {
                $with === null => Message::of($side->isMadeAhead() ? 'side.begin' : 'side.on', side: $name),
                $times->after !== null && $times->cooker !== null => Message::of(
                    'side.on_after', side: $name, cooker: CookerShed::kind($times->cooker)->short, dish: $with->name,
                ),
                default => Message::of($isBefore ? 'side.on_before' : 'side.on_with', side: $name, dish: $with->name),
            },
            Message::notes(self::takes($times), self::place($times)),
            $times->offAt,
        );
        $long = ($times->offAt->getTimestamp() - $times->onAt->getTimestamp()) / 60.0;
        $every = $times->isBuried ? null : $side->stirMinutes;
        for ($k = 1; $every !== null && $k <= self::MOST_TURNS && $k * $every < $long - 1.0; $k++) {
            $at = Timing::after($times->onAt, $k * $every);
            $entries[] = $entry('stir', $at, Message::of('side.stir', side: $name), null, Timing::after($at, $every), $k);
        }
        $entries[] = $entry(
            // What keeps for days can be done a while sooner, when hands are wanted elsewhere.
            $side->isMadeAhead() ? 'done' : 'off',
            $times->offAt,
            Message::of($side->isMadeAhead() ? 'side.done' : 'side.off', side: $name),
            Message::notes(
                $side->afterMinutes > 0.0 ? Message::of('side.stands', minutes: Quantity::minutes($side->afterMinutes)) : null,
                $side->isMadeAhead() ? Message::of('side.keeps_cold') : ($times->isAfterTable() ? null : Message::of(
                    $times->isKeptTooLong() ? 'side.waits_too_long' : 'side.waits',
                    waits: Quantity::minutes($times->waitsMinutes),
                    well: Quantity::duration($side->waitsMinutes),
                )),
            ),
            $times->doneAt,
        );

        return $entries;
    }

    private static function takes(SideTimes $times): Message
    {
        $side = $times->dish->side;
        if ($times->dish->minutes !== null || $times->isBuried) {
            return Message::of('side.takes', minutes: Quantity::duration($times->takesMinutes()));
        }
        [$least, $most] = [$times->slowness * $side->leastMinutes, $times->slowness * $side->mostMinutes];

        return Message::of(
            'side.takes_about',
            least: $most < 60.0 ? Quantity::number($least) : Quantity::duration($least),
            most: Quantity::duration($most),
        );
    }

    /** The cooker that it is on, and what its heat does to it. */
    private static function place(SideTimes $times): ?Message
    {
        if ($times->isBuried) {
            return Message::of('side.soft_as_nobody_digs');
        }
        $isUsual = $times->dish->on === null && abs($times->slowness - 1.0) < self::TELLING;
        if ($times->cooker === null || $times->cookerC === null || $isUsual) {
            return null;
        }
        $id = match (true) {
            $times->slowness > 1.0 + self::TELLING => 'side.slower_at',
            $times->slowness < 1.0 - self::TELLING => 'side.quicker_at',
            default => 'side.stands_at',
        };

        return Message::of($id, cooker: CookerShed::kind($times->cooker)->short, heat: Quantity::celsius($times->cookerC));
    }
}
