<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Cooker\Vessel\VesselKind;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/** A kind of cooker: what it can be set to, what a joint meets inside, how it starts and recovers. Rows: data/cookers.json. */
final readonly class Cooker
{
    /** Share of the way back to the setting that the recovery time stands for. */
    public const RECOVERED = 0.95;

    /** Share of the way from the open air to the setting that a joint meets under an open lid. Common practice. */
    public const OPEN_SHARE = 0.3;

    /**
     * @param  VesselKind|null  $vessel  of a closed pot, whose air the food makes with it; null for any other
     * @param  float  $doubt  what the physics of the kind leaves open of the time, one in ten to either side
     * @param  string  $body  kind of the cooker that it is, laid or set another way; its own for most
     * @param  bool  $overFire  whether the food lies over the fire, where no pan has room
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $short,
        public float $defaultC,
        public float $leastC,
        public float $mostC,
        public Inside $inside,
        public float $preheatMinutes,
        public string $light,
        public float $lightMinutes,
        public float $recoveryMinutes,
        public bool $lid,
        public ?VesselKind $vessel = null,
        public float $doubt = 0.0,
        public string $body = '',
        public bool $overFire = false,
    ) {
    }

    /** Whether this is a place without heat. */
    public function isRest(): bool
    {
        return $this->light === 'none';
    }

    /** Whether what is on it turns on a spit. */
    public function turns(): bool
    {
        return in_array($this->id, ['grill-rotisserie', 'open-spit', 'countertop-rotisserie'], true);
    }

    /** Coals in the open, whose heat is told by a hand. */
    public function isOpenFire(): bool
    {
        return $this->inside->isOneSided() && in_array($this->light, ['wood', 'chimney'], true);
    }

    /** The nearest temperature that it can be set to, whole degrees. */
    public function clampC(float $celsius): float
    {
        return min($this->mostC, max($this->leastC, round($celsius)));
    }

    /** The same kind with something else met inside. */
    public function withInside(Inside $inside): self
    {
        return $this->copy($inside, $this->preheatMinutes, $this->recoveryMinutes);
    }

    /** The same kind that takes so long to its first heat. */
    public function preheatingIn(float $minutes): self
    {
        return $this->copy($this->inside, $minutes, $this->recoveryMinutes);
    }

    /** The same kind that comes back from an open lid in another time. */
    public function recoveringIn(float $minutes): self
    {
        return $this->copy($this->inside, $this->preheatMinutes, $minutes);
    }

    /** @throws OutOfRange when the kind cannot be set to $setC */
    public function check(float $setC): float
    {
        return OutOfRange::check('cooker_temperature', $setC, $this->leastC, $this->mostC, Unit::Celsius);
    }

    private function copy(Inside $inside, float $preheatMinutes, float $recoveryMinutes): self
    {
        return new self(
            $this->id,
            $this->name,
            $this->short,
            $this->defaultC,
            $this->leastC,
            $this->mostC,
            $inside,
            $preheatMinutes,
            $this->light,
            $this->lightMinutes,
            $recoveryMinutes,
            $this->lid,
            $this->vessel,
            $this->doubt,
            $this->body,
            $this->overFire,
        );
    }
}
