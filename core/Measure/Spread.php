<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** A figure as low–likely–high: one outcome in ten falls short of `low`, one in ten exceeds `high`. */
final readonly class Spread
{
    private function __construct(
        public float $low,
        public float $likely,
        public float $high,
    ) {
    }

    /** @throws OutOfRange unless low ≤ likely ≤ high */
    public static function of(float $low, float $likely, float $high): self
    {
        OutOfRange::check('low_end', $low, -PHP_FLOAT_MAX, $likely, Unit::None);
        OutOfRange::check('high_end', $high, $likely, PHP_FLOAT_MAX, Unit::None);

        return new self($low, $likely, $high);
    }

    public static function exactly(float $value): self
    {
        return new self($value, $value, $value);
    }

    public function plus(float $offset): self
    {
        return new self($this->low + $offset, $this->likely + $offset, $this->high + $offset);
    }

    public function width(): float
    {
        return $this->high - $this->low;
    }
}
