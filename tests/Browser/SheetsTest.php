<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;

/** On which roast and screen each sheet is, what opens it, and words that stand in it. */
$sheets = [
    'alarms' => ['Autumn supper at the old weir', 'live', ['Call me'], 'Alarms on this device'],
    'reading' => ['Autumn supper at the old weir', 'live', ['Take a reading'], 'Reading, Rack of pork'],
    'note' => ['Autumn supper at the old weir', 'live', ['Note'], 'What happened'],
    'the day changes' => ['Autumn supper at the old weir', 'live', ['The day changes'], 'Guests come later'],
    'ways to go on' => ['Autumn supper at the old weir', 'live', ['The day changes', '40 min'], 'Ways to go on'],
    'thermometers' => ['Autumn supper at the old weir', 'live', ['A thermometer that sends by itself'], 'Add one, called'],
    'side by side' => ['Sunday on the lock island', 'food', ['Hotter, cooler, another cooker'], 'Side by side'],
    'mix' => ['Sunday on the lock island', 'food', ['Write your own'], 'A mix of your own'],
    'cooker' => ['', 'cookers', ['Add one'], 'You call it'],
];

it('opens every sheet with nothing in anyone’s way, with text twice as large', function (int $width, int $height, string $light) use ($sheets) {
    $this->window($width, $height);
    $this->enterDemo();
    $ids = array_column($this->browser->executeAsyncScript(
        'const done = arguments[0]; fetch("/api/roasts", {headers: {Accept: "application/json"}}).then((answer) => answer.json()).then(done)',
    ), 'id', 'name');
    foreach ($sheets as $name => [$roast, $screen, $presses, $words]) {
        $this->open($roast === '' ? "/$screen" : "/roasts/$ids[$roast]/$screen");
        $this->browser->executeScript('document.documentElement.dataset.theme = arguments[0]', [$light]);
        foreach ($presses as $press) {
            $this->press($press);
        }
        $this->sees($words);
        expect($this->barriers())->toBe([], "$name, $light, $width");
        $this->browser->executeScript('document.documentElement.style.fontSize = "200%"');
        expect($this->sticksOut())->toBe([], "$name, text twice as large, $width");
        $this->browser->getKeyboard()->sendKeys(WebDriverKeys::ESCAPE);
    }
})->with([[640, 400, 'day'], [390, 844, 'night']]);

it('opens what only a kitchen of one’s own has with nothing in anyone’s way, with text twice as large', function (int $width, int $height, string $light) {
    $this->window($width, $height);
    $this->join();
    $this->open('/account');
    $this->browser->executeScript('document.documentElement.dataset.theme = arguments[0]', [$light]);
    expect($this->barriers())->toBe([], "account, $light, $width");
    $this->press('Close it…');
    $this->sees('Delete everything');
    expect($this->barriers())->toBe([], "leaving, $light, $width");
    $this->browser->executeScript('document.documentElement.style.fontSize = "200%"');
    expect($this->sticksOut())->toBe([], "leaving, text twice as large, $width");
})->with([[640, 400, 'day'], [390, 844, 'night']]);

it('opens the working of a figure with nothing in anyone’s way', function () {
    $this->window(390, 844);
    $this->enterDemo();
    $this->press('To the fire');
    $this->sees('Core, coldest point');
    foreach (['day', 'night'] as $light) {
        $this->browser->executeScript('document.documentElement.dataset.theme = arguments[0]', [$light]);
        $this->browser->executeScript('document.querySelector("button[title=\'Why this number?\']").click()');
        $this->sees('Handbook');
        expect($this->barriers())->toBe([], $light);
        $this->browser->getKeyboard()->sendKeys(WebDriverKeys::ESCAPE);
        $this->seesNot('Handbook');
    }
});
