<?php

declare(strict_types=1);

use Tests\Support\OwnServer;

// The application as bin/start serves it.

/** What goes over the wire, byte for byte. @return array{status: int, headers: array<string, string>, body: string} */
function overTheWire(string $url, string $method, string $path, array $headers = []): array
{
    [, , $port] = explode(':', $url);
    $wire = fsockopen('127.0.0.1', (int) $port);
    assert(is_resource($wire));
    $lines = ["$method $path HTTP/1.1", "Host: 127.0.0.1:$port", 'Connection: close', 'Accept: application/json'];
    foreach ($headers + ['Accept-Encoding' => 'gzip, deflate, br'] as $name => $value) {
        $lines[] = "$name: $value";
    }
    fwrite($wire, implode("\r\n", $lines)."\r\nContent-Length: 0\r\n\r\n");
    [$head, $body] = explode("\r\n\r\n", (string) stream_get_contents($wire), 2);
    $rows = explode("\r\n", $head);
    preg_match('~^HTTP/1\.1 (\d+)~', $rows[0], $status);
    $found = [];
    foreach (array_slice($rows, 1) as $row) {
        [$name, $value] = explode(': ', $row, 2) + [1 => ''];
        $name = strtolower($name);
        $found[$name] = isset($found[$name]) && $name !== 'set-cookie' ? "$found[$name], $value" : $value;
    }

    return ['status' => (int) $status[1], 'headers' => $found, 'body' => $body];
}

beforeEach(function () {
    $this->server = OwnServer::begin();
    $this->cookie = '';
    $this->token = '';
    $this->ask = function (string $method, string $path, array $headers = []): array {
        $answer = overTheWire($this->server->url(), $method, $path, $headers + ['Cookie' => $this->cookie, 'X-CSRF-TOKEN' => $this->token]);
        if (isset($answer['headers']['set-cookie'])) {
            $this->cookie = explode(';', $answer['headers']['set-cookie'])[0];
        }

        return $answer;
    };
    $this->enter = function (): void {
        foreach ([['GET', '/api/me'], ['POST', '/api/demo']] as [$method, $path]) {
            $body = ($this->ask)($method, $path)['body'];
            $this->token = json_decode(str_starts_with($body, "\x1f\x8b") ? (string) gzdecode($body) : $body, true)['csrf'];
        }
    };
});
afterEach(function () {
    $this->server->stop();
});

it('sends what is long compressed, and says so', function () {
    ($this->enter)();
    $answer = ($this->ask)('GET', '/api/reference');
    expect($answer['status'])->toBe(200)->and($answer['headers']['content-encoding'])->toBe('gzip')
        ->and($answer['headers']['vary'])->toContain('Accept-Encoding')
        ->and(json_decode((string) gzdecode($answer['body']), true)['cuts'])->not->toBe([])
        // Asked for as it is, it comes as it is.
        ->and(json_decode(($this->ask)('GET', '/api/reference', ['Accept-Encoding' => 'identity'])['body'], true))
        ->toBe(json_decode((string) gzdecode($answer['body']), true));
});

it('sends nothing where there is nothing to send', function () {
    ($this->enter)();
    $first = ($this->ask)('GET', '/api/roasts');
    $roasts = json_decode((string) gzdecode($first['body']), true);
    $again = ($this->ask)('GET', '/api/roasts', ['If-None-Match' => $first['headers']['etag']]);
    $gone = ($this->ask)('DELETE', "/api/roasts/{$roasts[0]['id']}");
    $out = ($this->ask)('POST', '/api/logout');
    foreach (['unchanged' => [304, $again], 'deleted' => [204, $gone], 'signed out' => [204, $out]] as $what => [$status, $answer]) {
        expect($answer['status'])->toBe($status, $what)->and($answer['body'])->toBe('', $what)
            ->and($answer['headers'])->not->toHaveKey('content-encoding', $what);
    }
});

it('refuses a large body before it is decoded, where a decoded one would take more memory than a worker has', function () {
    ($this->enter)();
    $parts = substr(str_repeat('[0],', 1_700_000), 0, -1);
    $send = function (string $path, string $body): array {
        $ask = curl_init($this->server->url().$path);
        curl_setopt_array($ask, [
            CURLOPT_RETURNTRANSFER => true, CURLOPT_POSTFIELDS => $body, CURLOPT_TIMEOUT => 60,
            CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', 'Expect:', "Cookie: $this->cookie", "X-CSRF-TOKEN: $this->token"],
        ]);
        $answer = (string) curl_exec($ask);

        return [(int) curl_getinfo($ask, CURLINFO_RESPONSE_CODE), json_decode($answer, true)];
    };
    expect($send('/api/login', "{\"email\":[$parts]}")[0])->toBe(413)
        ->and($send('/api/roasts', "{\"dishes\":[$parts]}")[0])->toBe(413);
    [$status, $answer] = $send('/api/account/kitchen', "{\"roasts\":[$parts]}");
    expect($status)->toBe(422)->and(array_keys($answer['errors']))->toBe(['file'])
        ->and(($this->ask)('GET', '/api/me')['status'])->toBe(200);
});
