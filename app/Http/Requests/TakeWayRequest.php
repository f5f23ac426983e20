<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\ClientId;
use App\Words\Voice;
use Diatherm\Measure\Message;
use Illuminate\Foundation\Http\FormRequest;

/** Which of the ways that were offered is taken; its id is made by the device, so that it can be sent twice. */
final class TakeWayRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['bail', 'required', 'string', ClientId::RULE],
            'way' => ['bail', 'required', 'string', 'max:60', 'regex:/^[a-z0-9_-]+$/D'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'id.*' => Voice::ofTheReader()->say(Message::of('log.the_id_must')),
            'way.*' => Voice::ofTheReader()->say(Message::of('ways.ask_again')),
        ];
    }

    public function id(): string
    {
        return $this->string('id')->toString();
    }

    public function way(): string
    {
        return $this->string('way')->toString();
    }
}
