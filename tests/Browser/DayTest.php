<?php

declare(strict_types=1);

// The day changes, a second pair of hands comes, the sheet goes onto paper.

it('goes on another way when the guests are late, and back again with one undo', function (int $width, int $height) {
    $this->window($width, $height);
    $this->enterDemo();
    $this->press('To the fire');
    $this->sees('Core, coldest point');
    $table = (string) $this->browser->executeScript('return document.querySelector("header p strong").textContent');
    $this->press('The day changes');
    $this->sees('Guests come later');
    expect($this->barriers())->toBe([]);
    $this->press('40 min');
    $this->sees('As it stands');
    $this->sees('40 min later');
    expect($this->barriers())->toBe([])->and($this->fits())->toBeTrue();
    $this->press('Do this: Hold it hot for 40 min');
    $this->seesNot('As it stands');
    $this->until(fn (): bool => $this->browser->executeScript('return document.querySelector("header p strong").textContent') !== $table, 'The table moves.');
    $this->sees('Hold it hot for 40 min');
    $this->press('Undo');
    $this->until(fn (): bool => $this->browser->executeScript('return document.querySelector("header p strong").textContent') === $table, 'It is back.');
    $this->seesNot('Hold it hot for 40 min');
})->with([[1280, 800], [390, 844]]);

it('holds two ways of one roast against each other before choosing', function () {
    $this->join();
    $this->begin('A duck on the kettle');
    $before = $this->answer('On the heat');
    $this->press('Hotter, cooler, another cooker');
    $this->sees('As it stands');
    expect($this->barriers())->toBe([]);
    $this->press('Plan it so: Cooler: 165 °C');
    $this->until(fn (): bool => $this->answer('On the heat') < $before, 'It goes on sooner.');
    expect($this->value('At'))->toBe('165');
});

it('says what two dishes ask of one kettle, and plans them apart', function () {
    $this->join();
    $this->begin('A rack of pork and potatoes on the kettle');
    $this->seesNot('at the same time');
    $this->type('At', '210');
    $this->sees('wants 210 °C');
    $this->press('Ways out');
    $this->sees('As it stands');
    $this->browser->executeScript('[...document.querySelectorAll("[role=dialog] button")].find((one) => one.textContent.startsWith("Plan it so: Both at")).click()');
    $this->seesNot('at the same time');
});

it('gives its tasks to a second pair of hands, who ticks them and sees nothing else', function () {
    $this->enterDemo();
    $this->press('Sunday on the lock island');
    $this->press('Run sheet');
    $this->press('Make a link');
    $this->sees('Copy it');
    $link = (string) $this->browser->executeScript('return document.querySelector("input[readonly]").value');
    $this->window(390, 844);
    $this->browser->manage()->deleteAllCookies();
    $this->browser->get($link);
    $this->sees('Sunday on the lock island');
    $this->seesNot('Cookers');
    expect($this->barriers())->toBe([])->and($this->fits())->toBeTrue();
    $tick = fn (): string => (string) $this->browser->executeScript('const one = document.querySelector("ol button:not(:disabled)"); one.click(); return one.getAttribute("aria-label")');
    $name = $tick();
    $this->sees('✓');
    expect($name)->toEndWith(': done');
    $this->browser->navigate()->refresh();
    $this->sees('✓');
    $this->browser->executeScript('document.querySelector("ol button[aria-pressed=true]:not(:disabled)").click()');
    $this->seesNot('✓');
});

it('puts the day onto one sheet', function () {
    $this->enterDemo();
    $this->press('Lamb for the boathouse roof');
    $this->press('Run sheet');
    $this->press('Print for the fireside');
    $this->sees('off at');
    $this->sees('times to');
    expect($this->barriers())->toBe([])->and($this->fits())->toBeTrue();
    // As the printer has it: A4, at 96 dots an inch.
    $this->command('Emulation.setEmulatedMedia', ['media' => 'print']);
    $pdf = (string) $this->browser->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => 'Page.printToPDF', 'params' => ['paperWidth' => 8.27, 'paperHeight' => 11.69, 'preferCSSPageSize' => true]])['data'];
    expect(preg_match_all('~/Type\s*/Page[^s]~', (string) base64_decode($pdf, true)))->toBe(1);
});

it('says before it is kept what stands in the way, with one press out of each', function (int $width, int $height) {
    $this->window($width, $height);
    $this->join();
    $this->begin();
    $this->seesNot('in the way');
    $this->type('To feed', '8');
    $this->sees('It feeds 4, not 8');
    $this->type('Eat no meat', '2');
    $this->sees('2 guests eat no meat');
    expect($this->barriers())->toBe([])->and($this->fits())->toBeTrue();
    $this->press('Add: Filled peppers');
    $this->seesNot('2 guests eat no meat');
    $this->browser->executeScript(
        '[...document.querySelectorAll("#obstacles button")].find((one) => one.textContent.startsWith("Chicken")).click()',
    );
    $this->seesNot('in the way');
    $this->press('Keep this roast');
    $this->sees('Put away what is left');
    $this->sees('Filled peppers');
})->with([[1280, 800], [390, 844]]);
