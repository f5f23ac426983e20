<?php

declare(strict_types=1);

use App\Demo\DemoKitchen;
use App\Models\Event;
use App\Models\Reading;
use App\Models\Roast;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\Support\Contract;
use Tests\Support\Samples;

// Nothing is bricked: a roast is worked out before it is kept, and one that cannot be harms nothing else.

function breakIt(Roast $roast): void
{
    // As an upgrade might leave it: a cut that is no longer known.
    recut($roast, 'mammoth');
}

/** As an upgrade might leave it: what is stored says another cut, and what was worked out does not stand any more. */
function recut(Roast $roast, string $cut): void
{
    $kept = $roast->fresh();
    $inputs = $kept->inputs;
    $inputs['dishes'][0]['cut'] = $cut;
    $kept->inputs = $inputs;
    $kept->save();
    Cache::flush();
}

it('stores nothing that it cannot work out', function () {
    $this->actingAs($this->cook());
    $never = Samples::file(
        [
            'cut' => 'beef-brisket',
            'mass_kg' => 3.5,
            'taste' => 'tender',
            'stages' => [['cooker' => 'pellet', 'cooker_c' => 75, 'pull' => true]],
        ],
        ['serve_at' => now()->addDays(3)->toAtomString()],
    );
    $this->postJson('/api/roasts', $never)->assertUnprocessable()->assertJsonValidationErrors('dishes.0.stages.0.cooker_c');
    $this->postJson('/api/roasts/import', $never)->assertUnprocessable();
    expect(Roast::count())->toBe(0);
    $roast = $this->roast();
    $before = $this->getJson("/api/roasts/$roast->id")->json('file');
    $this->changeRoast($roast->id, $never)->assertUnprocessable();
    expect($this->getJson("/api/roasts/$roast->id")->json('file'))->toBe($before);
});

it('lists a whole kitchen, the sound ones worked out, whatever became of the others', function () {
    $cook = $this->cook();
    $this->actingAs($cook);
    Roast::factory()->for($cook)->count(6)->create();
    Roast::factory()->for($cook)->of('mammoth')->count(3)->create();
    Roast::factory()->for($cook)->create(['inputs' => ['dishes' => 'none']]);
    $list = $this->getJson('/api/roasts')->assertOk()->assertJsonCount(10);
    expect(array_count_values(array_column($list->json(), 'status')))->toEqual(['planned' => 6, 'broken' => 4]);
    foreach ($list->json() as $one) {
        $this->getJson("/api/roasts/{$one['id']}")->assertOk()->assertJsonPath('status', $one['status']);
        $this->deleteJson("/api/roasts/{$one['id']}")->assertNoContent();
    }
    expect($cook->roasts()->count())->toBe(0);
});

it('lists, opens, mends, exports and deletes a roast that can no longer be worked out', function () {
    $roast = $this->roast(roast: ['name' => 'Broken']);
    $this->log($roast, 'on', 40);
    $this->read($roast, 20.0, 10);
    $other = $this->postJson(
        '/api/roasts',
        Samples::file([], ['serve_at' => now()->addHours(4)->toAtomString(), 'name' => 'Sound']),
    )->json('id');
    breakIt($roast);
    $listed = $this->getJson('/api/roasts')->assertOk();
    $by = array_column($listed->json(), null, 'id');
    expect($by[$other]['status'])->toBe('planned')
        ->and($by[$roast->id]['status'])->toBe('broken')
        ->and(said($by[$roast->id]['trouble']))->toContain('mammoth')
        ->and($by[$roast->id]['logged'])->toHaveCount(2)
        ->and(Contract::breaches((string) $this->getJson("/api/roasts/$roast->id")->getContent(), 'BrokenRoast'))->toBe([]);
    $this->getJson("/api/roasts/$roast->id")->assertOk()->assertJsonPath('status', 'broken');
    $this->getJson("/api/roasts/$roast->id/file")->assertOk()->assertJsonPath('dishes.0.cut', 'mammoth');
    $this->get("/api/roasts/$roast->id/readings.csv")->assertOk();
    // What is logged meanwhile is kept.
    $this->read($roast, 24.0, 5)->assertOk()->assertJsonPath('status', 'broken');
    expect(Reading::count())->toBe(2);
    // On the fire it may be given a cut that is known, and no other dish; what was logged stays with it.
    $mended = Samples::file([], ['serve_at' => now()->addHours(4)->toAtomString()]);
    $this->changeRoast($roast->id,
        ['dishes' => [...$mended['dishes'], ...$mended['dishes']]] + $mended,
    )->assertUnprocessable()->assertJsonValidationErrors('dishes');
    $this->changeRoast($roast->id, $mended)->assertOk()->assertJsonPath('status', 'cooking')->assertJsonCount(2, 'readings');
    $this->changeRoast($roast->id,
        Samples::file(['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => 'done'], ['serve_at' => now()->addHours(4)->toAtomString()]),
    )->assertUnprocessable()->assertJsonValidationErrors('dishes');
    breakIt($roast);
    recut($roast, 'pork-rack');
    $this->getJson("/api/roasts/$roast->id")->assertJsonPath('status', 'cooking')->assertJsonCount(2, 'readings');
    breakIt($roast);
    $this->deleteJson("/api/roasts/$roast->id")->assertNoContent();
});

it('mends a broken roast that is not on the fire by putting another in its place', function () {
    $roast = $this->roast();
    breakIt($roast);
    $this->changeRoast($roast->id,
        Samples::file([], ['serve_at' => now()->addHours(4)->toAtomString()]),
    )->assertOk()->assertJsonPath('status', 'planned');
});

it('is not brought down by one mix or one cooker that can no longer be read', function () {
    $this->actingAs($this->cook());
    $this->postJson('/api/mixes', ['name' => 'Rub', 'items' => [['what' => 'salt', 'amount' => 1, 'unit' => 'g']]])->assertCreated();
    $this->postJson('/api/mixes', ['name' => 'Other', 'items' => [['what' => 'salt', 'amount' => 1, 'unit' => 'g']]])->assertCreated();
    DB::table('mixes')->where('name', 'Rub')->update(['mix' => '{"name":7}']);
    $this->getJson('/api/mixes')->assertOk()->assertJsonFragment(['name' => 'Other'])->assertJsonFragment(
        ['trouble' => ['id' => 'mixes.this_mix_can_no_longer', 'values' => []]],
    );
    $this->postJson(
        '/api/mixes',
        ['name' => 'Nothing', 'basis' => 'parts', 'items' => [['what' => 'salt', 'amount' => 0, 'unit' => 'parts']]],
    )->assertUnprocessable()->assertJsonValidationErrors('items');
    $this->postJson('/api/cookers', ['name' => 'One', 'kind' => 'kettle'])->assertCreated();
    $this->postJson('/api/cookers', ['name' => 'Two', 'kind' => 'kettle'])->assertCreated();
    DB::table('cookers')->where('name', 'One')->update(['kind' => 'bonfire']);
    $this->getJson('/api/cookers')->assertOk()->assertJsonFragment(['name' => 'Two']);
});

it('bears the log of a long night: two thousand readings of the cooker', function () {
    $roast = $this->roast(
        [
            'cut' => 'pork-shoulder',
            'mass_kg' => 3.5,
            'taste' => 'tender',
            'stages' => [['cooker' => 'pellet', 'cooker_c' => 110, 'pull' => true]],
        ],
        ['serve_at' => now()->addHours(20)->toAtomString()],
    );
    $this->log($roast, 'on', 16 * 60);
    $rows = [];
    for ($i = 0; $i < 2000; $i++) {
        $rows[] = now()->subSeconds(16 * 3600 - 28 * $i)->toAtomString().',cooker,'.(108 + $i % 7);
    }
    $csv = "time,place,celsius\n".implode("\n", $rows);
    $answer = $this->call(
        'POST',
        "/api/roasts/$roast->id/readings.csv",
        server: ['CONTENT_TYPE' => 'text/csv', 'HTTP_ACCEPT' => 'application/json'],
        content: $csv,
    )->assertOk()->assertJsonPath('status', 'cooking');
    // It is told as a probe's is, and kept whole.
    expect(count($answer->json('readings')))->toBeBetween(90, 200)->and($roast->readings()->count())->toBe(2000);
    $cookMinutes = $this->read($roast, 64.0, 1)->assertOk()->json('plan.dishes.0.live.core_now_c.likely');
    expect($cookMinutes)->toEqualWithDelta(64.0, 1.0);
});

it('says when a log or a kitchen is full, and keeps what is in it', function () {
    $roast = $this->roast();
    $this->log($roast, 'on', 30);
    $row = fn (int $i): array => [
        'roast_id' => $roast->id, 'client_id' => (string) Str::uuid(), 'dish' => 0, 'at' => now()->subMinutes(20),
        'place' => 'cooker', 'celsius' => 150.0,
    ];
    foreach (array_chunk(range(1, Roast::MOST_READINGS), 2000) as $chunk) {
        DB::table('readings')->insert(array_map($row, $chunk));
    }
    $roast->fresh()->logged();
    $this->read($roast, 20.0, 1)->assertUnprocessable()->assertJsonValidationErrors('id')->assertJsonPath(
        'message',
        fn (string $words): bool => str_contains($words, 'full'),
    );
    $this->getJson("/api/roasts/$roast->id")->assertOk();
    expect($roast->readings()->count())->toBe(Roast::MOST_READINGS);
});

it('limits what computes by cook, a visitor of the demo more strictly', function () {
    config(['app.demo' => true, 'app.limits.compute' => 6, 'app.limits.compute_in_demo' => 3]);
    $answered = function (): int {
        for ($i = 0; $i < 20; $i++) {
            if ($this->getJson('/api/cookers')->status() === 429) {
                return $i;
            }
        }

        return 20;
    };
    $this->actingAs($this->cook());
    expect($answered())->toBe(6);
    $this->actingAs($this->cook());
    expect($answered())->toBe(6);
    $this->actingAs(DemoKitchen::open());
    expect($answered())->toBe(3);
});

// Nothing is forgotten, and nothing is taken twice.

it('is a conflict to send other words under one id, for readings and events, and no conflict to send the same', function () {
    $roast = $this->roast();
    $this->log($roast, 'on', 30);
    $reading = [
        'id' => (string) Str::uuid(), 'dish' => 0, 'at' => now()->subMinutes(5)->toAtomString(), 'place' => 'core',
        'celsius' => 21.4,
    ];
    $this->postJson("/api/roasts/$roast->id/readings", $reading)->assertOk();
    $this->postJson("/api/roasts/$roast->id/readings", $reading)->assertOk();
    foreach ([['celsius' => 57], ['place' => 'breast'], ['sure' => true], ['at' => now()->subHours(2)->toAtomString()]] as $other) {
        $this->postJson("/api/roasts/$roast->id/readings", $other + $reading)->assertConflict();
    }
    $event = [
        'id' => (string) Str::uuid(), 'dish' => 0, 'at' => now()->subMinutes(5)->toAtomString(), 'kind' => 'set',
        'settings' => ['intake_mm' => 6, 'exhaust_mm' => 6.5], 'celsius' => 150,
    ];
    $this->postJson("/api/roasts/$roast->id/events", $event)->assertOk();
    $this->postJson("/api/roasts/$roast->id/events", $event)->assertOk();
    $this->postJson("/api/roasts/$roast->id/events", ['settings' => ['intake_mm' => 9, 'exhaust_mm' => 6.5]] + $event)->assertConflict();
    $this->postJson("/api/roasts/$roast->id/events", ['kind' => 'basted'] + $event)->assertConflict();
    expect(Reading::count())->toBe(1)->and(Event::count())->toBe(2);
});

it('makes one act of what two devices log at once', function (string $kind) {
    $roast = $this->roast();
    if ($kind !== 'on') {
        $this->log($roast, 'on', 60);
    }
    if ($kind === 'carved') {
        $this->log($roast, 'pulled', 30);
    }
    $before = Event::count();
    $this->log($roast, $kind, 6)->assertOk();
    $this->log($roast, $kind, 5)->assertOk();
    expect(Event::count())->toBe($before + 1);
    $this->log($roast, $kind, 25)->assertConflict()->assertJsonPath(
        'message',
        fn (string $words): bool => str_contains($words, 'logged already'),
    );
})->with(['on', 'pulled', 'carved']);

it('takes a clock that is some minutes fast for now', function () {
    $roast = $this->roast();
    $this->log($roast, 'on', 30);
    $this->read($roast, 20.0, -8)->assertOk();
    expect(Reading::first()->at <= now())->toBeTrue();
    $this->read($roast, 20.0, -40)->assertUnprocessable()->assertJsonValidationErrors('at');
});

it('moves a logged line to another time under its own id, in an order that can be', function () {
    $roast = $this->roast();
    $on = $this->log($roast, 'on', 60)->json('events.0.id');
    $reading = $this->read($roast, 24.0, 20)->json('readings.0.id');
    $this->patchJson(
        "/api/roasts/$roast->id/readings/$reading",
        ['at' => now()->subMinutes(35)->toAtomString()],
    )->assertOk()->assertJsonPath('readings.0.id', $reading)->assertJsonCount(1, 'readings');
    expect(abs(Reading::first()->at->diffInMinutes(now()) - 35.0))->toBeLessThan(0.1);
    $this->log($roast, 'pulled', 5)->assertOk();
    $this->patchJson(
        "/api/roasts/$roast->id/events/$on",
        ['at' => now()->subMinutes(2)->toAtomString()],
    )->assertUnprocessable()->assertJsonValidationErrors('at');
    $this->patchJson("/api/roasts/$roast->id/events/$on", ['at' => now()->subMinutes(75)->toAtomString()])->assertOk();
    $this->patchJson("/api/roasts/$roast->id/events/".Str::uuid(), ['at' => now()->subMinutes(75)->toAtomString()])->assertNotFound();
    $this->patchJson("/api/roasts/$roast->id/readings/$reading", ['at' => now()->addDay()->toAtomString()])->assertUnprocessable();
});

it('keeps an odd reading of the cooker, marked, out of the course until someone is sure', function () {
    $roast = $this->roast();
    $this->log($roast, 'on', 60);
    $plain = $this->getJson("/api/roasts/$roast->id")->json('plan.dishes.0.live.cook_minutes.likely');
    $odd = $this->read($roast, 57.0, 20, ['place' => 'cooker']);
    expect($odd->json('readings.0.counts'))->toBeFalse()->and(said($odd->json('readings.0.verdict')))->toContain('Was it the core?')
        ->and($odd->json('plan.dishes.0.live.cook_minutes.likely'))->toEqualWithDelta($plain, 1.5);
    $sure = $this->read($roast, 57.0, 19, ['place' => 'cooker', 'sure' => true]);
    expect($sure->json('readings.1.counts'))->toBeTrue()
        ->and($sure->json('plan.dishes.0.live.cook_minutes.likely'))->toBeGreaterThan($plain + 10.0);
});

it('takes a tick of any fire', function (string $entry) {
    $roast = $this->roast();
    $this->log($roast, 'tick', 1, ['entry' => $entry])->assertOk();
})->with(['fire.open-spit.lay', 'fire.camp-oven.refuel.0', 'fire.grill-rotisserie.light', 'fire.open-grate.close', 'd0.hold', 'd0.coals_over', 'kit.headlamp']);

it('takes no password that bcrypt would cut or choke on', function (string $password) {
    $this->postJson(
        '/api/register',
        ['name' => 'Ada', 'email' => 'ada.kept@weir.example', 'password' => $password],
    )->assertUnprocessable()->assertJsonValidationErrors('password');
    $this->postJson(
        '/api/login',
        ['email' => 'ada.kept@weir.example', 'password' => $password],
    )->assertUnprocessable()->assertJsonValidationErrors('email');
})->with([str_repeat('a', 73), str_repeat('🔥', 19), "ember\0and straw", str_repeat('é', 37)]);

it('takes a password of emoji that fits', function () {
    $this->postJson('/api/register', ['name' => 'Ada', 'email' => 'ada.fits@weir.example', 'password' => str_repeat('🔥🪵🍖', 6)])->assertOk();
});

it('makes one entry of a line that two hands tick, and another after it was taken back', function () {
    $roast = $this->roast();
    $first = $this->log($roast, 'tick', 3, ['dish' => null, 'entry' => 'd0.light'])->assertOk();
    $this->log($roast, 'tick', 1, ['dish' => null, 'entry' => 'd0.light'])->assertOk();
    expect(Event::count())->toBe(1)->and($first->json('log.events'))->not->toBe([]);
    $this->deleteJson("/api/roasts/$roast->id/events/".Event::firstOrFail()->client_id)->assertOk();
    $this->log($roast, 'tick', 0, ['dish' => null, 'entry' => 'd0.light'])->assertOk();
    expect(Event::count())->toBe(1);
});

it('reaches the oldest of many roasts page by page, each once', function () {
    $cook = $this->cook();
    $this->actingAs($cook);
    // Several at one hour, so that a page may end between two of them.
    foreach (range(0, 12) as $day) {
        Roast::factory()->for($cook)->count(5)->of('mammoth')->create(['serve_at' => now()->subDays($day)]);
    }
    $seen = array_column($this->getJson('/api/roasts')->assertOk()->json(), 'id');
    expect($seen)->toHaveCount(60);
    $rest = array_column($this->getJson('/api/roasts?before='.end($seen))->assertOk()->json(), 'id');
    expect($rest)->toHaveCount(5)->and(array_unique([...$seen, ...$rest]))->toHaveCount(65);
    $this->getJson('/api/roasts?before='.end($rest))->assertOk()->assertJsonCount(0);
    $this->actingAs($this->cook());
    $this->getJson('/api/roasts?before='.$rest[0])->assertNotFound();
});
