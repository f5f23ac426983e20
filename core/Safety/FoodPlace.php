<?php

declare(strict_types=1);

namespace Diatherm\Safety;

/** Where food is, as far as bacteria are concerned. */
enum FoodPlace
{
    /** In a cooker that is hot enough to stop growth. */
    case Heat;

    /** In the room, or on a fire that has died. */
    case Room;

    case Refrigerator;

    /** The place that air of $airC makes: a dead fire is a room, a frosty yard is a refrigerator. */
    public static function at(float $airC): self
    {
        return match (true) {
            $airC <= Clocks::REFRIGERATOR_C => self::Refrigerator,
            $airC < Clocks::GROWTH_STOPS_C => self::Room,
            default => self::Heat,
        };
    }
}
