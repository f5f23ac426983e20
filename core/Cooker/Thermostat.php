<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;

/** A cooker that holds a set temperature by itself while its heat suffices: pellet grill, lidded roaster, kitchen oven. */
final readonly class Thermostat implements Mechanism
{
    /**
     * @param  float  $mostW  all the heat it has
     * @param  float  $swingK  to either side of the set point, at an ordinary setting
     * @param  float|null  $smokeBelowC  under it, it smoulders for smoke and swings twice as far; null for none
     * @param  bool  $fixed  one heat only, with nothing to set
     */
    public function __construct(
        public float $leastC,
        public float $mostC,
        public float $mostW,
        public float $swingK,
        public ?float $smokeBelowC,
        public bool $fixed,
        private float $lossWK,
        private float $filmShare,
        private float $storageJK,
    ) {
    }

    public function controls(): array
    {
        return $this->fixed ? [] : [new Control('set_c', '°C', $this->leastC, $this->mostC, 5.0)];
    }

    public function steadyC(Settings $settings, Weather $weather): float
    {
        $reach = $weather->airC + $this->mostW / $this->wallsWK($weather);

        return $this->fixed ? min($reach, $this->mostC) : min($reach, $settings->get('set_c'));
    }

    public function settingsFor(float $targetC, Weather $weather): Settings
    {
        return Settings::of($this->fixed ? [] : ['set_c' => min($this->mostC, max($this->leastC, $targetC))]);
    }

    /** Full heat while it is under its setting, what it loses once there. */
    public function hurried(Settings $settings): Settings
    {
        return $settings;
    }

    public function heatW(Settings $settings, float $insideC, Weather $weather): float
    {
        $short = $this->steadyC($settings, $weather) - $insideC;

        return max(0.0, min($this->mostW, $this->lossW($settings, $insideC, $weather) + self::EAGER_W_K * $short));
    }

    public function lossW(Settings $settings, float $insideC, Weather $weather): float
    {
        return $this->wallsWK($weather) * ($insideC - $weather->airC);
    }

    public function storageJK(): float
    {
        return $this->storageJK;
    }

    public function doubt(): float
    {
        return 0.05;
    }

    public function inWords(Settings $settings): Message
    {
        if ($this->fixed) {
            return Message::of('settings.one_heat');
        }
        $set = $settings->get('set_c');

        return Message::of(
            $this->smokeBelowC !== null && $set < $this->smokeBelowC ? 'settings.set_to_smoke' : 'settings.set_to',
            set: Quantity::celsius($set),
        );
    }

    /** How far the temperature swings about the setting, K. */
    public function swingAtK(float $setC): float
    {
        return $this->smokeBelowC !== null && $setC < $this->smokeBelowC ? 2.0 * $this->swingK : $this->swingK;
    }

    /** Full heat from some ten kelvin short of the setting on. */
    private const EAGER_W_K = 150.0;

    private function wallsWK(Weather $weather): float
    {
        return $this->lossWK * $weather->lossFactor($this->filmShare);
    }
}
