<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Devices\Probe;
use App\Models\ReadingPlace;
use App\Models\Roast;
use App\Models\User;
use App\Words\Voice;
use Diatherm\Measure\Message;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A thermometer: what it is called, the roast that it reads for, and where its probes were put. */
final class DeviceRequest extends FormRequest
{
    private ?Roast $roast = null;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $dishes = $this->roast()?->dishCount() ?? 0;
        $nowhere = $this->roast() === null && $this->input('probes') !== [];
        $channel = new Finite(1.0, Probe::MOST_CHANNELS, Message::of('devices.channels', most: Probe::MOST_CHANNELS), whole: true);

        return [
            'name' => ['bail', 'required', 'string', 'max:80', 'regex:/\S/', new PlainLine],
            'roast' => ['bail', 'nullable', 'string', fn (string $path, mixed $id, \Closure $fail) => $this->roast() === null
                ? $fail(Voice::ofTheReader()->say(Message::of('devices.no_such_roast'))) : null],
            'probes' => ['bail', 'sometimes', 'array', 'list', 'max:'.Probe::MOST_CHANNELS, Rule::prohibitedIf($nowhere)],
            'probes.*' => ['bail', 'array:channel,dish,place,piece'],
            'probes.*.channel' => ['bail', 'required', $channel, 'distinct'],
            'probes.*.dish' => ['bail', 'required', new Finite(0.0, $dishes - 1, Message::of('log.there_is_no_such_dish'), whole: true)],
            'probes.*.piece' => ['bail', 'sometimes', $this->piece(...)],
            'probes.*.place' => ['bail', 'required', 'string', Rule::enum(ReadingPlace::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return array_map(Voice::ofTheReader()->say(...), [
            'name.*' => Message::of('devices.name_it'),
            'probes.prohibited' => Message::of('devices.say_for_which_roast'),
            'probes.*.channel.*' => Message::of('devices.channels', most: Probe::MOST_CHANNELS),
            'probes.*.place.*' => Message::of('reading.say_where_it_was_read', cases: array_column(ReadingPlace::cases(), 'value')),
        ]);
    }

    /** One of the pieces of its dish. */
    private function piece(string $path, mixed $piece, \Closure $fail): void
    {
        $dish = $this->input(substr($path, 0, -strlen('piece')).'dish');
        $pieces = is_numeric($dish) ? $this->roast()?->pieces((int) $dish) ?? 1 : 1;
        (new Finite(1.0, $pieces, Message::of('reading.no_such_piece', pieces: $pieces), whole: true))->validate($path, $piece, $fail);
    }

    public function name(): string
    {
        return trim($this->string('name')->toString());
    }

    /** Of this cook's; null where none was named, or none of theirs. */
    public function roast(): ?Roast
    {
        $id = $this->input('roast');
        $cook = $this->user();
        if ($this->roast === null && is_string($id) && $cook instanceof User) {
            $this->roast = $cook->roasts()->whereKey($id)->first();
        }

        return $this->roast;
    }

    /** @return list<Probe> */
    public function probes(): array
    {
        /** @var list<array{channel: int|string, dish: int|string, place: string, piece?: int|string}> $rows */
        $rows = $this->input('probes', []);

        return array_map(
            fn (array $row): Probe => new Probe(
                (int) $row['channel'], (int) $row['dish'], ReadingPlace::from($row['place']), (int) ($row['piece'] ?? 1),
            ),
            $rows,
        );
    }
}
