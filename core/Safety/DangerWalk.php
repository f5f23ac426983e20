<?php

declare(strict_types=1);

namespace Diatherm\Safety;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;

/**
 * Follows one food's history through the rules of the danger zone.
 *
 * Time in the room adds up over all pauses until the food is cooked through, or until the last heat of food that is eaten below its
 * minimum; then it starts anew. What came off too soon is raw food still. A limit that was passed stays passed.
 */
final class DangerWalk
{
    /** A probe or a model that is so little short of a limit is at it, K. */
    private const ROUNDING_K = 0.25;

    /** A joint in a refrigerator at 4 °C only creeps up to 5 °C: so much above counts as there, K. Common practice. */
    private const NEARLY_COLD_K = 0.5;

    /** A shorter time in the cold between two heats is a pause and not storage: of whole muscle, and of what must never be stored. */
    private const STORED_FROM_MINUTES = 120.0;

    private const INSIDE_STORED_FROM_MINUTES = 30.0;

    /** @var list<DangerBreach> */
    private array $breaches = [];

    /** Of the time that is allowed in the room, the share that is used up in this period, and the minutes that it stands for. */
    private float $outShare = 0.0;

    private float $outMinutes = 0.0;

    private float $outAllowedMinutes = Clocks::MINUTES;

    private ?float $outPassedS = null;

    private bool $isServed = false;

    private bool $wasHeated = false;

    private float $heatedMinutes = 0.0;

    private float $heldMinutes = 0.0;

    private bool $isCooked = false;

    private float $comeUpMinutes = 0.0;

    private ?float $comeUpPassedS = null;

    /** When it began to cool off the heat, and from what. */
    private ?float $coolsFromS = null;

    private float $coolsFromC = 0.0;

    private ?float $inColdFromS = null;

    /** When it was first stored part-cooked. */
    private ?float $storedS = null;

    /** When it went back on the heat, cooked and cold, and the hottest that it got since. */
    private ?float $reheatedFromS = null;

    private ?float $reheatedByS = null;

    private float $reheatedToC = -INF;

    public function __construct(private readonly FoodHazard $food, private readonly FoodHistory $history)
    {
    }

    /** @return list<DangerBreach> in the order in which the limits were passed */
    public function breaches(): array
    {
        $at = $this->history;
        $this->keptRaw();
        for ($i = 0, $last = count($at->seconds) - 1; $i < $last; $i++) {
            if (! $this->isServed && $at->offS !== null && $at->seconds[$i] >= $at->offS - 0.5 && ($this->isCooked || $this->food->isEatenBelow)) {
                $this->beginPeriod(true);
            }
            $this->span($at->places[$i], $at->seconds[$i], $at->seconds[$i + 1], $at->coreC[$i], $at->coreC[$i + 1], $at->airC[$i]);
        }
        $this->beginPeriod(true);
        $this->comeUp();
        if ($at->offS !== null) {
            $this->finished($at->offS);
        }
        usort($this->breaches, fn (DangerBreach $a, DangerBreach $b): int => $a->atS <=> $b->atS);

        return $this->breaches;
    }

    private function span(FoodPlace $place, float $fromS, float $toS, float $fromC, float $toC, float $airC): void
    {
        $minutes = ($toS - $fromS) / 60.0;
        $middleC = 0.5 * ($fromC + $toC);
        if ($place === FoodPlace::Heat) {
            $this->heated($fromS, $toS, $fromC, $toC, $minutes);
        } else {
            $this->coolsDown($place, $fromS, $toS, $fromC, $toC, $airC);
        }
        if ($place === FoodPlace::Room && $middleC < Clocks::HOT_C) {
            $this->out($fromS, $minutes, $airC);
        }
        $isOnItsWay = $place !== FoodPlace::Refrigerator && $this->isPartCooked();
        if ($isOnItsWay && $middleC > Clocks::COME_UP_FROM_C && $middleC < Clocks::GROWTH_STOPS_C) {
            $this->comeUpMinutes += $minutes;
            $this->comeUpPassedS ??= $this->comeUpMinutes > Clocks::COME_UP_MINUTES ? $toS : null;
        }
        $this->getsCooked($toC, $minutes);
    }

    /** Time in the room. */
    private function out(float $fromS, float $minutes, float $airC): void
    {
        $allowed = Clocks::allowedMinutes($airC);
        $before = $this->outShare;
        $this->outShare += $minutes / $allowed;
        $this->outMinutes += $minutes;
        $this->outAllowedMinutes = min($this->outAllowedMinutes, $allowed);
        if ($this->outPassedS === null && $this->outShare > 1.0 + 1e-6) {
            $this->outPassedS = $fromS + 60.0 * $allowed * max(0.0, 1.0 - $before);
        }
    }

    /** The period so far is judged, and time in the room counts from nothing. */
    private function beginPeriod(bool $isServed): void
    {
        if ($this->outPassedS !== null) {
            $this->breaks(DangerRule::OutOfRefrigeration, $this->outPassedS, Message::of(
                $this->isServed ? 'danger.out_once_served' : 'danger.out_of_refrigeration',
                tense: $this->history->isPast ? 'past' : 'planned',
                out: Quantity::duration($this->outMinutes),
                allowed: Quantity::duration($this->outAllowedMinutes),
                hot: Quantity::celsius(Clocks::HOT_C),
            ));
        }
        $this->outShare = $this->outMinutes = 0.0;
        $this->outAllowedMinutes = Clocks::MINUTES;
        $this->outPassedS = null;
        $this->isServed = $isServed;
    }

    private function heated(float $fromS, float $toS, float $fromC, float $toC, float $minutes): void
    {
        $this->leavesTheCold($fromS, $fromC);
        $this->wasHeated = true;
        $this->coolsFromS = null;
        $this->heatedMinutes += $this->isCooked ? 0.0 : $minutes;
        if ($this->reheatedFromS !== null) {
            $this->reheatedToC = max($this->reheatedToC, $toC);
            $this->reheatedByS ??= $toC >= Clocks::REHEATED_C - self::ROUNDING_K ? $toS : null;
        }
    }

    private function coolsDown(FoodPlace $place, float $fromS, float $toS, float $fromC, float $toC, float $airC): void
    {
        if ($this->coolsFromS === null && $toC < Clocks::HOLD_C) {
            [$this->coolsFromS, $this->coolsFromC] = [$fromS, min($fromC, Clocks::HOLD_C)];
        }
        if ($place !== FoodPlace::Refrigerator) {
            return;
        }
        $this->staysInTheCold($fromS, $toS);
        if (! $this->wasHeated || $this->coolsFromS === null) {
            return;
        }
        $isHot = $this->coolsFromC > Clocks::COOLED_C;
        $firstS = $this->coolsFromS + 60.0 * Clocks::COOLING_MINUTES;
        $wholeS = $this->coolsFromS + 60.0 * (($isHot ? Clocks::COOLING_MINUTES : 0.0) + Clocks::COOLING_ON_MINUTES);
        if ($isHot && $toS > $firstS && $toC > Clocks::COOLED_C + self::NEARLY_COLD_K) {
            $this->breaksOnce(DangerRule::Cooling, $firstS, Message::of(
                'danger.cooling', cool: Quantity::celsius(Clocks::COOLED_C), allowed: Quantity::duration(Clocks::COOLING_MINUTES),
            ));
        } elseif ($toS > $wholeS && $toC > max(Clocks::COOLED_COLD_C, $airC) + self::NEARLY_COLD_K) {
            $this->breaksOnce(DangerRule::Cooling, $wholeS, Message::of(
                'danger.cooling', cool: Quantity::celsius(Clocks::COOLED_COLD_C), allowed: Quantity::duration(($wholeS - $this->coolsFromS) / 60.0),
            ));
        }
    }

    private function staysInTheCold(float $fromS, float $toS): void
    {
        $this->inColdFromS ??= $fromS;
        $storedFromS = $this->inColdFromS + 60.0 * self::INSIDE_STORED_FROM_MINUTES;
        if ($this->food->isInside && $this->isPartCooked() && $toS >= $storedFromS) {
            $this->breaksOnce(DangerRule::PartCooked, $storedFromS, Message::of('danger.part_cooked_inside'));
        }
    }

    private function leavesTheCold(float $atS, float $coreC): void
    {
        $fromS = $this->inColdFromS;
        $this->inColdFromS = null;
        if ($fromS === null || ($atS - $fromS) / 60.0 < self::STORED_FROM_MINUTES) {
            return;
        }
        if ($this->isCooked && $coreC < Clocks::HOLD_C) {
            $this->reheatedFromS ??= $atS;
        }
        if (! $this->isPartCooked()) {
            return;
        }
        $this->storedS ??= $fromS;
        if ($this->heatedMinutes > Clocks::FIRST_HEAT_MINUTES + 1.0) {
            $this->breaksOnce(DangerRule::PartCooked, $fromS, Message::of(
                'danger.part_cooked_slow',
                heated: Quantity::duration($this->heatedMinutes),
                allowed: Quantity::duration(Clocks::FIRST_HEAT_MINUTES),
            ));
        }
    }

    private function isPartCooked(): bool
    {
        return $this->wasHeated && ! $this->isCooked && ! $this->isServed;
    }

    /** Whether it has had its minimum, with the rest that belongs to it; on the heat or off it. */
    private function getsCooked(float $coreC, float $minutes): void
    {
        if ($this->isCooked) {
            return;
        }
        $isAtIt = $coreC >= $this->food->minimumC - self::ROUNDING_K;
        $this->heldMinutes = $isAtIt ? $this->heldMinutes + $minutes : 0.0;
        if ($isAtIt && $this->heldMinutes >= $this->food->holdMinutes) {
            $this->isCooked = true;
            $this->beginPeriod($this->isServed);
        }
    }

    private function comeUp(): void
    {
        if ($this->comeUpPassedS !== null) {
            $this->breaks(DangerRule::ComeUp, $this->comeUpPassedS, Message::of(
                'danger.come_up',
                tense: $this->history->isPast ? 'past' : 'planned',
                out: Quantity::duration($this->comeUpMinutes),
                allowed: Quantity::duration(Clocks::COME_UP_MINUTES),
                cold: Quantity::celsius(Clocks::COME_UP_FROM_C),
                hot: Quantity::celsius(Clocks::GROWTH_STOPS_C),
            ), false);
        }
    }

    /** What only its end tells: whether what was stored part-cooked was cooked through, and what was cold was made hot. */
    private function finished(float $offS): void
    {
        if ($this->storedS !== null && ! $this->isCooked) {
            $this->breaksOnce(DangerRule::PartCooked, $offS, Message::of(
                'danger.part_cooked_rare', core: Quantity::celsius($this->food->minimumC),
            ));
        }
        if ($this->reheatedFromS === null) {
            return;
        }
        $minutes = (($this->reheatedByS ?? INF) - $this->reheatedFromS) / 60.0;
        if ($this->reheatedByS === null) {
            $this->breaksOnce(DangerRule::Reheating, $offS, Message::of(
                'danger.reheating', core: Quantity::celsius(floor($this->reheatedToC)), hot: Quantity::celsius(Clocks::REHEATED_C),
            ));
        } elseif ($minutes > Clocks::REHEATING_MINUTES) {
            $this->breaksOnce(DangerRule::Reheating, $this->reheatedFromS + 60.0 * Clocks::REHEATING_MINUTES, Message::of(
                'danger.reheating_slow',
                took: Quantity::duration($minutes),
                allowed: Quantity::duration(Clocks::REHEATING_MINUTES),
                hot: Quantity::celsius(Clocks::REHEATED_C),
            ));
        }
    }

    private function keptRaw(): void
    {
        if ($this->history->rawHours > $this->food->rawHours + 0.5) {
            $this->breaks(DangerRule::KeptRaw, $this->history->seconds[0], Message::of(
                'danger.kept_raw',
                kept: Quantity::duration(60.0 * $this->history->rawHours),
                allowed: Quantity::duration(60.0 * $this->food->rawHours),
            ), false);
        }
    }

    private function breaksOnce(DangerRule $rule, float $atS, Message $fact): void
    {
        foreach ($this->breaches as $breach) {
            if ($breach->rule === $rule) {
                return;
            }
        }
        $this->breaks($rule, $atS, $fact);
    }

    private function breaks(DangerRule $rule, float $atS, Message $fact, ?bool $isServed = null): void
    {
        $this->breaches[] = new DangerBreach($rule, $atS, $fact, $this->food->isInside, $isServed ?? $this->isServed);
    }
}
