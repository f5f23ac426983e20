<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Fire\FireFloor;
use Diatherm\Fire\Fuel;
use Diatherm\Fire\HandTest;
use Diatherm\Fire\Pile;
use Diatherm\Measure\Bisection;

/**
 * Coals in the open, with the meat over or beside them: grate, spit, trench. Its temperature is that of a black wall
 * which would give the same heat at the meat; the hand test reads it.
 */
final readonly class OpenFire implements Mechanism
{
    private const MOST_KG = 60.0;

    /**
     * @param  float  $lengthM  of the bed
     * @param  float  $heightM  of the meat over it
     * @param  list<Pile>  $laid  how its coals share out, whatever there is of them in all
     */
    public function __construct(
        public float $lengthM,
        public float $widthM,
        public float $heightM,
        public Fuel $fuel,
        private array $laid,
    ) {
    }

    public function controls(): array
    {
        return [new Control('coals_kg', 'Coals in the bed', 'kg', 0.0, self::MOST_KG, 0.05)];
    }

    public function steadyC(Settings $settings, Weather $weather): float
    {
        // Coals only add to what the surroundings give.
        return HandTest::wallOfFluxC($this->fluxWm2($settings->get('coals_kg')) + HandTest::fluxOfWallWm2($weather->airC));
    }

    public function settingsFor(float $targetC, Weather $weather): Settings
    {
        return Settings::of(['coals_kg' => Bisection::root(fn (float $kg): float => $this->steadyC(Settings::of(['coals_kg' => $kg]), $weather) - $targetC, 0.0, self::MOST_KG, 1e-4)]);
    }

    public function hurried(Settings $settings): Settings
    {
        return $settings;
    }

    public function heatW(Settings $settings, float $insideC, Weather $weather): float
    {
        return $this->lossW($settings, $insideC, $weather);
    }

    public function lossW(Settings $settings, float $insideC, Weather $weather): float
    {
        return $settings->get('coals_kg') * \Diatherm\Fire\CoalBed::freshWKg($this->fuel);
    }

    public function storageJK(): float
    {
        return 0.0;
    }

    public function doubt(): float
    {
        return 0.15;
    }

    public function inWords(Settings $settings): string
    {
        return $this->fuel->inWords($settings->get('coals_kg')).' in the bed';
    }

    /** Flux that fresh coals give at the meat, W/m². */
    public function fluxWm2(float $kg): float
    {
        return $this->floor($kg)->downWm2(0.0, 0.0, $this->heightM);
    }

    /** @return list<Pile> */
    public function piles(float $kg): array
    {
        return Pile::sharing($this->laid, $kg);
    }

    public function floor(float $kg): FireFloor
    {
        return FireFloor::of($this->lengthM, $this->widthM, false, $this->fuel, $this->piles($kg));
    }
}
