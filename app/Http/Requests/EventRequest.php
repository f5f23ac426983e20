<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Event;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

final class EventRequest extends LogRequest
{
    private const OF_A_DISH = ['on', 'stage', 'pulled', 'carved', 'lid', 'basted', 'turned', 'set'];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return $this->common(dish: in_array($this->input('kind'), self::OF_A_DISH, true)) + [
            'kind' => ['required', 'string', Rule::in(array_keys(Event::KINDS))],
            'stage' => ['required_if:kind,stage', 'nullable', 'integer', 'min:1', 'max:7'],
            'entry' => ['required_if:kind,tick', 'nullable', 'string', 'max:60', 'regex:/^[a-z0-9_.]+$/D'],
            'minutes' => ['nullable', 'numeric', 'between:0.1,60'],
            'note' => ['required_if:kind,note', 'nullable', 'string', 'max:500'],
            'settings' => ['required_if:kind,set', 'nullable', 'array', 'max:8'],
            'settings.*' => ['numeric', 'between:0,1000'],
            'celsius' => ['required_if:kind,set', 'nullable', 'numeric', 'between:0,700'],
        ];
    }

    /** @return list<callable> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            $kind = $this->input('kind');
            if ($validator->errors()->isNotEmpty() || ! in_array($kind, ['on', 'stage', 'pulled', 'carved'], true)) {
                return;
            }
            $before = match ($kind) {
                'stage', 'pulled' => 'on',
                'carved' => 'pulled',
                default => null,
            };
            $events = $this->stored()->events()->where('dish', $this->integer('dish'))->get();
            $needed = $before === null ? null : $events->last(fn (Event $event): bool => $event->kind === $before);
            if ($before !== null && $needed === null) {
                $validator->errors()->add('kind', sprintf('It has to be %s first.', $before === 'on' ? 'on the heat' : 'pulled'));
            } elseif ($needed !== null && $this->moment() < $needed->at) {
                $validator->errors()->add('at', sprintf('That is before it was %s.', $before === 'on' ? 'put on' : 'pulled'));
            }
            $same = $events->first(fn (Event $event): bool => $event->kind === $kind && $kind !== 'stage' && $event->client_id !== $this->input('id'));
            if ($same !== null) {
                $validator->errors()->add('kind', 'That is logged already. Undo it first.');
            }
        }];
    }

    /** @return array<string, mixed> */
    public function row(): array
    {
        $number = fn (string $key): ?int => $this->filled($key) ? $this->integer($key) : null;

        return [
            'dish' => $number('dish'),
            'at' => $this->moment(),
            'kind' => $this->string('kind')->toString(),
            'stage' => $number('stage'),
            'entry' => $this->filled('entry') ? $this->string('entry')->toString() : null,
            'minutes' => $this->filled('minutes') ? $this->float('minutes') : null,
            'note' => $this->filled('note') ? $this->string('note')->toString() : null,
            'settings' => $this->filled('settings') ? array_map(floatval(...), (array) $this->input('settings')) : null,
            'celsius' => $this->filled('celsius') ? $this->float('celsius') : null,
        ];
    }
}
