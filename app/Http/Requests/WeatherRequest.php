<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Weather\WeatherService;
use App\Words\Voice;
use Carbon\CarbonImmutable;
use Diatherm\Measure\Fields;
use Diatherm\Measure\Message;
use Illuminate\Foundation\Http\FormRequest;

/** A place and some hours of the next days. */
final class WeatherRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $time = ['bail', 'required', 'string', 'max:40', 'regex:'.Fields::MOMENT, 'date'];

        return [
            'latitude' => ['bail', 'required', new Finite(-66.0, 66.0, Message::of('weather.latitude'))],
            'longitude' => ['bail', 'required', new Finite(-180.0, 180.0, Message::of('weather.longitude'))],
            'from' => [...$time, 'after:'.CarbonImmutable::now()->subDays(1)->toAtomString()],
            'until' => [
                ...$time, ...(is_string($this->input('from')) ? ['after_or_equal:from'] : []), 'before:'.CarbonImmutable::now()->addDays(WeatherService::MOST_DAYS)->toAtomString(),
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return array_map(Voice::ofTheReader()->say(...), [
            'latitude.*' => Message::of('weather.latitude'),
            'longitude.*' => Message::of('weather.longitude'),
            'from.*' => Message::of('weather.hours', days: WeatherService::MOST_DAYS),
            'until.*' => Message::of('weather.hours', days: WeatherService::MOST_DAYS),
        ]);
    }

    public function moment(string $of): CarbonImmutable
    {
        return CarbonImmutable::parse($this->string($of)->toString())->utc();
    }
}
