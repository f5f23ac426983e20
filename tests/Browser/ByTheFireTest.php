<?php

declare(strict_types=1);

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Tests\Support\BrowserTest;
use Tests\Support\OwnServer;

// A cook from the first match to the table: a thermometer that sends, two phones by night, a network that goes twice and a server once.

beforeEach(fn () => $this->onItsOwnServer());

/** The stand-in sends what it read until now, to the server that the phones know. */
function thermometerSends(OwnServer $server, string $roast): int
{
    $root = dirname(__DIR__, 2);
    exec(sprintf(
        '%s %s/artisan diatherm:thermometer --roast=%s --once --bone --url=%s 2>&1',
        PHP_BINARY, escapeshellarg($root), escapeshellarg($roast), escapeshellarg($server->url()),
    ), $lines, $code);

    return $code;
}

/** Another phone, signed into the same kitchen. @param  Closure(RemoteWebDriver): void  $with */
function onAnotherPhone(string $url, string $address, Closure $with): void
{
    $profile = sys_get_temp_dir().'/diatherm-browser-'.bin2hex(random_bytes(6));
    $options = new ChromeOptions;
    $options->addArguments(
        ['--headless=new', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--lang=en', "--user-data-dir=$profile"],
    );
    $capabilities = DesiredCapabilities::chrome();
    $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
    $phone = RemoteWebDriver::create('http://127.0.0.1:'.getenv('DRIVER_PORT'), $capabilities, 180_000, 180_000);
    try {
        $phone->get("$url/up");
        $phone->executeAsyncScript(
            'const [email, password, done] = arguments; fetch("/api/me").then((r) => r.json()).then((me) => fetch("/api/login", {method: "POST", headers: {Accept: "application/json", "Content-Type": "application/json", "X-CSRF-TOKEN": me.csrf}, body: JSON.stringify({email, password})})).then(() => done());',
            [$address, BrowserTest::PASSWORD],
        );
        $with($phone);
    } finally {
        $phone->quit();
        (new Illuminate\Filesystem\Filesystem)->deleteDirectory($profile);
    }
}

function text(RemoteWebDriver $phone): string
{
    return mb_strtolower((string) $phone->executeScript('return document.body.innerText'));
}

it('cooks by night on two phones with a thermometer, and loses nothing, doubles nothing, and calls once', function () {
    $this->window(390, 844);
    $address = $this->join();
    $this->browser->executeScript('localStorage.setItem("diatherm.theme", "night"); document.documentElement.dataset.theme = "night"');
    // It has been on for a while: an hour that a test does not wait for.
    $roast = $this->chickenOnTheHeat(minutesAgo: 75);
    $this->press('Call me');
    $this->press('Close');
    $this->until(fn (): bool => thermometerSends($this->server, $roast) === 0, 'The thermometer sends.');
    $this->browser->navigate()->refresh();
    $this->sees('Stand-in thermometer');
    $this->settles();

    // The network goes, for this phone alone; the other one goes on.
    $offline = fn (bool $gone) => $this->command(
        'Network.emulateNetworkConditions', ['offline' => $gone, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1],
    );
    $this->command('Network.enable', ['maxTotalBufferSize' => 1_000_000]);
    $offline(true);
    $this->press('Basted');
    $this->sees('1 kept here');
    onAnotherPhone($this->server->url(), $address, function (RemoteWebDriver $phone) use ($roast): void {
        $phone->get($this->server->url()."/roasts/$roast/live");
        $this->until(fn (): bool => str_contains(text($phone), 'off the heat'), 'The other phone sees the roast.');
        $phone->executeScript('[...document.querySelectorAll("button")].find((one) => one.textContent.startsWith("Turned")).click()');
        $logged = 'const done = arguments[1]; fetch(`/api/roasts/${arguments[0]}`, {headers: {Accept: "application/json"}})'.
            '.then((answer) => answer.json()).then((roast) => done(roast.events.map((one) => one.kind)));';
        $this->until(fn (): bool => in_array('turned', $phone->executeAsyncScript($logged, [$roast]), true), 'The other phone logs.');
    });
    $offline(false);
    $this->browser->navigate()->refresh();
    $this->seesNot('kept here');
    $kinds = fn (): array => array_column($this->ask('GET', "/api/roasts/$roast")[0][1]['events'], 'kind');
    $this->until(fn (): bool => count(array_intersect(['basted', 'turned'], $kinds())) === 2, 'Both are there.');

    // The server stops once, while the thermometer sends: it tries again and nothing is lost.
    $before = count($this->ask('GET', "/api/roasts/$roast")[0][1]['readings']);
    $this->server->stop();
    expect(thermometerSends($this->server, $roast))->not->toBe(0);
    $this->key('n');
    $this->type('What happened', 'The lamp went out');
    $this->press('Log it');
    $this->sees('kept here');
    $this->server->start();
    expect(thermometerSends($this->server, $roast))->toBe(0);
    $this->browser->navigate()->refresh();
    $this->seesNot('kept here');
    $this->sees('The lamp went out');

    // The joint comes to its hour: it calls, once, on this phone; done is done on both.
    $this->wasPutOn($roast, minutesAgo: 150);
    $this->browser->navigate()->refresh();
    $calls = fn (): bool => (bool) $this->browser->executeScript('return document.querySelector("[role=alert] .push-ember") !== null');
    $this->until($calls, 'It calls.');
    $given = fn (): array => json_decode(
        (string) $this->browser->executeScript('return localStorage.getItem("diatherm.alarms")'), true)[$roast]['given'];
    $once = $given();
    sleep(5);
    $later = $given();
    expect($once)->not->toBe([])->and(array_intersect_key($later, $once))->toEqual(array_intersect_key($once, $later));

    // The network goes a second time: off the heat and carved without it.
    $offline(true);
    $this->until(function (): bool {
        $this->browser->executeScript('document.querySelector("[role=alert] .push-ember")?.click()');

        return str_contains(text($this->browser), 'kept here');
    }, 'It is done where it called.');
    $offline(false);
    $this->open("/roasts/$roast/sheet");
    $this->sees('Carve Chicken, whole');
    $this->until(function () use ($kinds, $roast): bool {
        if (! in_array('pulled', $kinds(), true)) {
            $this->browser->executeScript(
                '(document.querySelector("[aria-label=\'Pull Chicken, whole: done\']")
                    ?? [...document.querySelectorAll("button")].find((one) => /Yes, it is off|It is off already/.test(one.textContent)))?.click()',
            );

            return false;
        }
        $this->browser->executeScript('document.querySelector("[aria-label=\'Carve Chicken, whole: done\']")?.click()');

        return $this->ask('GET', "/api/roasts/$roast")[0][1]['status'] === 'done';
    }, 'It is on the table.');
    [[, $answer]] = $this->ask('GET', "/api/roasts/$roast");
    $counts = array_count_values(array_column($answer['events'], 'kind'));
    expect(array_intersect_key($counts, ['on' => 0, 'basted' => 0, 'turned' => 0, 'note' => 0, 'pulled' => 0, 'carved' => 0]))
        ->toEqualCanonicalizing(['on' => 1, 'basted' => 1, 'turned' => 1, 'note' => 1, 'pulled' => 1, 'carved' => 1])
        ->and(count($answer['readings']))->toBeGreaterThanOrEqual($before)
        ->and(count(array_unique(array_column($answer['readings'], 'id'))))->toBe(count($answer['readings']));
    $this->browser->manage()->getLog('browser');
});
