<?php

declare(strict_types=1);

namespace Diatherm\Food;

use Diatherm\Measure\Mark;
use Diatherm\Measure\Message;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Source;
use Diatherm\Measure\Table;
use Diatherm\Measure\Unit;

/**
 * Something that is done to a cut before it goes on, with the time that it wants: a row of data/preparations.json, one whose time or
 * mix the cook chose, or a step of the cook's own.
 */
final readonly class Preparation
{
    public const LONGEST_HOURS = 240.0;

    public const LONGEST_HANDWORK_MINUTES = 240.0;

    /** Where meat thaws, and what the middle of a stuffing has to reach, °C. Source: USDA FSIS, The Big Thaw; Turkey Basics: Stuffing. */
    private const REFRIGERATOR_C = 4.0;

    private const STUFFING_C = 74.0;

    /** A long wait is taken as meant to a fifth: eighteen hours need not begin at one in the morning. Common practice. */
    private const LOOSE = 0.2;

    private const LOOSE_FROM_HOURS = 4.0;

    /** What takes longer is not handwork but waiting. Common practice. */
    private const LONGEST_HANDWORK_HOURS = 0.5;

    /**
     * @param  array{float, float, float}|null  $hours  least, best, most; null where a rule computes them
     * @param  list<string>  $fits  kinds of food, groups of cuts, and cuts
     * @param  list<string>  $butForms  forms of a cut that it does not suit
     * @param  list<string>  $butWith  other preparations that exclude it
     * @param  list<string>  $after  preparations that come before it by nature, where both are done
     * @param  float|null  $keepsMinutes  from then until the dish goes on, at most; null where that does not matter
     * @param  float  $halfFactor  on the half-thickness of the whole
     * @param  float  $layerM2KW  thermal resistance of what it lays round the meat, m²K/W
     * @param  bool  $seals  whether no moisture leaves through it
     * @param  bool  $foil  whether it shines, and so takes up little radiation
     * @param  bool  $crowds  whether pieces are laid so that they touch
     * @param  bool  $fills  whether what it puts inside counts as stuffing
     * @param  bool  $isBetweenSteps  whether it can be done to food that was on the heat already
     * @param  list<string>  $needs  kit, by id
     * @param  Mix|null  $mix  what goes on or into the food with it
     * @param  bool  $isHandwork  whether hands are at it all the time; anything else is begun and waits by itself
     * @param  bool  $isCold  whether the food is in the refrigerator while it waits
     * @param  bool  $isTimed  whether the cook said how long it takes
     * @param  Mix|null  $makes  what it makes for one that follows; null for work on the food itself
     * @param  bool  $isMixMade  whether its mix is made by work of its own before
     * @param  string|null  $own  the cook's own words; null for a row of the table
     */
    private function __construct(
        public string $id,
        public string $name,
        private ?string $rule,
        private ?array $hours,
        public ?float $mlPerKg,
        private array $fits,
        public array $butForms,
        public array $butWith,
        public array $after,
        public ?float $keepsMinutes,
        public float $halfFactor,
        public float $layerM2KW,
        public bool $seals,
        public bool $foil,
        public bool $crowds,
        public bool $fills,
        public bool $isBetweenSteps,
        public array $needs,
        public ?Mix $mix,
        public bool $isHandwork,
        public bool $isCold,
        public Source $source,
        public bool $isTimed = false,
        public ?string $own = null,
        public ?Mix $makes = null,
        public bool $isMixMade = false,
    ) {
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

    /** Hours that the cook said it takes; null where they did not. */
    public function hoursAsTimed(): ?float
    {
        return $this->isTimed ? $this->hours[1] ?? 0.0 : null;
    }

    /** @return array<string, self> by id, in the usual order of the work */
    public static function all(): array
    {
        static $all = [];

        /** @var array<string, self> */
        return $all === [] ? $all = self::read() : $all;
    }

    /** @throws OutOfRange for an id that is not in the table */
    public static function named(string $id): self
    {
        return self::all()[$id] ?? throw OutOfRange::unknown('preparation', $id);
    }

    /** The row that an id means for a cut: what an older file called by another name keeps its meaning. */
    public static function forCut(string $id, ?Cut $cut): self
    {
        foreach (self::renamed() as $new => $was) {
            if ($was === $id && $cut !== null && self::named($new)->suits($cut)) {
                return self::named($new);
            }
        }

        return self::named($id);
    }

    /**
     * A step of the cook's own.
     *
     * @param  int  $number  from 1, among those of one dish
     * @param  float|null  $hours  that it waits; null for handwork
     * @param  float  $minutes  of hands, where it is handwork
     *
     * @throws OutOfRange
     */
    public static function own(int $number, string $words, ?float $hours, float $minutes, bool $isCold): self
    {
        OutOfRange::check('hours', $hours ?? 1.0, 0.05, self::LONGEST_HOURS, Unit::Hour);
        OutOfRange::check('minutes', $minutes, 0.0, self::LONGEST_HANDWORK_MINUTES, Unit::Minute);
        $long = $hours ?? $minutes / 60.0;

        return new self(
            "own-$number", $words, null, [$long, $long, $long], null, [], [], [], [], null, 1.0, 0.0, false, false, false, false,
            isBetweenSteps: $hours === null,
            needs: [],
            mix: null,
            isHandwork: $hours === null,
            isCold: $hours !== null && $isCold,
            source: Source::of(Mark::Common),
            isTimed: true,
            own: $words,
        );
    }

    /**
     * The same, for as long as the cook says.
     *
     * @throws OutOfRange
     */
    public function lasting(float $hours): self
    {
        $this->isHandwork
            ? OutOfRange::check('minutes', 60.0 * $hours, 0.0, self::LONGEST_HANDWORK_MINUTES, Unit::Minute)
            : OutOfRange::check('hours', $hours, 0.05, self::LONGEST_HOURS, Unit::Hour);

        $loose = $this->isHandwork || $hours < self::LOOSE_FROM_HOURS ? 0.0 : self::LOOSE;

        return $this->changed([(1.0 - $loose) * $hours, $hours, (1.0 + $loose) * $hours], $this->mix, true);
    }

    /** The work that makes the mix of another. */
    public static function making(Mix $mix, self $for): self
    {
        $hours = ($mix->minutes ?? 0.0) / 60.0;

        return new self(
            "make-$for->id", $mix->name, null, [$hours, $hours, $hours], $for->mlPerKg, [], [], [], [], null, 1.0, 0.0, false, false, false, false,
            isBetweenSteps: false,
            needs: [],
            mix: null,
            isHandwork: true,
            isCold: false,
            source: Source::of(Mark::Common),
            makes: $mix,
        );
    }

    /** The same, its mix made before it. */
    public function withMixMade(): self
    {
        return new self(
            $this->id, $this->name, $this->rule, $this->hours, $this->mlPerKg, $this->fits, $this->butForms, $this->butWith, $this->after,
            $this->keepsMinutes, $this->halfFactor, $this->layerM2KW, $this->seals, $this->foil, $this->crowds, $this->fills,
            $this->isBetweenSteps, $this->needs, $this->mix, $this->isHandwork, $this->isCold, $this->source, $this->isTimed, $this->own,
            isMixMade: true,
        );
    }

    /** The same, with a mix that the cook chose; null for none. */
    public function with(?Mix $mix): self
    {
        return $this->changed($this->hours, $mix, $this->isTimed);
    }

    /** Whether it is offered for a cut. */
    public function suits(Cut $cut): bool
    {
        if ($this->own !== null) {
            return true;
        }
        foreach ($this->fits as $fit) {
            if ($fit === $cut->kind || $fit === $cut->id || in_array($cut->id, self::groups()[$fit] ?? [], true)) {
                return true;
            }
        }

        return false;
    }

    /** How it is done, in few words. */
    public function how(): ?Message
    {
        if ($this->makes !== null) {
            return $this->makes->method === '' ? null : Message::of('words.text', text: $this->makes->method);
        }

        return $this->own !== null ? null : Message::of(
            "preparation.{$this->id}",
            cold: Quantity::celsius(self::REFRIGERATOR_C),
            hot: Quantity::celsius(self::STUFFING_C),
        );
    }

    /**
     * @param  float  $massKg  of one piece; pieces are prepared side by side
     * @param  float  $halfThicknessM  of the joint
     * @param  string  $kind  of food, as a cut has it
     */
    public function window(float $massKg, float $halfThicknessM, string $kind): PreparationWindow
    {
        return $this->isTimed ? new PreparationWindow(...$this->hours ?? [0.0, 0.0, 0.0]) : match ($this->rule) {
            'thaw_fridge' => Thawing::fridge($massKg),
            'thaw_water' => Thawing::coldWater($massKg),
            'dry_brine' => Brine::dry($halfThicknessM, $kind),
            'wet_brine' => Brine::wet($halfThicknessM, $kind),
            // Common practice: 20 to 30 minutes for a steak-like piece, overnight for a big joint.
            'rub' => $halfThicknessM < 0.035 ? new PreparationWindow(0.33, 0.5, 2.0) : new PreparationWindow(0.5, 12.0, 24.0),
            default => new PreparationWindow(...$this->hours ?? [0.0, 0.0, 0.0]),
        };
    }

    /** @param  array{float, float, float}|null  $hours */
    private function changed(?array $hours, ?Mix $mix, bool $isTimed): self
    {
        return new self(
            $this->id, $this->name, $this->rule, $hours, $this->mlPerKg, $this->fits, $this->butForms, $this->butWith, $this->after,
            $this->keepsMinutes, $this->halfFactor, $this->layerM2KW, $this->seals, $this->foil, $this->crowds, $this->fills,
            $this->isBetweenSteps, $this->needs, $mix, $this->isHandwork, $this->isCold, $this->source, $isTimed, $this->own,
        );
    }

    /** @return array<string, list<string>> ids of cuts, by name of the group */
    private static function groups(): array
    {
        /** @var array<string, list<string>> */
        return Table::named('preparations')['groups'];
    }

    /** @return array<string, string> the id that a row had for its cuts, by the one that it has */
    private static function renamed(): array
    {
        /** @var list<array{id: string, was?: string}> $rows */
        $rows = Table::named('preparations')['preparations'];

        return array_column(array_filter($rows, fn (array $row): bool => isset($row['was'])), 'was', 'id');
    }

    /** @return array<string, self> */
    private static function read(): array
    {
        /**
         * @var list<array{id: string, name: string, rule?: string, hours?: array{float, float, float}, ml_per_kg?: float,
         *     fits: list<string>, but_forms?: list<string>, but_with?: list<string>, after?: list<string>, keeps_minutes?: int,
         *     half_factor?: float, layer_mm?: float, layer_w_mk?: float, seals?: bool, foil?: bool, crowds?: bool, filled?: bool,
         *     between?: bool, mix?: string, needs?: list<string>, mark: string, citation?: string}> $rows
         */
        $rows = Table::named('preparations')['preparations'];
        $mixes = Mix::ours();
        $all = [];
        foreach ($rows as $row) {
            $isHandwork = ! isset($row['rule']) && ($row['hours'][1] ?? 0.0) <= self::LONGEST_HANDWORK_HOURS;
            $all[$row['id']] = new self(
                $row['id'],
                $row['name'],
                $row['rule'] ?? null,
                $row['hours'] ?? null,
                $row['ml_per_kg'] ?? null,
                $row['fits'],
                $row['but_forms'] ?? [],
                $row['but_with'] ?? [],
                $row['after'] ?? [],
                isset($row['keeps_minutes']) ? (float) $row['keeps_minutes'] : null,
                $row['half_factor'] ?? 1.0,
                ($row['layer_mm'] ?? 0.0) / 1000.0 / ($row['layer_w_mk'] ?? 1.0),
                $row['seals'] ?? false,
                $row['foil'] ?? false,
                $row['crowds'] ?? false,
                $row['filled'] ?? false,
                $row['between'] ?? false,
                $row['needs'] ?? [],
                isset($row['mix']) ? $mixes[$row['mix']] : null,
                $isHandwork,
                ! $isHandwork && ($row['rule'] ?? '') !== 'thaw_water',
                Source::of(Mark::from($row['mark']), $row['citation'] ?? ''),
            );
        }

        return $all;
    }
}
