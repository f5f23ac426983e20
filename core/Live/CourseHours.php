<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Measure\Spread;

/** When weighed courses are there: with their cooker as it was logged, and if it has fallen since. */
final readonly class CourseHours
{
    /** The newest reading is held against what it might have been in so many steps below it, K. */
    private const STEP_K = 1.5;

    private const STEPS = 4;

    private const WELL_TRIED = 6.0;

    /**
     * Courses by column, so that the many passes over them are short.
     *
     * @param  list<float>  $fits  of each, logarithm
     * @param  list<float>  $priors  of each, logarithm
     * @param  list<float>  $offsK  of each, newest reading less what the others let expect in it
     * @param  list<int>  $hourOf  number of the hour of each
     * @param  list<float>  $weights  of each
     * @param  list<array{arrivesS: float|null, pace: float, clock: int, weight: float}>  $hours  of one clock and one pace each
     * @param  float  $best  fit of the one that meets best what was read
     * @param  float  $likeliest  fit, to what was read, of the one that has most weight
     */
    private function __construct(
        private array $fits,
        private array $priors,
        private array $offsK,
        private array $hourOf,
        public array $weights,
        private array $hours,
        private float $best,
        private float $likeliest,
        private float $strain,
        private float $nowS,
        private float $spanS,
    ) {
    }

    /**
     * @param  list<CourseFit>  $fits
     * @param  float  $strain  by how much no course meets the readings; 1 where some does
     * @param  non-empty-list<CookClock>  $clocks
     * @param  float  $lengthS  of the plan
     * @param  float  $nowS  none is there before
     */
    public static function of(array $fits, float $best, float $strain, array $clocks, float $lengthS, float $nowS): self
    {
        $columns = [[], [], [], []];
        $hours = $numbers = [];
        foreach ($fits as $one) {
            $number = $numbers[$one->clock][(string) $one->logPace] ?? null;
            if ($number === null) {
                $pace = exp($one->logPace);
                $numbers[$one->clock][(string) $one->logPace] = $number = count($hours);
                $arrivesS = $clocks[$one->clock]->when($pace * $lengthS, $pace);
                $hours[] = ['arrivesS' => $arrivesS, 'pace' => $pace, 'clock' => $one->clock, 'weight' => 0.0];
            }
            $columns[0][] = $one->fit;
            $columns[1][] = $one->prior;
            $columns[2][] = $one->offK;
            $columns[3][] = $number;
        }

        $unweighed = new self(
            ...$columns, weights: [], hours: $hours, best: $best, likeliest: $best, strain: $strain, nowS: $nowS, spanS: $clocks[0]->spanS,
        );

        return $unweighed->had(0.0, 0.0);
    }

    /** The same where so much more sets the readings off. */
    public function strained(float $strain): self
    {
        return $this->weighed($this->weights, $this->hours, $this->best, $strain)->had(0.0, 0.0);
    }

    /**
     * The same had the newest reading been warmer by so much.
     *
     * @param  float  $precision  how much it tells, 1/K²
     */
    public function had(float $warmerK, float $precision): self
    {
        $perK = $precision * $warmerK;
        $most = -INF;
        $likeliest = $this->best;
        $logs = $weights = $hours = [];
        foreach ($this->fits as $n => $fit) {
            $logs[] = $log = $this->priors[$n] + ($fit - $this->priors[$n] - $perK * $this->offsK[$n]) / $this->strain;
            if ($log > $most) {
                [$most, $likeliest] = [$log, $fit];
            }
        }
        // Over the largest, so that none is too large or all are too small for a number.
        $by = array_fill(0, count($this->hours), 0.0);
        foreach ($logs as $n => $log) {
            $weights[] = $weight = exp($log - $most);
            $by[$this->hourOf[$n]] += $weight;
        }
        foreach ($this->hours as $number => $hour) {
            $hour['weight'] = $by[$number];
            $hours[] = $hour;
        }

        return $this->weighed($weights, $hours, $likeliest, $this->strain);
    }

    /**
     * The same courses weighed otherwise.
     *
     * @param  list<float>  $weights
     * @param  list<array{arrivesS: float|null, pace: float, clock: int, weight: float}>  $hours
     */
    private function weighed(array $weights, array $hours, float $likeliest, float $strain): self
    {
        return new self(
            $this->fits, $this->priors, $this->offsK, $this->hourOf, $weights, $hours, $this->best, $likeliest, $strain,
            $this->nowS, $this->spanS,
        );
    }

    /** How likely it is that the cooker has fallen, 0 to 1. */
    public function fallen(): float
    {
        $fallen = array_filter($this->hours, fn (array $one): bool => $one['clock'] > 0);

        return array_sum(array_column($fallen, 'weight')) / max(1e-300, array_sum(array_column($this->hours, 'weight')));
    }

    /** Their paces. */
    public function paces(bool $fallen): Spread
    {
        return self::spread(array_map(fn (array $one): array => [$one['pace'], $one['weight']], $this->those($fallen)));
    }

    /**
     * When they are there, s; the end of what is followed where they are not. The ends hold with and without a fall.
     */
    public function arrive(bool $fallen): Spread
    {
        // A fall after which it never gets there is an answer of its own, not the end of a band.
        $any = $this->when(array_filter($this->hours, fn (array $one): bool => $one['clock'] === 0 || $one['arrivesS'] !== null));
        $those = $this->when($this->those($fallen));

        return Spread::of(min($those->low, $any->low), $those->likely, max($those->high, $any->high));
    }

    /**
     * The same, and no later than it would be had the newest reading been colder. Shapes and paces hang together in ways that nobody would
     * follow: a warmer core could speak for a course that starts early and ends late.
     *
     * @param  array{float, float}  $newest  °C, and how much it tells, 1/K²
     * @return array{Spread, Spread} as logged, and fallen
     */
    public function neverLaterForWarmer(array $newest): array
    {
        [$readC, $precision] = $newest;
        $step = floor($readC / self::STEP_K);
        $share = $readC / self::STEP_K - $step;
        $had = $this->had(self::STEP_K * $step - $readC, $precision);
        [$logged, $fallen] = [$had->arrive(false), $had->arrive(true)];
        for ($k = 1; $k <= self::STEPS; $k++) {
            $had = $this->had(self::STEP_K * ($step - $k) - $readC, $precision);
            // Far from what was read, those that would meet it were not tried closely.
            if ($this->best - $had->likeliest > self::WELL_TRIED) {
                break;
            }
            [$logged, $fallen] = [self::earlier($logged, $had->arrive(false)), self::earlier($fallen, $had->arrive(true))];
        }
        $warmer = $this->had(self::STEP_K * ($step + 1.0) - $readC, $precision);

        return [
            self::partly($logged, self::earlier($logged, $warmer->arrive(false)), $share),
            self::partly($fallen, self::earlier($fallen, $warmer->arrive(true)), $share),
        ];
    }

    /** Between two, so much of the way. */
    private static function partly(Spread $one, Spread $other, float $share): Spread
    {
        $between = fn (float $from, float $to): float => $from + $share * ($to - $from);
        $likely = $between($one->likely, $other->likely);

        return Spread::of(min($likely, $between($one->low, $other->low)), $likely, max($likely, $between($one->high, $other->high)));
    }

    private static function earlier(Spread $one, Spread $other): Spread
    {
        return Spread::of(min($one->low, $other->low), min($one->likely, $other->likely), min($one->high, $other->high));
    }

    /** @param  array<int, array{arrivesS: float|null, pace: float, clock: int, weight: float}>  $hours */
    private function when(array $hours): Spread
    {
        return self::spread(array_map(fn (array $one): array => [max($this->nowS, $one['arrivesS'] ?? $this->spanS), $one['weight']], $hours));
    }

    /** When those as logged are there by another clock, s. */
    public function arriveBy(CookClock $clock, float $lengthS): Spread
    {
        return self::spread(array_map(
            fn (array $one): array => [max($this->nowS, $clock->when($one['pace'] * $lengthS, $one['pace']) ?? $this->spanS), $one['weight']],
            $this->those(false),
        ));
    }

    /** @return array<int, array{arrivesS: float|null, pace: float, clock: int, weight: float}> all, where there is none of those */
    private function those(bool $fallen): array
    {
        $those = array_filter($this->hours, fn (array $one): bool => ($one['clock'] > 0) === $fallen);

        return $those === [] ? $this->hours : $those;
    }

    /** @param  array<array{float, float}>  $all  values and weights */
    private static function spread(array $all): Spread
    {
        usort($all, fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $sum = array_sum(array_column($all, 1));
        $found = [];
        foreach ([0.1, 0.5, 0.9] as $share) {
            $before = null;
            $gone = 0.0;
            $value = $all[count($all) - 1][0] ?? 0.0;
            foreach ($all as [$one, $weight]) {
                // Half of each lies to either side of it.
                $middle = $gone + 0.5 * $weight;
                if ($middle >= $share * $sum) {
                    $value = $before === null ? $one : $before[0] + ($one - $before[0]) * ($share * $sum - $before[1]) / max(1e-300, $middle - $before[1]);
                    break;
                }
                $before = [$one, $middle];
                $gone += $weight;
            }
            $found[] = $value;
        }

        return Spread::of(min($found[0], $found[1]), $found[1], max($found[1], $found[2]));
    }
}
