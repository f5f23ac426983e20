<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/**
 * Changes come from our own pages: with the session's token where there is a session, and for who has none by what the browser says of
 * where it was sent from. A client that is no browser says nothing of it, and carries nobody's cookie either.
 */
final class SameSite extends ValidateCsrfToken
{
    /** The pages ask for the token (GET /api/me); no script needs it in a cookie. */
    protected $addHttpCookie = false;

    /** @param  Request  $request */
    protected function tokensMatch($request): bool
    {
        return self::isFromHere($request) && (Auth::guest() || parent::tokensMatch($request));
    }

    /** From the header alone: nobody reads a body for it. */
    protected function getTokenFromRequest($request): ?string
    {
        $token = $request->headers->get('X-CSRF-TOKEN');

        return is_string($token) ? $token : null;
    }

    private static function isFromHere(Request $request): bool
    {
        $site = $request->headers->get('Sec-Fetch-Site');
        $origin = $request->headers->get('Origin');

        return match (true) {
            $site !== null => in_array($site, ['same-origin', 'none'], true),
            $origin !== null => in_array($origin, [$request->getSchemeAndHttpHost(), rtrim((string) config('app.url'), '/')], true),
            default => true,
        };
    }
}
