<?php

declare(strict_types=1);

namespace Diatherm\Day;

/** Which line of a run sheet it is: it stays the same while the plan moves, and as text it is what a device ticks. */
final readonly class EntryId
{
    /** @param  list<int|string>  $parts  further apart: a preparation, a step, a chore and its turn, a cooker */
    private function __construct(
        public string $what,
        public ?int $dish,
        public array $parts,
    ) {
    }

    /** @param  int|null  $dish  number of the dish, null for the whole roast */
    public static function of(string $what, ?int $dish = null, int|string ...$parts): self
    {
        return new self($what, $dish, array_values($parts));
    }

    /** One of a fire's own. */
    public static function ofFire(string $kind, string $what, int|string ...$parts): self
    {
        return new self('fire', null, [$kind, $what, ...array_values($parts)]);
    }

    public function text(): string
    {
        return implode('.', [...($this->dish === null ? [] : ['d'.$this->dish]), $this->what, ...$this->parts]);
    }

    public function isOfFire(string $kind, string $what): bool
    {
        return $this->what === 'fire' && array_slice($this->parts, 0, 2) === [$kind, $what];
    }

    public function isThe(string $what, int $dish): bool
    {
        return $this->what === $what && $this->dish === $dish;
    }
}
