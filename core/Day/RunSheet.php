<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Cooker\Equipment;
use Diatherm\Cooking\Forecast;
use Diatherm\Fire\HandTest;
use Diatherm\Measure\Figure;
use Diatherm\Measure\Spread;
use Diatherm\Rig\PotRig;
use Diatherm\Rig\SpitRig;
use Diatherm\Roast\Chore;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;
use Diatherm\Roast\Stage;
use Diatherm\Roast\StageEnd;
use Diatherm\Safety\Clocks;
use Diatherm\Tending\FirePlan;

/** What to do, when, for one pair of hands: backwards from the serving hour, forwards from what has really happened. */
final readonly class RunSheet
{
    /** Things are not called late before this. */
    private const GRACE_MINUTES = 2.0;

    /** A climb so small is not worth a word, K. */
    private const TELLING_CREDIT_K = 0.4;

    /** Wind from which a fire in the ground wants a barrier, m/s. Common practice. */
    private const BARRIER_WIND_MS = 4.0;

    /** A rest so long is told its clock when it was never hot. */
    private const LONG_REST_MINUTES = 45.0;

    /** It is wrapped before it is too cold to be held. */
    private const BEFORE_COLD_MINUTES = 5.0;

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
    public static function of(
        Roast $roast,
        array $forecasts,
        array $timings,
        array $onTimes,
        array $fires,
        \DateTimeImmutable $now,
        array $progress,
    ): self {
        $entries = [];
        $ready = null;
        $earliest = $now;
        $lit = [];
        $byKind = [];
        foreach ($fires as $fire) {
            $byKind[$fire->stove->equipment->kind->id] = $fire;
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
            $hot = isset($lit[$cooker]);
            array_push(
                $entries,
                ...self::preparations($i, $forecast->dish, $timing, $on, $now, $made),
                ...self::dish($i, $roast, $forecast, $timing, $on, $made, $hot, $byKind),
            );
            if (! $forecast->dish->isBuried()) {
                $lit[$cooker] = true;
            }

            // Ready at the likely pace; the earliest hour to promise keeps the slow end.
            $pulled = $made->pulledAt ?? self::after($on, $timing->pull->likely);
            $dishReady = self::after($pulled, $forecast->dish->leastRestMinutes() + Timing::carveMinutes($forecast->dish));
            $ready = $ready === null ? $dishReady : max($ready, $dishReady);
            $promise = $made->onAt !== null
                ? ($made->pulledAt !== null ? $dishReady : self::after($on, $timing->serve))
                : self::after($now, $timing->serve - $timing->first());
            $earliest = max($earliest, $promise);
        }
        foreach ($fires as $fire) {
            $off = array_map(
                fn (int $i): float => ($onTimes[$i]->getTimestamp() - $fire->use->startsAt->getTimestamp()) / 60.0 + $timings[$i]->pull->likely,
                $fire->use->dishes,
            );
            $burning = array_filter($fire->use->dishes, fn (int $i): bool => ($progress[$i] ?? new Progress)->pulledAt === null);
            if (! $fire->use->buried && $burning !== []) {
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
        $entries[] = new Entry('serve', null, Act::Serve, $roast->serveAt, 'Table', sprintf('%d to feed', $roast->people));

        $entries = array_map(function (Entry $entry) use ($now, $progress): Entry {
            $done = self::isDone($entry, $progress[$entry->dish ?? 0] ?? new Progress);
            $late = ! $done
                && ($entry->act === Act::Prepare ? $entry->latest ?? $entry->at : $entry->at) < self::after($now, -self::GRACE_MINUTES);

            return $entry->judged($done, $late);
        }, $entries);
        $entries = array_values(
            array_filter(
                $entries,
                fn (Entry $entry): bool => ! self::isPassedOver($entry, $now, $progress[$entry->dish ?? 0] ?? new Progress),
            ),
        );
        usort($entries, fn (Entry $a, Entry $b): int => $a->at <=> $b->at);

        return new self($entries, $ready ?? $now, self::upToFive($earliest));
    }

    /** @return list<\DateTimeImmutable> moments at which it says something else than before */
    public function hours(): array
    {
        $hours = [];
        foreach ($this->entries as $entry) {
            foreach (array_filter([$entry->earliest, $entry->at, $entry->latest, $entry->until]) as $hour) {
                array_push($hours, $hour, self::after($hour, self::GRACE_MINUTES));
            }
        }

        return $hours;
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
    private static function preparations(
        int $number,
        Dish $dish,
        Timing $timing,
        \DateTimeImmutable $on,
        \DateTimeImmutable $now,
        Progress $made,
    ): array {
        if ($made->onAt !== null) {
            return [];
        }
        $entries = [];
        $plan = PreparationPlan::of($dish, $timing->takeOut, $timing->rig, ($now->getTimestamp() - $on->getTimestamp()) / 60.0, $on);
        foreach ($plan->windows as [$preparation, $from, $to]) {
            $amounts = PreparationPlan::amounts($preparation, $dish);
            $entries[] = new Entry(
                "d$number.prepare.{$preparation->id}",
                $number,
                Act::Prepare,
                self::after($on, $from),
                "{$preparation->name}: {$dish->name}",
                implode(
                    '. ',
                    array_filter(
                        [$amounts, $preparation->how, PreparationPlan::limit($preparation, $dish)],
                        fn (string $words): bool => $words !== '',
                    ),
                ),
                latest: self::after($on, $to - PreparationPlan::leastOf($preparation, $dish)),
                until: self::after($on, $to),
            );
        }

        return $entries;
    }

    /**
     * @param  array<string, FirePlan>  $fires  by kind of cooker
     * @return list<Entry>
     */
    private static function dish(
        int $number,
        Roast $roast,
        Forecast $forecast,
        Timing $timing,
        \DateTimeImmutable $on,
        Progress $made,
        bool $hot,
        array $fires,
    ): array {
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
                    ? sprintf('To start at %s all through; not longer than the two-hour rule allows', Figure::celsius($dish->startC))
                    : ($dish->cut->kind === 'poultry' ? 'Pat dry. Rinsing it is advised against: the splashes carry germs further than hands do (USDA FSIS)' : 'Pat dry; season'));
            }
            $entries[] = new Entry(
                $id('rig'),
                $number,
                Act::Rig,
                $at($timing->rig),
                ($dish->cut->isPerishable() ? 'Rig ' : 'Prepare ').$dish->name,
                self::rigging($dish),
            );
            if ($timing->dig !== null && $dish->rig instanceof PotRig && ($pit = $dish->rig->pit()) !== null) {
                $entries[] = new Entry(
                    $id('dig'),
                    $number,
                    Act::Rig,
                    $at($timing->dig),
                    'Dig the hole',
                    sprintf(
                        '%.0f cm wide, %.0f cm deep, once the utility-locating service has answered',
                        100.0 * $pit->widthM(),
                        100.0 * $pit->depthM(),
                    ),
                    until: $at($timing->light),
                );
                $entries[] = new Entry(
                    $id('coals'),
                    $number,
                    Act::Preheat,
                    $at($timing->preheat),
                    'Coals under the pot',
                    sprintf('%.0f cm, and let them dry the wall', 100.0 * $pit->layersM()['under']),
                    until: $on,
                );
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
                [$title, $detail] = isset($fires[$first->cooker->id])
                    ? FireTasks::lay($fires[$first->cooker->id])
                    : [
                        sprintf('Bring the %s to %s', $first->cooker->short, Figure::celsius($first->cookerC)),
                        $first->cooker->lid ? 'Lid down' : '',
                    ];
                $entries[] = new Entry($id('preheat'), $number, Act::Preheat, $at($timing->preheat), $title, $detail, until: $on);
            }
        }
        $entries[] = new Entry($id('on'), $number, Act::On, $on, "{$dish->name} on", $dish->isBuried()
            ? 'The pot onto the lower coals, the lid tight'
            : sprintf('%s; probe: %s', ucfirst(self::heat($first, true)), lcfirst($dish->cut->probe)));
        array_push($entries, ...self::covering($number, $dish, $on, $roast));
        if ($made->pulledAt === null) {
            $look = $forecast->firstLookMinutes * $cook->likely / max(0.01, $forecast->cookMinutes->likely);
            if ($look > 5.0 && $dish->lastStage()->end === StageEnd::Pull && ! $dish->isBuried()) {
                $entries[] = new Entry(
                    $id('first_look'),
                    $number,
                    Act::FirstLook,
                    $at($look),
                    'First look at '.$dish->name,
                    $forecast->liftCostMinutes === null
                        ? 'Not sooner'
                        : sprintf('Not sooner: each look costs about %.0f min', max(1.0, $forecast->liftCostMinutes)),
                );
            }
        }
        array_push($entries, ...self::stages($number, $forecast, $cook, $on, $made, $fires));
        [$title, $detail] = self::pulling($dish, $pullC);
        $entries[] = new Entry(
            $id('pull'),
            $number,
            Act::Pull,
            $pullAt,
            $title,
            $detail,
            $made->pulledAt === null ? $at($cook->low) : null,
            $made->pulledAt === null ? $at($cook->high) : null,
        );
        $rested = self::after($pullAt, $dish->leastRestMinutes());
        // The knife waits for the table, unless the joint is late.
        $carveAt = $made->carvedAt ?? max($rested, self::after($roast->serveAt, -Timing::carveMinutes($dish)));
        array_push($entries, ...self::waiting($number, $forecast, $roast, $pullAt, $carveAt));
        $entries[] = new Entry(
            $id('carve'),
            $number,
            Act::Carve,
            $carveAt,
            ($dish->cut->isPerishable() ? 'Carve ' : 'Dish up ').$dish->name,
            $dish->cut->carve,
        );

        return $entries;
    }

    /** @return array{string, string} title and detail of the pull */
    private static function pulling(Dish $dish, float $pullC): array
    {
        $credit = $dish->targetC - $pullC;

        return match (true) {
            $dish->isBuried() => [
                "Dig up {$dish->name}",
                sprintf('Not before; then read the core at once. Short of %s it goes back on a fire', Figure::celsius($dish->targetC)),
            ],
            $dish->lastStage()->end === StageEnd::Minutes => [
                "Pull {$dish->name}",
                sprintf('After %.0f min; the core then stands near %s', (float) $dish->lastStage()->value, Figure::celsius($pullC)),
            ],
            $dish->lastStage()->end === StageEnd::Tender => [
                "Pull {$dish->name}",
                sprintf('When a fork turns in it; the core then stands near %s', Figure::celsius($pullC)),
            ],
            $dish->lastStage()->end === StageEnd::Pull && $credit > self::TELLING_CREDIT_K => [
                "Pull {$dish->name}",
                sprintf(
                    'At %s in the core; %s is counted on by the carving',
                    Figure::celsius($pullC),
                    Figure::celsius($dish->targetC),
                ).($dish->carryover()->wantsReading ? '. Read it again before you carve' : ''),
            ],
            default => ["Pull {$dish->name}", sprintf('At %s in the core, at its coldest place', Figure::celsius($pullC))],
        };
    }

    /** @return list<Entry> coals, foil and earth over a pot in the ground */
    private static function covering(int $number, Dish $dish, \DateTimeImmutable $on, Roast $roast): array
    {
        $pit = $dish->rig instanceof PotRig ? $dish->rig->pit() : null;
        if ($pit === null) {
            return [];
        }
        $layers = $pit->layersM();
        $entry = fn (string $id, float $minutes, string $title, string $detail, float $until): Entry => new Entry(
            "d$number.$id",
            $number,
            Act::Cover,
            self::after($on, $minutes),
            $title,
            $detail,
            until: self::after($on, $until),
        );

        return [
            $entry(
                'coals_over',
                2.0,
                'Coals round and over the pot',
                sprintf('Up its sides to the lid, then %.0f cm over it', 100.0 * $layers['above']),
                6.0,
            ),
            $entry(
                'earth',
                6.0,
                'Foil over the coals, then earth',
                sprintf(
                    'Foil or sheet first, so that no earth gets in; %.0f cm of earth, pressed down',
                    100.0 * $layers['earth'],
                ).($roast->windMs > self::BARRIER_WIND_MS ? '. In this wind, a low barrier on its windward side' : ''),
                15.0,
            ),
            $entry('smoke', 20.0, 'No smoke to be seen', 'Smoke anywhere is a leak: seal it with earth. Look again in half an hour', 50.0),
        ];
    }

    /** @return list<Entry> the rest, and the hot hold that takes over when the joint would no longer stay hot by itself */
    private static function waiting(
        int $number,
        Forecast $forecast,
        Roast $roast,
        \DateTimeImmutable $pullAt,
        \DateTimeImmutable $carveAt,
    ): array {
        $dish = $forecast->dish;
        $minutes = ($carveAt->getTimestamp() - $pullAt->getTimestamp()) / 60.0;
        if ($minutes < 1.0) {
            return [];
        }
        $allowed = Clocks::allowedMinutes($roast->airC);
        $hot = $forecast->hotMinutes;
        $words = $dish->leastRestMinutes() < 1.0
            ? 'Covered, until it is served'
            : sprintf(
                '%.0f min or more, on a clean board, %s',
                $dish->leastRestMinutes(),
                $dish->lastStage()->wrap === null ? 'loosely covered' : 'in its '.$dish->lastStage()->wrap->inWords(),
            );
        if (! $dish->cut->isPerishable() || $minutes <= $hot || $hot <= 0.0) {
            $until = self::after($pullAt, $allowed)->format('H:i');
            $clock = $dish->cut->isPerishable()
                && $hot <= 0.0
                && $minutes > self::LONG_REST_MINUTES ? sprintf(
                    '. Under %.0f °C from the first: eaten or cold by %s',
                    Clocks::HOLD_C,
                    $until,
                ) : '';

            return [new Entry("d$number.rest", $number, Act::Rest, $pullAt, 'Rest '.$dish->name, $words.$clock, until: $carveAt)];
        }
        $holdAt = self::after($pullAt, max(0.0, $hot - self::BEFORE_COLD_MINUTES));

        return [
            new Entry("d$number.rest", $number, Act::Rest, $pullAt, 'Rest '.$dish->name, $words, until: $holdAt),
            new Entry("d$number.hold", $number, Act::Hold, $holdAt, "Keep {$dish->name} hot", sprintf(
                'Wrapped, in a box warmed with hot water or an oven at 75 °C: %.0f °C or more in the core, read now and then. On the board it is under that from about %s; from then the two hours run, to %s',
                Clocks::HOLD_C, self::after($pullAt, $hot)->format('H:i'), self::after($pullAt, $hot + $allowed)->format('H:i'),
            ), until: $carveAt),
        ];
    }

    /**
     * @param  array<string, FirePlan>  $fires  by kind of cooker; what they ask for takes the place of a chore of the same kind
     * @return list<Entry> stage changes and chores
     */
    private static function stages(
        int $number,
        Forecast $forecast,
        Spread $cook,
        \DateTimeImmutable $on,
        Progress $made,
        array $fires,
    ): array {
        $dish = $forecast->dish;
        $pace = $cook->likely / max(0.01, $forecast->cookMinutes->likely);
        $entries = [];
        $starts = [];
        foreach ($forecast->stageStartMinutes as $i => $minutes) {
            $starts[$i] = isset($made->stageStarts[$i])
                ? ($made->stageStarts[$i]->getTimestamp() - $on->getTimestamp()) / 60.0
                : $made->stageMinutes[$i] ?? $minutes * $pace;
        }
        foreach ($dish->stages as $i => $stage) {
            $end = $starts[$i + 1] ?? (
                $made->pulledAt === null ? $cook->likely : ($made->pulledAt->getTimestamp() - $on->getTimestamp()) / 60.0
            );
            if ($i > 0) {
                [$title, $detail] = self::turning($dish, $stage, $dish->stages[$i - 1]);
                $entries[] = new Entry("d$number.stage.$i", $number, Act::Stage, self::after($on, $starts[$i]), $title, $detail);
            }
            $fire = $fires[$stage->cooker->id] ?? null;
            foreach ($dish->isBuried() ? [] : $stage->chores as $j => $chore) {
                if ($fire !== null && ($chore->kind === 'fuel' || ($chore->kind === 'rotate' && $fire->count() !== null))) {
                    continue;
                }
                for ($k = 0, $minutes = $chore->fromMinutes; $end - 1.0 > $starts[$i] + $minutes && $k < 60; $k++, $minutes += $chore->everyMinutes) {
                    $entries[] = new Entry(
                        "d$number.chore.$i.$j.$k",
                        $number,
                        Act::Chore,
                        self::after($on, $starts[$i] + $minutes),
                        Chore::KINDS[$chore->kind].': '.$dish->name,
                        $chore->everyMinutes > 0.0 ? sprintf('Every %.0f min', $chore->everyMinutes) : '',
                        until: $chore->everyMinutes > 0.0 ? self::after($on, $starts[$i] + $minutes + $chore->everyMinutes) : null,
                    );
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
            // It said not to look sooner: its hour past, there is nothing left to do about it.
            Act::FirstLook => true,
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

    /** @return array{string, string} title and detail of the turn from one step to the next */
    private static function turning(Dish $dish, Stage $stage, Stage $before): array
    {
        $heat = ucfirst(self::heat($stage, false));
        $same = $stage->cooker->id === $before->cooker->id;

        return match (true) {
            $stage->cooker->isRest() => ["{$dish->name} off, to rest", 'On a board'],
            $same && $stage->wrap !== null && $stage->wrap !== $before->wrap => [
                "Wrap {$dish->name} in {$stage->wrap->inWords()}",
                "Tight, on clean hands; back on. $heat",
            ],
            $same && $stage->wrap === null && $before->wrap !== null => [
                "Unwrap {$dish->name}",
                "Open it away from you: it is full of steam. $heat",
            ],
            $same => ["{$dish->name}: the {$stage->cooker->short} anew", $heat],
            default => [
                "{$dish->name} to the {$stage->cooker->short}",
                $heat.($stage->wrap === null ? '' : ", wrapped in {$stage->wrap->inWords()}"),
            ],
        };
    }

    /** The heat of a step as a cook has it: a dial's, or a hand's over open coals. */
    private static function heat(Stage $stage, bool $named): string
    {
        if (Equipment::has($stage->cooker->id) && Equipment::of($stage->cooker->id)->isOpen()) {
            return sprintf('over coals where a hand is held %.0f s', HandTest::secondsOfWall($stage->cookerC));
        }

        return ($named ? $stage->cooker->short.' ' : '').'at '.Figure::celsius($stage->cookerC);
    }

    private static function rigging(Dish $dish): string
    {
        $cooker = $dish->stages[0]->cooker;
        $turns = $dish->rig instanceof SpitRig || str_contains($cooker->id, 'rotisserie') || $cooker->id === 'open-spit';
        $how = match (true) {
            $dish->rig instanceof PotRig => 'On a trivet or thick slices, the liquid in, the lid on: it must not touch',
            $dish->cut->kind === 'roots' => $turns
                ? 'Wash, cut to one size, into the basket and shut it; turn it once by hand'
                : 'Wash, cut to one size',
            $turns && ! $dish->cut->isSpitted() => 'Into the basket, side by side, and shut it; turn it once by hand',
            $turns && $dish->cut->hasLimbs() => sprintf(
                'Tie %s close, both forks on and tight, turn it once by hand',
                $dish->cut->kind === 'poultry' ? 'legs and wings' : 'the legs',
            ),
            $turns => 'Along the middle of the spit, both forks on and tight, turn it once by hand',
            ! $cooker->lid => 'Pat dry; oil the meat, not the '.($cooker->id === 'griddle' ? 'plate' : 'grate'),
            $dish->cut->isSpitted() => 'Tie to one thickness, set the probe, drip pan in place',
            default => 'Pat dry, set the probe, drip pan in place',
        };
        $hands = match (true) {
            ! $dish->cut->isPerishable() => '',
            $cooker->lid || $dish->rig instanceof PotRig => '. Wash hands before they touch the lid',
            $cooker->light === 'switch' || $cooker->light === 'gas' => '. Wash hands before they touch the knobs',
            default => '. Wash hands, board and knife',
        };

        return $how.$hands;
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
