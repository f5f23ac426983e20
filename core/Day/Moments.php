<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Cooking\Forecast;
use Diatherm\Roast\Anchor;
use Diatherm\Roast\Moment;

/** When the moments of the dishes come that other work hangs on. */
final readonly class Moments
{
    /** What is brushed or sprayed on. */
    private const BASTES = ['baste', 'spray'];

    /** @param  array<int, array<string, \DateTimeImmutable>>  $at  by number of dish and moment */
    private function __construct(private array $at)
    {
    }

    /**
     * @param  list<Forecast>  $forecasts  one a dish, in order
     * @param  array<int, \DateTimeImmutable>  $ons  when each goes on, or went
     * @param  array<int, \DateTimeImmutable>  $pulls  and comes off
     * @param  array<int, \DateTimeImmutable>  $carves  and is carved
     */
    public static function of(array $forecasts, array $ons, array $pulls, array $carves): self
    {
        $at = [];
        foreach ($forecasts as $number => $forecast) {
            $at[$number] = [
                Moment::On->value => $ons[$number], Moment::Pull->value => $pulls[$number], Moment::Carve->value => $carves[$number],
            ];
            $pace = ($pulls[$number]->getTimestamp() - $ons[$number]->getTimestamp()) / max(1.0, 60.0 * $forecast->cookMinutes->likely);
            foreach ($forecast->dish->stages as $i => $stage) {
                $starts = $pace * $forecast->stageStartMinutes[$i];
                if ($stage->wrap !== null) {
                    $at[$number][Moment::Wrap->value] ??= Timing::after($ons[$number], $starts);
                }
                foreach ($stage->chores as $chore) {
                    if (in_array($chore->kind, self::BASTES, true)) {
                        $at[$number][Moment::FirstBaste->value] ??= Timing::after($ons[$number], $starts + $chore->fromMinutes);
                    }
                }
            }
        }

        return new self($at);
    }

    /** When a side begins, or ends, that hangs on one: on what the dish does instead, where it has no such moment. */
    public function at(Anchor $anchor): \DateTimeImmutable
    {
        $its = $this->at[$anchor->dish];

        return Timing::after($its[$anchor->moment->value] ?? $its[Moment::Pull->value], $anchor->afterMinutes);
    }
}
