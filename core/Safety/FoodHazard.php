<?php

declare(strict_types=1);

namespace Diatherm\Safety;

use Diatherm\Measure\Mark;
use Diatherm\Measure\Source;

/** Where a food carries its bacteria, how hot it has to get, and how long it keeps raw. */
final readonly class FoodHazard
{
    /** Days that raw food keeps in the refrigerator, by class of food. Source: FoodSafety.gov, Cold Food Storage Chart (from memory). */
    private const RAW_DAYS = ['poultry' => 2.0, 'stuffing' => 2.0, 'ground' => 2.0, 'fish' => 2.0];

    /** Roasts, chops and steaks of beef, veal, lamb and pork; game likewise. Same source. */
    private const RAW_DAYS_WHOLE = 5.0;

    /**
     * @param  bool  $isInside  whether bacteria are inside it: poultry, minced, stuffed, rolled and filled food. Whole muscle carries
     *     them on its surface.
     * @param  float  $minimumC  core at which it is safe, °C
     * @param  float  $holdMinutes  for which it has to keep that
     * @param  bool  $isEatenBelow  whether it is chosen to be eaten under its minimum, as rare beef is
     * @param  float  $rawHours  that it keeps raw in the refrigerator
     */
    private function __construct(
        public bool $isInside,
        public float $minimumC,
        public float $holdMinutes,
        public bool $isEatenBelow,
        public float $rawHours,
    ) {
    }

    /**
     * @param  string  $class  row of data/safe-minimums.json
     * @param  bool  $isTurnedIn  boned and rolled, or filled: what was its outside lies in its middle
     * @param  float  $targetC  core that it is meant to have when it is eaten
     * @return self|null null for food that has no minimum, such as roots
     */
    public static function of(string $class, bool $isTurnedIn, float $targetC): ?self
    {
        $minimum = SafeMinimum::of($class);

        return $minimum->coreC === null ? null : new self(
            $isTurnedIn || in_array($class, ['poultry', 'stuffing', 'ground'], true),
            $minimum->coreC,
            $minimum->holdMinutes,
            $targetC < $minimum->coreC - 0.5,
            24.0 * (self::RAW_DAYS[$class] ?? self::RAW_DAYS_WHOLE),
        );
    }

    public static function rawSource(): Source
    {
        return Source::of(Mark::Memory, 'FoodSafety.gov, Cold Food Storage Chart');
    }
}
