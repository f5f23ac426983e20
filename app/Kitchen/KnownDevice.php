<?php

declare(strict_types=1);

namespace App\Kitchen;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Cookie as SentCookie;

/**
 * A device from which a cook has signed in before. It is counted by itself, so that others who guess at that cook's password shut nobody out
 * of their own kitchen. Its cookie opens nothing. Source: OWASP, Slow Down Online Guessing Attacks with Device Cookies.
 */
final class KnownDevice
{
    private const STANDS_MINUTES = 365 * 24 * 60;

    private const NAME_LETTERS = 16;

    private const MARK_LETTERS = 32;

    /** Whoever signs in here next with this address is known. The framework encrypts it under its name, so it is good for that address alone. */
    public static function cookie(string $email): SentCookie
    {
        return Cookie::make(self::name($email), Str::random(self::MARK_LETTERS), self::STANDS_MINUTES);
    }

    /** The mark of this device, where that address signed in from it before. */
    public static function mark(Request $request, string $email): ?string
    {
        $mark = $request->cookie(self::name($email));

        return is_string($mark) && strlen($mark) === self::MARK_LETTERS ? $mark : null;
    }

    private static function name(string $email): string
    {
        return 'known_'.substr(hash_hmac('sha256', mb_strtolower(trim($email)), (string) config('app.key')), 0, self::NAME_LETTERS);
    }
}
