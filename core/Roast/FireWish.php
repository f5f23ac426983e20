<?php

declare(strict_types=1);

namespace Diatherm\Roast;

use Diatherm\Cooker\Equipment;
use Diatherm\Fire\Fuel;
use Diatherm\Fire\Pile;

/** What the cook wants of one kind of cooker's fire in a roast; null where the usual will do. */
final readonly class FireWish
{
    /**
     * @param  string  $kind  of the cooker
     * @param  string|null  $own  name of the cook's own cooker of that kind
     * @param  float|null  $moisture  of its wood, share of water
     * @param  string|null  $layout  of the coals, or the method of a camp oven
     * @param  list<Pile>|null  $piles  coals that were moved by hand; under a lid their kilograms count as shares of what the fire takes
     * @param  bool  $smoke  whether smoke wood is laid on
     * @param  bool  $steady  fed little and often, and not only when it is low; in the open
     */
    public function __construct(
        public string $kind,
        public ?string $own = null,
        public ?string $fuel = null,
        public ?string $layout = null,
        public ?array $piles = null,
        public bool $steady = false,
        public ?float $moisture = null,
        public bool $smoke = false,
    ) {
    }

    /** @param  list<Pile>  $piles  of its coals */
    public function laidAs(array $piles): self
    {
        return new self($this->kind, $this->own, $this->fuel, $this->layout, $piles, $this->steady, $this->moisture, $this->smoke);
    }

    public function burning(string $fuel): self
    {
        return new self($this->kind, $this->own, $fuel, $this->layout, $this->piles, $this->steady, null, $this->smoke);
    }

    public function fedWhenLow(): self
    {
        return new self($this->kind, $this->own, $this->fuel, $this->layout, $this->piles, false, $this->moisture, $this->smoke);
    }

    /** What burns in it, the usual fuel where none was named; null for a cooker without fuel. */
    public function burns(Equipment $equipment): ?Fuel
    {
        $fuel = $this->fuel === null ? ($equipment->fuels()[0] ?? null) : Fuel::named($this->fuel);

        return $fuel !== null && $fuel->isWood() && $this->moisture !== null ? $fuel->withMoisture($this->moisture) : $fuel;
    }

    /** What was laid by hand in all, kg; null where the plan says how much. */
    public function laidKg(): ?float
    {
        return $this->piles === null ? null : array_sum(array_column($this->piles, 'kg'));
    }

    /** From the match to coals that can be cooked on, minutes; the kind's usual time where the cook named no fuel. */
    public function lightMinutes(Equipment $equipment): float
    {
        return $this->fuel === null && $this->moisture === null
            ? $equipment->kind->lightMinutes
            : ($this->burns($equipment)?->lightMinutes() ?? $equipment->kind->lightMinutes);
    }
}
