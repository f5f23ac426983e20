<?php

declare(strict_types=1);

use Diatherm\Cooking\Course;
use Diatherm\Live\Reading;
use Diatherm\Live\Sieve;
use Diatherm\Live\Verdict;
use Tests\Support\Samples;

// Which readings of one probe are the core. Common practice: what does not follow is read again; of two that differ the colder is believed.

/** @param  list<float|int>  $cores  five minutes apart, from ten minutes on @return list<string> */
function sifted(array $cores): array
{
    $readings = array_map(fn (float|int $core, int $i): Reading => Reading::of("r$i", 600.0 + 300.0 * $i, 'core', (float) $core), $cores, array_keys($cores));

    return array_map(
        fn (Verdict $verdict): string => $verdict->name,
        array_values(Sieve::judge($readings, Samples::dish(), new Course(nowS: 600.0 + 300.0 * count($cores)))->verdicts),
    );
}

it('takes what follows, doubts what does not, and lets enough of one kind outvote the other', function (array $cores, array $verdicts) {
    expect(sifted($cores))->toBe($verdicts);
})->with([
    'a cook as it goes' => [[20, 25, 30, 35], ['Counts', 'Counts', 'Counts', 'Counts']],
    'the same thrice' => [[30, 30, 30], ['Counts', 'Counts', 'Counts']],
    'noise of a tenth' => [[5, 5.2, 5.1], ['Counts', 'Counts', 'Counts']],
    'hotter than it can be' => [[20, 25, 30, 70], ['Counts', 'Counts', 'Counts', 'RisesTooFast']],
    'twice hotter, against several colder' => [[20, 25, 30, 78, 80], ['Counts', 'Counts', 'Counts', 'RisesTooFast', 'RisesTooFast']],
    'two strays that do not agree with each other' => [[20, 25, 70, 26, 72, 30], ['Counts', 'Counts', 'RisesTooFast', 'Counts', 'RisesTooFast', 'Counts']],
    'hotter, and back' => [[20, 21, 72, 73, 22, 23], ['Counts', 'Counts', 'RisesTooFast', 'RisesTooFast', 'Counts', 'Counts']],
    'from the start hotter than it can be' => [[72, 20, 25], ['RisesTooFast', 'Counts', 'Counts']],
    'one colder against one' => [[40, 10, 45], ['Outvoted', 'Counts', 'RisesTooFast']],
    'one colder against several' => [[40, 42, 44, 10, 46], ['Counts', 'Counts', 'Counts', 'FallsTooFast', 'Counts']],
    'two colder against several' => [[40, 42, 44, 10, 12], ['SankSince', 'Outvoted', 'Outvoted', 'Counts', 'Counts']],
    'two colder, but not of one mind' => [[40, 42, 44, 10, 46, 12], ['Counts', 'Counts', 'Counts', 'FallsTooFast', 'Counts', 'FallsTooFast']],
    'steam, or a flame' => [[20, 400], ['Counts', 'AboveBoiling']],
    'ice with salt, or the open sky' => [[20, -16, 24], ['Counts', 'ColderThanAny', 'Counts']],
]);

it('loses none of a cook to one stray, wherever it comes', function (float $by) {
    $cook = [8, 10, 13, 17, 22, 27, 32, 37, 42, 46, 50];
    for ($at = 2; $at <= count($cook); $at++) {
        $cores = [...array_slice($cook, 0, $at), $cook[$at - 1] + $by, ...array_slice($cook, $at)];
        $verdicts = sifted($cores);
        expect($verdicts[$at])->not->toBe('Counts', "at $at");
        unset($verdicts[$at]);
        expect(array_unique(array_values($verdicts)))->toBe(['Counts'], "at $at");
    }
})->with([-38.0, 38.0, 70.0]);
