<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Food\Brine;
use Diatherm\Food\Preparation;
use Diatherm\Food\PreparationWindow;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\Dish;

/**
 * When each preparation of a dish begins and ends, in minutes from the moment it goes on. Long ones are laid one after
 * another before it comes out of the cold; short ones are handwork and end where the rigging begins.
 */
final readonly class PreparationPlan
{
    /** A window that ends so soon is told in minutes. */
    private const BRIEF_HOURS = 3.0;

    /** Nobody salts a duck at half past three: hours of the day between which work begins, and where the night's goes. Common practice. */
    private const MORNING = 7.0;

    private const EVENING = 21.0;

    private const NIGHT = 22.0;

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

    public static function handworkMinutes(Dish $dish): float
    {
        $minutes = 0.0;
        foreach ($dish->preparations as $preparation) {
            $minutes += self::workMinutes($preparation, $dish) ?? 0.0;
        }

        return $minutes;
    }

    /** What a short one takes of the hands that do it; null for a long one, which waits by itself. */
    public static function workMinutes(Preparation $preparation, Dish $dish): ?float
    {
        return $preparation->isHandwork() ? 60.0 * self::hoursOf($preparation, $dish)[1] : null;
    }

    /** Least that one of them takes, minutes. */
    public static function leastOf(Preparation $preparation, Dish $dish): float
    {
        return 60.0 * self::hoursOf($preparation, $dish)[0];
    }

    /** Least that the long ones take together, minutes. */
    public static function leastMinutes(Dish $dish): float
    {
        return 60.0 * array_sum(
            array_map(
                fn (Preparation $preparation): float => $preparation->isHandwork() ? 0.0 : self::hoursOf($preparation, $dish)[0],
                $dish->preparations,
            ),
        );
    }

    /**
     * @param  float  $takeOut  minutes, when it comes out of the cold
     * @param  float  $rig  minutes, when the rigging begins
     * @param  \DateTimeImmutable  $on  when the dish goes on, at the table's own clock
     * @param  float  $nowMinutes  the present; long ones shrink from best to least so as not to begin before it
     */
    public static function of(Dish $dish, float $takeOut, float $rig, float $nowMinutes, \DateTimeImmutable $on): self
    {
        $least = $best = 0.0;
        foreach ($dish->preparations as $preparation) {
            if (! $preparation->isHandwork()) {
                [$a, $b] = self::hoursOf($preparation, $dish);
                $least += 60.0 * $a;
                $best += 60.0 * $b;
            }
        }
        $keeps = self::shareThatKeeps($dish);
        $room = $takeOut - $nowMinutes;
        $share = $best > $least ? ($room - $least) / ($best - $least) : 1.0;
        $windows = [];
        $longEnd = $takeOut;
        $shortEnd = $rig;
        foreach (array_reverse($dish->preparations) as $preparation) {
            $minutes = 60.0 * $dish->windowOf($preparation)->hours($preparation->isThawing() ? $share : min($keeps, $share));
            if (! $preparation->isHandwork()) {
                $start = self::awake(
                    $longEnd - $minutes,
                    $longEnd,
                    $dish->windowOf($preparation),
                    $nowMinutes,
                    $on,
                );
                $windows[] = [$preparation, $start, $longEnd];
                $longEnd = $start;
            } else {
                $windows[] = [$preparation, $shortEnd - $minutes, $shortEnd];
                $shortEnd -= $minutes;
            }
        }

        return new self(array_reverse($windows), $rig - $shortEnd, $share < 1.0 || $room < $least);
    }

    /** Between least and best, how long it may lie salted, dried and marinated together, so that it is not raw for longer than it keeps. */
    private static function shareThatKeeps(Dish $dish): float
    {
        $least = $best = 0.0;
        foreach ($dish->preparations as $preparation) {
            if (! $preparation->isHandwork() && ! $preparation->isThawing()) {
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

    /** How much of what: salt, water, marinade. Null where nothing is measured. */
    public static function amounts(Preparation $preparation, Dish $dish): ?Message
    {
        $kg = $dish->massKg * $dish->pieces;

        return match (true) {
            $preparation->id === 'dry_brine' => Message::of('prepare.salt', salt: Quantity::g(1000.0 * Brine::drySaltKg($kg))),
            $preparation->id === 'wet_brine' => Message::of(
                'prepare.water_salt',
                water: Quantity::litres(Brine::WATER_L_PER_KG * $kg, 1),
                salt: Quantity::g(1000.0 * Brine::wetSaltKg($kg, Brine::WATER_L_PER_KG * $kg)),
            ),
            $preparation->mlPerKg !== null => Message::of(
                'prepare.marinade',
                litres: Quantity::litres($preparation->mlPerKg * $kg / 1000.0, 2),
            ),
            default => null,
        };
    }

    /** The same start, moved out of the night where the window allows: to the evening before, else to the morning after. */
    private static function awake(float $start, float $end, PreparationWindow $window, float $nowMinutes, \DateTimeImmutable $on): float
    {
        $clock = $on->setTimestamp($on->getTimestamp() + (int) round(60.0 * $start));
        $hour = (int) $clock->format('G') + (int) $clock->format('i') / 60.0;
        if ($hour >= self::MORNING && $hour < self::NIGHT) {
            return $start;
        }
        // By the table's own clock, so that nine in the evening is nine on the night the clocks change too.
        $minutesOf = fn (\DateTimeImmutable $moment): float => ($moment->getTimestamp() - $on->getTimestamp()) / 60.0;
        $evening = $minutesOf($clock->modify($hour < self::EVENING ? '-1 day' : '+0 day')->setTime((int) self::EVENING, 0));
        if ($evening >= $nowMinutes && $end - $evening <= 60.0 * $window->mostHours) {
            return $evening;
        }
        $morning = $minutesOf($clock->modify($hour >= self::MORNING ? '+1 day' : '+0 day')->setTime((int) self::MORNING, 0));

        return $end - $morning >= 60.0 * $window->leastHours ? $morning : $start;
    }

    /** @return array{float, float} least and best, hours */
    private static function hoursOf(Preparation $preparation, Dish $dish): array
    {
        $window = $dish->windowOf($preparation);

        return [$window->leastHours, $window->bestHours];
    }
}
