<?php

declare(strict_types=1);

// Asks every address of the contract with requests made from its schemas, sound and spoilt, as one visitor of the demo. Counts answers of
// 500 and above, and answers that took longer than three seconds; prints each of them. For a server on this machine alone.
//
// Allowances stop a visitor early: begin the server without them, LIMIT_DEMO=100000 LIMIT_COMPUTE_IN_DEMO=1000000
// WORK_MOST_IN_DEMO_S=1000000 LIMIT_SIGN_IN=1000000 bin/start.
//
//     php tests/Load/contract.php http://127.0.0.1:8000 [requests=15000] [seed=20311004]

require __DIR__.'/../../vendor/autoload.php';

use Tests\Support\ContractFuzz;

const LONGEST_S = 3.0;

/** What ends the kitchen that is asked. */
const LEFT_ALONE = ['DELETE /api/account', 'POST /api/logout', 'POST /api/demo', 'DELETE /api/roasts/{roast}', 'DELETE /api/cookers/{cooker}'];

[$base, $requests, $seed] = [rtrim($argv[1] ?? '', '/'), min(100_000, (int) ($argv[2] ?? 15_000)), (int) ($argv[3] ?? 20311004)];
if (! in_array(parse_url($base, PHP_URL_HOST), ['127.0.0.1', 'localhost'], true)) {
    fwrite(STDERR, "php tests/Load/contract.php http://127.0.0.1:PORT [requests] [seed]\n");
    exit(2);
}

$wire = curl_init();
$cookies = tempnam(sys_get_temp_dir(), 'diatherm-contract');
$csrf = '';
/** @return array{int, string, float} status, body, seconds */
$ask = function (string $method, string $path, ?string $body = null, string $type = 'application/json', ?string $edition = null) use ($wire, $base, $cookies, &$csrf): array {
    curl_reset($wire);
    curl_setopt_array($wire, [
        CURLOPT_URL => $base.$path, CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 90,
        CURLOPT_COOKIEFILE => $cookies, CURLOPT_COOKIEJAR => $cookies, CURLOPT_PATH_AS_IS => true,
        CURLOPT_HTTPHEADER => ['Accept: application/json', "Content-Type: $type", "X-CSRF-TOKEN: $csrf", ...($edition === null ? [] : ["If-Match: $edition"])],
    ] + ($body === null ? [] : [CURLOPT_POSTFIELDS => $body]));
    $answer = (string) curl_exec($wire);

    return [(int) curl_getinfo($wire, CURLINFO_RESPONSE_CODE), $answer, (float) curl_getinfo($wire, CURLINFO_TOTAL_TIME)];
};
$enter = function () use ($ask, &$csrf): array {
    $csrf = (string) (json_decode($ask('GET', '/api/me')[1], true)['csrf'] ?? '');
    $csrf = (string) (json_decode($ask('POST', '/api/demo', '{}')[1], true)['csrf'] ?? '');
    $ids = fn (string $of): array => array_column((array) json_decode($ask('GET', "/api/$of")[1], true), 'id');

    return ['roast' => $ids('roasts'), 'cooker' => $ids('cookers'), 'device' => $ids('devices'), 'mix' => $ids('mixes'), 'side' => $ids('sides')];
};
$fuzz = new ContractFuzz($seed, $enter(), LEFT_ALONE);
$statuses = [];
$slow = $failed = 0;
$longest = 0.0;
for ($i = 1; $i <= $requests; $i++) {
    $asked = $fuzz->ask();
    [$status, $answer, $took] = $ask($asked['method'], $asked['path'], $asked['body'], $asked['type'], $asked['edition']);
    $statuses[$status] = ($statuses[$status] ?? 0) + 1;
    $longest = max($longest, $took);
    [$isFailed, $isSlow] = [$status >= 500 || $status === 0, $took > LONGEST_S];
    if ($isFailed || $isSlow) {
        printf("%d in %.1f s: %s %s %s\n", $status, $took, $asked['method'], mb_substr($asked['path'], 0, 120), mb_substr((string) $asked['body'], 0, 300));
    }
    $failed += (int) $isFailed;
    $slow += (int) $isSlow;
    if ($status === 419) {
        // Another session has another token; the kitchen is still there.
        $csrf = (string) (json_decode($ask('GET', '/api/me')[1], true)['csrf'] ?? '');
    }
    if ($status === 401) {
        $enter();
    }
}
unlink($cookies);
ksort($statuses);
printf("%d requests over %d operations: %s\n", $requests, count($fuzz->operations()), json_encode($statuses));
printf("answered 500 and above: %d; over %.0f s: %d; longest %.2f s\n", $failed, LONGEST_S, $slow, $longest);
exit($failed + $slow > 0 ? 1 : 0);
