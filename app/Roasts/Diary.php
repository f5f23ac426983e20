<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Models\Event;
use App\Models\EventKind;
use App\Models\Reading;
use App\Models\ReadingPlace;
use App\Models\Roast;
use Carbon\CarbonImmutable;
use Diatherm\Cooker\Equipment;
use Diatherm\Cooking\ColdChain;
use Diatherm\Cooking\Course;
use Diatherm\Day\EntryId;
use Diatherm\Live\CookerSense;
use Diatherm\Live\Reading as CoreReading;
use Diatherm\Measure\Thinned;
use Diatherm\Roast\Dish;
use Diatherm\Roast\FireWish;
use Diatherm\Roast\Roast as CoreRoast;
use Diatherm\Tending\Rhythm;

/** What the cook logged of a roast, as the core asks for it. */
final class Diary
{
    /** How long a lid is off for a task that needs it off, when the cook logged no lift beside it. Common practice. */
    private const TASK_LIFT_MINUTES = 1.0;

    private const SAME_LIFT_S = 180;

    /** A cooker that was set anew is taken to have followed by then. Common practice. */
    private const CORRECTED_WITHIN_S = 1200.0;

    /** A cooker's temperature taken this long before a dish went on still tells of its start. */
    private const BEFORE_ON_S = 1800;

    /** A cooker's course is followed in so many pieces; more readings than that are taken together. */
    private const MOST_COOKER_POINTS = 96;

    /** @var array<int, array<int, CarbonImmutable>> by dish and stage */
    private readonly array $starts;

    /** @var list<Reading> in order of time */
    public readonly array $readings;

    public function __construct(
        private readonly Roast $stored,
        private readonly CoreRoast $roast,
        private readonly CarbonImmutable $now,
    ) {
        $this->readings = array_values($stored->readings->all());
        $starts = [];
        foreach ($stored->events as $event) {
            $stage = $event->kind === EventKind::Stage ? $event->stage : null;
            if ($event->dish !== null && $stage !== null && isset($roast->dishes[$event->dish]->stages[$stage])) {
                $starts[$event->dish][$event->stage] = $event->at;
            }
        }
        $this->starts = $starts;
    }

    public function onAt(int $dish): ?CarbonImmutable
    {
        return $this->last(EventKind::On, $dish)?->at;
    }

    public function pulledAt(int $dish): ?CarbonImmutable
    {
        return $this->last(EventKind::Pulled, $dish)?->at;
    }

    public function carvedAt(int $dish): ?CarbonImmutable
    {
        return $this->last(EventKind::Carved, $dish)?->at;
    }

    /** @return array<int, CarbonImmutable> */
    public function stageStarts(int $dish): array
    {
        return $this->starts[$dish] ?? [];
    }

    /** @return array<string, CarbonImmutable> by id of the run sheet entry */
    public function ticks(): array
    {
        $ticks = [];
        foreach ($this->stored->events as $event) {
            $isTakenBack = $event->kind->isOnce() && Event::standing($this->stored->events, $event->kind, $event->dish) === null;
            if ($event->entry !== null && ! $isTakenBack) {
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
        foreach ($this->readings as $reading) {
            $at = $since($reading->at);
            if ($reading->place === ReadingPlace::Cooker && $at >= -self::BEFORE_ON_S && in_array(
                $this->cookerAt($reading->dish, $reading->at),
                $cookers,
                true,
            ) && ! $this->isOdd($reading)) {
                $readings[] = [max(0.0, $at), $this->fresh($reading)];
            }
        }

        return new Course(
            $this->withCorrection(Thinned::points($readings, self::MOST_COOKER_POINTS), $dish, $since),
            $this->lifts($cookers, $since),
            array_map($since, $this->stageStarts($dish)),
            $pulled === null ? null : max(1.0, $since($pulled)),
            max(0.0, $since($this->now)),
            ($carved = $this->carvedAt($dish)) === null ? null : max(1.0, $since($carved)),
            $this->offs($dish, $since),
            $this->chain($dish, $since),
        );
    }

    /**
     * How it was kept before and after the heat, by the lines of the sheet that were ticked.
     *
     * @param  \Closure(CarbonImmutable): float  $since
     */
    private function chain(int $dish, \Closure $since): ColdChain
    {
        $ticks = $this->ticks();
        $takenOut = $ticks[EntryId::of('take_out', $dish)->text()] ?? null;
        $held = $ticks[EntryId::of('hold', $dish)->text()] ?? null;
        $planned = ColdChain::asPlanned($this->roast->dishes[$dish], 0.0);

        return new ColdChain(
            $takenOut === null ? $planned->outBeforeMinutes : max(0.0, -$since($takenOut) / 60.0),
            $planned->rawHours,
            $held === null ? null : $since($held),
        );
    }

    /**
     * How a fire was last set by hand in this roast, when, on what kind of cooker its food was then, and for what temperature;
     * null for none.
     *
     * @param  string  $fire  the kind of cooker that it is planned for
     * @param  CarbonImmutable|null  $by  at that moment; null for now
     * @return array{settings: array<string, float>, at: CarbonImmutable, kind: string|null, celsius: float}|null
     */
    public function lastSet(string $fire, ?CarbonImmutable $by = null): ?array
    {
        $event = $this->stored->events->last(
            fn (Event $event): bool => $event->kind === EventKind::Set && $event->dish !== null && (
                $by === null || $event->at <= $by
            ) && $this->fireAt($event->dish, $event->at) === $fire,
        );

        return $event === null || $event->settings === null
            ? null
            : [
                'settings' => array_map(floatval(...), $event->settings),
                'at' => $event->at,
                'kind' => $this->cookerAt((int) $event->dish, $event->at),
                'celsius' => (float) $event->celsius,
            ];
    }

    /**
     * @param  bool  $fresh  whether an open fire is given as it would be if it were made up at that moment
     * @param  string  $fire  the kind of cooker that it is planned for
     * @return list<array{float, float}> minutes from now and °C, as the cooker was read
     */
    public function cookerReadings(string $fire, bool $fresh = false): array
    {
        $readings = [];
        foreach ($this->readings as $reading) {
            $isIts = $reading->place === ReadingPlace::Cooker && $this->fireAt($reading->dish, $reading->at) === $fire;
            if ($isIts && ! $this->isOdd($reading)) {
                $readings[] = [-$reading->at->diffInSeconds($this->now) / 60.0, $fresh ? $this->fresh($reading) : $reading->celsius];
            }
        }

        return $readings;
    }

    /** What was read of a cooker; of an open fire, what it would have if it were made up at that moment. */
    private function fresh(Reading $reading): float
    {
        $kind = $this->cookerAt($reading->dish, $reading->at);
        $rhythm = $kind !== null
            && Equipment::has($kind) ? Rhythm::of(
                $this->roast->fires[$kind] ?? new FireWish($kind),
                Equipment::of($kind),
                $this->roast->weather(),
            ) : null;
        if ($kind === null || $rhythm === null) {
            return $reading->celsius;
        }
        $madeUp = $this->onAt($reading->dish);
        foreach ($this->stored->events as $event) {
            $renews = str_starts_with((string) $event->entry, "fire.$kind.refuel") || (
                $event->kind === EventKind::Set && $event->dish !== null && $this->cookerAt($event->dish, $event->at) === $kind
            );
            if ($renews && $event->at <= $reading->at && ($madeUp === null || $event->at > $madeUp)) {
                $madeUp = $event->at;
            }
        }

        return $madeUp === null ? $reading->celsius : $rhythm->freshC($reading->celsius, $madeUp->diffInSeconds($reading->at) / 60.0);
    }

    /** Whether a cooker's reading is far from anything that it was at, and nobody said that it is right all the same. */
    public function isOdd(Reading $reading): bool
    {
        if ($reading->sure || $reading->place !== ReadingPlace::Cooker) {
            return false;
        }
        $on = $this->onAt($reading->dish);
        $sense = $this->sense($reading->dish, $reading->at);

        // Before the dish is on, the cooker may well be cold.
        return $on !== null && $reading->at >= $on && $sense !== null && $sense->isOdd($reading->celsius);
    }

    /** What a cooker's thermometer may show while a dish is on it; null where there is none. */
    public function sense(int $dish, CarbonImmutable $at): ?CookerSense
    {
        $kind = $this->cookerAt($dish, $at);

        return $kind === null ? null : CookerSense::of($this->roast->dishes[$dish], $kind, $this->roast->airC);
    }

    /** @return list<CoreReading> of the dish itself, in order of time */
    public function readings(int $dish): array
    {
        $on = $this->onAt($dish);
        $readings = [];
        foreach ($this->readings as $reading) {
            if ($on !== null && $reading->dish === $dish && $reading->place !== ReadingPlace::Cooker) {
                $readings[] = CoreReading::of(
                    $reading->client_id,
                    $on->diffInSeconds($reading->at),
                    $reading->place->value,
                    $reading->celsius,
                    $reading->sure,
                    $reading->piece,
                );
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
        $set = $kind === null ? null : $this->lastSet($this->roast->fireOf($kind));
        $last = $readings[count($readings) - 1] ?? null;
        if ($set === null || $set['kind'] !== $kind || $last === null || $since($set['at']) < $last[0]) {
            return $readings;
        }
        $at = $since($set['at']);

        return [...$readings, [$at, $last[1]], [$at + self::CORRECTED_WITHIN_S, $set['celsius']]];
    }

    private function last(EventKind $kind, int $dish): ?Event
    {
        return Event::standing($this->stored->events, $kind, $dish);
    }

    /**
     * When it was off the heat and went on again.
     *
     * @param  \Closure(CarbonImmutable): float  $since
     * @return list<array{float, float}> seconds at which it came off and for how long
     */
    private function offs(int $dish, \Closure $since): array
    {
        $offs = [];
        $off = null;
        foreach ($this->stored->events as $event) {
            if ($event->dish === $dish && $event->kind === EventKind::Pulled) {
                $off ??= $since($event->at);
            }
            if ($event->dish === $dish && $event->kind === EventKind::BackOn && $off !== null) {
                $offs[] = [max(0.0, $off), $since($event->at) - max(0.0, $off)];
                $off = null;
            }
        }

        return $offs;
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
                EventKind::Lid => $event->minutes ?? 2.0,
                EventKind::Basted, EventKind::Turned => self::TASK_LIFT_MINUTES,
                default => null,
            };
            if ($minutes === null || $event->dish === null || $since($event->at) < 0.0 || ! in_array(
                $this->cookerAt($event->dish, $event->at),
                $cookers,
                true,
            )) {
                continue;
            }
            if ($event->kind !== EventKind::Lid && $lastAt !== null && $lastAt->diffInSeconds($event->at) < self::SAME_LIFT_S) {
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

    /** The kind of cooker by whose fire the dish is cooked then. */
    private function fireAt(int $dish, CarbonImmutable $at): ?string
    {
        $kind = $this->cookerAt($dish, $at);

        return $kind === null ? null : $this->roast->fireOf($kind);
    }

    /** @return list<string> */
    private function cookersOf(Dish $dish): array
    {
        return array_map(fn ($stage): string => $stage->cooker->id, $dish->stages);
    }
}
