<?php

declare(strict_types=1);

namespace App\Kitchen;

use App\Models\ClientId;
use App\Models\Device;
use App\Models\Event;
use App\Models\EventKind;
use App\Models\Reading;
use App\Models\ReadingPlace;
use App\Models\Roast;
use App\Roasts\EntryRules;
use Carbon\CarbonImmutable;
use Diatherm\Measure\Fields;
use Diatherm\Measure\Message;
use Diatherm\Measure\Unit;
use Diatherm\Roast\Dish;
use Diatherm\Roast\RoastFile;

/**
 * What was logged of one roast, as it stands in a kitchen's document.
 *
 * @phpstan-import-type LightingRecord from Roast
 */
final readonly class LogFile
{
    private const TO_THE_MILLISECOND = 'Y-m-d\TH:i:s.vP';

    private const AT_ONCE = 500;

    /**
     * @param  LightingRecord|null  $lighting
     * @param  list<array<string, mixed>>  $readings
     * @param  list<array<string, mixed>>  $events
     * @param  list<int>  $hanging  numbers of the thermometers that read for it
     */
    private function __construct(
        public string $note,
        public ?array $lighting,
        private array $readings,
        private array $events,
        public array $hanging,
    ) {
    }

    /**
     * @param  array<string, int>  $devices numbers by id
     * @return list<array<string, mixed>>
     */
    public static function readings(Roast $roast, array $devices): array
    {
        return array_values($roast->readings->map(fn (Reading $one): array => [
            'id' => $one->client_id,
            'dish' => $one->dish,
            'at' => $one->at->format(self::TO_THE_MILLISECOND),
            'place' => $one->place->value,
            'piece' => $one->piece,
            'celsius' => $one->celsius,
            'sure' => $one->sure,
            'device' => $one->device_id === null ? null : ($devices[$one->device_id] ?? null),
            'channel' => $one->channel,
        ])->all());
    }

    /** @return list<array<string, mixed>> */
    public static function events(Roast $roast): array
    {
        return array_values($roast->events->map(fn (Event $one): array => array_filter([
            'id' => $one->client_id,
            'dish' => $one->dish,
            'at' => $one->at->format(self::TO_THE_MILLISECOND),
            'kind' => $one->kind->value,
            'stage' => $one->stage,
            'entry' => $one->entry,
            'minutes' => $one->minutes,
            'note' => $one->note,
            'settings' => $one->settings,
            'celsius' => $one->celsius,
            'words' => $one->words,
            'before' => $one->before,
        ], fn (mixed $value): bool => $value !== null))->all());
    }

    /** @param  list<Device>  $devices */
    public static function read(Fields $fields, Roast $roast, array $devices): self
    {
        $dishes = $roast->dishCount();
        $ids = ['readings' => [], 'events' => []];
        $note = $fields->text('note', 'note', 2000, '', lines: true);
        $readings = [];
        foreach ($fields->has('readings') ? $fields->list('readings', 'readings', 0, Roast::MOST_READINGS) : [] as $one) {
            $place = self::place($one);
            $device = $one->has('device') ? $one->wholeNumber('device', 'device', 0, max(0, count($devices) - 1)) : null;
            $readings[] = [
                'client_id' => self::id($one, $ids['readings']),
                'dish' => $one->wholeNumber('dish', 'dish', 0, max(0, $dishes - 1)),
                // Put in as rows, not as models: nobody else writes its milliseconds.
                'at' => EntryRules::moment($one, 'at', $roast)->format('Y-m-d H:i:s.v'),
                'place' => $place->value,
                'piece' => self::piece($one),
                'celsius' => EntryRules::celsius($one, 'celsius', $place),
                'sure' => $one->truth('sure', 'sure', false),
                'device_id' => $device === null ? null : ($devices[$device]->id ?? null),
                'channel' => $one->has('channel') ? $one->wholeNumber('channel', 'channel', 1, 8) : null,
            ];
        }
        $events = [];
        foreach ($fields->has('events') ? $fields->list('events', 'events', 0, Roast::MOST_EVENTS) : [] as $one) {
            $events[] = self::event($one, $roast, $ids['events']);
        }
        $hanging = [];
        foreach ($fields->has('devices') ? $fields->list('devices', 'devices', 0, count($devices)) : [] as $one) {
            $hanging[] = $one->wholeNumber('', 'device', 0, max(0, count($devices) - 1));
        }

        return new self($note, self::lighting($fields, $dishes), $readings, $events, $hanging);
    }

    public function put(Roast $roast): void
    {
        foreach (array_chunk($this->readings, self::AT_ONCE) as $rows) {
            Reading::query()->insert(
                array_map(fn (array $row): array => ['roast_id' => $roast->id, 'created_at' => CarbonImmutable::now()] + $row, $rows),
            );
        }
        foreach ($this->events as $row) {
            $roast->events()->create($row);
        }
    }

    public static function place(Fields $one): ReadingPlace
    {
        $place = ReadingPlace::tryFrom($one->text('place', 'place', 20));
        if ($place === null) {
            $one->refuse('place', Message::of('reading.say_where_it_was_read', cases: array_column(ReadingPlace::cases(), 'value')));
        }

        return $place ?? ReadingPlace::Core;
    }

    public static function piece(Fields $one): int
    {
        return $one->wholeNumber('piece', 'piece', 1, Dish::MOST_PIECES, 1);
    }

    /**
     * @param  array<string, true>  $ids  that were there before
     * @return array<string, mixed>
     */
    private static function event(Fields $one, Roast $roast, array &$ids): array
    {
        $dishes = $roast->dishCount();
        $kind = EventKind::tryFrom($one->text('kind', 'kind', 20));
        if ($kind === null) {
            $one->refuse('kind', Message::of('field.one_of', what: 'kind', allowed: array_column(EventKind::cases(), 'value')));
        }
        $settings = $one->object('settings', 'settings');

        return [
            'client_id' => self::id($one, $ids),
            'dish' => $one->has('dish') ? $one->wholeNumber('dish', 'dish', 0, max(0, $dishes - 1)) : null,
            'at' => EntryRules::moment($one, 'at', $roast),
            'kind' => $kind ?? EventKind::Note,
            'stage' => $one->has('stage') ? $one->wholeNumber('stage', 'stage', 1, 7) : null,
            'entry' => $one->has('entry') ? $one->text('entry', 'entry', 60) : null,
            'minutes' => $one->optionalNumber('minutes', 'minutes', 0.0, 60.0, Unit::Minute),
            'note' => $one->has('note') ? $one->text('note', 'note', 500, lines: true) : null,
            'settings' => $settings?->numbers(0.0, 1000.0, 8),
            'celsius' => $one->optionalNumber('celsius', 'temperature', 0.0, 700.0, Unit::Celsius),
            'words' => $kind === EventKind::Way ? EntryRules::words($one, 'words') : null,
            'before' => $kind === EventKind::Way ? self::before($one) : null,
        ];
    }

    /**
     * How the plan stood before another way was taken.
     *
     * @return array{inputs: array<string, mixed>, then: string, events: list<string>}|null
     */
    private static function before(Fields $one): ?array
    {
        $before = $one->object('before', 'before');
        if ($before === null) {
            return null;
        }
        $inputs = $before->raw('inputs') ?? [];
        RoastFile::read($inputs);
        $events = array_map(
            fn (Fields $event): string => $event->text('', 'event', 40),
            $before->has('events') ? $before->list('events', 'events', 0, 100) : [],
        );

        /** @var array<string, mixed> $inputs */
        return ['inputs' => $inputs, 'then' => $before->text('then', 'then', 80), 'events' => $events];
    }

    /** @return LightingRecord|null */
    private static function lighting(Fields $fields, int $dishes): ?array
    {
        $lighting = $fields->object('lighting', 'lighting');
        if ($lighting === null) {
            return null;
        }
        $lit = array_map(function (Fields $dish): array {
            $minutes = $dish->object('cook_minutes', 'cook_minutes');
            $curve = $dish->object('curve', 'curve');
            $of = fn (string $end): float => $minutes?->number($end, 'minutes', 0.0, 20_000.0, Unit::Minute) ?? 0.0;

            return [
                'cook_minutes' => ['low' => $of('low'), 'likely' => $of('likely'), 'high' => $of('high')],
                'pull_c' => $dish->number('pull_c', 'temperature', -30.0, 400.0, Unit::Celsius),
                'curve' => [
                    'minutes' => self::points($curve, 'minutes'), 'core_c' => self::points($curve, 'core_c'),
                    'surface_c' => self::points($curve, 'surface_c'), 'air_c' => self::points($curve, 'air_c'),
                ],
            ];
        }, $lighting->list('dishes', 'dishes', $dishes, $dishes));
        $settings = [];
        $set = $lighting->object('settings', 'settings');
        foreach (array_keys($set?->raw('') ?? []) as $cooker) {
            $settings[(string) $cooker] = $set?->object((string) $cooker, 'settings')?->numbers(0.0, 1000.0, 8) ?? [];
        }

        return ['dishes' => $lit, 'settings' => $settings];
    }

    /** @return list<float> */
    private static function points(?Fields $curve, string $key): array
    {
        return $curve === null ? [] : array_map(
            fn (Fields $point): float => $point->number('', 'temperature', -273.0, 20_000.0, Unit::None),
            $curve->list($key, 'curve', 0, 400),
        );
    }

    /** @param  array<string, true>  $ids  that were there before */
    private static function id(Fields $one, array &$ids): string
    {
        $id = $one->text('id', 'id', 36);
        if (preg_match('/^'.ClientId::PATTERN.'$/D', $id) !== 1) {
            $one->refuse('id', Message::of('log.the_id_must'));
        }
        if (isset($ids[$id])) {
            $one->refuse('id', Message::of('log.the_id_is_there_twice'));
        }
        $ids[$id] = true;

        return $id;
    }
}
