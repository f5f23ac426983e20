<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Devices\Probe;
use App\Models\ClientId;
use App\Models\Device;
use App\Words\Voice;
use Carbon\CarbonImmutable;
use Diatherm\Measure\Fields;
use Diatherm\Measure\Message;
use Illuminate\Foundation\Http\FormRequest;

/** Readings of a thermometer, one or many: what each probe shows and when; nothing for one that is not plugged in. */
final class DevicePostRequest extends FormRequest
{
    private const MOST = 2000;

    private const CLOCK_SLACK_MINUTES = 15;

    private const OLDEST_DAYS = 30;

    /** One reading may come without a list round it. */
    protected function prepareForValidation(): void
    {
        if (! $this->has('readings') && $this->has('channel')) {
            $this->merge(['readings' => [$this->only('id', 'channel', 'celsius', 'at')]]);
        }
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $percent = fn (string $what): array => ['bail', 'nullable', new Finite(0.0, 100.0, Message::of($what))];

        return [
            'battery' => $percent('devices.battery_in_percent'),
            'signal' => $percent('devices.signal_in_percent'),
            'readings' => ['bail', 'present', 'array', 'list', 'max:'.self::MOST],
            'readings.*' => ['bail', 'array:id,channel,celsius,at'],
            'readings.*.id' => ['bail', 'nullable', 'string', ClientId::RULE],
            'readings.*.channel' => [
                'bail', 'required', new Finite(
                    1.0, Probe::MOST_CHANNELS, Message::of('devices.channels', most: Probe::MOST_CHANNELS), whole: true,
                ),
            ],
            // What a broken probe shows is no temperature, and no fault of the post.
            'readings.*.celsius' => ['bail', 'present', 'nullable', new Finite(-1e6, 1e6, Message::of('reading.give_the_temperature'))],
            'readings.*.at' => [
                'bail', 'nullable', 'string', 'max:40', 'regex:'.Fields::MOMENT, 'date',
                'before_or_equal:'.CarbonImmutable::now()->addMinutes(self::CLOCK_SLACK_MINUTES)->toAtomString(),
                'after:'.CarbonImmutable::now()->subDays(self::OLDEST_DAYS)->toAtomString(),
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return array_map(Voice::ofTheReader()->say(...), [
            'readings.max' => Message::of('devices.so_many_at_once', most: self::MOST),
            'readings.*' => Message::of('devices.a_list_of_readings'),
            'readings.*.id.*' => Message::of('log.the_id_must'),
            'readings.*.celsius.*' => Message::of('reading.give_the_temperature'),
            'readings.*.at.before_or_equal' => Message::of('log.this_time_has_not_come'),
            'readings.*.at.after' => Message::of('log.this_time_is_more'),
            'readings.*.at.*' => Message::of('log.give_the_time'),
        ]);
    }

    public function device(): Device
    {
        $device = $this->user();
        assert($device instanceof Device);

        return $device;
    }

    /** @return list<array{id: string|null, channel: int, celsius: float|null, at: CarbonImmutable}> */
    public function readings(): array
    {
        $now = CarbonImmutable::now();
        /** @var list<array{id?: string|null, channel: int|string, celsius: int|float|string|null, at?: string|null}> $rows */
        $rows = $this->input('readings');

        return array_map(fn (array $row): array => [
            'id' => $row['id'] ?? null,
            'channel' => (int) $row['channel'],
            'celsius' => $row['celsius'] === null ? null : (float) $row['celsius'],
            'at' => isset($row['at']) ? CarbonImmutable::parse($row['at'])->utc()->min($now) : $now,
        ], $rows);
    }

    public function percent(string $of): ?int
    {
        return $this->filled($of) ? (int) round($this->float($of)) : null;
    }
}
