<?php

declare(strict_types=1);

return [
    'default' => env('LOG_CHANNEL', 'daily'),
    'channels' => [
        // A new file each day, kept for a fortnight.
        'daily' => [
            'driver' => 'daily', 'path' => storage_path('logs/diatherm.log'), 'days' => 14, 'level' => env('LOG_LEVEL', 'warning'), 'replace_placeholders' => true,
        ],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];
