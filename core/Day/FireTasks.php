<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Cooker\GasGrill;
use Diatherm\Fire\Fuel;
use Diatherm\Fire\HandTest;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Tending\FirePlan;

/** What a fire plan asks of the cook's hands, and by the clock. */
final class FireTasks
{
    /** Wind and a nearby fire heat one side of a pot: pot and lid are turned by a quarter so often. Common practice: 15 to 20 min. */
    private const QUARTER_TURN_MINUTES = 18.0;

    /** Lid off and slots open, coals come back to a glow. Common practice. */
    private const TAKE_OVER_MINUTES = 5.0;

    /** Raking coals to another place, and turning a few knobs. Common practice. */
    private const RAKED_MINUTES = 3.0;

    private const TURNED_MINUTES = 1.0;

    /** So near to the end nobody feeds or turns it any more. Common practice. */
    private const LEFT_ALONE_MINUTES = 5.0;

    private const MOST_TURNS = 40;

    /** A box of chips smokes so long after it was put over a lit burner. Common practice. */
    private const BOX_MINUTES = 15.0;

    /** The lighting. */
    public static function light(FirePlan $fire): Task
    {
        $fuel = $fire->stove->fuel;
        if ($fuel === null) {
            return match ($fire->stove->equipment->kind->light) {
                'gas' => new Task(
                    Message::of('fire_task.light', cooker: $fire->stove->equipment->kind->short),
                    Message::note(Message::of('fire_task.lid_open_to_light')),
                ),
                default => new Task(
                    Message::of('fire_task.switch', cooker: $fire->stove->equipment->kind->short),
                    Message::note(
                        $fire->stove->curve->mechanism->inWords($fire->steps[0]->settings),
                        Message::of('fire_task.dry_grounded_clear_of_walls'),
                    ),
                ),
            };
        }
        if ($fuel->isWood()) {
            return new Task(
                Message::of('fire_task.light_of_wood', lit: Quantity::kg($fire->litKg()), cooker: $fire->stove->equipment->kind->short),
                Message::note(
                    Message::of(
                        'fire_task.it_leaves_in_about',
                        coals: $fire->measure($fire->run->startKg),
                        ash_over: Quantity::minutes($fuel->ashOverMinutes),
                    ),
                    Message::of('fire_task.clean_dry_wood'),
                ),
            );
        }

        return new Task(
            Message::of(
                'fire_task.light_coals', coals: $fire->measure($fire->run->startKg), cooker: $fire->stove->equipment->kind->short,
            ),
            Message::note(
                Message::of(
                    'fire_task.grey_in_about',
                    chimneys: self::chimneys($fire->run->startKg),
                    ash_over: Quantity::minutes($fuel->ashOverMinutes),
                ),
                $fuel->caution === '' ? null : Message::of('words.text', text: rtrim($fuel->caution, '.')),
                Message::of('fire_task.outdoors_only_charcoal_gives_off'),
            ),
        );
    }

    /** What is done when the coals are grey. */
    public static function lay(FirePlan $fire): Task
    {
        $step = $fire->steps[0];
        $title = $fire->stove->equipment->isOpen() && $fire->handSeconds() !== null
            ? Message::of('fire_task.lay_the_fire_a_hand', hand_seconds: Quantity::seconds($fire->handSeconds()))
            : Message::of('fire_task.bring', cooker: $fire->stove->equipment->kind->short, target: Quantity::celsius($step->targetC));
        $parts = [
            self::layout($fire),
            $fire->closeInC() !== null
                ? Message::of(
                    'fire_task.slots_wide_open',
                    close_in: Quantity::celsius($fire->closeInC()),
                    settings: $fire->stove->curve->mechanism->inWords($step->settings),
                )
                : (
                    $fire->stove->curve->mechanism instanceof GasGrill
                        ? self::preheating($fire)
                        : ($fire->count() !== null ? null : $fire->stove->curve->mechanism->inWords($step->settings))
                ),
            $fire->stove->equipment->kind->lid && $fire->count() === null ? Message::of('fire_task.lid_down') : null,
        ];

        return new Task($title, Message::notes(...$parts));
    }

    /**
     * @param  float  $likelyMinutes  until the last dish comes off it; what is due later is wanted only if that one is slow
     * @param  bool  $begun  whether a dish is on it already
     * @return list<Entry> what is done to the fire once its first dish is on
     */
    public static function entries(FirePlan $fire, float $likelyMinutes, bool $begun): array
    {
        $kind = $fire->stove->equipment->kind->id;
        $at = fn (float $minutes): \DateTimeImmutable => Timing::after($fire->use->startsAt, $minutes);
        $entries = [];
        if ($fire->lent->from !== null && ! $fire->lent->isSame) {
            $more = self::more($fire);

            return [
                ...self::moreLit($fire, 'fire_task.for_the_sear_over_what', $at, -self::TAKE_OVER_MINUTES, 0.0),
                new Entry(
                    EntryId::ofFire($kind, 'lay'),
                    $fire->use->dish,
                    Act::Fire,
                    $at(-self::TAKE_OVER_MINUTES),
                    Message::of('fire_task.pan_out_lid_off_slots'),
                    $more === null
                        ? Message::of('fire_task.rake_the_coals', from: $fire->lent->from)
                        : Message::of('fire_task.rake_the_coals_and_more', from: $fire->lent->from, more: $more),
                    until: $at(0.0),
                ),
            ];
        }
        if ($fire->lent->isSame) {
            array_push($entries, ...self::turned($fire, $at));
        } elseif (! $fire->use->first) {
            // The dish comes to it from another cooker: it has to be ready by then.
            $light = self::light($fire);
            $lay = self::lay($fire);
            $entries[] = new Entry(
                EntryId::ofFire($kind, 'light'),
                $fire->use->dish,
                Act::Fire,
                $at($fire->lightMinutes()),
                $light->title,
                $light->detail,
            );
            $entries[] = new Entry(
                EntryId::ofFire($kind, 'lay'),
                $fire->use->dish,
                Act::Fire,
                $at(-$fire->use->preheatMinutes),
                $lay->title,
                $lay->detail,
                until: $at(0.0),
            );
        }
        $isClosedIn = self::climbs($fire) || ! $fire->lent->isSame;
        if (! $begun && $isClosedIn && $fire->stove->equipment->isVented() && $fire->run->closedInMinutes !== null) {
            $entries[] = new Entry(
                EntryId::ofFire($kind, 'close'),
                $fire->use->dish,
                Act::Fire,
                $at($fire->run->closedInMinutes),
                Message::note($fire->stove->curve->mechanism->inWords($fire->steps[0]->settings)),
                Message::of(
                    'fire_task.once_it_shows_it_climbs',
                    close_in: Quantity::celsius($fire->closeInC() ?? $fire->steps[0]->targetC),
                ),
                until: $at(0.0),
            );
        }
        foreach (array_slice($fire->steps, 1) as $i => $step) {
            $entries[] = new Entry(
                EntryId::ofFire($kind, 'step', $i),
                $fire->use->dish,
                Act::Fire,
                $at($step->fromMinutes),
                $fire->stove->equipment->isOpen()
                    ? Message::of(
                        'fire_task.a_hand_held',
                        stove: $fire->stove->name,
                        seconds: Quantity::seconds(HandTest::seconds(HandTest::fluxOfWallWm2($step->targetC))),
                    )
                    : Message::of('fire_task.to', stove: $fire->stove->name, target: Quantity::celsius($step->targetC)),
                Message::note($fire->stove->curve->mechanism->inWords($step->settings)),
            );
        }
        array_push($entries, ...self::smoke($fire, $at));
        foreach ($fire->refuels() as $i => $refuel) {
            $fuel = $fire->stove->fuel;
            if ($fuel === null) {
                continue;
            }
            $coals = $fire->measure($refuel->kg);
            $second = $fire->hasSecondFire();
            $isForSlow = $refuel->minutes > $likelyMinutes - self::LEFT_ALONE_MINUTES;
            $perhaps = fn (Message $task): Message => $isForSlow ? Message::of('fire_task.if_it_is_late', task: $task) : $task;
            $entries[] = new Entry(
                EntryId::ofFire($kind, 'ready', $i),
                $fire->use->dish,
                Act::Fire,
                $at($refuel->lightMinutes),
                $perhaps($second
                    ? Message::of('fire_task.feed_the_second_fire', bought: Quantity::kg($fuel->boughtKg($refuel->kg)))
                    : Message::of('fire_task.light_more', more: $coals)),
                $second
                    ? Message::of('fire_task.from_the_back_coals_are')
                    : Message::of('fire_task.for', chimneys: self::chimneys($refuel->kg), cooker: $fire->stove->equipment->kind->short),
                until: $at($refuel->minutes),
                minutes: $isForSlow ? 0.0 : null,
            );
            $entries[] = new Entry(
                EntryId::ofFire($kind, 'refuel', $i),
                $fire->use->dish,
                Act::Fire,
                $at($refuel->minutes),
                $perhaps(
                    Message::of($second && $fire->stove->equipment->isOpen() ? 'fire_task.rake_in' : 'fire_task.add', coals: $coals),
                ),
                self::refuelled($fire),
                until: isset($fire->refuels()[$i + 1]) ? $at($fire->refuels()[$i + 1]->minutes) : null,
                minutes: $isForSlow ? 0.0 : null,
            );
        }
        if ($fire->count() !== null) {
            for ($k = 1; $k <= self::MOST_TURNS && $k * self::QUARTER_TURN_MINUTES < $likelyMinutes - self::LEFT_ALONE_MINUTES; $k++) {
                $minutes = $k * self::QUARTER_TURN_MINUTES;
                $entries[] = new Entry(
                    EntryId::ofFire($kind, 'quarter', $k),
                    $fire->use->dish,
                    Act::Chore,
                    $at($minutes),
                    Message::of('fire_task.quarter_turn_of_pot'),
                    Message::of('fire_task.pot_one_way_lid'),
                    until: $at($minutes + self::QUARTER_TURN_MINUTES),
                );
            }
        }

        return $entries;
    }

    /**
     * Smoke wood: on the coals as the meat goes on, on gas in a box that is hot by then.
     *
     * @param  \Closure(float): \DateTimeImmutable  $at
     * @return list<Entry>
     */
    private static function smoke(FirePlan $fire, \Closure $at): array
    {
        $times = $fire->smokeMinutes();
        $inABox = $fire->stove->curve->mechanism instanceof GasGrill;
        $each = $times === [] ? 0.0 : $fire->smokeKg() / count($times);
        $wood = Fuel::named($inABox ? 'chips' : 'chunks');

        return array_map(fn (float $minutes, int $i): Entry => new Entry(
            EntryId::ofFire($fire->stove->equipment->kind->id, 'smoke', $i),
            $fire->use->dish,
            Act::Fire,
            $at($minutes - ($inABox && $i === 0 ? self::BOX_MINUTES : 0.0)),
            Message::of(
                'fire_task.smoke_wood',
                wood: $wood->inWords(max((float) $wood->pieceKg, $each)),
                cooker: $fire->stove->equipment->kind->short,
            ),
            Message::of($inABox ? 'fire_task.smoke_in_a_box' : 'fire_task.smoke_on_the_coals'),
            until: $at($minutes + 60.0),
        ), $times, array_keys($times));
    }

    /**
     * The same cooker, laid or set another way.
     *
     * @param  \Closure(float): \DateTimeImmutable  $at
     * @return list<Entry>
     */
    private static function turned(FirePlan $fire, \Closure $at): array
    {
        $kind = $fire->stove->equipment->kind->id;
        $more = self::more($fire);
        $laid = $fire->stove->equipment->burnsCoals();
        $before = max($fire->use->preheatMinutes, $laid ? self::RAKED_MINUTES : self::TURNED_MINUTES);
        $inWords = $fire->stove->curve->mechanism->inWords($fire->steps[0]->settings);
        $entries = self::moreLit($fire, 'fire_task.onto_what_is_left', $at, -$fire->use->preheatMinutes, -$before);
        $entries[] = new Entry(
            EntryId::ofFire($kind, 'turn'),
            $fire->use->dish,
            Act::Fire,
            $at(-$before),
            Message::of('fire_task.to', stove: $fire->stove->name, target: Quantity::celsius($fire->steps[0]->targetC)),
            Message::notes(
                match (true) {
                    ! $laid => null,
                    $more === null => Message::of('fire_task.rake_what_is_there'),
                    default => Message::of('fire_task.rake_what_is_there_and', more: $more),
                },
                $laid ? self::layout($fire) : null,
                self::climbs($fire) && $fire->closeInC() !== null
                    ? Message::of('fire_task.slots_wide_open', close_in: Quantity::celsius($fire->closeInC()), settings: $inWords)
                    : $inWords,
                $fire->stove->equipment->kind->lid ? Message::of('fire_task.lid_down') : null,
                ! $fire->use->first && ($laid || $fire->use->preheatMinutes > 0.0) ? Message::of('fire_task.the_meat_on_a_board') : null,
            ),
            until: $at(0.0),
            // Straight from the one to the other, whoever moves the meat is at it already.
            minutes: match (true) {
                ! $fire->use->first && $fire->use->preheatMinutes <= 0.0 => 0.0,
                $laid => self::RAKED_MINUTES,
                default => self::TURNED_MINUTES,
            },
        );

        return $entries;
    }

    /** What is laid on coals that are taken over, in a cook's measure; null where they do. */
    private static function more(FirePlan $fire): ?Message
    {
        return $fire->lent->topUpKg > 0.0 ? $fire->stove->fuel?->inWords($fire->lent->topUpKg) : null;
    }

    /**
     * The lighting of it.
     *
     * @param  'fire_task.for_the_sear_over_what'|'fire_task.onto_what_is_left'  $for
     * @param  \Closure(float): \DateTimeImmutable  $at
     * @param  float  $greyMinutes  by when it is grey
     * @return list<Entry>
     */
    private static function moreLit(FirePlan $fire, string $for, \Closure $at, float $greyMinutes, float $untilMinutes): array
    {
        $more = self::more($fire);

        return $more === null ? [] : [new Entry(
            EntryId::ofFire($fire->stove->equipment->kind->id, 'light'),
            $fire->use->dish,
            Act::Fire,
            $at($greyMinutes - ($fire->stove->fuel->ashOverMinutes ?? 0.0)),
            Message::of('fire_task.light_more', more: $more),
            Message::of($for, chimneys: self::chimneys($fire->lent->topUpKg), from: (string) $fire->lent->from),
            until: $at($untilMinutes),
        )];
    }

    /** Whether it is hotter than it was when it was laid, and closed in on the way. */
    private static function climbs(FirePlan $fire): bool
    {
        return $fire->run->closedInMinutes > -$fire->use->preheatMinutes;
    }

    /** Where the coals go. */
    private static function layout(FirePlan $fire): ?Message
    {
        $count = $fire->count();
        if ($count !== null) {
            return $count['under'] === 0
                ? Message::of('fire_task.on_the_lid', over: $count['over'])
                : Message::of('fire_task.on_the_lid_below', over: $count['over'], under: $count['under']);
        }
        if ($fire->stove->wish->piles !== null) {
            return Message::of('fire_task.the_coals_as_you_laid');
        }
        $names = $fire->stove->equipment->layouts();

        $name = $fire->stove->fuel === null || $fire->stove->layout === null ? '' : $names[$fire->stove->layout] ?? '';

        return $name === '' ? null : Message::of('words.text', text: $name);
    }

    private static function refuelled(FirePlan $fire): Message
    {
        return match (true) {
            $fire->count() !== null => Message::of('fire_task.where_the_smallest_lie', under: $fire->count()['under']),
            $fire->stove->equipment->isOpen() => Message::of('fire_task.where_the_old_ones_lie'),
            default => Message::of('fire_task.on_the_old_ones_lid'),
        };
    }

    private static function preheating(FirePlan $fire): Message
    {
        return Message::of(
            'fire_task.all_burners_full',
            preheat: Quantity::minutes($fire->use->preheatMinutes),
            settings: $fire->stove->curve->mechanism->inWords($fire->steps[0]->settings),
        );
    }

    private static function chimneys(float $kg): Message
    {
        $share = Fuel::chimneys($kg);

        return match (true) {
            $share < 0.17 => Message::of('fire_task.a_few_in_the_bottom'),
            $share < 0.29 => Message::of('fire_task.about_a_quarter'),
            $share < 0.42 => Message::of('fire_task.about_a_third'),
            $share < 0.62 => Message::of('fire_task.about_half_a_chimney'),
            $share < 0.88 => Message::of('fire_task.about_three_quarters'),
            $share < 1.15 => Message::of('fire_task.a_full_chimney'),
            default => Message::of('fire_task.chimneys', share: Quantity::number($share, 1)),
        };
    }
}
