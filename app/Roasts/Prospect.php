<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Models\Event;
use App\Models\EventKind;
use App\Models\Roast;
use Carbon\CarbonImmutable;
use Diatherm\Measure\InvalidInput;
use Diatherm\Roast\Roast as CoreRoast;
use Diatherm\Roast\RoastFile;
use Diatherm\Tending\LaidFires;
use Diatherm\Ways\PlannedProspect;
use Diatherm\Ways\Prospect as CoreProspect;
use Diatherm\Ways\Standing;

/** A stored roast as it would be if it were changed now, with all that was logged of it. */
final readonly class Prospect implements CoreProspect
{
    public function __construct(
        private Roast $stored,
        private Day $day,
        private CarbonImmutable $now,
    ) {
    }

    public static function standingOf(Day $day, CarbonImmutable $now): Standing
    {
        return new Standing($day->plan, $now, $day->progress, $day->live);
    }

    public function standing(CoreRoast $roast, array $begun): Standing
    {
        return self::standingOf(Day::of($this->imagined($roast, $begun), $this->now, keep: false), $this->now);
    }

    public function minutesToPull(CoreRoast $roast, array $begun, int $dish): ?float
    {
        $yard = Yard::for($roast, $this->stored->user_id);
        $diary = new Diary($this->imagined($roast, $begun), $roast, $this->now);
        $course = $diary->course($dish);
        if ($course === null) {
            return (new PlannedProspect($this->now, $yard))->minutesToPull($roast, $begun, $dish);
        }
        try {
            $live = Remembered::live(
                $this->stored,
                $dish,
                LaidFires::lay($roast, $yard)->dishes[$dish],
                $roast->airC,
                $course,
                $diary->readings($dish),
                $this->day->plan->forecast($dish),
                keep: false,
            );
        } catch (InvalidInput) {
            return null;
        }

        return $live->getsThere ? $live->cookMinutes->likely - $course->nowS / 60.0 : null;
    }

    /**
     * The same log under another plan; stored nowhere.
     *
     * @param  array<int, int>  $begun
     */
    private function imagined(CoreRoast $roast, array $begun): Roast
    {
        $imagined = $this->stored->newFromBuilder($this->stored->getAttributes());
        $imagined->inputs = RoastFile::write($roast);
        $imagined->setRelation('readings', $this->stored->readings);
        $imagined->setRelation('events', $this->stored->events->concat(array_map(
            fn (int $dish, int $stage): Event => new Event([
                'client_id' => '', 'dish' => $dish, 'at' => $this->now, 'kind' => EventKind::Stage, 'stage' => $stage,
            ]),
            array_keys($begun),
            $begun,
        )));

        return $imagined;
    }
}
