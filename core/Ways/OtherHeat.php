<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Cooker\CookerShed;
use Diatherm\Fire\HandTest;
use Diatherm\Measure\Message;
use Diatherm\Roast\Stage;

/** Nothing happened: the same dish hotter, cooler, or on another cooker, to be held against how it is planned. */
final class OtherHeat
{
    private const BY_C = 25.0;

    private const BY_S = 2.0;

    /** Where nobody owns anything: what most people have. Common practice. */
    private const USUAL = ['kettle', 'oven', 'gas'];

    /** @return list<Way> */
    public static function ways(Question $question, Standing $standing): array
    {
        $number = min($question->dish, count($standing->roast()->dishes) - 1);
        $dish = $standing->dish($number);
        if (! $standing->isWaiting($number) || $dish->isBuried()) {
            return [];
        }
        $heats = array_values(array_filter($dish->stages, fn (Stage $stage): bool => ! $stage->cooker->isRest()));
        $first = $heats[0] ?? $dish->stages[0];
        $kind = $first->cooker->id;
        $ways = [];
        foreach ([1.0, -1.0] as $sign) {
            $to = $first->cooker->isOpenFire()
                ? HandTest::wallC(min(15.0, max(2.0, HandTest::secondsOfWall($first->cookerC) - self::BY_S * $sign)))
                : $first->cookerC + self::BY_C * $sign;
            $to = min($first->cooker->mostC, max($first->cooker->leastC, HeatFor::coolestC($dish, $first), $to));
            if (abs($to - $first->cookerC) < 1.0) {
                continue;
            }
            $isAlike = fn (Stage $stage): bool => $stage->cooker->id === $kind && $stage->cookerC === $first->cookerC;
            [$roast] = FromNow::change(
                $standing,
                $number,
                fn (Stage $stage): Stage => $isAlike($stage) ? FromNow::heated($stage, celsius: $to) : $stage,
            );
            $ways[] = new Way(
                $sign > 0.0 ? 'hotter' : 'cooler',
                Message::of($sign > 0.0 ? 'ways.hotter_at' : 'ways.cooler_at', heat: FromNow::heated($first, celsius: $to)->heatInWords()),
                Message::of('ways.planned.how'),
                Message::of($sign > 0.0 ? 'ways.price.wider_rim' : 'ways.price.paler'),
                $roast,
            );
        }
        foreach (array_slice(array_values(array_diff(array_unique([...$question->own, ...self::USUAL]), [$kind])), 0, 2) as $id) {
            $other = CookerShed::kind($id);
            $moved = Elsewhere::move($standing, [$number], $other, fn (Stage $stage): bool => $stage->cooker->id === $kind);
            if ($moved === null) {
                continue;
            }
            $ways[] = new Way(
                "cooker_$id",
                Message::of(
                    'ways.other_cooker',
                    cooker: $other->short,
                    heat: FromNow::heated($first, $other, $moved->heatC)->heatInWords(),
                ),
                Message::of('ways.planned.how'),
                Message::of('ways.price.another_fire'),
                $moved->roast,
            );
        }

        return $ways;
    }
}
