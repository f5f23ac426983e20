<?php

declare(strict_types=1);

namespace Diatherm\Food;

use Diatherm\Measure\Table;

/** Where an ingredient is bought, by the words of its name. Rows: data/ingredients.json. */
final class Aisle
{
    private const ELSE = 'grocer';

    /** @return string|null null for what is not bought: a tap or the roast gives it */
    public static function of(string $what): ?string
    {
        /** @var list<array{aisle: string|null, words: list<string>}> $rows */
        $rows = Table::named('ingredients')['aisles'];
        foreach ($rows as $row) {
            if (preg_match('/\b('.implode('|', $row['words']).')/iu', $what) === 1) {
                return $row['aisle'];
            }
        }

        return self::ELSE;
    }
}
