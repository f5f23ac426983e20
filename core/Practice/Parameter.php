<?php

declare(strict_types=1);

namespace Diatherm\Practice;

use Diatherm\Measure\Table;

/**
 * One number of the reference tables that the cooks of practice may move: where it stands, what it was taken to be before, and how far that
 * may be off. Rows: data/calibration.json.
 *
 * @phpstan-type Row array{table: string, rows: list<string>, key: string, usual: float, scale: 'log'|'plain', doubt: float}
 */
final readonly class Parameter
{
    /**
     * @param  list<string>  $rows  of the table that have it, by id; none where it stands in no row
     * @param  string  $key  dotted
     * @param  bool  $isLog  whether it is moved by factors
     * @param  float  $doubt  one deviation; of its logarithm where it is moved by factors
     */
    private function __construct(
        public string $table,
        public array $rows,
        public string $key,
        public float $usual,
        public bool $isLog,
        public float $doubt,
    ) {
    }

    /** @return list<self> */
    public static function all(): array
    {
        /** @var list<Row> $rows */
        $rows = Table::named('calibration')['parameters'];

        return array_map(
            fn (array $row): self => new self(
                $row['table'], $row['rows'], $row['key'], $row['usual'], $row['scale'] === 'log', $row['doubt'],
            ),
            $rows,
        );
    }

    public function name(): string
    {
        return "$this->key ".implode(', ', $this->rows);
    }

    /** Its value so many deviations from the usual one. */
    public function at(float $deviations): float
    {
        return $this->isLog ? $this->usual * exp($deviations * $this->doubt) : $this->usual + $deviations * $this->doubt;
    }

    /**
     * How far it stands from the usual value now, in deviations.
     *
     * @param  array<string, array<string, mixed>>  $tables
     */
    public function standsAt(array $tables): float
    {
        $table = $tables[$this->table];
        $value = self::valueIn($this->rows === [] ? $table : self::row($table, $this->rows[0]), explode('.', $this->key));

        return ($this->isLog ? log($value / $this->usual) : $value - $this->usual) / $this->doubt;
    }

    /**
     * The tables with another value of it.
     *
     * @param  array<string, array<string, mixed>>  $tables
     * @return array<string, array<string, mixed>>
     */
    public function set(array $tables, float $value): array
    {
        $keys = explode('.', $this->key);
        if ($this->rows === []) {
            $tables[$this->table] = self::changed($tables[$this->table], $keys, $value);

            return $tables;
        }
        foreach ($tables[$this->table] as $part => $rows) {
            if (is_array($rows) && array_is_list($rows)) {
                $tables[$this->table][$part] = array_map(
                    fn (mixed $row): mixed => is_array($row) && in_array($row['id'] ?? null, $this->rows, true)
                        ? self::changed($row, $keys, $value)
                        : $row,
                    $rows,
                );
            }
        }

        return $tables;
    }

    /**
     * @param  array<string, mixed>  $table
     * @return array<string, mixed>
     */
    private static function row(array $table, string $id): array
    {
        foreach ($table as $rows) {
            foreach (is_array($rows) && array_is_list($rows) ? $rows : [] as $row) {
                if (is_array($row) && ($row['id'] ?? null) === $id) {
                    /** @var array<string, mixed> */
                    return $row;
                }
            }
        }
        throw new \LogicException("No row of a table is called $id.");
    }

    /**
     * @param  array<mixed>  $row
     * @param  non-empty-list<string>  $keys
     */
    private static function valueIn(array $row, array $keys): float
    {
        $value = $row[array_shift($keys)] ?? null;

        return match (true) {
            is_array($value) && $keys !== [] => self::valueIn($value, $keys),
            is_numeric($value) => (float) $value,
            default => throw new \LogicException('No such number.'),
        };
    }

    /**
     * @param  array<mixed>  $row
     * @param  non-empty-list<string>  $keys
     * @return array<string, mixed>
     */
    private static function changed(array $row, array $keys, float $value): array
    {
        $key = array_shift($keys);
        $row[$key] = $keys === [] ? $value : self::changed((array) ($row[$key] ?? []), $keys, $value);

        /** @var array<string, mixed> */
        return $row;
    }
}
