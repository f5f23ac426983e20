<?php

declare(strict_types=1);

namespace Diatherm\Practice;

use Diatherm\Live\CourseShapes;

/**
 * Draws the shapes of data/course-shapes.json: plain bodies that conduct, and courses that are straight once they have begun, as cooks
 * draw them on through their last readings. None of it comes from the heat model.
 */
final class ShapeLibrary
{
    private const SEED = 977;

    private const BODIES = 300;

    /** One straight course for so many bodies. */
    private const BODIES_FOR_ONE_STRAIGHT = 5;

    private const START_C = 5.0;

    private const DIGITS = 3;

    /**
     * @return array{bodies: list<array{rise: float, way: list<float>}>, straight: list<list<float>>} as data/course-shapes.json has them: the
     *     rise to the target as a share of that to the air, and the share of the way at even steps of the time
     */
    public static function draw(): array
    {
        $dice = new Dice(self::SEED);
        $bodies = $straight = [];
        while (count($bodies) < self::BODIES) {
            $targetC = $dice->between(52.0, 94.0);
            $rise = $dice->between(0.15, 0.85);
            $body = PlainBody::of(
                self::START_C,
                self::START_C + ($targetC - self::START_C) / $rise,
                $targetC,
                1.0,
                $dice->between(0.5, 1.9),
                exp($dice->between(log(0.4), log(8.0))),
                $dice->between(0.0, 0.7),
                exp($dice->between(log(0.08), log(1.5))),
            );
            if ($body !== null) {
                $off = $dice->between(0.0, 0.25);
                $bodies[] = [
                    'rise' => round($rise, self::DIGITS),
                    'way' => self::way(fn (float $x): float => ($body->at($x, $off) - self::START_C) / ($targetC - self::START_C)),
                ];
            }
        }
        while (count($straight) * self::BODIES_FOR_ONE_STRAIGHT < self::BODIES) {
            $straight[] = self::way(self::straight($dice->between(0.05, 0.3), $dice->between(0.02, 0.12), $dice->between(0.01, 0.5)));
        }

        return ['bodies' => $bodies, 'straight' => $straight];
    }

    /**
     * Flat, then round a bend and straight, a little slower towards the end.
     *
     * @param  float  $flat  share of the time
     * @param  float  $bend  how wide the bend is, share of the time
     * @param  float  $slows  how far it is on its way to an end of its own
     * @return callable(float): float
     */
    private static function straight(float $flat, float $bend, float $slows): callable
    {
        $gone = fn (float $x): float => log(1.0 + exp(($x - $flat) / $bend)) - log(1.0 + exp(-$flat / $bend));

        return fn (float $x): float => (1.0 - exp(-$slows * $gone($x) / $gone(1.0))) / (1.0 - exp(-$slows));
    }

    /**
     * @param  callable(float): float  $at
     * @return list<float>
     */
    private static function way(callable $at): array
    {
        return array_map(
            fn (int $i): float => round($at(CourseShapes::PAST * $i / CourseShapes::STEPS), self::DIGITS),
            range(0, CourseShapes::STEPS),
        );
    }
}
