<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** An address and a password. */
final class SignInRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'email' => ['bail', 'required', 'string', 'max:190'],
            'password' => ['bail', 'required', 'string', 'max:200'],
            'remember' => ['sometimes', 'boolean'],
        ];
    }
}
