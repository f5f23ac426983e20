<?php

declare(strict_types=1);

use Diatherm\Plan\Plan;
use Diatherm\Roast\RoastFile;
use Tests\Support\Samples;

// The hour is the table's hour: wherever the browser is, and on the nights when the clocks change.
// Source: the IANA time zone database. Europe/Oslo goes to summer time on 30 March 2031 at 01:00 UTC and back on 26 October.

/** @return list<string> every time in an answer that is of the table */
function hours(mixed $answer): array
{
    $found = [];
    array_walk_recursive($answer, function (mixed $value) use (&$found): void {
        if (is_string($value) && preg_match('/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?[+-]\d\d:\d\d$/', $value) === 1) {
            $found[] = $value;
        }
    });

    return $found;
}

it('keeps every hour by the table’s clock, logged or not', function (string $zone) {
    $roast = $this->roast([], ['serve_at' => now()->addHours(4)->utc()->toAtomString(), 'time_zone' => $zone]);
    $this->log($roast, 'on', 60);
    $this->read($roast, 24.0, 20);
    $this->log($roast, 'turned', 10);
    $answer = $this->log($roast, 'pulled', 1)->assertOk()->json();
    expect($answer['plan']['time_zone'])->toBe($zone)->and($answer['file']['time_zone'])->toBe($zone);
    $times = hours([$answer['plan'], $answer['readings'], $answer['events'], $answer['now']]);
    expect(count($times))->toBeGreaterThan(20);
    foreach ($times as $time) {
        $there = (new DateTimeImmutable($time))->setTimezone(new DateTimeZone($zone));
        expect(substr($time, -6))->toBe($there->format('P'), $time);
    }
})->with(['America/Chicago', 'Asia/Kolkata', 'Europe/Oslo', 'Pacific/Chatham', 'UTC']);

it('steps over a change of the clocks with the right hour on both sides', function (string $serveAt, string $on) {
    $plan = Plan::of(
        RoastFile::read(
            Samples::file(
                [
                    'cut' => 'pork-shoulder',
                    'mass_kg' => 3.5,
                    'taste' => 'tender',
                    'preparations' => ['dry_brine'],
                    'stages' => [['cooker' => 'pellet', 'cooker_c' => 120, 'pull' => true]],
                ],
                ['serve_at' => $serveAt, 'time_zone' => 'Europe/Oslo'],
            ),
        ),
        new DateTimeImmutable('2031-03-01T12:00:00Z'),
    );
    $entries = entriesById($plan);
    $cook = ($entries['d0.pull']->at->getTimestamp() - $entries['d0.on']->at->getTimestamp()) / 60.0;
    expect($cook)->toEqualWithDelta($plan->forecast(0)->cookMinutes->likely, 0.1)
        ->and($entries['d0.on']->at->format('P'))->toBe($on)
        ->and($entries['serve']->at->format('H:i'))->toBe('13:00');
    // Nobody salts a shoulder at night: by the table's own clock, on either side of the change.
    $hour = (int) $entries['d0.prepare.dry_brine']->at->format('G');
    expect($hour)->toBeGreaterThanOrEqual(7)->toBeLessThan(23);
})->with([
    'forward' => ['2031-03-30T13:00:00+02:00', '+01:00'],
    'back' => ['2031-10-26T13:00:00+01:00', '+02:00'],
]);

it('reads older files that have an offset alone, and carries a zone out and in', function () {
    $old = RoastFile::read(['version' => 1] + Samples::file());
    expect($old->serveAt->format('P'))->toBe('+02:00')
        ->and($old->zone())->toBeNull()
        ->and(RoastFile::write($old))->not->toHaveKey('time_zone');
    $new = RoastFile::read(['time_zone' => 'Asia/Kolkata'] + Samples::file());
    expect($new->serveAt->format('c'))->toBe('2031-10-04T22:15:00+05:30')->and(RoastFile::write($new)['time_zone'])->toBe('Asia/Kolkata')
        ->and(RoastFile::read(RoastFile::write($new)))->toEqual($new);
});

it('names a zone that is none at its field', function (mixed $zone) {
    $this->actingAs($this->cook());
    $this->postJson(
        '/api/preview',
        Samples::file([], ['time_zone' => $zone, 'serve_at' => now()->addHours(5)->toAtomString()]),
    )->assertUnprocessable()->assertJsonValidationErrors('time_zone');
})->with(['Mars/Olympus', 'Europe', 7, '+02:00', [[]]]);

it('takes “coast” in a first-version file for nobody’s wish', function () {
    $bird = ['cut' => 'chicken', 'mass_kg' => 1.8, 'taste' => 'done', 'coast' => true];
    expect(RoastFile::read(['version' => 1] + Samples::file($bird))->dishes[0]->coast)->toBeNull()
        ->and(RoastFile::read(['version' => 1] + Samples::file(['coast' => false] + $bird))->dishes[0]->coast)->toBeFalse()
        ->and(RoastFile::read(['version' => 2] + Samples::file($bird))->dishes[0]->coast)->toBeTrue();
});
