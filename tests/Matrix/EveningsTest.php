<?php

declare(strict_types=1);

use Illuminate\Support\Str;
use Tests\Support\Contract;
use Tests\Support\HttpTest;
use Tests\Support\Matrix;

uses(HttpTest::class);

// Whole evenings through the API, on meat that runs quicker or slower than planned: put on, read, taken off when it reads its
// number, read in the rest, carved. What is asked of each answer is what a cook with guests would ask.

/** @return array<string, array{array<string, array<string, mixed>>, float}> roasts, and how many times slower than planned they run */
function evenings(): array
{
    $files = array_filter(
        Matrix::sample(getenv('MATRIX') === 'whole' ? 41 : 257),
        fn (array $file): bool => count($file['dishes'][0]['stages']) === 1,
    );
    $evenings = [];
    foreach (array_chunk($files, 4, true) as $i => $part) {
        $pace = [1.0, 0.6, 1.6][$i % 3];
        $evenings[array_key_first($part).sprintf(' …, at %.1f of the planned time', $pace)] = [$part, $pace];
    }

    return $evenings;
}

/**
 * @param  array<string, mixed>  $file
 * @return list<string> what was wrong
 */
function evening(HttpTest $test, string $name, array $file, float $pace): array
{
    $start = now()->toImmutable();
    $stored = $test->postJson('/api/roasts', ['serve_at' => $start->addHours(60)->toAtomString()] + $file);
    if ($stored->status() === 422) {
        return [];
    }
    $wrong = [];
    $ask = function (bool $holds, string $what) use (&$wrong, $name): void {
        if (! $holds) {
            $wrong[] = "$name: $what";
        }
    };
    $id = $stored->json('id');
    $plan = $stored->json('plan.dishes.0');
    $fromC = (float) $file['dishes'][0]['start_c'];
    $cook = $pace * $plan['cook_minutes']['likely'];
    $log = fn (string $what, array $body) => $test->postJson(
        "/api/roasts/$id/$what",
        $body + ['id' => (string) Str::uuid(), 'dish' => 0, 'at' => now()->toAtomString()],
    )->assertOk();
    $log('events', ['kind' => 'on']);
    $live = null;
    foreach ([0.3, 0.55, 0.8, 1.0] as $share) {
        $test->travelTo($start->addSeconds((int) (60.0 * $share * $cook)));
        // In the end past its number, as it is worked out by then.
        $read = round(
            $share < 1.0 ? $fromC + ($plan['pull_c'] - $fromC) * $share ** 1.3 : max($plan['pull_c'], $live['pull_c'] ?? 0.0) + 1.0,
            1,
        );
        $answer = $log('readings', ['place' => 'core', 'celsius' => $read]);
        $live = $answer->json('plan.dishes.0.live');
        $act = $live['advice']['act'] ?? 'none';
        if ($answer->json('readings.'.(count($answer->json('readings')) - 1).'.counts')) {
            $ask(
                $live['core_now_c']['low'] <= $read && $read <= $live['core_now_c']['high'],
                "shows $read °C as {$live['core_now_c']['likely']} °C",
            );
            // A pull that was worked out anew is the one that it goes by; it is shown rounded.
            $ask(
                ($act === 'take_off') === ($read >= $live['pull_c']) || abs($read - $live['pull_c']) < 0.1,
                "at $read °C of {$live['pull_c']} °C says $act",
            );
        } else {
            $ask($act === 'disagree', "does not count $read °C and says nothing of it");
        }
        $ask(
            strtotime($live['pull_at']['low']) <= strtotime($live['pull_at']['likely']) && strtotime($live['pull_at']['likely']) <= strtotime($live['pull_at']['high']),
            'its hours are out of order',
        );
        $ask(strtotime($live['pull_at']['likely']) >= now()->getTimestamp() - 60, 'would have it off before now');
        $ask(Contract::breaches($answer->content(), 'Roast') === [], implode(' ', Contract::breaches($answer->content(), 'Roast')));
    }
    $pulled = $log('events', ['kind' => 'pulled']);
    $ask($pulled->json('plan.dishes.0.live.peak_c') >= $pulled->json('plan.dishes.0.live.pull_c') - 0.1, 'peaks below what it came off at');
    // It is colder than was thought: twenty degrees short, read twice.
    foreach ([4, 8] as $minutes) {
        $test->travelTo($start->addSeconds((int) (60.0 * ($cook + $minutes))));
        $short = $log('readings', ['place' => 'core', 'celsius' => max(1.0, $plan['pull_c'] - 20.0)]);
    }
    $live = $short->json('plan.dishes.0.live');
    if ($plan['safe_c'] !== null && $plan['target_c'] >= $plan['safe_c'] && $plan['pull_c'] - 20.0 < $plan['safe_c'] - 15.0) {
        $ask(! $live['safe_at_carving'] && $live['advice'] !== null, 'is called safe twenty degrees short');
    }
    $test->travelTo($start->addSeconds((int) (60.0 * ($cook + 20))));
    $carved = $log('events', ['kind' => 'carved']);
    $ask($carved->json('status') === 'done', "is {$carved->json('status')} when carved");
    $ask(
        ! $live['safe_at_carving'] === ($carved->json('plan.dishes.0.live.warnings') !== []),
        'what the carving says of safety is not what the warnings say',
    );
    $ask(Contract::breaches($carved->content(), 'Roast') === [], implode(' ', Contract::breaches($carved->content(), 'Roast')));
    $test->travelTo($start);
    $test->deleteJson("/api/roasts/$id")->assertNoContent();

    return $wrong;
}

it('is right all evening', function (array $files, float $pace) {
    config(['app.limits.compute' => 1_000_000]);
    $this->actingAs($this->cook());
    $wrong = [];
    foreach ($files as $name => $file) {
        array_push($wrong, ...evening($this, $name, $file, $pace));
    }
    expect($wrong)->toBe([]);
})->with(fn (): array => evenings());
