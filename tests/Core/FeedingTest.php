<?php

declare(strict_types=1);

use Diatherm\Day\Entry;
use Diatherm\Day\KitItem;
use Diatherm\Measure\InvalidInput;
use Diatherm\Plan\Plan;
use Diatherm\Roast\Beginning;
use Diatherm\Roast\Roast;
use Diatherm\Roast\RoastFile;
use Tests\Support\Samples;

// What feeds what: sides that hang on a joint's moments, mixes that are made before they are used, and all of it bought once.

const A_DAY_BEFORE = '2031-10-02T09:00:00+02:00';

/** @return array<string, Entry> lines by id */
function linesOf(Roast $roast): array
{
    $lines = [];
    foreach (Plan::of($roast, new DateTimeImmutable(A_DAY_BEFORE))->runSheet->entries as $entry) {
        $lines[$entry->id->text()] = $entry;
    }

    return $lines;
}

/** @param  array<string, mixed>  $side */
function withSide(array $side): Roast
{
    return Samples::roast(
        ['stages' => [['cooker' => 'kettle', 'cooker_c' => 120, 'until_core_c' => 55, 'chores' => [['do' => 'baste', 'every_minutes' => 20, 'from_minutes' => 25]]], ['cooker' => 'kettle', 'cooker_c' => 150, 'pull' => true, 'wrap' => 'foil']]],
        ['sides' => [$side + ['side' => 'diced-potatoes', 'minutes' => 30]]],
    );
}

it('begins or ends a side with a moment of a dish', function (string $hangs, string $moment, float $minutes, string $line) {
    $lines = linesOf(withSide([$hangs => ['dish' => 0, 'moment' => $moment, 'minutes' => $minutes]]));
    $key = $hangs === 'begins' ? 'side.diced-potatoes.on' : 'side.diced-potatoes.off';
    $off = ($lines[$key]->at->getTimestamp() - $lines[$line]->at->getTimestamp()) / 60.0;
    // Hands do one thing at a time, and may be a minute or two before the moment or after it.
    expect($off)->toEqualWithDelta($minutes, 3.0);
})->with([
    ['begins', 'on', 0.0, 'd0.on'], ['begins', 'on', 17.0, 'd0.on'], ['ends', 'first_baste', -5.0, 'd0.chore.0.0.0'], ['ends', 'wrap', 0.0, 'd0.stage.1'],
    ['ends', 'pull', 0.0, 'd0.pull'], ['begins', 'pull', 10.0, 'd0.pull'], ['begins', 'carve', 30.0, 'd0.carve'],
]);

it('writes a side that hangs on a moment as it was read', function () {
    foreach ([['begins' => ['dish' => 0, 'moment' => 'carve', 'minutes' => 45.0]], ['ends' => ['dish' => 0, 'moment' => 'pull', 'minutes' => -5.0]]] as $hangs) {
        $written = RoastFile::write(withSide($hangs));
        expect($written['sides'][0])->toMatchArray($hangs)->and(RoastFile::read($written))->toEqual(withSide($hangs));
    }
});

it('refuses a moment that is none, of a dish that is not there, or both ends', function (array $side, string $path) {
    try {
        withSide($side);
        $refused = [];
    } catch (InvalidInput $wrong) {
        $refused = array_keys($wrong->messages);
    }
    expect($refused)->toContain("sides.0.$path");
})->with([
    [['begins' => ['moment' => 'dawn']], 'begins.moment'], [['begins' => ['moment' => 'on', 'dish' => 4]], 'begins.dish'],
    [['begins' => ['moment' => 'on', 'minutes' => 1e9]], 'begins.minutes'], [['begins' => ['moment' => 'on'], 'ends' => ['moment' => 'pull']], 'ends'],
    [['ends' => 'pull'], 'ends'], [['begins' => ['moment' => 'on', 'hour' => 3]], 'begins.hour'],
]);

/** @return array<string, Entry> */
function ofWay(string $id): array
{
    return linesOf(Beginning::all()[$id]->at(new DateTimeImmutable('2031-10-04T18:45:00+02:00')));
}

// What the cooks of these ways do. Common practice.
it('puts what feeds a joint, and what it feeds, where their cooks have it', function () {
    $lamb = ofWay('spit-lamb');
    $leg = ofWay('spit-leg');
    $can = ofWay('can-chicken');
    $spit = ofWay('spit-chicken');
    $rack = ofWay('camp-rack');
    $fillet = ofWay('pastry-fillet');
    $after = fn (Entry $then, Entry $first): float => ($then->at->getTimestamp() - $first->at->getTimestamp()) / 60.0;
    // Stock of this lamb's bones, once it is carved, twelve hours; the spray is made before it is first sprayed.
    expect($after($lamb['side.stock.on'], $lamb['d0.carve']))->toBeGreaterThan(20.0)
        ->and($after($lamb['side.stock.done'], $lamb['side.stock.on']))->toEqualWithDelta(720.0, 1.0)
        // What simmered all night is cooled fast. Source: FDA Food Code 2017, 3-501.14.
        ->and(said($lamb['side.stock.done']->detail))->toContain('Cooled fast')
        ->and($after($lamb['d0.chore.0.0.0'], $lamb['d0.make.0.0']))->toBeGreaterThan(40.0)
        // Beans lie under the leg for its last 45 minutes, and the gravy is made once they are out.
        ->and($after($leg['d0.pull'], $leg['side.beans-in-drippings.on']))->toEqualWithDelta(45.0, 4.0)
        ->and($after($leg['side.pan-gravy.on'], $leg['side.beans-in-drippings.off']))->toBeGreaterThan(0.0)
        ->and($after($leg['d0.chore.0.0.0'], $leg['d0.marinade']))->toBeGreaterThan(8.0)
        // Roots are in from the start and out at an hour, the bird later.
        ->and($after($can['side.roots-in-stock.on'], $can['d0.on']))->toEqualWithDelta(0.0, 3.0)
        ->and($after($can['side.roots-in-stock.off'], $can['d0.on']))->toEqualWithDelta(60.0, 3.0)
        ->and($after($can['d0.pull'], $can['side.roots-in-stock.off']))->toBeGreaterThan(10.0)
        // The sauce is ready by its first use at half an hour.
        ->and($after($spit['d0.chore.0.0.0'], $spit['d0.make.0.0']))->toBeGreaterThan(20.0)->toBeLessThan(40.0)
        // Mushrooms are smoked and dry before they go round the fillet, whenever the day begins.
        ->and($after($fillet['d0.between.3.mushrooms'], $fillet['side.dried-mushrooms.done']))->toBeGreaterThan(3.0)
        // The meat has a head start of 15 to 20 minutes.
        ->and($after($rack['side.diced-potatoes.on'], $rack['d0.on']))->toEqualWithDelta(17.0, 3.0);
});

it('has neither on nor off for what is made cold', function () {
    $lines = ofWay('char-thighs');
    expect($lines)->toHaveKey('side.yoghurt-dip.ready')->not->toHaveKeys(['side.yoghurt-dip.on', 'side.yoghurt-dip.off'])
        ->and($lines['side.yoghurt-dip.ready']->at < $lines['serve']->at)->toBeTrue();
});

it('makes a filling before it is filled in, and nothing of it twice', function () {
    $lines = ofWay('ceramic-breasts');
    expect($lines['d0.prepare.make-fill']->at < $lines['d0.prepare.pound']->at)->toBeTrue()
        ->and(said($lines['d0.prepare.make-fill']->detail))->toContain('180 g soft cheese')
        ->and(said($lines['d0.prepare.fill']->detail))->not->toContain('soft cheese');
});

/** @return array<string, string> amounts by what is bought */
function bought(Roast $roast): array
{
    $list = [];
    foreach (Plan::of($roast, new DateTimeImmutable(A_DAY_BEFORE))->shopping as $one) {
        $what = explode(', for ', said($one->what))[0];
        expect($list)->not->toHaveKey($what);
        $list[$what] = said($one->amount);
    }

    return $list;
}

// By hand: 8 thighs of 160 g are 1.28 kg, at 125 g of yoghurt a kilogram 160 g, and 60 g a head for four in the dip: 400 g in all.
it('adds up over the recipes what is bought, each thing once', function () {
    expect(bought(Beginning::all()['char-thighs']->at(new DateTimeImmutable('2031-10-04T18:45:00+02:00')))['Plain yoghurt'])->toBe('400 g');
    foreach (Beginning::all() as $id => $beginning) {
        expect(bought($beginning->at(new DateTimeImmutable('2031-10-04T18:45:00+02:00'))))->not->toBe([], $id)->not->toHaveKey('Water');
    }
});

it('buys what the cook puts in the place of a mix, and nothing for “none”', function () {
    $buys = fn (mixed $mix): array => bought(Samples::roast(['preparations' => [['do' => 'rub', 'mix' => $mix]]]));
    $own = ['name' => 'Two to one', 'basis' => 'parts', 'items' => [['what' => 'sea salt', 'amount' => 2, 'unit' => 'parts'], ['what' => 'sumac', 'amount' => 1, 'unit' => 'part']]];
    expect($buys($own))->toHaveKeys(['Sea salt', 'Sumac'])->not->toHaveKey('Smoked paprika')
        ->and($buys('none'))->not->toHaveKey('Smoked paprika')->and($buys('weir-rub'))->toHaveKey('Smoked paprika');
});

// Common practice: two toothpicks close a rolled breast; nothing catches drips below an electric roaster, nobody ties an opened bird.
it('lays out the kit that the work asks for, and none that it does not', function () {
    $kit = function (string $id): array {
        $plan = Plan::of(Beginning::all()[$id]->at(new DateTimeImmutable('2031-10-04T18:45:00+02:00')), new DateTimeImmutable(A_DAY_BEFORE));

        return array_column(array_map(fn (KitItem $item): array => [$item->id, said($item->name)], $plan->kit), 1, 0);
    };
    expect($kit('ceramic-breasts'))->toMatchArray(['toothpicks' => '8 toothpicks'])->toHaveKeys(['mallet', 'film'])
        ->and($kit('roaster-turkey'))->not->toHaveKey('drip_pan')->and($kit('flat-chicken'))->not->toHaveKey('twine')->toHaveKey('shears')
        ->and($kit('parcel-fish'))->toHaveKeys(['foil', 'paper'])->and($kit('spit-lamb'))->toHaveKeys(['needle', 'twine', 'saw'])
        ->and(said(ofWay('flat-chicken')['d0.rig']->detail))->not->toContain('one thickness')
        ->and(said(ofWay('can-chicken')['d0.rig']->detail))->not->toContain('one thickness');
});
