<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Measure\Mark;
use Diatherm\Measure\Source;
use Diatherm\Rig\PotRig;
use Diatherm\Safety\Clocks;
use Diatherm\Safety\SafeMinimum;

/** What can hurt someone in a dish, or what a forecast leaves out, said once each. */
final class Cautions
{
    /** Poultry in a cooler oven than this goes against US advice. Source: USDA FSIS, Turkey Basics. */
    private const COOLEST_POULTRY_OVEN_C = 162.0;

    /** A core this little below the minimum is at it: figures are shown whole. */
    private const ROUNDING_K = 0.25;

    /** A step that ends so far from its own heat never had it, K. */
    private const SHORT_OF_K = 12.0;

    /** @return list<Caution> of a plan */
    public static function of(Dish $dish, float $airC, float $peakC, ?float $lethalityLog10, float $temperMinutes): array
    {
        return array_values(array_filter([
            self::belowSafeMinimum($dish, $peakC, $lethalityLog10),
            self::coolOven($dish),
            self::tooLongOut($dish, $airC, $temperMinutes),
            self::fadingCoals($dish),
            self::stillOnItsWay($dish),
        ]));
    }

    /** @param  float|null  $lethalityLog10 gathered at the coldest point; null where no table applies */
    public static function belowSafeMinimum(Dish $dish, float $peakC, ?float $lethalityLog10): ?Caution
    {
        $safe = SafeMinimum::of($dish->safetyClass());
        if ($safe->coreC === null || $peakC >= $safe->coreC - self::ROUNDING_K) {
            return null;
        }
        $counted = $lethalityLog10 === null || $safe->lethality === null
            ? ''
            : sprintf(' Time at temperature adds up to %.1f log₁₀ at the coldest point, where the table asks for %.1f.', $lethalityLog10, $safe->lethality->log10);

        return new Caution('below_safe_minimum', sprintf(
            'Below the safe minimum for %s: %.0f °C%s. It peaks at %.0f °C.%s Not for young children, the old, the pregnant or the ill.',
            $safe->name, $safe->coreC, $safe->holdMinutes > 0 ? sprintf(' and %.0f min rest', $safe->holdMinutes) : '', $peakC, $counted,
        ), $safe->source);
    }

    private static function coolOven(Dish $dish): ?Caution
    {
        foreach ($dish->stages as $stage) {
            if ($dish->cut->kind === 'poultry' && $stage->cooker->id === 'oven' && $stage->cookerC < self::COOLEST_POULTRY_OVEN_C) {
                return new Caution('cool_oven_poultry', 'US advice is to roast poultry in an oven at 165 °C or more.', Source::of(Mark::Published, 'USDA FSIS, Turkey Basics: Safe Cooking'));
            }
        }

        return null;
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
                    $stage->cooker->short, 5.0 * ceil($stage->settling->doneMinutes() / 5.0), $begins, $stage->cookerC, $stage->value, $ends,
                ), Source::computed());
            }
        }

        return null;
    }

    /** A leak or wet earth takes a buried bed's heat, and nobody sees it: said, so that nobody digs up a raw bird. */
    private static function fadingCoals(Dish $dish): ?Caution
    {
        return ! $dish->rig instanceof PotRig || ! $dish->rig->isBuried() ? null : new Caution('fading_coals',
            'Buried coals fade, and a leak or wet earth takes more than this can know. Allow up to an hour for each kilogram, and read the core before you serve.',
            Source::of(Mark::Common));
    }
}
