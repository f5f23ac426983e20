<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Heat\Resolution;
use Diatherm\Heat\Trace;
use Diatherm\Plan\Coast;
use Diatherm\Plan\Cook;
use Diatherm\Plan\Course;
use Diatherm\Plan\Dish;
use Diatherm\Plan\Uncertainty;

/**
 * Many runs of one cook, each with another guess at the uncertain inputs, weighed by how well they meet the readings.
 *
 * Two rounds of importance sampling: draws from what was planned, then draws from a normal fitted to their weights; all
 * are weighed together against the mixture that they came from.
 * Source: Veach & Guibas 1995 (balance heuristic); Cappé et al. 2004, population Monte Carlo.
 */
final readonly class Ensemble
{
    private const FIRST_DRAWS = 90;

    private const SECOND_DRAWS = 130;

    /** The fitted normal is made wider by this, so that its tails are met. */
    private const WIDER = 1.35;

    /** Scatter of a reading about a perfect model: the probe, its placing and what the model leaves out, K. Common practice. */
    private const SCATTER_K = 1.5;

    /** Degrees of freedom of Student's t: a stray reading loses its pull. */
    private const FREEDOM = 4.0;

    /**
     * @param  non-empty-list<Guess>  $guesses
     * @param  non-empty-list<Trace>  $traces  core alone, as many
     * @param  list<float>  $weights  as many, adding up to 1
     */
    private function __construct(
        public array $guesses,
        public array $traces,
        public array $weights,
    ) {
    }

    /**
     * @param  list<Reading>  $readings  those that count
     * @param  float  $untilC  each run goes to this core temperature, or to the pull when there was one
     */
    public static function of(Dish $dish, float $airC, Course $course, array $readings, float $untilC): self
    {
        $prior = Normal::standard();
        [$guesses, $traces] = self::runs($prior->draws($readings === [] ? self::SECOND_DRAWS : self::FIRST_DRAWS), $dish, $airC, $course, $untilC);
        $fits = array_map(fn (Trace $trace): float => self::logFit($trace, $readings), $traces);
        $first = self::share($fits);
        if ($readings === []) {
            return new self($guesses, $traces, $first);
        }
        $fitted = Normal::like(array_map(fn (Guess $guess): array => $guess->deviations, $guesses), $first, self::WIDER);
        [$moreGuesses, $moreTraces] = self::runs($fitted->draws(self::SECOND_DRAWS), $dish, $airC, $course, $untilC);
        $guesses = [...$guesses, ...$moreGuesses];
        $traces = [...$traces, ...$moreTraces];
        $logs = [];
        foreach ($guesses as $i => $guess) {
            $drawn = self::FIRST_DRAWS * exp($prior->logDensity($guess->deviations)) + self::SECOND_DRAWS * exp($fitted->logDensity($guess->deviations));
            $logs[] = ($fits[$i] ?? self::logFit($traces[$i], $readings)) + $guess->logPrior() - log($drawn);
        }

        return new self($guesses, $traces, self::share($logs));
    }

    /** The guess in the middle of the weight. */
    public function middle(Dish $dish): Guess
    {
        return Guess::of($this->mean(), $dish);
    }

    /** The guess at the slow end, one in ten: weaker heat and a thicker joint, as far as the readings leave them open. */
    public function slowEnd(Dish $dish): Guess
    {
        $mean = $this->mean();
        $variance = [0.0, 0.0];
        foreach ($this->guesses as $i => $guess) {
            for ($a = 0; $a < 2; $a++) {
                $variance[$a] += $this->weights[$i] * ($guess->deviations[$a] - $mean[$a]) ** 2;
            }
        }
        $away = fn (int $a, float $share): float => $share * Uncertainty::DEVIATIONS * sqrt($variance[$a]);

        return Guess::of([$mean[0] - $away(0, Uncertainty::SLOW_BY_TRANSFER), $mean[1] + $away(1, Uncertainty::SLOW_BY_THICKNESS), $mean[2]], $dish);
    }

    /** @return array{float, float, float} deviations in the middle of the weight */
    private function mean(): array
    {
        $mean = [0.0, 0.0, 0.0];
        foreach ($this->guesses as $i => $guess) {
            for ($a = 0; $a < 3; $a++) {
                $mean[$a] += $this->weights[$i] * $guess->deviations[$a];
            }
        }

        return [$mean[0], $mean[1], $mean[2]];
    }

    /**
     * @param  list<array{float, float, float}>  $draws
     * @return array{non-empty-list<Guess>, non-empty-list<Trace>}
     */
    private static function runs(array $draws, Dish $dish, float $airC, Course $course, float $untilC): array
    {
        $guesses = [];
        $traces = [];
        foreach ($draws as $draw) {
            $guess = Guess::of($draw, $dish);
            $cook = Cook::of($dish, $airC, Resolution::coarse(), $course, $guess->transfer, $guess->thickness, $guess->warmerK);
            $traces[] = $cook->body->record(false);
            $cook->toPull($untilC);
            if ($course->pulledS !== null) {
                $cook->rest(max(0.0, $course->nowS - $course->pulledS) + Coast::FOLLOWED_REST_S);
            }
            $guesses[] = $guess;
        }
        assert($guesses !== []);

        return [$guesses, $traces];
    }

    /** @param  list<Reading>  $readings */
    private static function logFit(Trace $trace, array $readings): float
    {
        $sum = 0.0;
        foreach ($readings as $reading) {
            $off = ($reading->celsius - $trace->coreAt($reading->seconds)) / self::SCATTER_K;
            $sum -= 0.5 * (self::FREEDOM + 1.0) * log1p($off * $off / self::FREEDOM);
        }

        return $sum;
    }

    /**
     * @param  non-empty-list<float>  $logs
     * @return list<float>
     */
    private static function share(array $logs): array
    {
        $most = max($logs);
        $weights = array_map(fn (float $log): float => exp($log - $most), $logs);
        $sum = array_sum($weights);

        return array_map(fn (float $weight): float => $weight / $sum, $weights);
    }
}
