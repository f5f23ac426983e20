<?php

declare(strict_types=1);

use App\Models\Reading;
use App\Models\User;
use App\Work\Allowance;
use App\Work\Busy;
use App\Work\Turn;
use Tests\Support\Samples;

// Work is bounded, not requests: one computation at a time for each kitchen, some at once on this machine, and so much processor time.

/** @return array<string, mixed> a roast for this evening */
function thisEvening(array $dish = []): array
{
    return Samples::file($dish, ['serve_at' => now()->addHours(5)->toAtomString()]);
}

/** While something else is worked out for this kitchen. */
function whileBusy(User $cook, Closure $asked): mixed
{
    return Turn::take($cook, '127.0.0.1', 0.0, function () use ($cook, $asked): mixed {
        // Another worker's turn is not this one's.
        (new ReflectionProperty(Turn::class, 'isTaken'))->setValue(null, false);

        return $asked($cook);
    });
}

it('answers 429 with words and a time where something else is worked out for the same kitchen', function (string $method, string $path) {
    $roast = $this->roast();
    $cook = $roast->user;
    $answer = whileBusy($cook, fn () => $this->json($method, str_replace('{roast}', $roast->id, $path), $path === '/api/roasts/{roast}/ways' ? ['turn' => 'behind'] : thisEvening()));
    $answer->assertStatus(429)->assertHeader('Retry-After', '1');
    expect($answer->json('message'))->toContain('being worked out');
    // And at once again when that is done.
    expect($this->postJson('/api/preview', thisEvening())->status())->not->toBe(429);
})->with([['POST', '/api/preview'], ['POST', '/api/roasts'], ['PATCH', '/api/roasts/{roast}/file'], ['POST', '/api/roasts/{roast}/ways']]);

it('lets another kitchen go on meanwhile', function () {
    $other = $this->cook();
    whileBusy($other, function (): void {
        $this->actingAs($this->cook())->postJson('/api/preview', thisEvening())->assertOk();
    });
});

it('logs a reading all the same, and shows what it said last until there is more', function () {
    $roast = $this->roast();
    $this->log($roast, 'on', 40)->assertOk();
    $before = $this->getJson("/api/roasts/$roast->id")->assertOk();
    expect($before->headers->has('Retry-After'))->toBeFalse();
    whileBusy($roast->user, function () use ($roast, $before): void {
        $this->read($roast, 22.0, 1)->assertOk()->assertHeader('Retry-After', '1');
        $poll = $this->getJson("/api/roasts/$roast->id")->assertOk()->assertHeader('Retry-After', '1');
        expect($poll->json('readings'))->toBe([])->and($poll->json('plan'))->toBe($before->json('plan'))
            // What is stale is not known by a tag: it is asked for again.
            ->and($poll->headers->has('ETag'))->toBeFalse();
    });
    expect(Reading::all())->toHaveCount(1)
        ->and($this->getJson("/api/roasts/$roast->id")->json('readings.0.celsius'))->toBe(22);
});

it('makes every change of a log, a note or a way though its answer cannot be worked out yet', function (Closure $change, Closure $isMade) {
    $this->freezeTime();
    $roast = $this->roast();
    $this->log($roast, 'on', 40)->assertOk();
    $reading = $this->read($roast, 22.0, 1)->assertOk()->json('readings.0.id');
    $this->travel(30)->seconds();
    whileBusy($roast->user, function () use ($change, $roast, $reading): void {
        $change->call($this, $roast, $reading)->assertOk()->assertHeader('Retry-After', '1')->assertHeader('Age', '31');
    });
    expect($isMade($this->getJson("/api/roasts/$roast->id")->assertOk()))->toBeTrue();
})->with([
    'a line undone' => [
        fn ($roast, $reading) => $this->deleteJson("/api/roasts/$roast->id/readings/$reading"),
        fn ($after) => $after->json('readings') === [],
    ],
    'a line at another time' => [
        fn ($roast, $reading) => $this->patchJson("/api/roasts/$roast->id/readings/$reading", ['at' => now()->subMinutes(5)->toAtomString()]),
        fn ($after) => now()->subMinutes(5)->subSecond()->lessThan($after->json('readings.0.at')) && now()->subMinutes(4)->greaterThan($after->json('readings.0.at')),
    ],
    'a note' => [
        fn ($roast) => $this->withHeader('If-Match', '*')->putJson("/api/roasts/$roast->id/debrief", ['note' => 'Less salt.']),
        fn ($after) => $after->json('note') === 'Less salt.',
    ],
]);

it('takes no more at once than the machine is told to', function () {
    config(['app.work.at_once' => 1]);
    whileBusy($this->cook(), function (): void {
        $this->actingAs($this->cook())->postJson('/api/preview', thisEvening())->assertStatus(429);
    });
    config(['app.work.at_once' => 2]);
    whileBusy($this->cook(), function (): void {
        $this->actingAs($this->cook())->postJson('/api/preview', thisEvening())->assertOk();
    });
});

it('gives its turn back whatever comes of it', function () {
    $cook = $this->cook();
    expect(fn () => Turn::take($cook, '', 0.0, fn () => throw new LogicException('broken')))->toThrow(LogicException::class);
    $this->actingAs($cook)->postJson('/api/preview', ['dishes' => 'nonsense'])->assertUnprocessable();
    $this->postJson('/api/preview', thisEvening())->assertOk();
});

it('spends the processor time of each kitchen, and lets it go on once enough has come back', function () {
    $this->freezeTime();
    config(['app.work.cook' => ['most_s' => 10.0, 'per_s' => 0.5]]);
    [$one, $other] = [$this->cook(), $this->cook()];
    Allowance::of($one, '')->spend(25.0);
    $busy = $this->actingAs($one)->postJson('/api/preview', thisEvening())->assertStatus(429)->assertHeader('Retry-After', '30');
    expect($busy->json('message'))->toContain('30 seconds');
    $this->actingAs($other)->postJson('/api/preview', thisEvening())->assertOk();
    $this->travel(29)->seconds();
    $this->actingAs($one)->postJson('/api/preview', thisEvening())->assertStatus(429);
    $this->travel(2)->seconds();
    $this->postJson('/api/preview', thisEvening())->assertOk();
});

it('counts what is really used, and has the kitchens of the demo share by address', function () {
    config(['app.work.demo' => ['most_s' => 0.02, 'per_s' => 0.001]]);
    $this->withServerVariables(['REMOTE_ADDR' => '127.0.0.9']);
    $demo = fn (): User => User::factory()->create(['demo_until' => now()->addDay()]);
    $this->actingAs($demo())->postJson('/api/preview', thisEvening())->assertOk();
    // Another kitchen, the same visitor.
    $this->actingAs($demo())->postJson('/api/preview', thisEvening(['mass_kg' => 2.9]))->assertStatus(429);
    expect(fn () => Allowance::of($demo(), '127.0.0.9')->insist())->toThrow(Busy::class)
        ->and(fn () => Allowance::of($demo(), '127.0.0.2')->insist())->not->toThrow(Busy::class);
});
