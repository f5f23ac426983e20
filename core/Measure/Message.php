<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/**
 * Something to be said: the id of a sentence in `lang/en.json` and the values that stand in it. The core answers in these;
 * whoever renders them has the words, the units and the clock of the reader.
 */
final readonly class Message implements \JsonSerializable
{
    /** Short sentences beside each other: each begins with a capital, a stop stands between two of them. */
    public const NOTES = 'words.notes';

    /** Whole sentences, one after the other. */
    public const SENTENCES = 'words.sentences';

    /** @param  array<string, Quantity|self|\DateTimeImmutable|string|int|list<self|string>>  $values  by their names in the sentence */
    private function __construct(
        public string $id,
        public array $values,
    ) {
    }

    /**
     * @param  Quantity|self|\DateTimeImmutable|string|int|list<self|string>  ...$values  by name: a moment says its hour at its own
     *     offset, a list is said one after the other, text is what someone typed or a row of `data/` is called
     */
    public static function of(string $id, Quantity|self|\DateTimeImmutable|string|int|array ...$values): self
    {
        /** @var array<string, Quantity|self|\DateTimeImmutable|string|int|list<self|string>> $values */
        return new self($id, $values);
    }

    /** Those that are there, each a short sentence; null when none is. */
    public static function notes(?self ...$parts): ?self
    {
        $parts = array_values(array_filter($parts, fn (?self $part): bool => $part !== null));

        return $parts === [] ? null : new self(self::NOTES, ['parts' => $parts]);
    }

    /** One that has to be there, and those others that are. */
    public static function note(self $first, ?self ...$more): self
    {
        return new self(self::NOTES, ['parts' => array_values(array_filter([$first, ...$more], fn (?self $part): bool => $part !== null))]);
    }

    /** Whole sentences, those that are there. */
    public static function sentences(self $first, ?self ...$more): self
    {
        $more = array_values(array_filter($more, fn (?self $part): bool => $part !== null));

        return $more === [] ? $first : new self(self::SENTENCES, ['parts' => [$first, ...$more]]);
    }

    /** For a log or a stack trace: id and values, not the sentence. */
    public function plain(): string
    {
        return $this->id.($this->values === []
            ? ''
            : ' '.json_encode($this->jsonSerialize()['values'], JSON_UNESCAPED_UNICODE | JSON_PARTIAL_OUTPUT_ON_ERROR));
    }

    /** @return array{id: string, values: object} */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'values' => (object) array_map(
                fn (mixed $value): mixed => $value instanceof \DateTimeImmutable ? ['moment' => $value->format(DATE_ATOM)] : $value,
                $this->values,
            ),
        ];
    }
}
