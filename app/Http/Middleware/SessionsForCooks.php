<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Carbon\CarbonImmutable;
use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * A session is kept, and its cookie sent, for who is signed in: a passer-by leaves no row and gets no cookie. One on a device that is
 * not to be remembered ends with the browser, and after a day and a half in any case.
 */
final class SessionsForCooks extends StartSession
{
    /** In the session: when a device was signed in on that is not to be remembered. */
    public const BRIEF_SINCE = 'brief_since';

    /** The longest roast, from the first match to the washing up. */
    private const BRIEF_HOURS = 36;

    protected function startSession(Request $request, $session): Session
    {
        $session = parent::startSession($request, $session);
        $since = $session->get(self::BRIEF_SINCE);
        if (is_int($since) && CarbonImmutable::now()->getTimestamp() - $since > self::BRIEF_HOURS * 3600) {
            $session->invalidate();
        }

        return $session;
    }

    protected function addCookieToResponse(Response $response, Session $session): void
    {
        if (Auth::guest()) {
            if (request()->cookies->has($session->getName())) {
                $response->headers->clearCookie($session->getName());
            }

            return;
        }
        parent::addCookieToResponse($response, $session);
        if ($session->has(self::BRIEF_SINCE)) {
            foreach ($response->headers->getCookies() as $cookie) {
                if ($cookie->getName() === $session->getName()) {
                    $response->headers->setCookie($cookie->withExpires(0));
                }
            }
        }
    }

    /** @param  Request  $request */
    protected function saveSession($request): void
    {
        if (! Auth::guest()) {
            parent::saveSession($request);
        }
    }
}
