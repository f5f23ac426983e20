<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Cooking\Forecast;
use Diatherm\Measure\Mark;
use Diatherm\Measure\Source;
use Diatherm\Measure\Working;
use Diatherm\Rig\FrameRig;
use Diatherm\Rig\PotRig;
use Diatherm\Rig\SpitFit;
use Diatherm\Rig\SpitRig;
use Diatherm\Roast\Dish;

/** Why the numbers of a rig, and of what is done before the fire, are what they are. */
final class RigExplanation
{
    /** @return list<Working> */
    public static function of(Forecast $forecast): array
    {
        $dish = $forecast->dish;
        $rig = match (true) {
            $dish->rig instanceof SpitRig => self::spit($dish->rig, $dish),
            $dish->rig instanceof PotRig => self::pot($dish->rig, $forecast),
            $dish->rig instanceof FrameRig => self::frame($dish->rig),
            default => [],
        };

        return [...self::preparations($dish), ...$rig, ...self::pan()];
    }

    /** @return list<Working> */
    private static function preparations(Dish $dish): array
    {
        $workings = [];
        foreach ($dish->preparations as $preparation) {
            $window = $preparation->window($dish->massKg, $dish->shape()->halfThicknessM);
            $workings[] = new Working('prepare.'.$preparation->id, 'It wants so long; the plan takes the best where there is time, less where there is not, and begins nothing at night where that can be helped.', [
                'At the least' => self::hours($window->leastHours), 'Best' => self::hours($window->bestHours), 'No more gain after' => self::hours($window->mostHours),
            ], $preparation->source);
        }

        return $workings;
    }

    /** @return list<Working> */
    private static function spit(SpitRig $rig, Dish $dish): array
    {
        $load = $dish->massKg * $dish->pieces;
        $fit = $rig->fit($dish->cut, $dish->massKg, $dish->pieces);
        $balance = $rig->balance($load);

        return [
            new Working('rig.clearance', 'From the spit to the nearest thing, less how far the tied joint reaches at any angle of its turn, its middle off the spit by what the roll test found.', [
                'Room' => self::cm($rig->roomM), 'Reaches' => self::cm(max($fit->swingM)), 'To keep' => self::cm(SpitFit::LEAST_CLEARANCE_M),
            ], Source::of(Mark::Common)),
            new Working('rig.balance', 'In the roll test the weight on its arm held the joint still: weight × arm = mass × distance off the middle. Torque is mass × gravity × that distance, with the heavy side level.', [
                'Weight' => sprintf('%.2f kg', $rig->testKg), 'Arm' => self::cm($rig->testArmM), 'On the spit' => sprintf('%.2f kg', $load), 'Torque' => sprintf(
                    '%.2f N·m',
                    $balance->torqueNm,
                ),
            ], Source::computed()),
            new Working('rig.bar', 'A beam on two rests under an even load: sag 5wL⁴/384EI, bending stress Mc/I.', [
                'Between the rests' => self::cm($rig->bar->spanM), 'Second moment' => sprintf(
                    '%.0f mm⁴',
                    1e12 * $rig->bar->secondMomentM4(),
                ), 'Load' => sprintf('%.2f kg and its own weight', $load), 'Stress' => sprintf('%.0f MPa', $rig->bar->stressPa($load) / 1e6),
            ], Source::of(Mark::Published, 'Roark’s Formulas for Stress and Strain')),
        ];
    }

    /** @return list<Working> */
    private static function pot(PotRig $rig, Forecast $forecast): array
    {
        $hours = $forecast->cookMinutes->high / 60.0;
        $workings = [new Working('rig.liquid', 'What gets past the lid as steam over the slow end of the cook, half as much again, spread over the bottom; three centimetres at the least when it is buried.', [
            'Time' => self::hours($hours), 'Leaves as steam' => sprintf('%.2f l', $rig->pot->lossL($hours)), 'Bottom' => sprintf(
                '%.0f cm²',
                1e4 * $rig->pot->floorM2(),
            ),
        ], Source::of(Mark::Common))];
        $pit = $rig->pit();
        if ($pit !== null) {
            $coals = array_map(fn (float $m3): string => sprintf('%.0f l', 1000.0 * $m3), $pit->coalsM3());
            $workings[] = new Working(
                'rig.coals',
                'The hole less the pot, up to the top of the coals, filled with loose glowing coals of 150 kg to 220 kg a cubic metre.',
                ['Under' => $coals['under'], 'Beside' => $coals['beside'], 'Above' => $coals['above']],
                Source::of(Mark::Common),
            );
            $workings[] = new Working(
                'rig.wood',
                'A quarter to a fifth of dry wood’s mass is left as coals; a tended fire of a square metre burns down some 40 kg an hour.',
                ['Coals' => sprintf('%.0f kg', $pit->coalsKg()->likely)],
                Source::of(Mark::Common),
            );
            $workings[] = new Working(
                'rig.soil',
                'As wide as the pot with seven to eight centimetres all round; coals under, pot, coals above and earth on top make the depth.',
                ['Wide' => self::cm($pit->widthM()), 'Deep' => self::cm($pit->depthM())],
                Source::of(Mark::Common),
            );
        }

        return $workings;
    }

    /** @return list<Working> */
    private static function frame(FrameRig $rig): array
    {
        return [
            new Working(
                'rig.height',
                'Along the frame from its foot, times the cosine of its lean.',
                ['Foot to the meat' => self::cm($rig->lowestM), 'Leans' => sprintf('%.0f°', $rig->leanDeg)],
                Source::computed(),
            ),
            new Working(
                'rig.line',
                'Straight from the frame’s head to the stake; what hangs within 80 cm of the coals is chain, the rest rope, and 80 cm go into knots.',
                ['Head to stake' => self::cm($rig->lineM())],
                Source::of(Mark::Common),
            ),
        ];
    }

    /** @return list<Working> */
    private static function pan(): array
    {
        return [
            new Working(
                'rig.pan',
                'Four centimetres beyond the joint on every side. The water warms until what it takes from air and walls leaves as vapour, by the Lewis relation; that rate over the slow end of the cook, a third more.',
                [],
                Source::computed(),
            ),
        ];
    }

    private static function cm(float $m): string
    {
        return sprintf('%.1f cm', 100.0 * $m);
    }

    private static function hours(float $hours): string
    {
        return $hours < 1.0 ? sprintf('%.0f min', 60.0 * $hours) : sprintf('%.1f h', $hours);
    }
}
