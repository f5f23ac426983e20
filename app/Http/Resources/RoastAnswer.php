<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Event;
use App\Models\Reading;
use App\Models\Roast;
use App\Roasts\Day;
use App\Roasts\Shelf;
use Carbon\CarbonImmutable;
use Diatherm\Measure\InvalidInput;
use Illuminate\Http\JsonResponse;

/**
 * A stored roast as an answer, whatever state it is in. One that cannot be worked out, as after an upgrade, is told so with
 * all that was put in and logged, so that it can be mended, taken out or deleted; it takes no other down.
 */
final class RoastAnswer
{
    public static function of(Roast $stored): JsonResponse
    {
        $stored->load(['dishes.stages', 'readings', 'events']);

        return new JsonResponse(self::whole($stored, CarbonImmutable::now()));
    }

    /** @return array<string, mixed> */
    public static function whole(Roast $stored, CarbonImmutable $now): array
    {
        return self::unlessBroken($stored, $now, fn (): array => (new RoastResource(Day::of($stored, $now)))->toArray());
    }

    /** @return array<string, mixed> for a list */
    public static function brief(Roast $stored, CarbonImmutable $now): array
    {
        return self::unlessBroken($stored, $now, fn (): array => PastResource::of($stored, $now) ?? (new RoastResource(Day::of($stored, $now, finished: false), whole: false))->toArray());
    }

    /**
     * @param  \Closure(): array<string, mixed>  $answer
     * @return array<string, mixed>
     */
    private static function unlessBroken(Roast $stored, CarbonImmutable $now, \Closure $answer): array
    {
        try {
            return $answer();
        } catch (InvalidInput $wrong) {
            return self::broken($stored, $now, implode(' ', array_unique(array_merge(...array_values($wrong->messages)))));
        } catch (\Throwable $wrong) {
            report($wrong);

            return self::broken($stored, $now, 'Something in it leads the reckoning astray. Its file still holds all of it.');
        }
    }

    /** @return array<string, mixed> */
    private static function broken(Roast $stored, CarbonImmutable $now, string $why): array
    {
        $time = fn (CarbonImmutable $at): string => PlanResource::time($at->setTimezone($stored->time_zone));

        return [
            'id' => $stored->id,
            'name' => $stored->name,
            'status' => 'broken',
            'trouble' => $why,
            'now' => $time($now),
            'serve_at' => $time($stored->serve_at),
            'note' => $stored->debrief_note,
            'file' => Shelf::file($stored),
            'logged' => $stored->readings->map(fn (Reading $one): array => ['at' => $time($one->at), 'words' => Reading::PLACES[$one->place] ?? $one->place, 'celsius' => $one->celsius])
                ->concat($stored->events->map(fn (Event $one): array => ['at' => $time($one->at), 'words' => $one->note ?? Event::KINDS[$one->kind] ?? $one->kind, 'celsius' => null]))
                ->sortBy('at')->values()->all(),
        ];
    }
}
