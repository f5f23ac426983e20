<?php

declare(strict_types=1);

return [
    // Devices come with a token of their own; a cook's session opens nothing of theirs.
    'guard' => [],
    'stateful' => [],
    'expiration' => null,
    'token_prefix' => '',
];
