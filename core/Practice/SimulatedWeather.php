<?php

declare(strict_types=1);

namespace Diatherm\Practice;

use Diatherm\Cooker\Weather;

/**
 * A weather of its own for every place and hour: seasons, nights and afternoons, fronts that come with wind and rain. The same place and
 * hour always have the same. Figures are of a temperate coast, common practice; nothing is claimed of a real place.
 */
final class SimulatedWeather
{
    /** Mean of the year at sea level, and how it falls with latitude, °C. */
    private const AT_EQUATOR_C = 27.0;

    private const PER_DEGREE_K = 0.35;

    private const SEASON_K_PER_DEGREE = 0.17;

    private const WARMEST_DAY = 205;

    private const AFTERNOON_K = 4.0;

    private const WARMEST_HOUR = 15.0;

    private const FRONT_K = 3.0;

    private const DAY_S = 86_400;

    /** Of six-hour spells that are wet, and the wind of a calm and of a rough one, m/s. */
    private const WET = 0.25;

    private const CALM_MS = 1.0;

    private const ROUGH_MS = 7.0;

    private const SPELL_S = 21_600;

    public static function at(float $latitude, float $longitude, \DateTimeImmutable $at): Weather
    {
        $now = $at->getTimestamp();
        $day = (int) $at->setTimezone(new \DateTimeZone('UTC'))->format('z');
        // Below the equator the warm half of the year is the other one.
        $season = cos(2.0 * M_PI * ($day - self::WARMEST_DAY) / 365.25) * ($latitude < 0.0 ? -1.0 : 1.0);
        $hour = fmod($now / 3600.0 + $longitude / 15.0 + 48.0, 24.0);
        $front = self::between($latitude, $longitude, 'front', $now, self::DAY_S, -1.0, 1.0);
        $rough = self::between($latitude, $longitude, 'wind', $now, self::SPELL_S, 0.0, 1.0);
        $wet = self::spell($latitude, $longitude, 'rain', intdiv($now, self::SPELL_S)) < self::WET;
        $air = self::AT_EQUATOR_C - self::PER_DEGREE_K * abs($latitude)
            + self::SEASON_K_PER_DEGREE * abs($latitude) * $season
            + self::AFTERNOON_K * cos(2.0 * M_PI * ($hour - self::WARMEST_HOUR) / 24.0) * ($wet ? 0.4 : 1.0)
            + self::FRONT_K * $front;

        return Weather::of(
            round(min(50.0, max(-30.0, $air)), 1),
            round(self::CALM_MS + (self::ROUGH_MS - self::CALM_MS) * $rough ** 2, 1),
            $wet,
            0.0,
        );
    }

    /** From one spell to the next without a jump. */
    private static function between(float $latitude, float $longitude, string $of, int $now, int $spellS, float $least, float $most): float
    {
        $spell = intdiv($now, $spellS);
        $part = ($now % $spellS) / $spellS;
        $smooth = $part * $part * (3.0 - 2.0 * $part);
        [$from, $to] = [self::spell($latitude, $longitude, $of, $spell), self::spell($latitude, $longitude, $of, $spell + 1)];

        return $least + ($most - $least) * ($from + $smooth * ($to - $from));
    }

    /** 0 to 1. */
    private static function spell(float $latitude, float $longitude, string $of, int $spell): float
    {
        return (new Dice(crc32(sprintf('%.1f %.1f %s %d', $latitude, $longitude, $of, $spell))))->even();
    }
}
