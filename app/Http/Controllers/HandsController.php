<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\HandTickRequest;
use App\Http\Resources\HandsResource;
use App\Models\Roast;
use App\Roasts\Logbook;
use App\Roasts\SecondHands;
use App\Work\Turn;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** A second pair of hands: the cook gives a link, who has it sees and ticks that roast's tasks. */
final class HandsController
{
    private const PATIENCE_S = 2.0;

    public function link(Roast $roast): JsonResponse
    {
        return new JsonResponse(['path' => '/hands/'.SecondHands::link($roast)]);
    }

    public function close(Roast $roast): Response
    {
        SecondHands::close($roast);

        return new Response(status: 204);
    }

    public function show(string $key): JsonResponse
    {
        return HandsResource::of($this->roast($key));
    }

    public function tick(HandTickRequest $request, string $key): JsonResponse
    {
        $roast = $this->roast($key);
        Turn::take(
            $roast->user, (string) $request->ip(), self::PATIENCE_S,
            fn () => SecondHands::tick($roast, $request->entry(), $request->id(), $request->moment()),
        );

        return HandsResource::of($roast);
    }

    public function untick(string $key, string $id): JsonResponse
    {
        $roast = $this->roast($key);
        // What the cook logged is the cook's to undo.
        if ($roast->events()->where('client_id', $id)->where('by_hands', true)->exists()) {
            Logbook::removeEvent($roast, $id);
        }

        return HandsResource::of($roast);
    }

    private function roast(string $key): Roast
    {
        return SecondHands::find($key) ?? abort(404);
    }
}
