<?php

declare(strict_types=1);

namespace Diatherm\Rig;

use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Spread;
use Diatherm\Measure\Table;

/**
 * A hole for a buried pot: its size, the soil to dig, the coals under, beside and above, and the wood that makes them.
 * Common practice throughout.
 */
final readonly class Pit
{
    /** Coals beside the pot, all round. */
    private const BESIDE_M = 0.075;

    private const UNDER_M = 0.15;

    /** Coals over the lid, the middle of 10 to 15 cm. */
    private const ABOVE_M = 0.125;

    private const EARTH_M = 0.12;

    private const LID_M = 0.03;

    /** One shovel of coals, m³. */
    private const SHOVEL_M3 = 0.004;

    /** Loose glowing coals, kg/m³. */
    public const COALS_KG_M3 = [150.0, 185.0, 220.0];

    /** Share of dry wood's mass that is left as coals. */
    private const COALS_FROM_WOOD = [0.2, 0.225, 0.25];

    /** Wood that a tended fire on a square metre burns down, kg/h. */
    public const BURNS_KG_H_M2 = 40.0;

    /** The lower coals sit this long to dry the wall before the pot goes in, min. */
    public const SETTLE_MINUTES = 10.0;

    /** @param  float  $effusivity  of the ground, √(kρc), W·√s/(m²·K) */
    private function __construct(
        public Pot $pot,
        public string $ground,
        private int $extraShovels,
        private float $digM3H,
        public float $effusivity,
        private float $minutesPerKg,
    ) {
    }

    /** @throws OutOfRange for ground that is not in data/rigs.json */
    public static function for(Pot $pot, string $ground): self
    {
        /** @var array<string, array{name: string, extra_shovels: int, dig_m3_h: float, effusivity: float, min_per_kg: int}> $grounds */
        $grounds = Table::named('rigs')['ground'];
        $row = $grounds[$ground] ?? throw OutOfRange::unknown('ground', $ground);

        return new self($pot, $ground, $row['extra_shovels'], $row['dig_m3_h'], $row['effusivity'], $row['min_per_kg']);
    }

    public function widthM(): float
    {
        return $this->pot->diameterM + 2.0 * self::BESIDE_M;
    }

    public function depthM(): float
    {
        return self::UNDER_M + $this->potHeightM() + self::ABOVE_M + self::EARTH_M;
    }

    /** @return array{under: float, pot: float, above: float, earth: float} heights of the layers from the bottom, m */
    public function layersM(): array
    {
        return ['under' => self::UNDER_M, 'pot' => $this->potHeightM(), 'above' => self::ABOVE_M, 'earth' => self::EARTH_M];
    }

    public function soilM3(): float
    {
        return $this->areaM2() * $this->depthM();
    }

    /** @return array{under: float, beside: float, above: float} m³; wet or cold ground and wind ask for more on top */
    public function coalsM3(): array
    {
        return [
            'under' => $this->areaM2() * self::UNDER_M,
            'beside' => ($this->areaM2() - $this->pot->floorM2()) * $this->potHeightM(),
            'above' => $this->areaM2() * self::ABOVE_M + $this->extraShovels * self::SHOVEL_M3,
        ];
    }

    public function coalsKg(): Spread
    {
        $volume = array_sum($this->coalsM3());

        return Spread::of(self::COALS_KG_M3[0] * $volume, self::COALS_KG_M3[1] * $volume, self::COALS_KG_M3[2] * $volume);
    }

    /** What practice gives so many kilograms before anyone digs: an hour for each, and more in cold or wet ground. */
    public function patienceMinutes(float $kg): float
    {
        return $this->minutesPerKg * $kg;
    }

    public function woodKg(): Spread
    {
        $coals = $this->coalsKg();

        return Spread::of(
            $coals->low / self::COALS_FROM_WOOD[2],
            $coals->likely / self::COALS_FROM_WOOD[1],
            $coals->high / self::COALS_FROM_WOOD[0],
        );
    }

    /** Hours that a fire of a square metre takes to burn that wood down. */
    public function fireHours(): float
    {
        return $this->woodKg()->likely / self::BURNS_KG_H_M2;
    }

    public function digHours(): float
    {
        return $this->soilM3() / $this->digM3H;
    }

    private function potHeightM(): float
    {
        return $this->pot->depthM + self::LID_M;
    }

    /** What the coals touch of the ground: floor, wall up to the top of the coals, and the earth over them, m². */
    public function wallM2(): float
    {
        return 2.0 * $this->areaM2() + M_PI * $this->widthM() * (self::UNDER_M + $this->potHeightM() + self::ABOVE_M);
    }

    private function areaM2(): float
    {
        return M_PI * $this->widthM() ** 2 / 4.0;
    }
}
