<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Cooker\Cooker;

/** One step of a dish on one cooker at one heat. */
final readonly class Stage
{
    /**
     * @param  float|null  $value  minutes or °C, as $end says; null for a pull
     * @param  list<Chore>  $chores
     */
    public function __construct(
        public Cooker $cooker,
        public float $cookerC,
        public StageEnd $end,
        public ?float $value,
        public array $chores,
    ) {
    }

    /** The same step at another temperature. */
    public function at(float $cookerC): self
    {
        return new self($this->cooker, $cookerC, $this->end, $this->value, $this->chores);
    }

    /** The same step on another cooker of its kind. */
    public function on(Cooker $cooker): self
    {
        return new self($cooker, $this->cookerC, $this->end, $this->value, $this->chores);
    }
}
