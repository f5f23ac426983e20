<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Diatherm\Cooking\Forecast;
use Diatherm\Food\Part;
use Diatherm\Rig\Balance;
use Diatherm\Rig\FrameRig;
use Diatherm\Rig\JointSize;
use Diatherm\Rig\Pit;
use Diatherm\Rig\PotRig;
use Diatherm\Rig\SpitFit;
use Diatherm\Rig\SpitRig;
use Diatherm\Roast\Dish;

/** What is computed of a rig, as JSON. */
final class RigResource
{
    /** Arm at which a counterweight is offered, as a share of the room round the spit. */
    private const COUNTER_ARM = 0.55;

    /** @return array<string, mixed>|null */
    public static function of(Forecast $forecast): ?array
    {
        $rig = $forecast->dish->rig;

        return match (true) {
            $rig instanceof SpitRig => self::spit($rig, $forecast->dish),
            $rig instanceof PotRig => self::pot($rig, $forecast),
            $rig instanceof FrameRig => self::frame($rig, $forecast),
            default => null,
        };
    }

    /** @return array<string, mixed> */
    private static function spit(SpitRig $rig, Dish $dish): array
    {
        $load = $dish->massKg * $dish->pieces;
        $fit = $rig->fit($dish->cut, $dish->massKg, $dish->pieces);
        $balance = $rig->balance($load);
        $arm = self::COUNTER_ARM * $rig->roomM;

        return [
            'kind' => 'spit',
            'size' => self::size($fit->size),
            'spit' => [
                'fit' => $fit->fit->value,
                'fits' => $fit->fit->fits(),
                'words' => $fit->fit->inWords(),
                'usable_cm' => round(100.0 * ($rig->betweenM + $rig->biteM), 1),
                'room_cm' => round(100.0 * $rig->roomM, 1),
                'keep_cm' => 100.0 * SpitFit::LEAST_CLEARANCE_M,
                'clearance_cm' => round(100.0 * $fit->clearanceM, 1),
                'loose_clearance_cm' => round(100.0 * $fit->looseClearanceM, 1),
                'tight_deg' => $fit->tightDeg,
                'off_cm' => round(100.0 * $balance->offM, 2),
                'largest_mass_kg' => round($fit->largestMassKg, 2),
                'load_kg' => round($load, 2),
            ],
            'balance' => [
                'torque_nm' => round($balance->torqueNm, 3),
                'motor_nm' => $balance->motorNm,
                'load' => $balance->load() === null ? null : round($balance->load(), 3),
                'comfortable' => $balance->isComfortable(),
                'stalls' => $balance->stalls(),
                'stall_factor' => round(Balance::STALLED_SIDE, 2),
                'heavy_deg' => $rig->heavyDeg,
                'counter_deg' => $balance->counterDeg,
                'counter_kg' => round($balance->counterweightKg($arm), 2),
                'counter_arm_cm' => round(100.0 * $arm, 1),
            ],
            'bar' => [
                'sag_mm' => round(1000.0 * $rig->bar->sagM($load), 1),
                'stress_mpa' => round($rig->bar->stressPa($load) / 1e6, 1),
                'of_yield' => round($rig->bar->strain($load), 3),
                'holds' => $rig->bar->holds($load),
                'span_that_holds_cm' => round(100.0 * $rig->bar->spanThatHoldsM($load), 1),
                'source' => $rig->bar->source->inWords(),
            ],
            'pot' => null,
            'pit' => null,
            'frame' => null,
        ];
    }

    /** @return array<string, mixed> */
    private static function pot(PotRig $rig, Forecast $forecast): array
    {
        $dish = $forecast->dish;
        $size = $rig->size ?? JointSize::suggested($dish->cut, $dish->massKg);
        $hours = $forecast->cookMinutes->high / 60.0;
        $pit = $rig->pit();

        return [
            'kind' => $rig->isBuried() ? 'buried_pot' : 'pot',
            'size' => self::size($size),
            'spit' => null,
            'balance' => null,
            'bar' => null,
            'pot' => [
                'diameter_cm' => round(100.0 * $rig->pot->diameterM, 1),
                'depth_cm' => round(100.0 * $rig->pot->depthM, 1),
                'holds' => $rig->pot->holds($size),
                'room_over_cm' => round(100.0 * $rig->pot->roomOverM($size), 1),
                'room_beside_cm' => round(100.0 * $rig->pot->roomBesideM($size), 1),
                'raised_cm' => 100.0 * $rig->pot::RAISED_M,
                'liquid_cm' => round(100.0 * $rig->pot->liquidDepthM($hours, $rig->isBuried()), 1),
                'liquid_l' => round($rig->pot->liquidL($hours, $rig->isBuried()), 2),
                'loss_l' => round($rig->pot->lossL($hours), 2),
                'hours' => round($hours, 1),
            ],
            'pit' => $pit === null ? null : self::pit($pit),
            'frame' => null,
        ];
    }

    /** @return array<string, mixed> */
    private static function frame(FrameRig $rig, Forecast $forecast): array
    {
        $dish = $forecast->dish;
        $size = $rig->size ?? JointSize::suggested($dish->cut, $dish->massKg);
        $cm = fn (float $m): float => round(100.0 * $m, 1);

        return [
            'kind' => 'frame',
            'size' => self::size($size),
            'spit' => null,
            'balance' => null,
            'bar' => null,
            'pot' => null,
            'pit' => null,
            'frame' => [
                'length_cm' => $cm($rig->lengthM),
                'lean_deg' => $rig->leanDeg,
                'lowest_cm' => $cm($rig->lowestM),
                'stake_cm' => $cm($rig->stakeM),
                'holds' => $rig->holds($size->lengthM),
                'low_cm' => $cm($rig->heightM($rig->lowestM)),
                'high_cm' => $cm($rig->heightM($rig->lowestM + $size->lengthM)),
                'over_cm' => $cm($rig->overM($rig->lowestM + $size->lengthM)),
                'parts' => array_map(
                    fn (Part $part): array => ['name' => $part->name, 'height_cm' => $cm($rig->partHeightM($part, $size->lengthM))],
                    Part::of($dish->cut),
                ),
                'rope_cm' => $cm($rig->ropeM()),
                'chain_cm' => $cm($rig->chainM()),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function pit(Pit $pit): array
    {
        return [
            'ground' => $pit->ground,
            'width_cm' => round(100.0 * $pit->widthM()),
            'depth_cm' => round(100.0 * $pit->depthM()),
            'layers_cm' => array_map(fn (float $m): float => round(100.0 * $m, 1), $pit->layersM()),
            'soil_l' => round(1000.0 * $pit->soilM3()),
            'dig_minutes' => round(60.0 * $pit->digHours()),
            'coals_l' => array_map(fn (float $m3): float => round(1000.0 * $m3), $pit->coalsM3()),
            'coals_kg' => PlanResource::spread($pit->coalsKg(), 0),
            'wood_kg' => PlanResource::spread($pit->woodKg(), 0),
            'fire_hours' => round($pit->fireHours(), 1),
            'settle_minutes' => Pit::SETTLE_MINUTES,
        ];
    }

    /** @return array<string, mixed> */
    private static function size(JointSize $size): array
    {
        return [
            'length_cm' => round(100.0 * $size->lengthM, 1), 'width_cm' => round(100.0 * $size->widthM, 1),
            'depth_cm' => round(100.0 * $size->depthM, 1), 'measured' => $size->measured,
        ];
    }
}
