<?php

declare(strict_types=1);

namespace Diatherm\Rig;

use Diatherm\Food\Cut;
use Diatherm\Measure\Bisection;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Table;
use Diatherm\Measure\Unit;

/** A joint on a spit: its length between the forks, and its swing against the nearest element, wall, lid or coals. */
final readonly class SpitFit
{
    /** Room to keep at every angle, m. Common practice. */
    public const LEAST_CLEARANCE_M = 0.025;

    /** What is left of the length when neck and back are folded in or the shanks cut and tied. Common practice. */
    public const FOLDED = 0.78;

    private const ANGLES = 72;

    /**
     * @param  float  $clearanceM  least room at any angle, tied; negative when it touches
     * @param  float  $looseClearanceM  the same with a leg loose
     * @param  non-empty-list<float>  $swingM  how far it reaches at each angle of the turn, tied
     * @param  int  $tightDeg  where it reaches farthest
     */
    private function __construct(
        public Fit $fit,
        public JointSize $size,
        public float $clearanceM,
        public float $looseClearanceM,
        public array $swingM,
        public int $tightDeg,
        public float $largestMassKg,
    ) {
    }

    /**
     * @param  float  $usableM  what each piece has between the forks, their bite included; short when many share a spit
     * @param  float  $roomM  from the spit's axis to the nearest element, wall, lid or coals
     * @param  float  $offM  how far the joint's middle lies off the axis
     */
    public static function of(Cut $cut, float $massKg, JointSize $size, float $usableM, float $roomM, float $offM = 0.0): self
    {
        OutOfRange::check('usable_length', $usableM, 0.0, 3.0, Unit::Metre);
        OutOfRange::check('room_round_the_spit', $roomM, 0.03, 2.0, Unit::Metre);
        $swing = self::swing($size, $offM);
        $reach = max($swing);
        $loose = $reach + self::looseReachM($cut, $size);
        $roomy = $roomM - self::LEAST_CLEARANCE_M;
        $fit = match (true) {
            $reach > $roomy => Fit::TooWide,
            self::FOLDED * $size->lengthM > $usableM => Fit::TooLong,
            $size->lengthM > $usableM => Fit::Folded,
            $loose > $roomy => Fit::Tied,
            default => Fit::AsItIs,
        };

        return new self(
            $fit,
            $size,
            $roomM - $reach,
            $roomM - $loose,
            $swing,
            (int) round(360 * (int) array_search($reach, $swing, true) / self::ANGLES),
            self::largestMassKg($cut, $massKg, $size, $usableM, $roomy, $offM),
        );
    }

    /** How far a loose leg swings out beyond the tied body, m. */
    public static function looseReachM(Cut $cut, JointSize $size): float
    {
        /** @var array<string, float> $reach */
        $reach = array_diff_key((array) Table::named('rigs')['loose_reach'], ['about' => '']);

        return ($reach[$cut->kind] ?? 0.0) * $size->depthM;
    }

    /** @return non-empty-list<float> */
    private static function swing(JointSize $size, float $offM): array
    {
        [$a, $b] = [0.5 * $size->widthM, 0.5 * $size->depthM];
        $swing = [];
        for ($i = 0; $i < self::ANGLES; $i++) {
            $angle = 2.0 * M_PI * $i / self::ANGLES;
            // Farthest point of the ellipse in that direction from the axis, the ellipse's middle lying $offM to the right.
            $swing[] = sqrt(($a * cos($angle)) ** 2 + ($b * sin($angle)) ** 2) + $offM * cos($angle);
        }

        assert($swing !== []);

        return $swing;
    }

    /** The largest mass of the same cut, in the proportions of this joint, that still turns and goes between the forks, kg. */
    private static function largestMassKg(Cut $cut, float $massKg, JointSize $size, float $usableM, float $roomyM, float $offM): float
    {
        $spare = function (float $mass) use ($cut, $massKg, $size, $usableM, $roomyM, $offM): float {
            $now = $cut->shape->usualSizeM($massKg);
            $then = $cut->shape->usualSizeM($mass);
            $grown = array_map(fn (float $a, float $b): float => $b / $a, $now, $then);
            $reach = 0.5 * max($size->widthM * $grown[1], $size->depthM * $grown[2]) + abs($offM);

            return min($roomyM - $reach, $usableM - self::FOLDED * $size->lengthM * $grown[0]);
        };

        return Bisection::root($spare, 0.05, 80.0, 0.01);
    }
}
