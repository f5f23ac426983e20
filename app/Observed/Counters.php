<?php

declare(strict_types=1);

namespace App\Observed;

/**
 * What this machine has counted since it was started, shared by its workers. Without the extension that shares memory between them
 * nothing is counted, and the page says so.
 */
final class Counters
{
    private const PREFIX = 'diatherm:';

    public static function canCount(): bool
    {
        return function_exists('apcu_enabled') && apcu_enabled();
    }

    /** @param  array<string, string>  $labels */
    public static function add(string $name, array $labels = [], int $by = 1): void
    {
        if ($by > 0 && self::canCount()) {
            apcu_inc(self::PREFIX.self::written($name, $labels), $by);
        }
    }

    /** @return array<string, int> by name with its labels, as they are written out */
    public static function all(): array
    {
        $all = [];
        if (self::canCount()) {
            foreach (new \APCUIterator('/^'.preg_quote(self::PREFIX, '/').'/', APC_ITER_KEY | APC_ITER_VALUE) as $one) {
                $all[substr($one['key'], strlen(self::PREFIX))] = (int) $one['value'];
            }
            ksort($all);
        }

        return $all;
    }

    /** @param  array<string, string>  $labels */
    private static function written(string $name, array $labels): string
    {
        $pairs = array_map(
            fn (string $key, string $value): string => $key.'="'.addcslashes($value, "\\\"\n").'"', array_keys($labels), $labels,
        );

        return $name.($pairs === [] ? '' : '{'.implode(',', $pairs).'}');
    }
}
