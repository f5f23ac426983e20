<?php

declare(strict_types=1);

use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Food\Larder;
use Diatherm\Heat\Resolution;
use Diatherm\Heat\Trace;
use Diatherm\Live\Belief;
use Diatherm\Live\Reading;
use Diatherm\Roast\RoastFile;
use Tests\Support\Matrix;

// Belief by itself: a model, readings, and what is made of both. Properties that hold whatever was read.

/** @return array{Trace, float} a cook to 75 °C with its rest, and when it came off, s */
function modelled(string $cut, string $cooker): array
{
    $dish = RoastFile::read(Matrix::file(Larder::cut($cut), [['cooker' => $cooker, 'pull' => true]]))->dishes[0];
    $cook = Cook::of($dish, 14.0, Resolution::fine(), Course::asPlanned());
    $trace = $cook->body->record();
    $cook->toPull(75.0);
    $off = $cook->body->elapsedS();
    $cook->rest(5400.0);

    return [$trace, $off];
}

/** @param  list<array{float, float}>  $points  seconds and °C @return list<Reading> */
function readAt(array $points): array
{
    return array_map(fn (array $point, int $i): Reading => Reading::of("r$i", $point[0], 'core', $point[1]), $points, array_keys($points));
}

/**
 * As the courses go on from the newest reading on the heat: the model's way, at a pace of its own.
 *
 * @param  list<array{float, float}>  $points  seconds and °C
 */
function believedOn(Trace $model, float $off, array $points, ?float $pulled, float $climbK): Belief
{
    $on = array_values(array_filter($points, fn (array $point): bool => $pulled === null || $point[0] <= $pulled));
    [$newestS, $newestC] = $on === [] ? [0.0, $model->coreAt(0.0)] : $on[count($on) - 1];
    $from = min($off, $model->reachesNear($newestC, $newestS) ?? $off);
    $pace = $from > 60.0 && $newestS > 0.0 ? $newestS / $from : 1.0;
    $ahead = array_map(fn (int $k): array => [$newestS + 120.0 * $k, max($newestC, $model->coreAt(min($off, $from + 120.0 * $k / $pace)))], range(0, 400));

    return Belief::of($model, $off, readAt($points), $pulled, $climbK, $ahead, 75.0);
}

it('is the model where nothing was read', function () {
    [$model, $off] = modelled('chicken', 'kettle');
    $belief = believedOn($model, $off, [], null, 6.0);
    foreach ([0.0, 0.3, 0.7, 1.0] as $share) {
        expect($belief->coreAt($share * $off))->toEqualWithDelta($model->coreAt($share * $off), 1e-9);
    }
    expect($belief->disagrees())->toBeFalse()
        ->and($belief->newest)->toBeNull()
        ->and($belief->reaches(60.0))->toEqualWithDelta((float) $model->reaches(60.0), 1.0);
});

it('is sound where two were read at one moment, as from two devices, and the later one is the newest', function () {
    [$model, $off] = modelled('chicken', 'kettle');
    $at = 0.5 * $off;
    $core = $model->coreAt($at);
    foreach ([[$core - 1.0, $core + 1.0], [$core, $core], [$core + 20.0, $core + 24.0]] as [$one, $other]) {
        $belief = believedOn($model, $off, [[$at, $one], [$at, $other]], null, 6.0);
        expect($belief->coreAt($at))->toEqualWithDelta($other, 4.5)->and($belief->coreAt(0.5 * $at))->toBeFloat()->toBeGreaterThan(0.0)
            ->and($belief->newest?->celsius)->toBe($other)
            ->and((float) $belief->reaches($other))->toEqualWithDelta($at, 1e-6);
    }
});

it('reads the rest from the very pull on', function () {
    [$model, $off] = modelled('beef-rib', 'oven');
    // Read as it came off: from there it climbs no more than is shown, and falls on.
    $belief = believedOn($model, $off, [[0.6 * $off, $model->coreAt(0.6 * $off)], [$off, 70.0]], $off, 4.0);
    expect($belief->coreAt($off))->toEqualWithDelta(70.0, 0.1)
        ->and(max($belief->trace($off)->coreC))->toBeLessThan(74.1)
        ->and($belief->coreAt($off + 5000.0))->toBeLessThan(70.0);
});

it('is at each reading what was read, and never goes past its number for one read above it', function () {
    mt_srand(90210);
    foreach (['chicken' => 'kettle', 'beef-rib' => 'oven', 'fish-whole' => 'gas', 'lamb-leg' => 'ceramic'] as $cut => $cooker) {
        [$model, $off] = modelled($cut, $cooker);
        for ($evening = 0; $evening < 40; $evening++) {
            $points = [];
            $celsius = 5.0;
            for ($at = 0.15 * $off; $at < 0.9 * $off; $at += (0.1 + mt_rand(0, 15) / 100) * $off) {
                $points[] = [$at, $celsius = min(80.0, $celsius + mt_rand(1, 22))];
            }
            $belief = believedOn($model, $off, $points, null, 6.0);
            [$lastS, $lastC] = end($points);
            expect($belief->coreAt($lastS))->toEqualWithDelta($lastC, 0.3, "$cut $evening");
            $when = $belief->reaches(min(74.0, $lastC));
            expect($when)->not->toBeNull()->and($when)->toEqualWithDelta($lastS, 1.0);
            $later = $belief->reaches(min(75.0, $lastC + 3.0));
            expect($later === null || $later >= $lastS)->toBeTrue();
            foreach ($points as [$at, $read]) {
                expect($belief->coreAt($at))->toEqualWithDelta($read, 0.3);
            }
        }
    }
});

it('draws a course whose times rise, whose figures are finite, and that passes through the newest reading', function () {
    mt_srand(31415);
    [$model, $off] = modelled('chicken', 'kettle');
    for ($evening = 0; $evening < 80; $evening++) {
        $at = $off * mt_rand(20, 130) / 100;
        $read = (float) mt_rand(6, 90);
        $belief = believedOn($model, $off, [[$at, $read]], null, 0.0);
        $pull = max($at, $belief->reaches(74.0) ?? $at);
        $trace = $belief->trace($pull);
        for ($i = 1; $i < count($trace->seconds); $i++) {
            if ($trace->seconds[$i] <= $trace->seconds[$i - 1] || ! is_finite($trace->coreC[$i])) {
                expect($trace->seconds[$i])->toBeGreaterThan($trace->seconds[$i - 1], "evening $evening");
            }
        }
        expect($trace->coreAt($at))->toEqualWithDelta($read, 2.5, "evening $evening: $read at $at");
    }
});

it('climbs off the heat no further than it may', function (float $climbK) {
    [$model, $off] = modelled('beef-rib', 'countertop-rotisserie');
    foreach ([[], [[0.95 * $off, 50.0]], [[0.95 * $off, 70.0]]] as $points) {
        $belief = believedOn($model, $off, $points, $off, $climbK);
        $offC = $belief->coreAt($off);
        for ($s = $off; $s < $off + 5000.0; $s += 120.0) {
            expect($belief->coreAt($s))->toBeLessThanOrEqual($offC + $climbK + 1e-6);
        }
    }
})->with([0.0, 4.0, 8.0]);

it('takes a reading in the rest for what it is, and what came before it for no more', function (float $read) {
    [$model, $off] = modelled('chicken', 'kettle');
    $belief = believedOn($model, $off, [[$off + 480.0, $read]], $off, 0.0);
    expect($belief->coreAt($off + 480.0))->toEqualWithDelta($read, 0.1)
        ->and($belief->coreAt($off + 2000.0))->toBeLessThanOrEqual($read + 0.1)
        ->and($belief->coreAt($off))->toBeLessThanOrEqual(max($read, $model->coreAt($off)) + 0.1);
    if ($belief->disagrees()) {
        // Far from the model, its core at the pull is what was read soon after, at the most.
        expect($belief->coreAt($off))->toBeLessThanOrEqual($read + 0.5);
        for ($s = 0.0; $s < $off; $s += 300.0) {
            expect($belief->coreAt($s))->toBeLessThanOrEqual(max($read, 6.0) + 0.5);
        }
    }
})->with([40.0, 55.0, 63.0, 70.0, 74.0]);

it('keeps the pace of its courses whatever the order of magnitude of the model\'s error', function (float $factor) {
    // The truth runs at another pace: three readings along it give back the pace.
    [$model, $off] = modelled('lamb-leg', 'ceramic');
    $points = array_map(fn (float $share): array => [$share * $off * $factor, $model->coreAt($share * $off)], [0.45, 0.6, 0.75]);
    $belief = believedOn($model, $off, $points, null, 6.0);
    expect($belief->reaches(70.0) / (float) $model->reaches(70.0))->toBeGreaterThan(0.88 * $factor)->toBeLessThan(1.14 * $factor);
})->with([0.3, 0.5, 1.6, 2.0, 3.0]);

it('keeps the plan and the run sheet at one pull, in every dish of a sample', function () {
    foreach (Matrix::sample(37) as $name => $file) {
        try {
            $plan = Diatherm\Plan\Plan::of(RoastFile::read($file), new DateTimeImmutable('2031-10-01T12:00:00Z'));
        } catch (Diatherm\Measure\InvalidInput) {
            continue;
        }
        $entry = array_values(array_filter($plan->runSheet->entries, fn ($one): bool => $one->act === Diatherm\Day\Act::Pull))[0];
        $forecast = $plan->forecast(0);
        $at = (
            $entry->at->getTimestamp() - array_values(
                array_filter($plan->runSheet->entries, fn ($one): bool => $one->act === Diatherm\Day\Act::On),
            )[0]->at->getTimestamp()
        ) / 60.0;
        expect($at)->toEqualWithDelta($forecast->cookMinutes->likely, 0.1, $name);
    }
});

it('sears over the coals that are there, with a few more where they are few', function () {
    $plan = fn (int $celsius): Diatherm\Plan\Plan => Diatherm\Plan\Plan::of(RoastFile::read(Matrix::file(Larder::cut('beef-tri-tip'), [
        [
            'cooker' => 'kettle',
            'cooker_c' => $celsius,
            'until_core_c' => 49,
        ], ['cooker' => 'rest', 'minutes' => 15], ['cooker' => 'open-grate', 'cooker_c' => 450, 'minutes' => 4],
    ])), new DateTimeImmutable('2031-10-01T12:00:00Z'));
    foreach ([135, 200] as $celsius) {
        $sear = array_values(
            array_filter($plan($celsius)->fires, fn ($fire): bool => $fire->plan->stove->equipment->kind->id === 'open-grate'),
        )[0]->plan;
        $words = sheetText($plan($celsius));
        expect($sear->lent->from)->toBe('kettle')->and($sear->lent->topUpKg)->toBeLessThan(0.4 * $sear->run->startKg + 1e-9)
            ->and($words)->toContain('Pan out, lid off, slots open');
        preg_match_all('/Light (\d+) briquettes/', $words, $lit);
        expect(array_sum(array_slice(array_map(intval(...), $lit[1]), 1)))->toBeLessThan(20);
    }
    // From gas there are no coals to take over.
    $gas = Diatherm\Plan\Plan::of(
        RoastFile::read(
            Matrix::file(
                Larder::cut('beef-tri-tip'),
                [['cooker' => 'gas', 'until_core_c' => 49], ['cooker' => 'open-grate', 'cooker_c' => 450, 'minutes' => 4]],
            ),
        ),
        new DateTimeImmutable('2031-10-01T12:00:00Z'),
    );
    expect(
        array_values(array_filter($gas->fires, fn ($fire): bool => $fire->plan->stove->equipment->kind->id === 'open-grate'))[0]->plan->lent->from,
    )->toBeNull();
});

it('lights one pot once, however many dishes go into it', function () {
    $file = Matrix::file(Larder::cut('lamb-rack'), [['cooker' => 'camp-oven', 'cooker_c' => 175, 'pull' => true]]);
    $file['dishes'][] = [
        'cut' => 'potatoes-diced',
        'pieces' => 40,
        'mass_kg' => 0.02,
        'start_c' => 15,
        'stages' => [['cooker' => 'camp-oven', 'cooker_c' => 175, 'pull' => true]],
    ];
    $acts = array_map(
        fn ($entry): string => $entry->act->value,
        Diatherm\Plan\Plan::of(RoastFile::read($file), new DateTimeImmutable('2031-10-01T12:00:00Z'))->runSheet->entries,
    );
    expect(array_count_values($acts)['light'])->toBe(1)->and(array_count_values($acts)['preheat'])->toBe(1);
});

it('does not call a brine too late while its window is open', function () {
    // Sixty-five hours off, with a brine that would like more than there is.
    $file = Matrix::file(
        Larder::cut('turkey'),
        [['cooker' => 'oven', 'pull' => true]],
        ['preparations' => ['dry_brine', 'dry_skin']],
        ['serve_at' => '2031-10-04T18:45:00+02:00'],
    );
    $sheet = Diatherm\Plan\Plan::of(
        RoastFile::read($file),
        (new DateTimeImmutable('2031-10-04T18:45:00+02:00'))->modify('-65 hours'),
    )->runSheet;
    expect($sheet->isTooLate())->toBeFalse();
    $late = Diatherm\Plan\Plan::of(
        RoastFile::read($file),
        (new DateTimeImmutable('2031-10-04T18:45:00+02:00'))->modify('-6 hours'),
    )->runSheet;
    expect($late->isTooLate())->toBeTrue();
});

it('has no core hotter than boiling water', function () {
    foreach (['potatoes' => 'gas', 'onions' => 'kettle', 'pork-belly' => 'open-grate'] as $cut => $cooker) {
        $forecast = Forecast::of(
            RoastFile::read(
                Matrix::file(
                    Larder::cut($cut),
                    [['cooker' => $cooker, 'cooker_c' => Diatherm\Cooker\CookerShed::kind($cooker)->mostC, 'minutes' => 240]],
                ),
            )->dishes[0],
            14.0,
        );
        expect(max($forecast->trace->coreC))->toBeLessThanOrEqual(100.0)->and($forecast->pullC)->toBeLessThanOrEqual(100.0);
    }
});
