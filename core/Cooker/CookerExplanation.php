<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Measure\Mark;
use Diatherm\Measure\Source;
use Diatherm\Measure\Working;

/** Why a cooker's curve answers as it does. */
final class CookerExplanation
{
    /** @return list<Working> */
    public static function of(OwnCurve $curve): array
    {
        $seen = ['Settled readings' => (string) $curve->settled] + (
            $curve->seen === null ? [] : ['Rises that were seen' => sprintf('%.0f K to %.0f K', ...$curve->seen)]
        );

        return [
            new Working(
                'curve',
                self::physics($curve->mechanism)
                    .' What was logged on this one bends that curve: the rise that was read over the rise computed, as a straight line between logarithms, each reading counting by how well it lies with the others. One such line in ten would lie below the band, one in ten above it.',
                $seen,
                Source::computed(),
            ),
            new Working(
                'pace',
                'What its body stores over what it loses for each kelvin: after this time two thirds of the way is done. Readings taken while it warmed up correct it.',
                ['Warm-up over its kind’s' => sprintf('%.2f', $curve->warmUpFactor->likely)],
                Source::computed(),
            ),
            new Working(
                'recovery',
                'Until 95 % of what an open lid lost has come back. Readings taken after lid lifts correct it.',
                ['Its kind’s' => sprintf('%.0f min', $curve->equipment->kind->recoveryMinutes)],
                Source::of(Mark::Common),
            ),
        ];
    }

    /** The rule of each kind, in a sentence or two. */
    public static function physics(Mechanism $mechanism): string
    {
        return match (true) {
            $mechanism instanceof VentedCooker => 'Heat is air: the stack draws air through both slots, coal burns as much as that air’s oxygen allows, and the walls and the flue gas carry the heat off.',
            $mechanism instanceof GasGrill => 'Burner power against what the walls lose and what the open back lets out, which grows with the rise and its root.',
            $mechanism instanceof Thermostat => 'It holds what it is set to while its heat suffices against what the walls lose.',
            $mechanism instanceof OpenFire => 'Every coal sends heat to the meat by how it is seen from there. The temperature is that of a black wall which would give the same.',
            $mechanism instanceof CampOven => 'Twice the pot’s diameter in inches holds 165 to 175 °C in still mild air; two more for each 13 K; more for wind and cold.',
            default => '',
        };
    }
}
