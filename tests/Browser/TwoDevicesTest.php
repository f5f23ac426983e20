<?php

declare(strict_types=1);

// Two devices change one roast: nothing that one of them did is undone by the other, and what both changed is asked about.

/** Two screens of one kitchen. @return array{string, string} */
function twoScreens(Tests\Support\BrowserTest $test, string $roast): array
{
    $first = $test->browser->getWindowHandle();
    $test->open("/roasts/$roast/food");
    $test->sees('To feed');
    $test->browser->switchTo()->newWindow('window');
    $test->window(1280, 800);
    $test->open("/roasts/$roast/food");
    $test->sees('To feed');

    return [$first, $test->browser->getWindowHandle()];
}

it('keeps what two screens changed, and asks where they changed the same', function (int $width) {
    $this->join();
    $this->begin();
    $this->press('Keep this roast');
    $this->until(fn (): bool => str_ends_with($this->browser->getCurrentURL(), '/sheet'), 'It is kept.');
    $roast = (string) preg_replace('~^.*/roasts/([^/]+)/.*$~', '$1', $this->browser->getCurrentURL());
    [$kitchen, $garden] = twoScreens($this, $roast);
    $file = fn (): array => $this->ask('GET', "/api/roasts/$roast")[0][1]['file'];
    $by = function (string $screen) use ($width): void {
        $this->browser->switchTo()->window($screen);
        $this->window($width, 800);
    };
    // One writes, the other keeps something else meanwhile.
    $by($kitchen);
    $this->type('Occasion', 'Supper at the weir');
    $this->sees('Keep the changes');
    $by($garden);
    $this->type('To feed', '7');
    $this->press('Keep the changes');
    $this->seesNot('Keep the changes');
    $by($kitchen);
    $this->press('Keep the changes');
    $this->seesNot('Keep the changes');
    expect($file())->toMatchArray(['name' => 'Supper at the weir', 'people' => 7]);
    // Both change the same.
    $by($garden);
    $this->type('To feed', '5');
    $this->type('Air outside', '3');
    $this->sees('Keep the changes');
    $by($kitchen);
    $this->until(fn (): bool => $this->value('To feed') === '7', 'It shows what the other kept.');
    $this->type('To feed', '6');
    $this->press('Keep the changes');
    $this->seesNot('Keep the changes');
    $by($garden);
    $this->press('Keep the changes');
    $this->sees('Another device changed the same meanwhile');
    expect($this->fits())->toBeTrue();
    $this->press('6, on the other device');
    $this->press('Keep it so');
    $this->seesNot('Keep it so');
    $this->seesNot('Keep the changes');
    expect($file())->toMatchArray(['name' => 'Supper at the weir', 'people' => 6, 'air_c' => 3]);
    $this->browser->close();
    $this->browser->switchTo()->window($kitchen);
})->with([1280, 390]);
