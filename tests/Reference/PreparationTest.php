<?php

declare(strict_types=1);

use Diatherm\Cooking\Forecast;
use Diatherm\Day\Act;
use Diatherm\Day\Entry;
use Diatherm\Food\Brine;
use Diatherm\Food\Larder;
use Diatherm\Food\Preparation;
use Diatherm\Food\PreparationWindow;
use Diatherm\Food\Thawing;
use Diatherm\Plan\Plan;
use Tests\Support\Samples;

// Source: USDA FSIS, The Big Thaw: in the refrigerator 24 hours for each 4 to 5 pounds, in cold water 30 minutes a pound.
it('thaws as long as the published advice', function () {
    [$quick, $slow] = array_values((array) Thawing::fridge(20 * 0.45359237));
    expect($quick)->toEqualWithDelta(96.0, 0.1)->and($slow)->toEqualWithDelta(120.0, 0.1)
        ->and(Thawing::coldWater(10 * 0.45359237)->bestHours)->toEqualWithDelta(5.0, 1e-6);
});

it('never thaws more in less time', function () {
    foreach ([[2.0, 2.2], [3.0, 5.0]] as [$less, $more]) {
        expect(Thawing::fridge($more)->leastHours)->toBeGreaterThan(Thawing::fridge($less)->leastHours)
            ->and(Thawing::coldWater($more)->leastHours)->toBeGreaterThan(Thawing::coldWater($less)->leastHours);
    }
});

// Salt worked by hand: 1.25 % of 4 kg is 50 g; in a brine of 4 kg meat and 4 l water 1.25 % of 8 kg is 100 g, a brine of about 2.5 %.
it('salts so that the meat ends seasoned', function () {
    expect(1000 * Brine::drySaltKg(4.0))->toEqualWithDelta(50.0, 1e-9)
        ->and(1000 * Brine::wetSaltKg(4.0, 4.0))->toEqualWithDelta(100.0, 1e-9)
        ->and(Brine::wetSaltKg(4.0, 4.0) / (4.0 + 4.0))->toEqualWithDelta(Brine::drySaltKg(4.0) / 4.0, 1e-12);
});

// Diffusion: twice the way takes four times as long, between the limits.
it('gives salt four times as long for twice the way', function () {
    expect(Brine::dry(0.05, 'pork')->bestHours / Brine::dry(0.025, 'pork')->bestHours)->toEqualWithDelta(4.0, 1e-9);
});

// The trade's charts. Source of the thaw: USDA FSIS, The Big Thaw. Salting: common practice: a fillet of fish has enough of a brine in 15 to
// 60 minutes, a breast in half an hour to two; a breast salted dry beyond two days turns ham-like.
it('keeps small pieces within the charts', function () {
    $window = fn (string $id, string $cut, float $kg): PreparationWindow => Samples::dish([
        'cut' => $cut, 'mass_kg' => $kg, 'taste' => null, 'stages' => [['cooker' => 'oven', 'cooker_c' => 180, 'pull' => true]],
    ])->windowOf(Preparation::named($id));
    expect($window('thaw_fridge', 'chicken-breast', 0.25)->leastHours)->toBeGreaterThanOrEqual(18.0)
        ->and($window('thaw_fridge', 'chicken-breast', 0.25)->bestHours)->toBe(24.0)
        ->and($window('thaw_water', 'chicken-breast', 0.25)->bestHours)->toBe(1.0)
        ->and($window('wet_brine', 'fish-fillet', 0.2)->leastHours)->toBeGreaterThanOrEqual(0.25)
        ->and($window('wet_brine', 'fish-fillet', 0.2)->mostHours)->toBeLessThanOrEqual(1.0)
        ->and($window('wet_brine', 'chicken-breast', 0.25)->leastHours)->toBeGreaterThanOrEqual(0.5)
        ->and($window('wet_brine', 'chicken-breast', 0.25)->mostHours)->toBeLessThanOrEqual(2.1);
    foreach (['chicken-breast' => 0.25, 'turkey' => 6.0, 'duck' => 2.2] as $cut => $kg) {
        expect($window('dry_brine', $cut, $kg)->mostHours)->toBeLessThanOrEqual(48.0, $cut);
    }
});

it('keeps least, best and most in order for every preparation and cut that it suits', function (string $id) {
    $preparation = Preparation::named($id);
    foreach (Larder::cuts() as $cut) {
        if (! $preparation->suits($cut)) {
            continue;
        }
        foreach ([$cut->leastMassKg, $cut->mostMassKg] as $mass) {
            $window = $preparation->window($mass, $cut->shape->byMass($mass, 1.0)->halfThicknessM, $cut->kind);
            expect($window->leastHours)->toBeLessThanOrEqual($window->bestHours)
                ->and($window->bestHours)->toBeLessThanOrEqual($window->mostHours);
        }
    }
})->with(fn () => array_keys(Preparation::all()));

function prepared(array $preparations, string $now = '2031-09-28T09:00:00+02:00', array $dish = []): Plan
{
    return Plan::of(
        Samples::roast($dish + ['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => 'done', 'preparations' => $preparations]),
        new DateTimeImmutable($now),
    );
}

/** @return list<Entry> */
function preparing(Plan $plan): array
{
    return array_values(array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->act === Act::Prepare));
}

it('lays preparations one after another before the fire, in the order of the work', function () {
    $plan = prepared(['dry_skin', 'thaw_fridge', 'dry_brine', 'truss']);
    $entries = preparing($plan);
    expect(array_map(fn (Entry $entry): string => $entry->id->text(), $entries))->toBe(
        ['d0.prepare.thaw_fridge', 'd0.prepare.dry_brine', 'd0.prepare.dry_skin', 'd0.prepare.truss'],
    )
        ->and($entries[0]->until)->toEqual($entries[1]->at)->and($entries[1]->until)->toEqual($entries[2]->at)
        ->and(
            $entries[3]->until <= array_values(
                array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->act === Act::On),
            )[0]->at,
        )->toBeTrue()
        // 1.25 % of 1.8 kg is 22.5 g.
        ->and(said($entries[1]->detail))->toMatch('/^2[23] g salt/');
});

// Common practice: yoghurt wants six hours at the least and eighteen at best; after that it gains nothing.
it('shrinks a marinade to the time there is, and calls the hour too near below its least', function () {
    $hours = function (string $now): array {
        $plan = prepared([['do' => 'marinate_yoghurt', 'mix' => 'none']], $now);
        $entry = preparing($plan)[0];

        return [($entry->until->getTimestamp() - $entry->at->getTimestamp()) / 3600.0, $plan->runSheet->isTooLate()];
    };
    // Eighteen hours before would be in the night: it begins in the morning, still well over its least.
    [$plenty, $late] = $hours('2031-10-01T09:00:00+02:00');
    expect($plenty)->toBeGreaterThanOrEqual(6.0)->toBeLessThanOrEqual(18.0)->and($late)->toBeFalse();
    [$some, $late] = $hours('2031-10-04T06:00:00+02:00');
    expect($some)->toBeGreaterThan(6.0)->toBeLessThan(18.0)->and($late)->toBeFalse();
    expect($hours('2031-10-04T14:00:00+02:00'))->toEqual([6.0, true]);
});

// Stuffed birds. Source: USDA FSIS, Turkey Basics (from memory): 14 to 18 lb 4 to 4¼ h, against 3¾ to 4¼ h unstuffed; 12 to
// 14 lb 3½ to 4 h against 3 to 3¾ h.
it('takes a stuffed turkey somewhat longer, and asks 74 °C of its middle', function () {
    $forecast = fn (array $preparations): Forecast => Forecast::of(
        Samples::dish(
            [
                'cut' => 'turkey', 'mass_kg' => 5.9, 'start_c' => 4, 'taste' => 'done', 'coast' => false,
                'preparations' => $preparations, 'stages' => [['cooker' => 'oven', 'cooker_c' => 163, 'pull' => true]],
            ],
        ),
        20.0,
    );
    $more = $forecast(['stuff'])->cookMinutes->likely / $forecast([])->cookMinutes->likely;
    expect($more)->toBeGreaterThan(1.03)->toBeLessThan(1.15)
        ->and($forecast(['stuff'])->cookMinutes->likely)->toBeGreaterThan(195.0)->toBeLessThan(245.0)
        ->and($forecast(['stuff'])->dish->safetyClass())->toBe('stuffing');
});

it('slows a joint that is wrapped in bacon', function () {
    $minutes = fn (array $preparations): float => Forecast::of(
        Samples::dish(['cut' => 'venison-haunch', 'mass_kg' => 2.2, 'taste' => 'medium', 'preparations' => $preparations]),
        14.0,
    )->cookMinutes->likely;
    expect($minutes(['bard']) / $minutes([]))->toBeGreaterThan(1.02)->toBeLessThan(1.3);
});

function fieldsRefused(array $file): array
{
    try {
        Diatherm\Roast\RoastFile::read($file);
    } catch (Diatherm\Measure\InvalidInput $wrong) {
        return $wrong->messages;
    }

    return [];
}

it('refuses a preparation that does not suit the cut, or comes twice', function (array $dish) {
    expect(array_keys(fieldsRefused(Samples::file($dish))))->toContain('dishes.0.preparations.'.(count($dish['preparations']) - 1));
})->with([
    [['preparations' => ['stuff']]], [['preparations' => ['fly']]], [['preparations' => ['truss', 'truss']]], [['preparations' => [3]]],
]);

it('begins no long preparation in the middle of the night', function (string $serve) {
    foreach (['dry_brine', 'dry_skin', 'marinate_yoghurt', 'rub', 'wet_brine'] as $id) {
        $plan = Plan::of(
            Samples::roast(['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => 'done', 'preparations' => [['do' => $id, 'mix' => 'none']]], ['serve_at' => $serve]),
            new DateTimeImmutable('2031-09-28T09:00:00+02:00'),
        );
        $hour = (int) preparing($plan)[0]->at->format('G');
        expect($hour)->toBeGreaterThanOrEqual(7)->toBeLessThan(22);
    }
})->with(['2031-10-04T12:30:00+02:00', '2031-10-04T18:45:00+02:00', '2031-10-04T21:00:00+02:00']);

// Foil keeps radiation off and moisture in: both are seen, and a parcel never dries.
it('seals a parcel, so that nothing dries and nothing shines on it', function () {
    $open = Forecast::of(Samples::dish(['cut' => 'salmon-side', 'mass_kg' => 1.2, 'taste' => 'flaking']), 14.0);
    $parcel = Forecast::of(
        Samples::dish(['cut' => 'salmon-side', 'mass_kg' => 1.2, 'taste' => 'flaking', 'preparations' => ['parcel']]),
        14.0,
    );
    $air = Diatherm\Heat\Surroundings::of(150.0, 150.0, 10.0, 0.85, 45.0);
    expect($air->sealed(true)->evaporationWm2Pa)->toBe(0.0)
        ->and($air->sealed(true)->emissivity)->toBeLessThan(0.1)
        ->and($air->sealed(false)->emissivity)->toBe(0.85)
        ->and($parcel->cookMinutes->likely)->not->toEqualWithDelta($open->cookMinutes->likely, 0.1);
});

it('says when more marinating gains nothing', function () {
    expect(said(preparing(prepared(['marinate_yoghurt']))[1]->detail))->toContain('6 h at the least, no more gain after 18 h');
});

// Common practice: pieces crowded in a pan take about a quarter longer. Herbs in a cavity or butter under a skin change
// neither time nor what is safe.
it('takes pieces that touch about a quarter longer, and one alone no longer', function (string $cut, float $kg) {
    $minutes = fn (array $preparations, int $pieces): float => Forecast::of(
        Samples::dish(
            [
                'cut' => $cut, 'mass_kg' => $kg, 'pieces' => $pieces, 'taste' => null, 'target_c' => 74,
                'coast' => false, 'preparations' => $preparations,
                'stages' => [['cooker' => 'oven', 'cooker_c' => 200, 'pull' => true]],
            ],
        ),
        14.0,
    )->cookMinutes->likely;
    expect($minutes(['crowd'], 8) / $minutes([], 8))->toBeGreaterThan(1.1)->toBeLessThan(1.4)
        ->and($minutes(['crowd'], 2))->toBeLessThan($minutes(['crowd'], 8))
        ->and($minutes(['crowd'], 1))->toEqualWithDelta($minutes([], 1), 1e-9);
})->with([['chicken-breast', 0.25], ['potatoes', 0.2], ['fish-fillet', 0.2], ['duck-breast', 0.35], ['carrots', 0.15]]);

it('takes herbs and butter for neither stuffing nor a layer', function () {
    $forecast = fn (array $preparations): Forecast => Forecast::of(
        Samples::dish(
            [
                'cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => 'done', 'preparations' => $preparations,
                'stages' => [['cooker' => 'oven', 'cooker_c' => 190, 'pull' => true]],
            ],
        ),
        14.0,
    );
    expect($forecast(['aromatics', 'butter'])->cookMinutes)->toEqual($forecast([])->cookMinutes)
        ->and($forecast(['aromatics', 'butter'])->dish->safetyClass())->toBe('poultry');
});

// Common practice, and USDA FSIS for the time (from memory): a whole duck is roasted 2½ to 3 h at 177 °C, until its fat has run.
it('says of a fat bird that is only cooked through that its fat is still there', function (string $cut, string|float $to, bool $said) {
    $forecast = Forecast::of(
        Samples::dish(
            [
                'cut' => $cut, 'mass_kg' => $cut === 'goose' ? 4.5 : 2.3, 'taste' => is_string($to) ? $to : null,
                'coast' => false, 'stages' => [['cooker' => 'oven', 'cooker_c' => 177, 'pull' => true]],
            ] + (is_string($to) ? [] : ['target_c' => $to]),
        ),
        14.0,
    );
    expect(in_array('fat_still_to_run', array_column($forecast->cautions, 'id'), true))->toBe($said);
    if ($cut === 'duck' && $to === 'run') {
        expect($forecast->cookMinutes->likely)->toBeGreaterThan(150.0)->toBeLessThan(180.0);
    }
})->with([['duck', 'done', true], ['duck', 'run', false], ['goose', 'done', true], ['goose', 'run', false], ['duck', 81.0, true], ['duck', 90.0, false], ['chicken', 'done', false], ['turkey', 74.0, false]]);
