<?php

declare(strict_types=1);

use Diatherm\Day\Act;
use Diatherm\Day\Entry;
use Diatherm\Day\KitItem;
use Diatherm\Measure\InvalidInput;
use Diatherm\Plan\Plan;
use Diatherm\Rig\Fit;
use Diatherm\Roast\Place;
use Diatherm\Roast\RoastFile;
use Tests\Support\Samples;

const SPIT = [
    'kind' => 'spit', 'between_cm' => 52.5, 'bite_cm' => 6, 'room_cm' => 17, 'section' => 'tube', 'bar_mm' => 16,
    'wall_mm' => 2, 'span_cm' => 78, 'steel' => 'mild', 'motor_nm' => 1.4, 'test_kg' => 0.4, 'test_arm_cm' => 14,
    'heavy_deg' => 140, 'length_cm' => 31, 'width_cm' => 17, 'depth_cm' => 14,
];

const BURIED = ['kind' => 'buried_pot', 'pot_cm' => 35.6, 'pot_depth_cm' => 13.5, 'ground' => 'wet'];

it('writes a rig as it was read', function (array $rig) {
    $roast = Samples::roast(
        ['cut' => 'duck', 'mass_kg' => 2.2, 'taste' => 'done', 'preparations' => ['dry_brine', 'truss'], 'rig' => $rig],
        ['latitude' => 51.6, 'longitude' => -1.1],
    );
    $written = RoastFile::write($roast);
    expect(RoastFile::read($written))->toEqual($roast)
        ->and($written['dishes'][0]['rig'])->toEqual($rig)
        ->and($written['latitude'])->toBe(51.6);
})->with([[SPIT], [BURIED], [['kind' => 'pot', 'pot_cm' => 30.5, 'pot_depth_cm' => 11.4]]]);

it('fills in a rig that was only named', function (string $kind) {
    expect(Samples::dish(['rig' => ['kind' => $kind]])->rig)->not->toBeNull();
})->with(['spit', 'pot', 'buried_pot']);

it('fits any number of pieces on any spit that the file takes', function (int $pieces, float $between, float $bite, float $room) {
    $rig = ['kind' => 'spit', 'between_cm' => $between, 'bite_cm' => $bite, 'room_cm' => $room];
    $dish = Samples::dish(['cut' => 'duck', 'taste' => 'done', 'pieces' => $pieces, 'rig' => $rig]);
    $fit = $dish->rig->fit($dish->cut, 0.2, $pieces);
    expect($fit->largestMassKg)->toBeGreaterThan(0.0);
    if ($between < 10.0 && $pieces === 200) {
        expect($fit->fit)->not->toBe(Fit::AsItIs);
    }
})->with([1, 2, 12, 200])->with([8.0, 52.0, 250.0])->with([0.0, 40.0])->with([4.0, 150.0]);

it('refuses a rig that cannot be, at its field', function (string $path, array $rig) {
    try {
        RoastFile::read(Samples::file(['rig' => $rig]));
        $refused = [];
    } catch (InvalidInput $wrong) {
        $refused = array_keys($wrong->messages);
    }
    expect($refused)->toContain("dishes.0.rig.$path");
})->with([
    ['kind', ['kind' => 'sling']], ['kind', ['between_cm' => 50]], [
        'between_cm',
        ['between_cm' => -5] + SPIT,
    ], ['room_cm', ['room_cm' => 1e9] + SPIT], ['bar_mm', ['bar_mm' => 'thick'] + SPIT],
    ['wall_mm', ['wall_mm' => 9] + SPIT], ['section', ['section' => 'star'] + SPIT], ['steel', ['steel' => 'tin'] + SPIT], [
        'test_arm_cm',
        ['test_arm_cm' => 0] + SPIT,
    ], ['heavy_deg', ['heavy_deg' => 400] + SPIT],
    ['length_cm', ['length_cm' => 0.1] + SPIT], [
        'depth_cm',
        array_diff_key(SPIT, ['depth_cm' => 0]),
    ], ['pot_cm', ['pot_cm' => 90] + BURIED], ['ground', ['ground' => 'lava'] + BURIED], ['between_cm', ['between_cm' => 50] + BURIED],
]);

it('takes a place whole or not at all', function (array $place, string $path) {
    expect(fn () => Samples::roast([], $place))->toThrow(function (InvalidInput $wrong) use ($path): void {
        expect($wrong->messages)->toHaveKey($path);
    });
})->with([[['latitude' => 51.6], 'longitude'], [['longitude' => 3.0], 'latitude'], [['latitude' => 89.0, 'longitude' => 0.0], 'latitude']]);

// Sunset at Greenwich. Source: HM Nautical Almanac Office tables (from memory): 21 June about 21:21 BST, 21 December about 15:53 GMT.
it('knows when the sun sets', function (string $day, string $offset, string $sunset) {
    $found = (new Place(51.48, 0.0))->sunset(new DateTimeImmutable("{$day}T18:00:00$offset"));
    expect(abs($found->getTimestamp() - (new DateTimeImmutable("{$day}T$sunset:00$offset"))->getTimestamp()))->toBeLessThan(180);
})->with([['2031-06-21', '+01:00', '21:21'], ['2031-12-21', '+00:00', '15:53']]);

/** @return array<string, KitItem> */
function kit(array $dish, array $roast = []): array
{
    return array_column(Plan::of(Samples::roast($dish, $roast), new DateTimeImmutable('2031-10-01T09:00:00+02:00'))->kit, null, 'id');
}

it('lists what the rig, the fire and the light ask for', function () {
    $spit = kit(['cut' => 'duck', 'mass_kg' => 2.2, 'taste' => 'done', 'rig' => SPIT, 'preparations' => ['stuff', 'sew', 'truss']]);
    expect($spit)->toHaveKeys(['forks', 'twine', 'needle', 'probe', 'board', 'chimney'])->not->toHaveKeys(['lifter', 'headlamp']);
    $pot = kit(
        [
            'cut' => 'venison-haunch', 'mass_kg' => 2.0, 'taste' => 'well', 'rig' => BURIED,
            'stages' => [['cooker' => 'camp-oven', 'pull' => true]],
        ],
        ['latitude' => 51.6, 'longitude' => -1.1, 'serve_at' => '2031-12-04T18:45:00+00:00'],
    );
    expect($pot)->toHaveKeys(['locate', 'spade', 'lifter', 'headlamp'])->and(said($pot['headlamp']->why))->toContain('before the table')
        ->and($pot['locate']->neededBy <= $pot['lifter']->neededBy)->toBeTrue();
});

it('digs, burns wood down and lays coals before the pot goes in', function () {
    $plan = Plan::of(
        Samples::roast(
            [
                'cut' => 'venison-haunch', 'mass_kg' => 2.0, 'taste' => 'well', 'rig' => BURIED,
                'stages' => [['cooker' => 'camp-oven', 'pull' => true]],
            ],
        ),
        new DateTimeImmutable('2031-10-01T09:00:00+02:00'),
    );
    $at = array_map(fn (Entry $entry): int => $entry->at->getTimestamp(), entriesById($plan));
    expect($at['d0.dig'])->toBeLessThan($at['d0.light'])
        ->and($at['d0.light'])->toBeLessThan($at['d0.coals'])
        ->and($at['d0.coals'])->toBeLessThan($at['d0.on'])
        ->and($at['d0.on'] - $at['d0.coals'])->toBe(600)
        ->and(array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->act === Act::Light))->toHaveCount(1);
});

it('takes an hour of dark that the cook names before the sunset', function () {
    $roast = Samples::roast([], ['latitude' => 51.6, 'longitude' => -1.1, 'dark_at' => '17:10']);
    expect($roast->dark()?->format('H:i'))->toBe('17:10')->and(RoastFile::write($roast)['dark_at'])->toBe('17:10')
        ->and(kit([], ['dark_at' => '17:10']))->toHaveKey('headlamp')->and(kit([], ['dark_at' => '21:40']))->not->toHaveKey('headlamp');
    expect(fn () => Samples::roast([], ['dark_at' => '25:00']))->toThrow(InvalidInput::class);
});
