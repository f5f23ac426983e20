<?php

declare(strict_types=1);

namespace Diatherm\Food;

use Diatherm\Measure\Mark;
use Diatherm\Measure\Message;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Source;
use Diatherm\Measure\Table;

/** Something that is done to a cut before it goes on, with the time that it wants. Rows: data/preparations.json. */
final readonly class Preparation
{
    /** Where meat thaws, and what the middle of a stuffing has to reach, °C. Source: USDA FSIS, The Big Thaw; Turkey Basics: Stuffing. */
    private const REFRIGERATOR_C = 4.0;

    private const STUFFING_C = 74.0;

    /** What takes longer is not handwork but waiting. Common practice. */
    private const LONGEST_HANDWORK_HOURS = 0.5;

    /**
     * @param  array{float, float, float}|null  $hours  least, best, most; null where a rule computes them
     * @param  list<string>  $kinds  of food that it suits
     * @param  float  $halfFactor  on the half-thickness of the whole
     * @param  float  $layerM2KW  thermal resistance of what it lays round the meat, m²K/W
     * @param  bool  $seals  whether no moisture leaves through it
     * @param  bool  $foil  whether it shines, and so takes up little radiation
     * @param  bool  $crowds  whether pieces are laid so that they touch
     */
    private function __construct(
        public string $id,
        public string $name,
        private ?string $rule,
        private ?array $hours,
        public ?float $mlPerKg,
        public array $kinds,
        public float $halfFactor,
        public float $layerM2KW,
        public bool $seals,
        public bool $foil,
        public bool $crowds,
        public Source $source,
    ) {
    }

    /** Whether it can be done to food that was on the heat already: some minutes of work that leave its shape as it is. */
    public function isBetweenSteps(): bool
    {
        return $this->isHandwork()
            && $this->hours !== null
            && $this->mlPerKg === null
            && $this->halfFactor === 1.0
            && ! $this->crowds;
    }

    /** Whether hands are at it all the time; anything else is begun and waits by itself. */
    public function isHandwork(): bool
    {
        return $this->rule === null && ($this->hours[1] ?? 0.0) <= self::LONGEST_HANDWORK_HOURS;
    }

    public function isThawing(): bool
    {
        return in_array($this->rule, ['thaw_fridge', 'thaw_water'], true);
    }

    /** What it asks of hands then. */
    public function handworkMinutes(): float
    {
        return 60.0 * ($this->hours[1] ?? 0.0);
    }

    /** @return array<string, self> in the order of the work */
    public static function all(): array
    {
        static $all = [];

        /** @var array<string, self> */
        return $all === [] ? $all = self::read() : $all;
    }

    /** @return array<string, self> */
    private static function read(): array
    {
        /**
         * @var list<array{id: string, name: string, rule?: string, hours?: array{float, float, float}, ml_per_kg?: float,
         *     kinds: list<string>, half_factor?: float, layer_mm?: float, layer_w_mk?: float, seals?: bool,
         *     foil?: bool, crowds?: bool, mark: string, citation?: string}> $rows
         */
        $rows = Table::named('preparations')['preparations'];
        $all = [];
        foreach ($rows as $row) {
            $all[$row['id']] = new self(
                $row['id'],
                $row['name'],
                $row['rule'] ?? null,
                $row['hours'] ?? null,
                $row['ml_per_kg'] ?? null,
                $row['kinds'],
                $row['half_factor'] ?? 1.0,
                ($row['layer_mm'] ?? 0.0) / 1000.0 / ($row['layer_w_mk'] ?? 1.0),
                $row['seals'] ?? false,
                $row['foil'] ?? false,
                $row['crowds'] ?? false,
                Source::of(Mark::from($row['mark']), $row['citation'] ?? ''),
            );
        }

        return $all;
    }

    /** @throws OutOfRange for an id that is not in the table */
    public static function named(string $id): self
    {
        return self::all()[$id] ?? throw OutOfRange::unknown('preparation', $id);
    }

    /** How it is done, in few words. */
    public function how(): Message
    {
        return Message::of(
            "preparation.{$this->id}",
            cold: Quantity::celsius(self::REFRIGERATOR_C),
            hot: Quantity::celsius(self::STUFFING_C),
        );
    }

    /** Place in the order of the work, from 0. */
    public function order(): int
    {
        return (int) array_search($this->id, array_keys(self::all()), true);
    }

    /**
     * @param  float  $massKg  of one piece; pieces are prepared side by side
     * @param  float  $halfThicknessM  of the joint
     * @param  string  $kind  of food, as a cut has it
     */
    public function window(float $massKg, float $halfThicknessM, string $kind): PreparationWindow
    {
        return match ($this->rule) {
            'thaw_fridge' => Thawing::fridge($massKg),
            'thaw_water' => Thawing::coldWater($massKg),
            'dry_brine' => Brine::dry($halfThicknessM, $kind),
            'wet_brine' => Brine::wet($halfThicknessM, $kind),
            // Common practice: 20 to 30 minutes for a steak-like piece, overnight for a big joint.
            'rub' => $halfThicknessM < 0.035 ? new PreparationWindow(0.33, 0.5, 2.0) : new PreparationWindow(0.5, 12.0, 24.0),
            default => new PreparationWindow(...$this->hours ?? [0.0, 0.0, 0.0]),
        };
    }
}
