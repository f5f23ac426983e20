<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\RoastRequest;
use App\Http\Resources\RoastAnswer;
use App\Http\Resources\RoastResource;
use App\Models\Roast;
use App\Models\User;
use App\Roasts\Day;
use App\Roasts\Shelf;
use Carbon\CarbonImmutable;
use Diatherm\Food\Larder;
use Diatherm\Measure\InvalidInput;
use Diatherm\Roast\Roast as CoreRoast;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

final class RoastController
{
    /** Roasts that are shown at once; older ones stay in their export. */
    private const MOST = 60;

    public function index(Request $request): JsonResponse
    {
        /** @var User $cook */
        $cook = $request->user();
        $now = CarbonImmutable::now();
        /** @var list<Roast> $roasts */
        $roasts = $cook->roasts()->with(['dishes.stages', 'readings', 'events'])->latest('serve_at')->limit(self::MOST)->get()->all();

        return new JsonResponse(array_map(fn (Roast $roast): array => RoastAnswer::brief($roast, $now), $roasts));
    }

    public function store(RoastRequest $request): JsonResponse
    {
        /** @var User $cook */
        $cook = $request->user();

        return self::keep($request->roast(), $cook)->setStatusCode(201);
    }

    public function show(Roast $roast): JsonResponse
    {
        return RoastAnswer::of($roast);
    }

    /** Changes the inputs. A roast that is on the fire keeps its dishes: their readings belong to them. */
    public function update(RoastRequest $request, Roast $roast): JsonResponse
    {
        /** @var User $cook */
        $cook = $request->user();
        $begun = $roast->events()->where('kind', 'on')->exists();
        $wanted = $request->roast(begun: $begun);
        if ($begun && ! self::sameDishes($roast, $wanted)) {
            throw InvalidInput::at('dishes', 'Dishes cannot be added, taken away or swapped while the roast is on the fire.');
        }

        return self::keep($wanted, $cook, $roast);
    }

    /** Whether each dish is still what it was. One whose cut the larder does not know may be given another: else it could never be mended. */
    private static function sameDishes(Roast $roast, CoreRoast $wanted): bool
    {
        $stored = $roast->dishes->pluck('cut')->all();
        $cuts = array_map(fn ($dish): string => $dish->cut->id, $wanted->dishes);
        $known = array_filter($stored, fn (string $cut): bool => isset(Larder::cuts()[$cut]));

        return count($stored) === count($cuts) && array_diff_assoc($known, $cuts) === [];
    }

    /**
     * Stores a roast that can be worked out, and only such a one: it is computed before anything is kept.
     *
     * @throws InvalidInput when it cannot be worked out, or the kitchen is full; then nothing is stored
     */
    public static function keep(CoreRoast $roast, User $cook, ?Roast $over = null): JsonResponse
    {
        if ($over === null && $cook->roasts()->count() >= Roast::MOST_IN_A_KITCHEN) {
            throw InvalidInput::at('file', sprintf('A kitchen holds up to %d roasts. Take old ones out as files and delete them.', Roast::MOST_IN_A_KITCHEN));
        }

        return DB::transaction(function () use ($roast, $cook, $over): JsonResponse {
            $stored = Shelf::put($roast, $cook, $over)->load(['dishes.stages', 'readings', 'events']);

            return new JsonResponse((new RoastResource(Day::of($stored, CarbonImmutable::now())))->toArray());
        });
    }

    public function destroy(Roast $roast): Response
    {
        $roast->delete();

        return new Response(status: 204);
    }

    public function debrief(Request $request, Roast $roast): JsonResponse
    {
        $request->validate(['note' => ['present', 'nullable', 'string', 'max:2000']]);
        $roast->update(['debrief_note' => (string) $request->string('note')]);

        return $this->show($roast);
    }
}
