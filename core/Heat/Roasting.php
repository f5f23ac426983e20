<?php

declare(strict_types=1);

namespace Diatherm\Heat;

use Diatherm\Food\Shape;
use Diatherm\Measure\Nature;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/**
 * A joint being heated: one-dimensional conduction in a generalised shape, with a surface that convects, radiates,
 * touches a plate, takes up flux and evaporates (or catches dew). Its water moves to the surface by diffusion and leaves
 * there as the surface's dampness allows; where it boils inside it leaves as steam, and what has dried conducts less. It
 * runs forward through any surroundings and can be cloned at any moment to try another future.
 *
 * Method: finite volumes, cells finer towards the surface; implicit Euler in time with the surface balances solved
 * together with the body: both tridiagonal systems are eliminated from the centre outwards, which leaves one scalar
 * equation for the surface temperature, solved by Newton's method, with the surface's water as a quadratic inside it.
 * A cell that boils is held at the boiling point, and what it takes up beyond that becomes steam (enthalpy method).
 */
final class Roasting
{
    /**
     * Muscle lets go of its water as its proteins shrink, evenly between these, °C.
     * Source: the water-holding curve of heated meat, as in van der Sman 2007 (from memory): from 40 to 80 °C.
     */
    private const LETS_GO_C = [45.0, 82.0];

    /** As far from the core as a hand places a probe, over the half-thickness. Common practice. */
    public const PROBE_OFF = 0.25;

    /** Boiling pulls a cell back to the boiling point so much more strongly than its heat capacity in a step would let it rise. */
    private const BOILING_PULL = 20.0;

    /** Share of the first water below which boiling gives out. */
    private const SCARCE = 0.05;

    /** No step is asked to be shorter than this, s. */
    private const SHORTEST_LIMIT_S = 4.0;

    /** Where the surroundings jump, the first step is this share of the longest. */
    private const FIRST_STEP = 0.17;

    private const STEP_GROWTH = 1.35;

    /** So much of a body's own time (Fourier number) after it came off, its core has climbed: at 0.05 to 0.13 of it in this model. */
    private const EVENED_FO = 0.15;

    /** Once it only cools, steps may be so much longer: its core is off by a few hundredths of a kelvin for it. */
    private const CALM = 4.0;

    /** @var array<int, float> centre outwards */
    private array $cellsC;

    /** @var array<int, float> water over what there was at first, 0 to 1 */
    private array $water;

    private float $surfaceC;

    private float $elapsedS = 0.0;

    private float $driedKgM2 = 0.0;

    private float $takenJM2 = 0.0;

    private float $gaveKgM2 = 0.0;

    private float $stepS;

    /** Steps may be so many times as long for now. */
    private float $calm = 1.0;

    /** Whether the heat that is stored is added up, to be held against what came in. */
    private bool $books = false;

    private float $heatInJ = 0.0;

    private float $storedJ = 0.0;

    /** @var list<float> volume of each cell, per unit of angle */
    private array $volumes = [];

    /** @var list<float> area of each inner face over the distance between its cells */
    private array $links = [];

    /** What the resolution comes to for this body. */
    public readonly float $longestStepS;

    private readonly Constants $constants;

    private float $surfaceLink;

    private float $surfaceArea;

    /** @var array{int<1, max>, float} the cell beyond a probe that is off the core, and how far the way to it that one is */
    private array $near;

    private ?Trace $trace = null;

    private bool $profiles = true;

    private function __construct(
        private readonly Shape $shape,
        private readonly Substance $substance,
        float $startC,
        private readonly Resolution $resolution,
    ) {
        $this->constants = Constants::read();
        OutOfRange::check('start_temperature', $startC, -5.0, 120.0, Unit::Celsius);
        $this->cellsC = array_fill(0, $resolution->cells, $startC);
        $this->water = array_fill(0, $resolution->cells, 1.0);
        $this->surfaceC = $startC;
        [$k, $capacity] = [$substance->conductivityFit, $substance->heatCapacityFit];
        $this->longestStepS = min(
            $resolution->longestStepS,
            max(self::SHORTEST_LIMIT_S, $resolution->longestStepFo * $shape->halfThicknessM ** 2 * $capacity[0] / $k[0]),
        );
        $this->stepS = self::FIRST_STEP * $this->longestStepS;
        $this->layOutCells();
        $this->near = self::cellAt(self::PROBE_OFF, $resolution);
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

    /** Adds up from here on what energyGap() is told of. */
    public function keepBooks(): void
    {
        $this->books = true;
    }

    /** A copy goes on by itself, with a record of its own of all that was. */
    public function __clone()
    {
        $this->trace = $this->trace === null ? null : clone $this->trace;
    }

    /** What was recorded so far; nothing where nobody asked for it. */
    public function recorded(): Trace
    {
        return $this->trace ?? new Trace;
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
        $surfaceLink = $this->surfaceLink;
        $sigma = Nature::STEFAN_BOLTZMANN;
        $latent = Vapour::LATENT_J_KG;
        $ended = 0.0;
        $t = $this->cellsC;
        $w = $this->water;
        $before = $t;
        $alpha = $beta = $omega = $psi = array_fill(0, $cells, 0.0);
        $sink = array_fill(0, $cells, 0.0);
        [$magnusPa, $magnusFactor, $magnusOffset] = [Vapour::MAGNUS_PA, Vapour::MAGNUS_FACTOR, Vapour::MAGNUS_OFFSET_C];
        [$growth, $longest, $kelvinOffset] = [self::STEP_GROWTH, $this->calm * $this->longestStepS, Nature::ZERO_C_IN_K];
        $density = $this->substance->waterKgM3;
        $moist = $density > 0.0;
        $boilingC = $moist ? $from->boilingC : INF;
        $slow = $this->constants->heldM2S;
        $gives = $this->constants->letsGoShare * $this->substance->yields;
        $quick = $this->constants->pressedM2S;
        [$fromC, $toC] = self::LETS_GO_C;
        $perK = 1.0 / ($toC - $fromC);
        $kappa = $this->constants->kappa;
        $kd = $this->constants->dryConducts;
        $cw = $this->substance->waterHeatShare;
        $skin = $from->skin;
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
            $film = $from->evaporationWm2Pa + $share * ($to->evaporationWm2Pa - $from->evaporationWm2Pa);

            // Water, centre outwards: w_i = ω_i + ψ_i · w_(i+1).
            if ($moist) {
                $g = $gLets = $pull = 0.0;
                $hot = ($t[0] - $fromC) * $perK;
                $held = 1.0 - ($hot > 0.0 ? ($hot < 1.0 ? $hot : 1.0) * $gives : 0.0);
                [$lets, $keeps] = $w[0] > $held ? [$slow + $quick, $quick * $held] : [$slow, 0.0];
                $keptBefore = 0.0;
                for ($i = 0; $i < $last; $i++) {
                    $hot = ($t[$i + 1] - $fromC) * $perK;
                    $held = 1.0 - ($hot > 0.0 ? ($hot < 1.0 ? $hot : 1.0) * $gives : 0.0);
                    if ($w[$i + 1] > $held) {
                        $letsNext = $slow + $quick;
                        $keepsNext = $quick * $held;
                    } else {
                        $letsNext = $slow;
                        $keepsNext = 0.0;
                    }
                    $room = $volumes[$i] / $dt;
                    $link = $links[$i];
                    $pivot = $room + ($link + $g) * $lets - $gLets;
                    $omega[$i] = ($room * $w[$i] + $pull + $link * ($keeps - $keepsNext) + $g * ($keeps - $keptBefore)) / $pivot;
                    $psi[$i] = $link * $letsNext / $pivot;
                    $g = $link;
                    $gLets = $link * $lets * $psi[$i];
                    $pull = $link * $lets * $omega[$i];
                    $keptBefore = $keeps;
                    $lets = $letsNext;
                    $keeps = $keepsNext;
                }
                $room = $volumes[$last] / $dt;
                $pivot = $room + ($surfaceLink + $g) * $lets - $gLets;
                $omega[$last] = ($room * $w[$last] + $pull + $surfaceLink * $keeps + $g * ($keeps - $keptBefore)) / $pivot;
                $psi[$last] = $surfaceLink * $slow / $pivot;
                // Supply to the surface, kg/(m²·s): have − dry·w_s
                $dry = $density * $surfaceLink / $area * ($slow - $lets * $psi[$last]);
                $have = $density * $surfaceLink / $area * ($lets * $omega[$last] - $keeps);
                $have = $have > 0.0 ? $have : 0.0;
            }

            $boiling = false;
            // Heat, centre outwards: T_i = α_i + β_i · T_(i+1).
            $here = $t[0];
            $kHere = ($k0 + $here * ($k1 + $here * $k2)) * ($kd + (1.0 - $kd) * ($w[0] > 0.0 ? $w[0] : 0.0));
            $g = 0.0;
            $pull = 0.0;
            for ($i = 0; $i < $last; $i++) {
                $next = $t[$i + 1];
                $kNext = ($k0 + $next * ($k1 + $next * $k2)) * ($kd + (1.0 - $kd) * ($w[$i + 1] > 0.0 ? $w[$i + 1] : 0.0));
                $gNext = $links[$i] * 0.5 * ($kHere + $kNext);
                $capacity = $volumes[$i] * ($c0 + $here * ($c1 + $here * $c2)) * (1.0 - $cw * (1.0 - $w[$i])) / $dt;
                $pivot = $capacity + $g + $gNext;
                $pull += $capacity * $here;
                if ($here > $boilingC && $w[$i] > 0.0) {
                    $sink[$i] = $boil = self::BOILING_PULL * $capacity * ($w[$i] < self::SCARCE ? $w[$i] / self::SCARCE : 1.0);
                    $pivot += $boil;
                    $pull += $boil * $boilingC;
                    $boiling = true;
                }
                $alpha[$i] = $pull / $pivot;
                $beta[$i] = $gNext / $pivot;
                $g = $gNext * (1.0 - $beta[$i]);
                $pull = $gNext * $alpha[$i];
                $here = $next;
                $kHere = $kNext;
            }
            $gSurface = $surfaceLink * $kHere;
            $capacity = $volumes[$last] * ($c0 + $here * ($c1 + $here * $c2)) * (1.0 - $cw * (1.0 - $w[$last])) / $dt;
            $pivot = $capacity + $g + $gSurface;
            $pull += $capacity * $here;
            if ($here > $boilingC && $w[$last] > 0.0) {
                $sink[$last] = $boil = self::BOILING_PULL * $capacity * ($w[$last] < self::SCARCE ? $w[$last] / self::SCARCE : 1.0);
                $pivot += $boil;
                $pull += $boil * $boilingC;
                $boiling = true;
            }
            $alphaLast = $pull / $pivot;
            $betaLast = $gSurface / $pivot;

            // Surface: what is conducted inwards equals what arrives.
            $inward = $gSurface * (1.0 - $betaLast) / $area;
            $offset = $gSurface * $alphaLast / $area;
            $next = $ts;
            $leaving = 0.0;
            $damp = 1.0;
            for ($try = 0; $try < 30; $try++) {
                $kelvin = $next + $kelvinOffset;
                $cubed = $kelvin * $kelvin * $kelvin;
                $magnus = $magnusOffset + $next;
                $saturation = $magnusPa * exp($magnusFactor * $next / $magnus);
                $activity = 1.0;
                $slopeActivity = 1.0;
                $evaporation = $saturation > $vapour ? $film * $skin : $film;
                if ($moist && $saturation > $vapour && $evaporation > 0.0) {
                    // have − dry·w = (e/L)(S·w(1+κ)/(w+κ) − v), for w: the surface's water.
                    $el = $evaporation / $latent;
                    $a = $el * $saturation * (1.0 + $kappa);
                    $b = $a + $dry * $kappa - $have - $el * $vapour;
                    $c = ($have + $el * $vapour) * $kappa;
                    $damp = (-$b + sqrt($b * $b + 4.0 * $dry * $c)) / (2.0 * $dry);
                    if ($damp < 1.0) {
                        $activity = (1.0 + $kappa) * $damp / ($damp + $kappa);
                        // How much of a rise of the saturation comes through: the surface dries as it gives more.
                        $da = (1.0 + $kappa) * $kappa / (($damp + $kappa) * ($damp + $kappa));
                        $slopeActivity = $activity * $dry / ($dry + $el * $saturation * $da);
                    } else {
                        $damp = 1.0;
                        $slopeActivity = 1.0;
                    }
                }
                $leaving = $evaporation * ($saturation * $activity - $vapour);
                $arriving = $given - $h * $next - $es * $cubed * $kelvin - $leaving;
                $slope = -$h - 4.0 * $es * $cubed
                    - $evaporation * $slopeActivity * $saturation * $magnusFactor * $magnusOffset / ($magnus * $magnus);
                $change = ($arriving + $offset - $inward * $next) / ($inward - $slope);
                $next += $change > 25.0 ? 25.0 : ($change < -25.0 ? -25.0 : $change);
                if ($change < 1e-3 && $change > -1e-3) {
                    break;
                }
            }
            $arriving = $inward * $next - $offset;
            [$before, $t] = [$t, $before];
            $surfaceBefore = $ts;
            $ts = $next;

            $value = $alphaLast + $betaLast * $ts;
            $t[$last] = $value;
            for ($i = $last - 1; $i >= 0; $i--) {
                $value = $alpha[$i] + $beta[$i] * $value;
                $t[$i] = $value;
            }
            $stored = 0.0;
            if ($this->books) {
                // By the integral of the capacity, and what boiled: the solution itself took the capacity at the step's start.
                for ($i = 0; $i < $cells; $i++) {
                    [$a, $b] = [$before[$i], $t[$i]];
                    $stored += $volumes[$i] * (1.0 - $cw * (1.0 - $w[$i])) * ($b - $a) * (
                        $c0 + 0.5 * $c1 * ($a + $b) + $c2 * ($a * $a + $a * $b + $b * $b) / 3.0
                    );
                    $stored += $sink[$i] > 0.0 ? $sink[$i] * ($b - $boilingC) * $dt : 0.0;
                }
            }
            $lost = $leaving / $latent;
            if ($moist) {
                if ($leaving > 0.0) {
                    // The surface gives what it was solved to give.
                    $ws = $damp;
                    $value2 = $omega[$last] + $psi[$last] * $ws;
                    $w[$last] = $value2;
                    for ($i = $last - 1; $i >= 0; $i--) {
                        $value2 = $omega[$i] + $psi[$i] * $value2;
                        $w[$i] = $value2;
                    }
                }
                if ($boiling) {
                    for ($i = $last; $i >= 0; $i--) {
                        if ($sink[$i] > 0.0) {
                            $kg = $sink[$i] * ($t[$i] - $boilingC) * $dt / $latent;
                            $w[$i] -= $kg / ($density * $volumes[$i]);
                            $this->driedKgM2 += $kg / $area;
                            $sink[$i] = 0.0;
                        }
                    }
                }
            }

            if ($value >= $untilCoreC && $value > $before[0]) {
                // The step is cut where the core crosses, the state taken on the straight line between its ends.
                $part = ($untilCoreC - $before[0]) / ($value - $before[0]);
                for ($i = 0; $i < $cells; $i++) {
                    $t[$i] = $before[$i] + $part * ($t[$i] - $before[$i]);
                }
                $ts = $surfaceBefore + $part * ($ts - $surfaceBefore);
                $dt *= $part;
                $stored *= $part;
            }
            $this->storedJ += $stored;
            $this->heatInJ += $stored === 0.0 ? 0.0 : $arriving * $area * $dt;

            $this->driedKgM2 += $lost * $dt;
            $this->gaveKgM2 += $lost * $dt;
            $this->takenJM2 += $arriving * $dt;
            $ended += $dt;
            $this->elapsedS += $dt;
            if ($this->trace !== null) {
                $this->cellsC = $t;
                $this->surfaceC = $ts;
                $this->note($air);
            }
            if ($t[0] >= $untilCoreC - 1e-9) {
                $this->cellsC = $t;
                $this->water = $w;
                $this->surfaceC = $ts;

                return true;
            }
        }
        $this->cellsC = $t;
        $this->water = $w;
        $this->surfaceC = $ts;

        return false;
    }

    /** Stays in $surroundings for $seconds or until the core reaches $untilCoreC. */
    public function in(Surroundings $surroundings, float $seconds, float $untilCoreC = INF): bool
    {
        return $this->through($surroundings, $surroundings, $seconds, $untilCoreC);
    }

    /** How long what was heated goes on evening out inside: its core has climbed by then, s. */
    public function evensOutS(): float
    {
        $diffusivity = $this->substance->conductivityFit[0] / $this->substance->heatCapacityFit[0];

        return self::EVENED_FO * $this->shape->halfThicknessM ** 2 / $diffusivity;
    }

    /** Cools in $surroundings for $seconds, in longer steps: for when it has evened out. */
    public function cool(Surroundings $surroundings, float $seconds): void
    {
        $this->calm = self::CALM;
        $this->in($surroundings, $seconds);
        $this->calm = 1.0;
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

    /** Heat that the surface took from the air, walls and plate so far, J per m²: into the meat, and into water that evaporated there. */
    public function tookJM2(): float
    {
        return $this->takenJM2 + Vapour::LATENT_J_KG * $this->gaveKgM2;
    }

    /** Water that is still in it, kg per m² of surface. */
    public function holdsKgM2(): float
    {
        return $this->substance->waterKgM3 * array_sum(
            array_map(fn (float $share, float $volume): float => $share * $volume, $this->water, $this->volumes),
        ) / $this->surfaceArea;
    }

    /** How far its proteins have let go of their water, mean over the volume, 0 to 1; 0 for what has none. */
    public function yieldedShare(): float
    {
        [$fromC, $toC] = self::LETS_GO_C;
        $sum = 0.0;
        foreach ($this->cellsC as $i => $celsius) {
            $sum += min(1.0, max(0.0, ($celsius - $fromC) / ($toC - $fromC))) * $this->volumes[$i];
        }

        return $this->substance->yields * $sum / array_sum($this->volumes);
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

    /** Heat taken up through the surface less heat stored, as a share of the larger, since books are kept. */
    public function energyGap(): float
    {
        return abs($this->heatInJ - $this->storedJ) / max(1e-9, abs($this->heatInJ), abs($this->storedJ));
    }

    /** @return array{int<1, max>, float} */
    private static function cellAt(float $share, Resolution $resolution): array
    {
        $positions = $resolution->positions();
        $i = 1;
        while ($i < count($positions) - 1 && $positions[$i] < $share) {
            $i++;
        }

        return [$i, ($share - $positions[$i - 1]) / ($positions[$i] - $positions[$i - 1])];
    }

    private function layOutCells(): void
    {
        $radius = $this->shape->halfThicknessM;
        $n = $this->shape->exponent;
        $cells = $this->resolution->cells;
        $faces = array_map(fn (float $share): float => $share * $radius, $this->resolution->faces());
        $middles = array_map(fn (float $share): float => $share * $radius, $this->resolution->positions());
        for ($i = 0; $i < $cells; $i++) {
            $this->volumes[] = ($faces[$i + 1] ** ($n + 1.0) - ($faces[$i] ?: 0.0) ** ($n + 1.0)) / ($n + 1.0);
            if ($i < $cells - 1) {
                $this->links[] = $faces[$i + 1] ** $n / ($middles[$i + 1] - $middles[$i]);
            }
        }
        $this->surfaceArea = $radius ** $n;
        $this->surfaceLink = $this->surfaceArea / ($radius - $middles[$cells - 1]);
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
        $this->trace->meanC[] = $this->meanC();
        [$near, $share] = $this->near;
        $this->trace->nearC[] = $this->cellsC[$near - 1] + $share * ($this->cellsC[$near] - $this->cellsC[$near - 1]);
        if ($this->profiles) {
            $this->trace->profilesC[] = array_values($this->cellsC);
        }
    }
}
