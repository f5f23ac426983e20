<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Cooking\Forecast;
use Diatherm\Measure\Input;
use Diatherm\Measure\Mark;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Source;
use Diatherm\Measure\Unit;
use Diatherm\Measure\Working;
use Diatherm\Rig\FrameRig;
use Diatherm\Rig\Pit;
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
        foreach ($dish->work() as $preparation) {
            $window = $dish->windowOf($preparation);
            $workings[] = new Working('prepare.'.$preparation->id, Message::of('why_rig.it_wants_so_long'), [
                Input::of(
                    'at_the_least',
                    self::hours($window->leastHours),
                ), Input::of('best', self::hours($window->bestHours)), Input::of('no_more_gain_after', self::hours($window->mostHours)),
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
            new Working('rig.clearance', Message::of('why_rig.from_the_spit'), [
                Input::of(
                    'room',
                    self::cm($rig->roomM),
                ), Input::of('reaches', self::cm(max($fit->swingM))), Input::of('to_keep', self::cm(SpitFit::LEAST_CLEARANCE_M)),
            ], Source::of(Mark::Common)),
            new Working('rig.balance', Message::of('why_rig.in_the_roll_test'), [
                Input::of(
                    'weight',
                    Quantity::kg($rig->testKg, 2),
                ), Input::of(
                    'arm',
                    self::cm($rig->testArmM),
                ), Input::of(
                    'on_the_spit',
                    Quantity::kg($load, 2),
                ), Input::of('torque', Quantity::of($balance->torqueNm, Unit::NewtonMetre, 2)),
            ], Source::computed()),
            new Working('rig.bar', Message::of('why_rig.a_beam_on_two_rests'), [
                Input::of(
                    'between_the_rests',
                    self::cm($rig->bar->spanM),
                ), Input::of(
                    'second_moment',
                    Quantity::of(1e12 * $rig->bar->secondMomentM4(), Unit::QuarticMillimetre),
                ), Input::of(
                    'load',
                    Message::of('why_rig.and_its_own_weight', load: Quantity::kg($load, 2)),
                ), Input::of('stress', Quantity::of($rig->bar->stressPa($load) / 1e6, Unit::Megapascal)),
            ], Source::of(Mark::Published, 'Roark’s Formulas for Stress and Strain')),
        ];
    }

    /** @return list<Working> */
    private static function pot(PotRig $rig, Forecast $forecast): array
    {
        $hours = $forecast->cookMinutes->high / 60.0;
        $workings = [new Working('rig.liquid', Message::of('why_rig.what_gets_past_the_lid'), [
            Input::of(
                'time',
                self::hours($hours),
            ), Input::of(
                'leaves_as_steam',
                Quantity::litres($rig->pot->lossL($hours), 2),
            ), Input::of('bottom', Quantity::of(1e4 * $rig->pot->floorM2(), Unit::SquareCentimetre)),
        ], Source::of(Mark::Common))];
        $pit = $rig->pit();
        if ($pit !== null) {
            $coals = array_map(fn (float $m3): Quantity => Quantity::litres(1000.0 * $m3), $pit->coalsM3());
            $workings[] = new Working(
                'rig.coals',
                Message::of(
                    'why_rig.the_hole_less_the_pot',
                    light: Quantity::kg(Pit::COALS_KG_M3[0]),
                    dense: Quantity::kg(Pit::COALS_KG_M3[2]),
                ),
                [Input::of('under', $coals['under']), Input::of('beside', $coals['beside']), Input::of('above', $coals['above'])],
                Source::of(Mark::Common),
            );
            $workings[] = new Working(
                'rig.wood',
                Message::of('why_rig.a_quarter_to_a_fifth', burnt: Quantity::kg(Pit::BURNS_KG_H_M2)),
                [Input::of('coals', Quantity::kg($pit->coalsKg()->likely))],
                Source::of(Mark::Common),
            );
            $workings[] = new Working(
                'rig.soil',
                Message::of('why_rig.as_wide_as_the_pot'),
                [Input::of('wide', self::cm($pit->widthM())), Input::of('deep', self::cm($pit->depthM()))],
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
                Message::of('why_rig.along_the_frame_from'),
                [Input::of('foot_to_the_meat', self::cm($rig->lowestM)), Input::of('leans', Quantity::of($rig->leanDeg, Unit::Degree))],
                Source::computed(),
            ),
            new Working(
                'rig.line',
                Message::of(
                    'why_rig.straight_from_the_frames_head',
                    near: Quantity::cm(100.0 * FrameRig::CHAIN_WITHIN_M),
                    knots: Quantity::cm(100.0 * FrameRig::KNOTS_M),
                ),
                [Input::of('head_to_stake', self::cm($rig->lineM()))],
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
                Message::of('why_rig.four_centimetres_beyond_the_joint'),
                [],
                Source::computed(),
            ),
        ];
    }

    private static function cm(float $m): Quantity
    {
        return Quantity::cm(100.0 * $m, 1);
    }

    private static function hours(float $hours): Quantity
    {
        return $hours < 1.0 ? Quantity::minutes(60.0 * $hours) : Quantity::hours($hours, 1);
    }
}
