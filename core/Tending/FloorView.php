<?php

declare(strict_types=1);

namespace Diatherm\Tending;

use Diatherm\Cooker\GasGrill;
use Diatherm\Cooking\Forecast;

/** A fire seen from above: what it sends to each place at the height of the meat, and where that lies. Lengths in m, flux in W/m². */
final readonly class FloorView
{
    /** Places along the longer side at which the flux is shown. */
    private const FIELD = 18;

    private const FEWEST = 6;

    /**
     * @param  array{length: float, width: float, height: float, round: bool}  $size
     * @param  list<array{float, float}>  $bars  burners: place along and share of full
     * @param  non-empty-list<list<float>>  $fieldWm2  row by row from the far side
     * @param  array{x: float, y: float, length: float, width: float}  $meat
     * @param  float  $meatWm2  at the middle of the meat
     * @param  float  $nearWm2  at its side that gets more
     * @param  float  $farWm2  at its side that gets less
     * @param  float  $turnShare  of that flux which a turning joint takes
     */
    private function __construct(
        public array $size,
        public array $bars,
        public array $fieldWm2,
        public array $meat,
        public float $meatWm2,
        public float $nearWm2,
        public float $farWm2,
        public float $turnShare,
    ) {
    }

    public static function of(FirePlan $fire, Forecast $forecast): ?self
    {
        $layout = new FireLayout($fire);
        $floor = $layout->floor();
        $size = $fire->stove->equipment->floor();
        if ($floor === null || $size === null) {
            return null;
        }
        $columns = $size['length'] >= $size['width']
            ? self::FIELD
            : max(self::FEWEST, (int) round(self::FIELD * $size['width'] / $size['length']));
        $rows = max(self::FEWEST, (int) round($columns * $size['width'] / $size['length']));
        $meat = $layout->meat($forecast);
        $mechanism = $fire->stove->curve->mechanism;
        $bars = [];
        $burners = $mechanism instanceof GasGrill ? count($mechanism->burnersW) : 0;
        for ($i = 0; $i < $burners; $i++) {
            $bars[] = [(($i + 0.5) / $burners - 0.5) * $size['length'], $fire->steps[0]->settings->get('burner_'.($i + 1))];
        }
        $sides = array_map(
            fn (float $side): float => $floor->downWm2($meat['x'], $meat['y'] + 0.5 * $side * $meat['width'], $size['height']),
            [-1.0, 1.0],
        );

        return new self(
            $size,
            $bars,
            $floor->field($columns, $rows, $size['height']),
            $meat,
            $floor->downWm2($meat['x'], $meat['y'], $size['height']),
            max($sides),
            min($sides),
            $floor->turnShare($meat['x'], $meat['y'], $size['height']),
        );
    }
}
