<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Fire\CampOvenCount;
use Diatherm\Fire\CoalBed;
use Diatherm\Fire\Fuel;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Rig\Pot;

/** A lidded iron pot with coals below and on the lid, or beside a fire with coals on the lid alone. */
final readonly class CampOven implements Mechanism
{
    /** Share of the coals' heat that the pot takes. Common practice. */
    public const TAKEN = 0.3;

    /** A shovel holds about so many coals of the size of a briquette. Common practice. */
    private const SHOVEL = 12.0;

    public function __construct(public float $diameterM, public string $method, private ?Fuel $fuel = null)
    {
    }

    public function controls(): array
    {
        return [
            new Control('over', 'pieces', 0.0, 60.0, 1.0),
            new Control('under', 'pieces', 0.0, 60.0, 1.0),
        ];
    }

    public function steadyC(Settings $settings, Weather $weather): float
    {
        return CampOvenCount::temperatureC(
            $this->diameterM,
            ($settings->get('over') + $settings->get('under')) / $this->byCoals(),
            $weather->airC,
            $weather->windMs,
            self::rain($weather),
        );
    }

    public function settingsFor(float $targetC, Weather $weather): Settings
    {
        $total = min(
            110.0,
            $this->byCoals() * CampOvenCount::exact($this->diameterM, $targetC, $weather->airC, $weather->windMs, self::rain($weather)),
        );
        $over = CampOvenCount::METHODS[$this->method][0] * $total;

        return Settings::of(['over' => min(60.0, $over), 'under' => min(60.0, $total - $over)]);
    }

    /** The counting rule speaks of coals between grey and renewal, so their mean is what counts. */
    public function hurried(Settings $settings): Settings
    {
        return $settings;
    }

    public function heatW(Settings $settings, float $insideC, Weather $weather): float
    {
        $one = CampOvenCount::counted();

        return self::TAKEN / $this->byCoals() * (
            $settings->get('over') + $settings->get('under')
        ) * CampOvenCount::kgOfOne($one) * CoalBed::freshWKg($one) * CoalBed::meanFade($one, CampOvenCount::refreshMinutes(0.0));
    }

    /** What the rule of counting implies: at its steady temperature the pot loses what its coals give. */
    public function lossW(Settings $settings, float $insideC, Weather $weather): float
    {
        $count = CampOvenCount::exact(
            $this->diameterM,
            max($insideC, $weather->airC),
            $weather->airC,
            $weather->windMs,
            self::rain($weather),
        );

        return $this->heatW(Settings::of(['over' => $this->byCoals() * $count, 'under' => 0.0]), $insideC, $weather);
    }

    public function storageJK(): float
    {
        return Pot::usual($this->diameterM)->ironJK();
    }

    public function doubt(): float
    {
        return 0.15;
    }

    public function inWords(Settings $settings): Message
    {
        [$over, $under] = [$settings->get('over'), $settings->get('under')];
        $where = $this->method === 'beside'
            ? Message::of('settings.coals_and_a_fire', over: Quantity::number($over))
            : Message::of('settings.coals', over: Quantity::number($over), under: Quantity::number($under));

        return match (true) {
            $this->fuel === null || $this->fuel->pieceKg !== null => $where,
            $under < 1.0 => Message::of('settings.shovels_above', coals: $where, over: self::shovels($over)),
            default => Message::of(
                'settings.shovels_above_and_below',
                coals: $where,
                over: self::shovels($over),
                under: self::shovels($under),
            ),
        };
    }

    /** Coals that nobody counts are shovelled. */
    private static function shovels(float $coals): Message
    {
        $halves = (int) round(2.0 * $coals / self::SHOVEL);

        return $halves % 2 === 0
            ? Message::of('settings.shovels', shovels: intdiv($halves, 2))
            : Message::of('settings.half_shovels', shovels: intdiv($halves, 2));
    }

    /** Share of the heat that its coals give. */
    public function byCoals(): float
    {
        return CampOvenCount::METHODS[$this->method][1];
    }

    private static function rain(Weather $weather): float
    {
        return $weather->rain ? 0.15 : 0.0;
    }
}
