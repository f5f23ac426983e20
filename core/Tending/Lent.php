<?php

declare(strict_types=1);

namespace Diatherm\Tending;

/** What a fire takes over from another one: its coals, or, laid or set another way, the cooker as it stands. */
final readonly class Lent
{
    /**
     * @param  string|null  $from  the cooker's short name; null where a fire of its own is lit
     * @param  float  $topUpKg  coals that are added to those taken over
     * @param  bool  $isSame  whether it is the same cooker
     */
    public function __construct(
        public ?string $from,
        public float $topUpKg,
        public bool $isSame = false,
    ) {
    }

    public static function none(): self
    {
        return new self(null, 0.0);
    }
}
