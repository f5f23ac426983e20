<?php

declare(strict_types=1);

namespace Diatherm\Practice;

/** Chance that is handed in: the same seed always throws the same. Source: Marsaglia 2003, xorshift; Box & Muller 1958. */
final class Dice
{
    private int $state;

    public function __construct(int $seed)
    {
        $this->state = ($seed & 0x7FFFFFFF) ?: 1;
    }

    /** @return float 0 to 1, neither of them */
    public function even(): float
    {
        $x = $this->state;
        $x ^= ($x << 13) & 0xFFFFFFFF;
        $x ^= $x >> 17;
        $x ^= ($x << 5) & 0xFFFFFFFF;
        $this->state = $x;

        return ($x + 0.5) / 4294967296.0;
    }

    /** Standard normal. */
    public function normal(): float
    {
        return sqrt(-2.0 * log($this->even())) * cos(2.0 * M_PI * $this->even());
    }

    public function between(float $least, float $most): float
    {
        return $least + $this->even() * ($most - $least);
    }
}
