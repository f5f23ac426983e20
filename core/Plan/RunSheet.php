<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Measure\Spread;
use Diatherm\Plan\Fire\FirePlan;
use Diatherm\Plan\Fire\FireTasks;
use Diatherm\Rig\PotRig;
use Diatherm\Rig\SpitRig;

/** What to do, when, for one pair of hands: backwards from the serving hour, forwards from what has really happened. */
final readonly class RunSheet
{
    /** Things are not called late before this. */
    private const GRACE_MINUTES = 2.0;

    /** @param  list<Entry>  $entries in order of time */
    private function __construct(
        public array $entries,
        public \DateTimeImmutable $readyAt,
        public \DateTimeImmutable $earliestServeAt,
    ) {
    }

    /**
     * @param  list<Forecast>  $forecasts  one a dish, in order
     * @param  array<int, Timing>  $timings  one a dish
     * @param  array<int, \DateTimeImmutable>  $onTimes  when each goes on, or went
     * @param  list<FirePlan>  $fires
     * @param  array<int, Progress>  $progress  by number of dish
     */
    public static function of(Roast $roast, array $forecasts, array $timings, array $onTimes, array $fires, \DateTimeImmutable $now, array $progress): self
    {
        $entries = [];
        $ready = null;
        $earliest = $now;
        $lit = [];
        $byKind = [];
        foreach ($fires as $fire) {
            $byKind[$fire->equipment->kind->id] = $fire;
        }
        // A cooker that is lit for the first dish needs no second match.
        $order = array_keys($onTimes);
        usort($order, fn (int $a, int $b): int => $onTimes[$a] <=> $onTimes[$b]);
        foreach ($order as $i) {
            $forecast = $forecasts[$i];
            $made = $progress[$i] ?? new Progress;
            $timing = $timings[$i];
            $on = $onTimes[$i];
            $cooker = $forecast->dish->stages[0]->cooker->id;
            $hot = isset($lit[$cooker]) && $lit[$cooker] >= $on;
            array_push($entries, ...self::preparations($i, $forecast->dish, $timing, $on, $now, $made), ...self::dish($i, $forecast, $timing, $on, $made, $hot, $byKind));
            $offHeat = $made->pulledAt ?? self::after($on, $timing->pull->high);
            $lit[$cooker] = max($lit[$cooker] ?? $offHeat, $offHeat);

            // Ready at the likely pace; the earliest hour to promise keeps the slow end.
            $pulled = $made->pulledAt ?? self::after($on, $timing->pull->likely);
            $dishReady = self::after($pulled, $forecast->dish->restMinutes + Timing::carveMinutes($forecast->dish));
            $ready = $ready === null ? $dishReady : max($ready, $dishReady);
            $promise = $made->onAt !== null
                ? ($made->pulledAt !== null ? $dishReady : self::after($on, $timing->serve))
                : self::after($now, $timing->serve - $timing->first());
            $earliest = max($earliest, $promise);
        }
        foreach ($fires as $fire) {
            $off = array_map(fn (int $i): float => ($onTimes[$i]->getTimestamp() - $fire->startsAt->getTimestamp()) / 60.0 + $timings[$i]->pull->likely, $fire->dishes);
            $burning = array_filter($fire->dishes, fn (int $i): bool => ($progress[$i] ?? new Progress)->pulledAt === null);
            if (! $fire->buried && $burning !== []) {
                array_push($entries, ...FireTasks::entries($fire, max(0.0, ...$off), array_filter($fire->dishes, fn (int $i): bool => ($progress[$i] ?? new Progress)->onAt !== null) !== []));
            }
        }
        $entries[] = new Entry('serve', null, Act::Serve, $roast->serveAt, 'Table', sprintf('%d to feed', $roast->people));

        $entries = array_map(function (Entry $entry) use ($now, $progress): Entry {
            $done = self::isDone($entry, $progress[$entry->dish ?? 0] ?? new Progress);
            $late = ! $done && $entry->at < self::after($now, -self::GRACE_MINUTES);

            return $entry->judged($done, $late);
        }, $entries);
        $entries = array_values(array_filter($entries, fn (Entry $entry): bool => ! self::isPassedOver($entry, $now, $progress[$entry->dish ?? 0] ?? new Progress)));
        usort($entries, fn (Entry $a, Entry $b): int => $a->at <=> $b->at);

        return new self($entries, $ready ?? $now, self::upToFive($earliest));
    }

    /** Entries whose hour has passed undone. */
    public function isTooLate(): bool
    {
        foreach ($this->entries as $entry) {
            if ($entry->late && $entry->act !== Act::Serve && $entry->act !== Act::Chore && $entry->act !== Act::Fire && $entry->act !== Act::FirstLook) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Entry> */
    private static function preparations(int $number, Dish $dish, Timing $timing, \DateTimeImmutable $on, \DateTimeImmutable $now, Progress $made): array
    {
        if ($made->onAt !== null) {
            return [];
        }
        $entries = [];
        $plan = PreparationPlan::of($dish, $timing->takeOut, $timing->rig, ($now->getTimestamp() - $on->getTimestamp()) / 60.0, $on);
        foreach ($plan->windows as [$preparation, $from, $to]) {
            $amounts = PreparationPlan::amounts($preparation, $dish);
            $entries[] = new Entry("d$number.prepare.{$preparation->id}", $number, Act::Prepare, self::after($on, $from), "{$preparation->name}: {$dish->name}", implode('. ', array_filter([$amounts, $preparation->how, PreparationPlan::limit($preparation, $dish)], fn (string $words): bool => $words !== '')), until: self::after($on, $to));
        }

        return $entries;
    }

    /**
     * @param  array<string, FirePlan>  $fires  by kind of cooker
     * @return list<Entry>
     */
    private static function dish(int $number, Forecast $forecast, Timing $timing, \DateTimeImmutable $on, Progress $made, bool $hot, array $fires): array
    {
        $dish = $forecast->dish;
        $id = fn (string $what): string => "d$number.$what";
        $at = fn (float $minutes): \DateTimeImmutable => self::after($on, $minutes);
        $first = $dish->stages[0];
        $cook = $timing->pull;
        $pullAt = $made->pulledAt ?? $at($cook->likely);
        $pullC = $made->pullC ?? $forecast->pullC;
        $entries = [];
        if ($made->onAt === null) {
            if ($dish->cut->isPerishable()) {
                $entries[] = new Entry($id('take_out'), $number, Act::TakeOut, $at($timing->takeOut), "{$dish->name} out of the cold", $forecast->temperMinutes > 0.0
                    ? sprintf('To start at %.0f °C all through; not longer than the two-hour rule allows', $dish->startC)
                    : ($dish->cut->kind === 'poultry' ? 'Pat dry. Rinsing it is advised against: the splashes carry germs further than hands do (USDA FSIS)' : 'Pat dry; season'));
            }
            $entries[] = new Entry($id('rig'), $number, Act::Rig, $at($timing->rig), ($dish->cut->isPerishable() ? 'Rig ' : 'Prepare ').$dish->name, self::rigging($dish));
            if ($timing->dig !== null && $dish->rig instanceof PotRig && ($pit = $dish->rig->pit()) !== null) {
                $entries[] = new Entry($id('dig'), $number, Act::Rig, $at($timing->dig), 'Dig the hole', sprintf('%.0f cm wide, %.0f cm deep, once the utility-locating service has answered', 100.0 * $pit->widthM(), 100.0 * $pit->depthM()), until: $at($timing->light));
                $entries[] = new Entry($id('coals'), $number, Act::Preheat, $at($timing->preheat), 'Coals under the pot', sprintf('%.0f cm, and let them dry the wall', 100.0 * $pit->layersM()['under']), until: $on);
            }
            if (! $hot && $first->cooker->lightMinutes > 0.0) {
                [$title, $detail] = match (true) {
                    $timing->dig !== null => ['Light the wood for the hole', 'Clean dry wood; mind local fire bans; water at hand'],
                    isset($fires[$first->cooker->id]) => FireTasks::light($fires[$first->cooker->id]),
                    default => [self::lighting($first), self::lightingCare($first)],
                };
                $entries[] = new Entry($id('light'), $number, Act::Light, $at($timing->light), $title, $detail);
            }
            if (! $hot && $timing->dig === null && $first->cooker->preheatMinutes > 0.0) {
                [$title, $detail] = isset($fires[$first->cooker->id]) ? FireTasks::lay($fires[$first->cooker->id]) : [sprintf('Bring the %s to %.0f °C', $first->cooker->short, $first->cookerC), $first->cooker->lid ? 'Lid down' : ''];
                $entries[] = new Entry($id('preheat'), $number, Act::Preheat, $at($timing->preheat), $title, $detail, until: $on);
            }
        }
        $entries[] = new Entry($id('on'), $number, Act::On, $on, "{$dish->name} on", sprintf('%s at %.0f °C; probe: %s', ucfirst($first->cooker->short), $first->cookerC, lcfirst($dish->cut->probe)));
        if ($made->pulledAt === null) {
            $look = $forecast->firstLookMinutes * $cook->likely / max(0.01, $forecast->cookMinutes->likely);
            if ($look > 5.0 && $dish->lastStage()->end === StageEnd::Pull) {
                $entries[] = new Entry($id('first_look'), $number, Act::FirstLook, $at($look), 'First look at '.$dish->name, $forecast->liftCostMinutes === null ? 'Not sooner' : sprintf('Not sooner: each look costs about %.0f min', max(1.0, $forecast->liftCostMinutes)));
            }
        }
        array_push($entries, ...self::stages($number, $forecast, $cook, $on, $made, $fires));
        $entries[] = new Entry(
            $id('pull'), $number, Act::Pull, $pullAt, 'Pull '.$dish->name,
            $dish->lastStage()->end === StageEnd::Minutes
                ? sprintf('After %.0f min; the core then stands near %.0f °C', (float) $dish->lastStage()->value, $pullC)
                : sprintf('At %.0f °C in the core; it will coast to %.0f °C', $pullC, max($pullC, $forecast->peakC)),
            $made->pulledAt === null ? $at($cook->low) : null,
            $made->pulledAt === null ? $at($cook->high) : null,
        );
        $carveAt = $made->carvedAt ?? max(self::after($pullAt, $dish->restMinutes), $made->pulledAt === null ? $at($timing->carve) : self::after($pullAt, $dish->restMinutes));
        if ($dish->restMinutes > 0.0) {
            $entries[] = new Entry($id('rest'), $number, Act::Rest, $pullAt, 'Rest '.$dish->name, sprintf('%.0f min or more, on a clean board, loosely covered', $dish->restMinutes), until: $carveAt);
        }
        $entries[] = new Entry($id('carve'), $number, Act::Carve, $carveAt, 'Carve '.$dish->name, $dish->cut->carve);

        return $entries;
    }

    /**
     * @param  array<string, FirePlan>  $fires  by kind of cooker; what they ask for takes the place of a chore of the same kind
     * @return list<Entry> stage changes and chores
     */
    private static function stages(int $number, Forecast $forecast, Spread $cook, \DateTimeImmutable $on, Progress $made, array $fires): array
    {
        $dish = $forecast->dish;
        $pace = $cook->likely / max(0.01, $forecast->cookMinutes->likely);
        $entries = [];
        $starts = [];
        foreach ($forecast->stageStartMinutes as $i => $minutes) {
            $starts[$i] = isset($made->stageStarts[$i]) ? ($made->stageStarts[$i]->getTimestamp() - $on->getTimestamp()) / 60.0 : $minutes * $pace;
        }
        foreach ($dish->stages as $i => $stage) {
            $end = $starts[$i + 1] ?? ($made->pulledAt === null ? $cook->likely : ($made->pulledAt->getTimestamp() - $on->getTimestamp()) / 60.0);
            if ($i > 0) {
                $entries[] = new Entry("d$number.stage.$i", $number, Act::Stage, self::after($on, $starts[$i]), $stage->cooker->isRest()
                    ? "{$dish->name} off, to rest"
                    : sprintf('%s to the %s', $dish->name, $stage->cooker->short), $stage->cooker->isRest() ? 'On a board' : sprintf('At %.0f °C', $stage->cookerC));
            }
            $fire = $fires[$stage->cooker->id] ?? null;
            foreach ($stage->chores as $j => $chore) {
                if ($fire !== null && ($chore->kind === 'fuel' || ($chore->kind === 'rotate' && $fire->count() !== null))) {
                    continue;
                }
                for ($k = 0, $minutes = $chore->fromMinutes; $end - 1.0 > $starts[$i] + $minutes && $k < 60; $k++, $minutes += $chore->everyMinutes) {
                    $entries[] = new Entry("d$number.chore.$i.$j.$k", $number, Act::Chore, self::after($on, $starts[$i] + $minutes), Chore::KINDS[$chore->kind].': '.$dish->name, $chore->everyMinutes > 0.0 ? sprintf('Every %.0f min', $chore->everyMinutes) : '', until: $chore->everyMinutes > 0.0 ? self::after($on, $starts[$i] + $minutes + $chore->everyMinutes) : null);
                    if ($chore->everyMinutes <= 0.0) {
                        break;
                    }
                }
            }
        }

        return $entries;
    }

    /** A chore or a refuel that was missed is forgotten once its next turn has come, a chore also when the dish is off. */
    private static function isPassedOver(Entry $entry, \DateTimeImmutable $now, Progress $made): bool
    {
        $overtaken = $entry->until !== null && $entry->until <= $now;

        return $entry->late && match ($entry->act) {
            Act::Chore => $made->pulledAt !== null || $overtaken,
            Act::Fire => $overtaken,
            default => false,
        };
    }

    private static function isDone(Entry $entry, Progress $made): bool
    {
        if (isset($made->done[$entry->id])) {
            return true;
        }

        return match ($entry->act) {
            Act::On => $made->onAt !== null,
            Act::FirstLook => $made->pulledAt !== null,
            Act::Pull, Act::Rest => $made->pulledAt !== null,
            Act::Carve => $made->carvedAt !== null,
            Act::Stage => isset($made->stageStarts[(int) explode('.', $entry->id)[2]]),
            default => false,
        };
    }

    private static function rigging(Dish $dish): string
    {
        $cooker = $dish->stages[0]->cooker;
        if ($dish->rig instanceof PotRig) {
            return 'On a trivet or thick slices, the liquid in, the lid on: it must not touch. Wash hands before they touch the lid';
        }
        if ($dish->rig instanceof SpitRig || str_contains($cooker->id, 'rotisserie') || $cooker->id === 'open-spit') {
            return 'Tie legs and wings close, both forks on and tight, turn it once by hand. Wash hands before they touch lid or knobs';
        }

        return $dish->cut->kind === 'roots' ? 'Wash, cut to one size' : 'Tie to one thickness, set the probe, drip pan in place. Wash hands before they touch the lid';
    }

    private static function lighting(Stage $stage): string
    {
        return match ($stage->cooker->light) {
            'chimney' => 'Light the chimney for the '.$stage->cooker->short,
            'charcoal' => 'Light the charcoal in the '.$stage->cooker->short,
            'wood' => 'Light the wood for the '.$stage->cooker->short,
            'gas' => 'Light the '.$stage->cooker->short,
            default => 'Switch on the '.$stage->cooker->short,
        };
    }

    private static function lightingCare(Stage $stage): string
    {
        return match ($stage->cooker->light) {
            'chimney', 'charcoal' => 'Outdoors only: charcoal gives off carbon monoxide. Mind local fire bans',
            'wood' => 'Clean dry wood; mind local fire bans; water at hand',
            'gas' => 'Lid open to light',
            default => 'Dry, grounded, clear of walls',
        };
    }

    private static function after(\DateTimeImmutable $from, float $minutes): \DateTimeImmutable
    {
        return $from->setTimestamp($from->getTimestamp() + (int) round(60.0 * $minutes));
    }

    private static function upToFive(\DateTimeImmutable $time): \DateTimeImmutable
    {
        return $time->setTimestamp((int) (ceil($time->getTimestamp() / 300) * 300));
    }
}
