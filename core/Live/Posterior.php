<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Cooking\Coast;
use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Uncertainty;
use Diatherm\Cooking\Variation;
use Diatherm\Heat\Resolution;
use Diatherm\Heat\Trace;
use Diatherm\Measure\Spread;
use Diatherm\Roast\Dish;

/**
 * What readings make of the uncertain inputs of a cook: heat transfer, thickness, start, how far off the core the probe
 * sits, and a cooker that wanders.
 *
 * All are normal beforehand, the wandering heat as an Ornstein–Uhlenbeck process at even knots; a cooker that has fallen is a
 * way of its own beside it, weighed by how well the readings fit. The core's course is taken as linear in them: one run for
 * each gives its slope (some twenty in all), Gauss and Newton find where the readings put them, and each way that the cooker
 * may have gone is held about a run of its own.
 * Source: Rasmussen & Williams 2006, chapter 2 (linear–normal inference).
 */
final readonly class Posterior
{
    /** Moments at which runs are compared. */
    private const GRID = 72;

    /** Runs are followed so many times as long as the first one takes, and at least so long past now, s. */
    private const BEYOND = 1.6;

    private const FAR = 2.5;

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

    /**
     * A cooker that nobody looks at falls by such a share of its rise, in so many cooks of a hundred within an hour or two,
     * so that its band holds when it has: coals go under, a door stays ajar, a lid slips. Common practice.
     */
    private const FALLS = 0.22;

    private const FALLS_ODDS = 0.42;

    /** One that was read is as likely as that to have fallen after so long, s. Common practice. */
    private const FALLS_WITHIN_S = 3600.0;

    /** Falls are looked for at no more moments than so many: each has a run of its own. */
    private const MOST_FALLS = 4;

    /** Readings closer together than this share what they tell, s: a model is off in the same way from one to the next. */
    private const APART_S = 600.0;

    /**
     * Where between the core and a quarter of the way out a probe sits, squared as the temperature goes there: mean and
     * deviation. Worked by hand for any place alike.
     */
    private const PROBE_MEAN = 0.33;

    private const PROBE_DEVIATION = 0.3;

    private const TENTH = 0.1;

    /** Places of the inputs: transfer, thickness, start, probe; the heat's knots follow. */
    private const PROBE = 3;

    private const HEAT = 4;

    /**
     * @param  array<int, float>  $mean  of the inputs, standard deviations from what was planned
     * @param  array<int, float>  $seconds  the grid
     * @param  non-empty-list<Way>  $ways  that the cooker may have gone
     * @param  array<int, float>  $deviations  of the core about each, on the grid
     * @param  array<int, array<int, float>>  $slopes  of the core with each input, on the grid
     */
    private function __construct(
        private Dish $dish,
        public array $mean,
        private array $seconds,
        private array $ways,
        private array $deviations,
        private array $slopes,
        private float $knotS,
    ) {
    }

    /**
     * @param  list<Reading>  $readings  those that count
     * @param  float  $untilC  what the core is followed to
     * @param  float|null  $pullC  where it comes off, which the slow end too has to come to; null for there
     */
    public static function of(Dish $dish, float $airC, Course $course, array $readings, float $untilC, ?float $pullC = null): self
    {
        $first = Cook::of($dish, $airC, Resolution::coarse(), $course);
        $stuck = $first->toPull($untilC) !== null;
        $endS = $course->pulledS ?? max(
            $course->nowS + self::PAST_NOW_S,
            $stuck ? $course->nowS + self::HOPELESS_S : self::BEYOND * $first->body->elapsedS(),
        );
        $posterior = self::followed($dish, $airC, $course, $readings, $endS);
        // A cooker that has fallen takes longer than anybody planned to follow.
        if ($course->pulledS === null && ! $stuck && $posterior->reaches($pullC ?? $untilC)->high >= 0.99 * $endS) {
            return self::followed($dish, $airC, $course, $readings, self::FAR * $endS);
        }

        return $posterior;
    }

    /** @param  list<Reading>  $readings */
    private static function followed(Dish $dish, float $airC, Course $course, array $readings, float $endS): self
    {
        $knotS = max(self::CLOSEST_KNOT_S, $endS / self::BEYOND / self::KNOTS);
        $count = self::HEAT + (int) ceil($endS / $knotS) + 1;
        $lastS = $course->pulledS === null ? $endS : $course->pulledS + max(0.0, $course->nowS - $course->pulledS) + Coast::FOLLOWED_REST_S;
        $seconds = array_map(fn (int $i): float => $lastS * $i / (self::GRID - 1), range(0, self::GRID - 1));
        $followed = new Course($course->cookerReadings, $course->lifts, $course->stageStarts, $endS, $course->nowS, offs: $course->offs);
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
        $planned = array_fill(0, $count, 0.0);
        $ways = array_map(
            fn (array $odds): Way => Way::expected($odds[0], $odds[1]),
            self::expected($planned, $knotS, $course, $readings !== []),
        );
        $middle = $run($planned);
        [$slopes, $told] = self::slopes($run, $middle, $planned, $readings, $seconds);
        $ways = Way::weighed(
            array_map(fn (Way $way): Way => self::settled($way, $planned, $middle, $precision, $slopes, $told, $readings, $seconds), $ways),
        );
        if ($readings !== []) {
            // Once it is known about where, each way has a run of its own there: a fall is too far off for slopes alone.
            $ways = Way::weighed(
                array_map(
                    fn (Way $way): Way => self::settled(
                        $way,
                        $way->mean,
                        $run($way->mean),
                        $precision,
                        $slopes,
                        $told,
                        $readings,
                        $seconds,
                    ),
                    $ways,
                ),
            );
        }
        // What is over has no fork ahead: there the middle of all ways is what was learnt.
        $base = $course->pulledS === null ? Way::middle(Way::likelier($ways)) : Way::middle($ways);
        $deviations = array_map(fn (int $j): float => self::deviation($ways[0]->covariance, $slopes, $j), range(0, self::GRID - 1));

        return new self($dish, $base, $seconds, $ways, $deviations, $slopes, $knotS);
    }

    /**
     * The core's slope with each input, on the grid and at each reading.
     *
     * @param  callable(array<int, float>): Trace  $run
     * @param  array<int, float>  $base
     * @param  list<Reading>  $readings
     * @param  array<int, float>  $seconds
     * @return array{array<int, array<int, float>>, array<int, array<int, float>>}
     */
    private static function slopes(callable $run, Trace $middle, array $base, array $readings, array $seconds): array
    {
        $slopes = $told = [];
        foreach (array_keys($base) as $k) {
            if ($k === self::PROBE) {
                $slopes[] = array_fill(0, self::GRID, 0.0);
                $told[] = array_map(
                    fn (Reading $reading): float => self::PROBE_DEVIATION * (
                        $middle->nearAt($reading->seconds) - $middle->coreAt($reading->seconds)
                    ),
                    $readings,
                );

                continue;
            }
            $moved = $base;
            $moved[$k] += 1.0;
            $other = $run($moved);
            $slopes[] = array_map(fn (float $s): float => $other->coreAt($s) - $middle->coreAt($s), $seconds);
            $told[] = array_map(
                fn (Reading $reading): float => $other->coreAt($reading->seconds) - $middle->coreAt($reading->seconds),
                $readings,
            );
        }

        return [$slopes, $told];
    }

    /**
     * One way that the cooker may have gone, as the readings leave it.
     *
     * @param  array<int, float>  $about  inputs of the run
     * @param  array<int, array<int, float>>  $precision  of the inputs beforehand
     * @param  array<int, array<int, float>>  $slopes  on the grid
     * @param  array<int, array<int, float>>  $told  slopes at each reading
     * @param  list<Reading>  $readings
     * @param  array<int, float>  $seconds
     */
    private static function settled(
        Way $way,
        array $about,
        Trace $run,
        array $precision,
        array $slopes,
        array $told,
        array $readings,
        array $seconds,
    ): Way {
        $said = array_map(function (Reading $reading) use ($run, $about): float {
            $core = $run->coreAt($reading->seconds);

            return $reading->celsius - $core - (
                self::PROBE_MEAN + self::PROBE_DEVIATION * $about[self::PROBE]
            ) * ($run->nearAt($reading->seconds) - $core);
        }, $readings);
        [$mean, $covariance, $fit] = NormalEquations::settle($precision, $way->expected, $about, $told, $said, self::share($readings));
        $coreC = array_map($run->coreAt(...), $seconds);
        foreach ($slopes as $k => $slope) {
            $by = $mean[$k] - $about[$k];
            foreach ($slope as $j => $one) {
                $coreC[$j] += $one * $by;
            }
        }

        return $way->settled($mean, $covariance, $coreC, $fit);
    }

    /**
     * The ways that the cooker may have gone: as it was set, or fallen at a knot since it was last looked at.
     *
     * @param  array<int, float>  $planned
     * @return non-empty-list<array{float, array<int, float>}> how likely, and what is expected of the inputs
     */
    private static function expected(array $planned, float $knotS, Course $course, bool $read): array
    {
        $looked = $course->cookerReadings === [] ? 0.0 : $course->cookerReadings[count($course->cookerReadings) - 1][0];
        $first = (int) floor($looked / $knotS) + 1;
        $last = (int) floor($course->nowS / $knotS) + 1;
        // One that was looked at just now has hardly had the time to fall; what a correction brings is still to come.
        $since = $course->nowS - $looked;
        if (! $read || $last < $first || $since <= 0.0) {
            return [[1.0, $planned]];
        }
        $odds = self::FALLS_ODDS * min(
            1.0,
            $course->cookerReadings === [] ? $since / self::FORGETS_S + 0.5 : $since / self::FALLS_WITHIN_S,
        );
        $count = min(self::MOST_FALLS, $last - $first + 1);
        $ways = [[1.0 - $odds, $planned]];
        for ($n = 0; $n < $count; $n++) {
            $knot = $first + (int) round(($last - $first) * ($count === 1 ? 0.0 : $n / ($count - 1)));
            $fallen = $planned;
            for ($k = self::HEAT + $knot; $k < count($planned); $k++) {
                $fallen[$k] = -self::FALLS / self::WANDERS;
            }
            $ways[] = [$odds / $count, $fallen];
        }

        return $ways;
    }

    /** How likely it is that the cooker has fallen, 0 to 1. */
    public function fallen(): float
    {
        return 1.0 - $this->ways[0]->weight;
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
        foreach ($this->ways[0]->covariance as $row) {
            $toward[] = array_sum(array_map(fn (float $c, array $slope): float => $c * $slope[$j], $row, $this->slopes));
        }
        $variance = array_sum(array_map(fn (float $one, array $slope): float => $one * $slope[$j], $toward, $this->slopes));
        $away = Uncertainty::DEVIATIONS / sqrt(max(1e-12, $variance));

        return self::variation(
            $this->dish,
            array_map(fn (float $mean, float $one): float => $mean - $away * $one, $this->mean, $toward),
            $this->knotS,
        );
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

        return Spread::of(min($at[0], $at[1]), $at[1], max($at[1], $at[2]));
    }

    /** The core at a moment with one input so many deviations from what was planned, by the slopes alone, °C. */
    public function guessedC(float $seconds, int $input, float $by): float
    {
        [$i, $j, $share] = $this->between($seconds);
        $at = fn (int $k): float => $this->ways[0]->coreC[$k] + $by * $this->slopes[$input][$k];

        return $at($i) + $share * ($at($j) - $at($i));
    }

    /**
     * When the core reaches a temperature, s: as likely as not, and when one in ten has and nine in ten have; the end of
     * what is followed where it does not.
     */
    public function reaches(float $celsius): Spread
    {
        $times = [];
        foreach ([1.0 - self::TENTH, 0.5, self::TENTH] as $quantile) {
            $before = null;
            $found = $this->seconds[self::GRID - 1];
            foreach ($this->seconds as $j => $s) {
                $core = $this->quantile($j, $quantile);
                if ($core >= $celsius) {
                    $found = $before === null
                        ? $s
                        : $before[0] + ($s - $before[0]) * ($celsius - $before[1]) / max(1e-9, $core - $before[1]);
                    break;
                }
                $before = [$s, $core];
            }
            $times[] = $found;
        }

        return Spread::of(min($times[0], $times[1]), $times[1], max($times[1], $times[2]));
    }

    /** Whether the core is as likely as not to come to a temperature within what is followed; where it is not, its hour is unknown. */
    public function comesTo(float $celsius): bool
    {
        return $this->reaches($celsius)->likely < $this->seconds[self::GRID - 1];
    }

    /** Of the core at a moment of the grid, over all ways that the cooker may have gone. */
    private function quantile(int $j, float $quantile): float
    {
        $deviation = $this->deviations[$j];
        $ways = $quantile === 0.5 ? Way::likelier($this->ways) : $this->ways;
        $cores = array_map(fn (Way $way): float => $way->coreC[$j], $ways);
        if (count($cores) < 2 || $deviation < 1e-6) {
            return $cores[0] + $deviation * self::normal($quantile);
        }
        $all = array_sum(array_map(fn (Way $way): float => $way->weight, $ways));
        [$low, $high] = [min($cores) - 3.0 * $deviation, max($cores) + 3.0 * $deviation];
        for ($round = 0; $round < 24; $round++) {
            $middle = 0.5 * ($low + $high);
            $below = 0.0;
            foreach ($ways as $k => $way) {
                // Logistic in place of the normal's integral, off by less than a hundredth. Source: Bowling et al. 2009.
                $z = ($middle - $cores[$k]) / $deviation;
                $below += $way->weight / (1.0 + exp(-1.5976 * $z - 0.070566 * $z ** 3));
            }
            $below < $quantile * $all ? $low = $middle : $high = $middle;
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
        $j = max(1, $this->place($seconds));

        return [$j - 1, $j, min(1.0, max(0.0, $seconds / max(1e-9, $this->seconds[1]) - $j + 1))];
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
            exp($at[0] * $one * log(1.0 + Uncertainty::transfer($dish))),
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
            $i = self::HEAT + (int) min($count - self::HEAT - 2, floor($at));
            $share = min(1.0, $at - ($i - self::HEAT));
            foreach ([$i => 1.0 - $share, $i + 1 => $share] as $a => $one) {
                foreach ([$i => 1.0 - $share, $i + 1 => $share] as $b => $two) {
                    $precision[$a][$b] += $read * $one * $two;
                }
            }
        }

        return $precision;
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
}
