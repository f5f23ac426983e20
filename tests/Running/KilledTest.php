<?php

declare(strict_types=1);

use Tests\Support\Processes;

// What bin/start starts ends with it, or with the next start where it was killed hard; a worker that dies is replaced.

beforeEach(function () {
    $this->port = Processes::freePort();
    $this->root = dirname(__DIR__, 2);
    $this->runs = [];
    // As bin/start does it, under a lock and a log of its own.
    $this->run = function (): int {
        $script = 'source bin/lib/prepare.sh; only_one storage/test/killed "it is running already."; trap stop_all EXIT; trap "exit 130" INT TERM; '.
            "serve $this->port 2 storage/test/killed.log; watch_over $this->port 2 storage/test/killed.log";
        $run = proc_open(['bash', '-c', $script], [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']], $pipes, $this->root);
        assert(is_resource($run));
        $this->runs[] = $run;

        return proc_get_status($run)['pid'];
    };
    $this->answers = fn (): bool => @file_get_contents("http://127.0.0.1:$this->port/up") !== false;
    $this->until = function (Closure $is): bool {
        $end = microtime(true) + 60.0;
        while (! $is() && microtime(true) < $end) {
            usleep(100_000);
        }

        return $is();
    };
    /** @return list<int> */
    $this->servers = fn (): array => array_values(array_filter(
        array_map(intval(...), array_filter(scandir('/proc') ?: [], ctype_digit(...))),
        fn (int $pid): bool => str_contains(strtr((string) @file_get_contents("/proc/$pid/cmdline"), "\0", ' '), "-S 127.0.0.1:$this->port"),
    ));
});
afterEach(function () {
    foreach ($this->runs as $run) {
        proc_terminate($run);
        proc_close($run);
    }
    expect(($this->until)(fn (): bool => ($this->servers)() === []))->toBeTrue();
});

it('ends what a run that was killed left behind, and starts', function () {
    $first = ($this->run)();
    expect(($this->until)($this->answers))->toBeTrue();
    posix_kill($first, SIGKILL);
    $left = ($this->servers)();
    expect($left)->not->toBe([]);
    ($this->run)();
    expect(($this->until)(fn (): bool => array_intersect($left, ($this->servers)()) === [] && ($this->answers)()))->toBeTrue();
});

it('refuses to run twice from one folder', function () {
    ($this->run)();
    expect(($this->until)($this->answers))->toBeTrue();
    $second = ($this->run)();
    expect(($this->until)(fn (): bool => ! posix_kill($second, 0) || proc_get_status($this->runs[1])['running'] === false))->toBeTrue()
        ->and(($this->answers)())->toBeTrue();
});

it('has as many workers again when one has died', function () {
    ($this->run)();
    expect(($this->until)($this->answers))->toBeTrue();
    $before = ($this->servers)();
    expect($before)->toHaveCount(3);
    posix_kill(max($before), SIGKILL);
    expect(($this->until)(fn (): bool => array_intersect($before, ($this->servers)()) === [] && count(($this->servers)()) === 3 && ($this->answers)()))
        ->toBeTrue();
});

it('keeps its logs for its owner alone', function () {
    ($this->run)();
    expect(($this->until)($this->answers))->toBeTrue()
        ->and(fileperms("$this->root/storage/test/killed.log") & 0777)->toBe(0600);
});
