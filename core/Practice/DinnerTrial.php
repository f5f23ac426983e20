<?php

declare(strict_types=1);

namespace Diatherm\Practice;

use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Live\LiveForecast;
use Diatherm\Live\Reading;
use Diatherm\Roast\StageEnd;

/**
 * Whether guests eat on time, or the cook is told in time that they will not. The joint goes on as its plan says: by the slow end of its
 * hours and its least rest before the table. How long it takes is what practice says of that cook; it is read each fourteenth of it.
 */
final readonly class DinnerTrial
{
    private const ROOM_C = 20.0;

    private const READINGS = 14;

    /** Beyond what practice says of a cook, one deviation. */
    private const LENGTH = 0.08;

    private const OFFSET_K = 0.8;

    private const NOISE_K = 0.4;

    /** So late is late, and so long before the table it has to be told, minutes. Common practice. */
    private const LATE_MINUTES = 10.0;

    private const TOLD_MINUTES = 30.0;

    private function __construct(
        public int $cooks,
        public int $late,
        public int $told,
    ) {
    }

    public static function of(int $each, int $seed): self
    {
        $dice = new Dice($seed);
        $cooks = $late = $told = 0;
        foreach (TradeCase::all() as $case) {
            if (count($case->dish->stages) > 1 || $case->dish->isBuried() || $case->dish->lastStage()->end === StageEnd::Tender) {
                continue;
            }
            $plan = $case->forecast();
            for ($n = 0; $n < $each; $n++) {
                $minutes = $dice->between($case->leastMinutes, $case->mostMinutes) * exp(self::LENGTH * $dice->normal());
                $truth = LoggedCourse::of(
                    $case->dish->startC, $plan->pullC, 60.0 * $minutes, $dice->between(0.1, 0.35), $dice->between(0.4, 0.7), $dice->between(0.0, 0.6), 4.0,
                );
                $isTold = self::isTold($case, $plan, $truth, $minutes, $dice);
                $isLate = $minutes > $plan->cookMinutes->high + self::LATE_MINUTES;
                $cooks++;
                $late += (int) $isLate;
                $told += (int) ($isLate && $isTold);
            }
        }

        return new self($cooks, $late, $told);
    }

    /** Of a hundred, those on time or told. */
    public function wellServed(): float
    {
        return 100.0 * ($this->cooks - $this->late + $this->told) / max(1, $this->cooks);
    }

    /** Whether its likely hour, as it is read, says half an hour before the table that it will be late. */
    private static function isTold(TradeCase $case, Forecast $plan, Truth $truth, float $minutes, Dice $dice): bool
    {
        $offsetK = self::OFFSET_K * $dice->normal();
        $readings = [];
        for ($k = 1; $k < self::READINGS; $k++) {
            $at = $minutes * $k / self::READINGS;
            $readings[] = Reading::of("r$k", 60.0 * $at, 'core', $truth->at(60.0 * $at, 0.1) + $offsetK + self::NOISE_K * $dice->normal());
            if ($at > $plan->cookMinutes->high + $case->dish->leastRestMinutes() - self::TOLD_MINUTES) {
                return false;
            }
            $live = LiveForecast::of($case->dish, self::ROOM_C, new Course(nowS: 60.0 * $at), $readings, $plan->pullC);
            if ($live->cookMinutes->likely > $plan->cookMinutes->high) {
                return true;
            }
        }

        return false;
    }
}
