<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

use Diatherm\Cooker\CookerShed;
use Diatherm\Heat\Resolution;
use Diatherm\Roast\Dish;
use Diatherm\Safety\Clocks;

/** How long a dish stands out of the refrigerator to come to its start temperature, and how far it may come. */
final readonly class Tempering
{
    /** Longer than this nobody waits, s. */
    private const LONGEST_S = 21600.0;

    private const STEP_S = 300.0;

    /** Refrigerators and butchers differ by as much, K. Common practice. */
    private const NEAR_K = 3.0;

    /**
     * @param  float  $minutes  that it takes; INF where it does not come to it
     * @param  float  $allowedMinutes  that it may stand out
     * @param  float  $reachesC  mean temperature after those
     */
    private function __construct(
        public float $minutes,
        public float $allowedMinutes,
        public float $reachesC,
        private float $startC,
    ) {
    }

    /** From refrigerator-cold, on a board in air of $airC. */
    public static function of(Dish $dish, float $airC): self
    {
        $allowed = Clocks::allowedMinutes($airC);
        if (! $dish->cut->isPerishable() || $dish->startC <= Clocks::COLD_C + 1.0) {
            return new self(0.0, $allowed, $dish->startC, $dish->startC);
        }
        $cold = Variation::of(1.0, 1.0, Clocks::COLD_C - $dish->startC);
        $body = Cook::of($dish, $airC, Resolution::coarse(), Course::asPlanned(), $cold)->body;
        $board = CookerShed::board($airC);
        $reachesC = Clocks::COLD_C;
        while ($body->meanC() < $dish->startC && $body->elapsedS() < self::LONGEST_S) {
            $body->in($board, self::STEP_S);
            $reachesC = $body->elapsedS() <= 60.0 * $allowed + 1.0 ? max($reachesC, $body->meanC()) : $reachesC;
        }

        return new self($body->meanC() >= $dish->startC ? $body->elapsedS() / 60.0 : INF, $allowed, $reachesC, $dish->startC);
    }

    /** Whether it may not stand out for as long as it takes to come near its start temperature. */
    public function isTooLong(): bool
    {
        return $this->minutes > $this->allowedMinutes && $this->startC - $this->reachesC > self::NEAR_K;
    }

    /** As long as it stands out: no longer than it may. */
    public function outMinutes(): float
    {
        return min($this->minutes, $this->allowedMinutes);
    }
}
