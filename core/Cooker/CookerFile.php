<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Measure\Fields;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/** The open cooker format (docs/cooker.schema.json): the one place where a cooker and its log are read and written. */
final class CookerFile
{
    public const FORMAT = 'diatherm.cooker';

    public const VERSION = 1;

    public const MOST_BYTES = 524_288;

    public const MOST_OBSERVATIONS = 2000;

    /** @throws InvalidInput with a message at each field that cannot be used */
    public static function readJson(string $json): OwnCooker
    {
        if (strlen($json) > self::MOST_BYTES) {
            throw InvalidInput::atField('file', Message::of('file.too_large', kb: intdiv(self::MOST_BYTES, 1024)));
        }
        try {
            $data = json_decode($json, true, 16, JSON_THROW_ON_ERROR);
        } catch (\JsonException) {
            throw InvalidInput::atField('file', Message::of('file.not_json'));
        }

        return self::read($data);
    }

    /**
     * @param  mixed  $data  decoded JSON
     *
     * @throws InvalidInput with a message at each field that cannot be used
     */
    public static function read(mixed $data): OwnCooker
    {
        $fields = Fields::of($data);
        $fields->only('format', 'version', 'name', 'kind', 'facts', 'observations');
        if ($fields->text('format', 'format', 40, self::FORMAT) !== self::FORMAT) {
            $fields->refuse('format', Message::of('file.format', format: self::FORMAT));
        }
        $fields->wholeNumber('version', 'version', self::VERSION, self::VERSION, self::VERSION);
        $name = $fields->text('name', 'name', OwnCooker::LONGEST_NAME);
        $kind = $fields->text('kind', 'kind', 60);
        if ($kind !== '' && ! Equipment::has($kind)) {
            $fields->refuse('kind', Message::of('cooker_file.the_kind_is_one', kinds: Equipment::kinds()));
            $kind = '';
        }
        $facts = $kind === '' ? [] : self::facts($fields, $kind);
        $fields->orThrow();
        $equipment = Equipment::of($kind, $facts);
        $observations = array_map(
            fn (Fields $one): ?Observation => self::observation($one, $equipment),
            $fields->list('observations', 'observations', 0, self::MOST_OBSERVATIONS),
        );
        $fields->orThrow();

        return new OwnCooker($name, $equipment, array_values(array_filter($observations)));
    }

    /** @throws InvalidInput */
    public static function readObservation(mixed $data, Equipment $equipment): Observation
    {
        $fields = Fields::of($data);
        $observation = self::observation($fields, $equipment);
        $fields->orThrow();
        assert($observation !== null);

        return $observation;
    }

    /** @return array<string, mixed> what `read` reads, complete */
    public static function write(OwnCooker $cooker): array
    {
        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'name' => $cooker->name,
            'kind' => $cooker->equipment->kind->id,
            'facts' => $cooker->equipment->facts,
            'observations' => array_map(self::writeObservation(...), $cooker->observations),
        ];
    }

    /** @return array<string, mixed> */
    public static function writeObservation(Observation $one): array
    {
        return [
            ...($one->at === null ? [] : ['at' => $one->at->format(\DateTimeInterface::ATOM)]),
            'settings' => $one->settings->values,
            'air_c' => $one->weather->airC,
            'wind_ms' => $one->weather->windMs,
            'rain' => $one->weather->rain,
            'altitude_m' => $one->weather->altitudeM,
            'celsius' => $one->celsius,
            'phase' => $one->phase->value,
            'minutes' => $one->minutes,
        ];
    }

    /** @return array<string, float> */
    private static function facts(Fields $fields, string $kind): array
    {
        $given = $fields->object('facts', 'facts');
        $facts = Equipment::factsOf($kind);
        $given?->only(...array_keys($facts));
        $values = [];
        foreach ($facts as $id => $fact) {
            $values[$id] = $given === null
                ? $fact->usual
                : $given->number(
                    $id,
                    Message::of('words.text', text: lcfirst($fact->name)),
                    $fact->least,
                    $fact->most,
                    $fact->unit,
                    $fact->usual,
                );
            if ($fact->isCount() && floor($values[$id]) !== $values[$id]) {
                $given?->refuse($id, Message::of('cooker_file.give_a_whole_number', fact: $fact->name));
            }
        }
        if (isset($values['meat_over'], $values['burners']) && $values['meat_over'] > $values['burners']) {
            $given?->refuse('meat_over', Message::of('cooker_file.there_are_not_so_many'));
        }

        return $values;
    }

    private static function observation(Fields $fields, Equipment $equipment): ?Observation
    {
        $fields->only('at', 'settings', 'air_c', 'wind_ms', 'rain', 'altitude_m', 'celsius', 'phase', 'minutes');
        $at = $fields->has('at') ? $fields->time('at', 'time') : null;
        $controls = $equipment->mechanism()->controls();
        $given = $fields->object('settings', 'settings');
        if ($given === null && $controls !== []) {
            $fields->refuse('settings', Message::of('cooker_file.say_how_it_was_set'));
        }
        $settings = $given === null ? Settings::of([]) : Settings::read($given, $controls, true);
        $air = $fields->number('air_c', 'outside_air_temperature', -30.0, 50.0, Unit::Celsius, 20.0);
        $wind = $fields->number('wind_ms', 'wind', 0.0, 20.0, Unit::MetrePerSecond, 0.0);
        $rain = $fields->truth('rain', 'rain', false);
        $altitude = $fields->number('altitude_m', 'altitude', 0.0, 4000.0, Unit::Metre, 0.0);
        $celsius = $fields->number('celsius', 'temperature_that_was_read', -30.0, 700.0, Unit::Celsius);
        $phase = Phase::tryFrom($fields->text('phase', 'phase', 20, Phase::Settled->value));
        if ($phase === null) {
            $fields->refuse('phase', Message::of('cooker_file.the_phase_is_one', cases: array_column(Phase::cases(), 'value')));
        }
        $minutes = $fields->number('minutes', 'minutes', 0.0, 1440.0, Unit::Minute, 0.0);
        if ($phase !== null && $phase !== Phase::Settled && $minutes <= 0.0) {
            $fields->refuse(
                'minutes',
                $phase === Phase::Warming
                    ? Message::of('cooker_file.say_how_many_minutes_after')
                    : Message::of('cooker_file.say_how_many_minutes_after_the_lid'),
            );
        }
        if (! $fields->isClean() || $phase === null) {
            return null;
        }
        try {
            return Observation::of($settings, Weather::of($air, $wind, $rain, $altitude), $celsius, $phase, $minutes, $at);
        } catch (OutOfRange $wrong) {
            $fields->refuse('celsius', $wrong->says);

            return null;
        }
    }
}
