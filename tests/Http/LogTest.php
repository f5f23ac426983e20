<?php

declare(strict_types=1);

use App\Models\Event;
use App\Models\Reading;
use Illuminate\Support\Str;
use Tests\Support\Contract;

it('takes back what rested on it where a dish was put on by mistake, and has it again when that is put back', function () {
    $roast = $this->roast();
    $on = (string) Str::uuid();
    $this->log($roast, 'on', 90, ['id' => $on])->assertOk();
    $this->log($roast, 'pulled', 10)->assertOk();
    $this->log($roast, 'carved', 2)->assertOk()->assertJsonPath('status', 'done');
    $undone = $this->deleteJson("/api/roasts/$roast->id/events/$on")->assertOk()->assertJsonPath('status', 'planned');
    expect($undone->json('plan.dishes.0.status'))->toBe('waiting')
        ->and($this->getJson('/api/roasts')->json('0.status'))->toBe('planned');
    $this->log($roast, 'on', 90, ['id' => $on])->assertOk()->assertJsonPath('status', 'done');
});

it('moves the forecast with the readings', function () {
    $roast = $this->roast([], ['serve_at' => now()->addHours(3)->toAtomString()]);
    $this->log($roast, 'on', 60)->assertOk();
    $before = $this->getJson("/api/roasts/{$roast->id}");
    $after = $this->read($roast, 19.0, 1);
    expect($after->json('status'))->toBe('cooking')
        ->and(strtotime($after->json('plan.dishes.0.live.pull_at.likely')))->toBeGreaterThan(
            strtotime($before->json('plan.dishes.0.live.pull_at.likely')) + 300,
        )
        ->and($after->json('plan.dishes.0.live.counted'))->toBe(1)
        ->and(Contract::breaches($after->content(), 'Roast'))->toBe([]);
    $undone = $this->deleteJson("/api/roasts/{$roast->id}/readings/".$after->json('readings.0.id'));
    expect($undone->json('readings'))->toBe([])->and($undone->json('plan.dishes.0.live.counted'))->toBe(0);
});

it('logs a reading once, however often it is sent', function () {
    $roast = $this->roast();
    $this->log($roast, 'on', 40);
    $body = ['id' => (string) Str::uuid(), 'dish' => 0, 'at' => now()->subMinutes(5)->toAtomString(), 'place' => 'core', 'celsius' => 12.5];
    foreach ([1, 2, 3] as $_) {
        $this->postJson("/api/roasts/{$roast->id}/readings", $body)->assertOk();
    }
    $this->postJson("/api/roasts/{$roast->id}/readings", ['celsius' => 60] + $body)->assertStatus(409)->assertJsonPath(
        'message',
        fn (string $words): bool => str_contains($words, 'under this id'),
    );
    expect(Reading::all())->toHaveCount(1)->and(Reading::first()->celsius)->toBe(12.5);
});

it('logs which of several pieces was read, and refuses one that there is not', function () {
    $roast = $this->roast(['pieces' => 3]);
    $this->log($roast, 'on', 60);
    $body = fn (array $more): array => $more + ['id' => (string) Str::uuid(), 'dish' => 0, 'at' => now()->subMinute()->toAtomString(), 'place' => 'core', 'celsius' => 19.5];
    foreach ([0, 4, 1.5, 'second', [2]] as $none) {
        $this->postJson("/api/roasts/{$roast->id}/readings", $body(['piece' => $none]))->assertUnprocessable()->assertJsonValidationErrors('piece');
    }
    $this->postJson("/api/roasts/{$roast->id}/readings", $body(['place' => 'cooker', 'celsius' => 150, 'piece' => 2]))->assertUnprocessable();
    $second = $body(['piece' => 2]);
    $answer = $this->postJson("/api/roasts/{$roast->id}/readings", $second)->assertOk();
    expect(Contract::breaches((string) $answer->content(), 'Roast'))->toBe([])
        ->and($answer->json('readings.0.piece'))->toBe(2)
        ->and(said($answer->json('readings.0.place_words')))->toBe('Middle, no. 2')
        ->and($answer->json('plan.dishes.0.live.probe_map.unread'))->toBe([1, 3])
        ->and(array_column($answer->json('plan.dishes.0.live.probe_map.pieces'), 'celsius'))->toBe([null, 19.5, null]);
    // Of another piece it is another reading.
    $this->postJson("/api/roasts/{$roast->id}/readings", ['piece' => 3] + $second)->assertStatus(409);
    $csv = (string) $this->get("/api/roasts/{$roast->id}/readings.csv")->assertOk()->content();
    $this->deleteJson("/api/roasts/{$roast->id}/readings/{$second['id']}")->assertOk();
    $this->call('POST', "/api/roasts/{$roast->id}/readings.csv", server: ['CONTENT_TYPE' => 'text/csv', 'HTTP_ACCEPT' => 'application/json'], content: $csv)->assertOk();
    expect(Reading::first()?->piece)->toBe(2);
});

it('takes a reading for the first piece where none was named', function () {
    $roast = $this->roast();
    $this->log($roast, 'on', 60);
    $answer = $this->read($roast, 19.0, 1);
    expect($answer->json('readings.0.piece'))->toBe(1)
        ->and(said($answer->json('readings.0.place_words')))->toBe('Middle')
        ->and($answer->json('plan.dishes.0.live.probe_map.pieces'))->toBe([]);
});

it('logs an event once, however often it is sent', function () {
    $roast = $this->roast();
    $body = ['id' => (string) Str::uuid(), 'dish' => 0, 'at' => now()->subMinutes(5)->toAtomString(), 'kind' => 'on'];
    $this->postJson("/api/roasts/{$roast->id}/events", $body)->assertOk();
    $this->postJson("/api/roasts/{$roast->id}/events", $body)->assertOk();
    expect(Event::all())->toHaveCount(1);
});

it('keeps an impossible reading, marked', function () {
    $roast = $this->roast();
    $this->log($roast, 'on', 60);
    $this->read($roast, 19.0, 12);
    $this->read($roast, 25.0, 2);
    $answer = $this->read($roast, 9.0, 1);
    expect($answer->json('readings.2.counts'))->toBeFalse()
        ->and(said($answer->json('readings.2.verdict')))->toContain('Not counted')
        ->and($answer->json('readings'))->toHaveCount(3);
});

// RFC 7240, 2 and 3: what was preferred was kept to, and the answer says so; the first time and when it is sent again.
it('says of an entry that no answer is wanted to that it is logged, and that it was the kitchen that took it', function (string $what) {
    $roast = $this->roast();
    $this->log($roast, 'on', 30);
    $body = ['id' => (string) Illuminate\Support\Str::uuid(), 'dish' => 0, 'at' => now()->subMinutes(5)->toAtomString()]
        + ($what === 'events' ? ['kind' => 'basted'] : ['place' => 'core', 'celsius' => 31]);
    foreach ([1, 2] as $time) {
        $answer = $this->postJson("/api/roasts/{$roast->id}/$what", $body, ['Prefer' => 'return=minimal'])->assertNoContent();
        expect($answer->headers->get('Preference-Applied'))->toBe('return=minimal', "time $time");
    }
    expect($this->postJson("/api/roasts/{$roast->id}/$what", $body)->assertOk()->headers->has('Preference-Applied'))->toBeFalse();
})->with(['events', 'readings']);

// RFC 9562, 4.1 and 4.2: of every version and variant that can be written, each is kept or refused, and none breaks anything.
it('takes ids of every version, and refuses those that are no ids of today at their field', function () {
    $roast = $this->roast();
    $this->log($roast, 'on', 30);
    config(['app.limits.compute' => 1_000_000]);
    foreach (range(0, 15) as $version) {
        foreach (range(0, 15) as $variant) {
            $id = sprintf('%s-bbbb-%xccc-%xddd-eeeeeeeeeeee', substr(md5("$version $variant"), 0, 8), $version, $variant);
            $answer = $this->withHeaders(['Prefer' => 'return=minimal'])->read($roast, 40.0, 10, ['id' => $id]);
            in_array($variant, [8, 9, 10, 11], true) ? $answer->assertSuccessful() : $answer->assertJsonValidationErrors('id');
            expect($this->deleteJson("/api/roasts/$roast->id/readings/$id")->status())->toBeIn([200, 204, 404]);
        }
    }
});

it('goes from on through pull and rest to carved, and into the log', function () {
    $roast = $this->roast([], ['serve_at' => now()->addMinutes(10)->toAtomString()]);
    $this->log($roast, 'on', 130)->assertJsonPath('status', 'cooking');
    $this->read($roast, 30.0, 70);
    $this->read($roast, 44.0, 45);
    $this->read($roast, 54.0, 27);
    $this->log($roast, 'pulled', 25)->assertJsonPath('status', 'resting');
    $done = $this->log($roast, 'carved', 1)->assertJsonPath('status', 'done');
    expect(array_column($done->json('debrief.dishes.0'), 'id'))->toContain('time', 'pull', 'peak', 'table', 'heat')
        ->and($done->json('debrief.planned_curves.0.core_c'))->not->toBeEmpty();
    $this->withHeader('If-Match', '*')->putJson(
        "/api/roasts/{$roast->id}/debrief",
        ['note' => 'More coals on the left.'],
    )->assertJsonPath('note', 'More coals on the left.');
    $this->withHeader('If-Match', '*')->putJson("/api/roasts/{$roast->id}/debrief", ['note' => str_repeat('a', 2001)])->assertJsonValidationErrors('note');
    $this->getJson('/api/roasts')->assertJsonPath('0.status', 'done');
});

it('keeps the plan of the lighting for the debrief, and drops it when the lighting is undone', function () {
    $roast = $this->roast();
    $id = $this->log($roast, 'on', 5)->json('events.0.id');
    expect($roast->refresh()->lighting['dishes'][0]['pull_c'])->toBeFloat();
    $this->deleteJson("/api/roasts/{$roast->id}/events/$id")->assertJsonPath('status', 'planned');
    expect($roast->refresh()->lighting)->toBeNull();
});

it('lets a lifted lid and a cooker reading bear on every dish in that cooker', function () {
    $roast = $this->roast();
    $this->log($roast, 'on', 50);
    $before = strtotime($this->getJson("/api/roasts/{$roast->id}")->json('plan.dishes.0.live.pull_at.likely'));
    $lifted = strtotime($this->log($roast, 'lid', 20, ['minutes' => 5])->json('plan.dishes.0.live.pull_at.likely'));
    $cooler = strtotime($this->read($roast, 120.0, 15, ['place' => 'cooker'])->json('plan.dishes.0.live.pull_at.likely'));
    expect($lifted)->toBeGreaterThan($before + 60)->and($cooler)->toBeGreaterThan($lifted + 300);
});

it('answers nonsense in the log at its field', function (string $field, string $what, array $body) {
    $roast = $this->roast();
    $this->log($roast, 'on', 30);
    $sound = $what === 'readings' ? ['place' => 'core', 'celsius' => 20] : ['kind' => 'basted'];
    $this->postJson(
        "/api/roasts/{$roast->id}/$what",
        $body + $sound + ['id' => (string) Str::uuid(), 'dish' => 0, 'at' => now()->toAtomString()],
    )->assertUnprocessable()->assertJsonValidationErrors($field);
    expect(Reading::count())->toBe(0)->and(Event::count())->toBe(1);
})->with([
    ['celsius', 'readings', ['celsius' => 1e9]], [
        'celsius',
        'readings',
        ['celsius' => 'warm'],
    ], ['celsius', 'readings', ['celsius' => null]], ['celsius', 'readings', ['celsius' => -100]],
    [
        'place',
        'readings',
        ['place' => 'moon'],
    ], ['dish', 'readings', ['dish' => 7]], ['dish', 'readings', ['dish' => -1]], ['id', 'readings', ['id' => 'one']],
    ['at', 'readings', ['at' => 'now']], ['at', 'readings', ['at' => '2031-02-31T10:00:00Z']], [
        'at',
        'readings',
        fn () => ['at' => now()->addHour()->toAtomString()],
    ], ['at', 'readings', ['at' => '2020-01-01T10:00:00Z']],
    ['kind', 'events', ['kind' => 'danced']], ['kind', 'events', ['kind' => 'carved']], ['note', 'events', ['kind' => 'note']],
    [
        'note',
        'events',
        ['kind' => 'note', 'note' => str_repeat('a', 501)],
    ], ['minutes', 'events', ['kind' => 'lid', 'minutes' => 500]], ['entry', 'events', ['kind' => 'tick']],
    ['stage', 'events', ['kind' => 'stage']], ['at', 'events', fn () => ['kind' => 'pulled', 'at' => now()->subHours(2)->toAtomString()]],
]);

it('carries readings out and in as a table, without loss and without doubling', function () {
    $roast = $this->roast();
    $this->log($roast, 'on', 60);
    $this->read($roast, 12.34, 40);
    $this->read($roast, 149.0, 30, ['place' => 'cooker']);
    $csv = $this->get("/api/roasts/{$roast->id}/readings.csv")->assertOk()->content();
    expect(explode("\r\n", $csv)[0])->toBe('time,dish,place,piece,celsius,id');
    $post = fn (string $body) => $this->call(
        'POST',
        "/api/roasts/{$roast->id}/readings.csv",
        server: ['CONTENT_TYPE' => 'text/csv', 'HTTP_ACCEPT' => 'application/json'],
        content: $body,
    );
    $post($csv)->assertOk();
    expect(Reading::count())->toBe(2);
    $roast->readings()->delete();
    $post($csv)->assertOk();
    expect($this->get("/api/roasts/{$roast->id}/readings.csv")->content())->toBe($csv);
    $bare = "time,place,celsius\n".now()->subMinutes(3)->toAtomString().",core,22.5\n";
    $post($bare)->assertOk();
    $post($bare)->assertOk();
    expect(Reading::count())->toBe(3);
});

it('refuses a table with a bad row, whole', function (string $body, string $field) {
    $roast = $this->roast();
    $this->log($roast, 'on', 60);
    $this->call(
        'POST',
        "/api/roasts/{$roast->id}/readings.csv",
        server: ['CONTENT_TYPE' => 'text/csv', 'HTTP_ACCEPT' => 'application/json'],
        content: $body,
    )->assertUnprocessable()->assertJsonValidationErrors($field);
    expect(Reading::count())->toBe(0);
})->with([
    'a word for a temperature' => ["time,place,celsius\n2031-10-04T10:00:00Z,core,20\n2031-10-04T10:05:00Z,core,warm\n", 'rows.1.celsius'],
    'a time without offset' => ["time,place,celsius\n2031-10-04 10:00,core,20\n", 'rows.0.time'],
    'too few values' => ["time,place,celsius\n2031-10-04T10:00:00Z,core\n", 'rows.0'],
    'no header' => ["2031-10-04T10:00:00Z,core,20\n", 'file'],
    'nothing' => ['', 'file'],
    'too large' => [fn () => "time,place,celsius\n".str_repeat("2031-10-04T10:00:00Z,core,20\n", 60_000), 'file'],
    'no text' => ["\xff\xfe\x00time", 'file'],
]);

/** What a log says of one dish, read from its lines alone. @param  list<array<string, mixed>>  $events in order of time */
function standsAs(array $events, int $dish): string
{
    [$on, $off, $carved] = [false, false, false];
    foreach ($events as $event) {
        if ($event['dish'] !== $dish) {
            continue;
        }
        $on = $on || $event['kind'] === 'on';
        $carved = $carved || $event['kind'] === 'carved';
        $off = match ($event['kind']) {
            'pulled' => true,
            'back_on' => false,
            default => $off,
        };
    }

    return match (true) {
        ! $on => 'waiting',
        $carved => 'carved',
        $off => 'resting',
        default => 'on',
    };
}

// Whatever a greasy thumb does, in whatever order: the log is what was taken, and each dish stands as its lines say.
it('takes acts in any order, or says why not, and each dish stands as its log says', function (int $seed) {
    config(['app.limits.compute' => 1_000_000]);
    $dice = new Random\Randomizer(new Random\Engine\Mt19937($seed));
    $roast = $this->roast([], ['dishes' => [
        Tests\Support\Samples::file()['dishes'][0],
        ['cut' => 'chicken', 'mass_kg' => 1.8, 'start_c' => 5, 'taste' => null, 'target_c' => 79, 'stages' => [['cooker' => 'gas', 'cooker_c' => 180, 'pull' => true]]],
    ]]);
    $answer = $this->getJson("/api/roasts/{$roast->id}");
    for ($i = 0; $i < 24; $i++) {
        $events = $answer->json('events');
        $one = $events === [] ? null : $events[$dice->getInt(0, count($events) - 1)];
        $does = $dice->getInt(0, 9);
        $ago = $dice->getInt(0, 90);
        $told = match (true) {
            $does === 0 && $one !== null => $this->deleteJson("/api/roasts/{$roast->id}/events/{$one['id']}"),
            $does === 1 && $one !== null => $this->patchJson("/api/roasts/{$roast->id}/events/{$one['id']}", ['at' => now()->subMinutes($ago)->toAtomString()]),
            $does === 2 => $this->read($roast, (float) $dice->getInt(5, 80), $ago, ['dish' => $dice->getInt(0, 1)]),
            default => $this->log($roast, ['on', 'pulled', 'back_on', 'carved', 'basted', 'lid'][$dice->getInt(0, 5)], $ago, ['dish' => $dice->getInt(0, 1)]),
        };
        expect($told->status())->toBeIn([200, 201, 409, 422], "$seed: $i");
        if (! $told->isSuccessful()) {
            expect((string) $told->json('message'))->not->toBe('', "$seed: $i");
        }
        $answer = $this->getJson("/api/roasts/{$roast->id}")->assertOk();
        foreach ($answer->json('plan.dishes') as $dish => $shown) {
            expect($shown['status'])->toBe(standsAs($answer->json('events'), $dish), "$seed: $i, dish $dish");
        }
    }
})->with([3, 71, 205, 999, 4242, 31337]);
