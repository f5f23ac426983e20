<?php

declare(strict_types=1);

namespace Diatherm\Roast;

/** Where the table stands, degrees north and east; for the hour of sunset. */
final readonly class Place
{
    public function __construct(
        public float $latitude,
        public float $longitude,
    ) {
    }

    /** Sunset of the day on which $at falls there; null where the sun does not set that day. */
    public function sunset(\DateTimeImmutable $at): ?\DateTimeImmutable
    {
        // PHP's own solar position, counted from noon so that the evening asked for is the one found.
        $noon = $at->setTime(12, 0);
        $sun = date_sun_info($noon->getTimestamp(), $this->latitude, $this->longitude);

        return is_int($sun['sunset']) ? $at->setTimestamp($sun['sunset']) : null;
    }
}
