<?php

declare(strict_types=1);

use App\Models\Roast;
use Illuminate\Support\Str;
use Tests\Support\Contract;
use Tests\Support\Samples;

function toGo(array $dish = [], array $roast = []): array
{
    return Samples::file($dish, $roast + ['serve_at' => now()->addHours(9)->toAtomString()]);
}

/** @return array<string, mixed> the entry of that id */
function sheetEntry(array $plan, string $id): array
{
    return array_values(
        array_filter($plan['run_sheet'], fn (array $entry): bool => $entry['id'] === $id),
    )[0] ?? throw new LogicException("No $id.");
}

it('tells the whole fire of a preview, within its contract', function (array $dish) {
    $this->actingAs($this->cook());
    $answer = $this->postJson('/api/preview', toGo($dish))->assertOk();
    expect(Contract::breaches($answer->content(), 'Plan'))->toBe([])->and($answer->json('fires'))->not->toBe([]);
})->with([
    'kettle' => [[]],
    'gas' => [['stages' => [['cooker' => 'gas', 'cooker_c' => 170]]]],
    'pellet' => [['stages' => [['cooker' => 'pellet', 'cooker_c' => 95, 'minutes' => 60], ['cooker' => 'pellet', 'cooker_c' => 150]]]],
    'griddle' => [
        ['cut' => 'beef-steak', 'mass_kg' => 0.6, 'taste' => 'medium_rare', 'stages' => [['cooker' => 'griddle', 'cooker_c' => 220]]],
    ],
    'spit' => [['cut' => 'lamb-leg', 'taste' => 'medium', 'mass_kg' => 3, 'stages' => [['cooker' => 'open-spit', 'cooker_c' => 380]]]],
    'camp oven' => [['stages' => [['cooker' => 'camp-oven', 'cooker_c' => 175]]]],
    'buried' => [['rig' => ['kind' => 'buried_pot', 'pot_cm' => 36], 'stages' => [['cooker' => 'camp-oven']]]],
    'oven' => [['stages' => [['cooker' => 'oven', 'cooker_c' => 160]]]],
]);

it('answers as the coals are moved, and keeps them where they were put', function () {
    $roast = $this->roast([], ['serve_at' => now()->addHours(7)->toAtomString()]);
    $file = $this->getJson("/api/roasts/{$roast->id}")->json('file');
    $near = fn (array $piles): float => $this->postJson(
        '/api/preview',
        ['fires' => [['cooker' => 'kettle', 'piles' => $piles]]] + $file,
    )->assertOk()->json('fires.0.floor.meat_kw_m2');
    expect($near([['x_cm' => 0, 'y_cm' => 0, 'kg' => 1]]))->toBeGreaterThan($near([['x_cm' => 0, 'y_cm' => 22, 'kg' => 1]]));
    $this->changeRoast($roast->id,
        [
            'fires' => [['cooker' => 'kettle', 'layout' => 'two_sides', 'piles' => [['x_cm' => -20, 'y_cm' => 5.5, 'kg' => 1]]]],
            'wind_ms' => 4,
            'rain' => true,
        ] + $file,
    )->assertOk()
        ->assertJsonPath('file.fires.0.piles.0.y_cm', 5.5)->assertJsonPath('file.wind_ms', 4)->assertJsonPath('file.rain', true)
        ->assertJsonPath('plan.fires.0.layout', 'two_sides');
});

it('keeps the water of the wood, and asks for more wood for it', function () {
    $lamb = ['cut' => 'lamb-leg', 'taste' => 'medium', 'mass_kg' => 3, 'stages' => [['cooker' => 'open-spit', 'cooker_c' => 380]]];
    $roast = $this->roast($lamb, ['serve_at' => now()->addHours(9)->toAtomString()]);
    $file = $this->getJson("/api/roasts/{$roast->id}")->json('file');
    $wet = fn (int $percent): array => ['fires' => [['cooker' => 'open-spit', 'moisture_percent' => $percent]]] + $file;
    $dry = $this->changeRoast($roast->id, $wet(15))->assertOk()->json('plan.fires.0');
    $green = $this->changeRoast($roast->id,
        $wet(45),
    )->assertOk()->assertJsonPath('file.fires.0.moisture_percent', 45)->json('plan.fires.0');
    expect($green['buy_kg'])->toBeGreaterThan(1.3 * $dry['buy_kg'])
        ->and($green['light_minutes'])->toBeLessThan($dry['light_minutes'])
        ->and(array_column($green['fuels'], 'moisture_percent', 'id'))->toMatchArray(['hardwood' => 18, 'lump' => null]);
    $this->changeRoast($roast->id, $wet(90))->assertUnprocessable()->assertJsonValidationErrors('fires.0.moisture_percent');
    expect(Roast::firstOrFail()->inputs['fires'][0]['moisture_percent'])->toEqual(45);
});

it('burns in the open what was laid there', function () {
    $this->actingAs($this->cook());
    $with = fn (float $kg): array => $this->postJson(
        '/api/preview',
        toGo(
            ['cut' => 'lamb-leg', 'taste' => 'medium', 'mass_kg' => 3, 'stages' => [['cooker' => 'open-spit', 'cooker_c' => 380]]],
            ['fires' => [['cooker' => 'open-spit', 'piles' => [['x_cm' => -20, 'y_cm' => 0, 'kg' => $kg / 2], ['x_cm' => 20, 'y_cm' => 0, 'kg' => $kg / 2]]]]],
        ),
    )->assertOk()->json();
    [$some, $more] = [$with(5.0), $with(7.0)];
    expect($some['fires'][0]['start']['kg'])->toEqualWithDelta(5.0, 0.01)
        ->and($some['fires'][0]['moved'])->toBeTrue()
        ->and($more['fires'][0]['hand_s'])->toBeLessThan($some['fires'][0]['hand_s'])
        ->and($more['dishes'][0]['cook_minutes']['likely'])->toBeLessThan($some['dishes'][0]['cook_minutes']['likely']);
});

it('refuses a fire at its field and keeps the one there was', function () {
    $roast = $this->roast();
    $file = $this->getJson("/api/roasts/{$roast->id}")->json('file');
    $this->changeRoast($roast->id,
        ['fires' => [['cooker' => 'kettle', 'fuel' => 'old tyres']]] + $file,
    )->assertUnprocessable()->assertJsonValidationErrors('fires.0.fuel');
    expect(Roast::firstOrFail()->inputs['fires'])->toBe([]);
});

it('plans with the cook’s own cooker, and with no one else’s', function () {
    $wish = ['fires' => [['cooker' => 'kettle', 'own' => 'Cold kettle']]];
    $cold = fn () => $this->postJson(
        '/api/cookers',
        [
            'name' => 'Cold kettle',
            'kind' => 'kettle',
            'observations' => array_map(
                fn (int $mm): array => ['settings' => ['intake_mm' => $mm, 'exhaust_mm' => $mm], 'air_c' => 14, 'celsius' => 14 + 15 * $mm],
                [5, 6, 7, 8, 9],
            ),
        ],
    )->assertCreated();
    $slot = fn (): float => array_column(
        $this->postJson('/api/preview', toGo([], $wish))->json('fires.0.steps.0.settings'),
        'value',
        'id',
    )['intake_mm'];
    $this->actingAs($this->cook());
    $cold();
    $this->actingAs($this->cook());
    $usual = $slot();
    $this->postJson('/api/preview', toGo([], $wish))->assertJsonPath('fires.0.own', false);
    $cold();
    $this->postJson('/api/preview', toGo([], $wish))->assertJsonPath('fires.0.own', true)->assertJsonPath('fires.0.name', 'Cold kettle');
    expect($slot())->toBeGreaterThan($usual + 0.9);
});

it('lists roasts without their fires, which are long', function () {
    $this->roast();
    $list = $this->getJson('/api/roasts')->assertOk();
    expect($list->json('0.plan.fires'))->toBe([])
        ->and($list->json('0.plan.run_sheet'))->not->toBeEmpty()
        ->and(Contract::breachesInList((string) $list->getContent(), 'RoastSummary'))->toBe([]);
});

it('says the one correction worth making, takes it as an event, and the forecast follows', function () {
    $roast = $this->roast([], ['serve_at' => now()->addHours(2)->toAtomString()]);
    $this->log($roast, 'on', 70)->assertOk();
    foreach ([60 => 140, 40 => 124, 20 => 117, 5 => 114] as $ago => $celsius) {
        $this->read($roast, $celsius, $ago, ['place' => 'cooker'])->assertOk();
    }
    $before = $this->getJson("/api/roasts/{$roast->id}");
    expect(Contract::breaches($before->content(), 'Roast'))->toBe([])
        ->and($before->json('tending.0.cooker'))->toBe('kettle')
        ->and($before->json('tending.0.correction.act'))->toBe('set')
        ->and(last($before->json('tending.0.readings'))['celsius'])->toBe(114);
    $wanted = $before->json('tending.0.correction.settings');
    expect($wanted['intake_mm'])->toBeGreaterThan($before->json('tending.0.settings.intake_mm'));
    $after = $this->log($roast, 'set', 0, ['settings' => $wanted, 'celsius' => 150])->assertOk();
    expect(Contract::breaches($after->content(), 'Roast'))->toBe([])
        ->and($after->json('tending.0.settings'))->toBe($wanted)
        ->and(collect($after->json('events'))->firstWhere('kind', 'set')['settings'])->toBe($wanted)
        ->and($after->json('plan.dishes.0.live.pull_at.likely'))->toBeLessThan($before->json('plan.dishes.0.live.pull_at.likely'));
    // Undone, everything is as it was.
    $id = collect($after->json('events'))->firstWhere('kind', 'set')['id'];
    $this->deleteJson("/api/roasts/{$roast->id}/events/$id")->assertOk()->assertJsonPath(
        'tending.0.settings.intake_mm',
        $before->json('tending.0.settings.intake_mm'),
    );
});

// Whatever step of the fire it is: what was set by hand stands until the next one, and is not asked for again.
it('keeps what was set by hand at a later heat of the same fire', function (array $stages) {
    $roast = $this->roast(
        ['cut' => 'chicken-legs', 'mass_kg' => 0.35, 'pieces' => 8, 'taste' => null, 'target_c' => 82, 'stages' => $stages],
        ['serve_at' => now()->addHours(2)->toAtomString()],
    );
    $this->log($roast, 'on', 62)->assertOk();
    $this->log($roast, 'stage', 50, ['stage' => 1])->assertOk();
    foreach ([30 => 118, 20 => 116, 10 => 114, 1 => 113] as $ago => $celsius) {
        $this->read($roast, $celsius, $ago, ['place' => 'cooker', 'sure' => true])->assertOk();
    }
    $before = $this->getJson("/api/roasts/{$roast->id}");
    // Where coals are due besides, the slots are opened by hand as far as it takes.
    $wanted = $before->json('tending.0.correction.settings') ?? ['intake_mm' => 16, 'exhaust_mm' => 16];
    expect($before->json('tending'))->toHaveCount(1)->and($before->json('tending.0.correction.act'))->toBeIn(['set', 'fuel'])
        ->and($before->json('tending.0.settings'))->not->toEqual($wanted);
    $after = $this->log($roast, 'set', 0, ['settings' => $wanted, 'celsius' => $before->json('tending.0.target_c')])->assertOk();
    expect($after->json('tending.0.settings'))->toEqual($wanted)
        ->and($after->json('tending.0.correction.act'))->not->toBe('set');
    $this->travel(6)->minutes();
    expect($this->getJson("/api/roasts/{$roast->id}")->json('tending.0.settings'))->toEqual($wanted);
})->with([
    'a kettle, low and then hotter' => [[['cooker' => 'kettle', 'cooker_c' => 120, 'minutes' => 12], ['cooker' => 'kettle', 'cooker_c' => 170, 'pull' => true]]],
    'gas, low and then hotter' => [[['cooker' => 'gas', 'cooker_c' => 120, 'minutes' => 12], ['cooker' => 'gas', 'cooker_c' => 170, 'pull' => true]]],
    'over the coals, beside them and back' => [[
        ['cooker' => 'kettle-direct', 'cooker_c' => 220, 'minutes' => 12], ['cooker' => 'kettle', 'cooker_c' => 170, 'until_core_c' => 75],
        ['cooker' => 'kettle-direct', 'cooker_c' => 220, 'pull' => true],
    ]],
    'beside a burner, over it and back' => [[
        ['cooker' => 'gas', 'cooker_c' => 160, 'minutes' => 12], ['cooker' => 'gas-direct', 'cooker_c' => 220, 'until_core_c' => 75],
        ['cooker' => 'gas', 'cooker_c' => 160, 'pull' => true],
    ]],
]);

it('gives a fire that was just turned up its time, and takes what was read before for no fault of it', function (string $cooker, array $since) {
    $roast = $this->roast(
        ['cut' => 'chicken-legs', 'mass_kg' => 0.35, 'pieces' => 8, 'taste' => null, 'target_c' => 82, 'stages' => [
            ['cooker' => $cooker, 'cooker_c' => 120, 'minutes' => 17], ['cooker' => $cooker, 'cooker_c' => 180, 'pull' => true],
        ]],
        ['serve_at' => now()->addHours(2)->toAtomString()],
    );
    $this->log($roast, 'on', 20)->assertOk();
    $this->log($roast, 'stage', 3, ['stage' => 1])->assertOk();
    foreach ([15 => 119, 10 => 121, 6 => 120] + $since as $ago => $celsius) {
        $this->read($roast, $celsius, $ago, ['place' => 'cooker', 'sure' => true])->assertOk();
    }
    expect($this->getJson("/api/roasts/{$roast->id}")->json('tending.0.target_c'))->toEqual(180)
        ->and($this->getJson("/api/roasts/{$roast->id}")->json('tending.0.correction.act'))->toBeIn([null, 'wait', 'hold']);
})->with(['kettle', 'gas', 'pellet', 'ceramic', 'oven'])->with([[[]], [[1 => 126]], [[2 => 122, 1 => 128]]]);

// Minute by minute through the time that a correction is given to work, with a core that was read: the roast can be worked out throughout.
it('goes on telling the hours after a correction', function () {
    $roast = $this->roast([], ['serve_at' => now()->addHours(2)->toAtomString()]);
    $this->log($roast, 'on', 70)->assertOk();
    foreach ([60 => 140, 40 => 124, 20 => 117, 5 => 114] as $ago => $celsius) {
        $this->read($roast, $celsius, $ago, ['place' => 'cooker'])->assertOk();
    }
    foreach ([45 => 12.0, 30 => 21.0, 15 => 30.5, 4 => 36.0] as $ago => $celsius) {
        $this->read($roast, $celsius, $ago)->assertOk();
    }
    $this->log($roast, 'set', 0, ['settings' => ['intake_mm' => 12, 'exhaust_mm' => 12], 'celsius' => 150])->assertOk()->assertJsonPath('status', 'cooking');
    for ($minutes = 1; $minutes <= 26; $minutes++) {
        $this->travel(1)->minutes();
        $now = $this->getJson("/api/roasts/{$roast->id}")->assertOk()->assertJsonPath('status', 'cooking');
        expect($now->json('plan.dishes.0.live.pull_at.likely'))->not->toBeNull("$minutes min");
    }
});

it('has nothing to say of a fire that nobody cooks on', function () {
    $roast = $this->roast();
    expect($this->getJson("/api/roasts/{$roast->id}")->json('tending'))->toBe([]);
    $this->log($roast, 'on', 30);
    expect($this->getJson("/api/roasts/{$roast->id}")->json('tending.0.correction'))->toBeNull();
});

it('refuses a setting that is none', function (string $field, array $more) {
    $roast = $this->roast();
    $this->log($roast, 'on', 30);
    $this->log($roast, 'set', 0, $more)->assertUnprocessable()->assertJsonValidationErrors($field);
})->with([
    ['settings', ['celsius' => 150]],
    ['celsius', ['settings' => ['intake_mm' => 6]]],
    ['settings.intake_mm', ['settings' => ['intake_mm' => 'wide'], 'celsius' => 150]],
    ['settings', ['settings' => 'wide open', 'celsius' => 150]],
    ['celsius', ['settings' => ['intake_mm' => 6], 'celsius' => 5000]],
]);

// 6 s are 9.46 kW/m², as a black wall of 366 °C gives it. Source: API RP 521, from Stoll & Greene 1959 (from memory); σT⁴ worked by hand.
it('takes a hand test for a reading of the fire', function () {
    $roast = $this->roast(
        ['cut' => 'lamb-leg', 'mass_kg' => 3, 'taste' => 'medium', 'stages' => [['cooker' => 'open-spit', 'cooker_c' => 380]]],
    );
    $this->log($roast, 'on', 20);
    $answer = $this->postJson(
        "/api/roasts/{$roast->id}/readings",
        ['id' => (string) Str::uuid(), 'dish' => 0, 'at' => now()->toAtomString(), 'place' => 'cooker', 'hand_s' => 6],
    )->assertOk();
    expect($answer->json('readings.0.celsius'))->toEqualWithDelta(366.0, 1.5)
        // It is given back as it was felt, and the advice speaks of hands alone.
        ->and($answer->json('readings.0.hand_s'))->toEqualWithDelta(6.0, 0.05)
        ->and($answer->json('tending.0.correction.hand_s.read'))->toEqualWithDelta(6.0, 0.2)
        ->and(said($answer->json('tending.0.correction.why')))->not->toMatch('/°C|\bK\b/');
    foreach ([['place' => 'cooker', 'hand_s' => 0.5], ['place' => 'core', 'hand_s' => 6], ['place' => 'cooker', 'hand_s' => 'long']] as $bad) {
        $this->postJson(
            "/api/roasts/{$roast->id}/readings",
            $bad + ['id' => (string) Str::uuid(), 'dish' => 0, 'at' => now()->toAtomString()],
        )->assertUnprocessable()->assertJsonValidationErrors('hand_s');
    }
    $this->postJson(
        "/api/roasts/{$roast->id}/readings",
        ['id' => (string) Str::uuid(), 'dish' => 0, 'at' => now()->toAtomString(), 'place' => 'cooker'],
    )->assertUnprocessable()->assertJsonValidationErrors('celsius');
});

it('does not take coals that faded as they should for a weaker fire', function () {
    $roast = $this->roast(
        ['cut' => 'lamb-leg', 'mass_kg' => 3, 'taste' => 'medium', 'stages' => [['cooker' => 'open-spit', 'hand_s' => 5]]],
    );
    $this->log($roast, 'on', 22);
    $before = $this->getJson("/api/roasts/{$roast->id}")->json('dishes.0.live.cook_minutes.likely');
    $told = fn (float $seconds) => $this->postJson(
        "/api/roasts/{$roast->id}/readings",
        ['id' => (string) Str::uuid(), 'dish' => 0, 'at' => now()->toAtomString(), 'place' => 'cooker', 'hand_s' => $seconds],
    )->assertOk();
    // Twenty minutes after it was made up, a hand bears it longer.
    $answer = $told(8.5);
    expect($answer->json('tending.0.correction.act'))->toBe('hold')
        ->and($answer->json('tending.0.correction.hand_s.read'))->toEqualWithDelta(8.5, 0.1)
        ->and($answer->json('dishes.0.live.cook_minutes.likely'))->toEqualWithDelta($before, 0.12 * $before);
    expect($told(20)->json('tending.0.correction.act'))->toBeIn(['set', 'fuel']);
});

it('ticks a refuel off like anything else', function () {
    $roast = $this->roast(
        [
            'cut' => 'pork-shoulder', 'mass_kg' => 3.5, 'taste' => null, 'target_c' => 88,
            'stages' => [['cooker' => 'kettle', 'cooker_c' => 135]],
        ],
        ['serve_at' => now()->addHours(10)->toAtomString()],
    );
    $this->log($roast, 'on', 10);
    $answer = $this->log($roast, 'fuel', 0, ['entry' => 'fire.kettle.refuel.0']);
    expect(sheetEntry($answer->json('plan'), 'fire.kettle.refuel.0')['done'])->toBeTrue()
        ->and(sheetEntry($answer->json('plan'), 'fire.kettle.refuel.1')['done'])->toBeFalse();
});

it('teaches a cooker what a roast found of it, once', function () {
    $this->actingAs($cook = $this->cook());
    $id = $this->postJson('/api/cookers', ['name' => 'Weir kettle', 'kind' => 'kettle'])->json('id');
    $answer = $this->postJson(
        '/api/roasts',
        Samples::file([], ['serve_at' => now()->addHours(2)->toAtomString(), 'fires' => [['cooker' => 'kettle', 'own' => 'Weir kettle']]]),
    )->assertCreated();
    $roast = Roast::findOrFail($answer->json('id'));
    $this->log($roast, 'on', 100);
    foreach ([70 => 141, 50 => 139, 20 => 140] as $ago => $celsius) {
        $this->read($roast, $celsius, $ago, ['place' => 'cooker']);
    }
    // One that was taken while the lid's doing was still to be seen teaches nothing.
    $this->log($roast, 'lid', 12, ['minutes' => 2]);
    $this->read($roast, 105, 9, ['place' => 'cooker']);
    $this->read($roast, 40, 5);
    $this->postJson("/api/cookers/$id/learn", ['roast' => $roast->id])->assertOk()->assertJsonPath('settled', 3);
    $this->postJson("/api/cookers/$id/learn", ['roast' => $roast->id])->assertOk()->assertJsonPath('settled', 3);
    $this->postJson("/api/cookers/$id/learn", ['roast' => 'nowhere'])->assertNotFound();
    $this->postJson("/api/cookers/$id/learn", [])->assertUnprocessable();
    expect($this->getJson("/api/cookers/$id")->json('observations.0.settings.intake_mm'))->toBeGreaterThan(4.0);
});

it('tends the fire that a dish is on, and the next one once it is lit for it', function (array $first, array $second) {
    $roast = $this->roast(
        ['cut' => 'beef-rib', 'mass_kg' => 2.6, 'taste' => 'medium', 'stages' => [$first, ['cooker' => 'rest', 'minutes' => 20], $second + ['pull' => true]]],
        ['serve_at' => now()->addHours(3)->toAtomString()],
    );
    $tended = fn (): array => array_column((array) $this->getJson("/api/roasts/{$roast->id}")->assertOk()->json('tending'), 'cooker');
    $this->log($roast, 'on', 30)->assertOk();
    expect($tended())->toBe([$first['cooker']]);
    // Off, to rest: nothing is on the first any more.
    $this->log($roast, 'stage', 0, ['stage' => 1])->assertOk();
    expect($tended())->not->toContain($first['cooker']);
    $this->travel(20)->minutes();
    $this->log($roast, 'stage', 0, ['stage' => 2])->assertOk();
    expect($tended())->toBe([$second['cooker']]);
})->with([
    'one grill' => [['cooker' => 'gas', 'cooker_c' => 120, 'until_core_c' => 40], ['cooker' => 'gas-direct', 'cooker_c' => 230]],
    'two cookers' => [['cooker' => 'pellet', 'cooker_c' => 120, 'until_core_c' => 40], ['cooker' => 'oven', 'cooker_c' => 200]],
    'a kettle and its coals' => [['cooker' => 'kettle', 'cooker_c' => 120, 'until_core_c' => 40], ['cooker' => 'open-grate', 'cooker_c' => 420]],
]);
