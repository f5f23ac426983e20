<?php

declare(strict_types=1);

namespace Tests\Support;

/** bin/serve, run from this folder on the tests' database. */
final class Served
{
    public const PATIENCE_S = 60.0;

    /** @param  resource  $process */
    private function __construct(private $process, public readonly string $url)
    {
    }

    public static function begin(): self
    {
        $root = dirname(__DIR__, 2);
        $port = Processes::freePort();
        $process = proc_open(
            ["$root/bin/serve", '--port', (string) $port, '--workers', '4'],
            [['file', '/dev/null', 'r'], ['file', "$root/storage/test/served.log", 'w'], ['file', "$root/storage/test/served.log", 'a']],
            $pipes, $root, ['SERVE_NAME' => 'test', 'SERVE_MIGRATE' => 'no', 'APP_URL' => "http://127.0.0.1:$port"] + getenv(),
        );
        assert(is_resource($process));
        $served = new self($process, "http://127.0.0.1:$port");
        $end = microtime(true) + self::PATIENCE_S;
        while ($served->ask('/up') !== 200 && microtime(true) < $end) {
            usleep(200_000);
        }

        return $served;
    }

    /** @return int status, 0 for no answer */
    public function ask(string $path): int
    {
        $ask = curl_init($this->url.$path);
        curl_setopt_array($ask, [CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 10]);
        curl_exec($ask);

        return (int) curl_getinfo($ask, CURLINFO_RESPONSE_CODE);
    }

    /** @return array<string, string> headers, their names in small letters */
    public function headers(string $path): array
    {
        $headers = [];
        $ask = curl_init($this->url.$path);
        curl_setopt_array($ask, [CURLOPT_RETURNTRANSFER => true, CURLOPT_ENCODING => 'gzip', CURLOPT_HEADERFUNCTION => function ($ask, string $line) use (&$headers): int {
            [$name, $value] = explode(':', $line, 2) + [1 => ''];
            $headers[strtolower(trim($name))] = trim(($headers[strtolower(trim($name))] ?? '').' '.trim($value));

            return strlen($line);
        }]);
        curl_exec($ask);

        return $headers;
    }

    /** @return list<int> of processes under it whose command line has these words */
    public function processes(string $words): array
    {
        return Processes::named(proc_get_status($this->process)['pid'], $words);
    }

    public function end(): void
    {
        proc_terminate($this->process);
        proc_close($this->process);
    }
}
