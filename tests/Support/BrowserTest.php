<?php

declare(strict_types=1);

namespace Tests\Support;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteExecuteMethod;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\TestCase;

/** A real browser before the real application: found by what a person sees, never by markup. */
abstract class BrowserTest extends TestCase
{
    private const PATIENCE_S = 60.0;

    private const FLAGS = [
        '--headless=new', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run',
        '--disable-background-networking', '--disable-component-update', '--disable-sync', '--hide-scrollbars',
        '--lang=en', '--host-resolver-rules=MAP '.self::ANOTHER_NAME.' 127.0.0.1',
    ];

    /** The server by a name that a browser trusts no further than any other's: 127.0.0.1 counts as if it came by TLS. */
    private const ANOTHER_NAME = 'kitchen.example';

    public RemoteWebDriver $browser;

    /** Of its own, to be taken away and brought back; only where a test asked for one. */
    public ?OwnServer $server = null;

    private string $address = '';

    private string $profile;

    protected function setUp(): void
    {
        parent::setUp();
        $this->profile = sys_get_temp_dir().'/diatherm-browser-'.bin2hex(random_bytes(6));
        $this->startBrowser();
    }

    private function startBrowser(): void
    {
        $options = new ChromeOptions;
        $options->addArguments([...self::FLAGS, '--user-data-dir='.$this->profile]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $this->browser = RemoteWebDriver::create('http://127.0.0.1:'.getenv('DRIVER_PORT'), $capabilities, 180_000, 180_000);
        $this->browser->manage()->timeouts()->setScriptTimeout(120);
        $this->window(1280, 800);
    }

    /** As when a battery runs out: every process of the browser ends at once, and it is started again with what is on the disk. */
    public function killBrowser(): void
    {
        foreach (glob('/proc/[0-9]*/cmdline') ?: [] as $file) {
            if (str_contains((string) @file_get_contents($file), '--user-data-dir='.$this->profile)) {
                posix_kill((int) basename(dirname($file)), SIGKILL);
            }
        }
        try {
            $this->browser->quit();
        } catch (\Throwable) {
            // It is gone.
        }
        $this->startBrowser();
    }

    public function network(bool $isThere): void
    {
        $this->command('Network.enable', ['maxTotalBufferSize' => 1_000_000]);
        $this->command('Network.emulateNetworkConditions', [
            'offline' => ! $isThere, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1,
        ]);
    }

    /** Signs in where the browser does not remember that it is. */
    public function comesBack(string $address): void
    {
        $this->open('/');
        // What it kept is shown first; then who is signed in is known.
        $this->until(fn (): bool => ($this->ask('GET', '/api/me')[0][0] ?? 0) === 200, 'The kitchen answers.');
        if ($this->ask('GET', '/api/me')[0][1]['user'] === null) {
            $this->sees('I have no kitchen yet');
            $this->type('E-mail address', $address);
            $this->type('Password', self::PASSWORD);
            $this->press('Sign in');
            $this->sees('Sign out');
        }
    }

    protected function tearDown(): void
    {
        $severe = $this->console();
        $this->browser->quit();
        (new \Illuminate\Filesystem\Filesystem)->deleteDirectory($this->profile);
        $this->server?->stop();
        if ($this->address !== '') {
            putenv("APP_URL=$this->address");
        }
        parent::tearDown();
        self::assertSame([], $severe, 'The browser’s console is clean.');
    }

    /** What went wrong in the page since it was last asked. @return list<array{level: string, message: string}> */
    private function console(): array
    {
        return array_values(array_filter(
            $this->browser->manage()->getLog('browser'),
            fn (array $line): bool => $line['level'] === 'SEVERE' && preg_match('~status of (412|422)~', $line['message']) !== 1,
        ));
    }

    public function window(int $width, int $height): void
    {
        $this->command(
            'Emulation.setDeviceMetricsOverride',
            ['width' => $width, 'height' => $height, 'deviceScaleFactor' => 1, 'mobile' => $width < 500],
        );
    }

    /** From here on a server that this test alone asks. */
    public function onItsOwnServer(): void
    {
        $this->server = OwnServer::begin();
        $this->address = (string) getenv('APP_URL');
        putenv('APP_URL='.$this->server->url());
    }

    /** As a kitchen is reached from a phone where nobody has set up TLS. */
    public function withoutTls(): void
    {
        $this->address = (string) getenv('APP_URL');
        putenv('APP_URL='.str_replace('127.0.0.1', self::ANOTHER_NAME, $this->address));
    }

    /** Once the worker is in charge and what was told is written down. */
    public function settles(): void
    {
        $this->until(fn (): bool => (bool) $this->browser->executeAsyncScript(
            'const done = arguments[0]; const worker = navigator.serviceWorker;'.
            'worker.ready.then((there) => done(there.active !== null && worker.controller !== null), () => done(false));',
        ), 'The worker is in charge.');
        // It is written down a little after it was told, which a busy machine puts off: once by this page, and once more.
        $written = 'const done = arguments[0]; const ask = indexedDB.open("keyval-store"); ask.onerror = () => done(0);'.
            'ask.onsuccess = () => { try { const one = ask.result.transaction("keyval").objectStore("keyval").get("diatherm.told");'.
            'one.onsuccess = () => done((one.result?.at ?? 0) - performance.timeOrigin); } catch { done(0); } };';
        $this->until(fn (): bool => $this->browser->executeAsyncScript($written) > 0, 'It is written down.');
        sleep(3);
    }

    /** Keeps the chicken that one begins with, and puts it on the heat so many minutes ago. @return string the id of its roast */
    public function chickenOnTheHeat(int $minutesAgo = 0): string
    {
        $this->begin();
        $this->press('Keep this roast');
        $this->press('Chicken, whole on: done');
        $this->press('Live');
        $this->sees('Off the heat');
        $roast = (string) preg_replace('~^.*/roasts/([^/]+)/.*$~', '$1', $this->browser->getCurrentURL());
        if ($minutesAgo > 0) {
            $this->wasPutOn($roast, $minutesAgo);
        }

        return $roast;
    }

    public function wasPutOn(string $roast, int $minutesAgo): void
    {
        // It is in sight before it is in the kitchen.
        $this->until(function () use ($roast, $minutesAgo): bool {
            $on = array_column($this->ask('GET', "/api/roasts/$roast")[0][1]['events'], 'id', 'kind')['on'] ?? null;

            return $on !== null && $this->ask('PATCH', "/api/roasts/$roast/events/$on", ['at' => self::ago($minutesAgo)])[0][0] === 200;
        }, 'It was put on then.');
    }

    public static function ago(int $minutes): string
    {
        return gmdate('Y-m-d\TH:i:s\Z', time() - 60 * $minutes);
    }

    public function open(string $path): void
    {
        $this->browser->get(getenv('APP_URL').$path);
    }

    public function enterDemo(): void
    {
        $this->open('/');
        $this->press('Step into the demo kitchen');
        $this->sees('Autumn supper at the old weir');
    }

    public const PASSWORD = 'ember and straw';

    /** Opens a kitchen of one's own, empty. @return string its address */
    public function join(): string
    {
        $address = 'ada'.bin2hex(random_bytes(5)).'@weir.example';
        $this->open('/');
        $this->press('I have no kitchen yet');
        $this->type('Name', 'Ada');
        $this->type('E-mail address', $address);
        $this->type('Password', self::PASSWORD);
        $this->press('Open the kitchen');
        $this->sees('Nothing is on the fire.');

        return $address;
    }

    /** Puts a roast on the ticket: from nothing, or from a way of cooking that goes by that name. */
    public function begin(string $way = 'From nothing'): void
    {
        $this->press('Plan a roast');
        $this->press($way);
        $this->sees('On the heat');
    }

    /** A command of the browser's own protocol. @param  array<string, mixed>  $parameters */
    public function command(string $name, array $parameters): void
    {
        $said = ['cmd' => $name, 'params' => (object) $parameters];
        $this->browser->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', $said);
    }

    /** What the page gets when it asks the server itself. @return list<array{int, mixed}> status and answer, one for each time */
    public function ask(string $method, string $path, mixed $body = null, int $times = 1): array
    {
        return $this->browser->executeAsyncScript(<<<'JS'
            const [method, path, input, times, done] = arguments;
            const body = input === null ? undefined : JSON.stringify(input);
            const once = async (csrf) => {
                const headers = {Accept: "application/json", "Content-Type": "application/json", "X-CSRF-TOKEN": csrf};
                const answer = await fetch(path, {method, headers, body});
                return [answer.status, await answer.json().catch(() => null)];
            };
            fetch("/api/me")
                .then((answer) => answer.json())
                .then((me) => Promise.all(Array.from({length: times}, () => once(me.csrf))))
                .then(done);
            JS, [$method, $path, $body, $times]);
    }

    public function sees(string $words): void
    {
        $this->until(fn (): bool => $this->shows($words), "“{$words}” is on the screen.");
    }

    public function shows(string $words): bool
    {
        return str_contains($this->text(), mb_strtolower($words));
    }

    public function seesNot(string $words): void
    {
        $this->until(fn (): bool => ! $this->shows($words), "“{$words}” is not on the screen.");
    }

    public function press(string $name): void
    {
        $this->act($name, fn (RemoteWebElement $element) => $element->click());
    }

    /** Takes a dish off as a cook does: past the question where nobody read it at its number. */
    public function takesOff(): void
    {
        $this->until(fn (): bool => $this->shows('Pulled now') || $this->shows('It is off already'), 'It can be taken off.');
        if ($this->shows('Pulled now')) {
            $this->press('Pulled now');

            return;
        }
        $this->press('It is off already');
        $this->press('Yes, it is off');
    }

    /** Types a reading and logs it, though it looks odd. */
    public function reads(string $figure): void
    {
        $this->press('Take a reading');
        foreach (str_split($figure) as $digit) {
            $this->press($digit);
        }
        $this->press('Log it');
        $this->until(fn (): bool => $this->shows('is right') || ! $this->shows('Log it'), 'It is logged, or asked about.');
        if ($this->shows('is right')) {
            $this->press("$figure °C is right");
        }
        $this->seesNot('Log it');
    }

    /** Puts text into the field of that label, in place of what was there. */
    public function type(string $label, string $text): void
    {
        $this->until(function () use ($label, $text): bool {
            $field = $this->field($label);
            $field->click();
            $field->sendKeys([WebDriverKeys::CONTROL.'a']);
            $field->sendKeys($text);

            return true;
        }, "There is a field “{$label}”.");
    }

    public function value(string $label): string
    {
        return (string) $this->field($label)->getAttribute('value');
    }

    public function key(string $key): void
    {
        $this->browser->findElement(WebDriverBy::cssSelector('body'))->sendKeys($key);
    }

    /** The text that follows a quiet label, such as the hour under “Off the heat”. */
    public function answer(string $label): string
    {
        $found = '';
        $this->until(function () use ($label, &$found): bool {
            $found = (string) $this->browser->executeScript(<<<'JS'
                const isIt = (one) => one.textContent.trim() === arguments[0] && one.getClientRects().length;
                return [...document.querySelectorAll("main .label")].find(isIt)?.nextElementSibling?.textContent ?? "";
                JS, [$label]);

            return $found !== '';
        }, "There is an answer to “{$label}”.");

        return $found;
    }

    /**
     * What axe-core finds that is serious or worse.
     *
     * @param  list<string>  $rules  all of them where none is named
     * @return list<string>
     */
    public function barriers(array $rules = []): array
    {
        $options = ['resultTypes' => ['violations']] + ($rules === [] ? [] : ['runOnly' => $rules]);
        if (! $this->browser->executeScript('return "axe" in window')) {
            $this->browser->executeScript((string) file_get_contents(__DIR__.'/../../node_modules/axe-core/axe.min.js'));
        }

        return $this->browser->executeAsyncScript(<<<'JS'
            const [options, done] = arguments;
            const matters = (one) => ["serious", "critical"].includes(one.impact);
            const places = (one) => one.nodes.map((node) => node.target.join(" ")).slice(0, 3).join(", ");
            // A popover's own guards, which hand the focus on at once, are hidden and yet to be focused.
            axe.run({exclude: ["[id^=headlessui-focus-sentinel]"]}, options).then(
                ({violations}) => violations.filter(matters).map((one) => `${one.id}: ${places(one)}`),
                (error) => [String(error)],
            ).then(done);
            JS, [$options]);
    }

    /** What is wider than its room, on the page and in what is open over it. @return list<string> */
    public function sticksOut(): array
    {
        return $this->browser->executeScript(<<<'JS'
            const isWide = (one) => {
                const {overflowX, display} = getComputedStyle(one);
                return one.scrollWidth > one.clientWidth + 1 && overflowX !== "hidden" && display !== "inline";
            };
            return [document.documentElement, ...document.querySelectorAll("[role=dialog] *, [data-headlessui-state] > p")]
                .filter(isWide).map((one) => `${one.tagName}.${one.className}`).slice(0, 5);
            JS);
    }

    /** Whether nothing sticks out to the right. */
    public function fits(): bool
    {
        return (bool) $this->browser->executeScript('return document.documentElement.scrollWidth <= window.innerWidth');
    }

    public function until(callable $condition, string $claim): void
    {
        $end = microtime(true) + self::PATIENCE_S;
        $last = '';
        while (microtime(true) < $end) {
            try {
                if ($condition()) {
                    self::assertTrue(true);

                    return;
                }
            } catch (StaleElementReferenceException|\RuntimeException|\Facebook\WebDriver\Exception\WebDriverException $wrong) {
                $last = ' '.$wrong->getMessage();
            }
            usleep(80_000);
        }
        // In few lines: of a long record the last are kept.
        $reads = mb_substr((string) preg_replace('~\s*\n\s*~', ' / ', $this->text()), 0, 6000);
        $console = implode("\n", array_column($this->console(), 'message'));
        self::fail("It reads: $reads\n$last\nThe console: $console\n$claim");
    }

    /** What stands on the screen once all of it does: nothing more is fetched, and nothing but clocks and figures changes. */
    public function drawn(): string
    {
        $words = '';
        $this->until(function () use (&$words): bool {
            $before = $words;
            $words = (string) $this->browser->executeScript('return document.querySelector("main, #app").innerText');
            $withoutFigures = fn (string $one): string => (string) preg_replace('~[\d.:]+~', '', $one);

            return $words !== '' && ! str_contains($words, 'Fetching') && $withoutFigures($words) === $withoutFigures($before);
        }, 'All of it is drawn.');

        return $words;
    }

    public function text(): string
    {
        return mb_strtolower((string) $this->browser->executeScript('return document.body.innerText'));
    }

    private function act(string $name, callable $act): void
    {
        $this->until(function () use ($name, $act): bool {
            $element = $this->browser->executeScript(<<<'JS'
                const names = (one) => [one.getAttribute("aria-label"), one.textContent.trim(), one.innerText.split("\n")[0].trim()];
                const isIt = (one) => one.getClientRects().length && !one.disabled && names(one).includes(arguments[0]);
                // What lies under an open sheet cannot be pressed.
                const root = [...document.querySelectorAll("[role=dialog]")].pop() ?? document;
                return [...root.querySelectorAll("button, a, [role=radio], [role=option], label")].find(isIt) ?? null;
                JS, [$name]);
            if (! is_array($element)) {
                return false;
            }
            // As a person scrolls: clear of the bars at the foot.
            $this->browser->executeScript('arguments[0].scrollIntoView({block: "center"})', [$element]);
            $act(new RemoteWebElement(new RemoteExecuteMethod($this->browser), (string) current($element), true));

            return true;
        }, "There is “{$name}” to press.");
    }

    private function field(string $label): RemoteWebElement
    {
        $id = $this->browser->executeScript(<<<'JS'
            const isIt = (one) => one.textContent.trim() === arguments[0] && one.getClientRects().length;
            return [...document.querySelectorAll("label")].find(isIt)?.htmlFor ?? null;
            JS, [$label]);
        if (! is_string($id) || $id === '') {
            throw new \RuntimeException("There is no field “{$label}”.");
        }

        $this->browser->executeScript('document.getElementById(arguments[0]).scrollIntoView({block: "center"})', [$id]);

        return $this->browser->findElement(WebDriverBy::id($id));
    }
}
