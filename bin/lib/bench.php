<?php

declare(strict_types=1);

use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\Observation;
use Diatherm\Cooker\OwnCurve;
use Diatherm\Cooker\Settings;
use Diatherm\Cooker\Weather;
use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Heat\Resolution;
use Diatherm\Live\LiveForecast;
use Diatherm\Live\Reading;
use Diatherm\Live\Sieve;
use Diatherm\Plan\Plan;
use Diatherm\Roast\RoastFile;
use Diatherm\Tending\Banking;
use Diatherm\Tending\FireLayout;
use Diatherm\Tending\FirePlanning;
use Diatherm\Tending\LaidFires;
use Diatherm\Ways\PlannedProspect;
use Diatherm\Ways\Question;
use Diatherm\Ways\Turn;
use Diatherm\Ways\Ways;

require __DIR__.'/../../vendor/autoload.php';

/** Median of $runs calls, ms, after two that do not count. */
function milliseconds(Closure $work, int $runs = 25): float
{
    $work();
    $work();
    $times = [];
    for ($i = 0; $i < $runs; $i++) {
        $start = hrtime(true);
        $work();
        $times[] = (hrtime(true) - $start) / 1e6;
    }
    sort($times);

    return $times[intdiv($runs, 2)];
}

function row(string $what, string $figure, string $promise): void
{
    printf("  %-58s %14s   %s\n", $what, $figure, $promise);
}

function timed(string $what, Closure $work, string $promise = '', int $runs = 25): void
{
    row($what, sprintf('%.1f ms', milliseconds($work, $runs)), $promise);
}

$roast = fn (array ...$dishes) => RoastFile::read(['serve_at' => '2031-10-04T18:45:00+02:00', 'dishes' => $dishes]);
$shoulder = ['cut' => 'pork-shoulder', 'mass_kg' => 3.5, 'target_c' => 88, 'stages' => [['cooker' => 'pellet', 'cooker_c' => 125]]];
$rack = ['cut' => 'pork-rack', 'mass_kg' => 3, 'start_c' => 6, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 150]]];
$bird = ['cut' => 'turkey', 'mass_kg' => 5.9, 'stages' => [['cooker' => 'oven', 'cooker_c' => 163]]];
$roots = ['cut' => 'potatoes', 'mass_kg' => 0.2, 'pieces' => 12, 'start_c' => 15, 'stages' => [['cooker' => 'gas', 'cooker_c' => 190]]];

echo "Core\n";
$long = $roast($shoulder)->dishes[0];
$after = function (Resolution $resolution) use ($long): float {
    $cook = Cook::of($long, 15.0, $resolution, Course::asPlanned());
    $cook->body->in($long->stages[0]->cooker->inside->surroundings($long->stages[0]->cookerC, 15.0, $long->shape()), 8 * 3600.0);

    return $cook->body->coreC();
};
timed('Eight hours of one joint, resolution shown', fn () => $after(Resolution::fine()), '6 ms');
row('  its core off the converged answer', sprintf('%.2f °C', abs($after(Resolution::fine()) - $after(Resolution::of(96, 1.0)))), '0.1 °C');
timed('Whole forecast of that joint: band, coast, price of a lift', fn () => Forecast::of($long, 15.0));
$now = new DateTimeImmutable('2031-10-04T06:00:00+02:00');
timed('Plan of a roast of four dishes', fn () => Plan::of($roast($shoulder, $rack, $bird, $roots), $now), '80 ms');
$beside = ['greens', 'rice', 'buttered-loaf', 'pan-gravy', 'diced-potatoes', 'flat-bread', 'raw-onions', 'stock'];
$feast = RoastFile::read(['serve_at' => '2031-10-04T18:45:00+02:00', 'people' => 60, 'dishes' => array_map(
    fn (int $i): array => [...[$shoulder, $rack, $bird, $roots][$i % 4], 'name' => "Dish $i", 'course' => 1 + $i % 2],
    range(0, 11),
), 'sides' => array_map(fn (string $id): array => ['side' => $id], $beside)]);
$laid = LaidFires::lay($feast, []);
$dishes = Plan::dishes($laid);
$tasks = count(array_filter(Plan::from($laid, $dishes, $now, [])->runSheet->entries, fn ($entry): bool => $entry->work?->minutes > 0.0));
timed("Day of twelve dishes and $tasks tasks, beyond the forecasts", fn () => Plan::from($laid, $dishes, $now, []), '100 ms');
$prospect = new PlannedProspect($now);
$standing = $prospect->standing($roast($rack, $roots), []);
$late = Question::of(Turn::GuestsLate, minutes: 40);
timed('Ways out of late guests, each to its end', fn () => Ways::out($late, $standing, $prospect), runs: 9);
$pork = $roast($rack)->dishes[0];
$readings = array_map(fn (int $i): Reading => Reading::of("r$i", 900.0 * ($i + 1), 'core', [9.0, 18.0, 28.0, 36.0, 43.0][$i]), range(0, 4));
$course = new Course([[0.0, 152.0], [1800.0, 149.0], [3600.0, 143.0]], [[2700.0, 120.0]], [], null, 4600.0);
$live = fn () => LiveForecast::of($pork, 15.0, $course, $readings, 56.0);
timed('Live forecast with band, five readings (a few dozen runs)', $live, '50 ms');
$climbing = fn (int $i): Reading => Reading::of("r$i", 30.0 * $i, 'core', 6.0 + 0.012 * $i);
$series = fn (int $many): array => array_map($climbing, range(1, $many));
$sieved = fn (int $many): float => milliseconds(fn () => Sieve::judge($series($many), $pork, new Course(nowS: 90_000.0)));
row('3000 readings sieved, against 300', sprintf('x %.1f', $sieved(3000) / $sieved(300)), 'x 20');
$potted = $roast(['cut' => 'turkey', 'mass_kg' => 6.35, 'stages' => [['cooker' => 'lidded-roaster', 'cooker_c' => 121]]])->dishes[0];
timed('Forecast of a bird in a lidded roaster: wall, air, vapour', fn () => Forecast::of($potted, 15.0));
$pot = ['kind' => 'buried_pot', 'pot_cm' => 35.6, 'ground' => 'wet'];
$breast = ['cut' => 'turkey-breast', 'mass_kg' => 2.95, 'rig' => $pot, 'stages' => [['cooker' => 'camp-oven']]];
$buried = LaidFires::lay($roast($breast), [])->dishes[0];
timed('Forecast of a buried pot: bed, ground, wall, stock', fn () => Forecast::of($buried, 15.0));

$lamb = ['cut' => 'lamb-whole', 'mass_kg' => 15, 'taste' => 'medium', 'stages' => [['cooker' => 'open-spit', 'cooker_c' => 360]]];
$spit = Plan::of($roast($lamb), $now);
$bed = $spit->fires[0]->plan;
$shared = fn () => [(new FireLayout($bed))->floor()?->field(24, 10, 0.5), Banking::of($bed, $spit->forecast(0))];
timed('Fire floor of a whole lamb: flux, every part, coals shared out', $shared, '100 ms');
timed('Fire plan of eight hours, minute by minute', fn () => FirePlanning::all($spit->roast, [$spit->forecast(0)], [$now], []));
$kettle = Equipment::of('kettle');
$points = array_map(function (int $i) use ($kettle): Observation {
    $mm = 3.0 + 12.0 * ($i % 97) / 96.0;
    $weather = Weather::of(5.0 + $i % 20, 0.5 * ($i % 7));
    $settings = Settings::of(['intake_mm' => $mm, 'exhaust_mm' => $mm]);

    $aboveAir = $kettle->mechanism()->steadyC($settings, $weather) - $weather->airC;

    return Observation::of($settings, $weather, $weather->airC + (0.92 + 0.02 * ($i % 5 - 2)) * $aboveAir);
}, range(0, 499));
timed('A cooker’s curve from 500 readings', fn () => OwnCurve::of($kettle, $points), '100 ms');

echo "\nFirst load\n";
$manifest = json_decode((string) file_get_contents(__DIR__.'/../../public/build/manifest.json'), true);
/** @param  array<string, bool>  $seen  a script with all that it needs before it can run, kB compressed */
$weigh = function (string $key, array &$seen) use (&$weigh, $manifest): float {
    if (isset($seen[$key])) {
        return 0.0;
    }
    $seen[$key] = true;
    $own = strlen((string) gzencode((string) file_get_contents(__DIR__.'/../../public/build/'.$manifest[$key]['file']), 9)) / 1000;

    foreach ($manifest[$key]['imports'] ?? [] as $one) {
        $own += $weigh($one, $seen);
    }

    return $own;
};
$seen = [];
row('Compressed script before the hearth stands', sprintf('%.0f kB', $weigh('resources/js/main.tsx', $seen)), '200 kB');
row('  and with the roast’s own', sprintf('%.0f kB more', $weigh('resources/js/roast/RoastPage.tsx', $seen)), '');

echo "\nAPI, one request after another: p95, and as a multiple of the bare route’s\n";
$base = (string) getenv('APP_URL');
$jar = tempnam(sys_get_temp_dir(), 'diatherm');
$client = curl_init();
$tags = [];
$call = function (
    string $method, string $path, mixed $body = null, string $csrf = '', string $tag = '', bool $quiet = false,
) use ($client, $base, $jar, &$tags): array {
    $headers = ['Accept: application/json', 'Content-Type: application/json', "X-CSRF-TOKEN: $csrf"];
    if ($tag !== '') {
        $headers[] = "If-None-Match: $tag";
    }
    if ($quiet) {
        $headers[] = 'Prefer: return=minimal';
    }
    curl_setopt_array($client, [
        CURLOPT_URL => $base.$path, CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true,
        CURLOPT_COOKIEFILE => $jar, CURLOPT_COOKIEJAR => $jar, CURLOPT_HTTPHEADER => $headers,
        CURLOPT_HEADERFUNCTION => function ($_, string $line) use ($path, &$tags): int {
            if (preg_match('/^etag: (.+?)\r?\n$/i', $line, $found) === 1) {
                $tags[$path] = $found[1];
            }

            return strlen($line);
        },
        CURLOPT_POSTFIELDS => $body === null ? '' : json_encode($body),
    ]);
    $start = hrtime(true);
    $answer = curl_exec($client);
    $ms = (hrtime(true) - $start) / 1e6;
    $status = curl_getinfo($client, CURLINFO_RESPONSE_CODE);
    if ($status >= 400) {
        fwrite(STDERR, "$method $path answered $status\n");
        exit(1);
    }

    return [json_decode((string) $answer, true), $ms];
};
$csrf = $call('GET', '/api/me')[0]['csrf'];
$csrf = $call('POST', '/api/demo', null, $csrf)[0]['csrf'];
$all = $call('GET', '/api/roasts')[0];
$roasts = array_column($all, null, 'status');
// An ordinary bird, and a whole lamb over wood.
$files = array_column(array_column($all, 'file'), null, 'name');
$whole = $files['Lamb for the boathouse roof'];
$cooking = $roasts['cooking']['id'];
$cooker = $call('GET', '/api/cookers')[0][0]['id'];
$file = ['serve_at' => (new DateTimeImmutable('+6 hours'))->format(DATE_ATOM)] + $files['Sunday on the lock island'];
$hex = fn (int $digits): string => substr(bin2hex(random_bytes(8)), 0, $digits);
$uuid = fn (): string => sprintf('%s-%s-4%s-a%s-%s', ...array_map($hex, [8, 4, 3, 3, 12]));
$noted = fn (): array => ['id' => $uuid(), 'dish' => 0, 'at' => date(DATE_ATOM), 'kind' => 'note', 'note' => 'bench'];
$read = fn (): array => ['id' => $uuid(), 'dish' => 0, 'at' => date(DATE_ATOM), 'place' => 'core', 'celsius' => 40];
// What a screen does that asks again: with the tag of what it was told.
$again = function (string $path) use ($call, &$tags): array {
    return $call('GET', $path, tag: $tags[$path] ?? '');
};
$most = [
    'GET /api/roasts/{cooking}, nothing new' => 1.5, 'GET /api/roasts, nothing new' => 1.5, 'POST /api/preview' => 3.0,
    'POST /api/roasts/{cooking}/readings' => 5.0, 'GET /api/roasts of 60' => 3.0,
];
$routes = [
    'GET /api/me (bare: session, nothing computed)' => fn () => $call('GET', '/api/me'),
    'GET /api/reference' => fn () => $call('GET', '/api/reference'),
    'GET /api/roasts' => fn () => $call('GET', '/api/roasts'),
    'GET /api/roasts/{planned}' => fn () => $call('GET', '/api/roasts/'.$roasts['planned']['id']),
    'GET /api/roasts/{cooking}' => fn () => $call('GET', "/api/roasts/$cooking"),
    'GET /api/roasts/{cooking}, nothing new' => fn () => $again("/api/roasts/$cooking"),
    'GET /api/roasts, nothing new' => fn () => $again('/api/roasts'),
    'GET /api/roasts/{done}' => fn () => $call('GET', '/api/roasts/'.$roasts['done']['id']),
    'GET /api/cookers' => fn () => $call('GET', '/api/cookers'),
    'POST /api/cookers/{cooker}/ask' => fn () => $call('POST', "/api/cookers/$cooker/ask", ['target_c' => 150], $csrf),
    'GET /api/roasts/{cooking}/file' => fn () => $call('GET', "/api/roasts/$cooking/file"),
    'GET /api/roasts/{cooking}/readings.csv' => fn () => $call('GET', "/api/roasts/$cooking/readings.csv"),
    // As it is typed: another mass each time.
    'POST /api/preview' => function () use ($call, &$file, $csrf): array {
        $file['dishes'][0]['mass_kg'] = round($file['dishes'][0]['mass_kg'] + 0.001, 3);

        return $call('POST', '/api/preview', $file, $csrf);
    },
    '  of a whole lamb on a spit over wood' => function () use ($call, &$whole, $csrf): array {
        $whole['dishes'][0]['mass_kg'] = round($whole['dishes'][0]['mass_kg'] + 0.001, 3);

        return $call('POST', '/api/preview', $whole, $csrf);
    },
    'POST /api/roasts' => fn () => $call('POST', '/api/roasts', $file, $csrf),
    'GET /api/roasts of 60' => fn () => $call('GET', '/api/roasts'),
    'PUT /api/roasts/{planned}' => fn () => $call('PUT', '/api/roasts/'.$roasts['planned']['id'], $file, $csrf),
    // As a screen logs: no answer is asked for but that it is kept; what it means is asked for once, when all is through.
    'POST /api/roasts/{cooking}/events' => fn () => $call('POST', "/api/roasts/$cooking/events", $noted(), $csrf, quiet: true),
    'POST /api/roasts/{cooking}/readings' => fn () => $call('POST', "/api/roasts/$cooking/readings", $read(), $csrf, quiet: true),
    'GET /api/roasts/{cooking}, a reading later' => function () use ($call, $cooking, $read, $csrf): array {
        $call('POST', "/api/roasts/$cooking/readings", $read(), $csrf, quiet: true);

        return $call('GET', "/api/roasts/$cooking");
    },
];
$bare = null;
foreach ($routes as $name => $request) {
    $times = [];
    for ($i = 0; $i < 48; $i++) {
        $ms = $request()[1];
        if ($i >= 8) {
            $times[] = $ms;
        }
    }
    sort($times);
    $p95 = $times[37];
    $bare ??= $p95;
    row($name, sprintf('%.0f ms × %.1f', $p95, $p95 / $bare), isset($most[$name]) ? sprintf('× %.1f', $most[$name]) : '');
}
unlink($jar);

echo "\n300 live screens, each asking every 15 s, for half a minute (promised: p95 under 500 ms)\n";
passthru(PHP_BINARY.' '.escapeshellarg(__DIR__.'/../../tests/Load/screens.php').' '.escapeshellarg($base).' 300 30 8');
