<?php

declare(strict_types=1);

namespace Diatherm\Practice;

use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Uncertainty;
use Diatherm\Cooking\Variation;
use Diatherm\Heat\Resolution;
use Diatherm\Heat\Roasting;
use Diatherm\Heat\Trace;
use Diatherm\Live\Reading;
use Diatherm\Roast\Dish;

/**
 * A cook whose truth is known: drawn from what a plan thinks possible, on a cooker that wanders or falls unread, with a
 * probe that is off.
 */
final readonly class SimulatedCook
{
    /** Places of a probe's cells are those of the grid that the truth is computed on. */
    private const NOISE_K = 0.5;

    /** An unread cooker swings by such a share of its rise (root mean square) over an hour or two. Common practice. */
    private const WANDERS = 0.06;

    private const FALL_K = 30.0;

    private const EVERY_S = 300.0;

    /** @param  float  $probeShare  of the half-thickness that the probe is off the core */
    private function __construct(
        public Trace $trace,
        public float $probeShare,
        private Dice $dice,
    ) {
    }

    /**
     * @param  float  $planS  how long it is planned to take
     * @param  bool  $off  whether the probe is off the core, up to a quarter of the way out
     * @param  bool  $wanders  whether the cooker does
     * @param  float|null  $fallsAtS  when it falls by 30 K and stays there; null for never
     */
    public static function of(
        Dish $dish,
        float $airC,
        float $planS,
        float $untilC,
        Dice $dice,
        bool $off,
        bool $wanders,
        ?float $fallsAtS,
    ): self {
        $setC = $dish->stages[0]->cookerC;
        $one = 1.0 / Uncertainty::DEVIATIONS;
        [$period, $phase] = [$dice->between(7200.0, 14_400.0), $dice->between(0.0, 2.0 * M_PI)];
        $readings = [];
        for ($s = 0.0; $wanders && $s <= 3.0 * $planS || $s === 0.0; $s += self::EVERY_S) {
            $readings[] = [
                $s,
                $setC + ($wanders ? self::WANDERS * M_SQRT2 * ($setC - $airC) * sin(2.0 * M_PI * $s / $period + $phase) : 0.0),
            ];
        }
        if ($fallsAtS !== null) {
            $last = $readings[count($readings) - 1][1];
            $readings = $wanders ? $readings : [[0.0, $setC], [$fallsAtS, $setC], [$fallsAtS + self::EVERY_S, $last]];
            $readings = array_map(
                fn (array $one): array => [$one[0], $one[1] - ($one[0] > $fallsAtS + 1.0 ? self::FALL_K : 0.0)],
                $readings,
            );
        }
        $as = Variation::of(
            exp($dice->normal() * $one * log(1.0 + Uncertainty::transfer($dish))),
            exp($dice->normal() * $one * log(1.0 + Uncertainty::thickness($dish))),
            $dice->normal() * $one * Uncertainty::START_K,
        );
        $cook = Cook::of($dish, $airC, Resolution::fine(), new Course($readings), $as);
        $trace = $cook->body->record();
        $cook->toPull($untilC);

        return new self($trace, $off ? $dice->between(0.0, Roasting::PROBE_OFF) : 0.0, $dice);
    }

    /**
     * What a hand read by then.
     *
     * @param  float  $everyS  from one reading to the next
     * @return list<Reading>
     */
    public function readings(float $fromS, float $untilS, float $everyS): array
    {
        $readings = [];
        for ($s = $fromS; $s <= $untilS; $s += $everyS) {
            $readings[] = Reading::of('r'.count($readings), $s, 'core', $this->probedC($s) + self::NOISE_K * $this->dice->normal());
        }

        return $readings;
    }

    /** Where the probe sits, °C. */
    public function probedC(float $seconds): float
    {
        $cells = $this->trace->profilesC[$this->trace->recordAt($seconds)];
        $positions = Resolution::fine()->positions();
        $i = 1;
        while ($positions[$i] < $this->probeShare) {
            $i++;
        }

        return $cells[$i - 1] + (
            $this->probeShare - $positions[$i - 1]
        ) / ($positions[$i] - $positions[$i - 1]) * ($cells[$i] - $cells[$i - 1]);
    }
}
