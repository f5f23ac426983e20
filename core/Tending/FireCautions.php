<?php

declare(strict_types=1);

namespace Diatherm\Tending;

use Diatherm\Cooker\CampOven;
use Diatherm\Cooker\GasGrill;
use Diatherm\Cooker\Thermostat;
use Diatherm\Measure\Mark;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
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
                Message::of('fire_caution.charcoal_and_wood_burn_outdoors'),
                Source::of(Mark::Common),
            );
        }
        if ($fire->stove->fuel !== null && $fire->stove->fuel->caution !== '') {
            $cautions[] = new Caution('solvent', Message::of('words.text', text: $fire->stove->fuel->caution), Source::of(Mark::Common));
        }
        if ($fire->stove->fuel?->isWood() === true) {
            $cautions[] = new Caution(
                'wood',
                Message::of('fire_caution.clean_dry_untreated_wood'),
                Source::of(Mark::Common),
            );
        }
        if ($fire->stove->equipment->isOpen()) {
            $cautions[] = new Caution(
                'flare',
                Message::of('fire_caution.fat_on_coals_flares_up'),
                Source::of(Mark::Common),
            );
        }
        if ($fire->stove->curve->mechanism instanceof CampOven) {
            $cautions[] = new Caution(
                'steam',
                Message::of('fire_caution.lift_the_lid_away_from'),
                Source::of(Mark::Common),
            );
        }
        if ($fire->stove->curve->mechanism instanceof GasGrill) {
            $cautions[] = new Caution(
                'gas',
                Message::of('fire_caution.lid_open_to_light_leaks'),
                Source::of(Mark::Common),
            );
        }
        if ($fire->stove->curve->mechanism instanceof Thermostat && $fire->feed() === null) {
            $cautions[] = new Caution(
                'electric',
                Message::of('fire_caution.dry_grounded_on_a_circuit'),
                Source::of(Mark::Common),
            );
        }
        foreach ($fire->steps as $step) {
            if (! $step->reached) {
                $cautions[] = new Caution(
                    'out_of_reach',
                    Message::of(
                        $step->steadyC->likely < $step->targetC
                            ? 'fire_caution.does_not_reach'
                            : 'fire_caution.does_not_go_so_low',
                        cooker: $fire->stove->name,
                        target: Quantity::celsius($step->targetC),
                        steady: Quantity::celsius($step->steadyC->likely),
                    ),
                    Source::computed(),
                );
                break;
            }
        }

        return $cautions;
    }
}
