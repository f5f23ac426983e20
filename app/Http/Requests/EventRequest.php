<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Event;
use App\Models\EventKind;
use App\Models\Roast;
use Carbon\CarbonImmutable;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Validation\Rule;

final class EventRequest extends LogRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return $this->common(dish: $this->kind()?->isOfADish() === true) + [
            'kind' => ['bail', 'required', 'string', Rule::enum(EventKind::class)->only(EventKind::logged())],
            'stage' => ['bail', 'required_if:kind,stage', 'nullable', new Finite(1, 7, Message::of('event.the_stage_is_one'), whole: true)],
            'entry' => ['bail', 'required_if:kind,tick', 'nullable', 'string', 'max:60', 'regex:/^[a-z0-9_.-]+$/D'],
            'minutes' => ['bail', 'nullable', new Finite(0.1, 60.0, Message::of('event.minutes'))],
            'note' => ['bail', 'required_if:kind,note', 'nullable', 'string', 'max:500'],
            'settings' => ['bail', 'required_if:kind,set', 'nullable', 'array', 'max:8'],
            'settings.*' => ['bail', new Finite(0.0, 1000.0, Message::of('event.a_setting_is_a_number'))],
            'celsius' => [
                'bail',
                'required_if:kind,set',
                'nullable',
                new Finite(0.0, 700.0, Message::of('event.set_for', least: Quantity::celsius(0.0), most: Quantity::celsius(700.0))),
            ],
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
        // What another device has logged already is the logbook's to judge.
        $there = $kind->isOnce() ? Event::standing($events, $kind, $dish) : null;
        if ($before !== null && ($there === null || $there->client_id === $id)) {
            $needed = Event::standing($events->reject(fn (Event $event): bool => $event->client_id === $id), $before, $dish);
            if ($needed === null) {
                throw InvalidInput::atField('kind', Message::of($before === EventKind::On ? 'event.not_on_yet' : 'event.not_pulled_yet'));
            }
            if ($at < $needed->at) {
                throw InvalidInput::atField(
                    'at',
                    Message::of(
                        $before === EventKind::On ? 'event.before_it_was_on' : 'event.before_it_was_pulled',
                        hour: $needed->at->setTimezone($roast->time_zone),
                    ),
                );
            }
        }
        // What was taken back may be done again after that; what took it back stays after it.
        $back = $kind->takenBackBy();
        $again = fn (Event $event): bool => $event->kind === $back && $events->last(
            fn (Event $one): bool => $one->kind === $kind && $one->at <= $event->at,
        )?->client_id !== $id;
        $later = $events->first(
            fn (Event $event): bool => $event->kind->after() === $kind && $event->at < $at && $event->client_id !== $id && ! $again($event),
        );
        if ($later !== null) {
            throw InvalidInput::atField(
                'at',
                Message::of(
                    'event.that_is_after_at_which',
                    kind: $later->kind->inWords(),
                    hour: $later->at->setTimezone($roast->time_zone),
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
