<?php

declare(strict_types=1);

namespace Tests\Support;

use Diatherm\Roast\Dish;
use Diatherm\Roast\Roast;
use Diatherm\Roast\RoastFile;
use Diatherm\Tending\LaidFires;

/** Roasts to test with. */
final class Samples
{
    public const SERVE_AT = '2031-10-04T18:45:00+02:00';

    /**
     * @param  array<string, mixed>  $dish  over a 3 kg rack of pork on a kettle at 150 °C
     * @param  array<string, mixed>  $roast
     * @return array<string, mixed>
     */
    public static function file(array $dish = [], array $roast = []): array
    {
        return $roast + [
            'serve_at' => self::SERVE_AT,
            'people' => 9,
            'air_c' => 14,
            'dishes' => [$dish + [
                'cut' => 'pork-rack', 'mass_kg' => 3.0, 'start_c' => 6, 'taste' => 'juicy',
                'stages' => [['cooker' => 'kettle', 'cooker_c' => 150, 'pull' => true]],
            ]],
        ];
    }

    /** @param  array<string, mixed>  $dish @param  array<string, mixed>  $roast */
    public static function roast(array $dish = [], array $roast = []): Roast
    {
        return RoastFile::read(self::file($dish, $roast));
    }

    /** @param  array<string, mixed>  $dish with its fires laid, on a still day */
    public static function dish(array $dish = []): Dish
    {
        return LaidFires::lay(self::roast($dish, ['wind_ms' => 0]), [])->dishes[0];
    }
}
