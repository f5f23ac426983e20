<?php

declare(strict_types=1);

use Diatherm\Food\Preparation;
use Diatherm\Food\Side;
use Diatherm\Roast\Beginning;

/*
 * Ways of cooking, each from an empty ticket to the debrief by someone who presses what is there: three presses to a sound plan, rig,
 * fire, run sheet, live with a reading, the pull, the table. WAYS=whole takes all of them, and the five meals on a phone as well.
 */

/** With something beside the joint that has to be ready with it. */
const MEALS = ['camp-rack', 'can-chicken', 'spit-leg', 'kettle-triangle', 'pastry-fillet'];

/** A spit over coals, a meal in one pot on a phone, a sear over the coals that are there. */
const A_FEW = [['spit-lamb', 1280, 800], ['camp-rack', 390, 844], ['kettle-triangle', 1280, 800]];

/** @return list<array{string, int, int}> */
function waysAndWidths(): array
{
    return getenv('WAYS') !== 'whole' ? A_FEW : [
        ...array_map(fn (string $id): array => [$id, 1280, 800], array_keys(Beginning::all())),
        ...array_map(fn (string $id): array => [$id, 390, 844], MEALS),
    ];
}

it('goes whole from an empty ticket to the debrief', function (string $way, int $width, int $height) {
    $beginning = Beginning::all()[$way];
    $dish = $beginning->file['dishes'][0]['name'];
    $narrow = $width < 500;
    $this->window($width, $height);
    $this->join();

    $this->begin($beginning->name);
    $this->sees($narrow ? 'Pull at' : 'Beside it');
    expect($this->answer('On the heat'))->toMatch('/^\d\d:\d\d$/')->and($this->fits())->toBeTrue();
    $this->press('Keep this roast');

    $this->sees('Print for the fireside');
    // One pair of hands can do it, and every side is there with its lines.
    $this->seesNot('One pair of hands is at');
    foreach ($beginning->file['sides'] ?? [] as $side) {
        $known = Side::named($side['side']);
        $name = $side['name'] ?? $known->name;
        $this->sees(match (true) {
            $known->isCold => "Make $name",
            isset($side['with']) => "$name in with",
            default => $name,
        });
    }
    expect($this->fits())->toBeTrue()->and($this->barriers())->toBe([]);
    $this->press('Rig');
    $this->sees('Have ready');
    expect($this->fits())->toBeTrue();
    $this->press('Fire');
    $this->sees(($beginning->file['dishes'][0]['rig']['kind'] ?? '') === 'buried_pot' ? 'Coals, in all' : 'Through the cook');
    expect($this->fits())->toBeTrue();

    $this->press($narrow ? 'Sheet' : 'Run sheet');
    $this->sees("$dish on");
    // What hands do to it stands in the order in which its cooks do it.
    $lines = array_map(
        fn (Preparation $one): string => $one->makes === null ? "$one->name: $dish" : "Make $one->name",
        $beginning->at(new DateTimeImmutable('+9 hours'))->dishes[0]->work(),
    );
    $text = mb_strtolower($this->text());
    $places = array_map(fn (string $line): int => (int) mb_strpos($text, mb_strtolower($line)), $lines);
    $sorted = $places;
    sort($sorted);
    expect($places)->toBe($sorted)->not->toContain(0);
    $this->press('20 min ago');
    $this->press("$dish on: done");
    $this->sees('✓');
    $this->press('Live');
    // Until it reads its number no line says that it comes off; after a step by the clock one does.
    if (count($beginning->file['dishes'][0]['stages']) === 1) {
        $this->seesNot("Pull $dish");
    }
    $this->reads('18');
    $this->sees('18°');
    expect($this->fits())->toBeTrue()->and($this->barriers())->toBe([]);

    $this->press('Table');
    $this->takesOff();
    // Whatever it read, it is said: rested, or off too soon and back on the heat.
    $this->until(fn (): bool => $this->shows('Rests for') || $this->shows('It is back on'), 'It rests, or goes back.');
    $this->press('Carved');
    // Another dish that is still to come takes its place.
    $this->sees(count($beginning->file['dishes']) > 1 ? $beginning->file['dishes'][1]['name'] : 'Carved at');
    $this->press('Debrief');
    $this->sees('What to change next time');
    $this->sees('Cook this again');
    expect($this->fits())->toBeTrue()->and($this->barriers())->toBe([]);
})->with(waysAndWidths(...));
