<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\Work\Turn;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** For addresses whose every answer is worked out. */
final class TakesTurn
{
    private const PATIENCE_S = 2.0;

    public function handle(Request $request, Closure $next): Response
    {
        $cook = $request->user();

        return $cook instanceof User
            ? Turn::take($cook, (string) $request->ip(), self::PATIENCE_S, fn (): Response => $next($request))
            : $next($request);
    }
}
