<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Words\Voice;
use Diatherm\Measure\Message;
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
            'password' => [
                'bail',
                'required',
                'string',
                Password::min(10),
                function (string $attribute, string $value, \Closure $fail): void {
                    if (strlen($value) > self::MOST_PASSWORD_BYTES) {
                        $fail(
                            Voice::ofTheReader()->say(
                                Message::of(
                                    'register.the_password_may_have_up',
                                    bytes: self::MOST_PASSWORD_BYTES,
                                    symbols: intdiv(self::MOST_PASSWORD_BYTES, 4),
                                ),
                            ),
                        );
                    } elseif (str_contains($value, "\0")) {
                        $fail(Voice::ofTheReader()->say(Message::of('register.the_password_may_not_hold')));
                    }
                },
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['email.unique' => Voice::ofTheReader()->say(Message::of('register.there_is_a_kitchen'))];
    }
}
