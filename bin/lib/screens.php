<?php

declare(strict_types=1);

// How the screens come up on a slow phone: Chromium with its processor at a quarter and a weak mobile network, each screen opened anew
// with nothing kept, and one press. Printed by bin/bench; nothing here passes or fails.

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;

require __DIR__.'/../../vendor/autoload.php';

const SLOWER = 4;
const ROUND_TRIP_MS = 150;
const DOWN_BYTES_S = 1_600_000 / 8;
const UP_BYTES_S = 750_000 / 8;

$base = (string) getenv('APP_URL');
$profile = sys_get_temp_dir().'/diatherm-bench-'.bin2hex(random_bytes(6));
$options = new ChromeOptions;
$options->addArguments([
    '--headless=new', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
    '--disable-component-update', '--disable-sync', '--lang=en', "--user-data-dir=$profile",
]);
$capabilities = DesiredCapabilities::chrome();
$capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
$browser = RemoteWebDriver::create('http://127.0.0.1:'.getenv('DRIVER_PORT'), $capabilities, 180_000, 180_000);
$browser->manage()->timeouts()->setScriptTimeout(120);
$command = fn (string $name, array $parameters) => $browser->executeCustomCommand(
    '/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => $name, 'params' => $parameters],
);
$command('Emulation.setDeviceMetricsOverride', ['width' => 390, 'height' => 844, 'deviceScaleFactor' => 2, 'mobile' => true]);

// Into the demo kitchen, and to the roast that is on.
$browser->get("$base/");
$roast = $browser->executeAsyncScript(
    'const done = arguments[0]; (async () => { const headers = {Accept: "application/json"};'.
    'const me = await (await fetch("/api/me", {headers})).json(); await fetch("/api/demo", {method: "POST", headers: {...headers, "X-CSRF-TOKEN": me.csrf}});'.
    'done((await (await fetch("/api/roasts", {headers})).json()).find((one) => one.status === "cooking").id); })();',
);
$browser->get("$base/roasts/$roast/live");
sleep(3);
$command('Emulation.setCPUThrottlingRate', ['rate' => SLOWER]);
$command('Network.enable', ['maxTotalBufferSize' => 1_000_000]);
$command('Network.emulateNetworkConditions', [
    'offline' => false, 'latency' => ROUND_TRIP_MS, 'downloadThroughput' => DOWN_BYTES_S, 'uploadThroughput' => UP_BYTES_S,
]);
$command('Network.setCacheDisabled', ['cacheDisabled' => true]);
$command('Network.setBypassServiceWorker', ['bypass' => true]);

printf("  %-34s %12s %12s %10s %10s\n", 'screen', 'first paint', 'stands', 'pressed', 'bytes');
$screens = [
    'Hearth' => ['/', 'Coming', null], 'Plan' => ['/roasts/new', 'From nothing', 'From nothing'], 'Cookers' => ['/cookers', 'What was read on it', null],
    'Handbook' => ['/handbook', 'Cuts and their numbers', null], 'Food' => ["/roasts/$roast/food", 'Safe minimum', null],
    'Fire' => ["/roasts/$roast/fire", 'Through the cook', null], 'Live' => ["/roasts/$roast/live", 'Off the heat', 'Take a reading'],
    'Table' => ["/roasts/$roast/table", 'Warmed again', null],
];
foreach ($screens as $name => [$path, $words, $press]) {
    $command('Network.clearBrowserCache', ['unused' => true]);
    $browser->executeScript('indexedDB.deleteDatabase("keyval-store")');
    $browser->get($base.$path);
    [$paint, $stands, $bytes] = $browser->executeAsyncScript(
        'const [words, done] = arguments; const look = () => { if (!document.body.innerText.includes(words)) return requestAnimationFrame(look);'.
        'const paint = performance.getEntriesByName("first-contentful-paint")[0]?.startTime ?? 0; const stands = performance.now();'.
        'setTimeout(() => done([paint, stands, [...performance.getEntriesByType("navigation"), ...performance.getEntriesByType("resource")].reduce((sum, one) => sum + one.transferSize, 0)]), 2500); }; look();',
        [$words],
    );
    $pressed = $press === null ? null : $browser->executeAsyncScript(
        'const [name, done] = arguments; const button = [...document.querySelectorAll("button")].find((one) => one.innerText.startsWith(name));'.
        'const start = performance.now(); button.click(); requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - start)));',
        [$press],
    );
    printf(
        "  %-34s %9.0f ms %9.0f ms %10s %7.0f kB\n", $name, $paint, $stands, $pressed === null ? '' : sprintf('%.0f ms', $pressed), $bytes / 1000.0,
    );
}
$browser->quit();
(new Illuminate\Filesystem\Filesystem)->deleteDirectory($profile);
