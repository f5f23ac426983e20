<?php

declare(strict_types=1);

namespace App\Observed;

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Log;

/** A failed query as it may be logged: its sentence and why, without the values in it, which are people's own or open doors. */
final class Scrubbed
{
    /** @return false that it is logged no further */
    public static function report(QueryException $wrong): bool
    {
        Log::error('database', [
            'sql' => mb_substr($wrong->getSql(), 0, 500),
            'code' => (string) $wrong->getCode(),
            // The server names a duplicate entry by its value.
            'why' => (string) preg_replace("/'[^']*'/", "'…'", $wrong->getPrevious()?->getMessage() ?? ''),
        ]);

        return false;
    }
}
