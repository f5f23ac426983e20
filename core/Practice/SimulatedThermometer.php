<?php

declare(strict_types=1);

namespace Diatherm\Practice;

use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Uncertainty;
use Diatherm\Cooking\Variation;
use Diatherm\Heat\Resolution;
use Diatherm\Heat\Trace;
use Diatherm\Roast\Dish;

/**
 * A wireless thermometer in a joint whose truth is known, with what such things do: noise, an offset of each probe, minutes unheard,
 * one that slips out and one that touches bone. The same seed always reads the same.
 */
final readonly class SimulatedThermometer
{
    /** Of a thermocouple's electronics, and of a probe as it is sold. Common practice. */
    private const NOISE_K = 0.25;

    private const OFFSET_K = 0.5;

    /** A grate's air swings by so much from minute to minute. Common practice. */
    private const AIR_NOISE_K = 2.0;

    /** Bone by the middle runs ahead by such a share of the way to the surface. Common practice: some degrees. */
    private const BONE_SHARE = 0.12;

    /** What hangs half in the air shows mostly that. */
    private const OUT_SHARE = 0.75;

    /** Seconds that a radio is silent for, and how often that begins in an hour. */
    private const SILENT_S = 420.0;

    private const SILENCES_AN_HOUR = 3.0;

    /** Followed on from its pull, or from where it would be pulled. */
    private const AFTER_S = 3.0 * 3600.0;

    private const BEYOND_K = 12.0;

    /** @param  array<int, SimulatedProbe>  $probes  by channel */
    private function __construct(
        private Trace $truth,
        private float $offS,
        private array $probes,
        private int $seed,
    ) {
    }

    /**
     * @param  Course  $course  as the cook's hands had it: lids, steps and the pull
     * @param  list<SimulatedProbe>  $probes
     */
    public static function of(Dish $dish, float $airC, Course $course, array $probes, int $seed): self
    {
        $dice = new Dice($seed);
        $one = 1.0 / Uncertainty::DEVIATIONS;
        $cook = Cook::of($dish, $airC, Resolution::fine(), $course, Variation::of(
            exp($dice->normal() * $one * log(1.0 + Uncertainty::transfer($dish))),
            exp($dice->normal() * $one * log(1.0 + Uncertainty::thickness($dish))),
            $dice->normal() * $one * Uncertainty::START_K,
        ));
        $truth = $cook->body->record();
        $cook->toPull($dish->targetC + self::BEYOND_K);
        $off = $cook->body->elapsedS();
        $cook->rest(self::AFTER_S);

        return new self($truth, $off, array_column($probes, null, 'channel'), $seed);
    }

    /** @return list<int> */
    public function channels(): array
    {
        return array_keys($this->probes);
    }

    /** What its middle has, °C, whatever a probe says. */
    public function coreC(float $seconds): float
    {
        return $this->truth->coreAt($seconds);
    }

    /** What a probe shows, °C; null while it is not heard. */
    public function reads(int $channel, float $seconds): ?float
    {
        $probe = $this->probes[$channel];
        $has = $seconds >= $probe->faultAtS ? $probe->fault : ProbeFault::None;
        if ($has === ProbeFault::DropsOut && $this->isSilent($channel, $seconds)) {
            return null;
        }
        $dice = new Dice(crc32("$this->seed $channel ".(int) round($seconds)));
        $air = $this->airC($seconds);
        if ($probe->share === null) {
            return round($air + self::AIR_NOISE_K * $dice->normal(), 1);
        }
        $tip = $this->truth->coreAt($seconds);
        if ($probe->share > 0.0 || $has === ProbeFault::TouchesBone) {
            $share = $probe->share + ($has === ProbeFault::TouchesBone ? self::BONE_SHARE : 0.0);
            $tip = $this->insideC($seconds, min(0.95, $share));
        }
        if ($has === ProbeFault::TouchesBone) {
            $tip += self::BONE_SHARE * max(0.0, $this->truth->surfaceAt($seconds) - $tip);
        }
        if ($has === ProbeFault::SlipsOut) {
            $tip += self::OUT_SHARE * ($air - $tip);
        }
        $offset = self::OFFSET_K * (new Dice(crc32("$this->seed $channel")))->normal();

        return round($tip + $offset + self::NOISE_K * $dice->normal(), 1);
    }

    /** Once it is off the heat, what was the cooker's air is that round the board. */
    private function airC(float $seconds): float
    {
        return $this->truth->airAt($seconds < $this->offS ? min($seconds, $this->offS - 1.0) : $seconds);
    }

    private function insideC(float $seconds, float $share): float
    {
        $cells = $this->truth->profilesC[$this->truth->recordAt($seconds)];
        $positions = Resolution::fine()->positions();
        $i = 1;
        while ($i < count($positions) - 1 && $positions[$i] < $share) {
            $i++;
        }
        $part = ($share - $positions[$i - 1]) / ($positions[$i] - $positions[$i - 1]);

        return $cells[$i - 1] + $part * ($cells[$i] - $cells[$i - 1]);
    }

    private function isSilent(int $channel, float $seconds): bool
    {
        $every = 3600.0 / self::SILENCES_AN_HOUR;
        $stretch = floor($seconds / $every);
        $begins = $stretch * $every + (new Dice(crc32("$this->seed $channel silent $stretch")))->between(0.0, $every - self::SILENT_S);

        return $seconds >= $begins && $seconds < $begins + self::SILENT_S;
    }
}
