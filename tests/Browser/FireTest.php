<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

it('answers as coals are moved by keyboard, and keeps them where they were put', function () {
    $this->enterDemo();
    $this->press('Lamb for the boathouse roof');
    $this->press('Fire');
    $this->sees('Its parts are done');
    $middle = fn (): float => (float) $this->answer('Straight up to the meat');
    $before = $middle();

    // The pile that is tabbed to goes by the arrows, and the flux at the meat follows.
    $pile = fn () => $this->browser->findElement(WebDriverBy::cssSelector('[role=button][aria-label^="Coals 2 of 4"]'));
    $this->browser->executeScript('arguments[0].scrollIntoView({block: "center"})', [$pile()]);
    for ($i = 0; $i < 4; $i++) {
        $this->until(function () use ($pile): bool {
            $this->browser->executeScript('arguments[0].focus()', [$pile()]);
            $this->browser->getKeyboard()->sendKeys([WebDriverKeys::SHIFT, WebDriverKeys::ARROW_UP]);
            $this->browser->getKeyboard()->releaseKey(WebDriverKeys::SHIFT);

            return true;
        }, 'The coals take the focus.');
        usleep(400_000);
    }
    $this->until(fn (): bool => $middle() < $before - 0.1, 'Farther coals give the meat less.');
    $this->sees('Keep the changes');
    $this->press('Keep the changes');
    $this->seesNot('Keep the changes');
    $this->browser->navigate()->refresh();
    $this->sees('Its parts are done');
    $this->until(fn (): bool => $middle() < $before - 0.1, 'They lie where they were put.');

    // And the advice of the house has the parts done together.
    $this->press('Lay them so');
    $this->sees('Keep the changes');
    $this->press('As it was');
    $this->press('Even, end to end');
    $this->until(fn (): bool => abs($middle() - $before) < 0.1, 'Laid evenly, it is as it was.');
    $this->press('Keep the changes');
    $this->seesNot('Keep the changes');
});

it('turns a wind and a wrong one into settings and words', function (int $width, int $height) {
    $this->window($width, $height);
    $this->join();
    $this->begin();
    $this->press('Keep this roast');
    $this->press('Fire');
    $this->sees('Set it so');
    $still = $this->answer('For 180 °C');
    $this->type('Wind', '5');
    $this->until(fn (): bool => $this->answer('For 180 °C') !== $still, 'Wind asks for more air.');
    $this->type('Wind', 'howling');
    $this->sees('must be a number');
    expect($this->value('Wind'))->toBe('howling')->and($this->fits())->toBeTrue()->and($this->barriers())->toBe([]);
    $this->press('As it was');
    $this->until(fn (): bool => $this->answer('For 180 °C') === $still, 'Nothing was kept.');
})->with([[1280, 800], [390, 844]]);

it('adds a cooker, learns from trials, and answers both ways', function () {
    $this->join();
    $this->press('Cookers');
    $this->sees('None of your own yet');
    $this->press('Add one');
    $this->press('Add it');
    $this->sees('Give the name');
    $this->type('You call it', 'Ferry kettle');
    $this->press('Add it');
    $this->sees('Nothing yet');
    $this->sees('this is how its kind behaves');
    foreach ([['5', '99'], ['6', '112'], ['7', '127']] as [$mm, $celsius]) {
        $this->type('Lower slot', $mm);
        $this->type('Upper slot', $mm);
        $this->type('It read', $celsius);
        $this->browser->findElement(WebDriverBy::cssSelector('form[aria-label="Log a trial"] button[type=submit]'))->click();
        $this->sees("{$celsius}°");
    }
    $this->until(fn (): bool => $this->answer('Readings behind it') === '3', 'Three readings are behind it.');
    $this->type('I want', '250');
    $this->sees('Extrapolated');
    $this->press('Set like this');
    $this->sees('eight times in ten');
    expect($this->barriers())->toBe([])->and($this->fits())->toBeTrue();

    // Its roasts are planned with it.
    $this->press('Hearth');
    $this->begin();
    $this->press('Keep this roast');
    $this->press('Fire');
    $any = $this->answer('For 180 °C');
    $this->press('Which one');
    $this->browser->getKeyboard()->sendKeys([WebDriverKeys::HOME, WebDriverKeys::ENTER]);
    $this->until(fn (): bool => $this->answer('For 180 °C') !== $any, 'A cold kettle is opened wider.');
});

it('takes the one correction worth making, and can take it back', function () {
    $this->enterDemo();
    $this->press('To the fire');
    $this->sees('Boathouse kettle');
    $this->press('Set so');
    $this->sees('Set anew');
    $this->key('u');
    $this->seesNot('Set anew');
    $this->press('Put it back');
    $this->sees('Set anew');
    $this->key('u');
    $this->seesNot('Set anew');
});

it('times a hand over the fire', function () {
    $this->enterDemo();
    $this->press('Lamb for the boathouse roof');
    $this->press('Fire');
    $aim = null;
    $this->until(function () use (&$aim): bool {
        if (preg_match('~aim for\s+(\d+) seconds~', $this->text(), $found) === 1) {
            $aim = (int) $found[1];
        }

        return $aim !== null;
    }, 'It says what to aim for.');
    // A machine takes the palm away when it comes to it, never sooner than it was told to: the words go by the seconds that were counted.
    foreach ([0, 3_000_000] as $atLeastUs) {
        $from = hrtime(true);
        $this->press('Palm in');
        $in = hrtime(true);
        usleep($atLeastUs);
        $out = hrtime(true);
        $this->press('Away!');
        $away = hrtime(true);
        $held = (float) $this->browser->executeScript('return document.querySelector("section[aria-label=\"Hand test\"] output").textContent');
        expect($held)->toBeGreaterThanOrEqual(round(($out - $in) / 1e9, 1) - 0.1)
            ->toBeLessThanOrEqual(round(($away - $from) / 1e9, 1) + 0.1);
        $this->sees(match (true) {
            $held < 2.0 => 'Under two seconds',
            $held > 60.0 => 'Over a minute',
            abs($held - $aim) <= 0.2 * $aim => 'That is the fire that was asked for',
            $held < $aim => 'Too hot',
            default => 'Not hot enough',
        });
    }
});
