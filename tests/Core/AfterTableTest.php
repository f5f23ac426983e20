<?php

declare(strict_types=1);

use Diatherm\Day\Act;
use Diatherm\Day\Entry;
use Diatherm\Plan\Plan;
use Diatherm\Roast\Beginning;
use Tests\Support\Samples;

/**
 * What is left to do after the table, by its line.
 *
 * @param  array<string, mixed>  $dish
 * @param  array<string, mixed>  $roast
 * @return array<string, Entry>
 */
function afterwards(array $dish, array $roast = []): array
{
    $plan = Plan::of(Samples::roast($dish, $roast), new DateTimeImmutable('2031-10-01T12:00:00Z'));

    return array_filter(entriesById($plan), fn (Entry $entry): bool => $entry->act === Act::After);
}

// Common practice: ashes start fires a day and more later.
it('says how to put each fire out, by its fuel', function (string $cooker, float $celsius, ?string $words) {
    $lines = afterwards(['stages' => [['cooker' => $cooker, 'cooker_c' => $celsius, 'pull' => true]]]);
    expect(isset($lines['after.embers']))->toBe($words !== null)
        ->and($words === null ? '' : said($lines['after.embers']->detail))->toContain($words ?? '');
})->with([
    ['kettle', 180.0, 'metal bucket'], ['open-spit', 450.0, 'until a hand feels no heat'], ['gas', 180.0, 'then close the bottle'],
    ['oven', 180.0, null],
]);

// Source: USDA FSIS, Leftovers and Food Safety: two hours out, one above 32 °C; three to four days; 165 °F when warmed up again.
it('stores leftovers within two hours and says for how many days they keep', function (float $airC, int $minutes) {
    $roast = ['air_c' => $airC];
    $line = afterwards([], $roast)['after.leftovers'];
    $plan = Plan::of(Samples::roast([], $roast), new DateTimeImmutable('2031-10-01T12:00:00Z'));
    $by = entriesById($plan)['d0.carve']->at->modify("+$minutes minutes");
    expect(said($line->detail))->toContain('By '.$by->format('H:i'))->toContain('3 days')->toContain('74 °C')
        ->and($line->at <= $by)->toBeTrue();
})->with([[15.0, 120], [35.0, 60]]);

// The hours of meat that was never hot count from the pull: its rest and its leftovers name one moment.
it('counts the hours of rare meat from the pull', function () {
    $plan = Plan::of(
        Samples::roast(['cut' => 'beef-rib', 'taste' => 'rare', 'mass_kg' => 3.0]), new DateTimeImmutable('2031-10-01T12:00:00Z'),
    );
    $sheet = entriesById($plan);
    preg_match('/eaten or cold by (\d\d:\d\d)/', said($sheet['d0.rest']->detail), $by);
    expect($by)->toHaveCount(2)->and(said($sheet['after.leftovers']->detail))->toContain("By $by[1]")
        ->and($sheet['after.leftovers']->at->format('H:i') < $by[1])->toBeTrue();
});

it('places the tasks after the last course of every beginning, and makes no plan too late', function (string $id) {
    $plan = Plan::of(
        Beginning::all()[$id]->at(new DateTimeImmutable('2031-10-04T18:45:00+02:00')), new DateTimeImmutable('2031-09-30T09:00:00+02:00'),
    );
    $after = array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->act === Act::After);
    $served = array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->act === Act::Serve);
    expect(count($after))->toBeGreaterThanOrEqual(2)
        ->and(min(array_map(fn (Entry $entry): DateTimeImmutable => $entry->at, $after)))
        ->toBeGreaterThan(max(array_map(fn (Entry $entry): DateTimeImmutable => $entry->at, $served)))
        ->and($plan->runSheet->isTooLate())->toBeFalse();
})->with(fn (): array => array_map(fn (string $id): array => [$id], array_keys(Beginning::all())));
