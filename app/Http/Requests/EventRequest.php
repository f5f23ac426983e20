<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Event;
use App\Models\EventKind;
use App\Models\Roast;
use Carbon\CarbonImmutable;
use Diatherm\Measure\InvalidInput;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Validation\Rule;

final class EventRequest extends LogRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return $this->common(dish: $this->kind()?->isOfADish() === true) + [
            'kind' => ['bail', 'required', 'string', Rule::enum(EventKind::class)],
            'stage' => ['bail', 'required_if:kind,stage', 'nullable', new Finite(1, 7, 'The stage is one of 1 to 7.', whole: true)],
            'entry' => ['bail', 'required_if:kind,tick', 'nullable', 'string', 'max:60', 'regex:/^[a-z0-9_.-]+$/D'],
            'minutes' => ['bail', 'nullable', new Finite(0.1, 60.0, 'The minutes are from 0.1 to 60.')],
            'note' => ['bail', 'required_if:kind,note', 'nullable', 'string', 'max:500'],
            'settings' => ['bail', 'required_if:kind,set', 'nullable', 'array', 'max:8'],
            'settings.*' => ['bail', new Finite(0.0, 1000.0, 'A setting is a number from 0 to 1000.')],
            'celsius' => ['bail', 'required_if:kind,set', 'nullable', new Finite(0.0, 700.0, 'It was set for 0 °C to 700 °C.')],
        ];
    }

    /** @return list<callable> */
    public function after(): array
    {
        return [function (\Illuminate\Validation\Validator $validator): void {
            $kind = $this->kind();
            if ($validator->errors()->isEmpty() && $kind !== null) {
                self::insistOnOrder(
                    $this->stored(),
                    $kind,
                    $this->filled('dish') ? $this->integer('dish') : null,
                    $this->moment(),
                    $this->string('id')->toString(),
                );
            }
        }];
    }

    private function kind(): ?EventKind
    {
        $kind = $this->input('kind');

        return is_string($kind) ? EventKind::tryFrom($kind) : null;
    }

    /** @throws InvalidInput when what has to come before has not, or comes later */
    public static function insistOnOrder(Roast $roast, EventKind $kind, ?int $dish, CarbonImmutable $at, string $id): void
    {
        $before = $kind->after();
        /** @var Collection<int, Event> $events */
        $events = $roast->events()->where('dish', $dish)->get();
        if ($before !== null) {
            $needed = $events->last(fn (Event $event): bool => $event->kind === $before);
            if ($needed === null) {
                throw InvalidInput::at('kind', sprintf('It has to be %s first.', $before === EventKind::On ? 'on the heat' : 'pulled'));
            }
            if ($at < $needed->at) {
                throw InvalidInput::at(
                    'at',
                    sprintf(
                        'That is before it was %s, at %s.',
                        $before === EventKind::On ? 'put on' : 'pulled',
                        $needed->at->setTimezone($roast->time_zone)->format('H:i'),
                    ),
                );
            }
        }
        $later = $events->first(
            fn (Event $event): bool => $event->kind->after() === $kind && $event->at < $at && $event->client_id !== $id,
        );
        if ($later !== null) {
            throw InvalidInput::at(
                'at',
                sprintf(
                    'That is after “%s” at %s, which came later.',
                    $later->kind->inWords(),
                    $later->at->setTimezone($roast->time_zone)->format('H:i'),
                ),
            );
        }
    }

    /** @return array<string, mixed> */
    public function row(): array
    {
        $number = fn (string $key): ?int => $this->filled($key) ? $this->integer($key) : null;

        return [
            'dish' => $number('dish'),
            'at' => $this->moment(),
            'kind' => $this->kind(),
            'stage' => $number('stage'),
            'entry' => $this->filled('entry') ? $this->string('entry')->toString() : null,
            'minutes' => $this->filled('minutes') ? $this->float('minutes') : null,
            'note' => $this->filled('note') ? $this->string('note')->toString() : null,
            'settings' => $this->filled('settings') ? array_map(floatval(...), (array) $this->input('settings')) : null,
            'celsius' => $this->filled('celsius') ? $this->float('celsius') : null,
        ];
    }
}
