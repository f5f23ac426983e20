<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

/** A cooker on its way from one heat to the next: what its walls store has to be filled or emptied first. */
final readonly class Settling
{
    /** Less of a change than this is there at once, and so near it is there, K. */
    private const NEAR_K = 4.0;

    /**
     * Coals under a lid give up to so many times what holds the new heat: between a bed that is due to be fed and one that
     * was. Common practice.
     */
    private const BED = 2.5;

    /** It does not get there, and moves no more than this in a minute: as near as it comes, K. */
    private const STILL_K = 0.1;

    private const LONGEST_MINUTES = 240;

    /**
     * @param  non-empty-list<float>  $courseC  °C at every minute, from the first until it is there
     * @param  float  $leadMinutes  it was set so long before the food met it
     */
    private function __construct(public float $toC, private array $courseC, private float $leadMinutes)
    {
    }

    /** @return self|null null when it is there at once; an open fire is, whose coals are raked together or apart */
    public static function between(OwnCurve $curve, Weather $weather, float $fromC, float $toC): ?self
    {
        $mechanism = $curve->mechanism;
        if (abs($toC - $fromC) < self::NEAR_K || $mechanism instanceof OpenFire) {
            return null;
        }
        $settings = $curve->settingsFor($toC, $weather);
        $warmth = new Warmth(
            $curve,
            $weather,
            null,
            $fromC,
            $mechanism instanceof VentedCooker ? self::BED * $mechanism->lossW($settings, $curve->modelC($toC, $weather), $weather) : INF,
        );
        $course = [$fromC];
        while (count($course) <= self::LONGEST_MINUTES && abs($short = $toC - $course[count($course) - 1]) > self::NEAR_K) {
            $warmth->through($short > self::NEAR_K ? $mechanism->hurried($settings) : $settings, 60.0);
            $course[] = $warmth->celsius();
            if (abs($course[count($course) - 1] - $course[count($course) - 2]) < self::STILL_K) {
                break;
            }
        }

        return new self($toC, $course, 0.0);
    }

    /** The same, set so many minutes before the food meets it; null when it is there by then. */
    public function ahead(float $minutes): ?self
    {
        return $minutes >= $this->doneMinutes() ? null : new self($this->toC, $this->courseC, $this->leadMinutes + $minutes);
    }

    /** @param  float  $minutes  since the food met it, 0 upwards */
    public function celsius(float $minutes): float
    {
        $at = $this->leadMinutes + max(0.0, $minutes);
        $i = (int) floor($at);

        if (isset($this->courseC[$i + 1])) {
            return $this->courseC[$i] + ($at - $i) * ($this->courseC[$i + 1] - $this->courseC[$i]);
        }
        $last = $this->courseC[count($this->courseC) - 1];

        // One that never gets there stays as near as it came.
        return abs($this->toC - $last) > self::NEAR_K ? $last : $this->toC;
    }

    /** Minutes from when the food meets it until it is there. */
    public function doneMinutes(): float
    {
        return max(0.0, count($this->courseC) - 1 - $this->leadMinutes);
    }
}
