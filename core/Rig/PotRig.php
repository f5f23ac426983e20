<?php

declare(strict_types=1);

namespace Diatherm\Rig;

/** A dish in a camp oven, over coals or buried in them. */
final readonly class PotRig implements Rig
{
    /** @param  string|null  $ground of the hole; null when the pot is not buried */
    public function __construct(
        public Pot $pot,
        public ?JointSize $size,
        public ?string $ground,
    ) {
    }

    public function size(): ?JointSize
    {
        return $this->size;
    }

    public function isBuried(): bool
    {
        return $this->ground !== null;
    }

    public function pit(): ?Pit
    {
        return $this->ground === null ? null : Pit::for($this->pot, $this->ground);
    }
}
