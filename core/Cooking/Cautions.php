<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

use Diatherm\Food\Tenderness;
use Diatherm\Measure\Mark;
use Diatherm\Measure\Source;
use Diatherm\Roast\Dish;
use Diatherm\Roast\StageEnd;
use Diatherm\Safety\AtCarving;
use Diatherm\Safety\Carryover;
use Diatherm\Safety\Caution;
use Diatherm\Safety\Clocks;
use Diatherm\Safety\LethalityTable;

/** What can hurt someone in a dish, or what a forecast leaves out, said once each. */
final class Cautions
{
    /** Core at which the fat of a whole duck or goose has run, °C. Common practice: two and a half to three hours of a duck at 177 °C. */
    private const FAT_HAS_RUN_C = 82.0;

    /** Poultry and stuffing in a cooler cooker than this go against US advice. Source: USDA FSIS, Turkey Basics: 325 °F. */
    private const COOLEST_FOR_POULTRY_C = 162.0;

    /** From cold to 60 °C, poultry and what has its outside in its middle take no longer. Common practice: four hours. */
    private const LONGEST_COOL_MINUTES = 240.0;

    /** Near enough to pulling apart. */
    private const TENDER = 0.9;

    /** A tough cut that goes to less is carved, not pulled, °C. */
    private const MEANT_TO_PULL_C = 80.0;

    /** A step that ends so far from its own heat never had it, K. */
    private const SHORT_OF_K = 12.0;

    /**
     * @param  AtCarving  $slow  the slow end of the band
     * @param  float  $coolMinutes  on the heat until the core has 60 °C, at the slow end
     * @param  float|null  $unreachedC  the pull, where the slow end does not get to it as long as it is followed; else null
     * @param  float|null  $tenderShare  of what a tough cut takes, by the carving
     * @return list<Caution> of a plan
     */
    public static function of(
        Dish $dish,
        float $airC,
        AtCarving $slow,
        float $temperMinutes,
        float $coolMinutes,
        ?float $unreachedC = null,
        ?float $tenderShare = null,
    ): array {
        return array_values(array_filter([
            self::belowSafeMinimum($dish, $slow, 'At the slow end'),
            self::coolCooker($dish),
            self::coolForLong($dish, $coolMinutes),
            self::slowEndUnreached($unreachedC),
            self::notTenderYet($dish, $tenderShare),
            self::fatStillToRun($dish),
            self::tooLongOut($dish, $airC, $temperMinutes),
            self::creditAsked($dish),
            self::tooLongARest($dish, $airC, $slow),
            self::fadingCoals($dish),
            self::stillOnItsWay($dish),
        ]));
    }

    /** @param  string  $case  of which course this is the judgement, to begin a sentence */
    public static function belowSafeMinimum(Dish $dish, AtCarving $end, string $case): ?Caution
    {
        $safe = $end->minimum;
        if ($end->safe || $safe->coreC === null) {
            return null;
        }
        $counted = $end->log10 === null || $safe->lethality === null
            ? ''
            : sprintf(
                ' Time at temperature adds up to %.1f log₁₀ at the coldest point, where the table %s asks for %.1f.',
                $end->log10,
                self::ofTable($dish, $safe->lethality),
                $safe->lethality->log10,
            );

        return new Caution('below_safe_minimum', sprintf(
            'Below the safe minimum for %s: %.0f °C%s. %s it gets to %.0f °C by the carving.%s Not for young children, the old, the pregnant or the ill.',
            $safe->name, $safe->coreC, $safe->holdMinutes > 0
                ? sprintf(' and %.0f min rest', $safe->holdMinutes)
                : '', $case, floor($end->hottestC + 0.25), $counted,
        ), $safe->source);
    }

    /** A tough cut that is meant to pull apart, and has not had its hours by the carving. */
    private static function notTenderYet(Dish $dish, ?float $tenderShare): ?Caution
    {
        if ($tenderShare === null || $tenderShare >= self::TENDER || $dish->lastStage()->end === StageEnd::Tender || $dish->targetC < self::MEANT_TO_PULL_C) {
            return null;
        }
        $missing = (1.0 - $tenderShare) * Tenderness::hours($dish->targetC);

        return new Caution('not_tender_yet', sprintf(
            'At its number it will have had %.0f %% of the time that it takes to pull apart: about %s more at %.0f °C, or longer wrapped in a warm box. A fork tells.', 100.0 * $tenderShare, $missing < 1.0
                ? sprintf('%.0f min', 5.0 * ceil(12.0 * $missing))
                : sprintf('%.1f h', $missing), $dish->targetC,
        ), Source::of(Mark::Common));
    }

    /** A whole duck or goose that is only cooked through still has its fat under the skin. */
    private static function fatStillToRun(Dish $dish): ?Caution
    {
        return $dish->cut->kind !== 'poultry' || $dish->cut->fatLayerM <= 0.0 || $dish->targetC >= self::FAT_HAS_RUN_C ? null : new Caution('fat_still_to_run', sprintf(
            'Cooked through at %.0f °C it is safe, but most of the fat under its skin is still there: prick or score it, and let it go on to %.0f °C.', $dish->targetC, self::FAT_HAS_RUN_C,
        ), Source::of(Mark::Common));
    }

    /** Names the table, and says so where it was made for other meat. */
    public static function ofTable(Dish $dish, LethalityTable $table): string
    {
        return $table->isMadeFor($dish->cut->id, $dish->cut->kind) ? "for {$table->name}" : "for {$table->name} (for want of its own)";
    }

    private static function coolCooker(Dish $dish): ?Caution
    {
        foreach ($dish->stages as $stage) {
            if (! $stage->cooker->isRest() && ($dish->cut->kind === 'poultry' || $dish->isStuffed()) && $stage->steadyC() < self::COOLEST_FOR_POULTRY_C) {
                return new Caution('cool_for_poultry', sprintf(
                    'US advice is to roast poultry and stuffing at 165 °C or more: at %.0f °C on the %s it warms slowly. Straight from the refrigerator, not stuffed, and by the thermometer.', $stage->steadyC(), $stage->cooker->short,
                ), Source::of(Mark::Published, 'USDA FSIS, Turkey Basics: Safe Cooking'));
            }
        }

        return null;
    }

    private static function coolForLong(Dish $dish, float $coolMinutes): ?Caution
    {
        return $coolMinutes <= self::LONGEST_COOL_MINUTES || ! ($dish->cut->kind === 'poultry' || $dish->isTurnedIn()) ? null : new Caution('cool_for_long', sprintf(
            'Its middle may be under %.0f °C for %.1f hours. Poultry, stuffed and rolled meat should be through in four: a hotter cooker, a smaller or a flatter piece.', Clocks::HOT_C, $coolMinutes / 60.0,
        ), Source::of(Mark::Common));
    }

    private static function slowEndUnreached(?float $unreachedC): ?Caution
    {
        return $unreachedC === null ? null : new Caution('slow_end_unreached', sprintf(
            'A slow cook of it does not get to %.0f °C within the %d hours that are followed: the longest time shown may be too short. A hotter cooker, or smaller pieces.', $unreachedC, (int) (Cook::LONGEST_S / 3600),
        ), Source::computed());
    }

    private static function creditAsked(Dish $dish): ?Caution
    {
        return ! $dish->carryover()->wantsReading ? null : new Caution('climb_counted_on',
            'It comes off short of its target because you asked for it. Read the coldest place again before you carve: if it did not get there, back on it goes.', Carryover::source());
    }

    /** What was never hot cannot be held hot: its two hours run from the pull. */
    private static function tooLongARest(Dish $dish, float $airC, AtCarving $slow): ?Caution
    {
        $allowed = Clocks::allowedMinutes($airC);

        return $slow->hottestC >= Clocks::HOLD_C || $dish->leastRestMinutes() <= $allowed || ! $dish->cut->isPerishable() ? null : new Caution('rest_too_long', sprintf(
            'It comes off under %.0f °C, so its time out runs from the pull: %.0f min, no longer.', Clocks::HOLD_C, $allowed,
        ), Clocks::source());
    }

    private static function tooLongOut(Dish $dish, float $airC, float $temperMinutes): ?Caution
    {
        $allowed = Clocks::allowedMinutes($airC);

        return $temperMinutes <= $allowed ? null : new Caution('too_long_out', sprintf(
            'To start at %.0f °C it would stand out longer than the %.0f minutes allowed. Start it colder.', $dish->startC, $allowed,
        ), Clocks::source());
    }

    /** A short step on a cooker that has yet to come to its heat ends before it is there. */
    private static function stillOnItsWay(Dish $dish): ?Caution
    {
        foreach ($dish->stages as $stage) {
            if ($stage->settling === null || $stage->end !== StageEnd::Minutes) {
                continue;
            }
            [$begins, $ends] = [$stage->settling->celsius(0.0), $stage->settling->celsius((float) $stage->value)];
            if (abs($ends - $stage->cookerC) > self::SHORT_OF_K) {
                return new Caution('still_on_its_way', sprintf(
                    'The %s takes about %.0f min more from %.0f °C to %.0f °C; %.0f min with the meat on it end at %.0f °C. Let it get there alone: a rest off the heat before it, long enough.',
                    $stage->cooker->short, 5.0 * ceil(
                        $stage->settling->doneMinutes() / 5.0,
                    ), $begins, $stage->cookerC, $stage->value, $ends,
                ), Source::computed());
            }
        }

        return null;
    }

    /** A leak or wet earth takes a buried bed's heat, and nobody sees it: said, so that nobody digs up a raw bird. */
    private static function fadingCoals(Dish $dish): ?Caution
    {
        return ! $dish->isBuried() ? null : new Caution('fading_coals',
            'Buried coals fade, and a leak or wet earth takes more than this can know. Nobody looks before the hour; then read the core at once, and what is short of its number goes back on a fire.',
            Source::of(Mark::Common));
    }
}
