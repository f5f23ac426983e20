<?php

declare(strict_types=1);

use Diatherm\Obstacles\Obstacle;
use Diatherm\Obstacles\Obstacles;
use Diatherm\Obstacles\WayOut;
use Diatherm\Plan\Plan;
use Diatherm\Roast\Beginning;
use Diatherm\Roast\Roast;
use Diatherm\Roast\RoastFile;

const PLANNED_AT = '2031-09-30T09:00:00+02:00';

/** @return list<Obstacle> */
function inTheWay(Roast $roast, string $now = PLANNED_AT): array
{
    $at = new DateTimeImmutable($now);

    return Obstacles::of(Plan::of($roast, $at), $at);
}

/** @param  array<string, mixed>  $roast */
function askedFor(array $roast): Roast
{
    return RoastFile::read($roast + ['serve_at' => '2031-10-04T18:45:00+02:00', 'people' => 2]);
}

/**
 * Plans that no cook should keep, by what stands in the way. Common practice.
 *
 * @return array<string, array{string, array<string, mixed>}>
 */
function hopeless(): array
{
    $dish = fn (string $cut, float $kg, string $cooker, float $celsius, array $more = []): array => [
        'cut' => $cut, 'mass_kg' => $kg, 'start_c' => 5,
        'stages' => [['cooker' => $cooker, 'cooker_c' => $celsius, 'pull' => true]],
    ] + $more;

    return [
        'a joint too long for its forks' => ['no_fit', ['dishes' => [
            $dish('pork-loin', 3.2, 'open-spit', 450.0, ['rig' => ['kind' => 'spit', 'between_cm' => 15]]),
        ]]],
        'a whole animal on a spit for chickens' => ['no_fit', ['people' => 20, 'dishes' => [
            $dish('lamb-whole', 14.0, 'open-spit', 450.0, ['rig' => ['kind' => 'spit', 'room_cm' => 40]]),
        ]]],
        'a bird under a lid that does not close' => ['no_fit', ['dishes' => [
            $dish('chicken', 1.8, 'camp-oven', 175.0, ['rig' => ['kind' => 'pot', 'pot_cm' => 20]]),
        ]]],
        'a lamb on a short frame' => ['no_fit', ['people' => 20, 'dishes' => [
            $dish('lamb-whole', 14.0, 'trench', 420.0, ['rig' => ['kind' => 'frame', 'frame_cm' => 100]]),
        ]]],
        'a thin bar under a heavy joint' => ['bar_bends', ['people' => 10, 'dishes' => [
            $dish('pork-loin', 4.0, 'open-spit', 450.0, ['rig' => ['kind' => 'spit', 'between_cm' => 90, 'bar_mm' => 5, 'span_cm' => 140]]),
        ]]],
        'a motor that a heavy side stalls' => ['stalls', ['dishes' => [
            $dish('lamb-leg', 2.5, 'open-spit', 450.0, ['rig' => [
                'kind' => 'spit', 'motor_nm' => 0.5, 'test_kg' => 1.0, 'test_arm_cm' => 15,
            ]]),
        ]]],
        'more guests than it feeds' => ['too_few', ['people' => 12, 'dishes' => [$dish('chicken', 1.8, 'kettle', 190.0)]]],
        'more guests than its pieces feed' => ['too_few', ['people' => 9, 'dishes' => [
            $dish('chicken-legs', 0.25, 'kettle', 190.0, ['pieces' => 4]),
        ]]],
        'coals that lie wrong under a lamb' => ['uneven', ['people' => 20, 'dishes' => [
            $dish('lamb-whole', 14.0, 'open-spit', 450.0, ['rig' => [
                'kind' => 'spit', 'between_cm' => 100, 'bar_mm' => 20, 'span_cm' => 150, 'room_cm' => 40,
            ]]),
        ], 'fires' => [['cooker' => 'open-spit', 'fuel' => 'lump', 'piles' => [['x_cm' => 0, 'y_cm' => 0, 'kg' => 5]]]]]],
        'a shoulder that is hot and not yet tender' => ['not_tender', ['people' => 8, 'dishes' => [
            $dish('pork-shoulder', 2.0, 'oven', 200.0, ['target_c' => 88]),
        ]]],
        'a guest who eats no meat' => ['nothing_without_meat', ['people' => 4, 'without_meat' => 1, 'dishes' => [
            $dish('chicken', 1.8, 'kettle', 190.0),
        ], 'sides' => [['side' => 'green-salad']]]],
        'a fish that waits for hours' => ['lukewarm', ['dishes' => [
            $dish('salmon-side', 0.8, 'kettle-direct', 230.0, ['target_c' => 46, 'rest_minutes' => 180]),
        ]]],
        'a rare steak that waits for hours in the heat' => ['not_safe', ['air_c' => 35, 'people' => 1, 'dishes' => [
            $dish('beef-steak', 0.3, 'kettle-direct', 230.0, ['target_c' => 50, 'rest_minutes' => 150]),
        ]]],
        'a joint that stands out all day' => ['not_safe', ['dishes' => [['start_c' => 19] + $dish('chicken', 1.8, 'kettle', 190.0)]]],
    ];
}

it('says what stands in the way, and takes it away with one press', function (string $id, array $file) {
    $roast = askedFor($file);
    $told = array_values(array_filter(inTheWay($roast), fn (Obstacle $one): bool => $one->id === $id));
    expect($told)->toHaveCount(1, implode(', ', array_column(inTheWay($roast), 'id')))
        ->and($told[0]->waysOut)->not->toBe([]);
    foreach ($told[0]->waysOut as $way) {
        expect(array_column(inTheWay($way->roast), 'id'))->not->toContain($id, $way->words->plain())
            // The screen takes the file, so the file has to read back.
            ->and(RoastFile::write(RoastFile::read(RoastFile::write($way->roast))))->toEqual(RoastFile::write($way->roast));
    }
})->with(hopeless(...));

it('says that the hour is too near, and moves the table or leaves out what takes days', function () {
    $roast = askedFor(['dishes' => [[
        'cut' => 'chicken', 'mass_kg' => 1.8, 'start_c' => 5, 'preparations' => ['dry_brine'],
        'stages' => [['cooker' => 'kettle', 'cooker_c' => 190, 'pull' => true]],
    ]]]);
    [$obstacle] = inTheWay($roast, '2031-10-04T17:30:00+02:00');
    expect($obstacle->id)->toBe('too_near')->and(count($obstacle->waysOut))->toBeGreaterThanOrEqual(1);
    $moved = inTheWay($obstacle->waysOut[0]->roast, '2031-10-04T17:30:00+02:00');
    expect(array_column($moved, 'id'))->not->toContain('too_near');
});

it('has beginnings that nothing stands in the way of', function (string $id) {
    $beginning = Beginning::all()[$id];
    $told = inTheWay($beginning->at(new DateTimeImmutable('2031-10-04T18:45:00+02:00')));
    expect(array_map(fn (Obstacle $one): string => $one->words->plain(), $told))->toBe([]);
})->with(fn (): array => array_map(fn (string $id): array => [$id], array_keys(Beginning::all())));

it('offers nothing that leaves a roast worse than it was', function (string $id, array $file) {
    $before = array_column(inTheWay(askedFor($file)), 'id');
    foreach (inTheWay(askedFor($file)) as $obstacle) {
        foreach (array_map(fn (WayOut $way): Roast => $way->roast, $obstacle->waysOut) as $roast) {
            expect(count(array_diff(array_column(inTheWay($roast), 'id'), $before)))->toBeLessThanOrEqual(1);
        }
    }
})->with(hopeless(...));
