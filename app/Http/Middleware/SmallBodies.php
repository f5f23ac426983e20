<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Words\Voice;
use Closure;
use Diatherm\Measure\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Refuses a body that is larger than anything its address takes, before anybody reads it. */
final class SmallBodies
{
    private const MOST_BYTES = 262_144;

    /** Where a file is wanted, by pattern; the readers of these have limits of their own and say them in words. */
    private const FILES = [
        'api/account/kitchen' => 22 * 1_048_576,
        'api/roasts/*/readings.csv' => 2 * 1_048_576,
        'api/roasts/import' => 1_048_576,
        'api/cookers' => 1_048_576,
        'api/cookers/*' => 1_048_576,
        'api/mixes' => 1_048_576,
    ];

    public function handle(Request $request, Closure $next): Response
    {
        return self::fits($request) ? $next($request) : new JsonResponse(
            ['message' => Voice::metric()->say(Message::of('file.too_large', kb: intdiv(self::most($request), 1024)))], 413,
        );
    }

    /** Whether its body is no larger than anything its address takes. */
    public static function fits(Request $request): bool
    {
        $told = $request->headers->get('Content-Length');
        // Without a length, as when it comes in pieces, it is counted.
        $bytes = is_numeric($told) ? (int) $told : strlen($request->getContent());

        return $bytes <= self::most($request);
    }

    private static function most(Request $request): int
    {
        $most = self::MOST_BYTES;
        foreach (self::FILES as $pattern => $bytes) {
            $most = $request->is($pattern) ? $bytes : $most;
        }

        return $most;
    }
}
