<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

use Diatherm\Roast\Dish;

/** How a dish was kept before it went on and after it came off. */
final readonly class ColdChain
{
    /** From out of the refrigerator to the heat, handwork apart: patting dry, seasoning, rigging. Common practice. */
    public const READY_MINUTES = 25.0;

    /**
     * @param  float  $outBeforeMinutes  from out of the refrigerator to going on; 0 or more
     * @param  float  $rawHours  in the refrigerator, thawed and raw, before that
     * @param  float|null  $keptHotFromS  seconds since it went on at which it was put where it stays hot; null where it was not
     */
    public function __construct(
        public float $outBeforeMinutes,
        public float $rawHours = 0.0,
        public ?float $keptHotFromS = null,
    ) {
    }

    /** @param  float  $outMinutes  that it stands in the room to come to its start temperature */
    public static function asPlanned(Dish $dish, float $outMinutes): self
    {
        $handwork = $rawHours = 0.0;
        foreach ($dish->work() as $preparation) {
            if ($preparation->makes !== null) {
                continue;
            }
            if ($preparation->isHandwork) {
                $handwork += $preparation->handworkMinutes();
            } elseif (! $preparation->isCold && ! $preparation->isThawing()) {
                $handwork += 60.0 * $dish->windowOf($preparation)->leastHours;
            } elseif (! $preparation->isThawing()) {
                $rawHours += $dish->windowOf($preparation)->leastHours;
            }
        }

        return new self(max($outMinutes, self::READY_MINUTES + $handwork), $rawHours);
    }
}
