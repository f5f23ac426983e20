<?php

declare(strict_types=1);

use App\Models\Cooker;
use App\Models\CookerObservation;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\Support\Contract;

const KETTLE = ['name' => 'Weir kettle', 'kind' => 'kettle', 'facts' => ['diameter_cm' => 57]];

/** A reading of a kettle with both slots alike. */
function onKettle(float $mm, float $celsius, array $more = []): array
{
    return $more + [
        'id' => (string) Str::uuid(), 'settings' => ['intake_mm' => $mm, 'exhaust_mm' => $mm], 'air_c' => 15,
        'wind_ms' => 1, 'celsius' => $celsius,
    ];
}

it('adds a cooker from its kind and a handful of facts', function () {
    $this->actingAs($this->cook());
    $answer = $this->postJson('/api/cookers', KETTLE)->assertCreated();
    expect(Contract::breaches($answer->content(), 'OwnCooker'))->toBe([])
        ->and($answer->json('settled'))->toBe(0)
        ->and($answer->json('seen_c'))->toBeNull()
        ->and($answer->json('curve'))->not->toBeEmpty();
    $list = $this->getJson('/api/cookers')->assertOk();
    expect($list->json())->toHaveCount(1)->and(Contract::breachesInList((string) $list->getContent(), 'OwnCooker'))->toBe([]);
});

it('keeps every kind to its contract', function (string $kind) {
    $this->actingAs($this->cook());
    $answer = $this->postJson('/api/cookers', ['name' => 'One', 'kind' => $kind])->assertCreated();
    expect(Contract::breaches($answer->content(), 'OwnCooker'))->toBe([]);
})->with(['kettle', 'ceramic', 'gas', 'grill-rotisserie', 'pellet', 'griddle', 'lidded-roaster', 'countertop-rotisserie', 'oven', 'open-grate', 'open-spit', 'trench', 'camp-oven']);

it('learns from what is read on it, and forgets what is taken out', function () {
    $this->actingAs($this->cook());
    $id = $this->postJson('/api/cookers', KETTLE)->json('id');
    $ask = fn (): float => $this->postJson(
        "/api/cookers/$id/ask",
        ['settings' => ['intake_mm' => 6, 'exhaust_mm' => 6], 'air_c' => 15, 'wind_ms' => 1],
    )->assertOk()->json('for_settings.celsius.likely');
    $before = $ask();
    $reading = onKettle(6, $before - 25);
    $this->postJson("/api/cookers/$id/observations", $reading)->assertOk()->assertJsonPath('settled', 1);
    $this->postJson("/api/cookers/$id/observations", $reading)->assertOk()->assertJsonPath('settled', 1);
    expect($ask())->toBeLessThan($before - 8);
    $this->deleteJson("/api/cookers/$id/observations/{$reading['id']}")->assertOk()->assertJsonPath('settled', 0);
    expect($ask())->toEqualWithDelta($before, 0.1);
});

it('answers both ways, and says when it goes beyond what was seen', function () {
    $this->actingAs($this->cook());
    $id = $this->postJson('/api/cookers', KETTLE)->json('id');
    foreach ([[5, 110], [6, 128], [7, 150]] as [$mm, $celsius]) {
        $this->postJson("/api/cookers/$id/observations", onKettle($mm, $celsius));
    }
    $answer = $this->postJson("/api/cookers/$id/ask", ['target_c' => 135, 'air_c' => 15, 'wind_ms' => 1])->assertOk();
    expect(Contract::breaches($answer->content(), 'CookerAnswer'))->toBe([])
        ->and($answer->json('for_target.extrapolated'))->toBeFalse()
        ->and($answer->json('for_target.reached'))->toBeTrue();
    $back = $this->postJson("/api/cookers/$id/ask", ['settings' => $answer->json('for_target.settings'), 'air_c' => 15, 'wind_ms' => 1]);
    expect($back->json('for_settings.celsius.likely'))->toEqualWithDelta(135.0, 7.0);
    $this->postJson("/api/cookers/$id/ask", ['target_c' => 240])->assertJsonPath('for_target.extrapolated', true);
});

it('says at the field what cannot be asked or logged, and changes nothing', function (string $path, string $what, array $body) {
    $this->actingAs($this->cook());
    $id = $this->postJson('/api/cookers', KETTLE)->json('id');
    $answer = $this->postJson("/api/cookers/$id/$what", $body)->assertUnprocessable();
    expect($answer->json('errors'))->toHaveKey($path)
        ->and(Contract::breaches($answer->content(), 'Invalid'))->toBe([])
        ->and(CookerObservation::count())->toBe(0);
})->with([
    'nothing asked' => ['target_c', 'ask', []],
    'a heat it never has' => ['target_c', 'ask', ['target_c' => 900]],
    'text' => ['target_c', 'ask', ['target_c' => 'hot']],
    'a slot of a metre' => ['settings.intake_mm', 'ask', ['settings' => ['intake_mm' => 1000]]],
    'a storm' => ['wind_ms', 'ask', ['target_c' => 150, 'wind_ms' => 60]],
    'an unknown question' => ['colour', 'ask', ['target_c' => 150, 'colour' => 'red']],
    'no id' => ['id', 'observations', ['settings' => ['intake_mm' => 5, 'exhaust_mm' => 5], 'celsius' => 120]],
    'no temperature' => [
        'celsius',
        'observations',
        fn () => ['id' => (string) Str::uuid(), 'settings' => ['intake_mm' => 5, 'exhaust_mm' => 5]],
    ],
    'half set' => [
        'settings.exhaust_mm',
        'observations',
        fn () => ['id' => (string) Str::uuid(), 'settings' => ['intake_mm' => 5], 'celsius' => 120],
    ],
    'warming since never' => ['minutes', 'observations', fn () => onKettle(5, 80, ['phase' => 'warming'])],
    'a day that is none' => ['at', 'observations', fn () => onKettle(5, 120, ['at' => '2031-02-31T10:00:00Z'])],
]);

it('refuses a cooker at its fields, and stores nothing', function (string $path, array $body) {
    $this->actingAs($this->cook());
    $this->postJson('/api/cookers', $body + KETTLE)->assertUnprocessable()->assertJsonValidationErrors($path);
    expect(Cooker::count())->toBe(0);
})->with([
    ['name', ['name' => '']],
    ['name', ['name' => str_repeat('x', 90)]],
    ['kind', ['kind' => 'bonfire']],
    ['facts.diameter_cm', ['facts' => ['diameter_cm' => -57]]],
    ['facts.wheels', ['facts' => ['wheels' => 3]]],
]);

it('calls each cooker by a name of its own', function () {
    $this->actingAs($this->cook());
    $this->postJson('/api/cookers', KETTLE)->assertCreated();
    $this->postJson('/api/cookers', KETTLE)->assertUnprocessable()->assertJsonValidationErrors('name');
    $second = $this->postJson('/api/cookers', ['name' => 'Second'] + KETTLE)->assertCreated()->json('id');
    $this->withHeader('If-Match', '*')->putJson("/api/cookers/$second", KETTLE)->assertUnprocessable()->assertJsonValidationErrors('name');
    $this->withHeader('If-Match', '*')->putJson(
        "/api/cookers/$second",
        ['name' => 'Second', 'facts' => ['diameter_cm' => 47]] + KETTLE,
    )->assertOk()->assertJsonPath('facts.0.value', 47);
    $this->withHeader('If-Match', '*')->putJson(
        "/api/cookers/$second",
        ['name' => 'Second', 'kind' => 'gas', 'facts' => []],
    )->assertUnprocessable()->assertJsonValidationErrors('kind');
    // Another cook has names of their own.
    $this->actingAs($this->cook());
    $this->postJson('/api/cookers', KETTLE)->assertCreated();
});

it('carries a cooker out and in with its log', function () {
    $this->actingAs($this->cook());
    $id = $this->postJson('/api/cookers', KETTLE)->json('id');
    $this->postJson("/api/cookers/$id/observations", onKettle(6, 131.5, ['at' => '2031-06-01T17:00:00+00:00', 'rain' => true]));
    $this->postJson("/api/cookers/$id/observations", onKettle(20, 90, ['phase' => 'warming', 'minutes' => 7]));
    $file = $this->get("/api/cookers/$id/file")->assertOk()->content();
    expect(Contract::breaches($file, 'CookerFile'))->toBe([]);
    $schema = json_decode((string) file_get_contents(__DIR__.'/../../docs/cooker.schema.json'));
    expect((new Opis\JsonSchema\Validator)->validate(json_decode($file), $schema)->isValid())->toBeTrue();
    $this->deleteJson("/api/cookers/$id")->assertNoContent();
    expect(CookerObservation::count())->toBe(0);
    $again = $this->call(
        'POST',
        '/api/cookers',
        server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
        content: $file,
    )->assertCreated();
    expect($this->get('/api/cookers/'.$again->json('id').'/file')->content())->toBe($file);
});

it('refuses a cooker file whole that is malformed or too large', function (string $body) {
    $this->actingAs($this->cook());
    $this->call(
        'POST',
        '/api/cookers',
        server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
        content: $body,
    )->assertUnprocessable()->assertJsonValidationErrors('file');
    expect(Cooker::count())->toBe(0);
})->with(['cut short' => '{"name":', '700 kB' => fn () => '{"name":"'.str_repeat('a', 700_000).'"}']);

it('does not find another cook’s cooker', function () {
    $this->actingAs($this->cook());
    $id = $this->postJson('/api/cookers', KETTLE)->json('id');
    $this->actingAs($this->cook());
    expect($this->getJson('/api/cookers')->json())->toBe([]);
    foreach ([['GET', ''], ['GET', '/file'], ['PUT', ''], ['DELETE', ''], ['POST', '/ask'], ['POST', '/observations'], ['POST', '/learn']] as [$method, $path]) {
        $this->json($method, "/api/cookers/$id$path", KETTLE)->assertNotFound();
    }
    expect(Cooker::count())->toBe(1);
});

it('asks who is there', function () {
    $this->getJson('/api/cookers')->assertUnauthorized();
});

it('lists each as it stands, however often it was listed before', function () {
    $this->actingAs($this->cook());
    $id = $this->postJson('/api/cookers', KETTLE)->json('id');
    $this->postJson('/api/cookers', ['name' => 'Another', 'kind' => 'gas']);
    $same = function () use ($id): void {
        foreach ([1, 2] as $time) {
            $listed = array_column((array) $this->getJson('/api/cookers')->assertOk()->json(), null, 'id');
            expect($listed)->toHaveCount(2)->and($listed[$id])->toBe($this->getJson("/api/cookers/$id")->json());
        }
    };
    $same();
    $reading = onKettle(6, 120);
    $this->postJson("/api/cookers/$id/observations", $reading)->assertOk();
    $same();
    $this->withHeader('If-Match', '*')->putJson("/api/cookers/$id", ['name' => 'Renamed', 'facts' => ['diameter_cm' => 47]] + KETTLE)->assertOk();
    $same();
    $this->deleteJson("/api/cookers/$id/observations/{$reading['id']}")->assertOk();
    $same();
    // Listed again, its log is not even read.
    DB::enableQueryLog();
    $this->getJson('/api/cookers')->assertOk();
    expect(array_filter(array_column(DB::getQueryLog(), 'query'), fn (string $query): bool => str_contains($query, 'observations')))->toBe([]);
});
