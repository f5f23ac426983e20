<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\RoastRequest;
use App\Http\Resources\PastResource;
use App\Http\Resources\RoastResource;
use App\Models\Roast;
use App\Models\User;
use App\Roasts\Day;
use App\Roasts\Shelf;
use Carbon\CarbonImmutable;
use Diatherm\Measure\InvalidInput;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

final class RoastController
{
    /** Roasts that are shown at once; older ones stay in their export. */
    private const MOST = 60;

    public function index(Request $request): JsonResponse
    {
        /** @var User $cook */
        $cook = $request->user();
        $now = CarbonImmutable::now();
        $answer = [];
        /** @var list<Roast> $roasts */
        $roasts = $cook->roasts()->with(['dishes.stages', 'readings', 'events'])->latest('serve_at')->limit(self::MOST)->get()->all();
        foreach ($roasts as $roast) {
            $answer[] = PastResource::of($roast, $now) ?? (new RoastResource(Day::of($roast, $now, finished: false), whole: false))->toArray();
        }

        return new JsonResponse($answer);
    }

    public function store(RoastRequest $request): JsonResponse
    {
        /** @var User $cook */
        $cook = $request->user();
        $stored = Shelf::put($request->roast(), $cook);

        return $this->show($stored)->setStatusCode(201);
    }

    public function show(Roast $roast): JsonResponse
    {
        $roast->load(['dishes.stages', 'readings', 'events']);

        return new JsonResponse((new RoastResource(Day::of($roast, CarbonImmutable::now())))->toArray());
    }

    /** Changes the inputs. A roast that is on the fire keeps its dishes: their readings belong to them. */
    public function update(RoastRequest $request, Roast $roast): JsonResponse
    {
        /** @var User $cook */
        $cook = $request->user();
        $begun = $roast->events()->where('kind', 'on')->exists();
        $wanted = $request->roast(begun: $begun);
        if ($begun && $roast->dishes->pluck('cut')->all() !== array_map(fn ($dish): string => $dish->cut->id, $wanted->dishes)) {
            throw InvalidInput::at('dishes', 'Dishes cannot be added, taken away or swapped while the roast is on the fire.');
        }

        return $this->show(Shelf::put($wanted, $cook, $roast));
    }

    public function destroy(Roast $roast): Response
    {
        $roast->delete();

        return new Response(status: 204);
    }

    public function debrief(Request $request, Roast $roast): JsonResponse
    {
        $request->validate(['note' => ['present', 'nullable', 'string', 'max:2000']]);
        $roast->update(['debrief_note' => (string) $request->string('note'), 'demo_key' => null]);

        return $this->show($roast);
    }
}
