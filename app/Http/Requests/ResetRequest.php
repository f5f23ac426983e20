<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** What a letter brought, and the new password. */
final class ResetRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'token' => ['bail', 'required', 'string', 'max:100'],
            'email' => ['bail', 'required', 'string', 'max:190'],
            'password' => NewPassword::rules(),
        ];
    }
}
