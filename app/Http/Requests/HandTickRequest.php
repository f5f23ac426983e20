<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\ClientId;
use App\Words\Voice;
use Diatherm\Measure\Message;

/** A line that a second pair of hands ticks. */
final class HandTickRequest extends LogRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'at' => $this->timeRules(),
            'id' => ['bail', 'required', 'string', ClientId::RULE],
            'entry' => ['bail', 'required', 'string', 'max:60', 'regex:/^[a-z0-9_.-]+$/D'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return parent::messages() + ['entry.*' => Voice::ofTheReader()->say(Message::of('hands.no_such_line'))];
    }

    /** @return array<string, mixed> */
    public function row(): array
    {
        return ['at' => $this->moment(), 'entry' => $this->entry()];
    }

    public function id(): string
    {
        return $this->string('id')->toString();
    }

    public function entry(): string
    {
        return $this->string('entry')->toString();
    }
}
