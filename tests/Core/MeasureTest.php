<?php

declare(strict_types=1);

use Diatherm\Food\Larder;
use Diatherm\Measure\Bisection;
use Diatherm\Measure\Fields;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\LeastSquares;
use Diatherm\Measure\Mark;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Source;
use Diatherm\Measure\Spread;
use Diatherm\Measure\Table;
use Diatherm\Measure\Unit;

/** @return array<string, list<string>> as they are read */
function wrong(Fields $fields): array
{
    try {
        $fields->orThrow();
    } catch (InvalidInput $wrong) {
        return array_map(fn (array $messages): array => array_map(said(...), $messages), $wrong->messages);
    }

    return [];
}

it('finds a root that is known', function () {
    expect(Bisection::root(fn (float $x): float => $x * $x - 2.0, 0.0, 2.0, 1e-9))->toEqualWithDelta(M_SQRT2, 1e-8)
        ->and(Bisection::root(fn (float $x): float => cos($x), 1.0, 2.0, 1e-9))->toEqualWithDelta(M_PI / 2, 1e-8);
});

it('gives the nearer end when there is no root between', function () {
    expect(Bisection::root(fn (float $x): float => $x + 5.0, 0.0, 2.0, 1e-6))->toBe(0.0)
        ->and(Bisection::root(fn (float $x): float => $x - 5.0, 0.0, 2.0, 1e-6))->toBe(2.0);
});

// Source: Anscombe 1973, Graphs in Statistical Analysis (from memory): y = 3.00 + 0.500 x through the first of its four sets.
it('finds the line of a published set of points, and stays at what it was told where nothing was observed', function () {
    $x = [10.0, 8.0, 13.0, 9.0, 11.0, 14.0, 6.0, 4.0, 12.0, 7.0, 5.0];
    $y = [8.04, 6.95, 7.58, 8.81, 8.33, 9.96, 7.24, 4.26, 10.84, 4.82, 5.68];
    $squares = new LeastSquares([[0.0, 1e4], [0.0, 1e4], [7.0, 2.0]]);
    foreach ($x as $i => $at) {
        $squares->observe([0 => 1.0, 1 => $at], $y[$i], 1.0);
    }
    [$intercept, $slope, $untold] = $squares->solve();
    expect($intercept)->toEqualWithDelta(3.0, 0.005)->and($slope)->toEqualWithDelta(0.5, 0.0005)->and($untold)->toEqualWithDelta(7.0, 1e-9);
});

// Two that know the same thing with the same sureness meet half way.
it('weighs what it was told against what was observed', function () {
    $squares = new LeastSquares([[1.0, 0.5]]);
    $squares->observe([0 => 1.0], 3.0, 4.0);
    expect($squares->solve()[0])->toEqualWithDelta(2.0, 1e-12);
});

it('works with other tables for a while, and with its own again after it, whatever happens', function () {
    $forms = Table::named('forms');
    $other = $forms;
    $other['forms'] = [['id' => 'halved', 'half_factor' => 0.5] + $forms['forms'][0]];
    $before = array_keys(Larder::forms());
    expect(Table::with(['forms' => $other], fn (): array => array_keys(Larder::forms())))->toBe(['halved'])
        ->and(array_keys(Larder::forms()))->toBe($before)
        ->and(fn () => Table::with(['forms' => $other], fn () => throw new LogicException('No.')))->toThrow(LogicException::class)
        ->and(array_keys(Larder::forms()))->toBe($before)->and(Table::named('forms'))->toBe($forms);
});

it('keeps a spread in order, and moves it whole', function () {
    $spread = Spread::of(1.0, 2.0, 4.0);
    expect($spread->width())->toBe(3.0)
        ->and($spread->plus(10.0))->toEqual(Spread::of(11.0, 12.0, 14.0))
        ->and(Spread::exactly(5.0)->width())->toBe(0.0);
    expect(fn () => Spread::of(3.0, 2.0, 4.0))->toThrow(OutOfRange::class)
        ->and(fn () => Spread::of(1.0, 5.0, 4.0))->toThrow(OutOfRange::class);
});

it('asks a citation of what was published', function () {
    expect(fn () => Source::of(Mark::Published))->toThrow(OutOfRange::class)
        ->and(fn () => Source::of(Mark::Memory))->toThrow(OutOfRange::class)
        ->and(said(Source::of(Mark::Common)->inWords()))->toBe('Common practice')
        ->and(said(Source::of(Mark::Memory, 'A handbook')->inWords()))->toBe('Published; value given from memory: A handbook');
});

it('checks a number and says the range in plain words', function (mixed $value, ?string $message) {
    $fields = Fields::of(['mass' => $value]);
    $fields->number('mass', 'mass', 0.5, 60.0, Unit::Kilogram);
    expect(wrong($fields)['mass'][0] ?? null)->toBe($message);
})->with([
    [3, null], [2.5, null], ['4.2', null], ['1e1', null],
    [
        0.4,
        'The mass must be between 500 g and 60 kg.',
    ], [61, 'The mass must be between 500 g and 60 kg.'], ['heavy', 'The mass must be a number.'], [[3], 'The mass must be a number.'], [true, 'The mass must be a number.'],
    [null, 'Give the mass.'], ['', 'Give the mass.'], [NAN, 'The mass must be a number.'], [INF, 'The mass must be a number.'],
]);

it('reads whole numbers, texts, truths and times, and refuses the rest', function () {
    $fields = Fields::of(
        ['people' => 2.5, 'name' => str_repeat('x', 9), 'coast' => 'yes', 'at' => 'noon', 'list' => ['a' => 1], 'rig' => [1, 2]],
    );
    $fields->wholeNumber('people', 'number_of_people', 1, 10);
    $fields->text('name', 'name', 8);
    $fields->truth('coast', 'wish_to_pull_early', true);
    $fields->time('at', 'serving_hour');
    $fields->list('list', 'items', 0, 3);
    $fields->object('rig', 'rig');
    expect(array_keys(wrong($fields)))->toBe(['people', 'name', 'coast', 'at', 'list', 'rig']);
});

it('takes a default where nothing was said', function () {
    $fields = Fields::of([]);
    expect($fields->number('a', 'a', 0.0, 1.0, Unit::None, 0.25))->toBe(0.25)
        ->and($fields->text('b', 'b', 9, 'usual'))->toBe('usual')
        ->and($fields->truth('c', 'c', true))->toBeTrue()
        ->and(
            $fields->optionalNumber('d', 'd', 0.0, 1.0, Unit::None),
        )->toBeNull()->and($fields->object('e', 'e'))->toBeNull()->and($fields->list('f', 'f', 0, 3))->toBe([])->and(wrong($fields))->toBe([]);
});

it('names what is wrong deep inside by its path', function () {
    $fields = Fields::of(['dishes' => [['stages' => [['cooker_c' => 'hot']]]]]);
    foreach ($fields->list('dishes', 'dishes', 1, 3) as $dish) {
        foreach ($dish->list('stages', 'stages', 1, 3) as $stage) {
            $stage->number('cooker_c', 'cooker_temperature', 80.0, 260.0, Unit::Celsius);
            $stage->only('cooker');
        }
    }
    expect(array_keys(wrong($fields)))->toBe(['dishes.0.stages.0.cooker_c'])
        ->and(wrong($fields)['dishes.0.stages.0.cooker_c'])->toHaveCount(2);
});

it('reads times with any offset, to the microsecond, and no day that is none', function (string $text, bool $sound) {
    $fields = Fields::of(['at' => $text]);
    $time = $fields->time('at', 'serving_hour');
    expect($time !== null)->toBe($sound);
})->with([
    ['2031-10-04T18:45:00Z', true], ['2031-10-04T18:45+0200', true], [
        '2031-10-04T18:45:00.123456-07:00',
        true,
    ], ['2028-02-29T12:00:00Z', true],
    ['2031-02-29T12:00:00Z', false], ['2031-10-04T25:00:00Z', false], ['2031-10-04', false], ['2031-10-04T18:45:00', false], ['tomorrow', false], [
        "2031-10-04T18:45:00Z\n",
        false,
    ],
]);
