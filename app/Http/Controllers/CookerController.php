<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\IfMatch;
use App\Http\Requests\LearnRequest;
use App\Http\Requests\ObservationRequest;
use App\Http\Resources\CookerResource;
use App\Models\Cooker;
use App\Models\User;
use App\Roasts\Day;
use App\Roasts\Lessons;
use App\Roasts\Told;
use App\Roasts\Yard;
use Carbon\CarbonImmutable;
use Diatherm\Cooker\CookerFile;
use Diatherm\Measure\Fields;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** The cook's own cookers: what they are, what was logged on them, and what their curves answer. */
final class CookerController
{
    use AsksItsCook;

    private const KEPT_S = 30 * 86_400;

    public function index(Request $request): JsonResponse
    {
        /** @var list<Cooker> $cookers */
        $cookers = self::cook($request)->cookers()->orderBy('name')->get()->all();
        $kept = array_filter(Cache::many(array_map(self::key(...), $cookers)), is_string(...));
        $whole = array_filter(array_map(fn (Cooker $cooker): ?string => $kept[self::key($cooker)] ?? self::unlessBroken($cooker), $cookers));

        return JsonResponse::fromJsonString('['.implode(',', $whole).']');
    }

    /** A new one, or one from a file with its log. */
    public function store(Request $request): JsonResponse
    {
        $cook = self::cook($request);
        $cooker = CookerFile::readJson($request->getContent());

        return $cook->adding(function () use ($cook, $cooker): JsonResponse {
            if ($cook->cookers()->count() >= Cooker::MOST_IN_A_KITCHEN) {
                throw InvalidInput::atField('name', Message::of('cookers.a_yard_holds_up', most: Cooker::MOST_IN_A_KITCHEN));
            }
            self::insistOnNewName($cook, $cooker->name, null);

            return new JsonResponse(CookerResource::of(Yard::put($cooker, $cook)->load('observations')), 201);
        });
    }

    /** Changes its name and facts; what was logged stays. */
    public function update(Request $request, Cooker $cooker): JsonResponse
    {
        return DB::transaction(function () use ($request, $cooker): JsonResponse {
            $row = $cooker->held();
            IfMatch::insist($request, $row->edition(), fn (): array => ['name' => $row->name, 'facts' => (object) $row->facts]);
            $wanted = CookerFile::readJson($request->getContent());
            if ($wanted->equipment->kind->id !== $row->kind) {
                throw InvalidInput::atField('kind', Message::of('cookers.its_log_belongs'));
            }
            self::insistOnNewName(self::cook($request), $wanted->name, $row);
            $row->update(['name' => $wanted->name, 'facts' => $wanted->equipment->facts]);
            $row->changed();

            return $this->show($row);
        });
    }

    public function show(Cooker $cooker): JsonResponse
    {
        return new JsonResponse(CookerResource::of($cooker->load('observations')));
    }

    public function destroy(Cooker $cooker): Response
    {
        $cooker->delete();

        return new Response(status: 204);
    }

    public function export(Cooker $cooker): JsonResponse
    {
        return new JsonResponse(
            CookerFile::write(Yard::take($cooker->load('observations'))),
            headers: ['Content-Disposition' => 'attachment; filename="cooker.json"'],
            options: JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION,
        );
    }

    /** Logs a reading of it; sent twice with one id it is one reading. */
    public function observe(ObservationRequest $request, Cooker $cooker): JsonResponse
    {
        $own = Yard::take($cooker->load('observations'));
        $observation = CookerFile::readObservation($request->except('id'), $own->equipment);
        if (count($own->observations) >= CookerFile::MOST_OBSERVATIONS) {
            throw InvalidInput::atField(
                'celsius', Message::of('cookers.a_cooker_keeps_up', most_observations: CookerFile::MOST_OBSERVATIONS),
            );
        }
        $cooker->observations()->firstOrCreate(['client_id' => $request->id()], Yard::row($observation));
        $cooker->changed();

        return $this->show($cooker->unsetRelations());
    }

    /** Takes what was read on it during a roast into its log; taken twice it is there once. */
    public function learn(LearnRequest $request, Cooker $cooker): JsonResponse
    {
        $now = CarbonImmutable::now();
        $day = Day::of(Told::log(self::cook($request)->roasts()->findOrFail($request->roastId()), $now), $now, finished: false);
        foreach ($day->plan->fires as $planned) {
            $fire = $planned->plan;
            if ($fire->stove->own && $fire->stove->name === $cooker->name) {
                foreach (Lessons::of($day, $fire) as $id => $observation) {
                    $cooker->observations()->firstOrCreate(['client_id' => $id], Yard::row($observation));
                }
            }
        }
        $cooker->changed();

        return $this->show($cooker);
    }

    public function forget(Cooker $cooker, string $id): JsonResponse
    {
        $cooker->observations()->where('client_id', $id)->delete();
        $cooker->changed();

        return $this->show($cooker->unsetRelations());
    }

    /** Both ways: from a temperature to its settings, and from settings to a temperature. */
    public function ask(Request $request, Cooker $cooker): JsonResponse
    {
        return new JsonResponse(CookerResource::answer(Yard::take($cooker->load('observations')), Fields::of($request->json()->all())));
    }

    /** Its curve stands until its facts or its log change. */
    private static function key(Cooker $cooker): string
    {
        return "cooker.$cooker->id.$cooker->version";
    }

    /** @return string|null null for one whose log can no longer be read: it takes no other down */
    private static function unlessBroken(Cooker $cooker): ?string
    {
        try {
            $whole = (string) (new JsonResponse(CookerResource::of($cooker->load('observations'))))->getContent();
            Cache::put(self::key($cooker), $whole, self::KEPT_S);

            return $whole;
        } catch (\Throwable $wrong) {
            report($wrong);

            return null;
        }
    }

    private static function insistOnNewName(User $cook, string $name, ?Cooker $except): void
    {
        if ($cook->cookers()->where('name', $name)->when($except !== null, fn ($query) => $query->whereKeyNot($except?->id))->exists()) {
            throw InvalidInput::atField('name', Message::of('cookers.you_have_a_cooker'));
        }
    }
}
