<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Fire\Fuel;
use Diatherm\Food\Preparation;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Unit;
use Diatherm\Rig\FrameRig;
use Diatherm\Rig\PotRig;
use Diatherm\Rig\SpitRig;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;

/** What has to lie ready, and by when: it follows from the rig, the cooker, the preparations and the light. Common practice. */
final class Kit
{
    /** What each way of lighting asks for: id, name, why, by the ids of their words. */
    private const BY_FIRE = [
        'chimney' => [
            ['chimney', 'kit.chimney_and_lighters', 'kit.for_the_first_coals'],
            ['charcoal', 'kit.charcoal_and_a_refuel', 'kit.wind_and_cold_eat'],
            ['water', 'kit.water_or_sand_to_put', 'kit.before_you_leave'],
        ],
        'charcoal' => [
            ['charcoal', 'kit.charcoal_and_a_refuel', 'kit.wind_and_cold_eat'],
            ['water', 'kit.water_or_sand_to_put', 'kit.before_you_leave'],
        ],
        'wood' => [
            ['wood', 'kit.dry_clean_wood', 'kit.never_painted_or_treated'],
            ['shovel', 'kit.shovel_and_rake', 'kit.to_move_coals'],
            ['water', 'kit.water_or_sand_to_put', 'kit.before_you_leave'],
        ],
        'gas' => [['gas', 'kit.a_second_bottle_of_gas', 'kit.the_first_one_ends']],
    ];

    private const PINS_A_PIECE = 2;

    /** What sides ask for, by what their rows need: name and why. */
    private const FOR_SIDES = [
        'pot' => ['kit.pot_and_lid', 'kit.for_what_boils'],
        'foil' => ['kit.foil', 'kit.round_the_loaf'],
        'cloth' => ['kit.clean_cloth', 'kit.to_wrap_bread'],
        'flask' => ['kit.flask', 'kit.keeps_it_hot'],
    ];

    /** @return list<KitItem> */
    public static function of(Roast $roast, RunSheet $sheet): array
    {
        $items = [];
        foreach ($roast->dishes as $i => $dish) {
            array_push($items, ...self::dish($sheet, $i, $dish, self::burns($roast, $dish)));
        }
        foreach ($sheet->sides as $times) {
            $needs = $times->dish->side->needs;
            if ($needs !== null) {
                [$name, $why] = self::FOR_SIDES[$needs];
                $items[] = new KitItem($needs, Message::of($name), Message::of($why), $times->readyAt);
            }
        }
        $pull = self::first($sheet, Act::Pull) ?? self::first($sheet, Act::Read);
        $items[] = new KitItem(
            'probe',
            Message::of('kit.probe_thermometer_and_its_spare'),
            Message::of('kit.nothing_else_tells_the_core'),
            self::first($sheet, Act::On),
        );
        $items[] = new KitItem('gloves', Message::of('kit.gloves_and_long_tongs'), Message::of('kit.for_the_pull'), $pull);
        $items[] = new KitItem('board', Message::of('kit.a_clean_board_and_knife'), Message::of('kit.not_the_ones_the_raw'), $pull);
        $items[] = new KitItem('foil', Message::of('kit.foil'), Message::of('kit.loosely_over_the_rest'), $pull);
        $dark = $roast->dark();
        if ($dark !== null && $dark < $roast->serveAt) {
            $items[] = new KitItem(
                'headlamp',
                Message::of('kit.headlamp'),
                Message::of($roast->darkAt === null ? 'kit.the_sun_sets' : 'kit.it_is_dark', dark: $dark),
                $dark,
            );
        }

        return self::once($items);
    }

    /** How the fire of a dish is lit: by the wood that was asked for, or as its kind of cooker is. */
    private static function burns(Roast $roast, Dish $dish): string
    {
        $cooker = $dish->stages[0]->cooker;
        $fuel = $roast->fires[$cooker->id]->fuel ?? null;

        return $dish->isBuried() || ($fuel !== null && Fuel::named($fuel)->isWood()) ? 'wood' : $cooker->light;
    }

    /** @return list<KitItem> */
    private static function dish(RunSheet $sheet, int $number, Dish $dish, string $burns): array
    {
        $on = self::when($sheet, 'on', $number);
        $light = self::when($sheet, 'light', $number) ?? $on;
        $rig = self::when($sheet, 'rig', $number) ?? $on;
        $dig = self::when($sheet, 'dig', $number) ?? $light;
        $items = [];
        foreach (self::BY_FIRE[$burns] ?? [] as [$id, $name, $why]) {
            $items[] = new KitItem($id, Message::of($name), Message::of($why), $light);
        }
        if ($dish->rig instanceof SpitRig || str_contains($dish->stages[0]->cooker->id, 'rotisserie')) {
            $items[] = new KitItem('forks', Message::of('kit.both_forks_with_their_screws'), Message::of('kit.the_one_left_at_home'), $rig);
            $items[] = new KitItem('twine', Message::of('kit.twine'), Message::of('kit.legs_and_wings_tied_close'), $rig);
            $items[] = new KitItem('pliers', Message::of('kit.pliers'), Message::of('kit.screws_loosen_as_it_shrinks'), $rig);
        }
        if ($dish->rig instanceof FrameRig) {
            $items[] = new KitItem('stakes', Message::of('kit.stakes_and_a_mallet'), Message::of('kit.all_stand_before_the_meat'), $rig);
            $items[] = new KitItem(
                'rope',
                Message::of('kit.rope'),
                Message::of('kit.with_what_knots_take', rope: Quantity::of($dish->rig->ropeM(), Unit::Metre, 1)),
                $rig,
            );
            $items[] = new KitItem(
                'chain',
                Message::of('kit.chain'),
                Message::of('kit.near_the_fire_where_rope', chain: Quantity::of($dish->rig->chainM(), Unit::Metre, 1)),
                $rig,
            );
            $items[] = new KitItem('twine', Message::of('kit.wire_or_wet_twine'), Message::of('kit.to_spread'), $rig);
        }
        if ($dish->rig instanceof PotRig) {
            $items[] = new KitItem('lifter', Message::of('kit.lid_lifter_and_a_clean'), Message::of('kit.never_in_the_dirt'), $rig);
            $items[] = new KitItem('trivet', Message::of('kit.trivet_or_thick_slices'), Message::of('kit.keeps_it_off_the_bottom'), $rig);
            if ($dish->rig->isBuried()) {
                $items[] = new KitItem(
                    'locate',
                    Message::of('kit.an_answer_from_the_local'),
                    Message::of('kit.before_the_first_spade'),
                    $dig,
                );
                $items[] = new KitItem('spade', Message::of('kit.spade_shovel_and_rake'), Message::of('kit.for_the_hole'), $dig);
                $items[] = new KitItem(
                    'pit_foil',
                    Message::of('kit.foil_or_sheet_to_cover'),
                    Message::of('kit.so_that_no_earth_gets'),
                    $rig,
                );
            }
        }
        foreach (['prepare' => $dish->work(), 'between' => array_merge(...array_column($dish->stages, 'preparations'))] as $what => $work) {
            foreach ($work as $preparation) {
                array_push($items, ...self::needs($preparation, $dish, self::when($sheet, $what, $number, $preparation->id) ?? $rig));
            }
        }
        $first = $dish->stages[0]->cooker;
        if ($first->lid && ! $first->overFire && $first->vessel === null && $dish->cut->isPerishable() && ! $dish->rig instanceof PotRig) {
            $items[] = $first->light === 'switch'
                ? new KitItem('drip_pan', Message::of('kit.a_pan_below'), Message::of('kit.catches_what_drips'), $rig)
                : new KitItem('drip_pan', Message::of('kit.drip_pan_with_water'), Message::of('kit.fat_on_coals_makes_dirty'), $rig);
        }

        return $items;
    }

    /** @return list<KitItem> what one piece of handwork asks for */
    private static function needs(Preparation $preparation, Dish $dish, ?\DateTimeImmutable $at): array
    {
        return array_map(fn (string $need): KitItem => new KitItem(
            $need,
            Message::of("kit.need.$need", count: self::PINS_A_PIECE * $dish->pieces),
            Message::of('kit.for_work', work: $preparation->name),
            $at,
        ), $preparation->needs);
    }

    private static function when(RunSheet $sheet, string $what, int $dish, ?string $part = null): ?\DateTimeImmutable
    {
        foreach ($sheet->entries as $entry) {
            if ($entry->id->isThe($what, $dish) && ($part === null || in_array($part, $entry->id->parts, true))) {
                return $entry->at;
            }
        }

        return null;
    }

    private static function first(RunSheet $sheet, Act $act): ?\DateTimeImmutable
    {
        foreach ($sheet->entries as $entry) {
            if ($entry->act === $act) {
                return $entry->at;
            }
        }

        return null;
    }

    /**
     * @param  list<KitItem>  $items
     * @return list<KitItem> each once, by the earliest need, in order of it
     */
    private static function once(array $items): array
    {
        usort($items, fn (KitItem $a, KitItem $b): int => $a->neededBy <=> $b->neededBy);
        $kept = [];
        foreach ($items as $item) {
            $kept[$item->id] ??= $item;
        }

        return array_values($kept);
    }
}
