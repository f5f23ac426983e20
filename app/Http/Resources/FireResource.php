<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Diatherm\Cooker\CampOven;
use Diatherm\Cooker\Control;
use Diatherm\Fire\CampOvenCount;
use Diatherm\Fire\Fuel;
use Diatherm\Fire\HandTest;
use Diatherm\Fire\Pile;
use Diatherm\Measure\Message;
use Diatherm\Plan\PlannedFire;
use Diatherm\Tending\BankedPart;
use Diatherm\Tending\Banking;
use Diatherm\Tending\FirePlan;
use Diatherm\Tending\FireStep;
use Diatherm\Tending\FloorView;
use Diatherm\Tending\Refuel;

/** A fire plan as JSON. Minutes count from starts_at. */
final class FireResource
{
    /** @return array<string, mixed> */
    public static function of(PlannedFire $planned): array
    {
        $fire = $planned->plan;
        $equipment = $fire->stove->equipment;
        $fuel = $fire->stove->fuel;

        return [
            'cooker' => $equipment->kind->id,
            'kind_short' => $equipment->kind->short,
            'name' => $fire->stove->name,
            'own' => $fire->stove->own,
            'note' => $equipment->note(),
            'open' => $equipment->isOpen(),
            'steady' => $fire->stove->wish->steady,
            'moved' => $fire->stove->wish->piles !== null,
            'buried' => $fire->use->buried,
            'dish' => $fire->use->dish,
            'starts_at' => PlanResource::time($fire->use->startsAt),
            'until_minutes' => round($fire->use->untilMinutes, 1),
            'light_minutes' => $fire->lightMinutes(),
            'fuel' => $fuel?->id,
            'fuels' => $fuel === null
                ? []
                : array_map(
                    fn (Fuel $one): array => [
                        'id' => $one->id,
                        'name' => $one->name,
                        'moisture_percent' => $one->isWood() ? round(100.0 * $one->moisture) : null,
                    ],
                    $equipment->fuels(),
                ),
            'layout' => $fire->stove->layout,
            'layouts' => self::layouts($fire),
            'controls' => CookerResource::controls($fire->stove->curve->mechanism->controls()),
            'steps' => array_map(fn (FireStep $step): array => self::step($fire, $step), $fire->steps),
            'lender' => $fire->lent->from,
            'start' => $fuel === null || $fire->lent->from !== null
                ? null
                : [
                    'kg' => round($fire->run->startKg, 3),
                    'words' => $fire->measure($fire->run->startKg),
                    'pieces' => $fuel->pieces($fire->run->startKg),
                    'bought_kg' => round($fire->litKg(), 2),
                    'chimneys' => $fuel->isWood() ? null : round(Fuel::chimneys($fire->run->startKg), 2),
                ],
            'refuels' => $fuel === null
                ? []
                : array_map(
                    fn (Refuel $refuel): array => [
                        'minutes' => round($refuel->minutes, 1), 'light_minutes' => round($refuel->lightMinutes, 1),
                        'kg' => round($refuel->kg, 3), 'pieces' => $fire->pieces($refuel->kg), 'words' => $fire->measure($refuel->kg),
                    ],
                    $fire->refuels(),
                ),
            'used_kg' => round($fire->isFed() ? $fire->feedKg() : $fire->usedKg(), 2),
            'buy_kg' => round($fire->buyKg(), 2),
            'buy_name' => $fire->feed()->boughtAs ?? $fuel?->boughtAs,
            'left_kg' => round($fire->run->leftKg, 2),
            'smokes' => $fire->stove->equipment->takesSmokeWood(),
            'smoke_g' => round(1000.0 * $fire->smokeKg(), -1),
            'smoke_words' => $fire->smokeWords(),
            'kwh' => $fuel === null && ! $fire->isFed() && ! $fire->use->buried ? round($fire->run->energyJ / 3.6e6, 1) : null,
            'swing_k' => $fire->swingK(),
            'course' => array_map(
                fn (array $point): array => ['minutes' => round($point[0], 1)] + PlanResource::spread($point[1]),
                $fire->course,
            ),
            'fuel_left' => $fuel === null
                ? []
                : array_map(fn (array $point): array => ['minutes' => round($point[0], 1), 'kg' => round($point[1], 3)], $fire->run->left),
            'floor' => $planned->floor === null ? null : self::floor($planned->floor, $fire),
            'count' => self::count($fire),
            'hand_s' => $fire->handSeconds() === null ? null : round($fire->handSeconds(), 1),
            'hand_ticks' => $fire->stove->equipment->isOpen() ? array_map(
                fn (int $seconds): array => ['seconds' => $seconds, 'celsius' => round(HandTest::wallC($seconds), 1)],
                [2, 3, 4, 6, 9, 16, 40],
            ) : [],
            'banking' => $planned->banking === null ? null : self::banking($planned->banking),
            'cautions' => PlanResource::warnings($planned->cautions),
            'workings' => PlanResource::workings($planned->workings),
        ];
    }

    private static function seconds(float $celsius): float
    {
        return round(HandTest::secondsOfWall($celsius), 1);
    }

    /** @return array<string, mixed> */
    private static function step(FirePlan $fire, FireStep $step): array
    {
        return [
            'from_minutes' => round($step->fromMinutes, 1),
            'target_c' => $step->targetC,
            'settings' => array_map(
                fn (Control $control): array => ['id' => $control->id, 'value' => round($step->settings->get($control->id), 3)],
                $fire->stove->curve->mechanism->controls(),
            ),
            'words' => $fire->use->buried
                ? Message::of('fire.coals_under_beside_and_above')
                : $fire->stove->curve->mechanism->inWords($step->settings),
            'steady_c' => PlanResource::spread($step->steadyC),
            'wide_until_c' => $step !== $fire->steps[0] || $fire->closeInC() === null ? null : PlanResource::celsius($fire->closeInC()),
            'hand_s' => $fire->stove->equipment->isOpen() ? [
                'target' => self::seconds($step->targetC),
                'least' => self::seconds($step->steadyC->high),
                'most' => self::seconds($step->steadyC->low),
            ] : null,
            'reached' => $step->reached,
            'extrapolated' => $step->extrapolated,
        ];
    }

    /** @return list<array{id: string, name: Message}> */
    private static function layouts(FirePlan $fire): array
    {
        $names = $fire->stove->curve->mechanism instanceof CampOven
            ? array_map(
                fn (string $method): Message => Message::of("camp_oven_method.$method"),
                array_combine(array_keys(CampOvenCount::METHODS), array_keys(CampOvenCount::METHODS)),
            )
            : array_map(fn (string $name): Message => Message::of('words.text', text: $name), $fire->stove->equipment->layouts());
        if ($fire->use->buried || count($names) < 2) {
            return [];
        }

        return array_map(fn (string $id, Message $name): array => ['id' => $id, 'name' => $name], array_keys($names), $names);
    }

    /** @return array<string, mixed> the fire from above; the field row by row from the far side, kW/m² */
    private static function floor(FloorView $floor, FirePlan $fire): array
    {
        $cm = fn (float $m): float => round(100.0 * $m, 1);
        $kw = fn (float $watts): float => round($watts / 1000.0, 2);

        return [
            'length_cm' => $cm($floor->size['length']),
            'width_cm' => $cm($floor->size['width']),
            'height_cm' => $cm($floor->size['height']),
            'round' => $floor->size['round'],
            'piles' => array_map(fn (Pile $pile): array => [
                'x_cm' => round(
                    100.0 * $pile->xM,
                    2,
                ), 'y_cm' => round(
                    100.0 * $pile->yM,
                    2,
                ), 'kg' => round($pile->kg, 4), 'pieces' => $fire->pieces($pile->kg), 'words' => $fire->stove->fuel?->inWords($pile->kg),
            ], $fire->piles),
            'bars' => array_map(fn (array $bar): array => ['x_cm' => $cm($bar[0]), 'share' => round($bar[1], 3)], $floor->bars),
            'columns' => count($floor->fieldWm2[0]),
            'rows' => count($floor->fieldWm2),
            'field_kw_m2' => array_map(fn (array $row): array => array_map($kw, $row), $floor->fieldWm2),
            'meat' => [
                'x_cm' => $cm($floor->meat['x']), 'y_cm' => $cm($floor->meat['y']),
                'length_cm' => $cm($floor->meat['length']), 'width_cm' => $cm($floor->meat['width']),
            ],
            'meat_kw_m2' => $kw($floor->meatWm2),
            'near_kw_m2' => $kw($floor->nearWm2),
            'far_kw_m2' => $kw($floor->farWm2),
            'meat_hand_s' => round(HandTest::seconds($floor->meatWm2 + HandTest::fluxOfWallWm2($fire->stove->weather->airC)), 1),
            'turn_share' => round($floor->turnShare, 3),
        ];
    }

    /** @return array<string, mixed>|null */
    private static function count(FirePlan $fire): ?array
    {
        $count = $fire->count();
        $mechanism = $fire->stove->curve->mechanism;

        return $count === null || ! $mechanism instanceof CampOven ? null : $count + [
            'diameter_cm' => round(100.0 * $mechanism->diameterM, 1),
            'plain' => (int) round(2.0 * $mechanism->diameterM / CampOvenCount::INCH_M),
            'other' => CampOvenCount::otherSchool($mechanism->diameterM),
            'refresh_minutes' => round(CampOvenCount::refreshMinutes($fire->stove->weather->windMs, $fire->stove->fuel)),
        ];
    }

    /** @return array<string, mixed> */
    private static function banking(Banking $banking): array
    {
        return [
            'kg' => round($banking->kg, 2),
            'together_minutes' => round($banking->togetherMinutes),
            'apart_minutes' => round($banking->apartMinutes()),
            'joint_cm' => round(100.0 * $banking->jointM, 1),
            'piles' => array_map(
                fn (Pile $pile): array => [
                    'x_cm' => round(100.0 * $pile->xM, 2),
                    'y_cm' => round(100.0 * $pile->yM, 2),
                    'kg' => round($pile->kg, 3),
                ],
                $banking->piles,
            ),
            'parts' => array_map(fn (BankedPart $part): array => [
                'id' => $part->id, 'name' => $part->name, 'from' => $part->from, 'to' => $part->to, 'kw_m2' => round(
                    $part->fluxWm2 / 1000.0,
                    2,
                ),
                'minutes' => round($part->minutes), 'even_minutes' => round($part->evenMinutes),
                'banked_minutes' => round($part->bankedMinutes),
            ], $banking->parts),
        ];
    }
}
