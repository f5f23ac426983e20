<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

/**
 * When one run of a cook came to its core. A run that was given up has none, so that the longest time that is simulated is never taken
 * for an hour.
 */
final readonly class RunTime
{
    private function __construct(public float $seconds)
    {
    }

    /**
     * @param  Cook  $cook  gone through to its pull
     * @param  float  $pullC  core at which its last step ends, where it ends with the pull
     * @return self|null null where it does not come to it
     */
    public static function of(Cook $cook, float $pullC): ?self
    {
        return $cook->toPull($pullC) === null ? new self(max(1.0, $cook->body->elapsedS())) : null;
    }

    /** How much longer or shorter it is than another run, as a logarithm. */
    public function over(self $other): float
    {
        return log($this->seconds / $other->seconds);
    }
}
