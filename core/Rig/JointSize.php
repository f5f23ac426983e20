<?php

declare(strict_types=1);

namespace Diatherm\Rig;

use Diatherm\Food\Cut;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Table;
use Diatherm\Measure\Unit;

/** A joint as a tape sees it, limbs tied: along the spit, across, and deep. Metres. */
final readonly class JointSize
{
    private function __construct(
        public float $lengthM,
        public float $widthM,
        public float $depthM,
        public bool $measured,
    ) {
    }

    /** @throws OutOfRange unless each is 1 cm to 2 m */
    public static function measured(float $lengthM, float $widthM, float $depthM): self
    {
        foreach (['length' => $lengthM, 'width' => $widthM, 'depth' => $depthM] as $what => $value) {
            OutOfRange::check($what.'_of_the_joint', $value, 0.01, 2.0, Unit::Metre);
        }

        return new self($lengthM, $widthM, $depthM, true);
    }

    /** What a joint of that cut and mass likely measures. */
    public static function suggested(Cut $cut, float $massKg): self
    {
        [$length, $width, $depth] = $cut->shape->usualSizeM($massKg);
        /** @var array<string, float> $over */
        $over = array_diff_key((array) Table::named('rigs')['length_over_body'], ['about' => '']);

        return new self($length * ($over[$cut->id] ?? $over[$cut->kind] ?? 1.0), $width, $depth, false);
    }

    /** Largest distance from the middle of its section to its edge. */
    public function halfWidthM(): float
    {
        return 0.5 * max($this->widthM, $this->depthM);
    }
}
