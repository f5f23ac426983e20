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
        public ?string $darkAt = null,
    ) {
    }

    /** When it gets dark on the day of the table: the hour that the cook named, else sunset where the table stands; null when neither is known. */
    public function dark(): ?\DateTimeImmutable
    {
        if ($this->darkAt !== null) {
            [$hour, $minute] = array_map(intval(...), explode(':', $this->darkAt));

            return $this->serveAt->setTime($hour, $minute);
        }

        return $this->place?->sunset($this->serveAt);
    }
}
