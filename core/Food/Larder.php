<?php

declare(strict_types=1);

namespace Diatherm\Food;

use Diatherm\Measure\Mark;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Source;
use Diatherm\Measure\Table;

/** All cuts, tastes and forms of data/cuts.json, data/doneness.json and data/forms.json, by id. */
final class Larder
{
    /** @return array<string, Cut> */
    public static function cuts(): array
    {
        return Table::made('cuts', self::readCuts(...));
    }

    /** @throws OutOfRange for an id that is not in the table */
    public static function cut(string $id): Cut
    {
        return self::cuts()[$id] ?? throw OutOfRange::unknown('cut', $id);
    }

    /** @return array<string, Form> */
    public static function forms(): array
    {
        return Table::made('forms', self::readForms(...));
    }

    /** @throws OutOfRange for an id that is not in the table */
    public static function form(string $id): Form
    {
        return self::forms()[$id] ?? throw OutOfRange::unknown('form', $id);
    }

    /** @return array<string, Cut> */
    private static function readCuts(): array
    {
        /** @var array<string, list<array{id: string, name: string, core_c: int|float, mark: string, citation?: string}>> $sets */
        $sets = Table::named('doneness')['sets'];
        $cuts = [];
        /** @var list<array{id: string, name: string, called?: string, crackling?: bool, kind: string, doneness: string, taste: string,
         *   safety: string, composition: array<string, float>, mass: array{typical_kg: float, least_kg: float, most_kg: float},
         *   shape: array{half_cm: float, width: float, length: float, thickness_cm: float, growth: float, measure: string},
         *   per_person_g: array{int, int}, rest_min: int, bone: bool, rolled?: bool, fat_layer_mm?: float, wet_share?: float,
         *   facing?: float, probe: string, carve: string,
         *   source: array{mark: string, citation: string}}> $rows
         */
        $rows = Table::named('cuts')['cuts'];
        /** @var array{poultry: float, roots: float, other: float} $wet */
        $wet = Table::named('cuts')['wet_share'];
        foreach ($rows as $row) {
            $shape = $row['shape'];
            $mass = $row['mass'];
            $tastes = array_map(
                fn (array $level): Doneness => new Doneness(
                    $level['id'],
                    $level['name'],
                    (float) $level['core_c'],
                    Source::of(Mark::from($level['mark']), $level['citation'] ?? ''),
                ),
                $sets[$row['doneness']],
            );
            assert($tastes !== []);
            $cuts[$row['id']] = new Cut(
                $row['id'],
                $row['name'],
                $row['kind'],
                $row['safety'],
                Composition::of(...$row['composition']),
                new ShapeRule(
                    $mass['typical_kg'],
                    $shape['half_cm'] / 100,
                    $shape['width'],
                    $shape['length'],
                    $shape['thickness_cm'] / 100,
                    $shape['growth'],
                ),
                $mass['typical_kg'],
                $mass['least_kg'],
                $mass['most_kg'],
                $tastes,
                $row['taste'],
                [(float) $row['per_person_g'][0], (float) $row['per_person_g'][1]],
                (float) $row['rest_min'],
                $row['bone'],
                $row['rolled'] ?? false,
                $row['probe'],
                $row['carve'],
                $shape['measure'],
                Source::of(Mark::from($row['source']['mark']), $row['source']['citation']),
                ($row['fat_layer_mm'] ?? 0.0) / 1000.0,
                $row['facing'] ?? 1.0,
                $row['wet_share'] ?? $wet[$row['kind']] ?? $wet['other'],
                $row['doneness'] === 'braise',
                $row['called'] ?? '',
                $row['crackling'] ?? false,
            );
        }

        return $cuts;
    }

    /** @return array<string, Form> */
    private static function readForms(): array
    {
        $forms = [];
        /** @var list<array{id: string, name: string, half_factor: float, kinds: list<string>, round?: bool, filled?: bool,
         *   work?: list<string>}> $rows */
        $rows = Table::named('forms')['forms'];
        foreach ($rows as $row) {
            $forms[$row['id']] = new Form(
                $row['id'], $row['name'], $row['half_factor'], $row['kinds'], $row['round'] ?? false, $row['filled'] ?? false,
                $row['work'] ?? [],
            );
        }

        return $forms;
    }
}
