<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Measure\Message;

/** Something on a cooker that a hand sets: a slot, a knob, a dial, a count of coals. */
final readonly class Control
{
    /**
     * @param  string  $unit  mm, share (0 to 1), °C, kg or pieces
     * @param  float  $step  how finely a hand can set it
     */
    public function __construct(
        public string $id,
        public string $unit,
        public float $least,
        public float $most,
        public float $step,
    ) {
    }

    public function name(): Message
    {
        return sscanf($this->id, 'burner_%d', $number) === 1
            ? Message::of('control.burner', number: (int) $number)
            : Message::of('control.'.$this->id);
    }

    public function clamp(float $value): float
    {
        return min($this->most, max($this->least, $value));
    }

    public function isFull(float $value): bool
    {
        return $value >= $this->most - 0.5 * $this->step;
    }
}
