<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Food\Shape;
use Diatherm\Heat\Surroundings;
use Diatherm\Measure\Nature;
use Diatherm\Measure\OutOfRange;

/** A kind of cooker: from its set temperature to what a joint's surface meets inside. Rows: data/cookers.json. */
final readonly class Cooker
{
    /** Share of the way back to the setting that the recovery time stands for. */
    public const RECOVERED = 0.95;

    /** Share of the way from the open air to the setting that a joint meets under an open lid. Common practice. */
    public const OPEN_SHARE = 0.3;

    /** Half-thickness at which a kind's convective coefficient is stated. */
    private const STATED_AT_M = 0.05;

    /**
     * Small bodies convect better: h falls as R to this power, between 1/4 (natural, laminar) and 1/2 (forced, laminar).
     * Source: Incropera & DeWitt, chapters 7 and 9; the value is calibrated against the practice cases.
     */
    private const CONVECTION_BY_SIZE = 0.3;

    public function __construct(
        public string $id,
        public string $name,
        public string $short,
        public float $defaultC,
        public float $leastC,
        public float $mostC,
        private float $convectionWm2K,
        private float $emissivity,
        private float $dewPointC,
        private float $fluxWm2,
        private float $exposure,
        private float $airShare,
        public float $preheatMinutes,
        public string $light,
        public float $lightMinutes,
        public float $recoveryMinutes,
        public bool $lid,
    ) {
    }

    /** Whether this is a place without heat. */
    public function isRest(): bool
    {
        return $this->light === 'none';
    }

    /** The nearest temperature that it can be set to, whole degrees. */
    public function clampC(float $celsius): float
    {
        return min($this->mostC, max($this->leastC, round($celsius)));
    }

    /** The same kind with its heat reaching another share of the surface: a fire that is laid or fed otherwise than usual. */
    public function exposing(float $factor): self
    {
        return new self($this->id, $this->name, $this->short, $this->defaultC, $this->leastC, $this->mostC, $this->convectionWm2K, $this->emissivity, $this->dewPointC, $this->fluxWm2, min(1.0, $this->exposure * $factor), $this->airShare, $this->preheatMinutes, $this->light, $this->lightMinutes, $this->recoveryMinutes, $this->lid);
    }

    /** Whether as much of a surface meets its heat as with that one. */
    public function exposesLike(self $other): bool
    {
        return abs($this->exposure - $other->exposure) < 1e-9;
    }

    /** The same kind that comes back from an open lid in another time. */
    public function recoveringIn(float $minutes): self
    {
        return new self($this->id, $this->name, $this->short, $this->defaultC, $this->leastC, $this->mostC, $this->convectionWm2K, $this->emissivity, $this->dewPointC, $this->fluxWm2, $this->exposure, $this->airShare, $this->preheatMinutes, $this->light, $this->lightMinutes, $minutes, $this->lid);
    }

    /** @throws OutOfRange when the kind cannot be set to $setC */
    public function check(float $setC): float
    {
        return OutOfRange::check('cooker temperature', $setC, $this->leastC, $this->mostC, '°C');
    }

    /**
     * @param  float  $setC  what the cook aims at: the air at the grate, or for open fires the temperature of a black
     *                       wall that would give the same heat
     * @param  float  $outsideC  open air
     */
    public function surroundings(float $setC, float $outsideC, Shape $joint): Surroundings
    {
        $air = $outsideC + $this->airShare * ($setC - $outsideC);
        $seen = ($this->exposure * ($setC + Nature::ZERO_C_IN_K) ** 4 + (1.0 - $this->exposure) * ($outsideC + Nature::ZERO_C_IN_K) ** 4) ** 0.25 - Nature::ZERO_C_IN_K;
        $flux = $this->fluxWm2 * (($setC + Nature::ZERO_C_IN_K) / ($this->defaultC + Nature::ZERO_C_IN_K)) ** 4;

        $convection = $this->convectionWm2K * (self::STATED_AT_M / $joint->halfThicknessM) ** self::CONVECTION_BY_SIZE;

        return Surroundings::of($air, $seen, $convection, $this->emissivity, min($this->dewPointC, $setC), $this->isRest() || $setC <= $outsideC ? 0.0 : $flux);
    }
}
