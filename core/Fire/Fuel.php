<?php

declare(strict_types=1);

namespace Diatherm\Fire;

use Diatherm\Measure\Mark;
use Diatherm\Measure\Message;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Source;
use Diatherm\Measure\Table;
use Diatherm\Measure\Unit;

/** What is burnt. Rows: data/fuels.json. */
final readonly class Fuel
{
    /** Heat that a kilogram of oxygen releases, whatever organic fuel it burns, J/kg. Source: Huggett 1980, within 5 % (from memory). */
    public const HEAT_OF_OXYGEN_J_KG = 13.1e6;

    /** Mass share of oxygen in dry air. Source: US Standard Atmosphere 1976. */
    public const OXYGEN_IN_AIR = 0.2314;

    /** What evaporating the fuel's own water costs, J/kg. Source: latent heat of water at 25 °C, steam tables. */
    private const LATENT_J_KG = 2.44e6;

    /**
     * Share of the heating value that an ordinary charcoal fire gives off; the rest leaves as carbon monoxide and unburnt
     * grains. Common practice.
     */
    public const BURNT = 0.9;

    /**
     * @param  float  $lhvDryJKg  lower heating value of the dry matter, or as burnt where no moisture is stated
     * @param  float  $moisture  share of water, 0 to 0.6
     * @param  float|null  $pieceKg  one piece, where it is counted
     * @param  float  $ashOverMinutes  from the match to grey coals
     * @param  float  $burnOutMinutes  an open bed from grey coals to nothing
     * @param  float|null  $coalsShare  of a wood's mass left as coals
     * @param  float  $radiantShare  of an open bed's heat that leaves as radiation
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $boughtAs,
        private float $lhvDryJKg,
        private float $carbon,
        private float $hydrogen,
        private float $oxygen,
        public float $moisture,
        private float $usualMoisture,
        public ?float $pieceKg,
        public float $ashOverMinutes,
        public float $burnOutMinutes,
        private ?float $coalsShare,
        private ?float $coalsLhvJKg,
        public float $radiantShare,
        public string $use,
        public string $caution,
    ) {
    }

    /** @return array<string, self> by id */
    public static function all(): array
    {
        static $fuels = [];
        if ($fuels === []) {
            /** @var list<array{id: string, name: string, bought_as?: string, lhv_mj_kg: float, carbon: float,
             *   hydrogen: float, oxygen: float, moisture?: float,
             *   piece_g?: float, ash_over_min: float, burn_out_min: float, coals_share?: float, coals_lhv_mj_kg?: float,
             * radiant_share: float, use: string, caution?: string}> $rows
             */
            $rows = Table::named('fuels')['fuels'];
            foreach ($rows as $row) {
                $fuels[$row['id']] = new self(
                    $row['id'], $row['name'], $row['bought_as'] ?? $row['name'], 1e6 * $row['lhv_mj_kg'], $row['carbon'], $row['hydrogen'],
                    $row['oxygen'], $row['moisture'] ?? 0.0, $row['moisture'] ?? 0.0,
                    isset($row['piece_g']) ? $row['piece_g'] / 1000.0 : null, $row['ash_over_min'], $row['burn_out_min'],
                    $row['coals_share'] ?? null, isset($row['coals_lhv_mj_kg'])
                        ? 1e6 * $row['coals_lhv_mj_kg']
                        : null, $row['radiant_share'], $row['use'], $row['caution'] ?? '',
                );
            }
        }

        /** @var array<string, self> $fuels */
        return $fuels;
    }

    /** @throws OutOfRange for an id that is not in the table */
    public static function named(string $id): self
    {
        return self::all()[$id] ?? throw OutOfRange::unknown('fuel', $id);
    }

    /**
     * The same wood, drier or greener than usual. What boils its water away does not feed the flames, so that it takes
     * longer to burn down, as its heating value falls.
     *
     * @param  float  $share  of water in the wet wood, 0 to 0.6
     *
     * @throws OutOfRange
     */
    public function withMoisture(float $share): self
    {
        $wet = self::heatingValue($this->lhvDryJKg, OutOfRange::check('moisture', $share, 0.0, 0.6, Unit::None));

        return new self(
            $this->id,
            $this->name,
            $this->boughtAs,
            $this->lhvDryJKg,
            $this->carbon,
            $this->hydrogen,
            $this->oxygen,
            $share,
            $this->usualMoisture,
            $this->pieceKg,
            $this->ashOverMinutes * $this->heatingValueJKg() / $wet,
            $this->burnOutMinutes,
            $this->coalsShare,
            $this->coalsLhvJKg,
            $this->radiantShare,
            $this->use,
            $this->caution,
        );
    }

    /** Whether it is wood that is burned to coals first. */
    public function isWood(): bool
    {
        return $this->coalsShare !== null;
    }

    /** Lower heating value as burnt, J/kg. */
    public function heatingValueJKg(): float
    {
        return self::heatingValue($this->lhvDryJKg, $this->moisture);
    }

    private static function heatingValue(float $dryJKg, float $moisture): float
    {
        return $dryJKg * (1.0 - $moisture) - self::LATENT_J_KG * $moisture;
    }

    /** Heat that a kilogram of the bed gives off in the end: of the coals, where wood is burned down to them first. */
    public function bedJKg(): float
    {
        return self::BURNT * ($this->coalsLhvJKg ?? $this->heatingValueJKg());
    }

    /** Dry air that burns a kilogram of dry matter and no more, kg. Source: textbook balance of C, H and O. */
    public function stoichiometricAirKgKg(): float
    {
        return (32.0 / 12.011 * $this->carbon + 16.0 / 2.016 * $this->hydrogen - $this->oxygen) / self::OXYGEN_IN_AIR;
    }

    /** What has to be bought for so many kilograms in the bed; of wood, coals are a share of what is dry in it. */
    public function boughtKg(float $bedKg): float
    {
        return $bedKg / ($this->coalsShare ?? 1.0) * (1.0 - $this->usualMoisture) / (1.0 - $this->moisture);
    }

    /** From the match until it can be cooked on, as a cook would plan it: whole five minutes. */
    public function lightMinutes(): float
    {
        return 5.0 * ceil($this->ashOverMinutes / 5.0 - 1e-6);
    }

    /** Pieces in so much of it, to the nearest; null where it is not counted. */
    public function pieces(float $kg): ?int
    {
        return $this->pieceKg === null ? null : (int) round($kg / $this->pieceKg);
    }

    /** A cook's measure of so much in the bed, such as “34 briquettes”. */
    public function inWords(float $kg): Message
    {
        $pieces = $this->pieces($kg);

        return match (true) {
            $pieces !== null => Message::of("fuel.{$this->id}", pieces: $pieces),
            $this->coalsShare === null => Message::of('fuel.mass_of', mass: Quantity::kg($kg, 1), fuel: lcfirst($this->name)),
            default => Message::of('fuel.mass_of_coals', mass: Quantity::kg($kg, 1)),
        };
    }

    /** The part of a chimney that it fills, 0 upwards. */
    public static function chimneys(float $kg): float
    {
        return $kg / self::chimneyKg();
    }

    /** One chimney of charcoal, the middle of its usual range. Common practice. */
    public static function chimneyKg(): float
    {
        /** @var array{kg: array{float, float}} $row */
        $row = Table::named('fuels')['chimney'];

        return 0.5 * ($row['kg'][0] + $row['kg'][1]);
    }

    public function source(): Source
    {
        return Source::of(Mark::Memory, 'lower heating values as in fuel handbooks');
    }
}
