<?php

declare(strict_types=1);

return [
    'name' => 'Diatherm',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://127.0.0.1:8080'),
    'timezone' => 'UTC',
    'locale' => 'en',
    'fallback_locale' => 'en',
    'cipher' => 'AES-256-CBC',
    'key' => env('APP_KEY'),
    'previous_keys' => [],
    'maintenance' => ['driver' => 'file'],
    // Hosts that it answers to besides that of its address, comma separated.
    'hosts' => array_values(array_filter(array_map(trim(...), explode(',', (string) env('TRUSTED_HOSTS', ''))))),
    // Who has it may read /metrics; without one nobody may.
    'metrics_token' => env('METRICS_TOKEN'),
    // Whether the demo kitchen can be entered with a button.
    'demo' => (bool) env('APP_DEMO', false),
    // Requests a minute, generous to a cook with several screens: signing in, registering and opening demo kitchens by address,
    // signing in by account as well, what computes by cook, in a demo kitchen more strictly.
    'limits' => [
        'sign_in' => (int) env('LIMIT_SIGN_IN', 20),
        'sign_in_of_one' => (int) env('LIMIT_SIGN_IN_OF_ONE', 10),
        // In a quarter of a minute, from a device that signed in with that address before.
        'sign_in_of_known' => (int) env('LIMIT_SIGN_IN_OF_KNOWN', 5),
        'register' => (int) env('LIMIT_REGISTER', 10),
        'mail' => (int) env('LIMIT_MAIL', 5),
        'demo' => (int) env('LIMIT_DEMO', 10),
        'compute' => (int) env('LIMIT_COMPUTE', 600),
        'devices' => (int) env('LIMIT_DEVICES', 240),
        'compute_in_demo' => (int) env('LIMIT_COMPUTE_IN_DEMO', 300),
    ],
    // Processor time, counted for each kitchen and, in the demo, for each address: so much at once, and so much back in a second.
    'work' => [
        // So long a list of roasts may take; what is left then comes with the next asking.
        'list_s' => (float) env('WORK_LIST_S', 0.2),
        'at_once' => (int) env('WORK_AT_ONCE', 2),
        'cook' => ['most_s' => (float) env('WORK_MOST_S', 60.0), 'per_s' => (float) env('WORK_PER_S', 0.5)],
        'demo' => ['most_s' => (float) env('WORK_MOST_IN_DEMO_S', 30.0), 'per_s' => (float) env('WORK_PER_IN_DEMO_S', 0.25)],
    ],
];
