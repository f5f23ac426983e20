<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Cooker;
use App\Models\CookerObservation;
use App\Roasts\Yard;
use Diatherm\Cooker\Control;
use Diatherm\Cooker\CookerExplanation;
use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\Fact;
use Diatherm\Cooker\OwnCooker;
use Diatherm\Cooker\OwnCurve;
use Diatherm\Cooker\Phase;
use Diatherm\Cooker\Settings;
use Diatherm\Cooker\Weather;
use Diatherm\Measure\Fields;
use Diatherm\Measure\Message;
use Diatherm\Measure\Unit;

/** A cooker of the cook's own as JSON: its facts, its curve and its points. */
final class CookerResource
{
    private const CURVE_POINTS = 28;

    /** The weather that a curve is drawn for, where its log knows none. */
    private const DRAWN_AIR_C = 15.0;

    /** @return array<string, mixed> */
    public static function of(Cooker $stored): array
    {
        $own = Yard::take($stored);
        $curve = $own->curve();
        $weather = self::usualWeather($own);

        return [
            'id' => $stored->id,
            'edition' => $stored->edition()->mark,
            'name' => $own->name,
            'kind' => $own->equipment->kind->id,
            'kind_name' => $own->equipment->kind->name,
            'note' => $own->equipment->note(),
            'facts' => self::facts($own->equipment),
            'controls' => self::controls($curve->mechanism->controls()),
            'weather' => ['air_c' => $weather->airC, 'wind_ms' => $weather->windMs],
            'least_c' => $own->equipment->kind->leastC,
            'most_c' => $own->equipment->kind->mostC,
            'default_c' => $own->equipment->kind->defaultC,
            'settled' => $curve->settled,
            'seen_c' => $curve->seen === null
                ? null
                : ['least' => round($weather->airC + $curve->seen[0], 1), 'most' => round($weather->airC + $curve->seen[1], 1)],
            'pace_minutes' => round($curve->paceMinutes($own->equipment->kind->defaultC, $weather), 1),
            'warm_up_factor' => PlanResource::spread($curve->warmUpFactor, 2),
            'recovery_minutes' => PlanResource::spread($curve->recoveryMinutes),
            'curve' => self::curve($curve, $weather),
            'observations' => array_values($stored->observations->map(fn (CookerObservation $one, int $i): array => [
                'id' => $one->client_id,
                'at' => $one->at?->toAtomString(),
                'settings' => (object) $one->settings,
                'words' => $curve->mechanism->controls() === []
                    ? null
                    : $curve->mechanism->inWords(Settings::of(array_map(floatval(...), $one->settings))),
                'air_c' => $one->air_c,
                'wind_ms' => $one->wind_ms,
                'rain' => $one->rain,
                'celsius' => $one->celsius,
                'phase' => $one->phase,
                'phase_words' => Phase::from($one->phase)->inWords(),
                'minutes' => $one->minutes,
                'weight' => round($curve->weights[$i] ?? 1.0, 2),
            ])->all()),
            'workings' => PlanResource::workings(CookerExplanation::of($curve)),
        ];
    }

    /**
     * Answers `target_c`, `settings` or both, in a given weather.
     *
     * @return array<string, mixed>
     */
    public static function answer(OwnCooker $own, Fields $fields): array
    {
        $fields->only('target_c', 'settings', 'air_c', 'wind_ms', 'rain', 'altitude_m');
        $kind = $own->equipment->kind;
        $curve = $own->curve();
        $target = $fields->optionalNumber('target_c', 'target_temperature', $kind->leastC, $kind->mostC, Unit::Celsius);
        $given = $fields->object('settings', 'settings');
        $settings = $given === null ? null : Settings::read($given, $curve->mechanism->controls());
        $air = $fields->number('air_c', 'outside_air_temperature', -30.0, 50.0, Unit::Celsius, self::DRAWN_AIR_C);
        $wind = $fields->number('wind_ms', 'wind', 0.0, 20.0, Unit::MetrePerSecond, 1.0);
        $rain = $fields->truth('rain', 'rain', false);
        $altitude = $fields->number('altitude_m', 'altitude', 0.0, 4000.0, Unit::Metre, 0.0);
        if ($target === null && $settings === null) {
            $fields->refuse('target_c', Message::of('cookers.give_a_temperature_or'));
        }
        $fields->orThrow();
        $weather = Weather::of($air, $wind, $rain, $altitude);
        $found = $target === null ? null : $curve->settingsFor($target, $weather)->rounded($curve->mechanism->controls());

        return [
            'for_target' => $target === null || $found === null ? null : self::said($curve, $found, $weather, $target),
            'for_settings' => $settings === null ? null : self::said($curve, $settings, $weather, null),
        ];
    }

    /** @return array<string, mixed> */
    private static function said(OwnCurve $curve, Settings $settings, Weather $weather, ?float $targetC): array
    {
        $celsius = $curve->steadyC($settings, $weather);

        return [
            'settings' => (object) $settings->values,
            'words' => $curve->mechanism->inWords($settings),
            'celsius' => PlanResource::spread($celsius),
            'reached' => $targetC === null || abs(
                $curve->steadyC($curve->settingsFor($targetC, $weather), $weather)->likely - $targetC,
            ) < 4.0,
            'extrapolated' => $curve->isExtrapolated($targetC ?? $celsius->likely, $weather),
        ];
    }

    /** @return list<array<string, mixed>> */
    public static function facts(Equipment $equipment): array
    {
        return array_values(
            array_map(
                fn (Fact $fact): array => [
                    'id' => $fact->id, 'name' => $fact->name, 'unit' => $fact->unit->value,
                    'value' => $equipment->facts[$fact->id], 'usual' => $fact->usual, 'least' => $fact->least,
                    'most' => $fact->most,
                ],
                Equipment::factsOf($equipment->kind->id),
            ),
        );
    }

    /**
     * @param  list<Control>  $controls
     * @return list<array<string, mixed>>
     */
    public static function controls(array $controls): array
    {
        return array_map(
            fn (Control $control): array => [
                'id' => $control->id, 'name' => $control->name(), 'unit' => $control->unit, 'least' => $control->least,
                'most' => $control->most, 'step' => $control->step,
            ],
            $controls,
        );
    }

    /**
     * What it comes to along the path that a cook would take through its controls.
     *
     * @return list<array<string, mixed>>
     */
    private static function curve(OwnCurve $curve, Weather $weather): array
    {
        $kind = $curve->equipment->kind;
        if ($curve->mechanism->controls() === []) {
            return [];
        }
        // From the coolest that it is set to, or was read at.
        $least = min($kind->leastC, $curve->seen === null ? INF : $curve->modelC($weather->airC + $curve->seen[0], $weather));
        $points = [];
        for ($i = 0; $i <= self::CURVE_POINTS; $i++) {
            $model = $least + ($kind->mostC - $least) * $i / self::CURVE_POINTS;
            $settings = $curve->mechanism->settingsFor($model, $weather);
            $celsius = $curve->steadyC($settings, $weather);
            $points[] = [
                'settings' => (object) array_map(fn (float $value): float => round($value, 3), $settings->values),
                'celsius' => PlanResource::spread($celsius),
                'kind_c' => round($curve->mechanism->steadyC($settings, $weather), 1),
                'extrapolated' => $curve->isExtrapolated($celsius->likely, $weather),
            ];
        }

        return $points;
    }

    private static function usualWeather(OwnCooker $own): Weather
    {
        $count = count($own->observations);
        if ($count === 0) {
            return Weather::of(self::DRAWN_AIR_C, 1.0);
        }
        $mean = fn (\Closure $of): float => array_sum(array_map($of, $own->observations)) / $count;

        return Weather::of(
            round($mean(fn ($one): float => $one->weather->airC)),
            round($mean(fn ($one): float => $one->weather->windMs), 1),
        );
    }
}
