<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Cooking\Forecast;
use Diatherm\Measure\Spread;
use Diatherm\Rig\Pit;
use Diatherm\Rig\PotRig;
use Diatherm\Roast\Dish;

/**
 * When one dish does what, in minutes from the moment it goes on.
 *
 * A dish goes on early enough for nine slow cooks in ten: the slack between the likely and the slow end is spent in
 * the rest, where it does least harm.
 */
final readonly class Timing
{
    /** Rigging one joint: tying, spitting, probing. Common practice. */
    public const RIG_MINUTES = 15.0;

    /** Pat dry and season, before the rigging. Common practice. */
    public const COLD_START_MINUTES = 10.0;

    private const CARVE_LEAST = 5.0;

    private const CARVE_PER_KG = 2.0;

    private const CARVE_MOST = 30.0;

    private function __construct(
        public ?float $dig,
        public float $prepare,
        public float $takeOut,
        public float $rig,
        public float $light,
        public float $preheat,
        public Spread $pull,
        public float $carve,
        public float $serve,
    ) {
    }

    /**
     * @param  Spread  $cook  minutes from on to the pull
     * @param  float|null  $lightMinutes  from the match to coals that can be cooked on; null for the usual time
     */
    public static function of(Dish $dish, Forecast $forecast, Spread $cook, ?float $lightMinutes = null): self
    {
        $cooker = $dish->stages[0]->cooker;
        $preheat = -$cooker->preheatMinutes;
        $light = $preheat - ($lightMinutes ?? $cooker->lightMinutes);
        $pit = $dish->rig instanceof PotRig ? $dish->rig->pit() : null;
        if ($pit !== null) {
            // The fire that makes the coals burns beside the hole; the lower coals then dry its wall.
            $preheat = -Pit::SETTLE_MINUTES;
            $light = $preheat - 60.0 * $pit->fireHours();
        }
        $rig = -self::RIG_MINUTES;
        // It stays cold until it is worked on, or comes out as early as its start temperature asks for.
        $handwork = PreparationPlan::handworkMinutes($dish);
        $takeOut = $dish->cut->isPerishable() ? $rig - $handwork - self::COLD_START_MINUTES : $rig;
        $takeOut = min($takeOut, -$forecast->tempering->outMinutes());
        $carve = $cook->high + $dish->leastRestMinutes();
        $carving = self::carveMinutes($dish);

        return new self(
            $pit === null ? null : $light - 60.0 * $pit->digHours(),
            $takeOut - PreparationPlan::leastMinutes($dish),
            $takeOut,
            $rig,
            $light,
            $preheat,
            $cook,
            $carve,
            $carve + $carving,
        );
    }

    /** The same with its cooker hot so many minutes sooner, for what goes onto it before the dish. */
    public function litSooner(float $minutes): self
    {
        return new self(
            $this->dig, $this->prepare, $this->takeOut, $this->rig, $this->light - $minutes, $this->preheat - $minutes,
            $this->pull, $this->carve, $this->serve,
        );
    }

    public static function carveMinutes(Dish $dish): float
    {
        return ! $dish->cut->isPerishable()
            ? 2.0
            : min(self::CARVE_MOST, max(self::CARVE_LEAST, round(self::CARVE_PER_KG * $dish->massKg * $dish->pieces)));
    }

    /** The first thing to do. */
    public function first(): float
    {
        return min($this->dig ?? INF, $this->prepare, $this->takeOut, $this->rig, $this->light);
    }

    /** So many minutes later, to the second. */
    public static function after(\DateTimeImmutable $from, float $minutes): \DateTimeImmutable
    {
        return $from->setTimestamp($from->getTimestamp() + (int) round(60.0 * $minutes));
    }
}
