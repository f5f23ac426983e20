<?php

declare(strict_types=1);

return [
    'defaults' => ['guard' => 'web', 'passwords' => 'users'],
    'guards' => ['web' => ['driver' => 'session', 'provider' => 'users']],
    // A link out of a letter opens the door for an hour, and a letter is written once a minute at most.
    'passwords' => ['users' => ['provider' => 'users', 'table' => 'password_reset_tokens', 'expire' => 60, 'throttle' => 60]],
    'providers' => ['users' => ['driver' => 'eloquent', 'model' => App\Models\User::class]],
];
