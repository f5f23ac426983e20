<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/**
 * Reads named values out of decoded JSON and gathers a plain message for each that cannot be used, so that a form or a
 * file is answered once, whole. A reader that fails returns a harmless value and goes on; `orThrow` ends the reading.
 */
final class Fields
{
    /** ISO 8601 (RFC 3339) with its offset, to the microsecond at most. */
    public const MOMENT = '/^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d{1,6})?)?(Z|[+-]\d\d:?\d\d)$/D';

    private const FIRST_YEAR = '1970';

    private const LAST_YEAR = '2100';

    /** @param  array<string, list<Message>>  $messages */
    private function __construct(
        private readonly mixed $data,
        private readonly string $path,
        private array &$messages,
    ) {
    }

    public static function of(mixed $data): self
    {
        $messages = [];

        return new self($data, '', $messages);
    }

    /** @throws InvalidInput when anything was wrong */
    public function orThrow(): void
    {
        if ($this->messages !== []) {
            throw InvalidInput::all($this->messages);
        }
    }

    public function refuse(string $key, Message $message): void
    {
        $this->messages[$this->pathTo($key)][] = $message;
    }

    /** The object under a key, to be read in its turn; null when there is none. */
    public function object(string $key, string $what): ?self
    {
        if (! $this->has($key)) {
            return null;
        }
        $value = is_array($this->data) ? $this->data[$key] : null;
        if (! is_array($value) || (array_is_list($value) && $value !== [])) {
            $this->refuse($key, Message::of('field.object', what: OutOfRange::called($what)));

            return null;
        }

        return new self($value, $this->pathTo($key), $this->messages);
    }

    public function has(string $key): bool
    {
        return is_array($this->data) && isset($this->data[$key]) && $this->data[$key] !== '';
    }

    public function isClean(): bool
    {
        return $this->messages === [];
    }

    /**
     * An object as it is, for a reader of its own; null when there is none.
     *
     * @param  string  $key  '' for the value itself
     * @return array<array-key, mixed>|null
     */
    public function raw(string $key): ?array
    {
        $value = $key === '' ? $this->data : (is_array($this->data) ? ($this->data[$key] ?? null) : null);

        return is_array($value) ? $value : null;
    }

    /**
     * All values of this object, each a number.
     *
     * @return array<string, float>
     */
    public function numbers(float $least, float $most, int $count): array
    {
        $keys = array_map(strval(...), array_keys(is_array($this->data) ? $this->data : []));
        if (count($keys) > $count) {
            $this->refuse('', Message::of('field.count', least: 0, most: $count, what: OutOfRange::called('settings')));

            return [];
        }

        return array_combine(
            $keys, array_map(fn (string $key): float => $this->number($key, 'settings', $least, $most, Unit::None), $keys),
        );
    }

    /** Nothing but these keys may be there: a misspelt or wrongly united one would otherwise be lost. */
    public function only(string ...$keys): void
    {
        if (! is_array($this->data)) {
            $this->refuse('', Message::of('field.values'));

            return;
        }
        foreach (array_keys($this->data) as $key) {
            if (! in_array($key, $keys, true)) {
                $this->refuse(
                    (string) $key,
                    Message::of('field.not_known', key: mb_substr((string) $key, 0, 40), keys: array_values($keys)),
                );
            }
        }
    }

    public function number(string $key, string|Message $what, float $least, float $most, Unit $unit, ?float $default = null): float
    {
        $value = $key === '' ? $this->data : (is_array($this->data) ? ($this->data[$key] ?? null) : null);
        if ($value === null || $value === '') {
            if ($default === null) {
                $this->refuse($key, Message::of('field.give', what: OutOfRange::called($what)));
            }

            return $default ?? $least;
        }
        if (is_string($value) && is_numeric($value)) {
            $value = (float) $value;
        }
        if (! is_int($value) && ! is_float($value)) {
            $this->refuse($key, Message::of('field.number', what: OutOfRange::called($what)));

            return $default ?? $least;
        }
        try {
            return OutOfRange::check($what, (float) $value, $least, $most, $unit);
        } catch (OutOfRange $wrong) {
            $this->refuse($key, $wrong->says);

            return $default ?? $least;
        }
    }

    public function optionalNumber(string $key, string|Message $what, float $least, float $most, Unit $unit): ?float
    {
        return $this->has($key) ? $this->number($key, $what, $least, $most, $unit) : null;
    }

    public function wholeNumber(string $key, string $what, int $least, int $most, ?int $default = null): int
    {
        $value = $this->number($key, $what, (float) $least, (float) $most, Unit::None, $default === null ? null : (float) $default);
        if (floor($value) !== $value) {
            $this->refuse($key, Message::of('field.whole_number', what: OutOfRange::called($what)));
        }

        return (int) $value;
    }

    /** @param  string  $key  '' for the value itself, such as an item of a list */
    public function text(string $key, string $what, int $longest, ?string $default = null, bool $lines = false): string
    {
        $value = $key === '' ? $this->data : (is_array($this->data) ? ($this->data[$key] ?? null) : null);
        $value = is_string($value) ? trim($value) : $value;
        if ($value === null || $value === '') {
            if ($default === null) {
                $this->refuse($key, Message::of('field.give', what: OutOfRange::called($what)));
            }

            return $default ?? '';
        }
        if (! is_string($value)) {
            $this->refuse($key, Message::of('field.text', what: OutOfRange::called($what)));

            return '';
        }
        if (! mb_check_encoding($value, 'UTF-8') || mb_strlen($value) > $longest) {
            $this->refuse($key, Message::of('field.characters', what: OutOfRange::called($what), longest: $longest));

            return '';
        }
        if (! PlainText::isPlain($value, $lines)) {
            $this->refuse($key, Message::of('field.plain'));

            return '';
        }

        return $value;
    }

    public function truth(string $key, string $what, bool $default): bool
    {
        $value = is_array($this->data) ? ($this->data[$key] ?? null) : null;
        if ($value === null) {
            return $default;
        }
        if (! is_bool($value)) {
            $this->refuse($key, Message::of('field.truth', what: OutOfRange::called($what)));

            return $default;
        }

        return $value;
    }

    /** ISO 8601 with an offset, such as 2026-10-03T18:45:00+02:00. */
    public function time(string $key, string $what): ?\DateTimeImmutable
    {
        $value = is_array($this->data) ? ($this->data[$key] ?? null) : null;
        if ($value === null || $value === '') {
            $this->refuse($key, Message::of('field.give', what: OutOfRange::called($what)));

            return null;
        }
        if (! is_string($value) || preg_match(self::MOMENT, $value) !== 1) {
            $this->refuse($key, Message::of('field.moment', what: OutOfRange::called($what)));

            return null;
        }
        try {
            $time = new \DateTimeImmutable($value);
        } catch (\Exception) {
            $time = null;
        }
        // PHP rolls a 31st of February over; such a date is no date. Nor is one that no cook of today has seen or will see.
        if ($time === null || $value < self::FIRST_YEAR || $value > self::LAST_YEAR || $time->format('Y-m-d') !== substr($value, 0, 10)) {
            $this->refuse($key, Message::of('field.no_date', what: OutOfRange::called($what)));

            return null;
        }

        return $time;
    }

    /**
     * The values of a list, each to be read in its turn.
     *
     * @return list<self>
     */
    public function list(string $key, string $what, int $least, int $most): array
    {
        $value = is_array($this->data) ? ($this->data[$key] ?? []) : [];
        if (! is_array($value) || ! array_is_list($value)) {
            $this->refuse($key, Message::of('field.list', what: OutOfRange::called($what)));

            return [];
        }
        if (count($value) < $least || count($value) > $most) {
            $this->refuse($key, Message::of('field.count', least: $least, most: $most, what: OutOfRange::called($what)));

            return [];
        }
        $fields = [];
        foreach ($value as $i => $item) {
            $fields[] = new self($item, $this->pathTo($key).'.'.$i, $this->messages);
        }

        return $fields;
    }

    private function pathTo(string $key): string
    {
        return match (true) {
            $this->path === '' => $key === '' ? 'file' : $key,
            $key === '' => $this->path,
            default => $this->path.'.'.$key,
        };
    }
}
