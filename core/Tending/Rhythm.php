<?php

declare(strict_types=1);

namespace Diatherm\Tending;

use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\Weather;
use Diatherm\Fire\CoalBed;
use Diatherm\Fire\Fuel;
use Diatherm\Fire\HandTest;
use Diatherm\Roast\FireWish;

/**
 * How an open fire fades from one refuel to the next. Its heat is asked for as it is freshly made up, so that what a hand tells
 * half way to the next refuel is held against what it should be by then.
 */
final readonly class Rhythm
{
    private function __construct(
        private Fuel $fuel,
        private float $windMs,
        private float $intervalMinutes,
        private float $aroundWm2,
    ) {
    }

    /** @return self|null null for a fire that is not in the open, or burns nothing that fades */
    public static function of(FireWish $wish, Equipment $equipment, Weather $weather): ?self
    {
        $fuel = $wish->burns($equipment);
        if (! $equipment->isOpen() || $fuel === null) {
            return null;
        }

        return new self(
            $fuel,
            $weather->groundWindMs(),
            CoalBed::minutesToFade($fuel, $equipment->renewAt($wish->steady), $weather->groundWindMs()),
            HandTest::fluxOfWallWm2($weather->airC),
        );
    }

    /**
     * What it would have if it were made up at that moment.
     *
     * @param  float  $celsius  of a black wall that gives the flux that was read
     * @param  float  $minutes  since it was last made up, or lit; one that is due is taken to be made up as planned
     */
    public function freshC(float $celsius, float $minutes): float
    {
        $left = CoalBed::fade($this->fuel, fmod(max(0.0, $minutes), $this->intervalMinutes), $this->windMs);
        $coals = max(0.0, HandTest::fluxOfWallWm2($celsius) - $this->aroundWm2);

        return HandTest::wallOfFluxC($this->aroundWm2 + $coals / $left);
    }
}
