<?php

declare(strict_types=1);

namespace Diatherm\Rig;

use Diatherm\Food\Cut;

/** A dish on a spit: the room there is, the bar, the motor, and what the roll test found. */
final readonly class SpitRig implements Rig
{
    /**
     * @param  float  $betweenM  length between the forks or prongs as they are set, before their bite
     * @param  float  $biteM  that the forks take into the joint, both together
     * @param  float  $roomM  axis to the nearest element, wall, lid or coals
     * @param  JointSize|null  $size  by tape; null to go by cut and mass
     * @param  float|null  $motorNm  rating
     */
    public function __construct(
        public float $betweenM,
        public float $biteM,
        public float $roomM,
        public ?JointSize $size,
        public SpitBar $bar,
        public ?float $motorNm,
        public float $testKg,
        public float $testArmM,
        public float $heavyDeg,
    ) {
    }

    /** With a counterweight that brings it into balance. */
    public function balanced(): self
    {
        return new self(
            $this->betweenM, $this->biteM, $this->roomM, $this->size, $this->bar, $this->motorNm, 0.0, $this->testArmM, $this->heavyDeg,
        );
    }

    /** With so much between its forks, on a bar that reaches over it as far as this one reaches over its own. */
    public function takingLength(float $betweenM): self
    {
        return new self(
            $betweenM, $this->biteM, $this->roomM, $this->size, $this->bar->spanning($this->bar->spanM + $betweenM - $this->betweenM),
            $this->motorNm, $this->testKg, $this->testArmM, $this->heavyDeg,
        );
    }

    public function onBar(SpitBar $bar): self
    {
        return new self(
            $this->betweenM, $this->biteM, $this->roomM, $this->size, $bar, $this->motorNm, $this->testKg, $this->testArmM, $this->heavyDeg,
        );
    }

    public function size(): ?JointSize
    {
        return $this->size;
    }

    /** @param  float  $massKg of all that hangs on the spit */
    public function balance(float $massKg): Balance
    {
        return Balance::of($massKg, $this->testKg, $this->testArmM, $this->heavyDeg, $this->motorNm);
    }

    /**
     * @param  float  $massKg  of one piece
     * @param  int  $pieces  one behind another on the spit
     */
    public function fit(Cut $cut, float $massKg, int $pieces): SpitFit
    {
        $size = $this->size ?? JointSize::suggested($cut, $massKg);

        return SpitFit::of(
            $cut,
            $massKg,
            $size,
            ($this->betweenM + $this->biteM) / $pieces,
            $this->roomM,
            $this->balance($massKg * $pieces)->offM,
        );
    }
}
