<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Fire\CampOvenCount;
use Diatherm\Measure\Input;
use Diatherm\Measure\Mark;
use Diatherm\Measure\Message;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Source;
use Diatherm\Measure\Working;

/** Why a cooker's curve answers as it does. */
final class CookerExplanation
{
    /** @return list<Working> */
    public static function of(OwnCurve $curve): array
    {
        $seen = [
            Input::of('settled_readings', $curve->settled),
            ...($curve->seen === null ? [] : [Input::of(
                'rises_seen',
                Message::of('why_cooker.from_to', least: Quantity::kelvin($curve->seen[0]), most: Quantity::kelvin($curve->seen[1])),
            )]),
        ];

        return [
            new Working(
                'curve',
                Message::sentences(
                    self::physics($curve->mechanism),
                    Message::of('why_cooker.bent'),
                ),
                $seen,
                Source::computed(),
            ),
            new Working(
                'pace',
                Message::of('why_cooker.pace'),
                [Input::of('warm_up_over_kind', Quantity::number($curve->warmUpFactor->likely, 2))],
                Source::computed(),
            ),
            new Working(
                'recovery',
                Message::of('why_cooker.recovery', share: Quantity::percent(95.0)),
                [Input::of('its_kinds', Quantity::minutes($curve->equipment->kind->recoveryMinutes))],
                Source::of(Mark::Common),
            ),
        ];
    }

    /** The rule of each kind, in a sentence or two. */
    public static function physics(Mechanism $mechanism): Message
    {
        return match (true) {
            $mechanism instanceof VentedCooker => Message::of('why_cooker.vents'),
            $mechanism instanceof GasGrill => Message::of('why_cooker.gas'),
            $mechanism instanceof Thermostat => Message::of('why_cooker.thermostat'),
            $mechanism instanceof OpenFire => Message::of('why_cooker.open_fire'),
            $mechanism instanceof CampOven => Message::of('why_cooker.camp_oven', ...CampOvenCount::ruleOfThumb()),
            default => throw OutOfRange::unknown('mechanism', $mechanism::class),
        };
    }
}
