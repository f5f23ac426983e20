<?php

declare(strict_types=1);

use App\Models\Mix;
use Tests\Support\Contract;

const OWN_MIX = [
    'name' => 'Lock-keeper’s baste',
    'kind' => 'baste',
    'basis' => 'per_kg',
    'items' => [['what' => 'cider', 'amount' => 30, 'unit' => 'ml'], ['what' => 'honey', 'amount' => 1, 'unit' => 'tbsp']],
    'method' => 'Warm.',
];

it('shows mixes scaled to the meat', function () {
    $this->actingAs($this->cook());
    $answer = $this->getJson('/api/mixes?mass_kg=3&litres=0.5&guests=9')->assertOk();
    expect(Contract::breachesInList((string) $answer->getContent(), 'Mix'))->toBe([]);
    $rub = array_values(array_filter($answer->json(), fn (array $mix): bool => $mix['id'] === 'weir-rub'))[0];
    expect($rub['items'][0]['what'])->toBe('salt')->and(said($rub['items'][0]['amount']))->toBe('36 g');
    $this->getJson('/api/mixes?mass_kg=heavy')->assertJsonValidationErrors('mass_kg');
});

it('keeps the cook’s own mixes, and carries them out and in without loss', function () {
    $this->actingAs($this->cook());
    $this->postJson('/api/mixes', OWN_MIX)->assertCreated()->assertJsonPath('0.own', true);
    $id = Mix::firstOrFail()->id;
    $file = $this->getJson("/api/mixes/$id")->assertOk()->json();
    $this->postJson('/api/mixes', $file)->assertCreated();
    expect(Mix::count())->toBe(2)->and($this->getJson('/api/mixes/'.Mix::where('id', '!=', $id)->firstOrFail()->id)->json())->toBe($file);
    $this->deleteJson("/api/mixes/$id")->assertNoContent();
    expect(Mix::count())->toBe(1);
});

it('reads a published recipe', function () {
    $this->actingAs($this->cook());
    $this->postJson(
        '/api/mixes',
        [
            '@context' => 'https://schema.org', '@type' => 'Recipe', 'name' => 'Island sauce', 'recipeYield' => 2,
            'recipeIngredient' => ['100 ml stock'],
        ],
    )->assertCreated();
    expect(said($this->getJson('/api/mixes?guests=6')->json('0.items.0.amount')))->toBe('300 ml');
});

it('writes a mix out as a recipe, which is read where a recipe is pasted', function () {
    $this->actingAs($this->cook());
    $this->postJson('/api/mixes', OWN_MIX)->assertCreated();
    $answer = $this->get('/api/mixes/'.Mix::firstOrFail()->id.'?as=recipe')->assertOk()->assertHeader('Content-Type', 'application/ld+json');
    $recipe = json_decode((string) $answer->content(), true);
    expect($recipe['@type'])->toBe('Recipe')->and($recipe['recipeIngredient'])->toBe(['120 ml cider', '60 ml honey']);
    $read = $this->postJson('/api/mixes/read', ['text' => json_encode(['recipeYield' => '4 servings'] + $recipe)])->assertOk();
    expect($read->json('name'))->toBe(OWN_MIX['name'])->and($read->json('items.0.what'))->toBe('cider')
        ->and((float) $read->json('items.0.amount'))->toBe(30.0);
    $this->postJson('/api/mixes/read', ['text' => '{"@type": "Recipe"}'])->assertUnprocessable();
});

it('refuses a mix that is none, and stores nothing', function (string $field, string $body) {
    $this->actingAs($this->cook());
    $this->call(
        'POST',
        '/api/mixes',
        server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
        content: $body,
    )->assertUnprocessable()->assertJsonValidationErrors($field);
    expect(Mix::count())->toBe(0);
})->with([['file', 'no'], ['file', fn () => '{"name":"'.str_repeat('a', 400_000).'"}'], ['items', '{"name":"x","items":[]}'], ['recipeYield', '{"@type":"Recipe","name":"x","recipeIngredient":["salt"]}']]);

it('does not find another cook’s mix', function () {
    $this->actingAs($this->cook());
    $this->postJson('/api/mixes', OWN_MIX);
    $id = Mix::firstOrFail()->id;
    $this->actingAs($this->cook());
    $this->getJson("/api/mixes/$id")->assertNotFound();
    $this->deleteJson("/api/mixes/$id")->assertNotFound();
    expect(Mix::count())->toBe(1);
});
