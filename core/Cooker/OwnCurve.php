<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Measure\RobustLine;
use Diatherm\Measure\Spread;

/**
 * What one cooker does at its settings: what physics says of its kind, bent by what was logged on it.
 *
 * The rise over the outside air that was read is laid against the rise that the mechanism gives, both as logarithms; a
 * straight line through them keeps the answer rising with every control, and few points move it little.
 */
final readonly class OwnCurve
{
    /** Rise at which the line's intercept is stated, K. */
    private const MIDDLE_K = 120.0;

    /** How steep the line may be thought beforehand: 1 give or take so much. Common practice. */
    private const SLOPE_DOUBT = 0.15;

    /** Scatter of one reading, as a share of the rise: the thermometer, its place, the moment. Common practice. */
    private const SCATTER = 0.05;

    /**
     * A cooker may bend otherwise than its kind however often it was read: so much stays open, as a logarithm of its rise.
     * Common practice.
     */
    private const BENT = 0.035;

    /** The line never gets flatter than this: more heat is hotter. */
    private const LEAST_SLOPE = 0.3;

    /** Beyond what was seen by more than this, as a logarithm, it is extrapolated. */
    private const BEYOND = 0.08;

    /** How far a warm-up or a recovery may be off beforehand, and how far one reading of it strays; as logarithms. Common practice. */
    private const PACE_DOUBT = 0.4;

    private const PACE_SCATTER = 0.25;

    /** Outside these shares of the way, a reading says nothing of the pace. */
    private const TELLING = [0.04, 0.96];

    /** A standard normal's 10 and 90 %. */
    private const DEVIATIONS = 1.2816;

    /**
     * @param  array{float, float}|null  $seen  least and greatest rise that was read settled, K
     * @param  list<float>  $weights  of every observation, in their order; 1 for one that lies well
     */
    private function __construct(
        public Equipment $equipment,
        public Mechanism $mechanism,
        private RobustLine $line,
        public ?array $seen,
        public int $settled,
        public Spread $warmUpFactor,
        public Spread $recoveryMinutes,
        public array $weights,
    ) {
    }

    /** @param  list<Observation>  $observations */
    public static function of(Equipment $equipment, array $observations = [], ?Mechanism $mechanism = null): self
    {
        $mechanism ??= $equipment->mechanism();
        [$x, $y, $numbers, $rises] = [[], [], [], []];
        foreach ($observations as $i => $one) {
            $rise = $one->celsius - $one->weather->airC;
            $model = $mechanism->steadyC($one->settings, $one->weather) - $one->weather->airC;
            if ($one->phase === Phase::Settled && $rise > 1.0 && $model > 1.0) {
                [$x[], $y[], $numbers[], $rises[]] = [log($model / self::MIDDLE_K), log($rise / $model), $i, $rise];
            }
        }
        $line = RobustLine::through($x, $y, [0.0, 0.0], [$mechanism->doubt(), self::SLOPE_DOUBT], self::SCATTER);
        $weights = array_fill(0, count($observations), 1.0);
        foreach ($numbers as $k => $i) {
            $weights[$i] = $line->weights[$k];
        }
        $curve = new self(
            $equipment,
            $mechanism,
            $line,
            $rises === [] ? null : [min($rises), max($rises)],
            count($rises),
            Spread::exactly(1.0),
            Spread::exactly($equipment->kind->recoveryMinutes),
            array_values($weights),
        );

        return $curve->paced($observations);
    }

    /** How well its heat at that temperature is known, one in ten to either side, as a logarithm of its rise. */
    public function doubtAt(float $ownC, Weather $weather): float
    {
        $x = log(max(0.5, $this->modelC($ownC, $weather) - $weather->airC) / self::MIDDLE_K);

        return self::DEVIATIONS * sqrt($this->line->doubtAt($x) ** 2 + self::BENT ** 2);
    }

    /** @return Spread °C that it settles at */
    public function steadyC(Settings $settings, Weather $weather): Spread
    {
        return $this->ownC($this->mechanism->steadyC($settings, $weather), $weather);
    }

    /** The temperature that this cooker has where its kind's physics has $modelC. */
    public function ownC(float $modelC, Weather $weather): Spread
    {
        $rise = $modelC - $weather->airC;
        if ($rise <= 0.5) {
            return Spread::exactly($modelC);
        }
        $likely = $this->ownRise($rise);
        $doubt = $this->doubtAt($weather->airC + self::MIDDLE_K * exp($likely), $weather);

        return Spread::of(
            $weather->airC + self::MIDDLE_K * exp($likely - $doubt),
            $weather->airC + self::MIDDLE_K * exp($likely),
            $weather->airC + self::MIDDLE_K * exp($likely + $doubt),
        );
    }

    /** The middle of that alone. */
    public function likelyC(float $modelC, Weather $weather): float
    {
        $rise = $modelC - $weather->airC;

        return $rise <= 0.5
            ? $modelC
            : $weather->airC + self::MIDDLE_K * exp($this->ownRise($rise));
    }

    /** Logarithm of its own rise over MIDDLE_K, where its kind's physics rises by so much. */
    private function ownRise(float $modelK): float
    {
        return $this->line->intercept + (1.0 + $this->slope()) * log($modelK / self::MIDDLE_K);
    }

    /** Inverse of `ownC`: the kind's temperature that stands for this cooker's own. */
    public function modelC(float $ownC, Weather $weather): float
    {
        $rise = $ownC - $weather->airC;

        return $rise <= 0.5
            ? $ownC
            : $weather->airC + self::MIDDLE_K * exp((log($rise / self::MIDDLE_K) - $this->line->intercept) / (1.0 + $this->slope()));
    }

    public function settingsFor(float $targetC, Weather $weather): Settings
    {
        return $this->mechanism->settingsFor($this->modelC($targetC, $weather), $weather);
    }

    /** Whether that temperature lies beyond all that was read on it. */
    public function isExtrapolated(float $ownC, Weather $weather): bool
    {
        $rise = log(max(1.0, $ownC - $weather->airC));

        return $this->seen === null || $rise < log($this->seen[0]) - self::BEYOND || $rise > log($this->seen[1]) + self::BEYOND;
    }

    /** Minutes that it takes to come within a factor e of where it settles, as its kind's physics and its own warm-ups have it. */
    public function paceMinutes(float $targetC, Weather $weather): float
    {
        return $this->warmUpFactor->likely * self::kindPaceMinutes(
            $this->mechanism,
            $this->settingsFor($targetC, $weather),
            $this->modelC($targetC, $weather),
            $weather,
        );
    }

    /** Storage over what leaves for each kelvin at that temperature. */
    private static function kindPaceMinutes(Mechanism $mechanism, Settings $settings, float $modelC, Weather $weather): float
    {
        $slope = ($mechanism->lossW($settings, $modelC + 1.0, $weather) - $mechanism->lossW($settings, $modelC - 1.0, $weather)) / 2.0
            - ($mechanism->heatW($settings, $modelC + 1.0, $weather) - $mechanism->heatW($settings, $modelC - 1.0, $weather)) / 2.0;

        return $mechanism->storageJK() / max(1.0, $slope) / 60.0;
    }

    private function slope(): float
    {
        return max(self::LEAST_SLOPE - 1.0, $this->line->slope);
    }

    /**
     * Learns the warm-up and the recovery after a lid lift from what was read on the way.
     *
     * @param  list<Observation>  $observations
     */
    private function paced(array $observations): self
    {
        $warm = [[], []];
        $lid = [[], []];
        $weights = $this->weights;
        foreach ($observations as $i => $one) {
            if ($one->phase === Phase::Settled || $one->minutes <= 0.0) {
                continue;
            }
            $settledC = $this->steadyC($one->settings, $one->weather)->likely;
            $fromC = $one->phase === Phase::Warming
                ? $one->weather->airC
                : $one->weather->airC + Cooker::OPEN_SHARE * ($settledC - $one->weather->airC);
            $left = ($settledC - $one->celsius) / max(1.0, $settledC - $fromC);
            if ($left < self::TELLING[0] || $left > self::TELLING[1]) {
                continue;
            }
            $minutes = $one->minutes / -log($left);
            if ($one->phase === Phase::Warming) {
                $kind = self::kindPaceMinutes($this->mechanism, $one->settings, $this->modelC($settledC, $one->weather), $one->weather);
                if ($kind > 0.0) {
                    $warm[0][] = log($minutes / $kind);
                    $warm[1][] = $i;
                }
            } else {
                $lid[0][] = log($minutes * -log(1.0 - Cooker::RECOVERED) / max(0.5, $this->equipment->kind->recoveryMinutes));
                $lid[1][] = $i;
            }
        }
        $factor = static function (array $found) use (&$weights): Spread {
            /** @var array{list<float>, list<int>} $found */
            $line = RobustLine::through(
                array_fill(0, count($found[0]), 0.0),
                $found[0],
                [0.0, 0.0],
                [self::PACE_DOUBT, 1e-6],
                self::PACE_SCATTER,
            );
            foreach ($found[1] as $k => $i) {
                $weights[$i] = $line->weights[$k];
            }
            $doubt = self::DEVIATIONS * $line->doubtAt(0.0);

            return Spread::of(exp($line->intercept - $doubt), exp($line->intercept), exp($line->intercept + $doubt));
        };
        [$warmth, $recovery] = [$factor($warm), $factor($lid)];
        $usual = $this->equipment->kind->recoveryMinutes;

        return new self(
            $this->equipment,
            $this->mechanism,
            $this->line,
            $this->seen,
            $this->settled,
            $warmth,
            Spread::of($usual * $recovery->low, $usual * $recovery->likely, $usual * $recovery->high),
            array_values($weights),
        );
    }
}
