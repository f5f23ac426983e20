<?php

declare(strict_types=1);

namespace Diatherm\Fire;

use Diatherm\Measure\Bisection;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Unit;

/**
 * Coals for a camp oven, briquettes or as big: how many, and where, by the two schools. Common practice throughout: twice the diameter in
 * inches holds 165 to 175 °C in still mild air, two more for each 14 K; pots wider than 12 inches take more than that, and a small one gets
 * by with one more. The split goes by the method.
 */
final readonly class CampOvenCount
{
    /** method => [share on the lid, share of the heat that coals give at all: a fire close by gives the rest] */
    public const METHODS = [
        'roast' => [0.5, 1.0], 'bake' => [2.0 / 3.0, 1.0],
        'simmer' => [1.0 / 3.0, 1.0], 'beside' => [1.0, 0.5],
    ];

    public const INCH_M = 0.0254;

    /** The temperature that the plain count stands for, and the air in which it does. */
    private const PLAIN_C = 163.0;

    private const PLAIN_AIR_C = 20.0;

    /** One step of the counts. Common practice: 25 degrees Fahrenheit. */
    private const STEP_K = 14.0;

    /** The rule's own line goes so far below the plain temperature. */
    private const LINE_K = 55.0;

    /** Of the wind at head height, what blows at the ground. */
    public const WIND_AT_GROUND = 0.35;

    /** W/(m²·K): the pot's radiation, and still air on it. */
    private const RADIATION = 10.0;

    private const STILL = 5.7;

    /** For each m/s more. Source: McAdams, Heat Transmission: h = 5.7 + 3.8·v. */
    private const WINDY = 3.8;

    /**
     * What the trade's rule says in words: the heat that twice the inches hold, and what two more are worth.
     *
     * @return array{low: Quantity, high: Quantity, step: Quantity}
     */
    public static function ruleOfThumb(): array
    {
        return [
            'low' => Quantity::celsius(165.0),
            'high' => Quantity::celsius(175.0),
            'step' => Quantity::kelvin(self::STEP_K),
        ];
    }

    private function __construct(
        public float $diameterM,
        public string $method,
        public int $total,
        public int $over,
        public int $under,
    ) {
    }

    /** @throws OutOfRange for a pot of less than 15 or more than 60 cm, or a method that is not there */
    public static function for(float $diameterM, float $targetC, string $method, float $airC, float $windMs, float $rain = 0.0): self
    {
        [$share, $byCoals] = self::METHODS[$method] ?? throw OutOfRange::unknown('method', $method);
        $total = (int) max(4, round($byCoals * self::exact($diameterM, $targetC, $airC, $windMs, $rain)));
        $over = (int) round($share * $total);

        return new self($diameterM, $method, $total, $over, $total - $over);
    }

    /** The temperature that so many hold. Inverse of `exact`. */
    public static function temperatureC(float $diameterM, float $count, float $airC, float $windMs, float $rain = 0.0): float
    {
        return Bisection::root(
            fn (float $celsius): float => self::exact($diameterM, $celsius, $airC, $windMs, $rain) - $count,
            $airC + 1.0,
            400.0,
            0.05,
        );
    }

    /** The count before it is rounded. */
    public static function exact(float $diameterM, float $targetC, float $airC, float $windMs, float $rain = 0.0): float
    {
        OutOfRange::check('diameter_of_the_pot', $diameterM, 0.15, 0.6, Unit::Metre);
        [$plain, $more] = self::countsOf($diameterM / self::INCH_M);
        // The rule's own line, down to where it would ask for next to none; below that, in proportion to the rise.
        $lowestC = self::PLAIN_C - self::LINE_K;
        $byRule = $targetC >= $lowestC
            ? $plain + $more * ($targetC - self::PLAIN_C) / self::STEP_K
            : ($plain - $more * self::LINE_K / self::STEP_K) * max(0.0, $targetC - self::PLAIN_AIR_C) / ($lowestC - self::PLAIN_AIR_C);
        $colder = max(0.05, ($targetC - $airC) / max(1.0, $targetC - self::PLAIN_AIR_C));
        $windier = (self::RADIATION + self::STILL + self::WINDY * self::WIND_AT_GROUND * $windMs) / (self::RADIATION + self::STILL);

        return $byRule * $colder * $windier * (1.0 + $rain);
    }

    /**
     * Common practice.
     *
     * @return non-empty-list<array{float, float, float}> inches across, coals at the plain temperature, and how many more for each step
     */
    private static function counts(): array
    {
        return [[8.0, 15.0, 1.0], [10.0, 19.0, 2.0], [12.0, 23.0, 2.0], [14.0, 30.0, 2.0], [16.0, 37.0, 2.0]];
    }

    /**
     * Between two sizes in proportion; a pot beyond them as the nearest, by its diameter.
     *
     * @return array{float, float}
     */
    private static function countsOf(float $inches): array
    {
        $counts = self::counts();
        $before = $counts[0];
        foreach ($counts as $size) {
            if ($inches < $size[0]) {
                break;
            }
            $before = $size;
        }
        $next = $counts[count($counts) - 1];
        foreach (array_reverse($counts) as $size) {
            if ($inches > $size[0]) {
                break;
            }
            $next = $size;
        }
        $within = min($next[0], max($before[0], $inches));
        $share = $next[0] > $before[0] ? ($within - $before[0]) / ($next[0] - $before[0]) : 0.0;

        return [
            ($before[1] + $share * ($next[1] - $before[1])) * $inches / $within,
            ($before[2] + $share * ($next[2] - $before[2])) * $inches / $within,
        ];
    }

    /**
     * The other school: three more than the diameter in inches on the lid, three fewer below.
     *
     * @return array{over: int, under: int}
     */
    public static function otherSchool(float $diameterM): array
    {
        $inches = (int) round($diameterM / self::INCH_M);

        return ['over' => $inches + 3, 'under' => $inches - 3];
    }

    /** Coals are renewed before they give less than this share, min from grey: those of wood burn out sooner. */
    public static function refreshMinutes(float $windMs, ?Fuel $fuel = null): float
    {
        return CoalBed::minutesToFade($fuel ?? self::counted(), self::RENEWED_AT, self::WIND_AT_GROUND * $windMs);
    }

    /** What the rule counts. */
    public static function counted(): Fuel
    {
        return Fuel::named('briquettes');
    }

    /**
     * As much of a fuel as gives the heat of one briquette until it is renewed, kg: coals of wood or lump are as big, but
     * lighter, and burn out sooner.
     */
    public static function kgOfOne(Fuel $fuel): float
    {
        return $fuel->pieceKg ?? (float) self::counted()->pieceKg * CoalBed::freshWKg(self::counted()) / CoalBed::freshWKg($fuel);
    }

    /** Practice renews at 45 to 60 min, which is where an open bed stands at about half. */
    private const RENEWED_AT = 0.5;
}
