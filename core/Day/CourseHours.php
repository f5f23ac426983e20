<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Cooking\Forecast;
use Diatherm\Roast\Roast;

/** When each course is really on the table: at its hour, or when the slowest dish on the heat lets it, and then all of it moves. */
final readonly class CourseHours
{
    /** Less is spent in the carving. Common practice. */
    private const TELLING_MINUTES = 5.0;

    /** @param  array<int, float>  $lateMinutes  by course */
    private function __construct(
        private Roast $roast,
        private array $lateMinutes,
    ) {
    }

    /**
     * @param  list<Forecast>  $forecasts  one a dish, in order
     * @param  array<int, Timing>  $timings  one a dish
     * @param  array<int, Progress>  $progress  by number of dish
     */
    public static function of(Roast $roast, array $forecasts, array $timings, Finishing $finishing, array $progress): self
    {
        $late = [];
        foreach ($forecasts as $i => $forecast) {
            $made = $progress[$i] ?? new Progress;
            if ($made->onAt === null || $made->carvedAt !== null) {
                continue;
            }
            $dish = $forecast->dish;
            $pulled = $made->pulledAt ?? Timing::after($made->onAt, $timings[$i]->pull->likely);
            $ready = Timing::after($pulled, $dish->leastRestMinutes() + Timing::carveMinutes($dish) + $finishing->dishes[$i]);
            $minutes = ($ready->getTimestamp() - $roast->tableAt($dish->course)->getTimestamp()) / 60.0;
            $late[$dish->course] = max($late[$dish->course] ?? 0.0, $minutes);
        }

        return new self($roast, $late);
    }

    /** So much later than asked for, in fives; a course waits for the one before it. */
    public function lateMinutes(int $course): float
    {
        $late = 0.0;
        foreach ($this->lateMinutes as $of => $minutes) {
            $late = $of <= $course ? max($late, $minutes) : $late;
        }

        return $late < self::TELLING_MINUTES ? 0.0 : 5.0 * ceil($late / 5.0);
    }

    public function at(int $course): \DateTimeImmutable
    {
        return Timing::after($this->roast->tableAt($course), $this->lateMinutes($course));
    }
}
