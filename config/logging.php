<?php

declare(strict_types=1);

return [
    'default' => env('LOG_CHANNEL', 'daily'),
    'channels' => [
        // A line of JSON each, a new file each day, kept for a fortnight and read by its owner alone.
        'daily' => [
            'driver' => 'daily', 'path' => storage_path('logs/diatherm.log'), 'days' => 14, 'level' => env('LOG_LEVEL', 'warning'),
            'permission' => 0600, 'formatter' => Monolog\Formatter\JsonFormatter::class, 'replace_placeholders' => true,
        ],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];
