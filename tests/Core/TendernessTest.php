<?php

declare(strict_types=1);

use Diatherm\Cooking\Forecast;
use Diatherm\Food\Larder;
use Diatherm\Food\Tenderness;
use Diatherm\Measure\InvalidInput;
use Diatherm\Roast\RoastFile;
use Tests\Support\Samples;

/** @param  list<array<string, mixed>>  $stages */
function shoulder(array $stages, float $targetC = 93.0, float $rest = 5.0): Forecast
{
    return Forecast::of(
        Samples::dish(
            [
                'cut' => 'pork-shoulder', 'mass_kg' => 3.0, 'start_c' => 4, 'taste' => null, 'target_c' => $targetC,
                'coast' => false, 'rest_minutes' => $rest, 'stages' => $stages,
            ],
        ),
        18.0,
    );
}

// Common practice: hours held at a core temperature until it pulls apart: 60 °C 30, 70 °C 10, 80 °C 4.5, 90 °C 1.5, 95 °C 0.7.
it('takes the hours of practice, and adds up their parts', function (float $coreC, float $hours) {
    expect(Tenderness::hours($coreC))->toEqualWithDelta($hours, 1e-9)
        ->and(Tenderness::share([0.0, 1800.0 * $hours], [$coreC, $coreC]))->toEqualWithDelta(0.5, 1e-9);
})->with([[60.0, 30.0], [70.0, 10.0], [80.0, 4.5], [90.0, 1.5], [95.0, 0.7]]);

it('is sooner tender the hotter it is held, and never at once', function () {
    $before = INF;
    for ($c = 40.0; $c <= 99.0; $c += 1.0) {
        expect(Tenderness::hours($c))->toBeLessThan($before)->toBeGreaterThan(0.3);
        $before = Tenderness::hours($c);
    }
    expect(Tenderness::share([0.0, 3600.0], [20.0, 20.0]))->toBeLessThan(0.001)->and(Tenderness::share([0.0], [90.0]))->toBe(0.0);
});

// Common practice: at 110 to 125 °C, 93 °C is reached at about the right moment; a hot oven gets there early, and it is tough.
it('has a shoulder tender at its number on a gentle fire, and not out of a hot oven, but for a long warm rest', function () {
    $slow = shoulder([['cooker' => 'pellet', 'cooker_c' => 115, 'pull' => true]]);
    $hot = [['cooker' => 'oven', 'cooker_c' => 220, 'pull' => true]];
    $fast = shoulder($hot, 88.0);
    expect($slow->tenderShare)->toBeGreaterThan(0.9)->and(array_column($slow->cautions, 'id'))->not->toContain('not_tender_yet')
        ->and($fast->tenderShare)->toBeLessThan(0.9)->toBeLessThan($slow->tenderShare)->and(
            array_column($fast->cautions, 'id'),
        )->toContain('not_tender_yet')
        ->and(shoulder($hot, 88.0, 90.0)->tenderShare)->toBeGreaterThan($fast->tenderShare + 0.2);
});

it('speaks of tenderness for tough cuts alone, and not of one that is carved pink', function () {
    foreach (Larder::cuts() as $cut) {
        $forecast = Forecast::of(
            Samples::dish(
                [
                    'cut' => $cut->id, 'mass_kg' => $cut->typicalMassKg, 'taste' => null, 'target_c' => 62,
                    'stages' => [['cooker' => 'oven', 'cooker_c' => 180, 'pull' => true]],
                ],
            ),
            18.0,
        );
        expect($forecast->tenderShare !== null)->toBe($cut->tough, $cut->id)
            ->and(array_column($forecast->cautions, 'id'))->not->toContain('not_tender_yet');
    }
    expect(Larder::cut('beef-brisket')->tough)->toBeTrue()->and(Larder::cut('beef-fillet')->tough)->toBeFalse();
});

// Common practice: foil ends the stall and saves hours; paper breathes and saves some.
it('gets past its stall in foil, and in paper part of the way', function () {
    $minutes = fn (?string $wrap): float => shoulder([
        ['cooker' => 'pellet', 'cooker_c' => 115, 'until_core_c' => 70],
        ['cooker' => 'pellet', 'cooker_c' => 115, 'pull' => true] + ($wrap === null ? [] : ['wrap' => $wrap]),
    ])->cookMinutes->likely;
    expect($minutes('foil'))->toBeLessThan(0.85 * $minutes(null))
        ->and($minutes('paper'))->toBeLessThan($minutes(null))->toBeGreaterThan($minutes('foil') - 1.0);
});

it('reads and writes what a step is wrapped in, and refuses what is not there', function () {
    $file = fn (mixed $wrap): array => [
        'serve_at' => '2031-10-04T19:00:00+02:00',
        'dishes' => [
            [
                'cut' => 'pork-shoulder',
                'mass_kg' => 3,
                'stages' => [
                    ['cooker' => 'pellet', 'cooker_c' => 115, 'until_core_c' => 70],
                    ['cooker' => 'pellet', 'cooker_c' => 115, 'pull' => true, 'wrap' => $wrap],
                ],
            ],
        ],
    ];
    expect(RoastFile::write(RoastFile::read($file('paper')))['dishes'][0]['stages'][1]['wrap'])->toBe('paper')
        ->and(RoastFile::write(RoastFile::read($file('paper')))['dishes'][0]['stages'][0])->not->toHaveKey('wrap')
        ->and(fn () => RoastFile::read($file('leaves')))->toRefuse('foil or paper');
});

it('reads seconds of the hand over an open fire alone, and writes them back to a hair', function () {
    $file = fn (array $stage): array => [
        'serve_at' => '2031-10-04T19:00:00+02:00',
        'dishes' => [['cut' => 'lamb-leg', 'mass_kg' => 2.5, 'stages' => [$stage + ['pull' => true]]]],
    ];
    foreach ([2.5, 4.0, 6.5, 9.0, 20.0] as $seconds) {
        $roast = RoastFile::read($file(['cooker' => 'open-spit', 'hand_s' => min(12.0, $seconds)]));
        $again = RoastFile::read(RoastFile::write($roast));
        expect($again->dishes[0]->stages[0]->cookerC)->toEqualWithDelta($roast->dishes[0]->stages[0]->cookerC, 0.011)
            ->and(said($again->dishes[0]->stages[0]->heatInWords()))->toContain(' s hand');
    }
    expect(fn () => RoastFile::read($file(['cooker' => 'kettle', 'hand_s' => 5])))->toRefuse('not seconds of the hand')
        ->and(
            fn () => RoastFile::read($file(['cooker' => 'open-spit', 'hand_s' => 5, 'cooker_c' => 360])),
        )->toRefuse('not both')
        ->and(fn () => RoastFile::read($file(['cooker' => 'open-spit', 'hand_s' => 90])))->toThrow(InvalidInput::class)
        ->and(
            RoastFile::read($file(['cooker' => 'open-spit', 'cooker_c' => 360]))->dishes[0]->stages[0]->handS(),
        )->toBeGreaterThan(5.0)->toBeLessThan(7.0);
});

it('stays on until it pulls apart, sooner on a hotter fire, and says at which core', function () {
    $until = fn (float $celsius, array $more = []): Forecast => shoulder(
        [['cooker' => 'pellet', 'cooker_c' => $celsius, 'until_tender' => true] + $more],
    );
    $gentle = $until(110.0);
    expect($gentle->tenderShare)->toBeGreaterThan(0.99)->toBeLessThan(1.4)->and($gentle->pullC)->toBeGreaterThan(80.0)->toBeLessThan(97.0)
        ->and($until(130.0)->cookMinutes->likely)->toBeLessThan($gentle->cookMinutes->likely)
        ->and($until(110.0, ['wrap' => 'foil'])->cookMinutes->likely)->toBeLessThan($gentle->cookMinutes->likely)
        ->and($gentle->cookMinutes->high)->toBeGreaterThan($gentle->cookMinutes->likely)
        ->and(array_column($gentle->cautions, 'id'))->not->toContain('not_tender_yet');
});

it('is until tender for a tough cut alone, at its last step, and on a fire that gets there', function () {
    $file = fn (string $cut, array ...$stages): array => [
        'serve_at' => '2031-10-04T19:00:00+02:00',
        'dishes' => [['cut' => $cut, 'mass_kg' => Larder::cut($cut)->typicalMassKg, 'stages' => $stages]],
    ];
    $tender = ['cooker' => 'pellet', 'cooker_c' => 115, 'until_tender' => true];
    expect(RoastFile::write(RoastFile::read($file('beef-chuck', $tender)))['dishes'][0]['stages'][0]['until_tender'])->toBeTrue()
        ->and(fn () => RoastFile::read($file('beef-fillet', $tender)))->toRefuse('does not take hours')
        ->and(
            fn () => RoastFile::read($file('beef-chuck', $tender, ['cooker' => 'oven', 'pull' => true])),
        )->toRefuse('Only the last')
        ->and(fn () => RoastFile::read($file('beef-chuck', $tender + ['minutes' => 30])))->toRefuse('one end')
        ->and(
            fn () => Forecast::of(
                Samples::dish(
                    [
                        'cut' => 'pork-shoulder',
                        'mass_kg' => 9,
                        'start_c' => 2,
                        'taste' => 'tender',
                        'stages' => [['cooker' => 'oven', 'cooker_c' => 75, 'until_tender' => true]],
                    ],
                ),
                -10.0,
            ),
        )->toRefuse('does not get tender');
});

it('follows one that is on until tender while it cooks', function () {
    $dish = Samples::dish(
        [
            'cut' => 'pork-shoulder',
            'mass_kg' => 3.0,
            'start_c' => 4,
            'taste' => 'tender',
            'stages' => [['cooker' => 'pellet', 'cooker_c' => 120, 'until_tender' => true]],
        ],
    );
    $plan = Forecast::of($dish, 18.0);
    $at = 0.7 * $plan->cookMinutes->likely;
    $live = Diatherm\Live\LiveForecast::of(
        $dish,
        18.0,
        new Diatherm\Cooking\Course(nowS: 60.0 * $at),
        [Diatherm\Live\Reading::of('a', 60.0 * $at, 'core', $plan->trace->coreAt(60.0 * $at))],
        $plan->pullC,
    );
    expect($live->cookMinutes->likely)->toEqualWithDelta($plan->cookMinutes->likely, 0.08 * $plan->cookMinutes->likely)
        ->and($live->getsThere)->toBeTrue();
});
