<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Measure\Message;

/** How one piece of equipment makes and holds its heat: from its controls to the temperature inside, and back. */
interface Mechanism
{
    /** @return list<Control> in the order of the hand */
    public function controls(): array;

    /**
     * Temperature that it comes to, well fed, °C; never lower for any control opened further.
     */
    public function steadyC(Settings $settings, Weather $weather): float;

    /**
     * Inverse of `steadyC`, by one path through the controls that a cook would take; the nearest end where the target is
     * out of reach.
     */
    public function settingsFor(float $targetC, Weather $weather): Settings;

    /** How its controls stand while it climbs to what these settings hold: slots wide open, burners full. */
    public function hurried(Settings $settings): Settings;

    /** Heat that it gives off inside at these controls when it has all the fuel it can use, W. */
    public function heatW(Settings $settings, float $insideC, Weather $weather): float;

    /** Heat that leaves it, W. */
    public function lossW(Settings $settings, float $insideC, Weather $weather): float;

    /** Heat that its body stores, J/K. */
    public function storageJK(): float;

    /** How much of the difference to a target stays uncertain before anything was logged, as a share of the rise over the air. */
    public function doubt(): float;

    /** Settings in the words of a cook, such as “both slots 6 mm”. */
    public function inWords(Settings $settings): Message;
}
