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
 * not to be remembered ends with the browser, and after a day and a half in any case. It is written when something in it changes, and
 * once a minute while somebody is there.
 */
final class SessionsForCooks extends StartSession
{
    /** In the session: when a device was signed in on that is not to be remembered. */
    public const BRIEF_SINCE = 'brief_since';

    /** In the session: when it was written last. */
    private const WRITTEN_AT = 'written_at';

    /** A screen asks every few seconds: that somebody is there is written down no more often than this. */
    private const WRITTEN_EVERY_S = 60;

    /** In the request: the session as it was read. */
    private const AS_READ = 'session_as_read';

    /** The longest roast, from the first match to the washing up. */
    private const BRIEF_HOURS = 36;

    protected function startSession(Request $request, $session): Session
    {
        $session = parent::startSession($request, $session);
        $since = $session->get(self::BRIEF_SINCE);
        if (is_int($since) && CarbonImmutable::now()->getTimestamp() - $since > self::BRIEF_HOURS * 3600) {
            $session->invalidate();
        }
        $request->attributes->set(self::AS_READ, self::contents($session));

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
        $session = $request->session();
        $now = CarbonImmutable::now()->getTimestamp();
        $stands = $request->attributes->get(self::AS_READ) === self::contents($session)
            && $now - (int) $session->get(self::WRITTEN_AT) < self::WRITTEN_EVERY_S;
        if (Auth::guest() || $stands) {
            return;
        }
        $session->put(self::WRITTEN_AT, $now);
        parent::saveSession($request);
    }

    /** Nobody is led back to where they were: the address would be a change at each step. */
    protected function storeCurrentUrl(Request $request, $session): void
    {
    }

    private static function contents(Session $session): string
    {
        return hash('xxh128', serialize([$session->getId(), $session->all()]));
    }
}
