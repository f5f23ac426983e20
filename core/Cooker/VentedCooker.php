<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Fire\Fuel;
use Diatherm\Fire\Stack;
use Diatherm\Measure\Bisection;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Unit;

/**
 * Charcoal under a lid: heat is air. What the stack draws through the intake and exhaust burns coal; what that gives off
 * leaves through the walls and with the flue gas.
 */
final readonly class VentedCooker implements Mechanism
{
    /**
     * Share of the oxygen drawn in that meets coal. Common practice: a vented grill gives about 0.2 kW for each cm² of
     * effective opening.
     */
    private const OXYGEN_USED = 0.6;

    /** Specific heat of flue gas, J/(kg·K). Source: Incropera & DeWitt, Table A.4, air at 400 K. */
    private const GAS_J_KG_K = 1014.0;

    /** What a lid and its seal are made for; more air than that asks for is not followed. Common practice. */
    private const HOTTEST_C = 450.0;

    /**
     * @param  float  $lossWK  through its walls in still air, 1 to 100 W/K
     * @param  float  $filmShare  of the walls' resistance that lies in the outer film
     * @param  float  $intakeCm  length of the slot that opens by millimetres, all slots together
     * @param  float  $leaksCm2  that no hand can close
     * @param  float|null  $exhaustSharesMm  the exhaust stands here and the intake does the work; null: both move together
     */
    public function __construct(
        private float $lossWK,
        private float $filmShare,
        private float $storageJK,
        private float $heightM,
        private float $intakeCm,
        private float $intakeMostMm,
        private float $exhaustCm,
        private float $exhaustMostMm,
        private float $leaksCm2,
        private ?float $exhaustSharesMm,
    ) {
    }

    public function controls(): array
    {
        return [
            new Control('intake_mm', 'mm', 0.0, $this->intakeMostMm, 0.5),
            new Control('exhaust_mm', 'mm', 0.0, $this->exhaustMostMm, 0.5),
        ];
    }

    public function hurried(Settings $settings): Settings
    {
        return Settings::of(['intake_mm' => $this->intakeMostMm, 'exhaust_mm' => $this->exhaustMostMm]);
    }

    public function steadyC(Settings $settings, Weather $weather): float
    {
        $gain = fn (float $inside): float => $this->heatW($settings, $inside, $weather) - $this->lossW($settings, $inside, $weather);

        return $gain(self::HOTTEST_C) > 0.0 ? self::HOTTEST_C : Bisection::root($gain, $weather->airC + 0.5, self::HOTTEST_C, 0.01);
    }

    public function settingsFor(float $targetC, Weather $weather): Settings
    {
        $at = fn (float $open): Settings => Settings::of([
            'intake_mm' => $open * $this->intakeMostMm,
            'exhaust_mm' => $this->exhaustSharesMm === null
                ? $open * $this->exhaustMostMm
                : max($this->exhaustSharesMm, min(1.0, 2.0 * $open) * $this->exhaustMostMm),
        ]);

        return $at(Bisection::root(fn (float $open): float => $this->steadyC($at($open), $weather) - $targetC, 0.0, 1.0, 1e-5));
    }

    public function heatW(Settings $settings, float $insideC, Weather $weather): float
    {
        return $this->airKgS($settings, $insideC, $weather) * Fuel::OXYGEN_IN_AIR * Fuel::HEAT_OF_OXYGEN_J_KG * self::OXYGEN_USED;
    }

    public function lossW(Settings $settings, float $insideC, Weather $weather): float
    {
        $rise = $insideC - $weather->airC;

        return $this->lossWK * $weather->lossFactor($this->filmShare) * $rise + $this->airKgS(
            $settings,
            $insideC,
            $weather,
        ) * self::GAS_J_KG_K * $rise;
    }

    public function storageJK(): float
    {
        return $this->storageJK;
    }

    public function doubt(): float
    {
        return 0.12;
    }

    public function inWords(Settings $settings): Message
    {
        [$intake, $exhaust] = array_map(
            fn (string $id): Quantity => Quantity::of(round(2.0 * $settings->get($id)) / 2.0, Unit::Millimetre, null),
            ['intake_mm', 'exhaust_mm'],
        );

        return $intake->value === $exhaust->value
            ? Message::of('settings.both_slots', both: $intake)
            : Message::of('settings.slots', lower: $intake, upper: $exhaust);
    }

    private function airKgS(Settings $settings, float $insideC, Weather $weather): float
    {
        $open = Stack::inSeriesM2(
            1e-5 * $this->intakeCm * $settings->get('intake_mm'),
            1e-5 * $this->exhaustCm * $settings->get('exhaust_mm'),
        ) + 1e-4 * $this->leaksCm2;

        return Stack::flowKgS($open, $this->heightM, $insideC, $weather->airC, $weather->altitudeM, $weather->groundWindMs());
    }
}
