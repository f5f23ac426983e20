<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Rig\PotRig;
use Diatherm\Rig\SpitRig;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;
use Diatherm\Safety\Clocks;
use Diatherm\Safety\DangerRule;
use Diatherm\Tending\FirePlan;

/** Tasks after the meal: put the fire out, store the leftovers, wash up while things are warm. */
final class AfterTable
{
    /** Minutes after the last course. Common practice: the fire first, because it can hurt someone; leftovers well within two hours. */
    private const EMBERS_MINUTES = 20.0;

    private const LEFTOVERS_MINUTES = 45.0;

    private const PUTTING_AWAY_MINUTES = 15.0;

    private const WASHING_MINUTES = 60.0;

    /**
     * @param  \DateTimeImmutable  $tableAt  the last course
     * @param  \DateTimeImmutable  $coolingSince  when the first dish was no longer hot: at the knife, or at the pull where it never was
     * @param  list<FirePlan>  $fires
     * @return list<Entry>
     */
    public static function entries(Roast $roast, \DateTimeImmutable $tableAt, \DateTimeImmutable $coolingSince, array $fires): array
    {
        $entries = [];
        $embers = self::embers($fires);
        if ($embers !== null) {
            $entries[] = self::entry('embers', Timing::after($tableAt, self::EMBERS_MINUTES), Message::of('after.embers'), $embers);
        }
        if (array_filter($roast->dishes, fn (Dish $dish): bool => $dish->cut->isPerishable()) !== []) {
            $by = Timing::after($coolingSince, Clocks::allowedMinutes($roast->airC));
            $entries[] = self::entry(
                'leftovers',
                max($tableAt, min(Timing::after($tableAt, self::LEFTOVERS_MINUTES), Timing::after($by, -self::PUTTING_AWAY_MINUTES))),
                Message::of('after.leftovers'),
                Message::of(
                    'after.leftovers.do',
                    by: $by,
                    thick: Quantity::cm(DangerRule::FLAT_CM),
                    days: Clocks::LEFTOVER_DAYS,
                    hot: Quantity::celsius(Clocks::REHEATED_C),
                ),
            );
        }
        $entries[] = self::entry(
            'washing',
            Timing::after($tableAt, self::WASHING_MINUTES),
            Message::of('after.washing'),
            Message::notes(...self::washed($roast, $fires)),
        );

        return $entries;
    }

    private static function entry(string $what, \DateTimeImmutable $at, Message $title, ?Message $detail): Entry
    {
        return new Entry(EntryId::of('after', null, $what), null, Act::After, $at, $title, $detail);
    }

    /** @param  list<FirePlan>  $fires */
    private static function embers(array $fires): ?Message
    {
        $notes = [];
        foreach ($fires as $fire) {
            $gas = $fire->feed()?->use === 'gas';
            if ($fire->stove->fuel === null && ! $fire->use->buried && ! $gas) {
                continue;
            }
            $kind = match (true) {
                $gas => 'gas',
                $fire->stove->equipment->isVented() => 'vented',
                default => 'open',
            };
            $notes[$kind] ??= Message::of('after.embers.do', fire: $kind);
        }

        return Message::notes(...array_values($notes));
    }

    /**
     * @param  list<FirePlan>  $fires
     * @return list<Message>
     */
    private static function washed(Roast $roast, array $fires): array
    {
        $rigs = array_map(fn (Dish $dish): string => match (true) {
            $dish->rig instanceof SpitRig => 'spit',
            $dish->rig instanceof PotRig => 'pot',
            default => 'tray',
        }, $roast->dishes);
        $grates = array_filter($fires, fn (FirePlan $fire): bool => $fire->stove->equipment->isVented() || $fire->feed()?->use === 'gas');

        return array_map(
            fn (string $thing): Message => Message::of('after.washing.do', thing: $thing),
            array_values(array_unique([...$rigs, ...($grates === [] ? [] : ['grate'])])),
        );
    }
}
