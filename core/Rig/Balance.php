<?php

declare(strict_types=1);

namespace Diatherm\Rig;

use Diatherm\Measure\Nature;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/**
 * How far off balance a joint hangs on its spit, from the roll test: on two rests the heavy side rolls down; a known
 * weight is hung on the light side until it stays put. Statics: m·e = m_c·r_c.
 */
final readonly class Balance
{
    /**
     * Heat that the side facing a narrow fire takes when the turning stops, over the mean of a turn: a cylinder sees
     * such a fire with 1/π of its round, so standing still that side gets π times as much. Worked by hand.
     */
    public const STALLED_SIDE = M_PI;

    /** Share of its rating that a motor turns hour after hour. Common practice. */
    private const COMFORTABLE = 0.6;

    /**
     * @param  float  $offM  how far the centre of mass lies off the axis
     * @param  float  $torqueNm  at its worst, the heavy side level with the axis
     * @param  int  $counterDeg  where the counterweight goes: opposite the heavy side
     */
    private function __construct(
        public float $massKg,
        public float $offM,
        public float $torqueNm,
        public ?float $motorNm,
        public int $counterDeg,
        private float $momentKgM,
    ) {
    }

    /**
     * @param  float  $testKg  weight hung in the roll test; 0 when it stayed put by itself
     * @param  float  $testArmM  how far from the axis it hung
     * @param  float  $heavyDeg  which side rolled down, clockwise from the mark on the spit
     * @param  float|null  $motorNm  rating; null when it is not known
     */
    public static function of(float $massKg, float $testKg, float $testArmM, float $heavyDeg, ?float $motorNm): self
    {
        OutOfRange::check('mass_on_the_spit', $massKg, 0.05, 120.0, Unit::Kilogram);
        OutOfRange::check('weight_of_the_roll_test', $testKg, 0.0, 40.0, Unit::Kilogram);
        OutOfRange::check('arm_of_the_roll_test', $testArmM, 0.0, 2.0, Unit::Metre);
        if ($motorNm !== null) {
            OutOfRange::check('rating_of_the_motor', $motorNm, 0.05, 500.0, Unit::NewtonMetre);
        }
        $moment = $testKg * $testArmM;

        return new self($massKg, $moment / $massKg, Nature::GRAVITY * $moment, $motorNm, ((int) round($heavyDeg) + 180) % 360, $moment);
    }

    /** Rating of a motor that is sold by a load on an arm, N·m. */
    public static function ratingNm(float $loadKg, float $armM): float
    {
        return Nature::GRAVITY * $loadKg * $armM;
    }

    /** Share of the motor's rating that it asks for; null when the rating is not known. */
    public function load(): ?float
    {
        return $this->motorNm === null ? null : $this->torqueNm / $this->motorNm;
    }

    public function isComfortable(): bool
    {
        return ($this->load() ?? 0.0) <= self::COMFORTABLE;
    }

    /** Whether the motor would stall with the heavy side on its way up. */
    public function stalls(): bool
    {
        return ($this->load() ?? 0.0) > 1.0;
    }

    /** Counterweight at an arm that brings it into balance, kg. */
    public function counterweightKg(float $armM): float
    {
        return $this->momentKgM / OutOfRange::check('arm_of_the_counterweight', $armM, 0.01, 2.0, Unit::Metre);
    }
}
