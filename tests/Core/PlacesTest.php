<?php

declare(strict_types=1);

use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Live\LiveForecast;
use Diatherm\Live\Reading;
use Diatherm\Live\Sieve;
use Diatherm\Live\Verdict;
use Diatherm\Measure\InvalidInput;
use Diatherm\Practice\ProbeFault;
use Diatherm\Practice\SimulatedProbe;
use Diatherm\Practice\SimulatedThermometer;
use Diatherm\Roast\RoastFile;
use Tests\Support\Matrix;
use Tests\Support\Samples;

// Several probes in one joint. Common practice: the coldest place decides, at the moment that it is read; which probe was heard first in a
// minute, and how fast the joint climbs, decide nothing.

/**
 * @param  array<string, float>  $above  by place, K above the coldest
 * @param  Closure(float): float  $core  °C by seconds
 * @return list<Reading> in order of time; within one moment in any order
 */
function probed(array $above, Closure $core, float $fromS, float $untilS, float $everyS, float $apartS = 0.0): array
{
    $readings = [];
    for ($round = 0; $fromS + $round * $everyS <= $untilS; $round++) {
        $places = array_keys($above);
        if ($apartS === 0.0) {
            shuffle($places);
        }
        foreach ($places as $i => $place) {
            $at = $fromS + $round * $everyS + $i * $apartS;
            $readings[] = Reading::of("$place $round", $at, $place, round($core($at) + $above[$place], 1));
        }
    }

    return $readings;
}

$chicken = fn () => Samples::dish(['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => 'tender', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 180]]]);

it('lets the coldest place decide, however fast they climb and however often they are read', function (float $perMinute, float $everyS, float $apartS) use ($chicken) {
    mt_srand(20311004);
    $core = fn (float $s): float => 10.0 + $perMinute * ($s - 600.0) / 60.0;
    $until = 600.0 + min(3600.0, 60.0 * 75.0 / $perMinute);
    foreach ([['core' => 0.0, 'thick_end' => 0.6, 'bone' => 4.0], ['thick_end' => 0.4, 'core' => 0.0], ['bone' => 9.0, 'thigh' => 1.0, 'breast' => 0.0]] as $above) {
        $cold = (string) array_search(0.0, $above, true);
        $verdicts = Sieve::judge(probed($above, $core, 600.0, $until, $everyS, $apartS), $chicken(), new Course(nowS: $until + 300.0))->verdicts;
        foreach ($verdicts as $id => $verdict) {
            [$place, $round] = explode(' ', $id);
            // A first round that goes from place to place knows nothing of how fast they climb.
            if ($apartS === 0.0 || (int) $round > 0) {
                expect($verdict)->toBe($place === $cold ? Verdict::Counts : Verdict::NotTheColdest, "$id of ".json_encode($above));
            }
        }
    }
})->with([0.1, 0.5, 1.5, 2.5])->with([15.0, 60.0, 180.0, 290.0])->with([0.0, 4.0]);

it('takes rounds by one probe, from place to place, at the moment that each was read', function (float $perMinute) use ($chicken) {
    $core = fn (float $s): float => 10.0 + $perMinute * ($s - 600.0) / 60.0;
    // Every ten minutes, a minute and a half at each place: the middle comes last, a degree and a half colder, and reads most.
    $readings = probed(['thigh' => 2.0, 'breast' => 1.5, 'core' => 0.0], $core, 600.0, 3000.0, 600.0, 90.0);
    $verdicts = Sieve::judge($readings, $chicken(), new Course(nowS: 3300.0))->verdicts;
    foreach ([1, 2, 3, 4] as $round) {
        expect([$verdicts["thigh $round"], $verdicts["breast $round"], $verdicts["core $round"]])
            ->toBe([Verdict::NotTheColdest, Verdict::NotTheColdest, Verdict::Counts]);
    }
})->with([0.2, 1.0, 1.8]);

it('judges alike in whatever order one moment’s readings come', function () use ($chicken) {
    mt_srand(7);
    for ($evening = 0; $evening < 40; $evening++) {
        $noise = array_map(fn (): float => mt_rand(-8, 8) / 10.0, range(0, 40));
        $core = fn (float $s): float => 8.0 + 70.0 * (1.0 - exp(-max(0.0, $s - 900.0) / 3000.0)) + $noise[(int) ($s / 120.0) % 40];
        $above = ['core' => mt_rand(0, 20) / 10.0, 'thick_end' => mt_rand(0, 20) / 10.0, 'bone' => mt_rand(0, 60) / 10.0];
        $one = probed($above, $core, 600.0, 4200.0, 60.0);
        $other = $one;
        usort($other, fn (Reading $a, Reading $b): int => [$a->seconds, $b->id] <=> [$b->seconds, $a->id]);
        $judged = fn (array $readings): array => array_map(
            fn (Verdict $verdict): string => $verdict->name, Sieve::judge($readings, $chicken(), new Course(nowS: 4300.0))->verdicts,
        );
        expect($judged($one))->toEqual($judged($other));
    }
});

it('reads the newest round of a thermometer, whatever the dish, how often it sends and the moment', function () {
    mt_srand(20311126);
    $told = 0;
    foreach (Matrix::sample(67) as $name => $file) {
        try {
            $dish = RoastFile::read($file)->dishes[0];
            $plan = Forecast::of($dish, 14.0);
        } catch (InvalidInput) {
            continue;
        }
        $thermometer = SimulatedThermometer::of($dish, 14.0, Course::asPlanned(), [
            new SimulatedProbe(1, 0.0), new SimulatedProbe(2, 0.1), new SimulatedProbe(3, 0.15, ProbeFault::TouchesBone),
        ], mt_rand(1, 99));
        $until = 60.0 * $plan->cookMinutes->likely * mt_rand(35, 95) / 100;
        $every = [15.0, 60.0, 180.0][$told % 3];
        $readings = [];
        // It was put into the joint half way, as by one who forgot it.
        for ($at = $until - $every * min(60, floor(0.6 * $until / $every)); $at <= $until; $at += $every) {
            $places = [1 => 'core', 2 => 'thick_end', 3 => 'bone'];
            uasort($places, fn (): int => mt_rand(-1, 1));
            foreach ($places as $channel => $place) {
                $readings[] = Reading::of("$place $at", $at, $place, (float) $thermometer->reads($channel, $at));
            }
        }
        $live = LiveForecast::of($dish, 14.0, new Course(nowS: $until + 20.0), $readings, $plan->pullC);
        $newest = array_values(array_filter($readings, fn (Reading $one): bool => $one->seconds === end($readings)->seconds));
        $possible = array_filter($newest, fn (Reading $one): bool => in_array($live->verdicts[$one->id], [Verdict::Counts, Verdict::NotTheColdest], true));
        if ($possible === []) {
            continue;
        }
        $told++;
        $coldest = min(array_map(fn (Reading $one): float => $one->celsius, $possible));
        expect(array_filter($possible, fn (Reading $one): bool => $live->verdicts[$one->id] === Verdict::Counts))->not->toBe([], $name)
            ->and($live->coreNowC->likely)->toEqualWithDelta($coldest, 2.0, $name);
    }
    expect($told)->toBeGreaterThan(15);
});
