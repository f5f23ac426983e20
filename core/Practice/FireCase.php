<?php

declare(strict_types=1);

namespace Diatherm\Practice;

use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\OwnCurve;
use Diatherm\Cooker\Settings;
use Diatherm\Cooker\Warmth;
use Diatherm\Cooker\Weather;
use Diatherm\Cooking\Forecast;
use Diatherm\Fire\CampOvenCount;
use Diatherm\Fire\CoalBed;
use Diatherm\Fire\Fuel;
use Diatherm\Fire\HandTest;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Table;
use Diatherm\Plan\Plan;
use Diatherm\Roast\RoastFile;
use Diatherm\Tending\FirePlan;

/**
 * Something that practice says of a fire or a setting, as a range; what the cookers' physics is held against. Rows:
 * data/fire-practice.json.
 */
final readonly class FireCase
{
    private const MILD_C = 20.0;

    private function __construct(
        public string $id,
        public string $what,
        public string $unit,
        public float $least,
        public float $most,
    ) {
    }

    /** @return list<self> */
    public static function all(): array
    {
        /** @var list<array{id: string, what: string, unit: string, range: array{float, float}}> $rows */
        $rows = Table::named('fire-practice')['cases'];

        return array_map(
            fn (array $row): self => new self($row['id'], $row['what'], $row['unit'], $row['range'][0], $row['range'][1]),
            $rows,
        );
    }

    public function isMet(): bool
    {
        $computed = $this->computed();

        return $computed >= $this->least && $computed <= $this->most;
    }

    /** The same thing, computed; in the row's unit. */
    public function computed(): float
    {
        $weather = Weather::of(self::MILD_C);

        return match ($this->id) {
            'kettle-6mm' => Equipment::of('kettle')->mechanism()->steadyC(
                Settings::of(['intake_mm' => 6.0, 'exhaust_mm' => 6.0]),
                $weather,
            ),
            'kettle-hour' => Fuel::chimneys(self::kettleHour()->bedKg()),
            'vent-power' => self::ventPower($weather),
            'ceramic-slot' => Equipment::of('ceramic')->mechanism()->settingsFor(170.0, $weather)->get('intake_mm'),
            'gas-three' => self::gas($weather, 1.0),
            'gas-two' => Equipment::of('gas')->mechanism()->steadyC(self::burners(0.0), $weather),
            'camp-8', 'camp-10', 'camp-12', 'camp-14', 'camp-16' => (float) CampOvenCount::for(
                (int) substr($this->id, 5) * CampOvenCount::INCH_M,
                170.0,
                'roast',
                self::MILD_C,
                0.0,
            )->total,
            'camp-8-hot' => (float) CampOvenCount::for(8 * CampOvenCount::INCH_M, 232.0, 'roast', self::MILD_C, 0.0)->total,
            'camp-14-plain', 'camp-16-plain' => (float) CampOvenCount::for(
                (int) substr($this->id, 5, 2) * CampOvenCount::INCH_M, 163.0, 'roast', self::MILD_C, 0.0,
            )->total,
            'gas-two-hours' => self::fedKg('gas', 175, 120),
            'pellets-ten-hours' => self::fedKg('pellet', 107, 600),
            'trench-wood' => self::wood()->usedKg(),
            'camp-refresh' => CampOvenCount::refreshMinutes(0.0),
            'briquettes-useful' => CoalBed::minutesToFade(Fuel::named('briquettes'), 0.5),
            'buried-bird' => self::minutes(
                [
                    'cut' => 'turkey-breast',
                    'mass_kg' => 2.72,
                    'start_c' => 5,
                    'target_c' => 74,
                    'rig' => ['kind' => 'buried_pot', 'pot_cm' => 35.6, 'ground' => 'dry'],
                    'stages' => [['cooker' => 'camp-oven']],
                ],
            ),
            'spit-lamb' => self::lamb('open-spit', 6.5),
            'trench-lamb' => self::lamb('trench', 8.0),
            default => throw OutOfRange::unknown('fire_case', $this->id),
        };
    }

    private static function kettleHour(): FirePlan
    {
        $plan = Plan::of(RoastFile::read(['serve_at' => '2000-01-01T12:00:00Z', 'air_c' => self::MILD_C, 'wind_ms' => 0, 'dishes' => [
            [
                'cut' => 'beef-tri-tip',
                'mass_kg' => 0.9,
                'target_c' => 60,
                'stages' => [['cooker' => 'kettle', 'cooker_c' => 135, 'minutes' => 60]],
            ],
        ]]), new \DateTimeImmutable('2000-01-01T00:00:00Z'));

        return $plan->fires[0]->plan;
    }

    /** What a knob or an auger feeds in so many minutes of cooking, without the heat before them and what is kept in hand. */
    private static function fedKg(string $cooker, int $celsius, int $minutes): float
    {
        $step = ['cooker' => $cooker, 'cooker_c' => $celsius, 'minutes' => $minutes];
        $plan = self::fire(['cut' => 'pork-shoulder', 'mass_kg' => 2.5, 'target_c' => 88, 'stages' => [$step]]);

        return $plan->feedKg() * $minutes / ($plan->use->preheatMinutes + $plan->use->untilMinutes);
    }

    private static function wood(): FirePlan
    {
        return self::fire(
            ['cut' => 'lamb-whole', 'mass_kg' => 16, 'start_c' => 8, 'target_c' => 63, 'stages' => [['cooker' => 'trench', 'hand_s' => 8]]],
            ['cooker' => 'trench', 'fuel' => 'hardwood'],
        );
    }

    /**
     * @param  array<string, mixed>  $dish
     * @param  array<string, mixed>|null  $fire
     */
    private static function fire(array $dish, ?array $fire = null): FirePlan
    {
        $roast = ['serve_at' => '2000-01-02T12:00:00Z', 'air_c' => self::MILD_C, 'wind_ms' => 0, 'dishes' => [$dish + ['coast' => false]]];

        return Plan::of(
            RoastFile::read($fire === null ? $roast : ['fires' => [$fire]] + $roast), new \DateTimeImmutable('2000-01-01T00:00:00Z'),
        )->fires[0]->plan;
    }

    /** 10 cm² and 10 cm² of a tight kettle, one behind the other. */
    private static function ventPower(Weather $weather): float
    {
        $open = 1000.0 / 160.0;

        return Equipment::of('kettle', ['leaks_cm2' => 0.0])->mechanism()->heatW(
            Settings::of(['intake_mm' => $open, 'exhaust_mm' => $open]),
            135.0,
            $weather,
        ) / (10.0 / M_SQRT2);
    }

    private static function gas(Weather $weather, float $middle): float
    {
        $warmth = new Warmth(OwnCurve::of(Equipment::of('gas')), $weather, null);
        $warmth->through(self::burners($middle), 1800.0);

        return $warmth->celsius();
    }

    private static function burners(float $middle): Settings
    {
        return Settings::of(['burner_1' => 1.0, 'burner_2' => $middle, 'burner_3' => 1.0]);
    }

    private static function lamb(string $cooker, float $handSeconds): float
    {
        return self::minutes(
            [
                'cut' => 'lamb-whole',
                'mass_kg' => 16,
                'start_c' => 8,
                'target_c' => 63,
                'stages' => [['cooker' => $cooker, 'cooker_c' => HandTest::wallC($handSeconds)]],
            ],
        );
    }

    /** @param  array<string, mixed>  $dish */
    private static function minutes(array $dish): float
    {
        return Forecast::of(TradeCase::dish(['coast' => false] + $dish), self::MILD_C)->cookMinutes->likely;
    }
}
