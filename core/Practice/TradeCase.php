<?php

declare(strict_types=1);

namespace Diatherm\Practice;

use Diatherm\Cooking\Coast;
use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Heat\Resolution;
use Diatherm\Measure\Mark;
use Diatherm\Measure\Source;
use Diatherm\Measure\Table;
use Diatherm\Plan\Plan;
use Diatherm\Roast\Dish;
use Diatherm\Roast\RoastFile;
use Diatherm\Tending\FirePlan;
use Diatherm\Tending\LaidFires;

/**
 * A cook of the trade, with the minutes that practice gives it; what the heat model is held against. Rows: data/practice-cases.json.
 *
 * @phpstan-type Row array{id: string, what: string, dish: array<string, mixed>, minutes: array{float, float},
 *     climb_k: array{float, float}, kg: array{float, float}, fuel: string, mark: string, citation?: string}
 */
final readonly class TradeCase
{
    private const ROOM_C = 20.0;

    private function __construct(
        public string $id,
        public string $what,
        public float $leastMinutes,
        public float $mostMinutes,
        public Dish $dish,
        public Source $source,
    ) {
    }

    /** @return list<self> */
    public static function all(): array
    {
        return array_map(
            fn (array $row): self => new self(
                $row['id'],
                $row['what'],
                $row['minutes'][0],
                $row['minutes'][1],
                self::dish($row['dish']),
                Source::of(Mark::from($row['mark']), $row['citation'] ?? ''),
            ),
            self::rows('cases'),
        );
    }

    /**
     * A dish with its fires laid on a still day.
     *
     * @param  array<string, mixed>  $dish  as in a roast's file
     */
    public static function dish(array $dish): Dish
    {
        return LaidFires::lay(
            RoastFile::read(['serve_at' => '2000-01-01T12:00:00Z', 'air_c' => self::ROOM_C, 'wind_ms' => 0, 'dishes' => [$dish]]),
            [],
        )->dishes[0];
    }

    /** @return list<Row> of the table */
    public static function rows(string $part): array
    {
        /** @var list<Row> */
        return Table::named('practice-cases')[$part];
    }

    /** How far the core rises after it was cooked to its target, as the model alone has it, K. */
    public static function climbK(Dish $dish): float
    {
        $cook = Cook::of($dish, self::ROOM_C, Resolution::fine(), Course::asPlanned());
        $trace = $cook->body->record(false);
        $cook->toPull($dish->targetC);
        [$offS, $offC] = [$cook->body->elapsedS(), $cook->body->coreC()];
        $cook->rest(Coast::FOLLOWED_REST_S);

        return Coast::peak($trace, $offS)->celsius - $offC;
    }

    /**
     * The fire of a dish over an open spit on a still day.
     *
     * @param  array<string, mixed>  $dish  as in a roast's file
     */
    public static function fire(array $dish, string $fuel): FirePlan
    {
        $roast = RoastFile::read(
            [
                'serve_at' => '2000-06-01T19:00:00Z', 'air_c' => self::ROOM_C, 'wind_ms' => 0,
                'fires' => [['cooker' => 'open-spit', 'fuel' => $fuel]], 'dishes' => [$dish],
            ],
        );

        return Plan::of($roast, new \DateTimeImmutable('2000-05-30T00:00:00Z'))->fires[0]->plan;
    }

    public function forecast(): Forecast
    {
        return Forecast::of($this->dish, self::ROOM_C);
    }

    /** How far the likely minutes lie from the middle of practice, as a share of it. */
    public function off(Forecast $forecast): float
    {
        return $forecast->cookMinutes->likely / (0.5 * ($this->leastMinutes + $this->mostMinutes)) - 1.0;
    }

    /** Whether its band holds the middle of practice. */
    public function isHeldBy(Forecast $forecast): bool
    {
        $middle = 0.5 * ($this->leastMinutes + $this->mostMinutes);

        return $forecast->cookMinutes->low <= $middle && $forecast->cookMinutes->high >= $middle;
    }
}
