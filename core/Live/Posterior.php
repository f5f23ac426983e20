<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Heat\Resolution;
use Diatherm\Heat\Trace;
use Diatherm\Measure\Spread;
use Diatherm\Plan\Coast;
use Diatherm\Plan\Cook;
use Diatherm\Plan\Course;
use Diatherm\Plan\Dish;
use Diatherm\Plan\Uncertainty;
use Diatherm\Plan\Variation;

/**
 * What readings make of the uncertain inputs of a cook: heat transfer, thickness, start, how far off the core the probe
 * sits, and a cooker that wanders.
 *
 * All are normal beforehand, the wandering heat as an Ornstein–Uhlenbeck process at even knots whose jumps may be great now and then. The core's course is taken
 * as linear in them about the likeliest values: one run for each of them gives its slope (a few dozen runs in all), and two
 * rounds of Gauss and Newton find where the readings put them. A stray reading loses its pull (Student's t, by reweighing).
 * Source: Rasmussen & Williams 2006, chapter 2 (linear–normal inference); Gelman et al., Bayesian Data Analysis, chapter 17 (t by reweighing).
 */
final readonly class Posterior
{
    /** Moments at which runs are compared. */
    private const GRID = 72;

    /** Runs are followed so many times as long as the first one takes, and at least so long past now, s. */
    private const BEYOND = 1.6;

    private const PAST_NOW_S = 3600.0;

    /** A core that never gets there is followed no longer, s. */
    private const HOPELESS_S = 8 * 3600.0;

    /** A knot of the heat for each sixth of the cook, but no closer, s. */
    private const KNOTS = 6.0;

    private const CLOSEST_KNOT_S = 600.0;

    /** An unread cooker is off by such a share of its rise, one standard deviation, and forgets it over so long, s. Common practice. */
    private const WANDERS = 0.07;

    private const FORGETS_S = 7200.0;

    /** One that was read is known to this share of its rise. Common practice. */
    private const READ_TO = 0.02;

    /** A cooker that nobody looks at falls by such a share of its rise, in so many cooks of a hundred within an hour or two: coals go under, a door stays ajar, a lid slips. Common practice. */
    private const FALLS = 0.22;

    private const FALLS_ODDS = 0.18;

    /** Scatter of a reading: the probe, and what the model leaves out, K. Common practice. */
    private const SCATTER_K = 1.0;

    /** Readings closer together than this share what they tell, s: a model is off in the same way from one to the next. */
    private const APART_S = 600.0;

    /** Degrees of freedom of Student's t. */
    private const FREEDOM = 4.0;

    /** Where between the core and a quarter of the way out a probe sits, squared as the temperature goes there: mean and deviation. Worked by hand for any place alike. */
    private const PROBE_MEAN = 0.33;

    private const PROBE_DEVIATION = 0.3;

    private const ROUNDS = 2;

    private const REWEIGHINGS = 4;

    private const TENTH = 0.1;

    /** Places of the inputs: transfer, thickness, start, probe; the heat's knots follow. */
    private const PROBE = 3;

    private const HEAT = 4;

    /**
     * @param  array<int, float>  $mean  of the inputs, standard deviations from what was planned
     * @param  array<int, array<int, float>>  $covariance
     * @param  array<int, float>  $seconds  the grid
     * @param  array<int, array{float, array<int, float>}>  $courses  weight and core on the grid, one for each way that the cooker may have gone
     * @param  array<int, float>  $deviations  of the core about each, on the grid
     * @param  array<int, array<int, float>>  $slopes  of the core with each input, on the grid
     * @param  float  $fallen  how likely it is that the cooker has fallen, 0 to 1
     */
    private function __construct(
        private Dish $dish,
        public array $mean,
        private array $covariance,
        private array $seconds,
        private array $courses,
        private array $deviations,
        private array $slopes,
        private float $knotS,
        public float $fallen,
    ) {
    }

    /**
     * @param  list<Reading>  $readings  those that count
     * @param  float  $untilC  what the core is to come to
     */
    public static function of(Dish $dish, float $airC, Course $course, array $readings, float $untilC): self
    {
        $first = Cook::of($dish, $airC, Resolution::coarse(), $course);
        $stuck = $first->toPull($untilC) !== null;
        $endS = $course->pulledS ?? max($course->nowS + self::PAST_NOW_S, $stuck ? $course->nowS + self::HOPELESS_S : self::BEYOND * $first->body->elapsedS());
        $knotS = max(self::CLOSEST_KNOT_S, $endS / self::BEYOND / self::KNOTS);
        $count = self::HEAT + (int) ceil($endS / $knotS) + 1;
        $lastS = $course->pulledS === null ? $endS : $course->pulledS + max(0.0, $course->nowS - $course->pulledS) + Coast::FOLLOWED_REST_S;
        $seconds = array_map(fn (int $i): float => $lastS * $i / (self::GRID - 1), range(0, self::GRID - 1));
        $followed = new Course($course->cookerReadings, $course->lifts, $course->stageStarts, $endS, $course->nowS);
        $run = function (array $at) use ($dish, $airC, $followed, $knotS, $lastS, $endS): Trace {
            /** @var array<int, float> $at */
            $cook = Cook::of($dish, $airC, Resolution::coarse(), $followed, self::variation($dish, $at, $knotS));
            $trace = $cook->body->record(false);
            $cook->toPull(INF);
            if ($lastS > $endS) {
                $cook->rest($lastS - $endS);
            }

            return $trace;
        };
        $precision = self::beforehand($count, $knotS, $course);
        $mean = array_fill(0, $count, 0.0);
        [$base, $core, $slopes, $ways] = [$mean, [], [], []];
        $rounds = $readings === [] ? 1 : self::ROUNDS;
        for ($round = 0; $round < $rounds; $round++) {
            $base = $mean;
            $middle = $run($base);
            $core = array_map($middle->coreAt(...), $seconds);
            $slopes = $at = [];
            $read = array_map(fn (Reading $reading): array => [$middle->coreAt($reading->seconds), $middle->nearAt($reading->seconds)], $readings);
            foreach (range(0, $count - 1) as $k) {
                if ($k === self::PROBE) {
                    $slopes[] = array_fill(0, self::GRID, 0.0);
                    $at[] = array_map(fn (array $one): float => self::PROBE_DEVIATION * ($one[1] - $one[0]), $read);

                    continue;
                }
                $moved = $base;
                $moved[$k] += 1.0;
                $other = $run($moved);
                $slopes[] = array_map(fn (float $s, float $c): float => $other->coreAt($s) - $c, $seconds, $core);
                $at[] = array_map(fn (Reading $reading, array $one): float => $other->coreAt($reading->seconds) - $one[0], $readings, $read);
            }
            $said = array_map(fn (Reading $reading, array $one): float => $reading->celsius - $one[0] - (self::PROBE_MEAN + self::PROBE_DEVIATION * $base[self::PROBE]) * ($one[1] - $one[0]), $readings, $read);
            $ways = self::ways($count, $knotS, $course, $precision, $base, $at, $said, self::share($readings));
            $mean = self::mixed(array_map(fn (array $way): array => [$way[0], $way[1]], $ways));
        }
        $courses = array_map(function (array $way) use ($core, $slopes, $base): array {
            $coreC = $core;
            foreach ($slopes as $k => $slope) {
                $by = $way[1][$k] - $base[$k];
                foreach ($slope as $j => $one) {
                    $coreC[$j] += $one * $by;
                }
            }

            return [$way[0], $coreC];
        }, $ways);
        $deviations = array_map(fn (int $j): float => self::deviation($ways[0][2], $slopes, $j), range(0, self::GRID - 1));

        return new self($dish, $mean, $ways[0][2], $seconds, $courses, $deviations, $slopes, $knotS, 1.0 - $ways[0][0]);
    }

    /**
     * The ways that the cooker may have gone, each with how likely it is by what was read: as it was set, or fallen at a knot
     * since it was last looked at.
     *
     * @param  array<int, array<int, float>>  $precision  of the inputs beforehand
     * @param  array<int, float>  $base
     * @param  array<int, array<int, float>>  $slopes
     * @param  array<int, float>  $said
     * @param  array<int, float>  $share
     * @return array<int, array{float, array<int, float>, array<int, array<int, float>>}> weight, mean and covariance
     */
    private static function ways(int $count, float $knotS, Course $course, array $precision, array $base, array $slopes, array $said, array $share): array
    {
        $looked = $course->cookerReadings === [] ? 0.0 : $course->cookerReadings[count($course->cookerReadings) - 1][0];
        $knots = [];
        for ($k = (int) floor($looked / $knotS) + 1; $k * $knotS <= $course->nowS; $k++) {
            $knots[] = $k;
        }
        $odds = $said === [] || $knots === [] ? 0.0 : self::FALLS_ODDS * min(1.0, ($course->nowS - $looked) / self::FORGETS_S + 0.5);
        $ways = [];
        foreach ([null, ...($odds > 0.0 ? $knots : [])] as $knot) {
            $prior = array_fill(0, $count, 0.0);
            for ($k = self::HEAT; $knot !== null && $k < $count; $k++) {
                $prior[$k] = $k - self::HEAT >= $knot ? -self::FALLS / self::WANDERS : 0.0;
            }
            [$mean, $covariance, $fit] = self::settle($precision, $prior, $base, $slopes, $said, $share);
            $ways[] = [$fit + log($knot === null ? 1.0 - $odds : $odds / count($knots)), $mean, $covariance];
        }
        $most = max(array_column($ways, 0));
        $all = array_sum(array_map(fn (array $way): float => exp($way[0] - $most), $ways));

        return array_map(fn (array $way): array => [exp($way[0] - $most) / $all, $way[1], $way[2]], $ways);
    }

    /**
     * @param  array<int, array{float, array<int, float>}>  $weighed
     * @return array<int, float>
     */
    private static function mixed(array $weighed): array
    {
        $mean = array_fill(0, count($weighed[0][1]), 0.0);
        foreach ($weighed as [$weight, $values]) {
            foreach ($values as $k => $value) {
                $mean[$k] += $weight * $value;
            }
        }

        return $mean;
    }

    /** The inputs in the middle. */
    public function middle(): Variation
    {
        return self::variation($this->dish, $this->mean, $this->knotS);
    }

    /** The inputs at the slow end, one in ten, of a core on its way through $celsius: as far as the readings leave them open. */
    public function slowEnd(float $celsius): Variation
    {
        $j = $this->place($this->reaches($celsius)->likely);
        $toward = [];
        foreach ($this->covariance as $row) {
            $toward[] = array_sum(array_map(fn (float $c, array $slope): float => $c * $slope[$j], $row, $this->slopes));
        }
        $variance = array_sum(array_map(fn (float $one, array $slope): float => $one * $slope[$j], $toward, $this->slopes));
        $away = Uncertainty::DEVIATIONS / sqrt(max(1e-12, $variance));

        return self::variation($this->dish, array_map(fn (float $mean, float $one): float => $mean - $away * $one, $this->mean, $toward), $this->knotS);
    }

    /** The core at a moment. */
    public function coreAt(float $seconds): Spread
    {
        [$i, $j, $share] = $this->between($seconds);
        $at = [];
        foreach ([self::TENTH, 0.5, 1.0 - self::TENTH] as $quantile) {
            [$before, $after] = [$this->quantile($i, $quantile), $this->quantile($j, $quantile)];
            $at[] = $before + $share * ($after - $before);
        }

        return Spread::of(...$at);
    }

    /** The core at a moment with one input so many deviations from what was planned, by the slopes alone, °C. */
    public function guessedC(float $seconds, int $input, float $by): float
    {
        [$i, $j, $share] = $this->between($seconds);
        $at = fn (int $k): float => $this->courses[0][1][$k] + $by * $this->slopes[$input][$k];

        return $at($i) + $share * ($at($j) - $at($i));
    }

    /** When the core reaches a temperature, s: as likely as not, and when one in ten has and nine in ten have; the end of what is followed where it does not. */
    public function reaches(float $celsius): Spread
    {
        $times = [];
        foreach ([1.0 - self::TENTH, 0.5, self::TENTH] as $quantile) {
            $before = null;
            $found = $this->seconds[self::GRID - 1];
            foreach ($this->seconds as $j => $s) {
                $core = $this->quantile($j, $quantile);
                if ($core >= $celsius) {
                    $found = $before === null ? $s : $before[0] + ($s - $before[0]) * ($celsius - $before[1]) / max(1e-9, $core - $before[1]);
                    break;
                }
                $before = [$s, $core];
            }
            $times[] = $found;
        }

        return Spread::of(min($times[0], $times[1]), $times[1], max($times[1], $times[2]));
    }

    /** Of the core at a moment of the grid, over all ways that the cooker may have gone. */
    private function quantile(int $j, float $quantile): float
    {
        $deviation = $this->deviations[$j];
        $cores = array_map(fn (array $course): float => $course[1][$j], $this->courses);
        if (count($cores) < 2 || $deviation < 1e-6) {
            return $cores[0] + $deviation * self::normal($quantile);
        }
        [$low, $high] = [min($cores) - 3.0 * $deviation, max($cores) + 3.0 * $deviation];
        for ($round = 0; $round < 24; $round++) {
            $middle = 0.5 * ($low + $high);
            $below = 0.0;
            foreach ($this->courses as $k => [$weight]) {
                // Logistic in place of the normal's integral, off by less than a hundredth. Source: Bowling et al. 2009.
                $z = ($middle - $cores[$k]) / $deviation;
                $below += $weight / (1.0 + exp(-1.5976 * $z - 0.070566 * $z ** 3));
            }
            $below < $quantile ? $low = $middle : $high = $middle;
        }

        return 0.5 * ($low + $high);
    }

    private static function normal(float $quantile): float
    {
        return $quantile === 0.5 ? 0.0 : ($quantile < 0.5 ? -1.0 : 1.0) * Uncertainty::DEVIATIONS;
    }

    /**
     * @param  array<int, array<int, float>>  $covariance
     * @param  array<int, array<int, float>>  $slopes
     */
    private static function deviation(array $covariance, array $slopes, int $j): float
    {
        $sum = 0.0;
        foreach ($covariance as $a => $row) {
            $slope = $slopes[$a][$j];
            if ($slope !== 0.0) {
                foreach ($row as $b => $c) {
                    $sum += $slope * $c * $slopes[$b][$j];
                }
            }
        }

        return sqrt(max(0.0, $sum));
    }

    /** @return array{int, int, float} the moments of the grid before and after, and how far it is from one to the other */
    private function between(float $seconds): array
    {
        $j = $this->place($seconds);
        $i = max(0, $j - 1);
        $width = $this->seconds[$j] - $this->seconds[$i];

        return [$i, $j, $width <= 0.0 ? 1.0 : min(1.0, max(0.0, ($seconds - $this->seconds[$i]) / $width))];
    }

    private function place(float $seconds): int
    {
        return (int) min(self::GRID - 1, max(0, ceil($seconds / max(1e-9, $this->seconds[1]))));
    }

    /** @param  array<int, float>  $at  standard deviations from what was planned */
    private static function variation(Dish $dish, array $at, float $knotS): Variation
    {
        $one = 1.0 / Uncertainty::DEVIATIONS;

        return Variation::of(
            exp($at[0] * $one * log(1.0 + Uncertainty::TRANSFER)),
            exp($at[1] * $one * log(1.0 + Uncertainty::thickness($dish))),
            max($at[2] * $one * Uncertainty::START_K, -4.5 - $dish->startC),
            array_map(fn (float $heat): float => max(0.1, 1.0 + self::WANDERS * $heat), array_slice($at, self::HEAT)),
            $knotS,
        );
    }

    /**
     * Precision of the inputs beforehand: each of one deviation; the heat's knots hang together, and near what was read of the
     * cooker its heat stands as it was read.
     *
     * @return array<int, array<int, float>>
     */
    private static function beforehand(int $count, float $knotS, Course $course): array
    {
        $precision = array_fill(0, $count, array_fill(0, $count, 0.0));
        for ($a = 0; $a <= self::HEAT; $a++) {
            $precision[$a][$a] = 1.0;
        }
        $keeps = exp(-$knotS / self::FORGETS_S);
        $sure = 1.0 / (1.0 - $keeps ** 2);
        for ($k = self::HEAT; $k < $count - 1; $k++) {
            $precision[$k][$k] += $sure * $keeps ** 2;
            $precision[$k + 1][$k + 1] += $sure;
            $precision[$k][$k + 1] -= $sure * $keeps;
            $precision[$k + 1][$k] -= $sure * $keeps;
        }
        $read = (self::WANDERS / self::READ_TO) ** 2;
        foreach ($course->cookerReadings as [$seconds]) {
            $at = $seconds / $knotS;
            $i = self::HEAT + (int) min($count - self::HEAT - 1, floor($at));
            $share = min(1.0, $at - ($i - self::HEAT));
            foreach ([$i => 1.0 - $share, $i + 1 => $share] as $a => $one) {
                foreach ([$i => 1.0 - $share, $i + 1 => $share] as $b => $two) {
                    if ($a < $count && $b < $count) {
                        $precision[$a][$b] += $read * $one * $two;
                    }
                }
            }
        }

        return $precision;
    }

    /**
     * Where readings put the inputs: the normal equations, solved anew as strays lose their pull.
     *
     * @param  array<int, array<int, float>>  $precision  beforehand
     * @param  array<int, float>  $prior  mean beforehand
     * @param  array<int, float>  $base  about which the slopes hold
     * @param  array<int, array<int, float>>  $slopes  of each reading with each input
     * @param  array<int, float>  $said  readings less what the run at $base says
     * @param  array<int, float>  $share  of a full reading that each one counts for
     * @return array{array<int, float>, array<int, array<int, float>>, float} mean, covariance, and how well all of it fits (log)
     */
    private static function settle(array $precision, array $prior, array $base, array $slopes, array $said, array $share): array
    {
        $count = count($base);
        $mean = $prior;
        $covariance = self::inverse($precision);
        $rest = $said;
        $told = array_map(fn (array $row): float => array_sum(array_map(fn (float $p, float $m): float => $p * $m, $row, $prior)), $precision);
        for ($round = 0; $round <= ($said === [] ? 0 : self::REWEIGHINGS); $round++) {
            foreach ($said as $i => $off) {
                $rest[$i] = $off;
                foreach ($slopes as $k => $slope) {
                    $rest[$i] -= $slope[$i] * ($mean[$k] - $base[$k]);
                }
            }
            if ($round === self::REWEIGHINGS || $said === []) {
                break;
            }
            [$left, $right] = [$precision, $told];
            foreach ($said as $i => $off) {
                $weight = $share[$i] * (self::FREEDOM + 1.0) / (self::FREEDOM + ($rest[$i] / self::SCATTER_K) ** 2) / self::SCATTER_K ** 2;
                foreach ($slopes as $k => $slope) {
                    $off += $slope[$i] * $base[$k];
                }
                for ($a = 0; $a < $count; $a++) {
                    $w = $weight * $slopes[$a][$i];
                    if ($w !== 0.0) {
                        $right[$a] += $w * $off;
                        for ($b = 0; $b < $count; $b++) {
                            $left[$a][$b] += $w * $slopes[$b][$i];
                        }
                    }
                }
            }
            $covariance = self::inverse($left);
            $mean = array_map(fn (array $row): float => array_sum(array_map(fn (float $c, float $r): float => $c * $r, $row, $right)), $covariance);
        }
        $fit = 0.0;
        foreach ($rest as $i => $off) {
            $fit -= $share[$i] * 0.5 * (self::FREEDOM + 1.0) * log1p(($off / self::SCATTER_K) ** 2 / self::FREEDOM);
        }
        foreach ($precision as $a => $row) {
            foreach ($row as $b => $one) {
                $fit -= 0.5 * $one * ($mean[$a] - $prior[$a]) * ($mean[$b] - $prior[$b]);
            }
        }

        return [$mean, $covariance, $fit];
    }

    /**
     * @param  list<Reading>  $readings
     * @return array<int, float>
     */
    private static function share(array $readings): array
    {
        $shares = [];
        foreach ($readings as $i => $reading) {
            $gap = min($reading->seconds - ($readings[$i - 1]->seconds ?? -INF), ($readings[$i + 1]->seconds ?? INF) - $reading->seconds);
            $shares[] = min(1.0, max(0.05, $gap / self::APART_S));
        }

        return $shares;
    }

    /**
     * Of a symmetric matrix that is positive definite, by Gauss and Jordan.
     *
     * @param  array<int, array<int, float>>  $matrix
     * @return array<int, array<int, float>>
     */
    private static function inverse(array $matrix): array
    {
        $count = count($matrix);
        $inverse = [];
        for ($a = 0; $a < $count; $a++) {
            $inverse[$a] = array_fill(0, $count, 0.0);
            $inverse[$a][$a] = 1.0;
        }
        for ($a = 0; $a < $count; $a++) {
            $pivot = $matrix[$a][$a];
            for ($b = 0; $b < $count; $b++) {
                $matrix[$a][$b] /= $pivot;
                $inverse[$a][$b] /= $pivot;
            }
            for ($i = 0; $i < $count; $i++) {
                if ($i !== $a && $matrix[$i][$a] !== 0.0) {
                    $factor = $matrix[$i][$a];
                    for ($b = 0; $b < $count; $b++) {
                        $matrix[$i][$b] -= $factor * $matrix[$a][$b];
                        $inverse[$i][$b] -= $factor * $inverse[$a][$b];
                    }
                }
            }
        }

        return $inverse;
    }
}
