<?php

declare(strict_types=1);

use Tests\Support\Contract;

// What can be looked up: every figure with its source.

it('answers as the contract says, and only to who is signed in', function () {
    $this->getJson('/api/handbook')->assertUnauthorized();
    $answer = $this->actingAs($this->cook())->getJson('/api/handbook')->assertOk();
    expect(Contract::breaches((string) $answer->content(), 'Handbook'))->toBe([]);
    foreach (['troubles', 'minimums', 'keeping', 'cautions'] as $chapter) {
        foreach ($answer->json($chapter) as $row) {
            expect(said($row['source']))->not->toBe('');
        }
    }
});

// USDA FSIS, Safe Minimum Internal Temperature Chart: 145 °F and 3 minutes for whole cuts, 160 °F ground, 165 °F poultry and stuffing.
it('has the published minimums', function () {
    $rows = array_column($this->actingAs($this->cook())->getJson('/api/handbook')->json('minimums'), null, 'id');
    $f = fn (string $id): int => (int) round($rows[$id]['core_c'] * 1.8 + 32);
    expect($f('poultry'))->toBe(165)->and($f('stuffing'))->toBe(165)->and(min(array_map(fn (string $id): int => $rows[$id]['core_c'] === null ? 999 : $f($id), array_keys($rows))))->toBe(145);
});

// What people type when something goes wrong.
it('has a page for each trouble that people look for, with something to do', function (string $typed) {
    $pages = $this->actingAs($this->cook())->getJson('/api/handbook')->json('troubles');
    $there = array_filter($pages, fn (array $page): bool => str_contains($page['called'].' '.mb_strtolower(said($page['name'])), $typed));
    expect($there)->not->toBe([]);
    foreach ($there as $page) {
        expect(str_word_count(said($page['words'])))->toBeGreaterThan(12)->toBeLessThan(70);
    }
})->with(['stall', 'flare-up', 'tough', 'skin', 'smoke', 'dig', 'undercooked', 'burnt', 'bitter', 'rain', 'motor', 'power', 'thermometer', 'dry', 'fire out']);

// Common practice: 2 to 3 s is fierce, 4 to 5 medium, 6 to 8 gentle; longer is cooler, always.
it('has a hand test that cools with every second', function () {
    $walls = array_column($this->actingAs($this->cook())->getJson('/api/handbook')->json('hand'), 'wall_c');
    $sorted = $walls;
    rsort($sorted);
    expect($walls)->toBe($sorted)->and(count(array_unique($walls)))->toBe(count($walls));
});
