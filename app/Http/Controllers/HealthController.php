<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Observed\Counters;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

/** For who runs it: whether it lives, whether it can do its work, and what it has counted. No session, nothing of any kitchen. */
final class HealthController
{
    public function lives(): Response
    {
        return self::said("up\n");
    }

    /** A balancer sends nobody to a machine whose database does not take writes. */
    public function isReady(): Response
    {
        try {
            $server = DB::selectOne('select @@read_only as read_only, @@wsrep_on as in_a_cluster');
            $ready = DB::selectOne("show status like 'wsrep_ready'");
        } catch (\Throwable) {
            return self::said("the database does not answer\n", 503);
        }
        // A node that has lost the others answers, and takes nothing in.
        $takesWrites = (int) $server->read_only === 0 && ((int) $server->in_a_cluster === 0 || ($ready->Value ?? 'OFF') === 'ON');

        return $takesWrites ? self::said("ready\n") : self::said("the database takes no writes\n", 503);
    }

    public function metrics(Request $request): Response
    {
        $token = config('app.metrics_token');
        abort_unless(is_string($token) && $token !== '' && hash_equals($token, (string) $request->bearerToken()), 404);
        $lines = Counters::canCount() ? [] : ['# nothing is counted: the apcu extension is not loaded'];
        $typed = '';
        foreach (Counters::all() as $name => $value) {
            $metric = (string) strtok($name, '{');
            if ($metric !== $typed) {
                $lines[] = "# TYPE $metric counter";
                $typed = $metric;
            }
            $lines[] = "$name $value";
        }

        return self::said(implode("\n", $lines)."\n", 200);
    }

    private static function said(string $words, int $status = 200): Response
    {
        return new Response($words, $status, ['Content-Type' => 'text/plain; charset=utf-8', 'Cache-Control' => 'no-store']);
    }
}
