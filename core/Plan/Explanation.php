<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Cooking\Forecast;
use Diatherm\Cooking\Uncertainty;
use Diatherm\Measure\Mark;
use Diatherm\Measure\Source;
use Diatherm\Measure\Working;
use Diatherm\Roast\StageEnd;
use Diatherm\Safety\Carryover;
use Diatherm\Safety\Clocks;
use Diatherm\Safety\SafeMinimum;

/** Why the numbers of a forecast are what they are: each with its inputs, its rule and its source. */
final class Explanation
{
    /** @return list<Working> */
    public static function of(Forecast $forecast): array
    {
        return [...self::heat($forecast), ...self::eating($forecast), ...self::safety($forecast), ...RigExplanation::of($forecast)];
    }

    /** @return list<Working> */
    private static function heat(Forecast $forecast): array
    {
        $dish = $forecast->dish;
        $shape = $dish->shape();
        $measured = $dish->thicknessM !== null || $dish->girthM !== null;
        $size = [
            'Half-thickness' => sprintf('%.1f cm, %s', 100 * $shape->halfThicknessM, $measured ? 'from the tape' : 'from the mass'),
            'Shape exponent' => sprintf('%.2f (slab 0, cylinder 1, sphere 2)', $shape->exponent),
        ];
        $inputs = $size + [
            'Mass of a piece' => self::kg($dish->massKg),
            'Starts at' => sprintf('%.0f °C', $dish->startC),
            'Outside air' => sprintf('%.0f °C', $forecast->airC),
        ];
        foreach ($dish->stages as $i => $stage) {
            $inputs['Stage '.($i + 1)] = $stage->cooker->name.' at '.$stage->heatInWords();
        }
        $carryover = $dish->carryover();
        $credit = $dish->targetC - $forecast->pullC;

        $tender = $forecast->tenderShare === null
            ? []
            : [new Working('tender_share', 'Collagen needs hours as well as heat: parts of the hours that each core temperature takes, added up from the first warmth to the carving. Shown as common practice has them; a fork decides.', ['At 80 °C' => '4.5 h', 'At 90 °C' => '1.5 h', 'Had by the carving' => sprintf('%.0f %%', 100.0 * $forecast->tenderShare)], Source::of(Mark::Common))];

        return [
            ...$tender,
            new Working('cook_minutes', sprintf(
                'Heat conducted through the joint, step by step, with its surface warmed by air and walls and cooled by drying. The band is the spread when heat transfer is off by %d %%, thickness by %d %% and the start by %d K%s: one cook in ten is quicker, one in ten slower.',
                (int) round(100 * Uncertainty::transfer($dish)), (int) round(
                    100 * Uncertainty::thickness($dish),
                ), (int) Uncertainty::START_K,
                Uncertainty::kind($dish) > 0.0 ? sprintf(
                    ', and the time by %d %% more for a kind of cooker that is less well known',
                    (int) round(100.0 * Uncertainty::kind($dish)),
                ) : '',
            ), $inputs, Source::computed()),
            new Working(
                'shape',
                'The distance from the coldest point to the nearest surface decides, more than the weight. Of the thickness that a tape reads, the heat sees what lies between two warmed sides, bone and cavity allowed for.',
                $size,
                Source::of(Mark::Published, 'Cleland & Earle 1982, equivalent heat transfer dimensionality'),
            ),
            new Working('pull_c', match (true) {
                $dish->lastStage()
                    ->end !== StageEnd::Pull => 'It comes off at the stage’s own end; what it climbs in the rest comes on top.',
                $dish->isBuried() => 'Nobody looks into a hole: it stays for the slow end of practice, and then has to read its number.',
                $carryover->creditK <= 0.0 => 'Cooked to its number: nothing is counted of the climb off the heat.',
                default => sprintf(
                    'The outside is hotter than the core, so the core climbs on after the pull. Counted is what has happened by the carving at the slow end of the band, and never more than %.0f K.',
                    $carryover->creditK,
                ),
            }, ['Target' => sprintf('%.0f °C', $dish->targetC), 'Counted on' => sprintf('%.1f K', max(0.0, $credit)), 'Rest' => self::minutes($dish->leastRestMinutes())], Carryover::source()),
            new Working('peak_c', $carryover->climbK <= 0.0
                ? 'No climb off the heat is counted for this: it is as hot as it was when it came off.'
                : sprintf(
                    'The same heat, followed on a board in the open air, loosely covered, until the core stops climbing; never shown more than %.0f K above the pull.',
                    $carryover->climbK,
                ),
                ['Pulled at' => sprintf('%.1f °C', $forecast->pullC), 'Peaks after' => sprintf('%.0f min of rest', max(0.0, $forecast->peakMinutes - $forecast->cookMinutes->likely))], Source::computed()),
            new Working(
                'first_look_minutes',
                'One cook in twenty would be ready by now. Looking sooner only lets heat out.',
                ['Likely' => self::minutes($forecast->cookMinutes->likely), 'Quick end' => self::minutes($forecast->cookMinutes->low)],
                Source::computed(),
            ),
            ...(
                $forecast->liftCostMinutes === null
                    ? []
                    : [new Working('lid_lift_minutes', sprintf('The same cook with the lid off for %.0f min half way: the air falls most of the way to that outside and takes a while to come back.', Forecast::LIFT_MINUTES), ['Recovers in' => self::minutes($dish->stages[0]->cooker->recoveryMinutes)], Source::computed())]
            ),
        ];
    }

    /** @return list<Working> */
    private static function eating(Forecast $forecast): array
    {
        $dish = $forecast->dish;
        $grams = $dish->cut->perPersonG;
        $workings = [
            new Working(
                'target_c',
                $dish->taste === null ? 'Set by the cook.' : 'What this taste means at the core when eaten.',
                ['Target' => sprintf('%.0f °C', $dish->targetC)],
                $dish->taste === null ? Source::of(Mark::Common) : $dish->cut->taste($dish->taste)->source,
            ),
            new Working(
                'feeds',
                'Raw weight over what one eater takes, from hungry to modest; bone, cavity and loss are in it.',
                [
                    'Raw, in all' => self::kg($dish->massKg * $dish->pieces),
                    'For one' => sprintf('%s to %s', self::kg($grams[0] / 1000), self::kg($grams[1] / 1000)),
                ],
                Source::of(Mark::Common),
            ),
            new Working(
                'temper_minutes',
                sprintf(
                    'On a board from refrigerator-cold until the whole joint is on average at its start temperature; not longer than the %.0f minutes that the two-hour rule allows at this air.',
                    Clocks::allowedMinutes($forecast->airC),
                ),
                [
                    'From' => sprintf('%.0f °C', Clocks::COLD_C),
                    'To' => sprintf('%.0f °C', $dish->startC),
                    'Saves on the heat' => self::minutes($forecast->temperSavesMinutes),
                ],
                Clocks::source(),
            ),
        ];
        if ($forecast->rule !== null) {
            $workings[] = new Working(
                'rule_minutes',
                ucfirst($forecast->rule->words).'. '.$forecast->rule->fails,
                ['Mass' => self::kg($dish->massKg)],
                $forecast->rule->source,
            );
        }

        return $workings;
    }

    /** @return list<Working> */
    private static function safety(Forecast $forecast): array
    {
        $safe = SafeMinimum::of($forecast->dish->safetyClass());
        $workings = [];
        if ($safe->coreC !== null) {
            $workings[] = new Working(
                'safe_c',
                'The plain safe minimum for '.$safe->name.', judged at the carving and at the slow end.',
                ['Core' => sprintf('%.0f °C', $safe->coreC)] + (
                    $safe->holdMinutes > 0 ? ['Rest' => self::minutes($safe->holdMinutes)] : []
                ),
                $safe->source,
            );
        }
        if ($forecast->lethalityLog10 !== null && $safe->lethality !== null) {
            $workings[] = new Working(
                'lethality_log10',
                'Reduction of Salmonella added up along the coldest point, rest included, at the likely or the slow end, whichever is less, from the table’s holding times. Counted only where the table has rows; sums stop at 12.',
                [
                    'Table' => $safe->lethality->name,
                    'Made for this' => $safe->lethality->isMadeFor($forecast->dish->cut->id, $forecast->dish->cut->kind)
                        ? 'yes'
                        : 'no: it stands in for want of its own',
                ],
                $safe->lethality->source,
            );
        }

        return $workings;
    }

    private static function kg(float $kg): string
    {
        return rtrim(rtrim(sprintf('%.2f', $kg), '0'), '.').' kg';
    }

    private static function minutes(float $minutes): string
    {
        return sprintf('%.0f min', $minutes);
    }
}
