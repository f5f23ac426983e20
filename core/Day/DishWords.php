<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Cooker\Equipment;
use Diatherm\Cooking\CueState;
use Diatherm\Cooking\StepCue;
use Diatherm\Fire\HandTest;
use Diatherm\Food\Preparation;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Rig\PotRig;
use Diatherm\Rig\SpitRig;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Stage;
use Diatherm\Roast\StageEnd;
use Diatherm\Safety\Clocks;
use Diatherm\Safety\DangerBreach;

/** What hands do with a dish at each turn of its day, in words. */
final class DishWords
{
    /** A climb so small is not worth a word, K. */
    private const TELLING_CREDIT_K = 0.4;

    /** The pull. */
    public static function pulling(Dish $dish, float $pullC): Task
    {
        $credit = $dish->targetC - $pullC;

        return match (true) {
            $dish->isBuried() => new Task(
                Message::of('sheet.dig_up', dish: $dish->name),
                Message::of('sheet.not_before_then_read', target: Quantity::celsius($dish->targetC)),
            ),
            $dish->lastStage()->end === StageEnd::Brown => new Task(
                Message::of('sheet.pull', dish: $dish->name),
                Message::of('sheet.when_it_is_brown', value: Quantity::minutes((float) $dish->lastStage()->value), pull: Quantity::celsius($pullC)),
            ),
            $dish->lastStage()->end->isTimed() => new Task(
                Message::of('sheet.pull', dish: $dish->name),
                Message::of(
                    'sheet.after_the_core_then_stands',
                    value: Quantity::minutes((float) $dish->lastStage()->value),
                    pull: Quantity::celsius($pullC),
                ),
            ),
            $dish->lastStage()->end === StageEnd::Tender => new Task(
                Message::of('sheet.pull', dish: $dish->name),
                Message::of('sheet.when_a_fork_turns', pull: Quantity::celsius($pullC)),
            ),
            $dish->lastStage()->end === StageEnd::Pull && $credit > self::TELLING_CREDIT_K => new Task(
                Message::of('sheet.pull', dish: $dish->name),
                Message::note(
                    Message::of('sheet.at_in_the_core', pull: Quantity::celsius($pullC), target: Quantity::celsius($dish->targetC)),
                    $dish->carryover()->wantsReading ? Message::of('sheet.read_it_again') : null,
                ),
            ),
            default => new Task(
                Message::of('sheet.pull', dish: $dish->name),
                Message::of('sheet.at_in_the_core_at_its_coldest', pull: Quantity::celsius($pullC)),
            ),
        };
    }

    /** The reading before a step may end. */
    public static function reading(Dish $dish, StepCue $cue): Task
    {
        $stage = $dish->stages[$cue->stage];
        if ($cue->state === CueState::OutOfReach) {
            return new Task(
                Message::of('sheet.read_the_fire', cooker: $stage->cooker->short),
                Message::of('sheet.out_of_reach', dish: $dish->name, end: Quantity::celsius($cue->endC)),
            );
        }
        $near = Quantity::celsius($cue->nearC);

        return new Task(Message::of('sheet.read', dish: $dish->name), match (true) {
            $stage->end === StageEnd::Tender => Message::of('sheet.read_near_then_a_fork', near: $near),
            isset($dish->stages[$cue->stage + 1]) => Message::of('sheet.read_near_then_on', near: $near, end: Quantity::celsius($cue->endC)),
            $cue->endC - $cue->nearC < 0.5 => Message::of('sheet.read_now', end: Quantity::celsius($cue->endC)),
            default => Message::of('sheet.read_near', near: $near, end: Quantity::celsius($cue->endC)),
        });
    }

    /** The pull, once it was: what it came off with, and whether that will do. */
    public static function pulled(Dish $dish, float $coreC, CameOff $cameOff): Task
    {
        $known = in_array($cameOff, [CameOff::AsRead, CameOff::TooSoon], true);
        if ($cameOff === CameOff::LeftOut) {
            return new Task(Message::of('sheet.pull', dish: $dish->name), Message::of('sheet.not_to_be_eaten'));
        }

        return new Task(
            Message::of('sheet.pull', dish: $dish->name),
            Message::note(
                Message::of($known ? 'sheet.came_off_at' : 'sheet.came_off_unread', core: Quantity::celsius($coreC)),
                $cameOff === CameOff::TooSoon ? Message::of('sheet.goes_back_on') : null,
            ),
        );
    }

    /**
     * The knife; and what has to be done before it.
     *
     * @param  DangerBreach|null  $planned  after which the food is not to be eaten, where the plan itself comes to one
     */
    public static function carving(Dish $dish, ?CameOff $cameOff, ?DangerBreach $planned = null): Message
    {
        $how = Message::of('words.text', text: $dish->cut->carve);
        if ($planned !== null) {
            return $planned->words();
        }

        return match ($cameOff) {
            CameOff::TooSoon => Message::notes(Message::of('sheet.not_as_it_is'), $how) ?? $how,
            CameOff::LeftOut => Message::of('sheet.not_to_be_eaten'),
            CameOff::Unread => Message::notes(Message::of('sheet.read_it_first'), $how) ?? $how,
            default => $how,
        };
    }

    /** The turn from one step to the next. */
    public static function turning(Dish $dish, Stage $stage, Stage $before): Task
    {
        $heat = self::heat($stage, false);
        $same = $stage->cooker->id === $before->cooker->id;

        return match (true) {
            $stage->cooker->id === 'fridge' => new Task(
                Message::of('sheet.into_the_cold', dish: $dish->name),
                Message::of(
                    'sheet.cold_within',
                    hot: Quantity::celsius(Clocks::HOLD_C),
                    cool: Quantity::celsius(Clocks::COOLED_C),
                    cold: Quantity::celsius(Clocks::COOLED_COLD_C),
                ),
            ),
            $stage->cooker->isRest() => new Task(Message::of('sheet.off_to_rest', dish: $dish->name), Message::of('sheet.on_a_board')),
            $same && $stage->wrap !== null && $stage->wrap !== $before->wrap => new Task(
                Message::of('sheet.wrap', dish: $dish->name, wrap: $stage->wrap->value),
                Message::note(Message::of('sheet.tight_on_clean_hands'), $heat),
            ),
            $same && $stage->wrap === null && $before->wrap !== null => new Task(
                Message::of('sheet.unwrap', dish: $dish->name),
                Message::note(Message::of('sheet.open_it_away_from_you'), $heat),
            ),
            $same => new Task(
                Message::of('sheet.anew', dish: $dish->name, cooker: $stage->cooker->short),
                Message::note($heat),
            ),
            default => new Task(
                Message::of('sheet.to', dish: $dish->name, cooker: $stage->cooker->short),
                Message::note($heat, $stage->wrap === null
                    ? null
                    : Message::of('sheet.wrapped', wrap: $stage->wrap->value)),
            ),
        };
    }

    /** The heat of a step as a cook has it: a dial's, or a hand's over open coals. */
    public static function heat(Stage $stage, bool $named): Message
    {
        if (Equipment::has($stage->cooker->id) && Equipment::of($stage->cooker->id)->isOpen()) {
            return Message::of('sheet.over_coals_where_a_hand', hand: Quantity::seconds(HandTest::secondsOfWall($stage->cookerC)));
        }

        return $named
            ? Message::of('sheet.cooker_at', cooker: $stage->cooker->short, heat: Quantity::celsius($stage->cookerC))
            : Message::of('sheet.at', heat: Quantity::celsius($stage->cookerC));
    }

    public static function rigging(Dish $dish): Message
    {
        $cooker = $dish->stages[0]->cooker;
        $turns = $dish->rig instanceof SpitRig || str_contains($cooker->id, 'rotisserie') || $cooker->id === 'open-spit';
        $how = match (true) {
            $dish->rig instanceof PotRig => Message::of('sheet.on_a_trivet_or_thick'),
            $dish->cut->kind === 'roots' => $turns
                ? Message::of('sheet.wash_cut_into_the_basket')
                : Message::of('sheet.wash_cut_to_one_size'),
            $turns && ! $dish->cut->isSpitted() => Message::of('sheet.into_the_basket_side'),
            $turns && $dish->cut->hasLimbs() => Message::of('sheet.tie_close_both_forks', kind: $dish->cut->kind),
            $turns => Message::of('sheet.along_the_middle'),
            ! $cooker->lid || $cooker->overFire => Message::of('sheet.pat_dry_oil_the_meat', cooker: $cooker->id),
            self::isTiedToOneThickness($dish) => Message::of('sheet.tie_to_one_thickness_set'),
            $cooker->vessel !== null => Message::of('sheet.pat_dry_into_its_pan'),
            default => Message::of('sheet.pat_dry_set_the_probe'),
        };
        $hands = match (true) {
            ! $dish->cut->isPerishable() => null,
            $cooker->lid || $dish->rig instanceof PotRig => Message::of('sheet.wash_hands_before_the_lid'),
            $cooker->light === 'switch' || $cooker->light === 'gas' => Message::of('sheet.wash_hands_before_the_knobs'),
            default => Message::of('sheet.wash_hands_board_and_knife'),
        };

        return Message::note($how, $hands);
    }

    private static function isTiedToOneThickness(Dish $dish): bool
    {
        $even = Preparation::named('even');

        return $dish->cut->isSpitted() && $dish->cut->kind !== 'poultry' && $even->suits($dish->cut) && ! $dish->isSealed()
            && ! in_array($dish->form->id, $even->butForms, true);
    }

    public static function lighting(Stage $stage): Message
    {
        return match ($stage->cooker->light) {
            'chimney' => Message::of('sheet.light_the_chimney', cooker: $stage->cooker->short),
            'charcoal' => Message::of('sheet.light_the_charcoal', cooker: $stage->cooker->short),
            'wood' => Message::of('sheet.light_the_wood_for_it', cooker: $stage->cooker->short),
            'gas' => Message::of('sheet.light', cooker: $stage->cooker->short),
            default => Message::of('sheet.switch', cooker: $stage->cooker->short),
        };
    }

    public static function lightingCare(Stage $stage): Message
    {
        return match ($stage->cooker->light) {
            'chimney', 'charcoal' => Message::of('sheet.outdoors_only_charcoal_gives_off'),
            'wood' => Message::of('sheet.clean_dry_wood_mind_local'),
            'gas' => Message::of('sheet.lid_open_to_light'),
            default => Message::of('sheet.dry_grounded_clear_of_walls'),
        };
    }
}
