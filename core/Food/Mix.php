<?php

declare(strict_types=1);

namespace Diatherm\Food;

use Diatherm\Measure\Fields;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Table;
use Diatherm\Measure\Unit;

/** A marinade, rub, baste, brine, glaze or gravy as a scalable list. Our own: data/mixes.json. */
final readonly class Mix
{
    public const FORMAT = 'diatherm.mix';

    public const KINDS = [
        'marinade', 'rub', 'paste', 'baste', 'brine', 'glaze', 'gravy', 'sauce', 'dip', 'butter', 'stuffing', 'coat', 'side', 'other',
    ];

    /** What one measure of the list is for. */
    public const BASES = ['per_kg', 'per_l', 'per_guest', 'parts'];

    private const MOST_ITEMS = 40;

    private const LONGEST_MINUTES = 240.0;

    /** What is brushed on or sprayed over a kilogram, and what a rub of so many parts comes to. Common practice. */
    private const LITRES_PER_KG = 0.1;

    private const LITRES_OF_PARTS_PER_KG = 0.03;

    /**
     * @param  non-empty-list<MixItem>  $items
     * @param  float|null  $minutes  of hands that it takes to make; null for what is no work of its own
     * @param  float  $aloneMinutes  and then by itself: reduced, simmered, cooled
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $kind,
        public string $basis,
        public array $items,
        public string $method,
        public ?float $minutes,
        public float $aloneMinutes,
    ) {
    }

    /** @return array<string, self> by id */
    public static function ours(): array
    {
        return Table::made('mixes', self::readOurs(...));
    }

    /** @return array<string, self> */
    private static function readOurs(): array
    {
        /** @var list<array{id: string}> $rows */
        $rows = Table::named('mixes')['mixes'];
        $mixes = [];
        foreach ($rows as $row) {
            $mixes[$row['id']] = self::read($row, $row['id']);
        }

        return $mixes;
    }

    /**
     * @param  mixed  $data  name, kind, basis, items[{what, amount, unit}], method
     *
     * @throws InvalidInput with a message at each field
     */
    public static function read(mixed $data, string $id = ''): self
    {
        $fields = Fields::of($data);
        $fields->only('format', 'version', 'id', 'name', 'kind', 'basis', 'items', 'method', 'minutes', 'alone_minutes');
        if ($fields->text('format', 'format', 40, self::FORMAT) !== self::FORMAT) {
            $fields->refuse('format', Message::of('file.format', format: self::FORMAT));
        }
        $fields->wholeNumber('version', 'version', 1, 1, 1);
        $name = $fields->text('name', 'name', 80);
        $kind = $fields->text('kind', 'kind', 20, 'other');
        if (! in_array($kind, self::KINDS, true)) {
            $fields->refuse('kind', Message::of('mix.a_mix_is_one', kinds: self::KINDS));
        }
        $basis = $fields->text('basis', 'basis', 20, 'per_kg');
        if (! in_array($basis, self::BASES, true)) {
            $fields->refuse('basis', Message::of('mix.the_amounts_are_one', bases: self::BASES));
        }
        $items = array_map(MixItem::read(...), $fields->list('items', 'items', 1, self::MOST_ITEMS));
        $method = $fields->text('method', 'method', 2000, '', lines: true);
        if ($basis === 'parts' && $fields->isClean() && array_sum(array_column($items, 'amount')) <= 0.0) {
            $fields->refuse('items', Message::of('mix.the_parts_add_up'));
        }
        $minutes = $fields->optionalNumber('minutes', 'minutes', 0.0, self::LONGEST_MINUTES, Unit::Minute);
        $alone = $fields->number('alone_minutes', 'minutes', 0.0, self::LONGEST_MINUTES, Unit::Minute, 0.0);
        $fields->orThrow();
        assert($items !== []);

        return new self($id, $name, $kind, $basis, $items, $method, $minutes, $alone);
    }

    /**
     * A published recipe as schema.org Recipe, in JSON-LD: its amounts become those for one guest of its yield.
     *
     * @param  mixed  $data  decoded JSON; a graph or a list is searched for the first recipe
     *
     * @throws InvalidInput
     */
    public static function fromRecipe(mixed $data): self
    {
        $recipe = self::findRecipe($data);
        if ($recipe === null) {
            throw InvalidInput::atField('file', Message::of('mix.there_is_no_recipe'));
        }
        $yield = $recipe['recipeYield'] ?? null;
        $yield = is_array($yield) ? ($yield[0] ?? null) : $yield;
        $guests = is_int($yield) || is_float($yield)
            ? (float) $yield
            : (is_string($yield) && preg_match('/\d+(?:[.,]\d+)?/', $yield, $found) === 1 ? (float) str_replace(',', '.', $found[0]) : 0.0);
        if ($guests <= 0.0 || $guests > 500.0) {
            throw InvalidInput::atField('recipeYield', Message::of('mix.the_recipe_does_not_say'));
        }
        $ingredients = $recipe['recipeIngredient'] ?? [];
        $items = [];
        foreach (is_array($ingredients) ? $ingredients : [] as $line) {
            if (is_string($line) && trim($line) !== '') {
                $items[] = MixItem::fromLine($line)->scaled(1.0 / $guests)->toArray();
            }
        }
        $method = $recipe['recipeInstructions'] ?? '';

        return self::read(
            [
                'name' => is_string($recipe['name'] ?? null) ? mb_substr($recipe['name'], 0, 80) : '',
                'kind' => 'other',
                'basis' => 'per_guest',
                'items' => $items,
                'method' => mb_substr(self::words($method), 0, 2000),
            ],
        );
    }

    /**
     * The same as schema.org Recipe, for JSON-LD: `fromRecipe` reads it back.
     *
     * @param  float  $measure  kilograms, litres or guests that it is written for; millilitres of parts
     * @return array<string, mixed>
     */
    public function toRecipe(float $measure): array
    {
        return [
            '@context' => 'https://schema.org',
            '@type' => 'Recipe',
            'name' => $this->name,
            'recipeYield' => match ($this->basis) {
                'per_kg' => "$measure kg",
                'per_l' => "$measure l",
                'parts' => "$measure ml",
                default => "$measure servings",
            },
            'recipeIngredient' => array_map(fn (MixItem $item): string => $item->toLine(), $this->scaled($measure)),
            'recipeInstructions' => $this->method,
        ];
    }

    /** @return list<MixItem> for so many kilograms, litres or guests, or parts of so many millilitres in all */
    public function scaled(float $measure): array
    {
        OutOfRange::check('measure', $measure, 0.0, 100_000.0, Unit::None);
        $factor = $this->basis === 'parts' ? $measure / array_sum(array_column($this->items, 'amount')) : $measure;

        return array_map(fn (MixItem $item): MixItem => $item->scaled($factor), $this->items);
    }

    /**
     * What it takes for a dish, or a table.
     *
     * @param  float|null  $litres  that are wanted of it; null to go by mass
     * @return list<MixItem>
     */
    public function forDish(float $massKg, int $people, ?float $litres = null): array
    {
        return $this->scaled(match ($this->basis) {
            'per_kg' => $massKg,
            'per_guest' => (float) $people,
            'per_l' => $litres ?? self::LITRES_PER_KG * $massKg,
            default => 1000.0 * ($litres ?? self::LITRES_OF_PARTS_PER_KG * $massKg),
        });
    }

    /** @return array<string, mixed> what `read` reads */
    public function toArray(): array
    {
        return [
            'format' => self::FORMAT,
            'version' => 1,
            'name' => $this->name,
            'kind' => $this->kind,
            'basis' => $this->basis,
            'items' => array_map(fn (MixItem $item): array => $item->toArray(), $this->items),
            'method' => $this->method,
            ...($this->minutes === null ? [] : ['minutes' => $this->minutes]),
            ...($this->aloneMinutes > 0.0 ? ['alone_minutes' => $this->aloneMinutes] : []),
        ];
    }

    /** @return array<mixed>|null */
    private static function findRecipe(mixed $data): ?array
    {
        if (! is_array($data)) {
            return null;
        }
        $type = $data['@type'] ?? null;
        if ($type === 'Recipe' || (is_array($type) && in_array('Recipe', $type, true))) {
            return $data;
        }
        foreach (array_is_list($data) ? $data : [$data['@graph'] ?? null] as $inner) {
            $found = self::findRecipe($inner);
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    private static function words(mixed $instructions): string
    {
        if (is_string($instructions)) {
            return trim($instructions);
        }
        if (! is_array($instructions)) {
            return '';
        }
        if (isset($instructions['text'])) {
            return self::words($instructions['text']);
        }

        return implode(
            ' ',
            array_filter(array_map(self::words(...), array_values($instructions)), fn (string $words): bool => $words !== ''),
        );
    }
}
