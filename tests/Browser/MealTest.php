<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;

// What stands beside the roast: put on the ticket, seen on the skewer, done by the clock, bought, and in a calendar.

it('plans a meal from an empty ticket to its run sheet, with sides in the order of their patience', function (int $width, int $height) {
    $this->window($width, $height);
    $this->join();
    $this->begin();
    $this->sees('Beside it');
    $this->type('Add greens, bread, a sauce…', 'vegetables');
    $this->browser->getKeyboard()->sendKeys(WebDriverKeys::ENTER);
    $this->sees('waits well for 5 min');
    $this->type('Add greens, bread, a sauce…', 'bread');
    $this->browser->getKeyboard()->sendKeys(WebDriverKeys::ENTER);
    $this->sees('waits well for 10 min');
    expect($this->fits())->toBeTrue()->and($this->barriers())->toBe([]);
    $this->press('Keep this roast');
    $this->sees('Table');
    $this->press($width < 500 ? 'Sheet' : 'Run sheet');
    $this->sees('Water to the boil for Greens');
    $this->sees('Buttered loaf on');
    $this->sees('Into your calendar');
    expect($this->barriers())->toBe([]);
    $this->browser->executeScript('document.querySelector("button[aria-label=\"Greens on: done\"]").click()');
    $this->until(fn (): bool => (bool) $this->browser->executeScript('return document.querySelector("button[aria-label=\"Greens on: done, undo\"]") !== null'), 'The greens are ticked.');
    [[$status, $roasts]] = $this->ask('GET', '/api/roasts');
    expect($status)->toBe(200)->and($roasts[0]['file']['sides'])->toHaveCount(2);
    $this->press('Rig');
    $this->sees('At the greengrocer’s');
    $this->sees('At the baker’s');
    expect($this->fits())->toBeTrue()->and($this->barriers())->toBe([]);
})->with([[1280, 800], [390, 844]]);
