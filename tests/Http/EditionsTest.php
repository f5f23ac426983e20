<?php

declare(strict_types=1);

use App\Http\MergePatch;
use App\Models\Device;
use Diatherm\Measure\InvalidInput;

// Two devices, one plan: a change names what it was made from, so that it undoes nothing that another device changed meanwhile.

it('applies a change as RFC 7396 does', function (string $document, string $patch, string $result) {
    expect(json_encode(MergePatch::apply($patch, json_decode($document, true))))->toBe($result);
})->with([
    // RFC 7396, appendix A; those whose document is an object or a list.
    ['{"a":"b"}', '{"a":"c"}', '{"a":"c"}'],
    ['{"a":"b"}', '{"b":"c"}', '{"a":"b","b":"c"}'],
    ['{"a":"b"}', '{"a":null}', '[]'],
    ['{"a":"b","b":"c"}', '{"a":null}', '{"b":"c"}'],
    ['{"a":["b"]}', '{"a":"c"}', '{"a":"c"}'],
    ['{"a":"c"}', '{"a":["b"]}', '{"a":["b"]}'],
    ['{"a":{"b":"c"}}', '{"a":{"b":"d","c":null}}', '{"a":{"b":"d"}}'],
    ['{"a":[{"b":"c"}]}', '{"a":[1]}', '{"a":[1]}'],
    ['["a","b"]', '["c","d"]', '["c","d"]'],
    ['{"a":"b"}', '["c"]', '["c"]'],
    ['{"a":"foo"}', 'null', 'null'],
    ['{"a":"foo"}', '"bar"', '"bar"'],
    ['{"e":null}', '{"a":1}', '{"e":null,"a":1}'],
    ['[1,2]', '{"a":"b","c":null}', '{"a":"b"}'],
    ['[]', '{"a":{"bb":{"ccc":null}}}', '{"a":{"bb":[]}}'],
]);

it('refuses a change that is no JSON, too deep or too large, and changes nothing', function (string $body) {
    expect(fn () => MergePatch::apply($body, []))->toThrow(InvalidInput::class);
    $roast = $this->roast();
    $this->call('PATCH', "/api/roasts/$roast->id/file", server: ['HTTP_IF_MATCH' => '*', 'HTTP_ACCEPT' => 'application/json'], content: $body);
    expect($roast->fresh()->inputs)->toBe($roast->inputs);
})->with(['{"people":', '', str_repeat('{"a":', 40).'1'.str_repeat('}', 40), '{"name":"'.str_repeat('x', 300_000).'"}']);

it('changes what is named and nothing else', function () {
    $roast = $this->roast();
    $before = $roast->inputs;
    $after = $this->changeRoast($roast, ['air_c' => 3.0, 'rain' => true])->assertOk()->json('file');
    expect($after)->toBe(array_replace($before, ['air_c' => 3, 'rain' => true]))
        ->and($this->changeRoast($roast, ['air_c' => null])->json('file.air_c'))->toBe(20);
});

it('answers an old edition 412 with what stands, and changes nothing', function (array $first, array $second) {
    $roast = $this->roast();
    $shown = $this->getJson("/api/roasts/$roast->id")->json('edition');
    $tag = $this->get("/api/roasts/$roast->id/file")->headers->get('ETag');
    expect($tag)->toBe("\"$shown\"");
    $now = $this->changeRoast($roast, $first, $tag)->assertOk();
    $late = $this->changeRoast($roast, $second, $tag)->assertStatus(412);
    expect($late->json('edition'))->toBe($now->json('edition'))->not->toBe($shown)
        ->and($late->json('current.file'))->toBe($now->json('file'))
        ->and($late->headers->get('ETag'))->toBe('"'.$now->json('edition').'"')
        ->and($this->getJson("/api/roasts/$roast->id")->json('file'))->toBe($now->json('file'));
    // Made from what stands, it goes through, and both changes are there.
    $both = $this->changeRoast($roast, $second, '"'.$late->json('edition').'"')->assertOk()->json('file');
    expect($both)->toMatchArray($second);
})->with([
    'the table moved, then the weather of an older screen' => fn () => [['serve_at' => now()->addHours(6)->startOfSecond()->toAtomString()], ['air_c' => 3, 'rain' => true]],
    'people, then a name' => [['people' => 14], ['name' => 'Supper at the weir']],
    'the same, twice' => [['people' => 14], ['people' => 12]],
]);

it('wants an edition to be named', function (string $method, string $path, Closure $body) {
    $roast = $this->roast();
    $cooker = $this->postJson('/api/cookers', ['name' => 'Boathouse kettle', 'kind' => 'kettle', 'facts' => ['diameter_cm' => 57]])->assertCreated();
    $device = $this->postJson('/api/devices', ['name' => 'Boathouse thermometer', 'roast' => null, 'probes' => []])->assertCreated();
    $path = strtr($path, ['{roast}' => $roast->id, '{cooker}' => $cooker->json('id'), '{device}' => $device->json('device.id')]);
    $this->json($method, $path, $body())->assertStatus(428);
    $this->json($method, $path, $body(), ['If-Match' => '"old"'])->assertStatus(412)->assertJsonStructure(['message', 'edition', 'current']);
    $this->json($method, $path, $body(), ['If-Match' => '"old", *'])->assertOk();
})->with([
    'a roast' => ['PATCH', '/api/roasts/{roast}/file', fn () => ['people' => 7]],
    'its note' => ['PUT', '/api/roasts/{roast}/debrief', fn () => ['note' => 'Less salt.']],
    'a cooker' => ['PUT', '/api/cookers/{cooker}', fn () => ['name' => 'Old kettle', 'kind' => 'kettle', 'facts' => ['diameter_cm' => 47]]],
    'a thermometer' => ['PUT', '/api/devices/{device}', fn () => ['name' => 'At the spit', 'roast' => null, 'probes' => []]],
]);

it('is the same edition whatever is logged, and another one with a way that was taken or undone', function () {
    $roast = $this->roast();
    $edition = fn (): string => $this->getJson("/api/roasts/$roast->id")->assertOk()->json('edition');
    $first = $edition();
    $this->log($roast, 'on', 60)->assertOk();
    $this->read($roast, 30.0, 5)->assertOk();
    expect($edition())->toBe($first);
    $way = $this->postJson("/api/roasts/$roast->id/ways", ['turn' => 'guests_late', 'minutes' => 40])->assertOk()->json('ways.0.id');
    $id = (string) Str::uuid();
    $this->postJson("/api/roasts/$roast->id/ways/taken", ['id' => $id, 'way' => $way])->assertOk();
    expect($edition())->not->toBe($first);
    $this->changeRoast($roast, ['air_c' => 3], "\"$first\"")->assertStatus(412);
    $this->deleteJson("/api/roasts/$roast->id/events/$id")->assertOk();
    expect($edition())->toBe($first);
});

it('keeps the note that another device wrote until its own cook has seen it', function () {
    $roast = $this->roast();
    $tag = '"'.$this->getJson("/api/roasts/$roast->id")->json('edition').'"';
    $note = fn (string $words, string $tag) => $this->putJson("/api/roasts/$roast->id/debrief", ['note' => $words], ['If-Match' => $tag]);
    $note('Drier wood.', $tag)->assertOk();
    $late = $note('More coals.', $tag)->assertStatus(412);
    expect($late->json('current.note'))->toBe('Drier wood.')->and($roast->fresh()->debrief_note)->toBe('Drier wood.');
});

it('keeps where another device put a probe', function () {
    $roast = $this->roast();
    $device = Device::factory()->for($roast->user)->create();
    $tag = '"'.$this->getJson('/api/devices')->json('0.edition').'"';
    $put = fn (array $probes) => $this->putJson(
        "/api/devices/$device->id", ['name' => $device->name, 'roast' => $roast->id, 'probes' => $probes], ['If-Match' => $tag],
    );
    $put([['channel' => 1, 'dish' => 0, 'place' => 'core']])->assertOk();
    $put([['channel' => 2, 'dish' => 0, 'place' => 'cooker']])->assertStatus(412)->assertJsonPath('current.probes.0.channel', 1);
    // What it sends changes nothing of that.
    expect($device->fresh()->edition()->tag())->toBe('"'.$this->getJson('/api/devices')->json('0.edition').'"');
});
