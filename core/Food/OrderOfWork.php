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

    /**
     * With the making of each mix that is work of its own, as late as it can be made in one go with what it is for: after all that waits
     * before that.
     *
     * @param  list<Preparation>  $work  in its order
     * @return list<Preparation>
     */
    public static function withMixes(array $work): array
    {
        $made = $run = [];
        foreach ($work as $one) {
            if ($one->mix?->minutes !== null) {
                array_unshift($run, Preparation::making($one->mix, $one));
                $one = $one->withMixMade();
            }
            $run[] = $one;
            if (! $one->isHandwork) {
                array_push($made, ...$run);
                $run = [];
            }
        }

        return [...$made, ...$run];
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
