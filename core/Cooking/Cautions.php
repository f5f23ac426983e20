<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

use Diatherm\Food\Tenderness;
use Diatherm\Measure\Mark;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Source;
use Diatherm\Rig\PotRig;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Stage;
use Diatherm\Roast\StageEnd;
use Diatherm\Safety\AtCarving;
use Diatherm\Safety\Carryover;
use Diatherm\Safety\Caution;
use Diatherm\Safety\Clocks;
use Diatherm\Safety\DangerAccount;
use Diatherm\Safety\DangerBreach;

/** What can hurt someone in a dish, or what a forecast leaves out, said once each. */
final class Cautions
{
    /** Core at which the fat of a whole duck or goose has run, °C. Common practice: two and a half to three hours of a duck at 177 °C. */
    private const FAT_HAS_RUN_C = 82.0;

    /** Poultry and stuffing in a cooler cooker than this go against US advice. Source: USDA FSIS, Turkey Basics: 325 °F. */
    public const COOLEST_FOR_POULTRY_C = 162.0;

    /** 325 °F. Source: USDA FSIS, Turkey Basics: Safe Cooking. */
    private const ADVISED_FOR_POULTRY_C = 162.78;

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
     * @param  DangerAccount  $danger  of the plan from out of the refrigerator to the carving
     * @param  float  $coolMinutes  on the heat until the core has 60 °C, at the slow end
     * @param  float|null  $unreachedC  the pull, where the slow end does not get to it as long as it is followed; else null
     * @param  float|null  $tenderShare  of what a tough cut takes, by the carving
     * @return list<Caution> of a plan
     */
    public static function of(
        Dish $dish,
        AtCarving $slow,
        DangerAccount $danger,
        Tempering $tempering,
        float $coolMinutes,
        ?float $unreachedC = null,
        ?float $tenderShare = null,
    ): array {
        return array_values(array_filter([
            ...array_map(fn (DangerBreach $breach): Caution => $breach->ofAPlan(), $danger->breaches),
            self::startsTooWarm($dish, $tempering),
            self::warmRefrigerator($dish),
            self::belowSafeMinimum($dish, $slow, 'slow'),
            self::coolCooker($dish),
            $danger->outLimitS() === null ? self::coolForLong($dish, $coolMinutes) : null,
            $dish->isBuried() ? self::bedTooSmall($dish, $unreachedC) : self::slowEndUnreached($unreachedC),
            self::notTenderYet($dish, $tenderShare),
            self::fatStillToRun($dish),
            self::creditAsked($dish),
            self::fadingCoals($dish),
            self::stillOnItsWay($dish),
        ]));
    }

    /** @param  'slow'|'live'|'carved'  $case  of which course this is the judgement: the slow end of a plan, or the cook as it stands or was */
    public static function belowSafeMinimum(Dish $dish, AtCarving $end, string $case): ?Caution
    {
        $safe = $end->minimum;
        if ($end->safe || $safe->coreC === null) {
            return null;
        }
        $counted = $end->log10 === null || $safe->lethality === null
            ? null
            : Message::of(
                'caution.time_at_temperature',
                has: Quantity::number($end->log10, 1),
                table: $safe->lethality->name,
                wants: Quantity::number($safe->lethality->log10, 1),
            );

        return new Caution('below_safe_minimum', Message::sentences(
            $safe->holdMinutes > 0
                ? Message::of(
                    'caution.below_the_safe_minimum_and_rest',
                    safe: $safe->name,
                    core: Quantity::celsius($safe->coreC),
                    hold: Quantity::minutes($safe->holdMinutes),
                )
                : Message::of('caution.below_the_safe_minimum', safe: $safe->name, core: Quantity::celsius($safe->coreC)),
            Message::of('caution.gets_to', case: $case, hottest: Quantity::celsius(floor($end->hottestC + 0.25))),
            $counted,
            Message::of('caution.not_for'),
        ), $safe->source);
    }

    /** A tough cut that is meant to pull apart, and has not had its hours by the carving. */
    private static function notTenderYet(Dish $dish, ?float $tenderShare): ?Caution
    {
        $isMeantToPull = $dish->targetC >= self::MEANT_TO_PULL_C && $dish->lastStage()->end !== StageEnd::Tender;
        if ($tenderShare === null || $tenderShare >= self::TENDER || ! $isMeantToPull) {
            return null;
        }
        $missing = (1.0 - $tenderShare) * Tenderness::hours($dish->targetC);

        return new Caution(
            'not_tender_yet',
            Message::of('caution.at_its_number_it_will', tender_share: Quantity::percent(100.0 * $tenderShare), missing: $missing < 1.0
                ? Quantity::minutes(5.0 * ceil(12.0 * $missing))
                : Quantity::hours($missing, 1), target: Quantity::celsius($dish->targetC)),
            Source::of(Mark::Common),
        );
    }

    /** A whole duck or goose that is only cooked through still has its fat under the skin. */
    private static function fatStillToRun(Dish $dish): ?Caution
    {
        return $dish->cut->kind !== 'poultry' || $dish->cut->fatLayerM <= 0.0 || $dish->targetC >= self::FAT_HAS_RUN_C
            ? null
            : new Caution(
                'fat_still_to_run',
                Message::of(
                    'caution.cooked_through',
                    target: Quantity::celsius($dish->targetC),
                    fat_has_run: Quantity::celsius(self::FAT_HAS_RUN_C),
                ),
                Source::of(Mark::Common),
            );
    }

    private static function coolCooker(Dish $dish): ?Caution
    {
        if ($dish->cut->kind !== 'poultry' && ! $dish->isStuffed()) {
            return null;
        }
        foreach ($dish->stages as $stage) {
            if (! $stage->cooker->isRest() && $stage->steadyC() < self::COOLEST_FOR_POULTRY_C) {
                return new Caution(
                    'cool_for_poultry',
                    Message::of(
                        'caution.us_advice_is_to_roast',
                        coolest: Quantity::celsius(self::ADVISED_FOR_POULTRY_C),
                        steady: Quantity::celsius($stage->steadyC()),
                        cooker: $stage->cooker->short,
                    ),
                    Source::of(Mark::Published, 'USDA FSIS, Turkey Basics: Safe Cooking'),
                );
            }
        }

        return null;
    }

    private static function coolForLong(Dish $dish, float $coolMinutes): ?Caution
    {
        return $coolMinutes <= self::LONGEST_COOL_MINUTES || ! ($dish->cut->kind === 'poultry' || $dish->isTurnedIn())
            ? null
            : new Caution(
                'cool_for_long',
                $coolMinutes === INF
                    ? Message::of('caution.its_middle_may_stay_under', hot: Quantity::celsius(Clocks::HOT_C))
                    : Message::of(
                        'caution.its_middle_may_be_under',
                        hot: Quantity::celsius(Clocks::HOT_C),
                        cool: Quantity::number($coolMinutes / 60.0, 1),
                    ),
                Source::of(Mark::Common),
            );
    }

    private static function slowEndUnreached(?float $unreachedC): ?Caution
    {
        return $unreachedC === null
            ? null
            : new Caution(
                'slow_end_unreached',
                Message::of('caution.a_slow_cook', unreached: Quantity::celsius($unreachedC)),
                Source::computed(),
            );
    }

    /** Nobody feeds a buried fire: what its coals do not bring to its number is told before they are laid. */
    private static function bedTooSmall(Dish $dish, ?float $unreachedC): ?Caution
    {
        $pit = $dish->rig instanceof PotRig ? $dish->rig->pit() : null;
        if ($unreachedC === null || $pit === null) {
            return null;
        }
        $coals = $pit->coalsKg()->likely;
        $wanted = PotBed::coalsKgFor($dish, $unreachedC);
        $has = [
            'unreached' => Quantity::celsius($unreachedC), 'has' => Quantity::kg($coals), 'more' => Quantity::kg(ceil(($wanted ?? $coals) - $coals)),
        ];

        return new Caution(
            'bed_too_small',
            $wanted === null ? Message::of('caution.no_bed_is_enough', ...array_slice($has, 0, 1)) : Message::of('caution.bed_too_small', ...$has),
            Source::computed(),
        );
    }

    private static function creditAsked(Dish $dish): ?Caution
    {
        return ! $dish->carryover()->wantsReading ? null : new Caution('climb_counted_on',
            Message::of('caution.it_comes_off_short'), Carryover::source());
    }

    private static function startsTooWarm(Dish $dish, Tempering $tempering): ?Caution
    {
        return ! $tempering->isTooLong() ? null : new Caution(
            'starts_too_warm',
            Message::sentences(
                is_finite($tempering->minutes)
                    ? Message::of('caution.start_takes_too_long', start: Quantity::celsius($dish->startC), takes: Quantity::duration($tempering->minutes))
                    : Message::of('caution.start_is_never_reached', start: Quantity::celsius($dish->startC)),
                Message::of(
                    'caution.start_no_warmer_than',
                    allowed: Quantity::duration($tempering->allowedMinutes),
                    reaches: Quantity::celsius(round($tempering->reachesC)),
                ),
                Message::of('caution.start_if_it_has_it'),
                Message::of($dish->hazard()?->isInside === true ? 'danger.not_to_be_eaten' : 'danger.whole_muscle'),
            ),
            Clocks::source(),
        );
    }

    private static function warmRefrigerator(Dish $dish): ?Caution
    {
        $warmest = max(0.0, ...array_map(fn (Stage $stage): float => $stage->cooker->id === 'fridge' ? $stage->cookerC : 0.0, $dish->stages));

        return $warmest <= Clocks::REFRIGERATOR_C ? null : new Caution(
            'warm_refrigerator',
            Message::of(
                'caution.warm_refrigerator', warm: Quantity::celsius($warmest), cold: Quantity::celsius(Clocks::REFRIGERATOR_C),
            ),
            Source::of(Mark::Published, 'FDA Food Code 2017, 3-501.16'),
        );
    }

    /** A short step on a cooker that has yet to come to its heat ends before it is there. */
    private static function stillOnItsWay(Dish $dish): ?Caution
    {
        foreach ($dish->stages as $stage) {
            if ($stage->settling === null || ! $stage->end->isTimed()) {
                continue;
            }
            [$begins, $ends] = [$stage->settling->celsius(0.0), $stage->settling->celsius((float) $stage->value)];
            if (abs($ends - $stage->cookerC) > self::SHORT_OF_K) {
                return new Caution(
                    'still_on_its_way',
                    Message::of('caution.the_takes_about_more_from', cooker: $stage->cooker->short, done: Quantity::minutes(5.0 * ceil(
                        $stage->settling->doneMinutes() / 5.0,
                    )),
                        begins: Quantity::celsius($begins),
                        heat: Quantity::celsius($stage->cookerC),
                        given: Quantity::minutes((float) $stage->value),
                        ends: Quantity::celsius($ends),
                    ),
                    Source::computed(),
                );
            }
        }

        return null;
    }

    /** A leak or wet earth takes a buried bed's heat, and nobody sees it: said, so that nobody digs up a raw bird. */
    private static function fadingCoals(Dish $dish): ?Caution
    {
        return ! $dish->isBuried() ? null : new Caution('fading_coals',
            Message::of('caution.buried_coals_fade'),
            Source::of(Mark::Common));
    }
}
