<?php

declare(strict_types=1);

use Diatherm\Cooker\CookerShed;
use Diatherm\Cooking\DripPan;
use Diatherm\Cooking\Forecast;
use Diatherm\Food\Shape;
use Diatherm\Heat\Resolution;
use Diatherm\Heat\Roasting;
use Diatherm\Heat\Substance;
use Diatherm\Heat\Surroundings;
use Diatherm\Plan\Plan;
use Diatherm\Tending\FirePlan;
use Tests\Support\Samples;

// Fires worked out by hand: what wind does to coals, what is in hand, what drips, where the heat went.

/** @param  array<string, mixed>  $dish  @param  array<string, mixed>  $roast */
function fireOf(array $dish, array $roast = []): FirePlan
{
    return Plan::of(Samples::roast($dish, $roast), new DateTimeImmutable('2031-10-03T06:00:00+02:00'))->fires[0]->plan;
}

const ON_A_SPIT = ['cut' => 'lamb-whole', 'mass_kg' => 15, 'taste' => 'medium', 'stages' => [['cooker' => 'open-spit', 'hand_s' => 6, 'pull' => true]]];

const LOW = ['cut' => 'pork-shoulder', 'mass_kg' => 3.5, 'taste' => null, 'target_c' => 90, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 130, 'pull' => true]]];

// Worked by hand: hardwood coals are gone after 110 min; they are at half after 110·(1 − √½) = 32.2 min, and 18 min after they were laid
// (1 − 18/110)³ = 58 % of them are left. Wind at the coals fans them: they burn the brighter, and are gone the sooner.
it('burns open coals down in their time, sooner in wind, and coals under a lid as in still air', function () {
    $fire = fn (float $windMs): FirePlan => fireOf(ON_A_SPIT, ['wind_ms' => $windMs, 'air_c' => 15]);
    $left = function (FirePlan $fire): float {
        $at = array_values(array_filter($fire->run->left, fn (array $point): bool => $point[0] + $fire->use->preheatMinutes > 17.5))[0];

        return $at[1] / $fire->run->startKg;
    };
    expect($fire(0.0)->run->refuels[0]->minutes + $fire(0.0)->use->preheatMinutes)->toEqualWithDelta(32.2, 1.5)
        ->and($left($fire(0.0)))->toEqualWithDelta(0.58, 0.03)
        ->and($left($fire(8.0)))->toBeLessThan($left($fire(0.0)) - 0.05);
    // Under a lid it is the slots that let in air: what wind asks for there is more heat, and so more coal in all.
    $still = fireOf(LOW, ['wind_ms' => 0, 'air_c' => 15]);
    $windy = fireOf(LOW, ['wind_ms' => 8, 'air_c' => 15]);
    expect($windy->usedKg())->toBeGreaterThan(1.1 * $still->usedKg());
});

it('keeps a fire ten minutes past the slow end under a lid, and past the likely one in the open', function () {
    foreach ([[LOW, 'high'], [ON_A_SPIT, 'likely']] as [$dish, $end]) {
        $plan = Plan::of(Samples::roast($dish), new DateTimeImmutable('2031-10-03T06:00:00+02:00'));
        expect($plan->fires[0]->plan->use->untilMinutes)->toEqualWithDelta($plan->forecast(0)->cookMinutes->{$end} + 10.0, 0.1);
    }
});

// Common practice: a third more gas than is planned; of coals, one refuel more, or a quarter of what is laid where none is due.
it('buys a margin that follows from the kind of fire', function () {
    $gas = fireOf(['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => 'done', 'stages' => [['cooker' => 'gas', 'cooker_c' => 190, 'pull' => true]]]);
    expect($gas->buyKg())->toEqualWithDelta(1.3 * $gas->feedKg(), 1e-9)->and($gas->inHandKg())->toBe(0.0);
    $spit = fireOf(ON_A_SPIT);
    $most = max(array_column($spit->run->refuels, 'kg'));
    $laid = $spit->run->startKg + array_sum(array_column($spit->run->refuels, 'kg'));
    expect($spit->usedKg())->toEqualWithDelta($spit->stove->fuel?->boughtKg($laid), 1e-9)
        ->and($spit->buyKg() - $spit->usedKg())->toEqualWithDelta($spit->stove->fuel?->boughtKg($most), 1e-9);
    $short = fireOf(['cut' => 'chicken-breast', 'mass_kg' => 0.25, 'taste' => 'done', 'stages' => [['cooker' => 'kettle', 'cooker_c' => 200, 'pull' => true]]]);
    expect($short->run->refuels)->toBe([])->and($short->buyKg() - $short->usedKg())->toEqualWithDelta(0.25 * $short->run->startKg, 1e-9);
});

// Worked by hand: a pan at its wet-bulb temperature of some 60 °C under a hood at 150 °C takes (10 + 7.5) W/(m²·K) × 90 K = 1.6 kW/m², and
// 2.36 MJ/kg of vapour: 2.4 kg for each m² and hour, give or take the film; a third more is poured in.
it('pours into a drip pan what leaves it while the joint cooks, and a third more', function () {
    $forecast = Forecast::of(Samples::dish(['cut' => 'beef-rib', 'mass_kg' => 3.0, 'taste' => 'medium']), 14.0);
    $pan = DripPan::for($forecast);
    $size = Diatherm\Rig\JointSize::suggested($forecast->dish->cut, 3.0);
    $litres = $pan->waterL / ($pan->lengthM * $pan->widthM) / ($forecast->cookMinutes->high / 60.0);
    expect($litres / 1.3)->toBeGreaterThan(1.8)->toBeLessThan(3.2)
        ->and($pan->lengthM)->toEqualWithDelta($size->lengthM + 0.08, 1e-9)
        ->and($pan->widthM)->toEqualWithDelta($size->widthM + 0.08, 1e-9);
});

// The balance is held against the body itself: its own heat capacity times what it warmed by, not what the bookkeeping says.
it('has taken the heat that its warmth says', function (float $celsius, float $seconds) {
    $substance = Substance::constant(0.5, 3.4e6);
    $shape = Shape::of(0.05, 1.0);
    $body = Roasting::of($shape, $substance, 10.0, Resolution::fine());
    $body->keepBooks();
    $body->in(Surroundings::of($celsius, $celsius, 15.0, 0.9, -20.0, wettable: 0.0), $seconds);
    // Volume over surface of a body whose surface grows with r is R/2; nothing dries where there is no water to leave.
    $warmedJM2 = 3.4e6 * 0.05 / 2.0 * ($body->meanC() - 10.0);
    expect($body->meanC())->toBeGreaterThan(15.0)
        ->and($body->tookJM2())->toEqualWithDelta($warmedJM2, 0.02 * $warmedJM2)
        ->and($body->energyGap())->toBeLessThan(0.001);
})->with([[60.0, 3600.0], [90.0, 1800.0], [80.0, 7200.0]]);

it('has given off as much water as its surface was cooled by', function () {
    // A cup of latent heat: what a moist surface takes less than a dry one goes into the vapour that left.
    $oven = CookerShed::kind('oven');
    $dish = Samples::dish(['cut' => 'beef-rib', 'mass_kg' => 3.0, 'taste' => 'medium']);
    $body = Roasting::of($dish->shape(), Substance::from($dish->cut->composition), 6.0, Resolution::fine());
    $there = $oven->inside->surroundings(150.0, 18.0, $dish->shape());
    $body->in($there, 3600.0);
    $meatJM2 = 3.5e6 * $dish->shape()->halfThicknessM / ($dish->shape()->exponent + 1.0) * ($body->meanC() - 6.0);
    $vapourJM2 = 2.4e6 * $body->driedKgM2();
    expect($body->driedKgM2())->toBeGreaterThan(0.05)
        ->and($body->tookJM2())->toEqualWithDelta($meatJM2 + $vapourJM2, 0.12 * $meatJM2);
});

// What the cooker comes to decides what is safe on it, and not what it was asked for.
it('warns of a cool cooker for poultry where a storm makes it one', function () {
    $bird = ['cut' => 'turkey', 'mass_kg' => 8, 'taste' => 'done', 'preparations' => ['stuff'], 'stages' => [['cooker' => 'gas', 'cooker_c' => 230, 'pull' => true]]];
    $ids = fn (array $weather): array => array_column(Plan::of(Samples::roast($bird, $weather), new DateTimeImmutable('2031-10-03T06:00:00+02:00'))->forecast(0)->cautions, 'id');
    expect($ids(['air_c' => -15, 'wind_ms' => 14, 'rain' => true]))->toContain('cool_for_poultry')
        ->and($ids(['air_c' => 20, 'wind_ms' => 0]))->not->toContain('cool_for_poultry');
});
