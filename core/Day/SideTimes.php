<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Cooker\CookerShed;
use Diatherm\Roast\Anchor;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;
use Diatherm\Roast\SideDish;

/**
 * When one side does what. A side is done as near to the table as its patience wants, and no two are seen to at once: the least patient
 * one last; what keeps for days is made the evening before. What waits as long as the joint is carved is done before the knife; the rest
 * while another hand carves, or between two cuts. On a dish's cooker it takes as long as that heat lets it; once the dishes are off, the
 * cooker has the heat that it wants.
 */
final readonly class SideTimes
{
    /** By the clock of the table. Common practice. */
    private const EVENING_HOUR = 20;

    /** A cooker that it has to itself for all but so long is its own. Common practice. */
    private const TELLING_MINUTES = 3.0;

    /**
     * @param  string|null  $cooker  kind of the cooker that it is on; null for a place of its own
     * @param  float|null  $cookerC  of that cooker, meanwhile; null where that is not known
     * @param  HeatSpan|null  $before  the first that its cooker has of a dish, where it goes on before that
     * @param  int|null  $after  number of the dish whose cooker it has to itself, once all are off it
     */
    private function __construct(
        public SideDish $dish,
        public \DateTimeImmutable $readyAt,
        public ?\DateTimeImmutable $waterAt,
        public \DateTimeImmutable $onAt,
        public \DateTimeImmutable $offAt,
        public \DateTimeImmutable $doneAt,
        public float $waitsMinutes,
        public float $slowness = 1.0,
        public ?string $cooker = null,
        public ?float $cookerC = null,
        public ?int $after = null,
        public bool $isBuried = false,
        public ?HeatSpan $before = null,
    ) {
    }

    /**
     * @param  array<int, \DateTimeImmutable>  $pulls  when each dish comes off, by number
     * @param  array<int, \DateTimeImmutable>  $ons  and when it went on
     * @param  list<HeatSpan>  $spans  what the dishes have of their cookers
     * @param  Moments  $moments  what sides may hang on
     * @param  \DateTimeImmutable  $now  what is made ahead is made the evening before, where there still is one
     * @return list<self> as they were asked for
     */
    public static function of(
        Roast $roast,
        Finishing $finishing,
        CourseHours $hours,
        array $pulls,
        array $ons,
        array $spans,
        Moments $moments,
        \DateTimeImmutable $now,
    ): array {
        $times = [];
        $evening = $roast->serveAt->modify('-1 day')->setTime(self::EVENING_HOUR, 0);
        $ahead = $finishing->wholeMinutes;
        foreach ($roast->sides as $number => $dish) {
            $with = $roast->dishes[$dish->with ?? -1] ?? null;
            if ($with !== null && $with->isBuried()) {
                $times[] = self::buried($dish, $ons[(int) $dish->with], $pulls[(int) $dish->with], $hours->at($dish->course));

                continue;
            }
            if ($dish->anchor !== null) {
                $of = fn (float $slowness): self => self::anchored($dish, $dish->anchor, $moments, $hours->at($dish->course), $slowness);
                $times[] = self::placed($of, self::shared($dish, $with, $spans, $roast));

                continue;
            }
            if (! $dish->side->isMadeAhead()) {
                $of = fn (float $slowness): self => self::one(
                    $dish, $hours->at($dish->course), $finishing->sides[$number], $pulls[$dish->with ?? -1] ?? null, $slowness,
                );
                $times[] = self::placed($of, self::shared($dish, $with, $spans, $roast));

                continue;
            }
            $then = self::before($dish, $evening, 0.0, 1.0);
            if ($then->readyAt >= $now) {
                $evening = Timing::after($evening, -$dish->side->doneMinutes);
            } else {
                // It keeps for days: out of the way of all that does not.
                $then = self::before($dish, $hours->at(1), $ahead, 1.0);
                $ahead += $dish->side->doneMinutes;
            }
            $times[] = $then;
        }

        return $times;
    }

    /**
     * The same sides, those that went on already counted from then.
     *
     * @param  list<self>  $sides
     * @param  array<string, \DateTimeImmutable>  $done  by id of the line that was ticked
     * @return list<self>
     */
    public static function asBegun(array $sides, array $done): array
    {
        $keys = self::keys($sides);

        return array_map(function (self $times, int $i) use ($keys, $done): self {
            $at = $done[EntryId::of('side', null, $keys[$i], 'on')->text()] ?? null;

            return $at === null || $times->isBuried ? $times : $times->begunAt($at);
        }, $sides, array_keys($sides));
    }

    /**
     * What each is called in the ids of its lines: the second of a kind has a number.
     *
     * @param  list<self>  $sides
     * @return list<string>
     */
    public static function keys(array $sides): array
    {
        $seen = $keys = [];
        foreach ($sides as $times) {
            $id = $times->dish->side->id;
            $seen[$id] = ($seen[$id] ?? 0) + 1;
            $keys[] = $seen[$id] === 1 ? $id : "$id-$seen[$id]";
        }

        return $keys;
    }

    private function begunAt(\DateTimeImmutable $at): self
    {
        $offAt = Timing::after($at, $this->takesMinutes());
        $doneAt = Timing::after($offAt, ($this->doneAt->getTimestamp() - $this->offAt->getTimestamp()) / 60.0);

        return new self(
            $this->dish, $this->readyAt, $this->waterAt, $at, $offAt, $doneAt,
            max(0.0, $this->waitsMinutes + ($this->doneAt->getTimestamp() - $doneAt->getTimestamp()) / 60.0),
            $this->slowness, $this->cooker, $this->cookerC, $this->after, $this->isBuried, $this->before,
        );
    }

    /** Whether it bears the heat that the cooker has meanwhile; true where that is not known. */
    public function bearsItsPlace(): bool
    {
        return $this->cooker === null || $this->cookerC === null
            || $this->dish->bears($this->cookerC, CookerShed::kind($this->cooker)->overFire);
    }

    /** Whether it is done once the table has eaten: a stock of the bones. */
    public function isAfterTable(): bool
    {
        return $this->waitsMinutes < 0.0;
    }

    /** Whether it has to wait longer than it waits well. */
    public function isKeptTooLong(): bool
    {
        return $this->waitsMinutes > $this->dish->side->waitsMinutes + 0.5;
    }

    /** From when it goes on until it comes off. */
    public function takesMinutes(): float
    {
        return ($this->offAt->getTimestamp() - $this->onAt->getTimestamp()) / 60.0;
    }

    /**
     * @param  list<HeatSpan>  $spans
     * @return list<HeatSpan> those of the cooker that it lies on, whichever way that is used; none for a place of its own
     */
    private static function shared(SideDish $dish, ?Dish $with, array $spans, Roast $roast): array
    {
        $kind = $dish->on ?? $with?->mainStage()->cooker->id;

        return $kind === null ? [] : array_values(array_filter(
            $spans,
            fn (HeatSpan $span): bool => ! $span->turns && $roast->isOneCooker($span->cooker, $kind),
        ));
    }

    /**
     * @param  \Closure(float): self  $of  its times, that much slower than usual
     * @param  list<HeatSpan>  $spans  what the cooker that it lies on has; none for a place of its own
     */
    private static function placed(\Closure $of, array $spans): self
    {
        $usual = $of(1.0);
        $met = null;
        $last = null;
        foreach ($spans as $span) {
            $minutes = $span->meetsMinutes($usual->onAt, $usual->offAt);
            $met = $minutes > ($met === null ? self::TELLING_MINUTES : $met->meetsMinutes($usual->onAt, $usual->offAt)) ? $span : $met;
            $last = $last === null || $span->until > $last->until ? $span : $last;
        }
        if ($last === null) {
            return $usual;
        }
        if ($met !== null) {
            $slowness = $usual->dish->slowness($met->celsius);

            return $of($slowness)->on($met->cooker, $met->celsius, $slowness, null, $spans);
        }
        $side = $usual->dish->side;
        $own = $side->leastC === null || $side->mostC === null ? $last->celsius : min($side->mostC, max($side->leastC, $last->celsius));

        return $usual->on($last->cooker, $own, 1.0, $last->dish, $spans);
    }

    /** @param  list<HeatSpan>  $spans  what that cooker has */
    private function on(string $cooker, float $cookerC, float $slowness, ?int $after, array $spans): self
    {
        $first = null;
        foreach ($spans as $one) {
            $first = $first === null || $one->from < $first->from ? $one : $first;
        }

        return new self(
            $this->dish, $this->readyAt, $this->waterAt, $this->onAt, $this->offAt, $this->doneAt, $this->waitsMinutes,
            $slowness, $cooker, $cookerC, $after, before: $first !== null && $this->onAt < $first->from ? $first : null,
        );
    }

    /** With what lies under coals and earth it goes in and comes out, right after the dish: nobody lifts that lid in between. */
    private static function buried(SideDish $dish, \DateTimeImmutable $on, \DateTimeImmutable $pull, \DateTimeImmutable $table): self
    {
        $side = $dish->side;
        $offAt = Timing::after($pull, Work::pullMinutes());
        $doneAt = Timing::after($offAt, $side->afterMinutes + $side->doneMinutes);

        return new self(
            $dish, Timing::after($on, -$side->readyMinutes), null, $on, $offAt, $doneAt,
            max(0.0, ($table->getTimestamp() - $doneAt->getTimestamp()) / 60.0),
            isBuried: true,
        );
    }

    /**
     * As late as hands and its patience let it; what shares a pot or pan with a dish comes off right after it where it can wait from then
     * on: one lid, lifted once.
     */
    private static function one(
        SideDish $dish,
        \DateTimeImmutable $table,
        float $doneBefore,
        ?\DateTimeImmutable $pull,
        float $slowness,
    ): self {
        $side = $dish->side;
        $takes = Work::pullMinutes() + $side->afterMinutes + $side->doneMinutes;
        $withIt = $pull === null ? -1.0 : ($table->getTimestamp() - $pull->getTimestamp()) / 60.0 - $takes;

        return self::before(
            $dish, $table, $withIt >= $doneBefore && $withIt <= $dish->patienceMinutes() ? $withIt : $doneBefore, $slowness,
        );
    }

    /** On or off so long after a moment of a dish, whatever its patience says. */
    private static function anchored(SideDish $dish, Anchor $anchor, Moments $moments, \DateTimeImmutable $table, float $slowness): self
    {
        $off = $anchor->ends
            ? $moments->at($anchor)
            : Timing::after($moments->at($anchor), $dish->minutes ?? $slowness * $dish->takesMinutes());
        $done = Timing::after($off, $dish->side->afterMinutes + $dish->side->doneMinutes);

        return self::before($dish, $table, ($table->getTimestamp() - $done->getTimestamp()) / 60.0, $slowness);
    }

    private static function before(SideDish $dish, \DateTimeImmutable $serveAt, float $doneBefore, float $slowness): self
    {
        $side = $dish->side;
        // What the cook knows is known of this place.
        $takes = $dish->minutes ?? $slowness * $dish->takesMinutes();
        $doneAt = Timing::after($serveAt, -$doneBefore);
        $offAt = Timing::after($doneAt, -$side->doneMinutes - $side->afterMinutes);
        $onAt = Timing::after($offAt, -$takes);
        $waterAt = $side->boilMinutes > 0.0 ? Timing::after($onAt, -$side->boilMinutes) : null;

        return new self(
            $dish,
            Timing::after($waterAt ?? $onAt, -$side->readyMinutes),
            $waterAt,
            $onAt,
            $offAt,
            $doneAt,
            // At the quick end it is done so much sooner.
            $doneBefore + $slowness * $dish->looseMinutes(),
        );
    }
}
