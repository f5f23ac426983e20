<?php

declare(strict_types=1);

namespace Diatherm\Food;

/**
 * In which order preparations are done: thawing first, then as the cook has them, moved only where nature says otherwise. What
 * precedes what: data/preparations.json.
 */
final class OrderOfWork
{
    /**
     * @param  list<Preparation>  $preparations  in the order that is wanted
     * @return list<Preparation> each after all that has to be done before it
     */
    public static function of(array $preparations): array
    {
        $left = $preparations;
        $ordered = [];
        while ($left !== []) {
            $free = array_filter($left, fn (Preparation $one): bool => ! self::waitsForOneOf($one, $left));
            $next = array_key_first($free) ?? array_key_first($left);
            $ordered[] = $left[$next];
            unset($left[$next]);
        }

        return $ordered;
    }

    /** @return list<string> ids of all that has to be done before one, where it is done */
    public static function before(Preparation $one): array
    {
        return array_keys(array_filter(Preparation::all(), fn (Preparation $other): bool => self::precedes($other, $one)));
    }

    /** Whether one has to be done before another, both being there. */
    public static function precedes(Preparation $first, Preparation $then): bool
    {
        return $first->id !== $then->id
            && (in_array($first->id, $then->after, true) || ($first->isThawing() && ! $then->isThawing()));
    }

    /** @param  array<Preparation>  $left */
    private static function waitsForOneOf(Preparation $one, array $left): bool
    {
        foreach ($left as $other) {
            if (self::precedes($other, $one)) {
                return true;
            }
        }

        return false;
    }
}
