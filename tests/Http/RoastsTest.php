<?php

declare(strict_types=1);

use App\Models\Roast;
use Tests\Support\Contract;
use Tests\Support\Samples;

function soon(array $dish = [], array $roast = []): array
{
    return Samples::file($dish, $roast + ['serve_at' => now()->addHours(5)->toAtomString()]);
}

it('plans while the cook types, and stores nothing', function () {
    $this->actingAs($this->cook());
    $answer = $this->postJson('/api/preview', soon())->assertOk();
    expect(Contract::breaches($answer->content(), 'Plan'))->toBe([])
        ->and($answer->json('dishes.0.pictures.section.celsius'))->not->toBeEmpty()
        ->and(Roast::count())->toBe(0);
});

it('stores a roast and gives it back as it was', function () {
    $roast = $this->roast(['name' => 'Rack', 'thickness_cm' => 10.2]);
    $answer = $this->getJson("/api/roasts/{$roast->id}")->assertOk();
    expect(Contract::breaches($answer->content(), 'Roast'))->toBe([])
        ->and($answer->json('status'))->toBe('planned')
        ->and($answer->json('file.dishes.0.thickness_cm'))->toBe(10.2)
        ->and($answer->json('file.dishes.0.taste'))->toBe('juicy');
});

it('keeps the offset of the table', function () {
    $roast = $this->roast([], ['serve_at' => now()->addHours(6)->setTimezone('+05:30')->toAtomString()]);
    expect($this->getJson("/api/roasts/{$roast->id}")->json('file.serve_at'))->toEndWith('+05:30');
});

it('changes a roast whole or not at all', function () {
    $roast = $this->roast();
    $this->changeRoast($roast->id, soon(['mass_kg' => 2.5]))->assertOk()->assertJsonPath('file.dishes.0.mass_kg', 2.5);
    $this->changeRoast($roast->id,
        soon(['mass_kg' => -2], ['people' => 40]),
    )->assertUnprocessable()->assertJsonValidationErrors('dishes.0.mass_kg');
    $this->getJson("/api/roasts/{$roast->id}")->assertJsonPath('file.dishes.0.mass_kg', 2.5)->assertJsonPath('file.people', 9);
});

it('keeps the dishes of a roast that is on the fire', function () {
    $roast = $this->roast();
    $this->log($roast, 'on', 10)->assertOk();
    $this->changeRoast($roast->id,
        soon(['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => 'done']),
    )->assertJsonValidationErrors('dishes');
    $this->changeRoast($roast->id, soon(['taste' => 'firm']))->assertOk()->assertJsonPath('file.dishes.0.taste', 'firm');
});

it('deletes a roast with its log', function () {
    $roast = $this->roast();
    $this->log($roast, 'on', 10);
    $this->deleteJson("/api/roasts/{$roast->id}")->assertNoContent();
    expect(Roast::count())->toBe(0)->and(App\Models\Event::count())->toBe(0);
});

it('lists the cook’s own roasts, and no other’s', function () {
    $this->roast();
    $this->roast(['name' => 'Mine']);
    $answer = $this->getJson('/api/roasts')->assertOk();
    expect($answer->json())->toHaveCount(1)->and($answer->json('0.file.dishes.0.name'))->toBe('Mine')
        ->and(Contract::breachesInList((string) $answer->getContent(), 'RoastSummary'))->toBe([]);
});

it('does not find another cook’s roast, whatever is asked of it', function (string $method, string $path) {
    $roast = $this->roast();
    $id = $this->read($roast, 20.0, 0)->json('readings.0.id');
    $this->actingAs($this->cook());
    $body = str_ends_with($path, 'readings') ? [
        'id' => fake_uuid(), 'dish' => 0, 'at' => now()->toAtomString(), 'place' => 'core', 'celsius' => 30,
    ]
        : (str_ends_with($path, 'events') ? ['id' => fake_uuid(), 'dish' => 0, 'at' => now()->toAtomString(), 'kind' => 'on'] : soon());
    $this->json($method, str_replace(['{roast}', '{id}'], [$roast->id, $id], $path), $body)->assertNotFound();
    expect(Roast::count())->toBe(1)->and(App\Models\Reading::count())->toBe(1)->and(App\Models\Event::count())->toBe(0);
})->with(fn () => array_values(array_map(fn (string $operation): array => explode(' ', $operation), array_filter(Contract::operations(), fn (string $operation): bool => str_contains($operation, '{roast}')))));

function fake_uuid(): string
{
    return (string) Illuminate\Support\Str::uuid();
}

it('asks everyone else to sign in', function (string $operation) {
    [$method, $path] = explode(' ', $operation);
    $this->json($method, str_replace(['{roast}', '{id}', '{place}'], ['01ARZ3NDEKTSV4RRFFQ69G5FAV', fake_uuid(), str_repeat('0a', 12)], $path))->assertUnauthorized();
})->with(fn () => array_values(array_filter(
    array_diff(Contract::operations(), ['GET /api/me', 'POST /api/login', 'POST /api/register', 'POST /api/demo', 'POST /api/forgotten', 'POST /api/reset']),
    // A second pair of hands has a link, and nothing to sign in to.
    fn (string $operation): bool => ! str_contains($operation, '{key}'),
)));

it('routes exactly what the contract names', function () {
    $routes = [];
    foreach (Illuminate\Support\Facades\Route::getRoutes() as $route) {
        foreach (array_diff($route->methods(), ['HEAD', 'OPTIONS']) as $method) {
            if (str_starts_with($route->uri(), 'api/') && $route->uri() !== 'api/{any}') {
                $routes[] = "$method /{$route->uri()}";
            }
        }
    }
    sort($routes);
    expect($routes)->toBe(Contract::operations());
});

it('answers every kind of nonsense at its field', function (string $path, array $dish, array $roast = []) {
    $this->actingAs($this->cook());
    foreach (['/api/preview', '/api/roasts'] as $address) {
        $answer = $this->postJson($address, soon($dish, $roast))->assertUnprocessable();
        expect($answer->json('errors'))->toHaveKey($path)->and(Contract::breaches($answer->content(), 'Invalid'))->toBe([]);
    }
    expect(Roast::count())->toBe(0);
})->with([
    'negative' => ['dishes.0.mass_kg', ['mass_kg' => -1]],
    'text' => ['dishes.0.mass_kg', ['mass_kg' => 'NaN']],
    'list' => ['dishes.0.mass_kg', ['mass_kg' => [1]]],
    'huge' => ['dishes.0.start_c', ['start_c' => 1e9]],
    'missing' => ['dishes.0.cut', ['cut' => null]],
    'too long' => ['name', [], ['name' => str_repeat('ü', 81)]],
    'wrong unit' => ['dishes.0.target_c', ['taste' => null, 'target_c' => 145]],
    'past hour' => ['serve_at', [], ['serve_at' => '2020-01-01T12:00:00Z']],
    'hour of no calendar' => ['serve_at', [], ['serve_at' => '2031-13-01T12:00:00Z']],
    'hour far off' => ['serve_at', [], ['serve_at' => '2099-01-01T12:00:00Z']],
    'too many' => ['people', [], ['people' => 501]],
    'unknown key' => ['surprise', [], ['surprise' => true]],
    'a place half given' => ['longitude', [], ['latitude' => 51.0]],
    'an hour of no day' => ['dark_at', [], ['dark_at' => '26:10']],
    'a preparation that does not suit' => ['dishes.0.preparations.0', ['preparations' => ['stuff']]],
    'a rig that is text' => ['dishes.0.rig', ['rig' => 'spit']],
    'a spit of no room' => ['dishes.0.rig.room_cm', ['rig' => ['kind' => 'spit', 'room_cm' => -4]]],
    'a pot like a bath' => ['dishes.0.rig.pot_cm', ['rig' => ['kind' => 'pot', 'pot_cm' => 150]]],
    'a frame that lies down' => ['dishes.0.rig.lean_deg', ['rig' => ['kind' => 'frame', 'lean_deg' => 90]]],
]);

it('imports what it exports, without loss', function () {
    $roast = $this->roast(
        [
            'girth_cm' => 40.5,
            'preparations' => ['dry_brine', 'truss'],
            'rig' => ['kind' => 'frame', 'frame_cm' => 190, 'length_cm' => 40, 'width_cm' => 20, 'depth_cm' => 12],
            'stages' => [
                [
                    'cooker' => 'pellet',
                    'cooker_c' => 110,
                    'until_core_c' => 45,
                    'chores' => [['do' => 'spray', 'every_minutes' => 30, 'from_minutes' => 60]],
                ],
                ['cooker' => 'open-grate', 'cooker_c' => 450, 'minutes' => 6],
            ],
        ],
        ['name' => 'Über den Fluß', 'latitude' => 51.6, 'longitude' => -1.1, 'dark_at' => '19:40'],
    );
    $file = $this->get("/api/roasts/{$roast->id}/file")->assertOk()->assertHeader('Content-Type', 'application/json')->content();
    $again = $this->call(
        'POST',
        '/api/roasts/import',
        server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
        content: $file,
    )->assertCreated();
    expect($this->get('/api/roasts/'.$again->json('id').'/file')->content())->toBe($file)
        ->and(Contract::breaches($file, 'RoastFile'))->toBe([]);
});

it('takes a record of the past by import', function () {
    $this->actingAs($this->cook());
    $this->postJson('/api/roasts/import', Samples::file([], ['serve_at' => '2020-01-01T12:00:00Z']))->assertCreated();
});

it('refuses an import that is malformed or too large, whole', function (string $body) {
    $this->actingAs($this->cook());
    $this->call(
        'POST',
        '/api/roasts/import',
        server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
        content: $body,
    )->assertUnprocessable()->assertJsonValidationErrors('file');
    expect(Roast::count())->toBe(0);
})->with(['cut short' => '{"serve_at":', 'no JSON' => 'serve at six', '700 kB' => fn () => '{"name":"'.str_repeat('a', 700_000).'"}', 'empty' => '']);

it('lists a roast that is over as it was planned, with what became of it', function () {
    $roast = $this->roast();
    $this->log($roast, 'on', 150);
    $planned = $this->getJson('/api/roasts')->json('0.plan.dishes.0.cook_minutes');
    $this->log($roast, 'pulled', 40);
    $this->log($roast, 'carved', 10);
    $list = $this->getJson('/api/roasts')->assertOk();
    expect(Contract::breachesInList((string) $list->getContent(), 'RoastSummary'))->toBe([])
        ->and($list->json('0.status'))->toBe('done')
        ->and($list->json('0.plan.dishes.0.status'))->toBe('carved')
        ->and($list->json('0.plan.dishes.0.cook_minutes.likely'))->toEqualWithDelta($planned['likely'], 0.2)
        ->and($list->json('0.plan.dishes.0.carved_at'))->not->toBeNull()
        ->and($list->json('0.plan.dishes.0.trail.planned'))->toHaveCount(24)
        ->and($list->json('0.plan.dishes.0.trail.read'))->toBe([])
        ->and($list->json('0.plan'))->not->toHaveKey('curves');
});

it('stores a wrap, an end by the fork and seconds of the hand, and gives them back', function () {
    $dish = ['cut' => 'pork-shoulder', 'mass_kg' => 3, 'taste' => 'tender', 'stages' => [
        ['cooker' => 'open-grate', 'hand_s' => 6, 'minutes' => 10], ['cooker' => 'pellet', 'cooker_c' => 120, 'until_core_c' => 68], [
            'cooker' => 'pellet', 'cooker_c' => 120, 'wrap' => 'paper', 'until_tender' => true,
        ],
    ]];
    $this->actingAs($this->cook());
    $file = soon($dish, ['serve_at' => now()->addDays(2)->toAtomString()]);
    $id = $this->postJson('/api/roasts', $file)->assertCreated()->json('id');
    $answer = $this->getJson("/api/roasts/$id")->assertOk();
    expect(Contract::breaches($answer->content(), 'Roast'))->toBe([])
        ->and($answer->json('file.dishes.0.stages.0.hand_s'))->toBe(6)
        ->and($answer->json('file.dishes.0.stages.0'))->not->toHaveKey('cooker_c')
        ->and($answer->json('file.dishes.0.stages.2.wrap'))->toBe('paper')
        ->and($answer->json('file.dishes.0.stages.2.until_tender'))->toBeTrue()
        ->and($answer->json('plan.dishes.0.stages.0.hand_s'))->toBe(6)
        ->and($answer->json('plan.dishes.0.stages.1.hand_s'))->toBeNull()
        ->and($answer->json('plan.dishes.0.tender_share'))->toBeGreaterThan(0.9);
    // As it is sent back, it is the same roast.
    $this->changeRoast($id, $answer->json('file'))->assertOk();
    expect($this->getJson("/api/roasts/$id")->json('file'))->toBe($answer->json('file'));
});

it('says at its field what a step cannot be, and keeps what was there', function (array $stage, string $field, string $words) {
    $roast = $this->roast();
    $this->changeRoast($roast->id,
        soon(['stages' => [$stage]]),
    )->assertUnprocessable()->assertJsonValidationErrors(["dishes.0.stages.0.$field" => $words]);
    $this->getJson("/api/roasts/{$roast->id}")->assertJsonPath('file.dishes.0.stages.0.cooker', 'kettle');
})->with([
    'a dial by the hand' => [['cooker' => 'kettle', 'hand_s' => 5, 'pull' => true], 'hand_s', 'not seconds of the hand'],
    'a hand in the fire' => [['cooker' => 'open-spit', 'hand_s' => 0.2, 'pull' => true], 'hand_s', 'must be'],
    'both' => [['cooker' => 'open-spit', 'hand_s' => 5, 'cooker_c' => 360, 'pull' => true], 'hand_s', 'not both'],
    'leaves' => [['cooker' => 'kettle', 'wrap' => 'leaves', 'pull' => true], 'wrap', 'foil or paper'],
    'a rack till it pulls apart' => [['cooker' => 'kettle', 'until_tender' => true], 'until_tender', 'does not take hours'],
]);

it('speaks of an open fire in seconds, with the marks of its course', function () {
    $this->actingAs($this->cook());
    $spit = $this->postJson(
        '/api/preview',
        soon(
            [
                'cut' => 'lamb-leg',
                'mass_kg' => 2.5,
                'taste' => 'medium',
                'stages' => [['cooker' => 'open-spit', 'hand_s' => 5, 'pull' => true]],
            ],
            ['serve_at' => now()->addDays(2)->toAtomString()],
        ),
    )->assertOk();
    $kettle = $this->postJson('/api/preview', soon())->assertOk();
    expect(Contract::breaches($spit->content(), 'Plan'))->toBe([])
        ->and($spit->json('fires.0.steps.0.hand_s.target'))->toBe(5)
        ->and(
            $spit->json('fires.0.steps.0.hand_s.least'),
        )->toBeLessThan(5)->and($spit->json('fires.0.steps.0.hand_s.most'))->toBeGreaterThan(5)
        ->and(array_column($spit->json('fires.0.hand_ticks'), 'seconds'))->toBe([2, 3, 4, 6, 9, 16, 40])
        ->and($kettle->json('fires.0.steps.0.hand_s'))->toBeNull()->and($kettle->json('fires.0.hand_ticks'))->toBe([]);
});
