<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Variation;
use Diatherm\Heat\Resolution;
use Diatherm\Heat\Trace;
use Diatherm\Measure\Spread;
use Diatherm\Roast\Dish;
use Diatherm\Roast\StageEnd;

/** The few runs of the model that a dish's courses are weighed by: how long it takes, and how far what befell it sets it back. */
final readonly class Weighing
{
    /** Runs go this far past their end, so that a core that was ahead still has its moment in a cook that was left alone. */
    private const PAST_K = 6.0;

    /** No cook is followed to hotter than this; water boils. */
    private const HOTTEST_C = 98.0;

    /** Paces that are run through where something befell it; others lie between. */
    private const PACES = [0.7, 1.0, 1.4];

    /** It is followed so many times as long as the plan, and so long past now, s. */
    private const FAR = 4.0;

    private const PAST_NOW_S = 4 * 3600.0;

    /** A plan whose core never gets there takes so many times as long as it is on its way to half of it. Common practice. */
    private const HALVES = 3.0;

    private const AS_PLANNED = [1.0];

    /** No core rises quicker, K/s. Common practice. */
    private const QUICKEST_K_S = 4.0 / 60.0;

    /** A cooker that was read so far off its heat is worth putting right, as a share of its rise; it is back within so long, s. Common practice. */
    private const OFF = 0.08;

    private const RECOVERS_S = 900.0;

    /** A core is there within this, K. */
    private const ROUNDING_K = 0.02;

    private function __construct(
        private Dish $dish,
        private float $airC,
        private Course $course,
        private float $untilC,
        private Trace $alone,
        private float $spanS,
        public float $lengthS,
        private CookClock $logged,
        public Courses $courses,
    ) {
    }

    /**
     * @param  list<Reading>  $readings  that count, in order of time
     * @param  float  $untilC  the core at which it is there
     */
    public static function of(Dish $dish, float $airC, Course $course, array $readings, float $untilC): self
    {
        $alone = self::run($dish, $airC, Course::asPlanned(), 1.0, $untilC);
        $lengthS = self::length($alone, $dish->startC, $untilC);
        $followedS = $course->pulledS ?? $course->nowS;
        $onTheHeat = array_values(array_filter($readings, fn (Reading $one): bool => $one->seconds <= $followedS));
        $spanS = max(self::FAR * $lengthS, $course->nowS + self::PAST_NOW_S);
        $clock = function (array $paces, ?Variation $as = null) use ($alone, $untilC, $spanS, $dish, $airC, $course): CookClock {
            /** @var non-empty-list<float> $paces */
            $runs = array_map(fn (float $pace): array => [$pace, self::run($dish, $airC, $course, $pace, $untilC, $as)], $paces);

            return CookClock::of($alone, $untilC, $runs, $spanS);
        };
        $isAsPlanned = $course->isEmpty() && $course->stageStarts === [];
        $logged = $isAsPlanned ? CookClock::undisturbed($spanS) : $clock(self::PACES);
        $falls = $onTheHeat === [] ? Falls::none() : Falls::since($dish, $course, $followedS);
        $clocks = [$logged];
        if ($falls->ways !== []) {
            $than = $isAsPlanned ? $logged : $clock(self::AS_PLANNED);
            foreach ($falls->ways as $way) {
                $clocks[] = $logged->setBack($clock(self::AS_PLANNED, $way), $than);
            }
        }

        return new self($dish, $airC, $course, $untilC, $alone, $spanS, $lengthS, $logged, Courses::weighed(
            $dish, $onTheHeat, $untilC, $lengthS, self::way($alone, $lengthS, $dish->startC, $untilC), $clocks, $falls->odds, self::earliestS($course, $onTheHeat, $untilC),
        ));
    }

    /**
     * No sooner than now, and no quicker than a core can rise from where it was read.
     *
     * @param  list<Reading>  $readings
     */
    private static function earliestS(Course $course, array $readings, float $untilC): float
    {
        $newest = $readings[count($readings) - 1] ?? null;
        $fromReadingS = $newest === null ? 0.0 : $newest->seconds + max(0.0, $untilC - $newest->celsius) / self::QUICKEST_K_S;

        return max($course->pulledS === null ? $course->nowS : 0.0, $fromReadingS);
    }

    /** How long it takes by what was logged of its cooker, had nothing been read in the meat, s. */
    public function usualS(): float
    {
        return $this->logged->when($this->lengthS, 1.0) ?? INF;
    }

    /** When it is there if its cooker, which was read off its heat, is put right now, s; null where there is nothing to put right. */
    public function putRight(): ?Spread
    {
        $stage = $this->dish->stages[Cueing::stageNow($this->course)];
        $last = $this->course->cookerReadings[count($this->course->cookerReadings) - 1] ?? null;
        $isOff = $last !== null && abs($last[1] - $stage->cookerC) > self::OFF * ($stage->cookerC - $this->airC);
        if (! $isOff || $this->course->pulledS !== null || $stage->cooker->isRest()) {
            return null;
        }
        $nowS = $this->course->nowS;
        $course = $this->course->withCookerReadings([[$nowS, $last[1]], [$nowS + self::RECOVERS_S, $stage->cookerC]]);

        return $this->courses->arrivesBy(CookClock::of($this->alone, $this->untilC, array_map(
            fn (float $pace): array => [$pace, self::run($this->dish, $this->airC, $course, $pace, $this->untilC)], self::PACES,
        ), $this->spanS));
    }

    /** A cook at the slow end of what the readings leave open, recorded and not yet begun. */
    public function slowEnd(): Cook
    {
        $pace = $this->courses->pace()->high;
        $cook = Cook::of($this->dish, $this->airC, Resolution::coarse(), $this->course, self::as($pace));
        $cook->body->record(false);

        return $cook;
    }

    /** The same body, stretched in time: thicker, and with as much less transfer. */
    public static function as(float $pace): Variation
    {
        return Variation::of(1.0 / sqrt($pace), sqrt($pace));
    }

    private static function run(Dish $dish, float $airC, Course $course, float $pace, float $untilC, ?Variation $as = null): Trace
    {
        if ($dish->lastStage()->end === StageEnd::Tender) {
            // By its core past where it is tender, which a coarser run may be a little below.
            $dish = $dish->through([...array_slice($dish->stages, 0, -1), $dish->lastStage()->onToTheCore()]);
        }
        $cook = Cook::of($dish, $airC, Resolution::coarse(), $course, $as ?? self::as($pace));
        $trace = $cook->body->record(false);
        $cook->toPull(min(self::HOTTEST_C, $untilC + self::PAST_K));

        return $trace;
    }

    private static function length(Trace $alone, float $startC, float $untilC): float
    {
        return max(1.0, $alone->reaches($untilC - self::ROUNDING_K)
            ?? self::HALVES * ($alone->reaches(0.5 * ($startC + $untilC)) ?? $alone->endS()));
    }

    /** @return list<float> share of the way by step of CourseShapes */
    private static function way(Trace $alone, float $lengthS, float $startC, float $untilC): array
    {
        return array_map(
            fn (int $i): float => ($alone->coreAt($lengthS * CourseShapes::PAST * $i / CourseShapes::STEPS) - $startC) / max(1.0, $untilC - $startC),
            range(0, CourseShapes::STEPS),
        );
    }
}
