<?php

declare(strict_types=1);

namespace Diatherm\Rig;

use Diatherm\Measure\Bisection;
use Diatherm\Measure\Mark;
use Diatherm\Measure\Nature;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Source;
use Diatherm\Measure\Table;
use Diatherm\Measure\Unit;

/**
 * A spit as a beam on two rests under an even load: sag 5wL⁴/384EI, bending stress Mc/I with M = wL²/8.
 *
 * Source: any handbook of beam formulas, such as Roark's Formulas for Stress and Strain.
 */
final readonly class SpitBar
{
    private const STEEL_KG_M3 = 7900.0;

    /** None is thicker, mm. */
    private const THICKEST_MM = 120.0;

    /** Sag that still turns evenly, share of the span; stress that still forgives, share of the yield. Common practice. */
    private const MOST_SAG = 1.0 / 200.0;

    private const MOST_STRESS = 0.6;

    private function __construct(
        public string $section,
        public float $sizeM,
        public float $wallM,
        public float $spanM,
        public string $steel,
        private float $yieldPa,
        private float $elasticPa,
        public Source $source,
    ) {
    }

    /**
     * @param  string  $section  round, tube or square
     * @param  float  $sizeM  outer diameter or side
     * @param  float  $wallM  of a tube
     * @param  float  $spanM  between the rests
     *
     * @throws OutOfRange
     */
    public static function of(string $section, float $sizeM, float $wallM, float $spanM, string $steel): self
    {
        if (! in_array($section, ['round', 'tube', 'square'], true)) {
            throw OutOfRange::unknown('section', $section);
        }
        OutOfRange::check('size_of_the_spit', $sizeM, 0.003, 0.2, Unit::Metre);
        OutOfRange::check('span_of_the_spit', $spanM, 0.1, 5.0, Unit::Metre);
        if ($section === 'tube') {
            OutOfRange::check('wall_of_the_tube', $wallM, 0.0005, 0.5 * $sizeM, Unit::Metre);
        }
        /** @var array<string, array{name: string, yield_mpa: int, e_gpa: int, mark: string, citation: string}> $steels */
        $steels = Table::named('rigs')['steels'];
        $row = $steels[$steel] ?? throw OutOfRange::unknown('steel', $steel);

        return new self(
            $section,
            $sizeM,
            $wallM,
            $spanM,
            $steel,
            1e6 * $row['yield_mpa'],
            1e9 * $row['e_gpa'],
            Source::of(Mark::from($row['mark']), $row['citation']),
        );
    }

    /** Second moment of area, m⁴: round πd⁴/64, tube the difference of two, square a⁴/12. */
    /** The thinnest of this section, by whole millimetres, that holds that load on these rests; null where none does. */
    public function thickEnough(float $loadKg): ?self
    {
        for ($mm = ceil(1000.0 * $this->sizeM); $mm <= self::THICKEST_MM; $mm++) {
            $bar = self::of($this->section, $mm / 1000.0, $this->wallM, $this->spanM, $this->steel);
            if ($bar->holds($loadKg)) {
                return $bar;
            }
        }

        return null;
    }

    /** The same bar on rests that are so far apart. */
    public function spanning(float $spanM): self
    {
        return self::of($this->section, $this->sizeM, $this->wallM, $spanM, $this->steel);
    }

    public function secondMomentM4(): float
    {
        $outer = $this->sizeM;
        $inner = $outer - 2.0 * $this->wallM;

        return match ($this->section) {
            'square' => $outer ** 4 / 12.0,
            'tube' => M_PI * ($outer ** 4 - $inner ** 4) / 64.0,
            default => M_PI * $outer ** 4 / 64.0,
        };
    }

    public function areaM2(): float
    {
        $inner = $this->sizeM - 2.0 * $this->wallM;

        return match ($this->section) {
            'square' => $this->sizeM ** 2,
            'tube' => M_PI * ($this->sizeM ** 2 - $inner ** 2) / 4.0,
            default => M_PI * $this->sizeM ** 2 / 4.0,
        };
    }

    /** Sag in the middle under a load and its own weight, m. */
    public function sagM(float $loadKg): float
    {
        return 5.0 * $this->weightNM($loadKg) * $this->spanM ** 4 / (384.0 * $this->elasticPa * $this->secondMomentM4());
    }

    /** Largest bending stress, Pa. */
    public function stressPa(float $loadKg): float
    {
        return $this->weightNM($loadKg) * $this->spanM ** 2 / 8.0 * 0.5 * $this->sizeM / $this->secondMomentM4();
    }

    /** Share of the yield stress. */
    public function strain(float $loadKg): float
    {
        return $this->stressPa($loadKg) / $this->yieldPa;
    }

    public function holds(float $loadKg): bool
    {
        return $this->sagM($loadKg) <= self::MOST_SAG * $this->spanM && $this->strain($loadKg) <= self::MOST_STRESS;
    }

    /** The longest span at which it would hold that load, m. */
    public function spanThatHoldsM(float $loadKg): float
    {
        return Bisection::root(function (float $span) use ($loadKg): float {
            $bar = new self(
                $this->section,
                $this->sizeM,
                $this->wallM,
                $span,
                $this->steel,
                $this->yieldPa,
                $this->elasticPa,
                $this->source,
            );

            return min(self::MOST_SAG - $bar->sagM($loadKg) / $span, self::MOST_STRESS - $bar->strain($loadKg));
        }, 0.05, 6.0, 0.002);
    }

    /** Load and own weight along the span, N/m. */
    private function weightNM(float $loadKg): float
    {
        return Nature::GRAVITY * ($loadKg / $this->spanM + self::STEEL_KG_M3 * $this->areaM2());
    }
}
