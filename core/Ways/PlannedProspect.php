<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Cooker\OwnCooker;
use Diatherm\Measure\InvalidInput;
use Diatherm\Plan\Plan;
use Diatherm\Roast\Roast;
use Diatherm\Tending\LaidFires;

/** Of a roast that nobody has begun: as it is planned. */
final readonly class PlannedProspect implements Prospect
{
    /** @param  array<string, OwnCooker>  $yard  the cook's own cookers, by name */
    public function __construct(
        private \DateTimeImmutable $now,
        private array $yard = [],
    ) {
    }

    public function standing(Roast $roast, array $begun): Standing
    {
        return new Standing(Plan::of($roast, $this->now, [], $this->yard), $this->now);
    }

    public function minutesToPull(Roast $roast, array $begun, int $dish): ?float
    {
        try {
            return Plan::dish(LaidFires::lay($roast, $this->yard), $dish)->forecast->cookMinutes->likely;
        } catch (InvalidInput) {
            return null;
        }
    }
}
