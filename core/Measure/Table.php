<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** Reads one of the reference tables under data/, which ship with the code and are checked by its tests. */
final class Table
{
    private const FOLDER = __DIR__.'/../../data/';

    /** @var array<string, array<string, mixed>> */
    private static array $read = [];

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
}
