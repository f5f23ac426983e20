<?php

declare(strict_types=1);

namespace App\Demo;

use App\Models\Roast;
use App\Models\User;
use App\Roasts\Lighting;
use App\Roasts\Shelf;
use App\Roasts\Yard;
use Carbon\CarbonImmutable;
use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\Observation;
use Diatherm\Cooker\OwnCooker;
use Diatherm\Cooker\Phase;
use Diatherm\Cooker\Settings;
use Diatherm\Cooker\Weather;
use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Cooking\Variation;
use Diatherm\Heat\Resolution;
use Diatherm\Plan\Plan;
use Diatherm\Roast\Dish;
use Diatherm\Roast\RoastFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * A demo kitchen: a rowing club's autumn at an old weir, invented. Its readings come from simulated cooks. Each visitor
 * gets one of their own, fresh, and it is swept up later.
 */
final class DemoKitchen
{
    /** A visitor may come back to it for so long. */
    private const KEPT_DAYS = 2;

    /** So many are swept up at a time, so that no visitor waits for all. */
    private const SWEPT_AT_ONCE = 20;

    /** Off the probe by so much, reading after reading, °C. */
    private const SCATTER_C = [0.3, -0.6, 0.5, -0.2, 0.7, -0.4, 0.1, -0.5];

    private function __construct(private readonly User $cook, private readonly CarbonImmutable $now)
    {
    }

    /** A new kitchen with everything in it. */
    public static function open(): User
    {
        return DB::transaction(function (): User {
            $now = CarbonImmutable::now();
            $cook = User::create([
                'name' => 'The boathouse kitchen',
                'email' => Str::lower((string) Str::ulid()).'@demo.weir.example',
                'password' => Str::random(40),
                'demo_until' => $now->addDays(self::KEPT_DAYS),
            ]);
            $kitchen = new self($cook, $now->startOfMinute());
            $kitchen->cookers();
            $kitchen->supper();
            $kitchen->ducks();
            $kitchen->pot();
            $kitchen->lamb();
            $kitchen->past('rib', self::RIB, 9, 0.9, 1.02);
            $kitchen->past('haunch', self::HAUNCH, 23, 1.12, 0.98);
            $cook->roasts()->get()->each(fn (Roast $roast) => $roast->logged());

            return $cook;
        });
    }

    /** Takes away kitchens whose visitors are long gone. */
    public static function sweep(): void
    {
        User::query()->where('demo_until', '<', CarbonImmutable::now())->limit(self::SWEPT_AT_ONCE)->pluck('id')->each(
            fn (mixed $id) => User::query()->whereKey($id)->delete(),
        );
    }

    private const RIB = [
        'name' => 'Regatta committee dinner', 'people' => 9, 'air_c' => 11, 'fires' => [[
            'cooker' => 'ceramic',
            'own' => 'Ceramic by the slip',
        ]], 'dishes' => [[
            'cut' => 'beef-rib', 'name' => 'Rib of beef', 'mass_kg' => 3.6, 'thickness_cm' => 12.5, 'start_c' => 8, 'taste' => 'medium_rare',
            'stages' => [['cooker' => 'ceramic', 'cooker_c' => 135, 'pull' => true]],
        ]], 'note' => 'Ceramic ran cool all evening with the wind off the water. Bottom slot wider next time, and light it half an hour sooner.',
    ];

    private const HAUNCH = [
        'name' => 'End of season', 'people' => 8, 'air_c' => 7, 'dishes' => [[
            'cut' => 'venison-haunch', 'name' => 'Venison haunch', 'mass_kg' => 2.4, 'start_c' => 6, 'taste' => 'medium',
            'stages' => [['cooker' => 'pellet', 'cooker_c' => 120, 'pull' => true, 'chores' => [['do' => 'spray', 'every_minutes' => 30]]]],
        ]], 'note' => 'Quicker than the plan. Juniper and bay on the coals were right; keep those.',
    ];

    /** On the kettle for 75 minutes now; potatoes to follow. */
    private function supper(): Roast
    {
        $on = $this->now->subMinutes(75);
        $file = fn (CarbonImmutable $serve): array => [
            'name' => 'Autumn supper at the old weir', 'serve_at' => $serve->toAtomString(), 'people' => 9, 'air_c' => 12, 'wind_ms' => 2.5,
            'fires' => [['cooker' => 'kettle', 'own' => 'Boathouse kettle', 'layout' => 'two_sides']],
            'dishes' => [
                [
                    'cut' => 'pork-rack',
                    'name' => 'Rack of pork',
                    'mass_kg' => 3.0,
                    'thickness_cm' => 10,
                    'start_c' => 6,
                    'taste' => 'juicy',
                    'stages' => [
                        [
                            'cooker' => 'kettle',
                            'cooker_c' => 150,
                            'pull' => true,
                            'chores' => [['do' => 'turn', 'every_minutes' => 0, 'from_minutes' => 55]],
                        ],
                    ],
                ],
                [
                    'cut' => 'potatoes',
                    'name' => 'Potatoes',
                    'pieces' => 12,
                    'mass_kg' => 0.19,
                    'start_c' => 14,
                    'taste' => 'soft',
                    'stages' => [
                        ['cooker' => 'gas', 'cooker_c' => 190, 'pull' => true, 'chores' => [['do' => 'stir', 'every_minutes' => 20]]],
                    ],
                ],
            ],
            'sides' => [
                ['side' => 'greens', 'name' => 'Kale and beans'],
                ['side' => 'buttered-loaf', 'on' => 'gas'],
                ['side' => 'pan-gravy', 'name' => 'Cider gravy'],
            ],
        ];
        $roast = RoastFile::read($file($this->now->addHours(3)));
        $forecast = Forecast::of($roast->dishes[0], $roast->airC);
        $serve = CarbonImmutable::createFromTimestampUTC(
            (int) (ceil(($on->getTimestamp() + 60 * ($forecast->cookMinutes->high + 42)) / 300) * 300),
        );
        $roast = RoastFile::read($file($serve));
        $stored = Shelf::put($roast, $this->cook);
        $cooker = [[0, 152], [22, 149], [46, 143], [63, 140]];
        $this->log(
            $stored,
            0,
            $on,
            0.95,
            1.0,
            [24, 44, 58, 70],
            $cooker,
            [[55.5, 'turned', 'd0.chore.0.0.0']],
            $roast->dishes[0],
            $roast->airC,
        );
        foreach (['d1.light' => 8, 'd1.preheat' => 7, 'd1.rig' => 3] as $entry => $minutesAgo) {
            $this->event($stored, 1, $this->now->subMinutes($minutesAgo), 'tick', $entry);
        }
        $this->light($stored, $roast, $on);

        return $stored;
    }

    private function lamb(): Roast
    {
        $afternoon = $this->now->addDays(16)->next('Saturday')->setTime(16, 30);

        return Shelf::put(RoastFile::read([
            'name' => 'Lamb for the boathouse roof', 'serve_at' => $afternoon->toAtomString(),
            'people' => 20, 'air_c' => 9, 'wind_ms' => 1.5, 'latitude' => 51.6, 'longitude' => -1.1,
            'fires' => [['cooker' => 'open-spit', 'fuel' => 'hardwood', 'layout' => 'even']],
            'dishes' => [[
                'cut' => 'lamb-whole',
                'name' => 'Lamb on the spit',
                'mass_kg' => 15,
                'start_c' => 5,
                'taste' => 'medium',
                'rest_minutes' => 60,
                'preparations' => ['truss'],
                'rig' => [
                    'kind' => 'spit',
                    'between_cm' => 110,
                    'bite_cm' => 10,
                    'room_cm' => 50,
                    'span_cm' => 190,
                    'bar_mm' => 30,
                    'section' => 'tube',
                    'wall_mm' => 3,
                    'motor_nm' => 25,
                    'test_kg' => 1.2,
                    'test_arm_cm' => 30,
                    'heavy_deg' => 70,
                ],
                'stages' => [
                    ['cooker' => 'open-spit', 'hand_s' => 6, 'pull' => true, 'chores' => [['do' => 'spray', 'every_minutes' => 40]]],
                ],
            ]],
        ]), $this->cook);
    }

    /** A season's readings of three cookers: how each is set, how far it lies off its kind, and what the day did to it. */
    private const SEASON = [
        [
            'Boathouse kettle', 'kettle', ['diameter_cm' => 57, 'leaks_cm2' => 2], 0.9, 'intake_mm',
            [4, 5, 6, 6.5, 7, 8, 8.5, 9, 10, 11, 12, 6, 7.5, 9],
        ],
        ['Ceramic by the slip', 'ceramic', ['diameter_cm' => 46], 1.07, 'intake_mm', [2.5, 3, 3, 3.5, 4, 4.5, 5, 6, 3.5, 4]],
        [
            'Regatta gas grill', 'gas', ['burners' => 3, 'burner_kw' => 3.8, 'meat_over' => 2], 0.96, 'burner_1',
            [0.4, 0.5, 0.625, 0.75, 0.75, 0.875, 1, 1, 0.5],
        ],
    ];

    /** Off the curve by so much, reading after reading; the one stray was taken with the lid ajar. */
    private const SEASON_SCATTER = [0.02, -0.03, 0.01, 0.04, -0.02, 0.0, -0.04, 0.03, 0.02, -0.28, -0.01, 0.03, -0.02, 0.01];

    private function cookers(): void
    {
        foreach (self::SEASON as [$name, $kind, $facts, $factor, $control, $settings]) {
            $observations = [];
            $equipment = Equipment::of($kind, $facts);
            foreach ($settings as $i => $value) {
                $at = $this->now->subDays(7 * (count($settings) - $i))->setTime(16 + $i % 3, 5 * ($i % 11));
                $weather = Weather::of([17, 21, 14, 24, 19, 12, 16, 11, 13, 9, 8, 15, 10, 7][$i], [0.5, 1.5, 2.5, 1.0][$i % 4]);
                $set = Settings::of(match ($kind) {
                    'ceramic' => [$control => $value, 'exhaust_mm' => 30],
                    'gas' => [$control => $value, 'burner_2' => 0, 'burner_3' => $value],
                    default => [$control => $value, 'exhaust_mm' => $value],
                });
                $rise = $equipment->mechanism()->steadyC($set, $weather) - $weather->airC;
                $observations[] = Observation::of(
                    $set,
                    $weather,
                    round($weather->airC + $rise * $factor * (1.0 + self::SEASON_SCATTER[$i])),
                    at: $at,
                );
                if ($i % 4 === 1) {
                    $pace = (new OwnCooker($name, $equipment, []))->curve()->paceMinutes($weather->airC + $rise, $weather) * 1.2;
                    $observations[] = Observation::of(
                        $set,
                        $weather,
                        round($weather->airC + $rise * $factor * (1.0 - exp(-1.1))),
                        Phase::Warming,
                        round(1.1 * $pace),
                        $at->subHour(),
                    );
                }
            }
            Yard::put(new OwnCooker($name, $equipment, $observations), $this->cook);
        }
    }

    private function ducks(): Roast
    {
        $sunday = $this->now->addDay()->next('Sunday')->setTime(12, 45);

        return Shelf::put(RoastFile::read([
            'name' => 'Sunday on the lock island', 'serve_at' => $sunday->toAtomString(),
            'people' => 6, 'air_c' => 10, 'latitude' => 51.6, 'longitude' => -1.1,
            'dishes' => [[
                'cut' => 'duck',
                'name' => 'Brace of ducks',
                'pieces' => 2,
                'mass_kg' => 2.2,
                'start_c' => 5,
                'taste' => 'done',
                'preparations' => ['dry_brine', 'dry_skin', 'truss'],
                'rig' => [
                    'kind' => 'spit',
                    'between_cm' => 52,
                    'bite_cm' => 6,
                    'room_cm' => 17,
                    'span_cm' => 78,
                    'bar_mm' => 9,
                    'section' => 'square',
                    'motor_nm' => 1.4,
                    'test_kg' => 0.4,
                    'test_arm_cm' => 14,
                    'heavy_deg' => 140,
                ],
                'stages' => [
                    [
                        'cooker' => 'grill-rotisserie', 'cooker_c' => 180, 'pull' => true,
                        'chores' => [['do' => 'baste', 'every_minutes' => 20]],
                    ],
                ],
            ]],
        ]), $this->cook);
    }

    private function pot(): Roast
    {
        $evening = $this->now->addDays(9)->next('Saturday')->setTime(17, 30);

        return Shelf::put(RoastFile::read([
            'name' => 'Pot under the willow', 'serve_at' => $evening->toAtomString(),
            'people' => 8, 'air_c' => 6, 'latitude' => 51.6, 'longitude' => -1.1,
            'dishes' => [[
                'cut' => 'venison-haunch',
                'name' => 'Venison in the ground',
                'mass_kg' => 1.9,
                'start_c' => 5,
                'taste' => 'well',
                'preparations' => ['marinate_oil', 'bard'],
                'rig' => [
                    'kind' => 'buried_pot',
                    'pot_cm' => 35.6,
                    'pot_depth_cm' => 13.5,
                    'ground' => 'wet',
                    'length_cm' => 26,
                    'width_cm' => 13,
                    'depth_cm' => 9.5,
                ],
                'stages' => [
                    ['cooker' => 'camp-oven', 'cooker_c' => 150, 'pull' => true],
                ],
            ]],
        ]), $this->cook);
    }

    /**
     * @param  array{name: string, people: int, air_c: int, fires?: list<array<string, string>>, dishes: list<array<string,
     *     mixed>>, note: string}  $file
     */
    private function past(string $key, array $file, int $daysAgo, float $transfer, float $thickness): Roast
    {
        $serve = $this->now->subDays($daysAgo)->setTime(18, 30);
        $roast = RoastFile::read(['serve_at' => $serve->toAtomString()] + array_diff_key($file, ['note' => '']));
        $dish = $roast->dishes[0];
        $stored = Shelf::put($roast, $this->cook);
        $planned = Forecast::of($dish, $roast->airC);
        $on = $serve->subMinutes((int) round($planned->cookMinutes->high + $dish->restMinutes + 10));
        $truth = Cook::of($dish, $roast->airC, Resolution::fine(), Course::asPlanned(), Variation::of($transfer, $thickness));
        $truth->toPull($planned->pullC);
        $minutes = $truth->body->elapsedS() / 60.0;
        $set = $dish->stages[0]->cookerC;
        $cooker = $key === 'rib'
            ? [[0, $set + 1], [45, $set - 8], [100, $set - 11], [140, $set - 6]]
            : [[0, $set], [40, $set + 5], [90, $set + 3]];
        $at = array_map(fn (float $share): int => (int) round($share * $minutes), [0.3, 0.5, 0.68, 0.8, 0.9, 0.97]);
        $this->log(
            $stored,
            0,
            $on,
            $transfer,
            $thickness,
            $at,
            $cooker,
            [[round(0.4 * $minutes), 'fuel', null], [round(0.6 * $minutes), 'basted', null]],
            $dish,
            $roast->airC,
        );
        $this->event($stored, 0, $on->addMinutes((int) round($minutes)), 'pulled');
        $this->event($stored, 0, $on->addMinutes((int) round($minutes + $dish->restMinutes + 4)), 'carved');
        $this->light($stored, $roast, $on);
        $stored->forceFill(['debrief_note' => $file['note']])->save();

        return $stored;
    }

    /**
     * @param  non-empty-list<int>  $readAt  minutes
     * @param  list<array{int, float|int}>  $cooker  minutes and °C
     * @param  list<array{int|float, string, string|null}>  $events  minutes, kind and the run sheet entry that it ticks
     */
    private function log(
        Roast $stored,
        int $number,
        CarbonImmutable $on,
        float $transfer,
        float $thickness,
        array $readAt,
        array $cooker,
        array $events,
        Dish $dish,
        float $airC,
    ): void {
        $course = new Course(
            array_map(fn (array $pair): array => [60.0 * $pair[0], (float) $pair[1]], $cooker),
            [],
            [],
            null,
            60.0 * end($readAt),
        );
        $truth = Cook::of($dish, $airC, Resolution::fine(), $course, Variation::of($transfer, $thickness));
        $trace = $truth->body->record(false);
        $truth->toPull($dish->targetC);
        $this->event($stored, $number, $on, 'on');
        foreach ($readAt as $i => $minutes) {
            $this->reading(
                $stored,
                $number,
                $on->addMinutes($minutes),
                'core',
                round($trace->coreAt(60.0 * $minutes) + self::SCATTER_C[$i], 1),
            );
        }
        foreach ($cooker as [$minutes, $celsius]) {
            $this->reading($stored, $number, $on->addMinutes($minutes), 'cooker', (float) $celsius);
        }
        foreach ($events as [$minutes, $kind, $entry]) {
            $this->event($stored, $number, $on->addSeconds((int) (60 * $minutes)), $kind, $entry);
        }
    }

    private function light(Roast $stored, \Diatherm\Roast\Roast $roast, CarbonImmutable $on): void
    {
        $stored->forceFill(['lighting' => Lighting::of(Plan::of($roast, $on, [], Yard::for($roast, $this->cook->id)))])->save();
    }

    private function reading(Roast $stored, int $dish, CarbonImmutable $at, string $place, float $celsius): void
    {
        $stored->readings()->create(
            ['client_id' => (string) Str::uuid(), 'dish' => $dish, 'at' => $at, 'place' => $place, 'celsius' => $celsius],
        );
    }

    private function event(Roast $stored, int $dish, CarbonImmutable $at, string $kind, ?string $entry = null): void
    {
        $stored->events()->create(['client_id' => (string) Str::uuid(), 'dish' => $dish, 'at' => $at, 'kind' => $kind, 'entry' => $entry]);
    }
}
