<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Cooker\Cooker;
use Diatherm\Roast\Chore;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;
use Diatherm\Roast\Stage;
use Diatherm\Roast\StageEnd;
use Diatherm\Roast\Wrapping;

/** A dish with its steps changed from now on: what has been cooked stays as it was, as a step of its own. */
final class FromNow
{
    /** A step that has run for less is changed whole: it has done nothing yet. Common practice. */
    private const HARDLY_BEGUN_MINUTES = 2.0;

    /**
     * @param  \Closure(Stage): Stage  $change  of every step with a heat that is still to come or under way, in their order
     * @return array{Roast, array<int, int>} the roast, and the step that begins now
     */
    public static function change(Standing $standing, int $number, \Closure $change): array
    {
        $dish = $standing->dish($number);
        $heated = fn (Stage $stage): Stage => $stage->cooker->isRest() ? $stage : $change($stage);
        if ($standing->isWaiting($number)) {
            return [self::with($standing->roast(), $number, Holds::rigged($dish->through(array_map($heated, $dish->stages)))), []];
        }
        if (! $standing->isOn($number)) {
            return [$standing->roast(), []];
        }
        [$at, $minutes] = $standing->step($number);
        $stage = $dish->stages[$at];
        $before = array_slice($dish->stages, 0, $at);
        if ($stage->cooker->isRest() || $minutes < self::HARDLY_BEGUN_MINUTES) {
            $stages = [...$before, $heated($stage), ...array_map($heated, array_slice($dish->stages, $at + 1))];

            return [self::with($standing->roast(), $number, Holds::rigged($dish->through($stages))), []];
        }
        $done = round($minutes, 1);
        $left = $stage->end->isTimed() ? max(1.0, (float) $stage->value - $done) : $stage->value;
        $stages = [
            ...$before,
            self::step($stage, StageEnd::Minutes, $done, self::until($stage->chores, $done)),
            $heated(self::step($stage, $stage->end, $left, self::from($stage->chores, $done), laid: true)),
            ...array_map($heated, array_slice($dish->stages, $at + 1)),
        ];

        return [self::with($standing->roast(), $number, $dish->through($stages)), [$number => $at + 1]];
    }

    /** The step at another heat, on another cooker, wrapped. */
    public static function heated(Stage $stage, ?Cooker $cooker = null, ?float $celsius = null, ?Wrapping $wrap = null): Stage
    {
        return new Stage(
            $cooker ?? $stage->cooker, $celsius ?? $stage->cookerC, $stage->end, $stage->value, $stage->chores, null,
            $wrap ?? $stage->wrap, null, $stage->preparations,
        );
    }

    public static function with(Roast $roast, int $number, Dish $dish): Roast
    {
        /** @var non-empty-list<Dish> $dishes */
        $dishes = array_values(array_replace($roast->dishes, [$number => $dish]));

        return $roast->changed(dishes: $dishes);
    }

    /** @param  list<Chore>  $chores */
    private static function step(Stage $stage, StageEnd $end, ?float $value, array $chores, bool $laid = false): Stage
    {
        // What was laid round it was laid as the step began.
        return new Stage(
            $stage->cooker, $stage->cookerC, $end, $value, $chores, null, $stage->wrap, null, $laid ? [] : $stage->preparations,
        );
    }

    /**
     * @param  list<Chore>  $chores
     * @return list<Chore> those that came up by then
     */
    private static function until(array $chores, float $minutes): array
    {
        return array_values(array_filter($chores, fn (Chore $chore): bool => $chore->fromMinutes <= $minutes));
    }

    /**
     * @param  list<Chore>  $chores
     * @return list<Chore> as they come up after that, counted from then
     */
    private static function from(array $chores, float $minutes): array
    {
        $later = [];
        foreach ($chores as $chore) {
            $next = $chore->fromMinutes;
            if ($next <= $minutes && $chore->everyMinutes > 0.0) {
                $next += $chore->everyMinutes * (floor(($minutes - $next) / $chore->everyMinutes) + 1.0);
            }
            if ($next > $minutes) {
                $later[] = new Chore($chore->kind, $chore->everyMinutes, round($next - $minutes, 1), $chore->words);
            }
        }

        return $later;
    }
}
