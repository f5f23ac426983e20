<?php

declare(strict_types=1);

use Tests\Support\BrowserTest;

// By the weir there is no signal: the screens open, what is logged is kept, and goes out in order when there is one again.

beforeEach(fn () => $this->onItsOwnServer());

function reads(BrowserTest $test, string $figure): void
{
    $test->press('Take a reading');
    $test->sees('Reading, Chicken');
    $test->browser->getKeyboard()->sendKeys($figure);
    $test->press('Log it');
    $test->until(fn (): bool => $test->shows('is right') || ! $test->shows('Reading, Chicken'), 'It is logged, or asked about.');
    if ($test->shows('is right')) {
        $test->press("$figure °C is right");
    }
    $test->seesNot('Reading, Chicken');
}

it('cooks a whole chicken with the network gone twice, on a phone, and loses and doubles nothing', function () {
    $this->window(390, 844);
    $this->join();
    $roast = $this->chickenOnTheHeat();
    $this->settles();

    $this->server->stop();
    $this->browser->navigate()->refresh();
    $this->sees('Off the heat');
    $this->sees('The kitchen cannot be reached');
    reads($this, '14');
    $this->sees('1 kept here');
    $this->press('Basted');
    $this->sees('2 kept here');
    $this->press('10');
    $this->press('Turned');
    $this->sees('3 kept here');
    // Another screen, and the page anew: all of it is still here.
    $this->press('Sheet');
    $this->sees('Carve Chicken, whole');
    $this->browser->navigate()->refresh();
    $this->sees('3 kept here');
    $this->sees('Carve Chicken, whole');
    $this->open('/');
    $this->sees('Chicken, whole');
    $this->open('/handbook');
    $this->type('Look up', 'poultry');
    $this->sees('74 °C');
    $this->open("/roasts/$roast/far");
    $this->sees('Back');
    $this->open("/roasts/$roast/live");
    // The wrong press is taken back where it was made, and never goes out.
    $this->press('Lid lifted');
    $this->sees('4 kept here');
    $this->press('Undo');
    $this->sees('3 kept here');
    $this->sees('Put it back');

    $this->server->start();
    $this->browser->navigate()->refresh();
    $this->seesNot('kept here');
    $this->sees('14.0°');
    $this->settles();

    $this->server->stop();
    reads($this, '30');
    $this->sees('kept here');
    $this->press('Sheet');
    $this->press('It is off already');
    $this->press('Yes, it is off');
    // Ticked here, it is ticked on this device: next is the knife.
    $this->press('Carve Chicken, whole: done');
    $this->browser->navigate()->refresh();
    $this->sees('3 kept here');
    $this->server->start();
    $this->browser->navigate()->refresh();
    $this->seesNot('kept here');

    $this->until(fn (): bool => $this->ask('GET', "/api/roasts/$roast")[0][1]['status'] === 'done', 'All of it went out.');
    [[$status, $answer]] = $this->ask('GET', "/api/roasts/$roast");
    $kinds = array_column($answer['events'], 'kind');
    sort($kinds);
    $at = array_map(strtotime(...), array_column($answer['events'], 'at', 'kind'));
    expect($status)->toBe(200)
        ->and($kinds)->toBe(['basted', 'carved', 'on', 'pulled', 'turned'])
        ->and(array_column($answer['readings'], 'celsius'))->toEqual([14, 30])
        ->and($at['basted'] - $at['turned'])->toBeGreaterThan(500);
    $this->browser->manage()->getLog('browser');
});

it('draws what it has while answers trickle in, and are given up for newer ones half way', function () {
    $this->window(390, 844);
    $this->join();
    $roast = $this->chickenOnTheHeat(minutesAgo: 40);
    $this->browser->navigate()->refresh();
    $this->sees('Off the heat');
    $this->settles();
    $this->command('Network.enable', []);
    $thin = ['offline' => false, 'latency' => 100, 'downloadThroughput' => 12_000, 'uploadThroughput' => 6_000];
    $this->command('Network.emulateNetworkConditions', $thin);
    foreach (['Lid lifted', 'Basted', 'Turned', 'Fuel added'] as $i => $act) {
        $this->press($act);
        // From at once to when the last byte is due.
        usleep(400_000 * $i);
    }
    $this->press('Undo');
    foreach (['Fire', 'Sheet', 'Live', 'Debrief', 'Live'] as $view) {
        $this->press($view);
        usleep(300_000);
        expect($this->shows('could not be drawn'))->toBeFalse($view);
    }
    $this->sees('Off the heat');
    $this->command('Network.emulateNetworkConditions', ['downloadThroughput' => -1, 'uploadThroughput' => -1, 'latency' => 0] + $thin);
    $this->until(fn (): bool => ! $this->shows('kept here'), 'All of it went out.');
    $logged = fn (): array => array_count_values(array_column($this->ask('GET', "/api/roasts/$roast")[0][1]['events'], 'kind'));
    $this->until(fn (): bool => $logged() == ['on' => 1, 'lid' => 1, 'basted' => 1, 'turned' => 1], 'The last was taken back, and nothing else.');
});

it('shows a conflict that was made meanwhile, and swallows nothing', function () {
    $this->join();
    $roast = $this->chickenOnTheHeat(minutesAgo: 90);
    $this->browser->navigate()->refresh();
    $this->sees('Off the heat');
    $this->settles();
    // The other phone took it off half an hour ago; this one hears nothing of it, and takes it off now.
    [[$status]] = $this->ask(
        'POST', "/api/roasts/$roast/events", [
            'id' => '5f0c3a1e-7c63-4d5e-9d5e-0b4f0b0a1c11', 'dish' => 0, 'at' => $this->ago(30), 'kind' => 'pulled',
        ],
    );
    expect($status)->toBe(200);
    $this->server->stop();
    $this->press('Run sheet');
    $this->press('It is off already');
    $this->press('Yes, it is off');
    $this->press('Live');
    $this->key('n');
    $this->type('What happened', 'Wind from the weir');
    $this->press('Log it');
    $this->sees('2 kept here');
    $this->server->start();
    $this->browser->navigate()->refresh();
    // The note goes out; what contradicts what is there stays, is shown, and is the cook's to decide.
    $this->sees('1 not taken as it was logged');
    $this->sees('Wind from the weir');
    $this->press('Look at it');
    $this->press('Throw it away');
    $this->seesNot('not taken');
    [[, $answer]] = $this->ask('GET', "/api/roasts/$roast");
    expect(array_count_values(array_column($answer['events'], 'kind'))['pulled'])->toBe(1);
    $this->browser->manage()->getLog('browser');
});

it('can be put on the home screen, and takes nothing from elsewhere', function () {
    $this->enterDemo();
    $this->settles();
    $manifest = json_decode((string) file_get_contents($this->server->url().'/app.webmanifest'), true);
    foreach ($manifest['icons'] as $icon) {
        $file = dirname(__DIR__, 2).'/public'.$icon['src'];
        expect(is_file($file))->toBeTrue($icon['src']);
        if ($icon['type'] === 'image/png') {
            expect(getimagesize($file)[0].'x'.getimagesize($file)[1])->toBe($icon['sizes']);
        }
    }
    expect($manifest['start_url'])->toBe('/')->and($manifest['display'])->toBe('standalone');
    // Signed out by hand, nothing of this cook's stays on the device.
    $this->press('Sign out');
    $this->sees('Step into the demo kitchen');
    $left = fn (): int => $this->browser->executeAsyncScript('const done = arguments[0]; const ask = indexedDB.open("keyval-store"); ask.onerror = () => done(0);'.
        'ask.onsuccess = () => { try { const all = ask.result.transaction("keyval").objectStore("keyval").getAllKeys(); all.onsuccess = () => done(all.result.length); } catch { done(0); } };');
    $this->until(fn (): bool => $left() === 0, 'Nothing is left.');
    // Nor is it written down again a little later.
    sleep(2);
    expect($left())->toBe(0);
});
