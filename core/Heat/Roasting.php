<?php

declare(strict_types=1);

namespace Diatherm\Heat;

use Diatherm\Food\Shape;
use Diatherm\Measure\Nature;
use Diatherm\Measure\OutOfRange;

/**
 * A joint being heated: one-dimensional conduction in a generalised shape, with a surface that convects, radiates,
 * touches a plate, takes up flux, evaporates (or catches dew) and dries. It runs forward through any surroundings and can be cloned
 * at any moment to try another future.
 *
 * Method: finite volumes, cells finer towards the surface; implicit Euler in time with the surface balance solved
 * together with the body: the tridiagonal system is eliminated from the centre outwards, which leaves one scalar
 * equation for the surface temperature, solved by Newton's method.
 */
final class Roasting
{
    /**
     * Water that leaves a square metre before the crust halves further drying, kg/m².
     * Calibrated against the practice cases (docs/numbers.md).
     */
    private const DRYING_KG_M2 = 0.3;

    /** No step is asked to be shorter than this, s. */
    private const SHORTEST_LIMIT_S = 4.0;

    /** Where the surroundings jump, the first step is this share of the longest. */
    private const FIRST_STEP = 0.17;

    private const STEP_GROWTH = 1.35;

    /** Each cell's width over that of its inner neighbour. */
    private const GRADING = 0.9;

    /** @var array<int, float> centre outwards */
    private array $cellsC;

    private float $surfaceC;

    private float $elapsedS = 0.0;

    private float $driedKgM2 = 0.0;

    private float $stepS;

    private float $heatInJ = 0.0;

    private float $storedJ = 0.0;

    /** @var list<float> volume of each cell, per unit of angle */
    private array $volumes = [];

    /** @var list<float> area of each inner face over the distance between its cells */
    private array $links = [];

    /** What the resolution comes to for this body. */
    public readonly float $longestStepS;

    private float $surfaceLink;

    private float $surfaceArea;

    private ?Trace $trace = null;

    private bool $profiles = true;

    private function __construct(
        private readonly Shape $shape,
        private readonly Substance $substance,
        float $startC,
        private readonly Resolution $resolution,
    ) {
        OutOfRange::check('start temperature', $startC, -5.0, 120.0, '°C');
        $this->cellsC = array_fill(0, $resolution->cells, $startC);
        $this->surfaceC = $startC;
        [$k, $capacity] = [$substance->conductivityFit, $substance->heatCapacityFit];
        $this->longestStepS = min($resolution->longestStepS, max(self::SHORTEST_LIMIT_S, $resolution->longestStepFo * $shape->halfThicknessM ** 2 * $capacity[0] / $k[0]));
        $this->stepS = self::FIRST_STEP * $this->longestStepS;
        $this->layOutCells();
    }

    /** @throws OutOfRange for a start outside −5 to 120 °C */
    public static function of(Shape $shape, Substance $substance, float $startC, Resolution $resolution): self
    {
        return new self($shape, $substance, $startC, $resolution);
    }

    /**
     * Records from here on, this moment included, into a trace of its own.
     *
     * @param  bool  $profiles  whether every cell is kept, or the core, surface and air alone
     */
    public function record(bool $profiles = true): Trace
    {
        $trace = new Trace;
        $this->trace = $trace;
        $this->profiles = $profiles;
        $this->note($this->surfaceC);

        return $trace;
    }

    public function __clone()
    {
        $this->trace = null;
    }

    /**
     * Runs forward for $seconds while the surroundings change evenly from $from to $to, or until the core reaches
     * $untilCoreC, whichever comes first.
     *
     * @param  float  $seconds  0 or more
     * @return bool whether the core reached $untilCoreC
     */
    public function through(Surroundings $from, Surroundings $to, float $seconds, float $untilCoreC = INF): bool
    {
        $this->stepS = min($this->stepS, self::FIRST_STEP * $this->longestStepS);
        $cells = $this->resolution->cells;
        $last = $cells - 1;
        [$k0, $k1, $k2] = $this->substance->conductivityFit;
        [$c0, $c1, $c2] = $this->substance->heatCapacityFit;
        $volumes = $this->volumes;
        $links = $this->links;
        $area = $this->surfaceArea;
        $sigma = Nature::STEFAN_BOLTZMANN;
        $ended = 0.0;
        $t = $this->cellsC;
        $before = $t;
        $alpha = $beta = array_fill(0, $cells, 0.0);
        [$magnusPa, $magnusFactor, $magnusOffset] = [Vapour::MAGNUS_PA, Vapour::MAGNUS_FACTOR, Vapour::MAGNUS_OFFSET_C];
        [$growth, $longest, $kelvinOffset] = [self::STEP_GROWTH, $this->longestStepS, Nature::ZERO_C_IN_K];
        $ts = $this->surfaceC;
        if ($this->cellsC[0] >= $untilCoreC) {
            return true;
        }

        while ($ended < $seconds - 1e-9) {
            $dt = min($this->stepS, $seconds - $ended);
            $this->stepS = min($this->stepS * $growth, $longest);
            $share = ($ended + $dt) / $seconds;
            $air = $from->airC + $share * ($to->airC - $from->airC);
            $convection = $from->convectionWm2K + $share * ($to->convectionWm2K - $from->convectionWm2K);
            $contact = $from->contactWm2K + $share * ($to->contactWm2K - $from->contactWm2K);
            $h = $convection + $contact;
            $es = $sigma * ($from->emissivity + $share * ($to->emissivity - $from->emissivity));
            $radiantK4 = ($from->radiantC + $share * ($to->radiantC - $from->radiantC) + $kelvinOffset) ** 4;
            // All that does not depend on the surface.
            $given = $convection * $air + $contact * ($from->plateC + $share * ($to->plateC - $from->plateC))
                + $es * $radiantK4 + $from->absorbedWm2 + $share * ($to->absorbedWm2 - $from->absorbedWm2);
            $vapour = $from->vapourPa + $share * ($to->vapourPa - $from->vapourPa);
            $evaporation = $from->evaporationWm2Pa + $share * ($to->evaporationWm2Pa - $from->evaporationWm2Pa);
            $wet = $from->rewets ? 1.0 : 1.0 / (1.0 + max(0.0, $this->driedKgM2) / self::DRYING_KG_M2);

            // Inner cells, centre outwards: T_i = α_i + β_i · T_(i+1).
            $here = $t[0];
            $kHere = $k0 + $here * ($k1 + $here * $k2);
            $g = 0.0;
            $pull = 0.0;
            for ($i = 0; $i < $last; $i++) {
                $next = $t[$i + 1];
                $kNext = $k0 + $next * ($k1 + $next * $k2);
                $capacity = $volumes[$i] * ($c0 + $here * ($c1 + $here * $c2)) / $dt;
                $gNext = $links[$i] * 0.5 * ($kHere + $kNext);
                $pivot = $capacity + $g + $gNext;
                $alpha[$i] = ($capacity * $here + $pull) / $pivot;
                $beta[$i] = $gNext / $pivot;
                $g = $gNext * (1.0 - $beta[$i]);
                $pull = $gNext * $alpha[$i];
                $here = $next;
                $kHere = $kNext;
            }
            $capacity = $volumes[$last] * ($c0 + $here * ($c1 + $here * $c2)) / $dt;
            $gSurface = $this->surfaceLink * $kHere;
            $pivot = $capacity + $g + $gSurface;
            $alphaLast = ($capacity * $here + $pull) / $pivot;
            $betaLast = $gSurface / $pivot;

            // Surface: what is conducted inwards equals what arrives.
            $inward = $gSurface * (1.0 - $betaLast) / $area;
            $offset = $gSurface * $alphaLast / $area;
            $next = $ts;
            for ($try = 0; $try < 30; $try++) {
                $kelvin = $next + $kelvinOffset;
                $cubed = $kelvin * $kelvin * $kelvin;
                $magnus = $magnusOffset + $next;
                $saturation = $magnusPa * exp($magnusFactor * $next / $magnus);
                $leaving = $evaporation * ($saturation - $vapour) * ($saturation > $vapour ? $wet : 1.0);
                $arriving = $given - $h * $next - $es * $cubed * $kelvin - $leaving;
                $slope = -$h - 4.0 * $es * $cubed
                    - $evaporation * ($saturation > $vapour ? $wet : 1.0) * $saturation * $magnusFactor * $magnusOffset / ($magnus * $magnus);
                $change = ($arriving + $offset - $inward * $next) / ($inward - $slope);
                $next += $change > 25.0 ? 25.0 : ($change < -25.0 ? -25.0 : $change);
                if ($change < 1e-3 && $change > -1e-3) {
                    break;
                }
            }
            $arriving = $inward * $next - $offset;
            $leaving = $evaporation * ($magnusPa * exp($magnusFactor * $next / ($magnusOffset + $next)) - $vapour);
            [$before, $t] = [$t, $before];
            $surfaceBefore = $ts;
            $ts = $next;

            $value = $alphaLast + $betaLast * $ts;
            $t[$last] = $value;
            for ($i = $last - 1; $i >= 0; $i--) {
                $value = $alpha[$i] + $beta[$i] * $value;
                $t[$i] = $value;
            }

            if ($value >= $untilCoreC && $value > $before[0]) {
                // The step is cut where the core crosses, the state taken on the straight line between its ends.
                $part = ($untilCoreC - $before[0]) / ($value - $before[0]);
                for ($i = 0; $i < $cells; $i++) {
                    $t[$i] = $before[$i] + $part * ($t[$i] - $before[$i]);
                }
                $ts = $surfaceBefore + $part * ($ts - $surfaceBefore);
                $dt *= $part;
            }

            $this->driedKgM2 += ($leaving > 0.0 ? $leaving * $wet : $leaving) * $dt / Vapour::LATENT_J_KG;
            if ($this->trace !== null && $this->profiles) {
                $stored = 0.0;
                for ($i = 0; $i < $cells; $i++) {
                    $a = $before[$i];
                    $b = $t[$i];
                    $stored += $volumes[$i] * ($b - $a) * ($c0 + 0.5 * $c1 * ($a + $b) + $c2 * ($a * $a + $a * $b + $b * $b) / 3.0);
                }
                $this->storedJ += $stored;
                $this->heatInJ += $arriving * $area * $dt;
            }
            $ended += $dt;
            $this->elapsedS += $dt;
            if ($this->trace !== null) {
                $this->cellsC = $t;
                $this->surfaceC = $ts;
                $this->note($air);
            }
            if ($t[0] >= $untilCoreC - 1e-9) {
                $this->cellsC = $t;
                $this->surfaceC = $ts;

                return true;
            }
        }
        $this->cellsC = $t;
        $this->surfaceC = $ts;

        return false;
    }

    /** Stays in $surroundings for $seconds or until the core reaches $untilCoreC. */
    public function in(Surroundings $surroundings, float $seconds, float $untilCoreC = INF): bool
    {
        return $this->through($surroundings, $surroundings, $seconds, $untilCoreC);
    }

    public function coreC(): float
    {
        return $this->cellsC[0];
    }

    public function surfaceC(): float
    {
        return $this->surfaceC;
    }

    public function elapsedS(): float
    {
        return $this->elapsedS;
    }

    /** Water lost so far, kg per m² of surface; negative while dew has gathered. */
    public function driedKgM2(): float
    {
        return $this->driedKgM2;
    }

    /** Temperature averaged over the volume. */
    public function meanC(): float
    {
        $sum = 0.0;
        foreach ($this->cellsC as $i => $celsius) {
            $sum += $celsius * $this->volumes[$i];
        }

        return $sum / array_sum($this->volumes);
    }

    /** Heat taken up through the surface less heat stored, as a share of the larger. */
    public function energyGap(): float
    {
        return abs($this->heatInJ - $this->storedJ) / max(1e-9, abs($this->heatInJ), abs($this->storedJ));
    }

    /** @return list<float> distance of each cell's middle from the centre, as a share of the half-thickness */
    public static function cellPositions(Resolution $resolution): array
    {
        $faces = self::faces($resolution->cells);
        $positions = [];
        for ($i = 0; $i < $resolution->cells; $i++) {
            $positions[] = 0.5 * ($faces[$i] + $faces[$i + 1]);
        }
        $positions[0] = 0.0;

        return $positions;
    }

    private function layOutCells(): void
    {
        $radius = $this->shape->halfThicknessM;
        $n = $this->shape->exponent;
        $cells = $this->resolution->cells;
        $faces = array_map(fn (float $share): float => $share * $radius, self::faces($cells));
        $middles = array_map(fn (float $share): float => $share * $radius, self::cellPositions($this->resolution));
        for ($i = 0; $i < $cells; $i++) {
            $this->volumes[] = ($faces[$i + 1] ** ($n + 1.0) - ($faces[$i] ?: 0.0) ** ($n + 1.0)) / ($n + 1.0);
            if ($i < $cells - 1) {
                $this->links[] = $faces[$i + 1] ** $n / ($middles[$i + 1] - $middles[$i]);
            }
        }
        $this->surfaceArea = $radius ** $n;
        $this->surfaceLink = $this->surfaceArea / ($radius - $middles[$cells - 1]);
    }

    /** @return array<int, float> faces from 0 to 1 */
    private static function faces(int $cells): array
    {
        $widths = [];
        for ($i = 0; $i < $cells; $i++) {
            $widths[] = self::GRADING ** $i;
        }
        // The core is read at the innermost cell, which stands for the very centre: it is made half as wide.
        $widths[0] *= 0.5;
        $sum = array_sum($widths);
        $faces = [0.0];
        $at = 0.0;
        foreach ($widths as $width) {
            $at += $width / $sum;
            $faces[] = $at;
        }
        $faces[$cells] = 1.0;

        return $faces;
    }

    private function note(float $airC): void
    {
        if ($this->trace === null) {
            return;
        }
        $this->trace->seconds[] = $this->elapsedS;
        $this->trace->coreC[] = $this->cellsC[0];
        $this->trace->surfaceC[] = $this->surfaceC;
        $this->trace->airC[] = $airC;
        if ($this->profiles) {
            $this->trace->profilesC[] = array_values($this->cellsC);
        }
    }
}
