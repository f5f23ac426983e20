<?php

declare(strict_types=1);

use App\Models\Event;
use App\Models\Roast;
use Illuminate\Support\Str;
use Tests\Support\Contract;
use Tests\Support\Samples;

// What comes between on the day: ways are offered, one is taken, logged, and taken back as a whole.

/** @return array<string, array<string, mixed>> by id */
function offeredWays(Tests\Support\HttpTest $test, Roast $roast, array $question): array
{
    $answer = $test->postJson("/api/roasts/$roast->id/ways", $question)->assertOk();
    expect(Contract::breaches((string) $answer->content(), 'Ways'))->toBe([]);

    return array_column($answer->json('ways'), null, 'id');
}

it('moves the table for late guests, says so in the log, and takes all of it back', function () {
    $roast = $this->roast();
    $before = $this->getJson("/api/roasts/$roast->id")->json();
    $ways = offeredWays($this, $roast, ['turn' => 'guests_late', 'minutes' => 40]);
    expect($ways)->toHaveKeys(['later', 'hold']);
    $id = (string) Str::uuid();
    $taken = $this->postJson("/api/roasts/$roast->id/ways/taken", ['id' => $id, 'way' => 'later'])->assertOk()->json();
    expect(strtotime($taken['plan']['serve_at']))->toBe(strtotime($before['plan']['serve_at']) + 2400)
        ->and($taken['events'][0]['kind'])->toBe('way')
        // Cooked again, it is cooked as it was planned.
        ->and($taken['as_planned'])->toBe($before['file'])
        ->and(said($taken['events'][0]['words']))->toBe('Everything 40 min later')
        ->and($roast->refresh()->serve_at->getTimestamp())->toBe(strtotime($taken['plan']['serve_at']));
    // Sent twice, it is taken once.
    $this->postJson("/api/roasts/$roast->id/ways/taken", ['id' => $id, 'way' => 'later'])->assertOk();
    expect($roast->events()->count())->toBe(1);
    $back = $this->deleteJson("/api/roasts/$roast->id/events/$id")->assertOk()->json();
    expect($back['file'])->toBe($before['file'])->and($back['events'])->toBe([])
        ->and($back['plan']['serve_at'])->toBe($before['plan']['serve_at']);
});

it('begins a new step where the fire is changed under a joint, and forgets it with the undo', function () {
    $roast = $this->roast(['stages' => [['cooker' => 'oven', 'cooker_c' => 163, 'pull' => true]]], ['serve_at' => now()->addHours(2)->toAtomString()]);
    $this->log($roast, 'on', 35)->assertOk();
    $this->read($roast, 22.0, 2)->assertOk();
    $ways = offeredWays($this, $roast, ['turn' => 'guests_late', 'minutes' => 45]);
    expect($ways)->toHaveKeys(['slower', 'hold']);
    $id = (string) Str::uuid();
    $taken = $this->postJson("/api/roasts/$roast->id/ways/taken", ['id' => $id, 'way' => 'slower'])->assertOk()->json();
    $stages = $taken['file']['dishes'][0]['stages'];
    expect($stages)->toHaveCount(2)
        ->and($stages[0]['minutes'])->toEqualWithDelta(35.0, 0.5)
        ->and($stages[1]['cooker_c'])->toBeLessThan(163)
        ->and(array_column($taken['events'], 'kind'))->toBe(['on', 'stage', 'way'])
        // What was read is still what the core is.
        ->and($taken['plan']['dishes'][0]['live']['read']['celsius'])->toEqual(22);
    $back = $this->deleteJson("/api/roasts/$roast->id/events/$id")->assertOk()->json();
    expect($back['file']['dishes'][0]['stages'])->toHaveCount(1)->and(array_column($back['events'], 'kind'))->toBe(['on']);
    // Put back, it is what it was, at the hour at which it was done; and that can be undone as well.
    $this->travel(8)->minutes();
    $again = (string) Str::uuid();
    $put = $this->postJson("/api/roasts/$roast->id/ways/taken", ['id' => $again, 'way' => "back_$id"])->assertOk()->json();
    expect($put['file'])->toBe($taken['file'])
        ->and(array_map(fn (array $one): array => [$one['kind'], $one['at'], $one['stage'], $one['dish']], $put['events']))
        ->toBe(array_map(fn (array $one): array => [$one['kind'], $one['at'], $one['stage'], $one['dish']], $taken['events']));
    $this->deleteJson("/api/roasts/$roast->id/events/$again")->assertOk();
    expect($roast->refresh()->events()->count())->toBe(1);
    // Once the plan is another it does not go back into it.
    $this->changeRoast($roast->id, ['people' => 3] + $this->getJson("/api/roasts/$roast->id")->json('file'))->assertOk();
    $this->postJson("/api/roasts/$roast->id/ways/taken", ['id' => (string) Str::uuid(), 'way' => "back_$again"])->assertUnprocessable();
});

it('says by itself when the table will not be ready at its hour, and has ways out of that', function () {
    $roast = $this->roast([], ['serve_at' => now()->addMinutes(90)->toAtomString()]);
    expect($this->getJson("/api/roasts/$roast->id")->json('turn'))->toBeNull();
    $this->log($roast, 'on', 5)->assertOk();
    expect($this->getJson("/api/roasts/$roast->id")->json('turn'))->toBe('behind');
    $ways = offeredWays($this, $roast, ['turn' => 'behind']);
    expect(count($ways))->toBeGreaterThanOrEqual(2)->and($ways)->toHaveKey('later');
    $this->postJson("/api/roasts/$roast->id/ways/taken", ['id' => (string) Str::uuid(), 'way' => 'later'])->assertOk()->assertJsonPath('turn', null);
});

it('promises no hour to a joint that its readings say never gets there', function () {
    $roast = $this->roast([], ['serve_at' => now()->addHours(2)->toAtomString()]);
    $this->log($roast, 'on', 150)->assertOk();
    foreach ([140, 110, 80, 50, 20] as $ago) {
        $this->read($roast, 58.0, $ago, ['place' => 'cooker', 'sure' => true])->assertOk();
        $this->read($roast, 40.0 - $ago / 7.0, $ago)->assertOk();
    }
    $answer = $this->getJson("/api/roasts/$roast->id")->json();
    expect($answer['plan']['dishes'][0]['live']['gets_there'])->toBeFalse()->and($answer['turn'])->toBe('behind');
    $asked = $this->postJson("/api/roasts/$roast->id/ways", ['turn' => 'behind'])->assertOk()->json();
    expect(implode(' ', array_map(said(...), $asked['as_it_is']['cautions'])))->toContain('does not get to its number at this heat')
        ->and(array_column($asked['ways'], 'id'))->toContain('oven')->not->toContain('later');
});

it('takes nothing that was not offered for the plan as it is', function () {
    $roast = $this->roast();
    $take = fn (string $way) => $this->postJson("/api/roasts/$roast->id/ways/taken", ['id' => (string) Str::uuid(), 'way' => $way]);
    $take('later')->assertUnprocessable()->assertJsonValidationErrors('way');
    offeredWays($this, $roast, ['turn' => 'guests_late']);
    $file = $this->getJson("/api/roasts/$roast->id")->json('file');
    $this->changeRoast($roast->id, ['people' => 3] + $file)->assertOk();
    $take('later')->assertUnprocessable();
    $take('../hold')->assertUnprocessable();
    expect($roast->refresh()->events()->count())->toBe(0)->and($roast->inputs['people'])->toBe(3);
});

it('does not take back what was changed again since', function () {
    $roast = $this->roast();
    offeredWays($this, $roast, ['turn' => 'guests_late']);
    $id = (string) Str::uuid();
    $this->postJson("/api/roasts/$roast->id/ways/taken", ['id' => $id, 'way' => 'later'])->assertOk();
    $this->changeRoast($roast->id, ['people' => 3] + $this->getJson("/api/roasts/$roast->id")->json('file'))->assertOk();
    $this->deleteJson("/api/roasts/$roast->id/events/$id")->assertConflict();
    expect($roast->refresh()->inputs['people'])->toBe(3)->and(Event::query()->where('client_id', $id)->exists())->toBeTrue();
});

it('refuses what is no question, at its field, and a way that a device makes up', function () {
    $roast = $this->roast();
    foreach ([['turn' => 'comet'], ['turn' => 'guests_late', 'minutes' => 4], ['turn' => 'guests_late', 'minutes' => 181], ['turn' => 'one_more', 'people' => 0], []] as $wrong) {
        $this->postJson("/api/roasts/$roast->id/ways", $wrong)->assertUnprocessable();
    }
    $this->log($roast, 'way', 0, ['dish' => null])->assertUnprocessable();
    $this->actingAs($this->cook());
    $this->postJson("/api/roasts/$roast->id/ways", ['turn' => 'rain'])->assertNotFound();
    $this->postJson("/api/roasts/$roast->id/ways/taken", ['id' => (string) Str::uuid(), 'way' => 'oven'])->assertNotFound();
});

it('holds ways against each other for a roast that nobody has kept', function () {
    $this->actingAs($this->cook());
    $file = Samples::file([], ['serve_at' => now()->addHours(8)->toAtomString()]);
    $answer = $this->postJson('/api/ways', ['turn' => 'compare', 'roast' => $file])->assertOk();
    expect(Contract::breaches((string) $answer->content(), 'Ways'))->toBe([]);
    expect(array_column($answer->json('ways'), 'id'))->toBe(['hotter', 'cooler', 'cooker_oven', 'cooker_gas'])
        ->and($answer->json('as_it_is.later_minutes'))->toEqual(0);
    $this->postJson('/api/ways', ['turn' => 'compare', 'roast' => ['dishes' => []] + $file])->assertUnprocessable();
    $this->postJson('/api/ways', ['turn' => 'compare'])->assertUnprocessable();
    expect(Roast::query()->count())->toBe(0);
});
