<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Whose password was forgotten. */
final class ForgottenRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['email' => ['bail', 'required', 'string', 'email', 'max:190']];
    }
}
