<?php

declare(strict_types=1);

namespace Diatherm\Practice;

/** A course as cooks log it: flat at first, then ever steeper, straight in the middle, slower at the end. No physics at all. */
final readonly class LoggedCourse implements Truth
{
    private const POINTS = 200;

    private const PAST = 1.2;

    /** @param  list<float>  $share  of the way from start to target, by even steps of the time */
    private function __construct(
        private float $startC,
        private float $targetC,
        private float $lengthS,
        private array $share,
        private float $surfaceK,
    ) {
    }

    /**
     * @param  float  $flat  share of the time until it is at its full pace
     * @param  float  $slowsFrom  share of the time from which it slows
     * @param  float  $slowsBy  0 to 1: of its pace, by the target
     * @param  float  $surfaceK  how much warmer a quarter of the way out is, half-way through
     */
    public static function of(float $startC, float $targetC, float $lengthS, float $flat, float $slowsFrom, float $slowsBy, float $surfaceK): self
    {
        $sums = [0.0];
        for ($i = 0; $i < self::POINTS; $i++) {
            $x = self::PAST * ($i + 0.5) / self::POINTS;
            $in = min(1.0, $x / $flat);
            $pace = $in * $in * (3.0 - 2.0 * $in) * max(0.05, 1.0 - $slowsBy * max(0.0, ($x - $slowsFrom) / (1.0 - $slowsFrom)));
            $sums[] = $sums[$i] + $pace;
        }
        $at = self::POINTS / self::PAST;
        $i = (int) floor($at);
        $whole = $sums[$i] + ($at - $i) * ($sums[$i + 1] - $sums[$i]);

        return new self($startC, $targetC, $lengthS, array_map(fn (float $sum): float => $sum / $whole, $sums), $surfaceK);
    }

    public function at(float $seconds, float $share): float
    {
        $at = min(self::PAST, max(0.0, $seconds / $this->lengthS)) / self::PAST * self::POINTS;
        $i = (int) min(self::POINTS - 1, floor($at));
        $way = $this->share[$i] + ($at - $i) * ($this->share[$i + 1] - $this->share[$i]);
        $warmer = $this->surfaceK * min(1.0, 4.0 * $way) * max(0.0, 1.0 - 0.5 * $way) * ($share / 0.25) ** 2;

        return $this->startC + $way * ($this->targetC - $this->startC) + $warmer;
    }
}
