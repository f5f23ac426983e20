<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rules\Password;

/** A kitchen of one's own. */
final class RegisterRequest extends FormRequest
{
    /** bcrypt reads no more of a password than this, and stops at a NUL. */
    public const MOST_PASSWORD_BYTES = 72;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['bail', 'required', 'string', 'max:80'],
            'email' => ['bail', 'required', 'string', 'email', 'max:190', 'unique:users,email'],
            'password' => ['bail', 'required', 'string', Password::min(10), function (string $attribute, string $value, \Closure $fail): void {
                if (strlen($value) > self::MOST_PASSWORD_BYTES) {
                    $fail(
                        sprintf(
                            'The password may have up to %d bytes: as many plain letters, or about %d symbols such as 🔥.',
                            self::MOST_PASSWORD_BYTES,
                            intdiv(self::MOST_PASSWORD_BYTES, 4),
                        ),
                    );
                } elseif (str_contains($value, "\0")) {
                    $fail('The password may not hold a NUL character.');
                }
            }],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['email.unique' => 'There is a kitchen with this address already: sign in instead.'];
    }
}
