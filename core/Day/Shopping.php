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
                self::called($dish),
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
        array_push($list, ...self::fuel($fires));
        usort($list, fn (Purchase $a, Purchase $b): int => self::order($a) <=> self::order($b));

        return $list;
    }

    /** The cut as it is asked for over the counter, and which dish it is for where that has another name. */
    private static function called(Dish $dish): Message
    {
        $cut = $dish->cut->name;

        return str_starts_with(mb_strtolower($cut), mb_strtolower($dish->name))
            ? Message::of('words.text', text: $cut)
            : Message::of('shopping.for', what: $cut, dish: [$dish->name]);
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

    /**
     * Each fuel once, for all the fires that burn it: the two sides of a grill are one.
     *
     * @param  list<FirePlan>  $fires
     * @return list<Purchase>
     */
    private static function fuel(array $fires): array
    {
        $kg = $cookers = $smoke = [];
        foreach ($fires as $fire) {
            $name = $fire->feed()->boughtAs ?? $fire->stove->fuel?->boughtAs;
            if ($name === null || $fire->buyKg() <= 0.0) {
                continue;
            }
            $kg[$name] = ($kg[$name] ?? 0.0) + $fire->buyKg();
            $cookers[$name][$fire->stove->equipment->kind->body] ??= $fire->stove->name;
            $words = $fire->smokeWords();
            if ($words !== null) {
                $smoke[] = new Purchase('fuel', Message::of('shopping.smoke', cooker: $fire->stove->name), $words);
            }
        }

        return [
            ...array_map(fn (string $name): Purchase => new Purchase(
                'fuel',
                Message::of('shopping.for', what: $name, dish: array_values($cookers[$name])),
                Message::of('words.figure', figure: Quantity::kg($kg[$name])),
            ), array_keys($kg)),
            ...$smoke,
        ];
    }

    private static function order(Purchase $one): int
    {
        return (int) array_search($one->aisle, self::AISLES, true);
    }
}
