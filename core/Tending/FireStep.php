<?php

declare(strict_types=1);

namespace Diatherm\Tending;

use Diatherm\Cooker\Settings;
use Diatherm\Measure\Spread;

/** One heat of a cooker and how it is set for it. Minutes count from the first dish going on. */
final readonly class FireStep
{
    /**
     * @param  Spread  $steadyC  what these settings, as a hand can set them, come to when well fed
     * @param  bool  $reached  whether the cooker can do it
     */
    public function __construct(
        public float $fromMinutes,
        public float $targetC,
        public Settings $settings,
        public Spread $steadyC,
        public bool $reached,
        public bool $extrapolated,
    ) {
    }
}
