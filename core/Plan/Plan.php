<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Measure\InvalidInput;

/** A roast, worked out: a forecast for each dish and one run sheet. */
final readonly class Plan
{
    /** @param  non-empty-list<Forecast>  $forecasts */
    private function __construct(
        public Roast $roast,
        public array $forecasts,
        public RunSheet $runSheet,
    ) {
    }

    /**
     * @param  array<int, Progress>  $progress  by number of dish
     *
     * @throws InvalidInput at the stage that cannot reach its core temperature
     */
    public static function of(Roast $roast, \DateTimeImmutable $now, array $progress = []): self
    {
        $forecasts = [];
        foreach ($roast->dishes as $i => $dish) {
            $forecasts[] = Forecast::of($dish, $roast->airC, "dishes.$i");
        }

        return new self($roast, $forecasts, RunSheet::of($roast, $forecasts, $now->setTimezone($roast->serveAt->getTimezone()), $progress));
    }

    /**
     * The same forecasts with the day's facts in the run sheet.
     *
     * @param  array<int, Progress>  $progress
     */
    public function with(array $progress, \DateTimeImmutable $now): self
    {
        return new self($this->roast, $this->forecasts, RunSheet::of($this->roast, $this->forecasts, $now->setTimezone($this->roast->serveAt->getTimezone()), $progress));
    }
}
