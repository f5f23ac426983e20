<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Food\Shape;
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
     * Small bodies convect better: h falls as R to this power, between 1/4 (natural, laminar) and 1/2 (forced, laminar).
     * Source: Incropera & DeWitt, chapters 7 and 9; the value is calibrated against the practice cases.
     */
    private const CONVECTION_BY_SIZE = 0.4;

    /**
     * @param  float  $statedAtC  setting at which the flux is stated
     * @param  float  $fluxWm2  further radiation, mean over a turn
     * @param  float  $exposure  share of the surface that faces the heat, 0 to 1
     * @param  float  $airShare  how far the air at the meat is from the open air towards the setting, 0 to 1
     * @param  float  $contactWm2K  of a plate that the meat lies on, at the surface that touches
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
    ) {
    }

    /**
     * The same with its heat reaching another share of the surface: a fire that is laid or fed otherwise than usual.
     *
     * @param  float  $factor  on the usual share, 0 upwards
     */
    public function exposing(float $factor): self
    {
        return $this->copy(min(1.0, $this->exposure * $factor), $this->altitudeM);
    }

    /** The same over an open fire for a body whose parts hide each other from it: so much of its surface faces outwards. */
    public function facing(float $share): self
    {
        return $this->exposure < 1.0 ? $this->exposing($share) : $this;
    }

    /** The same where wind leaves only a share of the hot gas that rises with the heat. */
    public function airedBy(float $share): self
    {
        return new self(
            $this->statedAtC,
            $this->convectionWm2K,
            $this->emissivity,
            $this->dewPointC,
            $this->fluxWm2,
            $this->exposure,
            $this->airShare * $share,
            $this->contactWm2K,
            $this->altitudeM,
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
        return $this->copy($this->exposure, OutOfRange::check('altitude', $metres, 0.0, 4000.0, Unit::Metre));
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
        $convection = $this->convectionWm2K * (self::STATED_AT_M / $joint->halfThicknessM) ** self::CONVECTION_BY_SIZE;
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

    private function copy(float $exposure, float $altitudeM): self
    {
        return new self(
            $this->statedAtC,
            $this->convectionWm2K,
            $this->emissivity,
            $this->dewPointC,
            $this->fluxWm2,
            $exposure,
            $this->airShare,
            $this->contactWm2K,
            $altitudeM,
        );
    }

    /**
     * Share of a surface that rests on a plate, mean over turns: a slab lies on half of it, a ball on a point, a cylinder
     * between the two. Worked by hand.
     */
    private static function resting(Shape $joint): float
    {
        return 0.5 * max(0.0, 1.0 - 0.5 * $joint->exponent);
    }
}
