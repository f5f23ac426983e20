<?php

declare(strict_types=1);

use Tests\Support\Processes;

require_once __DIR__.'/../../vendor/autoload.php';
require_once __DIR__.'/cooks.php';

/**
 * A server and its database in a folder of their own, each begun again whenever it ends, as a host's systemd would. The database may be
 * given a disk of a size of its own, that can be filled.
 */
final class Host
{
    private const PORT = 8260;

    private const DATABASE_PORT = 3460;

    /** @var array<string, resource> what begins each of them again, by name */
    private array $running = [];

    private function __construct(private readonly string $folder, private readonly string $password, private readonly ?int $diskMb)
    {
    }

    public static function begin(?int $diskMb = null): self
    {
        $host = new self(sys_get_temp_dir().'/diatherm-host-'.bin2hex(random_bytes(4)), bin2hex(random_bytes(24)), $diskMb);
        mkdir($host->disk(), 0700, true);
        if ($diskMb !== null) {
            self::run(['mount', '-t', 'tmpfs', '-o', "size={$diskMb}m", 'tmpfs', $host->disk()]);
        }
        self::run([
            'mariadb-install-db', '--no-defaults', "--datadir={$host->disk()}/data", '--user=root',
            '--auth-root-authentication-method=normal', '--skip-test-db',
        ]);
        $host->beginDatabase();
        $who = "diatherm@'127.0.0.1'";
        $sql = "create database diatherm character set utf8mb4; create user $who identified by '$host->password'; grant all on diatherm.* to $who";
        while (! self::runs(['mariadb', '--no-defaults', "--socket=$host->folder/db.sock", '-uroot', '-e', $sql])) {
            usleep(300_000);
        }
        $host->always('server', ['bin/serve', '--port', (string) self::PORT, '--workers', '4']);
        $host->awaitReady();

        return $host;
    }

    public function url(): string
    {
        return 'http://127.0.0.1:'.self::PORT;
    }

    public function disk(): string
    {
        return "$this->folder/disk";
    }

    public function database(): PDO
    {
        return new PDO('mysql:host=127.0.0.1;port='.self::DATABASE_PORT.';dbname=diatherm', 'diatherm', $this->password);
    }

    public function beginDatabase(): void
    {
        $this->always('database', [
            'mariadbd', '--no-defaults', "--datadir=$this->folder/disk/data", '--user=root', '--bind-address=127.0.0.1',
            '--port='.self::DATABASE_PORT, "--socket=$this->folder/db.sock", '--innodb-log-file-size=16M',
        ]);
    }

    /** And nobody begins it again. */
    public function endDatabase(): void
    {
        $this->endAll('database');
    }

    public function isReady(): bool
    {
        return ask('GET', $this->url().'/ready')[0] === 200;
    }

    public function awaitReady(): void
    {
        while (! $this->isReady()) {
            usleep(100_000);
        }
    }

    /** @return list<int> what of it runs under these words */
    public function named(string $words): array
    {
        $found = array_merge(...array_values(array_map(
            fn ($process): array => Processes::named(proc_get_status($process)['pid'], $words), $this->running,
        )));

        // The shells that begin them again have the same words.
        return array_values(array_filter(
            $found, fn (int $pid): bool => ! str_contains((string) @file_get_contents("/proc/$pid/comm"), 'sh'),
        ));
    }

    public function end(): void
    {
        foreach (array_keys($this->running) as $name) {
            $this->endAll($name);
        }
        if ($this->diskMb !== null) {
            self::run(['umount', '-l', $this->disk()]);
        }
        self::run(['rm', '-rf', $this->folder]);
    }

    /** @param  list<string>  $command */
    private function always(string $name, array $command): void
    {
        $words = implode(' ', array_map(escapeshellarg(...), $command));
        $log = ['file', "$this->folder/$name.log", 'a'];
        $process = proc_open(
            ['setsid', 'sh', '-c', "while :; do $words; sleep 0.2; done"], [['file', '/dev/null', 'r'], $log, $log], $pipes, dirname(__DIR__, 2),
            [
                'DB_HOST' => '127.0.0.1', 'DB_PORT' => (string) self::DATABASE_PORT, 'DB_DATABASE' => 'diatherm', 'DB_USERNAME' => 'diatherm',
                'DB_PASSWORD' => $this->password, 'SERVE_NAME' => 'trial', 'APP_DEMO' => 'false', 'LIMIT_REGISTER' => '1000',
                'LIMIT_COMPUTE' => '100000', 'WORK_MOST_S' => '1000000',
            ] + getenv(),
        );
        assert(is_resource($process));
        $this->running[$name] = $process;
    }

    private function endAll(string $name): void
    {
        $all = Processes::under(proc_get_status($this->running[$name])['pid']);
        // What begins it again first; then what runs is told to end, with all that it started in groups of their own.
        posix_kill($all[0], SIGKILL);
        array_map(fn (int $pid): bool => posix_kill($pid, SIGTERM), array_slice($all, 1));
        for ($i = 0; $i < 100 && array_filter($all, fn (int $pid): bool => posix_kill($pid, 0)) !== []; $i++) {
            usleep(100_000);
        }
        foreach ($all as $pid) {
            posix_kill($pid, SIGKILL);
        }
        proc_close($this->running[$name]);
        unset($this->running[$name]);
    }

    /** @param  list<string>  $command */
    private static function runs(array $command, ?string &$said = null): bool
    {
        exec(implode(' ', array_map(escapeshellarg(...), $command)).' 2>&1', $lines, $failed);
        $said = implode("\n", $lines);

        return $failed === 0;
    }

    /** @param  list<string>  $command */
    private static function run(array $command): void
    {
        if (! self::runs($command, $said)) {
            fwrite(STDERR, "$said\n");
            exit(2);
        }
    }
}
