<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Cooker\CookerShed;
use Diatherm\Day\Timing;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Stage;

/**
 * Two dishes want one cooker, be it laid in two ways: a common heat, another cooker for one of them, or one after the other. Common
 * practice.
 */
final class OneCooker
{
    private const STEP_C = 5.0;

    private const LONGEST_REST_MINUTES = 240.0;

    /** @return list<Way> */
    public static function ways(Question $question, Standing $standing): array
    {
        $kind = $question->cooker;
        $roast = $standing->roast();
        $side = self::side($standing, $kind);
        if ($side !== null) {
            return self::waysOfSide($standing, ...$side);
        }
        $dishes = array_values(array_filter(
            array_keys($roast->dishes),
            fn (int $dish): bool => $standing->isWaiting($dish) && self::heatC($roast->dishes[$dish], (string) $kind) !== null,
        ));
        if ($kind === null || count($dishes) < 2) {
            return [];
        }
        usort($dishes, fn (int $a, int $b): int => self::kg($roast->dishes[$b]) <=> self::kg($roast->dishes[$a]));
        $large = $dishes[0];
        $heats = array_map(fn (int $dish): float => (float) self::heatC($roast->dishes[$dish], $kind), $dishes);
        $masses = array_map(fn (int $dish): float => self::kg($roast->dishes[$dish]), $dishes);
        $mean = array_sum(array_map(fn (float $heat, float $kg): float => $heat * $kg, $heats, $masses)) / array_sum($masses);
        $ways = [];
        $uses = array_map(fn (int $dish): ?string => self::of($roast->dishes[$dish], $kind)?->cooker->id, $dishes);
        $isOneWay = count(array_unique($uses)) === 1;
        foreach (array_unique([self::STEP_C * round($mean / self::STEP_C), $heats[0], max($heats)]) as $heat) {
            if ($isOneWay && count(array_unique($heats)) > 1 && count($ways) < 2) {
                $ways[] = self::together($standing, $kind, $dishes, $heat);
            }
        }
        array_push(
            $ways,
            ...self::elsewhere($question, $standing, $kind, array_slice($dishes, 1)),
            ...self::oneAfterAnother($standing, $large, $dishes),
        );

        return $ways;
    }

    /** @return array{int, string}|null number of a side that cannot be done where it is put, and the kind of that cooker */
    private static function side(Standing $standing, ?string $kind): ?array
    {
        foreach ($standing->plan->places as $clash) {
            if ($clash->kind === $kind && $clash->side !== null) {
                return [$clash->side, $kind];
            }
        }

        return null;
    }

    /** @return list<Way> a place of its own, the cooker to itself once the joint is off, or one heat for both */
    private static function waysOfSide(Standing $standing, int $number, string $kind): array
    {
        $roast = $standing->roast();
        $side = $roast->sides[$number];
        $ways = [new Way(
            'side_apart',
            Message::of('ways.side_apart', side: $side->name),
            Message::of('ways.side_apart.how'),
            Message::of('ways.price.another_fire'),
            $roast->changed(sides: array_values(array_replace($roast->sides, [$number => $side->alone()]))),
        )];
        $dishes = array_values(array_filter(
            array_keys($roast->dishes),
            fn (int $dish): bool => $standing->isWaiting($dish) && self::heatC($roast->dishes[$dish], $kind) !== null,
        ));
        $times = $standing->plan->runSheet->sides[$number];
        foreach (count($dishes) === 1 ? $dishes : [] as $dish) {
            $pull = Timing::after($times->doneAt, -$side->takesMinutes() - $side->side->doneMinutes - $side->side->afterMinutes);
            $off = $standing->pullAt($dish);
            $fives = ceil(max(0.0, ($off->getTimestamp() - $pull->getTimestamp()) / 300.0) + 1.0);
            $rest = $standing->dish($dish)->leastRestMinutes() + 5.0 * $fives;
            if ($rest <= self::LONGEST_REST_MINUTES) {
                $ways[] = new Way(
                    'side_after',
                    Message::of('ways.side_after', side: $side->name, dish: $standing->dish($dish)->name),
                    Holding::how(),
                    Message::of('ways.price.softer_outside'),
                    FromNow::with($roast, $dish, $standing->dish($dish)->changed(restMinutes: $rest)),
                );
            }
        }
        $common = $side->side->leastC;
        if ($common !== null && $dishes !== []) {
            $ways[] = self::together($standing, $kind, $dishes, min((float) $side->side->mostC, max($common, (float) $times->cookerC)));
        }

        return $ways;
    }

    /** @param  list<int>  $dishes */
    private static function together(Standing $standing, string $kind, array $dishes, float $heat): Way
    {
        $roast = $standing->roast();
        foreach ($dishes as $dish) {
            [$changed] = FromNow::change($standing, $dish, fn (Stage $stage): Stage => self::isOn($stage, $kind)
                ? FromNow::heated($stage, celsius: $stage->cooker->clampC($heat))
                : $stage);
            $roast = FromNow::with($roast, $dish, $changed->dishes[$dish]);
        }

        return new Way(
            'together_'.(int) $heat,
            Message::of('ways.together', heat: Quantity::celsius($heat)),
            Message::of('ways.together.how'),
            Message::of('ways.price.in_between'),
            $roast,
        );
    }

    /**
     * @param  list<int>  $smaller
     * @return list<Way> what is smaller goes onto another cooker: one's own first, else the kitchen oven
     */
    private static function elsewhere(Question $question, Standing $standing, string $kind, array $smaller): array
    {
        $bodies = fn (Dish $dish): array => array_map(fn (Stage $stage): string => $stage->cooker->body, $dish->stages);
        $taken = array_merge(...array_map($bodies, $standing->roast()->dishes));
        foreach (array_unique([...$question->own, 'oven', 'gas']) as $id) {
            $other = CookerShed::kind($id);
            $moved = in_array($other->body, $taken, true)
                ? null
                : Elsewhere::move($standing, $smaller, $other, fn (Stage $stage): bool => self::isOn($stage, $kind));
            if ($moved !== null) {
                return [new Way(
                    "cooker_$id",
                    Message::of(
                        'ways.apart',
                        dish: $standing->dish($smaller[0])->name,
                        cooker: $other->short,
                        heat: Quantity::celsius($moved->heatC),
                    ),
                    Message::of('ways.apart.how'),
                    Message::of('ways.price.another_fire'),
                    $moved->roast,
                )];
            }
        }

        return [];
    }

    /**
     * @param  list<int>  $dishes
     * @return list<Way> the large one first; the others cook while it rests, held hot
     */
    private static function oneAfterAnother(Standing $standing, int $large, array $dishes): array
    {
        $meanwhile = 0.0;
        foreach ($dishes as $dish) {
            $one = $standing->dish($dish);
            if ($dish !== $large) {
                $takes = $standing->plan->forecast($dish)->cookMinutes->high;
                $meanwhile = max($meanwhile, $takes + $one->leastRestMinutes() + Timing::carveMinutes($one));
            }
        }
        $rest = 5.0 * ceil($meanwhile / 5.0);

        return $rest > self::LONGEST_REST_MINUTES || $rest <= $standing->dish($large)->leastRestMinutes() ? [] : [new Way(
            'in_turn',
            Message::of('ways.in_turn', dish: $standing->dish($large)->name),
            Holding::how(),
            Message::of('ways.price.softer_outside'),
            FromNow::with($standing->roast(), $large, $standing->dish($large)->changed(restMinutes: $rest)),
        )];
    }

    /** What a dish wants of a cooker; null where it is never on it. */
    private static function heatC(Dish $dish, string $kind): ?float
    {
        return self::of($dish, $kind)?->cookerC;
    }

    /** Its first step on a cooker. */
    private static function of(Dish $dish, string $kind): ?Stage
    {
        foreach ($dish->stages as $stage) {
            if (self::isOn($stage, $kind)) {
                return $stage;
            }
        }

        return null;
    }

    /** On that kind, or on another way of using it. */
    private static function isOn(Stage $stage, string $kind): bool
    {
        return in_array($kind, [$stage->cooker->id, $stage->cooker->body], true);
    }

    private static function kg(Dish $dish): float
    {
        return $dish->massKg * $dish->pieces;
    }
}
