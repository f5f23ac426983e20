<?php

declare(strict_types=1);

namespace Diatherm\Roast;

use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\OwnCooker;
use Diatherm\Fire\CampOvenCount;
use Diatherm\Fire\Fuel;
use Diatherm\Fire\Pile;
use Diatherm\Measure\Fields;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Unit;

/** Reads and writes the fires of a roast file. */
final class FireFile
{
    private const MOST_PILES = 16;

    private const MOST_KG = 60.0;

    /** @return array<string, FireWish> by kind of cooker */
    public static function readAll(Fields $roast): array
    {
        $wishes = [];
        foreach ($roast->list('fires', 'fires', 0, 12) as $fields) {
            $wish = self::read($fields);
            if ($wish === null) {
                continue;
            }
            if (isset($wishes[$wish->kind])) {
                $fields->refuse('cooker', Message::of('fire_file.this_cooker_has_its_fire'));
            }
            $wishes[$wish->kind] = $wish;
        }

        return $wishes;
    }

    /** @return array<string, mixed> */
    public static function write(FireWish $wish): array
    {
        return array_filter([
            'cooker' => $wish->kind,
            'own' => $wish->own,
            'fuel' => $wish->fuel,
            'moisture_percent' => $wish->moisture === null ? null : round(100.0 * $wish->moisture, 1),
            'layout' => $wish->layout,
            'steady' => $wish->steady ? true : null,
            'smoke' => $wish->smoke ? true : null,
            'piles' => $wish->piles === null
                ? null
                : array_map(
                    fn (Pile $pile): array => [
                        'x_cm' => round(100.0 * $pile->xM, 3),
                        'y_cm' => round(100.0 * $pile->yM, 3),
                        'kg' => $pile->kg,
                    ],
                    $wish->piles,
                ),
        ], fn (mixed $value): bool => $value !== null);
    }

    private static function read(Fields $fields): ?FireWish
    {
        $fields->only('cooker', 'own', 'fuel', 'layout', 'piles', 'steady', 'smoke', 'moisture_percent');
        $kind = $fields->text('cooker', 'cooker', 60);
        if (! Equipment::has($kind)) {
            if ($kind !== '') {
                $fields->refuse('cooker', Message::of('fire_file.a_fire_belongs_to_one', kinds: Equipment::kinds()));
            }

            return null;
        }
        $equipment = Equipment::of($kind);
        $own = $fields->text('own', 'name_of_your_cooker', OwnCooker::LONGEST_NAME, '');
        $fuels = array_column($equipment->fuels(), 'id');
        $fuel = $fields->text('fuel', 'fuel', 40, '');
        if ($fuel !== '' && ! in_array($fuel, $fuels, true)) {
            $fields->refuse(
                'fuel',
                $fuels === [] ? Message::of('fire_file.this_cooker_takes_no_fuel') : Message::of('fire_file.it_burns_one', fuels: $fuels),
            );
        }
        $wood = array_filter($equipment->fuels(), fn (Fuel $one): bool => $one->isWood() && ($fuel === '' || $one->id === $fuel));
        $moisture = $fields->optionalNumber('moisture_percent', 'water_in_the_wood', 0.0, 60.0, Unit::Percent);
        if ($moisture !== null && $wood === []) {
            $fields->refuse('moisture_percent', Message::of('fire_file.only_wood_has_its_water'));
        }
        $layouts = $kind === 'camp-oven' ? array_keys(CampOvenCount::METHODS) : array_keys($equipment->layouts());
        $layout = $fields->text('layout', 'layout', 40, '');
        if ($layout !== '' && ! in_array($layout, $layouts, true)) {
            $fields->refuse(
                'layout',
                $layouts === []
                    ? Message::of('fire_file.its_heat_cannot_be_laid')
                    : Message::of('fire_file.it_can_be_laid', layouts: $layouts),
            );
        }
        $piles = [];
        foreach ($fields->list('piles', 'piles', 0, self::MOST_PILES) as $pile) {
            $pile->only('x_cm', 'y_cm', 'kg');
            $piles[] = Pile::of(
                0.01 * $pile->number('x_cm', 'place_of_the_coals_along', -300.0, 300.0, Unit::Centimetre),
                0.01 * $pile->number('y_cm', 'place_of_the_coals_across', -300.0, 300.0, Unit::Centimetre),
                $pile->number('kg', 'coals_in_the_pile', 0.0, 60.0, Unit::Kilogram),
            );
        }
        $kg = array_sum(array_column($piles, 'kg'));
        if ($piles !== [] && $kg <= 0.0) {
            $fields->refuse('piles', Message::of('fire_file.there_must_be_coals'));
        } elseif ($kg > self::MOST_KG) {
            $fields->refuse('piles', Message::of('fire_file.all_piles_together_hold', most: Quantity::kg(self::MOST_KG)));
        }

        $smoke = $fields->truth('smoke', 'wish_for_smoke', false);
        if ($smoke && ! $equipment->takesSmokeWood()) {
            $fields->refuse('smoke', Message::of('fire_file.no_smoke_wood'));
        }

        return new FireWish(
            $kind,
            $own === '' ? null : $own,
            $fuel === '' ? null : $fuel,
            $layout === '' ? null : $layout,
            $piles === [] ? null : $piles,
            $fields->truth('steady', 'wish_for_a_steady_fire', false),
            $moisture === null ? null : 0.01 * $moisture,
            $smoke,
        );
    }
}
