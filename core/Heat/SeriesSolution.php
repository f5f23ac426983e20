<?php

declare(strict_types=1);

namespace Diatherm\Heat;

use Diatherm\Measure\Bisection;

/**
 * Exact transient conduction in a slab, long cylinder or sphere that starts even and meets convection:
 * θ = Σ Cₙ·exp(−ζₙ²·Fo)·f(ζₙ·x), θ the share of the first temperature difference that is left.
 *
 * Source: Incropera & DeWitt, Fundamentals of Heat and Mass Transfer, sections 5.5 and 5.6.
 */
final class SeriesSolution
{
    private const TERMS = 60;

    /**
     * @param  0|1|2  $exponent  slab, cylinder, sphere
     * @param  float  $biot  h·R/k, more than 0
     * @param  float  $fourier  α·t/R², more than 0
     * @param  float  $position  0 centre to 1 surface
     * @return float θ, 1 at first and 0 in the end
     */
    public static function left(int $exponent, float $biot, float $fourier, float $position = 0.0): float
    {
        $sum = 0.0;
        for ($term = 0; $term < self::TERMS; $term++) {
            $root = self::root($exponent, $biot, $term);
            $sum += self::coefficient($exponent, $root) * exp(-$root * $root * $fourier) * self::mode($exponent, $root * $position);
            if ($root * $root * $fourier > 60.0) {
                break;
            }
        }

        return $sum;
    }

    /** ζ of the given term, from 0. */
    public static function root(int $exponent, float $biot, int $term): float
    {
        [$low, $high] = match ($exponent) {
            0 => [$term * M_PI, ($term + 0.5) * M_PI],
            1 => [$term === 0 ? 0.0 : self::besselPeak($term), self::besselZero($term + 1)],
            default => [$term * M_PI, ($term + 1) * M_PI],
        };
        $balance = match ($exponent) {
            0 => fn (float $z): float => $z * sin($z) - $biot * cos($z),
            1 => fn (float $z): float => $z * self::besselJ(1, $z) - $biot * self::besselJ(0, $z),
            default => fn (float $z): float => sin($z) - $z * cos($z) - $biot * sin($z),
        };
        $edge = $exponent === 2 ? 1e-6 : 1e-9;

        return Bisection::root($balance, $low + $edge, $high - $edge, 1e-11);
    }

    public static function coefficient(int $exponent, float $root): float
    {
        return match ($exponent) {
            0 => 4.0 * sin($root) / (2.0 * $root + sin(2.0 * $root)),
            1 => 2.0 / $root * self::besselJ(1, $root) / (self::besselJ(0, $root) ** 2 + self::besselJ(1, $root) ** 2),
            default => 4.0 * (sin($root) - $root * cos($root)) / (2.0 * $root - sin(2.0 * $root)),
        };
    }

    private static function mode(int $exponent, float $z): float
    {
        return match ($exponent) {
            0 => cos($z),
            1 => self::besselJ(0, $z),
            default => $z < 1e-9 ? 1.0 : sin($z) / $z,
        };
    }

    /** Bessel's integral by the midpoint rule, exact to rounding for a periodic integrand. */
    private static function besselJ(int $order, float $x): float
    {
        $points = 64 + 2 * (int) ceil($x);
        $sum = 0.0;
        for ($i = 0; $i < $points; $i++) {
            $angle = M_PI * ($i + 0.5) / $points;
            $sum += cos($order * $angle - $x * sin($angle));
        }

        return $sum / $points;
    }

    private static function besselZero(int $number): float
    {
        $near = ($number - 0.25) * M_PI;

        return Bisection::root(fn (float $z): float => self::besselJ(0, $z), $near - 0.5, $near + 0.5, 1e-12);
    }

    private static function besselPeak(int $number): float
    {
        $near = ($number + 0.25) * M_PI;

        return Bisection::root(fn (float $z): float => self::besselJ(1, $z), $near - 0.5, $near + 0.5, 1e-12);
    }
}
