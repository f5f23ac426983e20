<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Words\Voice;
use Closure;
use Diatherm\Measure\Message;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * A password that may be chosen: 10 to 72 bytes, and none of those that are tried first. Any symbols, in any mixture. Source: OWASP
 * ASVS 4.0.3, 2.1.1 to 2.1.9; the list is the part of ten bytes and more of that which zxcvbn 4.4 ships (MIT), and what is near it.
 */
final class NewPassword implements ValidationRule
{
    public const LEAST_BYTES = 10;

    /** bcrypt reads no more of a password than this, and stops at a NUL. */
    public const MOST_BYTES = 72;

    private const COMMON = 'common-passwords.txt';

    /** @return list<mixed> */
    public static function rules(): array
    {
        return ['bail', 'required', 'string', new self];
    }

    /** Whether it can be anybody's at all; what cannot is not worth a hash. */
    public static function isPossible(string $password): bool
    {
        return strlen($password) <= self::MOST_BYTES && ! str_contains($password, "\0");
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $password = is_string($value) ? $value : '';
        $wrong = match (true) {
            strlen($password) < self::LEAST_BYTES || strlen($password) > self::MOST_BYTES => Message::of(
                'password.bytes', least: self::LEAST_BYTES, most: self::MOST_BYTES, symbols: intdiv(self::MOST_BYTES, 4),
            ),
            str_contains($password, "\0") => Message::of('register.the_password_may_not_hold'),
            self::isCommon($password) => Message::of('password.common'),
            default => null,
        };
        if ($wrong !== null) {
            $fail(Voice::ofTheReader()->say($wrong));
        }
    }

    private static function isCommon(string $password): bool
    {
        $low = mb_strtolower($password);
        $list = file(base_path('data/'.self::COMMON), FILE_IGNORE_NEW_LINES);

        return count(array_unique(mb_str_split($low))) < 3 || in_array($low, $list === false ? [] : $list, true);
    }
}
