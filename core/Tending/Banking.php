<?php

declare(strict_types=1);

namespace Diatherm\Tending;

use Diatherm\Cooker\CookerShed;
use Diatherm\Cooker\OpenFire;
use Diatherm\Cooking\Forecast;
use Diatherm\Fire\FireFloor;
use Diatherm\Fire\Fuel;
use Diatherm\Fire\HandTest;
use Diatherm\Fire\Pile;
use Diatherm\Food\Part;
use Diatherm\Measure\NonNegative;

/**
 * Where along an open bed the coals should lie so that the thick and the thin parts of a long joint are done together, and
 * what an even bed does instead.
 *
 * Each part takes its time by the flux that it gets (PartPace). What each pile along the
 * bed sends to each part is the view-factor sum, and the coal is shared out by least squares of what is missing or too
 * much as a share of what each part asks for, nowhere below none.
 */
final readonly class Banking
{
    /** Piles offered along the bed. */
    private const BANDS = 6;

    /** A pile is a square that grows with its coals: shared out anew so often, with the size that each then has. */
    private const PASSES = 3;

    /** As small as a band is looked at, and as large as one is made, kg. */
    private const LEAST_KG = 0.05;

    private const MOST_KG = 40.0;

    /** Where a dish spends less than this share of its time, as for a sear, how the coals lie does not decide when it is done. */
    private const LEAST_SHARE = 0.5;

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
            $pace = new PartPace($forecast, $cooker, $part->halfShare, $aimed);
            $rows[] = [$part, $part->middleM($jointM), $pace, $pace->fluxFor($together) / $scale];
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
            [$part, $x, $pace] = $row;
            $minutes = fn (FireFloor $one): float => $pace->minutesAt($scale * $one->downWm2($x, 0.0, $height));

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
