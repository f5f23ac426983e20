<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\IfMatch;
use App\Http\Outdated;
use App\Http\Requests\NoteRequest;
use App\Http\Requests\RoastRequest;
use App\Http\Resources\RoastAnswer;
use App\Models\EventKind;
use App\Models\Roast;
use App\Roasts\Remembered;
use Diatherm\Food\Larder;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Diatherm\Roast\Roast as CoreRoast;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response as SymfonyResponse;

final class RoastController
{
    use AsksItsCook;

    /** Roasts that are told at once; older ones come page by page. */
    private const MOST = 60;

    public function index(Request $request): SymfonyResponse
    {
        $cook = self::cook($request);

        $before = $request->query('before');
        $last = is_string($before) ? $cook->roasts()->findOrFail($before) : null;
        $listed = $cook->roasts()->latest('serve_at')->latest('id')->limit(self::MOST);
        if ($last !== null) {
            $listed->where(fn ($older) => $older->where('serve_at', '<', $last->serve_at)
                ->orWhere(fn ($same) => $same->where('serve_at', $last->serve_at)->where('id', '<', $last->id)));
        }

        /** @var Collection<int, Roast> $roasts */
        $roasts = $listed->get();

        foreach ($roasts as $roast) {
            $roast->setRelation('user', $cook);
        }

        return RoastAnswer::list($request, $roasts, $cook->id);
    }

    public function store(RoastRequest $request): JsonResponse
    {
        $cook = self::cook($request);

        return RoastAnswer::keeping($request->roast(), $cook)->setStatusCode(201);
    }

    public function show(Request $request, Roast $roast): SymfonyResponse
    {
        return RoastAnswer::since($request, $roast);
    }

    /** Changes the inputs. A roast that is on the fire keeps its dishes: their readings belong to them. */
    public function update(RoastRequest $request, Roast $roast): JsonResponse
    {
        return DB::transaction(function () use ($request, $roast): JsonResponse {
            $row = self::heldFor($request, $roast);
            $begun = $row->events()->where('kind', EventKind::On)->exists();
            $wanted = $request->changed($row->inputs, $begun);
            if ($begun && ! self::sameDishes($row, $wanted)) {
                throw InvalidInput::atField('dishes', Message::of('roasts.dishes_cannot_be_added_taken'));
            }

            return RoastAnswer::keeping($wanted, self::cook($request), $row);
        });
    }

    /**
     * Its row, held for a change that was made from what stands.
     *
     * @throws Outdated when it was not
     */
    private static function heldFor(Request $request, Roast $roast): Roast
    {
        $row = $roast->held();
        IfMatch::insist($request, $row->edition(), fn (): array => ['file' => $row->inputs, 'note' => $row->debrief_note]);

        return $row;
    }

    /**
     * Whether each dish is still what it was. One whose cut the larder does not know may be given another: else it could
     * never be mended.
     */
    private static function sameDishes(Roast $roast, CoreRoast $wanted): bool
    {
        $stored = $roast->cuts();
        $cuts = array_map(fn ($dish): string => $dish->cut->id, $wanted->dishes);
        $known = array_filter($stored, fn (string $cut): bool => isset(Larder::cuts()[$cut]));

        return count($stored) === count($cuts) && array_diff_assoc($known, $cuts) === [];
    }

    public function destroy(Roast $roast): Response
    {
        $roast->delete();
        RoastAnswer::forget($roast);
        Remembered::forget($roast);

        return new Response(status: 204);
    }

    public function debrief(NoteRequest $request, Roast $roast): JsonResponse
    {
        DB::transaction(function () use ($request, $roast): void {
            $row = self::heldFor($request, $roast);
            $row->debrief_note = $request->note();
            $row->version++;
            $row->save();
        });
        $roast->refresh();

        return RoastAnswer::of($roast);
    }
}
