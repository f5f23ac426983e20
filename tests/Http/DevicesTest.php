<?php

declare(strict_types=1);

use App\Models\Device;
use App\Models\Reading;
use App\Models\Roast;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Str;
use Tests\Support\Contract;
use Tests\Support\Fuzz;
use Tests\Support\HttpTest;

// Thermometers: each with a token of its own, probes in places, and a log that loses and doubles nothing.

/** @return array{Roast, Device, string} a rack of pork that is on the heat for an hour, a thermometer on it, and its token */
function thermometer(HttpTest $test, array $probes = [['channel' => 1, 'dish' => 0, 'place' => 'core'], ['channel' => 2, 'dish' => 0, 'place' => 'cooker']]): array
{
    $roast = $test->roast();
    $test->log($roast, 'on', 60)->assertOk();
    $answer = $test->postJson('/api/devices', ['name' => 'Boathouse thermometer', 'roast' => $roast->id, 'probes' => $probes])->assertCreated();
    expect(Contract::breaches((string) $answer->content(), 'DeviceWithToken'))->toBe([]);

    return [$roast, Device::query()->findOrFail($answer->json('device.id')), $answer->json('token')];
}

/** As the device sends it: without session or cookie; whoever was signed in before is so again. */
function sendAs(HttpTest $test, string $token, array $body): Illuminate\Testing\TestResponse
{
    $cook = Auth::guard('web')->user();
    Auth::forgetGuards();
    $answer = $test->postJson('/api/device/readings', $body, ['Authorization' => "Bearer $token"]);
    Auth::forgetGuards();
    Auth::shouldUse('web');
    if ($cook !== null) {
        $test->actingAs($cook, 'web');
    }

    return $answer;
}

function ago(float $minutes): string
{
    return CarbonImmutable::now()->subSeconds((int) round(60 * $minutes))->toAtomString();
}

it('reads several pieces by a probe in each', function () {
    $roast = $this->roast(['pieces' => 2]);
    $this->log($roast, 'on', 60)->assertOk();
    $probes = fn (int $piece): array => [['channel' => 1, 'dish' => 0, 'place' => 'core'], ['channel' => 2, 'dish' => 0, 'piece' => $piece, 'place' => 'core']];
    $hang = fn (int $piece) => $this->postJson('/api/devices', ['name' => 'Boathouse thermometer', 'roast' => $roast->id, 'probes' => $probes($piece)]);
    $hang(3)->assertUnprocessable()->assertJsonValidationErrors('probes.1.piece');
    $made = $hang(2)->assertCreated();
    expect(said($made->json('device.probes.1.place_words')))->toBe('Middle, no. 2');
    sendAs($this, $made->json('token'), ['readings' => [['channel' => 1, 'celsius' => 22, 'at' => ago(1)], ['channel' => 2, 'celsius' => 19, 'at' => ago(1)]]])->assertOk();
    $answer = $this->getJson("/api/roasts/$roast->id");
    expect(array_column($answer->json('plan.dishes.0.live.probe_map.pieces'), 'decides'))->toBe([false, true])
        ->and($answer->json('plan.dishes.0.live.read.celsius'))->toBe(19);
});

it('takes what probes read into the log of their roast, and the forecast follows', function () {
    [$roast, $device, $token] = thermometer($this);
    $before = $this->getJson("/api/roasts/$roast->id")->json();
    $taken = sendAs($this, $token, ['battery' => 81, 'signal' => 64, 'readings' => [
        ['channel' => 1, 'celsius' => 24.5, 'at' => ago(3)], ['channel' => 2, 'celsius' => 151, 'at' => ago(3)], ['channel' => 3, 'celsius' => 21, 'at' => ago(3)],
        ['channel' => 4, 'celsius' => null, 'at' => ago(3)],
    ]])->assertOk();
    expect(Contract::breaches((string) $taken->content(), 'DeviceTaken'))->toBe([])
        ->and($taken->json())->toBe(['kept' => 2, 'passed_over' => 0, 'unplaced' => 1, 'unplugged' => 1]);
    $answer = $this->getJson("/api/roasts/$roast->id");
    expect(Contract::breaches((string) $answer->content(), 'Roast'))->toBe([]);
    $after = $answer->json();
    expect(array_map(fn (array $one): array => [$one['place'], $one['celsius'], $one['device'], $one['channel'], $one['counts']], $after['readings']))
        ->toEqualCanonicalizing([['core', 24.5, $device->id, 1, true], ['cooker', 151, $device->id, 2, true]])
        ->and($after['plan']['dishes'][0]['live']['read']['celsius'])->toEqual(24.5)
        ->and($after['plan']['dishes'][0]['live']['pull_at']['likely'])->not->toBe($before['plan']['dishes'][0]['live']['pull_at']['likely'])
        ->and($after['devices'][0]['battery'])->toBe(81)->and($after['devices'][0]['signal'])->toBe(64)
        ->and(array_column($after['devices'][0]['heard'], 'celsius', 'channel'))->toEqual([1 => 24.5, 2 => 151, 3 => 21, 4 => null]);
});

it('goes by the newest round of several probes, whichever of them is heard first and however often they send', function (float $every, string $order) {
    [$roast, , $token] = thermometer($this, [
        ['channel' => 1, 'dish' => 0, 'place' => 'core'], ['channel' => 2, 'dish' => 0, 'place' => 'thick_end'], ['channel' => 3, 'dish' => 0, 'place' => 'bone'],
    ]);
    $readings = [];
    for ($minutes = 50.0; $minutes > 0.5; $minutes -= $every) {
        foreach ([1 => 0.0, 2 => 0.6, 3 => 5.0] as $channel => $above) {
            $readings[] = ['channel' => $channel, 'celsius' => round(8.0 + 0.9 * (50.0 - $minutes) + $above, 1), 'at' => ago($minutes)];
        }
    }
    $newest = max(array_column(array_filter($readings, fn (array $one): bool => $one['channel'] === 1), 'celsius'));
    mt_srand(11);
    $order === 'shuffled' ? shuffle($readings) : $readings = $order === 'latest first' ? array_reverse($readings) : $readings;
    foreach (array_chunk($readings, 40) as $some) {
        sendAs($this, $token, ['readings' => $some])->assertOk();
    }
    $live = $this->getJson("/api/roasts/$roast->id")->json('plan.dishes.0.live');
    // One a minute of each is kept.
    expect($live['read']['celsius'])->toEqualWithDelta($newest, 1.0)
        ->and($live['core_now_c']['likely'])->toEqualWithDelta($newest, 2.0)
        ->and($live['core_now_c']['high'] - $live['core_now_c']['low'])->toBeLessThan(12.0);
})->with([1.0, 0.5, 3.0])->with(['as they were read', 'latest first', 'shuffled']);

it('takes one reading by itself, of now', function () {
    [$roast, , $token] = thermometer($this);
    sendAs($this, $token, ['channel' => 1, 'celsius' => 25])->assertOk()->assertJson(['kept' => 1]);
    expect($roast->readings()->value('celsius'))->toEqual(25);
});

it('writes once what is sent twice, in whatever order and however it is cut up', function () {
    [$roast, , $token] = thermometer($this);
    mt_srand(20311126);
    $all = [];
    for ($minute = 55; $minute >= 1; $minute--) {
        foreach ([1, 2] as $channel) {
            $all[] = ['channel' => $channel, 'celsius' => $channel === 1 ? round(6 + (55 - $minute) * 0.6, 1) : 150 + mt_rand(-2, 2), 'at' => ago($minute), 'id' => (string) Str::uuid()];
        }
    }
    foreach (array_chunk($all, 13) as $chunk) {
        sendAs($this, $token, ['readings' => $chunk])->assertOk();
    }
    $once = $roast->readings()->orderBy('id')->pluck('client_id')->all();
    expect(count($once))->toBe(110);
    for ($again = 0; $again < 4; $again++) {
        shuffle($all);
        foreach (array_chunk($all, mt_rand(5, 50)) as $chunk) {
            sendAs($this, $token, ['readings' => $chunk])->assertOk();
        }
    }
    expect($roast->readings()->count())->toBe(110)->and(count(array_unique($roast->readings()->pluck('client_id')->all())))->toBe(110);
});

it('writes what is sent twice without an id once as well', function () {
    [$roast, , $token] = thermometer($this);
    $body = ['readings' => [['channel' => 1, 'celsius' => 22.2, 'at' => ago(10)], ['channel' => 1, 'celsius' => 23.0, 'at' => ago(8)]]];
    sendAs($this, $token, $body)->assertOk()->assertJson(['kept' => 2]);
    sendAs($this, $token, $body)->assertOk()->assertJson(['kept' => 0]);
    expect($roast->readings()->count())->toBe(2);
});

it('keeps one a minute of a probe that sends every second, its jumps, and no more than tells something', function () {
    [$roast, , $token] = thermometer($this);
    $readings = [];
    for ($s = 600; $s > 0; $s -= 2) {
        $readings[] = ['channel' => 1, 'celsius' => 30 + (600 - $s) / 600 + ($s === 300 ? 40 : 0), 'at' => ago($s / 60)];
    }
    sendAs($this, $token, ['readings' => $readings])->assertOk();
    $kept = $roast->readings()->pluck('celsius')->all();
    // Ten minutes, the jump and the way back from it.
    expect(count($kept))->toBeGreaterThanOrEqual(10)->toBeLessThanOrEqual(14)->and(max($kept))->toBeGreaterThan(65);
});

it('tells of a day of readings no more than a screen can use, and keeps all of it', function () {
    [$roast, $device, $token] = thermometer($this);
    $this->travel(9)->hours();
    foreach ([0, 1, 2, 3, 4, 5, 6, 7, 8] as $hour) {
        $batch = [];
        for ($minute = 0; $minute < 60; $minute++) {
            $batch[] = ['channel' => 2, 'celsius' => 150 + $minute % 3, 'at' => ago(9 * 60 - 60 * $hour - $minute)];
        }
        sendAs($this, $token, ['readings' => $batch])->assertOk();
    }
    $this->postJson("/api/roasts/$roast->id/readings", ['id' => (string) Str::uuid(), 'dish' => 0, 'at' => ago(200), 'place' => 'cooker', 'celsius' => 148])->assertOk();
    expect($roast->readings()->count())->toBe(541);
    $told = $this->getJson("/api/roasts/$roast->id")->json('readings');
    expect(count($told))->toBeLessThan(90)->and(array_filter($told, fn (array $one): bool => $one['device'] === null))->toHaveCount(1)
        ->and(end($told)['device'])->toBe($device->id);
    expect(substr_count((string) $this->get("/api/roasts/$roast->id/readings.csv")->content(), "\r\n"))->toBe(542);
});

it('takes a broken or unplugged probe for no temperature, and goes on', function () {
    [$roast, , $token] = thermometer($this);
    foreach ([null, -200.0, 999.0, 32767.0, -127.0] as $nothing) {
        sendAs($this, $token, ['readings' => [['channel' => 1, 'celsius' => $nothing, 'at' => ago(2)], ['channel' => 2, 'celsius' => 150, 'at' => ago(2)]]])
            ->assertOk()->assertJson(['unplugged' => 1]);
    }
    expect($roast->readings()->where('place', 'core')->count())->toBe(0);
    expect($this->getJson("/api/roasts/$roast->id")->json('devices.0.heard.0.celsius'))->toBeNull();
});

it('refuses nonsense at its field and writes nothing of it', function (array $body, string $field) {
    [$roast, , $token] = thermometer($this);
    sendAs($this, $token, $body)->assertUnprocessable()->assertJsonValidationErrors($field);
    expect($roast->readings()->count())->toBe(0);
})->with([
    [['readings' => [['channel' => 1, 'celsius' => 25, 'at' => '2031-01-01T00:00:00Z'], ['channel' => 2, 'celsius' => 25]]], 'readings.0.at'],
    [['readings' => [['channel' => 2, 'celsius' => 25], ['channel' => 9, 'celsius' => 25]]], 'readings.1.channel'],
    [['readings' => [['channel' => 2, 'celsius' => 25], ['channel' => 1, 'celsius' => 'warm']]], 'readings.1.celsius'],
    [['readings' => [['channel' => 1]]], 'readings.0.celsius'],
    [['readings' => 'many'], 'readings'],
    [['battery' => 400, 'readings' => []], 'battery'],
    [['readings' => [['channel' => 1, 'celsius' => 25, 'id' => 'x']]], 'readings.0.id'],
    [['readings' => [['channel' => 1, 'celsius' => 25, 'dish' => 4]]], 'readings.0'],
    [[], 'readings'],
]);

it('opens nothing but its own two addresses with a token, and them to nobody without', function () {
    [$roast, $device, $token] = thermometer($this);
    Auth::forgetGuards();
    $with = ['Authorization' => "Bearer $token"];
    $this->getJson('/api/device', $with)->assertOk()->assertJsonPath('id', $device->id);
    foreach (["/api/roasts/$roast->id", '/api/roasts', '/api/cookers', '/api/devices', '/api/reference'] as $path) {
        Auth::forgetGuards();
        Auth::shouldUse('web');
        $this->getJson($path, $with)->assertUnauthorized();
    }
    foreach (['', 'Bearer ', 'Bearer 1|x', "Bearer x$token", 'Bearer '.str_repeat('a', 5000), "Basic $token"] as $wrong) {
        Auth::forgetGuards();
        $this->postJson('/api/device/readings', ['readings' => []], ['Authorization' => $wrong])->assertUnauthorized();
    }
});

it('shuts out a token that was replaced, and a thermometer that was taken away', function () {
    [$roast, $device, $token] = thermometer($this);
    $new = $this->postJson("/api/devices/$device->id/token")->assertOk()->json('token');
    sendAs($this, $token, ['readings' => []])->assertUnauthorized();
    sendAs($this, $new, ['readings' => []])->assertOk();
    $this->actingAs($roast->user)->deleteJson("/api/devices/$device->id")->assertNoContent();
    sendAs($this, $new, ['readings' => []])->assertUnauthorized();
    expect(Device::query()->count())->toBe(0);
});

it('shows a cook nobody else’s thermometers, and hangs them on nobody else’s roast', function () {
    [$roast, $device] = thermometer($this);
    $this->actingAs($this->cook());
    expect($this->getJson('/api/devices')->json())->toBe([]);
    $this->withHeader('If-Match', '*')->putJson("/api/devices/$device->id", ['name' => 'Mine'])->assertNotFound();
    $this->deleteJson("/api/devices/$device->id")->assertNotFound();
    $this->postJson("/api/devices/$device->id/token")->assertNotFound();
    $this->postJson('/api/devices', ['name' => 'Mine', 'roast' => $roast->id])->assertJsonValidationErrors('roast');
    foreach ([['name' => ''], ['name' => ['x']], ['name' => str_repeat('x', 81)], ['name' => 'X', 'probes' => [['channel' => 1, 'dish' => 0, 'place' => 'core']]]] as $wrong) {
        $this->postJson('/api/devices', $wrong)->assertUnprocessable();
    }
});

it('moves from one roast to the next: what it reads goes where it hangs', function () {
    [$first, $device, $token] = thermometer($this);
    sendAs($this, $token, ['readings' => [['channel' => 1, 'celsius' => 30, 'at' => ago(2)]]])->assertOk();
    $second = Roast::factory()->create(['user_id' => $first->user_id]);
    $probes = [['channel' => 1, 'dish' => 0, 'place' => 'core']];
    $this->actingAs($first->user)->withHeader('If-Match', '*')->putJson("/api/devices/$device->id", ['name' => 'At the spit', 'roast' => $second->id, 'probes' => $probes])->assertOk();
    // The same degrees a second later, and yet new to this roast.
    sendAs($this, $token, ['readings' => [['channel' => 1, 'celsius' => 30, 'at' => ago(1.9)]]])->assertOk()->assertJson(['kept' => 1]);
    expect($first->readings()->count())->toBe(1)->and($second->readings()->count())->toBe(1)
        ->and(Reading::query()->where('device_id', $device->id)->count())->toBe(2);
    $this->actingAs($first->user);
    foreach ([['channel' => 1, 'dish' => 5, 'place' => 'core'], ['channel' => 0, 'dish' => 0, 'place' => 'core'], ['channel' => 1, 'dish' => 0, 'place' => 'moon']] as $wrong) {
        $this->withHeader('If-Match', '*')->putJson("/api/devices/$device->id", ['name' => 'X', 'roast' => $second->id, 'probes' => [$wrong]])->assertUnprocessable();
    }
    $this->withHeader('If-Match', '*')->putJson("/api/devices/$device->id", ['name' => 'X', 'roast' => $second->id, 'probes' => [...$probes, ...$probes]])->assertUnprocessable();
});

it('outlives its roast, and is limited by itself', function () {
    [$roast, , $token] = thermometer($this);
    $this->deleteJson("/api/roasts/$roast->id")->assertNoContent();
    sendAs($this, $token, ['readings' => [['channel' => 1, 'celsius' => 30]]])->assertOk()->assertJson(['unplaced' => 1]);
    config(['app.limits.devices' => 3]);
    $answers = array_map(fn () => sendAs($this, $token, ['readings' => []])->getStatusCode(), range(1, 6));
    expect($answers)->toContain(429)->toContain(200);
});

it('has a stand-in that sends as a real one would, and by which the forecast goes', function () {
    $roast = $this->roast();
    $this->log($roast, 'on', 50)->assertOk();
    $cook = $roast->user;
    // What it sends over the wire is handed to the application itself.
    Illuminate\Support\Facades\Http::fake(function (Illuminate\Http\Client\Request $sent) {
        expect($sent->url())->toEndWith('/api/device/readings')->and($sent->header('Authorization')[0])->toStartWith('Bearer ');
        $answer = sendAs($this, substr($sent->header('Authorization')[0], 7), $sent->data())->assertOk();

        return Illuminate\Support\Facades\Http::response($answer->json());
    });
    $this->artisan('diatherm:thermometer', ['--roast' => $roast->id, '--once' => true, '--slips' => '20', '--bone' => true, '--drops' => true])->assertSuccessful();
    $there = $roast->readings()->count();
    expect($there)->toBeGreaterThan(120);
    $answer = $this->actingAs($cook)->getJson("/api/roasts/$roast->id");
    expect(Contract::breaches((string) $answer->content(), 'Roast'))->toBe([]);
    $live = $answer->json('plan.dishes.0.live');
    expect($live['counted'])->toBeGreaterThan(3)->and($live['gets_there'])->toBeTrue()
        ->and($answer->json('devices.0.battery'))->toBe(88)
        // The probe that hangs out is told so, and decides nothing.
        ->and(array_filter($answer->json('readings'), fn (array $one): bool => $one['channel'] === 2 && $one['counts'] && $one['celsius'] > 60))->toBe([]);
    $this->artisan('diatherm:thermometer', ['--roast' => $roast->id, '--once' => true, '--slips' => '20', '--bone' => true, '--drops' => true])->assertSuccessful();
    expect($roast->readings()->count())->toBeLessThan($there + 10);
    $this->artisan('diatherm:thermometer', ['--roast' => 'nowhere', '--once' => true])->assertFailed();
});

it('answers nonsense from a device with a message at a field, never with a failure, and goes on listening', function () {
    config(['app.limits.devices' => 1_000_000]);
    [$roast, , $token] = thermometer($this);
    $cook = $roast->user;
    Auth::forgetGuards();
    $fuzz = new Fuzz(20311126);
    $wrong = [];
    for ($i = 0; $i < 300; $i++) {
        $body = $fuzz->body(['battery' => 80, 'signal' => 60, 'readings' => [
            ['id' => (string) Str::uuid(), 'channel' => 1, 'celsius' => 30.5, 'at' => ago(5)], ['channel' => 2, 'celsius' => null, 'at' => ago(4)],
        ]]);
        $answer = $this->call('POST', '/api/device/readings', server: [
            'CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json', 'HTTP_AUTHORIZATION' => "Bearer $token",
        ], content: $body);
        $status = $answer->status();
        if (! in_array($status, [200, 422], true) || ($status === 422 && ! is_array($answer->json('errors')))) {
            $wrong[] = "$status to ".mb_substr($body, 0, 300).' '.mb_substr((string) ($answer->exception?->getMessage() ?? ''), 0, 200);
        }
    }
    expect(array_slice($wrong, 0, 5))->toBe([]);
    Auth::forgetGuards();
    Auth::shouldUse('web');
    $this->actingAs($cook, 'web')->getJson("/api/roasts/$roast->id")->assertOk()->assertJsonMissing(['status' => 'broken']);
    sendAs($this, $token, ['channel' => 1, 'celsius' => 31])->assertOk();
});
