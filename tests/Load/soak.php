<?php

declare(strict_types=1);

/**
 * Live screens on a server for a long while, with what may grow sampled as it goes: memory of its workers and database, rows that pass.
 * Usage: php tests/Load/soak.php URL [minutes=60] [screens=300] — with the server's database at hand (DB_PASSWORD, DB_PORT; else that of
 * this folder). Ends with the screens' own figures.
 */
[, $base, $minutes, $screens] = $argv + [1 => 'http://127.0.0.1:8080', 2 => '60', 3 => '300'];
$root = dirname(__DIR__, 2);
$password = getenv('DB_PASSWORD') ?: trim((string) file_get_contents("$root/storage/mariadb.secret"));
$port = getenv('DB_PORT') ?: trim((string) file_get_contents("$root/storage/mariadb.port"));
$database = new PDO("mysql:host=127.0.0.1;port=$port;dbname=diatherm", 'diatherm', $password);

/** @return array{int, int} how many there are of a kind of process, and MB that they hold of their own, together */
$memory = function (string $words): array {
    $count = $kb = 0;
    foreach (glob('/proc/[0-9]*') ?: [] as $process) {
        if (str_contains(strtr((string) @file_get_contents("$process/cmdline"), "\0", ' '), $words)) {
            $count++;
            preg_match_all('/^(?:Private_Clean|Private_Dirty): +(\d+)/m', (string) @file_get_contents("$process/smaps_rollup"), $own);
            $kb += array_sum(array_map(intval(...), $own[1]));
        }
    }

    return [$count, intdiv($kb, 1024)];
};
$load = proc_open(
    [PHP_BINARY, __DIR__.'/screens.php', $base, $screens, (string) (60 * (int) $minutes), '12'], [1 => ['pipe', 'w'], 2 => STDERR], $pipes,
);
assert(is_resource($load));
printf("%6s %14s %14s %10s %10s %10s\n", 'minute', 'workers, MB', 'database, MB', 'sessions', 'cache', 'readings');
for ($minute = 0; proc_get_status($load)['running']; $minute++) {
    [$workers, $held] = $memory('php-fpm: pool');
    [, $stored] = $memory('mariadbd');
    $rows = $database->query(
        'select (select count(*) from sessions), (select count(*) from cache), (select count(*) from readings)',
    )->fetch(PDO::FETCH_NUM);
    printf("%6d %9d × %2d %14d %10d %10d %10d\n", $minute, intdiv($held, max(1, $workers)), $workers, $stored, ...$rows);
    for ($second = 0; $second < 60 && proc_get_status($load)['running']; $second++) {
        sleep(1);
    }
}
echo stream_get_contents($pipes[1]);
exit(proc_close($load));
