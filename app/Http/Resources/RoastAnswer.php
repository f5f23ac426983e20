<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Event;
use App\Models\EventKind;
use App\Models\Reading;
use App\Models\Roast;
use App\Models\User;
use App\Roasts\Day;
use App\Roasts\Shelf;
use App\Roasts\Told;
use App\Roasts\Yard;
use App\Work\Busy;
use App\Work\Turn;
use Carbon\CarbonImmutable;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Diatherm\Roast\Roast as CoreRoast;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use Illuminate\Support\Facades\Cache;
use stdClass;
use Symfony\Component\HttpFoundation\Response;

/**
 * A stored roast as an answer, whatever state it is in. One that cannot be worked out, as after an upgrade, is told so with
 * all that was put in and logged, so that it can be mended, taken out or deleted; it takes no other down.
 */
final class RoastAnswer
{
    private const KEPT_S = 30 * 86_400;

    /** Who only looks does not wait long for a turn: the last answer will do. */
    private const LOOK_PATIENCE_S = 0.3;

    private const CHANGE_PATIENCE_S = 2.0;

    /**
     * What it says after a change that was made. While it cannot be worked out, the last answer, to be asked for again (Retry-After): the
     * change stands, so it is never refused.
     */
    public static function of(Roast $stored): JsonResponse
    {
        return self::now($stored, self::CHANGE_PATIENCE_S);
    }

    private static function now(Roast $stored, float $patienceS): JsonResponse
    {
        $now = CarbonImmutable::now();
        $mark = self::stands($stored, $now);
        $json = Cache::get(self::key($stored, 'whole'));
        try {
            [$tag, $answer] = $mark !== null && is_string($json)
                ? [$mark['tag'], $json]
                : self::worked($stored, $now, is_string($json) ? $patienceS : null);
        } catch (Busy $busy) {
            return is_string($json) ? self::last($json, $stored, $now) : throw $busy;
        }

        return self::tagged($answer, $tag);
    }

    /**
     * Stores a roast that can be worked out, and only such a one: it is computed before anything is kept.
     *
     * @throws InvalidInput when it cannot be worked out, or the kitchen is full; then nothing is stored
     */
    public static function keeping(CoreRoast $roast, User $cook, ?Roast $over = null): JsonResponse
    {
        return $cook->adding(function () use ($roast, $cook, $over): JsonResponse {
            if ($over === null && $cook->roasts()->count() >= Roast::MOST_IN_A_KITCHEN) {
                throw InvalidInput::atField(
                    'file',
                    Message::of('roasts.a_kitchen_holds_up', most_in_a_kitchen: Roast::MOST_IN_A_KITCHEN),
                );
            }
            [$tag, $json] = self::insisted(Shelf::put($roast, $cook, $over?->held()), CarbonImmutable::now());

            return self::tagged($json, $tag);
        });
    }

    /** What it says in brief; an older answer while a newer one cannot be worked out. */
    public static function brief(Roast $stored): stdClass
    {
        $now = CarbonImmutable::now();
        $mark = self::stands($stored, $now);
        $last = Cache::get(self::key($stored, 'brief'));
        try {
            $json = $mark !== null && is_string($last)
                ? $last
                : self::worked($stored, $now, is_string($last) ? self::LOOK_PATIENCE_S : null)[2];
        } catch (Busy $busy) {
            $json = is_string($last) ? $last : throw $busy;
        }

        /** @var stdClass */
        return json_decode($json, false, 64, JSON_THROW_ON_ERROR);
    }

    /** The same for one who asks again: nothing, where nothing has changed since (RFC 9110, 304). */
    public static function since(Request $request, Roast $stored): Response
    {
        $mark = self::stands($stored, CarbonImmutable::now());

        return $mark !== null && in_array($mark['tag'], $request->getETags(), true)
            ? self::unchanged($mark['tag'])
            : self::now($stored, self::LOOK_PATIENCE_S);
    }

    /**
     * The roasts of one kitchen, in brief. After so long nothing more is worked out: the rest is told as it was last, or that it is there, and
     * is asked for again (Retry-After).
     *
     * @param  Collection<int, Roast>  $roasts
     */
    public static function list(Request $request, Collection $roasts, int $cookId): Response
    {
        $now = CarbonImmutable::now();
        $versions = Yard::versions($cookId);
        $kept = Cache::many(
            [
                ...$roasts->map(fn (Roast $one): string => self::key($one, 'mark'))->all(),
                ...$roasts->map(fn (Roast $one): string => self::key($one, 'brief'))->all(),
            ],
        );
        $briefs = $tags = [];
        $isWhole = true;
        $end = microtime(true) + (float) config('app.work.list_s');
        // What is on the fire is told first, whatever there is time for.
        $urgency = ['cooking' => 0, 'resting' => 0, 'planned' => 1, 'done' => 2];
        foreach ($roasts->sortBy(fn (Roast $one): int => $urgency[$one->status] ?? 1) as $i => $roast) {
            $mark = self::standing($roast, $kept[self::key($roast, 'mark')] ?? null, self::stamp($roast, $versions), $now);
            $brief = $kept[self::key($roast, 'brief')] ?? null;
            if ($mark !== null && is_string($brief)) {
                $briefs[$i] = $brief;
                $tags[$i] = $mark['tag'];

                continue;
            }
            try {
                [$tags[$i], , $briefs[$i]] = microtime(true) < $end ? self::worked($roast, $now, self::LOOK_PATIENCE_S) : throw Busy::now();
            } catch (Busy) {
                $isWhole = false;
                $briefs[$i] = is_string($brief) ? $brief : json_encode(self::awaited($roast, $now), JSON_THROW_ON_ERROR);
            }
        }
        ksort($briefs);
        ksort($tags);
        if (! $isWhole) {
            return JsonResponse::fromJsonString('['.implode(',', $briefs).']', headers: ['Retry-After' => '1']);
        }
        $tag = self::tag(implode(' ', $tags));

        return in_array($tag, $request->getETags(), true) ? self::unchanged($tag) : self::tagged('['.implode(',', $briefs).']', $tag);
    }

    /**
     * @param  array<string, string>  $versions  of the cook's own cookers
     * @return string what an answer depends on but the hour
     */
    private static function stamp(Roast $stored, array $versions): string
    {
        $fires = $stored->inputs['fires'] ?? [];
        $own = is_array($fires) ? array_map(
            fn (mixed $name): string => is_string($name) ? $name.' '.($versions[$name] ?? '') : '',
            array_column($fires, 'own'),
        ) : [];

        return implode('|', [$stored->version, ...$own]);
    }

    /**
     * @param  array<string, string>  $versions  of the cook's own cookers
     * @return string mark of all that the model looks at: a note is not among it
     */
    private static function seen(Roast $stored, array $versions): string
    {
        $rows = fn (Collection $all): array => $all->map(fn (Model $one): array => $one->getAttributes())->all();

        return hash('xxh128', serialize([
            $stored->getAttribute('inputs'), $stored->name, $stored->time_zone, $stored->lighting, $versions,
            $rows($stored->readings),
            $rows($stored->events->where('kind', '!==', EventKind::Note)),
            $rows($stored->devices),
        ]));
    }

    /**
     * The mark of the answer that is kept.
     *
     * @return array{stamp: string, seen: string, tag: string, until: int|null, made: int}|null null where it has to be worked out anew
     */
    private static function stands(Roast $stored, CarbonImmutable $now): ?array
    {
        $stamp = self::stamp($stored, Yard::versions($stored->user_id));

        return self::standing($stored, Cache::get(self::key($stored, 'mark')), $stamp, $now);
    }

    /**
     * @param  string  $by  stamp or seen
     * @return array{stamp: string, seen: string, tag: string, until: int|null, made: int}|null null where it has to be worked out anew
     */
    private static function standing(Roast $stored, mixed $mark, string $stamp, CarbonImmutable $now, string $by = 'stamp'): ?array
    {
        /** @var array{stamp: string, seen: string, tag: string, until: int|null, made: int}|null $mark */
        return $mark !== null && ($mark[$by] ?? null) === $stamp && ($mark['until'] === null || $now->getTimestamp() < $mark['until'])
            ? $mark
            : null;
    }

    /**
     * @param  float|null  $patienceS  how long to wait for a turn; null where there is no older answer to be shown meanwhile
     * @return array{string, string, string} tag, the whole answer and the brief one
     *
     * @throws Busy when no turn was free by then
     */
    private static function worked(Roast $stored, CarbonImmutable $now, ?float $patienceS): array
    {
        try {
            // Who has nothing to look at meanwhile waits for nobody's turn.
            return $patienceS !== null
                ? Turn::take($stored->user, (string) request()->ip(), $patienceS, fn (): array => self::insisted($stored, $now))
                : self::insisted($stored, $now);
        } catch (Busy $busy) {
            throw $busy;
        } catch (InvalidInput $wrong) {
            return self::kept(
                $stored,
                $broken = self::broken($stored, $now, Message::sentences(...array_merge(...array_values($wrong->messages)))),
                $broken,
                $now,
                $now->addDay(),
            );
        } catch (\Throwable $wrong) {
            report($wrong);

            return self::kept(
                $stored,
                $broken = self::broken($stored, $now, Message::of('roasts.something_in_it_leads')),
                $broken,
                $now,
                $now->addHour(),
            );
        }
    }

    /**
     * @return array{string, string, string} tag, the whole answer and the brief one
     *
     * @throws InvalidInput when it cannot be worked out
     */
    private static function insisted(Roast $stored, CarbonImmutable $now): array
    {
        Told::log($stored, $now)->load('devices');
        $seen = self::seen($stored, Yard::versions($stored->user_id));
        $last = Cache::many([self::key($stored, 'mark'), self::key($stored, 'whole'), self::key($stored, 'brief')]);
        [$mark, $whole, $brief] = array_values($last);
        if (is_string($whole) && is_string($brief) && self::standing($stored, $mark, $seen, $now, by: 'seen') !== null) {
            // A note, a link for hands: what is worked out stands.
            return self::kept(
                $stored,
                RoastResource::written($stored, true) + (array) json_decode($whole, false, 64, JSON_THROW_ON_ERROR),
                RoastResource::written($stored, false) + (array) json_decode($brief, false, 64, JSON_THROW_ON_ERROR),
                $now,
                $mark['until'] === null ? null : CarbonImmutable::createFromTimestamp($mark['until']),
                $seen,
            );
        }
        $day = Day::of($stored, $now);

        return self::kept(
            $stored,
            (new RoastResource($day))->toArray(),
            (new RoastResource($day, whole: false))->toArray(),
            $now,
            $day->standsUntil($now),
            $seen,
        );
    }

    /**
     * @param  array<string, mixed>  $whole
     * @param  array<string, mixed>  $brief
     * @param  string  $seen  mark of all that it was worked out from; none where it could not be
     * @return array{string, string, string} tag, the whole answer and the brief one
     */
    private static function kept(Roast $stored, array $whole, array $brief, CarbonImmutable $now, ?CarbonImmutable $until, string $seen = ''): array
    {
        [$json, $short] = [json_encode($whole, JSON_THROW_ON_ERROR), json_encode($brief, JSON_THROW_ON_ERROR)];
        $mark = [
            'stamp' => self::stamp($stored, Yard::versions($stored->user_id)),
            'seen' => $seen,
            'tag' => self::tag($json),
            'until' => $until?->getTimestamp(),
            'made' => $now->getTimestamp(),
        ];
        Cache::putMany(
            [self::key($stored, 'mark') => $mark, self::key($stored, 'whole') => $json, self::key($stored, 'brief') => $short],
            self::KEPT_S,
        );

        return [$mark['tag'], $json, $short];
    }

    /** Of one that is deleted. */
    public static function forget(Roast $stored): void
    {
        foreach (['mark', 'whole', 'brief'] as $what) {
            Cache::forget(self::key($stored, $what));
        }
    }

    private static function key(Roast $stored, string $what): string
    {
        return "roast.$stored->id.$what";
    }

    private static function tag(string $of): string
    {
        return '"'.hash('xxh128', $of).'"';
    }

    /** What it said last: how old it is (RFC 9111, 5.1), and when to ask again. It has no tag, so that it is not taken for what stands. */
    private static function last(string $json, Roast $stored, CarbonImmutable $now): JsonResponse
    {
        $made = Cache::get(self::key($stored, 'mark'))['made'] ?? 0;

        return JsonResponse::fromJsonString($json, headers: ['Retry-After' => '1', 'Age' => (string) max(1, 1 + $now->getTimestamp() - $made)]);
    }

    private static function tagged(string $json, string $tag): JsonResponse
    {
        return JsonResponse::fromJsonString($json, headers: ['ETag' => $tag]);
    }

    private static function unchanged(string $tag): Response
    {
        return new PlainResponse(status: 304, headers: ['ETag' => $tag]);
    }

    /** @return array<string, mixed> one that there was no time yet to work out */
    private static function awaited(Roast $stored, CarbonImmutable $now): array
    {
        $time = fn (CarbonImmutable $at): string => PlanResource::time($at->setTimezone($stored->time_zone));

        return ['id' => $stored->id, 'name' => $stored->name, 'status' => 'awaited', 'now' => $time($now), 'serve_at' => $time($stored->serve_at)];
    }

    /** @return array<string, mixed> */
    private static function broken(Roast $stored, CarbonImmutable $now, Message $why): array
    {
        $time = fn (CarbonImmutable $at): string => PlanResource::time($at->setTimezone($stored->time_zone));

        return [
            'id' => $stored->id,
            'name' => $stored->name,
            'status' => 'broken',
            'trouble' => $why,
            'now' => $time($now),
            'serve_at' => $time($stored->serve_at),
            'edition' => $stored->edition()->mark,
            'note' => $stored->debrief_note,
            'file' => $stored->inputs,
            'logged' => $stored->readings->map(
                fn (Reading $one): array => [
                    'at' => $time($one->at),
                    'words' => $one->place->inWords($one->piece, $stored->pieces($one->dish)),
                    'celsius' => $one->celsius,
                ],
            )
                ->concat(
                    $stored->events->map(
                        fn (Event $one): array => [
                            'at' => $time($one->at),
                            'words' => $one->note === null ? $one->kind->inWords() : Message::of('words.text', text: $one->note),
                            'celsius' => null,
                        ],
                    ),
                )
                ->sortBy('at')->values()->all(),
        ];
    }
}
