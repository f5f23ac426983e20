<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Fire\Fuel;
use Diatherm\Rig\FrameRig;
use Diatherm\Rig\PotRig;
use Diatherm\Rig\SpitRig;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;

/** What has to lie ready, and by when: it follows from the rig, the cooker, the preparations and the light. Common practice. */
final class Kit
{
    /** What each way of lighting asks for: id, name, why. */
    private const BY_FIRE = [
        'chimney' => [
            ['chimney', 'Chimney and lighters', 'for the first coals'],
            ['charcoal', 'Charcoal, and a refuel in hand', 'wind and cold eat it'],
            ['water', 'Water or sand to put the fire out', 'before you leave it'],
        ],
        'charcoal' => [
            ['charcoal', 'Charcoal, and a refuel in hand', 'wind and cold eat it'],
            ['water', 'Water or sand to put the fire out', 'before you leave it'],
        ],
        'wood' => [
            ['wood', 'Dry clean wood', 'never painted or treated'],
            ['shovel', 'Shovel and rake', 'to move coals'],
            ['water', 'Water or sand to put the fire out', 'before you leave it'],
        ],
        'gas' => [['gas', 'A second bottle of gas', 'the first one ends at the wrong hour']],
    ];

    /** @return list<KitItem> */
    public static function of(Roast $roast, RunSheet $sheet): array
    {
        $items = [];
        foreach ($roast->dishes as $i => $dish) {
            array_push($items, ...self::dish($sheet, $i, $dish, self::burns($roast, $dish)));
        }
        $pull = self::first($sheet, Act::Pull);
        $items[] = new KitItem(
            'probe',
            'Probe thermometer, and its spare battery',
            'nothing else tells the core',
            self::first($sheet, Act::On),
        );
        $items[] = new KitItem('gloves', 'Gloves and long tongs', 'for the pull', $pull);
        $items[] = new KitItem('board', 'A clean board and knife', 'not the ones the raw meat lay on', $pull);
        $items[] = new KitItem('foil', 'Foil', 'loosely over the rest', $pull);
        $dark = $roast->dark();
        if ($dark !== null && $dark < $roast->serveAt) {
            $items[] = new KitItem(
                'headlamp',
                'Headlamp',
                ($roast->darkAt === null ? 'the sun sets at ' : 'it is dark at ').$dark->format('H:i').', before the table',
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
        $on = self::at($sheet, "d$number.on");
        $light = self::at($sheet, "d$number.light") ?? $on;
        $rig = self::at($sheet, "d$number.rig") ?? $on;
        $dig = self::at($sheet, "d$number.dig") ?? $light;
        $items = [];
        foreach (self::BY_FIRE[$burns] ?? [] as [$id, $name, $why]) {
            $items[] = new KitItem($id, $name, $why, $light);
        }
        if ($dish->rig instanceof SpitRig || str_contains($dish->stages[0]->cooker->id, 'rotisserie')) {
            $items[] = new KitItem('forks', 'Both forks with their screws', 'the one left at home is always the second', $rig);
            $items[] = new KitItem('twine', 'Twine', 'legs and wings tied close', $rig);
            $items[] = new KitItem('pliers', 'Pliers', 'screws loosen as it shrinks', $rig);
        }
        if ($dish->rig instanceof FrameRig) {
            $items[] = new KitItem('stakes', 'Stakes and a mallet', 'all stand before the meat goes on', $rig);
            $items[] = new KitItem('rope', 'Rope', sprintf('%.1f m, with what knots take', $dish->rig->ropeM()), $rig);
            $items[] = new KitItem('chain', 'Chain', sprintf('%.1f m near the fire, where rope would burn', $dish->rig->chainM()), $rig);
            $items[] = new KitItem('twine', 'Wire or wet twine', 'to spread it on the frame', $rig);
        }
        if ($dish->rig instanceof PotRig) {
            $items[] = new KitItem('lifter', 'Lid lifter, and a clean place for the lid', 'never in the dirt', $rig);
            $items[] = new KitItem('trivet', 'Trivet or thick slices of onion', 'keeps it off the bottom', $rig);
            if ($dish->rig->isBuried()) {
                $items[] = new KitItem('locate', 'An answer from the local utility-locating service', 'before the first spade', $dig);
                $items[] = new KitItem('spade', 'Spade, shovel and rake', 'for the hole and the coals', $dig);
                $items[] = new KitItem('pit_foil', 'Foil or sheet to cover the coals', 'so that no earth gets in', $rig);
            }
        }
        if (array_intersect(array_column($dish->preparations, 'id'), ['truss', 'bard']) !== []) {
            $items[] = new KitItem('twine', 'Twine', 'for tying', $rig);
        }
        if (array_intersect(array_column($dish->preparations, 'id'), ['stuff']) !== []) {
            $items[] = new KitItem('needle', 'Needle and thread', 'to close it', $rig);
        }
        if ($dish->stages[0]->cooker->lid && $dish->cut->isPerishable() && ! $dish->rig instanceof PotRig) {
            $items[] = new KitItem('drip_pan', 'Drip pan, with water in it', 'fat on coals makes dirty smoke', $rig);
        }

        return $items;
    }

    private static function at(RunSheet $sheet, string $id): ?\DateTimeImmutable
    {
        foreach ($sheet->entries as $entry) {
            if ($entry->id === $id) {
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
