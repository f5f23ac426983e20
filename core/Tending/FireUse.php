<?php

declare(strict_types=1);

namespace Diatherm\Tending;

/** What is cooked on a fire, from when and for how long. Minutes count from the moment that its first dish goes on it. */
final readonly class FireUse
{
    /**
     * @param  int  $dish  number of its first dish
     * @param  non-empty-list<int>  $dishes  all that are cooked on it
     * @param  \DateTimeImmutable  $startsAt  minute 0
     * @param  float  $preheatMinutes  before minute 0
     * @param  bool  $first  whether that dish begins on it, and does not come to it from another cooker
     * @param  non-empty-list<string>  $kinds  of cooker that its dishes find it under: one, or what is beside its fire and what is over it
     */
    public function __construct(
        public int $dish,
        public array $dishes,
        public \DateTimeImmutable $startsAt,
        public float $preheatMinutes,
        public float $untilMinutes,
        public bool $first,
        public bool $buried,
        public array $kinds,
    ) {
    }

    public function serves(string $kind): bool
    {
        return in_array($kind, $this->kinds, true);
    }
}
