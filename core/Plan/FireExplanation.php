<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Cooker\CookerExplanation;
use Diatherm\Fire\CampOvenCount;
use Diatherm\Fire\Fuel;
use Diatherm\Fire\HandTest;
use Diatherm\Measure\Input;
use Diatherm\Measure\Mark;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Source;
use Diatherm\Measure\Unit;
use Diatherm\Measure\Working;
use Diatherm\Tending\Banking;
use Diatherm\Tending\FireLayout;
use Diatherm\Tending\FirePlan;
use Diatherm\Tending\FireSimulation;

/** Why the numbers of a fire plan are what they are. */
final class FireExplanation
{
    /** Coals that burn freely over coals that are starved, K. Common practice. */
    private const FREELY_HOTTER_K = 300.0;

    /** @return list<Working> */
    public static function of(FirePlan $fire, ?Banking $banking): array
    {
        $step = $fire->steps[0];
        $weather = [
            Input::of(
                'air',
                Quantity::celsius($fire->stove->weather->airC),
            ), Input::of('wind', Quantity::of($fire->stove->weather->windMs, Unit::MetrePerSecond, 1)),
            ...($fire->stove->weather->rain ? [Input::of('rain', Message::of('words.yes'))] : []),
            ...(
                $fire->stove->weather->altitudeM > 0.0
                    ? [Input::of('altitude', Quantity::of($fire->stove->weather->altitudeM, Unit::Metre))]
                    : []
            ),
        ];
        $workings = [
            new Working('fire.settings', Message::sentences(
                CookerExplanation::physics($fire->stove->curve->mechanism),
                Message::of($fire->stove->curve->settled > 0
                    ? 'why_fire.bent_by_what_was_logged'
                    : 'why_fire.nothing_was_logged'),
            ), [
                Input::of(
                    'target',
                    Quantity::celsius($step->targetC),
                ), Input::of(
                    'these_settings_come_to',
                    Quantity::celsius($step->steadyC->likely),
                ), Input::of(
                    'eight_in_ten_lie_within',
                    Message::of('why_fire.to', low: Quantity::celsius($step->steadyC->low), high: Quantity::celsius($step->steadyC->high)),
                ), Input::of('readings_behind_it', $fire->stove->curve->settled),
                ...$weather,
            ], Source::computed()),
            new Working('fire.course', Message::of('why_fire.minute_by_minute_heat_from'), [
                Input::of(
                    'stores',
                    Quantity::of($fire->stove->curve->mechanism->storageJK() / 1000.0, Unit::KilojoulePerKelvin),
                ), Input::of('follows_within', Quantity::minutes($fire->stove->curve->paceMinutes($step->targetC, $fire->stove->weather))),
            ], Source::computed()),
        ];
        if ($fire->stove->fuel !== null) {
            array_push($workings, ...self::fuel($fire, $fire->stove->fuel));
        }
        if ($fire->isFed()) {
            $workings[] = new Working(
                'fire.buy',
                Message::of('why_fire.heat_given_off_over'),
                [
                    Input::of('heat', Quantity::of($fire->run->energyJ / 3.6e6, Unit::KilowattHour, 1)),
                    Input::of(
                        'heating_value',
                        Quantity::of(($fire->feed()?->heatingValueJKg() ?? 0.0) / 1e6, Unit::MegajoulePerKilogram, 1),
                    ),
                ],
                Source::of(Mark::Memory, 'lower heating values as in fuel handbooks'),
            );
        }
        if ($fire->handSeconds() !== null) {
            $workings[] = new Working(
                'fire.hand',
                Message::of('why_fire.time_until_a_bare_palm'),
                [Input::of(
                    'flux_there',
                    Quantity::of(HandTest::fluxOfWallWm2($step->steadyC->likely) / 1000.0, Unit::KilowattPerSquareMetre, 1),
                )],
                Source::of(Mark::Memory, 'API RP 521, from Stoll & Greene 1959'),
            );
        }
        if ((new FireLayout($fire))->floor() !== null) {
            $workings[] = new Working(
                'fire.flux',
                Message::of('why_fire.every_small_square_of_coals'),
                [],
                Source::of(Mark::Published, 'Incropera & DeWitt, chapter 13'),
            );
        }
        if ($fire->stove->equipment->isOpen() && $fire->stove->fuel !== null) {
            $workings[] = new Working(
                'fire.turn',
                Message::of('why_fire.a_surface_that_turns_about'),
                [],
                Source::of(Mark::Published, 'Incropera & DeWitt, chapter 13'),
            );
        }
        if ($fire->closeInC() !== null) {
            $workings[] = new Working(
                'fire.close',
                Message::of(
                    'why_fire.coals_that_burn_freely_are',
                    hotter: Quantity::kelvin(self::FREELY_HOTTER_K),
                    most_close_in: Quantity::kelvin(FireSimulation::MOST_CLOSE_IN_K),
                ),
                [
                    Input::of('closed_in_at', Quantity::celsius($fire->closeInC())),
                    Input::of('on_the_way_to', Quantity::celsius($step->targetC)),
                    Input::of('stores', Quantity::of($fire->stove->curve->mechanism->storageJK() / 1000.0, Unit::KilojoulePerKelvin)),
                ],
                Source::of(Mark::Common),
            );
        }
        if ($fire->smokeKg() > 0.0) {
            $workings[] = new Working(
                'fire.smoke',
                Message::of(
                    'why_fire.smoke_takes_while_the_meat',
                    chunk: Quantity::g(1000.0 * (Fuel::named('chunks')->pieceKg ?? 0.0)),
                    handful: Quantity::g(1000.0 * (Fuel::named('chips')->pieceKg ?? 0.0)),
                ),
                [Input::of('for_each_hour', Quantity::g(1000.0 * FirePlan::SMOKE_KG_PER_HOUR))],
                Source::of(Mark::Common),
            );
        }
        if ($fire->count() !== null) {
            $workings[] = new Working(
                'fire.count',
                Message::of('why_fire.twice_the_pots_diameter', ...CampOvenCount::ruleOfThumb()),
                $weather,
                Source::of(Mark::Common),
            );
        }
        if ($banking !== null) {
            $workings[] = new Working(
                'fire.banking',
                Message::of('why_fire.each_part_is_cooked'),
                [Input::of('done_together_after', Quantity::minutes($banking->togetherMinutes))],
                Source::computed(),
            );
        }

        return $workings;
    }

    /** @return list<Working> */
    private static function fuel(FirePlan $fire, Fuel $fuel): array
    {
        $bed = [
            Input::of('fuel', $fuel->name),
            Input::of('heating_value', Quantity::of($fuel->heatingValueJKg() / 1e6, Unit::MegajoulePerKilogram, 1)),
            Input::of('grey_after', Quantity::minutes($fuel->ashOverMinutes)),
            Input::of('an_open_bed_is_gone_after', Quantity::minutes($fuel->burnOutMinutes)),
        ];

        return [
            new Working('fire.start', $fire->stove->equipment->isVented()
                ? Message::of('why_fire.as_much_as_can_give')
                : Message::of('why_fire.as_much_as_gives'), $bed, $fuel->source()),
            new Working('fire.refuels', $fire->stove->equipment->isVented()
                ? Message::of('why_fire.fed_when_the_bed_can')
                : Message::of('why_fire.fed_when_it_has_faded'),
                [
                    ...($fire->stove->equipment->isOpen()
                        ? [Input::of('fed_at', Quantity::percent(100.0 * $fire->stove->equipment->renewAt($fire->stove->wish->steady)))]
                        : []),
                    Input::of('refuels', count($fire->refuels())),
                    Input::of('wind', Quantity::of($fire->stove->weather->windMs, Unit::MetrePerSecond, 1)),
                ], Source::of(Mark::Common)),
            new Working(
                'fire.buy',
                Message::of('why_fire.what_is_laid_and_added'),
                [
                    Input::of('laid_at_first', Quantity::kg($fuel->boughtKg($fire->run->startKg), 1)),
                    Input::of('refuels', count($fire->refuels())),
                    Input::of('in_all', Quantity::kg($fire->usedKg(), 1)),
                    Input::of('still_there_at_the_end', Quantity::kg($fire->run->leftKg, 1)),
                ],
                Source::computed(),
            ),
        ];
    }
}
