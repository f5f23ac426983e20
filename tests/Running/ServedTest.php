<?php

declare(strict_types=1);

use Tests\Support\Served;

// The application as it is served on a host of its own.

beforeEach(function () {
    $this->served = Served::begin();
});
afterEach(function () {
    $this->served->end();
});

it('keeps what the build made for good, compressed, and shows no version of anything', function () {
    $asset = basename((string) (glob(dirname(__DIR__, 2).'/public/build/assets/main-*.js') ?: [''])[0]);
    $headers = $this->served->headers("/build/assets/$asset");
    expect($headers['cache-control'])->toContain('immutable')->and($headers['content-encoding'])->toBe('gzip')
        ->and($headers['x-content-type-options'])->toBe('nosniff');
    foreach (['/', '/up', '/build/assets/none.js', "/build/assets/$asset", '/icon.svg', '/api/me'] as $path) {
        $said = json_encode($this->served->headers($path));
        expect($said)->not->toMatch('~nginx/\d|PHP/\d~i')->not->toContain('x-powered-by');
    }
    expect($this->served->headers('/')['content-security-policy'])->toContain("default-src 'none'")
        ->and($this->served->ask('/ready'))->toBe(200)
        // No other file is run or shown.
        ->and($this->served->headers('/.env')['content-type'])->toContain('text/html')
        ->and($this->served->ask('/build/../../.env'))->not->toBe(500);
});

it('finds every script and style of its pages', function () {
    $page = (string) file_get_contents($this->served->url.'/log');
    preg_match_all('~(?:src|href)="([^"]+)"~', $page, $links);
    expect($links[1])->not->toBe([]);
    foreach (array_unique($links[1]) as $link) {
        expect($link)->toStartWith('/')->and($this->served->ask($link))->toBe(200, $link);
    }
});

it('has its workers back when they are killed', function (string $words) {
    foreach ($this->served->processes($words) as $pid) {
        posix_kill($pid, SIGKILL);
    }
    $end = microtime(true) + Served::PATIENCE_S;
    while ($this->served->ask('/ready') !== 200 && microtime(true) < $end) {
        usleep(50_000);
    }
    $answers = array_map(fn (): int => $this->served->ask('/ready'), range(1, 20));
    expect(array_unique($answers))->toBe([200]);
})->with(['PHP' => 'php-fpm: pool', 'nginx' => 'nginx: worker']);

it('takes new code without dropping a request', function () {
    $pid = pcntl_fork();
    if ($pid === 0) {
        usleep(300_000);
        foreach (['php-fpm: master' => SIGUSR2, 'nginx: master' => SIGHUP] as $words => $signal) {
            foreach ($this->served->processes($words) as $one) {
                posix_kill($one, $signal);
            }
        }
        posix_kill((int) getmypid(), SIGKILL);
    }
    $answers = [];
    // Through the change and well past it, on a machine that answers quickly and on one that does not.
    [$least, $most] = [microtime(true) + 4.0, microtime(true) + Served::PATIENCE_S];
    while (microtime(true) < $least || (array_sum($answers) <= 50 && microtime(true) < $most)) {
        $status = $this->served->ask('/ready');
        $answers[$status] = ($answers[$status] ?? 0) + 1;
    }
    pcntl_waitpid($pid, $status);
    expect(array_keys($answers))->toBe([200])->and($answers[200])->toBeGreaterThan(50);
})->skip(fn (): bool => ! function_exists('pcntl_fork'), 'It takes a second process.');
