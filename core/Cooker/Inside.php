<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Food\Shape;
use Diatherm\Heat\Constants;
use Diatherm\Heat\Surroundings;
use Diatherm\Heat\Vapour;
use Diatherm\Measure\Nature;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/** What the surface of a joint meets in a kind of cooker, by what that is set to. */
final readonly class Inside
{
    /** Half-thickness at which a kind's convective coefficient is stated. */
    private const STATED_AT_M = 0.05;

    /**
     * Air that moves by its own warmth alone convects as this power of how warm it is. Source: Incropera & DeWitt, chapter 9, laminar.
     */
    private const CONVECTION_BY_WARMTH = 0.25;

    /** Warmth over the open air at which a kind's convective coefficient is stated, and the least that it is taken for, K. */
    private const STATED_AT_K = 145.0;

    private const LEAST_WARMTH_K = 10.0;

    /** Radius of a turning body at which the flux of an element beside its spit is stated, and the nearest that a body comes to it, m. */
    private const STATED_RADIUS_M = 0.07;

    private const NEAREST_M = 0.03;

    /**
     * @param  float  $statedAtC  setting at which the flux is stated
     * @param  float  $fluxWm2  further radiation, mean over a turn
     * @param  float  $exposure  share of the surface that faces the heat, 0 to 1
     * @param  float  $airShare  how far the air at the meat is from the open air towards the setting, 0 to 1
     * @param  float  $contactWm2K  of a plate that the meat lies on, at the surface that touches
     * @param  float|null  $axisM  from the axis of the spit to an element beside it; null for any other heat
     * @param  bool  $isDriven  whether air or vapour is driven past the food, by a fan or in a closed pot
     */
    public function __construct(
        private float $statedAtC,
        private float $convectionWm2K,
        private float $emissivity,
        private float $dewPointC,
        private float $fluxWm2 = 0.0,
        private float $exposure = 1.0,
        private float $airShare = 1.0,
        private float $contactWm2K = 0.0,
        private float $altitudeM = 0.0,
        private ?float $axisM = null,
        private bool $isDriven = false,
    ) {
    }

    /**
     * The same with its heat reaching another share of the surface: a fire that is laid or fed otherwise than usual.
     *
     * @param  float  $factor  on the usual share, 0 upwards
     */
    public function exposing(float $factor): self
    {
        return $this->copy($this->fluxWm2, min(1.0, $this->exposure * $factor), $this->airShare, $this->altitudeM);
    }

    /** The same over an open fire for a body whose parts hide each other from it: so much of its surface faces outwards. */
    public function facing(float $share): self
    {
        return $this->exposure < 1.0 ? $this->exposing($share) : $this;
    }

    /** The same where wind leaves only a share of the hot gas that rises with the heat. */
    public function airedBy(float $share): self
    {
        return $this->copy($this->fluxWm2, $this->exposure, $this->airShare * $share, $this->altitudeM);
    }

    /**
     * The same for a body that turns beside its element: a thick one comes nearer to it. Flux falls as the distance, as from a long rod.
     * Source: Incropera & DeWitt, chapter 13 (view factors).
     */
    public function turning(float $radiusM): self
    {
        return $this->axisM === null ? $this : $this->copy(
            $this->fluxWm2 * ($this->axisM - self::STATED_RADIUS_M) / max(self::NEAREST_M, $this->axisM - $radiusM),
            $this->exposure, $this->airShare, $this->altitudeM,
        );
    }

    /** Whether its heat comes from one side, with open air at the others. */
    public function isOneSided(): bool
    {
        return $this->exposure < 1.0;
    }

    /** Whether as much of a surface meets its heat as with that one. */
    public function exposesLike(self $other): bool
    {
        return abs($this->exposure - $other->exposure) < 1e-9;
    }

    /**
     * The same in thinner air.
     *
     * @param  float  $metres  0 to 4000 m
     *
     * @throws OutOfRange
     */
    public function atAltitude(float $metres): self
    {
        $altitudeM = OutOfRange::check('altitude', $metres, 0.0, 4000.0, Unit::Metre);

        return $this->copy($this->fluxWm2, $this->exposure, $this->airShare, $altitudeM);
    }

    /**
     * @param  float  $setC  what the cook aims at: the air at the grate, the plate of a griddle, or for open fires the
     *                       temperature of a black wall that would give the same heat
     * @param  float  $outsideC  open air
     */
    public function surroundings(float $setC, float $outsideC, Shape $joint): Surroundings
    {
        $air = $outsideC + $this->airShare * ($setC - $outsideC);
        $seen = (
            $this->exposure * ($setC + Nature::ZERO_C_IN_K) ** 4 + (1.0 - $this->exposure) * ($outsideC + Nature::ZERO_C_IN_K) ** 4
        ) ** 0.25 - Nature::ZERO_C_IN_K;
        $flux = $setC <= $outsideC ? 0.0 : $this->fluxWm2 * (($setC + Nature::ZERO_C_IN_K) / ($this->statedAtC + Nature::ZERO_C_IN_K)) ** 4;
        $convection = $this->convectionWm2K * (self::STATED_AT_M / $joint->halfThicknessM) ** Constants::read()->convectionBySize
            * $this->movedByWarmth($setC - $outsideC);
        $there = Surroundings::of($air, $seen, $convection, $this->emissivity, min($this->dewPointC, $setC), $flux);
        if ($this->contactWm2K > 0.0) {
            $there = $there->touching($setC, self::resting($joint) * $this->contactWm2K);
        }

        return $this->altitudeM > 0.0 ? $there->underPressure(Nature::airPa($this->altitudeM)) : $there;
    }

    /** Where water boils there, °C. */
    public function boilingC(): float
    {
        return Vapour::boilingC(Nature::airPa($this->altitudeM));
    }

    private function copy(float $fluxWm2, float $exposure, float $airShare, float $altitudeM): self
    {
        return new self(
            $this->statedAtC, $this->convectionWm2K, $this->emissivity, $this->dewPointC, $fluxWm2, $exposure, $airShare,
            $this->contactWm2K, $altitudeM, $this->axisM, $this->isDriven,
        );
    }

    /** How much better or worse than stated it convects where only the air's own warmth moves it. */
    private function movedByWarmth(float $warmthK): float
    {
        return $this->isDriven || $this->isOneSided() || $this->contactWm2K > 0.0
            ? 1.0
            : (max(self::LEAST_WARMTH_K, $warmthK) / self::STATED_AT_K) ** self::CONVECTION_BY_WARMTH;
    }

    /**
     * Share of a surface that rests on a plate, mean over turns. A slab lies on half of it; a cylinder settles on a quarter; a lump takes as
     * much heat for its mass as a cylinder. Worked by hand.
     */
    private static function resting(Shape $joint): float
    {
        return 0.5 * max(1.0 - 0.5 * $joint->exponent, 1.0 / (1.0 + $joint->exponent));
    }
}
