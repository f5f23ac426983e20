<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'database'),
    // A roast may take a day, and the cook's hands are greasy: two weeks before signing in again.
    'lifetime' => 20160,
    'expire_on_close' => false,
    'encrypt' => false,
    'connection' => null,
    'table' => 'sessions',
    'store' => null,
    // One request in a thousand sweeps up what has run out.
    'lottery' => [1, 1000],
    'cookie' => env('SESSION_COOKIE', 'diatherm_session'),
    'path' => '/',
    'domain' => null,
    'secure' => env('SESSION_SECURE_COOKIE'),
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];
