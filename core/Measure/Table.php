<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** Reads one of the reference tables under data/, which ship with the code and are checked by its tests. */
final class Table
{
    private const FOLDER = __DIR__.'/../../data/';

    /** @var array<string, array<string, mixed>> */
    private static array $read = [];

    /** @var array<string, mixed> */
    private static array $made = [];

    /** @return array<string, mixed> */
    public static function named(string $name): array
    {
        if (! isset(self::$read[$name])) {
            /** @var array<string, mixed> $table */
            $table = json_decode((string) file_get_contents(self::FOLDER.$name.'.json'), true, 64, JSON_THROW_ON_ERROR);
            self::$read[$name] = $table;
        }

        return self::$read[$name];
    }

    /**
     * Does work with other tables in the place of some, as a calibration does; the shipped ones are back after it.
     *
     * @template T
     *
     * @param  array<string, array<string, mixed>>  $tables  by name
     * @param  \Closure(): T  $work
     * @return T
     */
    public static function with(array $tables, \Closure $work): mixed
    {
        [$read, $made] = [self::$read, self::$made];
        [self::$read, self::$made] = [$tables + $read, []];
        try {
            return $work();
        } finally {
            [self::$read, self::$made] = [$read, $made];
        }
    }

    /**
     * What was made of the tables, once for as long as they stand.
     *
     * @template T
     *
     * @param  string  $what  a name of its own
     * @param  \Closure(): T  $how
     * @return T
     */
    public static function made(string $what, \Closure $how): mixed
    {
        /** @var T */
        return self::$made[$what] ??= $how();
    }
}
