<?php

declare(strict_types=1);

use Diatherm\Food\Mix;
use Diatherm\Food\MixItem;
use Diatherm\Measure\InvalidInput;

it('scales a mix there and back to the same mix', function (string $id) {
    $mix = Mix::ours()[$id];
    foreach ([0.37, 2.0, 13.5] as $measure) {
        $one = $mix->scaled(1.0);
        $there = $mix->scaled($measure);
        foreach ($there as $i => $item) {
            expect($item->scaled(1.0 / $measure)->amount)->toEqualWithDelta($one[$i]->amount, 1e-9);
        }
    }
})->with(fn () => array_keys(Mix::ours()));

// Common practice: 60 ml a kilogram for a thin oil marinade, about 150 ml for a thick yoghurt one; 2 parts of drippings to 1
// of water; 50 g of butter and 50 g of flour to a litre of stock and wine.
it('holds to the trade’s proportions', function () {
    $volume = fn (string $id): float => array_sum(
        array_map(
            fn (MixItem $item): float => in_array($item->unit, ['ml', 'g'], true) && $item->amount > 12.0 ? $item->amount : 0.0,
            Mix::ours()[$id]->scaled(1.0),
        ),
    );
    expect($volume('herb-oil'))->toEqualWithDelta(60.0, 5.0)->and($volume('yoghurt-marinade'))->toEqualWithDelta(145.0, 15.0);
    [$drippings, $water] = Mix::ours()['pan-gravy']->scaled(600.0);
    expect($drippings->amount)->toEqualWithDelta(400.0, 1e-9)->and($water->amount)->toEqualWithDelta(200.0, 1e-9);
    $glaze = array_column(
        array_map(fn (MixItem $item): array => $item->toArray(), Mix::ours()['stock-glaze']->scaled(2.0)),
        'amount',
        'what',
    );
    expect($glaze['butter'])->toBe(100.0)->and($glaze['stock'])->toBe(1000.0);
});

it('measures as a kitchen does', function (float $amount, string $unit, string $words) {
    expect(said(MixItem::fromLine("$amount $unit oil")->inWords()))->toBe($words);
})->with([[5, 'ml', '1 tsp'], [15, 'ml', '1 tbsp'], [37, 'ml', '2.5 tbsp'], [163, 'ml', '165 ml'], [1250, 'ml', '1.25 l'], [7.3, 'g', '7.5 g'], [263, 'g', '260 g'], [1500, 'g', '1.5 kg']]);

it('reads lines as recipes print them', function (string $line, string $what, float $amount, string $unit) {
    $item = MixItem::fromLine($line);
    expect($item->what)->toBe($what)->and($item->amount)->toEqualWithDelta($amount, 1e-6)->and($item->unit)->toBe($unit);
})->with([
    ['200 g yoghurt', 'yoghurt', 200.0, 'g'], ['1 ½ tbsp oil', 'oil', 22.5, 'ml'], ['½ cup of cider', 'cider', 120.0, 'ml'], [
        '2 onions, sliced', 'onions, sliced', 2.0, '',
    ], ['salt', 'salt', 0.0, ''], ['1/2 lb butter', 'butter', 226.796185, 'g'], ['1,5 l stock', 'stock', 1500.0, 'ml'],
]);

// schema.org/Recipe: recipeIngredient as lines, recipeYield as text or number, in a graph or alone.
it('reads a published recipe, its yield scaled to one guest', function (array $wrap) {
    $recipe = [
        '@context' => 'https://schema.org',
        '@type' => 'Recipe',
        'name' => 'Island marinade',
        'recipeYield' => '4 servings',
        'recipeIngredient' => ['200 g yoghurt', '2 tbsp oil', 'salt'],
        'recipeInstructions' => [['@type' => 'HowToStep', 'text' => 'Stir.'], ['@type' => 'HowToStep', 'text' => 'Wait.']],
    ];
    $mix = Mix::fromRecipe($wrap === [] ? $recipe : ['@graph' => [['@type' => 'WebPage'], $recipe]]);
    expect($mix->basis)->toBe('per_guest')
        ->and($mix->items[0]->amount)->toBe(50.0)
        ->and($mix->items[1]->amount)->toBe(7.5)
        ->and($mix->method)->toBe('Stir. Wait.')
        ->and(said($mix->scaled(8.0)[0]->inWords()))->toBe('400 g')->and(said($mix->items[2]->inWords()))->toBe('to taste');
})->with([[[]], [['graph']]]);

it('refuses what is no mix, at its field', function (string $path, array $data) {
    expect(fn () => Mix::read($data))->toThrow(function (InvalidInput $wrong) use ($path): void {
        expect($wrong->messages)->toHaveKey($path);
    });
})->with([
    ['name', ['items' => [['what' => 'oil', 'amount' => 1, 'unit' => 'ml']]]], ['items', ['name' => 'Nothing', 'items' => []]], [
        'items.0.amount',
        ['name' => 'x', 'items' => [['what' => 'oil', 'amount' => -1]]],
    ],
    [
        'items.0.unit',
        ['name' => 'x', 'items' => [['what' => 'oil', 'amount' => 1, 'unit' => 'bucket']]],
    ], ['items.0.what', ['name' => 'x', 'items' => [['amount' => 1]]]], ['basis', ['name' => 'x', 'basis' => 'per_moon', 'items' => [['what' => 'oil']]]], ['kind', ['name' => 'x', 'kind' => 'spell', 'items' => [['what' => 'oil']]]],
]);

it('refuses a recipe that does not say for how many it is, or is none', function (array $data) {
    expect(fn () => Mix::fromRecipe($data))->toThrow(InvalidInput::class);
})->with([[['@type' => 'Recipe', 'name' => 'x', 'recipeIngredient' => ['salt']]], [['@type' => 'Article']], [[]]]);
