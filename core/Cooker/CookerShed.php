<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Cooker\Vessel\VesselKind;
use Diatherm\Heat\Surroundings;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Table;

/**
 * All kinds of cooker of data/cookers.json, by id.
 *
 * @phpstan-type VesselRow array{
 *     storage_j_k: float, wall_m2: float, floor_m2: float, leak_kg_s_pa: float, loss_w_k: float, most_w?: float, liquid_kg?: float,
 * }
 * @phpstan-type Row array{
 *     id: string, name: string, short: string, default_c: int, least_c: int, most_c: int,
 *     convection_w_m2k: float, emissivity: float, dew_point_c: int, flux_w_m2?: int, axis_cm?: float, fan?: bool, exposure?: float,
 *     air_share?: float, contact_w_m2k?: int, preheat_min: int, light: string, light_min: int, recovery_min: int, lid: bool, body?: string, over_fire?: bool,
 *     vessel?: VesselRow, doubt?: float,
 * }
 */
final class CookerShed
{
    /** Still air round a joint on a board, W/(m²·K). Source: Incropera & DeWitt, chapter 9, free convection. */
    private const REST_CONVECTION = 6.0;

    /** No air under a cover is moister. */
    private const MOISTEST_C = 60.0;

    /** Share of the vapour that finds its way past a loose cover. Common practice. */
    private const PAST_A_COVER = 0.4;

    /** @return array<string, Cooker> */
    public static function kinds(): array
    {
        return Table::made('cookers', self::read(...));
    }

    /** @throws OutOfRange for an id that is not in the table */
    public static function kind(string $id): Cooker
    {
        return self::kinds()[$id] ?? throw OutOfRange::unknown('cooker', $id);
    }

    /** A joint on a board in still air. */
    public static function board(float $roomC): Surroundings
    {
        return Surroundings::of($roomC, $roomC, self::REST_CONVECTION, 0.85, min(10.0, $roomC));
    }

    /** A joint off the heat, on a board, loosely covered: the air under its cover is full of its vapour. */
    public static function covered(float $roomC): Surroundings
    {
        return Surroundings::of($roomC, $roomC, self::REST_CONVECTION, 0.85, min(self::MOISTEST_C, $roomC), wettable: self::PAST_A_COVER);
    }

    /** @return array<string, Cooker> */
    private static function read(): array
    {
        $kinds = [];
        /** @var list<Row> $rows */
        $rows = Table::named('cookers')['cookers'];
        foreach ($rows as $row) {
            $kinds[$row['id']] = new Cooker(
                $row['id'], $row['name'], $row['short'],
                $row['default_c'], $row['least_c'], $row['most_c'],
                new Inside(
                    $row['default_c'],
                    $row['convection_w_m2k'],
                    $row['emissivity'],
                    $row['dew_point_c'],
                    $row['flux_w_m2'] ?? 0,
                    $row['exposure'] ?? 1,
                    $row['air_share'] ?? 1,
                    $row['contact_w_m2k'] ?? 0,
                    axisM: isset($row['axis_cm']) ? $row['axis_cm'] / 100.0 : null,
                    isDriven: isset($row['vessel']) || ($row['fan'] ?? false),
                ),
                $row['preheat_min'], $row['light'], $row['light_min'], $row['recovery_min'], $row['lid'],
                isset($row['vessel']) ? self::vessel($row['vessel']) : null,
                $row['doubt'] ?? 0.0,
                $row['body'] ?? $row['id'],
                $row['over_fire'] ?? false,
            );
        }

        return $kinds;
    }

    /** @param  VesselRow  $row */
    private static function vessel(array $row): VesselKind
    {
        return new VesselKind(
            $row['storage_j_k'],
            $row['wall_m2'],
            $row['floor_m2'],
            $row['leak_kg_s_pa'],
            $row['loss_w_k'],
            $row['most_w'] ?? null,
            $row['liquid_kg'] ?? 0.0,
        );
    }
}
