<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Food\Preparation;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\Dish;
use Diatherm\Work\Arrow;
use Diatherm\Work\Network;
use Diatherm\Work\Piece;
use Diatherm\Work\Schedule;
use Diatherm\Work\WakingHours;

/**
 * When each preparation of a dish begins and ends, in minutes from the moment it goes on. Long ones are laid one after
 * another, each with the handwork that has to come before it, until it comes out of the cold; the handwork that is left ends where
 * the rigging begins.
 */
final readonly class PreparationPlan
{
    /** A window that ends so soon is told in minutes. */
    private const BRIEF_HOURS = 3.0;

    /** The moment that it comes out of the cold. */
    private const OUT = 'take_out';

    /**
     * @param  list<array{Preparation, float, float}>  $windows  preparation, from and to, in order of time
     * @param  float  $handworkMinutes  of the short ones together
     * @param  bool  $cramped  whether the hour leaves some less than they want
     */
    private function __construct(
        public array $windows,
        public float $handworkMinutes,
        public bool $cramped,
    ) {
    }

    /** Of hands on the food, in the last minutes before the rigging: after all that waits, and out of the cold. */
    public static function handworkMinutes(Dish $dish): float
    {
        return self::minutesOf(self::onTheFood(self::parts($dish)[1]));
    }

    /** What a short one takes of the hands that do it; null for a long one, which waits by itself. */
    public static function workMinutes(Preparation $preparation, Dish $dish): ?float
    {
        return $preparation->isHandwork ? 60.0 * self::hoursOf($preparation, $dish)[1] : null;
    }

    /** Least that one of them takes, minutes. */
    public static function leastOf(Preparation $preparation, Dish $dish): float
    {
        return 60.0 * self::hoursOf($preparation, $dish)[0];
    }

    /** Least that the long ones take together, minutes, with the handwork that comes before them. */
    public static function leastMinutes(Dish $dish): float
    {
        return array_sum(array_map(fn (Piece $piece): float => $piece->takesMinutes(0.0), self::pieces($dish)))
            + self::minutesOf(self::makings(self::parts($dish)[1]));
    }

    /**
     * @param  float  $takeOut  minutes, when it comes out of the cold
     * @param  float  $rig  minutes, when the rigging begins
     * @param  \DateTimeImmutable  $on  when the dish goes on, at the table's own clock
     * @param  float  $nowMinutes  the present; long ones shrink from best to least so as not to begin before it
     */
    public static function of(Dish $dish, float $takeOut, float $rig, float $nowMinutes, \DateTimeImmutable $on): self
    {
        [$runs, $last] = self::parts($dish);
        $out = min($takeOut, $rig - self::handworkMinutes($dish));
        $pieces = self::pieces($dish);
        $schedule = Schedule::backwards(
            Network::of([...$pieces, Piece::of(self::OUT, 0.0)], self::inARow([...$pieces, Piece::of(self::OUT, 0.0)])),
            [self::OUT => $out - self::minutesOf(self::makings($last))],
            $nowMinutes,
            new WakingHours($on),
        );
        $starts = $schedule->starts();
        $windows = [];
        foreach ($runs as $i => $run) {
            $at = $starts[$pieces[$i]->id];
            $end = isset($pieces[$i + 1]) ? $starts[$pieces[$i + 1]->id] : $starts[self::OUT];
            foreach ($run as $k => $preparation) {
                $until = $k === count($run) - 1 ? $end : $at + $preparation->handworkMinutes();
                $windows[] = [$preparation, $at, $until];
                $at = $until;
            }
        }
        $at = $out - self::minutesOf(self::makings($last));
        foreach (self::makings($last) as $preparation) {
            $windows[] = [$preparation, $at, $at += $preparation->handworkMinutes()];
        }
        $at = $rig - self::handworkMinutes($dish);
        foreach (self::onTheFood($last) as $preparation) {
            $windows[] = [$preparation, $at, $at += $preparation->handworkMinutes()];
        }

        return new self($windows, self::handworkMinutes($dish), $schedule->isCramped());
    }

    /**
     * Its work in its order: what waits, each with the handwork before it, and the handwork that comes last.
     *
     * @return array{list<non-empty-list<Preparation>>, list<Preparation>}
     */
    private static function parts(Dish $dish): array
    {
        $runs = $run = [];
        foreach ($dish->work() as $preparation) {
            $run[] = $preparation;
            if (! $preparation->isHandwork) {
                $runs[] = $run;
                $run = [];
            }
        }

        return [$runs, $run];
    }

    /**
     * Those that make a mix, which leave the food in the cold.
     *
     * @param  list<Preparation>  $work
     * @return list<Preparation>
     */
    private static function makings(array $work): array
    {
        return array_values(array_filter($work, fn (Preparation $one): bool => $one->makes !== null));
    }

    /**
     * @param  list<Preparation>  $work
     * @return list<Preparation>
     */
    private static function onTheFood(array $work): array
    {
        return array_values(array_filter($work, fn (Preparation $one): bool => $one->makes === null));
    }

    /** @param  list<Preparation>  $work */
    private static function minutesOf(array $work): float
    {
        return array_sum(array_map(fn (Preparation $one): float => $one->handworkMinutes(), $work));
    }

    /** @return list<Piece> one for each that waits, with the handwork before it */
    private static function pieces(Dish $dish): array
    {
        $keeps = self::shareThatKeeps($dish);

        return array_map(function (array $run) use ($dish, $keeps): Piece {
            $waits = $run[count($run) - 1];
            $window = $dish->windowOf($waits);
            $hands = self::minutesOf(array_slice($run, 0, -1));

            return Piece::of(
                $waits->id,
                $hands,
                60.0 * $window->leastHours,
                60.0 * $window->hours($waits->isThawing() ? 1.0 : $keeps),
                60.0 * $window->mostHours,
            );
        }, self::parts($dish)[0]);
    }

    /**
     * @param  list<Piece>  $pieces
     * @return list<Arrow> each begins as the one before it is over
     */
    private static function inARow(array $pieces): array
    {
        $arrows = [];
        foreach (array_slice($pieces, 1) as $i => $piece) {
            $arrows[] = new Arrow($pieces[$i]->id, $piece->id, 0.0, 0.0);
        }

        return $arrows;
    }

    /** Between least and best, how long it may lie salted, dried and marinated together, so that it is not raw for longer than it keeps. */
    private static function shareThatKeeps(Dish $dish): float
    {
        $least = $best = 0.0;
        foreach ($dish->work() as $preparation) {
            if (! $preparation->isHandwork && ! $preparation->isThawing()) {
                [$a, $b] = self::hoursOf($preparation, $dish);
                $least += $a;
                $best += $b;
            }
        }
        $keeps = $dish->hazard()->rawHours ?? INF;

        return $best <= $keeps ? 1.0 : max(0.0, ($keeps - $least) / max(0.01, $best - $least));
    }

    /** When it gains nothing more, or the least that helps. */
    public static function limit(Preparation $preparation, Dish $dish): ?Message
    {
        $window = $dish->windowOf($preparation);
        $isBrief = $window->mostHours < self::BRIEF_HOURS;

        return $window->mostHours <= $window->leastHours
            ? null
            : Message::of(
                'prepare.at_the_least_no_more',
                least: $isBrief ? Quantity::duration(60.0 * $window->leastHours) : Quantity::hours(ceil($window->leastHours)),
                most: $isBrief ? Quantity::duration(60.0 * $window->mostHours) : Quantity::hours($window->mostHours),
            );
    }

    /** @return array{float, float} least and best, hours */
    private static function hoursOf(Preparation $preparation, Dish $dish): array
    {
        $window = $dish->windowOf($preparation);

        return [$window->leastHours, $window->bestHours];
    }
}
