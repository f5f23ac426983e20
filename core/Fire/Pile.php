<?php

declare(strict_types=1);

namespace Diatherm\Fire;

use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/** Coals raked together in one place of a fire floor. */
final readonly class Pile
{
    /** A layer one to two coals deep, which is how they are raked. Common practice, kg/m². */
    public const LAYER_KG_M2 = 20.0;

    private function __construct(public float $xM, public float $yM, public float $kg)
    {
    }

    /**
     * @param  float  $xM  of its middle, from the floor's middle along its length
     * @param  float  $yM  across
     *
     * @throws OutOfRange
     */
    public static function of(float $xM, float $yM, float $kg): self
    {
        return new self(
            OutOfRange::check('place_of_the_coals_along', $xM, -5.0, 5.0, Unit::Metre),
            OutOfRange::check('place_of_the_coals_across', $yM, -5.0, 5.0, Unit::Metre),
            OutOfRange::check('coals', $kg, 0.0, 200.0, Unit::Kilogram),
        );
    }

    /**
     * The same piles with so much in all.
     *
     * @param  list<self>  $piles  with coals in one of them at least
     * @return list<self>
     */
    public static function sharing(array $piles, float $kg): array
    {
        $all = array_sum(array_column($piles, 'kg'));

        return array_map(fn (self $pile): self => self::of($pile->xM, $pile->yM, $pile->kg / $all * $kg), $piles);
    }

    /** Half the side of the square that it covers. */
    public function halfM(): float
    {
        return 0.5 * sqrt($this->kg / self::LAYER_KG_M2);
    }
}
