<?php

declare(strict_types=1);

use Diatherm\Measure\InvalidInput;
use Tests\Support\Judge;
use Tests\Support\Matrix;

// Every cut on every cooker and every usual chain of steps, worked out through to the resource and judged. `bin/test matrix`
// takes all of them; `bin/test` every seventeenth, which meets each cut, each cooker and each chain.

/** @return array<string, array{array<string, mixed>}> */
function asked(): array
{
    $files = getenv('MATRIX') === 'whole' ? Matrix::all() : Matrix::sample(17);

    // In sixty parts, so that a fault is found by its neighbours and a run says how far it is.
    return array_map(fn (array $part): array => [$part], array_combine(
        array_map(
            fn (array $part): string => array_key_first($part).' …',
            $parts = array_chunk($files, (int) ceil(count($files) / 60), true),
        ),
        $parts,
    ));
}

$tally = (object) ['plans' => 0, 'refused' => 0, 'dangerous' => 0, 'crashed' => 0];

it('answers finite, ordered, safe and in words that belong', function (array $files) use ($tally) {
    $wrong = [];
    foreach ($files as $name => $file) {
        $tally->plans++;
        try {
            $judged = Judge::of($file, new DateTimeImmutable('2031-10-01T12:00:00Z'));
        } catch (InvalidInput $refused) {
            throw $refused;
        } catch (Throwable $crash) {
            $tally->crashed++;
            $wrong[] = "$name: ".$crash::class.' '.$crash->getMessage();

            continue;
        }
        $tally->refused += $judged['refused'] === null ? 0 : 1;
        $tally->dangerous += $judged['harms'] === [] ? 0 : 1;
        foreach ([...$judged['harms'], ...$judged['faults']] as $fault) {
            $wrong[] = "$name: $fault";
        }
        if ($judged['refused'] !== null && preg_match('/does not get to|warms too slowly|water boils at/', $judged['refused']) !== 1) {
            $wrong[] = "$name: refused for no good reason: {$judged['refused']}";
        }
    }
    expect($wrong)->toBe([]);
})->with(fn (): array => asked());

it('refuses few, and those with a way out', function () use ($tally) {
    fwrite(
        STDERR,
        sprintf("  %d plans, %d refused, %d dangerous, %d crashed\n", $tally->plans, $tally->refused, $tally->dangerous, $tally->crashed),
    );
    expect($tally->plans)->toBeGreaterThan(90)
        ->and($tally->refused / $tally->plans)->toBeLessThan(0.06)
        ->and($tally->dangerous)->toBe(0)
        ->and($tally->crashed)->toBe(0);
});

it('meets every cut, every cooker and every chain in its sample', function () {
    $names = implode("\n", array_keys(Matrix::sample(17)));
    foreach (Matrix::cookers() as $cooker) {
        expect($names)->toContain($cooker->id);
    }
    foreach (['buried', 'stuffed', 'off for 5 min', 'off for 15 min', 'off for 30 min', 'smoked and roasted', 'chilled', 'low on', 'in frost', 'on the mountain', 'pulled early as asked', 'till tender', 'rolled on', 's hand', 'and back'] as $chain) {
        expect($names)->toContain($chain);
    }
    $met = array_filter(Diatherm\Food\Larder::cuts(), fn ($cut): bool => preg_match('/^'.preg_quote($cut->id, '/').' /m', $names) === 1);
    expect(count($met))->toBe(count(Diatherm\Food\Larder::cuts()));
});
