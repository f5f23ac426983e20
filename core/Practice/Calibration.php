<?php

declare(strict_types=1);

namespace Diatherm\Practice;

use Diatherm\Cooking\Cook;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Uncertainty;
use Diatherm\Heat\Resolution;
use Diatherm\Measure\LeastSquares;
use Diatherm\Measure\Table;

/**
 * Fits what the heat model leaves open to the cooks of practice, and tells how far it would be off on cooks that it was not fitted to.
 *
 * Method: least squares on the logarithm of the minutes, by Gauss and Newton, with the usual value of each parameter as its prior (a maximum
 * a posteriori estimate). A cook that lies far off has less weight (Huber 1964). To leave a group of cooks out, one more step is taken
 * without them from the fitted point; shapes and films move with the rest.
 */
final readonly class Calibration
{
    /** Planned by its slow end, with a bed of its own: it is not fitted to. */
    private const LEFT_ASIDE = ['buried-breast'];

    /** Of the logarithm of the minutes: what one kitchen differs from another, and how much of the half of a range a deviation is. */
    private const SCATTER = 0.07;

    private const OF_RANGE = 0.4;

    /** What lies so many deviations off has the weight of one that lies there. */
    private const HUBER = 2.5;

    /** Slopes are taken over this, and no step is longer, in deviations of a parameter. */
    private const SLOPE_OVER = 1.0;

    private const LONGEST_STEP = 2.0;

    /** So much of the way to the best is gone at once: whole steps swing about it. */
    private const STEP = 0.5;

    /** As many left-out cooks as the errors of all kinds count for beside those of one kind. */
    private const COMMON_COUNTS = 3;

    /**
     * Of few errors a tenth lies further out than of many: Student's t over the normal distribution is 1 + (z² + 1)/4ν, for ν errors.
     * Source: Abramowitz & Stegun 26.7.5 (from memory).
     */
    private const FEW = 0.66;

    /**
     * @param  list<TradeCase>  $cases
     * @param  list<Parameter>  $parameters
     * @param  list<float>  $at  where each stands, in deviations from its usual value
     * @param  list<float>  $offs  of each case, logarithm of model over the middle of practice
     * @param  list<array<int, float>>  $slopes  of each case's off, by number of the parameter
     */
    private function __construct(
        private array $cases,
        private array $parameters,
        private array $at,
        private array $offs,
        private array $slopes,
    ) {
    }

    /** As the tables stand, with its slopes. */
    public static function asShipped(): self
    {
        $cases = array_values(array_filter(TradeCase::all(), fn (TradeCase $case): bool => ! in_array($case->id, self::LEFT_ASIDE, true)));
        $parameters = Parameter::all();
        $tables = self::tables($parameters);

        return self::at($cases, $parameters, array_map(fn (Parameter $one): float => $one->standsAt($tables), $parameters));
    }

    /** One step nearer to the best. */
    public function step(): self
    {
        $to = $this->solved([]);
        $next = array_map(
            fn (float $from, float $wanted): float => $from
                + max(-self::LONGEST_STEP, min(self::LONGEST_STEP, self::STEP * ($wanted - $from))),
            $this->at,
            $to,
        );

        return self::at($this->cases, $this->parameters, $next);
    }

    /** @return list<array{Parameter, float}> each parameter and the value that it has here */
    public function values(): array
    {
        return array_map(fn (Parameter $one, float $at): array => [$one, $one->at($at)], $this->parameters, $this->at);
    }

    /**
     * How far off each cook is as fitted, and as it would be were its group not known (what heats it, by kind of food).
     *
     * @return list<array{case: TradeCase, kind: string, fitted: float, leftOut: float}> logarithms of model over practice
     */
    public function errors(): array
    {
        $groups = [];
        foreach ($this->cases as $i => $case) {
            $groups[$case->cookerId().' '.$case->dish->cut->kind][] = $i;
        }
        $errors = [];
        foreach ($groups as $group) {
            $to = $this->solved($group);
            foreach ($group as $i) {
                $leftOut = $this->offs[$i];
                foreach ($this->slopes[$i] as $number => $slope) {
                    $leftOut += $slope * ($to[$number] - $this->at[$number]);
                }
                $errors[$i] = [
                    'case' => $this->cases[$i], 'kind' => $this->cases[$i]->cookerId(), 'fitted' => $this->offs[$i], 'leftOut' => $leftOut,
                ];
            }
        }
        ksort($errors);

        return array_values($errors);
    }

    /**
     * What the physics of each kind of cooker leaves open, one in ten to either side, so that its band holds eight in ten of the cooks that
     * were left out. A kind with few cooks has mostly the errors of all.
     *
     * @return array<string, float> by kind: what `doubt` is in data/cookers.json
     */
    public function doubts(): array
    {
        $errors = $this->errors();
        $common = self::meanSquare($errors);
        $doubts = [];
        foreach (array_unique(array_column($errors, 'kind')) as $kind) {
            $own = array_values(array_filter($errors, fn (array $one): bool => $one['kind'] === $kind));
            $count = count($own);
            $square = ($count * self::meanSquare($own) + self::COMMON_COUNTS * $common) / ($count + self::COMMON_COUNTS);
            $known = array_sum(array_map(fn (array $one): float => $one['case']->knownSpread() ** 2, $own)) / $count;
            $tenth = Uncertainty::DEVIATIONS * (1.0 + self::FEW / ($count + self::COMMON_COUNTS));
            $doubts[$kind] = exp(sqrt(max(0.0, $tenth ** 2 * $square - $known))) - 1.0;
        }

        return $doubts;
    }

    /** @param  list<array{leftOut: float}>  $errors */
    private static function meanSquare(array $errors): float
    {
        return array_sum(array_map(fn (array $one): float => $one['leftOut'] ** 2, $errors)) / max(1, count($errors));
    }

    /**
     * @param  list<TradeCase>  $cases
     * @param  list<Parameter>  $parameters
     * @param  list<float>  $at
     */
    private static function at(array $cases, array $parameters, array $at): self
    {
        $tables = self::tables($parameters);
        foreach ($parameters as $i => $parameter) {
            $tables = $parameter->set($tables, $parameter->at($at[$i]));
        }
        $offs = self::offs($cases, $tables);
        $slopes = array_fill(0, count($cases), []);
        foreach ($parameters as $i => $parameter) {
            $moved = self::offs($cases, $parameter->set($tables, $parameter->at($at[$i] + self::SLOPE_OVER)), $parameter);
            foreach ($moved as $case => $off) {
                if ($off !== $offs[$case]) {
                    $slopes[$case][$i] = ($off - $offs[$case]) / self::SLOPE_OVER;
                }
            }
        }

        return new self($cases, $parameters, $at, array_values($offs), $slopes);
    }

    /**
     * @param  list<int>  $without  cases that are not looked at
     * @return list<float> where each parameter would stand best, to first order
     */
    private function solved(array $without): array
    {
        $squares = new LeastSquares(array_fill(0, count($this->parameters), [0.0, 1.0]));
        foreach ($this->cases as $i => $case) {
            if (in_array($i, $without, true)) {
                continue;
            }
            $deviation = hypot(self::SCATTER, self::OF_RANGE * 0.5 * log($case->mostMinutes / $case->leastMinutes));
            $far = abs($this->offs[$i]) / $deviation;
            $wanted = -$this->offs[$i];
            foreach ($this->slopes[$i] as $number => $slope) {
                $wanted += $slope * $this->at[$number];
            }
            $squares->observe($this->slopes[$i], $wanted, min(1.0, self::HUBER / max(1e-9, $far)) / $deviation ** 2);
        }

        return $squares->solve();
    }

    /**
     * @param  list<TradeCase>  $cases
     * @param  array<string, array<string, mixed>>  $tables
     * @param  Parameter|null  $of  only the cases that this one can move are cooked
     * @return array<int, float> by number of the case
     */
    private static function offs(array $cases, array $tables, ?Parameter $of = null): array
    {
        return Table::with($tables, function () use ($cases, $of): array {
            $offs = [];
            foreach ($cases as $i => $case) {
                if ($of === null || $case->isMovedBy($of)) {
                    $cook = Cook::of($case->again(), TradeCase::ROOM_C, Resolution::fine(), Course::asPlanned());
                    $cook->toPull($case->dish->targetC);
                    $offs[$i] = log($cook->body->elapsedS() / 60.0 / $case->middle());
                }
            }

            return $offs;
        });
    }

    /**
     * @param  list<Parameter>  $parameters
     * @return array<string, array<string, mixed>>
     */
    private static function tables(array $parameters): array
    {
        $names = array_unique(array_column($parameters, 'table'));

        return array_combine($names, array_map(Table::named(...), $names));
    }
}
