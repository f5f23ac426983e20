<?php

declare(strict_types=1);

namespace Diatherm\Practice;

use Diatherm\Cooking\Coast;
use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Cooking\Uncertainty;
use Diatherm\Heat\Resolution;
use Diatherm\Measure\Mark;
use Diatherm\Measure\Source;
use Diatherm\Measure\Table;
use Diatherm\Plan\Plan;
use Diatherm\Roast\Dish;
use Diatherm\Roast\RoastFile;
use Diatherm\Roast\Stage;
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
    public const ROOM_C = 20.0;

    /** @param  array<string, mixed>  $file  the dish, as in a roast's file */
    private function __construct(
        private array $file,
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
                $row['dish'],
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
        return $forecast->cookMinutes->likely / $this->middle() - 1.0;
    }

    /** Middle of practice, minutes. */
    public function middle(): float
    {
        return 0.5 * ($this->leastMinutes + $this->mostMinutes);
    }

    /** The kind of cooker that brings it to its core. */
    public function cookerId(): string
    {
        return $this->dish->lastStage()->cooker->id;
    }

    /** The same dish, made anew of the tables as they stand now. */
    public function again(): Dish
    {
        return self::dish($this->file);
    }

    /** Whether its minutes can depend on a number of the tables. */
    public function isMovedBy(Parameter $parameter): bool
    {
        return match ($parameter->table) {
            'cookers' => array_intersect(array_map(fn (Stage $stage): string => $stage->cooker->id, $this->dish->stages), $parameter->rows) !== [],
            'forms' => in_array($this->dish->form->id, $parameter->rows, true),
            'cuts' => $parameter->rows === [] || in_array($this->dish->cut->id, $parameter->rows, true),
            default => true,
        };
    }

    /**
     * Whether its band would hold the middle of practice, were its likely minutes so far off.
     *
     * @param  float  $off  logarithm of model over practice
     */
    public function wouldHold(float $off): bool
    {
        $minutes = $this->forecast()->cookMinutes;

        return $off <= log($minutes->likely / $minutes->low) && -$off <= log($minutes->high / $minutes->likely);
    }

    /** How wide its band is but for what the physics of its kind leaves open: mean of both sides, as a logarithm. */
    public function knownSpread(): float
    {
        $minutes = $this->forecast()->cookMinutes;
        $kind = log(1.0 + Uncertainty::kind($this->dish));

        return sqrt(max(0.0, (0.5 * log($minutes->high / $minutes->low)) ** 2 - $kind ** 2));
    }

    /** Whether its band holds the middle of practice. */
    public function isHeldBy(Forecast $forecast): bool
    {
        return $forecast->cookMinutes->low <= $this->middle() && $forecast->cookMinutes->high >= $this->middle();
    }
}
