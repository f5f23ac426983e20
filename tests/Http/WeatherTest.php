<?php

declare(strict_types=1);

use App\Weather\Hour;
use App\Weather\WeatherService;
use Carbon\CarbonImmutable;
use Diatherm\Cooker\Weather;
use Diatherm\Practice\SimulatedWeather;
use Tests\Support\Contract;

// Weather by the hour, through the interface that a real service would use.

function weatherOf(string $from, string $until, float $latitude = 51.6, float $longitude = -1.1): string
{
    return '/api/weather?'.http_build_query(['latitude' => $latitude, 'longitude' => $longitude, 'from' => $from, 'until' => $until]);
}

it('tells the hours that are asked for', function () {
    $this->actingAs($this->cook());
    $from = CarbonImmutable::now()->addHours(3);
    $answer = $this->getJson(weatherOf($from->toAtomString(), $from->addHours(5)->toAtomString()))->assertOk();
    expect(Contract::breaches((string) $answer->content(), 'WeatherHours'))->toBe([]);
    $hours = $answer->json('hours');
    expect(count($hours))->toBeGreaterThanOrEqual(6)->toBeLessThanOrEqual(7)
        ->and($hours[0]['at'] <= $from->toIso8601ZuluString())->toBeTrue()->and(end($hours)['at'] >= $from->addHours(5)->toIso8601ZuluString())->toBeTrue();
    $this->getJson(weatherOf($from->toAtomString(), $from->addHours(5)->toAtomString()))->assertExactJson($answer->json());
});

it('asks whichever service is bound', function () {
    $this->app->bind(WeatherService::class, fn (): WeatherService => new class implements WeatherService
    {
        public function hours(float $latitude, float $longitude, CarbonImmutable $from, CarbonImmutable $until): array
        {
            return [new Hour($from, Weather::of(-4.5, 9.0, true, 0.0))];
        }
    });
    $this->actingAs($this->cook());
    $now = CarbonImmutable::now();
    $this->getJson(weatherOf($now->toAtomString(), $now->toAtomString()))->assertOk()->assertJsonPath('hours.0.air_c', -4.5)->assertJsonPath('hours.0.rain', true);
});

it('refuses what is no place and no hour of the next days', function (array $query, string $field) {
    $this->actingAs($this->cook());
    $now = CarbonImmutable::now();
    $this->getJson('/api/weather?'.http_build_query($query + ['latitude' => 51, 'longitude' => 0, 'from' => $now->toAtomString(), 'until' => $now->addHour()->toAtomString()]))
        ->assertUnprocessable()->assertJsonValidationErrors($field);
})->with([
    [['latitude' => 90], 'latitude'], [['latitude' => 'north'], 'latitude'], [['longitude' => 181], 'longitude'], [['from' => 'soon'], 'from'],
    [['until' => '2099-01-01T00:00:00Z'], 'until'], [['from' => '2001-01-01T00:00:00Z'], 'from'], [['until' => '2026-01-01T00:00:00Z'], 'until'],
]);

it('is to nobody’s eyes who is not signed in', fn () => $this->getJson(weatherOf(now()->toAtomString(), now()->toAtomString()))->assertUnauthorized());

// Facts of the trade: afternoons are warmer than nights, summers than winters, the other half of the globe the other way round.
it('has a stand-in with days, nights and seasons, that moves without jumps and rains now and then', function () {
    $mean = function (float $latitude, string $month, int $hour): float {
        $sum = 0.0;
        for ($day = 1; $day <= 28; $day++) {
            $sum += SimulatedWeather::at($latitude, 0.0, new DateTimeImmutable(sprintf('2031-%s-%02dT%02d:00:00Z', $month, $day, $hour)))->airC;
        }

        return $sum / 28;
    };
    expect($mean(51.0, '07', 15))->toBeGreaterThan($mean(51.0, '07', 3) + 3)->toBeGreaterThan($mean(51.0, '01', 15) + 8)
        ->and($mean(-40.0, '01', 15))->toBeGreaterThan($mean(-40.0, '07', 15) + 6);
    $wet = 0;
    $before = null;
    for ($hour = 0; $hour < 24 * 60; $hour++) {
        $now = SimulatedWeather::at(51.6, -1.1, new DateTimeImmutable('@'.(1_950_000_000 + 3600 * $hour)));
        $wet += (int) $now->rain;
        expect($now->airC)->toBeGreaterThan(-15.0)->toBeLessThan(35.0)->and($now->windMs)->toBeGreaterThanOrEqual(1.0)->toBeLessThanOrEqual(7.0);
        if ($before !== null) {
            expect(abs($now->airC - $before->airC))->toBeLessThan(5.0)->and(abs($now->windMs - $before->windMs))->toBeLessThan(2.5);
        }
        $before = $now;
    }
    expect($wet / 1440)->toBeGreaterThan(0.1)->toBeLessThan(0.45);
});

it('refuses lists and objects where a scalar is due, at their fields', function (string $query, string $field) {
    $this->actingAs($this->cook());
    $sound = ['latitude' => '50', 'longitude' => '8', 'from' => now()->toAtomString(), 'until' => now()->addHours(5)->toAtomString()];
    unset($sound[$field]);
    $this->getJson('/api/weather?'.http_build_query($sound).'&'.$query)->assertUnprocessable()->assertJsonValidationErrors($field);
})->with([['from[]=1', 'from'], ['from[a][b]=1', 'from'], ['until[]=1', 'until'], ['latitude[]=1', 'latitude'], ['longitude[x]=1', 'longitude']]);
