<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/** One reading of a cooker with how it was set and what it was like outside. */
final readonly class Observation
{
    private function __construct(
        public Settings $settings,
        public Weather $weather,
        public float $celsius,
        public Phase $phase,
        public float $minutes,
        public ?\DateTimeImmutable $at,
    ) {
    }

    /**
     * @param  float  $celsius  inside, −30 to 700 °C
     * @param  float  $minutes  since it was lit, or since the lid was closed again; 0 to 1440; not used for a settled one
     *
     * @throws OutOfRange
     */
    public static function of(
        Settings $settings,
        Weather $weather,
        float $celsius,
        Phase $phase = Phase::Settled,
        float $minutes = 0.0,
        ?\DateTimeImmutable $at = null,
    ): self {
        return new self(
            $settings,
            $weather,
            OutOfRange::check('cooker_temperature', $celsius, -30.0, 700.0, Unit::Celsius),
            $phase,
            OutOfRange::check('minutes', $minutes, 0.0, 1440.0, Unit::Minute),
            $at,
        );
    }
}
