<?php

declare(strict_types=1);

namespace Diatherm\Tending;

use Diatherm\Cooker\Cooker;
use Diatherm\Cooker\CookerShed;
use Diatherm\Cooker\OpenFire;
use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Cooking\Variation;
use Diatherm\Fire\FireFloor;
use Diatherm\Fire\Fuel;
use Diatherm\Fire\HandTest;
use Diatherm\Fire\Pile;
use Diatherm\Food\Part;
use Diatherm\Heat\Resolution;
use Diatherm\Measure\NonNegative;
use Diatherm\Roast\Held;
use Diatherm\Roast\Stage;

/**
 * Where along an open bed the coals should lie so that the thick and the thin parts of a long joint are done together, and
 * what an even bed does instead.
 *
 * Each part is cooked at several heats once; between them its time goes as a power of the flux. What each pile along the
 * bed sends to each part is the view-factor sum, and the coal is shared out by least squares of what is missing or too
 * much as a share of what each part asks for, nowhere below none.
 */
final readonly class Banking
{
    /** Heats at which each part is cooked, as shares of the flux that was aimed at. */
    private const HEATS = [0.45, 0.65, 0.8, 0.95, 1.15, 1.5, 2.4];

    /** Piles offered along the bed. */
    private const BANDS = 6;

    /** A pile is a square that grows with its coals: shared out anew so often, with the size that each then has. */
    private const PASSES = 3;

    /** As small as a band is looked at, and as large as one is made, kg. */
    private const LEAST_KG = 0.05;

    private const MOST_KG = 40.0;

    /** Where a dish spends less than this share of its time, as for a sear, how the coals lie does not decide when it is done. */
    private const LEAST_SHARE = 0.5;

    /** No part asks for more or less than so many times the outermost heats that were tried. */
    private const BEYOND = 3.0;

    /** A part is not followed longer than this. */
    private const LONGEST_S = 20 * 3600.0;

    /**
     * @param  non-empty-list<BankedPart>  $parts  along the joint
     * @param  list<Pile>  $piles  as they should lie
     * @param  float  $kg  in all, for the parts to be done when the plan pulls the joint
     */
    private function __construct(
        public array $parts,
        public array $piles,
        public float $kg,
        public float $jointM,
        public float $togetherMinutes,
    ) {
    }

    /** @return self|null null for a fire that is not in the open, or that the dish is on for a while only */
    public static function of(FirePlan $fire, Forecast $forecast): ?self
    {
        $mechanism = $fire->stove->curve->mechanism;
        if (! $mechanism instanceof OpenFire || $fire->stove->fuel === null) {
            return null;
        }
        $dish = $forecast->dish;
        $number = 0;
        foreach ($dish->stages as $i => $stage) {
            $number = $stage->cooker->id === $fire->stove->equipment->kind->id ? $i : $number;
        }
        $ends = [...array_slice($forecast->stageStartMinutes, 1), $forecast->cookMinutes->likely];
        if (self::LEAST_SHARE * $forecast->cookMinutes->likely > $ends[$number] - $forecast->stageStartMinutes[$number]) {
            return null;
        }
        $aimed = HandTest::fluxOfWallWm2($dish->stages[$number]->cookerC);
        $jointM = LaidFires::lengthM($dish);
        $together = $forecast->cookMinutes->likely;
        $height = $mechanism->heightM;
        $even = FireFloor::of(
            $mechanism->lengthM,
            $mechanism->widthM,
            false,
            $fire->stove->fuel,
            $fire->stove->equipment->piles('even', $fire->run->startKg),
        );
        $floor = (new FireLayout($fire))->floor();
        assert($floor !== null);
        $kind = CookerShed::kind($fire->stove->equipment->kind->id);
        $cooker = $kind->withInside(
            $kind->inside->exposing(LaidFires::fading($fire->stove->wish, $fire->stove->equipment))->airedBy(
                OpenFire::staysInWind($fire->stove->weather->groundWindMs()),
            )->atAltitude($fire->stove->weather->altitudeM),
        );
        $rows = [];
        // The forecast is that of the part that decides over a fire laid in the usual way.
        $scale = $aimed / max(
            1.0,
            LaidFires::usualWm2($fire->stove->equipment, $dish, $dish->stages[$number]->cookerC, $fire->stove->weather),
        );
        foreach (Part::along($dish->cut) as $part) {
            $curve = self::times($forecast, $cooker, $part->halfShare, $aimed);
            $rows[] = [$part, $part->middleM($jointM), $curve, self::fluxFor($curve, $together) / $scale];
        }
        $piles = self::sharedOut(
            $mechanism,
            $fire->stove->fuel,
            self::bands($mechanism->lengthM, $jointM, array_column($rows, 1)),
            self::across($fire),
            array_column($rows, 1),
            array_column($rows, 3),
        );
        $banked = FireFloor::of($mechanism->lengthM, $mechanism->widthM, false, $fire->stove->fuel, $piles);
        $parts = array_map(function (array $row) use ($floor, $even, $banked, $height, $scale): BankedPart {
            [$part, $x, $curve] = $row;
            $minutes = fn (FireFloor $one): float => self::minutesAt($curve, $scale * $one->downWm2($x, 0.0, $height));

            return new BankedPart(
                $part->id,
                $part->name,
                $part->from,
                $part->to,
                $floor->downWm2($x, 0.0, $height),
                $minutes($floor),
                $minutes($even),
                $minutes($banked),
            );
        }, $rows);

        return new self($parts, $piles, array_sum(array_column($piles, 'kg')), $jointM, $together);
    }

    /** How far apart the parts are done, minutes, of the fire as it lies. */
    public function apartMinutes(): float
    {
        $minutes = array_map(fn (BankedPart $part): float => $part->minutes, $this->parts);

        return max($minutes) - min($minutes);
    }

    /**
     * @param  non-empty-list<float>  $bandsM  places along the bed
     * @param  non-empty-list<float>  $acrossM  places across it, which share what lies in a band
     * @param  non-empty-list<float>  $partsM  where the parts are
     * @param  non-empty-list<float>  $asked  flux that each asks for, W/m²
     * @return list<Pile>
     */
    private static function sharedOut(OpenFire $fire, Fuel $fuel, array $bandsM, array $acrossM, array $partsM, array $asked): array
    {
        $band = fn (float $xM, float $kg): array => array_map(fn (float $yM): Pile => Pile::of($xM, $yM, $kg / count($acrossM)), $acrossM);
        $kg = array_fill(0, count($bandsM), 1.0);
        for ($pass = 0; $pass < self::PASSES; $pass++) {
            // What each band sends to each part for every kilogram, as large as it now is, over what the part asks for.
            $sent = array_map(
                fn (float $xM, float $one): FireFloor => FireFloor::of(
                    $fire->lengthM,
                    $fire->widthM,
                    false,
                    $fuel,
                    $band($xM, max(self::LEAST_KG, $one)),
                ),
                $bandsM,
                $kg,
            );
            $matrix = array_map(
                fn (float $partM, float $wants): array => array_map(
                    fn (FireFloor $floor, float $one): float => $floor->downWm2(
                        $partM,
                        0.0,
                        $fire->heightM,
                    ) / max(self::LEAST_KG, $one) / $wants,
                    $sent,
                    $kg,
                ),
                $partsM,
                $asked,
            );
            $kg = array_map(
                fn (float $one): float => min(self::MOST_KG, $one),
                NonNegative::solve($matrix, array_fill(0, count($asked), 1.0)),
            );
        }

        return array_merge(...array_map($band, $bandsM, $kg));
    }

    /** @return non-empty-list<float> where across the bed its layout has coals, m */
    private static function across(FirePlan $fire): array
    {
        return array_values(
            array_unique(
                array_map(fn (Pile $pile): float => $pile->yM, $fire->stove->equipment->piles($fire->stove->layout ?? 'even', 1.0)),
            ),
        ) ?: [0.0];
    }

    /** @return non-empty-list<array{float, float}> logarithms of flux and of minutes to the pull's core temperature, by rising flux */
    private static function times(Forecast $forecast, Cooker $cooker, float $half, float $aimedWm2): array
    {
        $dish = $forecast->dish;
        $points = [];
        foreach (self::HEATS as $share) {
            $flux = $share * $aimedWm2;
            $celsius = HandTest::wallOfFluxC($flux);
            $cook = Cook::of(
                $dish->through(
                    array_map(
                        fn (Stage $stage): Stage => $stage->cooker->id === $cooker->id ? $stage->cookedOn($cooker, Held::asSet())
                            ->heatedTo($celsius) : $stage,
                        $dish->stages,
                    ),
                ),
                $forecast->airC,
                Resolution::coarse(),
                new Course(pulledS: self::LONGEST_S),
                Variation::of(1.0, $half),
            );
            $gotThere = $cook->toCore($forecast->pullC);
            // A part that never gets there is put as far off as its last warmth suggests, so that more coal still helps it.
            $minutes = max(
                1.0,
                ! $gotThere
                    ? self::LONGEST_S / 60.0 * ($forecast->pullC - $dish->startC) / max(1.0, $cook->body->coreC() - $dish->startC)
                    : $cook->body->elapsedS() / 60.0,
            );
            $points[] = [log($flux), log($minutes)];
        }

        return $points;
    }

    /** @param  non-empty-list<array{float, float}>  $curve */
    private static function minutesAt(array $curve, float $fluxWm2): float
    {
        $x = log(max(1.0, $fluxWm2));
        $i = 0;
        while ($i < count($curve) - 2 && $x > $curve[$i + 1][0]) {
            $i++;
        }
        [[$x0, $y0], [$x1, $y1]] = [$curve[$i], $curve[$i + 1] ?? $curve[$i]];

        return exp($y0 + ($x - $x0) / max(1e-9, $x1 - $x0) * ($y1 - $y0));
    }

    /**
     * Inverse of `minutesAt`.
     *
     * @param  non-empty-list<array{float, float}>  $curve
     */
    private static function fluxFor(array $curve, float $minutes): float
    {
        $y = log($minutes);
        $i = 0;
        while ($i < count($curve) - 2 && $y < $curve[$i + 1][1]) {
            $i++;
        }
        [[$x0, $y0], [$x1, $y1]] = [$curve[$i], $curve[$i + 1] ?? $curve[$i]];

        $x = $x0 + ($y - $y0) / min(-1e-9, $y1 - $y0) * ($x1 - $x0);

        return exp(min(log(self::BEYOND) + $curve[count($curve) - 1][0], max($curve[0][0] - log(self::BEYOND), $x)));
    }

    /**
     * Places for piles along the bed: under the joint and a little beyond.
     *
     * @param  list<float>  $middles  of the parts
     * @return non-empty-list<float>
     */
    private static function bands(float $bedM, float $jointM, array $middles): array
    {
        $reach = min(0.5 * $bedM, 0.5 * $jointM + 0.1, max(array_map(abs(...), $middles === [] ? [0.0] : $middles)) + 0.15);

        return array_map(fn (int $band): float => $reach * (2.0 * $band / (self::BANDS - 1) - 1.0), range(0, self::BANDS - 1));
    }
}
