<?php

declare(strict_types=1);

use Diatherm\Practice\LoggedCourse;
use Diatherm\Practice\PlainBody;

// Courses that the model is held against owe it nothing; they are held against analytic solutions and what cooks log.

/** When a centre has come a share of the way, by number of Fourier, its surface held at the end. Source: Carslaw & Jaeger 1959, 3.3 and 9.3. */
function fourierAt(float $share, bool $ball): float
{
    [$low, $high] = [1e-3, 5.0];
    for ($i = 0; $i < 60; $i++) {
        $fo = 0.5 * ($low + $high);
        $left = 0.0;
        for ($n = 1; $n <= 40; $n++) {
            $left += $ball
                ? 2.0 * (-1) ** ($n + 1) * exp(-($n * M_PI) ** 2 * $fo)
                : 4.0 / M_PI * (-1) ** ($n + 1) / (2 * $n - 1) * exp(-((2 * $n - 1) * M_PI / 2.0) ** 2 * $fo);
        }
        1.0 - $left < $share ? $low = $fo : $high = $fo;
    }

    return 0.5 * ($low + $high);
}

it('is the analytic course of a slab and a ball whose surface is dry and held at one temperature', function (float $exponent, bool $ball) {
    // In air of 100 °C from 0 °C: the target is 80 % of the way.
    $body = PlainBody::of(0.0, 100.0, 80.0, 1.0, $exponent, 1e4, 0.0, 1.0);
    expect($body)->not->toBeNull();
    foreach ([0.1, 0.25, 0.5, 0.8] as $share) {
        $at = fourierAt($share, $ball) / fourierAt(0.8, $ball);
        expect($body->at($at, 0.0))->toEqualWithDelta(100.0 * $share, 1.5, "share $share");
    }
})->with(['slab' => [0.0, false], 'ball' => [2.0, true]]);

it('comes no further than a wet surface lets it: the temperature of a wet bulb', function () {
    // Dry air of 180 °C over a surface that stays wet: 50 °C by Lewis’ relation, from memory, to a few kelvin.
    expect(PlainBody::of(5.0, 180.0, 75.0, 1.0, 1.0, 3.0, 1.0, 1e6))->toBeNull()
        ->and(PlainBody::of(5.0, 180.0, 40.0, 1.0, 1.0, 3.0, 1.0, 1e6))->not->toBeNull();
});

it('rises all the way, reaches its target at its length, and is warmer towards the surface', function () {
    foreach ([PlainBody::of(5.0, 160.0, 74.0, 3600.0, 1.3, 2.0, 0.4, 0.5), LoggedCourse::of(5.0, 74.0, 3600.0, 0.2, 0.5, 0.4, 5.0)] as $truth) {
        $last = -INF;
        for ($s = 0.0; $s <= 3600.0; $s += 60.0) {
            expect($truth->at($s, 0.0))->toBeGreaterThanOrEqual($last - 1e-6)->toBeLessThanOrEqual($truth->at($s, 0.25) + 1e-6);
            $last = $truth->at($s, 0.0);
        }
        expect($truth->at(3600.0, 0.0))->toEqualWithDelta(74.0, 0.5)->and($truth->at(0.0, 0.0))->toEqualWithDelta(5.0, 0.5);
    }
});
