<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Cooking\Forecast;
use Diatherm\Cooking\Uncertainty;
use Diatherm\Day\Timing;
use Diatherm\Day\Wait;
use Diatherm\Food\Tenderness;
use Diatherm\Measure\Input;
use Diatherm\Measure\Mark;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Source;
use Diatherm\Measure\Working;
use Diatherm\Roast\StageEnd;
use Diatherm\Safety\Carryover;
use Diatherm\Safety\Clocks;

/** Why the numbers of a forecast are what they are: each with its inputs, its rule and its source. */
final class Explanation
{
    /** A kind that leaves so much more of the time open is told to be less well known. */
    private const LESS_KNOWN = 0.1;

    /** @return list<Working> */
    public static function of(Forecast $forecast): array
    {
        return [...self::heat($forecast), ...self::eating($forecast), ...self::safety($forecast), ...RigExplanation::of($forecast)];
    }

    /** How hot it is on the plate. */
    public static function plate(Wait $wait): Working
    {
        return new Working('plate_c', Message::of('why.on_the_plate'), [
            Input::of('rests', self::minutes($wait->restMinutes)),
            Input::of('mean_once_rested', Quantity::celsius($wait->restedC())),
            ...($wait->hold === null ? [] : [Input::of('is_held', self::minutes($wait->holdMinutes))]),
            Input::of('carved_within', self::minutes(Timing::carveMinutes($wait->forecast->dish))),
            Input::of('outside_air', Quantity::celsius($wait->forecast->airC)),
        ], Source::computed());
    }

    /** @return list<Working> */
    private static function heat(Forecast $forecast): array
    {
        $dish = $forecast->dish;
        $shape = $dish->shape();
        $measured = $dish->thicknessM !== null || $dish->girthM !== null;
        $size = [
            Input::of('half_thickness', Message::of(
                $measured ? 'why.from_the_tape' : 'why.from_the_mass',
                half_thickness: Quantity::cm(100 * $shape->halfThicknessM, 1),
            )),
            Input::of('shape_exponent', Message::of('why.slab_cylinder_sphere', exponent: Quantity::number($shape->exponent, 2))),
        ];
        $inputs = [
            ...$size,
            Input::of('mass_of_a_piece', self::kg($dish->massKg)),
            Input::of('starts_at', Quantity::celsius($dish->startC)),
            Input::of('outside_air', Quantity::celsius($forecast->airC)),
        ];
        foreach ($dish->stages as $i => $stage) {
            $inputs[] = Input::labelled(
                Message::of('input.stage', number: $i + 1),
                Message::of('why.at', cooker: $stage->cooker->name, heat: $stage->heatInWords()),
            );
        }
        $carryover = $dish->carryover();
        $credit = $dish->targetC - $forecast->pullC;

        $tender = $forecast->tenderShare === null
            ? []
            : [new Working(
                'tender_share',
                Message::of('why.collagen_needs_hours_as_well'),
                [...self::collagen(), Input::of('had_by_the_carving', Quantity::percent(100.0 * $forecast->tenderShare))],
                Source::of(Mark::Common),
            )];

        return [
            ...$tender,
            new Working(
                'cook_minutes',
                Message::of(
                    'why.heat_conducted_through_the_joint',
                    transfer: Quantity::percent(100 * Uncertainty::transfer($dish)),
                    thickness: Quantity::percent(
                        100 * Uncertainty::thickness($dish),
                    ),
                    start: Quantity::kelvin(Uncertainty::START_K),
                    kind: Uncertainty::kind($dish) >= self::LESS_KNOWN
            ? Message::of('why.and_the_time_by_more', kind: Quantity::percent(100.0 * Uncertainty::kind($dish)))
            : '',
                ),
                $inputs,
                Source::computed(),
            ),
            new Working(
                'shape',
                Message::of('why.the_distance_from_the_coldest'),
                $size,
                Source::of(Mark::Published, 'Cleland & Earle 1982, equivalent heat transfer dimensionality'),
            ),
            new Working('pull_c', match (true) {
                $dish->lastStage()
                    ->end !== StageEnd::Pull => Message::of('why.it_comes_off'),
                $dish->isBuried() => Message::of('why.nobody_looks_into_a_hole'),
                $carryover->creditK <= 0.0 => Message::of('why.cooked_to_its_number_nothing'),
                default => Message::of('why.the_outside_is_hotter', credit: Quantity::kelvin($carryover->creditK)),
            }, [
                Input::of('target', Quantity::celsius($dish->targetC)),
                Input::of('counted_on', Quantity::kelvin(max(0.0, $credit), 1)),
                Input::of('rest', self::minutes($dish->leastRestMinutes())),
            ], Carryover::source()),
            new Working('peak_c', match (true) {
                $dish->isBuried() => Message::of('why.a_likely_pot_at_its_hour'),
                $carryover->climbK <= 0.0 => Message::of('why.no_climb_off_the_heat'),
                default => Message::of('why.the_same_heat_followed', climb: Quantity::kelvin($carryover->climbK)),
            },
                [
                    Input::of('pulled_at', Quantity::celsius($forecast->pullC, 1)),
                    Input::of(
                        'peaks_after',
                        Message::of(
                            'why.of_rest',
                            peak: Quantity::minutes(max(0.0, $forecast->peakMinutes - $forecast->cookMinutes->likely)),
                        ),
                    ),
                ], Source::computed()),
            new Working(
                'first_look_minutes',
                Message::of('why.one_cook_in_twenty_would'),
                [
                    Input::of('likely', self::minutes($forecast->cookMinutes->likely)),
                    Input::of('quick_end', self::minutes($forecast->cookMinutes->low)),
                ],
                Source::computed(),
            ),
            ...(
                $forecast->liftCostMinutes === null
                    ? []
                    : [new Working(
                        'lid_lift_minutes',
                        Message::of('why.the_same_cook', lift: Quantity::minutes(Forecast::LIFT_MINUTES)),
                        [Input::of('recovers_in', self::minutes($dish->stages[0]->cooker->recoveryMinutes))],
                        Source::computed(),
                    )]
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
                $dish->taste === null ? Message::of('why.set_by_the_cook') : Message::of('why.what_this_taste_means'),
                [Input::of('target', Quantity::celsius($dish->targetC))],
                $dish->taste === null ? Source::of(Mark::Common) : $dish->cut->taste($dish->taste)->source,
            ),
            new Working(
                'feeds',
                Message::of('why.raw_weight_over_what_one'),
                [
                    Input::of('raw_in_all', self::kg($dish->massKg * $dish->pieces)),
                    Input::of('for_one', Message::of('why.to', least: self::kg($grams[0] / 1000), most: self::kg($grams[1] / 1000))),
                ],
                Source::of(Mark::Common),
            ),
            new Working(
                'temper_minutes',
                Message::of('why.on_a_board_from_refrigerator', allowed: Quantity::minutes(Clocks::allowedMinutes($forecast->airC))),
                [
                    Input::of('from', Quantity::celsius(Clocks::COLD_C)),
                    Input::of('to', Quantity::celsius($dish->startC)),
                    Input::of('saves_on_the_heat', self::minutes($forecast->temperSavesMinutes)),
                ],
                Clocks::source(),
            ),
        ];
        if ($forecast->rule !== null) {
            $workings[] = new Working(
                'rule_minutes',
                Message::sentences(Message::note($forecast->rule->words(), $forecast->rule->fails())),
                [Input::of('mass', self::kg($dish->massKg))],
                $forecast->rule->source,
            );
        }

        return $workings;
    }

    /** @return list<Working> */
    private static function safety(Forecast $forecast): array
    {
        $safe = $forecast->dish->safeMinimum();
        $workings = [];
        if ($safe->coreC !== null) {
            $workings[] = new Working(
                'safe_c',
                Message::of('why.the_plain_safe_minimum', safe: $safe->name),
                [Input::of('core', Quantity::celsius($safe->coreC)), ...(
                    $safe->holdMinutes > 0 ? [Input::of('rest', self::minutes($safe->holdMinutes))] : []
                )],
                $safe->source,
            );
        }
        if ($forecast->lethalityLog10 !== null && $safe->lethality !== null) {
            $workings[] = new Working(
                'lethality_log10',
                Message::of('why.reduction_of_salmonella_added_up'),
                [Input::of('table', $safe->lethality->name)],
                $safe->lethality->source,
            );
        }

        return $workings;
    }

    /** @return list<Input> what the table of tenderness says at two core temperatures */
    private static function collagen(): array
    {
        return array_map(
            fn (float $coreC): Input => Input::labelled(
                Message::of('input.at', core: Quantity::celsius($coreC)),
                Quantity::hours(Tenderness::hours($coreC), 1),
            ),
            [80.0, 90.0],
        );
    }

    private static function kg(float $kg): Quantity
    {
        return Quantity::kg($kg, null);
    }

    private static function minutes(float $minutes): Quantity
    {
        return Quantity::minutes($minutes);
    }
}
