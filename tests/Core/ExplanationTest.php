<?php

declare(strict_types=1);

use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Live\LiveExplanation;
use Diatherm\Live\LiveForecast;
use Diatherm\Measure\Mark;
use Diatherm\Measure\Working;
use Diatherm\Plan\Explanation;
use Tests\Support\Samples;

/** @return array<string, Working> by the number that it explains */
function workings(array $dish): array
{
    return array_column(Explanation::of(Forecast::of(Samples::dish($dish), 14.0)), null, 'of');
}

const EVERY_DISH = [
    'cook_minutes', 'shape', 'pull_c', 'peak_c', 'first_look_minutes', 'lid_lift_minutes', 'target_c', 'feeds',
    'temper_minutes',
];

it('explains every number that a plan shows', function (array $dish, array $numbers) {
    // Nobody looks into a hole, so a look has no price there.
    $every = ($dish['rig']['kind'] ?? '') === 'buried_pot' ? array_diff(EVERY_DISH, ['lid_lift_minutes']) : EVERY_DISH;
    expect(workings($dish))->toHaveKeys([...$every, ...$numbers]);
})->with([
    'a rack with a rule' => [
        ['stages' => [['cooker' => 'kettle', 'cooker_c' => 160, 'pull' => true]]],
        ['rule_minutes', 'safe_c', 'rig.pan'],
    ],
    'a chicken, which has a table of its own' => [
        ['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => null, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 180, 'pull' => true]]],
        ['safe_c', 'lethality_log10'],
    ],
    'a spit' => [['rig' => ['kind' => 'spit']], ['rig.clearance', 'rig.balance', 'rig.bar']],
    'a pot' => [['rig' => ['kind' => 'pot']], ['rig.liquid']],
    'a buried pot' => [['rig' => ['kind' => 'buried_pot']], ['rig.liquid', 'rig.coals', 'rig.wood', 'rig.soil']],
    'a frame' => [['rig' => ['kind' => 'frame']], ['rig.height', 'rig.line']],
    'what was prepared' => [
        ['preparations' => ['thaw_fridge', 'dry_brine', 'truss']],
        ['prepare.thaw_fridge', 'prepare.dry_brine', 'prepare.truss'],
    ],
]);

it('gives each a rule to read and a source that is one', function (array $dish) {
    foreach (workings($dish) as $working) {
        expect(said($working->rule))->toMatch('/^[A-Z0-9½¼¾].*\.$/u')->and(said($working->source->inWords()))->not->toBe('');
        if ($working->source->mark === Mark::Published || $working->source->mark === Mark::Memory) {
            expect($working->source->citation)->not->toBe('');
        }
        foreach (inputsOf($working) as $label => $value) {
            expect($label)->not->toBe('')->and($value)->not->toBe('')->and($value)->not->toContain('NAN')->not->toContain('INF');
        }
    }
})->with([[[]], [['rig' => ['kind' => 'spit', 'test_kg' => 0.4, 'test_arm_cm' => 12]]], [['rig' => ['kind' => 'buried_pot']]], [['rig' => ['kind' => 'frame'], 'preparations' => ['rub', 'truss']]], [['cut' => 'potatoes', 'mass_kg' => 0.2, 'start_c' => 15, 'taste' => 'soft']]]);

it('explains no number that is not there', function () {
    expect(workings(['stages' => [['cooker' => 'open-spit', 'cooker_c' => 420, 'pull' => true]]]))->not->toHaveKey('lid_lift_minutes');
    expect(
        workings(['cut' => 'potatoes', 'mass_kg' => 0.2, 'start_c' => 15, 'taste' => 'soft']),
    )->not->toHaveKeys(['safe_c', 'lethality_log10', 'rule_minutes', 'rig.clearance']);
});

it('states the inputs that were really used', function () {
    $taped = workings(['thickness_cm' => 10, 'rig' => ['kind' => 'spit', 'room_cm' => 17, 'test_kg' => 0.4, 'test_arm_cm' => 14]]);
    expect(inputsOf($taped['shape'])['Half-thickness'])->toContain('from the tape')
        ->and(inputsOf(workings([])['shape'])['Half-thickness'])->toContain('from the mass')
        ->and(inputsOf($taped['rig.clearance'])['Room'])->toBe('17.0 cm')
        ->and(inputsOf($taped['rig.balance']))->toMatchArray(['Weight' => '400 g', 'Arm' => '14.0 cm', 'On the spit' => '3.0 kg']);
});

it('says in which way a dish is pulled', function () {
    expect(said(workings([])['pull_c']->rule))->toContain('climbs on')
        ->and(said(workings(['coast' => false])['pull_c']->rule))->toContain('Cooked to its number');
});

it('explains every number that a live forecast shows', function () {
    $dish = Samples::dish();
    $live = LiveForecast::of($dish, 14.0, new Course(nowS: 2400.0), [], 56.0);
    $workings = array_column(LiveExplanation::of($live, $dish), null, 'of');
    expect($workings)->toHaveKeys(['live.pull_at', 'live.core_now_c', 'live.pull_c', 'live.peak_c'])
        ->and(inputsOf($workings['live.pull_at'])['Readings that count'])->toBe('0 of 0');
});
