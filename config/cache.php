<?php

declare(strict_types=1);

$database = ['driver' => 'database', 'connection' => null, 'table' => 'cache', 'lock_connection' => null, 'lock_table' => 'cache_locks'];

return [
    'default' => env('CACHE_STORE', 'database'),
    'stores' => [
        'array' => ['driver' => 'array', 'serialize' => false],
        // What each machine keeps for itself, where its workers share memory.
        'machine' => function_exists('apcu_enabled') && apcu_enabled()
            ? ['driver' => 'apc']
            : ['driver' => env('CACHE_STORE', 'database')] + $database,
        'database' => $database,
    ],
    'prefix' => 'diatherm',
];
