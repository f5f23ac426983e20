<?php

declare(strict_types=1);

namespace Diatherm\Fire;

use Diatherm\Rig\Pit;

/**
 * Coals packed round a pot and covered with earth: they give up what they hold, smoulder on what air seeps through, and
 * lose it to the ground, less and less as the ground near them warms.
 *
 * The ground takes A·e·ΔT/√(π·t), as a half-space whose face was heated at once. Source: Incropera & DeWitt, section 5.7.
 */
final readonly class BuriedBed
{
    /** Coals, pot and the wall they have dried come together at this when the earth goes on, °C. Common practice. */
    private const AT_FIRST_C = 290.0;

    /** Charcoal. Source: handbooks of materials, about 1 kJ/(kg·K) (from memory). Iron pot: 0.46 kJ/(kg·K), 7 kg at 30 cm. */
    private const COALS_J_KG_K = 1000.0;

    private const IRON_J_KG_K = 460.0;

    private const POT_KG_AT_30CM = 7.0;

    /** Under earth a coal glows on seeping air alone: so much for each kilogram at first, W. Common practice: coals are found alive next morning. */
    private const SMOULDER_W_KG = 100.0;

    /** and the smoulder dies away over this many hours. */
    private const SMOULDER_H = 5.0;

    /** The wall was dried and warmed by the lower coals first: it stands as if heated so long ago. Common practice. */
    private const FROM_S = 3600.0;

    private const STEP_S = 120.0;

    /** @param  list<float>  $celsius  every STEP_S from the moment the earth went on */
    private function __construct(private array $celsius)
    {
    }

    public static function of(Pit $pit, float $groundC, float $hours = 24.0): self
    {
        $coals = $pit->coalsKg()->likely;
        $storage = self::COALS_J_KG_K * $coals + self::IRON_J_KG_K * self::POT_KG_AT_30CM * ($pit->pot->diameterM / 0.3) ** 2;
        $celsius = [self::AT_FIRST_C];
        $at = self::AT_FIRST_C;
        for ($t = 0.0; $t < 3600.0 * $hours; $t += self::STEP_S) {
            $gives = self::SMOULDER_W_KG * $coals * exp(-$t / (3600.0 * self::SMOULDER_H));
            $takes = $pit->wallM2() * $pit->effusivity / sqrt(M_PI * ($t + self::FROM_S));
            $at = ($storage * $at + self::STEP_S * ($gives + $takes * $groundC)) / ($storage + self::STEP_S * $takes);
            $celsius[] = $at;
        }

        return new self($celsius);
    }

    /** What the pot's wall stands at, so many minutes after it was covered, °C. */
    public function celsius(float $minutes): float
    {
        $place = max(0.0, 60.0 * $minutes / self::STEP_S);
        $i = (int) min(count($this->celsius) - 2, floor($place));

        return $this->celsius[$i] + min(1.0, $place - $i) * ($this->celsius[$i + 1] - $this->celsius[$i]);
    }
}
