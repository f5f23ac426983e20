<?php

declare(strict_types=1);

it('shows when each preparation begins, and lets one be added and taken away', function () {
    $this->enterDemo();
    $this->press('Sunday on the lock island');
    $this->press('Food');
    $this->sees('Salt it dry');
    $this->sees('55 g salt');
    $this->press('Before the fire');
    $this->type('Add salt, a rub, a step of your own…', 'bacon');
    $this->press('Wrap in bacon');
    $this->sees('Overlapping, tied');
    $this->press('As it was');
    $this->seesNot('Overlapping, tied');
    $this->press('Yoghurt marinade');
    $this->press('Boathouse rub');
    $this->sees('smoked paprika');
});

it('says whether a joint turns, and follows the tape and the roll test', function (int $width, int $height) {
    $this->window($width, $height);
    $this->enterDemo();
    $this->press('Sunday on the lock island');
    $this->press('Rig');
    $this->sees('It fits when it is tied');
    $this->sees('N·m');
    $this->type('Spit to the nearest thing', '9');
    $this->sees('It does not turn');
    $this->type('Spit to the nearest thing', '30');
    $this->sees('even with a leg loose');
    $this->type('Weight', '3');
    $this->sees('it stalls');
    $this->type('Between the forks', 'wide');
    $this->sees('must be a number');
    expect($this->fits())->toBeTrue()->and($this->barriers())->toBe([]);
    $this->press('As it was');
    $this->sees('It fits when it is tied');
})->with([[1280, 800], [390, 844]]);

it('shows the hole for a buried pot in section, and warns once before the dig', function () {
    $this->enterDemo();
    $this->press('Pot under the willow');
    $this->press('Rig');
    $this->sees('It goes in, and the lid closes');
    $this->sees('utility-locating service before you dig');
    $dry = function (): string {
        $this->press('Dry');

        return $this->answer('Coals, in all');
    };
    $wet = $this->answer('Coals, in all');
    $this->until(fn (): bool => $dry() !== $wet, 'Dry ground asks for fewer coals.');
    $this->press('As it was');
    expect($this->barriers())->toBe([]);
});

it('ticks off the kit on a phone', function () {
    $this->window(390, 844);
    $this->join();
    $this->begin();
    $this->press('Keep this roast');
    $this->press('Rig');
    $this->sees('Have ready');
    $pressed = fn (): int => (int) $this->browser->executeScript(
        'return document.querySelectorAll("section[aria-label=Kit] [aria-pressed=true]").length',
    );
    expect($pressed())->toBe(0);
    $this->until(function () use ($pressed): bool {
        if ($pressed() === 0) {
            $this->browser->executeScript('document.querySelector("section[aria-label=Kit] button:not(:disabled)")?.click()');
        }

        return $pressed() === 1;
    }, 'One is ticked.');
});

it('keeps a mix of one’s own', function () {
    $this->join();
    $this->begin();
    $this->press('Write your own');
    $this->type('Paste a recipe, a line for each ingredient', "Lock gate rub\nFor 2 kg\n24 g sumac\n2 cloves garlic\nPress it on all over.");
    $this->press('Read it');
    $this->until(fn (): bool => $this->value('Name') === 'Lock gate rub', 'What was pasted stands in its fields.');
    expect($this->value('What to do'))->toBe('Press it on all over.');
    $this->press('Keep the mix');
    $this->sees('sumac');
    $this->press('Delete it');
    $this->seesNot('sumac');
});

it('lets a cook put work in, time it, move it as far as nature lets it, and buys what it takes', function (int $width, int $height) {
    $this->window($width, $height);
    $this->join();
    $this->begin('Thighs in yoghurt, charred at the end');
    $this->press('Before the fire');
    $this->press('Marinate in yoghurt');
    $this->type('For', '18');
    $this->sees('18 h');
    $this->type('Add salt, a rub, a step of your own…', 'Pat the skin dry');
    $this->press('“Pat the skin dry”');
    $this->press('Pat the skin dry');
    $this->type('Work of hands', '7');
    $this->sees('7 min');
    expect($this->fits())->toBeTrue()->and($this->barriers())->toBe([]);
    $this->press('Keep this roast');
    $this->press('Rig');
    $this->sees('Plain yoghurt');
    $this->press('Plain yoghurt, for Thighs, Yoghurt dip');
    $this->sees('in the house');
    expect($this->fits())->toBeTrue()->and($this->barriers())->toBe([]);
})->with([[1280, 800], [390, 844]]);
