<?php

declare(strict_types=1);

namespace Diatherm\Cooker\Vessel;

use Diatherm\Fire\BuriedBed;

/** Coals and earth round a pot: bed, pot and ground in one balance. */
final class Buried implements Source
{
    private float $bedC;

    private float $elapsedS = 0.0;

    /** @param  float  $glow  on the smoulder that is likely */
    public function __construct(private readonly BuriedBed $bed, private readonly float $glow = 1.0)
    {
        $this->bedC = $bed->firstC();
    }

    public function bedC(): float
    {
        return $this->bedC;
    }

    public function warm(float $givenW, float $holdsWK, float $seconds): array
    {
        $this->elapsedS += $seconds;
        $storage = $this->bed->storageJK / $seconds;
        $ground = $this->bed->groundWK($this->elapsedS);
        $gives = $this->glow * $this->bed->smoulderW($this->elapsedS);
        $link = $this->bed->linkWK;
        // Two implicit balances, bed and wall, solved together.
        $have = $storage * $this->bedC + $gives + $ground * $this->bed->groundC;
        $own = $storage + $ground + $link;
        $wallC = ($givenW + $link * $have / $own) / ($holdsWK + $link - $link * $link / $own);
        $this->bedC = ($have + $link * $wallC) / $own;

        return [$wallC, $link * ($this->bedC - $wallC)];
    }
}
