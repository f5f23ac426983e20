<?php

declare(strict_types=1);

// Live screens on one server: each asks every 15 s, as the browser does, with the tag of what it was told last; now and then
// somebody logs a reading. Prints how long answers took, seen by the screens.
//
//     php tests/Load/screens.php http://127.0.0.1:8000 [screens=300] [seconds=30] [kitchens=12]

[$base, $screens, $seconds, $kitchens] = [
    rtrim($argv[1] ?? '', '/'), (int) ($argv[2] ?? 300), (float) ($argv[3] ?? 30), (int) ($argv[4] ?? 12),
];
if ($base === '') {
    fwrite(STDERR, "php tests/Load/screens.php URL [screens] [seconds] [kitchens]\n");
    exit(2);
}
const POLL_S = 15.0;
const READ_EVERY_S = 300.0;

/** A request with a cookie of its own. */
$request = function (string $method, string $path, string $cookie, array $headers = [], ?string $body = null) use ($base): CurlHandle {
    $handle = curl_init($base.$path);
    curl_setopt_array($handle, [
        CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADER => true, CURLOPT_TIMEOUT => 30,
        CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', "Cookie: $cookie", ...$headers],
    ] + ($body === null ? [] : [CURLOPT_POSTFIELDS => $body]));

    return $handle;
};
$parts = function (string $answer, CurlHandle $handle): array {
    $size = curl_getinfo($handle, CURLINFO_HEADER_SIZE);
    preg_match_all('/^set-cookie: ([^;]+)/mi', substr($answer, 0, $size), $cookies);
    preg_match('/^etag: (.+?)\r?$/mi', substr($answer, 0, $size), $tag);

    return ['body' => (string) substr($answer, $size), 'cookies' => implode('; ', $cookies[1]), 'tag' => $tag[1] ?? ''];
};
$yards = [];
for ($k = 0; $k < $kitchens; $k++) {
    $demo = $parts((string) curl_exec($h = $request('POST', '/api/demo', '', [], '')), $h);
    $cookie = $demo['cookies'];
    $roasts = json_decode($parts((string) curl_exec($h = $request('GET', '/api/roasts', $cookie)), $h)['body'], true);
    $yards[] = [
        'cookie' => $cookie, 'csrf' => json_decode($demo['body'], true)['csrf'],
        'roast' => array_column($roasts, 'id', 'status')['cooking'], 'readAt' => $k / $kitchens * READ_EVERY_S,
    ];
}
$tags = array_fill(0, $screens, '');
$due = array_map(fn (int $i): float => POLL_S * $i / $screens, range(0, $screens - 1));
$multi = curl_multi_init();
$running = [];
$took = ['GET' => [], 'POST' => []];
$status = [];
$begin = microtime(true);
do {
    $at = microtime(true) - $begin;
    foreach ($due as $i => $when) {
        if ($when <= $at && $when < $seconds) {
            $yard = $yards[$i % $kitchens];
            $handle = $request(
                'GET',
                "/api/roasts/{$yard['roast']}",
                $yard['cookie'],
                $tags[$i] === '' ? [] : ["If-None-Match: {$tags[$i]}"],
            );
            curl_multi_add_handle($multi, $handle);
            // Counted from when it was due: a server that is behind makes the next one wait.
            $running[spl_object_id($handle)] = ['GET', $i, $begin + $when];
            $due[$i] = $when + POLL_S;
        }
    }
    foreach ($yards as $k => $yard) {
        if ($yard['readAt'] <= $at && $yard['readAt'] < $seconds) {
            $id = implode(
                '-',
                [
                    bin2hex(random_bytes(4)), bin2hex(random_bytes(2)), '4'.substr(bin2hex(random_bytes(2)), 1),
                    'a'.substr(bin2hex(random_bytes(2)), 1), bin2hex(random_bytes(6)),
                ],
            );
            $body = json_encode(['id' => $id, 'dish' => 0, 'at' => date(DATE_ATOM), 'place' => 'core', 'celsius' => 30 + $at / 60]);
            $handle = $request(
                'POST',
                "/api/roasts/{$yard['roast']}/readings",
                $yard['cookie'],
                ["X-CSRF-TOKEN: {$yard['csrf']}", 'Prefer: return=minimal'],
                (string) $body,
            );
            curl_multi_add_handle($multi, $handle);
            $running[spl_object_id($handle)] = ['POST', $k, microtime(true)];
            $yards[$k]['readAt'] += READ_EVERY_S;
        }
    }
    curl_multi_exec($multi, $active);
    while ($done = curl_multi_info_read($multi)) {
        $handle = $done['handle'];
        [$method, $i, $since] = $running[spl_object_id($handle)];
        unset($running[spl_object_id($handle)]);
        $took[$method][] = 1000.0 * (microtime(true) - $since);
        $code = curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
        $status["$method $code"] = ($status["$method $code"] ?? 0) + 1;
        if ($method === 'GET' && $code === 200) {
            $tags[$i] = $parts((string) curl_multi_getcontent($handle), $handle)['tag'];
        }
        curl_multi_remove_handle($multi, $handle);
    }
    curl_multi_select($multi, 0.005);
} while ($running !== [] || microtime(true) - $begin < $seconds);

ksort($status);
foreach ($took as $method => $all) {
    sort($all);
    $of = fn (float $share): float => $all === [] ? 0.0 : $all[(int) min(count($all) - 1, floor($share * count($all)))];
    printf("%-5s %5d answers   median %4.0f ms   p95 %4.0f ms   longest %4.0f ms\n", $method, count($all), $of(0.5), $of(0.95), $of(1.0));
}
echo implode(', ', array_map(fn (string $what, int $count): string => "$what: $count", array_keys($status), $status)), "\n";
