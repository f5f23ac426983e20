<?php

declare(strict_types=1);

namespace Diatherm\Food;

use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Source;

/** A cut as a butcher or fishmonger sells it, with what the trade knows of it. Rows: data/cuts.json. */
final readonly class Cut
{
    /** Common practice. */
    private const SPITTED_FROM_KG = 0.75;

    private const WITH_LIMBS = [
        'chicken', 'turkey', 'duck', 'goose', 'guinea-fowl', 'rabbit', 'lamb-whole', 'goat-whole', 'suckling-pig',
        'lamb-leg',
    ];

    /**
     * @param  string  $kind  beef, veal, lamb, pork, game, poultry, fish, roots
     * @param  string  $safetyClass  row of data/safe-minimums.json
     * @param  non-empty-list<Doneness>  $tastes  coolest first
     * @param  bool  $rolled  boned and rolled: what was its outside lies in its middle
     * @param  float  $fatLayerM  skin and fat that lie between the heat and the meat
     * @param  float  $facing  share of the surface that looks outwards; the rest is hidden by other parts of the animal
     * @param  bool  $tough  shoulder, brisket and the like, whose collagen needs time as well as heat
     * @param  float  $wetShare  share of the surface that gives off water: not skin, fat or bone
     * @param  string  $called  what else people look for it by
     * @param  bool  $crackling  whether its rind is eaten crisp
     * @param  array{float, float}  $perPersonG  raw mass for one eater, from modest to hungry
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $kind,
        public string $safetyClass,
        public Composition $composition,
        public ShapeRule $shape,
        public float $typicalMassKg,
        public float $leastMassKg,
        public float $mostMassKg,
        public array $tastes,
        public string $usualTaste,
        public array $perPersonG,
        public float $restMinutes,
        public bool $bone,
        public bool $rolled,
        public string $probe,
        public string $carve,
        public string $measure,
        public Source $source,
        public float $fatLayerM = 0.0,
        public float $facing = 1.0,
        public float $wetShare = 1.0,
        public bool $tough = false,
        public string $called = '',
        public bool $crackling = false,
    ) {
    }

    /** @throws OutOfRange for a taste that this cut does not have */
    public function taste(string $id): Doneness
    {
        foreach ($this->tastes as $taste) {
            if ($taste->id === $id) {
                return $taste;
            }
        }
        throw OutOfRange::unknown('taste', $id);
    }

    /** Whether it has to be kept cold, and so must not stand out for long. */
    public function isPerishable(): bool
    {
        return $this->kind !== 'roots';
    }

    /** Whether it goes on a spit; what is smaller lies in a basket. */
    public function isSpitted(): bool
    {
        return $this->kind !== 'roots' && $this->typicalMassKg >= self::SPITTED_FROM_KG;
    }

    /** Legs, wings or shanks that flop when it turns. */
    public function hasLimbs(): bool
    {
        return in_array($this->id, self::WITH_LIMBS, true);
    }

    /** @return array{int, int} how many hungry and how many modest eaters a raw mass feeds */
    public function feeds(float $totalKg): array
    {
        return [(int) floor(1000.0 * $totalKg / $this->perPersonG[1] + 1e-9), (int) floor(1000.0 * $totalKg / $this->perPersonG[0] + 1e-9)];
    }

    /** The hottest taste not above $targetC, for words such as “medium”. */
    public function nameOf(float $targetC): string
    {
        $name = 'Below '.mb_strtolower($this->tastes[0]->name);
        foreach ($this->tastes as $taste) {
            if ($taste->coreC <= $targetC + 0.5) {
                $name = $taste->name;
            }
        }

        return $name;
    }
}
