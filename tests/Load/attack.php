<?php

declare(strict_types=1);

// One visitor of the demo asks for as much work as validation lets through, all at once and again; another cook's screen asks as it always
// does. Prints how long that screen waited, and what the visitor was answered. Bounded, and for a server on this machine alone.
//
//     php tests/Load/attack.php http://127.0.0.1:8000 [seconds=20] [at once=8]

[$base, $seconds, $atOnce] = [rtrim($argv[1] ?? '', '/'), min(120.0, (float) ($argv[2] ?? 20)), min(32, (int) ($argv[3] ?? 8))];
if (! in_array(parse_url($base, PHP_URL_HOST), ['127.0.0.1', 'localhost'], true)) {
    fwrite(STDERR, "php tests/Load/attack.php http://127.0.0.1:PORT [seconds] [at once]\n");
    exit(2);
}
const LOOKS_EVERY_S = 0.25;

/** A kitchen of the demo: its cookie and its token. @return array{string, string} */
function opened(string $base): array
{
    [$answer] = asked(request($base, 'POST', '/api/demo', '', '', '{}'));
    preg_match_all('/^set-cookie: ([^;]+)/mi', $answer, $cookies);
    preg_match('/"csrf":"([^"]+)"/', $answer, $csrf);

    return [implode('; ', $cookies[1]), $csrf[1] ?? ''];
}

function request(string $base, string $method, string $path, string $cookie, string $csrf, ?string $body = null): CurlHandle
{
    $handle = curl_init($base.$path);
    curl_setopt_array($handle, [
        CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADER => true, CURLOPT_TIMEOUT => 90,
        CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', "Cookie: $cookie", "X-CSRF-TOKEN: $csrf"],
    ] + ($body === null ? [] : [CURLOPT_POSTFIELDS => $body]));

    return $handle;
}

/** @return array{string, int, float} answer with its head, status, seconds */
function asked(CurlHandle $handle): array
{
    $answer = (string) curl_exec($handle);

    return [$answer, (int) curl_getinfo($handle, CURLINFO_RESPONSE_CODE), (float) curl_getinfo($handle, CURLINFO_TOTAL_TIME)];
}

function uuid(): string
{
    return vsprintf('%s%s-%s-4%.3s-a%.3s-%s%s%s', str_split(bin2hex(random_bytes(16)), 4));
}

[$cookie, $csrf] = opened($base);
[$other, $otherCsrf] = opened($base);
[$list] = asked(request($base, 'GET', '/api/roasts', $other, $otherCsrf));
$roasts = json_decode(substr($list, (int) strpos($list, "\r\n\r\n")), true);
$watched = array_column($roasts, 'id', 'status')['cooking'] ?? $roasts[0]['id'];

$shoulder = ['cut' => 'pork-shoulder', 'mass_kg' => 4.0, 'start_c' => 5, 'target_c' => 92, 'stages' => [['cooker' => 'pellet', 'cooker_c' => 110, 'pull' => true]]];
$file = json_encode(['serve_at' => gmdate('c', time() + 90_000), 'people' => 60, 'dishes' => array_fill(0, 12, $shoulder)], JSON_THROW_ON_ERROR);
[$made, $status, $took] = asked(request($base, 'POST', '/api/roasts', $cookie, $csrf, $file));
printf("stored twelve shoulders: %d in %.1f s\n", $status, $took);
$id = json_decode(substr($made, (int) strpos($made, "\r\n\r\n")), true)['id'] ?? null;
$longest = $took;
for ($dish = 0; $dish < 12 && $id !== null; $dish++) {
    $event = json_encode(['id' => uuid(), 'dish' => $dish, 'kind' => 'on', 'at' => gmdate('c', time() - 86_000)], JSON_THROW_ON_ERROR);
    [, , $took] = asked(request($base, 'POST', "/api/roasts/$id/events", $cookie, $csrf, $event));
    $longest = max($longest, $took);
}
printf("logged them all on a day ago: at most %.1f s each\n", $longest);

$multi = curl_multi_init();
$running = [];
$waits = $statuses = $took = [];
$begin = microtime(true);
$nextLook = 0.0;
$body = json_encode(['turn' => 'behind'], JSON_THROW_ON_ERROR);
do {
    $at = microtime(true) - $begin;
    $asking = count(array_filter($running, fn (array $one): bool => $one[0] === 'ways'));
    for (; $at < $seconds && $asking < $atOnce; $asking++) {
        $handle = request($base, 'POST', "/api/roasts/$id/ways", $cookie, $csrf, $body);
        curl_multi_add_handle($multi, $handle);
        $running[spl_object_id($handle)] = ['ways', $handle];
    }
    if ($at >= $nextLook && $at < $seconds) {
        $handle = request($base, 'GET', "/api/roasts/$watched", $other, $otherCsrf);
        curl_multi_add_handle($multi, $handle);
        $running[spl_object_id($handle)] = ['look', $handle];
        $nextLook += LOOKS_EVERY_S;
    }
    curl_multi_exec($multi, $active);
    while ($done = curl_multi_info_read($multi)) {
        $handle = $done['handle'];
        [$what] = $running[spl_object_id($handle)];
        $status = (int) curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
        $spent = (float) curl_getinfo($handle, CURLINFO_TOTAL_TIME);
        if ($what === 'look') {
            $waits[] = $spent;
        } else {
            $statuses[$status] = ($statuses[$status] ?? 0) + 1;
            $took[] = $spent;
        }
        unset($running[spl_object_id($handle)]);
        curl_multi_remove_handle($multi, $handle);
    }
    curl_multi_select($multi, 0.01);
} while ($running !== [] && microtime(true) - $begin < $seconds + 100.0);

sort($waits);
$share = fn (float $share): float => $waits === [] ? NAN : $waits[(int) floor($share * (count($waits) - 1))];
printf("the other cook’s screen: %d looks, median %.0f ms, p95 %.0f ms, longest %.0f ms\n", count($waits), 1000 * $share(0.5), 1000 * $share(0.95), 1000 * $share(1.0));
printf("the visitor: %s; longest %.1f s\n", json_encode($statuses), $took === [] ? 0.0 : max($took));
exit($share(0.95) <= 0.5 ? 0 : 1);
