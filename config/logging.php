<?php

declare(strict_types=1);

return [
    'default' => env('LOG_CHANNEL', 'kept'),
    'channels' => [
        // A disk that has no room for a line of the log takes no cook's entry down with it.
        'kept' => ['driver' => 'stack', 'channels' => ['daily'], 'ignore_exceptions' => true],
        // A line of JSON each, a new file each day, kept for a fortnight and read by its owner alone.
        'daily' => [
            'driver' => 'daily', 'path' => storage_path('logs/diatherm.log'), 'days' => 14, 'level' => env('LOG_LEVEL', 'warning'),
            'permission' => 0600, 'formatter' => Monolog\Formatter\JsonFormatter::class, 'replace_placeholders' => true,
        ],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];
