<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Cache\RateLimiter;
use Illuminate\Contracts\Cache\Factory;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Symfony\Component\HttpFoundation\Response;

/**
 * Limits what one machine computes, counted by that machine alone: it is its processor that is kept, and a shared count would be three
 * writes to the database for each look at a screen. What keeps doors is counted for all of them together.
 */
final class ThrottleHere extends ThrottleRequests
{
    public function __construct(private readonly RateLimiter $shared, Factory $cache)
    {
        parent::__construct(new RateLimiter($cache->store('machine')));
    }

    /**
     * @param  Request  $request
     * @param  string  $maxAttempts  the name of a limit
     */
    public function handle($request, Closure $next, $maxAttempts = '', $decayMinutes = 1, $prefix = ''): Response
    {
        $named = $this->shared->limiter($maxAttempts);
        assert($named !== null);

        return $this->handleRequestUsingNamedLimiter($request, $next, $maxAttempts, $named);
    }
}
