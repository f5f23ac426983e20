<?php

declare(strict_types=1);

namespace Diatherm\Tending;

/** Coals that a fire takes over from another cooker. */
final readonly class Lent
{
    /**
     * @param  string|null  $from  the cooker's short name; null where a fire of its own is lit
     * @param  float  $topUpKg  coals that are added to those taken over
     */
    public function __construct(
        public ?string $from,
        public float $topUpKg,
    ) {
    }

    public static function none(): self
    {
        return new self(null, 0.0);
    }
}
