<?php

declare(strict_types=1);

namespace Diatherm\Heat;

use Diatherm\Measure\Table;

/**
 * What the equations of the heat model leave open: calibrated together against the cooks of practice (Practice\Calibration). Rows:
 * data/heat.json, with their sources.
 */
final readonly class Constants
{
    /**
     * @param  float  $heldM2S  water held in meat diffuses, m²/s
     * @param  float  $pressedM2S  juice that the meat no longer holds moves so much more readily, m²/s
     * @param  float  $letsGoShare  of its water that muscle lets go of in all as its proteins shrink, 0 to 1
     * @param  float  $kappa  dampness w of a surface, over what it was at first, gives it a water activity of (1 + κ)w/(κ + w)
     * @param  float  $dryConducts  conductivity of what has dried, over that of the moist food
     * @param  float  $convectionBySize  the convective film falls as the half-thickness to this power
     * @param  float  $drips  of its mass, that meat in a closed pot leaves on the floor as liquid that boils off
     */
    private function __construct(
        public float $heldM2S,
        public float $pressedM2S,
        public float $letsGoShare,
        public float $kappa,
        public float $dryConducts,
        public float $convectionBySize,
        public float $drips,
    ) {
    }

    public static function read(): self
    {
        return Table::made('heat', function (): self {
            /** @var list<array{id: string, value: float}> $constants */
            $constants = Table::named('heat')['constants'];
            $row = array_column($constants, 'value', 'id');

            return new self(
                $row['held_m2_s'], $row['pressed_m2_s'], $row['lets_go_share'], $row['kappa'], $row['dry_conducts'],
                $row['convection_by_size'], $row['drips'],
            );
        });
    }
}
