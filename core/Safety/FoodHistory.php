<?php

declare(strict_types=1);

namespace Diatherm\Safety;

/**
 * Where a piece of food was, moment by moment, and how warm the coldest point that matters was there: from out of the
 * refrigerator to the last plate.
 */
final readonly class FoodHistory
{
    /**
     * @param  list<float>  $seconds  rising; negative before it went on
     * @param  list<float>  $coreC  as many, °C
     * @param  list<float>  $airC  as many: the air round it from that moment to the next, °C
     * @param  list<FoodPlace>  $places  as many
     * @param  float|null  $offS  when it left its last heat; null where that was not yet
     * @param  float  $rawHours  in the refrigerator, thawed and raw, before all that
     * @param  bool  $isPast  whether all of it has happened; else it is planned
     */
    private function __construct(
        public array $seconds,
        public array $coreC,
        public array $airC,
        public array $places,
        public ?float $offS,
        public float $rawHours,
        public bool $isPast,
    ) {
    }

    /**
     * @param  non-empty-list<array{float, float, float}>  $moments  seconds, core °C and air °C from then on, in order of time
     * @param  float|null  $offS  when it left its last heat; null where that was not yet
     * @param  float  $rawHours  in the refrigerator, thawed and raw, before it was taken out; 0 or more
     * @param  bool  $isPast  whether all of it has happened; else it is planned
     */
    public static function of(array $moments, ?float $offS, float $rawHours = 0.0, bool $isPast = false): self
    {
        return new self(
            array_column($moments, 0),
            array_column($moments, 1),
            array_column($moments, 2),
            array_map(fn (array $moment): FoodPlace => FoodPlace::at($moment[2]), $moments),
            $offS,
            $rawHours,
            $isPast,
        );
    }
}
