<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Fire\CoalBed;

/**
 * A cooker's temperature through time: heat in less heat out, over what its body stores; with the coals under it burning
 * away. It is followed in the temperatures of its kind's physics and told in this cooker's own.
 */
final class Warmth
{
    private const STEP_S = 20.0;

    private float $modelC;

    private float $glowJ = 0.0;

    private float $glowingKg = 0.0;

    /** @var array<int, float> temperature of an open fire by quarter kilograms of coals */
    private array $wallsC = [];

    /**
     * @param  CoalBed|null  $bed  null for heat that does not run out
     * @param  float  $mostW  of that heat
     */
    public function __construct(
        private readonly OwnCurve $curve,
        private readonly Weather $weather,
        private readonly ?CoalBed $bed,
        ?float $startC = null,
        private readonly float $mostW = INF,
    ) {
        $this->modelC = $startC === null ? $weather->airC : $curve->modelC($startC, $weather);
    }

    public function celsius(): float
    {
        return $this->curve->likelyC($this->modelC, $this->weather);
    }

    public function modelC(): float
    {
        return $this->modelC;
    }

    /** Runs on for so long at these settings. */
    public function through(Settings $settings, float $seconds): void
    {
        $mechanism = $this->curve->mechanism;
        $storage = $mechanism->storageJK() * $this->curve->warmUpFactor->likely;
        for ($left = $seconds; $left > 1e-6; $left -= self::STEP_S) {
            $dt = min(self::STEP_S, $left);
            if ($mechanism instanceof OpenFire) {
                // Nothing is stored: the heat is what the bed sends out now.
                $this->bed?->burn($dt);
                $this->modelC = $this->wallC($mechanism, ($this->bed?->freePowerW() ?? 0.0) / CoalBed::freshWKg($mechanism->fuel));

                continue;
            }
            $heat = match (true) {
                $this->bed === null => min($this->mostW, $mechanism->heatW($settings, $this->modelC, $this->weather)),
                $mechanism instanceof CampOven => CampOven::TAKEN / $mechanism->byCoals() * $this->bed->burn($dt),
                // A cold stack draws nothing: the first coals burn in the air that is there.
                default => $this->starvedW(
                    $this->bed,
                    max(self::KINDLING_SHARE * $this->bed->freePowerW(), $mechanism->heatW($settings, $this->modelC, $this->weather)),
                    $dt,
                ),
            };
            $loss = $mechanism->lossW($settings, $this->modelC, $this->weather);
            // Half-way implicit, so that a light cooker does not swing from step to step.
            $slope = max(0.0, ($mechanism->lossW($settings, $this->modelC + 1.0, $this->weather) - $loss));
            $this->modelC += ($heat - $loss) * $dt / ($storage + $slope * $dt);
        }
    }

    /**
     * Coals under a lid burn as their air allows; what they glow with follows some minutes after the slots, so that a
     * cooker overshoots when it is closed in late.
     */
    private function starvedW(CoalBed $bed, float $airW, float $dt): float
    {
        $free = $bed->freePowerW();
        $kg = $bed->leftKg();
        if ($kg > $this->glowingKg) {
            // The first load comes out of its chimney at full glow; what is added later joins at the pace of the bed.
            $this->glowJ += $bed->glowJ($this->glowingKg > 0.0 && $free > 0.0 ? $airW / $free : 1.0) * (1.0 - $this->glowingKg / $kg);
        }
        $burning = $bed->burn($dt, $airW);
        $this->glowingKg = $bed->leftKg();
        $given = ($this->glowJ - $bed->glowJ($free > 0.0 ? $burning / $free : 0.0)) * (1.0 - exp(-$dt / self::GLOW_S)) / $dt;
        $this->glowJ -= $given * $dt;

        return max(0.0, $burning + $given);
    }

    /** What so many kilograms of fresh coals come to, between points that were computed once. */
    private function wallC(OpenFire $fire, float $kg): float
    {
        $i = (int) floor($kg / self::TABLE_KG);
        foreach ([$i, $i + 1] as $row) {
            $this->wallsC[$row] ??= $fire->steadyC(Settings::of(['coals_kg' => self::TABLE_KG * $row]), $this->weather);
        }

        return $this->wallsC[$i] + ($kg / self::TABLE_KG - $i) * ($this->wallsC[$i + 1] - $this->wallsC[$i]);
    }

    /** Coals answer to their air within some minutes: so long for two thirds of it. Common practice, s. */
    private const GLOW_S = 180.0;

    private const TABLE_KG = 0.25;

    private const KINDLING_SHARE = 0.05;
}
