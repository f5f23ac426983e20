<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

/**
 * A cooker on its way from one heat to the next with the food in it: what its walls store has to be filled or emptied
 * first. Told as an exponential with the time that its own warmth takes for the first 63 % of the way.
 */
final readonly class Settling
{
    /** Less of a change than this is there at once, K. */
    private const CHANGE_K = 5.0;

    /** So many times the pace, and 2 % of the way is left: there. */
    private const DONE = 4.0;

    /** Coals under a lid give up to so many times what holds the new heat: between a bed that is due to be fed and one that was. Common practice. */
    private const BED = 2.0;

    private const LONGEST_MINUTES = 240.0;

    private const STEP_MINUTES = 0.5;

    private function __construct(public float $fromC, public float $toC, public float $paceMinutes)
    {
    }

    /** @return self|null null when it is there at once; an open fire is, whose coals are raked together or apart */
    public static function between(OwnCurve $curve, Weather $weather, float $fromC, float $toC): ?self
    {
        $mechanism = $curve->mechanism;
        if (abs($toC - $fromC) < self::CHANGE_K || $mechanism instanceof OpenFire) {
            return null;
        }
        $settings = $curve->settingsFor($toC, $weather);
        $warmth = new Warmth($curve, $weather, null, $fromC, $mechanism instanceof VentedCooker ? self::BED * $mechanism->lossW($settings, $curve->modelC($toC, $weather), $weather) : INF);
        $left = exp(-1.0) * abs($toC - $fromC);
        $minutes = 0.0;
        while ($minutes < self::LONGEST_MINUTES && ($short = $toC - $warmth->celsius()) !== 0.0 && abs($short) > $left) {
            $wide = $mechanism instanceof VentedCooker && $short > VentedCooker::CLOSE_IN_K;
            $warmth->through($wide ? $mechanism->wideOpen() : $settings, 60.0 * self::STEP_MINUTES);
            $minutes += self::STEP_MINUTES;
        }

        return new self($fromC, $toC, $minutes);
    }

    /** @param  float  $minutes  since it was set to its new heat, 0 upwards */
    public function celsius(float $minutes): float
    {
        return $this->toC + ($this->fromC - $this->toC) * exp(-$minutes / max(0.01, $this->paceMinutes));
    }

    /** Minutes until it is as good as there. */
    public function doneMinutes(): float
    {
        return self::DONE * $this->paceMinutes;
    }
}
