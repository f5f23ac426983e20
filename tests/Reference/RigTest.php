<?php

declare(strict_types=1);

use Diatherm\Food\Larder;
use Diatherm\Rig\Balance;
use Diatherm\Rig\Fit;
use Diatherm\Rig\JointSize;
use Diatherm\Rig\Pit;
use Diatherm\Rig\Pot;
use Diatherm\Rig\SpitBar;
use Diatherm\Rig\SpitFit;

// Second moments of area, worked by hand from πd⁴/64, π(D⁴ − d⁴)/64 and a⁴/12. Source of the formulas: Roark's Formulas for
// Stress and Strain, properties of sections.
it('has the second moments of area of the handbook', function (string $section, float $mm, float $wall, float $mm4) {
    expect(1e12 * SpitBar::of($section, $mm / 1000, $wall / 1000, 1.0, '304')->secondMomentM4())->toEqualWithDelta($mm4, 0.001 * $mm4);
})->with([['round', 10.0, 0.0, 490.87], ['round', 20.0, 0.0, 7853.98], ['square', 10.0, 0.0, 833.33], ['tube', 25.0, 2.0, 9628.2]]);

// Worked example: a round bar of 20 mm on rests 1.5 m apart, 10 kg spread evenly, E 200 GPa, its own weight (2.482 kg/m) with it:
// w = 9.80665 · (10/1.5 + 2.482) = 89.72 N/m; sag = 5wL⁴/384EI = 3.765 mm; M = wL²/8 = 25.23 N·m; stress = Mc/I = 32.1 MPa.
it('sags and strains as the worked example', function () {
    $bar = SpitBar::of('round', 0.020, 0.0, 1.5, '304');
    expect(1000 * $bar->sagM(10.0))->toEqualWithDelta(3.765, 0.01)
        ->and($bar->stressPa(10.0) / 1e6)->toEqualWithDelta(32.1, 0.2)
        ->and($bar->strain(10.0))->toEqualWithDelta(32.1 / 215.0, 0.002);
});

it('names the span that would hold, and it does', function () {
    $bar = SpitBar::of('round', 0.010, 0.0, 1.4, '304');
    expect($bar->holds(16.0))->toBeFalse();
    $span = $bar->spanThatHoldsM(16.0);
    expect(SpitBar::of('round', 0.010, 0.0, $span - 0.005, '304')->holds(16.0))->toBeTrue()
        ->and(SpitBar::of('round', 0.010, 0.0, $span + 0.01, '304')->holds(16.0))->toBeFalse();
});

// Statics worked by hand: 0.5 kg at 12 cm balances 5 kg that hang 1.2 cm off: 0.5 · 0.12 = 0.06 kg·m; torque 9.80665 · 0.06 = 0.588 N·m.
it('balances as statics does', function () {
    $balance = Balance::of(5.0, 0.5, 0.12, 90.0, 1.2);
    expect(100 * $balance->offM)->toEqualWithDelta(1.2, 1e-9)
        ->and($balance->torqueNm)->toEqualWithDelta(0.5884, 1e-4)
        ->and($balance->load())->toEqualWithDelta(0.4903, 1e-3)
        ->and($balance->isComfortable())->toBeTrue()->and($balance->stalls())->toBeFalse()
        ->and($balance->counterDeg)->toBe(270)
        ->and($balance->counterweightKg(0.10))->toEqualWithDelta(0.6, 1e-9)
        ->and(Balance::of(5.0, 0.5, 0.12, 90.0, 0.4)->stalls())->toBeTrue()
        ->and(Balance::ratingNm(10.0, 0.02))->toEqualWithDelta(1.961, 1e-3);
});

// Common practice: a 13 lb bird with tied legs clears where one over 20 lb does not, in the same countertop rotisserie; here
// one with 14.5 cm from the spit to the element.
it('turns a 13 lb bird with tied legs where one over 20 lb does not', function () {
    $turkey = Larder::cut('turkey');
    $on = fn (float $kg): SpitFit => SpitFit::of($turkey, $kg, JointSize::suggested($turkey, $kg), 0.42, 0.145);
    expect($on(5.9)->fit)->toBe(Fit::Tied)->and($on(9.3)->fit->fits())->toBeFalse()
        ->and($on(5.9)->largestMassKg)->toBeGreaterThan(5.9)->toBeLessThan(9.3);
});

// Common practice: a joint folded and tied goes where it did not.
it('goes between the forks folded where it did not stretched out', function () {
    $lamb = Larder::cut('lamb-whole');
    $size = JointSize::measured(1.05, 0.30, 0.26);
    expect(SpitFit::of($lamb, 14.0, $size, 0.90, 0.40)->fit)->toBe(Fit::Folded)
        ->and(SpitFit::of($lamb, 14.0, $size, 1.10, 0.40)->fit->fits())->toBeTrue()
        ->and(SpitFit::of($lamb, 14.0, $size, 0.60, 0.40)->fit)->toBe(Fit::TooLong);
});

it('never clears more with a looser leg, a bigger joint or a worse centre', function (float $off) {
    $duck = Larder::cut('duck');
    $clear = fn (float $kg, float $off): SpitFit => SpitFit::of($duck, $kg, JointSize::suggested($duck, $kg), 0.5, 0.2, $off);
    $fit = $clear(2.2, $off);
    expect($fit->looseClearanceM)->toBeLessThanOrEqual($fit->clearanceM)
        ->and($clear(2.6, $off)->clearanceM)->toBeLessThan($fit->clearanceM)
        ->and($clear(2.2, $off + 0.01)->clearanceM)->toBeLessThan($fit->clearanceM)
        ->and(min(array_map(fn (float $reach): float => 0.2 - $reach, $fit->swingM)))->toEqualWithDelta($fit->clearanceM, 1e-9);
})->with([0.0, 0.01, 0.03]);

// Common practice: a 14-inch pot goes into a hole about 20 inches wide.
it('digs a hole of about twenty inches for a 14-inch pot', function () {
    $pit = Pit::for(Pot::usual(14 * 0.0254), 'dry');
    expect($pit->widthM() / 0.0254)->toEqualWithDelta(20.0, 0.6);
});

// Volumes worked by hand for a hole 0.50 m wide round a pot of 0.35 m and 0.13 m + lid: under 0.15 · π/4 · 0.25 = 0.02945 m³;
// beside (π/4)(0.25 − 0.1225) · 0.16 = 0.01602 m³; above 0.125 · 0.19635 = 0.02454 m³.
it('counts soil, coals and wood as geometry does', function () {
    $pit = Pit::for(Pot::of(0.35, 0.13), 'dry');
    $coals = $pit->coalsM3();
    expect($coals['under'])->toEqualWithDelta(0.02945, 1e-4)
        ->and($coals['beside'])->toEqualWithDelta(0.01602, 1e-4)
        ->and($coals['above'])->toEqualWithDelta(0.02454, 1e-4)
        ->and($pit->coalsKg()->likely)->toEqualWithDelta(185 * 0.07001, 0.05)
        ->and($pit->woodKg()->likely)->toEqualWithDelta(185 * 0.07001 / 0.225, 0.3)
        ->and($pit->soilM3())->toEqualWithDelta(0.19635 * $pit->depthM(), 1e-4)
        ->and(array_sum($pit->layersM()))->toEqualWithDelta($pit->depthM(), 1e-9);
});

// Common practice: wet or cold ground asks for one more shovel of coals on top.
it('asks for more coals and longer digging in wet ground', function () {
    [$dry, $wet] = [Pit::for(Pot::usual(0.3), 'dry'), Pit::for(Pot::usual(0.3), 'wet')];
    expect($wet->coalsM3()['above'])->toBeGreaterThan($dry->coalsM3()['above'])->and($wet->digHours())->toBeGreaterThan($dry->digHours());
});

// Common practice: 3 to 4 cm of liquid in a long buried cook, or it boils dry.
it('keeps a long buried cook from boiling dry', function () {
    $pot = Pot::usual(0.305);
    foreach ([2.0, 4.0, 8.0] as $hours) {
        expect($pot->liquidL($hours, true))->toBeGreaterThan($pot->lossL($hours));
    }
    expect(100 * $pot->liquidDepthM(4.0, true))->toBeGreaterThanOrEqual(3.0)->toBeLessThan(4.5);
});

it('closes the lid over a joint that fits, and not over one that does not', function () {
    $pot = Pot::of(0.36, 0.135);
    expect($pot->holds(JointSize::measured(0.28, 0.14, 0.10)))->toBeTrue()
        ->and($pot->holds(JointSize::measured(0.28, 0.16, 0.15)))->toBeFalse()
        ->and($pot->holds(JointSize::measured(0.40, 0.14, 0.10)))->toBeFalse();
});

// Common practice: the legs of a whole lamb are done last, the saddle long before them, when all get the same heat.
it('cooks the parts of a whole animal each at its own pace, the thickest deciding', function () {
    $dish = Tests\Support\Samples::dish(
        [
            'cut' => 'lamb-whole',
            'mass_kg' => 16,
            'taste' => 'medium',
            'coast' => false,
            'stages' => [['cooker' => 'open-spit', 'cooker_c' => 400, 'pull' => true]],
        ],
    );
    $forecast = Diatherm\Cooking\Forecast::of($dish, 18.0);
    $parts = array_column(
        array_map(
            fn (Diatherm\Cooking\PartForecast $part): array => ['id' => $part->part->id, 'part' => $part],
            Diatherm\Cooking\PartForecast::all($forecast),
        ),
        'part',
        'id',
    );
    expect($parts['legs']->decides)->toBeTrue()
        ->and($parts['legs']->minutesToTarget)->toEqualWithDelta($forecast->cookMinutes->likely, 0.03 * $forecast->cookMinutes->likely)
        ->and($parts['saddle']->minutesToTarget)->toBeLessThan(0.7 * $parts['legs']->minutesToTarget)
        ->and($parts['saddle']->atPullC)
        ->toBeGreaterThan($parts['shoulders']->atPullC)->and($parts['shoulders']->atPullC)
        ->toBeGreaterThan($parts['legs']->atPullC)
        ->and(array_sum(array_map(fn (Diatherm\Cooking\PartForecast $part): float => $part->massKg, $parts)))->toEqualWithDelta(16.0, 1e-9);
});

// Plane geometry worked by hand: a frame of 2 m leaning 60° has its head 1 m up and 1.732 m out; the line to a stake 2 m
// back is √(3.732² + 1²) = 3.864 m.
it('leans a frame as geometry does', function () {
    $frame = Diatherm\Rig\FrameRig::of(2.0, 60.0, 0.5, 2.0, null);
    expect($frame->heightM(2.0))->toEqualWithDelta(1.0, 1e-9)
        ->and($frame->overM(2.0))->toEqualWithDelta(1.7321, 1e-4)
        ->and($frame->lineM())->toEqualWithDelta(3.8637, 1e-3)
        ->and($frame->chainM())->toBeGreaterThan(0.5)->toBeLessThan($frame->lineM())
        ->and($frame->holds(1.5))->toBeTrue()->and($frame->holds(1.6))->toBeFalse();
    foreach (Diatherm\Food\Part::of(Larder::cut('lamb-whole')) as $part) {
        expect($frame->partHeightM($part, 1.1))->toBeGreaterThan(0.25)->toBeLessThan(0.8);
    }
    expect(Diatherm\Rig\FrameRig::of(2.0, 30.0, 0.5, 2.0, null)->heightM(1.0))->toBeGreaterThan($frame->heightM(1.0));
});

// Common practice: a pan of some 30 by 40 cm under a roast wants a litre or so of water in two hours on a kettle.
it('fills the drip pan for the cook', function () {
    $forecast = Diatherm\Cooking\Forecast::of(Tests\Support\Samples::dish(), 14.0);
    $pan = Diatherm\Cooking\DripPan::for($forecast);
    expect($pan->waterL)->toBeGreaterThan(0.2)->toBeLessThan(1.6)->and($pan->lengthM)->toBeGreaterThan(0.3);
    $hot = Diatherm\Cooking\Forecast::of(
        Tests\Support\Samples::dish(['stages' => [['cooker' => 'kettle', 'cooker_c' => 200, 'pull' => true]]]),
        14.0,
    );
    $rate = fn (Diatherm\Cooking\Forecast $one): float => Diatherm\Cooking\DripPan::for($one)->waterL / $one->cookMinutes->high;
    expect($rate($hot))->toBeGreaterThan($rate($forecast));
});
