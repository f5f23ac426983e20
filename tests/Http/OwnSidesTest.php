<?php

declare(strict_types=1);

use App\Models\OwnSide;
use Tests\Support\Contract;

const CORN = ['format' => 'diatherm.side', 'version' => 1, 'name' => 'Corn in the husk', 'minutes' => 25, 'waits_minutes' => 15];

it('keeps a side of one’s own, gives it away as a file, and takes it in again', function () {
    $this->actingAs($this->cook());
    $all = $this->postJson('/api/sides', CORN)->assertCreated();
    expect(Contract::breachesInList((string) $all->content(), 'OwnSide'))->toBe([])->and($all->json('0.name'))->toBe('Corn in the husk');
    $file = $this->getJson('/api/sides/'.$all->json('0.id'))->assertOk();
    expect(Contract::breaches((string) $file->content(), 'SideFile'))->toBe([]);
    // Of two with one name the newer stays.
    $this->postJson('/api/sides', ['minutes' => 30] + CORN)->assertCreated()->assertJsonCount(1)->assertJsonPath('0.side.minutes', 30);
    $this->actingAs($this->cook());
    $this->call('POST', '/api/sides', server: ['CONTENT_TYPE' => 'application/json'], content: (string) $file->content())->assertCreated();
    $mine = $this->getJson('/api/sides')->assertJsonCount(1)->json('0');
    expect($mine['side'])->toEqual($file->json());
    $this->deleteJson("/api/sides/{$mine['id']}")->assertNoContent();
    $this->getJson('/api/sides')->assertJsonCount(0);
});

it('is its cook’s alone, and refuses what is none', function () {
    $this->actingAs($this->cook());
    $id = $this->postJson('/api/sides', CORN)->json('0.id');
    foreach ([['minutes' => 0] + CORN, ['name' => ''] + CORN, ['format' => 'diatherm.roast'] + CORN, ['aisle' => 'moon'] + CORN, ['colour' => 1] + CORN] as $wrong) {
        $this->postJson('/api/sides', $wrong)->assertUnprocessable();
    }
    $this->call('POST', '/api/sides', server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], content: 'corn')->assertUnprocessable();
    $this->call('POST', '/api/sides', server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], content: str_repeat(' ', 20_000).'{}')->assertUnprocessable();
    expect(OwnSide::query()->count())->toBe(1);
    $this->actingAs($this->cook());
    $this->getJson("/api/sides/$id")->assertNotFound();
    $this->deleteJson("/api/sides/$id")->assertNotFound();
});
