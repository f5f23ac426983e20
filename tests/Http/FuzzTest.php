<?php

declare(strict_types=1);

use App\Models\Roast;
use Illuminate\Support\Str;
use Tests\Support\FullKitchen;
use Tests\Support\Fuzz;
use Tests\Support\Samples;

// Wrong types and extremes, a few thousand bodies for the JSON routes together, the same each time. Never a failure of the
// server's own; always a message at a field; and whatever was taken leaves every list answering.

/** @return array<string, array{string, string, Closure, int}> method, path, sound body, how many */
function routes(): array
{
    $serve = fn (): string => now()->addHours(6)->toAtomString();
    $file = fn (): array => Samples::file(
        ['form' => 'whole', 'name' => 'Rack', 'pieces' => 1, 'thickness_cm' => 10, 'coast' => true, 'rest_minutes' => 12, 'preparations' => ['truss'], 'stages' => [
            [
                'cooker' => 'kettle',
                'cooker_c' => 150,
                'until_core_c' => 50,
                'chores' => [['do' => 'turn', 'every_minutes' => 20, 'from_minutes' => 10]],
            ],
            ['cooker' => 'rest', 'cooker_c' => 20, 'minutes' => 10], ['cooker' => 'open-grate', 'cooker_c' => 450, 'minutes' => 4],
        ], 'rig' => ['kind' => 'spit', 'between_cm' => 52, 'bite_cm' => 6, 'room_cm' => 17, 'span_cm' => 78, 'bar_mm' => 9, 'section' => 'square', 'motor_nm' => 1.4, 'test_kg' => 0.4, 'test_arm_cm' => 14, 'heavy_deg' => 140]],
        ['serve_at' => $serve(), 'time_zone' => 'Europe/Oslo', 'name' => 'Supper', 'latitude' => 51.6, 'longitude' => -1.1, 'dark_at' => '19:30', 'wind_ms' => 2, 'rain' => false, 'altitude_m' => 100,
            'fires' => [['cooker' => 'kettle', 'fuel' => 'briquettes', 'layout' => 'two_sides', 'steady' => true, 'piles' => [['x_cm' => 0, 'y_cm' => 10, 'kg' => 0.5]]]], 'format' => 'diatherm.roast', 'version' => 2],
    );
    $id = fn (): string => (string) Str::uuid();
    $mix = [
        'format' => 'diatherm.mix',
        'version' => 1,
        'name' => 'Rub',
        'kind' => 'rub',
        'basis' => 'parts',
        'items' => [['what' => 'salt', 'amount' => 3, 'unit' => 'parts'], ['what' => 'pepper', 'amount' => 1, 'unit' => 'parts']],
        'method' => 'Mix.',
    ];
    $cooker = fn (): array => [
        'format' => 'diatherm.cooker',
        'version' => 1,
        'name' => 'K'.Str::random(6),
        'kind' => 'kettle',
        'facts' => ['diameter_cm' => 57],
        'observations' => [
            [
                'at' => '2031-05-05T10:00:00Z', 'settings' => ['intake_mm' => 6, 'exhaust_mm' => 6], 'air_c' => 14,
                'wind_ms' => 1, 'rain' => false, 'altitude_m' => 0, 'celsius' => 140, 'phase' => 'settled',
                'minutes' => 0,
            ],
        ],
    ];

    return [
        'preview' => ['POST', '/api/preview', $file, 500],
        'store a roast' => ['POST', '/api/roasts', $file, 300],
        'import a roast' => ['POST', '/api/roasts/import', $file, 150],
        'change a roast' => ['PATCH', '/api/roasts/{roast}/file', $file, 200],
        'debrief note' => ['PUT', '/api/roasts/{roast}/debrief', fn (): array => ['note' => 'Sooner.'], 80],
        'a reading' => [
            'POST',
            '/api/roasts/{roast}/readings',
            fn (): array => [
                'id' => $id(), 'dish' => 0, 'at' => now()->subMinutes(5)->toAtomString(), 'place' => 'core',
                'celsius' => 20, 'sure' => false,
            ],
            300,
        ],
        'a hand test' => [
            'POST',
            '/api/roasts/{roast}/readings',
            fn (): array => ['id' => $id(), 'dish' => 0, 'at' => now()->subMinutes(5)->toAtomString(), 'place' => 'cooker', 'hand_s' => 5],
            100,
        ],
        'an event' => [
            'POST',
            '/api/roasts/{roast}/events',
            fn (): array => [
                'id' => $id(), 'dish' => 0, 'at' => now()->subMinutes(5)->toAtomString(), 'kind' => 'tick',
                'entry' => 'd0.rig', 'minutes' => 2, 'note' => 'x', 'stage' => 1,
            ],
            300,
        ],
        'a setting' => [
            'POST',
            '/api/roasts/{roast}/events',
            fn (): array => [
                'id' => $id(), 'dish' => 0, 'at' => now()->subMinutes(5)->toAtomString(), 'kind' => 'set',
                'settings' => ['intake_mm' => 6, 'exhaust_mm' => 6], 'celsius' => 150,
            ],
            150,
        ],
        'another time' => [
            'PATCH', '/api/roasts/{roast}/events/{event}',
            fn (): array => ['at' => now()->subMinutes(50)->toAtomString()], 100,
        ],
        'a cooker' => ['POST', '/api/cookers', $cooker, 150],
        'change a cooker' => ['PUT', '/api/cookers/{cooker}', $cooker, 100],
        'ask a cooker' => [
            'POST',
            '/api/cookers/{cooker}/ask',
            fn (): array => [
                'target_c' => 150, 'settings' => ['intake_mm' => 6, 'exhaust_mm' => 6], 'air_c' => 10, 'wind_ms' => 1,
                'rain' => false, 'altitude_m' => 0,
            ],
            150,
        ],
        'teach a cooker' => ['POST', '/api/cookers/{cooker}/learn', fn (): array => ['roast' => 'x'], 60],
        'a cooker’s reading' => [
            'POST',
            '/api/cookers/{cooker}/observations',
            fn (): array => [
                'id' => $id(), 'at' => now()->subHour()->toAtomString(),
                'settings' => ['intake_mm' => 6, 'exhaust_mm' => 6], 'air_c' => 14, 'wind_ms' => 1, 'rain' => false,
                'altitude_m' => 0, 'celsius' => 140, 'phase' => 'settled', 'minutes' => 0,
            ],
            150,
        ],
        'a mix' => ['POST', '/api/mixes', fn (): array => $mix, 200],
        'a recipe' => [
            'POST',
            '/api/mixes',
            fn (): array => [
                '@type' => 'Recipe', 'name' => 'Rub', 'recipeYield' => '4',
                'recipeIngredient' => ['2 tbsp salt', '1 kg sugar'], 'recipeInstructions' => [['text' => 'Mix.']],
            ],
            150,
        ],
        'a whole kitchen' => [
            'POST', '/api/account/kitchen', fn (): array => FullKitchen::sample(), 40,
        ],
        'a password' => ['PUT', '/api/account/password', fn (): array => ['current' => 'x', 'password' => 'ember and straw'], 80],
        'a forgotten password' => ['POST', '/api/forgotten', fn (): array => ['email' => Str::random(8).'@weir.example'], 80],
        'a letter’s password' => ['POST', '/api/reset', fn (): array => ['token' => 'x', 'email' => Str::random(8).'@weir.example', 'password' => 'ember and straw'], 80],
        'a thermometer' => ['POST', '/api/devices', fn (): array => ['name' => 'T'.Str::random(5), 'roast' => null, 'probes' => [['channel' => 1, 'dish' => 0, 'place' => 'core']]], 120],
        'settings of a cook' => ['PATCH', '/api/me', fn (): array => ['temperature_unit' => 'c', 'mass_unit' => 'kg', 'clock_hours' => 24], 80],
        'register' => [
            'POST',
            '/api/register',
            fn (): array => ['name' => 'Ada', 'email' => Str::random(8).'@weir.example', 'password' => 'ember and straw'],
            150,
        ],
        'sign in' => ['POST', '/api/login', fn (): array => ['email' => 'nobody@weir.example', 'password' => 'ember and straw'], 100],
    ];
}

it('answers nonsense with a message at a field, never with a failure', function (string $method, string $path, Closure $sound, int $bodies) {
    config(['app.limits' => array_map(fn (): int => 1_000_000, config('app.limits')), 'mail.default' => 'array']);
    $roast = $this->roast();
    $this->log($roast, 'on', 60);
    $cooker = $this->postJson('/api/cookers', ['name' => 'Fuzzed', 'kind' => 'kettle'])->assertCreated()->json('id');
    $event = Roast::findOrFail($roast->id)->events()->firstOrFail()->client_id;
    // Seeded by the route as it is written: the ids in it differ from run to run.
    $fuzz = new Fuzz(crc32($path.$method) + (int) getenv('FUZZ'));
    $path = strtr($path, ['{roast}' => $roast->id, '{cooker}' => $cooker, '{event}' => $event]);
    $wrong = [];
    for ($i = 0; $i < $bodies; $i++) {
        $body = $fuzz->body($sound());
        $answer = $this->call(
            $method,
            $path,
            server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json', 'HTTP_IF_MATCH' => '*'],
            content: $body,
        );
        $status = $answer->status();
        $told = $status === 422 ? $answer->json('errors') : null;
        if ($status >= 500 || ! in_array($status, [200, 201, 204, 404, 409, 413, 422], true) || ($status === 422 && (! is_array($told) || $told === []))) {
            $wrong[] = "$status to ".mb_substr($body, 0, 400).' '.mb_substr((string) ($answer->exception?->getMessage() ?? ''), 0, 200);
        }
        if ($status < 300 && in_array($path, ['/api/roasts', '/api/roasts/import'], true) && ($i % 20 === 0)) {
            $cook = auth()->user();
            $cook?->roasts()->whereKeyNot($roast->id)->delete();
        }
    }
    expect(array_slice($wrong, 0, 5))->toBe([]);
    if (! in_array($path, ['/api/register', '/api/login'], true)) {
        $this->getJson('/api/roasts')->assertOk();
        $this->getJson('/api/mixes')->assertOk();
        $this->getJson('/api/cookers')->assertOk();
        $this->getJson("/api/roasts/$roast->id")->assertOk()->assertJsonMissing(['status' => 'broken']);
    }
})->with(routes());

it('answers nonsense in an address as not there', function (string $address) {
    $this->actingAs($this->cook());
    $status = $this->call('GET', $address, server: ['HTTP_ACCEPT' => 'application/json'])->status();
    expect($status)->toBeIn([200, 400, 404, 422]);
})->with(['/api/roasts/%00', '/api/roasts/'.str_repeat('a', 3000), '/api/roasts/%ff%fe', '/api/cookers/🔥', '/api/mixes?mass_kg=1e999', '/api/mixes?mass_kg[]=1', '/api/mixes?guests=1.5', '/api/mixes?litres=-1', '/api/roasts/1/readings/2', '/icon.svg%00.php', '/%00']);
