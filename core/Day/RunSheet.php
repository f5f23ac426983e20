<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Cooking\Forecast;
use Diatherm\Measure\Message;
use Diatherm\Roast\Chore;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;
use Diatherm\Roast\Stage;
use Diatherm\Tending\FirePlan;
use Diatherm\Tending\FireUse;

/** What to do, when, for one pair of hands: backwards from the serving hour, forwards from what has really happened. */
final readonly class RunSheet
{
    /** What is missed without the table being late for it. */
    private const NEVER_TOO_LATE = [Act::Serve, Act::Chore, Act::Fire, Act::FirstLook, Act::Side, Act::Read, Act::After];

    /** Things are not called late before this. */
    private const GRACE_MINUTES = 2.0;

    /**
     * @param  list<Entry>  $entries  in order of time
     * @param  list<SideTimes>  $sides  as they were asked for
     */
    private function __construct(
        public array $entries,
        public \DateTimeImmutable $readyAt,
        public \DateTimeImmutable $earliestServeAt,
        public array $sides,
    ) {
    }

    /**
     * @param  list<Forecast>  $forecasts  one a dish, in order
     * @param  array<int, Timing>  $timings  one a dish
     * @param  array<int, \DateTimeImmutable>  $onTimes  when each goes on, or went
     * @param  list<FirePlan>  $fires
     * @param  list<SideTimes>  $sides
     * @param  Finishing  $finishing  in which order the last things are done
     * @param  CourseHours  $hours  when each course is really on the table
     * @param  array<int, Progress>  $progress  by number of dish
     */
    public static function of(
        Roast $roast,
        array $forecasts,
        array $timings,
        array $onTimes,
        array $fires,
        array $sides,
        Finishing $finishing,
        CourseHours $hours,
        \DateTimeImmutable $now,
        array $progress,
    ): self {
        $entries = [];
        $ready = null;
        $earliest = $now;
        $lit = [];
        $byKind = [];
        foreach ($fires as $fire) {
            foreach ($fire->use->kinds as $kind) {
                $byKind[$kind] = $fire;
            }
        }
        // A cooker that is lit for the first dish needs no second match.
        $order = array_keys($onTimes);
        usort($order, fn (int $a, int $b): int => $onTimes[$a] <=> $onTimes[$b]);
        foreach ($order as $i) {
            $forecast = $forecasts[$i];
            $made = $progress[$i] ?? new Progress;
            $timing = $timings[$i];
            $on = $onTimes[$i];
            $cooker = $roast->fireOf($forecast->dish->stages[0]->cooker->id);
            $served = Timing::after($hours->at($forecast->dish->course), -$finishing->dishes[$i]);
            $hot = isset($lit[$cooker]) || self::standsReady($byKind[$cooker] ?? null, $i);
            array_push(
                $entries,
                ...DishTasks::preparations($i, $roast, $forecast->dish, $timing, $on, $now, $made),
                ...DishTasks::entries($i, $roast, $forecast, $timing, $served, $on, $made, $hot, $byKind),
            );
            if (! $forecast->dish->isBuried()) {
                $lit[$cooker] = true;
            }

            // Ready at the likely pace; the earliest hour to promise keeps the slow end.
            $pulled = $made->pulledAt ?? Timing::after($on, $timing->pull->likely);
            // A later course is told by the hour at which the first one would be on the table.
            $lead = $finishing->dishes[$i] - $roast->courseMinutes * ($forecast->dish->course - 1);
            $dishReady = Timing::after($pulled, $forecast->dish->leastRestMinutes() + Timing::carveMinutes($forecast->dish) + $lead);
            $ready = $ready === null ? $dishReady : max($ready, $dishReady);
            $promise = $made->onAt !== null
                ? ($made->pulledAt !== null ? $dishReady : Timing::after($on, $timing->serve + $lead))
                : Timing::after($now, $timing->serve + $lead - $timing->first());
            $earliest = max($earliest, $promise);
        }
        foreach ($fires as $fire) {
            $off = array_map(
                fn (int $i): float => self::offMinutes($forecasts[$i], $timings[$i], $fire->use)
                    + ($onTimes[$i]->getTimestamp() - $fire->use->startsAt->getTimestamp()) / 60.0,
                $fire->use->dishes,
            );
            $burning = array_filter(
                $fire->use->dishes,
                fn (int $i): bool => ! self::hasLeft($forecasts[$i]->dish, $fire->use, $progress[$i] ?? new Progress),
            );
            $on = array_filter($sides, fn (SideTimes $side): bool => $side->cooker !== null && $fire->use->serves($side->cooker));
            foreach ($on as $side) {
                $off[] = ($side->offAt->getTimestamp() - $fire->use->startsAt->getTimestamp()) / 60.0;
            }
            $kept = array_filter($on, fn (SideTimes $side): bool => $side->offAt > $now);
            if (! $fire->use->buried && ($burning !== [] || $kept !== [])) {
                array_push(
                    $entries,
                    ...FireTasks::entries(
                        $fire,
                        max(0.0, ...$off),
                        array_filter($fire->use->dishes, fn (int $i): bool => ($progress[$i] ?? new Progress)->onAt !== null) !== [],
                    ),
                );
            }
        }
        array_push($entries, ...SideTasks::entries($roast, $sides));
        $entries[] = new Entry(
            EntryId::of('serve'),
            null,
            Act::Serve,
            $hours->at(1),
            Message::of('sheet.table'),
            $hours->lateMinutes(1) > 0.0
                ? Message::of('sheet.to_feed_late', people: $roast->people, asked: $roast->serveAt)
                : Message::of('sheet.to_feed', people: $roast->people),
        );
        $last = max(1, ...array_column($roast->dishes, 'course'), ...array_column($roast->sides, 'course'));
        for ($course = 2; $course <= $last; $course++) {
            $entries[] = new Entry(
                EntryId::of('course', null, $course),
                null,
                Act::Serve,
                $hours->at($course),
                Message::of('sheet.course', course: $course),
                null,
            );
        }

        $cooling = self::coolingSince($entries, $forecasts, $progress);
        if ($cooling !== null) {
            array_push($entries, ...AfterTable::entries($roast, $hours->at($last), $cooling, $fires));
        }
        $entries = self::unlessSeen(Hands::arrange($entries, $roast), $onTimes);
        $entries = array_map(function (Entry $entry) use ($now, $progress): Entry {
            $done = self::isDone($entry, $progress[$entry->dish ?? 0] ?? new Progress);
            $late = ! $done
                && ($entry->act === Act::Prepare ? $entry->latest ?? $entry->at : $entry->at) < Timing::after($now, -self::GRACE_MINUTES);

            return $entry->judged($done, $late);
        }, $entries);
        $entries = array_values(
            array_filter(
                $entries,
                fn (Entry $entry): bool => ! self::isPassedOver($entry, $now, $progress[$entry->dish ?? 0] ?? new Progress),
            ),
        );
        usort($entries, fn (Entry $a, Entry $b): int => $a->at <=> $b->at);

        return new self($entries, $ready ?? $now, self::upToFive($earliest), $sides);
    }

    /**
     * When the first dish begins to cool, from which its hours out of the cold count; null where nothing is carved.
     *
     * @param  list<Entry>  $entries
     * @param  list<Forecast>  $forecasts
     * @param  array<int, Progress>  $progress
     */
    private static function coolingSince(array $entries, array $forecasts, array $progress): ?\DateTimeImmutable
    {
        $since = null;
        foreach ($entries as $entry) {
            if ($entry->dish === null) {
                continue;
            }
            $hotMinutes = ($progress[$entry->dish] ?? null)->hotMinutes ?? $forecasts[$entry->dish]->knownHotMinutes();
            // A reading stands in place of the pull until it shows the number.
            $isFrom = in_array($entry->act, $hotMinutes > 0.0 ? [Act::Carve] : [Act::Pull, Act::Carve], true);
            $since = $isFrom && ($since === null || $entry->at < $since) ? $entry->at : $since;
        }

        return $since;
    }

    /** Whether a dish is off a cooker for good, by what was logged. */
    private static function hasLeft(Dish $dish, FireUse $fire, Progress $made): bool
    {
        $on = array_keys(array_filter($dish->stages, fn (Stage $stage): bool => $fire->serves($stage->cooker->id)));
        $begun = array_keys($made->stageStarts);

        return $made->pulledAt !== null || ($begun !== [] && $on !== [] && max($begun) > max($on));
    }

    /** Whether a fire is there for a dish that begins on it: taken over from another use of that cooker, or lit for one that came to it. */
    private static function standsReady(?FirePlan $fire, int $dish): bool
    {
        return $fire !== null && ! $fire->use->buried && ($fire->lent->isSame || (! $fire->use->first && $fire->use->dish !== $dish));
    }

    /** When a dish is likely to leave a cooker for good, minutes after it went on. */
    private static function offMinutes(Forecast $forecast, Timing $timing, FireUse $fire): float
    {
        $pace = $timing->pull->likely / max(0.01, $forecast->cookMinutes->likely);
        $off = $timing->pull->likely;
        foreach ($forecast->dish->stages as $i => $stage) {
            if ($fire->serves($stage->cooker->id)) {
                $off = isset($forecast->stageStartMinutes[$i + 1]) ? $pace * $forecast->stageStartMinutes[$i + 1] : $timing->pull->likely;
            }
        }

        return $off;
    }

    /**
     * A dish that is basted, moved or fed beneath an open lid on its way has been looked at: nobody is told when to look first.
     *
     * @param  list<Entry>  $entries  with their work
     * @param  array<int, \DateTimeImmutable>  $onTimes
     * @return list<Entry>
     */
    private static function unlessSeen(array $entries, array $onTimes): array
    {
        $isSeenBefore = fn (Entry $look): bool => array_filter($entries, fn (Entry $one): bool => $one->work?->lid !== null
            && ($one->dish === $look->dish || $one->work->lid === $look->work?->lid)
            && $one->at > $onTimes[(int) $look->dish]
            && $one->at < $look->at) !== [];

        return array_values(array_filter($entries, fn (Entry $entry): bool => $entry->act !== Act::FirstLook || ! $isSeenBefore($entry)));
    }

    /** @return list<\DateTimeImmutable> moments at which it says something else than before */
    public function hours(): array
    {
        $hours = [];
        foreach ($this->entries as $entry) {
            foreach (array_filter([$entry->earliest, $entry->at, $entry->latest, $entry->until]) as $hour) {
                array_push($hours, $hour, Timing::after($hour, self::GRACE_MINUTES));
            }
        }

        return $hours;
    }

    /** Entries whose hour has passed undone. */
    public function isTooLate(): bool
    {
        foreach ($this->entries as $entry) {
            if ($entry->late && ! str_contains($entry->id->what, 'marinade') && ! in_array($entry->act, self::NEVER_TOO_LATE, true)) {
                return true;
            }
        }

        return false;
    }

    /** A chore or a refuel that was missed is forgotten once its next turn has come, a chore also when the dish is off. */
    private static function isPassedOver(Entry $entry, \DateTimeImmutable $now, Progress $made): bool
    {
        $overtaken = $entry->until !== null && $entry->until <= $now;

        return $entry->late && match ($entry->act) {
            Act::Chore => $made->pulledAt !== null || $overtaken,
            Act::Fire => $overtaken,
            // What was not stirred is stirred next time; what was not put on is what gets forgotten, and stays.
            Act::Side => $overtaken && ($entry->id->parts[1] ?? '') === 'stir',
            // It said not to look sooner: its hour past, there is nothing left to do about it.
            Act::FirstLook => true,
            default => false,
        };
    }

    private static function isDone(Entry $entry, Progress $made): bool
    {
        if (isset($made->done[$entry->id->text()])) {
            return true;
        }

        return match ($entry->act) {
            Act::On => $made->onAt !== null,
            Act::FirstLook => $made->pulledAt !== null,
            Act::Pull, Act::Rest => $made->pulledAt !== null,
            Act::Carve => $made->carvedAt !== null,
            Act::Stage => isset($made->stageStarts[(int) $entry->id->parts[0]]),
            default => false,
        };
    }

    private static function upToFive(\DateTimeImmutable $time): \DateTimeImmutable
    {
        return $time->setTimestamp((int) (ceil($time->getTimestamp() / 300) * 300));
    }
}
