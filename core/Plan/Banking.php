<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Cooker\Cooker;
use Diatherm\Cooker\CookerShed;
use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\OpenFire;
use Diatherm\Fire\FireFloor;
use Diatherm\Fire\HandTest;
use Diatherm\Fire\Pile;
use Diatherm\Food\Part;
use Diatherm\Heat\Resolution;
use Diatherm\Measure\NonNegative;
use Diatherm\Rig\JointSize;

/**
 * Where along an open bed the coals should lie so that the thick and the thin parts of a long joint are done together, and
 * what an even bed does instead.
 *
 * Each part is cooked at several heats once; between them its time goes as a power of the flux. What each pile along the
 * bed sends to each part is the view-factor sum, and the coal is shared out by least squares, nowhere below none.
 */
final readonly class Banking
{
    /** Heats at which each part is cooked, as shares of the flux that was aimed at. */
    private const HEATS = [0.35, 0.7, 1.4, 2.8];

    /** Piles offered along the bed. */
    private const BANDS = 6;

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

    /** @return self|null null for a fire that is not in the open */
    public static function of(FirePlan $fire, Forecast $forecast): ?self
    {
        $mechanism = $fire->curve->mechanism;
        if (! $mechanism instanceof OpenFire || $fire->fuel === null) {
            return null;
        }
        $dish = $forecast->dish;
        $number = 0;
        foreach ($dish->stages as $i => $stage) {
            $number = $stage->cooker->id === $fire->equipment->kind->id ? $i : $number;
        }
        $aimed = HandTest::fluxOfWallWm2($dish->stages[$number]->cookerC);
        $jointM = ($dish->rig?->size() ?? JointSize::suggested($dish->cut, $dish->massKg))->lengthM;
        $together = $forecast->cookMinutes->likely;
        $height = $mechanism->heightM;
        $even = FireFloor::of($mechanism->lengthM, $mechanism->widthM, false, $fire->fuel, array_map(fn (array $at): Pile => Pile::of(0.5 * $at[0] * $mechanism->lengthM, 0.5 * $at[1] * $mechanism->widthM, $at[2] * $fire->run->startKg), Equipment::pilesOf('even')));
        $floor = (new FireLayout($fire))->floor();
        assert($floor !== null);
        $rows = [];
        foreach (self::sections($dish) as [$id, $name, $from, $to, $half]) {
            $x = (0.5 * ($from + $to) - 0.5) * $jointM;
            $curve = self::times($dish, CookerShed::kind($fire->equipment->kind->id)->exposing(LaidFires::fading($fire->wish, $fire->equipment)), $forecast->airC, $half, $aimed);
            $rows[] = [$id, $name, $from, $to, $x, $curve, self::fluxFor($curve, $together)];
        }
        $bands = self::bands($mechanism->lengthM, $jointM, array_column($rows, 4));
        $matrix = [];
        foreach ($rows as $row) {
            $matrix[] = array_values(array_map(fn (float $x): float => FireFloor::of($mechanism->lengthM, $mechanism->widthM, false, $fire->fuel, [Pile::of($x, 0.0, 1.0)])->downWm2($row[4], 0.0, $height), $bands));
        }
        $shares = NonNegative::solve($matrix, array_column($rows, 6));
        $piles = [];
        foreach ($bands as $b => $x) {
            $piles[] = Pile::of($x, 0.0, min(40.0, $shares[$b]));
        }
        $banked = FireFloor::of($mechanism->lengthM, $mechanism->widthM, false, $fire->fuel, $piles);
        $parts = array_map(function (array $row) use ($floor, $even, $banked, $height): BankedPart {
            [$id, $name, $from, $to, $x, $curve] = $row;
            $flux = $floor->downWm2($x, 0.0, $height);

            return new BankedPart($id, $name, $from, $to, $flux, self::minutesAt($curve, $flux), self::minutesAt($curve, $even->downWm2($x, 0.0, $height)), self::minutesAt($curve, $banked->downWm2($x, 0.0, $height)));
        }, $rows);

        return new self($parts, $piles, array_sum(array_column($piles, 'kg')), $jointM, $together);
    }

    /** How far apart the parts are done, minutes, of the fire as it lies. */
    public function apartMinutes(): float
    {
        $minutes = array_map(fn (BankedPart $part): float => $part->minutes, $this->parts);

        return max($minutes) - min($minutes);
    }

    /** @return non-empty-list<array{string, string, float, float, float}> id, name, from and to along the joint, and thickness over the whole's */
    private static function sections(Dish $dish): array
    {
        $parts = array_map(fn (Part $part): array => [$part->id, $part->name, $part->from, $part->to, $part->halfShare], Part::of($dish->cut));

        return $parts !== [] ? $parts : [['left', 'Left end', 0.0, 0.33, 1.0], ['middle', 'Middle', 0.33, 0.67, 1.0], ['right', 'Right end', 0.67, 1.0, 1.0]];
    }

    /** @return non-empty-list<array{float, float}> logarithms of flux and minutes, by rising flux */
    private static function times(Dish $dish, Cooker $cooker, float $airC, float $half, float $aimedWm2): array
    {
        $points = [];
        foreach (self::HEATS as $share) {
            $flux = $share * $aimedWm2;
            $celsius = HandTest::wallOfFluxC($flux);
            $cook = Cook::of($dish->through(array_map(fn (Stage $stage): Stage => $stage->cooker->id === $cooker->id ? $stage->on($cooker)->at($celsius) : $stage, $dish->stages)), $airC, Resolution::coarse(), new Course(pulledS: self::LONGEST_S), 1.0, $half);
            $trace = $cook->body->record(false);
            $cook->toPull($dish->targetC);
            $reached = $trace->reaches($dish->targetC);
            // A part that never gets there is put as far off as its last warmth suggests, so that more coal still helps it.
            $minutes = $reached === null ? self::LONGEST_S / 60.0 * ($dish->targetC - $dish->startC) / max(1.0, $cook->body->coreC() - $dish->startC) : $reached / 60.0;
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

        return exp($x0 + ($y - $y0) / min(-1e-9, $y1 - $y0) * ($x1 - $x0));
    }

    /**
     * Places for piles along the bed: under the joint and a little beyond.
     *
     * @param  list<float>  $middles  of the parts
     * @return non-empty-array<int, float>
     */
    private static function bands(float $bedM, float $jointM, array $middles): array
    {
        $reach = min(0.5 * $bedM, 0.5 * $jointM + 0.1, max(array_map(abs(...), $middles === [] ? [0.0] : $middles)) + 0.15);

        return array_map(fn (int $band): float => $reach * (2.0 * $band / (self::BANDS - 1) - 1.0), range(0, self::BANDS - 1));
    }
}
