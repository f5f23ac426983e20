<?php

declare(strict_types=1);

/**
 * Takes the database away under cooks who log, and then fills its disk, each for a while; what they are told meanwhile is counted by its
 * status, and what was acknowledged against what is stored. Needs the right to mount a disk.
 * Usage: php tests/Load/away.php [seconds=300] [writers=4]; ends with 1 where an entry was lost or doubled, or somebody was told
 * nothing that they could read.
 */
require __DIR__.'/host.php';
[, $seconds, $writers] = $argv + [1 => '300', 2 => '4'];
const DISK_MB = 400;
$wrong = 0;
/** What a screen and an entry are told while it lasts. */
$told = function (string $name, Host $host, float $until) use (&$wrong): void {
    $said = [];
    while (microtime(true) < $until) {
        foreach (['/up', '/ready', '/roasts/x/live', '/api/me'] as $path) {
            [$status] = ask('GET', $host->url().$path);
            $said[$path][$status] = ($said[$path][$status] ?? 0) + 1;
        }
        usleep(500_000);
    }
    printf("%s: told by status %s\n", $name, json_encode($said, JSON_UNESCAPED_SLASHES));
    // The page itself asks no database.
    $wrong += array_keys($said['/up']) === [200] && array_keys($said['/roasts/x/live']) === [200] ? 0 : 1;
};
$trial = function (string $name, Host $host, Closure $break, Closure $mend) use ($seconds, $writers, $told, &$wrong): void {
    $cooks = Cooks::begin($host->url(), (int) $writers);
    sleep(5);
    printf("%s  %s\n", date('H:i:s'), $name);
    $break();
    $told($name, $host, microtime(true) + (float) $seconds);
    $mend();
    printf("%s  mended\n", date('H:i:s'));
    $host->awaitReady();
    sleep(8);
    ['acknowledged' => $acknowledged, 'stale' => $stale] = $cooks->end();
    $wrong += $stale + counted('the database', $acknowledged, $host->database());
};
$host = Host::begin(DISK_MB);
$trial('the database is away', $host, $host->endDatabase(...), $host->beginDatabase(...));
$filler = $host->disk().'/full';
$trial('the disk is full', $host, function () use ($filler): void {
    exec('dd if=/dev/zero of='.escapeshellarg($filler).' bs=64K 2>/dev/null');
}, fn (): bool => unlink($filler));
$host->end();
exit($wrong > 0 ? 1 : 0);
