<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Fire\CoalBed;
use Diatherm\Fire\FireFloor;
use Diatherm\Fire\Fuel;
use Diatherm\Fire\HandTest;
use Diatherm\Fire\Pile;
use Diatherm\Measure\Bisection;
use Diatherm\Measure\Message;

/**
 * Coals in the open, with the meat over or beside them: grate, spit, trench. Its temperature is that of a black wall
 * which would give the same heat at the meat; the hand test reads it.
 */
final readonly class OpenFire implements Mechanism
{
    private const MOST_KG = 60.0;

    /**
     * Middle of the hot gas over a long bed, K·m/(kW/m)^⅔: a line plume in still air.
     * Source: Lee & Emmons 1961, as in the SFPE Handbook of Fire Protection Engineering (from memory).
     */
    private const PLUME = 7.1;

    /** Film of that gas on a palm or a joint, W/(m²·K). Source: Incropera & DeWitt, chapter 7: about 1 m/s. */
    private const PLUME_FILM_WM2K = 12.0;

    /** The gas rises at about this speed, m/s; wind of as much carries it away from the meat. Source: as above. */
    private const PLUME_MS = 1.2;

    private const MILD_C = 20.0;

    /** Skin that is warmed, °C. */
    private const PALM_C = 34.0;

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
        return [new Control('coals_kg', 'kg', 0.0, self::MOST_KG, 0.05)];
    }

    public function steadyC(Settings $settings, Weather $weather): float
    {
        // Coals only add to what the surroundings give.
        return HandTest::wallOfFluxC(
            $this->fluxWm2($settings->get('coals_kg'), $weather->groundWindMs()) + HandTest::fluxOfWallWm2($weather->airC),
        );
    }

    public function settingsFor(float $targetC, Weather $weather): Settings
    {
        return Settings::of(
            ['coals_kg' => Bisection::root(
                fn (float $kg): float => $this->steadyC(Settings::of(['coals_kg' => $kg]), $weather) - $targetC,
                0.0,
                self::MOST_KG,
                1e-4,
            )],
        );
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
        return $settings->get('coals_kg') * CoalBed::freshWKg($this->fuel);
    }

    public function storageJK(): float
    {
        return 0.0;
    }

    public function doubt(): float
    {
        return 0.15;
    }

    public function inWords(Settings $settings): Message
    {
        return Message::of('settings.in_the_bed', fuel: $this->fuel->inWords($settings->get('coals_kg')));
    }

    /**
     * What fresh coals give a palm at the meat, W/m²: their radiation, and the gas that rises with it.
     *
     * @param  float  $windMs  at the coals
     */
    public function fluxWm2(float $kg, float $windMs = 0.0): float
    {
        $gas = max(0.0, $this->plumeK($kg, $windMs) - self::PALM_C + self::MILD_C);

        return $this->floor($kg)->downWm2(0.0, 0.0, $this->heightM) + self::PLUME_FILM_WM2K * $gas;
    }

    /** How much warmer than the open air the gas at the meat is, K. */
    public function plumeK(float $kg, float $windMs): float
    {
        $kW = (1.0 - $this->fuel->radiantShare) * $kg * CoalBed::freshWKg($this->fuel) / 1000.0;

        return self::PLUME * ($kW / $this->lengthM) ** (2.0 / 3.0) / $this->heightM * self::staysInWind($windMs);
    }

    /** Share of the rising gas that wind leaves to the meat, 0 to 1. */
    public static function staysInWind(float $windMs): float
    {
        return 1.0 / (1.0 + ($windMs / self::PLUME_MS) ** 2);
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
