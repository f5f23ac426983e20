<?php

declare(strict_types=1);

use Illuminate\Support\Str;
use Tests\Support\BrowserTest;

// What goes wrong by a fire: the database stops, the session lapses, two devices log at once, the browser is elsewhere.

/** Stops the database that the tests run on. @return list<string> how to start it again */
function stopDatabase(): array
{
    $file = dirname(__DIR__, 2).'/storage/test/mariadb/mariadbd.pid';
    $pid = (int) file_get_contents($file);
    $command = array_values(
        array_filter(
            explode("\0", (string) file_get_contents("/proc/$pid/cmdline")),
            fn (string $part): bool => $part !== '' && ! str_starts_with($part, '--init-file'),
        ),
    );
    posix_kill($pid, SIGTERM);
    for ($i = 0; $i < 300 && posix_kill($pid, 0); $i++) {
        usleep(100_000);
    }

    return $command;
}

/** @param  list<string>  $command */
function startDatabase(array $command): void
{
    exec(
        'setsid '.implode(' ', array_map(escapeshellarg(...), $command)).' >>'.escapeshellarg(
            dirname(__DIR__, 2).'/storage/test/mariadb.log',
        ).' 2>&1 </dev/null &',
    );
    for ($i = 0; $i < 300; $i++) {
        try {
            new PDO(sprintf('mysql:host=127.0.0.1;port=%s;dbname=diatherm', getenv('DB_PORT')), 'diatherm', (string) getenv('DB_PASSWORD'));

            return;
        } catch (PDOException) {
            usleep(100_000);
        }
    }
}

function cooking(BrowserTest $test): string
{
    $test->begin();
    $test->press('Keep this roast');
    $test->press('Chicken, whole on: done');
    $test->press('Live');
    $test->sees('Off the heat');

    return (string) preg_replace('~^.*/roasts/([^/]+)/.*$~', '$1', $test->browser->getCurrentURL());
}

function takes(BrowserTest $test, string $figure): void
{
    $test->press('Take a reading');
    $test->sees('Reading, Chicken');
    $test->browser->getKeyboard()->sendKeys($figure);
    $test->press('Log it');
}

it('has what was logged without a network though the browser is killed a moment later', function (float $seconds) {
    $address = $this->join();
    $roast = cooking($this);
    $this->network(false);
    foreach (['6', '8', '11'] as $i => $figure) {
        takes($this, $figure);
        $this->sees($i + 1 .' kept here');
    }
    usleep((int) (1e6 * $seconds));
    $this->killBrowser();
    $this->comesBack($address);
    $this->until(fn (): bool => count($this->ask('GET', "/api/roasts/$roast")[0][1]['readings'] ?? []) === 3, 'All three are with the kitchen.');
    $this->browser->manage()->getLog('browser');
})->with(getenv('KILLS') === 'whole' ? [0.0, 0.2, 0.5, 1.0, 2.0, 3.0, 5.0, 7.0, 9.0] : [0.0, 1.0]);

it('says so where the device has no room for what is logged, and sends it all the same', function () {
    $this->join();
    $roast = cooking($this);
    // The browser's own way to say so, without the megabytes.
    $room = fn (bool $isThere) => $this->browser->executeScript($isThere ? 'IDBObjectStore.prototype.put = window.putAway;'
        : 'window.putAway = IDBObjectStore.prototype.put;'.
        'IDBObjectStore.prototype.put = () => { throw new DOMException("full", "QuotaExceededError"); };');
    $room(false);
    $this->network(false);
    takes($this, '6');
    $this->sees('1 kept here');
    $this->sees('This device has no room left to keep it');
    $this->network(true);
    $this->seesNot('kept here');
    takes($this, '6.5');
    $this->until(fn (): bool => count($this->ask('GET', "/api/roasts/$roast")[0][1]['readings'] ?? []) === 2, 'Both are with the kitchen.');
    $room(true);
    $this->network(false);
    takes($this, '7');
    $this->sees('1 kept here');
    $this->seesNot('no room left');
    $this->network(true);
    $this->seesNot('kept here');
    $this->browser->manage()->getLog('browser');
});

it('forgets the kitchen that was closed elsewhere while it had no network', function () {
    $address = $this->join();
    $roast = cooking($this);
    $this->settles();
    $this->network(false);
    $database = new PDO(sprintf('mysql:host=127.0.0.1;port=%s;dbname=diatherm', getenv('DB_PORT')), 'diatherm', (string) getenv('DB_PASSWORD'));
    $database->prepare('delete from users where email = ?')->execute([$address]);
    // Nobody has told it yet: it goes on with what it has.
    $this->open("/roasts/$roast/live");
    $this->sees('Chicken, whole');
    $this->network(true);
    $this->sees('I have no kitchen yet');
    $this->network(false);
    $this->open("/roasts/$roast/live");
    $this->until(fn (): bool => ! $this->shows('Chicken, whole'), 'Nothing of it is shown any more.');
    $this->network(true);
    // What failed meanwhile failed as it had to.
    $this->browser->manage()->getLog('browser');
});

it('loses nothing while the database is stopped, and sends it in order when it is back', function () {
    $this->join();
    $roast = cooking($this);
    $command = stopDatabase();
    try {
        takes($this, '6');
        $this->sees('1 kept here');
        $this->press('Basted');
        $this->sees('2 kept here');
        $this->browser->navigate()->refresh();
    } finally {
        startDatabase($command);
    }
    $this->browser->navigate()->refresh();
    $this->sees('6.0°');
    // What waits is looked for on the disk first, then sent.
    $this->until(fn (): bool => count($this->ask('GET', "/api/roasts/$roast")[0][1]['events'] ?? []) === 2, 'Both are with the kitchen.');
    $this->seesNot('kept here');
    [[$status, $answer]] = $this->ask('GET', "/api/roasts/$roast");
    expect($status)->toBe(200)
        ->and(array_column($answer['readings'], 'celsius'))->toEqual([6])
        ->and(array_column($answer['events'], 'kind'))->toBe(['on', 'basted']);
    $this->browser->manage()->getLog('browser');
});

it('keeps what was logged through a lapsed session, until its own cook is back', function () {
    $address = $this->join();
    $roast = cooking($this);
    $this->browser->manage()->deleteAllCookies();
    takes($this, '6');
    // Nobody, says the kitchen: nothing of the cook's is shown, and what waits waits.
    $this->sees('E-mail address');
    $this->seesNot('Core, coldest point');
    $this->type('E-mail address', $address);
    $this->type('Password', BrowserTest::PASSWORD);
    $this->press('Sign in');
    $this->seesNot('kept here');
    $this->until(
        fn (): bool => array_column($this->ask('GET', "/api/roasts/$roast")[0][1]['readings'] ?? [], 'celsius') == [6],
        'The reading arrived.',
    );
    $this->browser->manage()->getLog('browser');
});

it('takes one id once, however many devices send it at the same moment', function () {
    $this->join();
    $roast = cooking($this);
    $event = ['id' => (string) Str::uuid(), 'dish' => 0, 'at' => gmdate('Y-m-d\TH:i:s\Z'), 'kind' => 'basted'];
    $answers = $this->ask('POST', "/api/roasts/$roast/events", $event, 8);
    // Logged, with an answer or without one while others are worked out.
    expect(array_diff(array_column($answers, 0), [200, 204]))->toBe([]);
    $kinds = array_column($this->ask('GET', "/api/roasts/$roast")[0][1]['events'], 'kind');
    expect(array_count_values($kinds))->toEqualCanonicalizing(['basted' => 1, 'on' => 1])->toHaveKeys(['on', 'basted']);
});

it('shows the table’s hours to a browser on the other side of the world', function (string $zone) {
    $this->enterDemo();
    $this->press('To the fire');
    $off = $this->answer('Off the heat');
    $this->command('Emulation.setTimezoneOverride', ['timezoneId' => $zone]);
    $this->browser->navigate()->refresh();
    $this->sees('Core, coldest point');
    $this->until(fn (): bool => abs(strtotime($this->answer('Off the heat')) - strtotime($off)) <= 120, 'The hour is the table’s.');
    $this->key('n');
    $this->type('What happened', 'Elsewhere');
    $this->press('Log it');
    $this->sees('Elsewhere');
    expect(abs(strtotime($this->answer('Off the heat')) - strtotime($off)))->toBeLessThan(300);
})->with(['America/Chicago', 'Asia/Kolkata']);

it('plans by the browser’s own zone and keeps it when the browser moves', function () {
    $this->command('Emulation.setTimezoneOverride', ['timezoneId' => 'Asia/Kolkata']);
    $this->join();
    $this->begin();
    $this->sees('On the heat');
    $this->press('Keep this roast');
    $this->sees('Print for the fireside');
    $id = (string) preg_replace('~^.*/roasts/([^/]+)/.*$~', '$1', $this->browser->getCurrentURL());
    $plan = $this->ask('GET', "/api/roasts/$id")[0][1]['plan'];
    // Browsers still say the older of its two names.
    expect($plan['time_zone'])->toBeIn(['Asia/Kolkata', 'Asia/Calcutta'])->and($plan['serve_at'])->toEndWith('+05:30');
    $this->command('Emulation.setTimezoneOverride', ['timezoneId' => 'America/Chicago']);
    $this->browser->navigate()->refresh();
    $this->sees(substr($plan['serve_at'], 11, 5));
});

it('logs a missed act for when it was, and puts a line to another time', function () {
    $this->join();
    $roast = cooking($this);
    $this->press('20 min ago');
    $this->press('Turned');
    $this->sees('Turned');
    $times = fn (): array => array_column($this->ask('GET', "/api/roasts/$roast")[0][1]['events'], 'at', 'kind');
    $this->until(fn (): bool => isset($times()['turned']), 'It is logged.');
    expect(time() - strtotime($times()['turned']))->toBeGreaterThan(19 * 60)->toBeLessThan(22 * 60);
    $this->press('Another time for Turned at '.substr($times()['turned'], 11, 5));
    $this->press('10 min ago');
    $this->press('Put it there');
    $this->until(fn (): bool => abs(time() - strtotime($times()['turned']) - 600) < 90, 'It is moved.');
});

it('answers an address that hides a NUL as it answers any other', function (string $address) {
    $this->open('/');
    $this->sees('Sign in');
    expect($this->ask('GET', $address)[0][0])->toBeIn([200, 404]);
    $this->browser->manage()->getLog('browser');
})->with(['/icon.svg%00.php', '/%00', '/build/%00manifest.json', '/..%2f.env', '/index.php%00']);
