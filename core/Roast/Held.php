<?php

declare(strict_types=1);

namespace Diatherm\Roast;

/** What a cooker that was asked for a heat holds, and how well that is known. */
final readonly class Held
{
    /** How far one that was set and never read is off, as a logarithm of its rise: one in ten to either side. Common practice. */
    public const AS_SET = 0.12;

    /**
     * @param  float|null  $celsius  what it comes to where that is not what it was asked for; null where it gets there
     * @param  float  $doubt  one in ten to either side, as a logarithm of its rise
     */
    public function __construct(
        public ?float $celsius,
        public float $doubt,
    ) {
    }

    public static function asSet(): self
    {
        return new self(null, self::AS_SET);
    }
}
