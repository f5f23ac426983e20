<?php

declare(strict_types=1);

use Diatherm\Measure\InvalidInput;
use Diatherm\Roast\RoastFile;
use Tests\Support\Samples;

function refusal(mixed $data, ?DateTimeImmutable $now = null): array
{
    try {
        RoastFile::read($data, $now);
    } catch (InvalidInput $wrong) {
        return $wrong->messages;
    }

    return [];
}

it('writes what it reads, without loss', function (string $example) {
    $roast = RoastFile::readJson((string) file_get_contents(__DIR__."/../../docs/examples/$example.json"));
    $written = json_encode(RoastFile::write($roast), JSON_THROW_ON_ERROR);
    expect(RoastFile::readJson($written))->toEqual($roast);
})->with(['weir-supper', 'reverse-sear', 'spit-lamb']);

it('keeps measured sizes to a tenth of a millimetre', function () {
    $file = RoastFile::write(Samples::roast(['thickness_cm' => 10.37, 'girth_cm' => 41.25]));
    expect($file['dishes'][0]['thickness_cm'])->toBe(10.37)->and($file['dishes'][0]['girth_cm'])->toBe(41.25);
});

it('fills in what a cook need not say', function () {
    $roast = RoastFile::read(
        ['serve_at' => Samples::SERVE_AT, 'dishes' => [['cut' => 'chicken', 'mass_kg' => 1.8, 'stages' => [['cooker' => 'kettle']]]]],
    );
    $dish = $roast->dishes[0];
    expect($dish->targetC)->toBe(79.0)
        ->and($dish->stages[0]->cookerC)->toBe(150.0)
        ->and($dish->restMinutes)->toBe(12.0)
        ->and($roast->people)->toBe(4);
});

it('refuses nonsense at its field', function (string $path, array $file) {
    expect(array_keys(refusal($file)))->toContain($path);
})->with([
    'no hour' => ['serve_at', ['serve_at' => ''] + Samples::file()],
    'hour without offset' => ['serve_at', ['serve_at' => '2031-10-04 18:45'] + Samples::file()],
    'a day that is none' => ['serve_at', ['serve_at' => '2031-02-31T18:45:00Z'] + Samples::file()],
    'half a guest' => ['people', ['people' => 2.5] + Samples::file()],
    'nobody' => ['people', ['people' => 0] + Samples::file()],
    'air like iron' => ['air_c', ['air_c' => 900] + Samples::file()],
    'no dish' => ['dishes', ['dishes' => []] + Samples::file()],
    'dish that is text' => ['dishes.0', ['dishes' => ['rack']] + Samples::file()],
    'another format' => ['format', ['format' => 'other'] + Samples::file()],
    'another version' => ['version', ['version' => 4] + Samples::file()],
    'unknown key' => ['colour', ['colour' => 'red'] + Samples::file()],
    'unknown cut' => ['dishes.0.cut', Samples::file(['cut' => 'unicorn'])],
    'negative mass' => ['dishes.0.mass_kg', Samples::file(['mass_kg' => -1])],
    'mass as a word' => ['dishes.0.mass_kg', Samples::file(['mass_kg' => 'heavy'])],
    'huge mass' => ['dishes.0.mass_kg', Samples::file(['mass_kg' => 1e9])],
    'no mass' => ['dishes.0.mass_kg', Samples::file(['mass_kg' => null])],
    'mass in grams' => ['dishes.0.mass_kg', Samples::file(['mass_kg' => 3000])],
    'thickness in millimetres' => ['dishes.0.thickness_cm', Samples::file(['thickness_cm' => 45])],
    'girth of a finger' => ['dishes.0.girth_cm', Samples::file(['thickness_cm' => 10, 'girth_cm' => 4])],
    'frozen start' => ['dishes.0.start_c', Samples::file(['start_c' => -1.1])],
    'a freezer of its own kind' => ['dishes.0.start_c', Samples::file(['start_c' => -273])],
    'boiling start' => ['dishes.0.start_c', Samples::file(['start_c' => 99])],
    'target in °F' => ['dishes.0.target_c', Samples::file(['taste' => null, 'target_c' => 145])],
    'taste of another cut' => ['dishes.0.taste', Samples::file(['taste' => 'flaking'])],
    'form of another kind' => ['dishes.0.form', Samples::file(['cut' => 'beef-rib', 'taste' => 'rare', 'form' => 'opened_flat'])],
    'name too long' => ['dishes.0.name', Samples::file(['name' => str_repeat('a', 81)])],
    'no stage' => ['dishes.0.stages', Samples::file(['stages' => []])],
    'unknown cooker' => ['dishes.0.stages.0.cooker', Samples::file(['stages' => [['cooker' => 'sun', 'pull' => true]]])],
    'cooker in °F' => [
        'dishes.0.stages.0.cooker_c',
        Samples::file(['stages' => [['cooker' => 'kettle', 'cooker_c' => 350, 'pull' => true]]]),
    ],
    'two ends' => ['dishes.0.stages.0.pull', Samples::file(['stages' => [['cooker' => 'kettle', 'minutes' => 20, 'pull' => true]]])],
    'pull in the middle' => [
        'dishes.0.stages.0.pull',
        Samples::file(['stages' => [['cooker' => 'kettle', 'pull' => true], ['cooker' => 'gas', 'pull' => true]]]),
    ],
    'unknown chore' => [
        'dishes.0.stages.0.chores.0.do',
        Samples::file(['stages' => [['cooker' => 'kettle', 'pull' => true, 'chores' => [['do' => 'sing']]]]]),
    ],
    'own chore without words' => [
        'dishes.0.stages.0.chores.0.words',
        Samples::file(['stages' => [['cooker' => 'kettle', 'pull' => true, 'chores' => [['do' => 'own', 'every_minutes' => 20]]]]]),
    ],
    'rest at the end' => [
        'dishes.0.stages',
        Samples::file(['stages' => [['cooker' => 'kettle', 'minutes' => 20], ['cooker' => 'rest', 'cooker_c' => 20, 'minutes' => 5]]]),
    ],
]);

it('refuses numbers that are none', function (float $value) {
    expect(array_keys(refusal(Samples::file(['mass_kg' => $value]))))->toContain('dishes.0.mass_kg');
})->with([NAN, INF, -INF]);

it('refuses an hour that has passed only when asked to plan', function () {
    $now = new DateTimeImmutable('2031-10-04T17:00:00Z');
    expect(array_keys(refusal(Samples::file(), $now)))->toBe(['serve_at'])->and(refusal(Samples::file()))->toBe([]);
});

it('says of what is frozen that it is thawed first, and of nothing else', function (float $start, bool $isFrozen) {
    $said = array_map(fn ($message): string => $message->id, refusal(Samples::file(['start_c' => $start]))['dishes.0.start_c'] ?? []);
    expect($said)->toBe($isFrozen ? ['roast_file.thaw_it_first'] : []);
})->with([[-40, true], [-18, true], [-1.01, true], [-1, false], [0, false], [5, false], [40, false]]);

it('answers all that is wrong at once', function () {
    expect(
        refusal(Samples::file(['mass_kg' => -1, 'start_c' => 99], ['people' => 0])),
    )->toHaveKeys(['people', 'dishes.0.mass_kg', 'dishes.0.start_c']);
});

it('refuses what is no roast file at all', function (string $text) {
    expect(fn () => RoastFile::readJson($text))->toThrow(InvalidInput::class);
})->with(['', 'null', '[]', '"roast"', '{', '{"a":'.str_repeat('[', 50).str_repeat(']', 50).'}', str_repeat(' ', 300_000).'{}']);

it('holds its examples against its published schema', function (string $example) {
    $validator = new Opis\JsonSchema\Validator;
    $schema = json_decode((string) file_get_contents(__DIR__.'/../../docs/roast.schema.json'));
    $file = json_decode((string) file_get_contents(__DIR__."/../../docs/examples/$example.json"));
    expect($validator->validate($file, $schema)->isValid())->toBeTrue()
        ->and(
            $validator->validate(
                json_decode((string) json_encode(RoastFile::write(RoastFile::readJson((string) json_encode($file))))),
                $schema,
            )->isValid(),
        )->toBeTrue();
})->with(['weir-supper', 'reverse-sear', 'spit-lamb']);

it('has a schema that refuses what it refuses', function () {
    $validator = new Opis\JsonSchema\Validator;
    $schema = json_decode((string) file_get_contents(__DIR__.'/../../docs/roast.schema.json'));
    foreach ([Samples::file(['mass_kg' => -1]), Samples::file(['stages' => []]), ['colour' => 1] + Samples::file(), ['serve_at' => 'soon'] + Samples::file()] as $file) {
        expect($validator->validate(json_decode((string) json_encode($file)), $schema)->isValid())->toBeFalse();
    }
});

it('keeps chores of one’s own words, from when and how often, and says them on the sheet', function () {
    $chores = [['do' => 'own', 'words' => 'Mop with cider', 'every_minutes' => 30, 'from_minutes' => 40], ['do' => 'own', 'words' => 'Herbs on the coals', 'from_minutes' => 55]];
    $file = Samples::file(['stages' => [['cooker' => 'kettle', 'pull' => true, 'chores' => $chores]]]);
    $roast = RoastFile::read($file);
    expect(RoastFile::read(RoastFile::write($roast)))->toEqual($roast);
    $sheet = entriesById(Diatherm\Plan\Plan::of($roast, new DateTimeImmutable('2031-10-04T06:00:00+02:00')));
    $after = fn (string $id): float => ($sheet[$id]->at->getTimestamp() - $sheet['d0.on']->at->getTimestamp()) / 60.0;
    expect(said($sheet['d0.chore.0.0.0']->title))->toBe('Mop with cider: Rack of pork')
        ->and([$after('d0.chore.0.0.0'), $after('d0.chore.0.0.1'), $after('d0.chore.0.1.0')])->toBe([40.0, 70.0, 55.0])
        ->and($sheet)->not->toHaveKey('d0.chore.0.1.1');
});
