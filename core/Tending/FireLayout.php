<?php

declare(strict_types=1);

namespace Diatherm\Tending;

use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\GasGrill;
use Diatherm\Cooking\Forecast;
use Diatherm\Fire\CoalBed;
use Diatherm\Fire\FireFloor;
use Diatherm\Fire\Pile;
use Diatherm\Measure\OutOfRange;
use Diatherm\Rig\JointSize;
use Diatherm\Rig\SpitRig;
use Diatherm\Roast\FireWish;

/** Where the coals or burners of a planned fire lie, and the meat over them. */
final readonly class FireLayout
{
    public function __construct(private FirePlan $fire)
    {
    }

    /** @return list<Pile> the coals as they are laid: by hand, or by the layout */
    public static function piles(FireWish $wish, Equipment $equipment, ?string $layout, float $kg): array
    {
        if ($kg <= 0.0 || $equipment->floor() === null) {
            return [];
        }

        return $wish->piles !== null
            ? Pile::sharing($wish->piles, $kg)
            : $equipment->piles($layout ?? throw OutOfRange::unknown('layout', ''), $kg);
    }

    /** The fire from above as it is first laid; null where there is none to see. */
    public function floor(): ?FireFloor
    {
        $floor = $this->fire->stove->equipment->floor();
        if ($floor === null) {
            return null;
        }
        $mechanism = $this->fire->stove->curve->mechanism;
        if ($mechanism instanceof GasGrill) {
            $bars = [];
            foreach ($mechanism->burnersW as $i => $watts) {
                $bars[] = [
                    (($i + 0.5) / count($mechanism->burnersW) - 0.5) * $floor['length'],
                    $watts * $this->fire->steps[0]->settings->get('burner_'.($i + 1)),
                ];
            }

            return FireFloor::bars($floor['length'], $floor['width'], $bars);
        }

        return $this->fire->stove->fuel === null
            ? null
            : FireFloor::of(
                $floor['length'],
                $floor['width'],
                $floor['round'],
                $this->fire->stove->fuel,
                $this->fire->piles,
                $this->burning(),
            );
    }

    /** Share of the free burning that the lid lets a vented bed have at the first step; 1 in the open. */
    public function burning(): float
    {
        if (! $this->fire->stove->equipment->isVented() || $this->fire->stove->fuel === null || $this->fire->run->startKg <= 0.0) {
            return 1.0;
        }
        $step = $this->fire->steps[0];
        $free = $this->fire->run->startKg * CoalBed::freshWKg($this->fire->stove->fuel);

        return min(
            1.0,
            $this->fire->stove->curve->mechanism->heatW(
                $step->settings,
                $this->fire->stove->curve->modelC($step->steadyC->likely, $this->fire->stove->weather),
                $this->fire->stove->weather,
            ) / $free,
        );
    }

    /**
     * Where the meat lies over the fire and how large it is, m: opposite to coals that are banked at one side, in the
     * middle of all others; over its own burner on a gas grill.
     *
     * @return array{x: float, y: float, length: float, width: float}
     */
    public function meat(Forecast $forecast): array
    {
        $dish = $forecast->dish;
        $size = $dish->rig?->size() ?? JointSize::suggested($dish->cut, $dish->massKg);
        $floor = $this->fire->stove->equipment->floor() ?? ['length' => 0.5, 'width' => 0.5];
        // On a spit one behind another, else side by side in as square a block as they make.
        $along = $dish->rig instanceof SpitRig ? $dish->pieces : (int) ceil(sqrt($dish->pieces));
        $across = (int) ceil($dish->pieces / $along);
        $mechanism = $this->fire->stove->curve->mechanism;
        if ($mechanism instanceof GasGrill) {
            return [
                'x' => $mechanism->meatOver === null
                    ? 0.0
                    : (($mechanism->meatOver + 0.5) / count($mechanism->burnersW) - 0.5) * $floor['length'],
                'y' => 0.0,
                'length' => min($floor['length'], $across * $size->widthM),
                'width' => min($floor['width'], $along * $size->lengthM),
            ];
        }
        $y = 0.0;
        if ($this->fire->stove->layout === 'one_side' && $this->fire->piles !== []) {
            $middle = array_sum(
                array_map(fn (Pile $pile): float => $pile->yM * $pile->kg, $this->fire->piles),
            ) / max(1e-9, array_sum(array_column($this->fire->piles, 'kg')));
            $y = max(-0.28, min(0.28, -$middle / $floor['width'])) * $floor['width'];
        }

        $radius = 0.5 * $floor['length'];
        // On a round grate it ends where the rim does.
        [$longest, $widest] = $floor['round'] ?? false
            ? [2.0 * sqrt($radius ** 2 - $y ** 2), 2.0 * ($radius - abs($y))]
            : [$floor['length'], $floor['width']];

        return [
            'x' => 0.0, 'y' => $y, 'length' => min($longest, $along * $size->lengthM),
            'width' => min($widest, $across * $size->widthM),
        ];
    }
}
