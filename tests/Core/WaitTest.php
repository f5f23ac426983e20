<?php

declare(strict_types=1);

use Diatherm\Cooking\Forecast;
use Diatherm\Day\Hold;
use Diatherm\Day\Wait;
use Diatherm\Food\Cut;
use Diatherm\Food\Larder;
use Diatherm\Roast\RoastFile;

// Between the pull and the plate: rest, hold, knife. Common practice throughout, but for the open board, which the heat model follows.

/** @param  array<string, mixed>  $dish */
function cookedAlone(array $dish): Forecast
{
    $roast = RoastFile::read(['serve_at' => '2031-10-04T18:45:00+02:00', 'dishes' => [$dish + ['start_c' => 5]]]);

    return Forecast::of($roast->dishes[0], 15.0);
}

/** @return array<string, mixed> */
function roasted(string $cut, float $kg, string $cooker, float $celsius, float $target): array
{
    return [
        'cut' => $cut, 'mass_kg' => $kg, 'target_c' => $target, 'stages' => [['cooker' => $cooker, 'cooker_c' => $celsius, 'pull' => true]],
    ];
}

it('rests a joint for as long as it needs, and holds it for what is left', function () {
    $leg = cookedAlone(roasted('lamb-leg', 2.4, 'kettle', 180.0, 60.0));
    $rest = $leg->dish->leastRestMinutes();
    $soon = Wait::of($leg, $rest + 8.0);
    $later = Wait::of($leg, $rest + 40.0);
    expect($soon->hold)->toBeNull()->and($soon->restMinutes)->toBe($rest + 8.0)
        ->and($later->hold)->toBe(Hold::Box)->and($later->restMinutes)->toBe($rest)->and($later->holdMinutes)->toEqualWithDelta(40.0, 0.01);
});

it('holds it so that skin, rind and pastry stay crisp', function () {
    $held = fn (Forecast $of): ?Hold => Wait::of($of, $of->dish->leastRestMinutes() + 30.0)->hold;
    expect($held(cookedAlone(roasted('chicken', 1.8, 'kettle', 190.0, 74.0))))->toBe(Hold::Oven)
        ->and($held(cookedAlone(roasted('pork-belly', 2.0, 'oven', 180.0, 85.0))))->toBe(Hold::Oven)
        ->and($held(cookedAlone(roasted('beef-rib', 3.0, 'oven', 150.0, 54.0))))->toBe(Hold::Box)
        ->and($held(cookedAlone(roasted('lamb-whole', 14.0, 'open-spit', 420.0, 66.0))))->toBe(Hold::Blankets);
});

// A shoulder that pulls apart, packed in a closed box: three hours and more above 60 °C.
it('keeps a shoulder hot in its box for three hours', function () {
    $shoulder = cookedAlone(roasted('pork-shoulder', 3.6, 'kettle', 125.0, 93.0));
    $wait = Wait::of($shoulder, 195.0);
    expect($wait->hold)->toBe(Hold::Box)->and($wait->restMinutes)->toBe(15.0)
        ->and($wait->hold->afterC($shoulder->dish, $wait->restedC(), $wait->holdMinutes, 15.0))->toBeGreaterThan(60.0);
});

it('is never colder on the plate held than left on the board, and is no hotter than what came off', function (string $cut) {
    $row = Larder::cut($cut);
    $forecast = cookedAlone(roasted($cut, $row->typicalMassKg, 'oven', 170.0, $row->taste($row->usualTaste)->coreC));
    $offS = 60.0 * $forecast->cookMinutes->likely;
    foreach ([20.0, 45.0, 75.0] as $longer) {
        $wait = Wait::of($forecast, $forecast->dish->leastRestMinutes() + $longer);
        $board = $forecast->trace->meanAt($offS + 60.0 * ($wait->restMinutes + $wait->holdMinutes));
        $held = $wait->hold?->afterC($forecast->dish, $wait->restedC(), $wait->holdMinutes, 15.0) ?? $board;
        expect($held)->toBeGreaterThanOrEqual($board - 0.01, "$cut after $longer min")
            ->and($wait->plateC())->toBeLessThan(max($forecast->trace->meanAt($offS), 65.0))
            ->and($wait->plateC())->toBeGreaterThan(15.0);
    }
})->with(fn (): array => array_map(
    fn (Cut $cut): array => [$cut->id],
    array_values(array_filter(Larder::cuts(), fn (Cut $cut): bool => $cut->isPerishable())),
));
