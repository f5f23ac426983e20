<?php

declare(strict_types=1);

namespace Diatherm\Fire;

use Diatherm\Rig\Pit;

/**
 * Coals packed round a pot and covered with earth: they give up what they hold, smoulder on what air seeps through, and
 * lose it to the pot and to the ground, less and less as the ground near them warms.
 *
 * The ground takes A·e·ΔT/√(π·t), as a half-space whose face was heated at once. Source: Incropera & DeWitt, section 5.7.
 */
final readonly class BuriedBed
{
    /** Glowing coals after they were shovelled, with ash among them, °C. Common practice. */
    private const AT_FIRST_C = 600.0;

    /** Charcoal. Source: handbooks of materials, about 1 kJ/(kg·K) (from memory). */
    private const COALS_J_KG_K = 1000.0;

    /**
     * Under earth a coal glows on seeping air alone: so much for each kilogram at first, W. Common practice: coals are found
     * alive next morning; uncertain by a factor of two.
     */
    private const SMOULDER_W_KG = 150.0;

    /** and the smoulder dies away over this many hours. */
    private const SMOULDER_H = 5.0;

    /** The wall was dried and warmed by the lower coals first: it stands as if heated so long ago. Common practice. */
    private const FROM_S = 900.0;

    /** Coals against iron: ash, points of contact and radiation, W/(m²·K). Calibrated against the practice cases (docs/numbers.md). */
    private const COALS_TO_POT_WM2K = 2.8;

    /** The outer coals and their ash, on the way to the ground: 7 cm of 0.35 W/(m·K), packed char. Common practice, W/(m²·K). */
    private const COALS_TO_GROUND_WM2K = 5.0;

    private const STEP_S = 120.0;

    private function __construct(
        public float $storageJK,
        public float $coalsKg,
        private float $groundWS,
        private float $outerWK,
        public float $linkWK,
        public float $groundC,
        private float $potJK,
    ) {
    }

    public static function of(Pit $pit, float $groundC): self
    {
        $coals = $pit->coalsKg()->likely;

        return new self(
            self::COALS_J_KG_K * $coals,
            $coals,
            $pit->wallM2() * $pit->effusivity / sqrt(M_PI),
            self::COALS_TO_GROUND_WM2K * $pit->wallM2(),
            self::COALS_TO_POT_WM2K * $pit->pot->outsideM2(),
            $groundC,
            $pit->pot->ironJK(),
        );
    }

    /** The same pot and ground with so many times the coals. */
    public function larger(float $factor): self
    {
        return new self(
            $factor * $this->storageJK, $factor * $this->coalsKg, $this->groundWS, $this->outerWK, $this->linkWK, $this->groundC, $this->potJK,
        );
    }

    public function firstC(): float
    {
        return self::AT_FIRST_C;
    }

    /** What the ground takes for each kelvin, W/K. */
    public function groundWK(float $seconds): float
    {
        return 1.0 / (sqrt($seconds + self::FROM_S) / $this->groundWS + 1.0 / $this->outerWK);
    }

    public function smoulderW(float $seconds): float
    {
        return self::SMOULDER_W_KG * $this->coalsKg * exp(-$seconds / (3600.0 * self::SMOULDER_H));
    }

    /** What the wall of an empty pot stands at, so many minutes after it was covered, °C. */
    public function celsius(float $minutes): float
    {
        [$bed, $wall] = [self::AT_FIRST_C, $this->groundC];
        for ($t = 0.0; $t < 60.0 * $minutes; $t += self::STEP_S) {
            $ground = $this->groundWK($t);
            $storage = $this->storageJK / self::STEP_S;
            $pot = $this->potJK / self::STEP_S;
            $have = $storage * $bed + $this->smoulderW($t) + $ground * $this->groundC;
            $own = $storage + $ground + $this->linkWK;
            $wall = ($pot * $wall + $this->linkWK * $have / $own) / ($pot + $this->linkWK - $this->linkWK ** 2 / $own);
            $bed = ($have + $this->linkWK * $wall) / $own;
        }

        return $wall;
    }
}
