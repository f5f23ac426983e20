<?php

declare(strict_types=1);

use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Live\LiveForecast;
use Diatherm\Live\Reading;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Samples;

// A log as it can be: a cooker that was read, corrected or not looked at, a lid that was open, a joint that was off and back on, steps that
// were begun late, probes that slipped, in any order and at any moment. Nobody's screen may go for it: there is an answer, and it is finite.

/** @return array{Course, list<Reading>} */
function anyAfternoon(Forecast $plan, Randomizer $chance): array
{
    $between = fn (float $least, float $most): float => $least + ($most - $least) * $chance->getInt(0, 10_000) / 10_000.0;
    $odds = fn (int $of): bool => $chance->getInt(1, $of) === 1;
    $moments = function (int $many, float $from, float $until) use ($between): array {
        $at = $many === 0 ? [] : array_map(fn (): float => $between($from, $until), range(1, $many));
        sort($at);

        return $at;
    };
    $heat = $plan->dish->stages[0]->cookerC;
    $nowS = $between(0.0, 1.6) * 60.0 * $plan->cookMinutes->likely;
    $cooker = array_map(fn (float $at): array => [$at, $between(20.0, 1.5 * $heat)], $moments($chance->getInt(0, 6), 0.0, $nowS));
    if ($cooker !== [] && $odds(2)) {
        // Corrected a while ago; it is given twenty minutes to work.
        $last = $cooker[count($cooker) - 1];
        $set = $between($last[0], $nowS);
        array_push($cooker, [$set, $last[1]], [$set + 1200.0, $heat]);
    }
    $course = new Course(
        $cooker,
        array_map(fn (float $at): array => [$at, $between(10.0, 400.0)], $moments($chance->getInt(0, 3), 0.0, $nowS)),
        count($plan->dish->stages) > 1 && $odds(2) ? [1 => $between(0.3, 1.0) * max(1.0, $nowS)] : [],
        $odds(4) ? $between(0.3, 1.0) * max(1.0, $nowS) : null,
        $nowS,
        offs: $odds(4) ? [[$between(0.0, $nowS), $between(0.0, 3600.0)]] : [],
    );
    $at = $moments($chance->getInt(0, 8), -300.0, $nowS);
    $readings = array_map(
        fn (float $at, int $i): Reading => Reading::of(
            "r$i", $at, ['core', 'core', 'thick_end', 'thigh'][$chance->getInt(0, 3)],
            $odds(4) ? $between(-20.0, 140.0) : min(140.0, max(-5.0, $plan->trace->coreAt(max(0.0, $at)) + $between(-4.0, 4.0))),
        ),
        $at,
        array_keys($at),
    );

    return [$course, $readings];
}

it('has an answer to any afternoon', function (array $asked) {
    $dish = Samples::dish($asked);
    $plan = Forecast::of($dish, 14.0);
    $chance = new Randomizer(new Mt19937(crc32(json_encode($asked, JSON_THROW_ON_ERROR))));
    for ($i = 0; $i < 16; $i++) {
        [$course, $readings] = anyAfternoon($plan, $chance);
        $live = LiveForecast::of($dish, 14.0, $course, $readings, $plan->pullC);
        $figures = [
            $live->cookMinutes->low, $live->cookMinutes->likely, $live->cookMinutes->high,
            $live->coreNowC->low, $live->coreNowC->likely, $live->coreNowC->high, $live->pullC,
        ];
        expect(array_filter($figures, is_finite(...)))->toHaveCount(count($figures), "$i")
            ->and($live->cookMinutes->low)->toBeLessThanOrEqual($live->cookMinutes->likely, "$i")
            ->and($live->cookMinutes->likely)->toBeLessThanOrEqual($live->cookMinutes->high, "$i")
            ->and($live->coreNowC->likely)->toBeGreaterThan(-25.0)->toBeLessThan(145.0);
    }
})->with([
    'rack on a kettle' => [[]],
    'bird on gas' => [['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => null, 'target_c' => 79, 'stages' => [['cooker' => 'gas', 'cooker_c' => 180, 'pull' => true]]]],
    'shoulder till tender' => [['cut' => 'pork-shoulder', 'mass_kg' => 3, 'taste' => 'tender', 'stages' => [['cooker' => 'pellet', 'cooker_c' => 115, 'until_tender' => true]]]],
    'steak on a grate' => [['cut' => 'beef-steak', 'mass_kg' => 0.35, 'taste' => 'medium', 'stages' => [['cooker' => 'open-grate', 'cooker_c' => 400, 'pull' => true]]]],
    'rib, rested, seared by the clock' => [['cut' => 'beef-rib', 'mass_kg' => 3, 'taste' => 'medium', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 120, 'until_core_c' => 42], ['cooker' => 'rest', 'minutes' => 15], ['cooker' => 'kettle-direct', 'cooker_c' => 240, 'minutes' => 6]]]],
    'leg in a camp oven' => [['cut' => 'lamb-leg', 'mass_kg' => 2.5, 'taste' => 'medium', 'stages' => [['cooker' => 'camp-oven', 'cooker_c' => 170, 'pull' => true]]]],
    'fish on a griddle' => [['cut' => 'fish-fillet', 'mass_kg' => 0.2, 'taste' => null, 'target_c' => 60, 'stages' => [['cooker' => 'griddle', 'cooker_c' => 200, 'pull' => true]]]],
]);
