<?php

declare(strict_types=1);

return [
    // Letters lie in storage/mail as files until a server for them is named: MAIL_MAILER=smtp, MAIL_HOST, MAIL_PORT, MAIL_USERNAME,
    // MAIL_PASSWORD.
    'default' => env('MAIL_MAILER', 'file'),
    'mailers' => [
        'file' => ['transport' => 'file'],
        'array' => ['transport' => 'array'],
        'smtp' => [
            'transport' => 'smtp',
            'host' => env('MAIL_HOST', '127.0.0.1'),
            'port' => env('MAIL_PORT', 587),
            'username' => env('MAIL_USERNAME'),
            'password' => env('MAIL_PASSWORD'),
            'timeout' => 10,
        ],
    ],
    'from' => ['address' => env('MAIL_FROM', 'kitchen@diatherm.example'), 'name' => 'Diatherm'],
];
