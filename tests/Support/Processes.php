<?php

declare(strict_types=1);

namespace Tests\Support;

/** What runs under something that a test has started. */
final class Processes
{
    /** @return list<int> it and all under it, the nearest first */
    public static function under(int $pid): array
    {
        $all = [];
        $rest = [$pid];
        while ($rest !== []) {
            $all[] = $one = array_shift($rest);
            $children = trim((string) shell_exec("pgrep -P $one"));
            $rest = [...$rest, ...($children === '' ? [] : array_map(intval(...), explode("\n", $children)))];
        }

        return $all;
    }

    /** @return list<int> those under it whose command line has these words */
    public static function named(int $pid, string $words): array
    {
        return array_values(array_filter(
            self::under($pid),
            fn (int $one): bool => str_contains(strtr((string) @file_get_contents("/proc/$one/cmdline"), "\0", ' '), $words),
        ));
    }

    /** A port of this machine that nobody listens on. */
    public static function freePort(): int
    {
        $probe = stream_socket_server('tcp://127.0.0.1:0');
        assert($probe !== false);
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($probe, false), ':'), 1);
        fclose($probe);

        return $port;
    }
}
