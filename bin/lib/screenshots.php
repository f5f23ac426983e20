<?php

declare(strict_types=1);

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;

require __DIR__.'/../../vendor/autoload.php';

/** name => path (a name in braces stands for the id of that roast), width, height, script to run first */
const SHOTS = [
    'hearth' => ['/', 1280, 800, ''],
    'begin' => ['/roasts/new', 1280, 800, ''],
    'plan' => ['/roasts/new', 1280, 800, '[...document.querySelectorAll("button")].find((one) => one.textContent.startsWith("A rack of lamb and potatoes")).click()'],
    'food' => ['/roasts/{Sunday on the lock island}/food', 1280, 800, ''],
    'rig' => ['/roasts/{Sunday on the lock island}/rig', 1280, 800, ''],
    'pit' => ['/roasts/{Pot under the willow}/rig', 1280, 800, ''],
    'run-sheet' => ['/roasts/{Sunday on the lock island}/sheet', 1280, 800, ''],
    'fire' => ['/roasts/{Lamb for the boathouse roof}/fire', 1280, 800, ''],
    'fire-kettle' => ['/roasts/{Autumn supper at the old weir}/fire', 390, 844, ''],
    'cookers' => ['/cookers', 1280, 800, ''],
    'live' => ['/roasts/{Autumn supper at the old weir}/live', 1280, 800, ''],
    'ways' => ['/roasts/{Autumn supper at the old weir}/live', 1280, 800, 'const press = (words) => [...document.querySelectorAll("button")].find((one) => one.textContent.startsWith(words)).click(); press("The day changes"); setTimeout(() => press("40 min"), 300)'],
    'card' => ['/roasts/{Lamb for the boathouse roof}/card', 1280, 800, ''],
    'live-night' => ['/roasts/{Autumn supper at the old weir}/live', 390, 844, 'document.documentElement.dataset.theme = "night"'],
    'reading' => ['/roasts/{Autumn supper at the old weir}/live', 390, 844, '[...document.querySelectorAll("button")].find((one) => one.textContent.startsWith("Take a reading")).click()'],
    'table' => ['/roasts/{Autumn supper at the old weir}/table', 1280, 800, ''],
    'debrief' => ['/roasts/{Regatta committee dinner}/debrief', 1280, 800, ''],
    'log' => ['/log', 1280, 800, ''],
    'handbook' => ['/handbook', 1280, 800, ''],
];

$profile = sys_get_temp_dir().'/diatherm-shots-'.bin2hex(random_bytes(6));
$options = new ChromeOptions;
$options->addArguments(['--headless=new', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--hide-scrollbars', '--lang=en', '--user-data-dir='.$profile]);
$capabilities = DesiredCapabilities::chrome();
$capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
$browser = RemoteWebDriver::create('http://127.0.0.1:'.getenv('DRIVER_PORT'), $capabilities, 60_000, 60_000);
// The door, and into the demo kitchen.
$browser->get(getenv('APP_URL').'/');
sleep(1);
$roasts = $browser->executeAsyncScript('const done = arguments[0]; (async () => { const headers = {Accept: "application/json"};'.
    'const me = await (await fetch("/api/me", {headers})).json(); await fetch("/api/demo", {method: "POST", headers: {...headers, "X-CSRF-TOKEN": me.csrf}});'.
    // Until all of them are worked out.
    'let list; do { await new Promise((soon) => setTimeout(soon, 1000)); list = await fetch("/api/roasts", {headers}); } while (list.headers.has("Retry-After"));'.
    'done((await list.json()).map((roast) => [roast.name, roast.id])); })();');
$ids = [];
foreach ($roasts as [$title, $id]) {
    $ids['{'.$title.'}'] = $id;
}
foreach (SHOTS as $name => [$path, $width, $height, $script]) {
    $browser->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => 'Emulation.setDeviceMetricsOverride', 'params' => ['width' => $width, 'height' => $height, 'deviceScaleFactor' => 1, 'mobile' => $width < 500]]);
    $browser->get(getenv('APP_URL').strtr($path, $ids));
    sleep(2);
    if ($script !== '') {
        $browser->executeScript($script);
        sleep(3);
    }
    $browser->takeScreenshot(__DIR__."/../../docs/screenshots/$name.png");
    echo "$name\n";
}
$browser->quit();
exec('rm -rf '.escapeshellarg($profile));
