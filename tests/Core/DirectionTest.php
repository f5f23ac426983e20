<?php

declare(strict_types=1);

use Diatherm\Cooker\CookerShed;
use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Variation;
use Diatherm\Food\Cut;
use Diatherm\Food\Larder;
use Diatherm\Heat\Resolution;
use Diatherm\Roast\Dish;
use Diatherm\Roast\RoastFile;

// Which way a cook moves, over every cut on every cooker: facts of physics and of the trade, whatever the figures are.

/** @param  array<string, mixed>  $more */
function turned(Cut $cut, string $cooker, float $celsius, array $more = []): Dish
{
    return RoastFile::read(['serve_at' => '2031-10-04T18:00:00+02:00', 'dishes' => [[
        'cut' => $cut->id, 'start_c' => 6, 'target_c' => 60, 'coast' => false, 'stages' => [
            ['cooker' => $cooker, 'cooker_c' => $celsius, 'pull' => true],
        ],
    ] + $more + ['mass_kg' => $cut->typicalMassKg]]])->dishes[0];
}

/** Minutes to 60 °C; INF for never. */
function minutesTo60(Dish $dish, ?Variation $as = null): float
{
    $cook = Cook::of($dish, 15.0, Resolution::coarse(), Course::asPlanned(), $as);

    return $cook->toPull(60.0) === null ? $cook->body->elapsedS() / 60.0 : INF;
}

dataset(
    'every heat',
    fn () => array_values(array_map(fn (string $id): array => [$id], array_diff(array_keys(CookerShed::kinds()), ['rest', 'fridge']))),
);

it('is no slower on a hotter cooker, whatever the cut', function (string $cooker) {
    $kind = CookerShed::kind($cooker);
    foreach (Larder::cuts() as $cut) {
        $before = INF;
        foreach ([0.35, 0.6, 0.9] as $share) {
            $minutes = minutesTo60(turned($cut, $cooker, round($kind->leastC + $share * ($kind->mostC - $kind->leastC))));
            // A pot that boils dry the sooner has the less steam for it.
            expect($minutes)->toBeLessThanOrEqual(($kind->vessel === null ? 1.001 : 1.08) * $before, $cut->id);
            $before = $minutes;
        }
    }
})->with('every heat');

it('is no quicker for a thicker or colder joint, nor for less heat, whatever the cut and cooker', function (string $cooker) {
    foreach (Larder::cuts() as $cut) {
        $dish = turned($cut, $cooker, CookerShed::kind($cooker)->defaultC);
        $usual = minutesTo60($dish);
        expect(minutesTo60($dish, Variation::of(1.0, 1.15)))->toBeGreaterThanOrEqual($usual, $cut->id)
            ->and(minutesTo60($dish, Variation::of(1.0, 1.0, -4.0)))->toBeGreaterThanOrEqual($usual, $cut->id)
            ->and(minutesTo60($dish, Variation::of(0.8)))->toBeGreaterThanOrEqual(0.999 * $usual, $cut->id)
            ->and(
                minutesTo60($dish, Variation::of(1.0, 1.0, 0.0, [1.0, 0.8, 0.8], 600.0)),
            )->toBeGreaterThanOrEqual(0.999 * $usual, $cut->id);
    }
})->with('every heat');

it('is no quicker for a heavier joint, whatever the cut and cooker', function (string $cooker) {
    $celsius = CookerShed::kind($cooker)->defaultC;
    foreach (Larder::cuts() as $cut) {
        $before = 0.0;
        foreach ([0.0, 0.2, 0.4, 0.7, 1.0] as $share) {
            $kg = round($cut->leastMassKg * ($cut->mostMassKg / $cut->leastMassKg) ** $share, 3);
            $minutes = minutesTo60(turned($cut, $cooker, $celsius, ['mass_kg' => $kg]));
            expect($minutes)->toBeGreaterThanOrEqual(0.999 * $before, "$cut->id of $kg kg");
            $before = $minutes;
        }
    }
})->with('every heat');

it('has no lower core at the same moment for a later pull', function (string $cooker) {
    foreach (['chicken', 'beef-rib', 'fish-fillet', 'potatoes'] as $id) {
        $cut = Larder::cut($id);
        $dish = turned($cut, $cooker, CookerShed::kind($cooker)->defaultC);
        $end = min(60.0 * minutesTo60($dish), 12 * 3600.0);
        $at = function (float $share) use ($dish, $end): float {
            $cook = Cook::of($dish, 15.0, Resolution::coarse(), new Course(pulledS: $share * $end));
            $cook->toPull(60.0);
            $cook->rest((1.3 - $share) * $end);

            return $cook->body->coreC();
        };
        expect($at(1.0))->toBeGreaterThanOrEqual($at(0.8) - 0.05, $id)->and($at(0.8))->toBeGreaterThanOrEqual($at(0.6) - 0.05, $id);
    }
})->with('every heat');

it('has no core above where water boils, however long it is on', function (string $cooker) {
    foreach (['turkey', 'beef-chuck', 'salmon-side', 'potatoes'] as $id) {
        $cook = Cook::of(
            turned(Larder::cut($id), $cooker, CookerShed::kind($cooker)->defaultC),
            15.0,
            Resolution::coarse(),
            new Course(pulledS: 1.5 * 3600.0),
        );
        $cook->toPull(60.0);
        // A thin piece that has been on for an hour and a half is dried through, and no dish any more.
        if ($cook->body->holdsKgM2() > 2.0) {
            expect($cook->body->coreC())->toBeLessThan(100.6, $id);
        }
    }
})->with('every heat');
