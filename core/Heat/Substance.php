<?php

declare(strict_types=1);

namespace Diatherm\Heat;

use Diatherm\Food\Composition;

/**
 * Thermal properties of a food from its composition, 0 to 150 °C, unfrozen.
 *
 * Source: Choi & Okos 1986, as printed in the ASHRAE Handbook—Refrigeration, "Thermal Properties of Foods":
 * polynomials of the temperature in °C for each component; specific heat mixes by mass, density by specific volume,
 * conductivity by volume (parallel model).
 */
final readonly class Substance
{
    /** W/(m·K): c0, c1, c2 */
    private const CONDUCTIVITY = [
        'water' => [5.7109e-1, 1.7625e-3, -6.7036e-6],
        'protein' => [1.7881e-1, 1.1958e-3, -2.7178e-6],
        'fat' => [1.8071e-1, -2.7604e-4, -1.7749e-7],
        'carbohydrate' => [2.0141e-1, 1.3874e-3, -4.3312e-6],
        'fibre' => [1.8331e-1, 1.2497e-3, -3.1683e-6],
        'ash' => [3.2962e-1, 1.4011e-3, -2.9069e-6],
    ];

    /** kg/m³ */
    private const DENSITY = [
        'water' => [9.9718e2, 3.1439e-3, -3.7574e-3],
        'protein' => [1.3299e3, -5.1840e-1, 0.0],
        'fat' => [9.2559e2, -4.1757e-1, 0.0],
        'carbohydrate' => [1.5991e3, -3.1046e-1, 0.0],
        'fibre' => [1.3115e3, -3.6589e-1, 0.0],
        'ash' => [2.4238e3, -2.8063e-1, 0.0],
    ];

    /** J/(kg·K); water from 0 to 150 °C */
    private const SPECIFIC_HEAT = [
        'water' => [4.1289e3, -9.0864e-2, 5.4731e-3],
        'protein' => [2.0082e3, 1.2089, -1.3129e-3],
        'fat' => [1.9842e3, 1.4733, -4.8008e-3],
        'carbohydrate' => [1.5488e3, 1.9625, -5.9399e-3],
        'fibre' => [1.8459e3, 1.8306, -4.6509e-3],
        'ash' => [1.0926e3, 1.8896, -3.6817e-3],
    ];

    /** Protein of lean and fat meat alike is at least this share of it: what has less lets go of less water. Common practice. */
    private const MUSCLE_PROTEIN = 0.15;

    /** Temperatures through which the two quadratics of the inner loop pass. */
    private const FIT_AT_C = [5.0, 50.0, 95.0];

    /**
     * @param  array<string, float>  $fractions  by mass
     * @param  array{float, float, float}  $conductivityFit  k(T) = c0 + c1·T + c2·T², W/(m·K)
     * @param  array{float, float, float}  $heatCapacityFit  ρ·cp(T), J/(m³·K)
     * @param  float  $waterKgM3  in the raw food; 0 for one that does not dry
     * @param  float  $waterHeatShare  of its heat capacity that is its water's, 0 to 1
     * @param  float  $yields  how far it lets go of its water as muscle does, 0 (no protein) to 1
     */
    private function __construct(
        private array $fractions,
        public array $conductivityFit,
        public array $heatCapacityFit,
        public float $waterKgM3,
        public float $waterHeatShare,
        public float $yields,
    ) {
    }

    public static function from(Composition $composition): self
    {
        $fractions = [
            'water' => $composition->water,
            'protein' => $composition->protein,
            'fat' => $composition->fat,
            'carbohydrate' => $composition->carbohydrate,
            'fibre' => $composition->fibre,
            'ash' => $composition->ash,
        ];
        $exact = new self($fractions, [0.0, 0.0, 0.0], [0.0, 0.0, 0.0], 0.0, 0.0, 0.0);

        return new self(
            $fractions,
            self::throughThree(fn (float $c): float => $exact->conductivityWmK($c)),
            self::throughThree(fn (float $c): float => $exact->densityKgM3(self::FIT_AT_C[0]) * $exact->specificHeatJKgK($c)),
            $composition->water * $exact->densityKgM3(self::FIT_AT_C[0]),
            $composition->water * self::at(self::SPECIFIC_HEAT['water'], self::FIT_AT_C[1]) / $exact->specificHeatJKgK(self::FIT_AT_C[1]),
            min(1.0, $composition->protein / self::MUSCLE_PROTEIN),
        );
    }

    /** A substance that does not change with temperature; for checks against exact solutions. */
    public static function constant(float $conductivityWmK, float $heatCapacityJm3K): self
    {
        return new self(['water' => 1.0], [$conductivityWmK, 0.0, 0.0], [$heatCapacityJm3K, 0.0, 0.0], 0.0, 0.0, 0.0);
    }

    public function conductivityWmK(float $celsius): float
    {
        $volume = 0.0;
        $sum = 0.0;
        foreach ($this->fractions as $part => $fraction) {
            $v = $fraction / self::at(self::DENSITY[$part], $celsius);
            $volume += $v;
            $sum += $v * self::at(self::CONDUCTIVITY[$part], $celsius);
        }

        return $sum / $volume;
    }

    public function densityKgM3(float $celsius): float
    {
        $volume = 0.0;
        foreach ($this->fractions as $part => $fraction) {
            $volume += $fraction / self::at(self::DENSITY[$part], $celsius);
        }

        return 1.0 / $volume;
    }

    public function specificHeatJKgK(float $celsius): float
    {
        $sum = 0.0;
        foreach ($this->fractions as $part => $fraction) {
            $sum += $fraction * self::at(self::SPECIFIC_HEAT[$part], $celsius);
        }

        return $sum;
    }

    /** @param  array{float, float, float}  $c */
    private static function at(array $c, float $t): float
    {
        return $c[0] + $t * ($c[1] + $t * $c[2]);
    }

    /**
     * @param  \Closure(float): float  $f
     * @return array{float, float, float} the quadratic through $f at the three fitting temperatures
     */
    private static function throughThree(\Closure $f): array
    {
        [$x0, $x1, $x2] = self::FIT_AT_C;
        [$y0, $y1, $y2] = [$f($x0), $f($x1), $f($x2)];
        $first = ($y1 - $y0) / ($x1 - $x0);
        $second = (($y2 - $y1) / ($x2 - $x1) - $first) / ($x2 - $x0);

        return [
            $y0 - $first * $x0 + $second * $x0 * $x1,
            $first - $second * ($x0 + $x1),
            $second,
        ];
    }
}
