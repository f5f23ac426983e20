<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Day\Entry;
use Diatherm\Day\Progress;
use Diatherm\Live\LiveForecast;
use Diatherm\Plan\Plan;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;

/** A roast at one moment: its plan, how far each dish is, and what its readings make of it. */
final readonly class Standing
{
    /**
     * @param  array<int, Progress>  $progress  by number of the dish
     * @param  array<int, LiveForecast>  $live  of those that are on
     */
    public function __construct(
        public Plan $plan,
        public \DateTimeImmutable $now,
        public array $progress = [],
        public array $live = [],
    ) {
    }

    public function roast(): Roast
    {
        return $this->plan->roast;
    }

    /** Whether a dish is on its way: on the heat or between two steps, and not pulled. */
    public function isOn(int $dish): bool
    {
        return ($this->progress[$dish]->onAt ?? null) !== null && $this->progress[$dish]->pulledAt === null;
    }

    public function isWaiting(int $dish): bool
    {
        return ($this->progress[$dish]->onAt ?? null) === null;
    }

    /** Whether it stays short of its number at the heat that it has, as its readings go: then its hours mean nothing. */
    public function isStuck(int $dish): bool
    {
        return $this->isOn($dish) && isset($this->live[$dish]) && ! $this->live[$dish]->getsThere;
    }

    public function isCarved(int $dish): bool
    {
        return ($this->progress[$dish]->carvedAt ?? null) !== null;
    }

    public function hasBegun(): bool
    {
        return array_filter(array_keys($this->roast()->dishes), fn (int $dish): bool => ! $this->isWaiting($dish)) !== [];
    }

    /**
     * The step that a dish is at, as logged, else as its clock and its readings have it.
     *
     * @return array{int, float} its number, and for how many minutes
     */
    public function step(int $dish): array
    {
        $made = $this->progress[$dish];
        assert($made->onAt !== null);
        $at = [0, $made->onAt];
        $planned = $this->live[$dish]->stageStartMinutes ?? $this->plan->forecast($dish)->stageStartMinutes;
        foreach (array_keys($this->roast()->dishes[$dish]->stages) as $stage) {
            $begun = $made->stageStarts[$stage] ?? null;
            if ($begun !== null && $begun <= $this->now) {
                $at = [$stage, $begun];
            }
        }
        // A step that ends by the clock is over when it is over, whether anybody pressed for it or not.
        for ($stage = $at[0] + 1; isset($planned[$stage], $this->roast()->dishes[$dish]->stages[$stage - 1]); $stage++) {
            $begins = $made->onAt->getTimestamp() + 60.0 * $planned[$stage];
            if (! $this->roast()->dishes[$dish]->stages[$stage - 1]->end->isTimed() || $begins >= $this->now->getTimestamp()) {
                break;
            }
            $at = [$stage, $this->now->setTimestamp((int) $begins)];
        }

        return [$at[0], ($this->now->getTimestamp() - $at[1]->getTimestamp()) / 60.0];
    }

    public function entry(string $id): ?Entry
    {
        foreach ($this->plan->runSheet->entries as $entry) {
            if ($entry->id->text() === $id) {
                return $entry;
            }
        }

        return null;
    }

    /** When the first course is on the table. */
    public function tableAt(): \DateTimeImmutable
    {
        return $this->entry('serve')->at ?? $this->roast()->serveAt;
    }

    /** When a dish comes off, likely. */
    public function pullAt(int $dish): \DateTimeImmutable
    {
        return $this->entry("d$dish.pull")->at ?? $this->roast()->serveAt;
    }

    /** From now until a dish on the heat comes off, likely. */
    public function minutesToPull(int $dish): float
    {
        return ($this->pullAt($dish)->getTimestamp() - $this->now->getTimestamp()) / 60.0;
    }

    /** So many minutes after it was asked for, the table is ready. */
    public function lateMinutes(): float
    {
        return ($this->tableAt()->getTimestamp() - $this->roast()->serveAt->getTimestamp()) / 60.0;
    }

    /** The dish that its course waits for: of those on the heat the one that comes off last; null when none is. */
    public function slowest(): ?int
    {
        $slowest = null;
        foreach (array_keys($this->roast()->dishes) as $dish) {
            if ($this->isOn($dish) && ($slowest === null || $this->readyAt($dish) > $this->readyAt($slowest))) {
                $slowest = $dish;
            }
        }

        return $slowest;
    }

    /** The dish that is asked about, where it is on the heat; else the slowest that is. */
    public function asked(int $dish): ?int
    {
        return isset($this->roast()->dishes[$dish]) && $this->isOn($dish) ? $dish : $this->slowest();
    }

    private function readyAt(int $dish): int
    {
        return $this->pullAt($dish)->getTimestamp() + (int) (60.0 * $this->dish($dish)->leastRestMinutes());
    }

    public function dish(int $dish): Dish
    {
        return $this->roast()->dishes[$dish];
    }
}
