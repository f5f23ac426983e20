<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;
use Diatherm\Tending\FirePlan;

/** What has to be bought, aisle by aisle: the meat and its sides, what it is salted and marinated with, and the fuel. */
final class Shopping
{
    /** In the order of the way round. */
    private const AISLES = ['butcher', 'fishmonger', 'greengrocer', 'baker', 'grocer', 'fuel'];

    private const BY_KIND = ['fish' => 'fishmonger', 'roots' => 'greengrocer'];

    /**
     * @param  list<FirePlan>  $fires
     * @return list<Purchase> by aisle
     */
    public static function of(Roast $roast, array $fires): array
    {
        $list = [];
        foreach ($roast->dishes as $dish) {
            $list[] = new Purchase(
                self::BY_KIND[$dish->cut->kind] ?? 'butcher',
                Message::of('words.text', text: $dish->name),
                self::raw($dish),
            );
        }
        foreach ($roast->sides as $side) {
            if ($side->side->aisle !== null && $side->side->mix === null) {
                $list[] = new Purchase(
                    $side->side->aisle,
                    Message::of('words.text', text: $side->name),
                    Message::of('shopping.for_so_many', people: $roast->people),
                );
            }
        }
        array_push($list, ...Ingredients::toBuy($roast));
        foreach ($fires as $fire) {
            array_push($list, ...self::fuel($fire));
        }
        usort($list, fn (Purchase $a, Purchase $b): int => self::order($a) <=> self::order($b));

        return $list;
    }

    private static function raw(Dish $dish): Message
    {
        return $dish->pieces === 1
            ? Message::of('words.figure', figure: Quantity::kg($dish->massKg))
            : Message::of(
                'shopping.pieces',
                pieces: $dish->pieces,
                mass: Quantity::kg($dish->massKg),
                all: Quantity::kg($dish->massKg * $dish->pieces),
            );
    }

    /** @return list<Purchase> */
    private static function fuel(FirePlan $fire): array
    {
        $name = $fire->feed()->boughtAs ?? $fire->stove->fuel?->boughtAs;
        if ($name === null || $fire->buyKg() <= 0.0) {
            return [];
        }
        $smoke = $fire->smokeWords();
        $for = fn (string $what): Message => Message::of('shopping.for', what: $what, dish: $fire->stove->name);

        return [
            new Purchase('fuel', $for($name), Message::of('words.figure', figure: Quantity::kg($fire->buyKg()))),
            ...($smoke === null ? [] : [new Purchase('fuel', Message::of('shopping.smoke', cooker: $fire->stove->name), $smoke)]),
        ];
    }

    private static function order(Purchase $one): int
    {
        return (int) array_search($one->aisle, self::AISLES, true);
    }
}
