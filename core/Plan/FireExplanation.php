<?php

declare(strict_types=1);

namespace Diatherm\Plan;

use Diatherm\Cooker\CookerExplanation;
use Diatherm\Fire\Fuel;
use Diatherm\Measure\Mark;
use Diatherm\Measure\Source;
use Diatherm\Measure\Working;
use Diatherm\Tending\Banking;
use Diatherm\Tending\FireLayout;
use Diatherm\Tending\FirePlan;
use Diatherm\Tending\FireSimulation;

/** Why the numbers of a fire plan are what they are. */
final class FireExplanation
{
    /** @return list<Working> */
    public static function of(FirePlan $fire, ?Banking $banking): array
    {
        $step = $fire->steps[0];
        $weather = ['Air' => sprintf('%.0f °C', $fire->stove->weather->airC), 'Wind' => sprintf('%.1f m/s', $fire->stove->weather->windMs)]
            + ($fire->stove->weather->rain ? ['Rain' => 'yes'] : []) + (
                $fire->stove->weather->altitudeM > 0.0 ? ['Altitude' => sprintf('%.0f m', $fire->stove->weather->altitudeM)] : []
            );
        $workings = [
            new Working('fire.settings', CookerExplanation::physics($fire->stove->curve->mechanism).($fire->stove->curve->settled > 0 ? ' Bent by what was logged on this cooker.' : ' Nothing was logged on it: this is how its kind behaves.'), [
                'Target' => sprintf('%.0f °C', $step->targetC), 'These settings come to' => sprintf('%.0f °C', $step->steadyC->likely), 'Eight in ten lie within' => sprintf(
                    '%.0f °C to %.0f °C',
                    $step->steadyC->low,
                    $step->steadyC->high,
                ), 'Readings behind it' => (string) $fire->stove->curve->settled,
            ] + $weather, Source::computed()),
            new Working('fire.course', 'Minute by minute: heat from coals, knobs or element, less what the walls and the draught carry off, over what the body stores; with the coals burning away and the refuels put on by the clock.', [
                'Stores' => sprintf('%.0f kJ/K', $fire->stove->curve->mechanism->storageJK() / 1000.0), 'Follows within' => sprintf(
                    '%.0f min',
                    $fire->stove->curve->paceMinutes($step->targetC, $fire->stove->weather),
                ),
            ], Source::computed()),
        ];
        if ($fire->stove->fuel !== null) {
            array_push($workings, ...self::fuel($fire, $fire->stove->fuel));
        }
        if ($fire->isFed()) {
            $workings[] = new Working(
                'fire.buy',
                'Heat given off over the whole cook, over the fuel’s lower heating value; a third more than is burnt, since a bottle never ends at a good hour.',
                [
                    'Heat' => sprintf('%.1f kWh', $fire->run->energyJ / 3.6e6),
                    'Heating value' => sprintf('%.1f MJ/kg', ($fire->feed()?->heatingValueJKg() ?? 0.0) / 1e6),
                ],
                Source::of(Mark::Memory, 'lower heating values as in fuel handbooks'),
            );
        }
        if ($fire->handSeconds() !== null) {
            $workings[] = new Working(
                'fire.hand',
                'Time until a bare palm hurts, at the meat’s height, is a measure of radiant flux.',
                ['Flux there' => sprintf('%.1f kW/m²', \Diatherm\Fire\HandTest::fluxOfWallWm2($step->steadyC->likely) / 1000.0)],
                Source::of(Mark::Memory, 'API RP 521, from Stoll & Greene 1959'),
            );
        }
        if ((new FireLayout($fire))->floor() !== null) {
            $workings[] = new Working(
                'fire.flux',
                'Every small square of coals sends out E·cosθ₁·cosθ₂/(π·r²) to each place above it; what arrives is added up.',
                [],
                Source::of(Mark::Published, 'Incropera & DeWitt, chapter 13'),
            );
        }
        if ($fire->stove->equipment->isOpen() && $fire->stove->fuel !== null) {
            $workings[] = new Working(
                'fire.turn',
                'A surface that turns about the spit faces each ray by s/π on average, s being the sine of the ray’s angle with the spit: 1/π of what looks down over a narrow bed, more over a wide one.',
                [],
                Source::of(Mark::Published, 'Incropera & DeWitt, chapter 13'),
            );
        }
        if ($fire->closeInC() !== null) {
            $workings[] = new Working(
                'fire.close',
                sprintf(
                    'Coals that burn freely are some 300 K hotter than coals that are starved of air. What they hold of it comes out within minutes of closing the slots, and warms what the cooker stores; it is closed in that much sooner, but not by more than %.0f K.',
                    FireSimulation::MOST_CLOSE_IN_K,
                ),
                [
                    'Closed in at' => sprintf('%.0f °C', $fire->closeInC()),
                    'On the way to' => sprintf('%.0f °C', $step->targetC),
                    'Stores' => sprintf('%.0f kJ/K', $fire->stove->curve->mechanism->storageJK() / 1000.0),
                ],
                Source::of(Mark::Common),
            );
        }
        if ($fire->smokeKg() > 0.0) {
            $workings[] = new Working(
                'fire.smoke',
                'Smoke takes while the meat is cool: so much for each hour of the first three, chunks of some 80 g or handfuls of some 40 g.',
                ['For each hour' => sprintf('%.0f g', 1000.0 * FirePlan::SMOKE_KG_PER_HOUR)],
                Source::of(Mark::Common),
            );
        }
        if ($fire->count() !== null) {
            $workings[] = new Working(
                'fire.count',
                'Twice the pot’s diameter in inches for 165 °C to 175 °C in still mild air, two more for each 13 K; more for wind and cold. Renewed when they have faded to half.',
                $weather,
                Source::of(Mark::Common),
            );
        }
        if ($banking !== null) {
            $workings[] = new Working(
                'fire.banking',
                'Each part is cooked at several heats; what each pile sends to each part is added up; the coals are then shared out so that all parts reach the target in the same time.',
                ['Done together after' => sprintf('%.0f min', $banking->togetherMinutes)],
                Source::computed(),
            );
        }

        return $workings;
    }

    /** @return list<Working> */
    private static function fuel(FirePlan $fire, Fuel $fuel): array
    {
        $bed = [
            'Fuel' => $fuel->name,
            'Heating value' => sprintf('%.1f MJ/kg', $fuel->heatingValueJKg() / 1e6),
            'Grey after' => sprintf('%.0f min', $fuel->ashOverMinutes),
            'An open bed is gone after' => sprintf('%.0f min', $fuel->burnOutMinutes),
        ];

        return [
            new Working('fire.start', $fire->stove->equipment->isVented()
                ? 'As much as can give the heat that is needed to the end, but not three times that heat at once: more would roar at every lid lift. It is renewed when it can only just give it.'
                : 'As much as gives the wanted heat at the meat when it is freshly grey. It is renewed when it has faded to a set share of that.', $bed, $fuel->source()),
            new Working('fire.refuels', $fire->stove->equipment->isVented()
                ? 'Fed when the bed can give only a little more than what holds the target, with what lasts to the end; never so much that it could give three times that.'
                : 'Fed when it has faded to this share of what it gave at first, and then made up to that again; wind at the coals has it fade sooner.',
                ($fire->stove->equipment->isOpen() ? ['Fed at' => sprintf('%.0f %%', 100.0 * $fire->stove->equipment->renewAt($fire->stove->wish->steady))] : []) + ['Refuels' => (string) count($fire->run->refuels), 'Wind' => sprintf('%.1f m/s', $fire->stove->weather->windMs)], Source::of(Mark::Common)),
            new Working(
                'fire.buy',
                'What is laid and added, and one refuel in hand: a cook that runs late still has a fire.',
                [
                    'Laid at first' => sprintf('%.1f kg', $fuel->boughtKg($fire->run->startKg)),
                    'Refuels' => (string) count($fire->run->refuels),
                    'In all' => sprintf('%.1f kg', $fire->usedKg()),
                    'Still there at the end' => sprintf('%.1f kg', $fire->run->leftKg),
                ],
                Source::computed(),
            ),
        ];
    }
}
