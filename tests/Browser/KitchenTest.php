<?php

declare(strict_types=1);

it('lets a visitor plan, cook, finish and find a roast in the log', function (int $width, int $height) {
    $narrow = $width < 500;
    $this->window($width, $height);
    $this->join();
    $this->begin();
    $this->sees('On the heat');
    $chicken = $this->answer('Takes');

    // Another joint, found by typing; the answer follows.
    $this->type('What', 'rack of pork');
    $this->browser->getKeyboard()->sendKeys(Facebook\WebDriver\WebDriverKeys::ENTER);
    $this->until(fn (): bool => $this->answer('Takes') !== $chicken, 'The answer follows the cut.');
    $this->type('Occasion', 'First supper');
    $this->type('To feed', '8');
    $this->sees('For 8:');

    // Bad input: a message at the field, nothing kept, nothing lost.
    $this->type('Mass', 'plenty');
    $this->sees('must be a number');
    expect($this->value('Mass'))->toBe('plenty')->and($this->value('Occasion'))->toBe('First supper');
    $this->type('Mass', '2.2');
    $this->seesNot('must be a number');

    $this->press('Keep this roast');
    $this->sees('Print for the fireside');
    $this->sees('briquettes');

    // On the heat; a few readings; the hour moves with them.
    $this->press('Live');
    $this->sees('On the heat at');
    $this->press($narrow ? 'Sheet' : 'Run sheet');
    $this->press('Rack of pork on: done');
    $this->press('Live');
    $planned = $this->answer('Off the heat');
    $this->press('Take a reading');
    foreach (['2', '4'] as $digit) {
        $this->press($digit);
    }
    $this->press('Log it');
    // It went on a moment ago: that is asked about before it counts.
    $this->sees('Meat does not change that fast');
    $this->press('24 °C is right');
    $this->sees('24.0°');

    $this->key('n');
    $this->type('What happened', 'Wind from the weir');
    $this->press('Log it');
    $this->sees('Wind from the weir');
    $this->press('Undo');
    $this->seesNot('Wind from the weir');
    expect($planned)->toMatch('/^\d\d:\d\d$/');

    $this->press('Table');
    $this->takesOff();
    $this->sees('Rests for');
    $this->press('Carved');
    $this->sees('Carved at');
    $this->press('Debrief');
    $this->sees('On the heat');
    $this->type('What to change next time', 'Leave it on');
    $this->press('Keep the note');
    $this->sees('Kept at');
    if ($narrow) {
        $this->press('‹ Hearth');
    }
    $this->press('Log');
    $this->sees('First supper');
})->with([[1280, 800], [390, 844]]);

it('moves the finish of the demo supper with a reading, on every device', function () {
    $this->enterDemo();
    $this->press('To the fire');
    $off = $this->answer('Off the heat');
    $core = (int) $this->answer('Core, coldest point');
    $this->key('r');
    $this->sees('Reading, Rack of pork');
    foreach (str_split((string) ($core - 5)) as $digit) {
        $this->browser->getKeyboard()->sendKeys($digit);
    }
    $this->press('Log it');
    $this->until(fn (): bool => strcmp($this->answer('Off the heat'), $off) !== 0, 'The hour moves.');
    $this->sees('just read');
    $after = $this->answer('Off the heat');

    // A reload, as a second device would, shows the same.
    $this->browser->navigate()->refresh();
    $this->sees('Core, coldest point');
    $this->until(fn (): bool => abs(strtotime($this->answer('Off the heat')) - strtotime($after)) <= 60, 'It stays moved.');
});

it('shows °F and pounds on the spot', function () {
    $this->enterDemo();
    $this->press('To the fire');
    $this->until(fn (): bool => (int) $this->answer('Climbs to') < 70, 'It is in °C.');
    $this->key('c');
    $this->until(fn (): bool => (int) $this->answer('Climbs to') > 130, 'It is in °F.');
    $this->key('k');
    $this->press('Food');
    $this->until(fn (): bool => $this->value('Mass') === '6.61', 'The mass is in pounds.');
    $this->key('c');
    $this->key('k');
    $this->until(fn (): bool => $this->value('Mass') === '3', 'The mass is in kilograms.');
});

it('says everything in °F and pounds, on every view of every roast', function () {
    $this->enterDemo();
    $this->key('c');
    $this->key('k');
    $this->until(
        fn (): bool => str_contains($this->browser->executeScript('return document.body.innerText'), 'lb · in'),
        'It is in pounds.',
    );
    $left = [];
    foreach ($this->ask('GET', '/api/roasts')[0][1] as $roast) {
        $this->open("/roasts/{$roast['id']}/food");
        $this->sees($roast['name']);
        foreach (['Food', 'Rig', 'Fire', 'Run sheet', 'Live', 'Table', 'Debrief'] as $view) {
            $this->press($view);
            $this->until(fn (): bool => $this->browser->executeScript(
                'return [...document.querySelectorAll("main a[aria-current=page]")].some((one) => one.textContent === arguments[0])', [$view],
            ), "$view is shown.");
            $words = $this->drawn();
            // What is left in metric units is a unit that everyone uses: kW/m², mm of a slot, N·m of a motor.
            preg_match_all('~.{0,30}\d\s?(?:°C|kg|cm|K|g|l|ml)(?![\w/²·]).{0,20}~u', $words, $found);
            array_push($left, ...array_map(fn (string $one): string => "{$roast['name']}, $view: $one", array_unique($found[0])));
        }
    }
    expect($left)->toBe([]);
});

it('opens a number to its working and source', function () {
    $this->enterDemo();
    $this->press('Sunday on the lock island');
    $this->press('Food');
    $this->press('74 °C');
    $this->sees('USDA FSIS, Safe Minimum Internal Temperature Chart');
});

it('plans by the weather of where the device is, where it may ask', function () {
    $this->command('Browser.grantPermissions', ['permissions' => ['geolocation']]);
    $this->command('Emulation.setGeolocationOverride', ['latitude' => 47.1234, 'longitude' => 8.5678, 'accuracy' => 20]);
    $this->join();
    $this->begin();
    $this->press('Where it is: weather and dusk');
    $this->press('Where I am now');
    $this->until(fn (): bool => $this->value('Latitude') === '47.12' && $this->value('Longitude') === '8.57', 'It knows where it is.');
    $this->press('Plan by it');
    $this->press('Keep this roast');
    $this->sees('Food');
});

it('cooks on a page that came without TLS, which may ask less of its device', function () {
    $this->withoutTls();
    $this->join();
    expect($this->browser->executeScript('return window.isSecureContext'))->toBeFalse();
    $this->begin();
    $this->press('Where it is: weather and dusk');
    $this->press('Where I am now');
    $this->sees('Type the latitude and longitude');
    $this->press('Keep this roast');
    $this->press('Chicken, whole on: done');
    $this->press('Make a link');
    $link = fn (): string => (string) $this->browser->executeScript(
        'return document.querySelector("[aria-label=\'The link to give away\']")?.value ?? ""');
    $this->until(fn (): bool => str_starts_with($link(), (string) getenv('APP_URL')), 'The link is there.');
    $link = $link();
    expect($this->shows('Copy it'))->toBeFalse();
    $this->press('Live');
    $this->press('Basted');
    $this->reads('6');
    $this->sees('6.0°');
    $this->press('Undo');
    $this->press('Call me');
    $this->press('Close');
    $roast = (string) preg_replace('~^.*/roasts/([^/]+)/.*$~', '$1', $this->browser->getCurrentURL());
    $logged = fn (): array => $this->ask('GET', "/api/roasts/$roast")[0][1];
    $this->until(fn (): bool => array_column($logged()['events'], 'kind') === ['on', 'basted'] && $logged()['readings'] === [], 'The reading is undone.');
    // A second pair of hands reaches it in the same way.
    $this->browser->get($link);
    $this->sees('the cook reads');
    $this->press('Carve Chicken, whole: done');
    $this->until(fn (): bool => $this->shows('pulled') || $this->shows('first'), 'What was not pulled is not carved.');
    // The browser says at each page that it heeds some of the headers by TLS alone.
    $this->browser->manage()->getLog('browser');
});

it('keeps a reading while the kitchen cannot be reached, and sends it when it can', function () {
    $this->join();
    $this->begin();
    $this->press('Keep this roast');
    $this->press('Chicken, whole on: done');
    $this->press('Live');
    $this->sees('Off the heat');
    $this->command('Network.enable', ['maxTotalBufferSize' => 1_000_000]);
    $network = fn (bool $offline) => $this->command(
        'Network.emulateNetworkConditions',
        ['offline' => $offline, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1],
    );
    $network(true);
    $this->press('Take a reading');
    $this->press('6');
    $this->press('Log it');
    $this->sees('1 kept here');
    $network(false);
    $this->browser->executeScript('window.dispatchEvent(new Event("online"))');
    $this->seesNot('kept here');
    $this->sees('6.0°');
    $this->browser->manage()->getLog('browser');
});

it('refuses a wrong sign-in at its field', function () {
    $this->open('/');
    $this->type('E-mail address', 'nobody@weir.example');
    $this->type('Password', 'wrong');
    $this->press('Sign in');
    $this->sees('do not belong together');
});
