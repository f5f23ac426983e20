<?php

declare(strict_types=1);

use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Heat\Trace;
use Diatherm\Live\CookClock;
use Diatherm\Live\Courses;
use Diatherm\Live\CourseShapes;
use Diatherm\Live\Falls;
use Diatherm\Live\LiveForecast;
use Diatherm\Live\Reading;
use Diatherm\Live\Verdict;
use Diatherm\Practice\Dice;
use Diatherm\Practice\LoggedCourse;
use Diatherm\Practice\ShapeLibrary;
use Diatherm\Practice\TradeCase;
use Diatherm\Roast\Dish;
use Diatherm\Roast\StageEnd;
use Tests\Support\Samples;

// The weighed courses behind the live forecast: their parts by hand, and properties that hold whatever is cooked and read.

/** @return list<TradeCase> cooks of the trade with one heat, from start to a number */
function plainCases(): array
{
    return array_values(array_filter(TradeCase::all(), fn (TradeCase $one): bool => $one->dish->lastStage()->end !== StageEnd::Tender
        && ! $one->dish->isBuried() && count($one->dish->stages) === 1));
}

/** @param  list<array{float, float}>  $points  seconds and °C */
function weighedAt(Dish $dish, array $points, float $nowS, float $pullC, Course $course = new Course): LiveForecast
{
    $readings = array_map(fn (array $one, int $i): Reading => Reading::of("r$i", $one[0], 'core', $one[1]), $points, array_keys($points));

    return LiveForecast::of($dish, 20.0, $course->at($nowS), $readings, $pullC);
}

/**
 * Cooks drawn by chance, read by chance. The truth has no physics at all.
 *
 * @return iterable<array{Dish, float, list<array{float, float}>, float, float}> dish, pull, readings, now and length in seconds
 */
function chanceCooks(int $seed, int $many): iterable
{
    $dice = new Dice($seed);
    $cases = plainCases();
    for ($n = 0; $n < $many; $n++) {
        $dish = $cases[(int) ($dice->even() * count($cases))]->dish;
        $plan = Forecast::of($dish, 20.0);
        $lengthS = 60.0 * $plan->cookMinutes->likely * exp(0.2 * $dice->normal());
        $truth = LoggedCourse::of(
            $dish->startC, $plan->pullC, $lengthS, $dice->between(0.1, 0.35), $dice->between(0.4, 0.7), $dice->between(0.0, 0.6), 4.0,
        );
        $count = 1 + (int) ($dice->even() * 8.0);
        $nowS = $dice->between(0.2, 0.93) * $lengthS;
        $points = array_map(fn (int $k): array => [$nowS * $k / $count, $truth->at($nowS * $k / $count, 0.0) + 0.5 * $dice->normal()], range(1, $count));
        yield "$n {$dish->cut->id}" => [$dish, $plan->pullC, $points, $nowS, $lengthS];
    }
}

it('keeps the shapes that its library draws', function () {
    $drawn = ShapeLibrary::draw();
    $kept = json_decode((string) file_get_contents(__DIR__.'/../../data/course-shapes.json'), true);
    unset($kept['about']);
    expect($kept)->toEqual($drawn);
    foreach ([...array_column($drawn['bodies'], 'way'), ...$drawn['straight']] as $way) {
        // From nothing to all of the way, never back, and there within the eighth that a probe a quarter out is early.
        expect($way)->toHaveCount(CourseShapes::STEPS + 1)->and($way[0])->toBe(0.0)->and(CourseShapes::at($way, 1.0))->toBeGreaterThan(0.99)->toBeLessThan(1.13);
        for ($i = 1; $i <= CourseShapes::STEPS; $i++) {
            if ($way[$i] < $way[$i - 1] - 0.002) {
                expect($way[$i])->toBeGreaterThanOrEqual($way[$i - 1]);
            }
        }
    }
});

it('tells a cook that something befell by one that was left alone', function () {
    // Left alone a kelvin a minute from 5 °C. Off the heat for ten minutes after the twentieth, then on again.
    $alone = new Trace;
    $set = new Trace;
    for ($minute = 0; $minute <= 120; $minute++) {
        $alone->seconds[] = $set->seconds[] = 60.0 * $minute;
        $alone->coreC[] = 5.0 + $minute;
        $set->coreC[] = 5.0 + ($minute <= 20 ? $minute : max(20, $minute - 10));
    }
    $clock = CookClock::of($alone, 100.0, [[1.0, $set]], 7200.0);
    expect($clock->at(900.0, 1.0))->toEqualWithDelta(900.0, 1.0)
        ->and($clock->at(1500.0, 1.0))->toEqualWithDelta(1200.0, 20.0)
        ->and($clock->at(3600.0, 1.0))->toEqualWithDelta(3000.0, 1.0)
        ->and($clock->when(3000.0, 1.0))->toEqualWithDelta(3600.0, 1.0)
        ->and($clock->when(9000.0, 1.0))->toBeNull();
    // The same set-back on top of another.
    $twice = $clock->setBack($clock, CookClock::undisturbed(7200.0));
    expect($twice->at(3600.0, 1.0))->toEqualWithDelta(2400.0, 2.0);
});

it('takes a fall for as likely as its kind and the time unread make it', function () {
    $odds = fn (string $cooker, float $hours, array $read = []): float => Falls::since(
        Samples::dish(['stages' => [['cooker' => $cooker, 'pull' => true]]]), new Course($read), 3600.0 * $hours,
    )->odds;
    // Common practice: coals go under, a thermostat hardly does; what was just read has not fallen.
    expect($odds('kettle', 2.0))->toBeGreaterThan(3.0 * $odds('oven', 2.0))
        ->and($odds('kettle', 3.0))->toBeGreaterThan($odds('kettle', 1.0))
        ->and($odds('kettle', 3.0, [[10_700.0, 150.0]]))->toBe(0.0)
        ->and($odds('kettle', 24.0))->toBeLessThan(0.5);
});

// A guinea fowl in an oven at 180 °C, planned at an hour and a quarter, that takes seventy-two minutes: a cavity that lags at first.
it('follows a bird that lags at first without crying wolf', function () {
    $dish = Samples::dish(['cut' => 'chicken', 'mass_kg' => 1.3, 'start_c' => 5, 'taste' => 'done', 'stages' => [['cooker' => 'oven', 'cooker_c' => 180, 'pull' => true]]]);
    $plan = Forecast::of($dish, 20.0);
    $real = 0.96 * $plan->cookMinutes->likely;
    $lagging = LoggedCourse::of($dish->startC, $plan->pullC, 60.0 * $real, 0.45, 0.7, 0.2, 0.0);
    for ($share = 0.3; $share < 0.95; $share += 0.1) {
        $points = array_map(fn (int $k): array => [6.0 * $k * $real * $share, $lagging->at(6.0 * $k * $real * $share, 0.0)], range(3, 10));
        $live = weighedAt($dish, $points, 60.0 * $real * $share, $plan->pullC);
        expect($live->cookMinutes->likely)->toBeGreaterThan(0.85 * $real)->toBeLessThan(1.3 * $real, "at $share")
            ->and($live->advice?->act->value)->not->toBe('read_cooker');
    }
});

it('never puts the hour off for a warmer newest reading, nor brings it nearer for a colder one', function (int $seed) {
    $tried = 0;
    foreach (chanceCooks($seed, 20) as $name => [$dish, $pullC, $points, $nowS, $lengthS]) {
        $before = null;
        [$atS, $read] = $points[count($points) - 1];
        foreach ([-6.0, -3.0, -1.0, 0.0, 1.0, 3.0] as $warmerK) {
            $points[count($points) - 1] = [$atS, min($pullC - 0.5, $read + $warmerK)];
            $live = weighedAt($dish, $points, $nowS, $pullC);
            if (in_array(false, array_map(fn (Verdict $one): bool => $one->isCounted(), $live->verdicts), true)) {
                $before = null;

                continue;
            }
            // A few courses stand for all of them. A tough cut may stall or not: a warm core early speaks for one that will.
            $least = ($dish->cut->tough ? 0.09 : 0.025) * $lengthS / 60.0 + 0.1;
            if ($before !== null) {
                expect($live->cookMinutes->likely)->toBeLessThan($before + $least, "$name $warmerK");
            }
            $before = $live->cookMinutes->likely;
            $tried++;
        }
    }
    expect($tried)->toBeGreaterThan(60);
})->with([11, 12, 13]);

it('is surer, and stands by its hour, when it reads what it expected', function (int $seed) {
    foreach (chanceCooks($seed, 20) as $name => [$dish, $pullC, $points, $nowS, $lengthS]) {
        $laterS = min(0.97 * $lengthS, $nowS + 0.06 * $lengthS);
        $expected = weighedAt($dish, $points, $nowS, $pullC)->trace->coreAt($laterS);
        if ($expected >= $pullC - 0.5) {
            continue;
        }
        $unread = weighedAt($dish, $points, $laterS, $pullC)->cookMinutes;
        $read = weighedAt($dish, [...$points, [$laterS, $expected]], $laterS, $pullC)->cookMinutes;
        expect($read->width())->toBeLessThan(1.15 * $unread->width() + 1.0, $name)
            ->and($read->likely)->toEqualWithDelta($unread->likely, max(0.2 * $unread->width(), ($dish->cut->tough ? 0.1 : 0.06) * $lengthS / 60.0 + 0.3), $name);
    }
})->with([21, 22, 23]);

it('stands by its hour while nothing is read, until that is over', function () {
    foreach (chanceCooks(31, 25) as $name => [$dish, $pullC, $points, $nowS, $lengthS]) {
        $first = weighedAt($dish, $points, $nowS, $pullC);
        // A fall grows more likely the longer nobody looked: its hour is another one, and this one stands.
        $later = weighedAt($dish, $points, $nowS + 0.3 * (60.0 * $first->cookMinutes->likely - $nowS), $pullC);
        if ($first->fork === null && $later->fork === null) {
            expect($later->cookMinutes->likely)->toEqualWithDelta($first->cookMinutes->likely, 0.03 * $lengthS / 60.0 + 0.1, $name);
        }
    }
});

it('names an hour near the straight line when it was read near its number', function () {
    foreach (chanceCooks(41, 25) as $name => [$dish, $pullC, , , $lengthS]) {
        $truth = LoggedCourse::of($dish->startC, $pullC, $lengthS, 0.25, 0.6, 0.2, 0.0);
        $points = array_map(fn (int $k): array => [$lengthS * $k / 14.0, $truth->at($lengthS * $k / 14.0, 0.0)], range(2, 13));
        [[$beforeS, $before], [$lastS, $last]] = array_slice($points, -2);
        $lineS = $lastS + ($pullC - $last) * ($lastS - $beforeS) / ($last - $before);
        expect(weighedAt($dish, $points, $lastS, $pullC)->cookMinutes->likely)->toEqualWithDelta($lineS / 60.0, 0.04 * $lengthS / 60.0 + 1.0, $name);
    }
});

it('says two hours where a fall is open, and one in between never', function () {
    $dish = Samples::dish(['cut' => 'beef-rib', 'mass_kg' => 2.5, 'target_c' => 55, 'taste' => null, 'coast' => false, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 150]]]);
    $plan = Forecast::of($dish, 20.0);
    $wholeS = 60.0 * $plan->cookMinutes->likely;
    $forks = 0;
    foreach ([0.45, 0.5, 0.55, 0.6, 0.65] as $slowsAt) {
        // On its course, then at half its pace, and nobody has read the kettle.
        $core = fn (float $s): float => $plan->trace->coreAt($s < $slowsAt * $wholeS ? $s : $slowsAt * $wholeS + 0.5 * ($s - $slowsAt * $wholeS));
        $points = array_map(fn (int $k): array => [0.1 * $k * $wholeS, $core(0.1 * $k * $wholeS)], range(2, 9));
        $live = weighedAt($dish, $points, 0.9 * $wholeS, $plan->pullC);
        if ($live->fork !== null) {
            $forks++;
            expect([$live->fork->asSetMinutes->likely, $live->fork->fallenMinutes?->likely])->toContain($live->cookMinutes->likely)
                ->and($live->fork->fallenMinutes->likely ?? INF)->toBeGreaterThan($live->fork->asSetMinutes->likely);
        }
    }
    expect($forks)->toBeGreaterThan(0);
});

it('says what putting right a cooker that was read low would give', function () {
    $dish = Samples::dish(['cut' => 'beef-rib', 'mass_kg' => 2.5, 'target_c' => 55, 'taste' => null, 'coast' => false, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 150]]]);
    $plan = Forecast::of($dish, 20.0);
    $at = 0.5 * 60.0 * $plan->cookMinutes->likely;
    $points = [[0.45 * 60.0 * $plan->cookMinutes->likely, $plan->trace->coreAt(0.45 * 60.0 * $plan->cookMinutes->likely)]];
    $low = weighedAt($dish, $points, $at, $plan->pullC, new Course([[600.0, 150.0], [$at - 600.0, 110.0]]));
    $asSet = weighedAt($dish, $points, $at, $plan->pullC, new Course([[600.0, 150.0], [$at - 600.0, 149.0]]));
    expect($asSet->putRightMinutes)->toBeNull()
        ->and($low->putRightMinutes?->likely)->toBeLessThan($low->cookMinutes->likely - 3.0)
        ->and($low->putRightMinutes?->likely)->toBeGreaterThan($asSet->cookMinutes->likely - 1.0);
});

it('holds its way and its hour to each other', function () {
    foreach (chanceCooks(51, 25) as $name => [$dish, $pullC, $points, $nowS]) {
        $live = weighedAt($dish, $points, $nowS, $pullC);
        if ($live->getsThere && $live->pullC < $pullC + 0.05) {
            expect($live->trace->coreAt(60.0 * $live->cookMinutes->likely))->toEqualWithDelta($live->pullC, 0.3, $name)
                ->and($live->trace->coreAt($points[count($points) - 1][0]))->toEqualWithDelta($points[count($points) - 1][1], 0.5, $name);
        }
    }
});
