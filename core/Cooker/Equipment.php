<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Fire\CampOvenCount;
use Diatherm\Fire\Fuel;
use Diatherm\Fire\Pile;
use Diatherm\Measure\Message;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Table;
use Diatherm\Measure\Unit;

/** One cooker as it stands in the yard: its kind and the handful of facts that make it this one. Kinds: data/equipment.json. */
final readonly class Equipment
{
    /** A fire that is kept steady is fed when it has faded to this share. Common practice. */
    private const STEADY_AT = 0.65;

    /**
     * @param  array<string, float>  $facts
     * @param  array<string, mixed>  $row  of data/equipment.json
     */
    private function __construct(
        public Cooker $kind,
        public array $facts,
        private array $row,
    ) {
    }

    /**
     * @param  array<string, float>  $facts  that differ from the usual ones
     *
     * @throws OutOfRange for a kind without a fire or a setting, or a fact outside its range
     */
    public static function of(string $kind, array $facts = []): self
    {
        $row = self::rows()[$kind] ?? throw OutOfRange::unknown('cooker_with_settings', $kind);
        $known = [];
        foreach (self::factsOf($kind) as $id => $fact) {
            $known[$id] = OutOfRange::check(
                Message::of('words.text', text: lcfirst($fact->name)),
                $facts[$id] ?? $fact->usual,
                $fact->least,
                $fact->most,
                $fact->unit,
            );
        }

        return new self(CookerShed::kind($kind), $known, $row);
    }

    public static function has(string $kind): bool
    {
        return isset(self::rows()[$kind]);
    }

    /** @return list<string> kinds that can be owned */
    public static function kinds(): array
    {
        return array_keys(self::rows());
    }

    /** @return array<string, Fact> by id */
    public static function factsOf(string $kind): array
    {
        $facts = [];
        /** @var array<string, array{string, string, float, float, float}> $rows */
        $rows = self::rows()[$kind]['facts'] ?? [];
        foreach ($rows as $id => [$name, $unit, $usual, $least, $most]) {
            $facts[$id] = new Fact($id, $name, Unit::from($unit), $usual, $least, $most);
        }

        return $facts;
    }

    /** What is special about the kind; empty for nothing. */
    public function note(): string
    {
        /** @var string */
        return $this->row['note'] ?? '';
    }

    /** @return list<Fuel> that it burns; the usual one first */
    public function fuels(): array
    {
        /** @var list<string> $ids */
        $ids = $this->row['fuels'];

        return array_map(Fuel::named(...), $ids);
    }

    /** @return array<string, string> id => name of the ways to lay its coals; the usual one first */
    public function layouts(): array
    {
        /** @var list<string> $ids */
        $ids = $this->row['layouts'];

        return array_combine($ids, array_map(fn (string $id): string => self::layout($id)['name'], $ids));
    }

    /** @return list<Pile> so much coal on its floor in that layout; none where there is no floor to see */
    public function piles(string $layout, float $kg): array
    {
        $floor = $this->floor();

        return $floor === null
            ? []
            : array_map(
                fn (array $at): Pile => Pile::of(0.5 * $at[0] * $floor['length'], 0.5 * $at[1] * $floor['width'], $at[2] * $kg),
                self::layout($layout)['piles'],
            );
    }

    public function isOpen(): bool
    {
        return $this->row['mechanism'] === 'open';
    }

    /** Whether it has one heat, with nothing to set. */
    public function isFixed(): bool
    {
        return ($this->row['fixed'] ?? false) === true;
    }

    /** Whether coals are laid in it, and not a knob turned. */
    public function burnsCoals(): bool
    {
        return ($this->fuels()[0]->use ?? '') === 'bed';
    }

    /** Whether wood is laid on its coals, or in a box over its burner, for the smoke. */
    public function takesSmokeWood(): bool
    {
        return $this->isVented() || $this->kind->light === 'gas' && $this->kind->lid;
    }

    public function isVented(): bool
    {
        return $this->row['mechanism'] === 'vented';
    }

    /**
     * Open beds are renewed when they have faded to this share; 0 to 1.
     *
     * @param  bool  $steady  little and often
     */
    public function renewAt(bool $steady = false): float
    {
        return $steady ? max(self::STEADY_AT, $this->number('renew_at', 0.5)) : $this->number('renew_at', 0.5);
    }

    /** Whether a second fire out of the way makes the next coals. */
    public function hasSecondFire(): bool
    {
        return $this->kind->light === 'wood' && $this->isOpen();
    }

    /**
     * @return array{length: float, width: float, height: float, round: bool}|null the fire seen from above, m; null where
     *     there is none to see
     */
    public function floor(): ?array
    {
        if ($this->isOpen()) {
            return [
                'length' => $this->metres('length_cm'), 'width' => $this->metres('width_cm'),
                'height' => $this->metres('height_cm'), 'round' => false,
            ];
        }
        /** @var array{height_cm: float, round?: bool, length_cm?: float, width_cm?: float}|null $floor */
        $floor = $this->row['floor'] ?? null;

        return $floor === null ? null : [
            'length' => 0.01 * ($floor['length_cm'] ?? $this->facts['diameter_cm']),
            'width' => 0.01 * ($floor['width_cm'] ?? $this->facts['diameter_cm']),
            'height' => 0.01 * $floor['height_cm'],
            'round' => $floor['round'] ?? false,
        ];
    }

    /**
     * @param  Fuel|null  $fuel  null for the usual one
     * @param  string|null  $layout  of the coals, or the method of a camp oven; null for the usual one
     * @param  list<Pile>|null  $piles  of an open fire, laid by hand in place of a layout
     */
    public function mechanism(?Fuel $fuel = null, ?string $layout = null, ?array $piles = null): Mechanism
    {
        return match ($this->row['mechanism']) {
            'vented' => $this->vented(),
            'gas' => $this->gas(),
            'open' => new OpenFire(
                $this->metres('length_cm'),
                $this->metres('width_cm'),
                $this->metres('height_cm'),
                $fuel ?? $this->fuels()[0],
                $piles ?? $this->piles($layout ?? array_key_first($this->layouts()) ?? 'even', 1.0),
            ),
            'camp_oven' => new CampOven(
                $this->metres('diameter_cm'),
                $layout !== null && array_key_exists($layout, CampOvenCount::METHODS) ? $layout : 'roast',
                $fuel,
            ),
            default => $this->thermostat(),
        };
    }

    private function vented(): VentedCooker
    {
        $size = ($this->facts['diameter_cm'] / $this->number('loss_at_cm', 57.0)) ** 2;

        return new VentedCooker(
            $this->number(
                'loss_w_k',
                15.0,
            ) * $size, $this->number('film_share', 0.6), 1000.0 * $this->number('storage_kj_k', 7.0) * $size, $this->number('stack_m', 0.5),
            $this->facts['intake_cm'], $this->facts['intake_most_mm'], $this->facts['exhaust_cm'], $this->facts['exhaust_most_mm'],
            $this->facts['leaks_cm2'],
            isset($this->row['exhaust_share']) ? $this->number('exhaust_share', 0.5) * $this->facts['exhaust_most_mm'] : null,
        );
    }

    private function gas(): GasGrill
    {
        $count = (int) $this->facts['burners'];
        // A bigger box for more burners: walls and open back grow with the grate.
        $size = $count / 3.0;

        return new GasGrill(
            array_fill(
                0,
                $count,
                1000.0 * $this->facts['burner_kw'],
            ), 1000.0 * ($this->facts['rear_kw'] ?? 0.0), ($this->row['direct'] ?? false) === true
                ? null
                : min($count, (int) $this->facts['meat_over']) - 1,
            $this->number(
                'loss_w_k',
                12.0,
            ) * $size, $this->number(
                'draught_w_k15',
                2.5,
            ) * $size, $this->number('film_share', 0.6), 1000.0 * $this->number('storage_kj_k', 24.0) * $size,
        );
    }

    private function thermostat(): Thermostat
    {
        return new Thermostat(
            $this->kind->leastC, ($this->row['fixed'] ?? false) === true
                ? $this->kind->defaultC
                : $this->kind->mostC, 1000.0 * $this->facts['most_kw'], $this->facts['swing_k'],
            isset($this->row['smoke_below_c']) ? $this->number('smoke_below_c', 0.0) : null, ($this->row['fixed'] ?? false) === true,
            $this->number('loss_w_k', 10.0), $this->number('film_share', 0.5), 1000.0 * $this->number('storage_kj_k', 10.0),
        );
    }

    private function number(string $key, float $default): float
    {
        $value = $this->row[$key] ?? $default;

        return is_int($value) || is_float($value) ? (float) $value : $default;
    }

    private function metres(string $fact): float
    {
        return 0.01 * $this->facts[$fact];
    }

    /** @return array<string, array<string, mixed>> */
    private static function rows(): array
    {
        /** @var array<string, array<string, mixed>> */
        return Table::named('equipment')['kinds'];
    }

    /** @return array{name: string, piles: list<array{float, float, float}>} */
    private static function layout(string $id): array
    {
        /** @var array<string, array{name: string, piles: list<array{float, float, float}>}> $layouts */
        $layouts = Table::named('equipment')['layouts'];

        return $layouts[$id] ?? throw OutOfRange::unknown('layout', $id);
    }
}
