<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Cooker\Equipment;
use Diatherm\Cooking\Forecast;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Rig\SpitRig;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;

/** A cooker has one heat at a time and so much room: what asks for more of it at one moment. */
final readonly class PlaceClash
{
    /** Heats nearer to each other are one, K. Common practice: no fire is steadier. */
    private const ONE_HEAT_K = 12.0;

    /** Two dishes that meet for less, one is taken off before the other goes on, minutes. Common practice. */
    private const TELLING_MINUTES = 5.0;

    /** Air has to pass between pieces, share of their own ground. Common practice. */
    private const BETWEEN = 1.15;

    /** Of a grate whose coals lie at its sides, so much is not over them. Common practice. */
    private const INDIRECT_SHARE = 0.6;

    /** Told when it is this far beyond its room: a cook shuffles the rest. */
    private const OVER = 1.15;

    /** @param  non-empty-list<int>  $dishes */
    private function __construct(
        public string $kind,
        public array $dishes,
        public Message $words,
    ) {
    }

    /**
     * @param  list<Forecast>  $forecasts  one a dish, in order
     * @param  array<int, \DateTimeImmutable>  $ons
     * @return list<self> one a cooker and kind of want
     */
    public static function all(Roast $roast, array $forecasts, array $ons): array
    {
        $clashes = [];
        foreach (self::uses($forecasts, $ons) as $kind => $uses) {
            foreach ($uses as $i => $first) {
                foreach (array_slice($uses, $i + 1) as $second) {
                    $from = max($first['from'], $second['from']);
                    $meets = min($first['until'], $second['until']) - $from > 60.0 * self::TELLING_MINUTES;
                    if ($meets && $first['dish'] !== $second['dish'] && abs($first['c'] - $second['c']) > self::ONE_HEAT_K) {
                        $clashes["$kind.heat"] ??= self::heat($roast, $kind, $first, $second, $from);
                    }
                }
                $clashes["$kind.room"] ??= self::room($roast, $kind, $uses, $first['from']);
            }
        }

        return array_values(array_filter($clashes));
    }

    /**
     * @param  list<Forecast>  $forecasts
     * @param  array<int, \DateTimeImmutable>  $ons
     * @return array<string, list<array{dish: int, c: float, from: float, until: float}>> by kind of cooker
     */
    private static function uses(array $forecasts, array $ons): array
    {
        $uses = [];
        foreach ($forecasts as $number => $forecast) {
            $starts = $forecast->stageStartMinutes;
            foreach ($forecast->dish->stages as $i => $stage) {
                if ($stage->cooker->isRest() || $forecast->dish->isBuried()) {
                    continue;
                }
                $uses[$stage->cooker->id][] = [
                    'dish' => $number,
                    'c' => $stage->cookerC,
                    'from' => $ons[$number]->getTimestamp() + 60.0 * $starts[$i],
                    'until' => $ons[$number]->getTimestamp() + 60.0 * ($starts[$i + 1] ?? $forecast->cookMinutes->likely),
                ];
            }
        }

        return $uses;
    }

    /**
     * @param  array{dish: int, c: float, from: float, until: float}  $first
     * @param  array{dish: int, c: float, from: float, until: float}  $second
     */
    private static function heat(Roast $roast, string $kind, array $first, array $second, float $from): self
    {
        return new self(
            $kind,
            [$first['dish'], $second['dish']],
            Message::of(
                'place.heat',
                first: $roast->dishes[$first['dish']]->name,
                one: Quantity::celsius($first['c']),
                second: $roast->dishes[$second['dish']]->name,
                other: Quantity::celsius($second['c']),
                cooker: self::named($roast, $kind),
                from: $roast->serveAt->setTimestamp((int) $from),
            ),
        );
    }

    /** @param  list<array{dish: int, c: float, from: float, until: float}>  $uses */
    private static function room(Roast $roast, string $kind, array $uses, float $at): ?self
    {
        $room = self::roomM2($kind);
        $there = [];
        $takes = 0.0;
        foreach ($uses as $use) {
            if ($use['from'] <= $at && $use['until'] > $at && ! in_array($use['dish'], $there, true)) {
                $there[] = $use['dish'];
                $takes += self::groundM2($roast->dishes[$use['dish']]);
            }
        }
        // One large joint has its own answer at the rig: here it is what lies beside it that is told.
        $many = array_sum(array_map(fn (int $dish): int => $roast->dishes[$dish]->pieces, $there));
        if ($room === null || $there === [] || $many < 2 || $takes <= self::OVER * $room) {
            return null;
        }

        return new self(
            $kind,
            $there,
            Message::of(
                'place.room',
                cooker: self::named($roast, $kind),
                from: $roast->serveAt->setTimestamp((int) $at),
                share: Quantity::percent(round(100.0 * $takes / $room, -1)),
            ),
        );
    }

    /** Where food can lie that is not over coals, m²; null for a kind without a grate to measure. */
    private static function roomM2(string $kind): ?float
    {
        if (! Equipment::has($kind)) {
            return null;
        }
        $equipment = Equipment::of($kind);
        $facts = $equipment->facts;
        $floor = $equipment->floor();
        $m2 = match (true) {
            isset($facts['diameter_cm']) => M_PI / 4.0 * ($facts['diameter_cm'] / 100.0) ** 2,
            isset($facts['length_cm'], $facts['width_cm']) => $facts['length_cm'] * $facts['width_cm'] / 10_000.0,
            $floor !== null => $floor['length'] * $floor['width'],
            default => null,
        };

        return $m2 === null ? null : $m2 * (in_array($kind, ['kettle', 'gas'], true) ? self::INDIRECT_SHARE : 1.0);
    }

    /** What it covers with air between, m²; nothing where it turns on a spit. */
    private static function groundM2(Dish $dish): float
    {
        return $dish->rig instanceof SpitRig || $dish->stages[0]->cooker->turns()
            ? 0.0
            : self::BETWEEN * $dish->pieces * $dish->groundM2();
    }

    private static function named(Roast $roast, string $kind): string
    {
        return $roast->fires[$kind]->own ?? Equipment::of($kind)->kind->short;
    }
}
