<?php

declare(strict_types=1);

namespace Diatherm\Plan;

/** One occasion, with a serving hour. */
final readonly class Roast
{
    /** Names that the host may have for the gathering; empty when none was given. */
    public const LONGEST_NAME = 80;

    /** @param  non-empty-list<Dish>  $dishes */
    public function __construct(
        public string $name,
        public \DateTimeImmutable $serveAt,
        public int $people,
        public float $airC,
        public array $dishes,
        public ?Place $place = null,
    ) {
    }
}
