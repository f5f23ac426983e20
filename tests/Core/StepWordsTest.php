<?php

declare(strict_types=1);

use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Day\Act;
use Diatherm\Day\Entry;
use Diatherm\Heat\Resolution;
use Diatherm\Live\LiveForecast;
use Diatherm\Live\Reading;
use Diatherm\Plan\Plan;
use Tests\Support\Samples;

/** @param  array<string, mixed>  $dish  @return array<string, Entry> the run sheet by id */
function sheetOf(array $dish): array
{
    $plan = Plan::of(
        Samples::roast($dish + ['taste' => null, 'target_c' => 90, 'coast' => false]),
        new DateTimeImmutable('2031-10-02T01:00:00+02:00'),
    );

    return entriesById($plan);
}

/** @param  list<string|null>  $wraps  of each step on one pellet grill  @return list<array<string, mixed>> */
function steps(array $wraps): array
{
    $last = count($wraps) - 1;

    return array_map(
        fn (?string $wrap, int $i): array => ['cooker' => 'pellet', 'cooker_c' => 120] + (
            $i === $last ? ['until_tender' => true] : ['until_core_c' => 60 + 8 * $i]
        ) + ($wrap === null ? [] : ['wrap' => $wrap]),
        $wraps,
        array_keys($wraps),
    );
}

it('says what hands do at each turn: wrap, unwrap, and the fork that ends it', function () {
    $sheet = sheetOf(['cut' => 'pork-shoulder', 'mass_kg' => 3, 'stages' => steps([null, 'paper', 'paper', null])]);
    expect(said($sheet['d0.stage.1']->title))->toBe('Wrap Shoulder of pork in paper')->and(said($sheet['d0.stage.1']->detail))->toContain('At 120 °C')
        ->and(said($sheet['d0.stage.2']->title))->toBe('Shoulder of pork: the pellet grill anew')
        ->and(said($sheet['d0.stage.3']->title))->toBe('Unwrap Shoulder of pork')->and(said($sheet['d0.stage.3']->detail))->toContain('away from you')
        ->and(said($sheet['d0.pull']->detail))->toContain('When a fork turns in it')
        ->and(said($sheet['d0.rest']->detail))->toContain('loosely covered');
});

it('rests it in what it was wrapped in', function (string $wrap) {
    expect(
        said(sheetOf(['cut' => 'beef-brisket', 'mass_kg' => 3, 'stages' => steps([null, $wrap])])['d0.rest']->detail),
    )->toContain("in its $wrap");
})->with(['foil', 'paper']);

it('names the cooker that it goes to, and the wrap that it goes there in', function () {
    $sheet = sheetOf(
        [
            'cut' => 'pork-shoulder',
            'mass_kg' => 3,
            'stages' => [
                ['cooker' => 'pellet', 'cooker_c' => 110, 'until_core_c' => 68],
                ['cooker' => 'oven', 'cooker_c' => 120, 'pull' => true, 'wrap' => 'foil'],
            ],
        ],
    );
    expect(said($sheet['d0.stage.1']->title))->toBe('Shoulder of pork to the oven')
        ->and(said($sheet['d0.stage.1']->detail))->toContain('Wrapped in foil')
        ->and(array_filter($sheet, fn (Entry $entry): bool => $entry->act === Act::Stage))->toHaveCount(1);
});

it('asks for a fork, not for a number, when it should pull apart', function () {
    $dish = Samples::dish(
        [
            'cut' => 'pork-shoulder',
            'mass_kg' => 3,
            'taste' => 'tender',
            'stages' => [['cooker' => 'pellet', 'cooker_c' => 120, 'until_tender' => true]],
        ],
    );
    $plan = Forecast::of($dish, 18.0);
    $now = 60.0 * $plan->cookMinutes->likely;
    $advice = fn (float $read): string => said(LiveForecast::of(
        $dish,
        18.0,
        new Course(nowS: $now),
        [Reading::of('a', $now - 60.0, 'core', $read)],
        $plan->pullC,
    )->advice?->words);
    expect($advice($plan->pullC + 0.5))->toBe('Try it with a fork')->and($advice($plan->pullC - 6.0))->not->toBe('Try it with a fork');
});

it('refuses an open fire in seconds of the hand and any other in degrees', function (string $cooker, array $heat, string $words) {
    expect(
        fn () => Forecast::of(
            Samples::dish(
                [
                    'cut' => 'lamb-whole', 'mass_kg' => 25, 'start_c' => -1, 'taste' => null, 'target_c' => 97,
                    'stages' => [['cooker' => $cooker, 'pull' => true] + $heat],
                ],
            ),
            -30.0,
        ),
    )->toRefuse($words);
})->with([['open-spit', ['hand_s' => 11], 's hand the core does not'], ['oven', ['cooker_c' => 90], 'At 90 °C the core does not']]);

it('counts what is rolled as having its outside within', function (string $cut) {
    $long = fn (string $form): array => array_column(
        Forecast::of(
            Samples::dish(
                [
                    'cut' => $cut,
                    'form' => $form,
                    'mass_kg' => Diatherm\Food\Larder::cut($cut)->mostMassKg,
                    'taste' => null,
                    'target_c' => 60,
                    'stages' => [['cooker' => 'ceramic', 'cooker_c' => 90, 'pull' => true]],
                ],
            ),
            18.0,
        )->cautions,
        'id',
    );
    expect($long('rolled'))->toContain('cool_for_long')->and($long('whole'))->not->toContain('cool_for_long');
})->with(['pork-loin', 'beef-topside']);

it('leaves in a pot what was in it from step to step', function () {
    $twice = Cook::of(Samples::dish(['cut' => 'chicken', 'mass_kg' => 2, 'taste' => 'done', 'stages' => [
        [
            'cooker' => 'lidded-roaster',
            'cooker_c' => 121,
            'minutes' => 45,
        ], ['cooker' => 'lidded-roaster', 'cooker_c' => 200, 'minutes' => 1],
    ]]), 18.0, Resolution::fine(), Course::asPlanned());
    $once = Cook::of(
        Samples::dish(
            [
                'cut' => 'chicken',
                'mass_kg' => 2,
                'taste' => 'done',
                'stages' => [['cooker' => 'lidded-roaster', 'cooker_c' => 121, 'minutes' => 45]],
            ],
        ),
        18.0,
        Resolution::fine(),
        Course::asPlanned(),
    );
    $twice->toPull(99.0);
    $once->toPull(99.0);
    // A new pot would have its first liquid again; this one has what the first step left, and walls that are on their way.
    expect($twice->vessel?->liquidKg())->toEqualWithDelta((float) $once->vessel?->liquidKg(), 0.02)
        ->and($twice->vessel?->wallC())->toBeGreaterThan(121.0)->toBeLessThanOrEqual(200.0);
});

it('has the heat of the hole in the pot alone, and not in the oven after it', function () {
    $crisp = fn (array $more): Cook => Cook::of(
        Samples::dish(
            [
                'cut' => 'turkey-breast',
                'mass_kg' => 3,
                'start_c' => 4,
                'taste' => null,
                'target_c' => 74,
                'rig' => ['kind' => 'buried_pot', 'pot_cm' => 35.6, 'ground' => 'dry'],
                'stages' => [['cooker' => 'camp-oven', 'minutes' => 90], ['cooker' => 'oven', 'minutes' => 20] + $more],
            ],
        ),
        18.0,
        Resolution::fine(),
        Course::asPlanned(),
    );
    [$cool, $hot] = [$crisp(['cooker_c' => 120]), $crisp(['cooker_c' => 240])];
    $cool->toPull(99.0);
    $hot->toPull(99.0);
    expect($hot->body->surfaceC())->toBeGreaterThan($cool->body->surfaceC() + 8.0);
});
