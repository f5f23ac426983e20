<?php

declare(strict_types=1);

use Diatherm\Cooker\CookerShed;
use Diatherm\Cooking\Forecast;
use Diatherm\Food\Larder;
use Diatherm\Measure\Mark;
use Diatherm\Measure\OutOfRange;
use Diatherm\Safety\SafeMinimum;
use Tests\Support\Samples;

it('knows at least thirty cuts of every kind', function () {
    expect(count(Larder::cuts()))->toBeGreaterThanOrEqual(30)
        ->and(array_values(array_unique(array_column(Larder::cuts(), 'kind'))))->toContain(
            'beef',
            'veal',
            'lamb',
            'pork',
            'game',
            'poultry',
            'fish',
            'roots',
        );
    foreach (['chicken', 'duck', 'goose', 'turkey', 'guinea-fowl', 'fish-whole', 'fish-fillet'] as $id) {
        expect(Larder::cut($id)->id)->toBe($id);
    }
});

it('has a sound row for every cut', function (string $id) {
    $cut = Larder::cut($id);
    expect($cut->taste($cut->usualTaste)->coreC)->toBeGreaterThan(45.0)
        ->and($cut->leastMassKg)->toBeLessThan($cut->typicalMassKg)->and($cut->typicalMassKg)->toBeLessThan($cut->mostMassKg)
        ->and($cut->perPersonG[0])->toBeLessThanOrEqual($cut->perPersonG[1])
        ->and(SafeMinimum::of($cut->safetyClass)->name)->not->toBe('')
        ->and($cut->source->mark === Mark::Common || $cut->source->citation !== '')->toBeTrue()
        ->and($cut->probe)->not->toBe('')->and($cut->carve)->not->toBe('')->and($cut->measure)->not->toBe('');
    $shape = $cut->shape->byMass($cut->typicalMassKg, 1.0);
    $volume = $cut->typicalMassKg / 1050.0;
    // A body of this half-thickness cannot hold less than its own sphere, nor be thinner than a sheet.
    expect(4.19 * $shape->halfThicknessM ** 3)->toBeLessThan(1.6 * $volume)
        ->and($shape->exponent)->toBeGreaterThan(0.0)->toBeLessThanOrEqual(2.0);
})->with(fn () => array_keys(Larder::cuts()));

// Raw mass for one. Common practice: boneless 200–250 g, bone-in roast 340–450 g, whole bird 450–680 g, whole lamb 700–900
// g, fillet 180–220 g.
it('feeds people as the trade does', function (string $id, int $least, int $most) {
    $cut = Larder::cut($id);
    expect($cut->perPersonG[0])->toBeGreaterThanOrEqual($least)->and($cut->perPersonG[1])->toBeLessThanOrEqual($most);
})->with([['lamb-whole', 700, 900], ['turkey', 450, 680], ['chicken', 450, 680], ['fish-fillet', 180, 220], ['fish-whole', 350, 450], ['pork-rack', 340, 450]]);

it('counts whom a joint feeds', function () {
    expect(Larder::cut('turkey')->feeds(6.8))->toBe([10, 15]);
});

it('cooks a dish of the usual size on every cooker', function (string $cooker) {
    $kind = CookerShed::kind($cooker);
    $forecast = Forecast::of(Samples::dish(['stages' => [['cooker' => $cooker, 'cooker_c' => $kind->defaultC, 'pull' => true]]]), 15.0);
    expect($forecast->cookMinutes->likely)->toBeGreaterThan(20.0)->toBeLessThan(400.0);
})->with(fn () => array_values(array_diff(array_keys(CookerShed::kinds()), ['rest', 'fridge'])));

it('refuses what is not on its shelves', function (callable $ask) {
    expect(fn () => $ask('unicorn'))->toThrow(OutOfRange::class);
})->with([[[Larder::class, 'cut']], [[Larder::class, 'form']], [[CookerShed::class, 'kind']], [[SafeMinimum::class, 'of']]]);
