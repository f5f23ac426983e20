<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Cooker\CookerShed;
use Diatherm\Cooker\Equipment;
use Diatherm\Cooker\Thermostat;
use Diatherm\Cooking\Course;
use Diatherm\Cooking\Variation;
use Diatherm\Roast\Dish;

/** How likely it is that a cooker has fallen since it was looked at, and how it then runs. By its kind, and by the time that nobody looked. */
final readonly class Falls
{
    /** It falls by such a share of its rise. Common practice: coals go under, a door stays ajar, a lid slips. */
    private const BY = 0.25;

    /** In so many cooks of a hundred that nobody looked at for an hour. Common practice. */
    private const COALS_PER_HOUR = 0.12;

    private const GAS_PER_HOUR = 0.07;

    private const THERMOSTAT_PER_HOUR = 0.02;

    private const MOST = 0.4;

    /** What is less likely is left out. */
    private const LEAST = 0.03;

    /** Moments at which it may have fallen, as shares of the time since it was looked at. */
    private const WHEN = [0.3, 0.75];

    /** It takes about so long to fall, s. */
    private const TAKES_S = 600.0;

    /** @param  list<Variation>  $ways  each as likely as the other */
    private function __construct(
        public float $odds,
        public array $ways,
    ) {
    }

    public static function none(): self
    {
        return new self(0.0, []);
    }

    /** @param  float  $nowS  until when it was followed */
    public static function since(Dish $dish, Course $course, float $nowS): self
    {
        $stage = $dish->stages[Cueing::stageNow($course)];
        $lookedS = $course->cookerReadings === [] ? 0.0 : $course->cookerReadings[count($course->cookerReadings) - 1][0];
        $unreadS = $nowS - $lookedS;
        $odds = min(self::MOST, self::perHour($stage->cooker->id) * $unreadS / 3600.0);
        if ($dish->isBuried() || $odds < self::LEAST) {
            return self::none();
        }

        return new self($odds, array_map(fn (float $share): Variation => self::at($lookedS + $share * $unreadS), self::WHEN));
    }

    private static function perHour(string $kind): float
    {
        if (CookerShed::kind($kind)->isRest() || ! Equipment::has($kind)) {
            return 0.0;
        }
        $equipment = Equipment::of($kind);

        return match (true) {
            $equipment->isOpen(), $equipment->isVented(), $equipment->burnsCoals() => self::COALS_PER_HOUR,
            $equipment->mechanism() instanceof Thermostat => self::THERMOSTAT_PER_HOUR,
            default => self::GAS_PER_HOUR,
        };
    }

    private static function at(float $seconds): Variation
    {
        $knots = max(1, (int) round($seconds / self::TAKES_S));

        return Variation::of(1.0, 1.0, 0.0, [...array_fill(0, $knots + 1, 1.0), 1.0 - self::BY], $seconds / $knots);
    }
}
