<?php

declare(strict_types=1);

namespace Diatherm\Roast;

use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\OwnCooker;
use Diatherm\Fire\CampOvenCount;
use Diatherm\Fire\Fuel;
use Diatherm\Fire\Pile;
use Diatherm\Measure\Fields;

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
                $fields->refuse('cooker', 'This cooker has its fire already.');
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
        $fields->only('cooker', 'own', 'fuel', 'layout', 'piles', 'steady', 'moisture_percent');
        $kind = $fields->text('cooker', 'cooker', 60);
        if (! Equipment::has($kind)) {
            if ($kind !== '') {
                $fields->refuse('cooker', 'A fire belongs to one of: '.implode(', ', Equipment::kinds()).'.');
            }

            return null;
        }
        $equipment = Equipment::of($kind);
        $own = $fields->text('own', 'name of your cooker', OwnCooker::LONGEST_NAME, '');
        $fuels = array_column($equipment->fuels(), 'id');
        $fuel = $fields->text('fuel', 'fuel', 40, '');
        if ($fuel !== '' && ! in_array($fuel, $fuels, true)) {
            $fields->refuse('fuel', $fuels === [] ? 'This cooker takes no fuel.' : 'It burns one of: '.implode(', ', $fuels).'.');
        }
        $wood = array_filter($equipment->fuels(), fn (Fuel $one): bool => $one->isWood() && ($fuel === '' || $one->id === $fuel));
        $moisture = $fields->optionalNumber('moisture_percent', 'water in the wood', 0.0, 60.0, '%');
        if ($moisture !== null && $wood === []) {
            $fields->refuse('moisture_percent', 'Only wood has its water asked for.');
        }
        $layouts = $kind === 'camp-oven' ? array_keys(CampOvenCount::METHODS) : array_keys($equipment->layouts());
        $layout = $fields->text('layout', 'layout', 40, '');
        if ($layout !== '' && ! in_array($layout, $layouts, true)) {
            $fields->refuse('layout', $layouts === [] ? 'Its heat cannot be laid out.' : 'It can be laid as: '.implode(', ', $layouts).'.');
        }
        $piles = [];
        foreach ($fields->list('piles', 'piles', 0, self::MOST_PILES) as $pile) {
            $pile->only('x_cm', 'y_cm', 'kg');
            $piles[] = Pile::of(
                0.01 * $pile->number('x_cm', 'place of the coals along', -300.0, 300.0, 'cm'),
                0.01 * $pile->number('y_cm', 'place of the coals across', -300.0, 300.0, 'cm'),
                $pile->number('kg', 'coals in the pile', 0.0, 60.0, 'kg'),
            );
        }
        $kg = array_sum(array_column($piles, 'kg'));
        if ($piles !== [] && $kg <= 0.0) {
            $fields->refuse('piles', 'There must be coals in one of the piles.');
        } elseif ($kg > self::MOST_KG) {
            $fields->refuse('piles', sprintf('All piles together hold at most %.0f kg.', self::MOST_KG));
        }

        return new FireWish(
            $kind,
            $own === '' ? null : $own,
            $fuel === '' ? null : $fuel,
            $layout === '' ? null : $layout,
            $piles === [] ? null : $piles,
            $fields->truth('steady', 'wish for a steady fire', false),
            $moisture === null ? null : 0.01 * $moisture,
        );
    }
}
