<?php

declare(strict_types=1);

use Diatherm\Day\Entry;
use Diatherm\Food\Larder;
use Diatherm\Plan\Plan;
use Diatherm\Roast\RoastFile;
use Tests\Support\Samples;

// How long a dish stands out before it goes on: no longer than the two-hour rule allows, whatever start was asked for.

it('never takes a dish out sooner than it may stand out, and says where its start is not come to by then', function (string $cut, float $startC) {
    foreach ([2.0, 14.0, 24.0, 36.0] as $airC) {
        $file = Samples::file(['cut' => $cut, 'mass_kg' => Larder::cut($cut)->typicalMassKg, 'start_c' => $startC, 'taste' => null, 'target_c' => 76], ['air_c' => $airC]);
        $plan = Plan::of(RoastFile::read($file), new DateTimeImmutable('2031-10-01T08:00:00+02:00'));
        $hours = array_column(array_map(fn (Entry $one): array => [$one->id->text(), $one->at->getTimestamp()], $plan->runSheet->entries), 1, 0);
        $out = ($hours['d0.on'] - $hours['d0.take_out']) / 60.0;
        $forecast = $plan->dishes[0]->forecast;
        $told = array_column($forecast->cautions, 'words', 'id');
        $tempering = $forecast->tempering;
        expect($out)->toBeLessThanOrEqual($airC > 32.0 ? 60.5 : 120.5, "$airC")
            ->and($told)->not->toHaveKey('out_of_refrigeration')
            ->and(isset($told['starts_too_warm']))->toBe($tempering->isTooLong(), "$airC")
            // A refrigerator of 6 °C is none of its business.
            ->and($startC <= 7.0 && $tempering->isTooLong())->toBeFalse("$airC");
        if ($tempering->isTooLong()) {
            $inside = $forecast->dish->hazard()?->isInside === true;
            expect(said($told['starts_too_warm']))->toContain($inside ? 'Do not eat it so' : 'we would not serve it to children')
                ->and($tempering->reachesC)->toBeLessThan($startC - 3.0);
        }
    }
})->with(['chicken', 'duck', 'pork-loin', 'lamb-leg', 'beef-rib'])->with([5.0, 6.0, 12.0, 19.0]);
