<?php

declare(strict_types=1);

namespace App\Http;

use App\Database\Unable;
use App\Words\Voice;
use Diatherm\Measure\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use PDOException;

/** The answer while the database can take nothing in: to come back, so that a device keeps what it has and sends it then. */
final class TakesNothingIn
{
    /** Null where something else is wrong, or where a page is asked for, which asks no database. */
    public static function answer(PDOException $wrong, Request $request): ?JsonResponse
    {
        if (! $request->is('api/*') || ! Unable::isWhy($wrong)) {
            return null;
        }

        // In nobody's own units: to know whose they are the database would have to be asked.
        return new JsonResponse(
            ['message' => Voice::metric()->say(Message::of('kitchen.takes_nothing_in'))], 503, ['Retry-After' => (string) Unable::RETRY_S],
        );
    }
}
