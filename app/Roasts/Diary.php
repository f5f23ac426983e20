<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Models\Event;
use App\Models\Reading;
use App\Models\Roast;
use Carbon\CarbonImmutable;
use Diatherm\Live\Reading as CoreReading;
use Diatherm\Plan\Course;
use Diatherm\Plan\Dish;
use Diatherm\Plan\Roast as CoreRoast;

/** What the cook logged of a roast, as the core asks for it. */
final readonly class Diary
{
    /** How long a lid is off for a task that needs it off, when the cook logged no lift beside it. Common practice. */
    private const TASK_LIFT_MINUTES = 1.0;

    private const SAME_LIFT_S = 180;

    /** A cooker's temperature taken this long before a dish went on still tells of its start. */
    private const BEFORE_ON_S = 1800;

    public function __construct(
        private Roast $stored,
        private CoreRoast $roast,
        private CarbonImmutable $now,
    ) {
    }

    public function onAt(int $dish): ?CarbonImmutable
    {
        return $this->last('on', $dish)?->at;
    }

    public function pulledAt(int $dish): ?CarbonImmutable
    {
        return $this->last('pulled', $dish)?->at;
    }

    public function carvedAt(int $dish): ?CarbonImmutable
    {
        return $this->last('carved', $dish)?->at;
    }

    /** @return array<int, CarbonImmutable> */
    public function stageStarts(int $dish): array
    {
        $starts = [];
        foreach ($this->stored->events as $event) {
            if ($event->kind === 'stage' && $event->dish === $dish && $event->stage !== null) {
                $starts[$event->stage] = $event->at;
            }
        }

        return $starts;
    }

    /** @return array<string, CarbonImmutable> by id of the run sheet entry */
    public function ticks(): array
    {
        $ticks = [];
        foreach ($this->stored->events as $event) {
            if ($event->entry !== null) {
                $ticks[$event->entry] = $event->at;
            }
        }

        return $ticks;
    }

    /** What happened to the dish's cooker; null while the dish is not on. */
    public function course(int $dish): ?Course
    {
        $on = $this->onAt($dish);
        if ($on === null) {
            return null;
        }
        $since = fn (CarbonImmutable $at): float => $on->diffInSeconds($at);
        $pulled = $this->pulledAt($dish);
        $cookers = $this->cookersOf($this->roast->dishes[$dish]);
        $readings = [];
        foreach ($this->stored->readings as $reading) {
            $at = $since($reading->at);
            if ($reading->place === Reading::COOKER && in_array($this->cookerAt($reading->dish, $reading->at), $cookers, true) && $at >= -self::BEFORE_ON_S) {
                $readings[] = [max(0.0, $at), $reading->celsius];
            }
        }

        return new Course(
            $readings,
            $this->lifts($cookers, $since),
            array_map($since, $this->stageStarts($dish)),
            $pulled === null ? null : max(1.0, $since($pulled)),
            max(0.0, $since($this->now)),
        );
    }

    /** @return list<CoreReading> of the dish itself, in order of time */
    public function readings(int $dish): array
    {
        $on = $this->onAt($dish);
        $readings = [];
        foreach ($this->stored->readings as $reading) {
            if ($on !== null && $reading->dish === $dish && $reading->place !== Reading::COOKER) {
                $readings[] = CoreReading::of($reading->client_id, $on->diffInSeconds($reading->at), $reading->place, $reading->celsius);
            }
        }

        return $readings;
    }

    private function last(string $kind, int $dish): ?Event
    {
        return $this->stored->events->last(fn (Event $event): bool => $event->kind === $kind && $event->dish === $dish);
    }

    /**
     * @param  list<string>  $cookers
     * @param  \Closure(CarbonImmutable): float  $since
     * @return list<array{float, float}>
     */
    private function lifts(array $cookers, \Closure $since): array
    {
        $lifts = [];
        $lastAt = null;
        foreach ($this->stored->events as $event) {
            $minutes = match ($event->kind) {
                'lid' => $event->minutes ?? 2.0,
                'basted', 'turned' => self::TASK_LIFT_MINUTES,
                default => null,
            };
            if ($minutes === null || $event->dish === null || $since($event->at) < 0.0 || ! in_array($this->cookerAt($event->dish, $event->at), $cookers, true)) {
                continue;
            }
            if ($event->kind !== 'lid' && $lastAt !== null && $lastAt->diffInSeconds($event->at) < self::SAME_LIFT_S) {
                continue;
            }
            $lifts[] = [$since($event->at), 60.0 * $minutes];
            $lastAt = $event->at;
        }

        return $lifts;
    }

    /** The kind of cooker that a dish was on at a moment; null for one without a lid of heat, such as the board. */
    private function cookerAt(int $dish, CarbonImmutable $at): ?string
    {
        $stages = ($this->roast->dishes[$dish] ?? null)?->stages;
        if ($stages === null) {
            return null;
        }
        $current = 0;
        foreach ($this->stageStarts($dish) as $stage => $start) {
            if ($start <= $at) {
                $current = max($current, $stage);
            }
        }

        return ($stages[$current] ?? $stages[0])->cooker->id;
    }

    /** @return list<string> */
    private function cookersOf(Dish $dish): array
    {
        return array_map(fn ($stage): string => $stage->cooker->id, $dish->stages);
    }
}
