<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Day\Entry;
use Diatherm\Day\Timing;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Unit;
use Diatherm\Plan\PlannedDish;
use Diatherm\Plan\PlannedFire;
use Diatherm\Safety\Caution;

/** What comes of a way, worked out to its end and told against how things stand. */
final readonly class Outcome
{
    /** Less fuel than this is none. Common practice: a handful. */
    private const TELLING_KG = 0.1;

    private const TELLING_MINUTES = 5.0;

    /**
     * @param  float  $laterMinutes  the table, against the hour that it was asked for
     * @param  Message  $table  when it is on the table
     * @param  Message|null  $slow  when it is there at the slow end, where that is past the table; null where it is not
     * @param  list<PullTold>  $dishes  when each that is not off yet goes on and comes off
     * @param  list<Message>  $fuel  more or less of it than is needed as things stand; none where it is the same
     * @param  Message|null  $hands  what hands are short for; null where they suffice
     * @param  list<Message>  $cautions  that there were not before
     */
    private function __construct(
        public \DateTimeImmutable $tableAt,
        public float $laterMinutes,
        public Message $table,
        public ?Message $slow,
        public array $dishes,
        public array $fuel,
        public ?Message $hands,
        public array $cautions,
    ) {
    }

    public static function of(Standing $then, Standing $now): self
    {
        $tableAt = $then->tableAt();
        $later = ($tableAt->getTimestamp() - $now->roast()->serveAt->getTimestamp()) / 60.0;
        $minutes = Quantity::of(abs(round($later)), Unit::Duration);

        return new self(
            $tableAt,
            $later,
            match (true) {
                abs($later) < 1.0 => Message::of('ways.table_as_asked', hour: $tableAt),
                $later > 0.0 => Message::of('ways.table_later', hour: $tableAt, minutes: $minutes),
                default => Message::of('ways.table_sooner', hour: $tableAt, minutes: $minutes),
            },
            self::slow($then, $tableAt),
            self::dishes($then),
            self::fuel(self::bought($then), self::bought($now)),
            self::hands($then),
            self::cautions($then, $now),
        );
    }

    /** Nine cooks in ten are on the table by then. */
    private static function slow(Standing $then, \DateTimeImmutable $tableAt): ?Message
    {
        $slow = $tableAt;
        foreach ($then->roast()->dishes as $i => $dish) {
            $latest = $then->isOn($i) ? $then->entry("d$i.pull")?->latest : null;
            $ready = $latest === null ? $slow : Timing::after($latest, $dish->leastRestMinutes() + Timing::carveMinutes($dish));
            $behind = ($then->roast()->tableAt($dish->course)->getTimestamp() - $then->roast()->serveAt->getTimestamp()) / 60.0;
            $slow = max($slow, Timing::after($ready, -$behind));
        }

        return $slow->getTimestamp() - $tableAt->getTimestamp() < 60.0 * self::TELLING_MINUTES
            ? null
            : Message::of('ways.slow_end', hour: $slow);
    }

    /** @return list<PullTold> */
    private static function dishes(Standing $then): array
    {
        $told = [];
        foreach ($then->roast()->dishes as $i => $dish) {
            $pull = $then->entry("d$i.pull");
            if ($pull === null || $pull->done) {
                continue;
            }
            $on = $then->isWaiting($i) ? $then->entry("d$i.on") : null;
            [$low, $likely, $high] = [$pull->earliest ?? $pull->at, $pull->at, $pull->latest ?? $pull->at];
            $words = $on === null
                ? Message::of('ways.off', dish: $dish->name, likely: $likely, low: $low, high: $high)
                : Message::of('ways.on_and_off', dish: $dish->name, on: $on->at, likely: $likely, low: $low, high: $high);
            $told[] = new PullTold($words, $low, $likely, $high);
        }

        return $told;
    }

    /** @return array<string, float> kg to buy, by name of the fuel */
    private static function bought(Standing $standing): array
    {
        $bought = [];
        foreach ($standing->plan->fires as $planned) {
            /** @var PlannedFire $planned */
            $fire = $planned->plan;
            $name = $fire->feed()->boughtAs ?? $fire->stove->fuel?->boughtAs;
            if ($name !== null) {
                $bought[$name] = ($bought[$name] ?? 0.0) + $fire->buyKg();
            }
        }

        return $bought;
    }

    /**
     * @param  array<string, float>  $then
     * @param  array<string, float>  $now
     * @return list<Message>
     */
    private static function fuel(array $then, array $now): array
    {
        $told = [];
        foreach (array_unique([...array_keys($then), ...array_keys($now)]) as $name) {
            $more = ($then[$name] ?? 0.0) - ($now[$name] ?? 0.0);
            if (abs($more) >= self::TELLING_KG) {
                $told[] = Message::of($more > 0.0 ? 'ways.more_fuel' : 'ways.less_fuel', fuel: $name, mass: Quantity::kg(abs($more), 1));
            }
        }

        return $told;
    }

    private static function hands(Standing $then): ?Message
    {
        $clashes = array_values(array_filter(
            $then->plan->runSheet->entries,
            fn (Entry $entry): bool => $entry->clash !== null && ! $entry->done && $entry->at >= $then->now,
        ));

        return $clashes === []
            ? null
            : Message::of('ways.short_of_hands', count: count($clashes), hour: $clashes[0]->at, task: $clashes[0]->title);
    }

    /** @return list<Message> */
    private static function cautions(Standing $then, Standing $now): array
    {
        $before = [];
        foreach ($now->plan->dishes as $i => $dish) {
            foreach (self::ofDish($now, $dish, $i) as $caution) {
                $before["$i.".$caution->words->plain()] = true;
            }
        }
        $new = [];
        foreach ($then->plan->dishes as $i => $dish) {
            if ($then->isStuck($i)) {
                $new[] = Message::of('ways.stuck', dish: $then->dish($i)->name);
            }
            foreach (self::ofDish($then, $dish, $i) as $caution) {
                // One that was there in other figures is another.
                if (! isset($before["$i.".$caution->words->plain()])) {
                    $new[] = $caution->words;
                }
            }
        }

        return $new;
    }

    /** @return list<Caution> */
    private static function ofDish(Standing $standing, PlannedDish $dish, int $number): array
    {
        return [...$dish->forecast->cautions, ...($standing->live[$number]->cautions ?? [])];
    }
}
