<?php

declare(strict_types=1);

namespace Diatherm\Live;

/** One course, and how well it meets what was read. */
final readonly class CourseFit
{
    /**
     * @param  float  $fit  logarithm of its likelihood with all readings, up to what all courses share
     * @param  float  $prior  the same before any reading
     * @param  int  $shape  its number
     * @param  float  $logPace  logarithm of its pace
     * @param  int  $clock  number of its clock: as logged, then fallen
     * @param  float  $offK  newest reading less what the others let expect in it
     */
    public function __construct(
        public float $fit,
        public float $prior,
        public int $shape,
        public float $logPace,
        public int $clock,
        public float $offK,
    ) {
    }

    /** @param  list<self>  $fits */
    public static function best(array $fits): ?self
    {
        $best = null;
        foreach ($fits as $one) {
            $best = $best === null || $one->fit > $best->fit ? $one : $best;
        }

        return $best;
    }
}
