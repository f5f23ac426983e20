<?php

declare(strict_types=1);

/**
 * Kills one thing after another under cooks who log: workers of nginx and PHP, their masters, the database. What ends is started again as
 * a host's systemd would. Counts what was acknowledged against what is stored.
 * Usage: php tests/Load/kills.php [kills=200] [writers=4]; ends with 1 where an entry was lost or doubled.
 */
require __DIR__.'/cooks.php';
[, $kills, $writers] = $argv + [1 => '200', 2 => '4'];
$root = dirname(__DIR__, 2);
$folder = sys_get_temp_dir().'/diatherm-kills-'.bin2hex(random_bytes(4));
mkdir("$folder/data", 0700, true);
[$port, $databasePort] = [8260, 3460];
$password = bin2hex(random_bytes(24));
$database = 'mariadbd --no-defaults --datadir='.escapeshellarg("$folder/data")." --user=root --bind-address=127.0.0.1 --port=$databasePort --socket=".escapeshellarg("$folder/db.sock");
exec('mariadb-install-db --no-defaults --datadir='.escapeshellarg("$folder/data").' --user=root --auth-root-authentication-method=normal --skip-test-db 2>&1', $said, $failed);
if ($failed !== 0) {
    fwrite(STDERR, implode("\n", $said)."\n");
    exit(2);
}
/** Runs a command for ever. @return resource */
$always = fn (string $command) => proc_open(['setsid', 'sh', '-c', "while :; do $command; sleep 0.2; done"], [['file', '/dev/null', 'r'], ['file', "$folder/log", 'a'], ['file', "$folder/log", 'a']], $pipes, $root, [
    'DB_HOST' => '127.0.0.1', 'DB_PORT' => (string) $databasePort, 'DB_DATABASE' => 'diatherm', 'DB_USERNAME' => 'diatherm', 'DB_PASSWORD' => $password,
    'SERVE_NAME' => 'kills', 'APP_DEMO' => 'false', 'LIMIT_REGISTER' => '1000', 'LIMIT_COMPUTE' => '100000',
] + getenv());
$running = [$always($database)];
$sql = "create database diatherm character set utf8mb4; create user diatherm@'127.0.0.1' identified by '$password', diatherm@localhost identified by '$password'; grant all on diatherm.* to diatherm@'127.0.0.1', diatherm@localhost";
while (exec('mariadb --no-defaults --socket='.escapeshellarg("$folder/db.sock").' -uroot -e '.escapeshellarg($sql).' 2>/dev/null', $said, $failed) === false || $failed !== 0) {
    usleep(300_000);
}
$running[] = $always("bin/serve --port $port --workers 4");
while (ask('GET', "http://127.0.0.1:$port/ready")[0] !== 200) {
    usleep(300_000);
}

/** @return list<int> of the processes under those that were started here whose command line has these words */
$under = function (string $words) use ($running): array {
    $found = [];
    $rest = array_map(fn ($process): int => proc_get_status($process)['pid'], $running);
    while ($rest !== []) {
        $pid = array_shift($rest);
        if (str_contains(strtr((string) @file_get_contents("/proc/$pid/cmdline"), "\0", ' '), $words)) {
            $found[] = $pid;
        }
        $children = trim((string) shell_exec("pgrep -P $pid"));
        $rest = [...$rest, ...($children === '' ? [] : array_map(intval(...), explode("\n", $children)))];
    }

    return $found;
};
$cooks = Cooks::begin("http://127.0.0.1:$port", (int) $writers);
sleep(3);
$killed = [];
$turns = ['php-fpm: pool', 'nginx: worker', 'php-fpm: pool', 'mariadbd --no-defaults', 'php-fpm: pool', 'php-fpm: master', 'nginx: worker', 'php-fpm: pool', 'mariadbd --no-defaults', 'nginx: master'];
while (array_sum($killed) < (int) $kills) {
    $words = $turns[array_sum($killed) % count($turns)];
    $there = array_values(array_filter($under($words), fn (int $pid): bool => ! str_contains((string) @file_get_contents("/proc/$pid/comm"), 'sh')));
    if ($there === []) {
        usleep(100_000);

        continue;
    }
    posix_kill($there[array_rand($there)], SIGKILL);
    $killed[$words] = ($killed[$words] ?? 0) + 1;
    // On with it as soon as somebody is answered again.
    usleep(400_000);
    while (ask('GET', "http://127.0.0.1:$port/ready")[0] !== 200) {
        usleep(100_000);
    }
}
sleep(3);
['acknowledged' => $acknowledged, 'stale' => $wrong] = $cooks->end();
printf("killed: %s\n", json_encode($killed));
$wrong += counted('the database', $acknowledged, new PDO("mysql:host=127.0.0.1;port=$databasePort;dbname=diatherm", 'diatherm', $password));
foreach ($running as $process) {
    $everything = [];
    $rest = [proc_get_status($process)['pid']];
    while ($rest !== []) {
        $everything[] = $pid = array_shift($rest);
        $children = trim((string) shell_exec("pgrep -P $pid"));
        $rest = [...$rest, ...($children === '' ? [] : array_map(intval(...), explode("\n", $children)))];
    }
    foreach ($everything as $pid) {
        posix_kill($pid, SIGKILL);
    }
}
exec('rm -rf '.escapeshellarg($folder));
exit($wrong > 0 ? 1 : 0);
