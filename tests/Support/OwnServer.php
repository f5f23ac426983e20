<?php

declare(strict_types=1);

namespace Tests\Support;

/** A server of the same application that a test can take away and bring back: to a browser that is a network that goes. */
final class OwnServer
{
    private const PATIENCE_S = 60.0;

    /** @var resource|null */
    private $process = null;

    public function __construct(private readonly int $port)
    {
    }

    /** On a port that is free. */
    public static function begin(): self
    {
        $server = new self(Processes::freePort());
        $server->start();

        return $server;
    }

    public function url(): string
    {
        return "http://127.0.0.1:$this->port";
    }

    public function start(): void
    {
        $root = dirname(__DIR__, 2);
        $process = proc_open(
            [
                PHP_BINARY, '-d', 'opcache.enable=1', '-d', 'opcache.enable_cli=1', '-d', 'memory_limit=256M', '-S', "127.0.0.1:$this->port", '-t', "$root/public", "$root/bin/lib/router.php",
            ],
            [
                ['file', '/dev/null', 'r'], [
                    'file', "$root/storage/test/own-server.log", 'a',
                ], ['file', "$root/storage/test/own-server.log", 'a'],
            ],
            $pipes,
            $root,
            // It remembers between two requests, which the tests' own process does not.
            ['PHP_CLI_SERVER_WORKERS' => '3'] + array_diff_key(getenv(), ['CACHE_STORE' => '']),
        );
        assert(is_resource($process));
        $this->process = $process;
        $end = microtime(true) + self::PATIENCE_S;
        while (! $this->answers() && microtime(true) < $end) {
            usleep(100_000);
        }
    }

    private function answers(): bool
    {
        $ask = curl_init($this->url().'/up');
        curl_setopt_array($ask, [CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 5]);

        return curl_exec($ask) !== false;
    }

    /** Gone: who asks is refused. */
    public function stop(): void
    {
        if ($this->process === null) {
            return;
        }
        $pid = proc_get_status($this->process)['pid'];
        // Its workers are children of its own.
        exec("pkill -TERM -P $pid");
        proc_terminate($this->process);
        proc_close($this->process);
        $this->process = null;
        while ($this->answers()) {
            usleep(100_000);
        }
    }
}
