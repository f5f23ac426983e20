<?php

declare(strict_types=1);

namespace Tests\Support;

/**
 * An oracle for the danger zone that owes the product nothing: another body (explicit differences in a ball of equal volume, constant
 * properties, no water), and the published rules as plain sums over minutes.
 *
 * Its verdict has three values. Only what is clearly dangerous or clearly safe is held against the product; between them neither model
 * knows.
 */
final class DangerOracle
{
    /** Meat, thawed. Source: ASHRAE Handbook—Refrigeration, Thermal Properties of Foods: about 0.45 W/(m·K), 3.6 MJ/(m³·K). */
    private const CONDUCTIVITY = 0.45;

    private const HEAT_CAPACITY = 3.6e6;

    private const CELLS = 14;

    /** Beyond a limit by so much it is clear. */
    private const CLEARLY = 1.2;

    /**
     * @param  float  $kg  of one piece
     * @param  list<array{float, float, float}>  $legs  minutes, air °C, heat transfer W/(m²·K)
     * @param  float  $startC  all through
     * @return list<array{float, float}> each minute: core and air, °C
     */
    public static function course(float $kg, array $legs, float $startC = 4.0): array
    {
        $radius = 0.62 * (3.0 * $kg / (4.0 * M_PI * 1050.0)) ** (1.0 / 3.0);
        $dr = $radius / self::CELLS;
        $cells = array_fill(0, self::CELLS, $startC);
        $step = min(20.0, 0.3 * $dr ** 2 * self::HEAT_CAPACITY / self::CONDUCTIVITY);
        $course = [];
        foreach ($legs as [$minutes, $airC, $h]) {
            for ($minute = 0; $minute < $minutes; $minute++) {
                $course[] = [$cells[0], $airC];
                for ($t = 0.0; $t < 60.0; $t += $step) {
                    $cells = self::stepped($cells, $dr, $airC, $h, min($step, 60.0 - $t));
                }
            }
        }
        $course[] = [$cells[0], $legs[count($legs) - 1][1]];

        return $course;
    }

    /**
     * @param  list<float>  $cells
     * @return list<float>
     */
    private static function stepped(array $cells, float $dr, float $airC, float $h, float $seconds): array
    {
        $flow = [];
        for ($i = 0; $i < self::CELLS; $i++) {
            $outer = ($i + 1) * $dr;
            $flow[$i] = $i === self::CELLS - 1
                ? ($cells[$i] - $airC) / (0.5 * $dr / self::CONDUCTIVITY + 1.0 / $h) * $outer ** 2
                : self::CONDUCTIVITY * ($cells[$i] - $cells[$i + 1]) / $dr * $outer ** 2;
        }
        $next = [];
        for ($i = 0; $i < self::CELLS; $i++) {
            $volume = ((($i + 1) * $dr) ** 3 - ($i * $dr) ** 3) / 3.0;
            // Wet meat does not pass boiling.
            $next[] = min(100.0, $cells[$i] + $seconds * (($i > 0 ? $flow[$i - 1] : 0.0) - $flow[$i]) / (self::HEAT_CAPACITY * $volume));
        }

        return $next;
    }

    /**
     * Minutes of each rule against its limit, as a share: over 1 is too long.
     *
     * @param  list<array{float, float}>  $course  each minute: core and air, °C
     * @param  int|null  $offMinute  when it left its last heat
     * @param  float  $safeC  its minimum
     * @param  float  $before  minutes out of the refrigerator before it went on
     * @return array<string, float> rule => share of its limit
     */
    public static function shares(array $course, ?int $offMinute, float $safeC, bool $isInside, bool $isRare, float $before, float $roomC): array
    {
        $shares = ['out' => 0.0, 'come_up' => 0.0, 'part_cooked' => 0.0];
        $out = $before / ($roomC > 32.0 ? 60.0 : 120.0);
        $shares['out'] = $out;
        $isCooked = $isServed = $wasHot = false;
        $comeUp = $cold = 0;
        foreach ($course as $minute => [$core, $air]) {
            if (! $isServed && $offMinute !== null && $minute >= $offMinute && ($isCooked || $isRare)) {
                [$isServed, $out] = [true, 0.0];
            }
            if (! $isCooked && $core >= $safeC) {
                [$isCooked, $out] = [true, 0.0];
            }
            $isHot = $air >= 54.4;
            $isCold = $air <= 5.0;
            $wasHot = $wasHot || $isHot;
            if (! $isHot && ! $isCold && $core < 60.0) {
                $out += 1.0 / ($air > 32.0 ? 60.0 : 120.0);
                $shares['out'] = max($shares['out'], $out);
            }
            if ($wasHot && ! $isCooked && ! $isServed && ! $isCold && $core > 10.0 && $core < 54.4) {
                $comeUp++;
            }
            $cold = $isCold && $wasHot && ! $isCooked && ! $isServed ? $cold + 1 : 0;
            if ($isInside && $cold > 0) {
                $shares['part_cooked'] = max($shares['part_cooked'], $cold / 30.0);
            }
        }
        $shares['come_up'] = $comeUp / 360.0;

        return $shares;
    }

    /** @param  array<string, float>  $shares @return bool|null dangerous, safe, or null for what neither model knows */
    public static function verdict(array $shares): ?bool
    {
        $worst = max($shares);

        return match (true) {
            $worst > self::CLEARLY => true,
            $worst < 1.0 / self::CLEARLY => false,
            default => null,
        };
    }
}
