<?php

declare(strict_types=1);

namespace Diatherm\Safety;

/**
 * The one account of a food's time in the danger zone, from out of the refrigerator to the last plate. Plan, live view, table, debrief,
 * run sheet and alarms all ask it.
 */
final readonly class DangerAccount
{
    /** @param  list<DangerBreach>  $breaches  in the order in which the limits were passed */
    private function __construct(public array $breaches)
    {
    }

    /** @param  FoodHazard|null  $food  null for food that bacteria do not spoil in an evening, such as roots */
    public static function of(?FoodHazard $food, FoodHistory $history): self
    {
        return new self($food === null ? [] : (new DangerWalk($food, $history))->breaches());
    }

    /**
     * The same with other breaches of some rules, as two courses of one plan are judged each by its own.
     *
     * @param  list<DangerRule>  $rules
     */
    public function withRulesOf(self $other, array $rules): self
    {
        $breaches = [
            ...array_filter($this->breaches, fn (DangerBreach $breach): bool => ! in_array($breach->rule, $rules, true)),
            ...array_filter($other->breaches, fn (DangerBreach $breach): bool => in_array($breach->rule, $rules, true)),
        ];
        usort($breaches, fn (DangerBreach $a, DangerBreach $b): int => $a->atS <=> $b->atS);

        return new self($breaches);
    }

    /** @return list<DangerBreach> whose limit was passed at that moment or before */
    public function by(float $seconds): array
    {
        return array_values(array_filter($this->breaches, fn (DangerBreach $breach): bool => $breach->atS <= $seconds));
    }

    /** The first breach by a moment after which the food is not to be eaten; null for none. */
    public function fatalBy(float $seconds): ?DangerBreach
    {
        foreach ($this->by($seconds) as $breach) {
            if ($breach->isFatal) {
                return $breach;
            }
        }

        return null;
    }

    /** When the limit of time out of the refrigerator is passed last, s; null where the history does not come to it. */
    public function outLimitS(): ?float
    {
        $last = null;
        foreach ($this->breaches as $breach) {
            $last = $breach->rule === DangerRule::OutOfRefrigeration ? $breach->atS : $last;
        }

        return $last;
    }

    /** When the limit of time out of the refrigerator is passed next after a moment, s; null where the history does not come to it. */
    public function outAfterS(float $seconds): ?float
    {
        foreach ($this->breaches as $breach) {
            if ($breach->rule === DangerRule::OutOfRefrigeration && $breach->atS > $seconds) {
                return $breach->atS;
            }
        }

        return null;
    }
}
