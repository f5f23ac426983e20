<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Measure\Table;

/**
 * Shapes that the course of a core may have from its start to a target, without dimensions: the share of the way at even steps of the
 * time. Bodies that conduct, with a wet or a dry surface and a probe up to a quarter out, and courses that are straight once they have
 * begun. Drawn by Practice\ShapeLibrary.
 */
final class CourseShapes
{
    /** Even steps of the time, to so many times the time that it takes. */
    public const STEPS = 60;

    public const PAST = 1.15;

    /** How far a body's rise over that to its air may be from a dish's to lend it its shape: one deviation, and the most of them. */
    private const RISE = 0.12;

    private const FARTHEST = 2.5;

    /** A straight course for its number beside a body. Common practice: cooks draw a line through their last readings. */
    private const STRAIGHT = 0.45;

    /** Beyond what is stored it goes on as in its last steps. */
    private const LAST_STEPS = 4;

    /** @var array{bodies: list<array{rise: float, way: list<float>}>, straight: list<list<float>>}|null */
    private static ?array $drawn = null;

    /**
     * @param  float  $rise  from the start to the target, as a share of that to the cooker's air
     * @return list<array{float, list<float>}> how likely it is (logarithm, up to what all share), and the share of the way by step
     */
    public static function of(float $rise): array
    {
        $shapes = [];
        foreach (self::drawn()['bodies'] as $body) {
            $off = ($body['rise'] - $rise) / self::RISE;
            if (abs($off) <= self::FARTHEST) {
                $shapes[] = [-0.5 * $off * $off, $body['way']];
            }
        }
        foreach (self::drawn()['straight'] as $way) {
            $shapes[] = [log(self::STRAIGHT), $way];
        }

        return $shapes;
    }

    /**
     * The same shapes, laid about a course in place of the one in their middle.
     *
     * @param  list<float>  $course  share of the way by step
     * @param  list<array{float, list<float>}>  $shapes
     * @param  float  $likely  added to how likely each is (logarithm)
     * @return list<array{float, list<float>}>
     */
    public static function about(array $course, array $shapes, float $likely): array
    {
        $middle = self::middle($shapes);
        $times = array_map(fn (float $way): float => self::timeAt($middle, $way), $course);

        return array_map(
            fn (array $shape): array => [$shape[0] + $likely, array_map(fn (float $time): float => self::at($shape[1], $time), $times)],
            $shapes,
        );
    }

    /**
     * The way of the core itself, which is there when its time is over: a probe beside it has its number a little sooner.
     *
     * @param  list<float>  $way
     * @return list<float>
     */
    public static function ofTheCore(array $way): array
    {
        $early = self::at($way, 1.0) - 1.0;

        return array_map(fn (float $one, int $i): float => $one - $early * min(1.0, self::PAST * $i / self::STEPS), $way, array_keys($way));
    }

    /**
     * @param  list<array{float, list<float>}>  $shapes
     * @return list<float> by step, the mean of them by how likely they are
     */
    private static function middle(array $shapes): array
    {
        $middle = array_fill(0, self::STEPS + 1, 0.0);
        $all = 0.0;
        foreach ($shapes as [$likely, $way]) {
            $weight = exp($likely);
            $all += $weight;
            foreach ($way as $i => $one) {
                $middle[$i] += $weight * $one;
            }
        }

        return array_values(array_map(fn (float $sum): float => $sum / $all, $middle));
    }

    /**
     * @param  list<float>  $rising
     */
    private static function timeAt(array $rising, float $way): float
    {
        $i = 0;
        while ($i < self::STEPS - 1 && $rising[$i + 1] < $way) {
            $i++;
        }

        return self::PAST / self::STEPS * ($i + max(0.0, $way - $rising[$i]) / max(1e-6, $rising[$i + 1] - $rising[$i]));
    }

    /**
     * The share of the way at a share of the time.
     *
     * @param  list<float>  $way
     */
    public static function at(array $way, float $time): float
    {
        $at = max(0.0, $time) / self::PAST * self::STEPS;
        if ($at >= self::STEPS) {
            return $way[self::STEPS] + ($at - self::STEPS) * ($way[self::STEPS] - $way[self::STEPS - self::LAST_STEPS]) / self::LAST_STEPS;
        }
        $i = (int) $at;

        return $way[$i] + ($at - $i) * ($way[$i + 1] - $way[$i]);
    }

    /** @return array{bodies: list<array{rise: float, way: list<float>}>, straight: list<list<float>>} */
    private static function drawn(): array
    {
        /** @var array{bodies: list<array{rise: float, way: list<float>}>, straight: list<list<float>>} */
        return self::$drawn ??= Table::named('course-shapes');
    }
}
