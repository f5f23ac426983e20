<?php

declare(strict_types=1);

use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\OwnCurve;
use Diatherm\Cooker\Settings;
use Diatherm\Cooker\Weather;
use Diatherm\Measure\Message;
use Diatherm\Tending\Correction;
use Diatherm\Tending\DueRefuel;
use Diatherm\Tending\Objection;

function kettleAt(float $mm): Settings
{
    return Settings::of(['intake_mm' => $mm, 'exhaust_mm' => $mm]);
}

/** @param  list<array{float, float}>  $readings */
function corrected(
    array $readings,
    float $mm = 6.0,
    float $changed = INF,
    ?DueRefuel $refuel = null,
    float $target = 135.0,
    ?Objection $objection = null,
): ?Correction {
    return Correction::of(OwnCurve::of(Equipment::of('kettle')), Weather::of(20.0), $target, kettleAt($mm), $readings, $changed, $refuel, $objection);
}

it('leaves a cooker alone that is near its target, and does not chase noise', function (array $readings) {
    expect(corrected($readings)?->act->value)->toBe('hold');
})->with([
    [[[-5.0, 137.0]]],
    [[[-20.0, 131.0], [-10.0, 140.0], [0.0, 132.0]]],
    [[[-30.0, 139.0], [-20.0, 130.0], [-10.0, 141.0], [-2.0, 134.0]]],
]);

it('opens when it is cold and closes when it is hot, never both', function () {
    $cold = corrected([[-20.0, 118.0], [-10.0, 116.0], [0.0, 115.0]]);
    $hot = corrected([[-20.0, 158.0], [-10.0, 160.0], [0.0, 161.0]]);
    expect($cold?->act->value)->toBe('set')
        ->and($cold?->settings?->get('intake_mm'))->toBeGreaterThan(6.0)->toBeLessThanOrEqual(12.0)
        ->and($cold?->driftKH)->toBeLessThanOrEqual(0.0)
        ->and($hot?->act->value)->toBe('set')
        ->and($hot?->settings?->get('intake_mm'))->toBeLessThan(6.0)->toBeGreaterThanOrEqual(3.0)
        ->and($hot?->lookMinutes)->toBeGreaterThanOrEqual(10.0)->toBeLessThanOrEqual(45.0)
        ->and(said($cold?->words))->toContain('mm');
});

it('opens further the colder it is', function () {
    $open = fn (float $celsius): float => corrected([[-12.0, $celsius], [0.0, $celsius]])?->settings?->get('intake_mm') ?? 0.0;
    expect($open(105.0))->toBeGreaterThan($open(118.0))->and($open(60.0))->toBeLessThanOrEqual(12.0);
});

it('waits while the last change is still at work', function () {
    $waiting = corrected([[-2.0, 112.0], [0.0, 116.0]], 8.0, 3.0);
    expect($waiting?->act->value)->toBe('wait')->and($waiting?->lookMinutes)->toBeGreaterThanOrEqual(3.0);
});

it('looks past readings from before the last change', function () {
    expect(corrected([[-40.0, 90.0], [-30.0, 95.0], [0.0, 134.0]], 8.0, 20.0)?->act->value)->toBe('hold')
        ->and(corrected([[-120.0, 90.0]]))->toBeNull()
        ->and(corrected([]))->toBeNull();
});

it('feeds coals that are low before it opens further', function () {
    $fed = corrected([[-20.0, 128.0], [-10.0, 121.0], [0.0, 114.0]], 6.0, INF, new DueRefuel(Message::of('words.text', text: 'Add 20 briquettes'), 6.0));
    expect($fed?->act->value)->toBe('fuel')->and(said($fed?->words))->toBe('Add 20 briquettes')
        ->and(corrected([[-20.0, 150.0], [-10.0, 158.0], [0.0, 165.0]], 6.0, INF, new DueRefuel(Message::of('words.text', text: 'Add 20 briquettes'), 6.0))?->act->value)->toBe('set');
});

it('never asks for more of what is full', function () {
    $full = corrected([[-10.0, 112.0], [0.0, 110.0]], 20.0);
    expect($full?->act->value)->toBe('shelter')->and($full?->settings)->toBeNull()->and(said($full?->words))->toContain('fully open');
});

it('sees a drift coming before it is there', function () {
    expect(corrected([[-30.0, 139.0], [-20.0, 135.0], [-10.0, 131.0], [0.0, 127.5]])?->act->value)->toBe('set')
        ->and(corrected([[-30.0, 139.0], [-20.0, 135.0], [-10.0, 131.0], [0.0, 127.5]])?->driftKH)->toBeLessThan(-10.0);
});

it('goes the way that the drift asks for, from whichever side it comes, and looks again before it has left', function (array $readings, string $act, int $way) {
    $answer = corrected($readings);
    expect($answer?->act->value)->toBe($act)
        ->and(($answer->settings?->get('intake_mm') ?? 6.0) <=> 6.0)->toBe($way);
    if ($act === 'hold' && $answer->driftKH !== 0.0) {
        $there = $answer->levelC + $answer->driftKH * $answer->lookMinutes / 60.0;
        expect(abs($there - 135.0))->toBeLessThan(9.0)->and($answer->lookMinutes)->toBeBetween(5.0, 20.0);
    }
})->with([
    'falling fast, still above' => [[[-9.0, 170.0], [-6.0, 158.0], [-3.0, 147.0], [0.0, 136.0]], 'set', 1],
    'falling through it' => [[[-15.0, 183.0], [-10.0, 168.0], [-5.0, 152.0], [0.0, 137.0]], 'hold', 0],
    'rising fast, still below' => [[[-15.0, 95.0], [-10.0, 109.0], [-5.0, 122.0], [0.0, 134.0]], 'set', -1],
    'falling' => [[[-30.0, 159.0], [-20.0, 151.0], [-10.0, 143.0], [0.0, 137.0]], 'hold', 0],
    'rising' => [[[-30.0, 112.0], [-20.0, 119.0], [-10.0, 127.0], [0.0, 133.0]], 'hold', 0],
    'steady' => [[[-30.0, 136.0], [-20.0, 135.0], [-10.0, 137.0], [0.0, 136.0]], 'hold', 0],
]);

it('goes by what was read last where a line through all of it says otherwise, once it was read again', function (array $readings, string $act, int $way) {
    $answer = corrected($readings);
    $last = $readings[count($readings) - 1][1];
    expect(abs((float) $answer?->levelC - $last))->toBeLessThan(8.01)
        ->and($answer?->act->value)->toBe($act)
        ->and(($answer->settings?->get('intake_mm') ?? 6.0) <=> 6.0)->toBe($way);
})->with([
    'it fell by half, or its lid was off' => [[[-25.0, 136.0], [-15.0, 134.0], [-8.0, 135.0], [0.0, 88.0]], 'wait', 0],
    'the coals fell in' => [[[-25.0, 136.0], [-15.0, 134.0], [-5.0, 88.0], [0.0, 84.0]], 'set', 1],
    'the lid was off and is on again' => [[[-30.0, 135.0], [-20.0, 136.0], [-8.0, 70.0], [0.0, 133.0]], 'hold', 0],
    'it flares up' => [[[-25.0, 136.0], [-15.0, 134.0], [-8.0, 135.0], [0.0, 190.0]], 'wait', 0],
    'it flared up' => [[[-25.0, 136.0], [-15.0, 134.0], [-5.0, 188.0], [0.0, 190.0]], 'set', -1],
]);

it('brings it to its target, when what it says is done', function (float $today) {
    // A kettle that on this day gains less or more than its curve says: two corrections have to bring it near.
    $curve = OwnCurve::of(Equipment::of('kettle'));
    $weather = Weather::of(20.0);
    $settings = kettleAt(6.0);
    for ($i = 0; $i < 3; $i++) {
        $celsius = 20.0 + $today * ($curve->steadyC($settings, $weather)->likely - 20.0);
        $settings = Correction::of(
            $curve,
            $weather,
            135.0,
            $settings,
            [[-20.0, $celsius], [-10.0, $celsius], [0.0, $celsius]],
        )?->settings ?? $settings;
    }
    expect(20.0 + $today * ($curve->steadyC($settings, $weather)->likely - 20.0))->toEqualWithDelta(135.0, 13.0);
})->with([0.7, 0.85, 1.0, 1.2, 1.5]);

it('speaks of each cooker in its own terms', function (string $kind, array $values, float $target, float $celsius, string $words) {
    $curve = OwnCurve::of(Equipment::of($kind));
    $correction = Correction::of(
        $curve,
        Weather::of(15.0),
        $target,
        Settings::of($values),
        [[-15.0, $celsius], [-5.0, $celsius], [0.0, $celsius]],
    );
    expect($correction?->act->value)->toBe('set')->and(said($correction?->words))->toContain($words);
})->with([
    ['gas', ['burner_1' => 0.5, 'burner_2' => 0.0, 'burner_3' => 0.5], 165.0, 140.0, 'burner 2 off'],
    ['camp-oven', ['over' => 12.0, 'under' => 12.0], 170.0, 140.0, 'more coals on the lid'],
    ['camp-oven', ['over' => 12.0, 'under' => 12.0], 170.0, 205.0, 'off the lid'],
    ['open-spit', ['coals_kg' => 5.0], 357.0, 310.0, 'Rake in'],
    ['open-spit', ['coals_kg' => 5.0], 357.0, 420.0, 'out from under'],
    ['pellet', ['set_c' => 120.0], 120.0, 100.0, 'Set to'],
]);

it('speaks of an open fire by the hand, and of any other by degrees', function (float $seconds, string $act) {
    $fire = Equipment::of('open-spit');
    $curve = OwnCurve::of($fire);
    $weather = Weather::of(18.0);
    $target = Diatherm\Fire\HandTest::wallC(6.0);
    $readings = array_map(fn (float $minutes): array => [$minutes, Diatherm\Fire\HandTest::wallC($seconds)], [-10.0, -5.0, 0.0]);
    $correction = Correction::of($curve, $weather, $target, $curve->settingsFor($target, $weather), $readings);
    expect($correction?->act->value)->toBe($act)->and(said($correction?->words).' '.said($correction?->why))->not->toMatch('/°C|\bK\b/');
    if ($act === 'set') {
        expect(said($correction?->why))->toContain(sprintf(' %.0f s hand', $seconds))->toContain('the target is a 6 s hand');
    }
    expect(said(corrected([[-20.0, 118.0], [-10.0, 116.0], [0.0, 115.0]])?->why))->toContain('°C');
})->with([[6.0, 'hold'], [12.0, 'set'], [3.0, 'set']]);

it('does not leave a cooker alone while a refuel is late or the meat says that it is too cool', function (float $readC) {
    $steady = [[-20.0, $readC], [-10.0, $readC], [-1.0, $readC]];
    $coals = new DueRefuel(Message::of('correction.take_coals_off_the_lid'), -4.0);
    $meat = new Objection(Message::of('advice.it_will_not_get_there'), Message::of('advice.nothing_was_read'));
    expect(corrected($steady, refuel: $coals)?->act->value)->toBe('fuel')
        ->and(corrected($steady, refuel: new DueRefuel($coals->words, 8.0))?->act->value)->toBe('hold')
        ->and(corrected($steady, objection: $meat)?->words)->toBe($meat->words);
})->with([131.0, 135.0, 139.0]);

it('closes no slot while the meat says that it is too cool, and opens one where the cooker reads cold as well', function () {
    $meat = new Objection(Message::of('advice.it_will_not_get_there'), Message::of('advice.nothing_was_read'));
    foreach ([150.0, 165.0, 190.0] as $hotC) {
        expect(corrected([[-20.0, $hotC], [-1.0, $hotC]], objection: $meat)?->settings)->toBeNull();
    }
    $opened = corrected([[-20.0, 105.0], [-1.0, 105.0]], objection: $meat);
    expect($opened?->act->value)->toBe('set')->and($opened?->settings?->get('intake_mm'))->toBeGreaterThan(6.0);
});
