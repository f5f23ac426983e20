<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Words\Voice;
use Diatherm\Measure\Message;
use Illuminate\Foundation\Http\FormRequest;

/** A kitchen of one's own. */
final class RegisterRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['bail', 'required', 'string', 'max:80', new PlainLine],
            'email' => ['bail', 'required', 'string', 'email', 'max:190', new PlainLine, 'unique:users,email'],
            'password' => NewPassword::rules(),
            'remember' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array{name: string, email: string, password: string} */
    public function cook(): array
    {
        return [
            'name' => $this->string('name')->toString(),
            'email' => $this->string('email')->toString(),
            'password' => $this->string('password')->toString(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['email.unique' => Voice::ofTheReader()->say(Message::of('register.there_is_a_kitchen'))];
    }
}
