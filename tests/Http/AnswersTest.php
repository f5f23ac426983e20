<?php

declare(strict_types=1);

use App\Models\Device;
use App\Models\Roast;
use Diatherm\Cooking\Cook;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\Support\Contract;
use Tests\Support\Samples;

// What was worked out stands until something is done or an hour on the sheet has passed; asked again it costs nothing.

function tagOf(mixed $answer): string
{
    return (string) $answer->headers->get('ETag');
}

it('says nothing to one who asks again while nothing has changed, and everything once it has', function () {
    $roast = $this->roast();
    $this->log($roast, 'on', 30);
    $first = $this->getJson("/api/roasts/$roast->id")->assertOk();
    $again = fn (string $tag) => $this->getJson("/api/roasts/$roast->id", ['If-None-Match' => $tag]);
    $again(tagOf($first))->assertStatus(304)->assertNoContent(304);
    $list = $this->getJson('/api/roasts')->assertOk();
    $this->getJson('/api/roasts', ['If-None-Match' => tagOf($list)])->assertStatus(304);
    // Another device logs something.
    $this->read($roast, 24.0, 2);
    $next = $again(tagOf($first))->assertOk()->assertJsonCount(1, 'readings');
    expect(tagOf($next))->not->toBe(tagOf($first));
    $this->getJson('/api/roasts', ['If-None-Match' => tagOf($list)])->assertOk();
    $again('"of another day"')->assertOk();
});

it('answers anew when it is asked after an hour on the sheet, or a while later on the heat', function () {
    $roast = $this->roast();
    $this->log($roast, 'on', 30);
    $first = $this->getJson("/api/roasts/$roast->id")->assertOk();
    $this->travel(4)->minutes();
    $soon = $this->getJson("/api/roasts/$roast->id", ['If-None-Match' => tagOf($first)]);
    $this->travel(3)->minutes();
    $later = $this->getJson("/api/roasts/$roast->id", ['If-None-Match' => tagOf($first)])->assertOk();
    expect($soon->status())->toBeIn([200, 304])
        ->and($later->json('plan.dishes.0.live.core_now_c.likely'))->toBeGreaterThan($first->json('plan.dishes.0.live.core_now_c.likely'))
        ->and(strtotime($later->json('now')) - strtotime($first->json('now')))->toBeGreaterThan(240);
});

it('marks an entry late when its hour has passed, though nobody did anything', function () {
    $roast = $this->roast(roast: ['serve_at' => now()->addHours(6)->toAtomString()]);
    $first = $this->getJson("/api/roasts/$roast->id")->assertOk();
    $due = collect($first->json('plan.run_sheet'))->firstWhere('act', 'on');
    expect($due['late'])->toBeFalse();
    $this->travelTo(Carbon\CarbonImmutable::parse($due['at'])->addMinutes(3));
    $after = $this->getJson("/api/roasts/$roast->id", ['If-None-Match' => tagOf($first)])->assertOk();
    expect(collect($after->json('plan.run_sheet'))->firstWhere('act', 'on')['late'])->toBeTrue();
});

it('says another thing once its own cooker has learnt', function () {
    $this->actingAs($this->cook());
    $cooker = $this->postJson('/api/cookers', ['name' => 'Weir kettle', 'kind' => 'kettle'])->json('id');
    $id = $this->postJson(
        '/api/roasts',
        Samples::file([], ['serve_at' => now()->addHours(8)->toAtomString(), 'fires' => [['cooker' => 'kettle', 'own' => 'Weir kettle']]]),
    )->json('id');
    $tag = tagOf($this->getJson("/api/roasts/$id"));
    $this->getJson("/api/roasts/$id", ['If-None-Match' => $tag])->assertStatus(304);
    $this->postJson(
        "/api/cookers/$cooker/observations",
        [
            'id' => (string) Str::uuid(), 'settings' => ['intake_mm' => 6, 'exhaust_mm' => 6], 'air_c' => 12,
            'wind_ms' => 1, 'celsius' => 120,
        ],
    )->assertOk();
    $this->getJson("/api/roasts/$id", ['If-None-Match' => $tag])->assertOk();
});

it('answers a long list in time when nothing is worked out yet, what is on the fire first, and the rest as it is asked again', function () {
    $first = $this->roast();
    $others = array_map(function (int $i) use ($first): Roast {
        $one = $first->replicate();
        $one->inputs = array_replace($first->inputs, ['people' => 2 + $i]);
        $one->save();

        return $one;
    }, range(1, 11));
    $this->log($others[7], 'on', 30)->assertOk();
    Cache::flush();
    config(['app.work.list_s' => 1e-9]);
    $none = $this->getJson('/api/roasts')->assertOk()->assertHeader('Retry-After', '1');
    expect(array_unique(array_column($none->json(), 'status')))->toBe(['awaited'])->and($none->json())->toHaveCount(12)
        ->and(Contract::breachesInList((string) $none->content(), 'AwaitedRoast'))->toBe([]);
    // Each time as many as there is time for; what is told has the order of the list all the same.
    config(['app.work.list_s' => 0.05]);
    $asked = 0;
    do {
        $answer = $this->getJson('/api/roasts')->assertOk();
        $told = array_filter($answer->json(), fn (array $one): bool => $one['status'] !== 'awaited');
        expect(array_column($answer->json(), 'id'))->toBe(array_column($none->json(), 'id'))
            ->and(array_column($told, 'id'))->toContain($others[7]->id);
    } while ($answer->headers->has('Retry-After') && ++$asked < 20);
    expect($told)->toHaveCount(12)->and($answer->headers->has('ETag'))->toBeTrue();
    // What was told once is told, though it is old, rather than nothing.
    $this->travel(2)->hours();
    config(['app.work.list_s' => 1e-9]);
    $old = $this->getJson('/api/roasts')->assertOk()->assertHeader('Retry-After', '1');
    expect(array_column($old->json(), 'status'))->not->toContain('awaited');
});

it('tells of a log of thousands as much as it takes, in an answer that a phone can fetch', function (bool $byDevice) {
    $roast = $this->roast();
    $this->log($roast, 'on', 170)->assertOk();
    $device = $byDevice ? Device::factory()->for($roast->user)->create()->id : null;
    $rows = array_map(fn (int $k): array => [
        'roast_id' => $roast->id, 'client_id' => (string) Str::uuid(), 'dish' => 0, 'place' => $k % 2 === 1 ? 'core' : 'cooker',
        'celsius' => $k % 2 === 1 ? round(5 + 45 * $k / 10_000, 1) : 150 + $k % 7, 'at' => now()->subSeconds(10_000 - $k)->format('Y-m-d H:i:s.v'),
        'device_id' => $device, 'channel' => $byDevice ? 1 + $k % 2 : null,
    ], range(1, 10_000));
    foreach (array_chunk($rows, 1000) as $some) {
        DB::table('readings')->insert($some);
    }
    $answer = $this->read($roast, 50.5)->assertOk();
    expect(strlen((string) $answer->content()))->toBeLessThan(100_000)
        ->and($answer->json('plan.dishes.0.live.read.celsius'))->toBe(50.5)
        ->and(array_column($answer->json('readings'), 'celsius'))->toContain(50.5)
        // Nothing of the log is lost by it.
        ->and(substr_count($this->get("/api/roasts/$roast->id/readings.csv")->content(), "\r\n"))->toBe(10_002);
})->with(['a thermometer' => true, 'a table' => false]);

it('cooks nothing when it is asked again, and a dish once however often its roast is changed', function () {
    $roast = $this->roast();
    $cooks = function (Closure $act): int {
        $before = Cook::$begun;
        $act();

        return Cook::$begun - $before;
    };
    expect($cooks(fn () => $this->getJson("/api/roasts/$roast->id")->assertOk()))->toBe(0)
        ->and($cooks(fn () => $this->getJson('/api/roasts')->assertOk()))->toBe(0);
    $file = $this->getJson("/api/roasts/$roast->id")->json('file');
    expect($cooks(fn () => $this->changeRoast($roast->id, ['people' => 12] + $file)->assertOk()))->toBe(0)
        ->and(
            $cooks(
                fn () => $this->changeRoast($roast->id,
                    ['dishes' => [['mass_kg' => 2.7] + $file['dishes'][0]]] + $file,
                )->assertOk(),
            ),
        )->toBeGreaterThan(5)->toBeLessThan(30);
    $this->log($roast, 'on', 40);
    // A reading is fitted by a few dozen runs, and the plan is not cooked again.
    expect($cooks(fn () => $this->read($roast, 30.0, 1)->assertOk()))->toBeLessThan(60)
        ->and($cooks(fn () => $this->getJson("/api/roasts/$roast->id")->assertOk()))->toBe(0);
});

it('cooks no dish for a note, a tick or a line put to another hour, and one dish for its reading', function () {
    $this->freezeTime();
    $dish = fn (string $cut, float $kg, string $cooker, int $celsius): array => ['cut' => $cut, 'mass_kg' => $kg, 'stages' => [['cooker' => $cooker, 'cooker_c' => $celsius, 'pull' => true]]];
    $roast = $this->roast(roast: ['dishes' => [
        $dish('pork-rack', 3.0, 'kettle', 150), $dish('chicken', 1.8, 'gas', 190), $dish('beef-rib', 3.0, 'pellet', 120), $dish('lamb-leg', 2.4, 'oven', 165),
    ]]);
    foreach ([0, 1, 2, 3] as $i) {
        $this->log($roast, 'on', 50, ['dish' => $i])->assertOk();
        foreach ([30, 15, 4] as $ago) {
            $this->read($roast, 20.0 - 0.3 * $ago, $ago, ['dish' => $i])->assertOk();
        }
    }
    $cooks = function (Closure $act): int {
        $before = Cook::$begun;
        $act();

        return Cook::$begun - $before;
    };
    $one = $cooks(fn () => $this->read($roast, 20.5, 1, ['dish' => 1])->assertOk());
    $note = (string) Str::uuid();
    expect($one)->toBeGreaterThan(3)->toBeLessThan(70)
        ->and($cooks(fn () => $this->log($roast, 'note', 0, ['id' => $note, 'note' => 'Wind from the weir', 'dish' => null])->assertOk()))->toBe(0)
        ->and($cooks(fn () => $this->log($roast, 'tick', 0, ['entry' => 'd0.rig'])->assertOk()))->toBe(0)
        ->and($cooks(fn () => $this->patchJson("/api/roasts/$roast->id/events/$note", ['at' => now()->subMinutes(3)->toAtomString()])->assertOk()))->toBe(0)
        ->and($cooks(fn () => $this->deleteJson("/api/roasts/$roast->id/events/$note")->assertOk()))->toBe(0)
        ->and($cooks(fn () => $this->read($roast, 21.0, 0, ['dish' => 3])->assertOk()))->toBeLessThan(70);
    // What was read is taken back, and so is what was made of it.
    $newest = $this->getJson("/api/roasts/$roast->id")->json('readings');
    $gone = collect($newest)->firstWhere('celsius', 20.5)['id'];
    $after = $this->deleteJson("/api/roasts/$roast->id/readings/$gone")->assertOk();
    expect($after->json('plan.dishes.1.live.read.celsius'))->toBe(20 - 1.2);
    // A while later it is worked out anew, though nothing was logged.
    $this->travel(6)->minutes();
    expect($cooks(fn () => $this->log($roast, 'note', 0, ['note' => 'Still'])->assertOk()))->toBeGreaterThan(8);
});

it('moves along the same course between two answers, whatever is logged beside', function () {
    $this->freezeTime();
    $roast = $this->roast();
    $this->log($roast, 'on', 60);
    $first = $this->read($roast, 30.0, 1)->json('plan.dishes.0.live');
    $this->travel(3)->minutes();
    $second = $this->log($roast, 'note', 0, ['note' => 'Rain'])->json('plan.dishes.0.live');
    $now = fn (array $live): float => $live['core_now_c']['likely'] + (now()->getTimestamp() - strtotime($live['core_ahead']['from'])) / 60.0 / 2.0
        * ($live['core_ahead']['celsius'][1] - $live['core_ahead']['celsius'][0]);
    expect($now($second))->toEqualWithDelta($now($first), 0.2)->and($second['pull_at'])->toBe($first['pull_at']);
});

it('tries out a change of one dish without cooking the others again', function () {
    $roast = $this->roast(roast: ['serve_at' => now()->addHours(9)->toAtomString()]);
    $file = $this->getJson("/api/roasts/$roast->id")->json('file');
    $two = ['dishes' => [$file['dishes'][0], ['cut' => 'chicken', 'mass_kg' => 1.8, 'stages' => [['cooker' => 'gas', 'cooker_c' => 190, 'pull' => true]]]]] + $file;
    $this->changeRoast($roast->id, $two)->assertOk();
    $cooks = function (array $body): int {
        $before = Cook::$begun;
        $this->postJson('/api/preview', $body)->assertOk();

        return Cook::$begun - $before;
    };
    $one = $cooks(['dishes' => [['mass_kg' => 2.4] + $two['dishes'][0], $two['dishes'][1]]] + $two);
    $both = $cooks(['dishes' => [['mass_kg' => 2.4] + $two['dishes'][0], ['mass_kg' => 1.9] + $two['dishes'][1]]] + $two);
    expect($cooks(['people' => 3] + $two))->toBe(0)->and($one)->toBeGreaterThan(5)->and($both)->toBeGreaterThan($one + 5)
        // What was only tried out is not kept.
        ->and($cooks(['dishes' => [['mass_kg' => 2.4] + $two['dishes'][0], $two['dishes'][1]]] + $two))->toBe($one);
});

it('keeps the status of a roast beside it, as its log has it', function () {
    $roast = $this->roast();
    $status = fn (): string => $roast->fresh()->status;
    expect($status())->toBe('planned');
    $this->log($roast, 'on', 200);
    expect($status())->toBe('cooking');
    $this->log($roast, 'pulled', 60);
    expect($status())->toBe('resting');
    $this->log($roast, 'carved', 30);
    expect($status())->toBe('done')->and($this->getJson("/api/roasts/$roast->id")->json('status'))->toBe('done');
    $last = $roast->events()->where('kind', 'carved')->first();
    $this->deleteJson("/api/roasts/$roast->id/events/$last->client_id")->assertOk();
    expect($status())->toBe('resting');
});

it('sweeps up what has run out, and nothing that stands', function () {
    config(['cache.default' => 'database']);
    Cache::store('database')->put('stands', 1, 3600);
    Cache::store('database')->put('ran out', 1, 3600);
    DB::table('cache')->where('key', 'like', '%ran out')->update(['expiration' => now()->getTimestamp() - 1]);
    $this->artisan('diatherm:sweep')->assertSuccessful();
    expect(DB::table('cache')->where('key', 'like', '%ran out')->count())->toBe(0)->and(Cache::store('database')->get('stands'))->toBe(1);
});

it('keeps answers in the database, whole, and forgets those of a roast that is deleted', function () {
    config(['cache.default' => 'database']);
    $roast = $this->roast(['cut' => 'lamb-whole', 'mass_kg' => 15, 'taste' => 'medium', 'stages' => [['cooker' => 'open-spit', 'hand_s' => 6]]]);
    $this->log($roast, 'on', 40);
    $first = $this->getJson("/api/roasts/$roast->id")->assertOk();
    $again = $this->getJson("/api/roasts/$roast->id")->assertOk();
    expect($again->content())->toBe($first->content())
        ->and(Contract::breaches($again->content(), 'Roast'))->toBe([])
        ->and(DB::table('cache')->where('key', 'like', "%roast.$roast->id.%")->count())->toBe(3);
    // Moved by half an hour it is another answer, with the same cook in it.
    $before = Cook::$begun;
    $moved = ['serve_at' => now()->addHours(5)->toAtomString()] + $first->json('file');
    $this->changeRoast($roast->id, $moved)->assertOk();
    expect(Cook::$begun - $before)->toBeLessThan(60);
    $this->deleteJson("/api/roasts/$roast->id")->assertNoContent();
    expect(DB::table('cache')->where('key', 'like', "%roast.$roast->id.%")->count())->toBe(0);
});
