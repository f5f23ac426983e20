<?php

declare(strict_types=1);

namespace Diatherm\Rig;

use Diatherm\Measure\Fields;
use Diatherm\Measure\Message;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Table;
use Diatherm\Measure\Unit;

/** The rig of a dish in the roast format: read and written. */
final class RigFile
{
    private const KINDS = ['spit', 'pot', 'buried_pot', 'frame'];

    private const SECTIONS = ['round', 'tube', 'square'];

    /**
     * What is likely when the cook has not measured: a grill rotisserie's spit, a 12-inch camp oven, and a frame of a man's
     * height. Common practice.
     */
    private const USUAL = [
        'between_cm' => 55.0, 'bite_cm' => 6.0, 'room_cm' => 18.0, 'bar_mm' => 10.0, 'wall_mm' => 1.5,
        'span_cm' => 75.0, 'pot_cm' => 30.5, 'frame_cm' => 180.0, 'lean_deg' => 50.0, 'lowest_cm' => 55.0,
        'stake_cm' => 200.0,
    ];

    public static function read(Fields $fields): ?Rig
    {
        $kind = $fields->text('kind', 'kind_of_rig', 20);
        if (! in_array($kind, self::KINDS, true)) {
            if ($kind !== '') {
                $fields->refuse('kind', Message::of('rig_file.a_rig_is_one', kinds: self::KINDS));
            }

            return null;
        }

        return match ($kind) {
            'spit' => self::spit($fields),
            'frame' => self::frame($fields),
            default => self::pot($fields, $kind === 'buried_pot'),
        };
    }

    /** @return array<string, mixed> */
    public static function write(Rig $rig): array
    {
        $cm = fn (float $m): float => round(100.0 * $m, 4);
        $size = $rig->size();
        $file = $size === null
            ? []
            : ['length_cm' => $cm($size->lengthM), 'width_cm' => $cm($size->widthM), 'depth_cm' => $cm($size->depthM)];
        if ($rig instanceof SpitRig) {
            return array_filter([
                'kind' => 'spit', 'between_cm' => $cm($rig->betweenM), 'bite_cm' => $cm($rig->biteM), 'room_cm' => $cm($rig->roomM),
                'section' => $rig->bar->section, 'bar_mm' => round(1000.0 * $rig->bar->sizeM, 4), 'wall_mm' => $rig->bar->section === 'tube'
                    ? round(1000.0 * $rig->bar->wallM, 4)
                    : null,
                'span_cm' => $cm($rig->bar->spanM), 'steel' => $rig->bar->steel, 'motor_nm' => $rig->motorNm,
                'test_kg' => $rig->testKg, 'test_arm_cm' => $cm($rig->testArmM), 'heavy_deg' => $rig->heavyDeg,
            ] + $file, fn (mixed $value): bool => $value !== null);
        }
        if ($rig instanceof FrameRig) {
            return [
                'kind' => 'frame', 'frame_cm' => $cm($rig->lengthM), 'lean_deg' => $rig->leanDeg,
                'lowest_cm' => $cm($rig->lowestM), 'stake_cm' => $cm($rig->stakeM),
            ] + $file;
        }
        assert($rig instanceof PotRig);

        return [
            'kind' => $rig->isBuried() ? 'buried_pot' : 'pot',
            'pot_cm' => $cm($rig->pot->diameterM),
            'pot_depth_cm' => $cm($rig->pot->depthM),
        ] + ($rig->ground === null ? [] : ['ground' => $rig->ground]) + $file;
    }

    private static function spit(Fields $fields): ?SpitRig
    {
        $fields->only(
            'kind',
            'between_cm',
            'bite_cm',
            'room_cm',
            'section',
            'bar_mm',
            'wall_mm',
            'span_cm',
            'steel',
            'motor_nm',
            'test_kg',
            'test_arm_cm',
            'heavy_deg',
            'length_cm',
            'width_cm',
            'depth_cm',
        );
        $between = $fields->number('between_cm', 'length_between_the_forks', 8.0, 250.0, Unit::Centimetre, self::USUAL['between_cm']);
        $bite = $fields->number('bite_cm', 'bite_of_the_forks', 0.0, 40.0, Unit::Centimetre, self::USUAL['bite_cm']);
        $room = $fields->number('room_cm', 'room_round_the_spit', 4.0, 150.0, Unit::Centimetre, self::USUAL['room_cm']);
        $section = self::oneOf($fields, 'section', 'section_of_the_spit', self::SECTIONS, 'round');
        $bar = $fields->number('bar_mm', 'thickness_of_the_spit', 4.0, 120.0, Unit::Millimetre, self::USUAL['bar_mm']);
        $wall = $section === 'tube'
            ? $fields->number('wall_mm', 'wall_of_the_tube', 0.5, 20.0, Unit::Millimetre, self::USUAL['wall_mm'])
            : 0.0;
        if ($section === 'tube' && 2.0 * $wall >= $bar) {
            $fields->refuse('wall_mm', Message::of('rig_file.the_wall_is_thicker'));
        }
        $span = $fields->number('span_cm', 'span_between_the_rests', 15.0, 400.0, Unit::Centimetre, self::USUAL['span_cm']);
        $steel = self::oneOf($fields, 'steel', 'steel', self::steels(), '304');
        $motor = $fields->optionalNumber('motor_nm', 'rating_of_the_motor', 0.1, 300.0, Unit::NewtonMetre);
        $testKg = $fields->number('test_kg', 'weight_of_the_roll_test', 0.0, 20.0, Unit::Kilogram, 0.0);
        $testArm = $fields->number('test_arm_cm', 'arm_of_the_roll_test', 0.0, 100.0, Unit::Centimetre, 0.0);
        if ($testKg > 0.0 && $testArm <= 0.0) {
            $fields->refuse('test_arm_cm', Message::of('rig_file.say_how_far_from'));
        }
        $heavy = $fields->number('heavy_deg', 'heavy_side', 0.0, 360.0, Unit::Degree, 0.0);
        $size = self::size($fields);
        if (! $fields->isClean()) {
            return null;
        }

        return new SpitRig(
            $between / 100.0,
            $bite / 100.0,
            $room / 100.0,
            $size,
            SpitBar::of($section, $bar / 1000.0, $wall / 1000.0, $span / 100.0, $steel),
            $motor,
            $testKg,
            $testArm / 100.0,
            $heavy,
        );
    }

    private static function frame(Fields $fields): ?FrameRig
    {
        $fields->only('kind', 'frame_cm', 'lean_deg', 'lowest_cm', 'stake_cm', 'length_cm', 'width_cm', 'depth_cm');
        $length = $fields->number('frame_cm', 'length_of_the_frame', 30.0, 400.0, Unit::Centimetre, self::USUAL['frame_cm']);
        $lean = $fields->number('lean_deg', 'lean_of_the_frame', 0.0, 85.0, Unit::Degree, self::USUAL['lean_deg']);
        $lowest = $fields->number('lowest_cm', 'start_of_the_meat', 0.0, 300.0, Unit::Centimetre, self::USUAL['lowest_cm']);
        $stake = $fields->number('stake_cm', 'distance_of_the_stake', 30.0, 800.0, Unit::Centimetre, self::USUAL['stake_cm']);
        $size = self::size($fields);

        return $fields->isClean() ? FrameRig::of($length / 100.0, $lean, $lowest / 100.0, $stake / 100.0, $size) : null;
    }

    private static function pot(Fields $fields, bool $buried): ?PotRig
    {
        $fields->only('kind', 'pot_cm', 'pot_depth_cm', 'ground', 'length_cm', 'width_cm', 'depth_cm');
        $diameter = $fields->number('pot_cm', 'diameter_of_the_pot', 15.0, 60.0, Unit::Centimetre, self::USUAL['pot_cm']);
        $depth = $fields->number(
            'pot_depth_cm',
            'depth_of_the_pot',
            6.0,
            40.0,
            Unit::Centimetre,
            max(6.0, 100.0 * Pot::usual(max(0.16, $diameter / 100.0))->depthM),
        );
        $ground = $buried ? self::oneOf(
            $fields,
            'ground',
            'ground',
            array_map(strval(...), array_keys((array) Table::named('rigs')['ground'])),
            'dry',
        ) : null;
        $size = self::size($fields);

        return $fields->isClean() ? new PotRig(Pot::of($diameter / 100.0, $depth / 100.0), $size, $ground) : null;
    }

    private static function size(Fields $fields): ?JointSize
    {
        $sides = ['length_cm' => 'length_of_the_joint', 'width_cm' => 'width_of_the_joint', 'depth_cm' => 'depth_of_the_joint'];
        $given = array_filter(array_keys($sides), fn (string $key): bool => $fields->has($key));
        if ($given === []) {
            return null;
        }
        $cm = [];
        foreach ($sides as $key => $what) {
            $cm[] = $fields->number($key, $what, 1.0, 200.0, Unit::Centimetre);
        }

        return $fields->isClean() ? JointSize::measured($cm[0] / 100.0, $cm[1] / 100.0, $cm[2] / 100.0) : null;
    }

    /** @return list<string> */
    private static function steels(): array
    {
        return array_map(strval(...), array_keys((array) Table::named('rigs')['steels']));
    }

    /** @param  list<string>  $allowed */
    private static function oneOf(Fields $fields, string $key, string $what, array $allowed, string $default): string
    {
        $value = $fields->text($key, $what, 20, $default);
        if (! in_array($value, $allowed, true)) {
            $fields->refuse($key, Message::of('field.one_of', what: OutOfRange::called($what), allowed: $allowed));

            return $default;
        }

        return $value;
    }
}
