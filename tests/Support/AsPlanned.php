<?php

declare(strict_types=1);

namespace Tests\Support;

use DateTimeImmutable;
use Diatherm\Day\Progress;
use Diatherm\Measure\InvalidInput;
use Diatherm\Plan\Plan;
use Diatherm\Roast\Roast;
use Diatherm\Ways\Prospect;
use Diatherm\Ways\Standing;

/** A roast that is under way and of which nothing was read: it goes as it was planned. */
final readonly class AsPlanned implements Prospect
{
    /** @param  array<int, Progress>  $progress */
    public function __construct(
        private DateTimeImmutable $now,
        private array $progress = [],
    ) {
    }

    public function standing(Roast $roast, array $begun): Standing
    {
        $progress = [];
        foreach ($this->progress as $dish => $made) {
            $starts = $made->stageStarts + (isset($begun[$dish]) ? [$begun[$dish] => $this->now] : []);
            $progress[$dish] = new Progress($made->onAt, $starts, $made->pulledAt, $made->carvedAt);
        }

        return new Standing(Plan::of($roast, $this->now, $progress), $this->now, $progress);
    }

    public function minutesToPull(Roast $roast, array $begun, int $dish): ?float
    {
        try {
            return ($this->standing($roast, $begun)->pullAt($dish)->getTimestamp() - $this->now->getTimestamp()) / 60.0;
        } catch (InvalidInput) {
            return null;
        }
    }
}
