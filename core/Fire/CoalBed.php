<?php

declare(strict_types=1);

namespace Diatherm\Fire;

use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/**
 * Coals that burn away, batch by batch. Each piece shrinks from its surface: its power goes with the surface that is
 * left, so that an open bed of mass m₀ gives 3·m₀·H/T·(m/m₀)^⅔ and is gone after the time T. A lid that lets in less air
 * than that caps it, and the bed lasts longer for it.
 *
 * Source: the shrinking-particle model at a constant rate of recession, Levenspiel, Chemical Reaction Engineering,
 * chapter on fluid–particle reactions; T is data/fuels.json's.
 */
final class CoalBed
{
    /** Wind fans an open fire: so much faster for each m/s at the coals. Common practice: a fresh breeze shortens a bed by a third. */
    private const FANNED_PER_M_S = 0.1;

    /** Share of a batch that is too small to glow. */
    private const SPENT = 1e-4;

    private const GLOW_J_KG = 300e3;

    /** @var list<array{float, float, float}> mass at first, mass left, age in seconds counted from the match */
    private array $batches = [];

    private function __construct(public readonly Fuel $fuel, private readonly float $windMs)
    {
    }

    /** @param  float  $windMs  at the coals, 0 to 20 m/s; 0 under a lid */
    public static function of(Fuel $fuel, float $windMs = 0.0): self
    {
        return new self($fuel, OutOfRange::check('wind', $windMs, 0.0, 20.0, Unit::MetrePerSecond));
    }

    /**
     * @param  float  $kg  of the bed: coals, where the fuel is wood
     * @param  bool  $lit  grey when it is put on, or still to catch
     */
    public function add(float $kg, bool $lit): void
    {
        OutOfRange::check('fuel', $kg, 0.0, 2000.0, Unit::Kilogram);
        if ($kg > 0.0) {
            $this->batches[] = [$kg, $kg, $lit ? 60.0 * $this->fuel->ashOverMinutes : 0.0];
        }
    }

    /** Heat that the bed gives off in the open at this moment, W. */
    public function freePowerW(): float
    {
        $sum = 0.0;
        foreach ($this->batches as [$first, $left, $age]) {
            $sum += $this->rate($first, $left, $age);
        }

        return $sum * $this->fuel->bedJKg();
    }

    /**
     * Burns for $seconds, at no more than $capW.
     *
     * @return float mean power over that time, W
     */
    public function burn(float $seconds, float $capW = INF): float
    {
        $free = $this->freePowerW();
        if ($free <= 0.0 && $this->batches === []) {
            return 0.0;
        }
        $held = $free > $capW && $free > 0.0 ? $capW / $free : 1.0;
        $burnt = 0.0;
        $kept = [];
        foreach ($this->batches as [$first, $left, $age]) {
            $gone = min($left, $held * $this->rate($first, $left, $age) * $seconds);
            $burnt += $gone;
            if ($left - $gone > self::SPENT * $first) {
                $kept[] = [$first, $left - $gone, $age + $seconds];
            }
        }
        $this->batches = $kept;

        return $seconds > 0.0 ? $burnt * $this->fuel->bedJKg() / $seconds : 0.0;
    }

    public function leftKg(): float
    {
        return array_sum(array_column($this->batches, 1));
    }

    /**
     * What glowing coals hold over coals that are starved of air, J: given off when the slots are closed, taken up when
     * they are opened. Carbon holds about 1 kJ/(kg·K) (handbooks of materials, from memory); a bed at full glow is some
     * 300 K hotter than one that only just burns (common practice).
     *
     * @param  float  $share  of its free burning that it burns at, 0 to 1
     */
    public function glowJ(float $share): float
    {
        return self::GLOW_J_KG * $this->leftKg() * min(1.0, max(0.0, $share));
    }

    /** What an open bed of lit coals gives off at first, W for each kilogram. */
    public static function freshWKg(Fuel $fuel): float
    {
        return 3.0 * $fuel->bedJKg() / (60.0 * $fuel->burnOutMinutes);
    }

    /** Power of an open bed so many minutes after it was grey, over its power then; 0 to 1. */
    public static function fade(Fuel $fuel, float $minutes, float $windMs = 0.0): float
    {
        return max(0.0, 1.0 - $minutes * self::fanned($windMs) / $fuel->burnOutMinutes) ** 2;
    }

    /** Mean of that over a time between two refuels, 0 to 1: ∫(1 − t/T)²dt. */
    public static function meanFade(Fuel $fuel, float $minutes, float $windMs = 0.0): float
    {
        $x = min(1.0, max(1e-9, $minutes * self::fanned($windMs) / $fuel->burnOutMinutes));

        return (1.0 - (1.0 - $x) ** 3) / (3.0 * $minutes * self::fanned($windMs) / $fuel->burnOutMinutes + 1e-12);
    }

    /** Minutes until an open bed has faded to $share of what it was. */
    public static function minutesToFade(Fuel $fuel, float $share, float $windMs = 0.0): float
    {
        OutOfRange::check('share', $share, 0.0, 1.0, Unit::None);

        return $fuel->burnOutMinutes / self::fanned($windMs) * (1.0 - sqrt($share));
    }

    private static function fanned(float $windMs): float
    {
        return 1.0 + self::FANNED_PER_M_S * $windMs;
    }

    /** kg/s in the open */
    private function rate(float $first, float $left, float $age): float
    {
        $caught = min(1.0, $age / max(1.0, 60.0 * $this->fuel->ashOverMinutes));
        $share = $left / $first;

        return 3.0 * $first / (60.0 * $this->fuel->burnOutMinutes) * self::fanned($this->windMs) * $caught * $share ** (2.0 / 3.0);
    }
}
