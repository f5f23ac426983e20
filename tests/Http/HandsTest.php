<?php

declare(strict_types=1);

use App\Models\Roast;
use App\Models\User;
use Diatherm\Cooking\Cook;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Str;
use Tests\Support\Contract;

// A link for a second pair of hands: it shows one roast's tasks and ticks them, and does nothing else.

/** @return array{string, Roast} the key, with nobody signed in any more */
function givenAway(Tests\Support\HttpTest $test, array $dish = []): array
{
    $roast = $test->roast($dish);
    $path = $test->postJson("/api/roasts/$roast->id/hands")->assertOk()->json('path');
    expect($test->getJson("/api/roasts/$roast->id")->json('helped'))->toBeTrue();
    Auth::forgetGuards();

    return [(string) str_replace('/hands/', '', $path), $roast];
}

it('shows one roast’s tasks to who has the link, and ticks them as the cook would', function () {
    [$key, $roast] = givenAway($this);
    $seen = $this->getJson("/api/hands/$key")->assertOk();
    expect(Contract::breaches((string) $seen->content(), 'Hands'))->toBe([])
        ->and(array_keys($seen->json()))->toBe(['name', 'status', 'now', 'serve_at', 'time_zone', 'units', 'run_sheet']);
    $tick = fn (string $entry, ?string $id = null) => $this->postJson("/api/hands/$key/ticks", ['id' => $id ?? (string) Str::uuid(), 'entry' => $entry, 'at' => now()->toAtomString()]);
    $id = (string) Str::uuid();
    $tick('d0.light')->assertOk();
    $tick('d0.on', $id)->assertOk()->assertJsonPath('status', 'cooking');
    $tick('d0.on', $id)->assertOk();
    expect($roast->events()->pluck('kind')->map(fn ($kind) => $kind->value)->all())->toBe(['tick', 'on'])
        ->and($roast->refresh()->lighting)->not->toBeNull();
    // Nobody read it: there is no line yet that takes it off, and the one that asks for a reading is the cook's.
    $tick('d0.pull')->assertUnprocessable();
    $tick('d0.read.0')->assertUnprocessable();
    $this->actingAs($roast->user);
    $this->postJson("/api/roasts/$roast->id/readings", [
        'id' => (string) Str::uuid(), 'dish' => 0, 'place' => 'core', 'celsius' => 75, 'at' => now()->toAtomString(), 'sure' => true,
    ])->assertSuccessful();
    Auth::forgetGuards();
    $tick('d0.pull')->assertOk()->assertJsonPath('status', 'resting');
    $this->deleteJson("/api/hands/$key/ticks/$id")->assertOk();
    expect($roast->events()->where('kind', 'on')->count())->toBe(0);
});

it('does nothing else', function () {
    [$key, $roast] = givenAway($this);
    $tick = fn (array $more) => $this->postJson("/api/hands/$key/ticks", $more + ['id' => (string) Str::uuid(), 'entry' => 'd0.on', 'at' => now()->toAtomString()]);
    $tick(['entry' => 'd0.pull'])->assertUnprocessable();
    $tick(['entry' => 'd9.on'])->assertUnprocessable()->assertJsonValidationErrors('entry');
    $tick(['entry' => 'serve'])->assertUnprocessable();
    $tick(['at' => now()->addHour()->toAtomString()])->assertUnprocessable();
    foreach (["/api/roasts/$roast->id", '/api/roasts', '/api/cookers', '/api/reference'] as $path) {
        $this->getJson($path)->assertUnauthorized();
    }
    // What the cook noted is no tick.
    $this->actingAs($roast->user);
    $note = (string) Str::uuid();
    $this->log($roast, 'note', 0, ['id' => $note, 'dish' => null, 'note' => 'Wind'])->assertOk();
    Auth::forgetGuards();
    $this->deleteJson("/api/hands/$key/ticks/$note")->assertOk();
    expect($roast->events()->count())->toBe(1);
});

it('undoes what hands ticked, and nothing that the cook did', function () {
    [$key, $roast] = givenAway($this);
    $theirs = (string) Str::uuid();
    $this->postJson("/api/hands/$key/ticks", ['id' => $theirs, 'entry' => 'd0.light', 'at' => now()->toAtomString()])->assertOk();
    $this->actingAs($roast->user);
    $cooks = (string) Str::uuid();
    $this->log($roast, 'on', 0, ['id' => $cooks, 'entry' => 'd0.on'])->assertOk();
    Auth::forgetGuards();
    $this->deleteJson("/api/hands/$key/ticks/$cooks")->assertOk()->assertJsonPath('status', 'cooking');
    $this->deleteJson("/api/hands/$key/ticks/$theirs")->assertOk();
    expect($roast->events()->pluck('client_id')->all())->toBe([$cooks]);
});

it('works nothing out for who only looks', function () {
    [$key, $roast] = givenAway($this);
    $this->getJson("/api/hands/$key")->assertOk();
    $cooked = Cook::$begun;
    array_map(fn () => $this->getJson("/api/hands/$key")->assertOk(), range(1, 5));
    expect(Cook::$begun)->toBe($cooked);
});

it('closes with a new link, when the cook says so, and with the roast', function () {
    [$old, $roast] = givenAway($this);
    $this->actingAs($roast->user);
    $new = str_replace('/hands/', '', (string) $this->postJson("/api/roasts/$roast->id/hands")->json('path'));
    $this->getJson("/api/hands/$old")->assertNotFound();
    $this->getJson("/api/hands/$new")->assertOk();
    $this->getJson('/api/hands/'.str_repeat('a', 40))->assertNotFound();
    $this->deleteJson("/api/roasts/$roast->id/hands")->assertNoContent();
    $this->getJson("/api/hands/$new")->assertNotFound();
    $this->actingAs(User::factory()->create());
    $this->postJson("/api/roasts/$roast->id/hands")->assertNotFound();
    expect(Roast::findOrFail($roast->id)->hands_key)->toBeNull();
});
