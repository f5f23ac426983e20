<?php

declare(strict_types=1);

namespace Diatherm\Tending;

use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\OwnCooker;
use Diatherm\Cooker\OwnCurve;
use Diatherm\Cooker\Weather;
use Diatherm\Fire\Fuel;
use Diatherm\Roast\FireWish;

/** A cooker as it is used that day: what it is, what was learnt of it, what burns in it and how that is laid. */
final readonly class Stove
{
    private const CAMP_OVEN = 'camp-oven';

    /**
     * @param  string  $name  of the cook's own, or of the kind
     * @param  bool  $own  whether it is the cook's own
     * @param  Fuel|null  $fuel  that is laid in it; null for a knob, an element or a buried bed
     * @param  string|null  $layout  of the coals, or the camp oven's method
     */
    private function __construct(
        public string $name,
        public bool $own,
        public Equipment $equipment,
        public OwnCurve $curve,
        public Weather $weather,
        public ?Fuel $fuel,
        public ?string $layout,
        public FireWish $wish,
    ) {
    }

    /**
     * @param  Equipment  $equipment  of the cook's own, or of the kind
     * @param  OwnCooker|null  $own  the cook's own, where it was wished for
     */
    public static function of(Equipment $equipment, ?OwnCooker $own, FireWish $wish, Weather $weather, bool $buried): self
    {
        $fuel = $wish->burns($equipment);
        $fuel = $fuel === null || $fuel->use !== 'bed' || $buried ? null : $fuel;
        $layout = $wish->layout ?? ($equipment->kind->id === self::CAMP_OVEN ? 'roast' : array_key_first($equipment->layouts()));
        $curve = OwnCurve::of($equipment, $own->observations ?? [], $equipment->mechanism($fuel, $layout, $wish->piles));

        return new self($own->name ?? ucfirst($equipment->kind->short), $own !== null, $equipment, $curve, $weather, $fuel, $layout, $wish);
    }
}
