<?php

declare(strict_types=1);

/**
 * Kills one thing after another under cooks who log: workers of nginx and PHP, their masters, the database. Counts what was
 * acknowledged against what is stored.
 * Usage: php tests/Load/kills.php [kills=200] [writers=4]; ends with 1 where an entry was lost or doubled.
 */
require __DIR__.'/host.php';
[, $kills, $writers] = $argv + [1 => '200', 2 => '4'];
$host = Host::begin();
$cooks = Cooks::begin($host->url(), (int) $writers);
sleep(3);
$killed = [];
$turns = [
    'php-fpm: pool', 'nginx: worker', 'php-fpm: pool', 'mariadbd --no-defaults', 'php-fpm: pool',
    'php-fpm: master', 'nginx: worker', 'php-fpm: pool', 'mariadbd --no-defaults', 'nginx: master',
];
while (array_sum($killed) < (int) $kills) {
    $words = $turns[array_sum($killed) % count($turns)];
    $there = $host->named($words);
    if ($there === []) {
        usleep(100_000);

        continue;
    }
    posix_kill($there[array_rand($there)], SIGKILL);
    $killed[$words] = ($killed[$words] ?? 0) + 1;
    // On with it as soon as somebody is answered again.
    usleep(400_000);
    $host->awaitReady();
}
sleep(3);
['acknowledged' => $acknowledged, 'stale' => $wrong] = $cooks->end();
printf("killed: %s\n", json_encode($killed));
$wrong += counted('the database', $acknowledged, $host->database());
$host->end();
exit($wrong > 0 ? 1 : 0);
