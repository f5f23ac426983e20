<?php

declare(strict_types=1);

namespace Diatherm\Practice;

use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\Thermostat;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Forecast;
use Diatherm\Live\LiveForecast;
use Diatherm\Live\Reading;
use Diatherm\Roast\Dish;
use Diatherm\Roast\StageEnd;

/**
 * The live forecast against cooks whose course owes the model nothing: their length is drawn from what practice says of that cook, not from
 * the plan. Read each fourteenth of the cook by a thermometer that is off, at a place that is off; the cooker is not read.
 */
final readonly class ForeignTrial
{
    /** Shares of the cook at which it is asked, per cent. */
    public const AT = [25, 40, 60, 80];

    private const ROOM_C = 20.0;

    private const READINGS = 14;

    /** Beyond what practice says of a cook, one deviation. */
    private const LENGTH = 0.08;

    private const OFFSET_K = 0.8;

    private const NOISE_K = 0.4;

    /** How far a probe is off the core, of the half-thickness. */
    private const FARTHEST = 0.25;

    /** So many cooks of a hundred fall unread, to such a share of their pace. Common practice. */
    private const FALLS = 0.25;

    private const FALLS_TO = 0.75;

    /** A body that conducts all that it gets is no roast: its air is a hot grate's at the most. */
    private const HOTTEST_AIR_C = 200.0;

    /**
     * @param  array<int, float>  $held  share of cooks whose hour was in the band, by per cent of the cook
     * @param  array<int, list<float>>  $offs  errors of the likely hour as a share of the cook, in order
     * @param  array<int, list<float>>  $widths  of the band, as a share of the cook, in order
     * @param  array<int, list<float>>  $lines  errors of a straight line through the last two readings, in order
     * @param  array<string, array<int, list<array{bool, float}>>>  $byKind  whether it was held, and how far it was off
     */
    private function __construct(
        public int $cooks,
        public array $held,
        public array $offs,
        public array $widths,
        public array $lines,
        private array $byKind,
    ) {
    }

    /**
     * @param  'plain'|'logged'|'falls'  $truth  a body that conducts; a course as cooks log it; the same on a fire that falls unread in some cooks
     * @param  int  $every  one in so many cooks of the trade
     */
    public static function of(string $truth, int $every, int $seed): self
    {
        $dice = new Dice($seed);
        $cooks = 0;
        $held = array_fill_keys(self::AT, 0);
        $offs = $widths = $lines = array_fill_keys(self::AT, []);
        $byKind = [];
        foreach (TradeCase::all() as $i => $case) {
            if ($i % $every !== 0 || count($case->dish->stages) > 1 || $case->dish->isBuried() || $case->dish->lastStage()->end === StageEnd::Tender) {
                continue;
            }
            $pullC = Forecast::of($case->dish, self::ROOM_C)->pullC;
            $lengthS = 60.0 * $dice->between($case->leastMinutes, $case->mostMinutes) * exp(self::LENGTH * $dice->normal());
            $course = $truth === 'plain' ? self::plain($case->dish, $pullC, $lengthS, $dice) : self::logged($case->dish, $pullC, $lengthS, $dice);
            if ($course === null) {
                continue;
            }
            if ($truth === 'falls' && $dice->even() < self::FALLS) {
                $course = new Slowed($course, $dice->between(0.3, 0.6) * $lengthS, self::FALLS_TO);
                $lengthS = $course->when($lengthS);
            }
            $cooks++;
            $kind = self::kind($case->dish);
            $readings = self::readings($course, $lengthS, $dice);
            foreach (self::AT as $at) {
                $nowS = 0.01 * $at * $lengthS;
                $by = array_values(array_filter($readings, fn (Reading $one): bool => $one->seconds <= $nowS));
                $minutes = LiveForecast::of($case->dish, self::ROOM_C, new Course(nowS: $nowS), $by, $pullC)->cookMinutes;
                $held[$at] += (int) ($minutes->low <= $lengthS / 60.0 && $minutes->high >= $lengthS / 60.0);
                $offs[$at][] = abs(60.0 * $minutes->likely / $lengthS - 1.0);
                $widths[$at][] = 60.0 * ($minutes->high - $minutes->low) / $lengthS;
                $lines[$at][] = abs(self::lineS($by, $pullC) / $lengthS - 1.0);
                $byKind[$kind][$at][] = [$minutes->low <= $lengthS / 60.0 && $minutes->high >= $lengthS / 60.0, abs(60.0 * $minutes->likely / $lengthS - 1.0)];
            }
        }

        return new self($cooks, array_map(fn (int $one): float => $one / max(1, $cooks), $held), self::sorted($offs), self::sorted($widths), self::sorted($lines), $byKind);
    }

    /** @return array<string, array{int, array<int, array{float, float}>}> by kind of heat: cooks, and by per cent share held and median error */
    public function byKind(): array
    {
        $byKind = $this->byKind;
        ksort($byKind);

        return array_map(fn (array $moments): array => [count($moments[self::AT[0]]), array_map(function (array $cooks): array {
            $offs = array_column($cooks, 1);
            sort($offs);

            return [count(array_filter(array_column($cooks, 0))) / count($cooks), self::quantile($offs, 0.5)];
        }, $moments)], $byKind);
    }

    /** @param  list<float>  $all  in order */
    public static function quantile(array $all, float $share): float
    {
        return $all[(int) floor($share * (count($all) - 1))] ?? NAN;
    }

    /** What heats it, in a word. */
    private static function kind(Dish $dish): string
    {
        $cooker = $dish->mainStage()->cooker;
        if (! Equipment::has($cooker->id)) {
            return 'other';
        }
        $equipment = Equipment::of($cooker->id);

        return match (true) {
            $equipment->isOpen() => 'fire',
            $equipment->mechanism() instanceof Thermostat => 'thermostat',
            $equipment->burnsCoals() => 'coals',
            default => 'gas',
        };
    }

    private static function plain(Dish $dish, float $pullC, float $lengthS, Dice $dice): ?PlainBody
    {
        $airC = max(min($dish->stages[0]->cookerC, self::HOTTEST_AIR_C), $pullC + 12.0);

        return PlainBody::of(
            $dish->startC, $airC, $pullC, $lengthS,
            $dice->between(0.7, 1.7), exp($dice->between(log(0.8), log(6.0))), $dice->between(0.1, 0.6), exp($dice->between(log(0.1), log(1.0))),
        );
    }

    private static function logged(Dish $dish, float $pullC, float $lengthS, Dice $dice): LoggedCourse
    {
        return LoggedCourse::of(
            $dish->startC, $pullC, $lengthS, $dice->between(0.1, 0.35), $dice->between(0.4, 0.7), $dice->between(0.0, 0.6), $dice->between(2.0, 8.0),
        );
    }

    /** @return list<Reading> */
    private static function readings(Truth $truth, float $lengthS, Dice $dice): array
    {
        [$place, $offsetK] = [$dice->between(0.0, self::FARTHEST), self::OFFSET_K * $dice->normal()];
        $readings = [];
        for ($k = 1; $k < self::READINGS; $k++) {
            $seconds = $lengthS * $k / self::READINGS;
            $readings[] = Reading::of("r$k", $seconds, 'core', $truth->at($seconds, $place) + $offsetK + self::NOISE_K * $dice->normal());
        }

        return $readings;
    }

    /** @param  list<Reading>  $by */
    private static function lineS(array $by, float $pullC): float
    {
        [$before, $last] = array_slice($by, -2);
        $pace = ($last->celsius - $before->celsius) / ($last->seconds - $before->seconds);

        return $pace > 0.0 ? $last->seconds + ($pullC - $last->celsius) / $pace : INF;
    }

    /**
     * @param  array<int, list<float>>  $all
     * @return array<int, list<float>>
     */
    private static function sorted(array $all): array
    {
        foreach ($all as $at => $values) {
            sort($values);
            $all[$at] = $values;
        }

        return $all;
    }
}
