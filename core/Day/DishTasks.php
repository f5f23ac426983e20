<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Cooking\CueState;
use Diatherm\Cooking\Forecast;
use Diatherm\Cooking\StepCue;
use Diatherm\Cooking\Tempering;
use Diatherm\Food\Mix;
use Diatherm\Food\MixItem;
use Diatherm\Food\Preparation;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Spread;
use Diatherm\Rig\PotRig;
use Diatherm\Roast\Chore;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;
use Diatherm\Roast\Stage;
use Diatherm\Roast\StageEnd;
use Diatherm\Safety\Clocks;
use Diatherm\Tending\FirePlan;

/** The lines of a run sheet that one dish asks for, from its preparations to the knife. */
final class DishTasks
{
    /** A probe has settled. Common practice. */
    private const READING_MINUTES = 1.0;

    /** From the stove to the fire with a pot in the hand. Common practice. */
    private const TO_THE_FIRE_MINUTES = 4.0;

    /** Wind from which a fire in the ground wants a barrier, m/s. Common practice. */
    private const BARRIER_WIND_MS = 4.0;

    /** A chore comes round no more often than this in one step. */
    private const MOST_TURNS = 60;

    /** @return list<Entry> */
    public static function preparations(
        int $number,
        Roast $roast,
        Dish $dish,
        Timing $timing,
        \DateTimeImmutable $on,
        \DateTimeImmutable $now,
        Progress $made,
    ): array {
        if ($made->onAt !== null) {
            return [];
        }
        $entries = [];
        $plan = PreparationPlan::of($dish, $timing->takeOut, $timing->rig, ($now->getTimestamp() - $on->getTimestamp()) / 60.0, $on);
        foreach ($plan->windows as [$preparation, $from, $to]) {
            $amounts = Ingredients::inWords(Ingredients::for($preparation, $dish, $roast->people));
            $entries[] = new Entry(
                EntryId::of('prepare', $number, $preparation->id),
                $number,
                Act::Prepare,
                Timing::after($on, $from),
                Message::of(
                    $preparation->makes === null ? 'sheet.preparation' : 'sheet.make', preparation: $preparation->name, dish: $dish->name,
                ),
                Message::notes($amounts, $preparation->how(), PreparationPlan::limit($preparation, $dish)),
                latest: Timing::after($on, $to - PreparationPlan::leastOf($preparation, $dish)),
                until: Timing::after($on, $to),
                minutes: PreparationPlan::workMinutes($preparation, $dish),
            );
        }

        return $entries;
    }

    /**
     * @param  \DateTimeImmutable  $carvedBy  when the knife has to be done, as hands have other things to do then
     * @param  array<string, FirePlan>  $fires  by kind of cooker
     * @return list<Entry>
     */
    public static function entries(
        int $number,
        Roast $roast,
        Forecast $forecast,
        Timing $timing,
        \DateTimeImmutable $carvedBy,
        \DateTimeImmutable $on,
        Progress $made,
        bool $hot,
        array $fires,
    ): array {
        $dish = $forecast->dish;
        $id = fn (string $what): EntryId => EntryId::of($what, $number);
        $at = fn (float $minutes): \DateTimeImmutable => Timing::after($on, $minutes);
        $first = $dish->stages[0];
        $cook = $timing->pull;
        $pullAt = $made->pulledAt ?? $at($cook->likely);
        $pullC = $made->pullC ?? $forecast->pullC;
        $entries = [];
        if ($made->onAt === null) {
            if ($dish->cut->isPerishable()) {
                $entries[] = new Entry(
                    $id('take_out'),
                    $number,
                    Act::TakeOut,
                    $at($timing->takeOut),
                    Message::of('sheet.out_of_the_cold', dish: $dish->name),
                    self::takingOut($dish, $forecast->tempering),
                );
            }
            $entries[] = new Entry(
                $id('rig'),
                $number,
                Act::Rig,
                $at($timing->rig),
                Message::of($dish->cut->isPerishable() ? 'sheet.rig' : 'sheet.make_ready', dish: $dish->name),
                DishWords::rigging($dish),
            );
            if ($timing->dig !== null && $dish->rig instanceof PotRig && ($pit = $dish->rig->pit()) !== null) {
                $entries[] = new Entry(
                    $id('dig'),
                    $number,
                    Act::Rig,
                    $at($timing->dig),
                    Message::of('sheet.dig_the_hole'),
                    Message::of(
                        'sheet.wide_deep_once_the_utility',
                        width: Quantity::cm(100.0 * $pit->widthM()),
                        depth: Quantity::cm(100.0 * $pit->depthM()),
                    ),
                    until: $at($timing->light),
                    minutes: 60.0 * $pit->digHours(),
                );
                $entries[] = new Entry(
                    $id('coals'),
                    $number,
                    Act::Preheat,
                    $at($timing->preheat),
                    Message::of('sheet.coals_under_the_pot'),
                    Message::of('sheet.and_let_them_dry', under: Quantity::cm(100.0 * $pit->layersM()['under'])),
                    until: $on,
                );
            }
            if (! $hot && $first->cooker->lightMinutes > 0.0) {
                $task = match (true) {
                    $timing->dig !== null => new Task(Message::of('sheet.light_the_wood'), Message::of('sheet.clean_dry_wood_mind_local')),
                    isset($fires[$first->cooker->id]) => FireTasks::light($fires[$first->cooker->id]),
                    default => new Task(DishWords::lighting($first), DishWords::lightingCare($first)),
                };
                $entries[] = new Entry($id('light'), $number, Act::Light, $at($timing->light), $task->title, $task->detail);
            }
            if (! $hot && $timing->dig === null && $first->cooker->preheatMinutes > 0.0) {
                $task = isset($fires[$first->cooker->id])
                    ? FireTasks::lay($fires[$first->cooker->id])
                    : new Task(
                        Message::of('sheet.bring', cooker: $first->cooker->short, heat: Quantity::celsius($first->cookerC)),
                        $first->cooker->lid ? Message::of('sheet.lid_down') : null,
                    );
                $entries[] = new Entry(
                    $id('preheat'), $number, Act::Preheat, $at($timing->preheat), $task->title, $task->detail,
                    until: $at($timing->preheat + $first->cooker->preheatMinutes),
                );
            }
        }
        $entries[] = new Entry($id('on'), $number, Act::On, $on, Message::of('sheet.on', dish: $dish->name), $dish->isBuried()
            ? Message::of('sheet.the_pot_onto_the_lower')
            : Message::note(
                DishWords::heat($first, true),
                Message::of('sheet.probe', probe: lcfirst($dish->cut->probe)),
                $dish->hasStuffing() ? Message::of('sheet.probe_the_filling', hot: Quantity::celsius((float) $dish->safeMinimum()->coreC)) : null,
            ));
        array_push($entries, ...self::covering($number, $dish, $on, $roast));
        if ($made->pulledAt === null) {
            $look = $forecast->firstLookMinutes * $cook->likely / max(0.01, $forecast->cookMinutes->likely);
            $isCovered = $first->cooker->lid || ($first->cooker->turns() && ! $first->cooker->isOpenFire());
            if ($look > 5.0 && $isCovered && $dish->lastStage()->end === StageEnd::Pull && ! $dish->isBuried()) {
                $entries[] = new Entry(
                    $id('first_look'),
                    $number,
                    Act::FirstLook,
                    $at($look),
                    Message::of('sheet.first_look', dish: $dish->name),
                    $forecast->liftCostMinutes === null
                        ? Message::of('sheet.not_sooner')
                        : Message::of(
                            'sheet.not_sooner_each_look_costs',
                            lift_cost: Quantity::minutes(max(1.0, $forecast->liftCostMinutes)),
                        ),
                );
            }
        }
        array_push($entries, ...self::stages($number, $roast, $forecast, $cook, $on, $made, $fires));
        $readFirst = $made->readFirst(count($dish->stages) - 1);
        if ($readFirst !== null) {
            $entries[] = self::reading($number, $dish, $readFirst, $on, $pullAt, $at($cook->low), $at($cook->high));
        }
        if ($made->isOutOfReach()) {
            return $entries;
        }
        $task = $made->cameOff === null ? DishWords::pulling($dish, $pullC) : DishWords::pulled($dish, $pullC, $made->cameOff);
        $pull = new Entry(
            $id('pull'),
            $number,
            Act::Pull,
            $pullAt,
            $task->title,
            $task->detail,
            $made->pulledAt === null ? $at($cook->low) : null,
            $made->pulledAt === null ? $at($cook->high) : null,
        );
        if ($readFirst === null) {
            $entries[] = $pull;
        }
        $rested = Timing::after($pullAt, $dish->leastRestMinutes());
        // The knife waits for the table, unless the joint is late.
        $knife = Timing::after($carvedBy, -Timing::carveMinutes($dish));
        $carveAt = $made->carvedAt ?? max($rested, $knife);
        array_push($entries, ...self::waiting($number, $forecast, $roast, $pullAt, $carveAt, $made));
        $entries[] = new Entry(
            $id('carve'),
            $number,
            Act::Carve,
            $carveAt,
            Message::of(match (true) {
                $made->cameOff === CameOff::LeftOut => 'sheet.throw_away',
                default => $dish->cut->isPerishable() ? 'sheet.carve' : 'sheet.dish_up',
            }, dish: $dish->name),
            DishWords::carving($dish, $made->cameOff, $made->onAt === null ? $forecast->danger->fatalBy(INF) : null),
            // Not before it has rested, whatever else hands have to do.
            earliest: $rested,
            minutes: Timing::carveMinutes($dish),
        );

        return $entries;
    }

    private static function takingOut(Dish $dish, Tempering $tempering): Message
    {
        return match (true) {
            $tempering->isTooLong() => Message::of(
                'sheet.out_no_longer',
                allowed: Quantity::duration($tempering->allowedMinutes),
                reaches: Quantity::celsius(round($tempering->reachesC)),
                start: Quantity::celsius($dish->startC),
            ),
            $tempering->minutes > 0.0 => Message::of('sheet.to_start_at_all_through', start: Quantity::celsius($dish->startC)),
            default => Message::of($dish->cut->kind === 'poultry' ? 'sheet.pat_dry_rinsing' : 'sheet.pat_dry_season'),
        };
    }

    /**
     * A mix, made by the first time that it is wanted.
     *
     * @param  list<MixItem>  $items  as much as it takes
     * @param  int|string  $of  what takes it: its step, and its chore or work
     */
    private static function making(int $number, Dish $dish, Mix $mix, array $items, \DateTimeImmutable $by, int|string ...$of): Entry
    {
        $minutes = $mix->minutes ?? 0.0;

        return new Entry(
            EntryId::of('make', $number, ...$of),
            $number,
            Act::Prepare,
            Timing::after($by, -$minutes - $mix->aloneMinutes - self::TO_THE_FIRE_MINUTES),
            Message::of('sheet.make', preparation: $mix->name, dish: $dish->name),
            Message::notes(Ingredients::inWords($items), $mix->method === '' ? null : Message::of('words.text', text: $mix->method)),
            until: $by,
            minutes: $minutes,
        );
    }

    /** Takes the place of a pull or a step until it reads its number; over when that is likely to be. */
    private static function reading(
        int $number,
        Dish $dish,
        StepCue $cue,
        \DateTimeImmutable $on,
        \DateTimeImmutable $endsAt,
        ?\DateTimeImmutable $earliest = null,
        ?\DateTimeImmutable $latest = null,
    ): Entry {
        $task = DishWords::reading($dish, $cue);
        $isOutOfReach = $cue->state === CueState::OutOfReach;

        return new Entry(
            EntryId::of('read', $number, $cue->stage), $number, Act::Read, Timing::after($on, $cue->readMinutes), $task->title, $task->detail,
            $isOutOfReach ? null : $earliest, $isOutOfReach ? null : $latest, until: $isOutOfReach ? null : $endsAt,
        );
    }

    /** @return list<Entry> coals, foil and earth over a pot in the ground */
    private static function covering(int $number, Dish $dish, \DateTimeImmutable $on, Roast $roast): array
    {
        $pit = $dish->rig instanceof PotRig ? $dish->rig->pit() : null;
        if ($pit === null) {
            return [];
        }
        $layers = $pit->layersM();
        $entry = fn (string $what, float $minutes, Message $title, Message $detail, float $until): Entry => new Entry(
            EntryId::of($what, $number),
            $number,
            Act::Cover,
            Timing::after($on, $minutes),
            $title,
            $detail,
            until: Timing::after($on, $until),
        );

        return [
            $entry(
                'coals_over',
                2.0,
                Message::of('sheet.coals_round_and_over'),
                Message::of('sheet.up_its_sides', above: Quantity::cm(100.0 * $layers['above'])),
                6.0,
            ),
            $entry(
                'earth',
                6.0,
                Message::of('sheet.foil_over_the_coals'),
                Message::note(
                    Message::of('sheet.foil_or_sheet_first', earth: Quantity::cm(100.0 * $layers['earth'])),
                    $roast->windMs > self::BARRIER_WIND_MS ? Message::of('sheet.in_this_wind_a_low') : null,
                ),
                15.0,
            ),
            $entry('smoke', 20.0, Message::of('sheet.no_smoke_to_be_seen'), Message::of('sheet.smoke_anywhere_is_a_leak'), 50.0),
        ];
    }

    /** @return list<Entry> the rest, and the hot hold that takes over once it has rested */
    private static function waiting(
        int $number,
        Forecast $forecast,
        Roast $roast,
        \DateTimeImmutable $pullAt,
        \DateTimeImmutable $carveAt,
        Progress $made,
    ): array {
        $dish = $forecast->dish;
        $minutes = ($carveAt->getTimestamp() - $pullAt->getTimestamp()) / 60.0;
        if ($minutes < 1.0 || in_array($made->cameOff, [CameOff::TooSoon, CameOff::LeftOut], true)) {
            return [];
        }
        $wait = Wait::of($forecast, $minutes);
        $hot = $made->hotMinutes ?? $forecast->knownHotMinutes();
        $waitsHot = $wait->hold !== null && $hot > 0.0;
        $heldFrom = Timing::after($pullAt, $wait->restMinutes);
        $how = $wait->hold === null ? null : Message::of('sheet.hold', hold: $wait->hold->value, oven: Quantity::celsius(Hold::OVEN_C));
        $clock = $how === null ? null : self::heldClock($hot, $minutes, $pullAt, Clocks::allowedMinutes($roast->airC));
        $rested = $dish->leastRestMinutes() < 1.0
            ? Message::of('sheet.covered_until_it_is_served')
            : Message::of(
                'sheet.or_more_on_a_clean',
                least_rest: Quantity::minutes($wait->hold === null ? $dish->leastRestMinutes() : $wait->restMinutes),
                wrap: $dish->lastStage()->wrap->value ?? 'none',
            );
        $entries = [];
        if ($wait->restMinutes >= 1.0 || ! $waitsHot) {
            $entries[] = new Entry(
                EntryId::of('rest', $number),
                $number,
                Act::Rest,
                $pullAt,
                Message::of('sheet.rest', dish: $dish->name),
                // Meat that was never hot is wrapped; its line says by when it is eaten or cold.
                $waitsHot ? $rested : Message::note($rested, $how === null ? null : Message::of('sheet.then', what: $how), $clock),
                until: $waitsHot ? $heldFrom : $carveAt,
            );
        }
        if ($waitsHot) {
            $entries[] = new Entry(
                EntryId::of('hold', $number),
                $number,
                Act::Hold,
                $heldFrom,
                Message::of('sheet.keep_hot', dish: $dish->name),
                Message::notes($how, $clock),
                until: $carveAt,
            );
        }

        return $entries;
    }

    /** What the two-hour rule asks of a hold: a reading now and then, and the hour by which it is eaten where it was never hot. */
    private static function heldClock(float $hotMinutes, float $minutes, \DateTimeImmutable $pullAt, float $allowedMinutes): Message
    {
        $hold = Quantity::celsius(Clocks::HOLD_C);

        return match (true) {
            $hotMinutes <= 0.0 => Message::of('sheet.under_from_the_first', hold: $hold, until: Timing::after($pullAt, $allowedMinutes)),
            $minutes <= $hotMinutes => Message::of('sheet.read_while_held', hold: $hold),
            default => Message::of(
                'sheet.read_while_held_or_the_clock_runs',
                hold: $hold,
                from: Timing::after($pullAt, $hotMinutes),
                until: Timing::after($pullAt, $hotMinutes + $allowedMinutes),
            ),
        };
    }

    /**
     * @param  array<string, FirePlan>  $fires  by kind of cooker; what they ask for takes the place of a chore of the same kind
     * @return list<Entry> stage changes and chores
     */
    private static function stages(
        int $number,
        Roast $roast,
        Forecast $forecast,
        Spread $cook,
        \DateTimeImmutable $on,
        Progress $made,
        array $fires,
    ): array {
        $dish = $forecast->dish;
        $pace = $cook->likely / max(0.01, $forecast->cookMinutes->likely);
        $entries = [];
        $starts = [];
        foreach ($forecast->stageStartMinutes as $i => $minutes) {
            $starts[$i] = isset($made->stageStarts[$i])
                ? ($made->stageStarts[$i]->getTimestamp() - $on->getTimestamp()) / 60.0
                : $made->stageMinutes[$i] ?? $minutes * $pace;
        }
        if ($made->pulledAt === null) {
            array_push($entries, ...MarinadeTasks::entries($number, $roast, $dish, $starts, $on));
        }
        foreach ($dish->stages as $i => $stage) {
            $end = $starts[$i + 1] ?? (
                $made->pulledAt === null ? $cook->likely : ($made->pulledAt->getTimestamp() - $on->getTimestamp()) / 60.0
            );
            $readFirst = $made->readFirst($i - 1);
            $handwork = 0.0;
            // What is read first ends by its core: nobody dips it before.
            $ready = $readFirst === null ? null : max($starts[$i], $readFirst->readMinutes + self::READING_MINUTES);
            $hands = array_sum(array_map(fn (Preparation $one): float => $one->handworkMinutes(), $stage->preparations));
            $begins = match (true) {
                $ready !== null => $ready + $hands,
                $dish->isWorkedOnAsItRests($i) => $starts[$i] + Work::pullMinutes() + $hands,
                default => $starts[$i],
            };
            foreach ($made->isOutOfReach() && $readFirst !== null ? [] : array_reverse($stage->preparations) as $preparation) {
                $handwork += $preparation->handworkMinutes();
                $isMade = $preparation->mix !== null && $preparation->mix->minutes !== null;
                $items = Ingredients::for($preparation, $dish, $roast->people);
                if ($isMade) {
                    // Made before the dish goes on, so that the meat does not wait for it.
                    $entries[] = self::making(
                        $number, $dish, $preparation->mix, $items, Timing::after($on, -Timing::RIG_MINUTES), $i, $preparation->id,
                    );
                }
                $entries[] = new Entry(
                    EntryId::of('between', $number, $i, $preparation->id),
                    $number,
                    Act::Prepare,
                    Timing::after($on, $begins - $handwork),
                    Message::of('sheet.preparation', preparation: $preparation->name, dish: $dish->name),
                    Message::notes($isMade ? null : Ingredients::inWords($items), $preparation->how()),
                    earliest: match (true) {
                        $ready !== null => Timing::after($on, $ready),
                        $dish->isWorkedOnAsItRests($i) => Timing::after($on, $starts[$i] + Work::pullMinutes()),
                        default => null,
                    },
                    minutes: $preparation->handworkMinutes(),
                );
            }
            if ($readFirst !== null) {
                $entries[] = self::reading($number, $dish, $readFirst, $on, Timing::after($on, $starts[$i]));
            } elseif ($i > 0) {
                $task = DishWords::turning($dish, $stage, $dish->stages[$i - 1]);
                $entries[] = new Entry(
                    EntryId::of('stage', $number, $i),
                    $number,
                    Act::Stage,
                    Timing::after($on, $starts[$i]),
                    $task->title,
                    $task->detail,
                );
            }
            $fire = $fires[$stage->cooker->id] ?? null;
            foreach ($dish->isBuried() ? [] : $stage->chores as $j => $chore) {
                if ($chore->mix !== null && $chore->mix->minutes !== null) {
                    $entries[] = self::making(
                        $number,
                        $dish,
                        $chore->mix,
                        Ingredients::forChore($chore, $dish, $roast->people),
                        Timing::after($on, $starts[$i] + $chore->fromMinutes),
                        $i,
                        $j,
                    );
                }
                if ($fire !== null && ($chore->kind === 'fuel' || ($chore->kind === 'rotate' && $fire->count() !== null))) {
                    continue;
                }
                for ($k = 0; $k < self::MOST_TURNS; $k++) {
                    $minutes = $chore->fromMinutes + $k * $chore->everyMinutes;
                    if ($end - 1.0 <= $starts[$i] + $minutes) {
                        break;
                    }
                    $entries[] = new Entry(
                        EntryId::of('chore', $number, $i, $j, $k),
                        $number,
                        Act::Chore,
                        Timing::after($on, $starts[$i] + $minutes),
                        Message::of('sheet.chore', chore: $chore->inWords(), dish: $dish->name),
                        Message::notes(
                            $chore->everyMinutes > 0.0 ? Message::of('sheet.every', every: Quantity::minutes($chore->everyMinutes)) : null,
                            $chore->kind === 'baste' && MarinadeTasks::isBrushedOn($dish) ? Message::of('sheet.never_with_raw_marinade') : null,
                        ),
                        until: $chore->everyMinutes > 0.0 ? Timing::after($on, $starts[$i] + $minutes + $chore->everyMinutes) : null,
                    );
                    if ($chore->everyMinutes <= 0.0) {
                        break;
                    }
                }
            }
        }

        return $entries;
    }
}
