<?php

declare(strict_types=1);

namespace Diatherm\Food;

/**
 * From a joint's mass, and a tape's reading when there is one, to its shape.
 *
 * A joint is taken as an ellipsoid-like body whose typical proportions are known. By mass alone it grows with
 * mass^growth (1/3 when it keeps its proportions, less when mostly its length grows). A measured thickness or girth
 * replaces that guess; the mass then fixes how far the other axes reach.
 */
final readonly class ShapeRule
{
    /** Width over thickness beyond which the piece is a slab in every respect. */
    private const FLATTEST = 12.0;

    /**
     * @param  float  $massKg  typical mass
     * @param  float  $halfM  centre to nearest surface as heat sees it, at that mass
     * @param  float  $width  second axis over the shortest
     * @param  float  $length  longest axis over the shortest
     * @param  float  $thicknessM  what a tape reads at that mass
     * @param  float  $growth  0 to 1/3
     */
    public function __construct(
        private float $massKg,
        private float $halfM,
        private float $width,
        private float $length,
        private float $thicknessM,
        private float $growth,
    ) {
    }

    /** The thickness that a tape would likely read, m. */
    public function usualThicknessM(float $massKg): float
    {
        return $this->thicknessM * ($massKg / $this->massKg) ** $this->growth;
    }

    /**
     * Length, width and depth that a tape would likely read, m: the depth is the usual thickness, the others follow from
     * the cut's proportions and the mass.
     *
     * @return array{float, float, float}
     */
    public function usualSizeM(float $massKg): array
    {
        $depth = $this->usualThicknessM($massKg);
        // Of the volume, what thickness does not take goes to the other two alike.
        $spare = sqrt(($massKg / $this->massKg) * ($this->thicknessM / $depth) ** 3);

        return [$this->length * $depth * $spare, $this->width * $depth * $spare, $depth];
    }

    public function byMass(float $massKg, float $halfFactor): Shape
    {
        return $this->proportioned($massKg, $this->halfM * ($massKg / $this->massKg) ** $this->growth * $halfFactor, null);
    }

    /**
     * @param  float|null  $thicknessM  measured where the cut's note says
     * @param  float|null  $girthM  measured round the same place
     */
    public function measured(float $massKg, ?float $thicknessM, ?float $girthM, float $halfFactor): Shape
    {
        $heatPerTape = $this->halfM / $this->thicknessM;
        if ($thicknessM !== null) {
            $half = $thicknessM * $heatPerTape;
            if ($girthM === null) {
                return $this->proportioned($massKg, $half * $halfFactor, null);
            }
            $semi = 0.5 * $thicknessM;
            // Perimeter of an ellipse, 2π·√((a² + b²)/2), solved for b.
            $other = sqrt(max($semi ** 2, 2.0 * ($girthM / (2.0 * M_PI)) ** 2 - $semi ** 2));

            return $this->proportioned($massKg, $half * $halfFactor, $other / $semi);
        }
        if ($girthM !== null) {
            $usual = 2.0 * M_PI * 0.5 * $this->thicknessM * sqrt(0.5 * (1.0 + $this->width ** 2));

            return $this->proportioned($massKg, $this->halfM * $girthM / $usual * $halfFactor, null);
        }

        return $this->byMass($massKg, $halfFactor);
    }

    /** Rolled up: a tape reads twice its half-thickness whichever way; its length takes what is left of the mass. */
    public function rolled(float $massKg, ?float $thicknessM, ?float $girthM, float $halfFactor): Shape
    {
        $half = match (true) {
            $thicknessM !== null => 0.5 * $thicknessM,
            $girthM !== null => $girthM / (2.0 * M_PI),
            default => $this->halfM * ($massKg / $this->massKg) ** $this->growth * $halfFactor,
        };

        return $this->proportioned($massKg, $half, 1.0);
    }

    private function proportioned(float $massKg, float $halfM, ?float $width): Shape
    {
        // Volume per mass is the cut's own: what thickness loses, width and length gain.
        $room = $this->width * $this->length * ($massKg / $this->massKg) * ($this->halfM / $halfM) ** 3;
        if ($width === null) {
            $usual = $this->halfM * ($massKg / $this->massKg) ** $this->growth;
            $width = $this->width * ($usual / $halfM) ** 1.5;
        }
        $width = min(self::FLATTEST, max(1.0, $width));
        $length = max(1.0, $room / $width);

        $halfM = min(Shape::THICKEST_M, max(Shape::THINNEST_M, $halfM));

        return Shape::of($halfM, Shape::exponentOf($width, $length, $halfM));
    }
}
