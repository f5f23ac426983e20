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

    /** A cooker that was set anew is taken to have followed by then. Common practice. */
    private const CORRECTED_WITHIN_S = 1200.0;

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
            $this->withCorrection($readings, $dish, $since),
            $this->lifts($cookers, $since),
            array_map($since, $this->stageStarts($dish)),
            $pulled === null ? null : max(1.0, $since($pulled)),
            max(0.0, $since($this->now)),
        );
    }

    /**
     * The settings that a kind of cooker was last given by hand in this roast, when, and for what temperature; null for none.
     *
     * @param  CarbonImmutable|null  $by  at that moment; null for now
     * @return array{settings: array<string, float>, at: CarbonImmutable, celsius: float}|null
     */
    public function lastSet(string $kind, ?CarbonImmutable $by = null): ?array
    {
        $event = $this->stored->events->last(fn (Event $event): bool => $event->kind === 'set' && $event->dish !== null && ($by === null || $event->at <= $by) && $this->cookerAt($event->dish, $event->at) === $kind);

        return $event === null || $event->settings === null ? null : ['settings' => array_map(floatval(...), $event->settings), 'at' => $event->at, 'celsius' => (float) $event->celsius];
    }

    /** @return list<array{float, float}> minutes from now and °C, as a kind of cooker was read */
    public function cookerReadings(string $kind): array
    {
        $readings = [];
        foreach ($this->stored->readings as $reading) {
            if ($reading->place === Reading::COOKER && $this->cookerAt($reading->dish, $reading->at) === $kind) {
                $readings[] = [-$reading->at->diffInSeconds($this->now) / 60.0, $reading->celsius];
            }
        }

        return $readings;
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

    /**
     * A correction that was made after the last reading is taken to bring the cooker to what it was set for.
     *
     * @param  list<array{float, float}>  $readings
     * @param  \Closure(CarbonImmutable): float  $since
     * @return list<array{float, float}>
     */
    private function withCorrection(array $readings, int $dish, \Closure $since): array
    {
        $kind = $this->cookerAt($dish, $this->now);
        $set = $kind === null ? null : $this->lastSet($kind);
        $last = $readings[count($readings) - 1] ?? null;
        if ($set === null || $last === null || $since($set['at']) < $last[0]) {
            return $readings;
        }
        $at = $since($set['at']);

        return [...$readings, [$at, $last[1]], [$at + self::CORRECTED_WITHIN_S, $set['celsius']]];
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
    public function cookerAt(int $dish, CarbonImmutable $at): ?string
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
