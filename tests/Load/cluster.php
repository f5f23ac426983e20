<?php

declare(strict_types=1);

/**
 * Breaks each part of the cluster in turn while cooks log: each database and each web node is killed and brought back, one database is
 * cut off from the others. Counts what was acknowledged against what is stored on every node: nothing lost, nothing doubled.
 * Usage: php tests/Load/cluster.php URL [writers=4] [seconds between=6]; prints figures, ends with 1 where an entry was lost or doubled.
 */
[, $base, $writers, $between] = $argv + [1 => 'http://127.0.0.1:8200', 2 => '4', 3 => '6'];
$between = (int) $between;
$root = dirname(__DIR__, 2);
require __DIR__.'/cooks.php';
$cooks = Cooks::begin($base, (int) $writers);
sleep($between);
$do = function (string $command) use ($root): void {
    printf("%s  %s\n", date('H:i:s'), $command);
    passthru(escapeshellarg("$root/bin/cluster")." $command 2>&1");
};
$turns = [
    'kill db 1' => 'start db 1', 'kill db 2' => 'start db 2', 'kill db 3' => 'start db 3',
    'kill web 1' => 'start web 1', 'kill web 2' => 'start web 2', 'cut 1' => 'join 1',
];
foreach ($turns as $break => $mend) {
    $do($break);
    sleep($between);
    $do($mend);
    sleep($between);
}
['acknowledged' => $acknowledged, 'stale' => $wrong] = $cooks->end();
parse_str(strtr((string) file_get_contents("$root/storage/cluster.run"), [' ' => '&']), $cluster);
foreach ([1, 2, 3] as $n) {
    $port = (int) $cluster['PORT'] + 100 + $n;
    $node = new PDO("mysql:host=127.0.0.1;port=$port;dbname=diatherm", 'diatherm', trim($cluster['DB_PASSWORD']));
    $wrong += counted("database $n", $acknowledged, $node);
}
exit($wrong > 0 ? 1 : 0);
