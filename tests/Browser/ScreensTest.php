<?php

declare(strict_types=1);

$screens = [
    'hearth' => [null, 'Coming'], 'plan' => ['Plan', 'From nothing'],
    'cookers' => ['Cookers', 'What was read on it'], 'log' => ['Log', 'End of season'], 'handbook' => ['Handbook', 'Cuts and their numbers'],
    'account' => ['Account', 'Where you are signed in'],
];
$views = [
    'Food' => 'Safe minimum', 'Rig' => 'Have ready', 'Fire' => 'Through the cook',
    'Run sheet' => 'Print for the fireside', 'Live' => 'Take a reading', 'Table' => 'Warmed again',
    'Debrief' => 'What to change next time',
];
$short = ['Run sheet' => 'Sheet'];

it('puts nothing serious in anyone’s way, by day and by night, wide and narrow', function (int $width, int $height) use ($screens, $views, $short) {
    $this->window($width, $height);
    $this->open('/');
    $this->sees('Step into the demo kitchen');
    expect($this->barriers())->toBe([], 'door')->and($this->fits())->toBeTrue();
    $this->enterDemo();
    // By night it is the same page in other colours.
    foreach (['day' => [], 'night' => ['color-contrast']] as $light => $rules) {
        $this->browser->executeScript('document.documentElement.dataset.theme = arguments[0]', [$light]);
        foreach ($screens as $name => [$link, $words]) {
            if ($link !== null) {
                if ($width < 500 && in_array($name, ['handbook', 'account'], true)) {
                    $this->press('More');
                }
                $this->press($link);
            }
            $this->sees($words);
            expect($this->barriers($rules))->toBe([], "$name, $light, $width")->and($this->fits())->toBeTrue("$name fits $width");
        }
        $this->press('Hearth');
        $this->press('To the fire');
        foreach ($views as $view => $words) {
            $this->press($width < 500 ? ($short[$view] ?? $view) : $view);
            $this->sees($words);
            expect($this->barriers($rules))->toBe([], "$view, $light, $width")->and($this->fits())->toBeTrue("$view fits $width");
        }
        $this->press($width < 500 ? '‹ Hearth' : 'Hearth');
        $this->sees('Coming');
    }
})->with([[1280, 800], [390, 844]]);

it('is worked by keyboard throughout', function () {
    $this->enterDemo();
    $this->key('p');
    $this->sees('Plan a roast');
    $this->sees('From nothing');
    $this->key('e');
    $this->sees('Boathouse kettle');
    $this->key('o');
    $this->sees('End of season');
    $this->key('h');
    $this->sees('Last debriefs');
    $this->key('?');
    $this->sees('Take a reading');
    $this->browser->getKeyboard()->sendKeys(Facebook\WebDriver\WebDriverKeys::ESCAPE);
    $this->seesNot('Views of a roast, in the order of the work');
    $this->press('To the fire');
    $this->sees('Core, coldest point');
    foreach (['1' => 'Safe minimum', '2' => 'Have ready', '3' => 'Through the cook', '4' => 'Print for the fireside', '6' => 'Warmed again', '7' => 'What to change next time', '5' => 'Take a reading'] as $key => $words) {
        $this->key((string) $key);
        $this->sees($words);
    }
});

it('says so where there is nothing, and where nothing is found', function () {
    $this->join();
    $this->press('Log');
    $this->sees('No roast has been finished yet');
    expect($this->barriers())->toBe([]);
    $this->open('/roasts/01ARZ3NDEKTSV4RRFFQ69G5FAV/live');
    $this->sees('That is not here');
    $this->browser->manage()->getLog('browser');
    $this->press('To the hearth');
    $this->sees('Nothing is on the fire.');
});
