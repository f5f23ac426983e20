<?php

declare(strict_types=1);

namespace Diatherm\Rig;

/** How a dish is held. */
interface Rig
{
    public function size(): ?JointSize;
}
