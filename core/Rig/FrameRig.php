<?php

declare(strict_types=1);

namespace Diatherm\Rig;

use Diatherm\Food\Part;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/**
 * A dish spread on a frame that leans over a trench of coals, foot on the ground, its head held back by a line to a stake.
 * Plane geometry; lengths in metres, the coals' near edge at the frame's foot.
 */
final readonly class FrameRig implements Rig
{
    /** Within this of the coals a line is chain, not rope. Common practice. */
    public const CHAIN_WITHIN_M = 0.8;

    /** For knots and a hand to hold. Common practice. */
    public const KNOTS_M = 0.8;

    /**
     * @param  float  $lengthM  of the frame
     * @param  float  $leanDeg  from upright, over the coals, 0 to 85
     * @param  float  $lowestM  along the frame from its foot to where the meat begins
     * @param  float  $stakeM  from the frame's foot back to the stake
     */
    private function __construct(
        public float $lengthM,
        public float $leanDeg,
        public float $lowestM,
        public float $stakeM,
        public ?JointSize $size,
    ) {
    }

    /** @throws OutOfRange */
    public static function of(float $lengthM, float $leanDeg, float $lowestM, float $stakeM, ?JointSize $size): self
    {
        return new self(
            OutOfRange::check('length_of_the_frame', $lengthM, 0.3, 4.0, Unit::Metre),
            OutOfRange::check('lean_of_the_frame', $leanDeg, 0.0, 85.0, Unit::Degree),
            OutOfRange::check('start_of_the_meat', $lowestM, 0.0, 3.0, Unit::Metre),
            OutOfRange::check('distance_of_the_stake', $stakeM, 0.3, 8.0, Unit::Metre),
            $size,
        );
    }

    /** The same frame, longer or shorter. */
    public function asLongAs(float $lengthM): self
    {
        return self::of($lengthM, $this->leanDeg, $this->lowestM, $this->stakeM, $this->size);
    }

    public function size(): ?JointSize
    {
        return $this->size;
    }

    /** Height above the coals of a point along the frame. */
    public function heightM(float $alongM): float
    {
        return $alongM * cos(deg2rad($this->leanDeg));
    }

    /** How far a point along the frame hangs out over the coals. */
    public function overM(float $alongM): float
    {
        return $alongM * sin(deg2rad($this->leanDeg));
    }

    /** Height of the middle of a part of a joint that is so long, tail down. */
    public function partHeightM(Part $part, float $jointM): float
    {
        return $this->heightM($this->lowestM + 0.5 * ($part->from + $part->to) * $jointM);
    }

    /** Whether a joint so long stays on the frame. */
    public function holds(float $jointM): bool
    {
        return $this->lowestM + $jointM <= $this->lengthM;
    }

    /** Line from the head of the frame to the stake, without knots. */
    public function lineM(): float
    {
        return hypot($this->overM($this->lengthM) + $this->stakeM, $this->heightM($this->lengthM));
    }

    /** Of that, what hangs near the coals and has to be chain. */
    public function chainM(): float
    {
        $line = $this->lineM();
        [$x, $y] = [$this->overM($this->lengthM), $this->heightM($this->lengthM)];
        $steps = 400;
        $near = 0;
        for ($i = 0; $i < $steps; $i++) {
            $share = ($i + 0.5) / $steps;
            // Coals lie from the foot outwards: nearest is straight below while over them, the edge behind it.
            $px = $x - $share * ($x + $this->stakeM);
            $near += hypot(min(0.0, $px), $y * (1.0 - $share)) < self::CHAIN_WITHIN_M ? 1 : 0;
        }

        return $line * $near / $steps;
    }

    public function ropeM(): float
    {
        return $this->lineM() - $this->chainM() + self::KNOTS_M;
    }
}
