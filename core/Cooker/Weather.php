<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Fire\CampOvenCount;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/** The air outside a cooker. */
final readonly class Weather
{
    private function __construct(public float $airC, public float $windMs, public bool $rain, public float $altitudeM)
    {
    }

    /**
     * @param  float  $airC  −30 to 50 °C
     * @param  float  $windMs  at head height, 0 to 20 m/s
     * @param  float  $altitudeM  0 to 4000 m
     *
     * @throws OutOfRange
     */
    public static function of(float $airC, float $windMs = 0.0, bool $rain = false, float $altitudeM = 0.0): self
    {
        return new self(
            OutOfRange::check('outside_air_temperature', $airC, -30.0, 50.0, Unit::Celsius),
            OutOfRange::check('wind', $windMs, 0.0, 20.0, Unit::MetrePerSecond),
            $rain,
            OutOfRange::check('altitude', $altitudeM, 0.0, 4000.0, Unit::Metre),
        );
    }

    /**
     * By how much wind and rain raise what a cooker's walls lose, 1 upwards. The wall's film is one resistance of several:
     * only its share of the whole gives way.
     *
     * @param  float  $filmShare  of the wall's resistance in still air, 0 to 1
     */
    public function lossFactor(float $filmShare): float
    {
        // Film in wind over film in still air. Source: McAdams, Heat Transmission: h = 5.7 + 3.8·v, v < 5 m/s; the wall's
        // radiation beside it.
        $film = (self::RADIATION + self::STILL + self::WINDY * $this->windMs) / (self::RADIATION + self::STILL);

        return (1.0 + ($this->rain ? self::RAIN : 0.0)) / ($filmShare / $film + 1.0 - $filmShare);
    }

    /** Wind at the coals, m/s: it is slower near the ground. */
    public function groundWindMs(): float
    {
        return CampOvenCount::WIND_AT_GROUND * $this->windMs;
    }

    /** W/(m²·K) of a warm wall outdoors. Source: Incropera & DeWitt, chapter 1: 4εσT³ at 350 K. */
    private const RADIATION = 9.7;

    private const STILL = 5.7;

    private const WINDY = 3.8;

    /** Rain on the lid: so much more is lost. Common practice. */
    private const RAIN = 0.15;
}
