<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * What a browser may do with an answer: run and draw nothing that is not ours, be framed by nobody, guess no kind of file, tell no other
 * site where it was. Source: OWASP Secure Headers Project; W3C Content Security Policy Level 3.
 */
final class SafeHeaders
{
    private const ALL = [
        'Content-Security-Policy' => "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data: blob:; font-src 'self'; "
            ."connect-src 'self'; manifest-src 'self'; worker-src 'self'; frame-ancestors 'none'; base-uri 'none'; form-action 'self'",
        'X-Content-Type-Options' => 'nosniff',
        'X-Frame-Options' => 'DENY',
        'Referrer-Policy' => 'no-referrer',
        'Cross-Origin-Opener-Policy' => 'same-origin',
        'Cross-Origin-Resource-Policy' => 'same-origin',
        // The screen is kept awake by the fire, and the device asked where it is when the cook wants the weather there; nothing else.
        'Permissions-Policy' => 'camera=(), microphone=(), payment=(), usb=(), midi=(), screen-wake-lock=(self), geolocation=(self)',
    ];

    /** A year, for this host and those under it. */
    private const ONLY_BY_TLS = 'max-age=31536000; includeSubDomains';

    public function handle(Request $request, Closure $next): Response
    {
        /** @var Response $response */
        $response = $next($request);
        foreach (self::ALL as $name => $value) {
            $response->headers->set($name, $value);
        }
        if ($request->isSecure()) {
            $response->headers->set('Strict-Transport-Security', self::ONLY_BY_TLS);
        }

        return $response;
    }
}
