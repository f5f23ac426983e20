<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Food\Preparation;
use Diatherm\Measure\Message;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;

/**
 * What happens to a marinade that held raw meat: it is boiled before it is brushed on, or boiled or thrown away.
 *
 * Source: USDA FSIS, Poultry: Basting, Brining, and Marinating: boil used marinade before it touches cooked food.
 */
final class MarinadeTasks
{
    private const BRUSHED = ['baste', 'spray'];

    /** From the stove to the brush, minutes; with the boil before it. Common practice. */
    private const BEFORE_MINUTES = 12.0;

    private const BOIL_MINUTES = 8.0;

    /** A side that is made of it takes what is left. */
    private const SAUCE = 'marinade-sauce';

    /** Whether what is brushed on may be its marinade. */
    public static function isBrushedOn(Dish $dish): bool
    {
        return self::isMarinated($dish) && self::firstBrushed($dish, [0.0]) !== null;
    }

    /**
     * @param  array<int, float>  $startMinutes  when each step begins, from on
     * @return list<Entry> one line for each marinade that held raw meat
     */
    public static function entries(int $number, Roast $roast, Dish $dish, array $startMinutes, \DateTimeImmutable $on): array
    {
        if (! self::isMarinated($dish)) {
            return [];
        }
        $first = self::firstBrushed($dish, $startMinutes);
        if ($first !== null) {
            return [new Entry(
                EntryId::of('marinade', $number),
                $number,
                Act::Prepare,
                Timing::after($on, $first - self::BEFORE_MINUTES),
                Message::of('sheet.boil_the_marinade', dish: $dish->name),
                Message::of('sheet.boil_it_before_it_is_brushed_on'),
                until: Timing::after($on, $first),
                minutes: self::BOIL_MINUTES,
            )];
        }
        $isSauce = in_array(self::SAUCE, array_map(fn ($side): string => $side->side->id, $roast->sides), true);

        return $isSauce ? [] : [new Entry(
            EntryId::of('leftover_marinade', $number),
            $number,
            Act::Prepare,
            $on,
            Message::of('sheet.leftover_marinade', dish: $dish->name),
            Message::of('sheet.it_held_raw_meat'),
            minutes: 1.0,
        )];
    }

    private static function isMarinated(Dish $dish): bool
    {
        return array_filter($dish->preparations, fn (Preparation $one): bool => $one->mlPerKg !== null) !== [];
    }

    /** @param  array<int, float>  $startMinutes */
    private static function firstBrushed(Dish $dish, array $startMinutes): ?float
    {
        $first = null;
        foreach ($dish->stages as $i => $stage) {
            foreach ($stage->chores as $chore) {
                if (in_array($chore->kind, self::BRUSHED, true)) {
                    $at = ($startMinutes[$i] ?? 0.0) + $chore->fromMinutes;
                    $first = $first === null ? $at : min($first, $at);
                }
            }
        }

        return $first;
    }
}
