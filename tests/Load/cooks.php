<?php

declare(strict_types=1);

// Cooks who log while things break, and the count of what was acknowledged to them against what is stored.

/** @return array{int, mixed, float} status, answer and seconds */
function ask(string $method, string $url, mixed $body = null, string $jar = '', string $csrf = ''): array
{
    $from = microtime(true);
    $curl = curl_init($url);
    curl_setopt_array($curl, [
        CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 20, CURLOPT_COOKIEJAR => $jar, CURLOPT_COOKIEFILE => $jar,
        CURLOPT_HTTPHEADER => [
            'Accept: application/json', 'Content-Type: application/json', "X-CSRF-TOKEN: $csrf", 'Prefer: return=minimal',
        ],
    ] + ($body === null ? [] : [CURLOPT_POSTFIELDS => json_encode($body)]));
    $said = curl_exec($curl);
    $status = (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
    curl_close($curl);

    return [$status, json_decode((string) $said, true), microtime(true) - $from];
}

function uuid(): string
{
    return preg_replace('/(.{8})(.{4}).(.{3}).(.{3})(.{12})/', '$1-$2-4$3-a$4-$5', bin2hex(random_bytes(16)));
}

/** A cook who logs a reading as soon as the last is acknowledged, as the outbox of a device does: the same entry until it is. */
function write(string $base, string $file, string $stop): never
{
    $jar = tempnam(sys_get_temp_dir(), 'diatherm-jar-');
    do {
        $cook = ['name' => 'Ada', 'email' => bin2hex(random_bytes(8)).'@weir.example', 'password' => 'ember and straw'];
        [$status, $me] = ask('POST', "$base/api/register", $cook, $jar);
    } while ($status !== 200 && ! usleep(300_000));
    $csrf = $me['csrf'];
    do {
        [$status, $roast] = ask('POST', "$base/api/roasts", [
            'serve_at' => date(DATE_ATOM, time() + 4 * 3600), 'dishes' => [
                ['cut' => 'chicken', 'mass_kg' => 1.8, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 180]]],
            ],
        ], $jar, $csrf);
    } while ($status !== 201 && ! usleep(300_000));
    $out = fopen($file, 'a');
    $log = fn (string $what, array $body): array => ask('POST', "$base/api/roasts/{$roast['id']}/$what", $body, $jar, $csrf);
    while ($log('events', $on ??= ['id' => uuid(), 'dish' => 0, 'at' => date(DATE_ATOM), 'kind' => 'on'])[0] >= 300) {
        usleep(200_000);
    }
    $readBack = 0;
    while (! is_file($stop)) {
        $entry = ['id' => uuid(), 'dish' => 0, 'at' => date(DATE_ATOM), 'place' => 'core', 'celsius' => round(5 + 60 * lcg_value(), 1)];
        $tries = 0;
        for (; ;) {
            $tries++;
            [$status, , $seconds] = $log('readings', $entry);
            if ($status >= 200 && $status < 300) {
                break;
            }
            fwrite($out, json_encode(['refused' => $status])."\n");
            if (is_file($stop)) {
                exit(0);
            }
            usleep(150_000);
        }
        $done = ['roast' => $roast['id'], 'id' => $entry['id'], 'at' => microtime(true), 'tries' => $tries, 's' => $seconds];
        fwrite($out, json_encode($done)."\n");
        // What was written is there when it is asked for, whichever node answers.
        if (++$readBack % 20 === 0) {
            [$status, $shown] = ask('GET', "$base/api/roasts/{$roast['id']}", null, $jar, $csrf);
            // An answer that was cut short by a kill is none.
            if ($status === 200 && is_array($shown) && ! in_array($entry['id'], array_column($shown['readings'] ?? [], 'id'), true)) {
                fwrite($out, json_encode(['stale' => $entry['id']])."\n");
            }
        }
        usleep(20_000);
    }
    exit(0);
}

/** Cooks who write until they are counted. */
final class Cooks
{
    /** @param  list<int>  $pids */
    private function __construct(private readonly string $folder, private readonly array $pids)
    {
    }

    public static function begin(string $base, int $count): self
    {
        $folder = sys_get_temp_dir().'/diatherm-load-'.bin2hex(random_bytes(4));
        mkdir($folder);
        $pids = [];
        for ($i = 0; $i < $count; $i++) {
            $pid = pcntl_fork();
            if ($pid === 0) {
                write($base, "$folder/$i.log", "$folder/stop");
            }
            $pids[] = $pid;
        }

        return new self($folder, $pids);
    }

    /**
     * Lets them stop, and prints what they were told.
     *
     * @return array{acknowledged: array<string, string>, stale: int} roasts by the ids of their readings; reads that missed a write
     */
    public function end(): array
    {
        touch("$this->folder/stop");
        foreach ($this->pids as $pid) {
            pcntl_waitpid($pid, $status);
        }
        $acknowledged = $times = $refused = [];
        $again = $stale = 0;
        foreach (glob("$this->folder/*.log") ?: [] as $file) {
            foreach (file($file, FILE_IGNORE_NEW_LINES) ?: [] as $line) {
                $one = json_decode($line, true);
                if (isset($one['refused'])) {
                    $refused[$one['refused']] = ($refused[$one['refused']] ?? 0) + 1;
                } elseif (isset($one['stale'])) {
                    $stale++;
                } else {
                    $acknowledged[$one['id']] = $one['roast'];
                    $times[] = $one['at'];
                    $again += $one['tries'] > 1 ? 1 : 0;
                }
            }
            unlink($file);
        }
        unlink("$this->folder/stop");
        rmdir($this->folder);
        sort($times);
        $gap = 0.0;
        for ($i = 1; $i < count($times); $i++) {
            $gap = max($gap, $times[$i] - $times[$i - 1]);
        }
        printf("\nanswers that acknowledged nothing, by status (0: none): %s\n", json_encode($refused));
        printf("%d entries acknowledged to %d writers; %d were sent more than once\n", count($acknowledged), count($this->pids), $again);
        printf("longest time in which no writer had an answer: %.1f s; reads that missed a write: %d\n", $gap, $stale);

        return ['acknowledged' => $acknowledged, 'stale' => $stale];
    }
}

/**
 * @param  array<string, string>  $acknowledged
 * @return int how many were lost or doubled in that database
 */
function counted(string $name, array $acknowledged, PDO $node): int
{
    $rows = $node->query('select client_id, count(*) as n from readings group by client_id')->fetchAll(PDO::FETCH_KEY_PAIR);
    $lost = count(array_diff_key($acknowledged, $rows));
    $doubled = count(array_filter($rows, fn ($count): bool => (int) $count > 1));
    printf("%s: %d entries, %d acknowledged ones lost, %d doubled\n", $name, count($rows), $lost, $doubled);

    return $lost + $doubled;
}
