<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Roast\Roast;
use Diatherm\Roast\SideDish;

/**
 * When one side does what. A side is done as near to the table as its patience wants, and no two are seen to at once: the least patient
 * one last; what keeps for days is made the evening before. What waits as long as the joint is carved is done before the knife; the rest while another hand carves, or between two cuts.
 */
final readonly class SideTimes
{
    /** By the clock of the table. Common practice. */
    private const EVENING_HOUR = 20;

    private function __construct(
        public SideDish $dish,
        public \DateTimeImmutable $readyAt,
        public ?\DateTimeImmutable $waterAt,
        public \DateTimeImmutable $onAt,
        public \DateTimeImmutable $offAt,
        public \DateTimeImmutable $doneAt,
        public float $waitsMinutes,
    ) {
    }

    /**
     * @param  array<int, \DateTimeImmutable>  $pulls  when each dish comes off, by number
     * @param  \DateTimeImmutable  $now  what is made ahead is made the evening before, where there still is one
     * @return list<self> as they were asked for
     */
    public static function of(Roast $roast, Finishing $finishing, CourseHours $hours, array $pulls, \DateTimeImmutable $now): array
    {
        $times = [];
        $evening = $roast->serveAt->modify('-1 day')->setTime(self::EVENING_HOUR, 0);
        $ahead = $finishing->wholeMinutes;
        foreach ($roast->sides as $number => $dish) {
            if (! $dish->side->isMadeAhead()) {
                $times[] = self::one($dish, $hours->at($dish->course), $finishing->sides[$number], $pulls[$dish->with ?? -1] ?? null);

                continue;
            }
            $then = self::before($dish, $evening, 0.0);
            if ($then->readyAt >= $now) {
                $evening = Timing::after($evening, -$dish->side->doneMinutes);
            } else {
                // It keeps for days: out of the way of all that does not.
                $then = self::before($dish, $hours->at(1), $ahead);
                $ahead += $dish->side->doneMinutes;
            }
            $times[] = $then;
        }

        return $times;
    }

    /** Whether it has to wait longer than it waits well. */
    public function isKeptTooLong(): bool
    {
        return $this->waitsMinutes > $this->dish->side->waitsMinutes + 0.5;
    }

    /**
     * As late as hands and its patience let it; what shares a pot or pan with a dish comes off with it where it can wait from then on:
     * one lid, lifted once.
     */
    private static function one(SideDish $dish, \DateTimeImmutable $table, float $doneBefore, ?\DateTimeImmutable $pull): self
    {
        $side = $dish->side;
        $withIt = $pull === null ? -1.0 : ($table->getTimestamp() - $pull->getTimestamp()) / 60.0 - $side->afterMinutes - $side->doneMinutes;

        return self::before($dish, $table, $withIt >= $doneBefore && $withIt <= $dish->patienceMinutes() ? $withIt : $doneBefore);
    }

    private static function before(SideDish $dish, \DateTimeImmutable $serveAt, float $doneBefore): self
    {
        $side = $dish->side;
        $doneAt = Timing::after($serveAt, -$doneBefore);
        $offAt = Timing::after($doneAt, -$side->doneMinutes - $side->afterMinutes);
        $onAt = Timing::after($offAt, -$dish->takesMinutes());
        $waterAt = $side->boilMinutes > 0.0 ? Timing::after($onAt, -$side->boilMinutes) : null;

        return new self(
            $dish,
            Timing::after($waterAt ?? $onAt, -$side->readyMinutes),
            $waterAt,
            $onAt,
            $offAt,
            $doneAt,
            // At the quick end it is done so much sooner.
            $doneBefore + $dish->looseMinutes(),
        );
    }
}
