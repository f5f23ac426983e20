<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

use Diatherm\Heat\Trace;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Stage;
use Diatherm\Safety\Clocks;
use Diatherm\Safety\FoodHistory;

/** Turns one course of a dish, computed or read, into the history that the danger zone is judged by. */
final readonly class DangerHistory
{
    /** It is looked at so many times, but no more often and no less often than this. */
    private const LOOKS = 200;

    private const MOST_OFTEN_S = 60.0;

    private const LEAST_OFTEN_S = 600.0;

    /** What is kept hot stands at least so hot, °C. */
    private const KEPT_HOT_C = Clocks::HOT_C;

    /** What was carved is in slices and cools at once: it is no hotter, °C. Common practice. */
    private const SLICED_C = 50.0;

    /** Longest time out of the refrigerator before the heat that is followed: well past every limit. */
    private const LONGEST_OUT_MINUTES = 72 * 60.0;

    /**
     * @param  list<float>  $stageStartsS  when each stage began, or begins
     * @param  float|null  $offS  when it comes off its last heat
     */
    public function __construct(
        private Dish $dish,
        private Course $course,
        private ColdChain $chain,
        private float $roomC,
        private array $stageStartsS,
        private ?float $offS,
    ) {
    }

    /**
     * @param  Trace  $trace  of the coldest point that matters
     * @param  float  $untilS  end of the history
     * @param  list<array{float, float}>  $sinksS  spans in which its core was read to sink on the heat: its fire was dead
     */
    public function along(Trace $trace, float $untilS, array $sinksS = []): FoodHistory
    {
        $moments = [];
        $out = 60.0 * min($this->chain->outBeforeMinutes, self::LONGEST_OUT_MINUTES);
        if ($out > 0.0) {
            $moments[] = [-$out, min(Clocks::COLD_C, $this->dish->startC), $this->roomC];
        }
        foreach ($this->looks($untilS, $sinksS) as $at) {
            $coreC = $trace->coreAt($at);
            $isCarved = $this->course->carvedS !== null && $at >= $this->course->carvedS;
            $airC = $this->airC($at);
            // What sinks is not in air as hot as its cooker was last read; embers that were read may be warmer than the room.
            $isDead = $airC >= Clocks::GROWTH_STOPS_C && $this->sinksAt($at, $sinksS);
            $moments[] = [$at, $isCarved ? min(self::SLICED_C, $coreC) : $coreC, $isDead ? $this->roomC : $airC];
        }

        /** @var non-empty-list<array{float, float, float}> $moments */
        return FoodHistory::of($moments, $this->offS, $this->chain->rawHours, $this->course->nowS > 0.0 && $untilS <= $this->course->nowS + 1.0);
    }

    /** @param  list<array{float, float}>  $sinksS */
    private function sinksAt(float $atS, array $sinksS): bool
    {
        foreach ($sinksS as [$fromS, $toS]) {
            if ($atS >= $fromS && $atS < $toS) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<array{float, float}>  $sinksS
     * @return list<float> moments from on to the end: even ones, and each at which its place changes
     */
    private function looks(float $untilS, array $sinksS): array
    {
        $every = min(self::LEAST_OFTEN_S, max(self::MOST_OFTEN_S, $untilS / self::LOOKS));
        $looks = [...range(0.0, max($every, $untilS), $every), $untilS, ...$this->stageStartsS, $this->offS ?? 0.0, $this->chain->keptHotFromS ?? 0.0];
        foreach ($this->course->offs as [$off, $for]) {
            array_push($looks, $off, $off + $for);
        }
        array_push($looks, $this->course->carvedS ?? 0.0, ...array_column($this->course->cookerReadings, 0), ...array_merge(...$sinksS));
        $looks = array_unique(array_filter($looks, fn (float $at): bool => $at >= 0.0 && $at <= $untilS), SORT_NUMERIC);
        sort($looks);

        return $looks;
    }

    /** Air round it from a moment on, °C; a hot cooker is told by its own temperature. */
    private function airC(float $atS): float
    {
        if ($this->offS !== null && $atS >= $this->offS - 0.5) {
            $isKeptHot = $this->course->carvedS === null || $atS < $this->course->carvedS;

            return $isKeptHot && $this->chain->keptHotFromS !== null && $atS >= $this->chain->keptHotFromS ? self::KEPT_HOT_C : $this->roomC;
        }
        if ($this->course->wasOffBetween($atS, $atS + 1.0)) {
            return $this->roomC;
        }
        $number = $this->stageAt($atS);
        $stage = $this->dish->stages[$number];
        $startS = $this->stageStartsS[$number] ?? 0.0;
        if ($stage->cooker->isRest()) {
            return $stage->cookerC;
        }

        // Before a cooker was first read in a step it is taken to have run as planned.
        return ($this->wasReadBetween($startS, $atS) ? $this->course->readC($atS, $startS) : null) ?? $stage->heatC(($atS - $startS) / 60.0);
    }

    private function wasReadBetween(float $fromS, float $toS): bool
    {
        foreach ($this->course->cookerReadings as [$at]) {
            if ($at >= $fromS && $at <= $toS) {
                return true;
            }
        }

        return false;
    }

    private function stageAt(float $atS): int
    {
        $number = 0;
        foreach ($this->stageStartsS as $i => $startS) {
            $number = $startS <= $atS + 0.5 && isset($this->dish->stages[$i]) ? $i : $number;
        }

        return $number;
    }
}
