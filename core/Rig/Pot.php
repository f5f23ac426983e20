<?php

declare(strict_types=1);

namespace Diatherm\Rig;

use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/** A camp oven: whether the joint goes under the lid, and how much liquid keeps it from boiling dry. */
final readonly class Pot
{
    /** Slices, a trivet or a rack that keeps the meat off the bottom. Common practice. */
    public const RAISED_M = 0.02;

    /** Between meat and lid. Common practice. */
    private const UNDER_LID_M = 0.01;

    /** Between meat and wall, both together. Common practice. */
    private const BESIDE_M = 0.02;

    /** Liquid for a long buried cook, whatever the sum says. Common practice: 3 to 4 cm. */
    private const LEAST_BURIED_M = 0.03;

    private const LEAST_M = 0.01;

    /** Steam that a cast lid lets by, kg/h for a metre of rim. Common practice: some 100 to 150 ml an hour from a 30 cm pot. */
    private const LEAK_KG_H_M = 0.13;

    private const MARGIN = 1.5;

    private const IRON_J_KG_K = 460.0;

    private const KG_AT_30CM = 7.0;

    private function __construct(
        public float $diameterM,
        public float $depthM,
    ) {
    }

    /** @throws OutOfRange */
    public static function of(float $diameterM, float $depthM): self
    {
        return new self(
            OutOfRange::check('diameter_of_the_pot', $diameterM, 0.15, 0.6, Unit::Metre),
            OutOfRange::check('depth_of_the_pot', $depthM, 0.06, 0.4, Unit::Metre),
        );
    }

    /** A pot as they are usually cast: about three eighths as deep as wide. Common practice. */
    public static function usual(float $diameterM): self
    {
        return self::of($diameterM, 0.375 * $diameterM);
    }

    /** The smallest that holds a joint, to a centimetre; null where none is made so large. */
    public static function that(JointSize $size): ?self
    {
        $upToACm = fn (float $m): float => ceil(100.0 * $m - 1e-6) / 100.0;
        try {
            return self::of(
                $upToACm(max(0.15, $size->lengthM + self::BESIDE_M)),
                $upToACm(max(0.06, min($size->depthM, $size->widthM) + self::RAISED_M + self::UNDER_LID_M)),
            );
        } catch (OutOfRange) {
            return null;
        }
    }

    /** Room over a joint that lies on its flattest side, m; negative when the lid would not close. */
    public function roomOverM(JointSize $size): float
    {
        return $this->depthM - self::RAISED_M - self::UNDER_LID_M - min($size->depthM, $size->widthM);
    }

    /** Room beside it, m; negative when it does not go in lengthwise. */
    public function roomBesideM(JointSize $size): float
    {
        return $this->diameterM - self::BESIDE_M - $size->lengthM;
    }

    public function holds(JointSize $size): bool
    {
        return $this->roomOverM($size) >= 0.0 && $this->roomBesideM($size) >= 0.0;
    }

    /** Water that gets past the lid, litres. */
    public function lossL(float $hours): float
    {
        return self::LEAK_KG_H_M * M_PI * $this->diameterM * OutOfRange::check('time_in_the_pot', $hours, 0.0, 48.0, Unit::Hour);
    }

    /** How deep the liquid should stand at the start, m. */
    public function liquidDepthM(float $hours, bool $buried): float
    {
        return max($buried ? self::LEAST_BURIED_M : self::LEAST_M, self::MARGIN * $this->lossL($hours) / 1000.0 / $this->floorM2());
    }

    public function liquidL(float $hours, bool $buried): float
    {
        return 1000.0 * $this->liquidDepthM($hours, $buried) * $this->floorM2();
    }

    /** Floor, side and lid, m². */
    public function outsideM2(): float
    {
        return 2.0 * $this->floorM2() + M_PI * $this->diameterM * $this->depthM;
    }

    /**
     * Heat that its iron stores, J/K. Source: Incropera & DeWitt, Table A.1; its mass goes with its surface: 7 kg at 30 cm,
     * common practice.
     */
    public function ironJK(): float
    {
        return self::IRON_J_KG_K * self::KG_AT_30CM * ($this->diameterM / 0.3) ** 2;
    }

    public function floorM2(): float
    {
        return M_PI * $this->diameterM ** 2 / 4.0;
    }
}
