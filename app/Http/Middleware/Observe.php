<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Observed\Counters;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Log;
use Symfony\Component\HttpFoundation\Response;

/** Gives every request an id that its answer and all that is logged of it carry; counts it, and names what was slow. */
final class Observe
{
    /** Half the time that a screen waits for its answer before it says so. */
    private const SLOW_MS = 1000;

    /** Upper ends of the classes of time, s. */
    private const WITHIN_S = [0.025, 0.05, 0.1, 0.25, 0.5, 1.0, 2.5, 5.0];

    /** A queue is counted in classes too: an entry that waits is nothing, a hundred are. */
    private const QUEUES = [0, 1, 5, 20, 100];

    private const QUEUE_HEADER = 'X-Waiting';

    public function handle(Request $request, Closure $next): Response
    {
        $from = hrtime(true);
        $id = bin2hex(random_bytes(8));
        Log::shareContext(['request' => $id]);
        /** @var Response $response */
        $response = $next($request);
        $response->headers->set('X-Request-Id', $id);
        $seconds = (hrtime(true) - $from) / 1e9;
        // By its pattern: an address holds ids, and some of them open doors.
        /** @var Route|null $found where nothing was found */
        $found = $request->route();
        $route = $request->method().' '.($found !== null ? '/'.ltrim($found->uri(), '/') : 'none');
        $this->count($route, $response->getStatusCode(), $seconds);
        $this->countQueue($request->headers->get(self::QUEUE_HEADER));
        if (1000.0 * $seconds >= self::SLOW_MS) {
            Log::warning('slow', ['route' => $route, 'status' => $response->getStatusCode(), 'ms' => (int) round(1000.0 * $seconds)]);
        }

        return $response;
    }

    private function count(string $route, int $status, float $seconds): void
    {
        Counters::add('diatherm_requests_total', ['route' => $route, 'status' => (string) $status]);
        Counters::add('diatherm_request_microseconds_total', ['route' => $route], (int) round(1e6 * $seconds));
        foreach (self::WITHIN_S as $within) {
            if ($seconds <= $within) {
                Counters::add('diatherm_request_seconds_bucket', ['route' => $route, 'le' => (string) $within]);
            }
        }
        Counters::add('diatherm_request_seconds_bucket', ['route' => $route, 'le' => '+Inf']);
    }

    private function countQueue(?string $waiting): void
    {
        if ($waiting === null || ! ctype_digit($waiting) || strlen($waiting) > 6) {
            return;
        }
        foreach (self::QUEUES as $most) {
            if ((int) $waiting <= $most) {
                Counters::add('diatherm_outbox_entries_bucket', ['le' => (string) $most]);
            }
        }
        Counters::add('diatherm_outbox_entries_bucket', ['le' => '+Inf']);
    }
}
