<?php

declare(strict_types=1);

use Diatherm\Heat\Trace;
use Diatherm\Live\Belief;
use Diatherm\Live\Reading;

// A model that warms by a kelvin a minute from 5 °C, comes off at 75 °C after 70 minutes, climbs by two kelvin in ten minutes and then
// falls by a kelvin in ten: what is believed beside any readings can be reckoned in the head.

const OFF_S = 4200.0;

function straight(): Trace
{
    $trace = new Trace;
    for ($minute = 0; $minute <= 140; $minute++) {
        $trace->seconds[] = 60.0 * $minute;
        $trace->coreC[] = $minute <= 70 ? 5.0 + $minute : ($minute <= 80 ? 75.0 + 0.2 * ($minute - 70) : 77.0 - 0.1 * ($minute - 80));
        $trace->surfaceC[] = 80.0;
        $trace->airC[] = $minute <= 70 ? 150.0 : 17.0;
    }

    return $trace;
}

/**
 * @param  list<array{float, float}>  $points  minutes and °C
 * @param  float|null  $pulled  minutes
 * @param  float  $pace  minutes that the courses take for a kelvin, from where they have the core at the newest reading
 * @param  float|null  $expected  what that is; as it was read where nothing is said
 */
function believed(array $points, ?float $pulled = null, float $climbK = 2.0, float $pace = 1.0, ?float $expected = null): Belief
{
    $readings = array_map(fn (array $point, int $i): Reading => Reading::of("r$i", 60.0 * $point[0], 'core', $point[1]), $points, array_keys($points));
    $on = array_values(array_filter($points, fn (array $point): bool => $pulled === null || $point[0] <= $pulled));
    [$minute, $celsius] = $on === [] ? [0.0, 5.0] : $on[count($on) - 1];
    $expected ??= $celsius;
    $ahead = array_map(fn (int $k): array => [60.0 * ($minute + $k), $expected + $k / $pace], range(0, 200));

    return Belief::of(
        straight(), OFF_S, $readings, $pulled === null ? null : 60.0 * $pulled, $climbK, $ahead, 75.0,
    );
}

it('is the model where nothing was read', function () {
    expect(believed([])->coreAt(60.0 * 33))->toEqualWithDelta(38.0, 1e-9)->and(believed([])->reaches(60.0) / 60.0)->toEqualWithDelta(55.0, 0.01)
        ->and(believed([])->reaches(75.1))->toBeNull()->and(believed([])->when(1234.5))->toBe(1234.5);
});

it('lies on the line between two readings, and takes the newest in until the courses are there', function () {
    // Read 2 K above the model at twenty minutes and 1 K below it, and below what the courses have, at forty.
    $belief = believed([[20.0, 27.0], [40.0, 44.0]], expected: 45.0);
    expect($belief->coreAt(60.0 * 20))->toEqualWithDelta(27.0, 1e-9)
        ->and($belief->coreAt(60.0 * 10))->toEqualWithDelta(16.0, 1e-9)
        ->and($belief->coreAt(60.0 * 25))->toEqualWithDelta(31.25, 1e-9)
        ->and($belief->coreAt(60.0 * 30))->toEqualWithDelta(35.5, 1e-9)
        // Half way to their hour half of it is left, at their hour nothing.
        ->and($belief->coreAt(60.0 * 55))->toEqualWithDelta(59.5, 1e-9)
        ->and($belief->coreAt(60.0 * 70))->toEqualWithDelta(75.0, 1e-9)
        ->and($belief->reaches(75.0) / 60.0)->toEqualWithDelta(70.0, 1e-3)
        // What was read already is reached now.
        ->and($belief->reaches(44.0))->toEqualWithDelta(2400.0, 1e-6)
        ->and($belief->reaches(40.0))->toEqualWithDelta(2400.0, 1e-6);
});

it('believes two readings of one moment by the later of them', function () {
    expect(believed([[30.0, 34.0], [30.0, 36.0]])->coreAt(1800.0))->toEqualWithDelta(36.0, 1e-9)
        // One read as it went on, 3 K warmer than planned.
        ->and(believed([[0.0, 8.0], [30.0, 35.0]])->coreAt(900.0))->toEqualWithDelta(21.5, 1e-9);
});

it('goes on at the pace of the courses, and lends them the inside of the model', function () {
    $belief = believed([[30.0, 25.0], [60.0, 35.0]], pace: 3.0);
    expect($belief->coreAt(60.0 * 15))->toEqualWithDelta(15.0, 1e-6)->and($belief->coreAt(60.0 * 45))->toEqualWithDelta(30.0, 1e-6)
        ->and($belief->reaches(60.0) / 60.0)->toEqualWithDelta(60.0 + 25.0 * 3.0, 1e-3)
        // The model's moment of 45 °C is its fortieth minute.
        ->and($belief->when(60.0 * 40) / 60.0)->toEqualWithDelta(90.0, 1e-3);
    $trace = $belief->trace(60.0 * 135);
    expect($trace->reaches(60.0) / 60.0)->toEqualWithDelta(135.0, 0.1)->and($trace->coreAt(60.0 * 45))->toEqualWithDelta(30.0, 0.1)
        // In the rest it climbs by what may be counted on, and no more.
        ->and(max($trace->coreC))->toEqualWithDelta(62.0, 0.1)->and($trace->coreAt(60.0 * 145))->toEqualWithDelta(62.0, 0.1);
});

it('is where it was read when that is beyond what the model comes to', function () {
    $belief = believed([[60.0, 80.0]]);
    expect($belief->coreAt(60.0 * 60))->toEqualWithDelta(80.0, 1e-6)->and($belief->reaches(78.0) / 60.0)->toEqualWithDelta(60.0, 1e-6);
});

it('knows the core at the pull by what was read a quarter of an hour before it, and not sooner', function () {
    $belief = believed([[30.0, 35.0]]);
    expect($belief->wasReadBy(60.0 * 45))->toBeTrue()->and($belief->wasReadBy(60.0 * 45 + 1.0))->toBeFalse()->and($belief->wasReadBy(60.0 * 10))->toBeTrue()
        ->and(believed([])->wasReadBy(0.0))->toBeFalse();
});

it('climbs in the rest by what the model does, no further than may be counted on, and falls in proportion to the air', function () {
    $belief = believed([[70.0, 75.0]], pulled: 70.0, climbK: 1.0);
    expect($belief->coreAt(60.0 * 75))->toEqualWithDelta(76.0, 1e-6)
        // 2 K at the peak, of which one is counted.
        ->and($belief->coreAt(60.0 * 80))->toEqualWithDelta(76.0, 1e-6)
        // At 140 minutes the model has fallen to 71 °C: a read core of 75 falls as far.
        ->and($belief->coreAt(60.0 * 140))->toEqualWithDelta(17.0 + 58.0 * (71.0 - 17.0) / (75.0 - 17.0), 1e-6);
    // Read in the rest at the model's peak, 3 K lower: from there it falls in proportion to how far it is above 17 °C.
    $read = believed([[60.0, 65.0], [80.0, 74.0]], pulled: 70.0);
    expect($read->coreAt(60.0 * 80))->toEqualWithDelta(74.0, 1e-6)
        ->and($read->coreAt(60.0 * 140))->toEqualWithDelta(17.0 + 57.0 * (71.0 - 17.0) / (77.0 - 17.0), 1e-6)
        // It came off with what it read soon after at the most.
        ->and($read->coreAt(60.0 * 70))->toEqualWithDelta(74.0, 1e-6)->and($read->coreAt(60.0 * 75))->toEqualWithDelta(74.0, 1e-6);
});
