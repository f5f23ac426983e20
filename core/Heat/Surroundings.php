<?php

declare(strict_types=1);

namespace Diatherm\Heat;

use Diatherm\Measure\Nature;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/** What a joint's surface meets at one moment. */
final readonly class Surroundings
{
    /**
     * Radiation as a coefficient between a surface of 70 °C and walls of 150 °C, per unit of emissivity: σ(T₁² + T₂²)(T₁ +
     * T₂), worked by hand.
     */
    private const RADIATION_WM2K = 12.9;

    /** Kitchen foil, a little creased. Source: Incropera & DeWitt, Table A.11, aluminium foil 0.04 to 0.07 (from memory). */
    private const FOIL_EMISSIVITY = 0.07;

    /**
     * Convective to evaporative transfer at sea level, K/Pa. Source: Lewis relation for air and water vapour, as in the
     * psychrometric literature.
     */
    public const LEWIS_K_PA = 0.015;

    private function __construct(
        public float $airC,
        public float $radiantC,
        public float $convectionWm2K,
        public float $emissivity,
        public float $vapourPa,
        public float $absorbedWm2,
        public float $evaporationWm2Pa,
        public float $boilingC,
        public float $plateC,
        public float $contactWm2K,
        public float $skin = 1.0,
    ) {
    }

    /**
     * @param  float  $airC  air temperature, −40 to 600 °C
     * @param  float  $radiantC  temperature of the walls that the joint sees, −40 to 900 °C
     * @param  float  $convectionWm2K  0 to 100 W/(m²·K)
     * @param  float  $emissivity  0 to 1
     * @param  float  $dewPointC  of the air, −60 to 100 °C
     * @param  float  $absorbedWm2  further radiation taken up, mean over a turn, 0 to 40 kW/m²
     * @param  float  $wettable  share of the surface that can give off water or catch dew, 0 (wrapped) to 1
     * @param  float  $boilingC  of water, where it stands
     *
     * @throws OutOfRange
     */
    public static function of(
        float $airC,
        float $radiantC,
        float $convectionWm2K,
        float $emissivity,
        float $dewPointC,
        float $absorbedWm2 = 0.0,
        float $wettable = 1.0,
        float $boilingC = 100.0,
    ): self {
        return new self(
            OutOfRange::check('air_temperature', $airC, -40.0, 600.0, Unit::Celsius),
            OutOfRange::check('radiant_temperature', $radiantC, -40.0, 900.0, Unit::Celsius),
            OutOfRange::check('convective_coefficient', $convectionWm2K, 0.0, 100.0, Unit::WattPerSquareMetreKelvin),
            OutOfRange::check('emissivity', $emissivity, 0.0, 1.0, Unit::None),
            Vapour::saturationPa(OutOfRange::check('dew_point', $dewPointC, -60.0, 100.0, Unit::Celsius)),
            OutOfRange::check('absorbed_flux', $absorbedWm2, 0.0, 40_000.0, Unit::WattPerSquareMetre),
            self::LEWIS_K_PA * $convectionWm2K * OutOfRange::check('wettable_share', $wettable, 0.0, 1.0, Unit::None),
            $boilingC,
            $airC,
            0.0,
        );
    }

    /** Convection alone, as textbooks have it; for checks against exact solutions. */
    public static function convection(float $airC, float $convectionWm2K): self
    {
        return new self($airC, $airC, $convectionWm2K, 0.0, 0.0, 0.0, 0.0, 100.0, $airC, 0.0);
    }

    /**
     * The same place for meat that is sealed, so that no moisture leaves or comes; in foil it takes up little radiation too.
     *
     * @param  float  $shine  emissivity of that foil, 0 to 1
     */
    public function sealed(bool $foil, float $shine = self::FOIL_EMISSIVITY): self
    {
        return new self(
            $this->airC,
            $this->radiantC,
            $this->convectionWm2K,
            $foil ? $shine : $this->emissivity,
            $this->vapourPa,
            $foil ? $shine * $this->absorbedWm2 : $this->absorbedWm2,
            0.0,
            $this->boilingC,
            $this->plateC,
            $this->contactWm2K,
            $this->skin,
        );
    }

    /**
     * The same place with a part of the surface on a hot plate.
     *
     * @param  float  $plateC  −40 to 600 °C
     * @param  float  $contactWm2K  over the whole surface: that of the part which touches, times its share; 0 to 2000 W/(m²·K)
     *
     * @throws OutOfRange
     */
    public function touching(float $plateC, float $contactWm2K): self
    {
        return new self(
            $this->airC, $this->radiantC, $this->convectionWm2K, $this->emissivity, $this->vapourPa, $this->absorbedWm2,
            $this->evaporationWm2Pa, $this->boilingC,
            OutOfRange::check('plate_temperature', $plateC, -40.0, 600.0, Unit::Celsius),
            OutOfRange::check('contact_coefficient', $contactWm2K, 0.0, 2000.0, Unit::WattPerSquareMetreKelvin),
            $this->skin,
        );
    }

    /**
     * The same place in thinner air: it convects as the root of its density; vapour leaves more readily, and its share of
     * the air stays. Source: Incropera & DeWitt, chapters 6 (mass transfer ∝ 1/p) and 7, 9 (h ∝ ρ^½, laminar).
     *
     * @param  float  $pa  of a place that was given for sea level, 30 to 110 kPa
     *
     * @throws OutOfRange
     */
    public function underPressure(float $pa): self
    {
        $thinner = OutOfRange::check('air_pressure', $pa, 30_000.0, 110_000.0, Unit::Pascal) / Nature::AIR_PA;

        return new self(
            $this->airC,
            $this->radiantC,
            $this->convectionWm2K * sqrt($thinner),
            $this->emissivity,
            $this->vapourPa * $thinner,
            $this->absorbedWm2,
            $this->evaporationWm2Pa / sqrt($thinner),
            Vapour::boilingC($pa),
            $this->plateC,
            $this->contactWm2K,
            $this->skin,
        );
    }

    /**
     * The same place met through a layer, such as bacon: what passes the air's film passes the layer after it.
     *
     * @param  float  $resistanceM2KW  thickness over conductivity, 0 to 1 m²K/W
     */
    public function behind(float $resistanceM2KW): self
    {
        OutOfRange::check('resistance_of_the_layer', $resistanceM2KW, 0.0, 1.0, Unit::SquareMetreKelvinPerWatt);

        return $this->stronger(
            1.0 / (1.0 + $resistanceM2KW * ($this->convectionWm2K + $this->contactWm2K + self::RADIATION_WM2K * $this->emissivity)),
        );
    }

    /**
     * The same place for a surface that lets only a share of the water out, such as a skin; dew gathers on it as on any.
     *
     * @param  float  $share  0 to 1
     */
    public function throughSkin(float $share): self
    {
        return new self(
            $this->airC,
            $this->radiantC,
            $this->convectionWm2K,
            $this->emissivity,
            $this->vapourPa,
            $this->absorbedWm2,
            $this->evaporationWm2Pa,
            $this->boilingC,
            $this->plateC,
            $this->contactWm2K,
            OutOfRange::check('share_that_a_skin_lets_through', $share, 0.0, 1.0, Unit::None),
        );
    }

    /**
     * The same place closed in: what evaporates has to leave past a lid, or comes from what else gives off vapour there.
     *
     * @param  float  $airC  of the air inside
     * @param  float  $vapourPa  beyond that resistance
     * @param  float  $share  of the film's conductance that both in series have, 0 to 1
     */
    public function closedIn(float $airC, float $vapourPa, float $share): self
    {
        return new self(
            $airC,
            $this->radiantC,
            $this->convectionWm2K,
            $this->emissivity,
            $vapourPa,
            $this->absorbedWm2,
            $this->evaporationWm2Pa * $share,
            $this->boilingC,
            $airC,
            0.0,
            $this->skin,
        );
    }

    /** The same place full of steam at this pressure. */
    public function filledWith(float $airC, float $vapourPa): self
    {
        return $this->closedIn($airC, $vapourPa, 1.0);
    }

    /** The same place with its heat transfer, by every path, scaled by $factor (0.01 to 10). */
    public function stronger(float $factor): self
    {
        OutOfRange::check('heat_transfer_factor', $factor, 0.01, 10.0, Unit::None);

        return new self(
            $this->airC,
            $this->radiantC,
            $this->convectionWm2K * $factor,
            min(1.0, $this->emissivity * $factor),
            $this->vapourPa,
            $this->absorbedWm2 * $factor,
            $this->evaporationWm2Pa * $factor,
            $this->boilingC,
            $this->plateC,
            $this->contactWm2K * $factor,
            $this->skin,
        );
    }
}
