<?php

declare(strict_types=1);

namespace Diatherm\Obstacles;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Unit;
use Diatherm\Rig\Fit;
use Diatherm\Rig\FrameRig;
use Diatherm\Rig\JointSize;
use Diatherm\Rig\Pot;
use Diatherm\Rig\PotRig;
use Diatherm\Rig\SpitFit;
use Diatherm\Rig\SpitRig;
use Diatherm\Roast\Dish;
use Diatherm\Ways\FromNow;
use Diatherm\Ways\Standing;

/** A joint that does not go on its spit, into its pot or onto its frame, or that the bar or the motor does not bear. */
final class NoFit implements Check
{
    /** Nobody cuts a joint into more pieces than this to get it on. */
    private const MOST_PIECES = 6;

    private const TO_A_CM = 100.0;

    /** No spit that a roast's file takes is longer, m. */
    private const LONGEST_SPIT_M = 2.5;

    public static function of(Standing $standing): array
    {
        $obstacles = [];
        foreach ($standing->roast()->dishes as $number => $dish) {
            $rig = $dish->rig;
            $found = match (true) {
                $rig instanceof SpitRig => self::spit($standing, $number, $dish, $rig),
                $rig instanceof PotRig => [self::pot($standing, $number, $dish, $rig)],
                $rig instanceof FrameRig => [self::frame($standing, $number, $dish, $rig)],
                default => [],
            };
            array_push($obstacles, ...array_values(array_filter($found)));
        }

        return $obstacles;
    }

    /** @return list<Obstacle|null> */
    private static function spit(Standing $standing, int $number, Dish $dish, SpitRig $rig): array
    {
        $load = $dish->massKg * $dish->pieces;
        $fit = $rig->fit($dish->cut, $dish->massKg, $dish->pieces);
        $balance = $rig->balance($load);
        $room = $fit->fit->fits() ? null : new Obstacle(
            'no_fit',
            Message::of(
                'obstacle.not_on_the_spit',
                dish: $dish->name,
                fit: $fit->fit->value,
                largest: Quantity::kg(floor(10.0 * $fit->largestMassKg) / 10.0),
            ),
            $number,
            [
                ...self::inPieces($standing, $number, $dish, $rig),
                ...($fit->fit === Fit::TooLong ? self::longerSpit($standing, $number, $dish, $rig, $fit) : []),
                ...Move::toUsual($standing, [$number]),
            ],
        );
        $motor = ! $balance->stalls() ? null : new Obstacle('stalls', Message::of('obstacle.motor_stalls', dish: $dish->name), $number, [
            self::rigged($standing, $number, $dish, Message::of('obstacle.balance_it', counter: Quantity::kg(
                $balance->counterweightKg($rig->roomM / 2.0), 2,
            ), arm: Quantity::cm(50.0 * $rig->roomM)), $rig->balanced()),
        ]);
        $bar = $rig->bar->holds($load) ? null : new Obstacle(
            'bar_bends',
            Message::of('obstacle.bar_bends', dish: $dish->name),
            $number,
            self::stiffer($standing, $number, $dish, $rig, $load),
        );

        return [$room, $motor, $bar];
    }

    /** @return list<WayOut> as much meat in the fewest pieces that go on together; none where the joint itself was measured */
    private static function inPieces(Standing $standing, int $number, Dish $dish, SpitRig $rig): array
    {
        $kg = $dish->massKg * $dish->pieces;
        for ($pieces = $dish->pieces + 1; $rig->size === null && $pieces <= self::MOST_PIECES; $pieces++) {
            if ($kg / $pieces < $dish->cut->leastMassKg) {
                break;
            }
            if ($rig->fit($dish->cut, $kg / $pieces, $pieces)->fit->fits()) {
                $each = floor(10.0 * $kg / $pieces) / 10.0;

                return [new WayOut(
                    Message::of('obstacle.in_pieces', pieces: $pieces, each: Quantity::kg($each, 1)),
                    FromNow::with(
                        $standing->roast(), $number, $dish->changed(pieces: $pieces, massKg: max($dish->cut->leastMassKg, $each)),
                    ),
                )];
            }
        }

        return [];
    }

    /** @return list<WayOut> */
    private static function longerSpit(Standing $standing, int $number, Dish $dish, SpitRig $rig, SpitFit $fit): array
    {
        $between = ceil(self::TO_A_CM * (SpitFit::FOLDED * $fit->size->lengthM * $dish->pieces - $rig->biteM)) / self::TO_A_CM;
        $longer = $rig->takingLength($between);
        $bar = $longer->bar->thickEnough($dish->massKg * $dish->pieces);

        return $between > self::LONGEST_SPIT_M || $bar === null ? [] : [self::rigged($standing, $number, $dish, Message::of(
            'obstacle.longer_spit',
            between: Quantity::cm(self::TO_A_CM * $between),
            thick: Quantity::of(1000.0 * $bar->sizeM, Unit::Millimetre),
        ), $longer->onBar($bar))];
    }

    /** @return list<WayOut> a bar that bends less: rests that still leave room for the joint, else a thicker one */
    private static function stiffer(Standing $standing, int $number, Dish $dish, SpitRig $rig, float $load): array
    {
        $span = floor(self::TO_A_CM * $rig->bar->spanThatHoldsM($load)) / self::TO_A_CM;
        $bar = $span >= $rig->betweenM + 2.0 * $rig->biteM ? $rig->bar->spanning($span) : $rig->bar->thickEnough($load);
        $words = $bar !== null && $bar->spanM < $rig->bar->spanM
            ? Message::of('obstacle.rests_closer', span: Quantity::cm(self::TO_A_CM * $span))
            : Message::of('obstacle.thicker_bar', thick: Quantity::of(1000.0 * ($bar->sizeM ?? 0.0), Unit::Millimetre));

        return $bar === null ? [] : [self::rigged($standing, $number, $dish, $words, $rig->onBar($bar))];
    }

    private static function pot(Standing $standing, int $number, Dish $dish, PotRig $rig): ?Obstacle
    {
        $size = $rig->size ?? JointSize::suggested($dish->cut, $dish->massKg);
        if ($rig->pot->holds($size)) {
            return null;
        }
        $needs = Pot::that($size);
        $waysOut = $needs === null ? [] : [self::rigged($standing, $number, $dish, Message::of(
            'obstacle.larger_pot',
            diameter: Quantity::cm(self::TO_A_CM * $needs->diameterM),
            depth: Quantity::cm(self::TO_A_CM * $needs->depthM),
        ), new PotRig($needs, $rig->size, $rig->ground))];

        return new Obstacle('no_fit', Message::of('obstacle.lid_does_not_close', dish: $dish->name), $number, [
            ...$waysOut, ...Move::toUsual($standing, [$number]),
        ]);
    }

    private static function frame(Standing $standing, int $number, Dish $dish, FrameRig $rig): ?Obstacle
    {
        $size = $rig->size ?? JointSize::suggested($dish->cut, $dish->massKg);
        $wantsM = ceil(self::TO_A_CM * ($rig->lowestM + $size->lengthM)) / self::TO_A_CM;

        if ($rig->holds($size->lengthM)) {
            return null;
        }
        $longer = Message::of('obstacle.longer_frame', length: Quantity::cm(self::TO_A_CM * $wantsM));

        return new Obstacle('no_fit', Message::of('obstacle.not_on_the_frame', dish: $dish->name), $number, [
            self::rigged($standing, $number, $dish, $longer, $rig->asLongAs($wantsM)),
        ]);
    }

    private static function rigged(Standing $standing, int $number, Dish $dish, Message $words, SpitRig|PotRig|FrameRig $rig): WayOut
    {
        return new WayOut($words, FromNow::with($standing->roast(), $number, $dish->changed(rig: $rig)));
    }
}
