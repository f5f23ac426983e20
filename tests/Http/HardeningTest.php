<?php

declare(strict_types=1);

use App\Http\Middleware\SessionsForCooks;
use App\Models\User;
use App\Observed\Counters;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

// What docs/security.md promises, point by point. Source of the points: OWASP ASVS 4.0.3, level 2.

beforeEach(fn () => config(['session.driver' => 'database']));

/** As a browser would send it to the real application. */
function asBrowser(object $test): object
{
    app()['env'] = 'production';

    return $test;
}

it('tells a browser what it may do, on every kind of answer (14.4)', function (string $path) {
    $answer = $this->actingAs($this->cook())->get($path);
    $policy = (string) $answer->headers->get('Content-Security-Policy');
    expect($policy)->toContain("default-src 'none'")->toContain("frame-ancestors 'none'")
        ->not->toContain('unsafe')->not->toContain('http')->not->toContain('*')
        ->and($answer->headers->get('X-Content-Type-Options'))->toBe('nosniff')
        ->and($answer->headers->get('Referrer-Policy'))->toBe('no-referrer')
        ->and($answer->headers->get('Permissions-Policy'))->toContain('camera=()')
        ->and($answer->headers->has('Strict-Transport-Security'))->toBeFalse()
        ->and($answer->headers->has('Server'))->toBeFalse()
        ->and(json_encode($answer->headers->all()))->not->toContain('PHP/');
})->with([
    '/', '/log', '/up', '/ready', '/worker.js', '/metrics',
    '/api/me', '/api/roasts', '/api/nothing', '/api/roasts/01ARZ3NDEKTSV4RRFFQ69G5FAV',
]);

it('forbids nothing that its own screens ask of a device', function () {
    // What a page may ask for, by the name under which it asks. Source: W3C Permissions Policy, registry of features.
    $features = [
        'geolocation' => 'geolocation', 'wakeLock' => 'screen-wake-lock', 'mediaDevices' => 'camera', 'usb' => 'usb', 'bluetooth' => 'bluetooth',
        'clipboard' => 'clipboard-write', 'share' => 'web-share', 'requestMIDIAccess' => 'midi', 'getBattery' => 'battery', 'serial' => 'serial',
    ];
    $policy = (string) $this->get('/')->headers->get('Permissions-Policy');
    $asked = [];
    foreach ((new \Symfony\Component\Finder\Finder)->files()->in(resource_path('js'))->name(['*.ts', '*.tsx'])->notName('*.test.*') as $file) {
        preg_match_all('~navigator\.(\w+)~', $file->getContents(), $found);
        $asked = [...$asked, ...$found[1]];
    }
    $asked = array_values(array_intersect_key($features, array_flip($asked)));
    expect($asked)->toContain('geolocation')->toContain('screen-wake-lock');
    foreach ($asked as $feature) {
        expect($policy)->not->toContain("$feature=()");
    }
    // And what no screen asks for is asked for by no script that might get in.
    foreach (['camera', 'microphone', 'payment', 'usb'] as $feature) {
        expect($policy)->toContain("$feature=()");
    }
});

it('asks for TLS from then on where it was reached by it, and sends its cookies by nothing else (3.4.1, 9.1)', function () {
    $this->cook();
    $answer = $this->postJson(
        'https://127.0.0.1/api/register', [
            'name' => 'Ada', 'email' => 'ada@weir.example', 'password' => 'ember and straw', 'remember' => true,
        ],
    );
    expect($answer->headers->get('Strict-Transport-Security'))->toContain('max-age=31536000');
    expect($answer->headers->getCookies())->toHaveCount(2);
    foreach ($answer->headers->getCookies() as $cookie) {
        expect($cookie->isSecure())->toBeTrue()->and($cookie->isHttpOnly())->toBeTrue()->and($cookie->getSameSite())->toBe('lax');
    }
});

it('has nothing from elsewhere and no script of its own on any page (14.2.3, 5.3.3)', function (string $path) {
    $page = (string) $this->get($path)->assertOk()->content();
    expect($page)->not->toMatch('~<script(?![^>]*\bsrc=)~')->not->toContain('style=')->not->toMatch('~\son\w+=~');
    preg_match_all('~(?:src|href)="([^"]+)"~', $page, $links);
    foreach ($links[1] as $link) {
        expect(str_starts_with($link, '/') || str_starts_with($link, (string) config('app.url')))->toBeTrue($link);
    }
})->with(['/', '/up', '/log', '/account']);

it('keeps no session and sends no cookie to a passer-by (3.2)', function () {
    foreach (['/', '/log', '/up', '/api/me', '/api/nothing', '/api/roasts'] as $path) {
        expect($this->getJson($path)->headers->getCookies())->toBe([], $path);
    }
    $this->postJson('/api/login', ['email' => 'nobody@weir.example', 'password' => 'x']);
    expect(DB::table('sessions')->count())->toBe(0);
    $this->postJson('/api/register', ['name' => 'Ada', 'email' => 'ada@weir.example', 'password' => 'ember and straw'])->assertOk();
    expect(DB::table('sessions')->count())->toBe(1);
});

it('ends a session that is not to be remembered with the browser, and after a day and a half (3.3)', function () {
    $answer = $this->postJson(
        '/api/register', ['name' => 'Ada', 'email' => 'ada@weir.example', 'password' => 'ember and straw', 'remember' => false],
    )->assertOk();
    [$cookie] = $answer->headers->getCookies();
    expect($cookie->getExpiresTime())->toBe(0);
    $again = fn () => tap($this, fn () => $this->app['auth']->forgetGuards())
        ->withUnencryptedCookie($cookie->getName(), $cookie->getValue())->getJson('/api/me');
    $this->app->forgetInstance('session.store');
    $again()->assertJsonPath('user.name', 'Ada');
    $this->travel(37)->hours();
    $again()->assertJsonPath('user', null);
    expect(SessionsForCooks::BRIEF_SINCE)->not->toBe('');
});

it('takes changes from its own pages alone (4.2.2, 13.2.3)', function (array $headers, int $status) {
    asBrowser($this)->withHeaders($headers)->postJson(
        'http://127.0.0.1/api/login', ['email' => 'nobody@weir.example', 'password' => 'x'],
    )->assertStatus($status);
})->with([
    'its own page' => [['Sec-Fetch-Site' => 'same-origin'], 422], 'another site' => [['Sec-Fetch-Site' => 'cross-site'], 419],
    'a neighbour under the same name' => [['Sec-Fetch-Site' => 'same-site'], 419],
    'an old browser elsewhere' => [['Origin' => 'https://elsewhere.example'], 419],
    'an old browser here' => [['Origin' => 'http://127.0.0.1'], 422], 'no browser' => [[], 422],
]);

it('takes a change of a cook’s with their session’s token alone', function () {
    asBrowser($this)->actingAs($this->cook())->withHeaders(['Sec-Fetch-Site' => 'same-origin'])
        ->patchJson('/api/me', ['clock_hours' => 12])->assertStatus(419);
});

it('answers to its own names alone (14.5.3)', function () {
    asBrowser($this);
    Illuminate\Http\Request::setTrustedHosts(App\Http\Hosts::asPatterns());
    $this->get('http://elsewhere.example/up')->assertBadRequest();
    $this->get('http://127.0.0.1/up')->assertOk();
    Illuminate\Http\Request::setTrustedHosts([]);
});

it('believes nobody who says for whom they ask, but a balancer that it knows', function () {
    $from = fn () => $this->withServerVariables(
        ['REMOTE_ADDR' => '10.0.0.1', 'HTTP_X_FORWARDED_FOR' => '192.0.2.7', 'HTTP_X_FORWARDED_PROTO' => 'https'],
    )->getJson('/api/me');
    expect($from()->headers->has('Strict-Transport-Security'))->toBeFalse();
    config(['trustedproxy.proxies' => ['10.0.0.1']]);
    expect($from()->headers->has('Strict-Transport-Security'))->toBeTrue();
});

it('names none of its classes in an answer (7.4.1)', function () {
    $this->actingAs($this->cook());
    foreach ([
        '/api/roasts/01ARZ3NDEKTSV4RRFFQ69G5FAV', '/api/cookers/01ARZ3NDEKTSV4RRFFQ69G5FAV', '/api/nothing', '/api/mixes/x',
    ] as $path) {
        expect((string) $this->getJson($path)->assertNotFound()->content())->not->toContain('App\\\\')->not->toContain('Model');
    }
});

it('logs what went wrong without anything of anybody’s in it, as a line of JSON with the id of its request (7.1, 7.3)', function () {
    $log = sys_get_temp_dir().'/diatherm-'.bin2hex(random_bytes(5)).'.log';
    config(['logging.channels.daily.driver' => 'single', 'logging.channels.daily.path' => $log, 'logging.default' => 'daily']);
    app('log')->forgetChannel('daily');
    $id = $this->get('/up')->headers->get('X-Request-Id');
    try {
        User::create(['name' => 'Ada Secret', 'email' => $this->cook()->email, 'password' => 'ember and straw']);
    } catch (QueryException $wrong) {
        report($wrong);
    }
    report(new RuntimeException('broken'));
    $lines = array_map(fn (string $line): array => json_decode($line, true, flags: JSON_THROW_ON_ERROR), file($log) ?: []);
    expect($lines)->toHaveCount(2)->and($lines[0]['message'])->toBe('database')->and($lines[0]['context']['request'])->toBe($id)
        ->and(file_get_contents($log))->not->toContain('Ada Secret')->not->toContain('weir.example')->not->toContain('ember')
        ->and(fileperms($log) & 0077)->toBe(0);
    unlink($log);
});

it('shows what it counted to who has the token alone', function () {
    config(['app.metrics_token' => null]);
    $this->withToken('')->get('/metrics')->assertNotFound();
    config(['app.metrics_token' => 'a token of some length']);
    $this->withToken('another')->get('/metrics')->assertNotFound();
    $this->withToken('a token of some length')->get('/metrics')->assertOk()->assertHeader('Content-Type', 'text/plain; charset=utf-8');
});

it('counts requests by route and the queue that a device reports, never an address or an id', function () {
    config(['app.metrics_token' => 'a token of some length']);
    $this->actingAs($this->cook())->withHeaders(['X-Waiting' => '7'])->getJson('/api/roasts/01ARZ3NDEKTSV4RRFFQ69G5FAV');
    $this->withHeaders(['X-Waiting' => '"} 1'])->getJson('/api/roasts');
    $said = (string) $this->flushHeaders()->withToken('a token of some length')->get('/metrics')->content();
    expect($said)->toContain('diatherm_requests_total{route="GET /api/roasts/{roast}",status="404"}')
        ->toContain('diatherm_outbox_entries_bucket{le="20"} ')
        ->not->toContain('01ARZ3')->not->toContain('diatherm_outbox_entries_bucket{le="5"}');
    foreach (explode("\n", trim($said)) as $line) {
        expect($line)->toMatch('/^(# TYPE [a-z_]+ counter|[a-z_]+(\{[^\n]*\})? \d+)$/');
    }
})->skip(fn (): bool => ! Counters::canCount(), 'The extension that shares memory between workers is not loaded.');

it('lives without its database, and is not ready then', function () {
    $this->get('/up')->assertOk();
    $this->get('/ready')->assertOk();
    config(['database.connections.mariadb.port' => 1]);
    DB::purge();
    $this->get('/up')->assertOk();
    expect((string) $this->get('/ready')->assertStatus(503)->content())->toBe("the database does not answer\n");
    config(['database.connections.mariadb.port' => getenv('DB_PORT')]);
    DB::purge();
});

it('refuses what is larger than anything an address takes, before it is read and whoever sends it', function (string $path, int $bytes, bool $isTaken) {
    $heavy = fn () => $this->call('POST', $path, server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], content: str_repeat('[', $bytes));
    $status = $heavy()->status();
    expect($status === 413)->toBe(! $isTaken)->and($status)->toBeLessThan(500);
    if (! $isTaken) {
        expect($heavy()->json('message'))->toContain('kB');
    }
})->with([
    ['/api/login', 262_144, true], ['/api/login', 262_145, false], ['/api/login', 20_000_000, false], ['/api/register', 300_000, false],
    ['/api/preview', 300_000, false], ['/api/device/readings', 300_000, false], ['/api/roasts/import', 600_000, true],
    ['/api/roasts/import', 1_100_000, false], ['/api/account/kitchen', 2_000_000, true], ['/api/account/kitchen', 25_000_000, false],
]);
