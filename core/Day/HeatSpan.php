<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Cooking\Forecast;

/** For how long one dish has a cooker at one heat. */
final readonly class HeatSpan
{
    /**
     * @param  string  $cooker  its kind
     * @param  int  $dish  number of the dish
     * @param  bool  $turns  whether it turns over its fire, which is then no heat for what lies beside it
     */
    private function __construct(
        public string $cooker,
        public int $dish,
        public float $celsius,
        public \DateTimeImmutable $from,
        public \DateTimeImmutable $until,
        public bool $turns,
    ) {
    }

    /**
     * @param  list<Forecast>  $forecasts  one a dish, in order
     * @param  array<int, \DateTimeImmutable>  $ons  when each goes on
     * @return list<self> of all dishes whose cooker can be got at, in the order of their steps
     */
    public static function all(array $forecasts, array $ons): array
    {
        $spans = [];
        foreach ($forecasts as $number => $forecast) {
            $starts = $forecast->stageStartMinutes;
            foreach ($forecast->dish->stages as $i => $stage) {
                if (! $stage->cooker->isRest() && ! $forecast->dish->isBuried()) {
                    $spans[] = new self(
                        $stage->cooker->id,
                        $number,
                        $stage->cookerC,
                        Timing::after($ons[$number], $starts[$i]),
                        Timing::after($ons[$number], $starts[$i + 1] ?? $forecast->cookMinutes->likely),
                        $stage->cooker->turns(),
                    );
                }
            }
        }

        return $spans;
    }

    /** Minutes that both have at once; not above 0 where they do not meet. */
    public function meetsMinutes(\DateTimeImmutable $from, \DateTimeImmutable $until): float
    {
        return (min($this->until, $until)->getTimestamp() - max($this->from, $from)->getTimestamp()) / 60.0;
    }
}
