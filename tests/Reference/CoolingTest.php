<?php

declare(strict_types=1);

use Diatherm\Cooking\Cooling;
use Diatherm\Heat\Resolution;
use Diatherm\Heat\Roasting;
use Diatherm\Heat\Substance;
use Diatherm\Heat\Surroundings;
use Tests\Support\Samples;

// Source of the limit: FDA Food Code 2017, 3-501.14: 57 to 21 °C in two hours. Common practice: a joint of more than about two kilograms
// does not manage that whole in a refrigerator; a bird of ordinary size, flat pieces and fish do.
it('knows which joints a refrigerator cools in time', function (string $cut, float $kg, bool $inTime) {
    $dish = Samples::dish(['cut' => $cut, 'mass_kg' => $kg, 'taste' => null, 'stages' => [['cooker' => 'oven', 'cooker_c' => 160, 'pull' => true]]]);
    expect(Cooling::minutesToCool($dish) <= 120.0)->toBe($inTime, round(Cooling::minutesToCool($dish)).' min');
})->with([
    ['pork-shoulder', 5.0, false], ['pork-shoulder', 3.5, false], ['turkey', 6.0, false], ['beef-rib', 4.0, false],
    ['chicken-breast', 0.25, true], ['fish-fillet', 0.2, true], ['lamb-rack', 0.8, true], ['beef-steak', 0.4, true],
]);

// The series against the product's own finite volumes, without water.
it('agrees with conduction step by step', function (string $cut, float $kg) {
    $dish = Samples::dish(['cut' => $cut, 'mass_kg' => $kg, 'taste' => null, 'stages' => [['cooker' => 'oven', 'cooker_c' => 160, 'pull' => true]]]);
    $body = Roasting::of($dish->shape(), Substance::from($dish->cut->composition), 57.0, Resolution::fine());
    $trace = $body->record(false);
    $body->in(Surroundings::convection(4.0, 10.0), 12 * 3600.0);
    $minutes = $trace->falls(21.0, 0.0) / 60.0;
    expect(abs(Cooling::minutesToCool($dish) / $minutes - 1.0))->toBeLessThan(0.25);
})->with([['pork-shoulder', 5.0], ['turkey', 6.0], ['beef-rib', 4.0], ['chicken', 1.8]]);
