<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Models\Roast;
use Carbon\CarbonImmutable;
use Diatherm\Cooking\Forecast;
use Diatherm\Day\CameOff;
use Diatherm\Day\Progress;
use Diatherm\Live\AdviceAct;
use Diatherm\Live\LiveForecast;
use Diatherm\Obstacles\Obstacle;
use Diatherm\Obstacles\Obstacles;
use Diatherm\Plan\Plan;
use Diatherm\Tending\LaidFires;

/** A stored roast, worked out at one moment: its plan, and for each dish that went on what its readings make of it. */
final readonly class Day
{
    /** A dish is followed live for this long after it went on; later its debrief stands still. */
    private const FOLLOWED_HOURS = 40;

    /** A forecast without new readings is worked out again after so long; between them the clock moves along its curve. */
    private const STANDS_COOKING_MINUTES = 5;

    /** A plan that nobody has begun shrinks to the time that there is. */
    private const STANDS_PLANNED_MINUTES = 15;

    /**
     * @param  array<int, LiveForecast>  $live by number of the dish
     * @param  array<int, Progress>  $progress how far each is
     */
    private function __construct(
        public Roast $stored,
        public Plan $plan,
        public Diary $diary,
        public array $live,
        public array $progress,
    ) {
    }

    /**
     * @param  bool  $finished whether dishes that are off the heat and carved are worked out again too
     * @param  bool  $keep  whether what is new is kept: what a cook only tries out is not
     */
    public static function of(Roast $stored, CarbonImmutable $now, bool $finished = true, bool $keep = true): self
    {
        $roast = Shelf::take($stored);
        $lastAct = $stored->events->last()?->at;
        if ($lastAct !== null && $lastAct->diffInHours($now) > self::FOLLOWED_HOURS) {
            $now = $lastAct;
        }
        $diary = new Diary($stored, $roast, $now);
        $yard = Yard::for($roast, $stored->user_id);
        $laid = LaidFires::lay($roast, $yard);
        $dishes = Remembered::dishes($laid, $keep);
        $live = [];
        $progress = [];
        foreach ($laid->dishes as $i => $dish) {
            $course = $diary->course($i);
            if ($course !== null && ($finished || $diary->carvedAt($i) === null)) {
                $live[$i] = Remembered::live(
                    $stored, $i, $dish, $roast->airC, $course, $diary->readings($i), $dishes[$i]->forecast, $keep,
                );
            }
            $progress[$i] = new Progress(
                $diary->onAt($i), $diary->stageStarts($i), $diary->pulledAt($i), $diary->carvedAt($i),
                isset($live[$i]) && $live[$i]->getsThere ? $live[$i]->cookMinutes : null,
                isset($live[$i]) ? $live[$i]->pullC : null,
                $diary->ticks(),
                isset($live[$i]) ? $live[$i]->stageStartMinutes : null,
                isset($live[$i]) && $diary->pulledAt($i) !== null ? self::staysHotMinutes($live[$i], $dishes[$i]->forecast) : null,
                isset($live[$i]) ? self::cameOff($live[$i], $diary->pulledAt($i)) : null,
                isset($live[$i]) ? $live[$i]->cue : null,
            );
        }

        return new self($stored, Plan::from($laid, $dishes, $now, $progress), $diary, $live, $progress);
    }

    /** @return list<Obstacle> what stands in the way, as long as nobody has begun */
    public function obstacles(): array
    {
        return $this->status() === 'planned' ? Obstacles::of($this->plan, CarbonImmutable::now()) : [];
    }

    private static function cameOff(LiveForecast $live, ?CarbonImmutable $pulledAt): ?CameOff
    {
        return match (true) {
            $pulledAt === null => null,
            $live->advice?->act === AdviceAct::BackOn => CameOff::TooSoon,
            $live->advice?->act === AdviceAct::Discard => CameOff::LeftOut,
            $live->advice?->act === AdviceAct::Read => CameOff::Unread,
            $live->belief->wasReadBy(60.0 * $live->cookMinutes->likely) => CameOff::AsRead,
            default => CameOff::WorkedOut,
        };
    }

    /** As it was read; where nothing was, no longer than the slow end of the plan had it. */
    private static function staysHotMinutes(LiveForecast $live, Forecast $planned): float
    {
        return $live->belief->newest === null ? min($live->knownHotMinutes(), $planned->knownHotMinutes()) : $live->knownHotMinutes();
    }

    /**
     * When it says something else though nobody did anything: an hour on the sheet has passed, or a dish on the heat was not looked
     * at for a while. Null for never.
     */
    public function standsUntil(CarbonImmutable $now): ?CarbonImmutable
    {
        if ($this->status() === 'done') {
            return null;
        }
        $next = $now->addMinutes($this->status() === 'planned' ? self::STANDS_PLANNED_MINUTES : self::STANDS_COOKING_MINUTES);
        foreach ($this->plan->runSheet->hours() as $hour) {
            $next = $hour > $now && $hour < $next ? CarbonImmutable::instance($hour) : $next;
        }

        return $next;
    }

    /** planned, cooking, resting or done */
    public function status(): string
    {
        return self::statusOf(array_map($this->dishStatus(...), array_keys($this->plan->roast->dishes)));
    }

    /** waiting, on, resting or carved */
    public function dishStatus(int $dish): string
    {
        return match (true) {
            $this->diary->carvedAt($dish) !== null => 'carved',
            $this->diary->pulledAt($dish) !== null => 'resting',
            $this->diary->onAt($dish) !== null => 'on',
            default => 'waiting',
        };
    }

    /** @param  list<string>  $dishes */
    private static function statusOf(array $dishes): string
    {
        return match (true) {
            array_unique($dishes) === ['waiting'] => 'planned',
            array_unique($dishes) === ['carved'] => 'done',
            array_diff($dishes, ['resting', 'carved']) === [] => 'resting',
            default => 'cooking',
        };
    }
}
