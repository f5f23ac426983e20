<?php

declare(strict_types=1);

namespace Diatherm\Cooker\Vessel;

/** What a closed pot or roaster is made of. */
final readonly class VesselKind
{
    /** A camp oven is stated at this diameter: its iron goes with its surface. */
    private const STATED_M = 0.3;

    /** Share of its leak that is left under foil and earth. Common practice. */
    private const EARTH_SEALS = 0.4;

    /** Three centimetres of stock. Common practice, kg/m². */
    private const BURIED_LIQUID_KG_M2 = 30.0;

    /**
     * @param  float  $storageJK  of its wall and lid
     * @param  float  $wallM2  inside, lid and floor included
     * @param  float  $floorM2  where liquid lies
     * @param  float  $leakKgSPa  vapour that its lid lets by, for each Pa over the open air
     * @param  float  $lossWK  to the open
     * @param  float|null  $mostW  of its element; null for coals
     * @param  float  $liquidKg  that usually lies in it when the food goes in
     */
    public function __construct(
        public float $storageJK,
        public float $wallM2,
        public float $floorM2,
        public float $leakKgSPa,
        public float $lossWK,
        public ?float $mostW,
        public float $liquidKg = 0.0,
    ) {
    }

    /** An iron pot that stands in coals, where others have an element. */
    public function takesCoals(): bool
    {
        return $this->mostW === null;
    }

    /** The same of another diameter. */
    public function wide(float $diameterM): self
    {
        $area = ($diameterM / self::STATED_M) ** 2;

        return new self(
            $this->storageJK * $area,
            $this->wallM2 * $area,
            $this->floorM2 * $area,
            $this->leakKgSPa * $diameterM / self::STATED_M,
            $this->lossWK * $area,
            $this->mostW,
            $this->liquidKg * $area,
        );
    }

    /** The same with coals and earth all round, so that nothing is lost but by them. */
    public function buried(): self
    {
        return new self(
            $this->storageJK,
            $this->wallM2,
            $this->floorM2,
            self::EARTH_SEALS * $this->leakKgSPa,
            0.0,
            null,
            self::BURIED_LIQUID_KG_M2 * $this->floorM2,
        );
    }
}
