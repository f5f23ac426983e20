<?php

declare(strict_types=1);

namespace Diatherm\Tending;

use Diatherm\Cooker\CampOven;
use Diatherm\Cooker\GasGrill;
use Diatherm\Cooker\Thermostat;
use Diatherm\Measure\Mark;
use Diatherm\Measure\Source;
use Diatherm\Safety\Caution;

/** What can hurt someone at a fire, said once each; local codes, the maker's manual and licensed trades come first. */
final class FireCautions
{
    /** @return list<Caution> of this fire, once each */
    public static function of(FirePlan $fire): array
    {
        $cautions = [];
        if ($fire->stove->fuel !== null || $fire->use->buried) {
            $cautions[] = new Caution(
                'carbon_monoxide',
                'Charcoal and wood burn outdoors only, never in a tent, garage or porch: carbon monoxide has no smell. Local fire bans and permits come first; drown, stir and feel the ashes when done.',
                Source::of(Mark::Common),
            );
        }
        if ($fire->stove->fuel !== null && $fire->stove->fuel->caution !== '') {
            $cautions[] = new Caution('solvent', $fire->stove->fuel->caution, Source::of(Mark::Common));
        }
        if ($fire->stove->fuel?->isWood() === true) {
            $cautions[] = new Caution(
                'wood',
                'Clean, dry, untreated wood of a kind you know; no wet river stones round the fire, they burst.',
                Source::of(Mark::Common),
            );
        }
        if ($fire->stove->equipment->isOpen()) {
            $cautions[] = new Caution(
                'flare',
                'Fat on coals flares up: move the meat off, or cover it; never water.',
                Source::of(Mark::Common),
            );
        }
        if ($fire->stove->curve->mechanism instanceof CampOven) {
            $cautions[] = new Caution(
                'steam',
                'Lift the lid away from you: the steam burns. A full pot is hot and heavy: gloves and a hook, and two of you or a wait; the lid on clean stones, not in the dirt.',
                Source::of(Mark::Common),
            );
        }
        if ($fire->stove->curve->mechanism instanceof GasGrill) {
            $cautions[] = new Caution(
                'gas',
                'Lid open to light; leaks are found with soapy water. The maker’s manual and licensed fitters decide. A fat fire: burners off, lid down, never water.',
                Source::of(Mark::Common),
            );
        }
        if ($fire->stove->curve->mechanism instanceof Thermostat && $fire->feed() === null) {
            $cautions[] = new Caution(
                'electric',
                'Dry, grounded, on a circuit of its own, clear of walls; the maker’s manual decides.',
                Source::of(Mark::Common),
            );
        }
        foreach ($fire->steps as $step) {
            if (! $step->reached) {
                $cautions[] = new Caution(
                    'out_of_reach',
                    sprintf(
                        $step->steadyC->likely < $step->targetC
                            ? '%s does not reach %.0f °C in this weather: it comes to about %.0f °C, and the hours count with that. Shelter it, or plan for less.'
                            : '%s does not go as low as %.0f °C: it comes to about %.0f °C, and the hours count with that.',
                        $fire->stove->name,
                        $step->targetC,
                        $step->steadyC->likely,
                    ),
                    Source::computed(),
                );
                break;
            }
        }

        return $cautions;
    }
}
