<?php

declare(strict_types=1);

use App\Http\Resources\PlanResource;
use Diatherm\Measure\InvalidInput;
use Diatherm\Plan\Plan;
use Diatherm\Roast\RoastFile;
use Illuminate\Support\Str;
use Sabre\VObject\Reader;
use Tests\Support\HttpTest;
use Tests\Support\Matrix;

uses(HttpTest::class);

// One figure has one home and one rounding: what the ticket, fire, sheet, live view, table, calendar and second hands show of one roast is
// held against each other, as a cook reads it: whole degrees, whole seconds of a hand, minutes of the clock.

/** @return list<int> values of that unit in a message, at any depth, rounded as they are read */
function figuresIn(mixed $message, string $unit): array
{
    $found = [];
    $walk = function (mixed $value) use (&$walk, &$found, $unit): void {
        if (is_array($value) && ($value['unit'] ?? null) === $unit && isset($value['value'])) {
            $found[] = (int) round($value['value']);
        } elseif (is_array($value)) {
            array_map($walk, $value);
        }
    };
    $walk($message);

    return $found;
}

/** @param  array<string, mixed>  $plan  as the API answers it @return list<string> what disagrees */
function disagreements(array $plan): array
{
    $wrong = [];
    $same = function (string $what, float|int|null $a, float|int|null $b, float $within = 0.0) use (&$wrong): void {
        if ($a !== null && $b !== null && abs($a - $b) > $within) {
            $wrong[] = "$what: $a and $b";
        }
    };
    $sheet = array_column($plan['run_sheet'], null, 'id');
    $at = fn (string $id): ?int => isset($sheet[$id]) ? (int) strtotime($sheet[$id]['at']) : null;
    foreach ($plan['dishes'] as $i => $dish) {
        $pull = $sheet["d$i.pull"] ?? null;
        if (isset($sheet["d$i.carve"]) && ($dish['live'] ?? null) === null) {
            $isFatal = in_array(true, array_column($dish['warnings'], 'fatal'), true);
            $same("d$i not to be eaten, on the ticket and on the sheet", (int) $isFatal, substr_count((string) json_encode($sheet["d$i.carve"]['detail']), 'danger.not_to_be_eaten'));
        }
        if ($pull !== null && ($dish['live'] ?? null) === null) {
            $degrees = figuresIn($pull['detail'], '°C');
            // A buried pot is dug up by its hour and read against its target.
            $same("d$i pull on the sheet and on the ticket", $degrees[0] ?? null, (int) round(str_starts_with($pull['title']['id'], 'sheet.dig') ? $dish['target_c'] : $dish['pull_c']));
        }
        if ($at("d$i.on") !== null && $at("d$i.pull") !== null && ($dish['live'] ?? null) === null) {
            $same("d$i minutes on the heat", ($at("d$i.pull") - $at("d$i.on")) / 60.0, $dish['cook_minutes']['likely'], 0.6);
        }
        foreach ($dish['stages'] as $k => $stage) {
            $line = $sheet[$k === 0 ? "d$i.on" : "d$i.stage.$k"]['detail'] ?? null;
            if ($stage['hand_s'] !== null) {
                $same("d$i hand of step $k", figuresIn($line, 's')[0] ?? null, (int) round($stage['hand_s']));
            } elseif ($k === 0 && ! str_contains(json_encode($line), 'the_pot_onto')) {
                $same("d$i heat of step $k", figuresIn($line, '°C')[0] ?? null, (int) round($stage['cooker_c']));
            }
        }
        $steps = array_column($dish['stages'], 'to_minutes');
        $same("d$i end of the last step", end($steps), $dish['cook_minutes']['likely'], 0.2);
        if (isset($dish['pictures']) && ($dish['live'] ?? null) === null) {
            // From the pull on: a joint that rested between two steps may have been hotter before.
            $curve = $dish['pictures']['curve'];
            $after = array_filter(array_keys($curve['minutes']), fn (int $k): bool => $curve['minutes'][$k] >= $dish['cook_minutes']['likely'] - 0.1);
            $drawn = max([$dish['pull_c'], ...array_map(fn (int $k): float => $curve['core_c'][$k], $after)]);
            $same("d$i peak on the ticket and on the curve", $dish['peak_c'], $drawn, 1.0);
        }
        $rig = $dish['rig'] ?? null;
        $same("d$i load on the spit and weight of the meat", $rig['spit']['load_kg'] ?? null, $dish['total_kg'], 0.01);
        $same("d$i hours of the pot", $rig['pot']['hours'] ?? null, $dish['cook_minutes']['high'] / 60.0, 0.06);
        $same("d$i peak and pull", $dish['peak_c'] < $dish['pull_c'] - 0.05 ? 1 : 0, 0);
    }
    $laid = [];
    foreach ($plan['fires'] as $fire) {
        // Only a dish's first fire is laid by this line: a later one is laid by a line of its own.
        $lay = isset($laid[$fire['dish']]) ? null : ($sheet['d'.$fire['dish'].'.preheat'] ?? null);
        $laid[$fire['dish']] = true;
        if ($fire['hand_s'] !== null) {
            $same('hand of a fire and of its step', (int) round($fire['hand_s']), (int) round($fire['steps'][0]['hand_s']['target']));
            $same('hand of a fire and of its line', figuresIn($lay['title'] ?? null, 's')[0] ?? null, (int) round($fire['hand_s']));
        }
    }
    $bought = fn (string $aisle): float => array_sum(array_map(
        fn (array $one): float => $one['aisle']['id'] === "aisle.$aisle" && $one['amount']['id'] === 'words.figure' ? $one['amount']['values']['figure']['value'] : 0.0,
        $plan['shopping'],
    ));
    $same('fuel on the list and on the fires', $bought('fuel'), array_sum(array_map(fn (array $fire): float => $fire['buy_name'] === null ? 0.0 : $fire['buy_kg'], $plan['fires'])), 0.02);
    $late = (strtotime($sheet['serve']['at']) - strtotime($plan['serve_at'])) / 60.0;
    if ($late > 0.0) {
        $same('table late and ready late', $late < (strtotime($plan['ready_at']) - strtotime($plan['serve_at'])) / 60.0 - 5.0 ? 1 : 0, 0);
    }

    return $wrong;
}

it('shows every figure of a plan alike', function (array $files) {
    $wrong = [];
    foreach ($files as $name => $file) {
        try {
            $plan = Plan::of(RoastFile::read($file), new DateTimeImmutable('2031-10-01T12:00:00Z'));
        } catch (InvalidInput) {
            continue;
        }
        $answer = json_decode((string) json_encode((new PlanResource($plan))->toArray()), true);
        foreach ($plan->dishes as $i => $planned) {
            $answer['dishes'][$i]['pictures'] = PlanResource::pictures($planned->forecast);
        }
        foreach (disagreements($answer) as $one) {
            $wrong[] = "$name: $one";
        }
    }
    expect($wrong)->toBe([]);
})->with(function (): array {
    $files = getenv('MATRIX') === 'whole' ? Matrix::all() : Matrix::sample(29);

    return array_map(fn (array $part): array => [$part], array_chunk($files, 25, true));
});

it('shows a roast under way alike on its sheet, in the calendar, to second hands and live', function (string $name, array $file, float $pace) {
    $this->actingAs($this->cook());
    $stored = $this->postJson('/api/roasts', ['serve_at' => now()->addHours(30)->toAtomString()] + $file);
    if ($stored->status() === 422) {
        expect($stored->json('errors'))->not->toBeEmpty();

        return;
    }
    $id = $stored->json('id');
    $plan = $stored->json('plan.dishes.0');
    $minutes = max(2, (int) (0.6 * $plan['cook_minutes']['likely']));
    $log = fn (string $what, int $ago, array $body) => $this->postJson(
        "/api/roasts/$id/$what", $body + ['id' => (string) Str::uuid(), 'dish' => 0, 'at' => now()->subMinutes($ago)->toAtomString()],
    );
    $log('events', $minutes, ['kind' => 'on'])->assertOk();
    // A cooker that stands at its heat by its own dial, whatever the core says.
    $log('readings', min($minutes - 1, 25), ['place' => 'cooker', 'celsius' => round($plan['stages'][0]['cooker_c'])])->assertOk();
    $fromC = (float) $file['dishes'][0]['start_c'];
    foreach ([0.7, 0.35, 0.0] as $left) {
        $share = $pace * 0.6 * (1.0 - $left);
        $log('readings', (int) ($left * $minutes), ['place' => 'core', 'celsius' => round($fromC + ($plan['pull_c'] - $fromC) * $share ** 1.4, 1)])->assertOk();
    }
    $key = str_replace('/hands/', '', (string) $this->postJson("/api/roasts/$id/hands")->json('path'));
    $roast = $this->getJson("/api/roasts/$id")->json();
    $sheet = array_column($roast['plan']['run_sheet'], null, 'id');
    $hands = array_column($this->getJson("/api/hands/$key")->json('run_sheet'), null, 'id');
    $live = $roast['plan']['dishes'][0]['live'];
    // The same line at the same minute, in the same words, wherever it stands.
    expect(array_keys($hands))->toBe(array_keys($sheet), $name);
    $calendar = Reader::read((string) $this->get("/api/roasts/$id/run-sheet.ics")->content());
    $events = [];
    foreach ($calendar->select('VEVENT') as $event) {
        $events[(string) $event->UID] = $event;
    }
    foreach ($sheet as $line => $entry) {
        expect($hands[$line]['title'])->toBe($entry['title'])
            ->and(abs(strtotime($hands[$line]['at']) - strtotime($entry['at'])))->toBeLessThan(90)
            ->and(abs($events["$id.$line@diatherm"]->DTSTART->getDateTime()->getTimestamp() - strtotime($entry['at'])))->toBeLessThan(90);
    }
    if ($live['end_c'] !== null) {
        $line = $sheet['d0.read.0'] ?? $sheet['d0.pull'] ?? null;
        expect($line)->not->toBeNull($name)
            ->and(array_map(intval(...), figuresIn($line['detail'], '°C')))->toContain((int) round($live['end_c']))
            ->and((int) round($live['end_c']))->toBe((int) round($live['pull_c']));
        if ($live['gets_there']) {
            // It is read some minutes before it is likely to come off, and never after.
            $lead = (strtotime($live['pull_at']['likely']) - strtotime($line['at'])) / 60.0;
            expect($lead)->toBeGreaterThan(-1.5)->toBeLessThan(7.0)
                // And the strip, the table and the card draw its end where live says it is.
                ->and(abs(strtotime($line['id'] === 'd0.pull' ? $line['at'] : $line['until']) - strtotime($live['pull_at']['likely'])))->toBeLessThan(90);
        }
    }
    // What it is told to do, and the line that it stands beside, are of one mind.
    $act = $live['advice']['act'] ?? 'none';
    expect($act === 'take_off')->toBe(isset($sheet['d0.pull']) && $live['end_c'] !== null, "$name says $act");
    $fuelDue = array_filter($sheet, fn (array $entry): bool => preg_match('/\.refuel\.?/', $entry['id']) === 1 && ! $entry['done'] && strtotime($entry['at']) <= now()->timestamp);
    foreach ($roast['tending'] as $fire) {
        $isLeft = ($fire['correction']['act'] ?? null) === 'hold';
        expect($isLeft && in_array($act, ['read_cooker', 'hotter'], true))->toBeFalse("$name: $act, and leave it as it is")
            ->and($isLeft && $fuelDue !== [])->toBeFalse("$name: fuel now, and leave it as it is");
    }
    expect(disagreements($roast['plan']))->toBe([]);

    // Off, rested and carved: the debrief has the plan's figures on one side and the log's on the other.
    $pulledC = round($plan['pull_c'] + 0.4, 1);
    $log('readings', 0, ['place' => 'core', 'celsius' => $pulledC, 'sure' => true])->assertOk();
    $log('events', 0, ['kind' => 'pulled'])->assertOk();
    $this->travel(20)->minutes();
    $log('events', 0, ['kind' => 'carved'])->assertOk();
    $after = $this->getJson("/api/roasts/$id")->json();
    $found = array_column($after['debrief']['dishes'][0], null, 'id');
    $on = figuresIn($found['time']['planned'], 'h min');
    expect(abs($on[0] - $plan['cook_minutes']['likely']))->toBeLessThan(1.0, $name)
        ->and(abs(figuresIn($found['time']['fact'], 'h min')[0] - $minutes))->toBeLessThan(1.1, $name)
        ->and(figuresIn($found['pull']['planned'], '°C')[0])->toBe((int) round($plan['pull_c']), $name)
        ->and(figuresIn($found['pull']['fact'], '°C')[0])->toBe((int) round($pulledC), $name);
    if (isset($found['safe'])) {
        expect(figuresIn($found['safe']['planned'], '°C')[0])->toBe((int) round($plan['safe_c']), $name);
    }
    expect(disagreements($after['plan']))->toBe([]);
})->with(function (): array {
    $files = array_filter(Matrix::sample(getenv('MATRIX') === 'whole' ? 13 : 197), fn (array $file): bool => count($file['dishes'][0]['stages']) === 1);
    $cases = [];
    foreach (array_keys($files) as $i => $name) {
        $cases[] = [$name, $files[$name], [0.6, 1.0, 1.2][$i % 3]];
    }

    return $cases;
});
