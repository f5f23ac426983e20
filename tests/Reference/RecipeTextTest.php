<?php

declare(strict_types=1);

use Diatherm\Food\Mix;
use Diatherm\Food\MixItem;
use Diatherm\Food\RecipeText;

// Recipes as people write them. Spoons of 5 and 15 ml, cups of 240: common practice. Pounds and ounces: NIST SP 811, appendix B.

it('reads a recipe that was pasted, a line for each thing', function () {
    $mix = Mix::read(RecipeText::read(<<<'TEXT'
        Marinade for thighs

        For 2 kg
        Ingredients:
        - 250 g plain yoghurt
        - 2 tbsp lemon juice
        * 1 ½ tsp ground cumin
        • 4 cloves garlic, crushed
        a bunch of coriander
        2 onions
        salt to taste

        Method
        Stir all of it together, rub it in and keep it cold. Six hours are enough.
        TEXT));
    $lines = array_map(fn (MixItem $item): array => [$item->what, round($item->amount, 3), $item->unit], $mix->items);
    expect($mix->name)->toBe('Marinade for thighs')->and($mix->basis)->toBe('per_kg')
        // For two kilograms: half of it for each.
        ->and($lines)->toBe([
            ['plain yoghurt', 125.0, 'g'], ['lemon juice', 15.0, 'ml'], ['ground cumin', 3.75, 'ml'], ['garlic, crushed', 2.0, 'clove'],
            ['coriander', 0.5, 'bunch'], ['onions', 1.0, ''], ['salt', 0.0, ''],
        ])
        ->and($mix->method)->toBe('Stir all of it together, rub it in and keep it cold. Six hours are enough.');
});

it('takes what it is for from its own line', function (string $line, string $basis, float $amount) {
    $read = RecipeText::read("Slaw\n$line\n600 g cabbage");
    expect($read['basis'])->toBe($basis)->and($read['items'][0]['amount'])->toEqualWithDelta($amount, 0.01);
})->with([
    ['Serves 4', 'per_guest', 150.0], ['For 6 people', 'per_guest', 100.0], ['for 3 lb', 'per_kg', 600.0 / (3 * 0.45359237)], ['Makes: 12', 'per_guest', 50.0], ['For 500 g', 'per_kg', 1200.0],
]);

it('leaves in its line what it does not understand, and never fails', function (string $text) {
    $read = RecipeText::read($text);
    expect($read['items'])->each->toHaveKeys(['what', 'amount', 'unit'])->and(mb_strlen($read['name']))->toBeLessThanOrEqual(80);
})->with(['', "\n\n", 'Only a name', '7', '½', '3 glugs of oil', "1/0 cup nothing\n99999999999 kg salt", "- - -\n1) 2) 3)", str_repeat("2 tbsp oil\n", 400), "x\0y", 'for 0 kg', 'for 0 people']);

it('measures as a kitchen does: whole cloves, half spoons, halves of a thing', function (float $amount, string $unit, string $words) {
    expect(said(MixItem::of('x', $amount, $unit)->inWords()))->toBe($words);
})->with([
    [0.3, 'clove', '1 clove'], [2.4, 'clove', '2 cloves'], [0.3, 'bunch', 'half a bunch'], [1.6, 'bunch', '2 bunches'], [1.2, 'sprig', '1 sprig'],
    [0.0, 'g', 'to taste'], [0.4, '', '0.5'], [23.0, 'ml', '1.5 tbsp'], [1234.0, 'g', '1.2 kg'], [7.0, 'ml', '1.5 tsp'],
]);

it('is bought whole', function () {
    expect(said(MixItem::of('lemon', 1.2, '')->toBuy()))->toBe('2')->and(said(MixItem::of('parsley', 0.2, 'bunch')->toBuy()))->toBe('1 bunch');
});

// Source of the members: schema.org, Recipe.
it('writes a mix as a published recipe that reads back as it was', function () {
    foreach (Mix::ours() as $mix) {
        if ($mix->basis !== 'per_guest') {
            continue;
        }
        $recipe = $mix->toRecipe(4.0);
        $lines = fn (Mix $of): array => array_map(fn (MixItem $item): array => [$item->what, round($item->amount, 1), $item->unit], $of->items);
        expect($recipe['@type'])->toBe('Recipe')->and($recipe['recipeYield'])->toBe('4 servings')
            ->and($recipe['recipeIngredient'])->toHaveCount(count($mix->items))
            ->and($lines(Mix::fromRecipe($recipe)))->toBe($lines($mix), $mix->name);
    }
});
