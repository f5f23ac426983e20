<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Food\Aisle;
use Diatherm\Food\Brine;
use Diatherm\Food\Mix;
use Diatherm\Food\MixItem;
use Diatherm\Food\Preparation;
use Diatherm\Measure\Message;
use Diatherm\Roast\Chore;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;

/** What goes on, into and beside the dishes: which work takes how much of it, and all of it added up to be bought. */
final class Ingredients
{
    /** @return list<MixItem> what one piece of handwork takes for a dish */
    public static function for(Preparation $preparation, Dish $dish, int $people): array
    {
        $kg = $dish->massKg * $dish->pieces;

        return match (true) {
            $preparation->makes !== null => self::ofMix($preparation->makes, $kg, $people, $preparation->mlPerKg),
            $preparation->isMixMade => [],
            $preparation->id === 'dry_brine' => [MixItem::of('salt', 1000.0 * Brine::drySaltKg($kg), 'g')],
            $preparation->id === 'wet_brine' => [
                MixItem::of('water', 1000.0 * Brine::WATER_L_PER_KG * $kg, 'ml'),
                MixItem::of('salt', 1000.0 * Brine::wetSaltKg($kg, Brine::WATER_L_PER_KG * $kg), 'g'),
            ],
            $preparation->mix !== null => self::ofMix($preparation->mix, $kg, $people, $preparation->mlPerKg),
            default => [],
        };
    }

    /** @return list<MixItem> what is brushed or sprayed on a dish in all */
    public static function forChore(Chore $chore, Dish $dish, int $people): array
    {
        return $chore->mix === null ? [] : self::ofMix($chore->mix, $dish->massKg * $dish->pieces, $people, null);
    }

    /** @param  list<MixItem>  $items */
    public static function inWords(array $items): ?Message
    {
        return $items === [] ? null : Message::of('prepare.items', items: array_map(fn (MixItem $item): Message => $item->named(), $items));
    }

    /** @return list<Purchase> */
    public static function toBuy(Roast $roast): array
    {
        /** @var list<array{MixItem, list<string>}> $sums what, and for which dishes and sides */
        $sums = [];
        foreach (self::all($roast) as [$item, $for]) {
            foreach ($sums as $i => [$sum, $names]) {
                if ($sum->isLike($item)) {
                    $sums[$i] = [$sum->plus($item), array_values(array_unique([...$names, $for]))];

                    continue 2;
                }
            }
            $sums[] = [$item, [$for]];
        }
        $list = [];
        foreach ($sums as [$sum, $names]) {
            $aisle = Aisle::of($sum->what);
            if ($aisle !== null) {
                $list[] = new Purchase($aisle, self::forWhat($sum, $names), $sum->toBuy());
            }
        }

        return $list;
    }

    /** @param  list<string>  $names  of the dishes and sides that take it */
    private static function forWhat(MixItem $item, array $names): Message
    {
        $what = self::capital($item->what);

        return $names === [$what] ? Message::of('words.text', text: $what) : Message::of('shopping.for', what: $what, dish: $names);
    }

    private static function capital(string $what): string
    {
        return mb_strtoupper(mb_substr($what, 0, 1)).mb_substr($what, 1);
    }

    /** @return list<array{MixItem, string}> each that is taken anywhere, and for what */
    private static function all(Roast $roast): array
    {
        $all = [];
        foreach ($roast->dishes as $dish) {
            foreach ([...$dish->work(), ...array_merge(...array_column($dish->stages, 'preparations'))] as $preparation) {
                foreach (self::for($preparation, $dish, $roast->people) as $item) {
                    $all[] = [$item, $dish->name];
                }
            }
        }
        foreach ($roast->dishes as $dish) {
            foreach (array_merge(...array_column($dish->stages, 'chores')) as $chore) {
                foreach (self::forChore($chore, $dish, $roast->people) as $item) {
                    $all[] = [$item, $dish->name];
                }
            }
        }
        foreach ($roast->sides as $side) {
            foreach ($side->side->mix?->forDish(0.0, $roast->people) ?? [] as $item) {
                $all[] = [$item, $side->name];
            }
        }

        return $all;
    }

    /**
     * @param  float|null  $mlPerKg  that the work wants of it, whatever its amounts are for
     * @return list<MixItem>
     */
    private static function ofMix(Mix $mix, float $kg, int $people, ?float $mlPerKg): array
    {
        return $mix->forDish($kg, $people, $mlPerKg === null ? null : $mlPerKg * $kg / 1000.0);
    }
}
