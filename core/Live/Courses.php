<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Cooking\Uncertainty;
use Diatherm\Measure\Spread;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Stage;
use Diatherm\Roast\StageEnd;
use LogicException;

/**
 * Thousands of courses that a cook may take, weighed by what was read. A course has a shape (CourseShapes), a pace about the plan's, and
 * a clock that knows what befell the cook (CookClock): as its cooker was logged, or fallen since. The plan says how long it may take; the
 * shape of the way is mostly not the model's, which has more of a say where the heat changes on the way.
 * Sources: Gordon, Salmond & Smith 1993 (weighed courses in place of a formula); Kennedy & O'Hagan 2001 (a discrepancy of the model).
 */
final readonly class Courses
{
    /** No plan is surer of its pace than this, one deviation of the logarithm. Against practice. */
    private const LEAST_DOUBT = 0.2;

    /** How much a cook's length goes with its heat transfer and its thickness, as powers. Common practice. */
    public const BY_TRANSFER = 0.7;

    private const BY_THICKNESS = 2.0;

    /** So many of the shapes are about the model's own course, and more where the heat changes on the way; one in so many is tried so. */
    private const AS_MODELLED = 0.2;

    private const AS_MODELLED_CHANGING = 0.5;

    private const MODELLED_SHAPES = 3;

    /** So many, drawn by their weight, show the core's way, at so many moments. Each has as many of the others to either side. */
    private const DRAWN = 60;

    private const MOMENTS = 36;

    /** Its way is shown closely until so many times its hour. */
    private const PAST_HOUR = 1.15;

    /** A course reaches no less than this, K. */
    private const LEAST_REACH_K = 3.0;

    /**
     * @param  float  $lengthS  of the plan, left alone
     * @param  float  $spanS  that is followed
     * @param  list<array{way: list<float>, pace: float, clock: CookClock}>  $drawn  by their weight, quick ones first
     * @param  array{Spread, Spread}  $arrives  as logged, and fallen
     * @param  float  $fallen  how likely it is that the cooker has fallen, 0 to 1
     * @param  bool  $supposesFall  whether its hour supposes that
     * @param  Surprise|null  $surprise  of the newest reading; null where nothing was read
     */
    private function __construct(
        private float $startC,
        private float $reachK,
        private float $lengthS,
        private float $spanS,
        private CourseHours $hours,
        private array $drawn,
        private array $arrives,
        public float $fallen,
        public bool $supposesFall,
        public ?Surprise $surprise,
    ) {
    }

    /**
     * @param  list<Reading>  $readings  on the heat, in order of time, those that count
     * @param  float  $untilC  the core at which it is there
     * @param  float  $lengthS  how long the plan has it take to there, left alone
     * @param  list<float>  $modelledWay  share of its way by even step, as the model has it
     * @param  non-empty-list<CookClock>  $clocks  as logged, then fallen
     * @param  float  $odds  of a fall
     * @param  float  $earliestS  none is there before
     */
    public static function weighed(
        Dish $dish,
        array $readings,
        float $untilC,
        float $lengthS,
        array $modelledWay,
        array $clocks,
        float $odds,
        float $earliestS,
    ): self {
        $reachK = max(self::LEAST_REACH_K, $untilC - $dish->startC);
        $shapes = self::shapes($dish, $reachK, $modelledWay);
        $gains = Drift::through($readings, $lengthS)->gains;
        $readK = array_map(fn (Reading $one): float => $one->celsius - $dish->startC, $readings);
        [$fits, $surprise] = (new CourseFitting($shapes, $readings, $readK, $gains, $reachK, $lengthS, self::doubt($dish)))->fits($clocks, $odds);
        $best = CourseFit::best($fits);
        assert($best !== null);
        $fits = array_values(array_filter($fits, fn (CourseFit $one): bool => $one->fit > $best->fit - CourseFitting::HOPELESS));
        // Where no course meets the readings, what sets them off is as large as it has to be: the hour is less sure, and no other.
        $strain = $readings === [] ? 1.0 : max(1.0, 2.0 * ($best->prior - $best->fit) / count($readings));
        $hours = CourseHours::of($fits, $best->fit, 1.0, $clocks, $lengthS, $earliestS);
        $newest = $readings === [] ? null : [$readings[count($readings) - 1]->celsius, $gains[count($gains) - 1][3]];
        $arrives = $newest === null ? [$hours->arrive(false), $hours->arrive(true)] : $hours->neverLaterForWarmer($newest);
        if ($strain > 1.0) {
            $strained = $hours->strained($strain);
            $arrives = [self::widened($arrives[0], $strained->arrive(false)), self::widened($arrives[1], $strained->arrive(true))];
        }
        $fallen = $hours->fallen();
        // A fall after which it never gets there gives no hour to go by.
        $supposesFall = $fallen > 0.5 && $arrives[1]->likely < $clocks[0]->spanS;

        return new self(
            $dish->startC, $reachK, $lengthS, $clocks[0]->spanS, $hours, self::drawn($fits, $hours->weights, $shapes, $clocks, $supposesFall),
            $arrives, $fallen, $supposesFall, $surprise,
        );
    }

    private static function widened(Spread $one, Spread $by): Spread
    {
        return Spread::of(min($one->low, $by->low), $one->likely, max($one->high, $by->high));
    }

    /** When it is there, s; the end of what is followed where it does not come to it. As it is likelier where nothing is said. */
    public function arrives(?bool $fallen = null): Spread
    {
        return $this->arrives[($fallen ?? $this->supposesFall) ? 1 : 0];
    }

    /** When it is there if its cooker is put right now, s, by the clock of that. */
    public function arrivesBy(CookClock $clock): Spread
    {
        return $this->hours->arriveBy($clock, $this->lengthS);
    }

    /** Whether it is as likely as not to come to its number within what is followed. */
    public function comesToIt(?bool $fallen = null): bool
    {
        return $this->arrives($fallen)->likely < $this->spanS;
    }

    /** How many times as long as the plan it takes, left alone. */
    public function pace(): Spread
    {
        return $this->hours->paces($this->supposesFall);
    }

    /**
     * The core as likely as not from a moment on, until long after it is there; it is there at its likely hour.
     *
     * @return list<array{float, float}> seconds and °C
     */
    public function ahead(float $fromS, float $toS): array
    {
        $arrivesS = $this->arrives()->likely;
        $closelyS = max($fromS + 1.0, min($toS, self::PAST_HOUR * $arrivesS));
        $points = array_map(
            fn (array $one): array => [$one[0], $one[1]->likely],
            [...$this->way($fromS, $closelyS), ...$this->way($closelyS, max($closelyS, $toS))],
        );
        // A few courses show the way of all: their hour is a little beside it. Up to it their way is stretched, and beyond it moved.
        $thereS = $this->thereS($points);
        if ($thereS === null || $thereS <= $fromS + 1.0) {
            return $points;
        }
        $stretch = max(1.0, $arrivesS - $fromS) / ($thereS - $fromS);
        $before = $after = [];
        foreach ($points as [$seconds, $celsius]) {
            if ($seconds < $thereS - 1.0) {
                $before[] = [$fromS + $stretch * ($seconds - $fromS), $celsius];
            } elseif ($seconds > $thereS + 1.0) {
                $after[] = [$fromS + $stretch * ($thereS - $fromS) + $seconds - $thereS, $celsius];
            }
        }

        return [...$before, [$fromS + $stretch * ($thereS - $fromS), $this->startC + $this->reachK], ...$after];
    }

    /**
     * The core as likely as not, and its tenths, at even moments from one to another.
     *
     * @return non-empty-list<array{float, Spread}>
     */
    public function way(float $fromS, float $toS, int $steps = self::MOMENTS): array
    {
        $tenth = intdiv(self::DRAWN, 10);

        return array_map(function (int $i) use ($fromS, $toS, $steps, $tenth): array {
            $seconds = $fromS + ($toS - $fromS) * $i / max(1, $steps);
            $cores = array_map(fn (array $one): float => $this->startC + $this->reachK * CourseShapes::at(
                $one['way'], $one['clock']->at($seconds, $one['pace']) / ($one['pace'] * $this->lengthS),
            ), $this->drawn);
            sort($cores);

            return [$seconds, Spread::of($cores[$tenth], 0.5 * ($cores[5 * $tenth - 1] + $cores[5 * $tenth]), $cores[9 * $tenth - 1])];
        }, range(0, $steps));
    }

    /** @param  list<array{float, float}>  $points  seconds and °C */
    private function thereS(array $points): ?float
    {
        $untilC = $this->startC + $this->reachK;
        foreach ($points as $i => [$seconds, $celsius]) {
            if ($i > 0 && $celsius >= $untilC) {
                [$beforeS, $beforeC] = $points[$i - 1];

                return $beforeS + ($seconds - $beforeS) * ($untilC - $beforeC) / max(1e-9, $celsius - $beforeC);
            }
        }

        return null;
    }

    /**
     * @param  list<CourseFit>  $fits
     * @param  list<float>  $weights
     * @param  list<array{float, list<float>}>  $shapes
     * @param  non-empty-list<CookClock>  $clocks
     * @return list<array{way: list<float>, pace: float, clock: CookClock}>
     */
    private static function drawn(array $fits, array $weights, array $shapes, array $clocks, bool $fallen): array
    {
        $those = array_filter($fits, fn (CourseFit $one): bool => ($one->clock > 0) === $fallen) ?: $fits;
        uasort($those, fn (CourseFit $a, CourseFit $b): int => $a->logPace <=> $b->logPace);
        $all = array_sum(array_intersect_key($weights, $those));
        $drawn = [];
        $gone = 0.0;
        foreach ($those as $n => $one) {
            $gone += $weights[$n];
            while (count($drawn) < self::DRAWN && $gone >= (count($drawn) + 0.5) / self::DRAWN * $all * (1.0 - 1e-12)) {
                $drawn[] = ['way' => CourseShapes::ofTheCore($shapes[$one->shape][1]), 'pace' => exp($one->logPace), 'clock' => $clocks[$one->clock]];
            }
        }

        return array_pad($drawn, self::DRAWN, $drawn[count($drawn) - 1] ?? throw new LogicException('No course was tried.'));
    }

    /**
     * @param  list<float>  $modelledWay
     * @return list<array{float, list<float>}>
     */
    private static function shapes(Dish $dish, float $reachK, array $modelledWay): array
    {
        $heats = array_values(array_filter($dish->stages, fn (Stage $stage): bool => ! $stage->cooker->isRest()));
        $hottestC = array_reduce($heats === [] ? $dish->stages : $heats, fn (float $most, Stage $stage): float => max($most, $stage->cookerC), -INF);
        $plain = CourseShapes::of($reachK / max($reachK + 1.0, $hottestC - $dish->startC));
        $changes = count($heats) > 1 || $dish->isBuried() || $dish->lastStage()->end === StageEnd::Tender;
        $share = $changes ? self::AS_MODELLED_CHANGING : self::AS_MODELLED;
        $shapes = $few = [];
        foreach ($plain as $k => [$usual, $way]) {
            $shapes[] = [$usual + log(1.0 - $share), $way];
            if ($k % self::MODELLED_SHAPES === 0) {
                $few[] = [$usual + log(self::MODELLED_SHAPES), $way];
            }
        }

        return [...$shapes, ...CourseShapes::about($modelledWay, $few, log($share))];
    }

    /** One deviation of the logarithm of its length. */
    private static function doubt(Dish $dish): float
    {
        $by = sqrt(
            (self::BY_TRANSFER * log(1.0 + Uncertainty::transfer($dish))) ** 2
            + (self::BY_THICKNESS * log(1.0 + Uncertainty::thickness($dish))) ** 2
            + log(1.0 + Uncertainty::kind($dish)) ** 2,
        );

        return max(self::LEAST_DOUBT, $by / Uncertainty::DEVIATIONS);
    }
}
