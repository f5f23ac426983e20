<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

/** A cooker of the cook's own: what it is, and what was logged on it. */
final readonly class OwnCooker
{
    public const LONGEST_NAME = 80;

    /** @param  list<Observation>  $observations */
    public function __construct(
        public string $name,
        public Equipment $equipment,
        public array $observations,
    ) {
    }

    /**
     * The one that a roast calls by name; null when there is none such of that kind.
     *
     * @param  array<string, self>  $yard  by name
     */
    public static function wished(?string $name, string $kind, array $yard): ?self
    {
        $own = $name === null ? null : ($yard[$name] ?? null);

        return $own?->equipment->kind->id === $kind ? $own : null;
    }

    public function renamed(string $name): self
    {
        return new self($name, $this->equipment, $this->observations);
    }

    public function curve(?Mechanism $mechanism = null): OwnCurve
    {
        return OwnCurve::of($this->equipment, $this->observations, $mechanism);
    }
}
