<?php

declare(strict_types=1);

return [
    // Addresses of the balancers in front, comma separated: only they are believed when they say who asks and whether by TLS.
    'proxies' => array_values(array_filter(array_map(trim(...), explode(',', (string) env('TRUSTED_PROXIES', ''))))) ?: null,
];
