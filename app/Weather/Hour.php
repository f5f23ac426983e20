<?php

declare(strict_types=1);

namespace App\Weather;

use Carbon\CarbonImmutable;
use Diatherm\Cooker\Weather;

/** The weather at one full hour. */
final readonly class Hour
{
    public function __construct(
        public CarbonImmutable $at,
        public Weather $weather,
    ) {
    }
}
