<?php

declare(strict_types=1);

namespace Diatherm\Safety;

use Diatherm\Measure\Mark;
use Diatherm\Measure\Source;

/** How long food may stay between cold and hot. */
final class Clocks
{
    /** Below this food is cold enough, above HOT_C hot enough. Source: USDA FSIS, Danger Zone. */
    public const COLD_C = 4.0;

    public const HOT_C = 60.0;

    /** Hot holding. Source: FDA Food Code 2017, 3-501.16. */
    public const HOLD_C = 57.0;

    /** Source: USDA FSIS, two-hour rule. */
    public const MINUTES = 120.0;

    public const MINUTES_IN_HEAT = 60.0;

    public const HEAT_C = 32.0;

    /** Leftovers: from HOLD_C to this in two hours, and to the second in four more. Source: FDA Food Code 2022, 3-501.14. */
    public const COOLED_C = 21.0;

    public const COOLED_COLD_C = 5.0;

    /** Cold holding. Source: FDA Food Code 2017, 3-501.16. */
    public const REFRIGERATOR_C = self::COOLED_COLD_C;

    /** Nothing grows in air so hot or hotter. Source: USDA FSIS, Appendix A, 130 °F (from memory). */
    public const GROWTH_STOPS_C = 54.4;

    /** A core that warms is between this and GROWTH_STOPS_C no longer than COME_UP_MINUTES. Same source. */
    public const COME_UP_FROM_C = 10.0;

    public const COME_UP_MINUTES = 360.0;

    /** First heat of meat that is cooked in two goes. Source: FDA Food Code 2017, 3-401.14 (from memory). */
    public const FIRST_HEAT_MINUTES = 60.0;

    /** From HOLD_C to COOLED_C, and from there to COOLED_COLD_C. Source: FDA Food Code 2017, 3-501.14. */
    public const COOLING_MINUTES = 120.0;

    public const COOLING_ON_MINUTES = 240.0;

    /** Cooked food that was cold gets to this when it is warmed again, within so long. Source: FDA Food Code 2017, 3-403.11 (from memory). */
    public const REHEATED_C = 74.0;

    public const REHEATING_MINUTES = 120.0;

    /** Cooked food in the refrigerator, days: the shorter end. Source: USDA FSIS, Leftovers and Food Safety: three to four days. */
    public const LEFTOVER_DAYS = 3;

    /** Minutes that food may stand in air of $airC. */
    public static function allowedMinutes(float $airC): float
    {
        return $airC > self::HEAT_C ? self::MINUTES_IN_HEAT : self::MINUTES;
    }

    public static function source(): Source
    {
        return Source::of(Mark::Published, 'USDA FSIS, Danger Zone (40 °F – 140 °F): two hours');
    }
}
