<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Cooker\CookerShed;
use Diatherm\Cooker\Equipment;
use Diatherm\Day\HeatSpan;
use Diatherm\Day\SideTimes;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Rig\Pot;
use Diatherm\Rig\PotRig;
use Diatherm\Rig\SpitRig;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;

/** A cooker has one heat at a time and so much room: what asks for more of it at one moment. */
final readonly class PlaceClash
{
    /** Heats nearer to each other are one, K. Common practice: no fire is steadier. */
    private const ONE_HEAT_K = 12.0;

    /** Two dishes that meet for less, one is taken off before the other goes on, minutes. Common practice. */
    private const TELLING_MINUTES = 5.0;

    /** Air has to pass between pieces, share of their own ground. Common practice. */
    private const BETWEEN = 1.15;

    /** Of a grate whose coals lie at its sides, so much is not over them. Common practice. */
    private const INDIRECT_SHARE = 0.6;

    /** Told when it is this far beyond its room: a cook shuffles the rest. */
    private const OVER = 1.15;

    /** A pan of vegetables is filled so high, m. Common practice. */
    private const PAN_M = 0.04;

    /** Full to this share of it, a pot can still be stirred and its lid closes. Common practice. */
    private const FILLED = 0.9;

    /**
     * @param  list<int>  $dishes  whose place it is about, by number
     * @param  int|null  $side  the side that it is about, by number
     */
    private function __construct(
        public string $kind,
        public array $dishes,
        public ?int $side,
        public Message $words,
    ) {
    }

    /**
     * @param  list<HeatSpan>  $spans
     * @param  list<SideTimes>  $sides
     * @return list<self> one a cooker and kind of want
     */
    public static function all(Roast $roast, array $spans, array $sides): array
    {
        $clashes = [];
        foreach ($spans as $i => $first) {
            foreach (array_slice($spans, $i + 1) as $second) {
                $isShared = $roast->isOneCooker($first->cooker, $second->cooker) && $first->dish !== $second->dish
                    && $first->meetsMinutes($second->from, $second->until) > self::TELLING_MINUTES;
                $isOneHeat = $first->cooker === $second->cooker && abs($first->celsius - $second->celsius) <= self::ONE_HEAT_K;
                if ($isShared && ! $isOneHeat) {
                    $clashes[CookerShed::kind($first->cooker)->body.'.heat'] ??= self::heat($roast, $first, $second);
                }
            }
        }
        foreach (self::byBody($spans) as $body => $its) {
            $clashes["$body.between"] = self::between($roast, $its);
        }
        foreach ($sides as $number => $side) {
            $clashes["side.$number"] = self::side($roast, $number, $side, $spans);
        }
        foreach ($spans as $span) {
            $clashes["$span->cooker.room"] ??= self::room($roast, $span, $spans, $sides);
        }
        foreach ($roast->dishes as $number => $dish) {
            $clashes["$number.pot"] = self::pot($roast, $number, $dish, $sides);
        }

        return array_values(array_filter($clashes));
    }

    private static function heat(Roast $roast, HeatSpan $first, HeatSpan $second): self
    {
        $what = [
            'first' => $roast->dishes[$first->dish]->name,
            'one' => Quantity::celsius($first->celsius),
            'second' => $roast->dishes[$second->dish]->name,
            'other' => Quantity::celsius($second->celsius),
            'cooker' => self::named($roast, $first->cooker),
            'from' => max($first->from, $second->from),
        ];

        return new self(CookerShed::kind($first->cooker)->body, [$first->dish, $second->dish], null, $first->cooker === $second->cooker
            ? Message::of('place.heat', ...$what)
            : Message::of('place.two_ways', ...$what, another: self::named($roast, $second->cooker)));
    }

    /**
     * @param  list<HeatSpan>  $spans
     * @return array<string, list<HeatSpan>> in order of time, of the cookers that are used in more ways than one
     */
    private static function byBody(array $spans): array
    {
        $bodies = [];
        foreach ($spans as $span) {
            $bodies[CookerShed::kind($span->cooker)->body][] = $span;
        }
        $bodies = array_filter($bodies, fn (array $its): bool => count(array_unique(array_column($its, 'cooker'))) > 1);

        return array_map(function (array $its): array {
            usort($its, fn (HeatSpan $a, HeatSpan $b): int => $a->from <=> $b->from);

            return $its;
        }, $bodies);
    }

    /**
     * One cooker is used one way, then another, then the first again, and its fires are not planned as one.
     *
     * @param  list<HeatSpan>  $spans  of one cooker, in order of time
     */
    private static function between(Roast $roast, array $spans): ?self
    {
        $apart = fn (HeatSpan $one, HeatSpan $other): bool => $roast->fireOf($one->cooker) !== $roast->fireOf($other->cooker)
            && $roast->isOneCooker($one->cooker, $other->cooker)
            && $one->meetsMinutes($other->from, $other->until) <= self::TELLING_MINUTES;
        foreach ($spans as $i => $first) {
            foreach (array_slice($spans, $i + 1, preserve_keys: true) as $j => $between) {
                if (! $apart($first, $between)) {
                    continue;
                }
                foreach (array_slice($spans, $j + 1) as $last) {
                    if ($last->cooker === $first->cooker && $apart($between, $last)) {
                        return self::saidBetween($roast, $first, $between, $last);
                    }
                }
            }
        }

        return null;
    }

    private static function saidBetween(Roast $roast, HeatSpan $first, HeatSpan $between, HeatSpan $last): self
    {
        $dishes = array_values(array_unique([$first->dish, $between->dish, $last->dish]));

        return new self(CookerShed::kind($first->cooker)->body, $dishes, null, Message::of(
            'place.in_between',
            cooker: self::named($roast, $first->cooker),
            another: self::named($roast, $between->cooker),
            between: $roast->dishes[$between->dish]->name,
            last: $roast->dishes[$last->dish]->name,
            heat: Quantity::celsius($last->celsius),
            from: $between->until,
        ));
    }

    /**
     * A heat that a side does not bear where it is put.
     *
     * @param  list<HeatSpan>  $spans
     */
    private static function side(Roast $roast, int $number, SideTimes $side, array $spans): ?self
    {
        [$kind, $celsius] = [$side->cooker, $side->cookerC];
        if ($kind === null || $celsius === null) {
            return null;
        }
        $there = array_values(array_filter($spans, fn (HeatSpan $span): bool => $span->cooker === $kind));
        [$leastC, $mostC] = [$side->dish->side->leastC, $side->dish->side->mostC];
        if ($side->after !== null || $side->bearsItsPlace() || $leastC === null || $mostC === null) {
            return null;
        }

        return new self(
            $kind,
            array_values(array_unique(array_map(fn (HeatSpan $span): int => $span->dish, $there))),
            $number,
            Message::of(
                'place.side_heat',
                side: $side->dish->name,
                least: Quantity::celsius($leastC),
                most: Quantity::celsius($mostC),
                cooker: self::named($roast, $kind),
                heat: Quantity::celsius($celsius),
                from: $side->onAt,
            ),
        );
    }

    /**
     * What lies on a cooker's grate as this dish goes on.
     *
     * @param  list<HeatSpan>  $spans
     * @param  list<SideTimes>  $sides
     */
    private static function room(Roast $roast, HeatSpan $now, array $spans, array $sides): ?self
    {
        $room = self::roomM2($now->cooker);
        if ($room === null) {
            return null;
        }
        foreach ([$now->from, ...array_map(fn (SideTimes $side): \DateTimeImmutable => $side->onAt, $sides)] as $at) {
            $there = [];
            $takes = 0.0;
            $many = 0;
            foreach ($spans as $span) {
                if ($span->cooker === $now->cooker && $span->from <= $at && $span->until > $at && ! isset($there[$span->dish])) {
                    $dish = $roast->dishes[$span->dish];
                    $there[$span->dish] = true;
                    // A pan under the meat shares its ground.
                    $pan = $dish->rig instanceof PotRig ? 0.0 : self::litres($roast, $sides, $at, with: $span->dish) / 1000.0 / self::PAN_M;
                    $many += $dish->pieces + ($pan > 0.0 ? 1 : 0);
                    $takes += max($pan, self::groundM2($dish));
                }
            }
            $beside = self::litres($roast, $sides, $at, on: $now->cooker) / 1000.0 / self::PAN_M;
            // One large joint has its own answer at the rig: here it is what lies beside it, or after it, that is told.
            if (($there === [] || $many + ($beside > 0.0 ? 1 : 0) >= 2) && $takes + $beside > self::OVER * $room) {
                return new self($now->cooker, array_keys($there), null, Message::of(
                    'place.room',
                    cooker: self::named($roast, $now->cooker),
                    from: $at,
                    share: Quantity::percent(round(100.0 * ($takes + $beside) / $room, -1)),
                ));
            }
        }

        return null;
    }

    /**
     * Meat and what lies round it in one pot.
     *
     * @param  list<SideTimes>  $sides
     */
    private static function pot(Roast $roast, int $number, Dish $dish, array $sides): ?self
    {
        $kind = $dish->mainStage()->cooker->id;
        if ($kind !== 'camp-oven') {
            return null;
        }
        $pot = $dish->rig instanceof PotRig ? $dish->rig->pot : Pot::usual(Equipment::of($kind)->facts['diameter_cm'] / 100.0);
        $meat = 1000.0 * $dish->pieces * $dish->volumeM3();
        $round = [];
        $litres = 0.0;
        foreach ($sides as $side) {
            $isIn = $side->dish->with === $number || $side->dish->on === $kind && $side->after === null;
            if ($isIn && $side->dish->side->litres > 0.0) {
                $round[] = $side->dish->name;
                $litres += $roast->people * $side->dish->side->litres;
            }
        }
        $share = ($meat + $litres) / (1000.0 * self::FILLED * $pot->floorM2() * $pot->depthM);

        return $round === [] || $share <= 1.0 ? null : new self($kind, [$number], null, Message::of(
            'place.pot',
            dish: $dish->name,
            sides: $round,
            diameter: Quantity::cm(100.0 * $pot->diameterM),
            share: Quantity::percent(round(100.0 * $share, -1)),
            people: $roast->people,
        ));
    }

    /**
     * @param  list<SideTimes>  $sides
     * @return float that lie there at that moment, with a dish or on a cooker
     */
    private static function litres(Roast $roast, array $sides, \DateTimeImmutable $at, ?int $with = null, ?string $on = null): float
    {
        $litres = 0.0;
        foreach ($sides as $side) {
            // In the tin under a joint that is off, it lies there by itself.
            $isThere = $with === null
                ? $side->cooker === $on && ($side->dish->on !== null || $side->after !== null)
                : $side->dish->with === $with;
            $litres += $isThere && $side->onAt <= $at && $side->offAt > $at ? $roast->people * $side->dish->side->litres : 0.0;
        }

        return $litres;
    }

    /** Where food can lie that is not over coals, m²; null for a kind without a grate to measure. */
    private static function roomM2(string $kind): ?float
    {
        if (! Equipment::has($kind)) {
            return null;
        }
        $equipment = Equipment::of($kind);
        $facts = $equipment->facts;
        $floor = $equipment->floor();
        $m2 = match (true) {
            isset($facts['diameter_cm']) => M_PI / 4.0 * ($facts['diameter_cm'] / 100.0) ** 2,
            isset($facts['length_cm'], $facts['width_cm']) => $facts['length_cm'] * $facts['width_cm'] / 10_000.0,
            $floor !== null => $floor['length'] * $floor['width'],
            default => null,
        };

        return $m2 === null ? null : $m2 * (in_array($kind, ['kettle', 'gas'], true) ? self::INDIRECT_SHARE : 1.0);
    }

    /** What it covers with air between, m²; nothing where it turns on a spit. */
    private static function groundM2(Dish $dish): float
    {
        return $dish->rig instanceof SpitRig || $dish->stages[0]->cooker->turns()
            ? 0.0
            : self::BETWEEN * $dish->pieces * $dish->groundM2();
    }

    private static function named(Roast $roast, string $kind): string
    {
        return $roast->fires[$kind]->own ?? Equipment::of($kind)->kind->short;
    }
}
