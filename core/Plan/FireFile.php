<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\OwnCooker;
use Diatherm\Fire\CampOvenCount;
use Diatherm\Fire\Pile;
use Diatherm\Measure\Fields;

/** Reads and writes the fires of a roast file. */
final class FireFile
{
    private const MOST_PILES = 16;

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
            'layout' => $wish->layout,
            'steady' => $wish->steady ? true : null,
            'piles' => $wish->piles === null ? null : array_map(fn (Pile $pile): array => ['x_cm' => round(100.0 * $pile->xM, 3), 'y_cm' => round(100.0 * $pile->yM, 3), 'kg' => $pile->kg], $wish->piles),
        ], fn (mixed $value): bool => $value !== null);
    }

    private static function read(Fields $fields): ?FireWish
    {
        $fields->only('cooker', 'own', 'fuel', 'layout', 'piles', 'steady');
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
        if ($piles !== [] && array_sum(array_column($piles, 'kg')) <= 0.0) {
            $fields->refuse('piles', 'There must be coals in one of the piles.');
        }

        return new FireWish($kind, $own === '' ? null : $own, $fuel === '' ? null : $fuel, $layout === '' ? null : $layout, $piles === [] ? null : $piles, $fields->truth('steady', 'wish for a steady fire', false));
    }
}
