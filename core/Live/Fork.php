<?php

declare(strict_types=1);

namespace Diatherm\Live;

use Diatherm\Measure\Spread;

/** Two answers where readings leave open whether the cooker has fallen. One of them is the forecast's own. Minutes from when it went on. */
final readonly class Fork
{
    /** As likely as that, and it is worth a look at the cooker; so likely, and there is no other answer. Common practice. */
    private const WORTH_A_LOOK = 0.2;

    private const SURE = 0.85;

    /** Hours that differ by less than this share of what is left, and by no more than so many minutes, are one. */
    private const APART = 0.1;

    private const APART_MINUTES = 5.0;

    /** @param  Spread|null  $fallenMinutes  null where it does not get there any more */
    private function __construct(
        public Spread $asSetMinutes,
        public ?Spread $fallenMinutes,
    ) {
    }

    /**
     * @param  Spread  $cookMinutes  the forecast's own
     * @return self|null null where there is one answer
     */
    public static function of(Courses $courses, Spread $cookMinutes, float $nowMinutes): ?self
    {
        if ($courses->fallen < self::WORTH_A_LOOK || ($courses->fallen > self::SURE && $courses->supposesFall)) {
            return null;
        }
        if (! $courses->comesToIt(true)) {
            return new self($cookMinutes, null);
        }
        // The forecast's own hour is the finer one: the other is as far from it as the courses have it.
        $other = $courses->arrives(! $courses->supposesFall);
        $likely = max($nowMinutes, $cookMinutes->likely + ($other->likely - $courses->arrives()->likely) / 60.0);
        if (abs($likely - $cookMinutes->likely) < max(self::APART_MINUTES, self::APART * ($cookMinutes->likely - $nowMinutes))) {
            return null;
        }
        $other = Spread::of(
            min($likely, max($nowMinutes, $likely - ($other->likely - $other->low) / 60.0)), $likely, $likely + ($other->high - $other->likely) / 60.0,
        );

        return $courses->supposesFall ? new self($other, $cookMinutes) : new self($cookMinutes, $other);
    }
}
