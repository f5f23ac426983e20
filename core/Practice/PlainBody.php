<?php

declare(strict_types=1);

namespace Diatherm\Practice;

/**
 * A plain body with a wet surface, in air of one temperature: conduction along its radius with a shape between a slab and a ball, and a
 * surface that dries. It shares nothing with the heat model. It is run without dimensions and stretched to the length that it is told.
 * Sources: Carslaw & Jaeger 1959 (conduction along a radius); Magnus' formula as WMO-No. 8 has it; the relation of Lewis between the
 * transfer of heat and of vapour, from memory.
 */
final readonly class PlainBody implements Truth
{
    private const CELLS = 20;

    /** Kelvin of air that a kilogram of vapour in a cubic metre is worth at a wet surface: heat of vaporisation over what a cubic metre of air holds. */
    private const K_M3_KG = 2100.0;

    private const RECORDS = 200;

    /**
     * @param  float  $lengthS  from on to the target
     * @param  list<list<float>>  $celsius  by record, from the centre outwards
     * @param  float  $endsAt  of the records, as a share of the length
     */
    private function __construct(
        private float $lengthS,
        private array $celsius,
        private float $endsAt,
    ) {
    }

    /**
     * @param  float  $exponent  of the radius in the area: 0 a slab, 1 a cylinder, 2 a ball
     * @param  float  $biot  transfer at the surface by conduction through the half-thickness
     * @param  float  $wet  0 to 1: how wet the surface is at first
     * @param  float  $driesBy  number of Fourier at which it is down to a third of that
     */
    public static function of(float $startC, float $airC, float $targetC, float $lengthS, float $exponent, float $biot, float $wet, float $driesBy): ?self
    {
        $n = self::CELLS;
        $dr = 1.0 / $n;
        /** @var array<int, float> $core by cell, from the centre outwards */
        $core = array_fill(0, $n, $startC);
        $step = 0.2 * $dr * $dr / (1.0 + 0.5 * $exponent);
        [$times, $rows] = [[0.0], [[...$core, $startC]]];
        $inner = $outer = $volume = [];
        for ($i = 0; $i < $n; $i++) {
            $inner[$i] = ($i * $dr) ** $exponent;
            $outer[$i] = (($i + 1) * $dr) ** $exponent;
            $volume[$i] = ((($i + 1) * $dr) ** ($exponent + 1.0) - ($i * $dr) ** ($exponent + 1.0)) / ($exponent + 1.0);
        }
        $surface = $startC;
        $reached = null;
        for ($fo = 0.0, $k = 1; $fo < 6.0; $fo += $step, $k++) {
            $damp = $wet * exp(-$fo / $driesBy);
            // The surface gives on to the cell below it what it gets: two rounds of Newton's method.
            $toCell = 2.0 / $dr;
            for ($round = 0; $round < 2; $round++) {
                $gets = $biot * ($airC - $surface - self::K_M3_KG * $damp * self::vapour($surface));
                $slope = -$biot * (1.0 + self::K_M3_KG * $damp * 0.05 * self::vapour($surface)) - $toCell;
                $surface = min($airC, $surface - ($gets - $toCell * ($surface - $core[$n - 1])) / $slope);
            }
            $flow = 0.0;
            /** @var array<int, float> $next */
            $next = $core;
            for ($i = 0; $i < $n; $i++) {
                $out = $i === $n - 1 ? $outer[$i] * $toCell * ($surface - $core[$i]) : $outer[$i] * ($core[$i + 1] - $core[$i]) / $dr;
                $next[$i] = $core[$i] + $step * ($out - $flow) / $volume[$i];
                $flow = $out;
            }
            $core = $next;
            if ($k % 40 === 0) {
                $times[] = $fo + $step;
                $rows[] = [...$core, $surface];
            }
            if ($reached === null && $core[0] >= $targetC) {
                $reached = $fo + $step;
            }
            if ($reached !== null && $fo > 1.15 * $reached) {
                break;
            }
        }
        if ($reached === null) {
            return null;
        }
        $even = [];
        $end = $times[count($times) - 1];
        for ($r = 0, $j = 1; $r <= self::RECORDS; $r++) {
            $at = $end * $r / self::RECORDS;
            while ($j < count($times) - 1 && $times[$j] < $at) {
                $j++;
            }
            $share = ($at - $times[$j - 1]) / ($times[$j] - $times[$j - 1]);
            $even[] = array_map(fn (float $a, float $b): float => $a + $share * ($b - $a), $rows[$j - 1], $rows[$j]);
        }

        return new self($lengthS, $even, $end / $reached);
    }

    public function at(float $seconds, float $share): float
    {
        $at = min(1.0, max(0.0, $seconds / $this->lengthS / $this->endsAt)) * self::RECORDS;
        $i = (int) min(self::RECORDS - 1, floor($at));
        $place = $share * self::CELLS;
        $j = (int) floor($place);
        [$before, $after] = [self::between($this->celsius[$i], $j, $place - $j), self::between($this->celsius[$i + 1], $j, $place - $j)];

        return $before + ($at - $i) * ($after - $before);
    }

    /** @param  list<float>  $row */
    private static function between(array $row, int $j, float $share): float
    {
        return $row[$j] + $share * ($row[$j + 1] - $row[$j]);
    }

    /** Vapour at a wet surface, kg/m³. */
    private static function vapour(float $celsius): float
    {
        return 611.2 * exp(17.62 * $celsius / (243.12 + $celsius)) / (461.5 * (273.15 + $celsius));
    }
}
