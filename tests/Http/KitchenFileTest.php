<?php

declare(strict_types=1);

use App\Kitchen\KitchenFile;
use App\Models\Device;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Tests\Support\FullKitchen;

// A kitchen taken along and brought into another is the same kitchen.

/** Spoils the roast with the longest log, which is left alone in the kitchen. @param  Closure(array<string, mixed>): void  $spoil */
function inTheLog(Closure $spoil): Closure
{
    return function (array &$kitchen) use ($spoil): void {
        usort($kitchen['roasts'], fn (array $a, array $b): int => count($b['readings']) + count($b['events']) <=> count($a['readings']) + count($a['events']));
        $kitchen['roasts'] = [$kitchen['roasts'][0]];
        $spoil($kitchen['roasts'][0]);
    };
}

it('comes back into another kitchen without loss', function () {
    $taken = FullKitchen::taken(FullKitchen::open());
    $other = $this->cook();
    $this->actingAs($other)->postJson('/api/account/kitchen', $taken)->assertNoContent();
    $back = FullKitchen::taken($other);
    foreach (['cookers', 'mixes', 'sides', 'devices', 'roasts'] as $part) {
        expect($back[$part])->toBe($taken[$part], $part)->and($taken[$part] === [] && $part !== 'sides')->toBeFalse($part);
    }
});

it('says the same of every roast as where it came from', function () {
    $this->freezeTime();
    $cook = FullKitchen::open();
    $other = $this->cook();
    $this->actingAs($other)->postJson('/api/account/kitchen', FullKitchen::taken($cook))->assertNoContent();
    $said = function (User $of): array {
        $list = array_map(
            fn (array $roast): array => [$roast['name'], $roast['status'], $roast['note'], $roast['plan']],
            $this->actingAs($of)->getJson('/api/roasts')->assertOk()->json(),
        );
        sort($list);

        return $list;
    };
    expect($said($other))->toEqual($said($cook));
});

it('takes nothing with it that opens a door', function () {
    $cook = FullKitchen::open();
    $token = Device::where('user_id', $cook->id)->firstOrFail()->createToken('probe')->plainTextToken;
    $roast = $cook->roasts()->firstOrFail();
    $roast->forceFill(['hands_key' => hash('sha256', 'open door')])->save();
    $text = json_encode(KitchenFile::write($cook), JSON_THROW_ON_ERROR);
    expect($text)->not->toContain(explode('|', $token)[1])->not->toContain($cook->password)
        ->not->toContain($cook->email)->not->toContain($roast->hands_key);
});

it('refuses what it cannot read, at its place, and takes nothing in', function (string $at, Closure $spoil) {
    $taken = FullKitchen::taken(FullKitchen::open());
    $spoil($taken);
    $other = $this->cook();
    $this->actingAs($other)->postJson('/api/account/kitchen', $taken)->assertUnprocessable()->assertJsonValidationErrors($at);
    foreach (['roasts', 'cookers', 'mixes', 'own_sides', 'devices'] as $table) {
        expect(DB::table($table)->where('user_id', $other->id)->count())->toBe(0, $table);
    }
})->with([
    'a reading of a time to come' => ['roasts.0.readings.0.at', inTheLog(fn (array &$log) => $log['readings'][0]['at'] = '2099-01-01T12:00:00+00:00')],
    'a reading of another age' => ['roasts.0.readings.0.at', inTheLog(fn (array &$log) => $log['readings'][0]['at'] = '1970-01-02T12:00:00+00:00')],
    'meat as hot as a fire' => ['roasts.0.readings.0.celsius', inTheLog(fn (array &$log) => $log['readings'][0] = ['place' => 'core', 'celsius' => 450.0] + $log['readings'][0])],
    'one id for two events' => ['roasts.0.events.1.id', inTheLog(fn (array &$log) => $log['events'][1]['id'] = $log['events'][0]['id'])],
    'words that nobody can say' => ['roasts.0.events.0.words', inTheLog(fn (array &$log) => $log['events'][0] = ['kind' => 'way', 'words' => ['id' => 'words.figure', 'values' => []]] + $log['events'][0])],
    'no kitchen' => ['file', fn (array &$kitchen) => $kitchen = ['roasts' => []]],
    'of another time' => ['file', fn (array &$kitchen) => $kitchen['version'] = 99],
    'a list that is none' => ['file', fn (array &$kitchen) => $kitchen['mixes'] = 'many'],
    'too many' => ['file', fn (array &$kitchen) => $kitchen['cookers'] = array_fill(0, 41, $kitchen['cookers'][0])],
    'a cooker' => ['cookers.0.kind', fn (array &$kitchen) => $kitchen['cookers'][0]['kind'] = 'volcano'],
    'a roast' => ['roasts.1.file.dishes.0.mass_kg', fn (array &$kitchen) => $kitchen['roasts'][1]['file']['dishes'][0]['mass_kg'] = -3],
    'a reading' => ['roasts.0.readings.0.celsius', fn (array &$kitchen) => $kitchen['roasts'][0]['readings'][0]['celsius'] = 'hot'],
    'a dish too many' => ['roasts.0.readings.0.dish', fn (array &$kitchen) => $kitchen['roasts'][0]['readings'][0]['dish'] = 9],
    'an event' => ['roasts.0.events.0.kind', fn (array &$kitchen) => $kitchen['roasts'][0]['events'][0]['kind'] = 'danced'],
    'an id' => ['roasts.0.events.0.id', fn (array &$kitchen) => $kitchen['roasts'][0]['events'][0]['id'] = "' or 1=1"],
    'the lighting' => [
        'roasts.0.lighting.dishes.0.curve.core_c.0', fn (array &$kitchen) => $kitchen['roasts'][0]['lighting']['dishes'][0]['curve']['core_c'][0] = 'cold',
    ],
]);

it('refuses a probe of a dish or a piece that is not there', function (array $probe, string $at) {
    $sample = FullKitchen::sample();
    $sample['devices'] = [['name' => 'Boathouse thermometer', 'probes' => [$probe]]];
    $sample['roasts'] = [['devices' => [0], 'readings' => [], 'events' => []] + $sample['roasts'][0]];
    $cook = $this->cook();
    $this->actingAs($cook)->postJson('/api/account/kitchen', $sample)->assertUnprocessable()->assertJsonValidationErrors($at);
    expect($cook->devices()->count())->toBe(0)->and($cook->roasts()->count())->toBe(0);
})->with([
    'dish' => [['channel' => 1, 'dish' => 12, 'place' => 'core'], 'devices.0.probes.0.dish'],
    'piece' => [['channel' => 1, 'dish' => 0, 'place' => 'core', 'piece' => 12], 'devices.0.probes.0.piece'],
]);

it('refuses a file of more parts than a kitchen has', function (string $part) {
    $body = '{"format":"diatherm-kitchen","version":1,"roasts":['.substr(str_repeat("$part,", 400_000), 0, -1).']}';
    $this->actingAs($this->cook())->call('POST', '/api/account/kitchen', server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], content: $body)
        ->assertUnprocessable()->assertJsonValidationErrors('file');
})->with(['[0]', '{"a":{}}']);

it('gives a cooker another name where its own is taken', function () {
    $taken = FullKitchen::taken(FullKitchen::open());
    $other = $this->cook();
    foreach ([1, 2] as $times) {
        $this->actingAs($other)->postJson('/api/account/kitchen', $taken)->assertNoContent();
    }
    expect($other->cookers()->where('name', $taken['cookers'][0]['name'].' (2)')->exists())->toBeTrue();
});
