<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\EventRequest;
use App\Http\Requests\LogRequest;
use App\Http\Requests\ReadingRequest;
use App\Http\Requests\TimeRequest;
use App\Http\Resources\RoastAnswer;
use App\Models\Event;
use App\Models\Reading;
use App\Models\Roast;
use App\Roasts\Logbook;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** Readings and events, as devices send them. */
final class LogController
{
    public function storeReading(ReadingRequest $request, Roast $roast): JsonResponse|Response
    {
        return $this->store($roast, $roast->readings(), $request, Roast::MOST_READINGS);
    }

    public function storeEvent(EventRequest $request, Roast $roast): JsonResponse|Response
    {
        return $this->store($roast, $roast->events(), $request, Roast::MOST_EVENTS);
    }

    public function moveReading(TimeRequest $request, Roast $roast, string $id): JsonResponse
    {
        Logbook::move($roast, $roast->readings(), $id, $request->moment());

        return RoastAnswer::of($roast);
    }

    public function moveEvent(TimeRequest $request, Roast $roast, string $id): JsonResponse
    {
        Logbook::move($roast, $roast->events(), $id, $request->moment());

        return RoastAnswer::of($roast);
    }

    public function destroyReading(Roast $roast, string $id): JsonResponse
    {
        Logbook::removeReading($roast, $id);

        return RoastAnswer::of($roast);
    }

    public function destroyEvent(Roast $roast, string $id): JsonResponse
    {
        Logbook::removeEvent($roast, $id);

        return RoastAnswer::of($roast);
    }

    /** @param  HasMany<Reading, Roast>|HasMany<Event, Roast>  $log */
    private function store(Roast $roast, HasMany $log, LogRequest $request, int $most): JsonResponse|Response
    {
        Logbook::add($roast, $log, $request->string('id')->toString(), $request->row(), $most);

        // Who sends many at once asks for no answer to each (RFC 7240).
        return $request->header('Prefer') === 'return=minimal'
            ? new Response(status: 204, headers: ['Preference-Applied' => 'return=minimal'])
            : RoastAnswer::of($roast);
    }
}
