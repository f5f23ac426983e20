<?php

declare(strict_types=1);

namespace Diatherm\Fire;

use Diatherm\Measure\Nature;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/**
 * A grate, pit or trench from above: coals lying in it as emitters, and the radiant flux that they send to any place over
 * it. The middle of the floor is 0, 0; x runs along it.
 *
 * Flux is summed over small squares of coal: E·cosθ₁·cosθ₂/(π·r²)·dA. Source: Incropera & DeWitt, chapter 13.
 */
final readonly class FireFloor
{
    /** No bed of coals in still air glows hotter than this all over, °C. Common practice: a bright cherry red. */
    private const HOTTEST_C = 800.0;

    /** Squares along the longer side; the shorter gets as many as keeps them square. */
    private const SQUARES = 26;

    /**
     * @param  list<array{float, float, float}>  $squares  x, y and what one of them gives off, W
     */
    private function __construct(
        public float $lengthM,
        public float $widthM,
        public bool $round,
        public array $squares,
    ) {
    }

    /**
     * @param  list<Pile>  $piles  as they lie, of coals just gone grey
     * @param  float  $burning  share of that power which the fire gives now, 0 to 2
     *
     * @throws OutOfRange for a floor that is not 0.2 to 6 m long and wide
     */
    public static function of(float $lengthM, float $widthM, bool $round, Fuel $fuel, array $piles, float $burning = 1.0): self
    {
        OutOfRange::check('length_of_the_fire', $lengthM, 0.2, 6.0, Unit::Metre);
        OutOfRange::check('width_of_the_fire', $widthM, 0.1, 6.0, Unit::Metre);
        OutOfRange::check('burning_share', $burning, 0.0, 2.0, Unit::None);
        $side = max($lengthM, $widthM) / self::SQUARES;
        [$nx, $ny] = [max(1, (int) round($lengthM / $side)), max(1, (int) round($widthM / $side))];
        [$dx, $dy] = [$lengthM / $nx, $widthM / $ny];
        $cap = Nature::STEFAN_BOLTZMANN * (self::HOTTEST_C + Nature::ZERO_C_IN_K) ** 4;
        $perKg = $fuel->radiantShare * CoalBed::freshWKg($fuel) * $burning;
        $kg = self::lay($piles, $nx, $ny, $dx, $dy, $lengthM, $widthM);
        $squares = [];
        foreach ($kg as $cell => $mass) {
            if ($mass > 0.0) {
                // Coals that lie deep glow hotter, but only their top is seen: it nears the hottest and does not pass it.
                $emitted = $cap * (1.0 - exp(-$perKg * $mass / ($dx * $dy) / $cap));
                $squares[] = [
                    (($cell % $nx) + 0.5) * $dx - 0.5 * $lengthM,
                    (intdiv($cell, $nx) + 0.5) * $dy - 0.5 * $widthM,
                    $emitted * $dx * $dy,
                ];
            }
        }

        return new self($lengthM, $widthM, $round, $squares);
    }

    /**
     * Gas burners: bars across the floor, each giving off its share of radiation.
     *
     * @param  list<array{float, float}>  $bars  x and W
     */
    public static function bars(float $lengthM, float $widthM, array $bars): self
    {
        $squares = [];
        foreach ($bars as [$x, $watts]) {
            for ($k = 0; $k < self::SQUARES; $k++) {
                if ($watts > 0.0) {
                    $squares[] = [
                        $x,
                        (($k + 0.5) / self::SQUARES - 0.5) * 0.86 * $widthM,
                        Fuel::named('propane')->radiantShare * $watts / self::SQUARES,
                    ];
                }
            }
        }

        return new self($lengthM, $widthM, false, $squares);
    }

    /** Flux on a small surface that looks straight down from a height above the coals, W/m². */
    public function downWm2(float $x, float $y, float $heightM): float
    {
        $sum = 0.0;
        $h2 = $heightM * $heightM;
        foreach ($this->squares as [$sx, $sy, $watts]) {
            $r2 = ($sx - $x) ** 2 + ($sy - $y) ** 2 + $h2;
            $sum += $watts * $h2 / ($r2 * $r2);
        }

        return $sum / M_PI;
    }

    /**
     * Mean flux over a turn on a thin body that turns about an axis along x, W/m²: a surface that takes all bearings
     * about the axis faces a ray by s/π on average, s being the sine of the ray's angle with the axis.
     */
    public function turningWm2(float $x, float $y, float $heightM): float
    {
        $sum = 0.0;
        $h2 = $heightM * $heightM;
        foreach ($this->squares as [$sx, $sy, $watts]) {
            $across = ($sy - $y) ** 2 + $h2;
            $r2 = ($sx - $x) ** 2 + $across;
            $sum += $watts * $heightM * sqrt($across) / ($r2 * $r2);
        }

        return $sum / (M_PI * M_PI);
    }

    /**
     * The turning flux over the flux that looks down: 1/π for a narrow bed, more over a wide one. 1/π where no coals lie.
     */
    public function turnShare(float $x, float $y, float $heightM): float
    {
        $down = $this->downWm2($x, $y, $heightM);

        return $down > 0.0 ? $this->turningWm2($x, $y, $heightM) / $down : 1.0 / M_PI;
    }

    /**
     * @param  positive-int  $columns
     * @param  positive-int  $rows
     * @return non-empty-list<list<float>> flux looking down at the middles of $columns × $rows places, row by row from −y, W/m²
     */
    public function field(int $columns, int $rows, float $heightM): array
    {
        // downWm2 at each of them, written out: hundreds of places by hundreds of squares.
        [$xs, $ys, $watts] = $this->squares === [] ? [[], [], []] : [
            array_column($this->squares, 0), array_column($this->squares, 1), array_column($this->squares, 2),
        ];
        $h2 = $heightM * $heightM;

        return array_map(function (int $j) use ($columns, $rows, $xs, $ys, $watts, $h2): array {
            $y = (($j + 0.5) / $rows - 0.5) * $this->widthM;
            $across = array_map(fn (float $sy): float => ($sy - $y) * ($sy - $y) + $h2, $ys);
            $row = [];
            for ($i = 0; $i < $columns; $i++) {
                $x = (($i + 0.5) / $columns - 0.5) * $this->lengthM;
                $sum = 0.0;
                foreach ($across as $k => $r2) {
                    $along = $xs[$k] - $x;
                    $r2 += $along * $along;
                    $sum += $watts[$k] / ($r2 * $r2);
                }
                $row[] = $h2 * $sum / M_PI;
            }

            return $row;
        }, range(0, $rows - 1));
    }

    /**
     * Each pile's kilograms, spread over the squares under it; nothing is lost at the edge.
     *
     * @param  list<Pile>  $piles
     * @return array<int, float> by number of the square
     */
    private static function lay(array $piles, int $nx, int $ny, float $dx, float $dy, float $lengthM, float $widthM): array
    {
        $kg = [];
        foreach ($piles as $pile) {
            $half = max($pile->halfM(), 0.5 * min($dx, $dy));
            $columns = self::under($pile->xM + 0.5 * $lengthM, $half, $nx, $dx);
            $rows = self::under($pile->yM + 0.5 * $widthM, $half, $ny, $dy);
            $all = array_sum($columns) * array_sum($rows);
            foreach ($rows as $j => $down) {
                foreach ($columns as $i => $along) {
                    $kg[$j * $nx + $i] = ($kg[$j * $nx + $i] ?? 0.0) + $pile->kg * $along * $down / $all;
                }
            }
        }

        return $kg;
    }

    /** @return non-empty-array<int, float> number of the square => how much of it lies under the pile */
    private static function under(float $middle, float $half, int $count, float $size): array
    {
        $shares = [];
        for ($i = max(0, (int) floor(($middle - $half) / $size)); $i < $count && $i * $size < $middle + $half; $i++) {
            $share = (min(($i + 1) * $size, $middle + $half) - max($i * $size, $middle - $half)) / $size;
            if ($share > 1e-9) {
                $shares[$i] = $share;
            }
        }

        return $shares === [] ? [(int) max(0, min($count - 1, floor($middle / $size))) => 1.0] : $shares;
    }
}
