<?php

declare(strict_types=1);

namespace Diatherm\Food;

/**
 * A recipe as people paste it: a name, whom or what it is for, a line for each ingredient, then what is done. What cannot be read as an
 * amount stays in its line, to be corrected.
 */
final class RecipeText
{
    /** “Serves 4”, “for 6 people”, “for 2 kg”. */
    private const FOR = '/^(?:serves|makes|yields?|for|feeds)\s*:?\s*(\d+(?:[.,]\d+)?)\s*(kg|kilo\w*|lb|lbs|pounds?|g)?\b.*$/iu';

    private const KG = ['k' => 1.0, 'l' => 0.45359237, 'p' => 0.45359237, 'g' => 0.001];

    private const BULLET = '/^\s*(?:[-*•–]|\d+[.)])\s+/u';

    /** Longer than this, or ended like a sentence, a line says what to do. */
    private const LONGEST_INGREDIENT = 60;

    /**
     * @return array{name: string, basis: string, items: list<array{what: string, amount: float, unit: string}>, method: string} as
     *     `Mix::read` takes it
     */
    public static function read(string $text): array
    {
        $name = '';
        $basis = 'per_kg';
        $share = 1.0;
        $items = $method = [];
        foreach (preg_split('/\R/u', $text) ?: [] as $number => $line) {
            $isListed = preg_match(self::BULLET, $line) === 1;
            $line = trim((string) preg_replace(self::BULLET, '', $line));
            if ($line === '' || preg_match('/^(ingredients|method|directions|steps|you need)\s*:?$/iu', $line) === 1) {
                continue;
            }
            if (preg_match(self::FOR, $line, $found) === 1) {
                [$basis, $share] = self::measure((float) str_replace(',', '.', $found[1]), mb_strtolower($found[2] ?? ''));
            } elseif ($method === [] && self::isIngredient($line)) {
                $items[] = MixItem::fromLine($line);
            } elseif ($name === '' && $items === [] && ! $isListed) {
                $name = $line;
            } else {
                $method[] = $line;
            }
        }

        return [
            'name' => mb_substr($name, 0, 80),
            'basis' => $basis,
            'items' => array_map(fn (MixItem $item): array => $item->scaled($share)->toArray(), $items),
            'method' => mb_substr(implode(' ', $method), 0, 2000),
        ];
    }

    /** @return array{string, float} what the amounts are for, and the share of them that is for one */
    private static function measure(float $of, string $unit): array
    {
        $kg = $unit === '' ? 0.0 : $of * (self::KG[$unit[0]] ?? 1.0);

        return $kg > 0.0 ? ['per_kg', 1.0 / $kg] : ['per_guest', 1.0 / max(1.0, $of)];
    }

    /** It begins with an amount, or is short and named “to taste”. */
    private static function isIngredient(string $line): bool
    {
        return mb_strlen($line) <= self::LONGEST_INGREDIENT && ! str_ends_with($line, '.')
            && (preg_match('/^(\d|[½⅓⅔¼¾⅛]|an?\s)/u', $line) === 1 || preg_match('/\bto taste$/iu', $line) === 1);
    }
}
