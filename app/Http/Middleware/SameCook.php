<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * A screen says whose it is. In another tab another cook may have signed in since: what this one asks and sends is nobody's then, so that
 * its entries wait for their own cook.
 */
final class SameCook
{
    public const HEADER = 'X-Cook';

    public function handle(Request $request, Closure $next): Response
    {
        $meant = $request->header(self::HEADER);
        $cook = $request->user();
        if (is_string($meant) && $cook instanceof User && ! hash_equals($cook->mark(), $meant)) {
            throw new AuthenticationException;
        }

        return $next($request);
    }
}
